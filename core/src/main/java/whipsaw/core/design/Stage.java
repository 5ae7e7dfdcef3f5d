package whipsaw.core.design;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.check.Check;
import whipsaw.core.survey.SurveySheet;
import whipsaw.core.units.Show;

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
    ARRAY("array", "Array", "A", "array.", "system.", "sight.", "survey.sight", "survey.seen-below", "total.modules"),
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

    private static final String SHAPE = "Shape";

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
     * @param assumed answers that nobody has confirmed
     */
    public record Mark(Stage stage, Check stop, long missing, long assumed) {
        /** {@code stopped}, {@code open} or {@code done}. */
        public String state() {
            return stop != null ? "stopped" : open() > 0 ? "open" : "done";
        }

        /** Answers that are missing or assumed. */
        public long open() {
            return missing + assumed;
        }

        /** One character that tells the state without colour. */
        public String sign() {
            return stop != null ? stop.verdict().mark() : open() > 0 ? "…" : "✓";
        }

        /** The state in words. */
        public String words() {
            if (stop != null) {
                return stage.title() + ", stopped by a check: " + stop.title() + ", "
                        + stop.verdict().words();
            }
            if (open() == 0) {
                return stage.title() + ", done";
            }
            return stage.title() + ", open: "
                    + (missing > 0 ? Show.count((int) missing, "answer") + " missing" : "")
                    + (missing > 0 && assumed > 0 ? ", " : "")
                    + (assumed > 0 ? Show.count((int) assumed, "answer") + " assumed" : "");
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
            marks.add(new Mark(
                    stage,
                    stop,
                    stage.answers(sheet, SurveySheet.Status.MISSING),
                    stage.answers(sheet, SurveySheet.Status.ASSUMED)));
        }
        return marks;
    }

    /** The shape of the roof belongs to the first stage; all other questions say which stages wait for them. */
    private long answers(SurveySheet sheet, SurveySheet.Status status) {
        return sheet.lines().stream()
                .filter(l -> l.status() == status)
                .filter(l -> this == ROOF
                        ? l.question().section().equals(SHAPE)
                        : l.question().stages().chars().anyMatch(letter -> letters.indexOf(letter) >= 0))
                .count();
    }
}
