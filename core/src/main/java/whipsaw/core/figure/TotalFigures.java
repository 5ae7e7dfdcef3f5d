package whipsaw.core.figure;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import whipsaw.core.catalogue.ModuleType;
import whipsaw.core.circuit.Circuits;
import whipsaw.core.design.ArrayDesign;
import whipsaw.core.design.Design;
import whipsaw.core.job.InverterGroup;
import whipsaw.core.job.Roof;
import whipsaw.core.structure.LoadWindow;
import whipsaw.core.structure.RoofLoads;
import whipsaw.core.structure.RoofReserve;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.working.Origin;
import whipsaw.core.working.Term;
import whipsaw.core.working.Terms;
import whipsaw.core.working.Working;

/** Workings of the totals and of the load on the roof. */
final class TotalFigures {
    private TotalFigures() {}

    static Working modules(Design design) {
        int count = design.layout().modules().size();
        UnitSystem units = design.job().project().units();
        boolean alone = design.whole().arrays().size() == 1;
        Working.Builder w = Working.of(
                        "total.modules",
                        "Modules",
                        count + (alone ? "" : " of " + design.whole().modules()))
                .step(
                        "n",
                        "places that keep the set-back and every clear distance, in "
                                + design.layout().runs().size()
                                + " runs on "
                                + design.layout().rows()
                                + " row lines",
                        "set-back {d}, pitch of columns {c}, depth of a row {r}, row gap {g}",
                        String.valueOf(count),
                        "layout",
                        Term.computed(
                                "c",
                                "module length and gap",
                                Show.both(
                                        units,
                                        Dimension.ROOF_LENGTH,
                                        design.layout().columnPitchM()),
                                null),
                        Term.computed(
                                "r",
                                "depth of a row",
                                Show.both(
                                        units,
                                        Dimension.ROOF_LENGTH,
                                        design.layout().depthM()),
                                null),
                        Term.computed(
                                "g",
                                "row gap",
                                Show.both(
                                        units,
                                        Dimension.PART_LENGTH,
                                        design.layout().gapM()),
                                "array.gap"),
                        Term.computed(
                                "d",
                                "set-back",
                                Show.both(
                                        units,
                                        Dimension.ROOF_LENGTH,
                                        design.layout().setbackM()),
                                "array.setback"))
                .note(
                        "All rows share one column grid, set where it takes most modules on the bare roof; obstructions cut out only what they must.")
                .note("Fewer than "
                        + design.job().array().tray().shortestRow()
                        + " modules side by side are left out (tray system).");
        if (!alone) {
            allArrays(w, design);
        }
        return w.build();
    }

    private static void allArrays(Working.Builder w, Design design) {
        List<Term> each = new ArrayList<>();
        for (ArrayDesign a : design.whole().arrays()) {
            String symbol = "n_" + a.job().place();
            each.add(Term.computed(
                    symbol, a.job().name(), String.valueOf(a.layout().modules().size()), null));
        }
        w.step(
                "N",
                "all arrays of the job",
                sum(each),
                String.valueOf(design.whole().modules()),
                "layout",
                each.toArray(Term[]::new));
    }

    private static String sum(List<Term> terms) {
        return terms.stream().map(t -> "{" + t.symbol() + "}").collect(Collectors.joining(" + "));
    }

    static Working dc(Design design) {
        String dc = Show.number(design.circuits().dcW() / 1000, 2) + " kW";
        Working.Builder w = Working.of("total.dc", "DC power", dc);
        boolean alone = design.whole().arrays().size() == 1;
        List<Term> each = new ArrayList<>();
        for (ArrayDesign a : design.whole().arrays()) {
            Circuits.ArrayStrings strings = design.circuits().of(a.job().place());
            if (a.job().placed() == null) {
                continue;
            }
            ModuleType module = a.job().array().module();
            String symbol = alone ? "P_dc" : "P_" + a.job().place();
            String power = Show.number(strings.dcW() / 1000, 2) + " kW";
            w.step(
                    symbol,
                    "modules in strings at standard test conditions"
                            + (alone ? "" : ", " + a.job().name()),
                    "{n} · {P}",
                    power,
                    "",
                    Term.computed("n", "modules in strings", String.valueOf(strings.modules()), "total.modules"),
                    Term.data(
                            "P",
                            "module power",
                            Show.number(module.power().si(), 0) + " W",
                            Origin.CATALOGUE,
                            module.info()));
            each.add(Term.computed(symbol, a.job().name(), power, null));
        }
        if (!alone) {
            w.step("P_dc", "all arrays of the job", sum(each), dc, "", each.toArray(Term[]::new));
        }
        return w.build();
    }

