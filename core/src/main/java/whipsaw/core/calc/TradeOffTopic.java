package whipsaw.core.calc;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import whipsaw.core.array.RowSpacing;
import whipsaw.core.energy.PlaneYear;
import whipsaw.core.energy.RowPlace;
import whipsaw.core.energy.ShadeRule;
import whipsaw.core.energy.SkyModel;
import whipsaw.core.energy.Weather;
import whipsaw.core.energy.YieldSystem;

/** Rows against pairs on a clear rectangle, by tilt and gap. */
final class TradeOffTopic {
    private static final int MOST = 400;

    private final Weather weather;
    private final YieldSystem system;
    private final SkyModel model;
    private final ShadeRule rule;
    private final double latitudeDeg;
    private final double roofX;
    private final double roofY;
    private final double along;
    private final double slope;
    private final double moduleGap;
    private final double kw;

    private TradeOffTopic(CalcInputs in) {
        CalcInputs site = in.object("site");
        latitudeDeg = site.number("latitude_deg", -90, 90);
        weather = EnergyTopics.weather(site);
        system = EnergyTopics.system(in.object("system"));
        model = EnergyTopics.model(in);
        rule = ShadeRule.of(in.choice("rule", "linear", "landscape", "portrait_full_cell", "portrait_half_cut"));
        roofX = in.number("roof_x_m", 0.1, 2000);
        roofY = in.number("roof_y_m", 0.1, 2000);
        CalcInputs module = in.object("module");
        along = module.number("long_m", 0.1, 10);
        slope = module.number("short_m", 0.1, 10);
        moduleGap = module.number("gap_m", 0, 1);
        kw = module.number("power_W", 1, 5000) / 1000;
    }

    static Topic topic() {
        return new Topic(
                "layout_trade_off",
                "Rows or pairs on a clear rectangle",
                "synthetic year, no forecast of a place; modules in landscape, outer rows in the open",
                Topic.whole(
                        """
                        {"site": {"latitude_deg": 38.5, "longitude_deg": -97.5, "utc_offset_h": -6,
                          "kt_monthly": [0.52, 0.53, 0.54, 0.55, 0.56, 0.58, 0.6, 0.6, 0.58, 0.57, 0.53, 0.5],
                          "ambient_monthly_degC": [-1, 2, 8, 13, 18, 24, 27, 26, 21, 14, 7, 1],
                          "ambient_half_range_K": 6, "wind_m_per_s": 3, "albedo": 0.2},
                         "roof_x_m": 40, "roof_y_m": 25,
                         "module": {"long_m": 1.76, "short_m": 1.13, "gap_m": 0.02, "power_W": 440},
                         "one_way": {"facing_azimuth_deg": 180, "tilts_deg": [5, 10], "row_gaps_m": [0.3, "solstice"],
                          "window_h": [10, 14]},
                         "pairs": [{"tilt_deg": 10, "ridge_gap_m": 0.05, "valley_gap_m": 0.15}],
                         "model": "hay_davies", "rule": "landscape",
                         "system": {"u0_W_per_m2K": 25, "u1_Ws_per_m3K": 6.84, "gamma_per_K": -0.0035,
                          "dc_loss_fraction": 0.03, "inverter_efficiency": 0.97, "dc_ac_ratio": 1.2,
                          "martin_ruiz_ar": 0.16}}"""),
                (in, out) -> new TradeOffTopic(in).compute(in, out));
    }

    private static int fit(double length, double item, double gap) {
        return (int) Math.max(0, Math.floor((length + gap) / (item + gap) + 1e-9));
    }

    private void compute(CalcInputs in, CalcOutputs out) {
        List<Map<String, Object>> options = new ArrayList<>();
        oneWay(in.object("one_way"), options);
        for (CalcInputs pair : in.objects("pairs")) {
            options.add(pair(
                    pair.number("tilt_deg", 0, 60),
                    pair.number("ridge_gap_m", 0, 2),
                    pair.number("valley_gap_m", 0, 20)));
        }
        out.put("options", options);
        if (!options.isEmpty()) {
            out.put("best_total_energy", best(options, "kWh"))
                    .put("best_energy_per_module", best(options, "kWh_per_module"));
        }
    }

