package whipsaw.core.table;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Show;

/**
 * A set of net coefficients of tilted panels on flat roofs, from a wind-tunnel report or national
 * guidance, by arrangement, zone, tilt and sharing area, with its limits of validity.
 *
 * <p>Columns: {@code record, arrangement, zone, tilt_deg, area_m2, up, down, limit, least, most}. A
 * {@code coefficient} record fills the columns up to {@code down}, a {@code limit} record the
 * arrangement and the last three; an empty least or most is no limit. Coefficients are positive,
 * up away from the roof, on the pressure at roof height of the family whose zones they name (F, G, H, I: EN 1991-1-4;
 * 1, 2, 3: ASCE 7); linear in the logarithm of the area and constant beyond its ends; linear
 * in the tilt between the tilts given.
 */
public final class NetCoefficients {
    /** Ids of such sets begin with it. */
    public static final String ID_PREFIX = "net_coefficients_";

    public static final List<String> ARRANGEMENTS = List.of("one-way", "pairs");
    /** Zones by family. */
    private static final Map<String, List<String>> ZONES =
            Map.of("en", List.of("F", "G", "H", "I"), "asce", List.of("1", "2", "3"));

    private static final List<String> ALL_ZONES = List.of("F", "G", "H", "I", "1", "2", "3");

    /** What a limit can be set on. */
    public static final List<String> LIMITS = List.of(
            "roof_height_m",
            "roof_slope_deg",
            "tilt_deg",
            "chord_m",
            "lower_edge_m",
            "edge_distance_m",
            "parapet_height_m",
            "row_gap_m",
            "modules");

    /** A coefficient away from the roof and one towards it. */
    public record Pair(double up, double down) {}

    /**
     * A limit of validity.
     *
     * @param least NaN for none
     * @param most NaN for none
     */
    public record Limit(String name, double least, double most) {
        /** Whether a value is within the limit. */
        public boolean holds(double value) {
            return !(!Double.isNaN(least) && Limits.above(least, value))
                    && !(!Double.isNaN(most) && Limits.above(value, most));
        }

        /** The limit as a person reads it. */
        public String words() {
            String from = Double.isNaN(least) ? "" : " at least " + Show.number(least, 3);
            String to = Double.isNaN(most) ? "" : " at most " + Show.number(most, 3);
            return name.replace('_', ' ') + from + (from.isEmpty() || to.isEmpty() ? "" : ",") + to;
        }
    }

    private record Curves(Curve up, Curve down) {}

    private final CodeTable table;
    private final Map<String, TreeMap<Double, Curves>> curves = new HashMap<>();
    private final Map<String, List<Limit>> limits = new HashMap<>();

    /**
     * Reads a set.
     *
     * @throws IllegalArgumentException when it is not complete, with what is wrong
     */
    public NetCoefficients(CodeTable table) {
        this.table = table;
        Map<String, TreeMap<Double, List<double[]>>> nodes = new HashMap<>();
        for (Map<String, String> row : table.rows()) {
            String arrangement = oneOf(row, "arrangement", ARRANGEMENTS);
            if (oneOf(row, "record", List.of("coefficient", "limit")).equals("limit")) {
                limits.computeIfAbsent(arrangement, k -> new ArrayList<>())
                        .add(new Limit(
                                oneOf(row, "limit", LIMITS),
                                CodeTable.number(row, "least"),
                                CodeTable.number(row, "most")));
                continue;
            }
            double area = CodeTable.number(row, "area_m2");
            double up = CodeTable.number(row, "up");
            double down = CodeTable.number(row, "down");
            if (!(area > 0) || !(up > 0) || !(down > 0)) {
                throw new IllegalArgumentException("area, up and down must be above 0 in " + row);
            }
            nodes.computeIfAbsent(arrangement + oneOf(row, "zone", ALL_ZONES), k -> new TreeMap<>())
                    .computeIfAbsent(CodeTable.number(row, "tilt_deg"), k -> new ArrayList<>())
                    .add(new double[] {area, up, down});
        }
        nodes.forEach((key, byTilt) -> byTilt.forEach((tilt, list) -> curves.computeIfAbsent(key, k -> new TreeMap<>())
                .put(tilt, new Curves(curve(list, 1), curve(list, 2)))));
        complete();
    }

    private static Curve curve(List<double[]> nodes, int column) {
        return new Curve(
                nodes.stream().map(n -> new Curve.Node(n[0], n[column])).toList());
    }

    private static String oneOf(Map<String, String> row, String column, List<String> allowed) {
        String cell = row.get(column);
        if (!allowed.contains(cell)) {
            throw new IllegalArgumentException(
                    "column " + column + " holds '" + cell + "', not one of " + String.join(", ", allowed));
        }
        return cell;
    }

    /** Every arrangement that is there has every zone at the same tilts, and a tilt limit within them. */
    private void complete() {
        for (String arrangement : ARRANGEMENTS) {
            if (!covers(arrangement)) {
                continue;
            }
            List<String> zones = ZONES.get(family());
            var tilts = curves.get(arrangement + zones.get(0));
            if (ALL_ZONES.stream().anyMatch(zone -> !zones.contains(zone) && curves.containsKey(arrangement + zone))) {
                throw new IllegalArgumentException("zones of two code families are mixed");
            }
            for (String zone : zones) {
                var here = curves.get(arrangement + zone);
                if (here == null || tilts == null || !here.keySet().equals(tilts.keySet())) {
                    throw new IllegalArgumentException(arrangement + " lacks zone " + zone + " at some tilt");
                }
            }
            boolean kept = limits(arrangement).stream()
                    .anyMatch(l -> l.name().equals("tilt_deg")
                            && l.least() >= tilts.firstKey()
                            && l.most() <= tilts.lastKey());
            if (!kept) {
                throw new IllegalArgumentException(
                        arrangement + " needs a tilt_deg limit within the tilts that have coefficients");
            }
        }
        if (curves.isEmpty()) {
            throw new IllegalArgumentException("it holds no coefficient");
        }
    }

    /** The table it was read from. */
    public CodeTable table() {
        return table;
    }

    /** Code family whose zones it names. */
    public String family() {
        return curves.keySet().stream().anyMatch(key -> ZONES.get("en").contains(key.substring(key.length() - 1)))
                ? "en"
                : "asce";
    }

    /** Whether it says anything on an arrangement. */
    public boolean covers(String arrangement) {
        return ALL_ZONES.stream().anyMatch(zone -> curves.containsKey(arrangement + zone));
    }

    /** Limits of the set for an arrangement of rows. */
    public List<Limit> limits(String arrangement) {
        return limits.getOrDefault(arrangement, List.of());
    }

    /** Coefficients within the limits of validity. */
    public Pair at(String arrangement, String zone, double tiltDeg, double areaM2) {
        TreeMap<Double, Curves> byTilt = curves.get(arrangement + zone);
        var low = byTilt.floorEntry(tiltDeg + Limits.SLACK * 100);
        var high = byTilt.ceilingEntry(tiltDeg - Limits.SLACK * 100);
        if (low == null || high == null) {
            throw new IllegalArgumentException("tilt " + tiltDeg + " is outside the set");
        }
        double span = high.getKey() - low.getKey();
        double part = span <= 0 ? 0 : (tiltDeg - low.getKey()) / span;
        return new Pair(
                between(low.getValue().up().at(areaM2), high.getValue().up().at(areaM2), part),
                between(low.getValue().down().at(areaM2), high.getValue().down().at(areaM2), part));
    }

    private static double between(double a, double b, double part) {
        return a + part * (b - a);
    }
}
