package whipsaw.core.holddown;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.catalogue.TraySystem;
import whipsaw.core.job.ArrayChoice;
import whipsaw.core.job.Corner;
import whipsaw.core.job.Job;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.site.EdgeDistance;
import whipsaw.core.site.SiteActions;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Limits;

/** Wind on every module by the method of the job's code family, and the blocks that hold every position. */
public final class HoldDownStage {
    private final Job job;
    private final RoofPlan plan;
    private final SiteActions site;
    private final ArrayLayout layout;
    private final PanelMethod method;
    private final UpliftFloor floor;
    private final List<String> missing;
    private final List<String> outside;
    /** What a pressure is found for. */
    private record Setting(String zone, boolean atEdge, double areaM2) {}

    private final Map<Setting, PanelPressure> pressures = new HashMap<>();
    private final Map<List<Double>, Ballast> ballasts = new HashMap<>();
    private final Ballast.Hold hold;
    private final Ballast.Hold attached;
    private final List<Envelope> attachedBays;
    private final Set<Long> attachedAt;
    private final int shortOfOwn;
    private final WeighedBlock block;

    private HoldDownStage(Job job, RoofPlan plan, SiteActions site, ArrayLayout layout, CodeTables tables) {
        this.job = job;
        this.plan = plan;
        this.site = site;
        this.layout = layout;
        this.method = PanelMethod.of(job, plan, site, layout, tables);
        this.floor = UpliftFloor.of(job, plan, site, tables);
        this.missing = method.missing();
        this.outside = method.outsideScope();
        this.block = WeighedBlock.of(job.array().block(), job.array().weighed());
        this.hold = new Ballast.Hold(
                        job.array().tray().friction().getOrDefault(job.roof().covering(), Double.NaN),
                        block.creditedKg(),
                        job.array().tray().mostBlocks(),
                        job.roof().slope().si(),
                        tables.wind().loadFactors(method.loadMethod()))
                .laid(block.laidKg());
        this.shortOfOwn = (int) tables.houseRule("ballast_short_of_own");
        ArrayChoice.Attachments attachments = job.array().attachments();
        this.attached = attachments == null ? hold : hold.attachedAbove(attachments.mostBlocks());
        this.attachedAt = places(attachments, layout);
        this.attachedBays = attachments == null
                ? List.of()
                : plan.bays().stream()
                        .filter(b -> attachments.bays().contains(b.name()))
                        .map(RoofPlan.Bay::cell)
                        .toList();
    }

    /** Cells of half a module in which an attachment was placed. */
    private static Set<Long> places(ArrayChoice.Attachments attachments, ArrayLayout layout) {
        Set<Long> cells = new HashSet<>();
        if (attachments != null) {
            for (Corner c : attachments.at()) {
                double s = layout.frame().s(c.x().si(), c.y().si());
                double t = layout.frame().t(c.x().si(), c.y().si());
                // the nearest middle lies no farther than half a module: a quarter to each side of its own cell
                for (int i = -1; i <= 1; i += 2) {
                    for (int k = -1; k <= 1; k += 2) {
                        cells.add(cell(s + i * layout.alongM() / 4, t + k * layout.depthM() / 4, layout));
                    }
                }
            }
        }
        return cells;
    }

    private static long cell(double s, double t, ArrayLayout layout) {
        return Math.round(2 * s / layout.alongM()) * 1_000_003L + Math.round(2 * t / layout.depthM());
    }

    /** What holds a position: weight alone, or fewer blocks and attachments where the job asks for them. */
    private Ballast.Hold holdAt(double s, double t) {
        ArrayChoice.Attachments attachments = job.array().attachments();
        if (attachments != null && !attachments.at().isEmpty() && !attachedAt.contains(cell(s, t, layout))) {
            return hold;
        }
        if (attachments == null || attachments.bays().isEmpty()) {
            return attached;
        }
        Coordinate at = layout.frame().plan(s, t);
        return attachedBays.stream().anyMatch(b -> b.covers(at)) ? attached : hold;
    }

