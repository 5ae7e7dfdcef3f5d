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
    private final double spanM;
    private final double roofDownPa;
    private final Beam beam;
    /** Even load of 1 Pa, weights, what modules cover, what the wind adds on them, drifted snow; null where none lies. */
    private final Beam.Part[] parts;

    SpanLoads(Acting on, MemberLines.Line line, Standing standing, List<Beam.Load> drift, double beginM, double spanM) {
        this.on = on;
        this.carriesM = line.carriesM();
        this.spanM = spanM;
        // effective wind area of a member, ASCE 7-16 26.2
        double area = spanM * Math.max(carriesM, spanM / 3);
        this.roofDownPa = on.down() == null ? 0 : on.down().roofPa(area);
        List<List<Beam.Load>> sets = List.of(
                List.of(Beam.Load.uniform(spanM, carriesM)),
                cut(standing.weights(), beginM, spanM),
                on.liveUnderArray() ? List.of() : cut(standing.covered(), beginM, spanM),
                cut(pushed(standing, area), beginM, spanM),
                cut(drift, beginM, spanM));
        this.beam = new Beam(spanM, sets);
        this.parts = new Beam.Part[sets.size()];
        for (int i = 0; i < parts.length; i++) {
            parts[i] = sets.get(i).isEmpty() ? null : beam.part(sets.get(i));
        }
    }

    /** What the wind presses on modules above what it presses on the roof they cover. */
    private List<Beam.Load> pushed(Standing standing, double area) {
        if (on.down() == null) {
            return List.of();
        }
        List<Beam.Load> all = new ArrayList<>(standing.covered().size());
        for (int i = 0; i < standing.covered().size(); i++) {
            Beam.Load c = standing.covered().get(i);
            double more = on.down().modulePa(standing.modules().get(i), area) - roofDownPa;
            all.add(new Beam.Load(c.fromM(), c.toM(), c.newton() * more));
        }
        return all;
    }

    /** What a combination does, all loads in it. */
    Beam.Effect effect(MemberTables.Combination c) {
        return beam.effect(factors(c, c.dead()), parts);
    }

    /** What the weights on it do, as they are; null where there are none. */
    Beam.Part weights() {
        return parts[1];
    }

    /** What drifted snow does; null where there is none. */
    Beam.Part drifted() {
        return parts[4];
    }

    double spanM() {
        return spanM;
    }

    /** What snow, live load or wind of a combination do alone. */
    Beam.Effect variable(MemberTables.Combination c) {
        return beam.effect(factors(c, 0), parts);
    }

    /**
     * Largest deflection under a combination, m.
     *
     * @param creep what lasting loads are increased by, for deflection in the end
     * @param lasting whether what lasts is in it, else variable loads alone
     */
    double deflectionM(MemberTables.Combination c, double creep, boolean lasting, double stiffness) {
        return beam.deflection(factors(c, lasting ? c.dead() * (1 + creep) : 0), parts) / stiffness;
    }

    /** @param dead factor on what lasts */
    private double[] factors(MemberTables.Combination c, double dead) {
        double uniform = dead * on.deadPa() + c.snow() * on.snowPa() + c.live() * on.livePa() + c.wind() * roofDownPa;
        return new double[] {uniform, on.forAWhile() ? c.live() : dead, -c.live() * on.livePa(), c.wind(), c.snow()};
    }

    /** Loads of a part of a line, counted from its beginning. */
    static List<Beam.Load> cut(List<Beam.Load> loads, double beginM, double spanM) {
        List<Beam.Load> part = new ArrayList<>(loads.size());
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
