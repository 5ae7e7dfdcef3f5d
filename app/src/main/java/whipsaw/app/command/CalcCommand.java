package whipsaw.app.command;

import java.io.IOException;
import java.io.InputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import whipsaw.app.store.Json;
import whipsaw.core.calc.CalcException;
import whipsaw.core.calc.CaseRunner;
import whipsaw.core.calc.Topic;
import whipsaw.core.calc.Topics;
import whipsaw.core.table.CodeTables;

/**
 * Single calculations: {@code calc TOPIC [FILE]} takes an inputs object from a file or standard
 * input, {@code calc --list} names topics, {@code calc --cases FILE} runs a file of cases.
 */
public final class CalcCommand {
    private static final String USAGE = "usage: whipsaw calc TOPIC [FILE]   inputs object from FILE or standard input\n"
            + "       whipsaw calc --list\n"
            + "       whipsaw calc --cases FILE";

    private CalcCommand() {}

    public static int run(String[] args, InputStream in, PrintStream out, PrintStream err) {
        Topics topics = new Topics(CodeTables.shipped());
        if (args.length == 0 || args[0].equals("--help")) {
            err.println(USAGE);
            return 1;
        }
        try {
            if (args[0].equals("--list")) {
                topics.all().forEach(t -> out.println(t.name() + "\t" + t.title()));
                return 0;
            }
            if (args[0].equals("--cases")) {
                return args.length == 2 ? cases(args[1], topics, out) : usage(err);
            }
            Topic topic = topics.named(args[0]);
            if (topic == null) {
                err.println("no topic '" + args[0] + "'; calc --list names them");
                return 1;
            }
            String text = args.length > 1
                    ? Files.readString(Path.of(args[1]))
                    : new String(in.readAllBytes(), StandardCharsets.UTF_8);
            out.println(Json.pretty(topic.run(Json.object(text))));
            return 0;
        } catch (CalcException | Json.NotJson e) {
            err.println(e.getMessage());
            return 1;
        } catch (IOException e) {
            err.println("cannot read: " + e.getMessage());
            return 1;
        }
    }

    private static int usage(PrintStream err) {
        err.println(USAGE);
        return 1;
    }

    private static int cases(String file, Topics topics, PrintStream out) throws IOException {
        if (!(Json.object(Files.readString(Path.of(file))).get("cases") instanceof List<?> cases)) {
            throw new CalcException("cases", "is no list");
        }
        CaseRunner runner = new CaseRunner(topics);
        int passed = 0;
        int failed = 0;
        int unknown = 0;
        for (Object item : cases) {
            if (!(item instanceof Map<?, ?> map)) {
                throw new CalcException("cases", "holds something that is no object");
            }
            @SuppressWarnings("unchecked")
            CaseRunner.Outcome outcome = runner.run((Map<String, ?>) map);
            if (!outcome.known()) {
                unknown++;
            } else if (outcome.passed()) {
                passed++;
            } else {
                failed++;
                outcome.misses().forEach(m -> out.println(outcome.topic() + " " + outcome.id() + ": " + m));
            }
        }
        out.println(passed + " passed, " + failed + " failed, " + unknown + " unknown");
        return failed == 0 ? 0 : 1;
    }
}
