package whipsaw.core.holddown;

import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.formula.Formulas;
import whipsaw.core.formula.From;
import whipsaw.core.formula.Measured;
import whipsaw.core.formula.Values;
import whipsaw.core.job.Job;
import whipsaw.core.job.Site;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.site.SiteActions;
import whipsaw.core.table.CodeTables;
import whipsaw.core.table.EditionTable;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Show;
import whipsaw.core.units.Unit;

/**
 * What the wind presses on a roof: on the bare roof, outside pressure with suction inside, and on modules by the method
 * of the array. Where modules lie the pressure on them takes the place of that on the roof below (ASCE 7-16 29.4.3);
 * modules parallel to a pitched roof take the larger of both. Pressures are at the level the code gives.
 */
public final class DownWind {
    private static final Formulas EN = Formulas.of("EN 1991-1-4")
            .in("q_p", "peak velocity pressure", Measured.PASCAL)
            .in("c_pe", "pressure outside", Measured.NUMBER.digits(3))
            .in("c_pi", "suction inside", Measured.NUMBER.digits(3))
            .let("w", "on the bare roof", "{q_p} · ({c_pe} + {c_pi})", Measured.PASCAL, "5.2, Table 7.2 and 7.2.9(6)")
            .build();

    private static final Formulas ASCE = Formulas.of("ASCE 7-16")
            .in("q_h", "velocity pressure at roof height", Measured.PASCAL)
            .in("GC_p", "pressure outside", Measured.NUMBER.digits(3))
            .in("GC_pi", "suction inside", Measured.NUMBER.digits(3))
            .in("p_min", "least on components", Measured.PASCAL)
            .let(
                    "p",
                    "on the bare roof",
                    "max({q_h} · ({GC_p} + {GC_pi}), {p_min})",
                    Measured.PASCAL,
                    "30.3.2, Fig. 30.3-2A; 30.2.2")
            .build();

    private final String missing;
    private final Bare bare;
    private final Modules modules;
    private final double engineerPa;

    /** Pressure on the bare roof for a member that carries an area. */
    private interface Bare {
        Values values(double areaM2);

        default double pa(double areaM2) {
            Values v = values(areaM2);
            return v.si(v.has("w") ? "w" : "p");
        }
    }

    /** Stands for what is on the roof and is no module. */
    public static final int NOT_A_MODULE = -2;

    /** Pressure on a module in plan for a member that carries an area, Pa. */
    private interface Modules {
        double pa(int module, double areaM2);
    }

    private DownWind(String missing, Bare bare, Modules modules, double engineerPa) {
        this.missing = missing;
        this.bare = bare;
        this.modules = modules;
        this.engineerPa = engineerPa;
    }

    /**
     * The same for all arrays of a roof, with their modules numbered one array after the other.
     *
     * @param each what the wind presses on one array, in their order
     * @param counts modules of each
     */
    public static DownWind together(List<DownWind> each, List<Integer> counts) {
        DownWind first = each.get(0);
        if (each.size() == 1) {
            return first;
        }
        int[] from = new int[each.size()];
        for (int i = 1; i < from.length; i++) {
            from[i] = from[i - 1] + counts.get(i - 1);
        }
        Modules modules = (module, area) -> {
            int i = from.length - 1;
            while (i > 0 && module < from[i]) {
                i--;
            }
            return each.get(i).modulePa(Math.max(-1, module - from[i]), area);
        };
        return new DownWind(first.missing, first.bare, modules, first.engineerPa);
    }

    /** @param faces what the wind does to a pitched roof; null for a flat one */
    public static DownWind of(
            Job job,
            RoofPlan plan,
            SiteActions site,
            FaceWind faces,
            ArrayLayout layout,
            HoldDown holdDown,
            CodeTables tables) {
        Measure given = job.roof().fabric().structure().windDown();
        double engineer = given == null ? Double.NaN : given.si();
        if (faces != null) {
            return pitched(faces, engineer, tables);
        }
        Modules modules = modules(job, plan, site, layout, holdDown, tables);
        if (job.site().code() instanceof Site.EnSite) {
            if (site.wind() == null) {
                return new DownWind("the wind speed", null, modules, engineer);
            }
            From table = From.table(tables.en().recommendedTable());
            Values values = EN.values()
                    .put("q_p", site.wind().pressurePa(), From.figure("site.qh"))
                    .put("c_pe", tables.en().recommended("flat_roof_zone_i_positive"), table)
                    .put("c_pi", tables.en().recommended("internal_suction"), table)
                    .compute();
            return new DownWind("", area -> values, modules, engineer);
        }
        String missing = missing(job, tables);
        if (!missing.isEmpty()) {
            return new DownWind(missing, null, modules, engineer);
        }
        double velocity = FaceWind.chapter30(job, tables).pressurePa();
        return new DownWind("", bare(velocity, tables.panels().internal(enclosure(job)), tables), modules, engineer);
    }

