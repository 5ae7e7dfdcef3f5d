package whipsaw.core.calc;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import whipsaw.core.data.CodeWords;
import whipsaw.core.data.CsvRows;
import whipsaw.core.units.Show;
import whipsaw.core.units.Unit;

/** Results of a single calculation as a reader sees them: named in words, with units, in both systems. */
public final class Results {
    private static final int FIGURES = 5;
    private static final Map<String, String> WORDS = new HashMap<>();

    static {
        CsvRows.shipped("calc/results.csv").forEach(row -> WORDS.put(row.get("name"), row.get("words")));
    }

    /** Ends of keys with what they mean: the unit, and the one of the other system where there is another. */
    private enum End {
        PSF("_psf", Unit.POUND_PER_SQUARE_FOOT, Unit.KILOPASCAL),
        KILOPASCAL("_kPa", Unit.KILOPASCAL, Unit.POUND_PER_SQUARE_FOOT),
        MEGAPASCAL("_MPa", Unit.MEGAPASCAL, Unit.KIP_PER_SQUARE_INCH),
        KILONEWTON_PER_METRE("_kN_per_m", Unit.KILONEWTON_PER_METRE, Unit.POUND_PER_FOOT),
        KILONEWTON("_kN", Unit.KILONEWTON, Unit.POUND_FORCE),
        KILOGRAM("_kg", Unit.KILOGRAM, Unit.POUND),
        SQUARE_FOOT("_ft2", Unit.SQUARE_FOOT, Unit.SQUARE_METRE),
        SQUARE_METRE("_m2", Unit.SQUARE_METRE, Unit.SQUARE_FOOT),
        FOOT("_ft", Unit.FOOT, Unit.METRE),
        INCH("_in", Unit.INCH, Unit.MILLIMETRE),
        MILLIMETRE("_mm", Unit.MILLIMETRE, Unit.INCH),
        SPEED("_m_per_s", Unit.METRE_PER_SECOND, Unit.MILE_PER_HOUR),
        METRE("_m", Unit.METRE, Unit.FOOT),
        CELSIUS("_C", Unit.CELSIUS, Unit.FAHRENHEIT),
        DEGREE_CELSIUS("_degC", Unit.CELSIUS, Unit.FAHRENHEIT),
        ENERGY_BY_AREA("_kWh_per_m2", " kWh/m²"),
        ENERGY_BY_POWER("_kWh_per_kWp", " kWh/kWp"),
        POWER_BY_POWER("_kW_per_kWp", " kW/kWp"),
        ENERGY_OF_YEAR("_kWh_per_year", " kWh a year"),
        ENERGY("_kWh", " kWh"),
        PEAK_POWER("_kWp", " kWp"),
        IRRADIANCE("_W_per_m2", " W/m²"),
        MONTHS("_months", " months"),
        SHARE("_fraction", ""),
        DEGREE("_deg", "°"),
        MOMENT("_kNm", " kNm"),
        VOLUME_WEIGHT("_kN_per_m3", " kN/m³"),
        DENSITY("_pcf", " pcf"),
        RESISTANCE("_ohm_per_kft", " Ω/kft"),
        PER_CENT("_pct", " %"),
        VOLT("_V", " V"),
        AMPERE("_A", " A"),
        NONE("", "");

        private final String end;
        private final Unit unit;
        private final Unit other;
        private final String symbol;

        End(String end, Unit unit, Unit other) {
            this.end = end;
            this.unit = unit;
            this.other = other;
            this.symbol = " " + unit.symbol();
        }

        End(String end, String symbol) {
            this.end = end;
            this.unit = null;
            this.other = null;
            this.symbol = symbol;
        }

        String shown(double value) {
            String own = Show.significant(value, FIGURES) + symbol;
            return other == null
                    ? own
                    : own + " [" + Show.significant(other.fromSi(unit.toSi(value)), FIGURES) + " " + other.symbol()
                            + "]";
        }

        /** The end of a key that is named without it; null when it is named with none. */
        static End of(String key) {
            for (End e : values()) {
                if (key.endsWith(e.end) && WORDS.containsKey(key.substring(0, key.length() - e.end.length()))) {
                    return e;
                }
            }
            return null;
        }
    }

    /** One result. */
    public record Row(String words, String value) {}

    private final List<Row> rows = new ArrayList<>();
    private final Set<String> twins = new HashSet<>();

    private Results() {}

    /**
     * Results in words.
     *
     * @throws IllegalArgumentException when a result has no name
     */
    public static List<Row> of(Map<String, Object> values) {
        Results results = new Results();
        results.add("", values);
        return results.rows;
    }

    private void add(String before, Map<?, ?> values) {
        values.forEach((k, value) -> {
            String key = String.valueOf(k);
            End end = End.of(key);
            if (end == null && value instanceof Map<?, ?> map) {
                // what the user has named
                add(before + key.replace('_', ' ') + ": ", map);
                return;
            }
            if (end == null) {
                throw new IllegalArgumentException("no words for the result '" + key + "'");
            }
            String words = before + WORDS.get(key.substring(0, key.length() - end.end.length()));
            if (value instanceof Map<?, ?> map) {
                add(words + ": ", map);
            } else if (value instanceof List<?> list && list.stream().anyMatch(Map.class::isInstance)) {
                for (int i = 0; i < list.size(); i++) {
                    add(words + " " + (i + 1) + ": ", (Map<?, ?>) list.get(i));
                }
            } else if (end.other == null || twins.add(words)) {
                // a twin, the same result in the other system, is shown already
                rows.add(new Row(words, shown(value, end)));
            }
        });
    }

    private static String shown(Object value, End end) {
        if (value instanceof List<?> list) {
            List<String> all = list.stream().map(v -> shown(v, end)).toList();
            boolean places = list.stream().anyMatch(List.class::isInstance);
            return all.isEmpty() ? "none" : String.join(places ? "; " : ", ", all);
        }
        if (value instanceof Boolean yes) {
            return yes ? "yes" : "no";
        }
        if (value instanceof Number n) {
            return n instanceof Integer ? n + end.symbol : end.shown(n.doubleValue());
        }
        return value == null ? "none" : CodeWords.of(String.valueOf(value));
    }
}
