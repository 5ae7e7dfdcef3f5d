package whipsaw.core.roof;

import org.locationtech.jts.geom.Coordinate;

/**
 * A line that bounds a face.
 *
 * @param fromM height of its first end above the lowest line of the roof
 * @param toM height of its other end
 * @param face number of the face it belongs to
 * @param other number of the face beyond it, 0 at the edge of the roof
 */
public record FaceLine(Kind kind, Coordinate from, Coordinate to, double fromM, double toM, int face, int other) {

    /** What the trade calls it. */
    public enum Kind {
        /** Level, the roof rises from it. */
        EAVE,
        /** Level, the roof falls from it at the edge of the building. */
        HEAD,
        /** Inclined, at the edge of the building. */
        GABLE,
        RIDGE,
        HIP,
        VALLEY,
        /** Two faces at different heights. */
        STEP,
        /** Two faces in one plane. */
        JOIN;

        /** What kind of line it is, for readers. */
        public String words() {
            return name().toLowerCase(java.util.Locale.ROOT);
        }
    }

    /** True length. */
    public double lengthM() {
        return Math.hypot(from.distance(to), toM - fromM);
    }
}
