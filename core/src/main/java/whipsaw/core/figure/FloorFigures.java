package whipsaw.core.figure;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.design.Design;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.holddown.PanelPressure;
import whipsaw.core.holddown.TiltedArray;
import whipsaw.core.holddown.UpliftFloor;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.working.Origin;
import whipsaw.core.working.Step;
import whipsaw.core.working.Term;
import whipsaw.core.working.Working;

/** What an uplift by the method is held against, whether it governs or not. */
final class FloorFigures {
    private FloorFigures() {}

    /** The working of a method with its floors put behind it; the same where there are none. */
    static Working with(Working w, Design design, HoldDown.Demand demand, CodeTables tables) {
        UpliftFloor floor = UpliftFloor.of(design.job(), design.plan(), design.site(), tables);
        UnitSystem units = design.job().project().units();
        PanelPressure p = demand.pressure();
        List<Step> more = new ArrayList<>();
        boolean atEdge = TiltedArray.edgeFactorActs(
                demand.exposed(),
                demand.fromRowEndM(),
                design.job().array().module().width().si());
        if (floor.own() != null) {
            more.add(share(floor, p, atEdge, units, tables));
        }
        Measure least = design.job().site().leastUplift();
        if (least != null) {
            more.add(Step.of(
                    "p_min",
                    "minimum design uplift",
                    "{p_min}",
                    Show.both(units, Dimension.LOAD, least.si()),
                    governs(p, least.si()),
                    Term.given("p_min", "entered", Show.both(units, Dimension.LOAD, least.si()), least)));
        }
        if (more.isEmpty()) {
            return w;
        }
        Working.Builder built = Working.of(
                        w.figure(),
                        w.title(),
                        Show.both(units, Dimension.LOAD, p.upliftPa())
                                + (p instanceof PanelPressure.Raised r ? ", by " + r.by() : ""))
                .steps(w.steps())
                .steps(more);
        w.notes().forEach(built::note);
        return built.plot(w.plot()).build();
    }

    private static Step share(UpliftFloor floor, PanelPressure p, boolean atEdge, UnitSystem units, CodeTables tables) {
        double share = floor.sharePa(p.zone(), atEdge, p.effectiveAreaM2());
        String answer = Show.both(units, Dimension.LOAD, share);
        Term part = Term.byRule("f", "share", Show.number(floor.share(), 2), "chosen in the job");
        if (floor.own() instanceof UpliftFloor.TiltedPanel own) {
            TiltedArray.Pressure code = own.pressure(p.zone(), atEdge, p.effectiveAreaM2());
            return Step.of(
                    "p_f",
                    "floor: a share of what 29.4.3 gives a single array of this tilt here",
                    "{f} · {GC_rn} · {q_h}",
                    answer,
                    governs(p, share),
                    part,
                    Term.data(
                            "GC_rn",
                            "with its factors, in this zone at this area" + (atEdge ? ", at the array's edge" : ""),
                            Show.number(code.coefficientUp(), 3),
                            Origin.TABLE,
                            tables.wind().coefficientTable()),
                    Term.computed(
                            "q_h",
                            "velocity pressure",
                            Show.both(units, Dimension.LOAD, code.setting().velocityPressurePa()),
                            "site.qh"));
        }
        UpliftFloor.RoofSuction own = (UpliftFloor.RoofSuction) floor.own();
        return Step.of(
                "p_f",
                "floor: a share of the roof's own suction",
                "{f} · −{c_pe} · {q_p}",
                answer,
                governs(p, share),
                part,
                Term.data(
                        "c_pe",
                        "suction of the roof in this zone at this area",
                        Show.number(own.coefficient(p.zone(), p.effectiveAreaM2()), 3),
                        Origin.TABLE,
                        tables.en().roofTable()),
                Term.computed(
                        "q_p", "peak velocity pressure", Show.both(units, Dimension.LOAD, own.peakPa()), "site.qh"));
    }

    private static String governs(PanelPressure p, double pa) {
        return p instanceof PanelPressure.Raised r && r.upliftPa() == pa ? "governs" : "does not govern";
    }
}