    /**
     * Demand and ballast of one array. The tray system must list a friction for the roof's covering.
     *
     * @param others the other arrays on the roof, whose panels count as neighbours
     */
    public static HoldDown of(
            Job job, RoofPlan plan, SiteActions site, ArrayLayout layout, List<ArrayLayout> others, CodeTables tables) {
        return new HoldDownStage(job, plan, site, layout, tables).solve(new OtherPanels(layout, others));
    }

    private HoldDown solve(OtherPanels others) {
        boolean byCode = method instanceof PanelMethod.ByAsce;
        List<ArrayLayout.Module> near = new ArrayList<>();
        List<HoldDown.Demand> demands = new ArrayList<>();
        Neighbours neighbours = new Neighbours(layout, plan, TiltedArray.openGapM(layout.highEdgeM()), others);
        double[] fromRowEnd = neighbours.fromRowEnd();
        JoinedModules joined = new JoinedModules(layout, job.array().tray());
        for (ArrayLayout.Module m : layout.modules()) {
            Coordinate[] corners = layout.corners(m);
            if (byCode && tooNear(corners)) {
                near.add(m);
            }
            demands.add(demand(
                    m,
                    site.zones().zone(corners),
                    neighbours.openSides(m),
                    fromRowEnd[m.index()],
                    joined.size(m.index())));
        }
        List<HoldDown.Position> alone = positions(demands);
        if (!job.array().ballastTogether() || !missing.isEmpty() || !outside.isEmpty()) {
            return new HoldDown(
                    method.loadMethod(), missing, outside, near, demands, alone, hold.friction(), block, null);
        }
        ConnectedBallast.Found found = ConnectedBallast.of(alone, rows(alone, demands), shortOfOwn);
        return new HoldDown(
                method.loadMethod(),
                missing,
                outside,
                near,
                demands,
                found.positions(),
                hold.friction(),
                block,
                found.connected());
    }

    /** Positions in a line of each run, and how many of them hold each other: no more than share the load. */
    private List<ConnectedBallast.Row> rows(List<HoldDown.Position> positions, List<HoldDown.Demand> demands) {
        List<ConnectedBallast.Row> rows = new ArrayList<>();
        double module = job.array().module().areaM2();
        int first = 0;
        while (first < positions.size()) {
            int last = first;
            while (last + 1 < positions.size()
                    && HoldDown.follows(layout, positions.get(last), positions.get(last + 1))) {
                last++;
            }
            int shared = HoldDown.sharedModules(
                    demands.get(positions.get(first).shares().get(0).module()), module);
            rows.add(new ConnectedBallast.Row(first, last, Math.min(shared, last - first + 1)));
            first = last + 1;
        }
        return rows;
    }

    private boolean tooNear(Coordinate[] corners) {
        double most = Math.max(
                TiltedArray.clearNeededM(layout.highEdgeM(), 0),
                TiltedArray.clearNeededM(layout.highEdgeM(), plan.highestParapetM()));
        for (RoofPlan.Edge edge : plan.index().near(corners, most)) {
            double needed = TiltedArray.clearNeededM(layout.highEdgeM(), edge.parapetHeightM());
            if (EdgeDistance.within(corners, edge, needed)
                    && Limits.above(needed, EdgeDistance.toEdge(corners, edge))) {
                return true;
            }
        }
        return false;
    }

