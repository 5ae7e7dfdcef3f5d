package whipsaw.core.calc;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import whipsaw.core.units.Quantity;
import whipsaw.core.units.Unit;
import whipsaw.core.units.UnitText;
import whipsaw.core.units.UnitTextException;

/**
 * The inputs of a single calculation, read by name. A key ends with its unit; where the same
 * quantity is there in US and SI units the US figure counts, and the two must agree within
 * rounding.
 */
public final class CalcInputs {
    private static final int MOST = 1_000_000;
    private static final double AGREE = 1e-4;

    /** Beyond it no figure of a roof means anything, and products of a few still fit a double. */
    private static final double LARGEST = 1e9;

    private static final Set<Quantity> SIGNED = EnumSet.of(Quantity.ANGLE, Quantity.TEMPERATURE);
    private static final Map<String, Unit> SUFFIXES = new LinkedHashMap<>();

    static {
        SUFFIXES.put("ft2", Unit.SQUARE_FOOT);
        SUFFIXES.put("ft", Unit.FOOT);
        SUFFIXES.put("in", Unit.INCH);
        SUFFIXES.put("mph", Unit.MILE_PER_HOUR);
        SUFFIXES.put("psf", Unit.POUND_PER_SQUARE_FOOT);
        SUFFIXES.put("m_per_s", Unit.METRE_PER_SECOND);
        SUFFIXES.put("m2", Unit.SQUARE_METRE);
        SUFFIXES.put("mm", Unit.MILLIMETRE);
        SUFFIXES.put("m", Unit.METRE);
        SUFFIXES.put("kPa", Unit.KILOPASCAL);
        SUFFIXES.put("kN", Unit.KILONEWTON);
        SUFFIXES.put("kg", Unit.KILOGRAM);
        SUFFIXES.put("lb", Unit.POUND);
        SUFFIXES.put("deg", Unit.DEGREE);
        SUFFIXES.put("kVA", Unit.KILOWATT);
        SUFFIXES.put("V", Unit.VOLT);
        SUFFIXES.put("A", Unit.AMPERE);
        SUFFIXES.put("C", Unit.CELSIUS);
        SUFFIXES.put("degC", Unit.CELSIUS);
    }

    private final Map<String, ?> values;
    private final String path;
    private final Set<String> asked = new HashSet<>();
    private final Set<String> named = new TreeSet<>();
    private final List<CalcInputs> within = new ArrayList<>();

    public CalcInputs(Map<String, ?> values) {
        this(values, "");
    }

    private CalcInputs(Map<String, ?> values, String path) {
        this.values = values;
        this.path = path;
    }

    /** Keys under which a quantity named {@code name} may be given. */
    static List<String> keys(String name, Quantity quantity) {
        return SUFFIXES.entrySet().stream()
                .filter(e -> e.getValue().quantity() == quantity)
                .map(e -> name + "_" + e.getKey())
                .toList();
    }

    /** Whether an input was given under a key. */
    public boolean has(String key) {
        return get(key) != null;
    }

    private Object get(String key) {
        asked.add(key);
        if (SUFFIXES.keySet().stream().noneMatch(unit -> key.endsWith("_" + unit)) || values.containsKey(key)) {
            named.add(key);
        }
        return values.get(key);
    }

    /** Inputs that belong to the calculation, also where it ends before it needs them. */
    void mayHave(String... keys) {
        asked.addAll(List.of(keys));
        named.addAll(List.of(keys));
    }

    /** Refuses keys that a calculation did not ask for: a slip of the pen would else go unseen. */
    void done() {
        for (String key : values.keySet()) {
            if (!asked.contains(key)) {
                throw new CalcException(
                        path + key, "is no input of this calculation; it asks for " + String.join(", ", named));
            }
        }
        within.forEach(CalcInputs::done);
    }

    /** A quantity in SI; only angles and temperatures may be negative. */
    public double si(String name, Quantity quantity) {
        double result = siOr(name, quantity, Double.NaN);
        if (Double.isNaN(result)) {
            throw new CalcException(
                    path + name, "is missing: give it as one of " + String.join(", ", keys(name, quantity)));
        }
        return result;
    }

    /** A quantity in SI, or a default when no key of it is there or all are null; only angles and temperatures may be negative. */
    public double siOr(String name, Quantity quantity, double absent) {
        double value = signedOr(name, quantity, absent);
        return SIGNED.contains(quantity) ? value : positive(name, value, false);
    }

    /** The same, negative too: a height above or below something. */
    public double signedOr(String name, Quantity quantity, double absent) {
        double first = Double.NaN;
        String firstKey = null;
        for (Map.Entry<String, Unit> suffix : SUFFIXES.entrySet()) {
            String key = name + "_" + suffix.getKey();
            if (suffix.getValue().quantity() != quantity || !has(key)) {
                continue;
            }
            double si = measured(key, get(key), suffix.getValue());
            if (firstKey == null) {
                first = si;
                firstKey = key;
            } else if (Math.abs(si - first) > AGREE * Math.max(1e-3, Math.abs(first))) {
                throw new CalcException(
                        path + key, values.get(key) + " disagrees with " + firstKey + " " + values.get(firstKey));
            }
        }
        return firstKey == null ? absent : first;
    }

    /** A quantity with bounds in SI, or a default; a default that is no number means it has to be given. */
    public double within(String name, Quantity quantity, double least, double most, double absent) {
        double value = signedOr(name, quantity, absent);
        if (Double.isNaN(value)) {
            return si(name, quantity);
        }
        if (value < least || value > most) {
            throw new CalcException(path + name, value + " is outside " + least + " to " + most + " in SI units");
        }
        return value;
    }

