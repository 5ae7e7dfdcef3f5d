package whipsaw.core.holddown;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import whipsaw.core.array.ArrayFrame;
import whipsaw.core.roof.RoofPlan;

/**
 * Edges of a roof as seen along one direction of an array's frame, in strips, so that looking for the first of them
 * costs the few that cross the strip and not all of an outline of hundreds.
 */
final class EdgesAlong {
    /** {from along, from across, to along, to across} of each edge, by strip. */
    private final double[][][] strips;

    private final double leastAcross;
    private final double strip;

    /**
     * @param alongS look along the rows, else across them
     */
    EdgesAlong(List<RoofPlan.Edge> edges, ArrayFrame frame, boolean alongS) {
        double[][] all = new double[edges.size()][];
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < all.length; i++) {
            var a = edges.get(i).from();
            var b = edges.get(i).to();
            double[] s = {frame.s(a.x, a.y), frame.s(b.x, b.y)};
            double[] t = {frame.t(a.x, a.y), frame.t(b.x, b.y)};
            all[i] = alongS ? new double[] {s[0], t[0], s[1], t[1]} : new double[] {t[0], s[0], t[1], s[1]};
            least = Math.min(least, Math.min(all[i][1], all[i][3]));
            most = Math.max(most, Math.max(all[i][1], all[i][3]));
        }
        int count = Math.max(1, Math.min(4 * all.length, 4096));
        leastAcross = least;
        strip = Math.max((most - least) / count, 1e-9);
        List<List<double[]>> lists = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            lists.add(new ArrayList<>(4));
        }
        for (double[] e : all) {
            // one strip more on either side, for what lies on the line between two
            int first = Math.max(0, strip(Math.min(e[1], e[3])) - 1);
            int last = Math.min(count - 1, strip(Math.max(e[1], e[3])) + 1);
            for (int i = first; i <= last; i++) {
                lists.get(i).add(e);
            }
        }
        strips = lists.stream().map(l -> l.toArray(new double[0][])).toArray(double[][][]::new);
    }

    private int strip(double across) {
        return (int) Math.floor((across - leastAcross) / strip);
    }

    /**
     * Distance from a place to the first edge, infinite when there is none.
     *
     * @param way 1 with the direction, -1 against it
     */
    double first(double along, double across, int way) {
        int i = Math.max(0, Math.min(strips.length - 1, strip(across)));
        return Arrays.stream(strips[i])
                .mapToDouble(e -> distance(e, along, across, way))
                .min()
                .orElse(Double.POSITIVE_INFINITY);
    }

    private static double distance(double[] e, double along, double across, int way) {
        double rise = e[3] - e[1];
        // an edge along the direction is met at its ends, by its neighbours
        if (Math.abs(rise) < 1e-12) {
            return Double.POSITIVE_INFINITY;
        }
        double part = (across - e[1]) / rise;
        double distance = way * (e[0] + part * (e[2] - e[0]) - along);
        return distance >= 0 && part >= 0 && part <= 1 ? distance : Double.POSITIVE_INFINITY;
    }
}
