package whipsaw.core.figure;

import static whipsaw.core.units.Show.significant;

import java.util.List;
import whipsaw.core.design.Design;
import whipsaw.core.holddown.Ballast;
import whipsaw.core.holddown.ConnectedBallast;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.holddown.TiltedArray;
import whipsaw.core.holddown.WeighedBlock;
import whipsaw.core.job.ArrayChoice;
import whipsaw.core.job.Job;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.Unit;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.working.Origin;
import whipsaw.core.working.Step;
import whipsaw.core.working.Term;
import whipsaw.core.working.Terms;
import whipsaw.core.working.Working;

/** Workings of the wind on a module and of the blocks of a position. */
final class HoldDownFigures {
    private static final String CLAUSE = "ASCE 7-16 29.4.3";

    private HoldDownFigures() {}

    private static String feet(double metres) {
        return significant(Unit.FOOT.fromSi(metres), 5) + " ft";
    }

    static Working uplift(Design design, HoldDown.Demand demand, CodeTables tables) {
        TiltedArray.Pressure p = (TiltedArray.Pressure) demand.pressure().byMethod();
        TiltedArray.Setting s = p.setting();
        Job job = design.job();
        UnitSystem units = job.project().units();
        String answer = Show.both(units, Dimension.LOAD, p.upliftPa());
        Terms height = Terms.of(
                Term.given("h", "", "", job.roof().height()),
                Term.data("L_p", "", "", Origin.CATALOGUE, job.array().module().info()));
        List<Step> factors = p.values().steps(height);
        return begun(design, demand, s, tables, answer)
                .steps(p.area().steps(height))
                .step(
                        "(GC_rn)_nom",
                        "nominal net coefficient, zone "
                                + demand.zone()
                                + ", tilt "
                                + Show.number(s.tiltDeg(), 1)
                                + "°",
                        "curve at {A_n}",
                        significant(p.nominal(), 4),
                        "Fig. 29.4-7, linear in log A_n; between 5° and 15° linear in the tilt",
                        Term.data(
                                "A_n",
                                "normalised wind area; the curve is a coefficient set",
                                significant(p.normalisedAreaFt2(), 4) + " ft²",
                                Origin.TABLE,
                                tables.wind().coefficientTable()))
                .steps(factors.subList(0, 2))
                .step(
                        "γ_E",
                        "array edge factor: " + edgeWords(demand, s, units),
                        "1.5 when exposed and within 1.5 L_p = {reach} of a row end, else 1.0",
                        significant(p.gammaE(), 2),
                        CLAUSE,
                        Term.computed(
                                "reach", "reach of the factor", feet(TiltedArray.EDGE_FACTOR_REACH * s.chordM()), null))
                .steps(factors.subList(3, 4))
                .note("Downward the same without the edge factor: "
                        + Show.both(units, Dimension.LOAD, p.downPa())
                        + ".")
                .note("A parapet raises this load (factor 0.9 to 1.2); shelter is never assumed.")
                .note(
                        design.job().site().leastUplift() == null
                                ? "No minimum design pressure is applied; where the adopted code asks for one it can govern."
                                : "The minimum design uplift of the job is below.")
                .build();
    }

    /** Zone and effective area. */
    private static Working.Builder begun(
            Design design, HoldDown.Demand demand, TiltedArray.Setting s, CodeTables tables, String answer) {
        Job job = design.job();
        double areaFt2 = Unit.SQUARE_FOOT.fromSi(s.effectiveAreaM2());
        return Working.of(
                        "uplift/" + demand.module().id(),
                        "Wind uplift on module " + demand.module().number(),
                        answer)
                .step(
                        "zone",
                        "most severe zone the module touches",
                        "within {w} of one edge: 2; of both edges of an outside corner: 3; else 1",
                        "zone " + demand.zone(),
                        "Fig. 29.4-7; on other than rectangles our convention, to be confirmed by an engineer",
                        Term.data(
                                "w",
                                "width of the edge zones, "
                                        + significant(tables.zones().value("tilted_width_h"), 3)
                                        + " times the roof height of " + feet(s.meanRoofHeightM()),
                                feet(tables.zones().value("tilted_width_h") * s.meanRoofHeightM()),
                                Origin.TABLE,
                                tables.zones().table()))
                .step(
                        "A",
                        "effective wind area",
                        "{A_s}, not more than {n} joined modules of {A_m}, not less than one",
                        significant(areaFt2, 4) + " ft²",
                        job.array().tray().shared() == null
                                ? "no sharing shown: one module"
                                : "sharing shown by " + job.array().tray().sharedReport(),
                        Term.data(
                                "A_s",
                                "area shown to share load",
                                job.array().tray().shared() == null
                                        ? "none"
                                        : significant(
                                                        Unit.SQUARE_FOOT.fromSi(job.array()
                                                                .tray()
                                                                .shared()
                                                                .si()),
                                                        4)
                                                + " ft²",
                                Origin.CATALOGUE,
                                job.array().tray().info()),
                        Term.computed("n", "joined modules", String.valueOf(demand.joined()), null),
                        Term.data(
                                "A_m",
                                "module area",
                                significant(
                                                Unit.SQUARE_FOOT.fromSi(
                                                        job.array().module().areaM2()),
                                                4)
                                        + " ft²",
                                Origin.CATALOGUE,
                                job.array().module().info()));
    }

