package whipsaw.app.command;

import java.io.PrintStream;
import java.util.List;
import whipsaw.core.job.JobDocument;
import whipsaw.core.job.JobReader;
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
                        + "How values are written is in [job-file.md](job-file.md).");
        table(out, "", InputTable.of(Shape.of(JobDocument.class), "$"));
        for (String kind : JobReader.KINDS) {
            table(out, "Catalogue entry: " + kind, InputTable.of(JobReader.shape(kind), "$"));
        }
        return 0;
    }

    private static void table(PrintStream out, String title, List<InputTable.Row> rows) {
        out.println();
        if (!title.isEmpty()) {
            out.println("## " + title);
        }
        out.println("| path | label | value | absent |");
        out.println("|---|---|---|---|");
        for (InputTable.Row r : rows) {
            out.println("| `" + r.path() + "` | " + cell(r.label()) + " | " + cell(r.what()) + " | " + cell(r.absent())
                    + " |");
        }
    }

    private static String cell(String text) {
        return text.replace("|", "\\|");
    }
}
