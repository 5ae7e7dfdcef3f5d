package whipsaw.core.job;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.UnaryOperator;

/** Brings a document of an older schema version to the one of today. The given document is not touched. */
public final class SchemaUpgrade {
    private static final String ROOF = "r1";
    private static final String ARRAY = "A";
    private static final String GROUP = "I1";

    private SchemaUpgrade() {}

    /** The document as the newest version would have written it; documents of other versions pass unchanged. */
    public static Map<?, ?> upgraded(Map<?, ?> document) {
        Map<?, ?> second = is(document, 1) ? fromFirst(document) : document;
        Map<?, ?> third = is(second, 2) ? fromSecond(second) : second;
        Map<?, ?> fourth = is(third, 3) ? fromThird(third) : third;
        Map<?, ?> fifth = is(fourth, 4) ? fromFourth(fourth) : fourth;
        return is(fifth, 5) ? fromFifth(fifth) : fifth;
    }

    /**
     * A path of the newest version as a document calls it that may be older.
     *
     * @param path from the document, by number or by id
     */
    static String asGiven(String path, Map<?, ?> document) {
        if (!(document.get("schema") instanceof Number n) || n.doubleValue() >= JobDocument.SCHEMA) {
            return path;
        }
        String one = path.replaceFirst("^\\$\\.groups\\[(0|id=" + GROUP + ")]", "\\$.electrical");
        return n.doubleValue() >= 5
                ? one
                : one.replaceFirst("^\\$\\.roofs\\[(0|id=" + ROOF + ")]", "\\$.roof")
                        .replaceFirst("^\\$\\.arrays\\[(0|id=" + ARRAY + ")]", "\\$.array");
    }

    /** Version 6 has many inverter groups: the one there was becomes the first, and every array feeds it. */
    private static Map<Object, Object> fromFifth(Map<?, ?> document) {
        Map<Object, Object> result = new LinkedHashMap<>();
        document.forEach((key, value) -> {
            switch (String.valueOf(key)) {
                case "schema" -> result.put("schema", 6);
                case "electrical" -> result.put("groups", List.of(named(value, GROUP, "Inverters")));
                case "arrays" -> result.put("arrays", feeding(value));
                default -> result.put(key, value);
            }
        });
        return result;
    }

    private static Object feeding(Object arrays) {
        return arrays instanceof List<?> list
                ? list.stream().map(a -> withDefault(a, "feeds", GROUP)).toList()
                : arrays;
    }

    /**
     * Version 5 has many roofs and arrays: the roof that was worked on becomes the first, the others follow it, and the
     * one array stands on the first.
     */
    private static Map<Object, Object> fromFourth(Map<?, ?> document) {
        Map<Object, Object> result = new LinkedHashMap<>();
        Map<Object, Object> survey = new LinkedHashMap<>();
        if (document.get("survey") instanceof Map<?, ?> given) {
            survey.putAll(given);
        }
        Object name = survey.remove("roofName");
        Object others = survey.remove("roofs");
        document.forEach((key, value) -> {
            switch (String.valueOf(key)) {
                case "schema" -> result.put("schema", 5);
                case "roof" -> result.put("roofs", roofs(name, value, others));
                case "array" -> result.put("arrays", List.of(named(value, ARRAY, ARRAY, "on", ROOF)));
                case "survey" -> result.put("survey", value instanceof Map ? survey : value);
                default -> result.put(key, value);
            }
        });
        return result;
    }

    private static List<Object> roofs(Object name, Object first, Object others) {
        List<Object> roofs = new ArrayList<>();
        boolean given = name instanceof String text && !text.isBlank();
        roofs.add(named(first, ROOF, given ? name : "Main roof"));
        if (others instanceof List<?> list) {
            for (Object other : list) {
                if (other instanceof Map<?, ?> map) {
                    Map<Object, Object> all = new LinkedHashMap<>(map);
                    Object inner = all.remove("roof");
                    if (inner instanceof Map<?, ?> members) {
                        all.putAll(members);
                    }
                    roofs.add(all);
                } else {
                    roofs.add(other);
                }
            }
        }
        return roofs;
    }

