package whipsaw.core.survey;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.operation.union.UnaryUnionOp;
import whipsaw.core.job.Job;
import whipsaw.core.job.ObstructionKinds;
import whipsaw.core.job.PinKinds;
import whipsaw.core.job.Survey;
import whipsaw.core.roof.RoofPlan;

/** Where nobody may step: around fragile lights and around pinned hazards that do not bear. */
public final class NoWalk {
    /** Kept around a fragile light, so that a stumble does not end on it. */
    private static final double AROUND_LIGHT_M = 0.5;

    /** Kept around a pinned place, whose extent nobody has drawn. */
    private static final double AROUND_PIN_M = 1.5;

    private NoWalk() {}

    /** The area on the plan; empty when nothing is fragile. */
    public static Geometry of(Job job, RoofPlan plan) {
        List<Geometry> parts = new ArrayList<>();
        for (Job.Obstruction o : job.roof().obstructions()) {
            if (ObstructionKinds.fragile(o)) {
                parts.add(RoofPlan.footprint(o).buffer(AROUND_LIGHT_M, 4));
            }
        }
        for (Survey.Pin pin : job.survey().pins()) {
            if (PinKinds.of(pin).noWalk()) {
                parts.add(plan.outline()
                        .getFactory()
                        .createPoint(new Coordinate(pin.x().si(), pin.y().si()))
                        .buffer(AROUND_PIN_M, 6));
            }
        }
        if (parts.isEmpty()) {
            return plan.outline().getFactory().createPolygon();
        }
        return UnaryUnionOp.union(parts).intersection(plan.outline());
    }
}
