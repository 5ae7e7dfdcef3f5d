package whipsaw.core.explore;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.design.Design;
import whipsaw.core.design.ModuleEdits;
import whipsaw.core.design.Solver;
import whipsaw.core.design.WorthlessModules;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobReader;

/**
 * What the last modules of an array add to the energy of a year that is used or sold, after clipping and the limit of
 * export: the array with fewer and fewer modules, the most shaded out first, each solved whole.
 */
public final class LastModules {
    private static final int STEPS = 10;
    private static final double STEP = 0.05;

    private final Design design;
    private final Solver solver;

    /**
     * The array with so many modules.
     *
     * @param kept modules of the array
     * @param dcW of them
     * @param job what the whole job comes to
     * @param addedKwh used or sold in a year by each of the modules this has more than the next smaller one; NaN of the
     *     smallest
     */
    public record Step(int kept, double dcW, Tried job, double addedKwh) {
        /** Energy of a year that is used or sold. */
        public double usedOrSoldKwh() {
            return job.kwh() - job.givenUpKwh();
        }
    }

    /** @param design as the array sees it */
    public LastModules(Design design, Solver solver) {
        this.design = design;
        this.solver = solver;
    }

    /** From all modules down to half of them. */
    public List<Step> steps() {
        WorthlessModules worth = new WorthlessModules(design);
        double all = design.layout().modules().size();
        double moduleW = design.job().array().module().power().si();
        List<Step> steps = new ArrayList<>();
        for (int i = 0; i <= STEPS; i++) {
            int wanted = (int) Math.round(all * (1 - i * STEP));
            Design with = without(worth.beyond(wanted * moduleW));
            int kept = with.layout().modules().size();
            if (kept == 0
                    || !steps.isEmpty() && kept >= steps.get(steps.size() - 1).kept()) {
                continue;
            }
            Step now = new Step(kept, kept * moduleW, new Explorer(with, solver).present(), Double.NaN);
            if (!steps.isEmpty()) {
                Step more = steps.remove(steps.size() - 1);
                double each = (more.usedOrSoldKwh() - now.usedOrSoldKwh()) / (more.kept() - now.kept());
                steps.add(new Step(more.kept(), more.dcW(), more.job(), each));
            }
            steps.add(now);
        }
        return steps;
    }

    /**
     * The largest step whose modules each add so much; all before it add less.
     *
     * @param steps from all modules down
     * @param leastKwh used or sold in a year
     */
    public static Step worthWhile(List<Step> steps, double leastKwh) {
        for (Step s : steps) {
            if (Double.isNaN(s.addedKwh()) || s.addedKwh() >= leastKwh) {
                return s;
            }
        }
        return steps.get(steps.size() - 1);
    }

    private Design without(List<ArrayLayout.Module> out) {
        if (out.isEmpty()) {
            return design;
        }
        Job job = JobReader.read(DocumentPatch.apply(design.job(), new ModuleEdits(design).leaveOutModules(out)), false)
                .job();
        return solver.solve(job.at(design.job().place()), design);
    }
}
