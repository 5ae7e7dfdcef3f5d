package whipsaw.app.job;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.stereotype.Component;
import whipsaw.app.store.Hash;
import whipsaw.app.store.Json;

/**
 * Changes that the server offered, with what the history says of them: a page sends back the changes and never the words,
 * so that nobody can write into the history what was not done. The oldest give way; a change that is no longer known here
 * is put into words like any other.
 */
@Component
public class Suggested {
    private static final int KEPT = 500;

    private final Map<String, String> offers = Collections.synchronizedMap(new LinkedHashMap<>() {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, String> eldest) {
            return size() > KEPT;
        }
    });

    /**
     * Keeps an offer.
     *
     * @param slug of the job
     * @param changes as they are sent to the page
     * @param words for the history
     */
    public void offer(String slug, Object changes, String words) {
        offers.put(key(slug, changes), words);
    }

    /**
     * The words of an offer.
     *
     * @param slug of the job
     * @param changes as they came back
     * @return null when they were not offered
     */
    public String words(String slug, Object changes) {
        return offers.get(key(slug, changes));
    }

    /** Short whatever the size of the changes: some hold a whole roof. */
    private static String key(String slug, Object changes) {
        return Hash.sha256(slug + '\n' + Json.write(plain(changes)));
    }

    /** The same tree for the same value, in whatever order and however its numbers are written. */
    private static Object plain(Object value) {
        if (value instanceof Map<?, ?> map) {
            Map<String, Object> sorted = new TreeMap<>();
            map.forEach((k, v) -> sorted.put(String.valueOf(k), plain(v)));
            return sorted;
        }
        if (value instanceof List<?> list) {
            return list.stream().map(Suggested::plain).toList();
        }
        return value instanceof Number number ? (Object) number.doubleValue() : value;
    }
}
