package whipsaw.app.command;

import java.io.PrintStream;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import whipsaw.core.job.JobDocument;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.SurveyQuestion;
import whipsaw.core.schema.InputTable;
import whipsaw.core.schema.Shape;

/** All inputs of a job and of catalogue entries as tables in Markdown, made from their declarations. */
public final class InputsCommand {
    private InputsCommand() {}

    /** Prints the tables; they are kept in {@code docs/job-inputs.md}. */
    public static int run(PrintStream out) {
        out.println("# Inputs of a job, schema version " + JobDocument.SCHEMA);
        out.println();
        out.println(
                "Made from the declarations by `./whipsaw inputs > docs/job-inputs.md`. `[]` stands for one of a list. "
                        + "How values are written is in [job-file.md](job-file.md). The last column is the question of the survey that finds an input out.");
        List<InputTable.Row> rows = InputTable.of(Shape.of(JobDocument.class), "$");
        table(out, "", rows, questions(rows));
        for (String kind : JobReader.KINDS) {
            table(out, "Catalogue entry: " + kind, InputTable.of(JobReader.shape(kind), "$"), Map.of());
        }
        return 0;
    }

    /**
     * Questions of the survey that other inputs answer, by the path of the input in the table.
     *
     * @throws IllegalStateException when a question looks for an input that is not there
     */
    static Map<String, String> questions(List<InputTable.Row> rows) {
        Map<String, String> paths = new HashMap<>();
        rows.forEach(r -> paths.put(r.path().replace("[]", "").replace("$.roofs", "$.roof"), r.path()));
        Map<String, String> questions = new TreeMap<>();
        for (SurveyQuestion q : SurveyQuestion.all()) {
            if (q.kind() == SurveyQuestion.Kind.PATH) {
                String asked = q.options().get(0);
                // the kind of a pin is one of its values
                String at = paths.getOrDefault(asked, paths.get(asked.substring(0, asked.lastIndexOf('.'))));
                if (at == null) {
                    throw new IllegalStateException("question " + q.id() + " looks for " + asked);
                }
                questions.merge(at, q.label(), (a, b) -> a + "; " + b);
            }
        }
        return questions;
    }

    private static void table(PrintStream out, String title, List<InputTable.Row> rows, Map<String, String> questions) {
        out.println();
        if (!title.isEmpty()) {
            out.println("## " + title);
        }
        out.println("| path | label | value | absent |" + (questions.isEmpty() ? "" : " survey |"));
        out.println("|---|---|---|---|" + (questions.isEmpty() ? "" : "---|"));
        for (InputTable.Row r : rows) {
            out.println("| `" + r.path() + "` | " + cell(r.label()) + " | " + cell(r.what()) + " | " + cell(r.absent())
                    + " |"
                    + (questions.isEmpty() ? "" : " " + cell(questions.getOrDefault(r.path(), "")) + " |"));
        }
    }

    private static String cell(String text) {
        return text.replace("|", "\\|");
    }
}
