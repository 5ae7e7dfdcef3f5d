package whipsaw.core.survey;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import whipsaw.core.job.Job;
import whipsaw.core.job.Obstruction;
import whipsaw.core.job.ObstructionKinds;
import whipsaw.core.job.PinKinds;
import whipsaw.core.job.Survey;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.roof.Together;

/** Where nobody may step: around fragile lights and around pinned hazards that do not bear. */
public final class NoWalk {
    private NoWalk() {}

    /** The area on the plan; empty when nothing is fragile. */
    public static Geometry of(Job job, RoofPlan plan) {
        List<Geometry> parts = new ArrayList<>();
        for (Obstruction o : job.roof().obstructions()) {
            if (ObstructionKinds.fragile(o)) {
                parts.add(RoofPlan.footprint(o).buffer(SurveyRules.value("around_light"), 4));
            }
        }
        for (Survey.Pin pin : job.survey().pins()) {
            if (PinKinds.of(pin).noWalk()) {
                parts.add(plan.outline()
                        .getFactory()
                        .createPoint(new Coordinate(pin.x().si(), pin.y().si()))
                        .buffer(SurveyRules.value("around_pin"), 6));
            }
        }
        if (parts.isEmpty()) {
            return plan.outline().getFactory().createPolygon();
        }
        return Together.of(parts).intersection(plan.outline());
    }
}
