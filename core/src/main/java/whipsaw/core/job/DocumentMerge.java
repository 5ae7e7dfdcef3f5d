package whipsaw.core.job;

import java.util.List;
import java.util.Map;

/**
 * Whether changes made on an older state of a document touch what was changed meanwhile. Things with an id are told
 * apart; lists whose entries have none are one thing, and so is an object that is set as a whole.
 */
public final class DocumentMerge {
    private static final String BY_ID = "[id=";

    private DocumentMerge() {}

    /**
     * Whether both touch the same thing.
     *
     * @param base what the changes were made on
     * @param now what it has become meanwhile
     */
    public static boolean clash(Map<?, ?> base, Map<?, ?> now, List<DocumentPatch.Change> changes) {
        List<String> theirs = DocumentDiff.between(base, now).stream()
                .map(e -> thing(e.path()))
                .distinct()
                .toList();
        for (DocumentPatch.Change c : changes) {
            String mine = thing(c.path());
            boolean append = "append".equals(c.op());
            for (String other : theirs) {
                if (within(mine, other) || (!append && within(other, mine))) {
                    return true;
                }
            }
        }
        return false;
    }

    /** A path as far as it names things that stay the same: up to an entry that has only a place in its list. */
    static String thing(String path) {
        int at = path.indexOf('[');
        while (at >= 0) {
            if (!path.startsWith(BY_ID, at)) {
                return path.substring(0, at);
            }
            at = path.indexOf('[', at + 1);
        }
        return path;
    }

    /** Whether a path is another one or lies in it. */
    private static boolean within(String path, String other) {
        return path.equals(other)
                || (path.startsWith(other)
                        && (path.charAt(other.length()) == '.' || path.charAt(other.length()) == '['));
    }
}
