package whipsaw.core.design;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.check.Check;
import whipsaw.core.survey.SurveySheet;

/** Stages of a job in working order, and which checks and questions belong to each. */
public enum Stage {
    ROOF("roof", "Roof", "", "survey.", "inputs."),
    LOADS(
            "loads",
            "Loads and structure",
            "L",
            "site.",
            "roof.",
            "existing.",
            "tables.",
            "survey.terrain-",
            "survey.bay-",
            "survey.purlins-"),
    ARRAY("array", "Array", "A", "array.", "sight.", "survey.sight", "survey.seen-below", "total.modules"),
    HOLD_DOWN(
            "hold-down",
            "Hold-down",
            "HC",
            "ballast.",
            "wind.",
            "seismic.",
            "roof.feet",
            "roof.cover",
            "roof.flush",
            "array.attach",
            "array.hold-down-",
            "array.method",
            "total.blocks"),
    CIRCUITS("circuits", "Circuits", "E", "strings.", "inverters.", "survey.inverter-wall", "total.ratio"),
    RUNS("runs", "Runs", "R", "run.", "survey.leg-", "survey.busbar", "survey.export");

    private final String key;
    private final String title;
    private final String letters;
    private final List<String> checks;

    Stage(String key, String title, String letters, String... checks) {
        this.key = key;
        this.title = title;
        this.letters = letters;
        this.checks = List.of(checks);
    }

    /** Short name, as pages use it. */
    public String key() {
        return key;
    }

    /** Name for people. */
    public String title() {
        return title;
    }

    /** The stage a check belongs to: the one with the longest beginning of its id. */
    public static Stage of(Check check) {
        Stage found = ROOF;
        int longest = 0;
        for (Stage stage : values()) {
            for (String start : stage.checks) {
                if (check.id().startsWith(start) && start.length() > longest) {
                    found = stage;
                    longest = start.length();
                }
            }
        }
        return found;
    }

    /**
     * Where a stage stands.
     *
     * @param stop the first of its checks that stops the job; null when none does
     * @param missing answers of the survey it waits for
     */
    public record Mark(Stage stage, Check stop, long missing) {
        /** {@code stopped}, {@code open} or {@code done}. */
        public String state() {
            return stop != null ? "stopped" : missing > 0 ? "open" : "done";
        }

        /** One character that tells the state without colour. */
        public String sign() {
            return stop != null ? stop.verdict().mark() : missing > 0 ? "…" : "✓";
        }

        /** The state in words. */
        public String words() {
            if (stop != null) {
                return stage.title() + ", stopped: " + stop.title() + " "
                        + stop.verdict().words();
            }
            String answers = missing == 1 ? "1 answer" : missing + " answers";
            return stage.title() + (missing > 0 ? ", open: " + answers + " missing" : ", done");
        }
    }

    /** Where every stage of a design stands, in working order. */
    public static List<Mark> marks(Design design) {
        SurveySheet sheet = SurveySheet.of(design.job());
        List<Mark> marks = new ArrayList<>();
        for (Stage stage : values()) {
            Check stop = design.checks().stream()
                    .filter(c -> c.verdict().stops() && of(c) == stage)
                    .findFirst()
                    .orElse(null);
            long missing = sheet.lines().stream()
                    .filter(l -> l.status() == SurveySheet.Status.MISSING
                            && l.question().stages().chars().anyMatch(letter -> stage.letters.indexOf(letter) >= 0))
                    .count();
            marks.add(new Mark(stage, stop, missing));
        }
        return marks;
    }
}
