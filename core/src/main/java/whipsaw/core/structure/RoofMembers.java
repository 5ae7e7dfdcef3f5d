package whipsaw.core.structure;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.holddown.Ballast;
import whipsaw.core.holddown.DownWind;
import whipsaw.core.holddown.FaceWind;
import whipsaw.core.holddown.LaidArray;
import whipsaw.core.job.Job;
import whipsaw.core.job.Structure;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.site.SiteActions;
import whipsaw.core.table.CodeTables;

/**
 * Members of the roof before and after the array, each a simple span under the roof it carries and under the feet of
 * the modules near it. A module stands on four feet at its corners, each with a quarter of what it weighs with its
 * blocks; the deck between two members hands a foot to both by the lever rule.
 *
 * @param sets in the order of the job
 * @param deck its worst strip between two members; null where nothing is known of it
 * @param missing what has to be known before anything is established
 */
public record RoofMembers(List<Checked> sets, DeckSpan deck, List<String> missing) {
    public RoofMembers {
        sets = List.copyOf(sets);
        missing = List.copyOf(missing);
    }

    /** A set with its members, the worst first. */
    public record Checked(Structure.Members set, List<Member> members) {
        public Checked {
            members = List.copyOf(members);
        }

        /** The one most used. */
        public Member worst() {
            return members.get(0);
        }

        /** The one the wind loads most, by what is known of its limits, else by its moment; null without wind. */
        public Member lifted() {
            return members.stream()
                    .filter(m -> m.uplift() != null)
                    .max(Comparator.comparingDouble((Member m) -> m.uplift().utilisation())
                            .thenComparingDouble(m -> m.uplift().momentNm()))
                    .orElse(null);
        }

        /** Those that take more than they may. */
        public List<Member> failing() {
            return members.stream().filter(m -> !m.ok()).toList();
        }
    }

    /**
     * One member.
     *
     * @param spanM after strengthening
     * @param strengthened what is done for it; empty for nothing
     * @param feet of modules that stand on it wholly or in part
     * @param arrayN what they bring
     * @param driftN what drifted snow brings above the even one
     * @param reactions in newtons
     * @param increase gravity load effect after over before, loads as they are, the larger of moment and shear
     * @param bySmallIncrease whether it rests on the rule of small increases
     * @param uplift what the wind does; null on flat roofs and where no wind is known
     */
    public record Member(
            MemberLines.Line line,
            boolean alongX,
            double spanM,
            List<String> strengthened,
            MemberState before,
            MemberState after,
            int feet,
            double arrayN,
            double driftN,
            Reactions reactions,
            double increase,
            boolean bySmallIncrease,
            MemberUplift uplift) {
        /** Members side by side. */
        public int count() {
            return strengthened.contains("doubled") ? 2 : 1;
        }

        /** Whether it passes, by its limits or by the rule of small increases. */
        public boolean ok() {
            return after.ok() || bySmallIncrease;
        }
    }

    /**
     * What a member sets down at its left or lower support and at the other one, loads as they are, without what
     * strengthening takes.
     *
     * @param dead load that was there, at each
     * @param snow even snow, at each
     * @param live roof live load all over, at each
     */
    public record Reactions(
            double dead,
            double snow,
            double live,
            double driftLeft,
            double driftRight,
            double arrayLeft,
            double arrayRight) {}

    /**
     * Members of a roof under all arrays on it.
     *
     * @param job as any of them sees it
     * @param rows snow that their rows gather
     * @param down what the wind presses on all of them, numbered one after the other
     * @param arrays on the roof, in that order
     */
    public static RoofMembers of(
            Job job,
            RoofPlan plan,
            SiteActions site,
            List<RowSnow> rows,
            FaceWind wind,
            DownWind down,
            List<LaidArray> arrays,
            CodeTables tables) {
        Structure structure = job.roof().fabric().structure();
        if (structure.members().isEmpty()) {
            return new RoofMembers(List.of(), null, List.of());
        }
        List<String> missing = missing(job, plan, site, arrays);
        if (!missing.isEmpty()) {
            return new RoofMembers(List.of(), null, missing);
        }
        List<Foot> feet = feet(job, plan, arrays);
        MemberLoads loads = new MemberLoads(
                structure,
                site,
                rows,
                wind,
                down.known() ? down : null,
                feet,
                tables.members(),
                job.site().code().combinations());
        Map<String, List<Member>> bySet = new HashMap<>();
        List<MemberLines.Strip> strips = MemberLines.of(plan, structure);
        strips.parallelStream()
                .map(strip -> loads.members(plan, structure, strip))
                .toList()
                .forEach(all ->
                        all.forEach(m -> bySet.computeIfAbsent(m.line().set().id(), k -> new ArrayList<>())
                                .add(m)));
        Set<String> bays = plan.bays().stream().map(RoofPlan.Bay::name).collect(Collectors.toSet());
        List<Checked> sets = checked(structure, bySet, bays, loads, missing);
        unknownBays(structure, bays, missing);
        if (!down.known()) {
            missing.add("what the wind presses on the roof: " + down.missing() + ", or an engineer's value");
        }
        DeckSpan deck = structure.deck() == null || !job.roof().fabric().flat()
                ? null
                : new DeckLoads(loads, structure.deck(), feet).worst(underDeck(strips));
        return new RoofMembers(sets, deck, missing);
    }

