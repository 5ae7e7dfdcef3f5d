package whipsaw.app.web;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import whipsaw.app.drawing.SmallDrawing;
import whipsaw.app.entry.EntryForm;
import whipsaw.app.job.JobService;
import whipsaw.app.store.StoreException;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.design.Design;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/** What a crew needs on the roof, on a phone: the blocks of one row at a time, and the tape. */
@Controller
public class FieldController {
    private final JobService jobs;

    public FieldController(JobService jobs) {
        this.jobs = jobs;
    }

    /**
     * One position of a row.
     *
     * @param full whether it lacks blocks
     * @param attached whether attachments hold what its blocks do not
     * @param breakBefore whether the row is interrupted before it
     */
    public record Cell(String place, String count, boolean full, boolean attached, boolean breakBefore) {}

    @GetMapping("/jobs/{slug}/field")
    public String row(@PathVariable String slug, @RequestParam(defaultValue = "0") int row, Model model) {
        JobService.Shown shown = jobs.open(slug);
        Design design = shown.design();
        TreeSet<Integer> rows = new TreeSet<>();
        design.layout().modules().forEach(m -> rows.add(m.crewRow()));
        int wanted = row == 0 && !rows.isEmpty() ? rows.first() : row;
        if (!rows.isEmpty() && !rows.contains(wanted)) {
            throw new StoreException("there is no row " + row + " in this job: the nearest with modules are "
                    + (rows.lower(row) == null ? "" : rows.lower(row) + (rows.higher(row) == null ? "" : " and "))
                    + (rows.higher(row) == null ? "" : rows.higher(row)));
        }
        List<Cell> cells = cells(design, wanted);
        UnitSystem units = design.job().project().units();
        boolean known = design.holdDown().established();
        int blocks = blocks(design, wanted);
        double kg = blocks * design.holdDown().block().laidKg();
        model.addAttribute("slug", slug);
        model.addAttribute("job", design.job());
        model.addAttribute("places", Places.of(design));
        model.addAttribute("revision", shown.revision());
        model.addAttribute("row", wanted);
        model.addAttribute("last", rows.isEmpty() ? 0 : rows.last());
        model.addAttribute("before", rows.lower(wanted));
        model.addAttribute("after", rows.higher(wanted));
        model.addAttribute("cells", cells);
        model.addAttribute("rows", rows.size());
        model.addAttribute("choices", rows);
        model.addAttribute("short", cells.stream().anyMatch(Cell::full));
        model.addAttribute("attached", cells.stream().anyMatch(Cell::attached));
        model.addAttribute("breaks", cells.stream().anyMatch(Cell::breakBefore));
        model.addAttribute("countsFrom", design.layout().countsFrom());
        model.addAttribute("rowsFrom", design.layout().rowsFrom());
        model.addAttribute(
                "words",
                known
                        ? blocks + " blocks, " + Show.in(units, Dimension.MASS, kg)
                        : "blocks not established: do not place any");
        model.addAttribute("walkway", walkwayBehind(design, wanted));
        model.addAttribute("stamp", SmallDrawing.of(design, wanted));
        return "field";
    }

    private static int blocks(Design design, int row) {
        return design.holdDown().positions().stream()
                .filter(p -> p.row() == row)
                .mapToInt(p -> p.ballast().blocksPlaced())
                .sum();
    }

    private static boolean walkwayBehind(Design design, int row) {
        return design.layout().modules().stream()
                .anyMatch(m ->
                        m.crewRow() == row && design.layout().walkwaysAfter().contains(m.row()));
    }

    private static List<Cell> cells(Design design, int row) {
        ArrayLayout layout = design.layout();
        boolean known = design.holdDown().established();
        List<Cell> cells = new ArrayList<>();
        HoldDown.Position before = null;
        for (HoldDown.Position p : design.holdDown().positions()) {
            if (p.row() != row) {
                continue;
            }
            boolean apart = before != null && !HoldDown.follows(layout, before, p);
            String place = p.label();
            String count = known ? p.ballast().blocksPlaced() + p.ballast().mark() : "?";
            cells.add(new Cell(
                    place,
                    count,
                    known && p.ballast().lacks(),
                    known && p.ballast().attached(),
                    apart));
            before = p;
        }
        return cells;
    }

    /** Entering the tape survey with large keys. */
    @GetMapping("/jobs/{slug}/field/tape")
    public String tape(@PathVariable String slug, Model model) {
        JobService.Shown shown = jobs.open(slug);
        model.addAttribute("slug", slug);
        model.addAttribute("job", shown.design().job());
        model.addAttribute("revision", shown.revision());
        model.addAttribute("tape", EntryForm.tape(shown.design().job()));
        return "field-tape";
    }
}
