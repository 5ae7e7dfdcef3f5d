package whipsaw.core.structure;

import java.util.ArrayList;
import java.util.List;
import java.util.function.IntToDoubleFunction;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.formula.Formulas;
import whipsaw.core.formula.From;
import whipsaw.core.formula.Measured;
import whipsaw.core.formula.Values;
import whipsaw.core.holddown.Ballast;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.holddown.LaidArray;
import whipsaw.core.job.Job;
import whipsaw.core.roof.RectangleClip;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.table.CodeTables;

/**
 * What the arrays on a roof add to it.
 *
 * @param moduleKg all modules
 * @param rackingKg all racking
 * @param ballastKg all blocks
 * @param laid tray and pipe on the roof
 * @param roofM2 area of the whole roof
 * @param footprint average over the outlines of the arrays, row gaps included
 * @param window where they weigh most over a window of the agreed size; null without modules
 * @param bays average over each bay; empty without a grid
 * @param worstBay the bay with the highest average, or null
 */
public record RoofLoads(
        double moduleKg,
        double rackingKg,
        double ballastKg,
        List<LaidLine> laid,
        double roofM2,
        RoofReserve footprint,
        LoadWindow window,
        List<BayLoad> bays,
        BayLoad worstBay) {
    /** Added load of the heaviest square, or the average where no square is laid. */
    public double heaviestPa() {
        return window == null ? footprint.loadPa() : window.load().loadPa();
    }

    private static final Formulas WHOLE = Formulas.of("")
            .in("W", "weight of the array", Measured.FORCE)
            .in("laid", "tray and pipe", Measured.FORCE)
            .in("A_r", "roof", Measured.SQUARE_METRE)
            .let("q_r", "average over the whole roof", "({W} + {laid}) / {A_r}", Measured.PASCAL, "weight over area")
            .build();

    /**
     * Load of one bay.
     *
     * @param blocks whose positions have their middle in it
     */
    public record BayLoad(RoofPlan.Bay bay, RoofReserve load, int blocks) {
        /** What it may still carry; NaN without an allowance. */
        public double reservePa() {
            return load.allowancePa() - load.loadPa();
        }
    }

    /**
     * What one tray or pipe brings.
     *
     * @param lengthM on the plan
     * @param supports that stand on the roof
     * @param kg with them
     */
    public record LaidLine(String name, double lengthM, int supports, double kg) {}

    /** The arrays alone. */
    public double arrayKg() {
        return moduleKg + rackingKg + ballastKg;
    }

    /** Mass of tray and pipe, kg. */
    public double laidKg() {
        return laid.stream().mapToDouble(LaidLine::kg).sum();
    }

    /** All that is added. */
    public double totalKg() {
        return arrayKg() + laidKg();
    }

    /** Average over the whole roof. */
    public double wholeRoofPa() {
        return whole().si("q_r");
    }

    /** The same with the symbols of its formula. */
    public Values whole() {
        return WHOLE.values()
                .put("W", arrayKg() * Ballast.GRAVITY, From.figure(null))
                .put("laid", laidKg() * Ballast.GRAVITY, From.figure(null))
                .put("A_r", roofM2, From.figure(null))
                .compute();
    }

    /**
     * What arrays add to the roof they are on.
     *
     * @param job as any of them sees it
     * @param arrays all on that roof
     */
    public static RoofLoads of(Job job, RoofPlan plan, List<LaidArray> arrays, CodeTables tables) {
        double allowance = job.roof().allowance() == null
                ? Double.NaN
                : job.roof().allowance().load().si();
        LaidLoads laid = LaidLoads.of(job, plan);
        double[] inBay = new double[plan.bays().size()];
        int[] blocks = new int[plan.bays().size()];
        double moduleKg = 0;
        double rackingKg = 0;
        double ballastKg = 0;
        double arrayKg = 0;
        double footprintM2 = 0;
        for (LaidArray a : arrays) {
            int count = a.layout().modules().size();
            moduleKg += count * a.moduleKg();
            rackingKg += count * a.rackingKg();
            ballastKg += a.holdDown().ballastKg();
            arrayKg += a.kg();
            footprintM2 += a.layout().footprintM2();
            if (!plan.bays().isEmpty()) {
                intoBays(a, plan, inBay, blocks);
            }
        }
        for (LaidLoads.Support s : laid.supports()) {
            if (!plan.bays().isEmpty()) {
                inBay[bayAt(plan, new Coordinate(s.x(), s.y()))] += s.kg();
            }
        }
        List<BayLoad> bays = new ArrayList<>();
        BayLoad worst = null;
        for (int i = 0; i < inBay.length; i++) {
            RoofPlan.Bay bay = plan.bays().get(i);
            BayLoad load = new BayLoad(bay, RoofReserve.of(inBay[i], bay.areaM2(), allowance), blocks[i]);
            bays.add(load);
            if (worst == null || load.load().loadPa() > worst.load().loadPa()) {
                worst = load;
            }
        }
        return new RoofLoads(
                moduleKg,
                rackingKg,
                ballastKg,
                laid.lines(),
                plan.areaM2(),
                RoofReserve.of(arrayKg, footprintM2, allowance),
                LoadWindow.heaviest(
                        plan, arrays, laid.supports(), tables.loadWindow().value("side_m"), allowance),
                bays,
                worst);
    }

    /**
     * Windows of the agreed size along the rows of one array that weigh more: of each line of them the heaviest.
     *
     * @param arrays all on the roof
     * @param own whose rows they lie along
     * @param mostPa added load
     */
    public static List<LoadWindow> heavierThan(
            Job job, RoofPlan plan, List<LaidArray> arrays, LaidArray own, double mostPa, CodeTables tables) {
        return LoadWindow.heavierThan(
                plan,
                arrays,
                own,
                LaidLoads.of(job, plan).supports(),
                tables.loadWindow().value("side_m"),
                mostPa);
    }

    private static void intoBays(LaidArray array, RoofPlan plan, double[] inBay, int... blocks) {
        ArrayLayout layout = array.layout();
        for (HoldDown.Position p : array.holdDown().positions()) {
            blocks[bayAt(plan, layout.frame().plan(p.s(), p.t()))] +=
                    p.ballast().blocksPlaced();
        }
        double[] perModule = array.perModuleKg();
        for (ArrayLayout.Module m : layout.modules()) {
            spread(perModule[m.index()], layout.corners(m), plan, inBay);
        }
    }

    /** Adds a mass to the bays in proportion to the part of a rectangle in each. */
    private static void spread(double massKg, Coordinate[] corners, RoofPlan plan, double[] inBay) {
        List<RoofPlan.Bay> bays = plan.bays();
        int columns = columns(plan);
        Envelope box = new Envelope();
        for (Coordinate c : corners) {
            box.expandToInclude(c);
        }
        int rows = inBay.length / columns;
        int c0 = index(box.getMinX(), columns, c -> bays.get(c).cell().getMaxX());
        int c1 = index(box.getMaxX(), columns, c -> bays.get(c).cell().getMaxX());
        int r0 = index(box.getMinY(), rows, r -> bays.get(r * columns).cell().getMaxY());
        int r1 = index(box.getMaxY(), rows, r -> bays.get(r * columns).cell().getMaxY());
        if (c0 == c1 && r0 == r1) {
            inBay[r0 * columns + c0] += massKg;
            return;
        }
        double whole = RectangleClip.area(corners);
        for (int r = r0; r <= r1; r++) {
            for (int c = c0; c <= c1; c++) {
                int i = r * columns + c;
                inBay[i] += massKg
                        * RectangleClip.areaInside(corners, plan.bays().get(i).cell())
                        / whole;
            }
        }
    }

    private static int bayAt(RoofPlan plan, Coordinate at) {
        List<RoofPlan.Bay> bays = plan.bays();
        int columns = columns(plan);
        int c = index(at.x, columns, i -> bays.get(i).cell().getMaxX());
        int r = index(
                at.y, bays.size() / columns, i -> bays.get(i * columns).cell().getMaxY());
        return r * columns + c;
    }

    private static int columns(RoofPlan plan) {
        double y = plan.bays().get(0).cell().getMinY();
        int columns = 0;
        while (columns < plan.bays().size() && plan.bays().get(columns).cell().getMinY() == y) {
            columns++;
        }
        return columns;
    }

    /** The first cell that ends beyond a place; the last one beyond all. */
    private static int index(double place, int count, IntToDoubleFunction end) {
        int low = 0;
        int high = count - 1;
        while (low < high) {
            int middle = (low + high) / 2;
            if (end.applyAsDouble(middle) > place) {
                high = middle;
            } else {
                low = middle + 1;
            }
        }
        return low;
    }
}
