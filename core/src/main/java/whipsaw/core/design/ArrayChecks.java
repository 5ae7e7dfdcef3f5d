package whipsaw.core.design;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.array.ModuleShade;
import whipsaw.core.array.PairSpacing;
import whipsaw.core.array.Reach;
import whipsaw.core.check.Check;
import whipsaw.core.check.Place;
import whipsaw.core.check.Verdict;
import whipsaw.core.holddown.ConnectedBallast;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.holddown.TiltedArray;
import whipsaw.core.holddown.WeighedBlock;
import whipsaw.core.job.ArrayChoice;
import whipsaw.core.job.Job;
import whipsaw.core.job.KeptNumbers;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Show;
import whipsaw.core.units.Unit;
import whipsaw.core.units.UnitSystem;

/** Checks of one array: modules placed, shade, the scope of the wind method, ballast. */
final class ArrayChecks {
    /** What the place of the middle is told to: it is kept to a tenth of a millimetre. */
    private static final double MOVED_M = 0.001;

    private final Design design;
    private final Job job;
    private final UnitSystem units;
    private final List<Check> checks = new ArrayList<>();

    private ArrayChecks(Design design) {
        this.design = design;
        this.job = design.job();
        this.units = job.project().units();
    }

    static List<Check> of(Design design) {
        ArrayChecks all = new ArrayChecks(design);
        all.placed();
        all.numbers();
        all.rowShade();
        all.thingShade();
        all.checks.addAll(SystemChecks.of(design));
        all.reach();
        all.checks.addAll(PathChecks.of(design));
        all.windScope();
        all.ballast();
        all.connected();
        all.weighed();
        return all.checks;
    }

    private String text(Dimension dimension, double si) {
        return Show.both(units, dimension, si);
    }

    private void placed() {
        if (design.layout().modules().isEmpty()) {
            checks.add(Check.stated(
                    "array.placed",
                    "Modules placed",
                    "0 modules",
                    "at least 1",
                    Verdict.FAILS,
                    "set-back, clear distances and shortest row",
                    "array.setback",
                    "no row fits: reduce the set-back or the clear distances"));
        }
        byHand();
    }

    /** Hand work that found no place, and modules put where the rules have no room. */
    private void byHand() {
        List<ArrayLayout.NotKept> lost = design.layout().notKept();
        if (!lost.isEmpty()) {
            Map<String, Long> kinds = lost.stream()
                    .collect(Collectors.groupingBy(ArrayLayout.NotKept::what, TreeMap::new, Collectors.counting()));
            String where = lost.stream()
                    .limit(3)
                    .map(n -> "x " + text(Dimension.ROOF_LENGTH, n.x()) + ", y " + text(Dimension.ROOF_LENGTH, n.y()))
                    .collect(Collectors.joining("; "));
            checks.add(Check.stated(
                    "array.hand-edits",
                    "Hand work kept",
                    kinds.entrySet().stream()
                                    .map(k -> k.getValue() + " × " + k.getKey())
                                    .collect(Collectors.joining(", "))
                            + " without a place: " + where + (lost.size() > 3 ? " and others" : ""),
                    "all of it kept",
                    Verdict.CLOSE,
                    "hand work is kept by place",
                    "total.modules",
                    "the layout has moved: do it again where it is needed, or clear the hand work"));
        }
        List<Integer> added = design.layout().added();
        if (!added.isEmpty()) {
            checks.add(new Check(
                    "array.put-in",
                    "Modules put in by hand",
                    Show.count(added.size(), "module") + " where the rules leave no room",
                    "set-back, clear distances and paths kept",
                    Double.NaN,
                    Verdict.NEEDS_ENGINEER,
                    new Place("modules put in by hand", Place.Kind.MODULES, added),
                    "set-back, clear distances, fire paths and shortest row of this job",
                    "total.modules",
                    "have it agreed by whoever the distance is kept for, or leave them out"));
        }
    }

    /** Whether the sheet the crew's numbers were signed on still shows the array. */
    private void numbers() {
        NumberEdits.Since since = NumberEdits.Since.of(design);
        if (since == null) {
            return;
        }
        boolean moved = since.movedM() > MOVED_M;
        List<String> changes = new ArrayList<>();
        if (since.added() > 0) {
            changes.add(Show.count(since.added(), "module") + " added");
        }
        if (since.gone() > 0) {
            changes.add(Show.count(since.gone(), "module") + " gone");
        }
        if (moved) {
            changes.add("moved, its middle by " + text(Dimension.ROOF_LENGTH, since.movedM()));
        }
        KeptNumbers kept = design.job().placed().numbers();
        checks.add(Check.stated(
                "array.numbers",
                "Array as on the signed sheet",
                changes.isEmpty() ? "unchanged" : String.join(", ", changes),
                "as signed by " + kept.by() + " on " + kept.on(),
                changes.isEmpty() ? Verdict.PASSES : Verdict.CLOSE,
                "modules keep the numbers of the signed sheet",
                "total.modules",
                changes.isEmpty() ? "" : "have the new sheet signed, then keep its numbers"));
    }

