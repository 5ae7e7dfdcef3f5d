package whipsaw.app.web;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.ui.Model;
import whipsaw.app.drawing.PlanDrawing;
import whipsaw.app.entry.InputNames;
import whipsaw.core.build.Counts;
import whipsaw.core.check.Check;
import whipsaw.core.design.Design;
import whipsaw.core.design.DesignChange;
import whipsaw.core.figure.Figures;
import whipsaw.core.job.DocumentDiff;
import whipsaw.core.job.JobDocument;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.JobWriter;

/**
 * Two designs side by side: drawings, figures, checks, inputs and what is delivered.
 *
 * @param names of inputs
 */
record Comparison(Design before, Design after, InputNames names) {

    /** A figure before and after. */
    public record Pair(String name, String before, String after) {
        public boolean same() {
            return before.equals(after);
        }
    }

    /** Puts all of it into a page. */
    void fill(Model model) {
        DesignChange change = DesignChange.between(before, after);
        model.addAttribute("job", after.job());
        model.addAttribute("change", change);
        model.addAttribute("figures", figures());
        model.addAttribute("checks", checks());
        model.addAttribute("inputs", inputs());
        model.addAttribute("delivered", delivered());
        model.addAttribute("planBefore", PlanDrawing.forComparison(before, List.of(), before));
        model.addAttribute("planAfter", PlanDrawing.forComparison(after, change.changed(), before));
    }

    private List<Pair> figures() {
        var a = Totals.of(before, new Figures(before, before.whole().tables()).status())
                .cells();
        var b = Totals.of(after, new Figures(after, after.whole().tables()).status())
                .cells();
        List<Pair> pairs = new ArrayList<>();
        for (int i = 0; i < b.size(); i++) {
            pairs.add(new Pair(b.get(i).name(), words(a.get(i)), words(b.get(i))));
        }
        return pairs;
    }

    private static String words(Totals.Cell cell) {
        return cell.value() + ", " + cell.other();
    }

    /** Checks that say something else, those that stop the job afterwards first. */
    private List<Pair> checks() {
        List<Pair> pairs = new ArrayList<>();
        for (Check check : after.checks()) {
            Pair pair = new Pair(check.heading(), said(before, check), said(after, check));
            if (!pair.same()) {
                pairs.add(pair);
            }
        }
        for (Check check : before.checks()) {
            if (after.checks().stream().noneMatch(c -> same(c, check))) {
                pairs.add(new Pair(check.heading(), said(before, check), "does not arise"));
            }
        }
        return pairs;
    }

    private static boolean same(Check a, Check b) {
        return a.id().equals(b.id()) && a.where().equals(b.where());
    }

    private static String said(Design design, Check check) {
        return design.checks().stream()
                .filter(c -> same(c, check))
                .map(c -> c.verdict().mark() + " " + c.verdict().words() + ": " + c.sum())
                .findFirst()
                .orElse("does not arise");
    }

    private List<Pair> inputs() {
        return DocumentDiff.between(JobWriter.write(before.job()), JobWriter.write(after.job())).stream()
                .filter(e -> !e.path()
                        .startsWith(
                                JobPaths.DOCUMENT.to(JobDocument::codeTables).toString()))
                .map(e -> new Pair(names.name(e.path()), e.before(), e.after()))
                .toList();
    }

    /** What is delivered, item by item: also what is no longer wanted, to be sent back, and what is new, to be ordered. */
    private List<Pair> delivered() {
        Map<String, String[]> items = new LinkedHashMap<>();
        for (Counts.Line line : before.counts().lines()) {
            items.put(line.item(), new String[] {line.quantity(), "none"});
        }
        for (Counts.Line line : after.counts().lines()) {
            items.computeIfAbsent(line.item(), i -> new String[] {"none", ""})[1] = line.quantity();
        }
        return items.entrySet().stream()
                .map(e -> new Pair(e.getKey(), e.getValue()[0], e.getValue()[1]))
                .toList();
    }
}
