package whipsaw.core.array;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.operation.buffer.BufferOp;
import org.locationtech.jts.operation.buffer.BufferParameters;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import whipsaw.core.job.ArrayChoice;
import whipsaw.core.job.Corner;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobArray;
import whipsaw.core.job.Obstruction;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.roof.Together;
import whipsaw.core.table.SetbackTable;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Measure;

/** Places modules: one-way rows, or pairs back to back, in landscape on a common column grid, around obstructions. */
public final class ArrayStage {
    /** Offset lines that meet in their corners, without the usual simplification of small steps. */
    private static final BufferParameters EXACT =
            new BufferParameters(4, BufferParameters.CAP_SQUARE, BufferParameters.JOIN_MITRE, 10);

    static {
        EXACT.setSimplifyFactor(0);
    }

    private static final double WHOLE_TURN = 360;

    private final Job job;
    private final RoofPlan plan;

    private final double apartM;

    private ArrayStage(Job job, RoofPlan plan, double apartM) {
        this.job = job;
        this.plan = plan;
        this.apartM = apartM;
    }

    /**
     * Places the modules of one array.
     *
     * @param job as the array sees it; a roof without one gets none
     * @param apartM clear distance to the areas of other arrays where none was entered
     */
    public static ArrayLayout of(Job job, RoofPlan plan, SetbackTable setbacks, double apartM) {
        return new ArrayStage(job, plan, apartM).layout(setbacks);
    }

    private record Row(double t, boolean walkwayBehind) {}

    private ArrayLayout layout(SetbackTable setbacks) {
        ArrayChoice choice = job.array();
        double facing = facingDeg();
        RowSpacing spacing = RowSpacing.of(spacingInput(facing));
        PairSpacing pairs = choice.tray().pairs() ? pairSpacing(facing) : null;
        double gap = choice.gap() != null
                ? choice.gap().si()
                : pairs != null ? smallest(choice.tray().gaps()) : smallestShadeFree(spacing);
        Measure typed = choice.setback();
        SetbackTable.Setback rule = setbacks.forSides(plan.longSideM(), plan.shortSideM());
        double setback = typed == null ? rule.distanceM() : typed.si();

        ArrayFrame frame = ArrayFrame.facing(facing - job.roof().upAzimuth().si());
        double along = choice.module().length().si();
        double depth = spacing.depthM();
        double columnPitch = along + choice.tray().moduleGap().si();
        Geometry inside = ownArea(bareRoof(setback));
        Geometry bare = frame.inFrame(inside);
        FreeRegion bareRegion = new FreeRegion(bare);
        FreeRegion region = new FreeRegion(frame.inFrame(aroundObstructions(inside)));

        double ridge = pairs == null ? 0 : pairs.input().ridgeGapM();
        double band = pairs == null ? depth : 2 * depth + ridge;
        List<Row> bands = bands(bareRegion, band, gap);
        List<FreeRegion.Interval> bareIntervals = new ArrayList<>();
        bands.forEach(row -> bareIntervals.addAll(bareRegion.free(row.t(), row.t() + band)));
        double phase = ColumnPhase.best(bareIntervals, along, columnPitch)
                + choice.shiftAlong().si();

        List<Slot> slots = new ArrayList<>();
        for (int i = 0; i < bands.size(); i++) {
            double t = bands.get(i).t();
            List<Slot> rear = new ArrayList<>();
            for (FreeRegion.Interval free : region.free(t, t + band)) {
                if (pairs == null) {
                    fill(slots, i, t, free, phase, along, columnPitch);
                } else {
                    fill(slots, 2 * i, t, free, phase, along, columnPitch);
                    fill(rear, 2 * i + 1, t + depth + ridge, free, phase, along, columnPitch);
                }
            }
            slots.addAll(rear);
        }
        List<Coordinate> notRemoved = new ArrayList<>();
        List<Slot> kept = withoutRemoved(slots, frame, along, depth, notRemoved);
        kept = withoutShortRows(kept, choice.tray().shortestRow());
        return number(
                kept,
                firstColumn(bareIntervals, phase, along, columnPitch),
                bands,
                frame,
                facing,
                spacing,
                pairs,
                gap,
                setback,
                typed == null ? rule : null,
                notRemoved);
    }

