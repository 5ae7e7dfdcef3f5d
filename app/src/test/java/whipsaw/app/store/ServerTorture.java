package whipsaw.app.store;

import java.io.IOException;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import whipsaw.app.TestServer;
import whipsaw.app.reading.HostileFiles;
import whipsaw.app.web.Fuzz;

/** What the server stands: hostile files, requests nobody would make, and many readers and editors at once. */
final class ServerTorture {
    private static final String JOB = "/jobs/quarrybank-cold-store";
    private static final Pattern REVISION = Pattern.compile("data-revision=\"(\\d+)\"");
    private static final List<String> FLAGS =
            List.of("-Xmx512m", "-XX:+UseSerialGC", "-XX:+ExitOnOutOfMemoryError", "-XX:-UsePerfData");
    private static final double FILE_S = 10;
    private static final long FILE_MB = 300;
    private static final double READ_S = 1;
    private static final double FUZZ_S = 5;
    private static final int READERS = 50;
    private static final int EDITORS = 8;

    /** Between an answer and the next request of the same person. */
    private static final int PAUSE_MS = 5_000;

    /** What each editor changes. */
    private static final List<String> THINGS = List.of(
            "$.project.place",
            "$.project.preparedBy",
            "$.roof.height",
            "$.roof.obstructions[id=cond-1].x",
            "$.roof.obstructions[id=cond-2].x",
            "$.roof.obstructions[id=pent].x",
            "$.roof.obstructions[id=hatch-1].x",
            "$.roof.obstructions[id=hatch-2].x");

    private final Path dir;
    private final List<String> told = new ArrayList<>();
    private final List<String> faults = new CopyOnWriteArrayList<>();

    ServerTorture(Path dir) {
        this.dir = dir;
    }

    List<String> told() {
        return told;
    }

    List<String> faults() {
        return faults;
    }

    /**
     * @param hostile how often each hostile file is sent
     * @param requests of fuzz
     * @param minutes of readers and editors
     */
    void suffer(int hostile, int requests, int minutes) throws Exception {
        if (hostile > 0) {
            hostile(hostile);
        }
        if (requests > 0) {
            fuzz(requests);
        }
        if (minutes > 0) {
            load(minutes);
        }
    }

    private ChildServer server(String name) throws IOException, InterruptedException {
        ChildServer server = new ChildServer(dir.resolve(name), dir.resolve(name + ".txt"), JOB, FLAGS);
        server.page();
        return server;
    }

    private void hostile(int times) throws Exception {
        ChildServer server = server("hostile");
        try {
            long before = server.residentMb();
            for (int i = 0; i < times; i++) {
                send(server, JOB + "/underlay?base=1", HostileFiles.pictures());
                send(server, JOB + "/import", HostileFiles.drawings());
            }
            told.add("server of " + before + " MB before the files, "
                    + ChildServer.resident(server.process().pid()) + " MB after, without the reader's process");
        } finally {
            server.kill();
        }
    }

    private void send(ChildServer server, String path, Map<String, Supplier<byte[]>> files) throws Exception {
        for (Map.Entry<String, Supplier<byte[]>> file : files.entrySet()) {
            byte[] bytes = file.getValue().get();
            List<HttpResponse<String>> answer = new CopyOnWriteArrayList<>();
            long from = System.nanoTime();
            Thread upload = new Thread(() -> {
                try {
                    answer.add(server.upload(path, "file", bytes));
                } catch (IOException | InterruptedException e) {
                    faults.add(file.getKey() + ": " + e);
                }
            });
            upload.start();
            double slowest = 0;
            long most = 0;
            while (upload.isAlive()) {
                long asked = System.nanoTime();
                server.send(HttpRequest.newBuilder(server.address("/health")));
                slowest = Math.max(slowest, (System.nanoTime() - asked) / 1e9);
                most = Math.max(
                        most,
                        server.process()
                                .descendants()
                                .mapToLong(p -> ChildServer.resident(p.pid()))
                                .sum());
                upload.join(100);
            }
            double took = (System.nanoTime() - from) / 1e9;
            int status = answer.isEmpty() ? 0 : answer.get(0).statusCode();
            told.add(String.format(
                    "%s (%d kB): %d after %.1f s, its process %d MB, other answers within %.2f s",
                    file.getKey(), bytes.length / 1000, status, took, most, slowest));
            if (took > FILE_S || most > FILE_MB || status >= 500 || status == 0 || slowest > READ_S) {
                faults.add(file.getKey() + " is beyond what is wanted");
            }
        }
    }

