package whipsaw.core.explore;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.catalogue.ModuleType;
import whipsaw.core.catalogue.TraySystem;
import whipsaw.core.check.Check;
import whipsaw.core.check.Verdict;
import whipsaw.core.design.Design;
import whipsaw.core.design.DesignChange;
import whipsaw.core.design.ShiftEdits;
import whipsaw.core.design.Solver;
import whipsaw.core.energy.SelfUse;
import whipsaw.core.job.ArrayChoice;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobReader;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.schema.Problem;
import whipsaw.core.table.PriceTable;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Show;

/**
 * The field of options of one array. Every option is placed and solved like the job itself, checks and energy included:
 * what is shown of it is what the job has after taking it.
 */
public final class Explorer {
    /** Shorter edges than this share of the longest give no direction to rows. */
    private static final double LEAST_EDGE = 0.3;

    /** One-way rows look no farther away from the equator. */
    private static final double MOST_OFF_DEG = 95;

    private static final double SAME_DEG = 0.5;
    private static final double HALF_TURN = 180;

    private final Design now;
    private final Solver solver;

    /** @param now the design, as the array sees it whose options are asked for */
    public Explorer(Design now, Solver solver) {
        this.now = now;
        this.solver = solver;
    }

    /** A direction rows may face. */
    private record Direction(ArrayChoice.Facing facing, double azimuthDeg, String words) {}

    /**
     * All options of some systems and modules, system by system.
     *
     * @param everyDirection also the directions the array does not face now
     */
    public List<Option> options(List<TraySystem> trays, List<ModuleType> modules, boolean everyDirection) {
        List<Option> all = new ArrayList<>();
        for (TraySystem tray : trays) {
            List<Direction> directions = everyDirection ? directions(tray.pairs()) : List.of(directionNow());
            for (ModuleType module : modules) {
                for (Measure tilt : tray.tilts()) {
                    for (Measure gap : tray.gaps()) {
                        for (Direction d : directions) {
                            all.add(new Option(
                                    all.size() + 1, tray, module, tilt, gap, d.facing(), d.words(), List.of()));
                        }
                    }
                }
            }
        }
        return all;
    }

    private Direction directionNow() {
        double azimuth = now.layout().facingDeg();
        ArrayChoice.Facing facing = now.job().array().facing();
        String degrees = Show.number(azimuth, 1) + "°";
        return new Direction(
                facing,
                azimuth,
                facing instanceof ArrayChoice.ToEdge to ? "edge " + to.edge() + ", " + degrees : degrees);
    }

    /** The direction there is, the equator, and along the long edges; of pairs one of each axis. */
    private List<Direction> directions(boolean pairs) {
        List<Direction> all = new ArrayList<>();
        add(all, directionNow(), pairs);
        boolean north = now.job().site().latitude().si() >= 0;
        double equator = north ? HALF_TURN : 0;
        RoofPlan plan = now.plan();
        double longest =
                plan.edges().stream().mapToDouble(RoofPlan.Edge::lengthM).max().orElse(0);
        for (RoofPlan.Edge e : plan.edges()) {
            double azimuth = e.azimuthDeg(now.job().roof().upAzimuth().si());
            if (e.lengthM() >= LEAST_EDGE * longest && (pairs || apart(azimuth, equator, 360) <= MOST_OFF_DEG)) {
                add(
                        all,
                        new Direction(
                                new ArrayChoice.ToEdge(e.number()),
                                azimuth,
                                "edge " + e.number() + ", " + Show.number(azimuth, 1) + "°"),
                        pairs);
            }
        }
        double level = pairs ? HALF_TURN / 2 : equator;
        Measure straight = new Measure(level, Show.number(level, 0) + " deg", false);
        add(
                all,
                new Direction(new ArrayChoice.ToAzimuth(straight), straight.si(), Show.number(straight.si(), 0) + "°"),
                pairs);
        return all;
    }

    private static void add(List<Direction> all, Direction one, boolean pairs) {
        double turn = pairs ? HALF_TURN : 2 * HALF_TURN;
        if (all.stream().noneMatch(d -> apart(d.azimuthDeg(), one.azimuthDeg(), turn) < SAME_DEG)) {
            all.add(one);
        }
    }

    private static double apart(double a, double b, double turn) {
        double d = Math.abs(a - b) % turn;
        return Math.min(d, turn - d);
    }