    /** Outside pressure of ASCE 7-16 Fig. 30.3-2A with suction inside, no less than the least of 30.2.2; once each area. */
    private static Bare bare(double velocityPa, double internal, CodeTables tables) {
        Map<Double, Values> known = new ConcurrentHashMap<>();
        return area -> known.computeIfAbsent(area, a -> ASCE.values()
                .put("q_h", velocityPa, From.figure("site.qh"))
                .put(
                        "GC_p",
                        tables.panels().lowSlopePressure().at(Unit.SQUARE_FOOT.fromSi(a)),
                        From.table(tables.panels().lowSlopeTable()))
                .put("GC_pi", internal, From.table(tables.panels().internalTable()))
                .put("p_min", least(tables), From.table(tables.zones().table()))
                .compute());
    }

    private static DownWind pitched(FaceWind faces, double engineer, CodeTables tables) {
        if (!faces.established() || faces.steep()) {
            String missing = faces.established() ? "coefficients of pressure on gables over 7 deg" : faces.missing();
            return new DownWind(missing, null, null, engineer);
        }
        Bare bare = bare(faces.qhPa(), faces.internal(), tables);
        Modules modules = (module, area) ->
                Math.max(bare.pa(area), faces.panel("1", area).downPa() + faces.qhPa() * faces.internal());
        return new DownWind("", bare, modules, engineer);
    }

    /** Least net pressure on components, ASCE 7-16 30.2.2. */
    private static double least(CodeTables tables) {
        return Unit.POUND_PER_SQUARE_FOOT.toSi(tables.zones().value("least_components_psf"));
    }

    private static String enclosure(Job job) {
        return job.roof().fabric().structure().onFaces().partlyEnclosed() ? "partially_enclosed" : "enclosed";
    }

    private static String missing(Job job, CodeTables tables) {
        Site.AsceSite site = (Site.AsceSite) job.site().code();
        if (site.wind() == null) {
            return "the wind speed";
        }
        if (!tables.editions().has(site.edition(), EditionTable.Part.ROOF_ZONES)) {
            return EditionTable.Part.ROOF_ZONES.missing(site.edition());
        }
        double most = tables.zones().value("low_slope_most_height_ft");
        return Limits.above(Unit.FOOT.fromSi(job.roof().height().si()), most)
                ? "pressure coefficients of roofs over " + Show.number(most, 0) + " ft"
                : "";
    }

    /** By zone and area, worked out once each. */
    private static Modules modules(
            Job job, RoofPlan plan, SiteActions site, ArrayLayout layout, HoldDown holdDown, CodeTables tables) {
        if (!holdDown.established() || layout.modules().isEmpty()) {
            return null;
        }
        PanelMethod method = PanelMethod.of(job, plan, site, layout, tables);
        double panel = job.array().module().areaM2()
                * Math.cos(Math.toRadians(job.array().tilt().si()));
        double inPlan = panel / (layout.alongM() * layout.depthM());
        Map<String, Map<Double, Double>> known = new ConcurrentHashMap<>();
        return (module, area) -> {
            HoldDown.Demand demand = holdDown.demands().get(module);
            double over = Math.max(area, demand.pressure().effectiveAreaM2());
            return known.computeIfAbsent(demand.zone(), zone -> new ConcurrentHashMap<>())
                    .computeIfAbsent(
                            over,
                            a -> inPlan
                                    * method.pressure(demand.zone(), false, a).downPa());
        };
    }

    /** Why the pressure on the bare roof has no method here; empty where it has one or an engineer gave a value. */
    public String missing() {
        return Double.isNaN(engineerPa) ? missing : "";
    }

    /** Whether a pressure can be stated, by the method or by an engineer. */
    public boolean known() {
        return missing().isEmpty();
    }

    /** How the pressure on the bare roof came about for a member that carries an area; null where no method gives it. */
    public Values method(double areaM2) {
        return bare == null ? null : bare.values(areaM2);
    }

    /** By an engineer, Pa; NaN when none was given. */
    public double engineerPa() {
        return engineerPa;
    }

    /** On the bare roof for a member that carries an area, Pa; the larger one where an engineer gave a value. */
    public double roofPa(double areaM2) {
        double method = bare == null ? 0 : bare.pa(areaM2);
        return Double.isNaN(engineerPa) ? method : Math.max(method, engineerPa);
    }

    /**
     * On a module in plan, Pa, for a member that carries an area, taken no smaller than what the module's own pressure
     * was found for; -1 for modules parallel to a pitched roof, all alike.
     */
    public double modulePa(int module, double areaM2) {
        return modules == null || module == NOT_A_MODULE ? roofPa(areaM2) : modules.pa(module, areaM2);
    }
}
