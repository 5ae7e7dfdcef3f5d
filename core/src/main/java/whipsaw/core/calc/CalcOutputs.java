package whipsaw.core.calc;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import whipsaw.core.units.Unit;

/** The results of a single calculation, in US and SI units where both are in use. */
public final class CalcOutputs {
    private final Map<String, Object> values = new LinkedHashMap<>();

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

    public Map<String, Object> values() {
        return Collections.unmodifiableMap(values);
    }
}
