package whipsaw.app.bench;

import com.microsoft.playwright.Page;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.function.LongSupplier;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import whipsaw.app.TestServer;
import whipsaw.core.design.Solver;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Show;

/** Measures speed and size and writes them to a file: {@code Benchmarks FILE}. */
public final class Benchmarks {
    private static final String JOB = "/jobs/milepost-hall";
    private static final int REPEATS = 60;

    private Benchmarks() {}

    public static void main(String[] args) throws IOException, RunnerException {
        StringBuilder text = new StringBuilder();
        text.append("# Benchmarks\n\nWritten by `./whipsaw bench` on ")
                .append(LocalDate.now())
                .append(", ")
                .append(Runtime.getRuntime().availableProcessors())
                .append(" cores, Java ")
                .append(System.getProperty("java.version"))
                .append(
                        ", with the flags `./whipsaw demo` uses (serial collector, one compiler tier, 512 MB heap).\n\n");
        text.append("## Re-solve, warm (JMH, average)\n\n| modules | ms | wanted |\n|---|---|---|\n");
        Collection<RunResult> results = new Runner(new OptionsBuilder()
                        .include(SolveBenchmark.class.getName())
                        .jvmArgs("-XX:+UseSerialGC", "-XX:TieredStopAtLevel=1", "-Xmx512m")
                        .build())
                .run();
        Solver solver = new Solver(CodeTables.shipped());
        for (RunResult r : results) {
            double stretch = Double.parseDouble(r.getParams().getParam("stretch"));
            int modules =
                    solver.solve(SolveBenchmark.job(stretch)).layout().modules().size();
            text.append("| ")
                    .append(modules)
                    .append(" | ")
                    .append(Show.number(r.getPrimaryResult().getScore(), 1))
                    .append(" ± ")
                    .append(Show.number(r.getPrimaryResult().getScoreError(), 1))
                    .append(" | ")
                    .append(modules < 600 ? "under 50" : "")
                    .append(" |\n");
        }
        try (TestServer server = new TestServer()) {
            pages(server, text);
        }
        Files.writeString(Path.of(args[0]), text.toString());
        System.out.println(text);
    }

    private static void pages(TestServer server, StringBuilder text) {
        text.append("\n## Pages and previews (median and 95th percentile of ")
                .append(REPEATS)
                .append(")\n\n| what | median ms | 95 % ms | wanted |\n|---|---|---|---|\n");
        line(text, "job page on the server", "under 150", () -> timed(() -> server.get(JOB)));
        int[] step = {0};
        line(text, "preview of a dragged vent, server", "under 100", () -> {
            String x = 20 + step[0]++ % 30 + " ft";
            String body =
                    "{\"base\":1,\"preview\":true,\"changes\":[{\"op\":\"set\",\"path\":\"$.roof.obstructions[id=vent-1].x\",\"value\":\""
                            + x
                            + "\"}]}";
            return timed(() -> server.post(JOB + "/change", body));
        });
        List<String> faults = new ArrayList<>();
        Page page = server.page(1280, 800, faults);
        page.navigate(server.address(JOB));
        line(text, "preview of a dragged vent, in the browser until drawn", "under 100", () -> inBrowser(page, step));
        text.append("\nThe job page is ")
                .append(server.get(JOB).body().length() / 1000)
                .append(" kB of HTML (wanted: under 600 kB).\n");
    }

    /** From sending a preview to the frame after its drawing is in the page, in nanoseconds. */
    private static long inBrowser(Page page, int[] step) {
        String script =
                """
                async (x) => {
                  const start = performance.now();
                  const answer = await fetch(location.href + '/change', {method: 'POST',
                    headers: {'Content-Type': 'application/json', Accept: 'text/html'},
                    body: JSON.stringify({base: 1, preview: true, changes: [{op: 'set', path: '$.roof.obstructions[id=vent-1].x', value: x}]})});
                  const fresh = new DOMParser().parseFromString(await answer.text(), 'text/html').querySelector('#planwrap > svg');
                  document.getElementById('plan').replaceWith(fresh);
                  await new Promise((done) => requestAnimationFrame(() => setTimeout(done)));
                  return performance.now() - start;
                }""";
        Object ms = page.evaluate(script, 20 + step[0]++ % 30 + " ft");
        return (long) (((Number) ms).doubleValue() * 1e6);
    }

    private static long timed(Runnable work) {
        long start = System.nanoTime();
        work.run();
        return System.nanoTime() - start;
    }

    private static void line(StringBuilder text, String what, String wanted, LongSupplier work) {
        for (int i = 0; i < REPEATS; i++) {
            work.getAsLong();
        }
        long[] times = new long[REPEATS];
        for (int i = 0; i < REPEATS; i++) {
            times[i] = work.getAsLong();
        }
        Arrays.sort(times);
        text.append("| ")
                .append(what)
                .append(" | ")
                .append(Show.number(times[REPEATS / 2] / 1e6, 0))
                .append(" | ")
                .append(Show.number(times[REPEATS * 95 / 100] / 1e6, 0))
                .append(" | ")
                .append(wanted)
                .append(" |\n");
    }
}
