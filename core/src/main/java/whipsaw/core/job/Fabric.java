package whipsaw.core.job;

import java.util.List;
import whipsaw.core.schema.Inline;
import whipsaw.core.schema.Input;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Spacings;

/**
 * What the roof is made of and how it rises.
 *
 * @param buildUps of single faces, and of all others under face 0
 * @param bayNotes what was found in single bays
 * @param structure what carries it
 */
public record Fabric(
        @Input(label = "Form of the roof", section = true) RoofForm form,
        @Input(label = "Build-ups", each = "Face", by = "face", many = RoofForm.MOST_FACES, quiet = true)
                List<BuildUp> buildUps,
        @Input(label = "Notes on bays", each = "Bay", by = "bay", many = 2000, quiet = true) List<BayNote> bayNotes,
        @Input(label = "Structure", section = true) Structure structure) {
    /** Of a flat roof of which nothing else is known. */
    public static final Fabric PLAIN = new Fabric(new RoofForm.Flat(), List.of(), List.of(), Structure.UNKNOWN);

    public Fabric {
        buildUps = List.copyOf(buildUps);
        bayNotes = List.copyOf(bayNotes);
    }

    /** Whether the form is a flat roof. */
    public boolean flat() {
        return form instanceof RoofForm.Flat;
    }

    /** The build-up of a face: its own, or the one of all faces; null when neither was surveyed. */
    public BuildUp buildUp(int face) {
        BuildUp all = null;
        for (BuildUp b : buildUps) {
            if (b.face() == face) {
                return b;
            }
            all = b.face() == 0 ? b : all;
        }
        return all;
    }

    /**
     * Build-up of a face; what was not surveyed is null or empty.
     *
     * @param face number, 0 for all faces without an own one
     * @param purlins from the eave up the slope
     * @param joists from the left end, looking up from the eave
     */
    public record BuildUp(
            @Input(label = "Face", least = 0, most = RoofForm.MOST_FACES, help = "0: all faces") int face,
            @Inline Sheet sheet,
            @Input(
                            label = "Purlins from the eave",
                            dim = Dimension.ROOF_LENGTH,
                            least = 0.15,
                            most = 12,
                            optional = true,
                            help = "every spacing, as 6 in, 4 @ 5 ft")
                    Spacings purlins,
            @Input(label = "Purlin section", longest = 80, optional = true) String purlinSection,
            @Input(label = "Joists or rafters", dim = Dimension.ROOF_LENGTH, least = 0.15, most = 12, optional = true)
                    Spacings joists,
            @Inline Deck deck) {}

    /**
     * A profiled sheet.
     *
     * @param pitch from rib to rib, or seam to seam
     * @param ribTop width of the top of a rib
     * @param firstRib of the first rib from the left end, looking up from the eave
     * @param screws lines of screws that are there, from the eave up the slope
     */
    public record Sheet(
            @Input(
                            label = "Rib or seam pitch",
                            key = "ribPitch",
                            dim = Dimension.PART_LENGTH,
                            least = 0.05,
                            most = 1.5,
                            optional = true)
                    Measure pitch,
            @Input(label = "Rib top width", dim = Dimension.PART_LENGTH, least = 0.002, most = 0.3, optional = true)
                    Measure ribTop,
            @Input(label = "Rib height", dim = Dimension.PART_LENGTH, least = 0.002, most = 0.3, optional = true)
                    Measure ribHeight,
            @Input(
                            label = "First rib from the left, looking up",
                            dim = Dimension.PART_LENGTH,
                            least = 0,
                            most = 1.5,
                            optional = true)
                    Measure firstRib,
            @Input(
                            label = "Sheet thickness",
                            dim = Dimension.PART_LENGTH,
                            least = 0.0003,
                            most = 0.005,
                            optional = true)
                    Measure thickness,
            @Input(label = "Material", longest = 60, optional = true) String material,
            @Input(label = "Coating", longest = 60, optional = true) String coating,
            @Input(
                            label = "Screw lines from the eave",
                            dim = Dimension.PART_LENGTH,
                            least = 0.02,
                            most = 20,
                            optional = true)
                    Spacings screws) {}

    /**
     * What the covering lies on.
     *
     * @param strength compressive strength of the insulation
     */
    public record Deck(
            @Input(label = "Deck", longest = 80, optional = true) String deck,
            @Input(label = "Insulation", longest = 80, optional = true) String insulation,
            @Input(
                            label = "Insulation thickness",
                            dim = Dimension.PART_LENGTH,
                            least = 0.005,
                            most = 1,
                            optional = true)
                    Measure insulationThickness,
            @Input(
                            label = "Compressive strength of the insulation",
                            dim = Dimension.LOAD,
                            least = 1000,
                            most = 2_000_000,
                            optional = true)
                    Measure strength) {}

    /**
     * A bay as found.
     *
     * @param bay its name, for example B2
     * @param fallsTo azimuth its water runs to
     * @param undulation largest slope of unevenness against the fall
     */
    public record BayNote(
            @Input(label = "Bay", longest = 12) String bay,
            @Input(label = "Fall", dim = Dimension.ANGLE, least = 0, most = 20, optional = true, absent = "as the roof")
                    Measure fall,
            @Input(
                            label = "Water runs to",
                            dim = Dimension.ANGLE,
                            least = 0,
                            most = 360,
                            optional = true,
                            absent = "not known")
                    Measure fallsTo,
            @Input(
                            label = "Unevenness",
                            dim = Dimension.ANGLE,
                            least = 0,
                            most = 20,
                            optional = true,
                            absent = "not measured")
                    Measure undulation,
            @Input(label = "Water stands", orElse = "false") boolean ponds,
            @Input(label = "Note", longest = 200, optional = true) String note) {}
}
