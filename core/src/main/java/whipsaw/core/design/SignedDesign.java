package whipsaw.core.design;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.regex.Pattern;
import whipsaw.core.build.BallastMap;
import whipsaw.core.check.Check;
import whipsaw.core.check.Verdict;
import whipsaw.core.job.DocumentDiff;
import whipsaw.core.job.SurveyQuestion;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Show;

/**
 * What an engineer's signature under the ballast map is given on: the map and how the checks stood. Written down once,
 * so that neither a later change of the job nor another version of the program alters what was signed.
 *
 * @param map every position with its blocks
 * @param stood checks the map rests on, as they stood
 */
public record SignedDesign(BallastMap map, List<Stood> stood) {
    /** Stages whose checks and inputs a ballast map rests on. */
    private static final Set<Stage> STAGES = EnumSet.of(Stage.ROOF, Stage.LOADS, Stage.ARRAY, Stage.HOLD_DOWN);

    /** Letters of these stages by which questions of the survey say who waits for them. */
    private static final String LETTERS = "LAHC";

    private static final String ANSWERS = "$.survey.answers.";

    /** Inputs of these parts of the document that say nothing of the map. */
    private static final Pattern ASIDE = Pattern.compile(".*\\.(photos|name|notes?|numbers|seen|maker|datasheet)\\b.*");

    public SignedDesign {
        stood = List.copyOf(stood);
    }

    /**
     * A check as it stood.
     *
     * @param utilisation null where it has none
     */
    public record Stood(String id, String where, String heading, Verdict verdict, Double utilisation) {
        static Stood of(Check c) {
            return new Stood(c.id(), c.where(), c.heading(), c.verdict(), c.isRatio() ? c.utilisation() : null);
        }

        private boolean same(Check c) {
            return id.equals(c.id()) && where.equals(c.where());
        }
    }

    /** What is signed now. */
    public static SignedDesign of(Design design) {
        return new SignedDesign(
                map(design),
                design.checks().stream()
                        .filter(SignedDesign::restsOn)
                        .map(Stood::of)
                        .toList());
    }

    /** The ballast map of a design: all arrays that weight or attachments hold on a flat roof. */
    public static BallastMap map(Design design) {
        return new BallastMap(design.whole().arrays().stream()
                .filter(a -> a.job().placed() != null
                        && a.holdDown().established()
                        && a.job().roof().takesTrays())
                .map(a -> BallastMap.of(a.laid(), a.attached()))
                .filter(a -> !a.places().isEmpty())
                .toList());
    }

    /** Whether the ballast map rests on a check. */
    public static boolean restsOn(Check check) {
        return STAGES.contains(Stage.of(check));
    }

    /** Why nobody can sign a design; empty where somebody can. */
    public static List<String> obstacles(Design design) {
        List<String> list = new ArrayList<>();
        for (ArrayDesign a : design.whole().arrays()) {
            boolean modules = a.job().placed() != null && !a.layout().modules().isEmpty();
            if (modules && !(a.holdDown().established() && a.job().roof().takesTrays())) {
                list.add("the blocks of " + a.job().name() + " are not established");
            }
        }
        if (map(design).arrays().isEmpty() && list.isEmpty()) {
            list.add("there is no array with a ballast map");
        }
        design.checks().stream()
                .filter(c -> restsOn(c) && c.verdict() == Verdict.FAILS)
                .forEach(c -> list.add(c.heading() + " fails: " + c.sum()));
        return list;
    }

    /** Checks of a design that whoever signs has to settle. */
    public static List<Check> open(Design design) {
        return design.checks().stream()
                .filter(c ->
                        restsOn(c) && (c.verdict() == Verdict.NEEDS_ENGINEER || c.verdict() == Verdict.NOT_ESTABLISHED))
                .toList();
    }

    /** Inputs the map rests on that differ between the signed document and a later one. */
    public static List<DocumentDiff.Entry> inputs(Map<?, ?> signed, Map<?, ?> now) {
        return DocumentDiff.between(signed, now).stream()
                .filter(e -> answered(e.path())
                        || e.path().startsWith("$.roofs")
                        || e.path().startsWith("$.site")
                        || e.path().startsWith("$.arrays")
                        || e.path().startsWith("$.codeTables"))
                .filter(e -> !ASIDE.matcher(e.path()).matches())
                .toList();
    }

    /** Whether a path is an answer of the survey that stages of the map wait for. */
    private static boolean answered(String path) {
        if (!path.startsWith(ANSWERS)) {
            return false;
        }
        SurveyQuestion q = SurveyQuestion.of(path.substring(ANSWERS.length()).split("\\.")[0]);
        return q == null || q.stages().chars().anyMatch(letter -> LETTERS.indexOf(letter) >= 0);
    }

    /** Checks that stand worse than when they were signed, in words. */
    public List<String> worse(Design now) {
        List<String> words = new ArrayList<>();
        for (Check c : now.checks()) {
            if (!restsOn(c)) {
                continue;
            }
            Stood then = stood.stream().filter(s -> s.same(c)).findFirst().orElse(null);
            if (then == null) {
                if (c.verdict().stops()) {
                    words.add(c.heading() + ": " + c.verdict().words() + ", which did not arise when it was signed");
                }
            } else if (c.verdict().stops() && c.verdict() != then.verdict()) {
                words.add(c.heading() + ": " + c.verdict().words() + ", signed as "
                        + then.verdict().words());
            } else if (c.isRatio() && then.utilisation() != null && more(c, then)) {
                words.add(c.heading() + ": " + Show.number(100 * c.utilisation(), 1) + " % used, signed at "
                        + Show.number(100 * then.utilisation(), 1) + " %");
            }
        }
        return words;
    }

    private static boolean more(Check now, Stood then) {
        return Limits.above(now.utilisation(), Objects.requireNonNullElse(then.utilisation(), 0.0));
    }
}
