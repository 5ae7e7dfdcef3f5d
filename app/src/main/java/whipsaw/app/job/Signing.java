package whipsaw.app.job;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Service;
import whipsaw.app.store.SignatureStore;
import whipsaw.core.check.Check;
import whipsaw.core.design.ArrayDesign;
import whipsaw.core.design.Design;
import whipsaw.core.design.NumberEdits;
import whipsaw.core.design.SignedDesign;
import whipsaw.core.job.DocumentPatch.Change;
import whipsaw.core.schema.Problem;

/** Signing the ballast map of a job, opening it for changes and withdrawing a signature. */
@Service
public class Signing {
    private static final int SHORTEST = 3;
    private static final int LONGEST_NAME = 80;
    private static final int LONGEST_TEXT = 2000;

    private final JobService jobs;
    private final SignatureStore store;
    private final Maker maker;

    public Signing(JobService jobs, SignatureStore store, Maker maker) {
        this.jobs = jobs;
        this.store = store;
        this.maker = maker;
    }

    /**
     * What is typed to sign, as it was typed.
     *
     * @param settled keys of the checks that are ticked as settled, see {@link #key}
     */
    public record Typed(String name, String licence, String on, String reliedOn, Set<String> settled) {
        public Typed {
            settled = Set.copyOf(settled);
        }
    }

    /** A check by what it is and where. */
    public static String key(Check check) {
        return (check.id() + " " + check.where()).strip();
    }

    /**
     * Signs the newest revision.
     *
     * @param base the revision whoever signs has seen
     */
    public void sign(String slug, int base, Typed typed) {
        JobService.Shown shown = jobs.open(slug);
        List<Problem> problems = new ArrayList<>();
        if (shown.revision().number() != base) {
            problems.add(new Problem(
                    "$.base",
                    "Revision",
                    String.valueOf(base),
                    "is not the newest any more, which is " + shown.revision().number()
                            + ": look at what changed, then sign that one"));
        }
        Design design = shown.design();
        SignedDesign.obstacles(design)
                .forEach(o -> problems.add(new Problem("$.revision", "Revision", "", "cannot be signed: " + o)));
        List<Check> open = SignedDesign.open(design);
        open.stream()
                .filter(c -> !typed.settled().contains(key(c)))
                .forEach(c -> problems.add(new Problem(
                        "$.settled",
                        "Settled",
                        c.heading(),
                        c.verdict().words() + ": tick it once you have settled it by your own means, or have it"
                                + " established in the job")));
        text(problems, "$.name", "Engineer", typed.name(), LONGEST_NAME, "for example Rowan Pell");
        text(
                problems,
                "$.licence",
                "Licence",
                typed.licence(),
                LONGEST_NAME,
                "its number and where it is held, for example PE 40717, Ohio");
        text(
                problems,
                "$.reliedOn",
                "Relied on",
                typed.reliedOn(),
                LONGEST_TEXT,
                "for example the survey of 3 November, drawings S-101 and S-102, the wind tunnel report of the trays");
        LocalDate on =
                day(problems, typed.on(), LocalDate.parse(shown.revision().at().substring(0, 10)));
        if (!problems.isEmpty()) {
            throw new JobService.Refused(problems);
        }
        int revision = keepNumbers(slug, base, design, typed.name().strip(), on);
        if (revision > base + 1) {
            // somebody's change came in between and went together with the numbers: nobody has seen that one
            throw new JobService.Refused(List.of(new Problem(
                    "$.base",
                    "Revision",
                    String.valueOf(base),
                    "was changed while it was signed: look at revision " + revision + ", then sign that one")));
        }
        store.sign(
                slug,
                revision,
                new SignatureStore.Signer(
                        typed.name().strip(),
                        typed.licence().strip(),
                        on,
                        typed.reliedOn().strip(),
                        open.stream().map(Check::heading).toList()),
                SignedDesign.of(jobs.at(slug, revision).design()),
                maker.name());
    }

    private static void text(List<Problem> problems, String path, String label, String value, int most, String like) {
        int length = value.strip().length();
        if (length < SHORTEST || length > most) {
            problems.add(new Problem(
                    path,
                    label,
                    length > most ? value.strip().substring(0, 40) + "..." : value.strip(),
                    (length == 0 ? "is missing" : "has " + length + " characters") + ": " + SHORTEST + " to " + most
                            + " are taken, " + like));
        }
    }

    /** @param from the day its revision was made; who signs elsewhere may have the day before */
    private static LocalDate day(List<Problem> problems, String typed, LocalDate from) {
        LocalDate today = LocalDate.now();
        LocalDate on = null;
        try {
            on = LocalDate.parse(typed.strip());
        } catch (DateTimeParseException e) {
            // told below
        }
        if (on == null || on.isAfter(today.plusDays(1)) || on.isBefore(from.minusDays(1))) {
            problems.add(new Problem(
                    "$.on",
                    "Signed on",
                    typed.strip(),
                    (typed.isBlank() ? "is missing" : on == null ? "is no day" : "is outside of what can be")
                            + ": a day from " + from + ", when the revision was made, to today, for example " + today));
        }
        return on;
    }

    /** The crew counts as on the signed sheet from now on; what is kept already stays. */
    private int keepNumbers(String slug, int base, Design design, String by, LocalDate on) {
        List<Change> changes = new ArrayList<>();
        for (ArrayDesign a : design.whole().arrays()) {
            boolean counted = a.job().placed() != null && !a.layout().modules().isEmpty();
            if (counted && a.job().placed().numbers() == null) {
                changes.addAll(new NumberEdits(design.at(a.job().place())).keep(by, on));
            }
        }
        return changes.isEmpty()
                ? base
                : jobs.change(slug, base, changes, "Numbers kept for the signature of " + by)
                        .revision()
                        .number();
    }

    /** Opens the newest signed map for changes. */
    public void open(String slug, int signature, String name) {
        act(slug, signature, name);
        store.open(signature, name.strip(), maker.name());
    }

    /** Takes a signature back. */
    public void withdraw(String slug, int signature, String name, String reason) {
        List<Problem> problems = new ArrayList<>();
        text(problems, "$.reason", "Why", reason, LONGEST_TEXT, "for example the allowance was for another roof");
        if (!problems.isEmpty()) {
            throw new JobService.Refused(problems);
        }
        act(slug, signature, name);
        store.withdraw(signature, name.strip(), reason.strip(), maker.name());
    }

    private void act(String slug, int signature, String name) {
        List<Problem> problems = new ArrayList<>();
        text(problems, "$.name", "Your name", name, LONGEST_NAME, "for example Rowan Pell");
        if (store.of(slug).stream().noneMatch(s -> s.id() == signature && s.counts())) {
            problems.add(new Problem(
                    "$.signature",
                    "Signature",
                    String.valueOf(signature),
                    "does not count any more: load the page again"));
        }
        if (!problems.isEmpty()) {
            throw new JobService.Refused(problems);
        }
    }
}