    /** The job with an option taken; its problems where it cannot be. */
    private JobReader.Reading<Job> with(Option option) {
        var reading = JobReader.read(DocumentPatch.apply(now.job(), option.changes()), false);
        if (!reading.ok()) {
            return reading;
        }
        Job job = reading.job().at(now.job().place());
        return new JobReader.Reading<>(job, solver.problems(job));
    }

    /** The design with an option taken; null when it cannot be. */
    public Design design(Option option) {
        var job = with(option);
        return job.ok() ? solver.solve(job.job(), now) : null;
    }

    /** What an option comes to. */
    public Tried tried(Option option) {
        var job = with(option);
        if (!job.ok()) {
            Problem first = job.problems().get(0);
            return Tried.impossible(option, first.label() + " " + first.message());
        }
        return of(option, solver.solve(job.job(), now));
    }

    /**
     * What an option comes to where the array is shifted along and across its rows for most modules; as it lies where
     * single rows were moved or cut.
     */
    public Tried triedBestShift(Option option) {
        var job = with(option);
        if (!job.ok() || !ShiftEdits.possible(job.job())) {
            return tried(option);
        }
        RoofPlan plan = job.job().on().equals(now.job().on())
                ? now.plan()
                : RoofPlan.of(job.job().roof());
        return tried(option.shifted(new ShiftEdits(job.job(), plan, solver.tables()).changes()));
    }

    /** What the design is now, as an option of its own. */
    public Tried present() {
        ArrayChoice array = now.job().array();
        Measure gap = array.gap() != null
                ? array.gap()
                : array.tray().gaps().stream()
                        .filter(g -> Math.abs(g.si() - now.layout().gapM()) < 1e-9)
                        .findFirst()
                        .orElse(array.tray().gaps().get(0));
        Direction faces = directionNow();
        return of(
                new Option(
                        0, array.tray(), array.module(), array.tilt(), gap, faces.facing(), faces.words(), List.of()),
                now);
    }

    private Tried of(Option option, Design design) {
        if (design.layout().modules().isEmpty()) {
            return Tried.impossible(option, "no module fits on the roof");
        }
        PriceTable prices = solver.tables().prices();
        int modules = design.whole().modules();
        double kwp = design.whole().year().kwp();
        double kwh = design.whole().year().kwh();
        boolean blocksKnown =
                design.whole().arrays().stream().allMatch(a -> a.holdDown().established());
        int blocks = blocksKnown ? design.whole().blocks() : -1;
        int attachments = DesignChange.attachments(design);
        // without the blocks it would look cheaper than it is
        double ballast = blocksKnown ? blocks * prices.price("block") : Double.NaN;
        double cost = modules * (prices.price("module") + prices.price("tray"))
                + ballast
                + attachments * prices.price("attachment")
                + kwp * prices.priceOrNone("rest_kw");
        SelfUse use = design.meterYear().together();
        // with no occupant known every kWh is worth the same
        double worth = design.job().survey().occupants().isEmpty()
                ? (kwh - use.curtailedKwh()) * prices.priceOrNone("kwh")
                : use.usedKwh() * prices.priceOrNone("kwh") + use.exportedKwh() * prices.priceOr("kwh_exported", "kwh");
        List<String> fails = design.checks().stream()
                .filter(c -> c.verdict() == Verdict.FAILS)
                .map(Check::heading)
                .toList();
        List<String> open = design.checks().stream()
                .filter(c -> c.verdict().stops() && c.verdict() != Verdict.FAILS)
                .map(Check::heading)
                .toList();
        return new Tried(
                option,
                "",
                modules,
                design.layout().gapM(),
                coverage(design),
                shadeFreeDeg(design),
                kwp,
                kwh,
                use.usedKwh(),
                use.curtailedKwh(),
                blocks,
                attachments,
                design.roof().established() ? design.loads().heaviestPa() : Double.NaN,
                cost,
                worth > 0 ? cost / worth : Double.POSITIVE_INFINITY,
                fails,
                open);
    }

    private static double coverage(Design design) {
        double slope = design.job().array().module().width().si();
        return (design.layout().pairs() == null ? 1 : 2)
                * slope
                / design.layout().pitchM();
    }

    private static double shadeFreeDeg(Design design) {
        ArrayLayout layout = design.layout();
        double clear = layout.gapM() + (layout.pairs() == null ? 0 : layout.depthM());
        return Math.toDegrees(Math.atan2(layout.highEdgeM() - layout.lowEdgeM(), clear));
    }
}
