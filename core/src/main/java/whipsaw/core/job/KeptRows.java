package whipsaw.core.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import whipsaw.core.schema.Codec;
import whipsaw.core.schema.Doc;
import whipsaw.core.schema.JsonSchema;
import whipsaw.core.schema.Slot;

/** Rows of modules in short: {@code 1: 1-12, 15-33; 2: 1-33}. */
final class KeptRows implements Codec {
    private static final int MOST = 100_000;
    /** Columns left of the first one have numbers of 0 and less, and stand alone. */
    private static final String SPAN = "-?\\d{1,6}(-\\d{1,6})?";

    private static final String SPANS = SPAN + "(,\\s*" + SPAN + ")*";
    private static final Pattern ENDS = Pattern.compile("(-?\\d{1,6})(?:-(\\d{1,6}))?");
    private static final Pattern ROW = Pattern.compile("\\s*(\\d{1,6}):\\s*(" + SPANS + ")\\s*");

    @Override
    public Object read(Doc doc, Slot slot) {
        String text = doc.text(slot.key(), slot.label(), slot.input().longest());
        List<KeptNumbers.Row> rows = new ArrayList<>();
        int last = 0;
        int modules = 0;
        for (String part : text.split(";")) {
            Matcher m = ROW.matcher(part);
            List<Integer> columns = m.matches() ? columns(m.group(2)) : List.of();
            int row = columns.isEmpty() ? 0 : Integer.parseInt(m.group(1));
            modules += columns.size();
            if (row <= last || modules > MOST) {
                doc.problem(
                        slot.key(),
                        slot.label(),
                        part.strip(),
                        "is no row with rising columns behind the row before, 100,000 modules at most: for example 1: 1-12, 15-33; 2: 1-33");
                return rows;
            }
            last = row;
            rows.add(new KeptNumbers.Row(row, columns));
        }
        return rows;
    }

    /** Empty where they do not rise. */
    private static List<Integer> columns(String spans) {
        List<Integer> columns = new ArrayList<>();
        int last = Integer.MIN_VALUE;
        for (String span : spans.split(",")) {
            Matcher ends = ENDS.matcher(span.strip());
            if (!ends.matches()) {
                return List.of();
            }
            int from = Integer.parseInt(ends.group(1));
            int to = ends.group(2) == null ? from : Integer.parseInt(ends.group(2));
            if (from <= last || to < from || to - from > MOST) {
                return List.of();
            }
            for (int column = from; column <= to; column++) {
                columns.add(column);
            }
            last = to;
        }
        return columns;
    }

    @Override
    public Object write(Object value, Slot slot) {
        return ((List<?>) value)
                .stream()
                        .map(KeptNumbers.Row.class::cast)
                        .map(r -> r.row() + ": " + spans(r.columns()))
                        .collect(Collectors.joining("; "));
    }

    private static String spans(List<Integer> columns) {
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < columns.size(); i++) {
            int first = i;
            while (columns.get(first) >= 0 && i + 1 < columns.size() && columns.get(i + 1) == columns.get(i) + 1) {
                i++;
            }
            text.append(first == 0 ? "" : ", ").append(columns.get(first));
            text.append(i == first ? "" : "-" + columns.get(i));
        }
        return text.toString();
    }

    @Override
    public Map<String, Object> schema(Slot slot, JsonSchema.Definitions definitions) {
        return JsonSchema.text(
                slot.input().longest(), "^\\s*\\d{1,6}:\\s*" + SPANS + "\\s*(;\\s*\\d{1,6}:\\s*" + SPANS + "\\s*)*$");
    }
}
