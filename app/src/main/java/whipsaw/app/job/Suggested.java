package whipsaw.app.job;

import java.math.BigDecimal;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.stereotype.Component;

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

    private static String key(String slug, Object changes) {
        StringBuilder text = new StringBuilder(slug);
        write(changes, text);
        return text.toString();
    }

    /** The same text for the same value, in whatever order and however its numbers are written. */
    private static void write(Object value, StringBuilder text) {
        if (value instanceof Map<?, ?> map) {
            Map<String, Object> sorted = new TreeMap<>();
            map.forEach((k, v) -> sorted.put(String.valueOf(k), v));
            sorted.forEach((k, v) -> {
                text.append('{').append(k).append(':');
                write(v, text);
                text.append('}');
            });
        } else if (value instanceof List<?> list) {
            list.forEach(v -> {
                text.append('[');
                write(v, text);
                text.append(']');
            });
        } else if (value instanceof Number number) {
            text.append(new BigDecimal(number.toString()).stripTrailingZeros().toPlainString());
        } else {
            text.append('"').append(value).append('"');
        }
    }
}
