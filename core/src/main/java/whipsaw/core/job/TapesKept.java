package whipsaw.core.job;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/** Tapes of an outline that is traced over stay with the job, beside the drawing, where they still name its corners. */
public final class TapesKept {
    private TapesKept() {}

    /** The changed document, with the edges and diagonals of every outline that was taped before. */
    public static Map<String, Object> beside(Map<String, Object> before, Map<String, Object> after) {
        if (!(after.get("roofs") instanceof List<?> roofs) || !(before.get("roofs") instanceof List<?> old)) {
            return after;
        }
        List<Object> kept = new ArrayList<>();
        for (Object roof : roofs) {
            Object was = old.stream()
                    .filter(r -> r instanceof Map<?, ?> a
                            && roof instanceof Map<?, ?> b
                            && Objects.equals(a.get("id"), b.get("id")))
                    .findFirst()
                    .orElse(null);
            kept.add(was == null ? roof : roof((Map<?, ?>) was, (Map<?, ?>) roof));
        }
        if (kept.equals(roofs)) {
            return after;
        }
        Map<String, Object> result = new LinkedHashMap<>(after);
        result.put("roofs", kept);
        return result;
    }

    private static Map<?, ?> roof(Map<?, ?> before, Map<?, ?> after) {
        Map<?, ?> was = outline(before);
        Map<?, ?> is = outline(after);
        boolean traced = was != null && is != null && "taped".equals(was.get("kind")) && "drawn".equals(is.get("kind"));
        if (!traced
                || !(was.get("legs") instanceof List<?> legs)
                || !(is.get("corners") instanceof List<?> corners)
                || legs.size() != corners.size()
                || after.containsKey("sizes")) {
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
        Map<Object, Object> roof = new LinkedHashMap<>(after);
        roof.put("sizes", sizes);
        return roof;
    }

    private static Map<String, Object> tape(Object from, Object to, Object length) {
        Map<String, Object> tape = new LinkedHashMap<>();
        tape.put("from", from);
        tape.put("to", to);
        tape.put("length", length);
        return tape;
    }

    private static Map<?, ?> outline(Map<?, ?> roof) {
        return roof.get("outline") instanceof Map<?, ?> outline ? outline : null;
    }
}
