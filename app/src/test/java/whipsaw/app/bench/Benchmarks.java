package whipsaw.app.bench;

import com.microsoft.playwright.Page;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.LongSupplier;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import whipsaw.app.TestServer;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.job.JobService;
import whipsaw.core.design.Solver;
import whipsaw.core.exchange.DxfReader;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.JobWriter;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Show;

/** Measures speed and size and writes them to a file: {@code Benchmarks FILE}. */
public final class Benchmarks {
    private static final String JOB = "/jobs/milepost-hall";
    private static final String LARGE = "/jobs/quarrybank-cold-store";
    private static final int REPEATS = 60;
    private static final int IN_BROWSER = 20;

    private Benchmarks() {}

    public static void main(String[] args) throws IOException, RunnerException {
        StringBuilder text = new StringBuilder();
        text.append("# Benchmarks\n\nWritten by `./whipsaw bench` on ")
                .append(LocalDate.now())
                .append(", ")
                .append(Runtime.getRuntime().availableProcessors())
                .append(" cores, Java ")
                .append(System.getProperty("java.version"))
                .append(", with the flags `./whipsaw demo` uses (serial collector, 512 MB heap).\n\n");
        text.append(
                "## Re-solve, warm (JMH, average)\n\n| modules | ms | ns per n log n | wanted |\n|---|---|---|---|\n");
        Collection<RunResult> results = new Runner(new OptionsBuilder()
                        .include(SolveBenchmark.class.getName())
                        .jvmArgs("-XX:+UseSerialGC", "-Xmx512m")
                        .build())
                .run();
        Solver solver = new Solver(CodeTables.shipped());
        for (RunResult r : results) {
            double stretch = Double.parseDouble(r.getParams().getParam("stretch"));
            int modules =
                    solver.solve(SolveBenchmark.job(stretch)).layout().modules().size();
            double ms = r.getPrimaryResult().getScore();
            double perNLogN = ms * 1e6 / (modules * Math.log(modules) / Math.log(2));
            text.append("| ")
                    .append(modules)
                    .append(" | ")
                    .append(Show.number(ms, 1))
                    .append(" ± ")
                    .append(Show.number(r.getPrimaryResult().getScoreError(), 1))
                    .append(" | ")
                    .append(Show.number(perNLogN, 0))
                    .append(" | ")
                    .append(modules < 600 ? "under 50" : modules < 6500 ? "under 600" : "")
                    .append(" |\n");
        }
        text.append("\nThe third column does not rise where growth is no worse than n log n.\n");
        try (TestServer.Browsing browser = TestServer.browsing();
                TestServer server = new TestServer()) {
            pages(server, text);
        }
        Files.writeString(Path.of(args[0]), text.toString());
        System.out.println(text);
    }

    private static void pages(TestServer server, StringBuilder text) {
        text.append("\n## Pages and previews (median and 95th percentile of ")
                .append(REPEATS)
                .append(
                        ", of " + IN_BROWSER
                                + " where a page is opened or something stored)\n\n| what | median ms | 95 % ms | wanted |\n|---|---|---|---|\n");
        line(text, "job page on the server", "under 150", () -> timed(() -> server.get(JOB)));
        line(
                text,
                "job page of the cold store (5,922 modules) on the server",
                "",
                () -> timed(() -> server.get(LARGE)));
        int[] step = {0};
        line(text, "preview of a dragged vent, server", "under 100", () -> preview(server, JOB, "vent-1", step));
        line(text, "the same of a hatch of the cold store", "under 250", () -> preview(server, LARGE, "hatch-1", step));
        List<String> faults = new ArrayList<>();
        Page page = server.page(1280, 800, faults);
        String sizes = stored(server, page, text, step);
        page.navigate(server.address(JOB));
        line(
                text,
                "preview of a dragged vent, in the browser until drawn",
                "under 100",
                () -> inBrowser(page, "vent-1", step));
        page.navigate(server.address(LARGE));
        line(text, "the same of a hatch of the cold store", "under 250", () -> inBrowser(page, "hatch-1", step));
        line(text, "one step of zoom or pan of the cold store until drawn", "smooth: under 50", () -> zoom(page));
        busy(server, text);
        members(text);
        tenRoofs(text);
        OptionsBench.add(text);
        text.append(sizes)
                .append("\nThe job page is ")
                .append(server.get(JOB).body().length() / 1000)
                .append(" kB of HTML (wanted: under 600 kB), that of the cold store ")
                .append(server.get(LARGE).body().length() / 1000)
                .append(" kB. Heap in use after all this, with 512 MB allowed: ")
                .append(usedMegabytes())
                .append(" MB.\n");
    }

