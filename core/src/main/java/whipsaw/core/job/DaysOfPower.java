package whipsaw.core.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import whipsaw.core.schema.Codec;
import whipsaw.core.schema.Doc;
import whipsaw.core.schema.JsonSchema;
import whipsaw.core.schema.Slot;

/** Mean power of every hour of 365 days, kW: each day a text of 24 numbers with spaces between. */
final class DaysOfPower implements Codec {
    private static final int HOURS = 24;
    private static final int DAYS = 365;
    private static final int LONGEST_DAY = 400;

    @Override
    public Object read(Doc doc, Slot slot) {
        List<Double> kw = new ArrayList<>();
        List<String> days = doc.texts(slot.key(), slot.label(), DAYS, LONGEST_DAY);
        if (days.size() != DAYS) {
            doc.problem(slot.key(), slot.label(), days.size() + " days", "are not " + DAYS);
        }
        for (int d = 0; d < days.size(); d++) {
            String[] hours = days.get(d).strip().split(" ");
            for (String hour : hours) {
                double value = number(hour);
                if (hours.length != HOURS
                        || !(value >= slot.input().least()
                                && value <= slot.input().most())) {
                    doc.problem(
                            slot.key(),
                            slot.label(),
                            hours.length != HOURS ? hours.length + " numbers" : hour,
                            "on day " + (d + 1) + ": a day is 24 numbers of 0 to 100 000 kW with a space between");
                    return List.of();
                }
                kw.add(value);
            }
        }
        return kw;
    }

    private static double number(String text) {
        try {
            return Double.parseDouble(text);
        } catch (NumberFormatException e) {
            return Double.NaN;
        }
    }

    @Override
    public Object write(Object value, Slot slot) {
        List<?> kw = (List<?>) value;
        List<String> days = new ArrayList<>();
        for (int d = 0; d * HOURS < kw.size(); d++) {
            days.add(kw.subList(d * HOURS, (d + 1) * HOURS).stream()
                    .map(v -> written((Double) v))
                    .collect(Collectors.joining(" ")));
        }
        return days;
    }

    private static String written(double value) {
        return value == Math.rint(value) ? String.valueOf(Math.round(value)) : String.valueOf(value);
    }

    @Override
    public Map<String, Object> schema(Slot slot, JsonSchema.Definitions definitions) {
        String day = "^\\s*[0-9.eE+-]+( [0-9.eE+-]+){23}\\s*$";
        return JsonSchema.list(DAYS, DAYS, JsonSchema.text(LONGEST_DAY, day));
    }
}
