package whipsaw.core.schema;

import java.util.List;
import java.util.Map;
import whipsaw.core.units.Spacings;
import whipsaw.core.units.UnitTextException;

/** Distances one after the other, as a crew calls them out. */
final class SpacingsText {
    private SpacingsText() {}

    /** Distances one after the other; each has to be in the range of the field. */
    static Spacings read(Doc doc, String key, Field field) {
        Object value = doc.take(key);
        String text = value instanceof Map<?, ?> map ? String.valueOf(map.get("typed")) : null;
        if (value instanceof String s) {
            text = s;
        } else if (value instanceof Number && doc.context().bareNumbers()) {
            text = String.valueOf(value);
        }
        String example = field.example(doc.context().units());
        String allowed =
                "; each may be " + field.range(doc.context().units()) + ", for example " + example + ", 4 @ " + example;
        if (text == null) {
            doc.problem(key, field.label(), value, "is no list of distances" + allowed);
            return new Spacings("", List.of(Double.NaN));
        }
        try {
            Spacings spacings = Spacings.parse(
                    text,
                    doc.context().bareNumbers()
                            ? field.dimension().unit(doc.context().units())
                            : null);
            if (spacings.metres().stream().anyMatch(m -> m < field.least() || m > field.most())) {
                doc.problem(key, field.label(), text, "has a distance outside its range" + allowed);
            }
            return spacings;
        } catch (UnitTextException e) {
            doc.problem(key, field.label(), text, e.getMessage() + allowed);
            return new Spacings("", List.of(Double.NaN));
        }
    }
}
