package whipsaw.core.figure;

import java.util.Comparator;
import whipsaw.core.design.Design;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.holddown.NetPressure;
import whipsaw.core.holddown.TiltedArray;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.working.Origin;
import whipsaw.core.working.Plot;
import whipsaw.core.working.Term;
import whipsaw.core.working.Working;

/** What a wind zone does: its coefficient where the module that takes most in it reads it, on its curve. */
final class ZoneFigures {
    private ZoneFigures() {}

    /** Null for a zone without modules on a flat roof, and for one that is not on the roof. */
    static Working zone(Design design, String zone, CodeTables tables) {
        if (design.faceWind() != null) {
            return FaceFigures.panel(design, zone, tables);
        }
        HoldDown.Demand worst = design.holdDown().established()
                ? design.holdDown().demands().stream()
                        .filter(d -> d.zone().equals(zone))
                        .max(Comparator.comparingDouble(d -> d.pressure().upliftPa()))
                        .orElse(null)
                : null;
        if (worst == null) {
            return null;
        }
        if (worst.pressure().byMethod() instanceof TiltedArray.Pressure p) {
            return built(
                    design,
                    worst,
                    Show.number(p.nominal(), 3) + " nominal at A_n " + Show.number(p.normalisedAreaFt2(), 0) + " ft²",
                    Term.data(
                            "c",
                            "nominal net coefficient",
                            Show.number(p.nominal(), 3),
                            Origin.TABLE,
                            tables.wind().coefficientTable()),
                    Plot.of(
                            "A_n, ft²",
                            "(GC_rn)_nom",
                            1,
                            5000,
                            an -> tables.wind().gcrnNominal(zone, p.tiltDeg(), an),
                            p.normalisedAreaFt2()));
        }
        if (worst.pressure().byMethod() instanceof NetPressure p) {
            String arrangement = design.layout().pairs() == null ? "one-way" : "pairs";
            return built(
                    design,
                    worst,
                    Show.number(p.up(), 3) + " net at "
                            + Show.both(design.job().project().units(), Dimension.AREA, p.effectiveAreaM2()),
                    Term.data(
                            "c",
                            "net coefficient",
                            Show.number(p.up(), 3),
                            Origin.TABLE,
                            p.set().table()),
                    Plot.of(
                            "sharing area, m²",
                            "c_net up",
                            1,
                            50,
                            a -> p.set().at(arrangement, zone, p.tiltDeg(), a).up(),
                            p.effectiveAreaM2()));
        }
        return null;
    }

    private static Working built(Design design, HoldDown.Demand d, String answer, Term coefficient, Plot plot) {
        String uplift = Show.both(
                design.job().project().units(), Dimension.LOAD, d.pressure().upliftPa());
        return Working.of("zone/" + d.zone(), "Wind zone " + d.zone(), "coefficient " + answer)
                .plot(plot)
                .step(
                        "p",
                        "uplift on the module that takes most in it, "
                                + d.module().number(),
                        "{c} with its factors, {p}",
                        uplift,
                        "",
                        coefficient,
                        Term.computed(
                                "p",
                                "uplift of that module",
                                uplift,
                                "uplift/" + d.module().id()))
                .note("The zone: " + design.site().zones().rule() + ".")
                .build();
    }
}