    static Working ac(Design design) {
        String ac = Show.number(design.circuits().acVa() / 1000, 2) + " kW";
        Working.Builder w = Working.of("total.ac", "AC rating", ac);
        List<InverterGroup> groups = design.job().document().groups();
        List<Term> each = new ArrayList<>();
        for (InverterGroup g : groups) {
            Circuits.Group c = design.circuits().group(g.id());
            String symbol = groups.size() == 1 ? "P_ac" : "P_" + g.id();
            String power = Show.number(c.acVa() / 1000, 2) + " kW";
            w.step(
                    symbol,
                    (groups.size() == 1 ? "" : g.name() + ": ")
                            + "as few inverters as the DC to AC limit and the trackers allow",
                    "{m} · {S}",
                    power,
                    "limit " + Show.number(g.electrical().dcAcMost(), 2) + " set in the job",
                    Term.computed("m", "inverters", String.valueOf(c.inverters()), null),
                    Term.data(
                            "S",
                            "rated power",
                            Show.number(c.powerVa() / 1000, 1) + " kW",
                            Origin.CATALOGUE,
                            g.electrical().inverter().info()));
            each.add(Term.computed(symbol, g.name(), power, null));
        }
        if (groups.size() > 1) {
            w.step("P_ac", "all inverters of the job", sum(each), ac, "", each.toArray(Term[]::new));
        }
        return w.note("At unity power factor 1 kVA of rating is shown as 1 kW.").build();
    }

    static Working ratio(Design design) {
        String ratio = Show.number(design.circuits().ratio(), 3);
        return Working.of("total.ratio", "DC over AC", ratio)
                .step(
                        "",
                        "all inverters together; the fullest one is at "
                                + Show.number(
                                        design.circuits().groups().stream()
                                                .mapToDouble(Circuits.Group::worstRatio)
                                                .max()
                                                .orElse(0),
                                        3),
                        "{P_dc} / {P_ac}",
                        ratio,
                        "",
                        Term.computed(
                                "P_dc",
                                "DC power",
                                Show.number(design.circuits().dcW() / 1000, 2) + " kW",
                                "total.dc"),
                        Term.computed(
                                "P_ac",
                                "AC rating",
                                Show.number(design.circuits().acVa() / 1000, 2) + " kW",
                                "total.ac"))
                .build();
    }

    static Working blocks(Design design) {
        UnitSystem units = design.job().project().units();
        int blocks = design.holdDown().blocks();
        if (!design.holdDown().established()) {
            return Working.of("total.blocks", "Blocks", "not established")
                    .note("No uplift can be stated, so no blocks can be counted: see the wind first.")
                    .build();
        }
        Working.Builder w = Working.of(
                        "total.blocks",
                        "Blocks",
                        blocks
                                + " blocks, "
                                + Show.both(
                                        units, Dimension.MASS, design.holdDown().ballastKg()))
                .step(
                        "",
                        "sum over "
                                + design.holdDown().positions().size()
                                + (design.holdDown().connected() == null
                                        ? " positions, each rounded up to whole blocks"
                                        : " positions, worked out over connected positions"),
                        "Σ n · {block}",
                        Show.both(units, Dimension.MASS, design.holdDown().ballastKg()),
                        "",
                        Term.data(
                                "block",
                                "one block",
                                Show.both(
                                        units,
                                        Dimension.MASS,
                                        design.holdDown().block().laidKg()),
                                Origin.CATALOGUE,
                                design.job().array().block().info()));
        if (design.holdDown().missingBlocks() > 0) {
            w.note(design.holdDown().missingBlocks()
                    + " more blocks are needed than the positions take; they are not in the total.");
        }
        if (design.whole().arrays().size() > 1) {
            w.note("Of " + design.job().name() + "; all arrays of the job take "
                    + design.whole().blocks() + " blocks.");
        }
        return w.note("Select a position on the drawing for its own working.").build();
    }

