package whipsaw.core.job;

import java.util.List;
import whipsaw.core.schema.Faults;
import whipsaw.core.schema.Input;
import whipsaw.core.schema.Ruled;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Measure;

/**
 * What of the roof a thing covers, by the box around it.
 *
 * @param x left side of the box
 * @param y lower side of it
 * @param width of the box; the diameter of a circle
 * @param depth of the box; the diameter of a circle
 * @param corners of a polygon, from the lower left of its box; empty otherwise
 * @param measured distances from edges as taped, empty when nobody taped them
 */
public record Footprint(
        @Input(label = "Shape", orElse = "rectangle") Shape shape,
        @Input(label = "Left side at x", dim = Dimension.ROOF_LENGTH, least = -2000, most = 2000) Measure x,
        @Input(label = "Lower side at y", dim = Dimension.ROOF_LENGTH, least = -2000, most = 2000) Measure y,
        @Input(
                        label = "Width",
                        dim = Dimension.ROOF_LENGTH,
                        least = 0.02,
                        most = 200,
                        when = {"shape", "rectangle", "circle"},
                        passed = true,
                        help = "of a circle, the diameter")
                Measure width,
        @Input(
                        label = "Depth",
                        dim = Dimension.ROOF_LENGTH,
                        least = 0.02,
                        most = 200,
                        when = {"shape", "rectangle"},
                        passed = true)
                Measure depth,
        @Input(
                        label = "Corners",
                        each = "Corner",
                        by = "",
                        fewest = 3,
                        many = Outline.MOST_CORNERS,
                        when = {"shape", "polygon"},
                        passed = true)
                List<Corner> corners,
        @Input(label = "From two edges", longest = 160, optional = true, help = "as 3.2 m from edge 3, 12' from east")
                String measured)
        implements Ruled {
    private static final double ON_THE_SPOT_M = 1e-6;

    /** Kinds of footprint. */
    public enum Shape {
        RECTANGLE,
        CIRCLE,
        POLYGON;

        /** As documents write it. */
        public String key() {
            return name().toLowerCase(java.util.Locale.ROOT);
        }
    }

    public Footprint {
        corners = List.copyOf(corners);
        if (shape == Shape.CIRCLE) {
            depth = width;
        } else if (shape == Shape.POLYGON && !corners.isEmpty()) {
            width = metres(corners.stream().mapToDouble(c -> c.x().si()).max().orElse(0));
            depth = metres(corners.stream().mapToDouble(c -> c.y().si()).max().orElse(0));
        }
    }

    private static Measure metres(double value) {
        return new Measure(value, value + " m", false);
    }

    @Override
    public void rules(Faults faults) {
        double left = corners.stream().mapToDouble(c -> c.x().si()).min().orElse(0);
        double low = corners.stream().mapToDouble(c -> c.y().si()).min().orElse(0);
        if (Math.abs(left) > ON_THE_SPOT_M || Math.abs(low) > ON_THE_SPOT_M) {
            faults.note(
                    "corners",
                    left + ", " + low,
                    "is where its box begins: corners count from the lower left of the box, so that one has x 0 and one"
                            + " y 0");
        }
    }
}