    private static String edgeWords(HoldDown.Demand demand, TiltedArray.Setting s, UnitSystem units) {
        if (demand.openSide() == null) {
            return "no side is open";
        }
        HoldDown.OpenSide side = demand.openSide();
        String gap = Double.isInfinite(side.gapM())
                ? "nothing beside it"
                : Show.in(units, Dimension.ROOF_LENGTH, side.gapM()) + " to the next panel";
        return side.name()
                + " side open ("
                + gap
                + ", "
                + Show.in(units, Dimension.ROOF_LENGTH, side.toBuildingEdgeM())
                + " to the building edge; exposed when more than "
                + Show.in(units, Dimension.ROOF_LENGTH, 0.5 * s.meanRoofHeightM())
                + "): "
                + (demand.exposed() ? "exposed" : "not exposed")
                + ", "
                + Show.in(units, Dimension.ROOF_LENGTH, demand.fromRowEndM())
                + " from the row end";
    }

    static Working ballast(Design design, HoldDown.Position position, CodeTables tables) {
        Ballast b = position.ballast();
        Job job = design.job();
        UnitSystem units = job.project().units();
        String blocks = Show.count(b.blocksNeeded(), "block")
                + (b.full() ? " needed, " + b.blocksPlaced() + (b.attached() ? " and attachments" : " fit") : "");
        Working.Builder w = Working.of("ballast/" + position.id(), "Ballast of position " + position.number(), blocks);
        demand(w, design, position);
        Terms terms = Terms.of(
                Term.data("f_W", "", "", Origin.TABLE, tables.wind().factorTable()),
                Term.data("f_G", "", "", Origin.TABLE, tables.wind().factorTable()),
                Term.given("s", "", "", job.roof().slope()),
                Term.data("μ", "", "", Origin.CATALOGUE, job.array().tray().info()),
                Term.data("own", "", "", Origin.CATALOGUE, job.array().module().info()),
                Term.data("block", "", "", Origin.CATALOGUE, job.array().block().info()));
        w.steps(b.steps(terms, units));
        together(w, design, position);
        OneBlockMore change = OneBlockMore.of(design, position);
        if (change != null) {
            change.words(units).forEach(w::note);
        }
        w.note("Factors by " + b.hold().factors().words() + "; friction is that on "
                + job.roof().covering() + ". Governed by " + b.governing() + ": "
                + mass(units, b.requiredKg()) + " of ballast in blocks of "
                + mass(units, b.hold().blockKg()) + "; the position takes "
                + Show.count(b.hold().mostBlocks(), "block") + ".");
        if (b.full()) {
            w.note("The position is full: "
                    + Show.both(units, Dimension.FORCE, b.tensionN())
                    + " of uplift and "
                    + Show.both(units, Dimension.FORCE, b.shearN())
                    + " of sliding remain for attachments.");
        }
        return w.build();
    }

    /** What neighbours do for a position, where blocks are worked out over connected positions. */
    private static void together(Working.Builder w, Design design, HoldDown.Position position) {
        ConnectedBallast connected = design.holdDown().connected();
        if (connected == null) {
            return;
        }
        List<HoldDown.Position> positions = design.holdDown().positions();
        ConnectedBallast.Group group = connected.tightest(positions, position.index());
        if (group != null) {
            step(w, design, group);
        }
        w.note("Worked out over connected positions: "
                + Show.count(position.ballast().blocksNeeded(), "block")
                + " here, "
                + position.ballast().aloneBlocks()
                + " if the position were held by itself.");
    }

    /** What a block is worth where some were weighed; null where none were. */
    static Working weighed(Design design) {
        WeighedBlock block = design.holdDown().block();
        if (block.values() == null) {
            return null;
        }
        Job job = design.job();
        UnitSystem units = job.project().units();
        ArrayChoice.Weighed w = job.array().weighed();
        Terms terms = Terms.of(
                Term.data("m_d", "", "", Origin.CATALOGUE, job.array().block().info()),
                Term.given("m", "", "", w.mean()),
                Term.given("s", "", "", w.spread()));
        return Working.of(
                        "ballast.weighed",
                        "Weight of a block, " + w.count() + " weighed",
                        mass(units, block.creditedKg()) + " counted as holding, " + mass(units, block.laidKg())
                                + " as load")
                .steps(block.values().steps(terms, units))
                .note(
                        "Weigh blocks of every pallet, dry, on a checked scale. Single blocks may be lighter than the mean:"
                                + " sort out broken ones.")
                .build();
    }