    /** Opening a job and storing what is typed, until it is seen; returns the sizes of the answers in words. */
    private static String stored(TestServer server, Page page, StringBuilder text, int[] step) {
        StringBuilder sizes = new StringBuilder("\nAnswers to a change, ");
        for (String job : List.of(JOB, LARGE)) {
            String which = job.equals(JOB) ? "the hall" : "the cold store";
            String opens = job.equals(JOB) ? "500" : "800";
            String seen = job.equals(JOB) ? "120" : "250";
            line(
                    text,
                    which + " opened in the browser, server warm",
                    opens,
                    IN_BROWSER,
                    () -> timed(() -> {
                        page.navigate(server.address(job));
                        page.waitForFunction("() => document.getElementById('bench').dataset.ready === 'true'");
                    }));
            int[] bytes = {0};
            page.onResponse(r -> bytes[0] = r.url().endsWith("/change") ? r.body().length : bytes[0]);
            line(
                    text,
                    "a text typed into " + which + ", stored and seen",
                    seen,
                    IN_BROWSER,
                    () -> typed(page, "$.project.preparedBy", "Desk " + step[0]++));
            sizes.append(which).append(": a text ").append(bytes[0] / 1000).append(" kB, ");
            line(
                    text,
                    "a set-back typed into " + which + ", all modules placed anew, stored and seen",
                    "",
                    IN_BROWSER,
                    () -> typed(page, "$.array.setback", 6 + step[0]++ % 5 + " ft"));
            sizes.append("a set-back ").append(bytes[0] / 1000).append(" kB; ");
        }
        return sizes.append("wanted: 40 and 80 kB.\n").toString();
    }

    /** From a changed field to the frame after its revision is on the page, in nanoseconds. */
    private static long typed(Page page, String path, String value) {
        String script =
                """
                async ([path, value]) => {
                  const field = document.querySelector(`[data-path="${path}"]`);
                  const was = document.getElementById('bench').dataset.revision;
                  const start = performance.now();
                  field.value = value;
                  field.dispatchEvent(new Event('change', {bubbles: true}));
                  while (document.getElementById('bench').dataset.revision === was) await new Promise(requestAnimationFrame);
                  await new Promise((done) => requestAnimationFrame(() => setTimeout(done)));
                  return performance.now() - start;
                }""";
        return (long) (((Number) page.evaluate(script, List.of(path, value))).doubleValue() * 1e6);
    }

    /** The roof of 300 corners and 200 things, and a drawing file of 20,000 lines. */
    static void busy(TestServer server, StringBuilder text) {
        JobService jobs = server.bean(JobService.class);
        String slug = jobs.create(JobReader.read(BusyRoof.document(), false).job());
        int[] step = {0};
        line(
                text,
                "300 corners, 200 things: a corner moved, previewed on the server",
                "under 100",
                () -> timed(() -> server.post("/jobs/" + slug + "/change", cornerMoved(0, true, step))));
        line(
                text,
                "the same roof: a vent moved, previewed on the server",
                "under 100",
                () -> preview(server, "/jobs/" + slug, "t-77", new int[] {100}));
        line(text, "the corner stored, with the drawing and the totals as the answer", "under 100", () -> {
            int base = jobs.open(slug).revision().number();
            String body = cornerMoved(base, false, step).replaceFirst("\\{", "{\"soon\":true,");
            return timed(() -> server.post("/jobs/" + slug + "/change", body));
        });
        line(text, "the whole bench after that", "", () -> {
            int base = jobs.open(slug).revision().number();
            return timed(() -> server.get("/jobs/" + slug + "/bench?from=" + (base - 1)));
        });
        line(text, "the corner stored, with the whole bench as the answer, zones left for later", "", () -> {
            int base = jobs.open(slug).revision().number();
            String body = cornerMoved(base, false, step);
            return timed(() -> server.post("/jobs/" + slug + "/change", body));
        });
        String dxf = BusyRoof.drawing();
        line(text, "a DXF of 20,000 lines read", "under 2000", () -> timed(() -> DxfReader.read(dxf)));
    }

    /** The cold store with joists in all its bays: the part of a re-solve that checks them. */
    private static void members(StringBuilder text) {
        Solver solver = new Solver(CodeTables.shipped());
        Map<String, Object> type = new HashMap<>(Map.of(
                "code",
                "bench",
                "edition",
                "1",
                "maker",
                "Nobody",
                "name",
                "rolled",
                "source",
                "made up",
                "status",
                "invented",
                "shape",
                "i",
                "depth",
                "500 mm",
                "width",
                "200 mm"));
        type.putAll(Map.of(
                "web",
                "10 mm",
                "flange",
                "16 mm",
                "material",
                "steel",
                "strength",
                "275 MPa",
                "elasticity",
                "210 GPa"));
        Map<String, Object> joists =
                Map.of("id", "j", "name", "Joists", "kind", "joist", "along", "y", "spacing", "14 ft", "type", type);
        Map<String, Object> structure = Map.of(
                "dead",
                "18 psf",
                "live",
                "20 psf",
                "liveUnderArray",
                false,
                "members",
                List.of(joists),
                "deck",
                Map.of("type", type, "width", "300 mm"));
        Job job = JobReader.read(
                        DocumentPatch.apply(
                                JobReader.read(Seeds.demoJobs().get(2), false).job(),
                                List.of(
                                        new DocumentPatch.Change("set", "$.roof.structure", structure),
                                        // little enough snow that rows stand out of it and gather more
                                        new DocumentPatch.Change("set", "$.site.snow", "8 psf"))),
                        false)
                .job();
        int count = solver.solve(job).members().sets().get(0).members().size();
        line(
                text,
                "5,922 modules solved with " + count + " members, their deck, row drifts and all checks",
                "under 300 more than without",
                () -> timed(() -> solver.solve(job)));
    }

