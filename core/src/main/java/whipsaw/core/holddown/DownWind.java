package whipsaw.core.holddown;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import whipsaw.core.array.ArrayLayout;
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
    /**
     * What the pressure on the bare roof is made of.
     *
     * @param velocityPa velocity pressure at roof height
     * @param internal coefficient of the suction inside, as a positive number
     * @param leastPa least net pressure of the method; 0 for none
     */
    public record Made(double velocityPa, double internal, double leastPa) {}

    private final String missing;
    private final Made made;
    private final Bare bare;
    private final Modules modules;
    private final double engineerPa;

    /** Pressure on the bare roof for a member that carries an area, Pa. */
    private interface Bare {
        double pa(double areaM2);
    }

    /** Stands for what is on the roof and is no module. */
    public static final int NOT_A_MODULE = -2;

    /** Pressure on a module in plan for a member that carries an area, Pa. */
    private interface Modules {
        double pa(int module, double areaM2);
    }

    private DownWind(String missing, Made made, Bare bare, Modules modules, double engineerPa) {
        this.missing = missing;
        this.made = made;
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
        return new DownWind(first.missing, first.made, first.bare, modules, first.engineerPa);
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
                return new DownWind("the wind speed", null, null, modules, engineer);
            }
            Made made = new Made(site.wind().pressurePa(), tables.en().recommended("internal_suction"), 0);
            double pa = made.velocityPa() * (tables.en().recommended("flat_roof_zone_i_positive") + made.internal());
            return new DownWind("", made, area -> pa, modules, engineer);
        }
        String missing = missing(job, tables);
        if (!missing.isEmpty()) {
            return new DownWind(missing, null, null, modules, engineer);
        }
        Made made = new Made(
                FaceWind.chapter30(job, tables).pressurePa(), tables.panels().internal(enclosure(job)), least(tables));
        return new DownWind("", made, bare(made, tables), modules, engineer);
    }

    /** Outside pressure of ASCE 7-16 Fig. 30.3-2A with suction inside, no less than the least of 30.2.2. */
    private static Bare bare(Made made, CodeTables tables) {
        return area -> Math.max(
                made.leastPa(),
                made.velocityPa()
                        * (tables.panels().lowSlopePressure().at(Unit.SQUARE_FOOT.fromSi(area)) + made.internal()));
    }

    private static DownWind pitched(FaceWind faces, double engineer, CodeTables tables) {
        if (!faces.established() || faces.steep()) {
            String missing = faces.established() ? "coefficients of pressure on gables over 7 deg" : faces.missing();
            return new DownWind(missing, null, null, null, engineer);
        }
        Made made = new Made(faces.qhPa(), faces.internal(), least(tables));
        Bare bare = bare(made, tables);
        Modules modules = (module, area) ->
                Math.max(bare.pa(area), faces.panel("1", area).downPa() + faces.qhPa() * faces.internal());
        return new DownWind("", made, bare, modules, engineer);
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
        Map<String, Map<Double, Double>> known = new HashMap<>();
        return (module, area) -> {
            HoldDown.Demand demand = holdDown.demands().get(module);
            double over = Math.max(area, demand.pressure().effectiveAreaM2());
            return known.computeIfAbsent(demand.zone(), zone -> new HashMap<>())
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

    /** What the pressure on the bare roof is made of; null where no method gives it. */
    public Made made() {
        return made;
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
