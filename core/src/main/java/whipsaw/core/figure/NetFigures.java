package whipsaw.core.figure;

import static whipsaw.core.units.Show.significant;

import whipsaw.core.design.Design;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.holddown.NetPressure;
import whipsaw.core.job.Job;
import whipsaw.core.job.Site;
import whipsaw.core.table.CodeTables;
import whipsaw.core.table.NetCoefficients;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.working.Origin;
import whipsaw.core.working.Term;
import whipsaw.core.working.Working;

/** Workings of net pressures by a coefficient set, and of the limits of a wind method. */
final class NetFigures {
    private NetFigures() {}

    static Working uplift(Design design, HoldDown.Demand demand, NetPressure p) {
        Job job = design.job();
        UnitSystem units = job.project().units();
        String answer = Show.both(units, Dimension.LOAD, p.upliftPa());
        var tray = job.array().tray();
        boolean en = job.site().code() instanceof Site.EnSite;
        return begun(design, demand, p, answer)
                .step(
                        "c_net",
                        "net coefficient, " + tray.arrangement().words() + ", zone " + p.zone(),
                        "curve at {A} and tilt {β}",
                        significant(p.up(), 4),
                        "linear in log A, constant beyond its ends; linear in the tilt",
                        Term.data(
                                "A",
                                "sharing area; the curve is a coefficient set",
                                Show.both(units, Dimension.AREA, p.effectiveAreaM2()),
                                Origin.TABLE,
                                p.set().table()),
                        Term.given(
                                "β",
                                "tilt",
                                job.array().tilt().typed(),
                                job.array().tilt()))
                .steps(p.steps(units))
                .note((en
                                ? "EN 1991-1-4 gives no coefficients of tilted panels on flat roofs; these"
                                : "The coefficients")
                        + " are those of " + p.set().table().source() + ", "
                        + p.set().table().status().words() + ".")
                .build();
    }

    /** Zone and sharing area. */
    private static Working.Builder begun(Design design, HoldDown.Demand demand, NetPressure p, String answer) {
        Job job = design.job();
        UnitSystem units = job.project().units();
        var tray = job.array().tray();
        boolean en = job.site().code() instanceof Site.EnSite;
        String number = demand.module().number();
        return Working.of("uplift/" + demand.module().id(), "Wind uplift on module " + number, answer)
                .step(
                        "zone",
                        "most severe zone the module touches",
                        design.site().zones().rule().replace("{", "").replace("}", ""),
                        "zone " + p.zone(),
                        (en ? "EN 1991-1-4 7.2.3" : "ASCE 7-16 Fig. 29.4-7, as the set names its zones")
                                + "; on other than rectangles our convention, to be confirmed by an engineer")
                .step(
                        "A",
                        "sharing area",
                        "{A_s}, not more than {n} joined modules of {A_m}, not less than one",
                        Show.both(units, Dimension.AREA, p.effectiveAreaM2()),
                        tray.shared() == null
                                ? "no sharing shown: one module"
                                : "sharing shown by " + tray.sharedReport(),
                        Term.data(
                                "A_s",
                                "area shown to share load",
                                tray.shared() == null
                                        ? "none"
                                        : Show.both(
                                                units,
                                                Dimension.AREA,
                                                tray.shared().si()),
                                Origin.CATALOGUE,
                                tray.info()),
                        Term.computed("n", "joined modules", String.valueOf(demand.joined()), null),
                        Term.data(
                                "A_m",
                                "module area",
                                Show.both(
                                        units,
                                        Dimension.AREA,
                                        job.array().module().areaM2()),
                                Origin.CATALOGUE,
                                job.array().module().info()));
    }

    /** Whether the array lies inside the limits of the wind method, limit by limit. */
    static Working scope(Design design, CodeTables tables) {
        HoldDown holdDown = design.holdDown();
        Working.Builder w = Working.of(
                "wind.scope",
                "Scope of the wind method",
                holdDown.established() ? "inside all limits" : "not established");
        holdDown.missing().forEach(m -> w.note("Missing: " + m + "."));
        holdDown.outsideScope().forEach(limit -> w.note("Outside: " + limit + "."));
        NetCoefficients set = tables.netCoefficients(design.job().site().code().coefficients());
        if (set != null) {
            for (NetCoefficients.Limit limit :
                    set.limits(design.job().array().tray().arrangement().key())) {
                w.step(
                        "",
                        limit.name().replace('_', ' '),
                        "",
                        limit.words(),
                        set.table().title());
            }
        } else {
            w.step(
                    "",
                    "tilted panels on flat roofs",
                    "",
                    "slope to 7°, tilt to 35°, chord to 6.7 ft, lower edge to 2 ft, upper edge to 4 ft",
                    "ASCE 7-16 29.4.3");
        }
        return w.note("Outside its limits a coefficient says nothing: no pressure, ballast or load is stated from it.")
                .build();
    }
}
