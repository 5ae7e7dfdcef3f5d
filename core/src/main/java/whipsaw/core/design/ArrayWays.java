package whipsaw.core.design;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import whipsaw.core.catalogue.BlockType;
import whipsaw.core.catalogue.TraySystem;
import whipsaw.core.check.Check;
import whipsaw.core.check.Place;
import whipsaw.core.design.WaysOut.Way;
import whipsaw.core.holddown.TiltedArray;
import whipsaw.core.job.ArrayChoice;
import whipsaw.core.job.DocumentPatch.Change;
import whipsaw.core.job.Electrical;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.JobWriter;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/** Ways out by another setting of the array: tilt, gap, block, walkway, set-back, place, what holds it, its feeders. */
final class ArrayWays {
    private static final double STEP_M = 0.3048;

    private final Tries tries;
    private final Design design;
    private final Check check;

    ArrayWays(Tries tries) {
        this.tries = tries;
        this.design = tries.design;
        this.check = tries.check;
    }

    void tilts() {
        ArrayChoice array = design.job().array();
        for (Measure tilt : array.tray().tilts()) {
            if (tilt.si() != array.tilt().si()) {
                tries.offer(
                        "tilt",
                        "Tilt " + tilt.typed() + " instead of " + array.tilt().typed(),
                        Tries.set(JobPaths.ARRAY.to(ArrayChoice::tilt), tilt.typed()));
            }
        }
    }

    void gaps() {
        for (Measure gap : design.job().array().tray().gaps()) {
            if (Math.abs(gap.si() - design.layout().gapM()) > Limits.SLACK) {
                String name = design.layout().pairs() == null ? "Row gap " : "Valley ";
                tries.offer("gap", name + gap.typed(), Tries.set(JobPaths.ARRAY.to(ArrayChoice::gap), gap.typed()));
            }
        }
    }

    /** Tilt and gap together, tried when no single change clears the check. */
    void tiltsWithGaps() {
        ArrayChoice array = design.job().array();
        for (Measure tilt : array.tray().tilts()) {
            for (Measure gap : array.tray().gaps()) {
                boolean gapNow = Math.abs(gap.si() - design.layout().gapM()) <= Limits.SLACK;
                if (tilt.si() != array.tilt().si() && !gapNow) {
                    List<Change> both = new ArrayList<>(Tries.set(JobPaths.ARRAY.to(ArrayChoice::tilt), tilt.typed()));
                    both.addAll(Tries.set(JobPaths.ARRAY.to(ArrayChoice::gap), gap.typed()));
                    tries.offer("tilt and gap", "Tilt " + tilt.typed() + " with a gap of " + gap.typed(), both);
                }
            }
        }
    }

    void blocks(List<BlockType> blocks) {
        for (BlockType block : blocks) {
            if (!block.info().code().equals(design.job().array().block().info().code())) {
                tries.offer(
                        "block",
                        "Block " + block.info().name(),
                        Tries.set(JobPaths.ARRAY.to(ArrayChoice::block), JobWriter.part(block)));
            }
        }
    }

    /** Another tray system, at its setting nearest to the tilt there is. */
    void trays(List<TraySystem> trays) {
        ArrayChoice array = design.job().array();
        boolean weighs = check.id().equals("roof.window")
                || check.id().equals("roof.bay")
                || check.id().equals("ballast.position");
        for (TraySystem tray : trays) {
            if (!weighs || tray.info().code().equals(array.tray().info().code())) {
                continue;
            }
            Measure tilt = tray.tilts().stream()
                    .min(Comparator.comparingDouble(
                            t -> Math.abs(t.si() - array.tilt().si())))
                    .orElseThrow();
            List<Change> changes =
                    new ArrayList<>(Tries.set(JobPaths.ARRAY.to(ArrayChoice::tray), JobWriter.part(tray)));
            changes.addAll(Tries.set(JobPaths.ARRAY.to(ArrayChoice::tilt), tilt.typed()));
            changes.addAll(List.of(Change.remove(JobPaths.ARRAY.to(ArrayChoice::gap))));
            tries.offer("tray", "Tray system " + tray.info().name() + " at " + tilt.typed(), changes);
        }
    }

