package whipsaw.app.store;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.exc.StreamConstraintsException;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.ObjectMapper;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** JSON text to trees of maps and lists, and back. Depth and text lengths are limited; a member
 * named twice is refused. */
public final class Json {
    private static final int DEEPEST = 40;
    private static final int LONGEST_TEXT = 200_000;

    private static final ObjectMapper MAPPER = JsonMapper.builder(JsonFactory.builder()
                    .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
                    .streamReadConstraints(StreamReadConstraints.builder()
                            .maxNestingDepth(DEEPEST)
                            .maxStringLength(LONGEST_TEXT)
                            .build())
                    .build())
            .build();

    private Json() {}

    /** A text that is no JSON object; the message names line and column. */
    public static class NotJson extends IllegalArgumentException {
        private static final long serialVersionUID = 1L;

        NotJson(String message) {
            super(message);
        }
    }

    @SuppressWarnings("unchecked")
    public static Map<String, Object> object(String text) {
        Object value = read(text);
        if (value instanceof Map<?, ?> map) {
            return (Map<String, Object>) map;
        }
        throw new NotJson("$ is no JSON object");
    }

    /** The same as a tree nobody may alter. */
    @SuppressWarnings("unchecked")
    static Map<String, Object> frozen(String text) {
        return (Map<String, Object>) frozen((Object) object(text));
    }

    private static Object frozen(Object value) {
        if (value instanceof Map<?, ?> map) {
            Map<Object, Object> result = new LinkedHashMap<>();
            map.forEach((k, v) -> result.put(k, frozen(v)));
            return Collections.unmodifiableMap(result);
        }
        return value instanceof List<?> list ? list.stream().map(Json::frozen).toList() : value;
    }

    public static List<?> list(String text) {
        if (read(text) instanceof List<?> list) {
            return list;
        }
        throw new NotJson("$ is no JSON list");
    }

    private static Object read(String text) {
        return read(text, Object.class);
    }

    /** A text that {@link #write} made of a record. */
    static <T> T read(String text, Class<T> type) {
        try {
            return MAPPER.readValue(text, type);
        } catch (JacksonException e) {
            String where = e.getLocation() == null
                    ? ""
                    : "line "
                            + e.getLocation().getLineNr()
                            + ", column "
                            + e.getLocation().getColumnNr()
                            + ": ";
            String why = e instanceof StreamConstraintsException
                    ? "its nesting depth is more than " + DEEPEST + " levels, or it has a text of more than "
                            + LONGEST_TEXT + " characters or a number that is too long"
                    : e.getOriginalMessage();
            throw new NotJson(where + why);
        }
    }

    public static String write(Object value) {
        return MAPPER.writeValueAsString(value);
    }

    /** For people to read. */
    public static String pretty(Object value) {
        return MAPPER.writer().with(SerializationFeature.INDENT_OUTPUT).writeValueAsString(value);
    }
}
