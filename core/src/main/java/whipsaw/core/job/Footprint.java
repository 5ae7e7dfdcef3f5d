package whipsaw.core.job;

import java.util.List;
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
        Shape shape, Measure x, Measure y, Measure width, Measure depth, List<Job.Corner> corners, String measured) {

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
    }
}
