package whipsaw.core.job;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Quantity;
import whipsaw.core.units.Spacings;

/** An object of a document being filled; null values are left out. */
final class Tree {
    final Map<String, Object> map = new LinkedHashMap<>();

    Tree put(String key, Object value) {
        if (value != null) {
            map.put(key, value);
        }
        return this;
    }

    /** A text, left out when it is empty. */
    Tree text(String key, String value) {
        return put(key, value == null || value.isEmpty() ? null : value);
    }

    Tree length(String key, Measure m) {
        return measure(key, m, Quantity.LENGTH);
    }

    Tree measure(String key, Measure m, Quantity quantity) {
        return put(key, m == null ? null : of(m, quantity));
    }

    Tree spacings(String key, Spacings s) {
        return put(key, s == null ? null : new Tree().put("typed", s.typed()).put("m", s.metres()).map);
    }

    /** A dimension as documents hold it. */
    static Map<String, Object> of(Measure m, Quantity quantity) {
        return new Tree().put("typed", m.typed()).put(quantity.siKey(), m.si()).map;
    }

    static <T> List<Object> list(List<T> items, Function<T, Object> writer) {
        List<Object> result = new ArrayList<>();
        items.forEach(item -> result.add(writer.apply(item)));
        return result;
    }
}
