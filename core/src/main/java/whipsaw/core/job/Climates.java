package whipsaw.core.job;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import whipsaw.core.data.CsvRows;
import whipsaw.core.schema.Choices;

/** Climates a synthetic year can be made from. */
public final class Climates {
    private static final int MONTHS = 12;

    private static final Map<String, Kind> KINDS = new LinkedHashMap<>();

    /**
     * @param from latitude from which it is taken where none is chosen; NaN for never
     * @param clearness index of each month of the northern hemisphere
     * @param ambientC mean of each month
     * @param halfRangeK of a day's temperatures
     * @param windMPerS at the modules
     * @param albedo of the roof
     */
    public record Kind(
            String name,
            double from,
            List<Double> clearness,
            List<Double> ambientC,
            double halfRangeK,
            double windMPerS,
            double albedo) {
        /** The same six months on, for the southern hemisphere. */
        public Kind southern() {
            return new Kind(name, from, shifted(clearness), shifted(ambientC), halfRangeK, windMPerS, albedo);
        }

        private static List<Double> shifted(List<Double> months) {
            List<Double> own = new ArrayList<>(months);
            Collections.rotate(own, MONTHS / 2);
            return own;
        }
    }

    static {
        for (Map<String, String> row : CsvRows.shipped("energy/climates.csv")) {
            String from = row.get("default_from");
            KINDS.put(
                    row.get("name"),
                    new Kind(
                            row.get("name"),
                            from.isEmpty() ? Double.NaN : Double.parseDouble(from),
                            months(row, "kt_"),
                            months(row, "t_"),
                            Double.parseDouble(row.get("half_range_K")),
                            Double.parseDouble(row.get("wind_m_per_s")),
                            Double.parseDouble(row.get("albedo"))));
        }
    }

    private Climates() {}

    private static List<Double> months(Map<String, String> row, String key) {
        List<Double> all = new ArrayList<>();
        for (int m = 1; m <= MONTHS; m++) {
            all.add(Double.parseDouble(row.get(key + m)));
        }
        return all;
    }

    /** The climates to choose from. */
    static final class Names implements Choices {
        @Override
        public List<String> names() {
            return List.copyOf(KINDS.keySet());
        }
    }

    /** The climate of a site: the one that was chosen, else the one usual at its latitude. */
    public static Kind of(Site site) {
        double latitude = site.latitude().si();
        Kind kind = KINDS.get(site.climate());
        if (kind == null) {
            kind = KINDS.values().stream()
                    .filter(k -> k.from() <= Math.abs(latitude))
                    .reduce((a, b) -> a.from() > b.from() ? a : b)
                    .orElseThrow();
        }
        return latitude < 0 ? kind.southern() : kind;
    }
}