    /** An aisle across the rows after as many modules as the tray system allows. */
    void breaks() {
        TraySystem tray = design.job().array().tray();
        boolean row = check.id().equals("array.row-length");
        if (!row && !check.id().equals("system.break-gap")) {
            return;
        }
        double pitch = design.layout().columnPitchM();
        ArrayChoice.Aisle now = design.job().array().aisle();
        int most = (int) Math.floor((tray.longestRow().si() + tray.moduleGap().si()) / pitch + Limits.SLACK);
        int every = row || now == null ? most : now.every();
        if (every < 1) {
            return;
        }
        String width = tray.breakGap() != null
                ? tray.breakGap().typed()
                : Show.exact(
                        design.job().project().units(),
                        Dimension.ROOF_LENGTH,
                        tries.tables().arrayAccess().value("aisle_m"));
        tries.offer(
                "aisle across",
                "Aisle across the rows after every " + every + " modules, " + width + " wide",
                Tries.set(
                        JobPaths.ARRAY.to(ArrayChoice::aisle),
                        Map.of("every", every, "first", row || now == null ? every : now.first(), "width", width)));
    }

    /** Walkways every so many rows: the fewest that clear it. */
    void aisles() {
        breaks();
        if (!check.id().equals("array.reach")) {
            return;
        }
        UnitSystem units = design.job().project().units();
        String wide = Show.exact(
                units, Dimension.ROOF_LENGTH, tries.tables().arrayAccess().value("aisle_m"));
        int bands = design.layout().lastRow() / (design.layout().pairs() == null ? 1 : 2);
        for (int every = bands; every >= 1; every--) {
            Way way = tries.way(
                    "aisles",
                    "A walkway " + wide + " wide every " + every
                            + (design.layout().pairs() == null ? " rows" : " pairs of rows"),
                    Tries.set(
                            JobPaths.ARRAY.to(ArrayChoice::walkway),
                            Map.of("every", every, "first", Math.max(1, (every + 1) / 2), "width", wide)));
            if (way != null && way.clears()) {
                tries.add(way);
                return;
            }
        }
    }

    /** The walkway's best place within one spacing. */
    void walkway() {
        ArrayChoice.Walkway walkway = design.job().array().walkway();
        if (walkway == null) {
            return;
        }
        Way best = null;
        for (int first = 1; first <= walkway.every(); first++) {
            if (first == walkway.first()) {
                continue;
            }
            Way way = tries.way(
                    "walkway",
                    "First walkway behind row " + first,
                    Tries.set(JobPaths.ARRAY.to(ArrayChoice::walkway).to(ArrayChoice.Walkway::first), first));
            if (way != null && (best == null || better(way, best))) {
                best = way;
            }
        }
        if (best != null) {
            tries.add(best);
        }
    }

    private static boolean better(Way a, Way b) {
        if (a.after() == null || b.after() == null) {
            return a.after() == null && b.after() != null;
        }
        return a.after().utilisation() < b.after().utilisation();
    }

    /** Moves the whole array a little, so that its feet stand on other members; the best way of each direction. */
    void shift() {
        if (!check.id().startsWith("roof.members-")) {
            return;
        }
        ArrayChoice array = design.job().array();
        for (boolean along : new boolean[] {true, false}) {
            double now = (along ? array.shiftAlong() : array.shiftAcross()).si();
            Way best = null;
            for (int step : new int[] {-3, -2, -1, 1, 2, 3}) {
                String typed = Show.exact(design.job().project().units(), Dimension.ROOF_LENGTH, now + step * STEP_M);
                Way way = tries.way(
                        "shift",
                        "The array shifted " + (along ? "along" : "across") + " its rows, to " + typed,
                        Tries.set(
                                along
                                        ? JobPaths.ARRAY.to(ArrayChoice::shiftAlong)
                                        : JobPaths.ARRAY.to(ArrayChoice::shiftAcross),
                                typed));
                boolean better = way != null
                        && (best == null
                                || way.after() == null
                                || (best.after() != null
                                        && way.after().utilisation()
                                                < best.after().utilisation()));
                best = better ? way : best;
            }
            if (best != null) {
                tries.add(best);
            }
        }
    }

