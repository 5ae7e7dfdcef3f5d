package whipsaw.core.figure;

import java.util.BitSet;
import java.util.List;
import java.util.stream.Collectors;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.array.ModuleShade;
import whipsaw.core.array.SolarTime;
import whipsaw.core.design.Design;
import whipsaw.core.survey.Soiling;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.working.Term;
import whipsaw.core.working.Working;

/** Workings of the shade that parapets and things on the roof throw on modules. */
final class ShadeFigures {
    private static final String NOTE =
            "True solar time: noon is when the sun stands highest. Direct sun alone, from the heights entered: no weather, no horizon, and rows do not shade each other here.";

    private ShadeFigures() {}

    /** The window on the shortest day, instant by instant. */
    static Working window(Design design) {
        ModuleShade shade = design.shade();
        if (shade.things().isEmpty()) {
            return null;
        }
        List<ModuleShade.Hour> hours = shade.inWindow();
        BitSet all = new BitSet();
        hours.forEach(h -> all.or(h.modules()));
        Working.Builder w = Working.of(
                "array.shade",
                "Shading from obstructions and parapets",
                modules(all.cardinality()) + " in the window on "
                        + day(hours.get(0).sun()));
        for (ModuleShade.Hour h : hours) {
            String by = h.shadows().stream()
                    .filter(s -> !s.modules().isEmpty())
                    .map(s -> s.thing().name() + " " + s.modules().cardinality())
                    .collect(Collectors.joining(", "));
            w.step(
                    "",
                    SolarTime.clock(h.sun().hour()) + ", sun "
                            + Show.number(h.sun().elevationDeg(), 1) + "° high",
                    by.isEmpty() ? "none" : by,
                    modules(h.modules().cardinality()),
                    "shadow on the plane of each row");
        }
        for (ModuleShade.Thing thing : shade.things()) {
            int count = (int) all.stream()
                    .filter(i -> hours.stream()
                            .flatMap(h -> h.shadows().stream())
                            .anyMatch(
                                    s -> s.thing().equals(thing) && s.modules().get(i)))
                    .count();
            if (count > 0) {
                w.step(
                        "",
                        thing.name() + " over the window",
                        "{day}",
                        modules(count),
                        "",
                        Term.computed("day", "its shade by the hour", "see there", "shade/" + thing.id()));
            }
        }
        if (design.roof().arrays().size() > 1) {
            w.note("Rows of the other arrays on this roof do not shade here.");
        }
        if (!all.isEmpty()) {
            worst(w, design, all);
        }
        return w.note(NOTE)
                .note("A module counts as soon as any part of it is in shade.")
                .build();
    }

    private static void worst(Working.Builder w, Design design, BitSet all) {
        double[] year = design.shade().yearShare();
        int worst = all.stream()
                .boxed()
                .max((a, b) -> Double.compare(year[a], year[b]))
                .orElseThrow();
        ArrayLayout.Module m = design.layout().modules().get(worst);
        w.step(
                "",
                "module that loses most over the year, " + m.number(),
                "{share}",
                percent(year[worst]) + " of its direct sun",
                "21st of every month by half hours",
                Term.computed("share", "its hours", percent(year[worst]), "shaded/" + m.id()));
    }

    /** How long the shadow of one thing is through the shortest day. */
    static Working thing(Design design, String id) {
        ModuleShade shade = design.shade();
        UnitSystem units = design.job().project().units();
        int day = SolarTime.shortestDay(design.job().site().latitude().si());
        Working.Builder w = null;
        for (int hour = 0; hour < 24; hour++) {
            ModuleShade.Hour h = shade.at(day, hour);
            for (ModuleShade.Shadow s : h.shadows()) {
                if (s.thing().id().equals(id)) {
                    w = w == null
                            ? Working.of("shade/" + id, "Shadow of " + s.thing().name() + " by the hour", day(h.sun()))
                            : w;
                    w.step(
                            "L",
                            "shadow at the height of the low edges at " + SolarTime.clock(hour) + ", falling to "
                                    + Show.number((h.sun().azimuthDeg() + 180) % 360, 0) + "°",
                            "{h} / tan({γ})",
                            Show.both(units, Dimension.ROOF_LENGTH, s.lengthM()) + ", "
                                    + modules(s.modules().cardinality()),
                            "",
                            Term.computed(
                                    "h",
                                    "above the low edges",
                                    Show.both(
                                            units,
                                            Dimension.ROOF_LENGTH,
                                            s.lengthM()
                                                    * Math.tan(Math.toRadians(
                                                            h.sun().elevationDeg()))),
                                    null),
                            Term.computed(
                                    "γ",
                                    "height of the sun",
                                    Show.number(h.sun().elevationDeg(), 1) + "°",
                                    null));
                }
            }
        }
        return w == null ? null : w.note(NOTE).build();
    }

    /** When one module stands in shade, and what it loses over the year. */
    static Working module(Design design, String id) {
        ArrayLayout.Module m = design.layout().modules().stream()
                .filter(x -> x.id().equals(id))
                .findFirst()
                .orElse(null);
        ModuleShade shade = design.shade();
        if (m == null) {
            return null;
        }
        double share = shade.yearShare()[m.index()];
        Working.Builder w = Working.of(
                "shaded/" + id,
                "Shading and dirt of module " + m.number(),
                percent(share) + " of the year's direct sun in shade");
        for (ModuleShade.Hour h : shade.inWindow()) {
            String by = h.shadows().stream()
                    .filter(s -> s.modules().get(m.index()))
                    .map(s -> s.thing().name())
                    .collect(Collectors.joining(", "));
            w.step(
                    "",
                    day(h.sun()) + ", " + SolarTime.clock(h.sun().hour()),
                    by.isEmpty() ? "none" : by,
                    by.isEmpty() ? "in the sun" : "in shade",
                    "");
        }
        UnitSystem units = design.job().project().units();
        for (Soiling.From from : Soiling.of(design.job(), design.layout()).from(design.layout(), m)) {
            w.step(
                    "",
                    "to " + from.name() + ", from the middle of the module",
                    from.inDrift() ? "in its drift" : "not in a drift known",
                    Show.both(units, Dimension.ROOF_LENGTH, from.distanceM()) + " at "
                            + Show.number(from.bearingDeg(), 0) + "°",
                    "survey: sources of dirt");
        }
        return w.step(
                        "",
                        "share of the year's direct sun that falls on it while some of it is in shade",
                        "Σ cos θ in shade / Σ cos θ",
                        percent(share),
                        "21st of every month by half hours, θ from the module's normal")
                .note(NOTE)
                .build();
    }

    private static String modules(int n) {
        return Show.count(n, "module");
    }

    private static String percent(double share) {
        return Show.number(share * 100, 1) + " %";
    }

    /** A time of the day as clocks show it. */
    private static String day(SolarTime sun) {
        return sun.date().getDayOfMonth() + " "
                + sun.date().getMonth().getDisplayName(java.time.format.TextStyle.SHORT, java.util.Locale.ENGLISH);
    }
}
