package whipsaw.app.store;

import java.io.IOException;
import java.net.ConnectException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import whipsaw.app.Whipsaw;

/** The application as a process of its own, which can be killed, and a page that edits one of its jobs. */
final class ChildServer {
    private static final int MOST_ASKED = 1200;
    private static final Pattern TOKEN = Pattern.compile("name=\"csrf\" content=\"([^\"]+)\"");

    private final HttpClient http = HttpClient.newHttpClient();
    private final Process process;
    private final Path log;
    private final String job;
    private Map<String, String> token = Map.of();

    /**
     * Starts it; it may not listen yet.
     *
     * @param job path of the job that is edited
     */
    ChildServer(Path data, Path log, String job) throws IOException {
        int port;
        try (ServerSocket any = new ServerSocket(0)) {
            port = any.getLocalPort();
        }
        this.log = log;
        this.job = "http://127.0.0.1:" + port + job;
        this.process = command(log, "demo", "--data", data.toString(), "--port", String.valueOf(port));
    }

    /** Starts one of the product's commands. */
    static Process command(Path log, String... args) throws IOException {
        List<String> command = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:TieredStopAtLevel=1",
                "-XX:+UseSerialGC",
                "-cp",
                System.getProperty("java.class.path"),
                Whipsaw.class.getName()));
        command.addAll(List.of(args));
        return new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(log.toFile())
                .start();
    }

    Process process() {
        return process;
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
                .header("Accept", "application/json, text/html")
                .POST(HttpRequest.BodyPublishers.ofString(body));
        token.forEach(request::header);
        HttpResponse<String> answer = http.send(request.build(), HttpResponse.BodyHandlers.ofString());
        if (answer.statusCode() != 200) {
            throw new AssertionError(answer.statusCode() + " " + answer.body());
        }
        return answer.body();
    }
}
