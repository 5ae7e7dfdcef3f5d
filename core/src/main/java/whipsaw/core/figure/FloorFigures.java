package whipsaw.core.figure;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.design.Design;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.holddown.PanelPressure;
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
        double share = floor.sharePa(p.zone(), p.effectiveAreaM2());
        if (!Double.isNaN(share)) {
            more.add(Step.of(
                    "p_f",
                    "floor: a share of the roof's own suction",
                    "{f} · −{c_pe} · {q_p}",
                    Show.both(units, Dimension.LOAD, share),
                    governs(p, share),
                    Term.byRule("f", "share", Show.number(floor.share(), 2), "chosen in the job"),
                    Term.data(
                            "c_pe",
                            "suction of the roof in this zone at this area",
                            Show.number(floor.suction(p.zone(), p.effectiveAreaM2()), 3),
                            Origin.TABLE,
                            tables.en().roofTable()),
                    Term.computed(
                            "q_p",
                            "peak velocity pressure",
                            Show.both(units, Dimension.LOAD, floor.peakPa()),
                            "site.qh")));
        }
        Measure least = design.job().site().leastUplift();
        if (least != null) {
            more.add(Step.of(
                    "p_min",
                    "least design uplift",
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

    private static String governs(PanelPressure p, double pa) {
        return p instanceof PanelPressure.Raised r && r.upliftPa() == pa ? "governs" : "does not govern";
    }
}
