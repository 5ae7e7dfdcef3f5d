package whipsaw.core.job;

import java.util.List;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import whipsaw.core.schema.Input;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Measure;

/**
 * What was done to an array by hand beside modules left out. Modules and rows are known by places on the roof, so that
 * they are found again when the layout moves.
 *
 * @param added middles of modules that lie there whatever is kept clear of edges, things and paths
 * @param shifted rows moved along themselves
 * @param locked middles of one module of each row that stays where it is; of pairs, of the front row
 * @param breaks wider gaps within rows
 */
public record HandWork(
        @Input(label = "Modules put in", each = "Module put in", by = "", many = 20_000) List<Corner> added,
        @Input(label = "Rows shifted", each = "Row shifted", by = "", many = 1000) List<RowShift> shifted,
        @Input(label = "Rows locked", each = "Row locked", by = "", many = 1000) List<Corner> locked,
        @Input(label = "Row breaks", each = "Row break", by = "", many = 1000) List<RowBreak> breaks) {
    /** Nothing done by hand. */
    public static final HandWork NONE = new HandWork(List.of(), List.of(), List.of(), List.of());

    public HandWork {
        added = List.copyOf(added);
        shifted = List.copyOf(shifted);
        locked = List.copyOf(locked);
        breaks = List.copyOf(breaks);
    }

    /** The part of it at some of its places; null for none. */
    public HandWork at(Predicate<Corner> place) {
        HandWork part = new HandWork(
                added.stream().filter(place).toList(),
                shifted.stream()
                        .filter(r -> place.test(new Corner(r.x(), r.y())))
                        .toList(),
                locked.stream().filter(place).toList(),
                breaks.stream()
                        .filter(b -> place.test(new Corner(b.x(), b.y())))
                        .toList());
        return part.equals(NONE) ? null : part;
    }

    /** The same at other places. */
    public HandWork moved(UnaryOperator<Corner> to) {
        return new HandWork(
                added.stream().map(to).toList(),
                shifted.stream()
                        .map(r -> {
                            Corner c = to.apply(new Corner(r.x(), r.y()));
                            return new RowShift(c.x(), c.y(), r.by());
                        })
                        .toList(),
                locked.stream().map(to).toList(),
                breaks.stream()
                        .map(b -> {
                            Corner c = to.apply(new Corner(b.x(), b.y()));
                            return new RowBreak(c.x(), c.y(), b.gap());
                        })
                        .toList());
    }

    /**
     * A row moved along itself.
     *
     * @param x of a place on the row
     * @param y of it
     * @param by to the right as seen from the low edge
     */
    public record RowShift(
            @Input(label = "x", dim = Dimension.ROOF_LENGTH, least = -Corner.FARTHEST_M, most = Corner.FARTHEST_M)
                    Measure x,
            @Input(label = "y", dim = Dimension.ROOF_LENGTH, least = -Corner.FARTHEST_M, most = Corner.FARTHEST_M)
                    Measure y,
            @Input(label = "Shift of the row", dim = Dimension.ROOF_LENGTH, least = -20, most = 20) Measure by) {}

    /**
     * A wider gap between two modules of one row.
     *
     * @param x of a place on the row at the gap
     * @param y of it
     * @param gap clear between the two modules
     */
    public record RowBreak(
            @Input(label = "x", dim = Dimension.ROOF_LENGTH, least = -Corner.FARTHEST_M, most = Corner.FARTHEST_M)
                    Measure x,
            @Input(label = "y", dim = Dimension.ROOF_LENGTH, least = -Corner.FARTHEST_M, most = Corner.FARTHEST_M)
                    Measure y,
            @Input(label = "Gap of the break", dim = Dimension.ROOF_LENGTH, least = 0.006, most = 10) Measure gap) {}
}
