package whipsaw.core.holddown;

import java.util.List;
import org.locationtech.jts.algorithm.RayCrossingCounter;
import org.locationtech.jts.algorithm.RobustLineIntersector;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Location;
import org.locationtech.jts.index.strtree.STRtree;
import whipsaw.core.array.ArrayFrame;
import whipsaw.core.array.ArrayLayout;

/**
 * Panels of the other arrays on a roof, which shelter a side as those of its own array do. Only arrays whose high edge
 * is no lower count; what lies opposite the middle of a side counts, which is less than what lies opposite any of it.
 */
final class OtherPanels {
    private final STRtree tree = new STRtree();
    private final boolean none;

    OtherPanels(ArrayLayout own, List<ArrayLayout> others) {
        int count = 0;
        for (ArrayLayout other : others) {
            if (other.highEdgeM() < own.highEdgeM()) {
                continue;
            }
            for (Coordinate[] row : other.runCorners()) {
                Envelope box = new Envelope();
                for (Coordinate c : row) {
                    box.expandToInclude(c);
                }
                tree.insert(box, row);
                count++;
            }
        }
        none = count == 0;
    }

    /**
     * Whether a panel lies within a distance straight out from a side.
     *
     * @param s middle of the side along the row
     * @param t middle of it across the rows
     * @param alongS -1, 0 or 1: the way out along the row
     * @param acrossT the same across the rows
     */
    boolean within(ArrayFrame frame, double s, double t, int alongS, int acrossT, double mostM) {
        if (none) {
            return false;
        }
        Coordinate from = frame.plan(s, t);
        Coordinate to = frame.plan(s + alongS * mostM, t + acrossT * mostM);
        RobustLineIntersector meet = new RobustLineIntersector();
        for (Object found : tree.query(new Envelope(from, to))) {
            Coordinate[] row = (Coordinate[]) found;
            if (RayCrossingCounter.locatePointInRing(to, row) != Location.EXTERIOR) {
                return true;
            }
            for (int i = 1; i < row.length; i++) {
                meet.computeIntersection(from, to, row[i - 1], row[i]);
                if (meet.hasIntersection()) {
                    return true;
                }
            }
        }
        return false;
    }
}
