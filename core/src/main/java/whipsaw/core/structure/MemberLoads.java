package whipsaw.core.structure;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.catalogue.MemberType;
import whipsaw.core.job.Structure;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.structure.RoofMembers.Foot;
import whipsaw.core.structure.RoofMembers.Member;
import whipsaw.core.table.MemberTables;
import whipsaw.core.units.Limits;

/** Loads of the roof and of the array on the members of a strip, and what they do. */
final class MemberLoads {
    private final double deadPa;
    private final double snowPa;
    private final double livePa;
    private final boolean liveUnderArray;
    private final boolean smallIncrease;
    private final List<Foot> feet;
    private final MemberTables tables;
    private final String family;
    private final List<MemberTables.Combination> strength;
    private final List<MemberTables.Combination> service;

    MemberLoads(Structure structure, double snowPa, List<Foot> feet, MemberTables tables, String family) {
        this.deadPa = structure.dead().si();
        this.snowPa = snowPa;
        this.livePa = structure.live() == null ? 0 : structure.live().si();
        this.liveUnderArray = structure.liveUnderArray();
        this.smallIncrease = structure.smallIncrease();
        this.feet = feet;
        this.tables = tables;
        this.family = family;
        this.strength = tables.combinations(family, true);
        this.service = tables.combinations(family, false);
    }

    /** What stands on one line: weights, and areas that keep the live load off, at their places along it. */
    private record Standing(List<Beam.Load> weights, List<Beam.Load> covered) {
        Standing() {
            this(new ArrayList<>(), new ArrayList<>());
        }

        void add(double at, Foot foot, double part) {
            if (part > 0) {
                weights.add(new Beam.Load(at, at, foot.newton() * part));
                covered.add(new Beam.Load(at, at, foot.coveredM2() * part));
            }
        }
    }

