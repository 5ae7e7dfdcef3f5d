package whipsaw.core.array;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.TreeSet;
import org.locationtech.jts.geom.Geometry;
import whipsaw.core.job.ArrayChoice;
import whipsaw.core.job.Corner;
import whipsaw.core.job.Job;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.table.CodeTables;
import whipsaw.core.table.FirePathTable;
import whipsaw.core.table.SetbackTable;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Show;

/** The rows of an array before anything is placed: which way they face, how deep and how far apart they are, and where they may lie. */
final class RowGrid {
    private static final double WHOLE_TURN = 360;
    /** Places of rows that differ by less are one. */
    private static final double SAME_M = 2e-3;

    private final Job job;
    private final RoofPlan plan;
    private final OpenRoof open;
    final double facingDeg;
    final RowSpacing spacing;
    /** Null for rows that look one way. */
    final PairSpacing pairs;

    final double gapM;
    final double setbackM;
    /** The rule the set-back came from; null where it was entered. */
    final SetbackTable.Setback rule;

    final ArrayFrame frame;
    /** Module along the row. */
    final double alongM;
    /** Module across the row, on plan. */
    final double depthM;
    /** Between the rows of a pair; 0 of single rows. */
    final double ridgeM;
    /** Module and gap along the row. */
    final double columnPitchM;
    /** Where rows may lie if the roof bore nothing. */
    final FreeRegion bare;
    /** Paths they leave by a rule. */
    final AccessPaths paths;
    /** Where they may lie. */
    final FreeRegion region;

    RowGrid(Job job, RoofPlan plan, CodeTables tables) {
        this.job = job;
        this.plan = plan;
        ArrayChoice choice = job.array();
        facingDeg = azimuthDeg();
        spacing = RowSpacing.of(spacingInput(facingDeg));
        pairs = choice.tray().pairs() ? pairSpacing(facingDeg) : null;
        gapM = choice.gap() != null
                ? choice.gap().si()
                : pairs != null ? smallest(choice.tray().gaps()) : smallestShadeFree();
        rule = choice.setback() == null ? perimeter(tables) : null;
        setbackM = rule == null ? choice.setback().si() : rule.distanceM();
        frame = ArrayFrame.facing(facingDeg - job.roof().upAzimuth().si());
        alongM = choice.module().length().si();
        depthM = spacing.depthM();
        ridgeM = pairs == null ? 0 : pairs.input().ridgeGapM();
        columnPitchM = alongM + choice.tray().moduleGap().si();
        open = new OpenRoof(job, plan, tables.arraySpacing().value("apart_m"));
        Geometry own = open.bare(setbackM);
        Geometry inFrame = frame.inFrame(own);
        bare = new FreeRegion(inFrame);
        paths = AccessPaths.of(job, plan, tables.firePaths(), frame, inFrame);
        region = new FreeRegion(frame.inFrame(open.around(own, paths)));
    }

    /** A row, or a pair of rows, and whether a walkway is behind it. */
    record Row(double t, boolean walkwayBehind) {}

    /** What is kept from the roof edges where the job states nothing: by the rule of its paths, else the common one. */
    private SetbackTable.Setback perimeter(CodeTables tables) {
        if (job.array().paths().isEmpty()) {
            return tables.setbacks().forSides(plan.longSideM(), plan.shortSideM());
        }
        FirePathTable.Rule r = tables.firePaths().forSides(job.array().paths(), plan.longSideM(), plan.shortSideM());
        return new SetbackTable.Setback(
                r.perimeterM(),
                Show.both(job.project().units(), Dimension.ROOF_LENGTH, r.perimeterM()) + ", fire paths: " + r.name());
    }

    /** Rows that are placed together: one, or the two of a pair. */
    int rowsOfBand() {
        return pairs == null ? 1 : 2;
    }

    /** Depth of a row, or of a pair. */
    double bandM() {
        return pairs == null ? depthM : 2 * depthM + ridgeM;
    }

    /** From one row, or pair, to the next. */
    double pitchM() {
        return bandM() + gapM;
    }

    private double azimuthDeg() {
        if (job.array().facing() instanceof ArrayChoice.ToAzimuth to) {
            return to.azimuth().si() % WHOLE_TURN;
        }
        RoofPlan.Edge edge = plan.edges().get(((ArrayChoice.ToEdge) job.array().facing()).edge() - 1);
        return edge.azimuthDeg(job.roof().upAzimuth().si());
    }

