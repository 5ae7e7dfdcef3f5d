package whipsaw.core.design;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.catalogue.BlockType;
import whipsaw.core.check.Check;
import whipsaw.core.check.Place;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.holddown.TiltedArray;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.DocumentPatch.Change;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.JobWriter;
import whipsaw.core.job.Structure;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Show;

/**
 * Ways out of a check that does not pass: every single change that could help is made on a copy and
 * solved, and those that improve the check are offered with what they do to the rest of the job.
 */
public final class WaysOut {
    private static final int MOST = 8;
    private static final int ROUNDS = 3;
    private static final double STEP_M = 0.3048;

    private final Design design;
    private final Check check;
    private final Solver solver;
    private final List<Way> ways = new ArrayList<>();
    private final Map<String, Object> document;

    /**
     * One way out.
     *
     * @param kind what is changed, for example {@code tilt}
     * @param words what is done
     * @param changes to the document, made as one revision
     * @param after the check as it would be; null when it would no longer arise
     * @param effect what it does to the totals
     * @param cost by the price list, in words; empty when nothing priced changes
     * @param spoils titles of other checks that pass now and would stop the job then
     * @param modulesLost fewer modules than now; negative for more
     */
    public record Way(
            String kind,
            String words,
            List<Change> changes,
            Check after,
            List<String> effect,
            String cost,
            List<String> spoils,
            int modulesLost) {

        /** Whether the check would pass, if only just. */
        public boolean clears() {
            return after == null || !after.verdict().stops();
        }

        /** Whether it clears the check and stops nothing else. */
        public boolean clean() {
            return clears() && spoils.isEmpty();
        }

        /** The check afterwards in words. */
        public String outcome() {
            return after == null
                    ? "the check no longer arises"
                    : after.verdict().words() + ": " + after.demand() + " of " + after.capacity();
        }
    }

    private WaysOut(Design design, Check check, Solver solver) {
        this.design = design;
        this.check = check;
        this.solver = solver;
        this.document = JobWriter.write(design.job());
    }

    /**
     * Ways out of one check, those that clear it first, then by modules lost.
     *
     * @param blocks block types that can be had
     */
    public static List<Way> of(Design design, Check check, List<BlockType> blocks, Solver solver) {
        WaysOut all = new WaysOut(design, check, solver);
        SurveyWays.of(design, check).forEach(idea -> all.offer("survey", idea.words(), idea.changes()));
        for (String kind : Structure.WORKS) {
            StructureWays.of(design, check, kind).forEach(idea -> all.offer(kind, idea.words(), idea.changes()));
        }
        all.tilts();
        all.gaps();
        all.blocks(blocks);
        all.walkway();
        all.setback();
        all.shift();
        all.attachments();
        all.feeders();
        all.leaveOut();
        if (all.ways.stream().noneMatch(Way::clean)) {
            all.tiltsWithGaps();
        }
        all.ways.sort(Comparator.comparing((Way w) -> !w.clean())
                .thenComparing(w -> !w.clears())
                .thenComparing(Way::modulesLost)
                .thenComparing(w -> w.after() == null ? 0 : w.after().utilisation()));
        return all.chosen();
    }

    /** The best of every kind, then the best of the rest, in order. */
    private List<Way> chosen() {
        Set<String> kinds = new LinkedHashSet<>();
        List<Way> first = ways.stream().filter(w -> kinds.add(w.kind())).toList();
        List<Way> rest = ways.stream()
                .filter(w -> !first.contains(w))
                .limit(Math.max(0, MOST - first.size()))
                .toList();
        return ways.stream().filter(w -> first.contains(w) || rest.contains(w)).toList();
    }

    private static Check find(Design design, String id) {
        return design.checks().stream()
                .filter(c -> c.id().equals(id))
                .findFirst()
                .orElse(null);
    }

    private boolean improves(Check after) {
        if (after == null) {
            return true;
        }
        int verdict = after.verdict().compareTo(check.verdict());
        return verdict > 0 || (verdict == 0 && after.utilisation() < check.utilisation() - Limits.SLACK);
    }

