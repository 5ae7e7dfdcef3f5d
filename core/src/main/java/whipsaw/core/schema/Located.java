package whipsaw.core.schema;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * An input found by its path in a document: its declaration, and its value where the way to it is there.
 *
 * @param thing the object it belongs to by its own name, as {@code RTU 1} or {@code Walkway}; empty for the document's own
 * @param label what the input is called
 * @param slot its declaration; null of the choice between kinds, and of one of a list
 * @param value null where it is absent
 */
public record Located(String thing, String label, Slot slot, Object value) {
    private static final Pattern STEP = Pattern.compile("\\.([A-Za-z0-9]+)|\\[(\\d{1,6})]|\\[([A-Za-z]+)=([^\\]]*)]");

    /** The name of the thing and of the input, as errors and the history have it. */
    public String name() {
        return thing.isEmpty() || label.isEmpty() ? thing + label : thing + ": " + label;
    }

    /**
     * Finds an input.
     *
     * @param shape of the document
     * @param document value of it; null to look among the declarations alone
     * @param path as {@code $.roof.obstructions[id=rtu-1].height}
     * @return null when the declarations have no such input
     */
    public static Located in(Shape<?> shape, Object document, String path) {
        return path.startsWith("$") ? new Walk(shape, document).to(path.substring(1)) : null;
    }

    /** Every input of a document that is no object, with its value; those that are absent have null. */
    public static List<Located> all(Shape<?> shape, Object document) {
        List<Located> all = new ArrayList<>();
        collect(shape, document, "", all);
        return all;
    }

    private static void collect(Shape<?> shape, Object object, String thing, List<Located> all) {
        for (Slot slot : shape.slots()) {
            if (shape.kindOf(object).slotOf(slot.key(), object) != slot) {
                continue; // of another kind than the object is
            }
            Object value = shape.value(object, slot);
            if (slot.list()) {
                List<?> entries = (List<?>) value;
                for (int i = 0; i < entries.size(); i++) {
                    String own = slot.entryName(told(slot, entries.get(i)), i, entries.size());
                    collect(slot.element(), entries.get(i), within(thing, own), all);
                }
            } else if (slot.element() == null) {
                all.add(new Located(thing, slot.label(), slot, value));
            } else if (value != null) {
                String own = slot.input().section() ? "" : slot.label();
                collect(
                        slot.element(),
                        value,
                        thing.isEmpty() || own.isEmpty() ? thing + own : thing + ": " + own,
                        all);
            }
        }
    }

    private static String within(String thing, String own) {
        return thing.isEmpty() || own.isEmpty() ? thing + own : thing + ", " + own;
    }

    /** What tells one of a list from the others. */
    private static Object told(Slot list, Object entry) {
        Slot by = list.element().slot(list.input().by());
        return by == null || entry == null ? null : list.element().value(entry, by);
    }

    /** The way through a document, step by step. */
    private static final class Walk {
        private Shape<?> shape;
        private Object value;
        private Slot slot;
        private String thing = "";
        private String label = "";

        Walk(Shape<?> shape, Object document) {
            this.shape = shape;
            this.value = document;
        }

        Located to(String path) {
            Matcher m = STEP.matcher(path);
            int at = 0;
            while (at < path.length()) {
                if (!m.find(at) || m.start() != at || !(m.group(1) == null ? entry(m) : member(m.group(1)))) {
                    return null;
                }
                at = m.end();
            }
            return new Located(thing, label, slot, value);
        }

        private boolean member(String key) {
            if (shape == null) {
                return false;
            }
            if (slot != null && !slot.list() && !slot.input().section()) {
                thing = thing.isEmpty() ? slot.label() : thing + ": " + slot.label();
            }
            Shape<?> kinds = shape.kinded(key);
            if (kinds != null) {
                Object inline = kinds == shape ? value : value == null ? null : shape.inlineValue(kinds, value);
                value = inline == null ? null : kinds.kindOf(inline).kind();
                label = kinds.kindLabel();
                slot = null;
                shape = null;
                return true;
            }
            slot = value == null ? shape.slot(key) : shape.kindOf(value).slotOf(key, value);
            if (slot == null) {
                slot = shape.slot(key);
                value = null;
            }
            if (slot == null) {
                return false;
            }
            value = shape.value(value, slot);
            label = slot.label();
            shape = slot.element();
            return true;
        }

        private boolean entry(Matcher m) {
            if (slot == null || !slot.list()) {
                return slot != null && slot.input().many() > 0 && m.group(2) != null && listed(m.group(2));
            }
            String key = m.group(3);
            int index = key == null ? Integer.parseInt(m.group(2)) : find(key, m.group(4));
            List<?> list = value instanceof List<?> all ? all : List.of();
            value = index >= 0 && index < list.size() ? list.get(index) : null;
            Object told = told(slot, value);
            Object own = told == null && key != null && key.equals(slot.input().by()) ? m.group(4) : told;
            thing = within(thing, slot.entryName(own, Math.max(0, index), list.size()));
            label = "";
            slot = null;
            return true;
        }

        /** One of a list of plain values. */
        private boolean listed(String index) {
            label = slot.label() + " " + (Integer.parseInt(index) + 1);
            value = null;
            return true;
        }

        private int find(String key, String wanted) {
            Slot by = shape.slot(key);
            List<?> list = value instanceof List<?> all ? all : List.of();
            for (int i = 0; by != null && i < list.size(); i++) {
                if (wanted.equals(String.valueOf(shape.kindOf(list.get(i)).value(list.get(i), by)))) {
                    return i;
                }
            }
            return -1;
        }
    }
}
