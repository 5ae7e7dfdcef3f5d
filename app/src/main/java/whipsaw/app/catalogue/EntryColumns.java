package whipsaw.app.catalogue;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The columns in which catalogue entries are typed and read from CSV, and the way from such texts to an entry. */
public final class EntryColumns {
    private EntryColumns() {}

    /**
     * One column.
     *
     * @param key as in a CSV header and in a job file
     * @param label for the form
     * @param example how it is written
     * @param form text, list (parts separated by semicolons), pairs (name=number), flag or whole
     */
    public record Column(String key, String label, String example, String form) {}

    private static Column text(String key, String label, String example) {
        return new Column(key, label, example, "text");
    }

    private static final List<Column> INFO = List.of(
            text("code", "Code, your own short name", "yarrowby-500"),
            text("edition", "Edition", "1"),
            text("maker", "Maker", "Yarrowby"),
            text("name", "Name as on the datasheet", "YB 500 half-cut"),
            text("source", "Source of the figures", "datasheet YB-500, revision C"),
            text("dated", "Date of the source", "2026-05-31"),
            text("status", "Status: unconfirmed or invented", "unconfirmed"));

    private static final Map<String, List<Column>> OWN = Map.of(
            "module",
            List.of(
                    text("power", "Power", "500 W"),
                    text("length", "Longer side", "2094 mm"),
                    text("width", "Shorter side", "1134 mm"),
                    text("mass", "Mass", "26 kg"),
                    text("voc", "V_oc", "45.5 V"),
                    text("vmp", "V_mp", "38.3 V"),
                    text("isc", "I_sc", "13.9 A"),
                    text("imp", "I_mp", "13.06 A"),
                    text("vocCoefficient", "Coefficient of V_oc", "-0.25 %/C"),
                    text("vmpCoefficient", "Coefficient of V_mp", "-0.32 %/C"),
                    text("largestFuse", "Largest fuse", "25 A"),
                    text("clampLongFrom", "Clamps on the long side, from a corner, from", "250 mm"),
                    text("clampLongTo", "Clamps on the long side, from a corner, to", "550 mm"),
                    text("clampShortFrom", "Clamps on the short side, from a corner, from", "150 mm"),
                    text("clampShortTo", "Clamps on the short side, from a corner, to", "350 mm"),
                    text("holes", "Mounting holes, from a corner along the long side", "400 mm")),
            "inverter",
            List.of(
                    text("power", "Rated apparent power", "60 kVA"),
                    text("lineVoltage", "Line voltage", "480 V"),
                    text("highestInput", "Highest DC input", "1100 V"),
                    text("trackerLowest", "Lower end of the window", "500 V"),
                    new Column("trackers", "Trackers", "6", "whole"),
                    new Column("stringsPerTracker", "Strings per tracker", "2", "whole"),
                    text("trackerShortCircuit", "Short-circuit current of a tracker", "40 A")),
            "block",
            List.of(
                    text("mass", "Mass, weighed", "32 lb"),
                    text("length", "Length", "16 in"),
                    text("width", "Width", "8 in"),
                    text("height", "Height", "4 in")),
            "conductor",
            List.of(
                    text("material", "Material: cu or al", "cu"),
                    text("insulation", "Insulation: THWN-2 or XHHW-2", "XHHW-2")),
            "member",
            List.of(
                    text("shape", "Shape: rectangle, i, z, c, given or table", "z"),
                    text("depth", "Depth", "200 mm"),
                    text("width", "Width, of the flanges", "65 mm"),
                    text("web", "Web or sheet thickness", "1.8 mm"),
                    text("flange", "Flange thickness, shape i", "8.5 mm"),
                    text("lip", "Lip, shapes z and c", "20 mm"),
                    text("inertia", "Second moment, shape given", "520 cm4"),
                    text("modulus", "Section modulus, shape given", "55 cm3"),
                    text("material", "Material: steel, cold-formed or timber", "cold-formed"),
                    text("strength", "Strength in bending", "350 MPa"),
                    text("shear", "Strength in shear; steel without", "4 MPa"),
                    text("elasticity", "Modulus of elasticity", "210 GPa"),
                    new Column(
                            "table",
                            "Load table: span=total load along it, with / its load for deflection",
                            "30 ft=280 plf/210 plf; 35 ft=205 plf/132 plf",
                            "spans")),
            "tray-system",
            List.of(
                    text("arrangement", "Arrangement: one-way or pairs", "one-way"),
                    text("ridgeGap", "Ridge gap, pairs only", "60 mm"),
                    new Column("tilts", "Tilts, with semicolons", "5 deg; 10 deg", "list"),
                    new Column("gaps", "Row or valley gaps", "15 in; 20 in", "list"),
                    text("moduleGap", "Gap between modules", "20 mm"),
                    text("lowEdge", "Lower edge above the roof", "3 in"),
                    text("rackingMass", "Racking mass per module", "5.4 kg"),
                    text("positions", "Ballast positions: module or joint", "module"),
                    new Column("mostBlocks", "Blocks a position takes", "12", "whole"),
                    text("shared", "Area shown to share load, or empty", "230 ft2"),
                    text("sharedReport", "Report that shows it", "stiffness report 7"),
                    new Column("linksRows", "Rows joined: yes or no", "yes", "flag"),
                    new Column("shortestRow", "Fewest modules side by side", "2", "whole"),
                    text("footLength", "Length of a foot, four a module", "12 in"),
                    text("footWidth", "Width of a foot", "4 in"),
                    new Column("friction", "Friction by covering", "TPO=0.48; EPDM=0.55", "pairs")));

