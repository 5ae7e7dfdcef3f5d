package whipsaw.core.job;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.time.format.ResolverStyle;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import whipsaw.core.units.CleanText;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Spacings;
import whipsaw.core.units.Unit;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.units.UnitText;
import whipsaw.core.units.UnitTextException;

/**
 * One object of a document being read. Everything that cannot be taken is noted with its path; the
 * reader goes on, so that all problems are told at once. Values that could not be read come back as
 * null, 0 or NaN, and the document is refused as a whole.
 */
final class Doc {
    private static final List<DateTimeFormatter> ISO_DATE = List.of(DateTimeFormatter.ISO_LOCAL_DATE);
    private static final List<DateTimeFormatter> US_DATES =
            List.of(DateTimeFormatter.ISO_LOCAL_DATE, strict("M/d/uuuu"));
    private static final List<DateTimeFormatter> DATES =
            List.of(DateTimeFormatter.ISO_LOCAL_DATE, strict("d/M/uuuu"), strict("d.M.uuuu"));

    private static DateTimeFormatter strict(String pattern) {
        return DateTimeFormatter.ofPattern(pattern).withResolverStyle(ResolverStyle.STRICT);
    }

    private static final double AGREE = 1e-9;

    /** What the whole reading shares. */
    static final class Context {
        final List<Problem> problems = new ArrayList<>();
        final boolean bareNumbers;
        UnitSystem units = UnitSystem.METRIC;

        Context(boolean bareNumbers) {
            this.bareNumbers = bareNumbers;
        }
    }

    private final Map<?, ?> values;
    private final String path;
    private final Context context;
    private final Set<Object> read = new HashSet<>();

    Doc(Map<?, ?> values, String path, Context context) {
        this.values = values;
        this.path = path;
        this.context = context;
    }

    String path(String key) {
        return path + "." + key;
    }

    Context context() {
        return context;
    }

    void problem(String key, String label, Object value, String message) {
        String shown = value == null ? "" : String.valueOf(value);
        String brief = shown.length() > 80 ? shown.substring(0, 77) + "..." : shown;
        context.problems.add(new Problem(path(key), label, brief, message));
    }

    private Object take(String key) {
        read.add(key);
        return values.get(key);
    }

    boolean has(String key) {
        read.add(key);
        return values.get(key) != null;
    }

    /** A member object; an empty one with a problem noted when it is missing. */
    Doc object(String key, String label) {
        Object value = take(key);
        if (value instanceof Map<?, ?> map) {
            return new Doc(map, path(key), context);
        }
        problem(key, label, value, value == null ? "is missing" : "is no object");
        return null;
    }

    /** A member object, or null when there is none. */
    Doc objectOrNull(String key, String label) {
        return has(key) ? object(key, label) : null;
    }

    List<Doc> objects(String key, String label, int most) {
        Object value = take(key);
        List<Doc> result = new ArrayList<>();
        if (value == null) {
            return result;
        }
        if (!(value instanceof List<?> list)) {
            problem(key, label, value, "is no list");
            return result;
        }
        if (list.size() > most) {
            problem(key, label, list.size() + " entries", "is more than the " + most + " allowed");
            return result;
        }
        for (int i = 0; i < list.size(); i++) {
            String place = path(key) + "[" + i + "]";
            if (list.get(i) instanceof Map<?, ?> map) {
                result.add(new Doc(map, place, context));
            } else {
                context.problems.add(new Problem(place, label, String.valueOf(list.get(i)), "is no object"));
            }
        }
        return result;
    }

    String text(String key, String label, int longest) {
        Object value = take(key);
        String text = value instanceof String given ? CleanText.line(given) : "";
        if (text.isEmpty()) {
            problem(key, label, value, "is missing: give a text");
            return "";
        }
        if (text.length() > longest) {
            problem(key, label, text, "is longer than " + longest + " characters");
        }
        return text;
    }

    /** A text that may be missing or empty. */
    String textOrEmpty(String key, String label, int longest) {
        Object value = values.get(key);
        read.add(key);
        return value == null || value.equals("") ? "" : text(key, label, longest);
    }

