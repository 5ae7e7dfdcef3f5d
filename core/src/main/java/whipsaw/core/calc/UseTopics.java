package whipsaw.core.calc;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import whipsaw.core.energy.Cleaning;
import whipsaw.core.energy.LoadShape;
import whipsaw.core.energy.SelfUse;
import whipsaw.core.energy.SkyModel;
import whipsaw.core.energy.Weather;
import whipsaw.core.energy.YieldSystem;

/** Who uses the energy of a year, and what dirt costs of it. */
final class UseTopics {
    private UseTopics() {}

    static List<Topic> topics() {
        return List.of(selfUse(), tenants(), cleaning());
    }

    private static LoadShape load(CalcInputs in) {
        List<Integer> days = in.numbers("work_days").stream()
                .map(d -> {
                    if (d != Math.rint(d) || d < 0 || d > 6) {
                        throw new CalcException("work_days", d + " is no day from 0, Monday, to 6, Sunday");
                    }
                    return d.intValue();
                })
                .toList();
        return new LoadShape(
                in.number("base_kW", 0, 1e6),
                in.number("shift_kW", 0, 1e6),
                (int) in.number("start_hour", 0, 23),
                (int) in.number("shift_hours", 0, 24),
                days);
    }

    private static double limit(CalcInputs in, String key) {
        return in.has(key) ? in.number(key, 0, 1e6) : Double.POSITIVE_INFINITY;
    }

    private static Topic selfUse() {
        return new Topic(
                "self_consumption",
                "Self-consumption and export",
                EnergyTopics.YEAR + "; hour by hour behind one meter",
                Topic.whole(
                        "{" + EnergyTopics.SITE
                                + """
                        , "faces": [{"tilt_deg": 10, "azimuth_deg": 180, "share": 1}], "kWp": 120, "model": "hay_davies",
                         """
                                + EnergyTopics.SYSTEM
                                + """
                        , "loads": {"day_shift": {"base_kW": 8, "shift_kW": 55, "start_hour": 6, "shift_hours": 10,
                          "work_days": [0, 1, 2, 3, 4]}}, "export_limit_kW": 40}"""),
                (in, out) -> {
                    Weather weather = EnergyTopics.weather(in.object("site"));
                    YieldSystem system = EnergyTopics.system(in.object("system"));
                    List<EnergyTopics.Face> faces = in.objects("faces").stream()
                            .map(EnergyTopics.Face::of)
                            .toList();
                    double kwp = in.number("kWp", 0.001, 1e6);
                    double[] ac = EnergyTopics.Together.of(faces, weather, EnergyTopics.model(in), system)
                            .ac(system, kwp);
                    double limit = limit(in, "export_limit_kW");
                    CalcInputs loads = in.object("loads");
                    for (String name : loads.names()) {
                        SelfUse use = SelfUse.of(ac, load(loads.object(name)).hours(), limit);
                        Map<String, Object> m = new LinkedHashMap<>();
                        m.put("pv_kWh", use.madeKwh());
                        m.put("load_kWh", use.demandKwh());
                        m.put("self_consumed_kWh", use.usedKwh());
                        m.put("exported_kWh", use.exportedKwh());
                        m.put("curtailed_kWh", use.curtailedKwh());
                        m.put("imported_kWh", use.importedKwh());
                        m.put("self_consumed_fraction", share(use.usedKwh(), use.madeKwh()));
                        m.put("exported_fraction", share(use.exportedKwh(), use.madeKwh()));
                        m.put("curtailed_fraction", share(use.curtailedKwh(), use.madeKwh()));
                        m.put("self_sufficiency_fraction", share(use.usedKwh(), use.demandKwh()));
                        out.put(name, m);
                    }
                });
    }

    private static double share(double part, double whole) {
        return whole == 0 ? 0 : part / whole;
    }

    private static Topic tenants() {
        return new Topic(
                "tenant_assignment",
                "Which face serves which tenant",
                EnergyTopics.YEAR + "; each tenant with a meter and an inverter",
                Topic.whole("{" + EnergyTopics.SITE
                        + """
                        , "strings": {"east": {"kWp": 50, "face": {"tilt_deg": 12, "azimuth_deg": 90}},
                          "west": {"kWp": 50, "face": {"tilt_deg": 12, "azimuth_deg": 270}}},
                         "loads": {"A": {"base_kW": 3, "shift_kW": 30, "start_hour": 5, "shift_hours": 9,
                          "work_days": [0, 1, 2, 3, 4]}, "B": {"base_kW": 3, "shift_kW": 30, "start_hour": 13,
                          "shift_hours": 12, "work_days": [0, 1, 2, 3, 4]}}, "export_limit_per_tenant_kW": 20,
                         "model": "hay_davies",
                         """
                        + EnergyTopics.SYSTEM + "}"),
                (in, out) -> {
                    Weather weather = EnergyTopics.weather(in.object("site"));
                    YieldSystem system = EnergyTopics.system(in.object("system"));
                    SkyModel model = EnergyTopics.model(in);
                    CalcInputs strings = in.object("strings");
                    double[] east = string(strings.object("east"), weather, model, system);
                    double[] west = string(strings.object("west"), weather, model, system);
                    CalcInputs loads = in.object("loads");
                    double[] a = load(loads.object("A")).hours();
                    double[] b = load(loads.object("B")).hours();
                    double limit = limit(in, "export_limit_per_tenant_kW");
                    SelfUse eastA = SelfUse.of(east, a, limit);
                    SelfUse westB = SelfUse.of(west, b, limit);
                    SelfUse eastB = SelfUse.of(east, b, limit);
                    SelfUse westA = SelfUse.of(west, a, limit);
                    double first = eastA.usedKwh() + westB.usedKwh();
                    double second = eastB.usedKwh() + westA.usedKwh();
                    out.put("east_to_A_west_to_B", assignment("tenant_A", eastA, "tenant_B", westB))
                            .put("east_to_B_west_to_A", assignment("tenant_B", eastB, "tenant_A", westA))
                            .put(
                                    "pooled_self_consumed_kWh",
                                    SelfUse.of(added(east, west), added(a, b), limit)
                                            .usedKwh())
                            .put("better", first >= second ? "east_to_A_west_to_B" : "east_to_B_west_to_A");
                });
    }