    /** Ten roofs like the largest of the re-solves, each with its array. */
    private static void tenRoofs(StringBuilder text) {
        Solver solver = new Solver(CodeTables.shipped());
        Map<String, Object> document = JobWriter.write(SolveBenchmark.job(4.3));
        for (String list : List.of("roofs", "arrays")) {
            Map<?, ?> one = (Map<?, ?>) ((List<?>) document.get(list)).get(0);
            List<Object> ten = new ArrayList<>();
            for (int i = 1; i <= 10; i++) {
                Map<Object, Object> copy = new LinkedHashMap<>(one);
                copy.put("id", (list.equals("roofs") ? "r" : "A") + i);
                if (list.equals("arrays")) {
                    copy.put("on", "r" + i);
                } else if (i > 1) {
                    copy.put("x", (i - 1) * 170 + " m");
                }
                ten.add(copy);
            }
            document.put(list, ten);
        }
        Job job = JobReader.read(document, false).job();
        int modules = solver.solve(job).whole().modules();
        line(text, modules + " modules on ten roofs solved", "under 1000", 8, () -> timed(() -> solver.solve(job)));
    }

    private static String cornerMoved(int base, boolean preview, int[] step) {
        return "{\"base\":" + base + ",\"preview\":" + preview
                + ",\"changes\":[{\"op\":\"set\",\"path\":\"$.roof.outline.corners[0].x\",\"value\":\"1"
                + (40 + step[0]++ * 0.001) + " m\"}]}";
    }

    private static long preview(TestServer server, String job, String thing, int[] step) {
        String body = "{\"base\":1,\"preview\":true,\"changes\":[{\"op\":\"set\",\"path\":\"$.roof.obstructions[id="
                + thing + "].x\",\"value\":\"" + (20 + step[0]++ % 30) + " ft\"}]}";
        return timed(() -> server.post(job + "/change", body));
    }

    private static long usedMegabytes() {
        System.gc();
        Runtime runtime = Runtime.getRuntime();
        return (runtime.totalMemory() - runtime.freeMemory()) >> 20;
    }

    private static long zoom(Page page) {
        String script =
                """
                async () => {
                  const start = performance.now();
                  const way = ['+', '-', '0'][Math.floor(start) % 3];
                  document.getElementById('plan').dispatchEvent(new KeyboardEvent('keydown', {key: way, bubbles: true}));
                  await new Promise((done) => requestAnimationFrame(() => setTimeout(done)));
                  return performance.now() - start;
                }""";
        return (long) (((Number) page.evaluate(script)).doubleValue() * 1e6);
    }

    /** From sending a preview to the frame after its drawing is in the page, in nanoseconds. */
    private static long inBrowser(Page page, String thing, int[] step) {
        String script =
                """
                async ([thing, x]) => {
                  const start = performance.now();
                  const answer = await fetch(location.href + '/change', {method: 'POST',
                    headers: {'Content-Type': 'application/json', Accept: 'text/html', 'X-XSRF-TOKEN': document.querySelector('meta[name=csrf]').content},
                    body: JSON.stringify({base: 1, preview: true, changes: [{op: 'set', path: `$.roof.obstructions[id=${thing}].x`, value: x}]})});
                  const fresh = new DOMParser().parseFromString(await answer.text(), 'text/html').querySelector('#planwrap > svg');
                  document.getElementById('plan').replaceWith(fresh);
                  await new Promise((done) => requestAnimationFrame(() => setTimeout(done)));
                  return performance.now() - start;
                }""";
        Object ms = page.evaluate(script, List.of(thing, 20 + step[0]++ % 30 + " ft"));
        return (long) (((Number) ms).doubleValue() * 1e6);
    }

    static long timed(Runnable work) {
        long start = System.nanoTime();
        work.run();
        return System.nanoTime() - start;
    }

    static void line(StringBuilder text, String what, String wanted, LongSupplier work) {
        line(text, what, wanted, REPEATS, work);
    }

    static void line(StringBuilder text, String what, String wanted, int repeats, LongSupplier work) {
        for (int i = 0; i < repeats; i++) {
            work.getAsLong();
        }
        long[] times = new long[repeats];
        for (int i = 0; i < repeats; i++) {
            times[i] = work.getAsLong();
        }
        Arrays.sort(times);
        text.append("| ")
                .append(what)
                .append(" | ")
                .append(Show.number(times[repeats / 2] / 1e6, 0))
                .append(" | ")
                .append(Show.number(times[repeats * 95 / 100] / 1e6, 0))
                .append(" | ")
                .append(wanted)
                .append(" |\n");
    }
}