    static Working footprint(Design design) {
        RoofLoads loads = design.loads();
        UnitSystem units = design.job().project().units();
        if (!design.roof().established()) {
            return Working.of("roof.footprint", "Added load over the array", "not established")
                    .note("Ballast is not established, so neither is the load: see the wind first.")
                    .build();
        }
        String answer = Show.both(units, Dimension.LOAD, loads.footprint().loadPa());
        Working.Builder w = Working.of("roof.footprint", "Added load over the array", answer)
                .step(
                        "m",
                        "mass of the array",
                        "{modules} + {racking} + {ballast}",
                        Show.both(units, Dimension.MASS, loads.arrayKg()),
                        "",
                        Term.data(
                                "modules",
                                "modules",
                                Show.both(units, Dimension.MASS, loads.moduleKg()),
                                Origin.CATALOGUE,
                                design.job().array().module().info()),
                        Term.data(
                                "racking",
                                "racking",
                                Show.both(units, Dimension.MASS, loads.rackingKg()),
                                Origin.CATALOGUE,
                                design.job().array().tray().info()),
                        Term.computed(
                                "ballast",
                                "blocks",
                                Show.both(units, Dimension.MASS, loads.ballastKg()),
                                "total.blocks"))
                .steps(RoofReserve.of(
                                loads.footprint().massKg(), loads.footprint().areaM2(), Double.NaN)
                        .steps(Terms.typed(), units))
                .note("The area is the outline of the array, row gaps included, walkways not.");
        for (RoofLoads.LaidLine l : loads.laid()) {
            w.step(
                    "",
                    l.name() + " on the roof, " + Show.both(units, Dimension.ROOF_LENGTH, l.lengthM()) + " on "
                            + l.supports() + " supports",
                    "weight by length and supports",
                    Show.both(units, Dimension.MASS, l.kg()),
                    "beside the array");
        }
        w.steps(loads.whole().steps(Terms.typed(), units));
        return w.note(
                        "An average is told and not judged: what counts is the heaviest part, and the heaviest bay. It leaves the"
                                + " walkways out, which lie in the square that is judged: with many of them the average can be the larger.")
                .note("Snow, drift and ponding are not in this load; they are for the engineer's check.")
                .build();
    }

    /** The heaviest window of the arrays; null without modules or ballast. */
    static Working window(Design design, CodeTables tables) {
        LoadWindow window = design.loads().window();
        if (window == null || !design.roof().established()) {
            return null;
        }
        UnitSystem units = design.job().project().units();
        String answer = Show.both(units, Dimension.LOAD, window.load().loadPa());
        Working.Builder w = Working.of("roof.window", "Added load over the heaviest part of the array", answer)
                .step(
                        "A",
                        "square moved over the array to where it is heaviest, along the rows and across them; no longer than the roof and the array",
                        "{a} · {b}",
                        Show.both(units, Dimension.AREA, window.load().areaM2()),
                        "side by the table: "
                                + Show.both(
                                        units,
                                        Dimension.ROOF_LENGTH,
                                        tables.loadWindow().value("side_m")),
                        Term.data(
                                "a",
                                "along",
                                Show.both(units, Dimension.ROOF_LENGTH, window.alongM()),
                                Origin.TABLE,
                                tables.loadWindow().table()),
                        Term.data(
                                "b",
                                "across",
                                Show.both(units, Dimension.ROOF_LENGTH, window.acrossM()),
                                Origin.TABLE,
                                tables.loadWindow().table()))
                .note("The weight is that of modules, racking, blocks and supports of tray and pipe in the square: "
                        + window.modules().size()
                        + " modules wholly or in part, those on its sides by the part inside.");
        allowance(w, design, window.load());
        return w.note(
                        design.plan().bays().isEmpty()
                                ? "No bays are known: a typical bay stands for them. Change the table where members carry less."
                                : "Bays are judged beside it.")
                .note(
                        design.roof().arrays().size() == 1
                                ? "Walkways and gaps in the square count as roof that carries nothing."
                                : "Walkways and gaps in the square count as roof that carries nothing. It lies along the rows of one array; a"
                                        + " quarter of a module of another array counts wholly or not at all.")
                .note(
                        "Snow, drift, wind and ponding are not in this load; members and deck are checked with them where they are entered.")
                .build();
    }

    private static void allowance(Working.Builder w, Design design, RoofReserve load) {
        Roof.Allowance allowance = design.job().roof().allowance();
        Terms terms = allowance == null ? Terms.typed() : Terms.of(Term.given("q_a", "", "", allowance.load()));
        w.steps(load.steps(terms, design.job().project().units()));
        if (allowance == null) {
            w.note("The allowance is not known, so nothing is established.");
            return;
        }
        w.note("The allowance is the " + allowance.source() + ".");
    }

    static Working bay(Design design, String name) {
        UnitSystem units = design.job().project().units();
        for (RoofLoads.BayLoad bay : design.loads().bays()) {
            if (!bay.bay().name().equals(name)) {
                continue;
            }
            String answer = Show.both(units, Dimension.LOAD, bay.load().loadPa());
            Working.Builder w = Working.of("roof.bay/" + name, "Added load over bay " + name, answer)
                    .note(
                            "The weight is that of the array inside the bay, modules across a grid line by area; the area is"
                                    + " the part of the bay on the roof.");
            allowance(w, design, bay.load());
            return w.build();
        }
        return null;
    }
}
