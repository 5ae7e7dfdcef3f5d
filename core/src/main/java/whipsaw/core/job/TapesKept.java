package whipsaw.core.job;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Tapes of an outline that is traced over stay with the job, beside the drawing, where they still name its corners. */
public final class TapesKept {
    private TapesKept() {}

    /** The changed document, with the edges and diagonals of the outline it was taped as. */
    public static Map<String, Object> beside(Map<String, Object> before, Map<String, Object> after) {
        Map<?, ?> was = outline(before);
        Map<?, ?> is = outline(after);
        boolean traced = was != null && is != null && "taped".equals(was.get("kind")) && "drawn".equals(is.get("kind"));
        if (!traced
                || !(was.get("legs") instanceof List<?> legs)
                || !(is.get("corners") instanceof List<?> corners)
                || legs.size() != corners.size()
                || ((Map<?, ?>) after.get("roof")).containsKey("sizes")) {
            return after;
        }
        List<Object> tapes = new ArrayList<>();
        for (int i = 0; i < legs.size(); i++) {
            if (legs.get(i) instanceof Map<?, ?> leg && leg.get("length") != null) {
                tapes.add(tape(i + 1, (i + 1) % legs.size() + 1, leg.get("length")));
            }
        }
        if (was.get("diagonals") instanceof List<?> diagonals) {
            for (Object d : diagonals) {
                if (d instanceof Map<?, ?> diagonal) {
                    tapes.add(tape(diagonal.get("from"), diagonal.get("to"), diagonal.get("length")));
                }
            }
        }
        Map<String, Object> sizes = new LinkedHashMap<>();
        if ("inside".equals(was.get("face"))) {
            sizes.put("face", "inside");
        }
        sizes.put("tapes", tapes);
        Map<String, Object> roof = new LinkedHashMap<>();
        ((Map<?, ?>) after.get("roof")).forEach((key, value) -> roof.put(String.valueOf(key), value));
        roof.put("sizes", sizes);
        Map<String, Object> result = new LinkedHashMap<>(after);
        result.put("roof", roof);
        return result;
    }

    private static Map<String, Object> tape(Object from, Object to, Object length) {
        Map<String, Object> tape = new LinkedHashMap<>();
        tape.put("from", from);
        tape.put("to", to);
        tape.put("length", length);
        return tape;
    }

    private static Map<?, ?> outline(Map<String, Object> document) {
        return document.get("roof") instanceof Map<?, ?> roof && roof.get("outline") instanceof Map<?, ?> outline
                ? outline
                : null;
    }
}
