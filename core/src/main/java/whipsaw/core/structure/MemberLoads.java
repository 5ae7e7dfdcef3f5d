package whipsaw.core.structure;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Predicate;
import whipsaw.core.catalogue.MemberType;
import whipsaw.core.holddown.DownWind;
import whipsaw.core.holddown.FaceWind;
import whipsaw.core.job.Structure;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.site.SiteActions;
import whipsaw.core.site.SnowDrifts;
import whipsaw.core.structure.RoofMembers.Foot;
import whipsaw.core.structure.RoofMembers.Member;
import whipsaw.core.table.MemberTables;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Measure;

/** Loads of the roof and of the array on the members of a strip, and what they do. */
final class MemberLoads {
    /** Pieces of a member in which drifted snow is taken as even. */
    static final int PIECES = 16;

    private final double deadPa;
    private final SpanLoads.Acting acting;
    private final SnowDrifts snow;
    private final List<RowSnow> rows;
    private final double snowPa;
    private final boolean pitched;
    private final UpliftLoads uplift;
    private final DownWind down;
    private final double facesPa;
    private final boolean forAWhile;
    private final double livePa;
    private final boolean smallIncrease;
    private final List<Foot> feet;
    private final MemberTables tables;
    private final String family;
    private final boolean tableHolds;
    private final double smallRatio;
    private final List<MemberTables.Combination> strength;
    private final List<MemberTables.Combination> allowable;
    private final Map<Beside, List<MemberCapacity>> capacities = new ConcurrentHashMap<>();
    private final List<MemberTables.Combination> service;

    /**
     * @param rows snow that rows of modules gather, array by array
     * @param wind lifting a pitched roof; null for a flat one
     * @param down wind pressing on roof and modules
     */
    MemberLoads(
            Structure structure,
            SiteActions site,
            List<RowSnow> rows,
            FaceWind wind,
            DownWind down,
            List<Foot> feet,
            MemberTables tables,
            String family) {
        this(structure, site, rows, wind, down, feet, tables, family, false);
    }

    /** What stands on the roof for a while, as a live load without snow, wind and other live load. */
    static MemberLoads setDown(Structure structure, List<Foot> stands, MemberTables tables, String family) {
        return new MemberLoads(structure, null, List.of(), null, null, stands, tables, family, true);
    }

    private MemberLoads(
            Structure structure,
            SiteActions site,
            List<RowSnow> rows,
            FaceWind wind,
            DownWind down,
            List<Foot> feet,
            MemberTables tables,
            String family,
            boolean forAWhile) {
        this.deadPa = structure.dead().si();
        this.forAWhile = forAWhile;
        this.snow = forAWhile ? null : site.drifts();
        this.rows = rows;
        Structure.OnFaces faces = structure.onFaces();
        double even = forAWhile ? 0 : snow == null ? site.snow().roofPa() : snow.uniformPa();
        this.snowPa = wind == null || faces.snow() == null
                ? even
                : Math.max(even, faces.snow().si());
        this.pitched = wind != null;
        this.facesPa = wind == null ? 0 : faces.array().si();
        this.livePa =
                structure.live() == null || forAWhile ? 0 : structure.live().si();
        this.smallIncrease = structure.smallIncrease();
        this.feet = feet;
        this.tableHolds = family.equals("en") || !MemberTables.strength(family);
        this.tables = tables;
        this.family = family;
        this.down = down;
        this.acting = new SpanLoads.Acting(deadPa, snowPa, livePa, structure.liveUnderArray(), forAWhile, down);
        this.uplift = wind == null || !wind.known() ? null : new UpliftLoads(wind, deadPa, facesPa, tables, family);
        this.smallRatio = tables.limit("small_increase_ratio");
        this.strength = acting(tables.combinations(family, true));
        this.allowable = acting(tables.combinations(MemberTables.allowable(family), true));
        this.service = acting(tables.combinations(family, false));
    }

    /** Those whose loads are there: without wind or live load a combination says no more than another one. */
    private List<MemberTables.Combination> acting(List<MemberTables.Combination> all) {
        return all.stream()
                .filter(c -> c.gravity() || down != null)
                .filter(c -> c.live() == 0 || livePa > 0 || forAWhile)
                .toList();
    }

    /** Members of one type side by side. */
    private record Beside(MemberType type, int count) {}

    /** What a section takes under every combination for strength, in their order; empty of a load table. */
    private List<MemberCapacity> capacities(MemberType type, int count) {
        return capacities.computeIfAbsent(
                new Beside(type, count),
                b -> Section.of(type) == null
                        ? List.of()
                        : strength.stream()
                                .map(c -> MemberCapacity.of(type, family, c.duration(), count, tables))
                                .toList());
    }

    /** Whether load tables say anything under the combinations of the job: they state allowable loads. */
    boolean tablesHold() {
        return tableHolds;
    }

