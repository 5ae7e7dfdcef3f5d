package whipsaw.app.print;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobDocument;
import whipsaw.core.job.Site;
import whipsaw.core.schema.Located;
import whipsaw.core.schema.Shape;
import whipsaw.core.schema.Slot;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Spacings;

/** What a sheet says of inputs nobody has confirmed, and of wind and snow that are missing. */
final class Assumptions {
    /** Assumptions of one input that are written out; a roof may have hundreds of things. */
    private static final int MOST_ALIKE = 4;

    private Assumptions() {}

    /** A line for each input of a job that is missing or assumed; many alike in one line. */
    static List<String> of(Job job) {
        List<String> list = new ArrayList<>();
        Map<Slot, List<String>> assumed = new LinkedHashMap<>();
        for (Located input : Located.all(Shape.of(JobDocument.class), job.document())) {
            if (input.value() == null && input.slot().input().absent().equals(Site.CodeSite.MISSING)) {
                list.add("MISSING: " + input.name() + ".");
            }
            String typed = typed(input.value());
            if (!typed.isEmpty()) {
                assumed.computeIfAbsent(input.slot(), k -> new ArrayList<>()).add(input.name() + " " + typed);
            }
        }
        for (List<String> alike : assumed.values()) {
            int more = alike.size() - MOST_ALIKE;
            String words = String.join("; ", alike.subList(0, Math.min(MOST_ALIKE, alike.size())));
            list.add("ASSUMED, to be confirmed: " + words + (more > 0 ? "; and " + more + " more" : "") + ".");
        }
        return list;
    }

    /** An assumed value as it was typed; empty of any other. */
    private static String typed(Object value) {
        if (value instanceof Measure m && m.assumed()) {
            return m.typed().replace("~", "");
        }
        return value instanceof Spacings s && s.typed().contains("~")
                ? s.typed().replace("~", "")
                : "";
    }
}