    private RowSpacing.Input spacingInput(double facing) {
        ArrayChoice choice = job.array();
        double latitude = job.site().latitude().si();
        return new RowSpacing.Input(
                latitude,
                choice.tilt().si(),
                choice.module().width().si(),
                facing,
                choice.windowFrom(),
                choice.windowTo(),
                0,
                0,
                RowSpacing.winterDeclinationDeg(latitude));
    }

    private PairSpacing pairSpacing(double facing) {
        ArrayChoice choice = job.array();
        RowSpacing.Input in = spacingInput(facing);
        return PairSpacing.of(new PairSpacing.Input(
                in.latitudeDeg(),
                in.tiltDeg(),
                in.slopeLengthM(),
                facing,
                choice.tray().ridgeGap().si(),
                in.fromHour(),
                in.toHour(),
                smallest(choice.tray().gaps()),
                in.declinationDeg()));
    }

    private static double smallest(List<Measure> settings) {
        return settings.stream().mapToDouble(Measure::si).min().orElseThrow();
    }

    /** Smallest gap setting that is shade-free in the window; the largest when none is. */
    private double smallestShadeFree() {
        List<Double> gaps = job.array().tray().gaps().stream()
                .map(Measure::si)
                .sorted(Comparator.naturalOrder())
                .toList();
        for (double gap : gaps) {
            if (spacing.shadeFree() && Limits.atMost(spacing.gapM(), gap)) {
                return gap;
            }
        }
        return gaps.get(gaps.size() - 1);
    }

    /** Where rows, or pairs of rows, start; one that is locked stays where it is, and those before it give way. */
    List<Row> bands(double shiftM) {
        List<Row> rows = new ArrayList<>();
        ArrayChoice.Walkway walkway = job.array().walkway();
        FirePathTable.Rule path = paths.rule();
        TreeSet<Double> locked = locked();
        double t = bare.lowest() + shiftM;
        t = locked.isEmpty() ? t : locked(locked, t);
        double section = t;
        for (int row = 1; t + bandM() <= bare.highest() + Limits.SLACK; row++) {
            boolean walked = walkway != null && walkway.behind(row);
            double free = walked ? Math.max(gapM, walkway.width().si()) : gapM;
            // one more row would make the section too deep
            boolean broken = path != null
                    && free < path.betweenM()
                    && Limits.above(t + bandM() + free + bandM() - section, path.largestM());
            free = broken ? Math.max(gapM, path.betweenM()) : free;
            rows.add(new Row(t, walked || broken));
            double next = t + bandM() + free;
            t = locked.isEmpty() ? next : locked(locked, next);
            if (path != null && !Limits.above(path.betweenM(), free)) {
                section = t;
            }
        }
        return rows;
    }

    /** Starts of rows that are locked. */
    private TreeSet<Double> locked() {
        TreeSet<Double> starts = new TreeSet<>();
        for (Corner place : job.array().byHand().locked()) {
            starts.add(frame.t(place.x().si(), place.y().si()) - depthM / 2);
        }
        return starts;
    }

    /** Start of the next row: of a locked one where it would overlap what comes next or come too near to it. */
    private double locked(TreeSet<Double> locked, double nextM) {
        Double own = locked.ceiling(nextM - SAME_M);
        return own != null && own < nextM + pitchM() - SAME_M ? own : nextM;
    }

    /** Locked rows that no row of these is. */
    List<ArrayLayout.NotKept> notLocked(List<Row> rows) {
        List<ArrayLayout.NotKept> lost = new ArrayList<>();
        for (Corner place : job.array().byHand().locked()) {
            double start = frame.t(place.x().si(), place.y().si()) - depthM / 2;
            if (rows.stream().noneMatch(r -> Math.abs(r.t() - start) < SAME_M)) {
                lost.add(new ArrayLayout.NotKept(
                        "row lock", place.x().si(), place.y().si()));
            }
        }
        return lost;
    }

    /** The area of the array without any set-back. */
    FreeRegion edgeToEdge() {
        return new FreeRegion(frame.inFrame(open.bare(0)));
    }

    /** Where the roof bears a module at all: inside its parapets and its area, and not where something stands. */
    FreeRegion solid() {
        return new FreeRegion(frame.inFrame(open.solid()));
    }
}
