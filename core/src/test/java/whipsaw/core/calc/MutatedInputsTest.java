package whipsaw.core.calc;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import whipsaw.core.table.CodeTables;

/** Single calculations under spoiled inputs: an answer with finite figures, or words; nothing else. */
class MutatedInputsTest {
    private static final int MUTANTS = 100_000;
    private static final Object[] ODD = {
        -1,
        0,
        1e308,
        -1e308,
        1e-308,
        Double.NaN,
        Double.POSITIVE_INFINITY,
        "",
        "abc",
        "-3 kg",
        "1e400",
        null,
        true,
        List.of(),
        Map.of(),
        2_147_483_648L,
        0.5,
        "12 ft 6 in",
        1e6,
        -0.0,
        "NaN"
    };

    private final Topics topics = new Topics(CodeTables.shipped());

    @Test
    void spoiledInputsEndInFiguresOrInWords() {
        List<Map<String, Object>> cases = ReferenceCasesTest.all();
        Random random = new Random(20261);
        int answered = 0;
        int refused = 0;
        for (int i = 0; i < MUTANTS; i++) {
            Map<String, Object> one = cases.get(random.nextInt(cases.size()));
            Topic topic = topics.named((String) one.get("topic"));
            // a year of hours takes milliseconds and not microseconds: fewer of those
            if (topic == null || slow((Map<?, ?>) one.get("inputs")) && i % 50 != 0) {
                continue;
            }
            Map<String, Object> inputs = spoiled((Map<?, ?>) one.get("inputs"), random);
            try {
                finite(topic.run(inputs), topic.name() + " " + inputs);
                answered++;
            } catch (CalcException e) {
                assertThat(e.getMessage()).isNotBlank();
                refused++;
            }
        }
        assertThat(answered).isGreaterThan(1000);
        assertThat(refused).isGreaterThan(10_000);
    }

    private static boolean slow(Map<?, ?> inputs) {
        return inputs.containsKey("site") || inputs.containsKey("objects");
    }

    private static void finite(Object value, String where) {
        if (value instanceof Map<?, ?> map) {
            map.values().forEach(v -> finite(v, where));
        } else if (value instanceof List<?> list) {
            list.forEach(v -> finite(v, where));
        } else if (value instanceof Double d) {
            assertThat(d).as(where).isFinite();
        } else if (value instanceof String s) {
            assertThat(s).as(where).doesNotContain("Infinity", "NaN");
        }
    }

    /** The same with one or two values changed, dropped or added, at any depth. */
    private static Map<String, Object> spoiled(Map<?, ?> inputs, Random random) {
        Map<String, Object> copy = new LinkedHashMap<>();
        inputs.forEach((k, v) -> copy.put(String.valueOf(k), v));
        for (int n = 0; n <= random.nextInt(2); n++) {
            List<String> keys = new ArrayList<>(copy.keySet());
            if (keys.isEmpty()) {
                return copy;
            }
            String key = keys.get(random.nextInt(keys.size()));
            Object value = copy.get(key);
            switch (random.nextInt(6)) {
                case 0 -> copy.remove(key);
                case 1 -> copy.put(key + "_x", value);
                case 2 -> copy.put(key, value instanceof Number v ? -v.doubleValue() : value);
                case 3 -> copy.put(key, value instanceof Number v ? v.doubleValue() * 1e7 : value);
                case 4 -> copy.put(key, deeper(value, random));
                default -> copy.put(key, ODD[random.nextInt(ODD.length)]);
            }
        }
        return copy;
    }

    private static Object deeper(Object value, Random random) {
        if (value instanceof List<?> list && !list.isEmpty()) {
            List<Object> copy = new ArrayList<>(list);
            int at = random.nextInt(copy.size());
            Object old = copy.get(at);
            copy.set(at, old instanceof Map<?, ?> map ? spoiled(map, random) : ODD[random.nextInt(ODD.length)]);
            return copy;
        }
        return ODD[random.nextInt(ODD.length)];
    }

    @ParameterizedTest
    @CsvSource({
        "ballast_module,racking_mass_kg,-5",
        "ballast_module,max_blocks,-2",
        "snow_asce_flat,pg_psf,-10",
        "ballast_module,module_mas_kg,28",
        "velocity_pressure,V_mph,1e308",
        "velocity_pressure,ground_elev_ft,1e8"
    })
    void whatMeansNothingIsNamed(String topic, String key, double value) {
        Map<String, Object> inputs = new LinkedHashMap<>();
        ReferenceCasesTest.all().stream()
                .filter(c -> c.get("topic").equals(topic))
                .findFirst()
                .ifPresent(c -> ((Map<?, ?>) c.get("inputs")).forEach((k, v) -> inputs.put(String.valueOf(k), v)));
        inputs.keySet().removeIf(k -> k.startsWith(key.substring(0, key.lastIndexOf('_'))) && !k.equals(key));
        inputs.put(key, value);
        assertThatThrownBy(() -> topics.named(topic).run(inputs))
                .isInstanceOf(CalcException.class)
                .hasMessageContaining(key.substring(0, key.lastIndexOf('_')));
    }

    /** At the ground the code's least height acts. */
    @Test
    void theVelocityPressureAtTheGroundIsThatOfTheLeastHeight() {
        Map<String, Object> inputs = new LinkedHashMap<>(Map.of(
                "V_mph",
                105,
                "exposure",
                "C",
                "edition",
                "7-16",
                "Kzt",
                1,
                "Kd",
                0.85,
                "ground_elev_ft",
                0,
                "min_z_ft",
                15,
                "z_ft",
                0));
        Map<String, Object> ground = topics.named("velocity_pressure").run(inputs);
        inputs.put("z_ft", 15);
        assertThat(ground).isEqualTo(topics.named("velocity_pressure").run(inputs));
    }
}