    /** Attachments in place of weight where the check is: the most blocks that still clear it, else none at all. */
    /** Blocks over connected positions, where the tray system has been shown to share load. */
    void together() {
        ArrayChoice array = design.job().array();
        boolean weighs = check.id().startsWith("roof.") || check.id().equals("ballast.position");
        if (weighs && !array.ballastTogether() && array.tray().shared() != null) {
            tries.offer(
                    "blocks together",
                    "Blocks worked out over connected positions",
                    Tries.set(JobPaths.ARRAY.to(ArrayChoice::ballastBy), "together"));
        }
    }

    void attachments() {
        ArrayChoice.Attachments each = design.job().array().attachments();
        boolean weighs = check.id().startsWith("roof.") || check.id().equals("ballast.position");
        if (each == null || !weighs || design.attached() != null && each.mostBlocks() == 0) {
            return;
        }
        Set<String> bays = new LinkedHashSet<>(design.attached() == null ? List.of() : each.bays());
        if (check.place() != null && check.place().kind() == Place.Kind.BAYS) {
            check.place()
                    .items()
                    .forEach(i -> bays.add(design.plan().bays().get(i).name()));
        } else {
            bays.clear();
        }
        int most = Math.min(design.job().array().tray().mostBlocks(), Math.max(0, each.mostBlocks()));
        // the fewer blocks, the less weight: by halving, the most that still clear it
        Way found = attached(0, bays);
        int low = 0;
        int high = most + 1;
        while (found != null && found.clears() && high - low > 1) {
            int middle = (low + high) >>> 1;
            Way way = attached(middle, bays);
            if (way != null && way.clears()) {
                found = way;
                low = middle;
            } else {
                high = middle;
            }
        }
        if (found != null) {
            tries.add(found);
        }
    }

    private Way attached(int blocks, Set<String> bays) {
        List<Change> changes =
                new ArrayList<>(Tries.set(JobPaths.ATTACHMENTS.to(ArrayChoice.Attachments::mostBlocks), blocks));
        changes.addAll(Tries.set(JobPaths.ATTACHMENTS.to(ArrayChoice.Attachments::bays), String.join(", ", bays)));
        return tries.way(
                "attachments",
                "Attachments instead of weight " + (bays.isEmpty() ? "all over" : "in " + String.join(", ", bays))
                        + ": at most " + blocks + " blocks on a position",
                changes);
    }

    /** The smallest wider set-back that clears the check, else the widest tried that helps. */
    void setback() {
        double needed = check.id().equals("wind.edge-clear")
                ? TiltedArray.clearNeededM(design.layout().highEdgeM(), 0)
                : 0;
        Way helps = null;
        for (int step = 1; step <= 6; step++) {
            double setback = Math.max(needed, design.layout().setbackM() + step * STEP_M);
            String typed = Show.exact(design.job().project().units(), Dimension.ROOF_LENGTH, setback);
            Way way = tries.way(
                    "setback", "Set-back " + typed, Tries.set(JobPaths.ARRAY.to(ArrayChoice::setback), typed));
            helps = way == null ? helps : way;
            if (way != null && way.clean()) {
                break;
            }
        }
        if (helps != null) {
            tries.add(helps);
        }
    }

    /** The DC system limit that holds where the array is. */
    void systemLimit() {
        if (check.id().equals("strings.place")) {
            double most = tries.tables()
                    .dcVoltage()
                    .at(
                            design.job().site().code().family(),
                            design.job().electrical().place())
                    .mostV();
            String typed = Show.number(most, 0) + " V";
            tries.offer(
                    "system limit",
                    "DC system limit " + typed,
                    Tries.set(JobPaths.ELECTRICAL.to(Electrical::systemLimit), typed));
        }
    }

    void feeders() {
        if (!check.id().startsWith("run.")) {
            return;
        }
        int now = design.job().electrical().run().feeders();
        for (int n = now + 1; n <= Math.min(design.inverters().inverters(), now + 60); n++) {
            Way way = tries.way(
                    "feeders",
                    n + " AC feeders side by side",
                    Tries.set(JobPaths.RUN.to(Electrical.AcRun::feeders), n));
            if (way != null && way.clears()) {
                tries.add(way);
                return;
            }
        }
    }
}
