package whipsaw.app.entry;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import whipsaw.app.store.CatalogueStore;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobDocument;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.Site;
import whipsaw.core.job.SurveyQuestion;
import whipsaw.core.schema.Located;
import whipsaw.core.schema.Shape;
import whipsaw.core.table.CodeTable;
import whipsaw.core.table.CodeTables;

/** What an input of a job is called, as it is declared: in the history and in a comparison as in the form. */
public final class InputNames {
    private static final Shape<JobDocument> SHAPE = Shape.of(JobDocument.class);
    private static final String ANSWERS = "$.survey.answers.";

    private final CatalogueStore catalogue;
    private final CodeTables tables;
    private final List<Job> jobs;

    /**
     * Names of the inputs of some jobs.
     *
     * @param catalogue parts by their codes
     * @param tables in force
     * @param jobs of which the first that has a thing names it
     */
    public InputNames(CatalogueStore catalogue, CodeTables tables, Job... jobs) {
        this.catalogue = catalogue;
        this.tables = tables;
        this.jobs = List.of(jobs);
    }

    /**
     * The name of an input.
     *
     * @param path in the document, for example {@code $.site.wind}
     * @return as declared, with the thing it belongs to; the path in words where nothing is declared
     */
    public String name(String path) {
        if (path.startsWith(ANSWERS)) {
            SurveyQuestion question =
                    SurveyQuestion.of(path.substring(ANSWERS.length()).split("\\.")[0]);
            if (question != null) {
                return question.label();
            }
        }
        Located at = at(path);
        if (at != null && !at.name().isEmpty()) {
            return at.name();
        }
        // a value within one that is written as a whole, as friction by covering, has the name of the whole
        int dot = path.lastIndexOf('.');
        Located whole = dot > 1 ? at(path.substring(0, dot)) : null;
        return whole == null || whole.name().isEmpty() ? plain(path) : whole.name() + ", " + path.substring(dot + 1);
    }

    private Located at(String path) {
        List<Located> found = jobs.stream()
                .map(job -> Located.in(SHAPE, job.document(), JobPaths.absolute(path, job)))
                .filter(Objects::nonNull)
                .toList();
        return found.stream().filter(l -> l.value() != null).findFirst().orElse(found.isEmpty() ? null : found.get(0));
    }

    /**
     * A value in the words of the form.
     *
     * @param path of the input
     * @param value as it was sent
     * @return the words of a choice or the name of a part or table, else the value itself
     */
    public String value(String path, Object value) {
        String sent = String.valueOf(value);
        Located at = at(path);
        if (at == null || at.slot() == null) {
            return family(sent);
        }
        if (!at.slot().choices().isEmpty()) {
            String words = at.slot().words(sent);
            return words.equals("true") ? "yes" : words.equals("false") ? "no" : words;
        }
        return Stream.concat(tables.netCoefficients().stream().map(set -> set.table()), tables.nationals().stream())
                .filter(t -> t.id().equals(sent))
                .map(CodeTable::title)
                .findFirst()
                .orElse(sent);
    }

    private static String family(String sent) {
        return Shape.of(Site.CodeSite.class).kinds().stream()
                .filter(k -> k.kind().equals(sent))
                .map(Shape::kindWords)
                .findFirst()
                .orElse(sent);
    }

    /** The name of a part a change takes from the catalogue; empty when it takes none. */
    public String part(Object value) {
        String code = value instanceof Map<?, ?> map ? String.valueOf(map.get("catalogue")) : "";
        String[] kind = code.split("/", 2);
        return kind.length < 2
                ? ""
                : catalogue.ofKind(kind[0]).stream()
                        .filter(e -> e.code().equals(kind[1]))
                        .map(CatalogueStore.Entry::name)
                        .findFirst()
                        .orElse("");
    }

    private static String plain(String path) {
        String words = path.substring(Math.min(2, path.length()))
                .replaceAll("\\[[^]]*]", "")
                .replace('.', ' ')
                .replaceAll("([a-z])([A-Z])", "$1 $2")
                .toLowerCase(Locale.ROOT);
        return words.isEmpty() ? "The job" : words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }
}
