package whipsaw.app.web;

import java.io.IOException;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import whipsaw.app.catalogue.CatalogueService;
import whipsaw.app.catalogue.EntryColumns;
import whipsaw.app.print.CsvCell;
import whipsaw.app.store.CatalogueStore;
import whipsaw.app.store.ColumnMappingStore;
import whipsaw.app.store.Json;
import whipsaw.app.store.StoreException;
import whipsaw.core.job.JobReader;
import whipsaw.core.units.UnitSystem;

/** The catalogue: what is in it, and adding to it by form or CSV after a look at what would be taken. */
@Controller
public class CatalogueController {
    /** Kinds with their words, in the order of the pages. */
    public static final Map<String, String> KINDS = new LinkedHashMap<>();

    static {
        KINDS.put("tray-system", "Tray systems");
        KINDS.put("module", "Modules");
        KINDS.put("block", "Blocks");
        KINDS.put("attachment", "Attachments");
        KINDS.put("inverter", "Inverters");
        KINDS.put("conductor", "Conductors");
        KINDS.put("member", "Sections of members");
    }

    private final CatalogueStore store;
    private final CatalogueService service;
    private final ColumnMappingStore mappings;

    public CatalogueController(CatalogueStore store, CatalogueService service, ColumnMappingStore mappings) {
        this.store = store;
        this.service = service;
        this.mappings = mappings;
    }

    /** An entry as a line of cells in the order of the columns. */
    public record Line(CatalogueStore.Entry entry, List<String> cells) {}

    @GetMapping("/catalogue")
    public String first() {
        return "redirect:/catalogue/" + JobReader.KINDS.get(0);
    }

    @GetMapping("/catalogue/{kind}")
    public String kind(@PathVariable String kind, Model model) {
        fill(kind, model);
        return "catalogue";
    }

    private void fill(String kind, Model model) {
        known(kind);
        model.addAttribute("kind", kind);
        model.addAttribute("kinds", KINDS);
        model.addAttribute("columns", EntryColumns.of(kind));
        model.addAttribute("lines", lines(kind));
        model.addAttribute("mappings", mappings.of(kind).keySet());
    }

    private List<Line> lines(String kind) {
        List<EntryColumns.Column> columns = EntryColumns.of(kind);
        return store.editions(kind).stream()
                .map(e -> new Line(
                        e,
                        columns.stream()
                                .map(c -> EntryColumns.cell(e.body().get(c.key())))
                                .toList()))
                .toList();
    }

    static void known(String kind) {
        if (!KINDS.containsKey(kind)) {
            throw new StoreException("the catalogue has no '" + kind + "'");
        }
    }

    /** All entries of a kind as CSV, in the form that can be read back. */
    @GetMapping("/catalogue/{kind}.csv")
    public ResponseEntity<byte[]> csv(@PathVariable String kind) throws IOException {
        known(kind);
        StringWriter out = new StringWriter();
        try (CSVPrinter csv = new CSVPrinter(out, CSVFormat.RFC4180)) {
            csv.printRecord(EntryColumns.of(kind).stream().map(EntryColumns.Column::key));
            for (Line line : lines(kind)) {
                csv.printRecord(line.cells().stream().map(CsvCell::safe));
            }
        }
        return Download.of(kind + ".csv", Download.CSV, out.toString());
    }

    /** Looks at a form or a CSV; nothing is taken yet. */
    @PostMapping("/catalogue/{kind}/preview")
    public String preview(
            @PathVariable String kind,
            @RequestParam Map<String, String> form,
            @RequestParam(required = false) MultipartFile upload,
            Model model)
            throws IOException {
        fill(kind, model);
        boolean chosen = upload != null && !upload.isEmpty();
        String csv = chosen ? new String(upload.getBytes(), StandardCharsets.UTF_8) : form.getOrDefault("csv", "");
        try {
            List<Map<String, String>> rows = csv.isBlank() ? List.of(typed(kind, form)) : service.rows(kind, csv);
            show(kind, rows, units(form), model);
        } catch (IllegalArgumentException e) {
            model.addAttribute("refused", e.getMessage());
        }
        model.addAttribute("typed", form);
        return "catalogue";
    }

    /** Looks at lines that were mapped from another table. */
    String previewRows(String kind, List<Map<String, String>> rows, Map<String, String> form, Model model) {
        fill(kind, model);
        if (rows.isEmpty()) {
            model.addAttribute("refused", "no line of the file has a name: map the column of names");
        } else {
            show(kind, rows, units(form), model);
        }
        return "catalogue";
    }

    private static Map<String, String> typed(String kind, Map<String, String> form) {
        Map<String, String> texts = new LinkedHashMap<>();
        EntryColumns.of(kind).forEach(c -> texts.put(c.key(), form.getOrDefault(c.key(), "")));
        return texts;
    }

    private void show(String kind, List<Map<String, String>> rows, UnitSystem bare, Model model) {
        List<CatalogueService.Candidate> candidates = service.candidates(kind, rows, bare);
        model.addAttribute("candidates", candidates);
        model.addAttribute("takeable", candidates.stream().allMatch(CatalogueService.Candidate::ok));
        model.addAttribute(
                "doubtful", candidates.stream().anyMatch(c -> !c.doubts().isEmpty()));
        model.addAttribute("rows", Json.write(rows));
        model.addAttribute("units", bare.key());
    }

    private static UnitSystem units(Map<String, String> form) {
        return "us".equals(form.get("units")) ? UnitSystem.US : UnitSystem.METRIC;
    }

    /** Takes what was looked at: all of it or nothing. */
    @PostMapping("/catalogue/{kind}")
    public String take(@PathVariable String kind, @RequestParam Map<String, String> form, Model model) {
        known(kind);
        List<Map<String, String>> rows = Json.list(form.getOrDefault("rows", "[]")).stream()
                .map(row -> {
                    Map<String, String> texts = new LinkedHashMap<>();
                    if (row instanceof Map<?, ?> map) {
                        map.forEach((k, v) -> texts.put(String.valueOf(k), String.valueOf(v)));
                    }
                    return texts;
                })
                .toList();
        List<CatalogueService.Candidate> candidates = service.candidates(kind, rows, units(form));
        boolean ok = !candidates.isEmpty() && candidates.stream().allMatch(CatalogueService.Candidate::ok);
        boolean doubtful = candidates.stream().anyMatch(c -> !c.doubts().isEmpty());
        if (!ok || (doubtful && !"yes".equals(form.get("checked")))) {
            fill(kind, model);
            show(kind, rows, units(form), model);
            model.addAttribute(
                    "refused",
                    ok ? "tick that the unlikely figures have been checked" : "nothing was taken: see below");
            return "catalogue";
        }
        service.take(kind, candidates);
        return "redirect:/catalogue/" + kind;
    }
}
