package whipsaw.core.survey;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import whipsaw.core.job.Fabric;
import whipsaw.core.job.Job;
import whipsaw.core.job.Outline;
import whipsaw.core.job.PinKinds;
import whipsaw.core.job.Roof;
import whipsaw.core.job.Survey;
import whipsaw.core.job.SurveyQuestion;
import whipsaw.core.units.Measure;

/**
 * What is known of a roof, question by question, and what is missing for which stage.
 *
 * @param lines of the questions asked of this kind of roof, in order
 */
public record SurveySheet(List<Line> lines) {

    /** How something is known. */
    public enum Status {
        MEASURED("measured"),
        /** Entered without saying how. */
        GIVEN("given"),
        TOLD("told"),
        ASSUMED("assumed"),
        /** Nobody said it; a rule stands in. */
        DEFAULTED("by default"),
        MISSING("missing");

        private final String words;

        Status(String words) {
            this.words = words;
        }

        /** The status for readers. */
        public String words() {
            return words;
        }
    }

    /**
     * One question.
     *
     * @param words the answer as it is known, empty when missing
     */
    public record Line(SurveyQuestion question, Status status, String words) {}

    /** Letters of stages with their names, in the order of the work. */
    public static final Map<String, String> STAGES = stages();

    public SurveySheet {
        lines = List.copyOf(lines);
    }

    private static Map<String, String> stages() {
        Map<String, String> stages = new LinkedHashMap<>();
        stages.put("L", "loads and structure");
        stages.put("A", "array");
        stages.put("H", "hold-down");
        stages.put("C", "clamps");
        stages.put("E", "circuits");
        stages.put("R", "runs");
        stages.put("B", "build");
        return stages;
    }

    /** All questions of a job with what is known. */
    public static SurveySheet of(Job job) {
        List<Line> lines = new ArrayList<>();
        for (SurveyQuestion q : SurveyQuestion.all()) {
            if (q.asked(job.roof())
                    && !(q.stages().equals("C")
                            && !Roof.METAL.contains(job.roof().covering()))) {
                lines.add(q.kind() == SurveyQuestion.Kind.PATH ? path(job, q) : answered(job, q));
            }
        }
        return new SurveySheet(lines);
    }

    private static Line answered(Job job, SurveyQuestion q) {
        Survey.Answer a = job.survey().answers().get(q.id());
        if (a == null) {
            return new Line(q, Status.MISSING, "");
        }
        String words = a.typed() + (q.unit().isEmpty() ? "" : " " + q.unit());
        return new Line(q, Status.valueOf(a.how().name()), a.by().isEmpty() ? words : words + ", " + a.by());
    }

    /** Lines that wait for an answer, of one stage or of all. */
    public List<Line> missing(String stage) {
        return lines.stream()
                .filter(l ->
                        l.status() == Status.MISSING && l.question().stages().contains(stage))
                .toList();
    }

    /** Questions with a status. */
    public long count(Status status) {
        return lines.stream().filter(l -> l.status() == status).count();
    }

    private static Line path(Job job, SurveyQuestion q) {
        Roof roof = job.roof();
        Survey survey = job.survey();
        return switch (q.id()) {
            case "outline" -> roof.outline() instanceof Outline.Taped taped
                    ? new Line(
                            q,
                            taped.legs().stream().anyMatch(l -> l.length().assumed())
                                    ? Status.ASSUMED
                                    : Status.MEASURED,
                            taped.legs().size() + " edges, " + taped.diagonals().size() + " tapes across")
                    : new Line(q, Status.GIVEN, "drawn, not taped");
            case "height" -> of(q, roof.height());
            case "fall" -> of(q, roof.slope());
            case "covering" -> new Line(q, Status.GIVEN, roof.covering());
            case "parapets" -> roof.parapets().isEmpty()
                    ? new Line(q, Status.DEFAULTED, "none")
                    : new Line(
                            q,
                            roof.parapets().stream().anyMatch(p -> p.height().assumed())
                                    ? Status.ASSUMED
                                    : Status.GIVEN,
                            "on " + roof.parapets().size() + " edges");
            case "form" -> roof.fabric().flat()
                    ? new Line(q, Status.MISSING, "")
                    : new Line(q, Status.GIVEN, "entered");
            case "bayNotes" -> list(q, roof.fabric().bayNotes(), "bay notes");
            case "obstructions" -> list(q, roof.obstructions(), "things");
            case "bays" -> roof.bays() == null
                    ? new Line(q, Status.MISSING, "")
                    : new Line(
                            q,
                            Status.GIVEN,
                            roof.bays().alongX().typed() + " by "
                                    + roof.bays().alongY().typed());
            case "allowance" -> roof.allowance() == null
                    ? new Line(q, Status.MISSING, "")
                    : new Line(
                            q,
                            roof.allowance().load().assumed() ? Status.ASSUMED : Status.GIVEN,
                            roof.allowance().load().typed() + ", "
                                    + roof.allowance().givenBy());
            case "wayUp" -> pinned(q, survey, "ladder", "stair or hatch");
            case "lifting" -> pinned(q, survey, "machine stand", "hoist", "crane stand");
            case "routes" -> list(q, survey.routes(), "ways");
            case "occupants" -> list(q, survey.occupants(), "occupants");
            case "viewers" -> list(q, survey.viewers(), "places");
            default -> buildUp(job, q);
        };
    }

    /** Spacing of joists as surveyed, else that of the members entered for the checks. */
    private static String joists(Job job, Fabric.BuildUp b) {
        if (b.joists() != null) {
            return b.joists().typed();
        }
        return job.roof().fabric().structure().members().stream()
                .filter(m -> m.spacing() != null)
                .map(m -> m.spacing().typed())
                .distinct()
                .collect(Collectors.joining(", "));
    }

    private static Line of(SurveyQuestion q, Measure m) {
        return m == null
                ? new Line(q, Status.MISSING, "")
                : new Line(q, m.assumed() ? Status.ASSUMED : Status.GIVEN, m.typed());
    }

    private static Line list(SurveyQuestion q, List<?> items, String what) {
        String counted = items.size() + " " + (items.size() == 1 ? what.replaceFirst("s$", "") : what);
        return items.isEmpty() ? new Line(q, Status.MISSING, "") : new Line(q, Status.GIVEN, counted);
    }

    private static Line pinned(SurveyQuestion q, Survey survey, String... kinds) {
        long found = survey.pins().stream()
                .filter(p -> List.of(kinds).contains(PinKinds.of(p).name()))
                .count();
        return found == 0 ? new Line(q, Status.MISSING, "") : new Line(q, Status.MEASURED, found + " pinned");
    }

    private static Line buildUp(Job job, SurveyQuestion q) {
        for (Fabric.BuildUp b : job.roof().fabric().buildUps()) {
            Line found =
                    switch (q.id()) {
                        case "sheet" -> of(q, b.sheet().pitch());
                        case "firstRib" -> of(q, b.sheet().firstRib());
                        case "thickness" -> of(q, b.sheet().thickness());
                        case "purlins" -> listed(
                                q, b.purlins() == null ? "" : b.purlins().typed());
                        case "joists" -> listed(q, joists(job, b));
                        case "deck" -> listed(q, b.deck().deck());
                        case "insulation" -> of(q, b.deck().strength());
                        default -> throw new IllegalStateException("no way to find " + q.id());
                    };
            if (found.status() != Status.MISSING) {
                return found;
            }
        }
        return new Line(q, Status.MISSING, "");
    }

    private static Line listed(SurveyQuestion q, String words) {
        return new Line(q, words.isEmpty() ? Status.MISSING : Status.GIVEN, words);
    }
}