    private static double[] string(CalcInputs in, Weather weather, SkyModel model, YieldSystem system) {
        return EnergyTopics.Together.of(List.of(EnergyTopics.Face.of(in.object("face"))), weather, model, system)
                .ac(system, in.number("kWp", 0.001, 1e6));
    }

    private static double[] added(double[] one, double[] other) {
        double[] sum = one.clone();
        for (int h = 0; h < sum.length; h++) {
            sum[h] += other[h];
        }
        return sum;
    }

    private static Map<String, Object> assignment(String first, SelfUse east, String second, SelfUse west) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put(first, tenant(east));
        m.put(second, tenant(west));
        double used = east.usedKwh() + west.usedKwh();
        m.put("self_consumed_kWh", used);
        m.put("self_consumed_fraction", share(used, east.madeKwh() + west.madeKwh()));
        return m;
    }

    private static Map<String, Object> tenant(SelfUse use) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("self_consumed_kWh", use.usedKwh());
        m.put("exported_kWh", use.exportedKwh());
        m.put("curtailed_kWh", use.curtailedKwh());
        m.put("self_consumed_fraction", share(use.usedKwh(), use.madeKwh()));
        return m;
    }

    private static Topic cleaning() {
        return new Topic(
                "soiling",
                "How often to clean",
                "dirt that falls off with distance from a flue; rates come from readings of the site",
                Topic.whole(
                        """
                        {"distances_m": [1, 2.5, 5, 10, 20], "annual_kWh": [550, 560, 560, 565, 565],
                         "background_per_month": 0.004, "flue_per_month": 0.05, "decay_length_m": 4,
                         "interval_months": 6, "law": "linear_capped", "cap": 0.25, "price_per_kWh": 0.16,
                         "cost_per_cleaning": 9}"""),
                (in, out) -> {
                    List<Double> distances = in.numbers("distances_m");
                    List<Double> kwh = in.numbers("annual_kWh");
                    if (distances.size() != kwh.size() || kwh.isEmpty() || kwh.size() > EnergyTopics.MOST) {
                        throw new CalcException(
                                "annual_kWh", "needs one value for each of 1 to " + EnergyTopics.MOST + " distances");
                    }
                    double background = in.number("background_per_month", 0, 1);
                    double flue = in.number("flue_per_month", 0, 1);
                    double decay = in.number("decay_length_m", 0.01, 1e6);
                    if (distances.stream().anyMatch(d -> d < 0) || kwh.stream().anyMatch(k -> k < 0)) {
                        throw new CalcException("distances_m", "distances and energies cannot be below 0");
                    }
                    List<Double> rates = distances.stream()
                            .map(d -> Cleaning.rate(background, flue, d, decay))
                            .toList();
                    Cleaning c = new Cleaning(
                            kwh,
                            rates,
                            in.choice("law", "linear_capped", "exponential").equals("exponential"),
                            in.number("cap", 0, 1),
                            in.number("price_per_kWh", 0, 1000),
                            in.number("cost_per_cleaning", 0, 1e7));
                    double months = in.number("interval_months", 0.1, 240);
                    List<Double> losses = new ArrayList<>();
                    for (int i = 0; i < kwh.size(); i++) {
                        losses.add(c.meanLoss(i, months));
                    }
                    double best = c.bestMonths();
                    int whole = c.bestWholeMonths();
                    Map<String, Object> optimum = new LinkedHashMap<>();
                    optimum.put("worth_cleaning", !Double.isNaN(best));
                    optimum.put("optimal_interval_months", best);
                    optimum.put("cost_per_year", Double.isNaN(best) ? c.neverCost() : c.costPerYear(best));
                    optimum.put("never_clean_cost_per_year", c.neverCost());
                    optimum.put("best_whole_months", whole);
                    optimum.put("best_whole_months_cost_per_year", c.costPerYear(whole));
                    out.put("rate_per_month", rates)
                            .put("average_loss", losses)
                            .put("energy_lost_kWh_per_year", c.lostKwh(months))
                            .put("cost_per_year_at_interval", c.costPerYear(months))
                            .put("optimum", optimum);
                });
    }
}