    List<Member> members(RoofPlan plan, Structure structure, MemberLines.Strip strip) {
        List<MemberLines.Line> lines = strip.lines();
        List<Standing> standing = new ArrayList<>();
        lines.forEach(l -> standing.add(new Standing()));
        for (Foot foot : feet) {
            double along = strip.alongX() ? foot.x() : foot.y();
            if (along < strip.fromM() || along >= strip.toM()) {
                continue;
            }
            hand(lines, standing, strip.alongX() ? foot.y() : foot.x(), along - strip.fromM(), foot);
        }
        List<Member> members = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            Structure.Members set = lines.get(i).set();
            String bay = plan.bays().get(lines.get(i).bay()).name();
            boolean doubled = MemberLines.works(structure, set, bay, "double");
            boolean propped = MemberLines.works(structure, set, bay, "support");
            boolean between = MemberLines.works(structure, set, bay, "between");
            members.add(member(set.type(), strip.alongX(), lines.get(i), standing.get(i), doubled, propped, between));
        }
        return members;
    }

    /** Hands a foot to the members on either side of it; off their ends it goes to the nearest when that carries it. */
    private static void hand(
            List<MemberLines.Line> lines, List<Standing> standing, double across, double along, Foot foot) {
        int low = 0;
        int high = lines.size() - 1;
        if (across < lines.get(low).lowM() || across > lines.get(high).highM()) {
            return;
        }
        while (high - low > 1) {
            int middle = (low + high) / 2;
            if (lines.get(middle).atM() <= across) {
                low = middle;
            } else {
                high = middle;
            }
        }
        MemberLines.Line a = lines.get(low);
        MemberLines.Line b = lines.get(high);
        boolean apart = b.lowM() > a.highM() + 1e-6;
        if (low == high || across <= a.atM() || across >= b.atM() || apart) {
            int nearest = across - a.atM() <= b.atM() - across ? low : high;
            MemberLines.Line line = lines.get(nearest);
            if (across >= line.lowM() && across <= line.highM()) {
                standing.get(nearest).add(along, foot, 1);
            }
            return;
        }
        double part = (across - a.atM()) / (b.atM() - a.atM());
        standing.get(low).add(along, foot, 1 - part);
        standing.get(high).add(along, foot, part);
    }

    private Member member(
            MemberType type,
            boolean alongX,
            MemberLines.Line line,
            Standing standing,
            boolean doubled,
            boolean propped,
            boolean between) {
        int count = doubled ? 2 : 1;
        double span = propped ? line.spanM() / 2 : line.spanM();
        MemberState before = state(type, line, new Standing(), 0, line.spanM(), 1);
        MemberState after = state(type, line, standing, 0, span, count);
        if (propped) {
            after = worse(after, state(type, line, standing, span, span, count));
        }
        double increase = Math.max(
                after.moment().effect() / before.moment().effect(),
                after.shear().effect() / before.shear().effect());
        boolean small = smallIncrease && !after.ok() && Limits.atMost(increase, tables.limit("small_increase_ratio"));
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
        return new Member(
                line, alongX, span, done, before, after, standing.weights().size(), arrayN, increase, small);
    }

    private static MemberState worse(MemberState a, MemberState b) {
        return b.utilisation() > a.utilisation() ? b : a;
    }

    /**
     * @param beginM where the span begins on the line
     * @param count members side by side
     */
    private MemberState state(
            MemberType type, MemberLines.Line line, Standing standing, double beginM, double spanM, int count) {
        Loads loads = new Loads(
                line.carriesM(), cut(standing.weights(), beginM, spanM), cut(standing.covered(), beginM, spanM), spanM);
        MemberState.Part moment = null;
        MemberState.Part shear = null;
        Section section = Section.of(type);
        double elastic = section == null ? Double.NaN : type.elasticity().si() * section.inertiaM4() * count;
        double mostMoment;
        double mostShear;
        if (section == null) {
            double perMetre = LoadTable.total(type, spanM) * count;
            mostMoment = perMetre * spanM * spanM / 8;
            mostShear = perMetre * spanM / 2;
        } else {
            double fv =
                    type.shear() == null ? type.strength().si() : type.shear().si();
            mostMoment =
                    type.strength().si() * RoofMembers.factor(tables, family, type, true) * section.modulusM3() * count;
            mostShear = fv * RoofMembers.factor(tables, family, type, false) * section.shearM2() * count;
        }
        for (MemberTables.Combination c : strength) {
            Beam.Effect e = loads.effect(c);
            moment = larger(moment, new MemberState.Part(Math.abs(e.momentNm()), mostMoment, c.name()));
            shear = larger(shear, new MemberState.Part(e.shearN(), mostShear, c.name()));
        }
        MemberState.Part total = null;
        MemberState.Part variable = null;
        double mostTotal = spanM / tables.limit("deflection_total_span_over");
        double mostVariable = spanM / tables.limit("deflection_variable_span_over");
        for (MemberTables.Combination c : service) {
            if (section == null) {
                // a load table states the variable load at its own limit of deflection
                double allowed = LoadTable.variable(type, spanM) * count;
                double acts = loads.variable(c).momentNm() * 8 / (spanM * spanM);
                total = new MemberState.Part(0, Double.NaN, c.name());
                variable = larger(variable, new MemberState.Part(acts, allowed, c.name()));
            } else {
                total = larger(total, new MemberState.Part(loads.effect(c).deflectionM(elastic), mostTotal, c.name()));
                variable = larger(
                        variable, new MemberState.Part(loads.variable(c).deflectionM(elastic), mostVariable, c.name()));
            }
        }
        return new MemberState(moment, shear, total, variable);
    }

    private static MemberState.Part larger(MemberState.Part a, MemberState.Part b) {
        return a == null || b.effect() > a.effect() ? b : a;
    }

    /** Point loads of a part of a line, counted from its beginning. */
    private static List<Beam.Load> cut(List<Beam.Load> loads, double beginM, double spanM) {
        List<Beam.Load> part = new ArrayList<>();
        for (Beam.Load load : loads) {
            double at = load.fromM() - beginM;
            if (at >= 0 && at <= spanM) {
                part.add(new Beam.Load(at, at, load.newton()));
            }
        }
        return part;
    }

    /** Loads of one span, which combinations weigh. */
    private final class Loads {
        private final double carriesM;
        private final List<Beam.Load> weights;
        private final List<Beam.Load> covered;
        private final double spanM;

        Loads(double carriesM, List<Beam.Load> weights, List<Beam.Load> covered, double spanM) {
            this.carriesM = carriesM;
            this.weights = weights;
            this.covered = covered;
            this.spanM = spanM;
        }

        Beam.Effect effect(MemberTables.Combination c) {
            double uniform = c.dead() * deadPa + c.snow() * snowPa + c.live() * livePa;
            return Beam.of(spanM, all(uniform, c.dead(), c.live()));
        }

        /** Snow or live load alone. */
        Beam.Effect variable(MemberTables.Combination c) {
            return Beam.of(spanM, all(c.snow() * snowPa + c.live() * livePa, 0, c.live()));
        }

        private List<Beam.Load> all(double uniformPa, double weightFactor, double liveFactor) {
            List<Beam.Load> all = new ArrayList<>();
            all.add(Beam.Load.uniform(spanM, uniformPa * carriesM));
            for (int i = 0; i < weights.size(); i++) {
                double off = liveUnderArray ? 0 : covered.get(i).newton() * livePa * liveFactor;
                double newton = weights.get(i).newton() * weightFactor - off;
                if (newton != 0) {
                    all.add(new Beam.Load(weights.get(i).fromM(), weights.get(i).toM(), newton));
                }
            }
            return all;
        }
    }
}