    /** Sets whose members can be judged; of the others what is missing is added. */
    private static List<Checked> checked(
            Structure structure,
            Map<String, List<Member>> bySet,
            Set<String> bays,
            MemberLoads loads,
            List<String> missing) {
        List<Checked> sets = new ArrayList<>();
        for (Structure.Members set : structure.members()) {
            List<Member> members = bySet.getOrDefault(set.id(), new ArrayList<>());
            List<String> unknown =
                    set.bays().stream().filter(b -> !bays.contains(b)).toList();
            if (!unknown.isEmpty() && unknown.size() < set.bays().size()) {
                missing.add("bay " + String.join(", ", unknown) + " of " + set.name() + ": no such bay on this roof");
            }
            members.sort(Comparator.comparing((Member m) -> m.ok())
                    .thenComparing(m -> -m.after().utilisation())
                    .thenComparing(m -> m.line().number()));
            if (members.isEmpty() && set.surveyed()) {
                missing.add(
                        "purlins surveyed on the faces, for " + set.name() + " along " + (set.alongX() ? "x" : "y"));
            } else if (members.isEmpty()) {
                missing.add("bays of " + set.name() + " that are on the roof");
            } else if (members.stream()
                    .anyMatch(m -> Double.isNaN(m.after().moment().limit()))) {
                missing.add(
                        loads.tablesHold()
                                ? "a load table of " + set.name() + " that reaches their spans"
                                : "a section of " + set.name() + ": a load table says nothing of strength");
            } else {
                sets.add(new Checked(set, members));
            }
        }
        return sets;
    }

    /** Strengthening of bays the roof lacks. */
    private static void unknownBays(Structure structure, Set<String> bays, List<String> missing) {
        for (Structure.Work w : structure.works()) {
            List<String> unknown =
                    w.bays().stream().filter(b -> !bays.contains(b)).toList();
            if (!unknown.isEmpty()) {
                missing.add("bay " + String.join(", ", unknown) + " of strengthening " + w.id()
                        + ": no such bay on this roof");
            }
        }
    }

    /** What the deck lies on: the beams only where nothing lies on them. */
    private static List<MemberLines.Strip> underDeck(List<MemberLines.Strip> strips) {
        List<MemberLines.Strip> upper = strips.stream()
                .filter(s -> !s.lines().get(0).set().kind().equals("beam"))
                .toList();
        return upper.isEmpty() ? strips : upper;
    }

    private static List<String> missing(Job job, RoofPlan plan, SiteActions site, List<LaidArray> arrays) {
        List<String> missing = new ArrayList<>();
        if (job.roof().fabric().structure().dead() == null) {
            missing.add("the existing dead load");
        }
        if (plan.bays().isEmpty()) {
            missing.add("the grid of bays");
        }
        if (site.snow() == null) {
            missing.add("the snow on the roof");
        }
        if (!job.roof().fabric().flat()
                && job.roof().fabric().structure().onFaces().array() == null) {
            missing.add("the weight of the array on the faces");
        }
        if (!arrays.stream().allMatch(a -> a.holdDown().established())
                && job.roof().takesTrays()) {
            missing.add("the ballast");
        }
        return missing;
    }

    /**
     * A foot of a module, or a support of tray and pipe.
     *
     * @param newton a quarter of the module, its racking and its part of the blocks
     * @param coveredM2 a quarter of the module in plan
     * @param module index of it among those of all arrays on the roof, one array after the other; {@link DownWind#NOT_A_MODULE} for what is none
     */
    record Foot(double x, double y, double newton, double coveredM2, int module) {}

    private static List<Foot> feet(Job job, RoofPlan plan, List<LaidArray> arrays) {
        List<Foot> feet = new ArrayList<>();
        int before = 0;
        for (LaidArray a : arrays) {
            ArrayLayout layout = a.layout();
            double[] kg = a.perModuleKg();
            double area = layout.alongM() * layout.depthM() / 4;
            for (ArrayLayout.Module m : layout.modules()) {
                Coordinate[] c = layout.corners(m);
                for (int i = 0; i < 4; i++) {
                    feet.add(new Foot(c[i].x, c[i].y, kg[m.index()] * Ballast.GRAVITY / 4, area, before + m.index()));
                }
            }
            before += layout.modules().size();
        }
        for (LaidLoads.Support s : LaidLoads.of(job, plan).supports()) {
            feet.add(new Foot(s.x(), s.y(), s.kg() * Ballast.GRAVITY, 0, DownWind.NOT_A_MODULE));
        }
        return feet;
    }
}
