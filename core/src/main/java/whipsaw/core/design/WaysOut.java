package whipsaw.core.design;

import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.BooleanSupplier;
import whipsaw.core.catalogue.BlockType;
import whipsaw.core.catalogue.TraySystem;
import whipsaw.core.check.Check;
import whipsaw.core.job.DocumentPatch.Change;
import whipsaw.core.job.Structure;
import whipsaw.core.schema.Shape;

/**
 * Ways out of a check that does not pass: every single change that could help is made on a copy and
 * solved, and those that improve the check are offered with what they do to the rest of the job.
 */
public final class WaysOut {
    private static final int MOST = 8;

    private WaysOut() {}

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
                    : after.verdict().words() + ": " + after.sum();
        }
    }

    /** What can be had beside what the job has. */
    public record Offer(List<BlockType> blocks, List<TraySystem> trays) {
        public Offer {
            blocks = List.copyOf(blocks);
            trays = List.copyOf(trays);
        }
    }

    /** What holds an array in place: changes of it lead to another system than weight on the trays there are. */
    private static final Set<String> NOT_BALLAST_ALONE = Set.of("attachments", "tray");

    /** Where a layout held by weight alone is looked for. */
    private static final Set<String> OF_WEIGHT = Set.of("roof.window", "roof.bay", "ballast.position");

    /**
     * What a person does where no layout that weight alone holds clears a check of weight; empty where one does, and for
     * other checks.
     */
    public static String advice(Design design, Check check, List<Way> ways) {
        boolean weight = OF_WEIGHT.contains(check.id()) && check.verdict().stops();
        boolean cleared = ways.stream().anyMatch(w -> w.clears() && !NOT_BALLAST_ALONE.contains(w.kind()));
        if (!weight || cleared) {
            return "";
        }
        String attachments = design.job().array().attachments() == null
                ? "attachments (enter under Hold-down what one takes, and they are worked out here)"
                : "attachments";
        return "No layout held by ballast alone that was tried clears this: " + attachments
                + ", another tray system, or strengthening that the building's engineer designs.";
    }

    /** A way that leaves the check failing and costs more than this share of the modules is none. */
    private static final double MOST_LOST = 0.1;

    /** With no parts but those of the job and these blocks. */
    public static List<Way> of(Design design, Check check, List<BlockType> blocks, Solver solver) {
        return of(design, check, new Offer(blocks, List.of()), solver);
    }

    /**
     * What a search came to.
     *
     * @param ways those that clear the check first, then by modules lost
     * @param cut whether the search was ended before everything was tried
     */
    public record Found(List<Way> ways, boolean cut) {}

    /** Ways out of one check, those that clear it first, then by modules lost. */
    public static List<Way> of(Design design, Check check, Offer offer, Solver solver) {
        return of(design, check, offer, solver, () -> false).ways();
    }

    /**
     * The same, ended when it is enough.
     *
     * @param enough asked before each try
     */
    public static Found of(Design design, Check check, Offer offer, Solver solver, BooleanSupplier enough) {
        Tries tries = new Tries(design, check, solver, enough);
        SurveyWays.of(design, check).forEach(idea -> tries.offer("survey", idea.words(), idea.changes()));
        for (String kind : Shape.of(Structure.Work.class).slot("kind").choices()) {
            StructureWays.of(design, check, kind).forEach(idea -> tries.offer(kind, idea.words(), idea.changes()));
        }
        ArrayWays array = new ArrayWays(tries);
        array.tilts();
        array.gaps();
        array.blocks(offer.blocks());
        array.trays(offer.trays());
        array.aisles();
        array.walkway();
        array.setback();
        array.shift();
        array.together();
        array.attachments();
        array.feeders();
        array.systemLimit();
        new LeaveOut(tries).offer();
        if (tries.ways().stream().noneMatch(Way::clean)) {
            array.tiltsWithGaps();
        }
        int most = (int) (MOST_LOST * design.layout().modules().size());
        List<Way> ways = chosen(tries.ways().stream()
                .filter(w -> w.clears() || w.modulesLost() <= most)
                .sorted(Comparator.comparing((Way w) -> !w.clean())
                        .thenComparing(w -> !w.clears())
                        .thenComparing(Way::modulesLost)
                        .thenComparing(w -> w.after() == null ? 0 : w.after().utilisation()))
                .toList());
        return new Found(ways, tries.cut());
    }

    /** The best of every kind, then the best of the rest, in order. */
    private static List<Way> chosen(List<Way> ways) {
        Set<String> kinds = new LinkedHashSet<>();
        List<Way> first = ways.stream().filter(w -> kinds.add(w.kind())).toList();
        List<Way> rest = ways.stream()
                .filter(w -> !first.contains(w))
                .limit(Math.max(0, MOST - first.size()))
                .toList();
        return ways.stream().filter(w -> first.contains(w) || rest.contains(w)).toList();
    }
}
