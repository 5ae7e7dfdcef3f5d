package whipsaw.app.command;

import java.io.IOException;
import java.io.PrintStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import whipsaw.app.print.DesignDocument;
import whipsaw.app.store.Json;
import whipsaw.core.design.Design;
import whipsaw.core.design.Solver;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.JobReader;
import whipsaw.core.schema.Problem;
import whipsaw.core.table.CodeTables;

/**
 * Job file in, design as JSON out, without a server. Exit 0 when nothing fails and all is
 * established, 2 when something fails, 3 when something needs an engineer or is not established, 1
 * on bad input.
 */
public final class SolveCommand {
    private static final long LARGEST_FILE = 20_000_000;

    private SolveCommand() {}

    public static int run(String[] args, PrintStream out, PrintStream err) {
        if (args.length != 1) {
            err.println("usage: whipsaw solve FILE");
            return 1;
        }
        try {
            Path file = Path.of(args[0]);
            if (Files.size(file) > LARGEST_FILE) {
                err.println(args[0] + " is larger than 20 MB");
                return 1;
            }
            Map<String, Object> document = Json.object(Files.readString(file));
            var reading = JobReader.read(document, false);
            if (!reading.ok()) {
                return refuse(reading.problems(), err);
            }
            Job job = reading.job();
            CodeTables tables = CodeTables.shipped();
            Solver solver = new Solver(tables);
            List<Problem> problems = solver.problems(job);
            if (!problems.isEmpty()) {
                return refuse(JobPaths.told(problems, document, job), err);
            }
            Design design = solver.solve(job);
            out.println(Json.pretty(DesignDocument.of(design, tables)));
            return design.exitCode();
        } catch (IOException e) {
            err.println("cannot read " + args[0] + ": " + e.getMessage());
            return 1;
        } catch (Json.NotJson e) {
            err.println(args[0] + " is no job file: " + e.getMessage());
            return 1;
        }
    }

    private static int refuse(List<Problem> problems, PrintStream err) {
        problems.forEach(p -> err.println(p.path() + ": " + p.words()));
        return 1;
    }
}
