package whipsaw.core.job;

import java.util.List;
import whipsaw.core.schema.Faults;
import whipsaw.core.schema.Input;
import whipsaw.core.schema.Kind;
import whipsaw.core.schema.Kinds;
import whipsaw.core.schema.Ruled;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Measure;

/** The building's outer edge, or the inner faces of its parapets when those were taped. */
@Kinds(key = "kind", label = "Kind of outline")
public sealed interface Outline permits Outline.Taped, Outline.Drawn {

    /** Most corners of an outline, a face or a footprint. */
    public static final int MOST_CORNERS = 400;

    /**
     * A tape survey in walking order.
     *
     * @param closing how the closing error is spread
     * @param diagonals tapes across the roof
     * @param offsets corners taped square off the line of two others
     */
    @Kind("taped")
    public record Taped(
            @Input(
                            label = "Face taped",
                            key = "face",
                            choices = {"outside", "inside"})
                    boolean insideFace,
            @Input(label = "Closing method") Closing closing,
            @Input(label = "Edges", each = "Edge", by = "", fewest = 3, many = MOST_CORNERS) List<TapedLeg> legs,
            @Input(label = "Diagonals", each = "Diagonal", by = "", many = MOST_CORNERS) List<TapedDiagonal> diagonals,
            @Input(label = "Offsets", each = "Offset", by = "", many = MOST_CORNERS) List<TapedOffset> offsets)
            implements Outline, Ruled {
        public Taped {
            legs = List.copyOf(legs);
            diagonals = List.copyOf(diagonals);
            offsets = List.copyOf(offsets);
        }

        @Override
        public void rules(Faults faults) {
            for (int i = 0; i < diagonals.size(); i++) {
                TapedDiagonal d = diagonals.get(i);
                if (!d.crosses(legs.size())) {
                    faults.in("diagonals", i)
                            .note(
                                    "to",
                                    d.from() + "-" + d.to(),
                                    "joins no two of " + legs.size()
                                            + " corners with another between: for example 1-3; the edge itself is taped"
                                            + " as an edge");
                }
            }
            for (int i = 0; i < offsets.size(); i++) {
                TapedOffset o = offsets.get(i);
                if (!o.names(legs.size())) {
                    faults.in("offsets", i)
                            .note(
                                    "corner",
                                    o.corner() + " from " + o.from() + "-" + o.to(),
                                    "does not name three different ones of " + legs.size()
                                            + " corners: for example corner 5 from 1-2");
                }
            }
        }
    }

    /** How a tape survey is made to close. */
    public enum Closing {
        /** Least squares over every tape and corner. */
        FIT,
        /** In proportion to the length walked, corners alike; diagonals and offsets are left out. */
        COMPASS
    }

    /**
     * @param turnDeg change of heading at the end of the edge, left positive
     * @param measured whether the angle was measured; else the corner was taken as it stands
     */
    public record TapedLeg(
            @Input(label = "Length", dim = Dimension.ROOF_LENGTH, least = 0.3, most = 1000) Measure length,
            @Input(label = "Turn", least = -179, most = 179, unit = "°") double turnDeg,
            @Input(label = "Angle measured", orElse = "false") boolean measured) {}

    /**
     * A tape across the roof.
     *
     * @param from corner, from 1: where edge 1 begins
     * @param to corner
     */
    public record TapedDiagonal(
            @Input(label = "From corner", least = 1, most = MOST_CORNERS) int from,
            @Input(label = "To corner", least = 1, most = MOST_CORNERS) int to,
            @Input(label = "Length", dim = Dimension.ROOF_LENGTH, least = 0.3, most = 1500) Measure length) {
        /** Whether it joins two of so many corners with another between them on either side. */
        public boolean crosses(int corners) {
            int apart = Math.abs(from - to);
            return Math.min(from, to) >= 1 && Math.max(from, to) <= corners && apart > 1 && apart < corners - 1;
        }
    }

    /**
     * The distance of a corner square off the line through two others, to either side.
     *
     * @param corner from 1
     * @param from corner on the line
     * @param to another one on it
     */
    public record TapedOffset(
            @Input(label = "Corner", least = 1, most = MOST_CORNERS) int corner,
            @Input(label = "From corner", least = 1, most = MOST_CORNERS) int from,
            @Input(label = "To corner", least = 1, most = MOST_CORNERS) int to,
            @Input(label = "Distance", dim = Dimension.ROOF_LENGTH, least = 0.05, most = 1500) Measure length) {
        /** Whether it names three different ones of so many corners. */
        public boolean names(int corners) {
            boolean within =
                    Math.min(corner, Math.min(from, to)) >= 1 && Math.max(corner, Math.max(from, to)) <= corners;
            return within && from != to && corner != from && corner != to;
        }
    }

    /** Corners on the plan. */
    @Kind("drawn")
    public record Drawn(
            @Input(label = "Corners", each = "Corner", by = "", fewest = 3, many = MOST_CORNERS) List<Corner> corners)
            implements Outline {
        public Drawn {
            corners = List.copyOf(corners);
        }
    }
}
