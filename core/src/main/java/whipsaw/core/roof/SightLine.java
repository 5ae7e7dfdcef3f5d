package whipsaw.core.roof;

import java.util.List;

/**
 * Whether something on a level roof is seen from the ground over the parapet. Distance and setback
 * are square to the parapet, both from its outer face; for oblique views both scale alike. The
 * thickness of the parapet is neglected.
 *
 * <p>The roof hides up to {@code z = h_p + m s}; m is the slope of the line from the eye over the top
 * of the parapet.
 *
 * @param slope m, positive when the eye is below the top of the parapet
 * @param parapetM height of the parapet above the roof
 */
public record SightLine(double slope, double parapetM) {

    /**
     * A viewer.
     *
     * @param distanceM of the eye from the parapet
     * @param eyeM height of the eye above the viewer's ground
     * @param groundM viewer's ground above the building's
     */
    public record Viewer(double distanceM, double eyeM, double groundM) {
        /** Of a standing adult. */
        public static final double USUAL_EYE_M = 1.6;
    }

    /** The lowest line from a viewer over the parapet, heights above the roof. */
    public static SightLine of(double roofHeightM, double parapetM, Viewer viewer) {
        return new SightLine(
                (roofHeightM + parapetM - viewer.eyeM() - viewer.groundM()) / viewer.distanceM(), parapetM);
    }

    /** Elevation of the line in degrees. */
    public double elevationDeg() {
        return Math.toDegrees(Math.atan(slope));
    }

    /** Height up to which nothing is seen at a setback. */
    public double hiddenM(double setbackM) {
        return parapetM + slope * setbackM;
    }

    /** Whether what stands so high behind the parapet is seen. */
    public boolean sees(double heightM, double setbackM) {
        return heightM > hiddenM(setbackM) + 1e-9 * Math.max(1, Math.abs(heightM));
    }

    /** Least setback at which a height is hidden; NaN when there is none. */
    public double leastSetbackM(double heightM) {
        if (heightM <= parapetM) {
            return 0;
        }
        return slope > 0 ? (heightM - parapetM) / slope : Double.NaN;
    }

    /** Setback up to which a height stays hidden from an eye above the parapet; NaN without such a limit. */
    public double mostSetbackM(double heightM) {
        return slope < 0 && heightM <= parapetM ? (heightM - parapetM) / slope : Double.NaN;
    }

    /**
     * A row of tilted modules seen in section.
     *
     * @param nearM height of the edge nearer to the parapet
     * @param farM height of the other
     * @param depthM from one to the other along the roof
     */
    public record Row(double nearM, double farM, double depthM) {
        /** A row by its lower edge, tilt and slope length, with its high edge near the parapet or away from it. */
        public static Row of(double lowM, double tiltDeg, double slopeLengthM, boolean highEdgeNear) {
            double high = lowM + slopeLengthM * Math.sin(Math.toRadians(tiltDeg));
            double depth = slopeLengthM * Math.cos(Math.toRadians(tiltDeg));
            return new Row(highEdgeNear ? high : lowM, highEdgeNear ? lowM : high, depth);
        }
    }

    /** Whether any part of a row is seen. */
    public boolean sees(Row row, double setbackM) {
        return sees(row.nearM(), setbackM) || sees(row.farM(), setbackM + row.depthM());
    }

    /** Least setback of the near edge at which a whole row is hidden from every line; NaN when there is none. */
    public static double leastSetbackM(Row row, List<SightLine> lines) {
        double least = 0;
        for (SightLine line : lines) {
            double near = line.leastSetbackM(row.nearM());
            double far = line.leastSetbackM(row.farM());
            if (Double.isNaN(near) || Double.isNaN(far)) {
                return Double.NaN;
            }
            least = Math.max(least, Math.max(near, far - row.depthM()));
        }
        for (SightLine line : lines) {
            if (line.sees(row, least)) {
                // an eye above the parapet sees what is set back too far
                return Double.NaN;
            }
        }
        return least;
    }
}
