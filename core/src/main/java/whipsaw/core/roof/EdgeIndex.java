package whipsaw.core.roof;

import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.index.strtree.STRtree;

/** Edges of a roof by place, so that a panel need not be compared with every edge of an outline of hundreds. */
public final class EdgeIndex {
    private static final int FEW = 12;

    private final List<RoofPlan.Edge> edges;
    private final STRtree tree;

    /** @param edges of an outline, or walls made of them */
    public EdgeIndex(List<RoofPlan.Edge> edges) {
        this.edges = edges;
        this.tree = edges.size() > FEW ? new STRtree() : null;
        if (tree != null) {
            edges.forEach(e -> tree.insert(new Envelope(e.from(), e.to()), e));
            tree.build();
        }
    }

    /** Edges of which some may lie within a distance of a shape; never fewer than do. */
    @SuppressWarnings("unchecked")
    public List<RoofPlan.Edge> near(Coordinate[] shape, double distanceM) {
        if (tree == null) {
            return edges;
        }
        Envelope box = new Envelope();
        for (Coordinate c : shape) {
            box.expandToInclude(c);
        }
        // a hair more, as limits are compared with a slack
        box.expandBy(distanceM * (1 + 1e-6) + 1e-6);
        return tree.query(box);
    }
}
