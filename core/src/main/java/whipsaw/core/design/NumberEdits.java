package whipsaw.core.design;

import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.array.CrewNumbers;
import whipsaw.core.job.DocumentPatch.Change;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobArray;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.JobWriter;
import whipsaw.core.job.KeptNumbers;
import whipsaw.core.schema.Path;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Quantity;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitText;

/**
 * Changes that keep the crew's numbers of an array as they are once its sheet is signed, or have them counted anew. What
 * makes no sense is an {@link IllegalArgumentException} with the reason in words.
 */
public final class NumberEdits {
    private static final Path<?> NUMBERS = JobPaths.PLACED.to(JobArray::numbers);

    private final Design design;

    public NumberEdits(Design design) {
        this.design = design;
    }

    /**
     * Keeps the numbers as they are.
     *
     * @param by who signed the sheet
     */
    public List<Change> keep(String by, LocalDate on) {
        if (design.layout().modules().isEmpty()) {
            throw new IllegalArgumentException(design.job().name() + " has no modules to number");
        }
        if (by.isBlank()) {
            throw new IllegalArgumentException("say who signed the sheet, for example O. Tallis PE");
        }
        Coordinate middle = middle(design.layout());
        KeptNumbers kept =
                new KeptNumbers(by, on, measure(middle.x), measure(middle.y), CrewNumbers.rowsOf(design.layout()));
        return List.of(new Change("set", path(), JobWriter.part(kept)));
    }

    /** Mean of the places of all modules: another gap, a walkway elsewhere or a turn move it too. */
    private static Coordinate middle(ArrayLayout layout) {
        double s = 0;
        double t = 0;
        for (ArrayLayout.Module m : layout.modules()) {
            s += m.s();
            t += m.t();
        }
        int n = layout.modules().size();
        return layout.frame().plan(s / n, t / n);
    }

    private Measure measure(double si) {
        return UnitText.parse(
                Show.exact(design.job().project().units(), Dimension.ROOF_LENGTH, si), Quantity.LENGTH, null);
    }

    /** Counts anew. */
    public List<Change> release() {
        if (design.job().placed() == null || design.job().placed().numbers() == null) {
            throw new IllegalArgumentException(
                    "no numbers are kept for " + design.job().name() + ": load the page again");
        }
        return List.of(new Change("remove", path(), null));
    }

    private String path() {
        Job job = design.job();
        return JobPaths.absolute(NUMBERS.toString(), job);
    }

    /**
     * What kept numbers and the array have in common.
     *
     * @param added modules that came since
     * @param gone modules that are gone since
     * @param movedM how far the middle of the modules has moved; 0 where some came or went, which is said instead
     */
    public record Since(int added, int gone, double movedM) {
        /** Null where no numbers are kept. */
        static Since of(Design design) {
            KeptNumbers kept =
                    design.job().placed() == null ? null : design.job().placed().numbers();
            if (kept == null || kept.rows().isEmpty()) {
                return null;
            }
            Set<String> then = new HashSet<>();
            kept.rows().forEach(r -> r.columns().forEach(c -> then.add(r.row() + "-" + c)));
            int still = (int) design.layout().modules().stream()
                    .filter(m -> then.contains(m.id()))
                    .count();
            int added = design.layout().modules().size() - still;
            int gone = then.size() - still;
            double moved = added + gone > 0
                    ? 0
                    : middle(design.layout())
                            .distance(new Coordinate(kept.x().si(), kept.y().si()));
            return new Since(added, gone, moved);
        }
    }
}