    private void fuzz(int requests) {
        try (TestServer server = new TestServer()) {
            AtomicInteger left = new AtomicInteger(requests);
            List<Fuzz> all = new ArrayList<>();
            List<Thread> threads = new ArrayList<>();
            for (int i = 0; i < 2; i++) {
                Fuzz fuzz = new Fuzz(server, 20_261_128 + i);
                all.add(fuzz);
                threads.add(new Thread(() -> {
                    while (left.getAndDecrement() > 0) {
                        fuzz.any();
                    }
                }));
            }
            threads.forEach(Thread::start);
            for (Thread thread : threads) {
                thread.join();
            }
            double slowest = all.stream().mapToDouble(Fuzz::slowestS).max().orElse(0);
            told.add(String.format("%d fuzzed requests, the slowest answer after %.1f s", requests, slowest));
            all.forEach(f -> faults.addAll(f.errors()));
            all.stream().filter(f -> f.slowestS() > FUZZ_S).forEach(f -> faults.add("slow: " + f.slowest()));
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private void load(int minutes) throws Exception {
        ChildServer server = server("load");
        List<Double> reads = Collections.synchronizedList(new ArrayList<>());
        List<Double> edits = Collections.synchronizedList(new ArrayList<>());
        AtomicInteger conflicts = new AtomicInteger();
        ScheduledExecutorService people = Executors.newScheduledThreadPool(READERS + EDITORS);
        try {
            for (int i = 0; i < READERS; i++) {
                HttpClient http = HttpClient.newHttpClient();
                every(people, i * PAUSE_MS / READERS, () -> read(server, http, reads));
            }
            for (int i = 0; i < EDITORS; i++) {
                Editor editor = new Editor(server, i, edits, conflicts);
                every(people, i * PAUSE_MS / EDITORS, editor::edit);
            }
            long most = 0;
            long until = System.nanoTime() + TimeUnit.MINUTES.toNanos(minutes);
            while (System.nanoTime() < until) {
                people.awaitTermination(500, TimeUnit.MILLISECONDS);
                most = Math.max(most, server.residentMb());
            }
            people.shutdown();
            people.awaitTermination(1, TimeUnit.MINUTES);
            told.add(String.format(
                    "%d readers and %d editors for %d minutes: %d reads, half within %.2f s, 95 %% within %.2f s,"
                            + " the slowest %.1f s; %d edits, 95 %% within %.2f s, %d conflicts; server %d MB at most",
                    READERS,
                    EDITORS,
                    minutes,
                    reads.size(),
                    part(reads, 0.5),
                    part(reads, 0.95),
                    part(reads, 1),
                    edits.size(),
                    part(edits, 0.95),
                    conflicts.get(),
                    most));
            if (part(reads, 0.95) > READ_S) {
                faults.add("reads are slower than wanted");
            }
        } finally {
            people.shutdownNow();
            server.kill();
        }
    }

    private static double part(List<Double> times, double share) {
        List<Double> sorted = times.stream().sorted().toList();
        return sorted.isEmpty() ? 0 : sorted.get((int) Math.min(sorted.size() - 1, share * sorted.size()));
    }

    /** Does it again and again, with a pause between. */
    private void every(ScheduledExecutorService people, int firstMs, Callable<Void> request) {
        people.scheduleWithFixedDelay(
                () -> {
                    try {
                        request.call();
                    } catch (InterruptedException e) {
                        Thread.currentThread().interrupt();
                    } catch (Exception e) {
                        faults.add("a request failed: " + e);
                    }
                },
                firstMs,
                PAUSE_MS,
                TimeUnit.MILLISECONDS);
    }

    /** Opens the job, as somebody does who looks at it. */
    private Void read(ChildServer server, HttpClient http, List<Double> reads)
            throws IOException, InterruptedException {
        long from = System.nanoTime();
        int status = http.send(
                        HttpRequest.newBuilder(server.address(JOB))
                                .header("Accept-Encoding", "gzip")
                                .build(),
                        HttpResponse.BodyHandlers.discarding())
                .statusCode();
        reads.add((System.nanoTime() - from) / 1e9);
        if (status != 200) {
            faults.add("a read was answered with " + status);
        }
        return null;
    }

    /** Changes a thing of its own. */
    private final class Editor {
        private final ChildServer server;
        private final int number;
        private final List<Double> times;
        private final AtomicInteger conflicts;
        private String base = "";
        private int made;

        Editor(ChildServer server, int number, List<Double> times, AtomicInteger conflicts) {
            this.server = server;
            this.number = number;
            this.times = times;
            this.conflicts = conflicts;
        }

        private void know(String page) {
            Matcher revision = REVISION.matcher(page);
            base = revision.find() ? revision.group(1) : base;
        }

        Void edit() throws IOException, InterruptedException {
            if (base.isEmpty()) {
                know(server.page());
            }
            String value = number < 2 ? "Desk " + made : 30 + made % 5 + " ft";
            String body = "{\"base\":" + base + ",\"soon\":true,\"changes\":[{\"op\":\"set\",\"path\":\""
                    + THINGS.get(number) + "\",\"value\":\"" + value + "\"}]}";
            long from = System.nanoTime();
            HttpResponse<String> answer = server.send(HttpRequest.newBuilder(server.address(JOB + "/change"))
                    .header("Content-Type", "application/json")
                    .POST(HttpRequest.BodyPublishers.ofString(body)));
            times.add((System.nanoTime() - from) / 1e9);
            made++;
            if (answer.statusCode() == 409) {
                conflicts.incrementAndGet();
                know(server.page());
            } else if (answer.statusCode() == 200) {
                know(answer.body());
            } else {
                faults.add("an edit was answered with " + answer.statusCode() + " " + answer.body());
            }
            return null;
        }
    }
}
