package whipsaw.core.calc;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import whipsaw.core.units.Unit;

/** The results of a single calculation, in US and SI units where both are in use. */
public final class CalcOutputs {
    private final Map<String, Object> values = new LinkedHashMap<>();

    public CalcOutputs put(String key, Object value) {
        Object shown = value instanceof Double d && !Double.isFinite(d) ? null : value;
        values.put(key, shown);
        return this;
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
