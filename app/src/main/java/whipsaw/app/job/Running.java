package whipsaw.app.job;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.BooleanSupplier;
import java.util.regex.Pattern;
import org.springframework.stereotype.Component;

/** Searches that are under way: each has a time, and ends sooner when the page that asked for it no longer waits. */
@Component
public class Running {
    /** Time of one search. */
    public static final int MOST_S = 15;

    private static final int KEPT = 50;

    /** Names as pages make them; any other is none. */
    private static final Pattern NAME = Pattern.compile("[0-9a-f-]{1,40}");

    private final Map<String, AtomicBoolean> stopped = Collections.synchronizedMap(new LinkedHashMap<>() {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, AtomicBoolean> eldest) {
            return size() > KEPT;
        }
    });

    /**
     * A search begins.
     *
     * @param ask name of it, made by the page; empty for none
     * @return whether to end it, to be asked at every step
     */
    public BooleanSupplier begun(String ask) {
        long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(MOST_S);
        AtomicBoolean gone = NAME.matcher(ask).matches()
                ? stopped.computeIfAbsent(ask, a -> new AtomicBoolean())
                : new AtomicBoolean();
        return () -> gone.get() || System.nanoTime() > until;
    }

    /**
     * Nobody waits for a search any more; one that has not begun yet will end at once.
     *
     * @param ask name of it
     */
    public void stop(String ask) {
        if (NAME.matcher(ask).matches()) {
            stopped.computeIfAbsent(ask, a -> new AtomicBoolean()).set(true);
        }
    }
}
