package whipsaw.app.store;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ConnectException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import whipsaw.app.Whipsaw;

/** The application as a process of its own, which can be killed, and a page that edits one of its jobs. */
final class ChildServer {
    private static final int MOST_ASKED = 1200;
    private static final Pattern TOKEN = Pattern.compile("name=\"csrf\" content=\"([^\"]+)\"");

    private static final List<String> QUICK = List.of("-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC");

    private final HttpClient http = HttpClient.newHttpClient();
    private final Process process;
    private final Path log;
    private final String root;
    private final String job;
    private Map<String, String> token = Map.of();

    /**
     * Starts it; it may not listen yet.
     *
     * @param job path of the job that is edited
     */
    ChildServer(Path data, Path log, String job) throws IOException {
        this(data, log, job, QUICK);
    }

    /**
     * The same with flags of its own.
     *
     * @param flags of the virtual machine
     */
    ChildServer(Path data, Path log, String job, List<String> flags) throws IOException {
        int port;
        try (ServerSocket any = new ServerSocket(0)) {
            port = any.getLocalPort();
        }
        this.log = log;
        this.root = "http://127.0.0.1:" + port;
        this.job = root + job;
        this.process = command(log, flags, List.of("demo", "--data", data.toString(), "--port", String.valueOf(port)));
    }

    /** Starts one of the product's commands. */
    static Process command(Path log, String... args) throws IOException {
        return command(log, QUICK, List.of(args));
    }

    private static Process command(Path log, List<String> flags, List<String> args) throws IOException {
        List<String> command = new ArrayList<>();
        command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
        command.addAll(flags);
        command.addAll(List.of("-cp", System.getProperty("java.class.path"), Whipsaw.class.getName()));
        command.addAll(args);
        return new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(log.toFile())
                .start();
    }

    Process process() {
        return process;
    }

    /** An address on it. */
    URI address(String path) {
        return URI.create(root + path);
    }

    /** Memory it holds now, in MB. */
    long residentMb() throws IOException {
        return resident(process.pid())
                + process.descendants().mapToLong(p -> resident(p.pid())).sum();
    }

    static long resident(long pid) {
        try (Stream<String> lines = Files.lines(Path.of("/proc/" + pid + "/status"))) {
            return lines.filter(l -> l.startsWith("VmRSS:"))
                    .mapToLong(l -> Long.parseLong(l.replaceAll("\\D", "")) / 1024)
                    .sum();
        } catch (IOException | UncheckedIOException e) {
            // it has ended
            return 0;
        }
    }

    void kill() throws InterruptedException {
        process.destroyForcibly().waitFor();
    }

    /** The page of the job, once the server listens and has it; its token is kept for edits. */
    String page() throws IOException, InterruptedException {
        for (int i = 0; i < MOST_ASKED && process.isAlive(); i++) {
            try {
                HttpResponse<String> page = http.send(
                        HttpRequest.newBuilder(URI.create(job)).build(), HttpResponse.BodyHandlers.ofString());
                Matcher meta = TOKEN.matcher(page.body());
                if (page.statusCode() == 200 && meta.find()) {
                    String cookie = page.headers()
                            .firstValue("Set-Cookie")
                            .orElseThrow()
                            .split(";")[0];
                    token = Map.of("Cookie", cookie, "X-XSRF-TOKEN", meta.group(1));
                    return page.body();
                }
            } catch (ConnectException e) {
                // it does not listen yet
            }
            process.waitFor(100, TimeUnit.MILLISECONDS);
        }
        throw new ConnectException("the server did not come up: " + Files.readString(log));
    }

    /** Sends a change as the page does; what is not taken is an error, a server that is gone an {@link IOException}. */
    String change(String body) throws IOException, InterruptedException {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(job + "/change"))
                .header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString(body));
        HttpResponse<String> answer = send(request);
        if (answer.statusCode() != 200) {
            throw new AssertionError(answer.statusCode() + " " + answer.body());
        }
        return answer.body();
    }

    /** Sends what a page of our own would send. */
    HttpResponse<String> send(HttpRequest.Builder request) throws IOException, InterruptedException {
        request.header("Accept", "application/json, text/html");
        token.forEach(request::header);
        return http.send(request.build(), HttpResponse.BodyHandlers.ofString());
    }

    /** A form as a page sends it; its status. */
    int form(String path, String field, String value) throws IOException, InterruptedException {
        return send(HttpRequest.newBuilder(address(path))
                        .header("Content-Type", "application/x-www-form-urlencoded")
                        .POST(HttpRequest.BodyPublishers.ofString(
                                field + "=" + URLEncoder.encode(value, StandardCharsets.UTF_8))))
                .statusCode();
    }

    /** A file as a page sends it. */
    HttpResponse<String> upload(String path, String name, byte[] file) throws IOException, InterruptedException {
        byte[] head = ("--x\r\nContent-Disposition: form-data; name=\"upload\"; filename=\"" + name
                        + "\"\r\nContent-Type: application/octet-stream\r\n\r\n")
                .getBytes(StandardCharsets.UTF_8);
        byte[] tail = "\r\n--x--\r\n".getBytes(StandardCharsets.UTF_8);
        return send(HttpRequest.newBuilder(address(path))
                .header("Content-Type", "multipart/form-data; boundary=x")
                .POST(HttpRequest.BodyPublishers.ofByteArrays(List.of(head, file, tail))));
    }
}
