package whipsaw.core.job;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import whipsaw.core.schema.Path;

/**
 * Small changes to a job document: set, remove or append at a path. A path is {@code
 * $.roof.height}, {@code $.roof.obstructions[id=rtu-1].x} or {@code $.array.removed[2]}. The given
 * document is not touched.
 */
public final class DocumentPatch {
    private static final Pattern STEP = Pattern.compile(
            "\\.([A-Za-z0-9]+)|\\[(\\d{1,6})]|\\[(id(?==)|(?:edge|face)(?==\\d{1,4}])|bay(?==))=([A-Za-z0-9-]+)]");

    private final Map<String, Object> root;

    private DocumentPatch(Map<String, Object> root) {
        this.root = root;
    }

    /**
     * One change.
     *
     * @param op set, remove or append
     * @param value text, number, flag, list or object; ignored by remove
     */
    public record Change(String op, String path, Object value) {
        /** Gives an input, or an object, a value as documents hold it. */
        public static Change set(Path<?> path, Object value) {
            return new Change("set", path.toString(), value);
        }

        /** Takes an input, or one of a list, away. */
        public static Change remove(Path<?> path) {
            return new Change("remove", path.toString(), null);
        }

        /** Adds one to a list. */
        public static Change append(Path<? extends List<?>> path, Object value) {
            return new Change("append", path.toString(), value);
        }
    }

    /** A path or operation that makes no sense. */
    public static class BadPatch extends IllegalArgumentException {
        private static final long serialVersionUID = 1L;

        BadPatch(String message) {
            super(message);
        }
    }

    /** A copy of a document with changes made; throws a problem with the path where one cannot be made. */
    @SuppressWarnings("unchecked")
    public static Map<String, Object> apply(Map<String, Object> document, List<Change> changes) {
        DocumentPatch patch = new DocumentPatch((Map<String, Object>) copy(document));
        changes.forEach(patch::apply);
        return patch.root;
    }

    /** The document of a job after changes whose {@code $.roof} and {@code $.array} are those it is looked at from. */
    public static Map<String, Object> apply(Job job, List<Change> changes) {
        return apply(JobWriter.write(job), JobPaths.absolute(changes, job));
    }

    private static Object copy(Object value) {
        if (value instanceof Map<?, ?> map) {
            Map<Object, Object> result = new LinkedHashMap<>();
            map.forEach((k, v) -> result.put(k, copy(v)));
            return result;
        }
        if (value instanceof List<?> list) {
            List<Object> result = new ArrayList<>();
            list.forEach(v -> result.add(copy(v)));
            return result;
        }
        return value;
    }

    private record Step(String member, Integer index, String key, String match) {}

    private static List<Step> steps(String path) {
        if (path == null || !path.startsWith("$") || path.length() > 200) {
            throw new BadPatch("path '" + path + "' does not begin with $");
        }
        List<Step> steps = new ArrayList<>();
        Matcher m = STEP.matcher(path);
        int at = 1;
        while (at < path.length()) {
            if (!m.find(at) || m.start() != at) {
                throw new BadPatch("path '" + path + "' cannot be read at character " + at);
            }
            Integer index = m.group(2) == null ? null : Integer.valueOf(m.group(2));
            steps.add(new Step(m.group(1), index, m.group(3), m.group(4)));
            at = m.end();
        }
        if (steps.isEmpty()) {
            throw new BadPatch("path '" + path + "' names nothing");
        }
        return steps;
    }

    private void apply(Change change) {
        List<Step> steps = steps(change.path());
        Object place = root;
        boolean remove = "remove".equals(change.op());
        for (int i = 0; i < steps.size() - 1; i++) {
            if (remove && absent(place, steps.get(i), change.path())) {
                return;
            }
            boolean listNext = steps.get(i + 1).member() == null;
            place = child(place, steps.get(i), listNext, change.path());
        }
        Step last = steps.get(steps.size() - 1);
        switch (change.op() == null ? "" : change.op()) {
            case "set" -> set(place, last, copy(change.value()), change.path());
            case "remove" -> remove(place, last, change.path());
            case "append" -> {
                Object list = child(place, last, true, change.path());
                asList(list, change.path()).add(copy(change.value()));
            }
            default -> throw new BadPatch("operation '" + change.op() + "' is unknown");
        }
    }

    /** The member a step leads to, made when it is not there. */
    private static Object child(Object place, Step step, boolean list, String path) {
        if (step.member() != null) {
            return asMap(place, path)
                    .computeIfAbsent(
                            step.member(), k -> list ? new ArrayList<>() : new LinkedHashMap<String, Object>());
        }
        List<Object> items = asList(place, path);
        int index = index(items, step);
        if (index < 0 && optional(step)) {
            Map<String, Object> made = new LinkedHashMap<>();
            boolean name = step.key().equals("bay");
            made.put(step.key(), name ? step.match() : Integer.valueOf(step.match()));
            items.add(made);
            return made;
        }
        if (index < 0 || index >= items.size()) {
            throw new BadPatch("there is nothing at '" + path + "'");
        }
        return items.get(index);
    }

    private static int index(List<Object> items, Step step) {
        if (step.index() != null) {
            return step.index();
        }
        for (int i = 0; i < items.size(); i++) {
            if (items.get(i) instanceof Map<?, ?> map && step.match().equals(String.valueOf(map.get(step.key())))) {
                return i;
            }
        }
        return -1;
    }

    private static void set(Object place, Step step, Object value, String path) {
        if (step.member() != null) {
            asMap(place, path).put(step.member(), value);
            return;
        }
        List<Object> items = asList(place, path);
        int index = index(items, step);
        if (index < 0 || index >= items.size()) {
            throw new BadPatch("there is nothing at '" + path + "'");
        }
        items.set(index, value);
    }

    /**
     * Whether a step on the way to what is removed leads to an optional part that is not there, so that there is nothing
     * to remove.
     */
    private static boolean absent(Object place, Step step, String path) {
        return step.member() != null
                ? !asMap(place, path).containsKey(step.member())
                : optional(step) && index(asList(place, path), step) < 0;
    }

    /** Entries of an edge, a face or a bay say what differs there; every edge has one or none. */
    private static boolean optional(Step step) {
        return step.key() != null && !step.key().equals("id");
    }

    /** An input that is absent is removed already; a thing that is gone is refused. */
    private static void remove(Object place, Step step, String path) {
        if (step.member() != null) {
            asMap(place, path).remove(step.member());
            return;
        }
        List<Object> items = asList(place, path);
        int index = index(items, step);
        if (index >= 0 && index < items.size()) {
            items.remove(index);
        } else if (!optional(step)) {
            throw new BadPatch("there is nothing at '" + path + "'");
        }
    }

    @SuppressWarnings("unchecked")
    private static Map<String, Object> asMap(Object value, String path) {
        if (value instanceof Map<?, ?> map) {
            return (Map<String, Object>) map;
        }
        throw new BadPatch("'" + path + "' goes through something that is no object");
    }

    @SuppressWarnings("unchecked")
    private static List<Object> asList(Object value, String path) {
        if (value instanceof List<?> list) {
            return (List<Object>) list;
        }
        throw new BadPatch("'" + path + "' goes through something that is no list");
    }
}
