package whipsaw.core.schema;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import whipsaw.core.units.CleanText;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Unit;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.units.UnitText;
import whipsaw.core.units.UnitTextException;

/**
 * One object of a document being read. Everything that cannot be taken is noted with its path; the
 * reader goes on, so that all problems are told at once. Values that could not be read come back as
 * null, 0 or NaN, and the document is refused as a whole.
 */
public final class Doc {
    private static final int MOST_TOLD = 60;
    private static final double AGREE = 1e-9;

    /** What the whole reading shares. */
    public static final class Context {
        private final List<Problem> problems = new ArrayList<>();
        private final boolean bareNumbers;
        private UnitSystem units;

        /**
         * A reading.
         *
         * @param bareNumbers whether a number without a unit is taken, as forms do; files refuse it
         * @param units system whose units bare numbers mean, and in which ranges are told
         */
        public Context(boolean bareNumbers, UnitSystem units) {
            this.bareNumbers = bareNumbers;
            this.units = units;
        }

        boolean bareNumbers() {
            return bareNumbers;
        }

        UnitSystem units() {
            return units;
        }

        /** Everything that could not be taken so far. */
        public List<Problem> problems() {
            return problems;
        }
    }

    private final Map<?, ?> values;
    private final String path;
    private final String thing;
    private final Context context;
    private final Set<Object> read = new HashSet<>();

    /** A whole document. */
    public Doc(Map<?, ?> values, Context context) {
        this(values, "$", "", context);
    }

    private Doc(Map<?, ?> values, String path, String thing, Context context) {
        this.values = values;
        this.path = path;
        this.thing = thing;
        this.context = context;
    }

    /** Path of a member. */
    public String path(String key) {
        return path + "." + key;
    }

    Context context() {
        return context;
    }

    /**
     * Notes what is wrong with a member.
     *
     * @param label of the input
     * @param value as given; null or empty when it is missing
     * @param message what is wrong, with what is allowed and an example
     */
    public void problem(String key, String label, Object value, String message) {
        String shown = value == null ? "" : String.valueOf(value);
        String brief = shown.length() > 80 ? shown.substring(0, 77) + "..." : shown;
        String name = thing.isEmpty() ? label : thing + ": " + label;
        context.problems.add(new Problem(path(key), name, brief, message));
    }

    Object take(String key) {
        read.add(key);
        return values.get(key);
    }

    /** Whether a member is there; in a form an empty text is none. */
    public boolean has(String key) {
        read.add(key);
        Object value = values.get(key);
        return value != null && !(context.bareNumbers && "".equals(value));
    }

    /** The same without counting it as read. */
    boolean holds(String key) {
        return values.get(key) != null;
    }

    /** A member as it was given. */
    public Object raw(String key) {
        return take(key);
    }

    /** A member object; null with a problem noted when it is none. */
    Doc object(Slot slot) {
        return member(slot.key(), slot.label(), slot.input().section() ? "" : slot.label());
    }

    /**
     * A member object.
     *
     * @param label of the member
     * @param name of the thing it is, for the names of its own members; empty when it is only a part
     * @return null with a problem noted when it is missing or no object
     */
    public Doc member(String key, String label, String name) {
        Object value = take(key);
        if (value instanceof Map<?, ?> map) {
            String of = thing.isEmpty() || name.isEmpty() ? thing + name : thing + ": " + name;
            return new Doc(map, path(key), of, context);
        }
        problem(key, label, value, value == null ? "is missing" : "is no object");
        return null;
    }

