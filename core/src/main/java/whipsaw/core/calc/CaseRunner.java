package whipsaw.core.calc;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * Runs reference cases: {@code {id, topic, inputs, expected, tolerance_rel, tolerance_abs}}. A
 * number passes within the larger of the two tolerances; whole numbers, texts, flags and null must
 * be equal; lists are compared in order.
 */
public final class CaseRunner {
    private final Topics topics;

    public CaseRunner(Topics topics) {
        this.topics = topics;
    }

    /**
     * Outcome of one case.
     *
     * @param misses one line per figure that differs; empty when it passed
     * @param known false when there is no such topic
     */
    public record Outcome(String id, String topic, boolean known, List<String> misses) {
        /** Whether nothing differs. */
        public boolean passed() {
            return known && misses.isEmpty();
        }
    }

    /** Runs one case and holds what comes out against what it expects. */
    @SuppressWarnings("unchecked")
    public Outcome run(Map<String, ?> theCase) {
        String id = String.valueOf(theCase.get("id"));
        String name = String.valueOf(theCase.get("topic"));
        Topic topic = topics.named(name);
        if (topic == null) {
            return new Outcome(id, name, false, List.of());
        }
        List<String> misses = new ArrayList<>();
        try {
            Map<String, Object> actual = topic.run((Map<String, ?>) theCase.get("inputs"));
            Comparison comparison =
                    new Comparison(number(theCase.get("tolerance_rel")), number(theCase.get("tolerance_abs")), misses);
            comparison.compare("", theCase.get("expected"), actual);
        } catch (CalcException e) {
            misses.add(e.getMessage());
        } catch (ClassCastException e) {
            misses.add("inputs or expected is no object");
        }
        return new Outcome(id, name, true, misses);
    }

    private static double number(Object value) {
        return value instanceof Number n ? n.doubleValue() : 0;
    }

    private record Comparison(double relative, double absolute, List<String> misses) {

        void compare(String path, Object expected, Object actual) {
            if (expected instanceof Map<?, ?> map && actual instanceof Map<?, ?> other) {
                map.forEach((key, value) -> member(path + "." + key, value, other, key));
            } else if (expected instanceof List<?> list
                    && actual instanceof List<?> other
                    && list.size() == other.size()) {
                for (int i = 0; i < list.size(); i++) {
                    compare(path + "[" + i + "]", list.get(i), other.get(i));
                }
            } else if (!same(expected, actual)) {
                misses.add(path.replaceFirst("^\\.", "") + ": " + actual + " is not " + expected);
            }
        }

        private void member(String path, Object expected, Map<?, ?> actual, Object key) {
            if (!actual.containsKey(key)) {
                misses.add(path.substring(1) + ": is not computed");
            } else {
                compare(path, expected, actual.get(key));
            }
        }

        private boolean same(Object expected, Object actual) {
            if (expected instanceof Number e && actual instanceof Number a) {
                boolean whole = isWhole(e) && isWhole(a);
                double difference = Math.abs(a.doubleValue() - e.doubleValue());
                double allowed = Math.max(relative * Math.abs(e.doubleValue()), absolute);
                return whole ? difference == 0 : difference <= allowed;
            }
            return expected == null ? actual == null : expected.equals(actual);
        }

        private static boolean isWhole(Number n) {
            return n instanceof Integer || n instanceof Long;
        }
    }
}