    /** A group of positions against what the wind asks of it. */
    private static void step(Working.Builder w, Design design, ConnectedBallast.Group group) {
        UnitSystem units = design.job().project().units();
        List<HoldDown.Position> positions = design.holdDown().positions();
        w.step(
                "",
                "weight of positions " + positions.get(group.first()).number() + " to "
                        + positions.get(group.last()).number(),
                "Σ (own + n · {block}) at least Σ max(D_up, D_sl)",
                mass(units, group.weighsKg()) + " of " + mass(units, group.neededKg()) + " needed",
                design.job().array().tray().sharedReport(),
                Term.data(
                        "block",
                        "one block",
                        mass(units, design.holdDown().block().creditedKg()),
                        Origin.CATALOGUE,
                        design.job().array().block().info()));
    }

    /** Blocks over connected positions: the tightest group, and what it saves. */
    static Working connected(Design design, CodeTables tables) {
        ConnectedBallast connected = design.holdDown().connected();
        ConnectedBallast.Group worst =
                connected == null ? null : connected.tightest(design.holdDown().positions());
        if (worst == null) {
            return null;
        }
        int blocks = design.holdDown().blocks();
        int saved = connected.aloneBlocks() - blocks;
        Working.Builder w = Working.of(
                "ballast.connected",
                "Blocks over connected positions",
                Show.count(blocks, "block") + ", " + Math.abs(saved)
                        + (saved < 0
                                ? " more than position by position: neighbours carry what full positions have no room for"
                                : " fewer than position by position"));
        step(w, design, worst);
        return w.step(
                        "",
                        "blocks saved",
                        "{alone} − {together}",
                        String.valueOf(saved),
                        "least total that satisfies every group, exact: longest path over sums of blocks",
                        Term.computed(
                                "alone",
                                "blocks with every position rounded up",
                                String.valueOf(connected.aloneBlocks()),
                                null),
                        Term.computed("together", "blocks placed", String.valueOf(blocks), "total.blocks"))
                .note(
                        "Every group of positions in a line that share load, no more than the system has been shown to share"
                                + " over, weighs what the wind asks of the group. No position is more than "
                                + Show.count(connected.shortOfOwn(), "block")
                                + " short of what it would need alone: a house rule ("
                                + tables.houseRules().title() + ").")
                .build();
    }

    /** What the wind does to the modules of a position, and to it. */
    private static void demand(Working.Builder w, Design design, HoldDown.Position position) {
        Ballast b = position.ballast();
        Job job = design.job();
        UnitSystem units = job.project().units();
        for (HoldDown.Share share : position.shares()) {
            HoldDown.Demand demand = design.holdDown().demands().get(share.module());
            String number = demand.module().number();
            w.step(
                    "",
                    "share of module " + number,
                    "{part} of {p} on {A_m}",
                    "zone " + demand.zone(),
                    "tray system: one position per "
                            + job.array().tray().positions().key(),
                    Term.data(
                            "part",
                            "share",
                            Show.number(share.part(), 2),
                            Origin.CATALOGUE,
                            job.array().tray().info()),
                    Term.computed(
                            "p",
                            "uplift on the module",
                            Show.both(units, Dimension.LOAD, demand.pressure().upliftPa()),
                            "uplift/" + demand.module().id()),
                    Term.data(
                            "A_m",
                            "module area",
                            Show.both(
                                    units, Dimension.AREA, job.array().module().areaM2()),
                            Origin.CATALOGUE,
                            job.array().module().info()));
        }
        w.step(
                        "U",
                        "away from the roof",
                        "Σ share · p · cos({β}) · A_m",
                        Show.both(units, Dimension.PART_FORCE, b.demand().upliftN()),
                        "resolved from the pressure normal to the module",
                        Term.given(
                                "β",
                                "tilt",
                                job.array().tilt().typed(),
                                job.array().tilt()))
                .step(
                        "H",
                        "along the roof",
                        "Σ share · p · sin({β}) · A_m",
                        Show.both(units, Dimension.PART_FORCE, b.demand().dragN()),
                        "resolved from the pressure normal to the module",
                        Term.given(
                                "β",
                                "tilt",
                                job.array().tilt().typed(),
                                job.array().tilt()));
    }

    private static String mass(UnitSystem units, double kg) {
        return Show.both(units, Dimension.MASS, kg);
    }
}
