package whipsaw.core.job;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import whipsaw.core.schema.Codec;
import whipsaw.core.schema.Doc;
import whipsaw.core.schema.JsonSchema;
import whipsaw.core.schema.Slot;
import whipsaw.core.units.Show;

/** Points of a skyline in one text: azimuth, a colon and the elevation, with semicolons between. */
final class HorizonText implements Codec {
    private static final String AZIMUTH = "(360(\\.0+)?|(3[0-5]\\d|[12]\\d\\d|\\d{1,2})(\\.\\d{1,4})?)";
    private static final String ELEVATION = "(60(\\.0+)?|[1-5]?\\d(\\.\\d{1,4})?)";
    private static final String POINT = AZIMUTH + "\\s*:\\s*" + ELEVATION;
    private static final String TEXT = "^\\s*(" + POINT + "(\\s*;\\s*" + POINT + ")*)?\\s*;?\\s*$";
    private static final Pattern KNOWN = Pattern.compile(TEXT);

    @Override
    public Object read(Doc doc, Slot slot) {
        String text = doc.raw(slot.key()) instanceof String given && given.isBlank()
                ? ""
                : doc.text(slot.key(), slot.label(), slot.input().longest());
        List<Horizon.Point> points = new ArrayList<>();
        if (!KNOWN.matcher(text).matches()) {
            doc.problem(
                    slot.key(),
                    slot.label(),
                    text,
                    "is no skyline: azimuth 0 to 360 and elevation 0 to 60 degrees with a colon, points with semicolons,"
                            + " for example 90: 4; 120: 11.5; 180: 2");
            return points;
        }
        for (String point : text.split(";")) {
            if (!point.isBlank()) {
                String[] parts = point.split(":");
                points.add(
                        new Horizon.Point(Double.parseDouble(parts[0].strip()), Double.parseDouble(parts[1].strip())));
            }
        }
        points.sort(Comparator.comparingDouble(Horizon.Point::azimuthDeg));
        return points;
    }

    @Override
    public Object write(Object value, Slot slot) {
        String text = ((List<?>) value)
                .stream()
                        .map(p -> (Horizon.Point) p)
                        .map(p -> Show.number(p.azimuthDeg(), 4) + ": " + Show.number(p.elevationDeg(), 4))
                        .collect(Collectors.joining("; "));
        return text.isEmpty() ? null : text;
    }

    @Override
    public Map<String, Object> schema(Slot slot, JsonSchema.Definitions definitions) {
        return JsonSchema.text(slot.input().longest(), TEXT);
    }
}
