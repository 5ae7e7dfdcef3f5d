package whipsaw.core.job;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** What differs between two documents, leaf by leaf; a dimension is one leaf, shown as it was typed, and so is a long list of plain texts. */
public final class DocumentDiff {
    /** Longer lists of plain texts are told as one difference. */
    private static final int MOST_TOLD = 60;

    private DocumentDiff() {}

    /**
     * One difference.
     *
     * @param path in the document
     * @param before empty when it was not there
     * @param after empty when it is gone
     */
    public record Entry(String path, String before, String after) {}

    /** Inputs that differ between two documents, in the order of the later one. */
    public static List<Entry> between(Map<?, ?> before, Map<?, ?> after) {
        Map<String, String> was = leaves(before);
        Map<String, String> is = leaves(after);
        Set<String> paths = new LinkedHashSet<>(is.keySet());
        paths.addAll(was.keySet());
        List<Entry> entries = new ArrayList<>();
        for (String path : paths) {
            String a = was.getOrDefault(path, "");
            String b = is.getOrDefault(path, "");
            if (!a.equals(b)) {
                entries.add(new Entry(path, a, b));
            }
        }
        return entries;
    }

    private static Map<String, String> leaves(Map<?, ?> document) {
        Map<String, String> leaves = new LinkedHashMap<>();
        collect(document, "$", leaves);
        return leaves;
    }

    private static void collect(Object value, String path, Map<String, String> leaves) {
        if (value instanceof Map<?, ?> map && map.get("typed") instanceof String typed) {
            leaves.put(path, typed);
        } else if (value instanceof Map<?, ?> map) {
            map.forEach((k, v) -> collect(v, path + "." + k, leaves));
        } else if (value instanceof List<?> list && list.size() > MOST_TOLD && list.get(0) instanceof String) {
            // a year of days is one input to a reader
            leaves.put(path, list.size() + " lines, mark " + Integer.toHexString(list.hashCode()));
        } else if (value instanceof List<?> list) {
            for (int i = 0; i < list.size(); i++) {
                boolean named = list.get(i) instanceof Map<?, ?> map && map.get("id") instanceof String;
                String at = named ? "id=" + ((Map<?, ?>) list.get(i)).get("id") : String.valueOf(i);
                collect(list.get(i), path + "[" + at + "]", leaves);
            }
        } else if (value != null) {
            leaves.put(path, String.valueOf(value));
        }
    }
}