    private record Slot(int row, long column, double s, double t) {}

    private double facingDeg() {
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
    private double smallestShadeFree(RowSpacing spacing) {
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

    /** The roof inside its parapets, less the set-back. */
    private Geometry bareRoof(double setback) {
        if (!job.roof().takesTrays() || job.placed() == null) {
            return plan.outline().getFactory().createPolygon();
        }
        double keepAll = plan.edges().get(0).parapetThicknessM() + setback;
        if (plan.edges().stream().allMatch(e -> e.parapetThicknessM() + setback == keepAll)) {
            return keepAll > 0 ? BufferOp.bufferOp(plan.outline(), -keepAll, EXACT) : plan.outline();
        }
        List<Geometry> strips = new ArrayList<>();
        GeometryFactory factory = plan.outline().getFactory();
        for (RoofPlan.Edge edge : plan.edges()) {
            double keep = edge.parapetThicknessM() + setback;
            if (keep > 0) {
                strips.add(factory.createPolygon(squareStrip(edge, keep)));
            }
        }
        return less(plan.outline(), strips);
    }

    /** What the array may take of the roof: its own area, less those of others it keeps clear of. */
    private Geometry ownArea(Geometry roof) {
        if (job.placed() == null
                || job.onThisRoof().size() == 1 && job.placed().area().isEmpty()) {
            return roof;
        }
        Geometry own = job.placed().area().isEmpty()
                ? roof
                : OverlayNGRobust.overlay(roof, ArrayAreas.polygon(job.placed()), OverlayNG.INTERSECTION);
        List<Geometry> others = new ArrayList<>();
        for (JobArray other : ArrayAreas.before(job)) {
            double keep = Math.max(apart(job.placed()), apart(other));
            Geometry area = ArrayAreas.polygon(other);
            others.add(keep > 0 ? BufferOp.bufferOp(area, keep, EXACT) : area);
        }
        return less(own, others);
    }

    private double apart(JobArray array) {
        return array.apart() == null ? apartM : array.apart().si();
    }

    /** All within a distance of an edge, square beyond its ends. */
    private static Coordinate[] squareStrip(RoofPlan.Edge edge, double keep) {
        double length = edge.lengthM();
        double dx = (edge.to().x - edge.from().x) / length * keep;
        double dy = (edge.to().y - edge.from().y) / length * keep;
        Coordinate first = new Coordinate(edge.from().x - dx + dy, edge.from().y - dy - dx);
        return new Coordinate[] {
            first,
            new Coordinate(edge.to().x + dx + dy, edge.to().y + dy - dx),
            new Coordinate(edge.to().x + dx - dy, edge.to().y + dy + dx),
            new Coordinate(edge.from().x - dx - dy, edge.from().y - dy + dx),
            first
        };
    }

    private Geometry aroundObstructions(Geometry roof) {
        List<Geometry> keepOuts = new ArrayList<>();
        for (Obstruction o : job.roof().obstructions()) {
            keepOuts.add(RoofPlan.keptFree(o));
        }
        return less(roof, keepOuts);
    }

    private static Geometry less(Geometry from, List<Geometry> parts) {
        return parts.isEmpty() ? from : OverlayNGRobust.overlay(from, Together.of(parts), OverlayNG.DIFFERENCE);
    }

    /** Where rows, or pairs of rows, start. */
    private List<Row> bands(FreeRegion bare, double depth, double gap) {
        List<Row> rows = new ArrayList<>();
        ArrayChoice.Walkway walkway = job.array().walkway();
        double t = bare.lowest() + job.array().shiftAcross().si();
        for (int row = 1; t + depth <= bare.highest() + Limits.SLACK; row++) {
            boolean behind =
                    walkway != null && row >= walkway.first() && (row - walkway.first()) % walkway.every() == 0;
            rows.add(new Row(t, behind));
            t += depth + (behind ? Math.max(gap, walkway.width().si()) : gap);
        }
        return rows;
    }

    private static void fill(
            List<Slot> slots, int row, double t, FreeRegion.Interval free, double phase, double along, double pitch) {
        long column = (long) Math.ceil((free.from() - phase) / pitch - 1e-7);
        while (phase + column * pitch + along <= free.to() + 1e-7) {
            slots.add(new Slot(row, column, phase + column * pitch, t));
            column++;
        }
    }

    /** Takes out the slot at each place named, when one lies within half a module of it. */
    private List<Slot> withoutRemoved(
            List<Slot> slots, ArrayFrame frame, double along, double depth, List<Coordinate> notRemoved) {
        List<Slot> kept = new ArrayList<>(slots);
        for (Corner place : job.array().removed()) {
            double s = frame.s(place.x().si(), place.y().si());
            double t = frame.t(place.x().si(), place.y().si());
            Slot nearest = null;
            double least = along / 2;
            for (Slot slot : kept) {
                double distance = Math.hypot(slot.s() + along / 2 - s, slot.t() + depth / 2 - t);
                if (distance <= least) {
                    least = distance;
                    nearest = slot;
                }
            }
            if (nearest != null && job.array().tray().pairs()) {
                int pair = nearest.row() / 2;
                long column = nearest.column();
                kept.removeIf(slot -> slot.row() / 2 == pair && slot.column() == column);
            } else if (nearest == null) {
                notRemoved.add(new Coordinate(place.x().si(), place.y().si()));
            } else {
                kept.remove(nearest);
            }
        }
        return kept;
    }

    private static List<Slot> withoutShortRows(List<Slot> slots, int shortest) {
        List<Slot> kept = new ArrayList<>();
        int start = 0;
        for (int i = 1; i <= slots.size(); i++) {
            boolean ends = i == slots.size()
                    || slots.get(i).row() != slots.get(i - 1).row()
                    || slots.get(i).column() != slots.get(i - 1).column() + 1;
            if (ends) {
                if (i - start >= shortest) {
                    kept.addAll(slots.subList(start, i));
                }
                start = i;
            }
        }
        return kept;
    }

    /** The first column that fits anywhere between the edges: from it columns count, whatever is taken out later. */
    private static long firstColumn(List<FreeRegion.Interval> bare, double phase, double along, double pitch) {
        return bare.stream()
                .filter(free -> free.to() - free.from() >= along)
                .mapToLong(free -> (long) Math.ceil((free.from() - phase) / pitch - 1e-7))
                .min()
                .orElse(0);
    }

    private ArrayLayout number(
            List<Slot> slots,
            long firstColumn,
            List<Row> bands,
            ArrayFrame frame,
            double facing,
            RowSpacing spacing,
            PairSpacing pairs,
            double gap,
            double setback,
            SetbackTable.Setback rule,
            List<Coordinate> notRemoved) {
        Map<Integer, List<Integer>> columns = new TreeMap<>();
        slots.forEach(slot -> columns.computeIfAbsent(slot.row() + 1, r -> new ArrayList<>())
                .add((int) (slot.column() - firstColumn) + 1));
        CrewNumbers numbers =
                CrewNumbers.of(job.placed() == null ? null : job.placed().numbers(), columns);
        List<ArrayLayout.Module> modules = new ArrayList<>();
        for (Slot slot : slots) {
            int row = slot.row() + 1;
            int column = (int) (slot.column() - firstColumn) + 1;
            modules.add(new ArrayLayout.Module(
                    modules.size(), row, column, slot.s(), slot.t(), numbers.row(row), numbers.place(row, column)));
        }
        List<Integer> walkways = new ArrayList<>();
        int lastRow = modules.isEmpty() ? 0 : modules.get(modules.size() - 1).row();
        int rowsOfBand = pairs == null ? 1 : 2;
        for (int i = 0; i < bands.size(); i++) {
            if (bands.get(i).walkwayBehind() && (i + 1) * rowsOfBand < lastRow) {
                walkways.add((i + 1) * rowsOfBand);
            }
        }
        double low = job.array().tray().lowEdge().si();
        return new ArrayLayout(
                frame,
                facing,
                spacing,
                pairs,
                gap,
                job.array().gap() != null,
                setback,
                rule == null ? null : rule.words(),
                job.array().module().length().si(),
                spacing.depthM(),
                modules,
                (int) modules.stream()
                        .mapToInt(ArrayLayout.Module::row)
                        .distinct()
                        .count(),
                walkways,
                notRemoved,
                low,
                low + spacing.riseM(),
                job.array().tray().moduleGap(),
                numbers);
    }
}
