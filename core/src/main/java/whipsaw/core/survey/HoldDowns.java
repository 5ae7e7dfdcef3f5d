package whipsaw.core.survey;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import whipsaw.core.data.CsvRows;
import whipsaw.core.job.Fabric;
import whipsaw.core.job.Job;
import whipsaw.core.job.Survey;

/** What may hold an array on the covering of a job, by data that ships: covering, its age, gravel and the deck below. */
public final class HoldDowns {
    /** Ways to hold an array down. */
    public static final List<String> ALL = List.of("ballast", "bonded", "screwed", "bolted", "clamped");

    private static final List<Map<String, String>> ROWS = CsvRows.shipped("survey/hold-downs.csv");

    /** What is said of one of them. */
    public enum Answer {
        PERMITTED("permitted"),
        ASK("ask first"),
        NOT_KNOWN("not known"),
        NOT_PERMITTED("not permitted");

        private final String words;

        Answer(String words) {
            this.words = words;
        }

        /** The answer for readers. */
        public String words() {
            return words;
        }
    }

    /**
     * One way on this roof.
     *
     * @param holdDown one of {@link #ALL}
     * @param reason in words
     */
    public record Way(String holdDown, Answer answer, String reason) {}

    private HoldDowns() {}

    /** Every way, in the order of {@link #ALL}. */
    public static List<Way> of(Job job) {
        List<Way> ways = new ArrayList<>();
        ALL.forEach(h -> ways.add(of(job, h)));
        return ways;
    }

    /** One way on the covering of a job; what is to be asked first is permitted once somebody of its maker has agreed to it. */
    public static Way of(Job job, String holdDown) {
        Way way = byRule(job, holdDown);
        Survey.Answer agreed = job.survey().answers().get("holdDownAgreed");
        return way.answer() == Answer.ASK
                        && agreed != null
                        && agreed.typed().equals(holdDown)
                        && !agreed.by().isBlank()
                ? new Way(holdDown, Answer.PERMITTED, way.reason() + "; agreed by " + agreed.by())
                : way;
    }

    private static Way byRule(Job job, String holdDown) {
        for (Map<String, String> row : ROWS) {
            if (row.get("covering").equals(job.roof().covering())
                    && row.get("hold_down").equals(holdDown)) {
                return way(job, holdDown, row);
            }
        }
        return new Way(holdDown, Answer.NOT_KNOWN, "no rule for this covering");
    }

    private static Way way(Job job, String holdDown, Map<String, String> row) {
        String reason = row.get("reason");
        if (row.get("permitted").equals("no")) {
            return new Way(holdDown, Answer.NOT_PERMITTED, reason);
        }
        String decks = row.get("decks");
        Fabric.BuildUp built = job.roof().fabric().buildUp(0);
        String deck = built == null || built.deck() == null ? "" : built.deck().deck();
        if (!decks.isEmpty() && deck.isEmpty()) {
            return new Way(holdDown, Answer.NOT_KNOWN, "the deck is not surveyed: " + reason);
        }
        boolean fits = decks.isEmpty()
                || Arrays.stream(decks.split(" "))
                        .anyMatch(d -> deck.toLowerCase(Locale.ROOT).contains(d.toLowerCase(Locale.ROOT)));
        if (!fits) {
            return new Way(holdDown, Answer.NOT_PERMITTED, "the deck is " + deck + ": " + reason);
        }
        if (holdDown.equals("bonded") && job.survey().yes("gravel")) {
            return new Way(
                    holdDown, Answer.ASK, "gravel lies on the covering: it is cleared and the covering cleaned first");
        }
        double age = job.survey().number("coverAge");
        double most = CsvRows.number(row, "most_age");
        if (age > most) {
            return new Way(
                    holdDown,
                    Answer.ASK,
                    "the covering is over " + (int) most + " years old: its maker says whether it holds");
        }
        if (Double.isNaN(age)) {
            return new Way(holdDown, Answer.NOT_KNOWN, "the age of the covering is not surveyed: " + reason);
        }
        return new Way(holdDown, row.get("permitted").equals("ask") ? Answer.ASK : Answer.PERMITTED, reason);
    }
}
