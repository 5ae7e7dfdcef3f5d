package whipsaw.app.web;

import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import whipsaw.app.catalogue.ColumnMapping;
import whipsaw.app.catalogue.EntryColumns;
import whipsaw.app.reading.FileReading;
import whipsaw.app.store.ColumnMappingStore;
import whipsaw.app.store.Json;

/** Catalogue entries from a maker's own table: its columns are mapped once, looked at, and the mapping is kept by name. */
@Controller
public class MappedImportController {
    private static final int MOST_BYTES = 4_000_000;
    private static final int LONGEST_NAME = 60;
    private static final int LONGEST_TABLE = 1_500_000;
    private static final int SAMPLES = 3;

    private final FileReading files;
    private final ColumnMappingStore mappings;
    private final CatalogueController catalogue;

    public MappedImportController(FileReading files, ColumnMappingStore mappings, CatalogueController catalogue) {
        this.files = files;
        this.mappings = mappings;
        this.catalogue = catalogue;
    }

    /** A column of the file with its first values. */
    public record Heading(String name, String samples) {}

    /** Reads a file and shows which of its columns would become what. */
    @PostMapping("/catalogue/{kind}/columns")
    public String columns(
            @PathVariable String kind,
            @RequestParam(required = false) MultipartFile upload,
            @RequestParam(defaultValue = "") String mapping,
            Model model)
            throws IOException {
        CatalogueController.known(kind);
        if (upload == null || upload.isEmpty() || upload.getSize() > MOST_BYTES) {
            throw WorkOutController.refused(
                    "$.upload", "File", "", "is missing or over 4 MB: choose a CSV or XLSX file with headings");
        }
        String file = String.valueOf(upload.getOriginalFilename());
        List<List<String>> table;
        try {
            table = files.table(upload.getBytes());
        } catch (FileReading.Unreadable e) {
            throw WorkOutController.refused("$.upload", "File", file, e.getMessage());
        }
        Map<String, Map<String, Object>> kept = mappings.of(kind);
        ColumnMapping chosen = ColumnMapping.guessed(kind, table.get(0), file);
        String name = "";
        String missing = "";
        if (kept.containsKey(mapping)) {
            ColumnMapping known = ColumnMapping.of(kept.get(mapping));
            missing = String.join(", ", known.missing(table.get(0)));
            chosen = missing.isEmpty() ? known : chosen;
            name = mapping;
        }
        show(kind, table, chosen, name, model);
        model.addAttribute("missing", missing);
        return "columns";
    }

    private void show(String kind, List<List<String>> table, ColumnMapping mapping, String name, Model model) {
        List<Heading> headings = new ArrayList<>();
        for (int c = 0; c < table.get(0).size(); c++) {
            int column = c;
            String samples = String.join(
                    "; ",
                    table.subList(1, table.size()).stream()
                            .map(r -> column < r.size() ? r.get(column) : "")
                            .filter(v -> !v.isBlank())
                            .limit(SAMPLES)
                            .toList());
            if (!table.get(0).get(c).isBlank()) {
                headings.add(new Heading(table.get(0).get(c), samples));
            }
        }
        model.addAttribute("kind", kind);
        model.addAttribute("kinds", CatalogueController.KINDS);
        model.addAttribute("columns", EntryColumns.of(kind));
        model.addAttribute("headings", headings);
        model.addAttribute("mapping", mapping);
        model.addAttribute("name", name);
        model.addAttribute("lines", table.size() - 1);
        model.addAttribute("table", Json.write(table));
    }

    /** What the mapped lines would be as entries; the mapping is kept where it has a name. */
    @PostMapping("/catalogue/{kind}/mapped")
    public String mapped(@PathVariable String kind, @RequestParam Map<String, String> form, Model model) {
        CatalogueController.known(kind);
        List<List<String>> table = table(form.getOrDefault("table", ""));
        Map<String, ColumnMapping.Part> parts = new LinkedHashMap<>();
        for (EntryColumns.Column c : EntryColumns.of(kind)) {
            parts.put(
                    c.key(),
                    new ColumnMapping.Part(
                            form.getOrDefault("h." + c.key(), ""),
                            form.getOrDefault("u." + c.key(), "").strip(),
                            form.getOrDefault("f." + c.key(), "").strip()));
        }
        ColumnMapping mapping = new ColumnMapping(parts);
        List<String> missing = mapping.missing(table.get(0));
        if (!missing.isEmpty()) {
            throw WorkOutController.refused(
                    "$.mapping", "Column", String.join(", ", missing), "is not in the file: choose another");
        }
        String name = form.getOrDefault("name", "").strip();
        if (name.length() > LONGEST_NAME) {
            throw WorkOutController.refused(
                    "$.name", "Name of the mapping", name, "is longer than " + LONGEST_NAME + " characters");
        }
        if (!name.isEmpty()) {
            mappings.keep(kind, name, mapping.body());
        }
        return catalogue.previewRows(kind, mapping.rows(kind, table), form, model);
    }

    private static List<List<String>> table(String json) {
        List<List<String>> table = new ArrayList<>();
        if (json.length() <= LONGEST_TABLE) {
            for (Object row : Json.list(json.isBlank() ? "[]" : json)) {
                table.add(
                        row instanceof List<?> cells
                                ? cells.stream().map(String::valueOf).toList()
                                : List.of());
            }
        }
        if (table.size() < 2) {
            throw WorkOutController.refused("$.table", "Table", "", "is gone or too large: choose the file again");
        }
        return table;
    }
}