    /** The design after changes, or null when they are refused. */
    private Design solved(List<Change> changes) {
        var reading = JobReader.read(DocumentPatch.apply(document, changes), false);
        return reading.ok() && solver.problems(reading.job()).isEmpty() ? solver.solve(reading.job()) : null;
    }

    /** A way that improves the check, or null. */
    private Way way(String kind, String words, List<Change> changes) {
        Way way = tried(kind, words, changes);
        return way != null && improves(way.after()) ? way : null;
    }

    /** What a change would do, better or not; null when it is refused or leaves nothing. */
    private Way tried(String kind, String words, List<Change> changes) {
        Design after = solved(changes);
        boolean emptied = after != null
                && after.layout().modules().isEmpty()
                && !design.layout().modules().isEmpty();
        if (after == null || emptied) {
            return null;
        }
        Check then = find(after, check.id());
        int lost = design.layout().modules().size() - after.layout().modules().size();
        return new Way(
                kind,
                words,
                changes,
                then,
                DesignChange.between(design, after).words(),
                WayCost.between(design, after, solver.tables().prices()),
                spoiled(after),
                lost);
    }

    private List<String> spoiled(Design after) {
        return after.checks().stream()
                .filter(c -> c.verdict().stops())
                .filter(c -> {
                    Check now = find(design, c.id());
                    return now == null || !now.verdict().stops();
                })
                .map(Check::title)
                .toList();
    }

    private void offer(String kind, String words, List<Change> changes) {
        Way way = way(kind, words, changes);
        if (way != null) {
            ways.add(way);
        }
    }

    private static List<Change> set(String path, Object value) {
        return List.of(new Change("set", path, value));
    }

    private void tilts() {
        Job.ArrayChoice array = design.job().array();
        for (Measure tilt : array.tray().tilts()) {
            if (tilt.si() != array.tilt().si()) {
                offer(
                        "tilt",
                        "Tilt " + tilt.typed() + " instead of " + array.tilt().typed(),
                        set("$.array.tilt", tilt.typed()));
            }
        }
    }

    private void gaps() {
        for (Measure gap : design.job().array().tray().gaps()) {
            if (Math.abs(gap.si() - design.layout().gapM()) > Limits.SLACK) {
                String name = design.layout().pairs() == null ? "Row gap " : "Valley ";
                offer("gap", name + gap.typed(), set("$.array.gap", gap.typed()));
            }
        }
    }

    /** Tilt and gap together, tried when no single change clears the check. */
    private void tiltsWithGaps() {
        Job.ArrayChoice array = design.job().array();
        for (Measure tilt : array.tray().tilts()) {
            for (Measure gap : array.tray().gaps()) {
                boolean gapNow = Math.abs(gap.si() - design.layout().gapM()) <= Limits.SLACK;
                if (tilt.si() != array.tilt().si() && !gapNow) {
                    List<Change> both = new ArrayList<>(set("$.array.tilt", tilt.typed()));
                    both.addAll(set("$.array.gap", gap.typed()));
                    offer("tilt and gap", "Tilt " + tilt.typed() + " with a gap of " + gap.typed(), both);
                }
            }
        }
    }

    private void blocks(List<BlockType> blocks) {
        for (BlockType block : blocks) {
            if (!block.info().code().equals(design.job().array().block().info().code())) {
                offer("block", "Block " + block.info().name(), set("$.array.block", JobWriter.block(block)));
            }
        }
    }

    /** The walkway's best place within one spacing. */
    private void walkway() {
        Job.Walkway walkway = design.job().array().walkway();
        if (walkway == null) {
            return;
        }
        Way best = null;
        for (int first = 1; first <= walkway.every(); first++) {
            if (first == walkway.first()) {
                continue;
            }
            Way way = way("walkway", "First walkway behind row " + first, set("$.array.walkway.first", first));
            if (way != null && (best == null || better(way, best))) {
                best = way;
            }
        }
        if (best != null) {
            ways.add(best);
        }
    }

