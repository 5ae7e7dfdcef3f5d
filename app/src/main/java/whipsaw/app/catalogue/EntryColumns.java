package whipsaw.app.catalogue;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import whipsaw.core.job.JobReader;
import whipsaw.core.schema.Shape;
import whipsaw.core.schema.Slot;

/** The columns in which catalogue entries are typed and read from CSV, and the way from such texts to an entry. */
public final class EntryColumns {
    private EntryColumns() {}

    /**
     * One column.
     *
     * @param key as in a CSV header and in a job file
     * @param label for the form: what the input is called, its choices, what it is only for
     * @param example how it is written
     * @param form text, list (parts separated by semicolons), pairs (name=number), flag, whole or spans
     */
    public record Column(String key, String label, String example, String form) {}

    private static Column column(Slot slot, Shape<?> shape) {
        StringBuilder label = new StringBuilder(slot.label());
        String[] when = slot.input().when();
        if (!slot.choices().isEmpty()) {
            boolean flag = slot.type() == boolean.class;
            label.append(": ").append(flag ? "yes or no" : String.join(", ", slot.choices()));
        } else if (when.length > 0) {
            String on = shape.slot(when[0]).label().toLowerCase(Locale.ROOT);
            label.append(", ").append(on).append(' ');
            label.append(String.join(", ", Arrays.asList(when).subList(1, when.length)));
        }
        if (!slot.input().help().isEmpty()) {
            label.append(": ").append(slot.input().help());
        }
        return new Column(slot.key(), label.toString(), slot.input().example(), form(slot));
    }

    private static String form(Slot slot) {
        if (slot.list()) {
            return "spans";
        } else if (slot.type() == List.class) {
            return "list";
        } else if (slot.type() == Map.class) {
            return "pairs";
        } else if (slot.type() == boolean.class) {
            return "flag";
        }
        return slot.type() == int.class ? "whole" : "text";
    }

    /** Columns of a kind in order, as its inputs are declared; empty for no kind. */
    public static List<Column> of(String kind) {
        Shape<?> shape = JobReader.shape(kind);
        return shape == null
                ? List.of()
                : shape.slots().stream().map(s -> column(s, shape)).toList();
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
