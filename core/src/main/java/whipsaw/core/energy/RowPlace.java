package whipsaw.core.energy;

/**
 * Where a module stands: in the open, in a row behind another one, or in a face of a pair with the next pair across the
 * valley. Rows are taken as endless with edges at equal height, light from beyond the strip between them as none.
 *
 * @param depthM footprint of the slope, c
 * @param riseM of the slope, h
 * @param slopeM length of the slope, L
 * @param clearM from the low edge to the foot of the top edge in front, D; infinite in the open
 * @param sky view factor of the slope to the sky
 * @param roof view factor to the open strip of roof
 */
public record RowPlace(double depthM, double riseM, double slopeM, double clearM, double sky, double roof) {

    /** A plane in the open. */
    public static RowPlace open(double slopeM, double tiltDeg) {
        double b = Math.toRadians(tiltDeg);
        return new RowPlace(
                slopeM * Math.cos(b),
                slopeM * Math.sin(b),
                slopeM,
                Double.POSITIVE_INFINITY,
                (1 + Math.cos(b)) / 2,
                (1 - Math.cos(b)) / 2);
    }

    /**
     * In a row behind another one alike.
     *
     * @param pitchM row to row
     */
    public static RowPlace behind(double slopeM, double tiltDeg, double pitchM) {
        RowPlace o = open(slopeM, tiltDeg);
        double d = pitchM - o.depthM;
        double crossed = Math.sqrt(d * d + o.riseM * o.riseM);
        double straight = Math.sqrt(pitchM * pitchM + o.riseM * o.riseM);
        return new RowPlace(
                o.depthM,
                o.riseM,
                slopeM,
                d,
                (slopeM + pitchM - crossed) / (2 * slopeM),
                (slopeM + d - straight) / (2 * slopeM));
    }

    /**
     * A face of a pair back to back, with the next pair across the valley.
     *
     * @param valleyM between the low edges of neighbouring pairs
     */
    public static RowPlace acrossValley(double slopeM, double tiltDeg, double valleyM) {
        RowPlace o = open(slopeM, tiltDeg);
        double d = o.depthM + valleyM;
        double edge = Math.sqrt(d * d + o.riseM * o.riseM);
        return new RowPlace(
                o.depthM,
                o.riseM,
                slopeM,
                d,
                (slopeM + 2 * o.depthM + valleyM - edge) / (2 * slopeM),
                (slopeM + valleyM - edge) / (2 * slopeM));
    }

    /**
     * Share of the slope in the shadow of the row in front, from the low edge up.
     *
     * @param towards component of the sun in the direction the slope faces, along the roof
     * @param normal component normal to the roof
     */
    public double shaded(double towards, double normal) {
        if (towards <= 0 || normal <= 0 || clearM == Double.POSITIVE_INFINITY) {
            return 0;
        }
        double rate = normal / towards;
        double share = (riseM - clearM * rate) / (riseM + depthM * rate);
        return Math.max(0, Math.min(1, share));
    }

    /** Profile angle of the sun above which no row shades the other. */
    public double shadeLimitDeg() {
        return Math.toDegrees(Math.atan2(riseM, clearM));
    }
}
