package whipsaw.core.structure;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.holddown.DownWind;
import whipsaw.core.table.MemberTables;

/** Loads of one span of a member, which combinations weigh. */
final class SpanLoads {
    /**
     * What acts everywhere on a roof.
     *
     * @param deadPa load that is there
     * @param snowPa even snow
     * @param livePa roof live load; 0 for none
     * @param liveUnderArray whether it acts under modules too
     * @param forAWhile whether what stands on the roof stands there for a while, as a live load
     * @param down wind pressing on roof and modules; null where none is known
     */
    record Acting(
            double deadPa, double snowPa, double livePa, boolean liveUnderArray, boolean forAWhile, DownWind down) {}

    private final Acting on;
    private final double carriesM;
    private final List<Beam.Load> weights;
    private final List<Beam.Load> covered;
    private final List<Beam.Load> pushed;
    private final List<Beam.Load> drift;
    private final double spanM;
    private final double roofDownPa;
    private double[] even;
    private double[] byWeights;
    private double[] byCovered;
    private double[] byPushed;
    private double[] byDrift;

    SpanLoads(
            Acting on,
            MemberLines.Line line,
            MemberLoads.Standing standing,
            List<Beam.Load> drift,
            double beginM,
            double spanM) {
        this.on = on;
        this.carriesM = line.carriesM();
        this.weights = cut(standing.weights(), beginM, spanM);
        this.covered = cut(standing.covered(), beginM, spanM);
        this.drift = cut(drift, beginM, spanM);
        this.spanM = spanM;
        // effective wind area of a member, ASCE 7-16 26.2
        double area = spanM * Math.max(carriesM, spanM / 3);
        this.roofDownPa = on.down() == null ? 0 : on.down().roofPa(area);
        this.pushed = cut(pushed(standing, area), beginM, spanM);
    }

    /** What the wind presses on modules above what it presses on the roof they cover. */
    private List<Beam.Load> pushed(MemberLoads.Standing standing, double area) {
        List<Beam.Load> all = new ArrayList<>(standing.covered().size());
        for (int i = 0; i < standing.covered().size() && on.down() != null; i++) {
            Beam.Load c = standing.covered().get(i);
            double more = on.down().modulePa(standing.modules().get(i), area) - roofDownPa;
            all.add(new Beam.Load(c.fromM(), c.toM(), c.newton() * more));
        }
        return all;
    }

    /** @param creep what lasting loads are increased by, for deflection in the end */
    List<Beam.Load> all(MemberTables.Combination c, double creep) {
        double dead = c.dead() * (1 + creep);
        double uniform = dead * on.deadPa() + c.snow() * on.snowPa() + c.live() * on.livePa() + c.wind() * roofDownPa;
        return all(uniform, on.forAWhile() ? c.live() : dead, c);
    }

    /**
     * Largest deflection under a combination, m: those of its parts are found once and added up.
     *
     * @param lasting whether what lasts is in it, else variable loads alone
     */
    double deflectionM(MemberTables.Combination c, double creep, boolean lasting, double stiffness) {
        if (even == null) {
            even = Beam.deflections(spanM, List.of(Beam.Load.uniform(spanM, carriesM)));
            byWeights = Beam.deflections(spanM, weights);
            byCovered = Beam.deflections(spanM, on.liveUnderArray() ? List.of() : covered);
            byPushed = Beam.deflections(spanM, pushed);
            byDrift = Beam.deflections(spanM, drift);
        }
        double dead = lasting ? c.dead() * (1 + creep) : 0;
        double uniform = dead * on.deadPa() + c.snow() * on.snowPa() + c.live() * on.livePa() + c.wind() * roofDownPa;
        double weight = on.forAWhile() ? c.live() : dead;
        double most = 0;
        for (int i = 0; i < even.length; i++) {
            double d = uniform * even[i]
                    + weight * byWeights[i]
                    - c.live() * on.livePa() * byCovered[i]
                    + c.wind() * byPushed[i]
                    + c.snow() * byDrift[i];
            most = Math.abs(d) > Math.abs(most) ? d : most;
        }
        return most / stiffness;
    }

    /** Snow, live load or wind alone. */
    List<Beam.Load> variable(MemberTables.Combination c) {
        double uniform = c.snow() * on.snowPa() + c.live() * on.livePa() + c.wind() * roofDownPa;
        return all(uniform, on.forAWhile() ? c.live() : 0, c);
    }

    private List<Beam.Load> all(double uniformPa, double weightFactor, MemberTables.Combination c) {
        List<Beam.Load> all = new ArrayList<>();
        all.add(Beam.Load.uniform(spanM, uniformPa * carriesM));
        for (Beam.Load d : c.snow() > 0 ? drift : List.<Beam.Load>of()) {
            all.add(new Beam.Load(d.fromM(), d.toM(), d.newton() * c.snow()));
        }
        for (int i = 0; i < weights.size(); i++) {
            double off = on.liveUnderArray() ? 0 : covered.get(i).newton() * on.livePa() * c.live();
            double wind = c.wind() > 0 ? pushed.get(i).newton() * c.wind() : 0;
            double newton = weights.get(i).newton() * weightFactor - off + wind;
            if (newton != 0) {
                all.add(new Beam.Load(weights.get(i).fromM(), weights.get(i).toM(), newton));
            }
        }
        return all;
    }

    /** Loads of a part of a line, counted from its beginning. */
    static List<Beam.Load> cut(List<Beam.Load> loads, double beginM, double spanM) {
        List<Beam.Load> part = new ArrayList<>();
        for (Beam.Load load : loads) {
            double from = Math.max(0, load.fromM() - beginM);
            double to = Math.min(spanM, load.toM() - beginM);
            if (from <= to) {
                double length = load.toM() - load.fromM();
                part.add(new Beam.Load(from, to, length > 0 ? load.newton() * (to - from) / length : load.newton()));
            }
        }
        return part;
    }
}