    private static boolean better(Way a, Way b) {
        if (a.after() == null || b.after() == null) {
            return a.after() == null && b.after() != null;
        }
        return a.after().utilisation() < b.after().utilisation();
    }

    /** Moves the whole array a little, so that its feet stand on other members; the best way of each direction. */
    private void shift() {
        if (!check.id().startsWith("roof.members-")) {
            return;
        }
        Job.ArrayChoice array = design.job().array();
        for (boolean along : new boolean[] {true, false}) {
            double now = (along ? array.shiftAlong() : array.shiftAcross()).si();
            Way best = null;
            for (int step : new int[] {-3, -2, -1, 1, 2, 3}) {
                String typed = Show.exact(design.job().project().units(), Dimension.ROOF_LENGTH, now + step * STEP_M);
                Way way = way(
                        "shift",
                        "The array shifted " + (along ? "along" : "across") + " its rows, to " + typed,
                        set(along ? "$.array.shiftAlong" : "$.array.shiftAcross", typed));
                boolean better = way != null
                        && (best == null
                                || way.after() == null
                                || (best.after() != null
                                        && way.after().utilisation()
                                                < best.after().utilisation()));
                best = better ? way : best;
            }
            if (best != null) {
                ways.add(best);
            }
        }
    }

    /** Attachments in place of weight where the check is: the most blocks that still clear it, else none at all. */
    private void attachments() {
        Job.Attachments each = design.job().array().attachments();
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
        Way found = null;
        for (int blocks = most; blocks >= 0 && (found == null || !found.clean()); blocks--) {
            List<Change> changes = new ArrayList<>(set("$.array.attachments.mostBlocks", blocks));
            changes.addAll(set("$.array.attachments.bays", String.join(", ", bays)));
            Way way = way(
                    "attachments",
                    "Attachments instead of weight " + (bays.isEmpty() ? "all over" : "in " + String.join(", ", bays))
                            + ": at most " + blocks + " blocks on a position",
                    changes);
            found = way == null ? found : way;
        }
        if (found != null) {
            ways.add(found);
        }
    }

    /** The smallest wider set-back that clears the check, else the widest tried that helps. */
    private void setback() {
        double needed = check.id().equals("wind.edge-clear")
                ? TiltedArray.clearNeededM(design.layout().highEdgeM(), 0)
                : 0;
        Way helps = null;
        for (int step = 1; step <= 6; step++) {
            double setback = Math.max(needed, design.layout().setbackM() + step * STEP_M);
            String typed = Show.exact(design.job().project().units(), Dimension.ROOF_LENGTH, setback);
            Way way = way("setback", "Set-back " + typed, set("$.array.setback", typed));
            helps = way == null ? helps : way;
            if (way != null && way.clean()) {
                break;
            }
        }
        if (helps != null) {
            ways.add(helps);
        }
    }

    private void feeders() {
        if (!check.id().startsWith("run.")) {
            return;
        }
        int now = design.job().electrical().run().feeders();
        for (int n = now + 1; n <= Math.min(design.circuits().inverters(), now + 60); n++) {
            Way way = way("feeders", n + " AC feeders side by side", set("$.electrical.run.feeders", n));
            if (way != null && way.clears()) {
                ways.add(way);
                return;
            }
        }
    }

    /** Fewest modules left out at the place of the check, taken from the left, from the right, or the heaviest first. */
    private void leaveOut() {
        Place place = check.place();
        Way best = null;
        for (int round = 0; round < ROUNDS && place != null && !atPlace(place).isEmpty(); round++) {
            best = without(atPlace(place));
            if (best == null || best.clears()) {
                best = leftOut(atPlace(place));
                break;
            }
            place = grown(place, best.after().place());
        }
        if (best != null && improves(best.after())) {
            ways.add(best);
        }
    }

    /** The bays with those that fail once modules are out beside them; null when nothing is added. */
    private static Place grown(Place place, Place then) {
        if (then == null || place.kind() != Place.Kind.BAYS || then.kind() != Place.Kind.BAYS) {
            return null;
        }
        Set<Integer> items = new LinkedHashSet<>(place.items());
        boolean added = items.addAll(then.items());
        return added ? new Place(place.words() + " and others", Place.Kind.BAYS, List.copyOf(items)) : null;
    }

