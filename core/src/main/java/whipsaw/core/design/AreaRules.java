package whipsaw.core.design;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Polygon;
import whipsaw.core.array.ArrayAreas;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobArray;
import whipsaw.core.job.JobPaths;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.schema.Path;
import whipsaw.core.schema.Problem;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;

/** Areas of the arrays on one roof: each a plain polygon on that roof, none on another, one array at most without. */
final class AreaRules {
    private static final Path<?> AREA = JobPaths.PLACED.to(JobArray::area);
    /** Less than this is no overlap but a line drawn twice, m2. */
    private static final double NOTHING_M2 = 1e-3;

    private AreaRules() {}

    static List<Problem> check(Job job, RoofPlan plan) {
        List<Problem> problems = new ArrayList<>();
        JobArray own = job.placed();
        List<JobArray> others =
                job.onThisRoof().stream().filter(a -> !a.id().equals(own.id())).toList();
        if (own.area().isEmpty()) {
            others.stream()
                    .filter(a -> a.area().isEmpty())
                    .findFirst()
                    .ifPresent(
                            a -> problems.add(
                                    Problem.at(
                                            AREA,
                                            "",
                                            "is missing: array " + a.name()
                                                    + " already takes all that the areas leave of this roof; draw an area for one of them")));
            return problems;
        }
        Polygon area = ArrayAreas.polygon(own);
        if (!area.isValid()) {
            problems.add(Problem.at(AREA, corners(own), "crosses itself: go round it in one turn, corner by corner"));
            return problems;
        }
        if (!area.intersects(plan.outline())) {
            problems.add(Problem.at(AREA, corners(own), "lies beside the roof: draw it on the roof"));
        }
        for (JobArray other : others) {
            Polygon theirs = other.area().isEmpty() ? null : ArrayAreas.polygon(other);
            double common = theirs == null || !theirs.isValid()
                    ? 0
                    : area.intersection(theirs).getArea();
            if (common > NOTHING_M2) {
                problems.add(Problem.at(
                        AREA,
                        corners(own),
                        "lies over the area of array " + other.name() + " by "
                                + Show.in(job.project().units(), Dimension.AREA, common)
                                + ": move a corner, so that areas touch at most"));
            }
        }
        return problems;
    }

    private static String corners(JobArray array) {
        return array.area().size() + " corners";
    }
}
