package whipsaw.app.catalogue;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import whipsaw.core.data.CsvRows;

/**
 * Which column of a file from elsewhere becomes which column of the catalogue.
 *
 * @param parts by the key of the catalogue's column
 */
public record ColumnMapping(Map<String, Part> parts) {
    private static final Pattern IN_BRACKETS = Pattern.compile("[\\[(]\\s*([^\\])]{1,12}?)\\s*[\\])]");
    private static final Pattern AFTER_COMMA = Pattern.compile("[,/]\\s*([A-Za-z%°]{1,6}(?:/°?[A-Za-z]{1,2})?)\\s*$");
    private static final Pattern WATT_PEAK = Pattern.compile("(?i)^k?wp$");
    private static final Pattern BARE = Pattern.compile("[-+]?[0-9]+(?:[.,][0-9]+)?");

    private static final Map<String, Pattern> WORDS = new LinkedHashMap<>();

    static {
        CsvRows.shipped("catalogue/heading-words.csv")
                .forEach(r -> WORDS.put(r.get("key"), Pattern.compile(r.get("words"))));
    }

    /**
     * Where the text of a column comes from.
     *
     * @param heading of the file's column; empty for none
     * @param unit put behind bare numbers; empty for none
     * @param fixed the same for all lines where no heading is given
     */
    public record Part(String heading, String unit, String fixed) {
        /** Nothing at all. */
        static final Part NONE = new Part("", "", "");
    }

    public ColumnMapping {
        parts = new LinkedHashMap<>(parts);
    }

    /** The part of a column; one that says nothing where it is not mapped. */
    public Part of(String key) {
        return parts.getOrDefault(key, Part.NONE);
    }

    /** Headings that are mapped and that a file does not have. */
    public List<String> missing(List<String> headings) {
        return parts.values().stream()
                .map(Part::heading)
                .filter(h -> !h.isEmpty() && !headings.contains(h))
                .toList();
    }

    /** The mapping as it is kept. */
    public Map<String, Object> body() {
        Map<String, Object> body = new LinkedHashMap<>();
        parts.forEach((key, p) -> body.put(key, Map.of("heading", p.heading(), "unit", p.unit(), "fixed", p.fixed())));
        return body;
    }

    /** From what was kept. */
    public static ColumnMapping of(Map<String, Object> body) {
        Map<String, Part> parts = new LinkedHashMap<>();
        body.forEach((key, value) -> {
            if (value instanceof Map<?, ?> p) {
                parts.put(key, new Part(text(p, "heading"), text(p, "unit"), text(p, "fixed")));
            }
        });
        return new ColumnMapping(parts);
    }

    private static String text(Map<?, ?> map, String key) {
        Object value = map.get(key);
        return value == null ? "" : String.valueOf(value);
    }

    /** A first guess: columns by their words, units by what stands in their headings. */
    public static ColumnMapping guessed(String kind, List<String> headings, String file) {
        Map<String, Part> parts = new LinkedHashMap<>();
        List<String> free = new ArrayList<>(headings);
        for (EntryColumns.Column c : EntryColumns.of(kind)) {
            String found = free.stream()
                    .filter(h -> plain(h).equals(plain(c.key())) || plain(h).equals(plain(label(c))))
                    .findFirst()
                    .or(() -> free.stream().filter(h -> named(c.key(), h)).findFirst())
                    .orElse("");
            free.remove(found);
            String fixed = found.isEmpty()
                    ? switch (c.key()) {
                        case "edition" -> "1";
                        case "status" -> "unconfirmed";
                        case "source" -> "file " + file;
                        default -> "";
                    }
                    : "";
            parts.put(c.key(), new Part(found, unit(found), fixed));
        }
        return new ColumnMapping(parts);
    }

    private static String label(EntryColumns.Column c) {
        return c.label().split("[:(]")[0];
    }

    private static boolean named(String key, String heading) {
        Pattern words = WORDS.get(key);
        return words != null && words.matcher(plain(heading)).find();
    }

    /** Small letters and digits, without what stands in brackets. */
    private static String plain(String heading) {
        return heading.replaceAll("[\\[(][^\\])]*[\\])]", " ")
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9]+", " ")
                .strip();
    }

    /** The unit in a heading; empty where there is none. */
    static String unit(String heading) {
        Matcher m = IN_BRACKETS.matcher(heading);
        String unit = "";
        while (m.find()) {
            unit = m.group(1);
        }
        if (unit.isEmpty()) {
            Matcher after = AFTER_COMMA.matcher(heading);
            unit = after.find() ? after.group(1) : "";
        }
        return WATT_PEAK.matcher(unit).matches() ? unit.substring(0, unit.length() - 1) : unit;
    }

    /**
     * Lines of the catalogue from lines of the file. A line without a name, or code, is left out; where no code is
     * mapped it is made from the name.
     *
     * @param table headings first
     */
    public List<Map<String, String>> rows(String kind, List<List<String>> table) {
        List<String> headings = table.get(0);
        List<Map<String, String>> rows = new ArrayList<>();
        for (List<String> line : table.subList(1, table.size())) {
            Map<String, String> row = new LinkedHashMap<>();
            for (EntryColumns.Column c : EntryColumns.of(kind)) {
                Part p = of(c.key());
                int at = p.heading().isEmpty() ? -1 : headings.indexOf(p.heading());
                String text =
                        at < 0 ? p.fixed() : at < line.size() ? line.get(at).strip() : "";
                row.put(
                        c.key(),
                        BARE.matcher(text).matches() && !p.unit().isBlank()
                                ? text + " " + p.unit().strip()
                                : text);
            }
            if (row.getOrDefault("code", "").isBlank()) {
                row.put("code", code(row.getOrDefault("maker", "") + " " + row.getOrDefault("name", "")));
            }
            if (!row.getOrDefault("name", "").isBlank()) {
                rows.add(row);
            }
        }
        return rows;
    }

    private static String code(String name) {
        String code =
                name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("^-+|-+$", "");
        return code.length() > 58 ? code.substring(0, 58) : code;
    }
}