    /** Texts one below the other, or with semicolons between. */
    String listOrEmpty(String key, String label, int longest) {
        read.add(key);
        if (values.get(key) instanceof String text && text.indexOf('\n') >= 0) {
            return new Doc(Map.of(key, text.strip().replaceAll("\\s*\\R\\s*", "; ")), path, context)
                    .textOrEmpty(key, label, longest);
        }
        return textOrEmpty(key, label, longest);
    }

    String choice(String key, String label, List<String> allowed) {
        Object value = take(key);
        if (value instanceof String text && allowed.contains(text)) {
            return text;
        }
        problem(key, label, value, "is not one of " + String.join(", ", allowed));
        return allowed.get(0);
    }

    LocalDate dateOrNull(String key, String label) {
        return has(key) && !"".equals(take(key)) ? date(key, label) : null;
    }

    LocalDate date(String key, String label) {
        Object value = take(key);
        String text = String.valueOf(value).strip();
        boolean us = context.units == UnitSystem.US;
        // as people type it on the page; files have the one form that says which is the month
        for (DateTimeFormatter form : context.bareNumbers ? us ? US_DATES : DATES : ISO_DATE) {
            try {
                return LocalDate.parse(text, form);
            } catch (DateTimeParseException e) {
                // another form may fit
            }
        }
        String other = !context.bareNumbers ? "" : us ? " or 5/31/2026" : " or 31/5/2026";
        problem(key, label, value, "is no date: write it as 2026-05-31" + other);
        return null;
    }

    boolean flag(String key, String label, boolean absent) {
        Object value = take(key);
        if (value == null) {
            return absent;
        }
        if (value instanceof Boolean flag) {
            return flag;
        }
        problem(key, label, value, "is neither true nor false");
        return absent;
    }

    /** Yes or no, or null where nothing is said. */
    Boolean flagOrNull(String key, String label) {
        return has(key) && !"".equals(take(key)) ? flag(key, label, false) : null;
    }

    /** Distances one after the other; each has to be in the range of the field. */
    Spacings spacings(String key, Field field) {
        Object value = take(key);
        String text = value instanceof Map<?, ?> map ? String.valueOf(map.get("typed")) : null;
        if (value instanceof String s) {
            text = s;
        } else if (value instanceof Number && context.bareNumbers) {
            text = String.valueOf(value);
        }
        String example = field.example(context.units);
        String allowed =
                "; each may be " + field.range(context.units) + ", for example " + example + ", 4 @ " + example;
        if (text == null) {
            problem(key, field.label(), value, "is no list of distances" + allowed);
            return new Spacings("", List.of(Double.NaN));
        }
        try {
            Spacings spacings =
                    Spacings.parse(text, context.bareNumbers ? field.dimension().unit(context.units) : null);
            if (spacings.metres().stream().anyMatch(m -> m < field.least() || m > field.most())) {
                problem(key, field.label(), text, "has a distance outside its range" + allowed);
            }
            return spacings;
        } catch (UnitTextException e) {
            problem(key, field.label(), text, e.getMessage() + allowed);
            return new Spacings("", List.of(Double.NaN));
        }
    }

    Spacings spacingsOrNull(String key, Field field) {
        return has(key) && !"".equals(take(key)) ? spacings(key, field) : null;
    }

    List<String> texts(String key, String label, int most, int longest) {
        List<String> result = new ArrayList<>();
        Object value = take(key);
        if (value == null) {
            return result;
        }
        if (!(value instanceof List<?> list)
                || list.size() > most
                || list.stream().anyMatch(t -> !(t instanceof String text) || text.length() > longest)) {
            problem(key, label, value, "is no list of at most " + most + " short texts");
            return result;
        }
        list.forEach(t -> result.add((String) t));
        return result;
    }

    List<Double> numbers(String key, String label, int count, double least, double most) {
        List<Double> result = new ArrayList<>();
        Object value = take(key);
        boolean good = value instanceof List<?> list && list.size() == count;
        for (Object item : good ? (List<?>) value : List.of()) {
            good &= item instanceof Number n && n.doubleValue() >= least && n.doubleValue() <= most;
            result.add(item instanceof Number n ? Double.valueOf(n.doubleValue()) : Double.valueOf(0));
        }
        if (!good) {
            problem(key, label, value, "is no list of " + count + " numbers from " + trim(least) + " to " + trim(most));
        }
        return result;
    }