    List<Member> members(RoofPlan plan, Structure structure, MemberLines.Strip strip) {
        return members(plan, structure, strip, line -> true);
    }

    /** Those of a strip that are looked at. */
    List<Member> members(
            RoofPlan plan, Structure structure, MemberLines.Strip strip, Predicate<MemberLines.Line> lookedAt) {
        List<MemberLines.Line> lines = strip.lines();
        List<Standing> standing = new ArrayList<>();
        lines.forEach(l -> standing.add(new Standing()));
        for (Foot foot : feet) {
            double along = strip.alongX() ? foot.x() : foot.y();
            if (along < strip.fromM() || along >= strip.toM()) {
                continue;
            }
            Standing.hand(lines, standing, strip.alongX() ? foot.y() : foot.x(), along - strip.fromM(), foot);
        }
        List<Member> members = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            if (forAWhile && standing.get(i).weights().isEmpty() || !lookedAt.test(lines.get(i))) {
                continue;
            }
            Structure.Members set = lines.get(i).set();
            String bay = plan.bays().get(lines.get(i).bay()).name();
            boolean doubled = MemberLines.works(structure, set, bay, "double");
            boolean propped = MemberLines.works(structure, set, bay, "support");
            boolean between = MemberLines.works(structure, set, bay, "between");
            if (pitched) {
                standing.get(i).lay(lines.get(i), facesPa);
            }
            members.add(member(set, strip.alongX(), lines.get(i), standing.get(i), doubled, propped, between));
        }
        return members;
    }

    /**
     * Snow that drifts lay on a line above the even one, in pieces along it.
     *
     * @param rowed with what rows of modules gather
     */
    List<Beam.Load> drifted(MemberLines.Line line, boolean alongX, boolean rowed) {
        List<Beam.Load> loads = new ArrayList<>();
        boolean any = snow != null && !snow.sources().isEmpty() || rowed && !rows.isEmpty();
        double piece = line.spanM() / PIECES;
        for (int i = 0; i < PIECES && any; i++) {
            double along = line.fromM() + (i + 0.5) * piece;
            // at the two sides of what it carries and in the middle, by Simpson's rule
            double pa = (more(alongX, along, line.lowM(), rowed)
                            + 4 * more(alongX, along, (line.lowM() + line.highM()) / 2, rowed)
                            + more(alongX, along, line.highM(), rowed))
                    / 6;
            if (pa > 0) {
                loads.add(new Beam.Load(i * piece, (i + 1) * piece, pa * line.carriesM() * piece));
            }
        }
        return loads;
    }

    double more(boolean alongX, double along, double across, boolean rowed) {
        double x = alongX ? along : across;
        double y = alongX ? across : along;
        double most = snow == null ? 0 : snow.moreThanUniform(x, y);
        return rowed ? Math.max(most, RowSnow.most(rows, x, y)) : most;
    }

    private Member member(
            Structure.Members set,
            boolean alongX,
            MemberLines.Line line,
            Standing standing,
            boolean doubled,
            boolean propped,
            boolean between) {
        int count = doubled ? 2 : 1;
        MemberType type = set.type();
        List<Beam.Load> bare = drifted(line, alongX, false);
        List<Beam.Load> drift = rows.isEmpty() ? bare : drifted(line, alongX, true);
        double span = propped ? line.spanM() / 2 : line.spanM();
        SpanLoads bareSpan = span(line, new Standing(), bare, 0, line.spanM());
        SpanLoads wholeSpan = span(line, standing, drift, 0, line.spanM());
        MemberState before = state(type, set.bearing(), bareSpan, 1);
        MemberState after =
                state(type, set.bearing(), propped ? span(line, standing, drift, 0, span) : wholeSpan, count);
        if (propped) {
            after = worse(after, state(type, set.bearing(), span(line, standing, drift, span, span), count));
        }
        double increase = increase(bareSpan, wholeSpan);
        boolean small = smallIncrease && !after.ok() && Limits.atMost(increase, smallRatio);
        List<String> done = new ArrayList<>();
        if (doubled) {
            done.add("doubled");
        }
        if (propped) {
            done.add("supported at midspan");
        }
        if (between) {
            done.add(line.added() ? "added between" : "with one added between");
        }
        double arrayN =
                standing.weights().stream().mapToDouble(Beam.Load::newton).sum();
        double driftN = drift.stream().mapToDouble(Beam.Load::newton).sum();
        return new Member(
                line,
                alongX,
                span,
                done,
                before,
                after,
                standing.weights().size(),
                arrayN,
                driftN,
                reactions(line, wholeSpan),
                increase,
                small,
                uplift == null ? null : uplift.of(line, alongX, span, count));
    }

    SpanLoads span(MemberLines.Line line, Standing standing, List<Beam.Load> drift, double beginM, double spanM) {
        return new SpanLoads(acting, line, standing, drift, beginM, spanM);
    }

    /** The larger of moment and shear under gravity with the array over that without, loads as they are, on the whole span. */
    private double increase(SpanLoads bare, SpanLoads with) {
        double[] moment = new double[2];
        double[] shear = new double[2];
        SpanLoads[] states = {bare, with};
        for (MemberTables.Combination c : service) {
            for (int i = 0; i < 2 && c.gravity(); i++) {
                Beam.Effect e = states[i].effect(c);
                moment[i] = Math.max(moment[i], Math.abs(e.momentNm()));
                shear[i] = Math.max(shear[i], e.shearN());
            }
        }
        return Math.max(moment[1] / moment[0], shear[1] / shear[0]);
    }

    private RoofMembers.Reactions reactions(MemberLines.Line line, SpanLoads with) {
        double half = line.carriesM() * line.spanM() / 2;
        Beam.Part snowed = with.drifted();
        Beam.Part array = with.weights();
        return new RoofMembers.Reactions(
                deadPa * half,
                snowPa * half,
                livePa * half,
                snowed == null ? 0 : snowed.leftN(),
                snowed == null ? 0 : snowed.rightN(),
                array == null ? 0 : array.leftN(),
                array == null ? 0 : array.rightN());
    }

    private static MemberState worse(MemberState a, MemberState b) {
        return b.utilisation() > a.utilisation() ? b : a;
    }

    /**
     * @param bearing what one end may set down; null when not known
     * @param loads of the span
     * @param count members side by side
     */
    MemberState state(MemberType type, Measure bearing, SpanLoads loads, int count) {
        double spanM = loads.spanM();
        MemberState.Part moment = null;
        MemberState.Part shear = null;
        MemberState.Part total = null;
        MemberState.Part variable = null;
        Section section = Section.of(type);
        MemberState.Part end = null;
        double mostBearing = bearing == null ? Double.NaN : bearing.si() * count;
        List<MemberCapacity> capacity = capacities(type, count);
        for (int i = 0; i < strength.size(); i++) {
            MemberTables.Combination c = strength.get(i);
            Beam.Effect e = loads.effect(c);
            end = larger(end, new MemberState.Part(e.shearN(), mostBearing, c.name()));
            double mostMoment;
            double mostShear;
            if (section == null) {
                // a table states allowable loads and says nothing of strength
                double perMetre = tableHolds ? LoadTable.total(type, spanM) * count : Double.NaN;
                mostMoment = perMetre * spanM * spanM / 8;
                mostShear = perMetre * spanM / 2;
            } else {
                mostMoment = capacity.get(i).momentNm();
                mostShear = capacity.get(i).shearN();
            }
            moment = larger(moment, new MemberState.Part(Math.abs(e.momentNm()), mostMoment, c.name()));
            shear = larger(shear, new MemberState.Part(e.shearN(), mostShear, c.name()));
        }
        MemberTables.Deflection limits = tables.deflection(family, type.material());
        double elastic = section == null ? Double.NaN : type.elasticity().si() * section.inertiaM4() * count;
        for (MemberTables.Combination c : service) {
            if (section == null) {
                // a load table states the variable load at its own limit of deflection
                double allowed = LoadTable.variable(type, spanM) * count;
                double acts = loads.variable(c).momentNm() * 8 / (spanM * spanM);
                total = new MemberState.Part(0, Double.NaN, c.name());
                variable = larger(variable, new MemberState.Part(acts, allowed, c.name()));
            } else {
                double all = loads.deflectionM(c, limits.creep(), true, elastic);
                double changing = loads.deflectionM(c, 0, false, elastic);
                total = larger(total, new MemberState.Part(all, spanM / limits.totalSpanOver(), c.name()));
                variable =
                        larger(variable, new MemberState.Part(changing, spanM / limits.variableSpanOver(), c.name()));
            }
        }
        return new MemberState(
                moment, shear, allowable.equals(strength) ? end : end(mostBearing, loads), total, variable);
    }

    /** What an end sets down: held against an allowable load, and so at that level in ASCE 7 whatever the sections go by. */
    private MemberState.Part end(double most, SpanLoads loads) {
        MemberState.Part end = null;
        for (MemberTables.Combination c : allowable) {
            double newton = loads.effect(c).shearN();
            end = larger(end, new MemberState.Part(newton, most, c.name()));
        }
        return end;
    }

    /** The one that is used more; by its effect where the limit is not known. */
    private static MemberState.Part larger(MemberState.Part a, MemberState.Part b) {
        if (a == null) {
            return b;
        }
        boolean known = !Double.isNaN(a.limit()) && !Double.isNaN(b.limit());
        return (known ? b.utilisation() > a.utilisation() : b.effect() > a.effect()) ? b : a;
    }
}
