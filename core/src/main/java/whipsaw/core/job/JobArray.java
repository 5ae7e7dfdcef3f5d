package whipsaw.core.job;

import java.util.List;
import whipsaw.core.schema.Inline;
import whipsaw.core.schema.Input;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Measure;

/**
 * One of the arrays of a job: the roof it is on, the area it may take there, and its own settings.
 *
 * @param id short and lasting, as {@code A}
 * @param on id of its roof
 * @param feeds id of the inverter group its strings go to
 * @param area corners on the sheet of that roof; empty for all that the areas of other arrays leave
 * @param numbers of a signed sheet; null while none is kept
 * @param apart clear distance to modules of other arrays; null takes the house rule
 */
public record JobArray(
        @Input(label = "Id", longest = 40) String id,
        @Input(label = "Array name", longest = 60) String name,
        @Input(label = "On roof", longest = 40) String on,
        @Input(label = "Feeds inverter group", longest = 40) String feeds,
        @Input(
                        label = "Area",
                        each = "Corner",
                        by = "",
                        many = Outline.MOST_CORNERS,
                        quiet = true,
                        absent = "all that the areas of other arrays leave")
                List<Corner> area,
        @Input(
                        label = "Clear of other arrays",
                        dim = Dimension.ROOF_LENGTH,
                        least = 0,
                        most = 30,
                        optional = true,
                        absent = "by house rule")
                Measure apart,
        @Input(label = "Numbers kept for the crew", optional = true, absent = "counted anew at every change")
                KeptNumbers numbers,
        @Inline ArrayChoice choice) {
    public JobArray {
        area = List.copyOf(area);
    }

    /** The same with other settings. */
    JobArray with(ArrayChoice other) {
        return new JobArray(id, name, on, feeds, area, apart, numbers, other);
    }
}
