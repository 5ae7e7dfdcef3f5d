package whipsaw.core.structure;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.locationtech.jts.algorithm.Distance;
import org.locationtech.jts.algorithm.PointLocation;
import org.locationtech.jts.algorithm.RectangleLineIntersector;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import whipsaw.core.array.ArrayFrame;
import whipsaw.core.array.ArrayLayout;

/** Modules side by side in each row, taken together, found by their distance. Metres. */
final class RunIndex {
    private final ArrayFrame frame;

    /** By their place across the rows. All are equally deep, so no run reaches beyond the next. */
    private final List<Envelope> runs = new ArrayList<>();

    RunIndex(ArrayLayout layout) {
        frame = layout.frame();
        for (ArrayLayout.Run run : layout.runs()) {
            double t = layout.modules().get(run.firstIndex()).t();
            runs.add(new Envelope(run.from(), run.to(), t, t + layout.depthM()));
        }
        runs.sort(Comparator.comparingDouble(Envelope::getMinY));
    }

    /** Distance from a chain of corners on the plan to the nearest modules; a chain that ends where it began is full. */
    double distance(Coordinate... chain) {
        Coordinate[] c = new Coordinate[chain.length];
        Envelope around = new Envelope();
        for (int i = 0; i < c.length; i++) {
            c[i] = new Coordinate(frame.s(chain[i].x, chain[i].y), frame.t(chain[i].x, chain[i].y));
            around.expandToInclude(c[i]);
        }
        int first = firstReaching(around.getMinY());
        double least = Double.POSITIVE_INFINITY;
        for (int i = first; i < runs.size() && runs.get(i).getMinY() - around.getMaxY() < least; i++) {
            least = nearer(least, runs.get(i), around, c);
        }
        for (int i = first - 1; i >= 0 && around.getMinY() - runs.get(i).getMaxY() < least; i--) {
            least = nearer(least, runs.get(i), around, c);
        }
        return least;
    }

    private int firstReaching(double across) {
        int low = 0;
        int high = runs.size();
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (runs.get(middle).getMaxY() < across) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return low;
    }

    private static double nearer(double least, Envelope run, Envelope around, Coordinate[] chain) {
        return run.distance(around) < least ? Math.min(least, distance(run, chain)) : least;
    }

    private static double distance(Envelope box, Coordinate[] chain) {
        boolean full = chain.length > 3 && chain[0].equals2D(chain[chain.length - 1]);
        if (full && PointLocation.isInRing(new Coordinate(box.getMinX(), box.getMinY()), chain)) {
            return 0;
        }
        double least = Double.POSITIVE_INFINITY;
        for (int i = 1; i < chain.length && least > 0; i++) {
            least = Math.min(least, distance(box, chain[i - 1], chain[i]));
        }
        return least;
    }

    private static double distance(Envelope box, Coordinate a, Coordinate b) {
        double atLeast = box.distance(new Envelope(a, b));
        if (atLeast == 0 && new RectangleLineIntersector(box).intersects(a, b)) {
            return 0;
        }
        double least = Math.min(toBox(box, a), toBox(box, b));
        if (least <= atLeast) {
            return least;
        }
        for (int corner = 0; corner < 4; corner++) {
            double x = corner % 2 == 0 ? box.getMinX() : box.getMaxX();
            double y = corner < 2 ? box.getMinY() : box.getMaxY();
            least = Math.min(least, Distance.pointToSegment(new Coordinate(x, y), a, b));
        }
        return least;
    }

    private static double toBox(Envelope box, Coordinate p) {
        double x = Math.max(0, Math.max(box.getMinX() - p.x, p.x - box.getMaxX()));
        double y = Math.max(0, Math.max(box.getMinY() - p.y, p.y - box.getMaxY()));
        return Math.sqrt(x * x + y * y);
    }
}
