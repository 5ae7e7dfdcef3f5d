package whipsaw.core.roof;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.job.DocumentPatch.Change;
import whipsaw.core.job.Footprint;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.Obstruction;
import whipsaw.core.schema.Path;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.Unit;

/** Things whose place was measured from two edges: a new size keeps their nearest sides where they were measured. */
public final class MeasuredPlaces {
    private MeasuredPlaces() {}

    /** Changes that put things back to the distances measured for them, where a change of size moved their sides. */
    public static List<Change> follow(Job before, Job after) {
        Map<String, Obstruction> old = before.roof().obstructions().stream()
                .collect(Collectors.toMap(Obstruction::id, Function.identity(), (a, b) -> a));
        List<Change> changes = new ArrayList<>();
        RoofPlan plan = null;
        for (Obstruction o : after.roof().obstructions()) {
            Obstruction was = old.get(o.id());
            boolean sized = was != null
                    && !o.footprint().measured().isEmpty()
                    && o.footprint().measured().equals(was.footprint().measured())
                    && o.x().si() == was.x().si()
                    && o.y().si() == was.y().si()
                    && !sameSize(o, was);
            if (sized) {
                plan = plan == null ? RoofPlan.of(after.roof()) : plan;
                back(o, plan, after, changes);
            }
        }
        return changes;
    }

    private static boolean sameSize(Obstruction a, Obstruction b) {
        return a.width().si() == b.width().si()
                && a.depth().si() == b.depth().si()
                && a.footprint().shape() == b.footprint().shape()
                && a.footprint().corners().equals(b.footprint().corners());
    }

    private static void back(Obstruction o, RoofPlan plan, Job job, List<Change> changes) {
        Unit unit = Dimension.ROOF_LENGTH.unit(job.project().units());
        try {
            Coordinate at = EdgeOffsets.place(EdgeOffsets.read(o.footprint().measured(), plan, unit), o, plan);
            Path<Footprint> path = JobPaths.footprint(o.id());
            changes.add(
                    Change.set(path.to(Footprint::x), Show.exact(job.project().units(), Dimension.ROOF_LENGTH, at.x)));
            changes.add(
                    Change.set(path.to(Footprint::y), Show.exact(job.project().units(), Dimension.ROOF_LENGTH, at.y)));
        } catch (EdgeOffsets.NoPlace e) {
            // the edges it names are gone: a check says so
        }
    }
}
