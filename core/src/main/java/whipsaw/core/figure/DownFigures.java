package whipsaw.core.figure;

import whipsaw.core.design.Design;
import whipsaw.core.formula.Values;
import whipsaw.core.holddown.DownWind;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.job.Site;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.Unit;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.working.Term;
import whipsaw.core.working.Terms;
import whipsaw.core.working.Working;

/** Working of the wind that presses on the roof and on modules. */
final class DownFigures {
    private static final double EXAMPLE_M2 = Unit.SQUARE_FOOT.toSi(100);

    private DownFigures() {}

    /** Null while it is not known. */
    static Working down(Design design, CodeTables tables) {
        DownWind down = design.downWind();
        if (!down.known()) {
            return null;
        }
        UnitSystem units = design.job().project().units();
        String answer = Show.both(units, Dimension.LOAD, down.roofPa(EXAMPLE_M2));
        String area = Show.both(units, Dimension.AREA, EXAMPLE_M2);
        Working.Builder w = Working.of("wind.down", "Downward wind pressure", answer + " on " + area);
        Values method = down.method(EXAMPLE_M2);
        if (method != null) {
            w.steps(method.steps(Terms.typed(), units));
            w.note(
                    design.job().site().code() instanceof Site.EnSite
                            ? "Zone I is taken everywhere, on the safe side."
                            : "The coefficient is that of a member that carries " + area + ".");
        }
        if (!Double.isNaN(down.engineerPa())) {
            w.step(
                    "p",
                    method == null
                            ? "by an engineer: no method is at hand"
                            : "the larger of it and an engineer's value",
                    "{p_e}",
                    answer,
                    "",
                    Term.given(
                            "p_e",
                            "entered",
                            Show.both(units, Dimension.LOAD, down.engineerPa()),
                            design.job().roof().fabric().structure().windDown()));
        }
        HoldDown.Position worst = design.holdDown().worst();
        if (worst != null && design.holdDown().established() && design.faceWind() == null) {
            HoldDown.Demand d =
                    design.holdDown().demands().get(worst.shares().get(0).module());
            w.step(
                    "p_m",
                    "on module " + d.module().number()
                            + " in plan, at the area its uplift was found for; its area in plan and the part that acts"
                            + " downwards both go with the cosine of the tilt",
                    "{p}",
                    Show.both(
                            units,
                            Dimension.LOAD,
                            design.downWind().modulePa(d.module().index(), 0)),
                    "the downward coefficient of the array's method",
                    Term.computed(
                            "p",
                            "square to the module",
                            Show.both(units, Dimension.LOAD, d.pressure().downPa()),
                            "uplift/" + d.module().id()));
        }
        return w.note(
                        design.faceWind() == null
                                ? "Where modules lie, what presses on them takes the place of the pressure on the roof below (ASCE 7-16 29.4.3); without the array the roof takes its own."
                                : "Modules parallel to the roof take the larger of their own pressure and that of the bare roof.")
                .note("The area is that of the member looked at; the larger it is, the smaller the pressure.")
                .build();
    }
}
