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
import whipsaw.app.job.Laying;
import whipsaw.app.store.LaidStore;
import whipsaw.app.store.StoreException;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.build.AsLaid;
import whipsaw.core.build.BallastMap;
import whipsaw.core.design.Design;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;

/** What a crew needs on the roof, on a phone: the blocks of one row at a time, and the tape. */
@Controller
public class FieldController {
    private final JobService jobs;
    private final Laying laying;

    public FieldController(JobService jobs, Laying laying) {
        this.jobs = jobs;
        this.laying = laying;
    }

    /**
     * One position of a row.
     *
     * @param number on every sheet
     * @param full whether it lacks blocks
     * @param attached whether attachments hold what its blocks do not
     * @param breakBefore whether the row is interrupted before it
     * @param state as laid; null where nothing is signed to lay from
     * @param off blocks that differ from the map, as a sign and a number; empty where none
     * @param tick what was said with it; null where nobody ticked it
     */
    public record Cell(
            String number,
            String place,
            String count,
            boolean full,
            boolean attached,
            boolean breakBefore,
            AsLaid.State state,
            String off,
            LaidStore.Laid tick) {}

    @GetMapping("/jobs/{slug}/field")
    public String row(
            @PathVariable String slug,
            @RequestParam(defaultValue = "0") int row,
            @RequestParam(defaultValue = "") String at,
            Model model) {
        JobService.Shown shown = jobs.open(slug);
        Laying.OnRoof roof = laying.of(slug);
        String array = shown.design().job().place();
        boolean signed = roof != null && roof.map().array(array) != null;
        Design design = signed ? jobs.at(slug, roof.signature().revision()).design() : shown.design();
        TreeSet<Integer> rows = new TreeSet<>();
        if (signed) {
            roof.map().array(array).places().forEach(p -> rows.add(p.row()));
        } else {
            design.layout().modules().forEach(m -> rows.add(m.crewRow()));
        }
        int wanted = row == 0 && !rows.isEmpty() ? rows.first() : row;
        if (!rows.isEmpty() && !rows.contains(wanted)) {
            throw new StoreException("there is no row " + row + " in this job: the nearest with modules are "
                    + (rows.lower(row) == null ? "" : rows.lower(row) + (rows.higher(row) == null ? "" : " and "))
                    + (rows.higher(row) == null ? "" : rows.higher(row)));
        }
        List<Cell> cells = signed ? signedCells(roof, array, wanted) : cells(design, wanted);
        model.addAttribute("slug", slug);
        model.addAttribute("job", design.job());
        model.addAttribute("places", Places.of(shown.design()));
        model.addAttribute("revision", shown.revision());
        model.addAttribute("standing", jobs.standing(shown));
        model.addAttribute("signature", signed ? roof.signature() : null);
        model.addAttribute("array", array);
        model.addAttribute("sum", signed ? roof.laid().row(array, wanted) : null);
        model.addAttribute(
                "at",
                cells.stream().filter(c -> c.number().equals(at)).findFirst().orElse(null));
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
        model.addAttribute("words", signed ? words(design, roof.map().array(array), wanted) : words(design, wanted));
        model.addAttribute("walkway", walkwayBehind(design, wanted));
        model.addAttribute("stamp", SmallDrawing.of(design, wanted));
        return "field";
    }

    private static String words(Design design, int row) {
        if (!design.holdDown().established()) {
            return "blocks not established: do not place any";
        }
        int blocks = blocks(design, row);
        return words(design, blocks, blocks * design.holdDown().block().laidKg());
    }

    private static String words(Design design, BallastMap.MapArray array, int row) {
        int blocks = array.places().stream()
                .filter(p -> p.row() == row)
                .mapToInt(BallastMap.Place::blocks)
                .sum();
        return words(design, blocks, blocks * array.blockKg());
    }

    private static String words(Design design, int blocks, double kg) {
        return blocks + " blocks, " + Show.in(design.job().project().units(), Dimension.MASS, kg);
    }

    /** A row of the signed map with its ticks. */
    private static List<Cell> signedCells(Laying.OnRoof roof, String array, int row) {
        return roof.map().array(array).places().stream()
                .filter(p -> p.row() == row)
                .map(p -> {
                    AsLaid.State state = roof.laid().state(array, p);
                    int off = Math.abs(roof.laid().blocks(array, p) - p.blocks());
                    return new Cell(
                            p.number(),
                            p.label(),
                            p.blocks() + (p.attached() ? "+A" : ""),
                            false,
                            p.attached(),
                            p.breakBefore(),
                            state,
                            off > 0 ? off + " " + state.words() : state.words(),
                            roof.tick(array, p));
                })
                .toList();
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
                    p.number(),
                    place,
                    count,
                    known && p.ballast().lacks(),
                    known && p.ballast().attached(),
                    apart,
                    null,
                    "",
                    null));
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