    int whole(String key, String label, int least, int most) {
        double number = number(key, label, least, most);
        if (number != Math.rint(number)) {
            problem(key, label, take(key), "is no whole number from " + least + " to " + most);
        }
        return Double.isNaN(number) ? least : (int) number;
    }

    /** A number that may be missing. */
    double numberOr(String key, String label, double least, double most, double absent) {
        return has(key) ? number(key, label, least, most) : absent;
    }

    double number(String key, String label, double least, double most) {
        Object value = take(key);
        double number = Double.NaN;
        if (value instanceof Number n) {
            number = n.doubleValue();
        } else if (value instanceof String text && context.bareNumbers) {
            try {
                number = Double.parseDouble(text.strip());
            } catch (NumberFormatException e) {
                number = Double.NaN;
            }
        }
        if (!(number >= least && number <= most)) {
            problem(
                    key,
                    label,
                    value,
                    (value == null ? "is missing: " : "is not allowed: ")
                            + "give a number from "
                            + trim(least)
                            + " to "
                            + trim(most));
            return Double.NaN;
        }
        return number;
    }

    /** A dimension that must be there; NaN with a problem noted when it cannot be taken. */
    Measure measure(String key, Field field) {
        Object value = take(key);
        if (value == null || value.equals("")) {
            problem(
                    key,
                    field.label(),
                    "",
                    "is missing: give " + field.range(context.units) + ", for example " + field.example(context.units));
            return new Measure(Double.NaN, "", false);
        }
        return measure(key, field, value);
    }

    /** A dimension that may be missing. */
    Measure measureOrNull(String key, Field field) {
        Object value = take(key);
        return value == null || value.equals("") ? null : measure(key, field, value);
    }

    List<Measure> measures(String key, Field field) {
        List<Measure> result = new ArrayList<>();
        if (take(key) instanceof List<?> list && !list.isEmpty() && list.size() <= 50) {
            for (int i = 0; i < list.size(); i++) {
                result.add(measure(key + "[" + i + "]", field, list.get(i)));
            }
        } else {
            problem(key, field.label(), values.get(key), "is no list of 1 to 50 values");
        }
        return result;
    }

    private Measure measure(String key, Field field, Object value) {
        Object typed = value;
        Object stored = null;
        if (value instanceof Map<?, ?> map) {
            typed = map.get("typed");
            stored = map.get(field.dimension().quantity().siKey());
        }
        Unit bare = context.bareNumbers ? field.dimension().unit(context.units) : null;
        String text = typed instanceof Number && bare != null ? String.valueOf(typed) : null;
        text = typed instanceof String s ? s : text;
        Measure none = new Measure(Double.NaN, "", false);
        if (text == null) {
            problem(
                    key,
                    field.label(),
                    value,
                    "is no text with a unit: write it as \"" + field.example(context.units) + "\"");
            return none;
        }
        try {
            Measure measure = UnitText.parse(text, field.dimension().quantity(), bare);
            if (!(measure.si() >= field.least() && measure.si() <= field.most())) {
                String other = field.otherReading(measure.si(), context.units);
                problem(
                        key,
                        field.label(),
                        measure.typed(),
                        "is outside "
                                + field.range(context.units)
                                + "; for example "
                                + (other == null ? field.example(context.units) : other + ", if that was meant"));
                return none;
            }
            if (stored instanceof Number n
                    && Math.abs(n.doubleValue() - measure.si()) > AGREE * Math.max(1, Math.abs(measure.si()))) {
                problem(
                        key,
                        field.label(),
                        text,
                        "disagrees with the stored value "
                                + n
                                + " in "
                                + field.dimension().quantity().siKey());
                return none;
            }
            return measure;
        } catch (UnitTextException e) {
            problem(
                    key,
                    field.label(),
                    text,
                    e.getMessage()
                            + "; allowed is "
                            + field.range(context.units)
                            + ", for example "
                            + field.example(context.units));
            return none;
        }
    }

    /** Notes every member that nothing asked for. */
    void done() {
        for (Object key : values.keySet()) {
            if (!read.contains(key)) {
                problem(String.valueOf(key), "Field", key, "is not known here");
            }
        }
    }

    private static String trim(double value) {
        return value == Math.rint(value) ? String.valueOf((long) value) : String.valueOf(value);
    }
}
