package whipsaw.core.structure;

import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.linearref.LengthIndexedLine;
import whipsaw.core.formula.Formulas;
import whipsaw.core.formula.From;
import whipsaw.core.formula.Measured;
import whipsaw.core.formula.Values;
import whipsaw.core.job.Job;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.site.SiteActions;
import whipsaw.core.site.SnowDrifts;

/**
 * How deep snow lies where the AC run crosses the roof: even snow, drifts at parapets and plant, and behind rows of
 * modules, the largest at each place. A load is a depth by the weight of snow the code family drifts with.
 *
 * @param evenM depth without drifts
 * @param atM length along the run from its first point to there
 * @param depth values of the symbols of the greatest depth along the run
 */
public record SnowOnRun(double evenM, double atM, Values depth) {
    private static final Formulas DEPTH = Formulas.of("")
            .in("p", "all snow there", Measured.PASCAL)
            .in("γ", "weight of snow", Measured.NEWTON_PER_CUBIC_METRE.digits(3))
            .let("d", "deepest snow on the run", "{p} / {γ}", Measured.ROOF_LENGTH, "a load is a depth by its weight")
            .build();
    private static final double STEP_M = 0.1;
    private static final double SAME_M = 1e-6;

    /** Whether no drift reaches the run. */
    public boolean even() {
        return deepestM() - evenM < SAME_M;
    }

    /** Null without a run on the plan, and where the snow is not known, not there or an engineer's. */
    public static SnowOnRun of(Job job, RoofPlan plan, SiteActions site, List<RowSnow> rows) {
        SnowDrifts drifts = site.drifts();
        Coordinate[] points = job.electrical().run().points().stream()
                .map(c -> new Coordinate(c.x().si(), c.y().si()))
                .toArray(Coordinate[]::new);
        if (drifts == null
                || points.length < 2
                || !(drifts.uniformPa() > 0)
                || !job.roof().takesTrays()) {
            return null;
        }
        LineString run = new GeometryFactory().createLineString(points);
        LengthIndexedLine along = new LengthIndexedLine(run);
        double most = -1;
        double at = 0;
        int steps = Math.max(1, (int) Math.ceil(run.getLength() / STEP_M));
        for (int i = 0; i <= steps; i++) {
            double m = run.getLength() * i / steps;
            Coordinate c = along.extractPoint(m);
            double more = plan.outline().distance(run.getFactory().createPoint(c)) > 0
                    ? Double.NaN
                    : Math.max(drifts.moreThanUniform(c.x, c.y), RowSnow.most(rows, c.x, c.y));
            if (more > most) {
                most = more;
                at = m;
            }
        }
        if (most < 0) {
            return null;
        }
        return new SnowOnRun(depth(drifts, 0).si("d"), at, depth(drifts, most));
    }

    private static Values depth(SnowDrifts drifts, double morePa) {
        return DEPTH.values()
                .put("p", drifts.uniformPa() + morePa)
                .put("γ", drifts.weightNPerM3(), From.figure(null))
                .compute();
    }

    /** Greatest depth along the run. */
    public double deepestM() {
        return depth.si("d");
    }
}