    private void rowShade() {
        if (design.layout().rows() < 2) {
            return;
        }
        if (design.layout().pairs() != null) {
            pairShade();
            return;
        }
        double needed = design.layout().spacing().gapM();
        double gap = design.layout().gapM();
        String source = "no row shadow on the shortest day in the window";
        if (!design.layout().spacing().shadeFree()) {
            checks.add(Check.stated(
                    "array.row-shade",
                    "Row gap against the winter sun",
                    "no finite gap",
                    text(Dimension.PART_LENGTH, gap),
                    Verdict.FAILS,
                    source,
                    "array.gap",
                    "the sun is below the horizon in the window: shorten it"));
            return;
        }
        checks.add(
                Check.compare(
                        "array.row-shade",
                        "Row gap against the winter sun",
                        text(Dimension.PART_LENGTH, needed),
                        text(Dimension.PART_LENGTH, gap),
                        needed / gap,
                        null,
                        source,
                        "array.gap",
                        "rows shade each other in the window: widen the gap, lower the tilt or shorten the window (a question of yield, not of safety)"));
    }

    /** Whether a broken module is got at without taking half the array up: a wish of those who repair, no rule of safety. */
    private void reach() {
        if (design.layout().modules().isEmpty()) {
            return;
        }
        Reach reach = design.array().reach();
        int most = (int) design.tables().arrayAccess().value("most_lifted");
        List<Integer> far = new ArrayList<>();
        for (ArrayLayout.Module m : design.layout().modules()) {
            if (reach.first(m.index()) > most) {
                far.add(m.index());
            }
        }
        checks.add(new Check(
                "array.reach",
                "Access for repair: modules to lift",
                reach.most()
                        + (far.isEmpty() ? "" : ", more than " + most + " for " + Show.count(far.size(), "module")),
                "at most " + most,
                Double.NaN,
                far.isEmpty() ? Verdict.PASSES : Verdict.CLOSE,
                far.isEmpty() ? null : new Place("modules far from a walkway", Place.Kind.MODULES, far),
                "strips " + text(Dimension.PART_LENGTH, reach.walkM()) + " wide or wider can be walked",
                "array.reach",
                far.isEmpty() ? "" : "walkways between the rows, or a wider row gap"));
    }

    /** What stands on the roof and shades modules in the window of the rows. */
    private void thingShade() {
        ModuleShade shade = design.shade();
        if (shade.things().isEmpty() || design.layout().modules().isEmpty()) {
            return;
        }
        BitSet shaded = new BitSet();
        shade.inWindow().forEach(h -> shaded.or(h.modules()));
        List<Integer> modules = shaded.stream().boxed().toList();
        checks.add(
                new Check(
                        "array.shade",
                        "Shading from obstructions and parapets",
                        Show.count(modules.size(), "module") + " shaded in the window on the shortest day",
                        "0",
                        Double.NaN,
                        modules.isEmpty() ? Verdict.PASSES : Verdict.CLOSE,
                        modules.isEmpty() ? null : new Place("shaded modules", Place.Kind.MODULES, modules),
                        "shadows of parapets and obstructions on each row",
                        "array.shade",
                        modules.isEmpty()
                                ? ""
                                : "leave them out, move them, or give them module electronics (a question of yield, not of safety)"));
    }

    /** Pairs are set close on purpose: the low sun shades them, which is said and not judged. */
    private void pairShade() {
        PairSpacing pairs = design.layout().pairs();
        double gap = design.layout().gapM();
        checks.add(Check.stated(
                "array.row-shade",
                "Pairs against the low sun",
                "shade-free in the window: "
                        + (pairs.shadeFree() ? text(Dimension.PART_LENGTH, pairs.valleyM()) : "no finite valley"),
                text(Dimension.PART_LENGTH, gap) + ", free above " + Show.number(pairs.shadeLimitDeg(gap), 1)
                        + "° in section",
                Verdict.PASSES,
                "a question of yield, not judged",
                "array.gap",
                ""));
    }

