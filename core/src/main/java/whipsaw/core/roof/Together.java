package whipsaw.core.roof;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.index.strtree.STRtree;
import org.locationtech.jts.operation.union.UnaryUnionOp;

/** Many shapes as one; only those whose boxes meet are merged, which is quick where most stand apart. */
public final class Together {
    private static final int FEW = 8;

    private Together() {}

    /** The union of polygons; null of none. */
    public static Geometry of(List<? extends Geometry> parts) {
        if (parts.size() <= FEW) {
            return parts.isEmpty() ? null : UnaryUnionOp.union(parts);
        }
        STRtree tree = new STRtree();
        parts.forEach(p -> tree.insert(p.getEnvelopeInternal(), p));
        List<Polygon> alone = new ArrayList<>();
        List<Geometry> meeting = new ArrayList<>();
        for (Geometry part : parts) {
            boolean meets = tree.query(part.getEnvelopeInternal()).size() > 1;
            if (!meets && part instanceof Polygon polygon) {
                alone.add(polygon);
            } else {
                meeting.add(part);
            }
        }
        if (!meeting.isEmpty()) {
            Geometry merged = UnaryUnionOp.union(meeting);
            for (int i = 0; i < merged.getNumGeometries(); i++) {
                if (merged.getGeometryN(i) instanceof Polygon polygon) {
                    alone.add(polygon);
                }
            }
        }
        return parts.get(0).getFactory().createMultiPolygon(alone.toArray(Polygon[]::new));
    }
}
