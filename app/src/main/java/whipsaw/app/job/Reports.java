package whipsaw.app.job;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** What a step had to say that the next page shows once; the oldest give way. */
@Component
public class Reports {
    private static final int KEPT = 40;

    private final Map<String, List<String>> reports = Collections.synchronizedMap(new LinkedHashMap<>() {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, List<String>> eldest) {
            return size() > KEPT;
        }
    });

    public String keep(List<String> lines) {
        String id = UUID.randomUUID().toString();
        reports.put(id, List.copyOf(lines));
        return id;
    }

    /** The lines, empty when they were shown already. */
    public List<String> take(String id) {
        List<String> lines = reports.remove(id);
        return lines == null ? List.of() : lines;
    }
}
