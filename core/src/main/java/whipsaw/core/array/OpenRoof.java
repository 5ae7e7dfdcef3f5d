package whipsaw.core.array;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.operation.buffer.BufferOp;
import org.locationtech.jts.operation.buffer.BufferParameters;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobArray;
import whipsaw.core.job.Obstruction;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.roof.Together;

/**
 * What of the roof an array may take: inside the parapets, less the set-back, the areas of other arrays and what has to
 * stay clear of obstructions.
 *
 * @param apartM clear distance to the areas of other arrays where none was entered
 */
record OpenRoof(Job job, RoofPlan plan, double apartM) {
    /** Offset lines that meet in their corners, without the usual simplification of small steps. */
    private static final BufferParameters EXACT =
            new BufferParameters(4, BufferParameters.CAP_SQUARE, BufferParameters.JOIN_MITRE, 10);

    static {
        EXACT.setSimplifyFactor(0);
    }

    /** The area of the array as if the roof bore nothing. */
    Geometry bare(double setbackM) {
        return ownArea(bareRoof(setbackM));
    }

    /** The roof inside its parapets, less the set-back. */
    private Geometry bareRoof(double setback) {
        if (!job.roof().takesTrays() || job.placed() == null) {
            return plan.outline().getFactory().createPolygon();
        }
        double keepAll = plan.edges().get(0).parapetThicknessM() + setback;
        if (plan.edges().stream().allMatch(e -> e.parapetThicknessM() + setback == keepAll)) {
            return keepAll > 0 ? BufferOp.bufferOp(plan.outline(), -keepAll, EXACT) : plan.outline();
        }
        List<Geometry> strips = new ArrayList<>();
        GeometryFactory factory = plan.outline().getFactory();
        for (RoofPlan.Edge edge : plan.edges()) {
            double keep = edge.parapetThicknessM() + setback;
            if (keep > 0) {
                strips.add(factory.createPolygon(squareStrip(edge, keep)));
            }
        }
        return less(plan.outline(), strips);
    }

    /** What the array may take of the roof: its own area, less those of others it keeps clear of. */
    private Geometry ownArea(Geometry roof) {
        if (job.placed() == null
                || job.onThisRoof().size() == 1 && job.placed().area().isEmpty()) {
            return roof;
        }
        Geometry own = job.placed().area().isEmpty()
                ? roof
                : OverlayNGRobust.overlay(roof, ArrayAreas.polygon(job.placed()), OverlayNG.INTERSECTION);
        List<Geometry> others = new ArrayList<>();
        for (JobArray other : ArrayAreas.before(job)) {
            double keep = Math.max(apart(job.placed()), apart(other));
            Geometry area = ArrayAreas.polygon(other);
            others.add(keep > 0 ? BufferOp.bufferOp(area, keep, EXACT) : area);
        }
        return less(own, others);
    }

    private double apart(JobArray array) {
        return array.apart() == null ? apartM : array.apart().si();
    }

    /** All within a distance of an edge, square beyond its ends. */
    private static Coordinate[] squareStrip(RoofPlan.Edge edge, double keep) {
        double length = edge.lengthM();
        double dx = (edge.to().x - edge.from().x) / length * keep;
        double dy = (edge.to().y - edge.from().y) / length * keep;
        Coordinate first = new Coordinate(edge.from().x - dx + dy, edge.from().y - dy - dx);
        return new Coordinate[] {
            first,
            new Coordinate(edge.to().x + dx + dy, edge.to().y + dy - dx),
            new Coordinate(edge.to().x + dx - dy, edge.to().y + dy + dx),
            new Coordinate(edge.from().x - dx - dy, edge.from().y - dy + dx),
            first
        };
    }

    /** The same around the obstructions with the distances they keep, and less the paths. */
    Geometry around(Geometry roof, AccessPaths paths) {
        List<Geometry> keepOuts = new ArrayList<>();
        for (Obstruction o : job.roof().obstructions()) {
            keepOuts.add(RoofPlan.keptFree(o));
        }
        paths.strips().forEach(s -> keepOuts.add(s.area()));
        return less(roof, keepOuts);
    }

    /** Where the roof bears a module, whatever is kept clear of what stands there. */
    Geometry solid() {
        List<Geometry> things = new ArrayList<>();
        job.roof().obstructions().forEach(o -> things.add(RoofPlan.footprint(o)));
        return less(bare(0), things);
    }

    private static Geometry less(Geometry from, List<Geometry> parts) {
        return parts.isEmpty() ? from : OverlayNGRobust.overlay(from, Together.of(parts), OverlayNG.DIFFERENCE);
    }
}
