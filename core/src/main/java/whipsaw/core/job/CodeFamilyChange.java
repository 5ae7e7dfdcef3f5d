package whipsaw.core.job;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What a change of the code family or of its edition does to a document: wind and snow are cleared and asked for
 * again, because a value of one family means something else in another; the other fields of the
 * new family get their ordinary values.
 */
public final class CodeFamilyChange {
    private static final Map<String, Map<String, Object>> OWN = Map.of(
            "asce", Map.of("riskCategory", "II", "exposure", "C", "kzt", 1.0),
            "en",
                    Map.of(
                            "terrain", "II",
                            "directionFactor", 1.0,
                            "seasonFactor", 1.0,
                            "orography", 1.0,
                            "coefficients", ""));
    private static final List<String> ASKED_AGAIN = List.of(
            "wind",
            "snow",
            "roofSnow",
            "snowExposure",
            "snowThermal",
            "sds",
            "stories",
            "floorShare",
            "national",
            "returnYears",
            "hill",
            "edition",
            "method",
            "olderFigures");

    /** Values of maps and engineers that differ from one edition to the next. */
    private static final List<String> OF_THE_EDITION = List.of("wind", "snow", "roofSnow", "sds");

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
            Map<String, Object> result = new LinkedHashMap<>(after);
            Map<String, Object> site = site(after);
            OF_THE_EDITION.forEach(site::remove);
            result.put("site", site);
            return result;
        }
        if (was == null || is == null || was.equals(is) || !OWN.containsKey(is)) {
            return after;
        }
        Map<String, Object> site = site(after);
        ASKED_AGAIN.forEach(site::remove);
        OWN.values().forEach(own -> own.keySet().forEach(site::remove));
        site.putAll(OWN.get(is));
        site.computeIfPresent("coefficients", (k, v) -> coefficients);
        Map<String, Object> result = new LinkedHashMap<>(after);
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
                : Job.AsceSite.EDITIONS.get(0);
    }

    private static String family(Map<String, Object> document) {
        return SchemaUpgrade.upgraded(document).get("site") instanceof Map<?, ?> site
                ? String.valueOf(site.get("family"))
                : null;
    }
}