    private void windScope() {
        HoldDown holdDown = design.holdDown();
        String source = design.job().site().code().coefficients().isEmpty()
                ? "ASCE 7-16 29.4.3"
                : "limits of validity of the net-coefficient set";
        if (!holdDown.outsideScope().isEmpty()) {
            checks.add(
                    Check.stated(
                            "wind.scope",
                            "Array inside the scope of the wind method",
                            String.join("; ", holdDown.outsideScope()),
                            "inside all limits",
                            Verdict.NEEDS_ENGINEER,
                            source,
                            "wind.scope",
                            "no coefficient holds here, so uplift, blocks and load are not established: wind-tunnel data or an engineer decides"));
        }
        if (!holdDown.tooNearEdge().isEmpty()) {
            List<Integer> near = holdDown.tooNearEdge().stream()
                    .map(ArrayLayout.Module::index)
                    .toList();
            checks.add(new Check(
                    "wind.edge-clear",
                    "Panels clear of the roof edge",
                    near.size() + " modules nearer",
                    text(
                                    Dimension.ROOF_LENGTH,
                                    TiltedArray.clearNeededM(design.layout().highEdgeM(), 0))
                            + " where there is no parapet",
                    Double.NaN,
                    Verdict.NEEDS_ENGINEER,
                    new Place("module " + holdDown.tooNearEdge().get(0).number(), Place.Kind.MODULES, near),
                    source,
                    "array.setback",
                    "widen the set-back to at least this"));
        }
    }

    private void connected() {
        ConnectedBallast connected = design.holdDown().connected();
        if (connected == null) {
            return;
        }
        List<HoldDown.Position> positions = design.holdDown().positions();
        ConnectedBallast.Group worst = connected.tightest(positions);
        if (worst == null) {
            return;
        }
        boolean shown = !design.job().array().tray().sharedReport().isBlank();
        checks.add(new Check(
                "ballast.connected",
                "Weight of connected positions",
                Show.in(units, Dimension.MASS, worst.neededKg()),
                Show.in(units, Dimension.MASS, worst.weighsKg()),
                worst.utilisation(),
                shown ? Verdict.of(worst.utilisation()) : Verdict.NEEDS_ENGINEER,
                new Place(
                        "positions " + positions.get(worst.first()).number() + " to "
                                + positions.get(worst.last()).number(),
                        Place.Kind.POSITIONS,
                        IntStream.rangeClosed(worst.first(), worst.last())
                                .boxed()
                                .toList()),
                shown ? design.job().array().tray().sharedReport() : "no report on load sharing",
                "ballast.connected",
                shown ? "" : "the tray system names no report that shows how its positions share load"));
    }

    /** With a tenth, which tells a light block from a sound one. */
    private String mass(double kg) {
        Unit unit = Dimension.MASS.unit(units);
        return Show.number(unit.fromSi(kg), 1) + " " + unit.symbol();
    }

    /** Blocks of the delivery against their datasheet; the array is held and loaded by what they were found to weigh. */
    private void weighed() {
        ArrayChoice.Weighed weighed = job.array().weighed();
        if (weighed == null) {
            return;
        }
        WeighedBlock block = design.holdDown().block();
        double stated = job.array().block().mass().si();
        boolean light = Limits.above(stated, block.creditedKg());
        checks.add(Check.stated(
                "ballast.weighed",
                "Blocks as weighed",
                mass(weighed.mean().si()) + " mean of " + weighed.count() + ", " + mass(block.creditedKg())
                        + " counted as holding",
                mass(stated) + " by the datasheet",
                light ? Verdict.CLOSE : Verdict.PASSES,
                "mean of the delivery, 95 % confidence",
                "ballast.weighed",
                light ? "lighter than stated: the blocks of every position were worked out anew" : ""));
    }

    private void ballast() {
        HoldDown.Position worst = design.holdDown().worstByWeight();
        if (worst == null || !design.holdDown().established()) {
            return;
        }
        List<Integer> over = design.holdDown().lacking().stream()
                .map(HoldDown.Position::index)
                .toList();
        int full = over.size();
        int missing = design.holdDown().missingBlocks();
        checks.add(Check.compare(
                "ballast.position",
                "Blocks a position takes",
                Show.count(worst.ballast().blocksNeeded(), "block"),
                Show.count(worst.ballast().hold().mostBlocks(), "block"),
                (double) worst.ballast().blocksNeeded()
                        / Math.max(1, worst.ballast().hold().mostBlocks()),
                new Place(
                        "position " + worst.number(),
                        Place.Kind.POSITIONS,
                        over.isEmpty() ? List.of(worst.index()) : over),
                worst.ballast().hold().factors().words(),
                "ballast/" + worst.id(),
                full
                        + (full == 1 ? " position lacks " : " positions lack ")
                        + Show.count(missing, "block")
                        + " in all: lower the tilt, move off the edge, or attach"));
    }
}