    /** The objects of a list; problems are noted for what is none. */
    List<Doc> entries(Slot slot) {
        Object value = take(slot.key());
        int fewest = slot.input().fewest();
        int most = slot.input().many();
        List<Doc> result = new ArrayList<>();
        if (value == null && fewest == 0) {
            return result;
        }
        if (value != null && !(value instanceof List<?>)) {
            problem(slot.key(), slot.label(), value, "is no list");
            return result;
        }
        List<?> list = value == null ? List.of() : (List<?>) value;
        if (list.size() > most) {
            problem(slot.key(), slot.label(), list.size() + " entries", "is more than the " + most + " allowed");
            return result;
        }
        if (list.size() < fewest) {
            problem(slot.key(), slot.label(), list.size() + " entries", "is too few: give " + fewest + " to " + most);
        }
        for (int i = 0; i < list.size(); i++) {
            if (list.get(i) instanceof Map<?, ?>) {
                result.add(entry(slot, i));
            } else {
                problem(slot.key() + "[" + i + "]", slot.label(), list.get(i), "is no object");
            }
        }
        return result;
    }

    /** One of a list of objects, called by what tells it from the others. */
    Doc entry(Slot slot, int index) {
        List<?> list = (List<?>) values.get(slot.key());
        Map<?, ?> map = (Map<?, ?>) list.get(index);
        String name = slot.entryName(map.get(slot.input().by()), index, list.size());
        String of = thing.isEmpty() || name.isEmpty() ? thing + name : thing + ", " + name;
        return new Doc(map, path(slot.key()) + "[" + index + "]", of, context);
    }

    /** A text that has to be there, no longer than allowed; a stand-in after a problem was noted. */
    public String text(String key, String label, int longest) {
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

    /** One of some words; the first of them after a problem was noted. */
    public String choice(String key, String label, List<String> allowed) {
        Object value = take(key);
        if (value instanceof String text && allowed.contains(text)) {
            return text;
        }
        boolean many = allowed.size() > MOST_TOLD;
        problem(key, label, value, many ? "is not known" : "is not one of " + String.join(", ", allowed));
        return allowed.get(0);
    }

    /** A date as 2026-05-31 or as it is written locally; null after a problem was noted. */
    public LocalDate date(String key, String label) {
        Object value = take(key);
        DateText form = DateText.of(context.bareNumbers, context.units);
        LocalDate date = form.parse(String.valueOf(value).strip());
        if (date == null) {
            problem(key, label, value, "is no date: write it as " + form.examples());
        }
        return date;
    }

    /** A truth value that has to be there; false after a problem was noted. */
    public boolean flag(String key, String label) {
        Object value = take(key);
        if (!(value instanceof Boolean)) {
            problem(key, label, value, value == null ? "is missing: give true or false" : "is neither true nor false");
        }
        return Boolean.TRUE.equals(value);
    }

    /** A list of texts, each within its length; empty when absent. */
    public List<String> texts(String key, String label, int most, int longest) {
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

    /** A list of exactly so many numbers within a range. */
    public List<Double> numbers(String key, String label, int count, double least, double most) {
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

    /** A whole number within a range; its least after a problem was noted. */
    public int whole(String key, String label, int least, int most) {
        double number = number(key, label, least, most);
        if (!Double.isNaN(number) && number != Math.rint(number)) {
            problem(key, label, take(key), "is no whole number from " + least + " to " + most);
        }
        return Double.isNaN(number) ? least : (int) number;
    }

    /** A number within a range; NaN after a problem was noted. */
    public double number(String key, String label, double least, double most) {
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
    public Measure measure(String key, Field field) {
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

    /** A list of measures, each within the range of its field. */
    public List<Measure> measures(String key, Field field, int most) {
        List<Measure> result = new ArrayList<>();
        if (take(key) instanceof List<?> list && !list.isEmpty() && list.size() <= most) {
            for (int i = 0; i < list.size(); i++) {
                result.add(measure(key + "[" + i + "]", field, list.get(i)));
            }
        } else {
            problem(key, field.label(), values.get(key), "is no list of 1 to " + most + " values");
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

    /** Passes over the members that have not been asked for. */
    void pass() {
        read.addAll(values.keySet());
    }

    /** Notes every member that nothing asked for. */
    public void done() {
        for (Object key : values.keySet()) {
            if (!read.contains(key)) {
                problem(String.valueOf(key), "Field", key, "is not known here");
            }
        }
    }

    static String trim(double value) {
        return value == Math.rint(value) ? String.valueOf((long) value) : String.valueOf(value);
    }
}