    private Way leftOut(List<ArrayLayout.Module> there) {
        double[] blocks = new double[design.layout().modules().size()];
        for (HoldDown.Position p : design.holdDown().positions()) {
            p.shares().forEach(s -> blocks[s.module()] += s.part() * p.ballast().blocksNeeded());
        }
        Way best = null;
        for (Comparator<ArrayLayout.Module> order : List.of(
                Comparator.comparingDouble(ArrayLayout.Module::s),
                Comparator.comparingDouble(ArrayLayout.Module::s).reversed(),
                Comparator.comparingDouble((ArrayLayout.Module m) -> -blocks[m.index()]))) {
            Way way =
                    there.isEmpty() ? null : fewest(there.stream().sorted(order).toList());
            boolean clearer = best == null || (way != null && way.clears() && !best.clears());
            boolean fewer = best != null
                    && way != null
                    && way.clears() == best.clears()
                    && way.modulesLost() < best.modulesLost();
            best = way != null && (clearer || fewer) ? way : best;
        }
        return best;
    }

    /** By halving: the fewest of these, in their order, that clear the check; null when all do not. */
    private Way fewest(List<ArrayLayout.Module> modules) {
        Way found = without(modules);
        if (found == null || !found.clears()) {
            return found;
        }
        int low = 0;
        int high = modules.size();
        while (high - low > 1) {
            int middle = (low + high) >>> 1;
            Way way = without(modules.subList(0, middle));
            if (way != null && way.clears()) {
                found = way;
                high = middle;
            } else {
                low = middle;
            }
        }
        return found;
    }

    private Way without(List<ArrayLayout.Module> modules) {
        List<Object> places = new ArrayList<>();
        design.job().array().removed().forEach(c -> places.add(corner(c.x().typed(), c.y().typed())));
        for (ArrayLayout.Module m : modules) {
            Coordinate at = design.layout()
                    .frame()
                    .plan(
                            m.s() + design.layout().alongM() / 2,
                            m.t() + design.layout().depthM() / 2);
            places.add(corner(exact(at.x), exact(at.y)));
        }
        String words = "Leave out " + modules.size() + (modules.size() == 1 ? " module" : " modules") + " ("
                + placeWords() + ")";
        return tried("modules", words, set("$.array.removed", places));
    }

    private String placeWords() {
        int more = check.place().items().size() - 1;
        boolean bays = check.place().kind() == Place.Kind.BAYS && more > 0;
        return check.place().words() + (bays ? " and " + more + " more" : "");
    }

    private String exact(double metres) {
        return Show.exact(design.job().project().units(), Dimension.ROOF_LENGTH, metres);
    }

    private static Map<String, Object> corner(String x, String y) {
        Map<String, Object> corner = new LinkedHashMap<>();
        corner.put("x", x);
        corner.put("y", y);
        return corner;
    }

    private List<ArrayLayout.Module> atPlace(Place place) {
        return switch (place.kind()) {
            case MODULES -> place.items().stream()
                    .map(i -> design.layout().modules().get(i))
                    .toList();
            case POSITIONS -> place.items().stream()
                    .map(i -> design.holdDown().positions().get(i))
                    .flatMap(p -> p.shares().stream())
                    .map(s -> design.layout().modules().get(s.module()))
                    .distinct()
                    .toList();
            case BAYS -> design.layout().modules().stream()
                    .filter(inBays(place.items()))
                    .toList();
            case EDGE, WORDS -> List.of();
        };
    }

    private Predicate<ArrayLayout.Module> inBays(List<Integer> bays) {
        return m -> {
            Coordinate at = design.layout()
                    .frame()
                    .plan(
                            m.s() + design.layout().alongM() / 2,
                            m.t() + design.layout().depthM() / 2);
            return bays.stream()
                    .anyMatch(i -> design.plan().bays().get(i).cell().covers(at));
        };
    }
}