    private void oneWay(CalcInputs in, List<Map<String, Object>> options) {
        double facing = in.number("facing_azimuth_deg", 0, 360);
        List<Double> window = in.numbers("window_h");
        if (window.size() != 2 || window.get(0) > window.get(1) || window.get(0) < 0 || window.get(1) > 24) {
            throw new CalcException("one_way.window_h", "is no window: give two hours, the earlier one first");
        }
        List<Double> tilts = in.numbers("tilts_deg");
        List<String> gaps = in.texts("row_gaps_m");
        if ((long) tilts.size() * gaps.size() > MOST) {
            throw new CalcException("one_way.tilts_deg", "tilts times gaps have to be " + MOST + " or fewer");
        }
        for (double tilt : tilts) {
            if (tilt < 0 || tilt > 60) {
                throw new CalcException("one_way.tilts_deg", tilt + " is outside 0 to 60");
            }
            for (String text : gaps) {
                double gap = text.equals("solstice") ? solsticeGap(tilt, facing, window) : gap(text);
                if (!Double.isNaN(gap)) {
                    options.add(rows(tilt, facing, gap));
                }
            }
        }
    }

    private static double gap(String text) {
        try {
            double gap = Double.parseDouble(text);
            if (gap >= 0 && gap <= 50) {
                return gap;
            }
        } catch (NumberFormatException e) {
            // told below
        }
        throw new CalcException("one_way.row_gaps_m", "'" + text + "' is neither 0 to 50 m nor solstice");
    }

    private double solsticeGap(double tilt, double facing, List<Double> window) {
        return RowSpacing.of(new RowSpacing.Input(
                        latitudeDeg,
                        tilt,
                        slope,
                        facing,
                        window.get(0),
                        window.get(1),
                        0,
                        180,
                        RowSpacing.winterDeclinationDeg(latitudeDeg)))
                .gapM();
    }

    private Map<String, Object> rows(double tilt, double facing, double gap) {
        double depth = slope * Math.cos(Math.toRadians(tilt));
        int perRow = fit(roofX, along, moduleGap);
        int rows = fit(roofY, depth, gap);
        double[] open = year(new PlaneYear.Plane(tilt, facing, RowPlace.open(slope, tilt), rule));
        double[] behind = year(new PlaneYear.Plane(tilt, facing, RowPlace.behind(slope, tilt, depth + gap), rule));
        return option("one_way", tilt, gap, perRow, rows, open, Math.min(rows, 1), behind, Math.max(0, rows - 1));
    }

    private Map<String, Object> pair(double tilt, double ridge, double valley) {
        double depth = slope * Math.cos(Math.toRadians(tilt));
        int perSide = fit(roofY, along, moduleGap);
        int pairs = fit(roofX, 2 * depth + ridge, valley);
        RowPlace inner = RowPlace.acrossValley(slope, tilt, valley);
        double[] open = new double[Weather.HOURS];
        double[] behind = new double[Weather.HOURS];
        for (double facing : new double[] {90, 270}) {
            add(open, year(new PlaneYear.Plane(tilt, facing, RowPlace.open(slope, tilt), rule)));
            add(behind, year(new PlaneYear.Plane(tilt, facing, inner, rule)));
        }
        // both faces together: one outer row of each
        return option("pairs", tilt, valley, perSide, pairs, open, Math.min(pairs, 1), behind, Math.max(0, pairs - 1));
    }

    private double[] year(PlaneYear.Plane plane) {
        return PlaneYear.of(weather, plane, model, system).dc();
    }

    private static void add(double[] sum, double[] more) {
        for (int h = 0; h < sum.length; h++) {
            sum[h] += more[h];
        }
    }

    private Map<String, Object> option(
            String layout,
            double tilt,
            double gap,
            int perRow,
            int rows,
            double[] open,
            int openRows,
            double[] behind,
            int behindRows) {
        int modules = perRow * rows * (layout.equals("pairs") ? 2 : 1);
        double kwh = 0;
        for (int h = 0; h < open.length; h++) {
            double dc = kw * perRow * (openRows * open[h] + behindRows * behind[h]);
            kwh += Math.min(system.inverter() * dc, modules * kw / system.dcAcRatio());
        }
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("layout", layout);
        m.put("tilt_deg", tilt);
        m.put("gap_m", gap);
        m.put("modules_per_row", perRow);
        m.put("rows", rows);
        m.put("modules", modules);
        m.put("kWp", modules * kw);
        m.put("kWh", kwh);
        m.put("kWh_per_module", modules == 0 ? 0 : kwh / modules);
        return m;
    }

    private static Map<String, Object> best(List<Map<String, Object>> options, String key) {
        Map<String, Object> top = options.stream()
                .max(Comparator.comparingDouble(o -> (Double) o.get(key)))
                .orElseThrow();
        Map<String, Object> m = new LinkedHashMap<>();
        for (String k : List.of("layout", "tilt_deg", "gap_m")) {
            m.put(k, top.get(k));
        }
        return m;
    }
}