    /** A length of 0 or more, m, from its metric or its US twin. */
    public double length(String name) {
        return positive(name, si(name, Quantity.LENGTH), false);
    }

    /** A length that may be missing, meaning nothing is there: infinitely far. */
    public double distance(String name) {
        return positive(name, siOr(name, Quantity.LENGTH, Double.POSITIVE_INFINITY), false);
    }

    /** A quantity that has to be above zero. */
    public double positive(String name, Quantity quantity) {
        return positive(name, si(name, quantity), true);
    }

    private double positive(String name, double value, boolean strictly) {
        if (value < 0 || (strictly && value == 0)) {
            throw new CalcException(path + name, "must be " + (strictly ? "above 0" : "0 or more") + ", not " + value);
        }
        return value;
    }

    /** A number without unit or with the unit in its key. */
    public double number(String key) {
        Object value = get(key);
        if (value == null) {
            throw new CalcException(path + key, "is missing: give a number");
        }
        return finite(key, value);
    }

    /** A number, or another one where it was not given. */
    public double numberOr(String key, double absent) {
        return has(key) ? number(key) : absent;
    }

    /** A number with bounds that belong to the method. */
    public double number(String key, double least, double most) {
        double value = number(key);
        if (value < least || value > most) {
            throw new CalcException(path + key, value + " is outside " + least + " to " + most);
        }
        return value;
    }

    /** A count. */
    public int whole(String key) {
        double value = number(key);
        if (value != Math.rint(value) || value < 0 || value > MOST) {
            throw new CalcException(path + key, value + " is no whole number from 0 to " + MOST);
        }
        return (int) value;
    }

    /** A truth value; false where it was not given. */
    public boolean flag(String key) {
        Object value = get(key);
        if (value instanceof Boolean flag) {
            return flag;
        }
        if (value instanceof String text && (text.equals("true") || text.equals("false"))) {
            return text.equals("true");
        }
        throw new CalcException(path + key, value + " is neither true nor false");
    }

    /** A text that has to be there. */
    public String text(String key) {
        if (!has(key)) {
            throw new CalcException(path + key, "is missing: give a text");
        }
        return String.valueOf(get(key));
    }

    /** One of a few texts. */
    public String choice(String key, String... allowed) {
        String value = text(key);
        if (!List.of(allowed).contains(value)) {
            throw new CalcException(path + key, "'" + value + "' is not one of " + String.join(", ", allowed));
        }
        return value;
    }

    /** A list of numbers that has to be there. */
    public List<Double> numbers(String key) {
        return list(key).stream().map(v -> finite(key, v)).toList();
    }

    /** A list of objects that has to be there, each with inputs of its own. */
    @SuppressWarnings("unchecked")
    public List<CalcInputs> objects(String key) {
        List<?> list = list(key);
        List<CalcInputs> result = new ArrayList<>();
        for (int i = 0; i < list.size(); i++) {
            if (!(list.get(i) instanceof Map<?, ?> map)) {
                throw new CalcException(path + key + "[" + i + "]", "is no object");
            }
            result.add(new CalcInputs((Map<String, ?>) map, path + key + "[" + i + "]."));
        }
        within.addAll(result);
        return result;
    }

    /** An object that has to be there, with inputs of its own. */
    @SuppressWarnings("unchecked")
    public CalcInputs object(String key) {
        if (!(get(key) instanceof Map<?, ?> map)) {
            throw new CalcException(path + key, has(key) ? "is no object" : "is missing: give an object");
        }
        CalcInputs result = new CalcInputs((Map<String, ?>) map, path + key + ".");
        within.add(result);
        return result;
    }

    /** Names of the members of an object that has any. */
    public List<String> names() {
        return values.keySet().stream().map(String::valueOf).toList();
    }

    /** A list of texts that has to be there. */
    public List<String> texts(String key) {
        return list(key).stream().map(String::valueOf).toList();
    }

    /** A list of points that has to be there, each a list of as many numbers. */
    public List<double[]> points(String key, int numbers) {
        List<double[]> result = new ArrayList<>();
        for (Object point : list(key)) {
            if (!(point instanceof List<?> all) || all.size() != numbers) {
                throw new CalcException(path + key, "'" + point + "' is no point: give " + numbers + " numbers");
            }
            result.add(all.stream().mapToDouble(v -> finite(key, v)).toArray());
        }
        return result;
    }

    private List<?> list(String key) {
        if (get(key) instanceof List<?> list) {
            return list;
        }
        throw new CalcException(path + key, "is no list");
    }

    /** A number means the unit of its key; a text may carry any unit of the quantity. */
    private double measured(String key, Object value, Unit unit) {
        if (!(value instanceof String text)) {
            return unit.toSi(finite(key, value));
        }
        try {
            double si = UnitText.parse(text, unit.quantity(), unit).si();
            return finite(key, si);
        } catch (UnitTextException e) {
            throw new CalcException(path + key, "'" + text + "' " + e.getMessage());
        }
    }

    private double finite(String key, Object value) {
        double number;
        if (value instanceof Number n) {
            number = n.doubleValue();
        } else {
            try {
                number = Double.parseDouble(String.valueOf(value).strip());
            } catch (NumberFormatException e) {
                throw new CalcException(path + key, "'" + value + "' is no number");
            }
        }
        if (!Double.isFinite(number) || Math.abs(number) > LARGEST) {
            throw new CalcException(path + key, value + " is outside -1e9 to 1e9");
        }
        return number;
    }
}