    /** An object with an id and a name, and more members where given. */
    private static Object named(Object value, Object id, Object name, Object... more) {
        if (!(value instanceof Map<?, ?> map)) {
            return value;
        }
        Map<Object, Object> all = new LinkedHashMap<>();
        all.put("id", id);
        all.put("name", name);
        for (int i = 0; i < more.length; i += 2) {
            all.put(more[i], more[i + 1]);
        }
        all.putAll(map);
        return all;
    }

    private static boolean is(Map<?, ?> document, int version) {
        return document.get("schema") instanceof Number n && n.doubleValue() == version;
    }

    /** Version 4 gives the spacings of bays as lists and knows kinds of obstructions; all else new may be left out. */
    private static Map<Object, Object> fromThird(Map<?, ?> document) {
        Map<Object, Object> result = new LinkedHashMap<>(document);
        result.put("schema", 4);
        result.computeIfPresent(
                "roof",
                (k, roof) -> changed(roof, "bays", bays -> {
                    Object along = changed(bays, "alongX", SchemaUpgrade::asList);
                    return changed(along, "alongY", SchemaUpgrade::asList);
                }));
        return result;
    }

    private static Object asList(Object spacing) {
        return changed(spacing, "m", m -> m instanceof Number ? List.of(m) : m);
    }

    /**
     * Version 3 says how a tape survey is closed, which of its angles were measured, and has diagonals. An
     * older survey keeps the compass rule, so that its roof stays as it was.
     */
    private static Map<Object, Object> fromSecond(Map<?, ?> document) {
        Map<Object, Object> result = new LinkedHashMap<>(document);
        result.put("schema", 3);
        result.computeIfPresent("roof", (k, roof) -> changed(roof, "outline", SchemaUpgrade::outline));
        return result;
    }

    private static Object outline(Object outline) {
        if (!(outline instanceof Map<?, ?> map) || !"taped".equals(map.get("kind"))) {
            return outline;
        }
        Object closed = withDefault(outline, "closing", "compass");
        return changed(
                closed,
                "legs",
                legs -> legs instanceof List<?> list
                        ? list.stream().map(SchemaUpgrade::leg).toList()
                        : legs);
    }

    private static Object leg(Object leg) {
        boolean square = leg instanceof Map<?, ?> map
                && map.get("turnDeg") instanceof Number turn
                && Math.abs(turn.doubleValue()) == 90;
        return withDefault(leg, "measured", !square);
    }

    /** Version 2 names the code family, the arrangement of a tray system and the conductor as a part. */
    private static Map<Object, Object> fromFirst(Map<?, ?> document) {
        Map<Object, Object> result = new LinkedHashMap<>(document);
        result.put("schema", 2);
        result.computeIfPresent("site", (k, site) -> withDefault(site, "family", "asce"));
        result.computeIfPresent(
                "array", (k, array) -> changed(array, "tray", tray -> withDefault(tray, "arrangement", "one-way")));
        result.computeIfPresent("electrical", (k, electrical) -> changed(electrical, "run", SchemaUpgrade::run));
        return result;
    }

    private static Object run(Object run) {
        if (!(run instanceof Map<?, ?> map) || !map.containsKey("material")) {
            return run;
        }
        Map<Object, Object> result = new LinkedHashMap<>(map);
        String material = String.valueOf(result.remove("material"));
        String insulation = String.valueOf(result.remove("insulation"));
        Map<String, Object> conductor = new LinkedHashMap<>();
        conductor.put("code", material + "-" + insulation.toLowerCase(Locale.ROOT));
        conductor.put("edition", "1");
        conductor.put("maker", "Generic");
        conductor.put("name", (material.equals("cu") ? "copper " : "aluminium ") + insulation);
        conductor.put("source", "from a job of schema version 1");
        conductor.put("status", "unconfirmed");
        conductor.put("material", material);
        conductor.put("insulation", insulation);
        result.put("conductor", conductor);
        return result;
    }

    private static Object withDefault(Object value, String key, Object member) {
        return value instanceof Map<?, ?> map && map.containsKey(key) ? value : with(value, key, member);
    }

    private static Object with(Object value, String key, Object member) {
        if (!(value instanceof Map<?, ?> map)) {
            return value;
        }
        Map<Object, Object> result = new LinkedHashMap<>(map);
        result.put(key, member);
        return result;
    }

    private static Object changed(Object value, String key, UnaryOperator<Object> change) {
        return value instanceof Map<?, ?> map && map.containsKey(key)
                ? with(value, key, change.apply(map.get(key)))
                : value;
    }
}