    /** Columns of a kind in order; empty for no kind. */
    public static List<Column> of(String kind) {
        List<Column> columns = new ArrayList<>(OWN.containsKey(kind) ? INFO : List.of());
        columns.addAll(OWN.getOrDefault(kind, List.of()));
        return columns;
    }

    /** An entry's body from texts; what cannot be read stays a text and is refused by the reader with its path. */
    public static Map<String, Object> body(String kind, Map<String, String> texts) {
        Map<String, Object> body = new LinkedHashMap<>();
        for (Column column : of(kind)) {
            String text = texts.getOrDefault(column.key(), "").strip();
            if (!text.isEmpty()) {
                body.put(column.key(), value(column, text));
            }
        }
        return body;
    }

    private static Object value(Column column, String text) {
        return switch (column.form()) {
            case "list" -> parts(text);
            case "whole" -> text.matches("\\d{1,6}") ? (Object) Integer.valueOf(text) : text;
            case "flag" -> text.equals("yes") || text.equals("true")
                    ? (Object) true
                    : text.equals("no") || text.equals("false") ? (Object) false : text;
            case "pairs" -> pairs(text);
            case "spans" -> spans(text);
            default -> text;
        };
    }

    private static List<String> parts(String text) {
        List<String> parts = new ArrayList<>();
        for (String part : text.split(";")) {
            if (!part.isBlank()) {
                parts.add(part.strip());
            }
        }
        return parts;
    }

    /** Lines of a load table. */
    private static Object spans(String text) {
        List<Object> lines = new ArrayList<>();
        for (String part : parts(text)) {
            String[] sides = part.split("=", 2);
            if (sides.length < 2) {
                return text;
            }
            String[] loads = sides[1].split("/", 2);
            Map<String, Object> line = new LinkedHashMap<>();
            line.put("span", sides[0].strip());
            line.put("total", loads[0].strip());
            if (loads.length == 2) {
                line.put("variable", loads[1].strip());
            }
            lines.add(line);
        }
        return lines;
    }

    private static Object pairs(String text) {
        Map<String, Object> pairs = new LinkedHashMap<>();
        for (String part : parts(text)) {
            int equals = part.indexOf('=');
            if (equals < 0) {
                return text;
            }
            pairs.put(
                    part.substring(0, equals).strip(),
                    part.substring(equals + 1).strip());
        }
        return pairs;
    }

    /** An entry's value in a cell, the way it would be typed. */
    public static String cell(Object value) {
        if (value instanceof Map<?, ?> map && map.get("typed") instanceof String typed) {
            return typed;
        }
        if (value instanceof Map<?, ?> map && map.containsKey("span")) {
            Object variable = map.get("variable");
            return cell(map.get("span")) + "=" + cell(map.get("total"))
                    + (variable == null ? "" : "/" + cell(variable));
        }
        if (value instanceof Map<?, ?> map) {
            return String.join(
                    "; ",
                    map.entrySet().stream()
                            .map(e -> e.getKey() + "=" + e.getValue())
                            .toList());
        }
        if (value instanceof List<?> list) {
            return String.join("; ", list.stream().map(EntryColumns::cell).toList());
        }
        return value == null ? "" : value instanceof Boolean flag ? (flag ? "yes" : "no") : String.valueOf(value);
    }
}
