package whipsaw.core.job;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import whipsaw.core.schema.Input;
import whipsaw.core.schema.Shape;
import whipsaw.core.schema.Slot;

/**
 * What a change of the code family or of its edition does to a document: wind and snow are cleared and asked for
 * again, because a value of one family means something else in another; the other fields of the
 * new family get the values a new job has. Which inputs these are is declared with them.
 */
public final class CodeFamilyChange {
    private static final Shape<Site> SITE = Shape.of(Site.class);
    private static final Shape<Site.CodeSite> CODE = Shape.of(Site.CodeSite.class);

    private CodeFamilyChange() {}

    /**
     * The changed document with the fields of its new family when that differs from before.
     *
     * @param coefficients id of the net-coefficient set a job of the EN family starts with
     */
    public static Map<String, Object> settled(
            Map<String, Object> before, Map<String, Object> after, String coefficients) {
        String was = family(before);
        String is = family(after);
        if (is != null && is.equals(was) && !edition(before).equals(edition(after))) {
            return cleared(after, "edition");
        }
        if (was == null || is == null || was.equals(is) || shape(is) == null) {
            return after;
        }
        Map<String, Object> result = cleared(after, "family");
        Map<String, Object> site = site(result);
        for (Slot slot : shape(is).slots()) {
            if (!slot.input().start().equals(Input.NONE)) {
                site.put(slot.key(), slot.start());
            }
        }
        site.remove("coefficients");
        if (!shape(is).slot("coefficients").optional()) {
            site.put("coefficients", coefficients);
        }
        result.put("site", site);
        return result;
    }

    private static Shape<?> shape(String family) {
        return CODE.kinds().stream()
                .filter(k -> k.kind().equals(family))
                .findFirst()
                .orElse(null);
    }

    /** The document without the inputs that a change of another one clears. */
    private static Map<String, Object> cleared(Map<String, Object> document, String by) {
        Map<String, Object> site = site(document);
        List<Slot> slots = SITE.slots();
        slots.stream()
                .filter(s -> Arrays.asList(s.input().clearedBy()).contains(by))
                .forEach(s -> site.remove(s.key()));
        Map<String, Object> result = new LinkedHashMap<>(document);
        result.put("site", site);
        return result;
    }

    private static Map<String, Object> site(Map<String, Object> document) {
        Map<String, Object> site = new LinkedHashMap<>();
        ((Map<?, ?>) document.get("site")).forEach((k, v) -> site.put(String.valueOf(k), v));
        return site;
    }

    private static String edition(Map<String, Object> document) {
        return document.get("site") instanceof Map<?, ?> site && site.get("edition") != null
                ? String.valueOf(site.get("edition"))
                : Site.AsceSite.EDITIONS.get(0);
    }

    private static String family(Map<String, Object> document) {
        return SchemaUpgrade.upgraded(document).get("site") instanceof Map<?, ?> site
                ? String.valueOf(site.get("family"))
                : null;
    }
}
