package whipsaw.core.array;

/**
 * The shadow of an upright wall on the plane of a row, cut to the depth of the row. One object serves many rows, since
 * a year of shadows asks for hundreds of thousands.
 */
final class WallShadow {
    /** A quadrilateral gains at most one corner at each of three cuts. */
    private static final int MOST_CORNERS = 8;

    private static final int ALONG_ROWS = 0;
    private static final int ACROSS_ROWS = 1;
    private static final int TOWARDS_SUN = 2;

    private double[][] shape = new double[MOST_CORNERS][3];
    private double[][] cut = new double[MOST_CORNERS][3];
    private int corners;

    /** Where it begins along the row; meaningless unless {@link #falls} said that it falls there. */
    double from;

    /** Where it ends along the row. */
    double until;

    /**
     * Whether the shadow falls on a row, and from where to where.
     *
     * @param a one end of the wall, along and across the rows, m
     * @param b the other
     * @param heightM of the wall
     * @param to unit vector to the sun, along, across, up
     * @param t of the low end of the plane, m
     * @param z0 its height there, m
     * @param slope rise over run
     * @param depthM of the row
     */
    boolean falls(
            double[] a, double[] b, double heightM, double[] to, double t, double z0, double slope, double depthM) {
        double facing = to[2] - slope * to[1];
        if (facing <= 0) {
            return false;
        }
        corners = 4;
        corner(0, a, 0, to, (-z0 - slope * (a[1] - t)) / facing);
        corner(1, b, 0, to, (-z0 - slope * (b[1] - t)) / facing);
        corner(2, b, heightM, to, (heightM - z0 - slope * (b[1] - t)) / facing);
        corner(3, a, heightM, to, (heightM - z0 - slope * (a[1] - t)) / facing);
        keep(TOWARDS_SUN, 0, 1);
        keep(ACROSS_ROWS, t, 1);
        keep(ACROSS_ROWS, t + depthM, -1);
        from = Double.POSITIVE_INFINITY;
        until = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < corners; i++) {
            from = Math.min(from, shape[i][ALONG_ROWS]);
            until = Math.max(until, shape[i][ALONG_ROWS]);
        }
        return corners > 0;
    }

    private void corner(int i, double[] p, double z, double[] to, double along) {
        shape[i][ALONG_ROWS] = p[0] - along * to[0];
        shape[i][ACROSS_ROWS] = p[1] - along * to[1];
        shape[i][TOWARDS_SUN] = along;
    }

    /** Keeps the part of the shape on one side of a bound of a coordinate. */
    private void keep(int axis, double bound, int side) {
        int kept = 0;
        for (int i = 0; i < corners; i++) {
            double[] p = shape[i];
            double[] q = shape[i + 1 == corners ? 0 : i + 1];
            double dp = (p[axis] - bound) * side;
            double dq = (q[axis] - bound) * side;
            if (dp >= 0) {
                System.arraycopy(p, 0, cut[kept++], 0, 3);
            }
            if ((dp > 0 && dq < 0) || (dp < 0 && dq > 0)) {
                double f = dp / (dp - dq);
                for (int c = 0; c < 3; c++) {
                    cut[kept][c] = p[c] + f * (q[c] - p[c]);
                }
                kept++;
            }
        }
        double[][] was = shape;
        shape = cut;
        cut = was;
        corners = kept;
    }
}
