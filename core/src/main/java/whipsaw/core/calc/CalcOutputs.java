package whipsaw.core.calc;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import whipsaw.core.units.Unit;
import whipsaw.core.working.Step;

/** The results of a single calculation, in US and SI units where both are in use. */
public final class CalcOutputs {
    private final Map<String, Object> values = new LinkedHashMap<>();
    private final List<Step> steps = new ArrayList<>();

    /** What is not finite has no figure and is null, in lists and objects too. */
    public CalcOutputs put(String key, Object value) {
        values.put(key, finite(value));
        return this;
    }

    private static Object finite(Object value) {
        if (value instanceof Map<?, ?> map) {
            Map<Object, Object> own = new LinkedHashMap<>();
            map.forEach((k, v) -> own.put(k, finite(v)));
            return own;
        }
        if (value instanceof List<?> list) {
            List<Object> own = new ArrayList<>();
            list.forEach(v -> own.add(finite(v)));
            return own;
        }
        return value instanceof Double d && !Double.isFinite(d) ? null : value;
    }

    /** A length in feet and metres. */
    public CalcOutputs feet(String name, double metres) {
        return put(name + "_ft", Unit.FOOT.fromSi(metres)).put(name + "_m", metres);
    }

    /** A pressure in psf and kPa. */
    public CalcOutputs pressure(String name, double pascal) {
        return put(name + "_psf", Unit.POUND_PER_SQUARE_FOOT.fromSi(pascal)).put(name + "_kPa", pascal / 1000);
    }

    /** The lines of the working of what was computed. */
    public CalcOutputs steps(List<Step> working) {
        steps.addAll(working);
        return this;
    }

    /** What was put out, by key, in order. */
    public Map<String, Object> values() {
        return Collections.unmodifiableMap(values);
    }

    /** Lines of the working, in order; empty where the calculation is no formula. */
    public List<Step> steps() {
        return Collections.unmodifiableList(steps);
    }
}
