package whipsaw.core.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import whipsaw.core.schema.Codec;
import whipsaw.core.schema.Doc;
import whipsaw.core.schema.JsonSchema;
import whipsaw.core.schema.Slot;

/** 365 days, each a text of so many numbers with spaces between. */
abstract class DaysOfNumbers implements Codec {
    private static final int DAYS = 365;

    /** Room for each number with the space after it. */
    private static final int DIGITS = 16;

    private final int perDay;
    private final String words;

    /**
     * @param perDay numbers of a day
     * @param words what a day is, as {@code 24 numbers of 0 to 100 000 kW}
     */
    DaysOfNumbers(int perDay, String words) {
        this.perDay = perDay;
        this.words = words;
    }

    @Override
    public Object read(Doc doc, Slot slot) {
        List<Double> kw = new ArrayList<>();
        List<String> days = doc.texts(slot.key(), slot.label(), DAYS, DIGITS * perDay);
        if (days.size() != DAYS) {
            doc.problem(slot.key(), slot.label(), days.size() + " days", "are not " + DAYS);
        }
        for (int d = 0; d < days.size(); d++) {
            String[] hours = days.get(d).strip().split(" ");
            for (String hour : hours) {
                double value = number(hour);
                if (hours.length != perDay
                        || !(value >= slot.input().least()
                                && value <= slot.input().most())) {
                    doc.problem(
                            slot.key(),
                            slot.label(),
                            hours.length != perDay ? hours.length + " numbers" : hour,
                            "on day " + (d + 1) + ": a day is " + words + " with a space between");
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
        for (int d = 0; d * perDay < kw.size(); d++) {
            days.add(kw.subList(d * perDay, (d + 1) * perDay).stream()
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
        String day = "^\\s*[0-9.eE+-]+( [0-9.eE+-]+){" + (perDay - 1) + "}\\s*$";
        return JsonSchema.list(DAYS, DAYS, JsonSchema.text(DIGITS * perDay, day));
    }
}
