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
import java.util.concurrent.CopyOnWriteArrayList;
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
        long until = System.nanoTime() + TimeUnit.MINUTES.toNanos(minutes);
        List<Double> reads = Collections.synchronizedList(new ArrayList<>());
        List<Double> edits = Collections.synchronizedList(new ArrayList<>());
        AtomicInteger conflicts = new AtomicInteger();
        List<Thread> all = new ArrayList<>();
        try {
            for (int i = 0; i < READERS; i++) {
                int number = i;
                all.add(new Thread(() -> read(server, number, until, reads)));
            }
            for (int i = 0; i < EDITORS; i++) {
                int number = i;
                all.add(new Thread(() -> edit(server, number, until, edits, conflicts)));
            }
            all.forEach(Thread::start);
            long most = 0;
            for (Thread thread : all) {
                do {
                    thread.join(500);
                    most = Math.max(most, server.residentMb());
                } while (thread.isAlive());
            }
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
            server.kill();
        }
    }

    private static double part(List<Double> times, double share) {
        List<Double> sorted = times.stream().sorted().toList();
        return sorted.isEmpty() ? 0 : sorted.get((int) Math.min(sorted.size() - 1, share * sorted.size()));
    }

    /** Opens the job again and again, as somebody does who looks at it. */
    private void read(ChildServer server, int number, long until, List<Double> reads) {
        HttpClient http = HttpClient.newHttpClient();
        try {
            Thread.sleep(number * (long) PAUSE_MS / READERS);
            while (System.nanoTime() < until) {
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
                Thread.sleep(PAUSE_MS);
            }
        } catch (IOException e) {
            faults.add("a read failed: " + e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** Changes a thing of its own again and again. */
    private void edit(ChildServer server, int number, long until, List<Double> edits, AtomicInteger conflicts) {
        try {
            Matcher revision = REVISION.matcher(server.page());
            String base = revision.find() ? revision.group(1) : "1";
            for (int i = 0; System.nanoTime() < until; i++) {
                String body = "{\"base\":" + base + ",\"soon\":true,\"changes\":[{\"op\":\"set\",\"path\":\""
                        + THINGS.get(number) + "\",\"value\":\"" + (number < 2 ? "Desk " + i : 30 + i % 5 + " ft")
                        + "\"}]}";
                long from = System.nanoTime();
                HttpResponse<String> answer = server.send(HttpRequest.newBuilder(server.address(JOB + "/change"))
                        .header("Content-Type", "application/json")
                        .POST(HttpRequest.BodyPublishers.ofString(body)));
                edits.add((System.nanoTime() - from) / 1e9);
                if (answer.statusCode() == 409) {
                    conflicts.incrementAndGet();
                    revision = REVISION.matcher(server.page());
                } else if (answer.statusCode() == 200) {
                    revision = REVISION.matcher(answer.body());
                } else {
                    faults.add("an edit was answered with " + answer.statusCode() + " " + answer.body());
                }
                base = revision.find() ? revision.group(1) : base;
                Thread.sleep(PAUSE_MS);
            }
        } catch (IOException e) {
            faults.add("an edit failed: " + e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
