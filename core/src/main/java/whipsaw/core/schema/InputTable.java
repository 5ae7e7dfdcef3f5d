package whipsaw.core.schema;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Spacings;
import whipsaw.core.units.UnitSystem;

/** All inputs of a document in a table, made from their declarations. */
public final class InputTable {
    private final List<Row> rows = new ArrayList<>();

    private InputTable() {}

    /**
     * One input.
     *
     * @param path in documents; {@code []} stands for one of a list
     * @param label what it is called
     * @param what kind of value it is, with choices or range in both systems of units
     * @param absent what holds without it; {@code required} when it has to be there
     */
    public record Row(String path, String label, String what, String absent) {}

    /** The inputs under a path; those of catalogue parts are left out, for they have tables of their own. */
    public static List<Row> of(Shape<?> shape, String path) {
        InputTable table = new InputTable();
        table.add(shape, path);
        return table.rows;
    }

    private void add(Shape<?> shape, String path) {
        if (!shape.kinds().isEmpty()) {
            String names =
                    String.join(", ", shape.kinds().stream().map(Shape::kind).toList());
            if (!shape.kindKey().isEmpty()) {
                rows.add(new Row(path + "." + shape.kindKey(), shape.kindLabel(), names, "required"));
            }
            for (Shape<?> kind : shape.kinds()) {
                add(kind, path);
            }
            return;
        }
        for (Slot slot : shape.own()) {
            String at = path + "." + slot.key();
            boolean part = !slot.input().catalogue().isEmpty();
            rows.add(new Row(at, slot.label(), what(slot, shape), absent(slot)));
            if (slot.element() != null && !part) {
                add(slot.element(), slot.list() ? at + "[]" : at);
            }
        }
        shape.inlines().forEach(inline -> add(inline, path));
    }

    private static String what(Slot slot, Shape<?> shape) {
        String what = kind(slot);
        String[] when = slot.input().when();
        if (when.length > 0) {
            what += ", for " + shape.named(when[0]).label().toLowerCase(Locale.ROOT) + " "
                    + String.join(", ", Arrays.asList(when).subList(1, when.length)) + " only";
        }
        return shape.kind().isEmpty() ? what : what + ", of " + shape.kind();
    }

    private static String kind(Slot slot) {
        Input input = slot.input();
        if (!input.catalogue().isEmpty()) {
            return "copy of a catalogue entry of kind " + input.catalogue();
        } else if (slot.list()) {
            return (input.fewest() > 0 ? input.fewest() : 0) + " to " + input.many() + " objects";
        } else if (slot.element() != null) {
            return "object";
        } else if (slot.type() == Measure.class
                || slot.type() == Spacings.class
                || input.dim().twoSystems()) {
            String range =
                    slot.field().range(UnitSystem.US) + "; " + slot.field().range(UnitSystem.METRIC);
            return slot.type() == Measure.class ? range : "distances or values, each " + range;
        } else if (slot.type() == boolean.class && input.choices().length == 0 || slot.type() == Boolean.class) {
            return "true or false";
        } else if (!slot.choices().isEmpty()) {
            int many = slot.choices().size();
            return many > 40 ? "one of " + many + " names" : String.join(", ", slot.choices());
        } else if (slot.type() == LocalDate.class) {
            return "date, as 2026-05-31";
        } else if (input.least() > Double.NEGATIVE_INFINITY) {
            String unit = input.unit().isEmpty() ? "" : " " + input.unit();
            return Doc.trim(input.least()) + " to " + Doc.trim(input.most()) + unit;
        }
        return "text, up to " + input.longest() + " characters";
    }

    private static String absent(Slot slot) {
        Input input = slot.input();
        boolean own = !input.orElse().equals(Input.NONE) && !input.orElse().isEmpty();
        if (own) {
            return "taken as " + input.orElse();
        }
        return !slot.optional() ? "required" : input.absent().isEmpty() ? "may be left out" : input.absent();
    }
}