    private HoldDown.Demand demand(
            ArrayLayout.Module m, String zone, List<Neighbours.Side> open, double fromRowEnd, int joined) {
        HoldDown.OpenSide side = null;
        boolean exposed = false;
        for (Neighbours.Side s : open) {
            boolean here = TiltedArray.exposed(
                    s.toBuildingEdgeM(),
                    s.alongRow() ? s.gapM() : 0,
                    s.alongRow() ? 0 : s.gapM(),
                    job.roof().height().si(),
                    layout.highEdgeM());
            if (side == null || (here && !exposed)) {
                side = new HoldDown.OpenSide(s.name(), s.toBuildingEdgeM(), s.gapM());
            }
            exposed |= here;
        }
        boolean edgeFactor = TiltedArray.edgeFactorActs(
                exposed, fromRowEnd, job.array().module().width().si());
        double area = effectiveAreaM2(joined);
        PanelPressure pressure = pressures.computeIfAbsent(
                new Setting(zone, edgeFactor, area),
                key -> missing.isEmpty() && outside.isEmpty()
                        ? floor.raised(method.pressure(zone, edgeFactor, area), edgeFactor)
                        : new PanelPressure.Unknown(zone, job.array().tilt().si(), area));
        return new HoldDown.Demand(m, zone, side, exposed, fromRowEnd, joined, pressure);
    }

    /**
     * The area the tray system has been shown to share load over, no more than is joined; else one
     * module.
     */
    private double effectiveAreaM2(int joined) {
        double one = job.array().module().areaM2();
        if (job.array().tray().shared() == null) {
            return one;
        }
        return Math.max(one, Math.min(job.array().tray().shared().si(), joined * one));
    }

    private List<HoldDown.Position> positions(List<HoldDown.Demand> demands) {
        List<HoldDown.Position> positions = new ArrayList<>();
        boolean joints = job.array().tray().positions() == TraySystem.Positions.JOINT;
        double middle = layout.depthM() / 2;
        for (ArrayLayout.Run run : layout.runs()) {
            for (int i = run.firstIndex(); i <= run.lastIndex(); i++) {
                ArrayLayout.Module m = layout.modules().get(i);
                if (!joints) {
                    add(
                            positions,
                            m.id(),
                            m.crewRow(),
                            "",
                            m.crewPlace(),
                            m.s() + layout.alongM() / 2,
                            m.t() + middle,
                            List.of(new HoldDown.Share(i, 1)),
                            demands);
                    continue;
                }
                HoldDown.Share half = new HoldDown.Share(i, 0.5);
                List<HoldDown.Share> shares =
                        i == run.firstIndex() ? List.of(half) : List.of(new HoldDown.Share(i - 1, 0.5), half);
                joint(positions, m, m.column(), m.s(), shares, demands);
                if (i == run.lastIndex()) {
                    joint(positions, m, m.column() + 1, m.s() + layout.alongM(), List.of(half), demands);
                }
            }
        }
        return positions;
    }

    /** @param column of the grid the joint is left of */
    private void joint(
            List<HoldDown.Position> positions,
            ArrayLayout.Module m,
            int column,
            double s,
            List<HoldDown.Share> shares,
            List<HoldDown.Demand> demands) {
        String id = m.row() + "-J" + column;
        int place = layout.numbers().joint(m.row(), column);
        add(positions, id, m.crewRow(), "J", place, s, m.t() + layout.depthM() / 2, shares, demands);
    }

    private void add(
            List<HoldDown.Position> positions,
            String id,
            int row,
            String kind,
            int place,
            double s,
            double t,
            List<HoldDown.Share> shares,
            List<HoldDown.Demand> demands) {
        double area = job.array().module().areaM2();
        double upliftN = 0;
        double dragN = 0;
        double massKg = 0;
        for (HoldDown.Share share : shares) {
            PanelPressure p = demands.get(share.module()).pressure();
            upliftN += share.part() * p.upliftVerticalPa() * area;
            dragN += share.part() * p.upliftAlongPa() * area;
            massKg += share.part()
                    * (job.array().module().mass().si()
                            + job.array().tray().rackingMass().si());
        }
        Ballast.Demand demand = new Ballast.Demand(upliftN, dragN, massKg);
        Ballast.Hold here = holdAt(s, t);
        Ballast ballast = ballasts.computeIfAbsent(
                List.of(upliftN, dragN, massKg, here.attached() ? here.mostBlocks() : -1.0),
                key -> Ballast.of(demand, here));
        positions.add(new HoldDown.Position(positions.size(), id, row, kind, place, s, t, shares, ballast));
    }
}
