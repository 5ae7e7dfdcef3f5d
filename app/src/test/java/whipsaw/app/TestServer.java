package whipsaw.app;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Page;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.context.ConfigurableApplicationContext;
import whipsaw.app.command.ServeCommand;

/** The real application on a free port with an own store, and a real browser to drive it. */
public final class TestServer implements AutoCloseable {
    static {
        // shorter than the server keeps an idle connection, or a request could meet one that is being closed
        System.setProperty("jdk.httpclient.keepalive.timeout", "5");
    }

    private final ConfigurableApplicationContext context;
    private final String address;
    private final HttpClient http = HttpClient.newHttpClient();
    private Map<String, String> token;

    /**
     * @param settings of the application, as {@code name=value}
     */
    public TestServer(String... settings) {
        try {
            Path data = Files.createTempDirectory("whipsaw-test");
            context = ServeCommand.start(data, 0, true, settings);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        address = "http://127.0.0.1:" + context.getEnvironment().getProperty("local.server.port");
    }

    public String address(String path) {
        return address + path;
    }

    public <T> T bean(Class<T> type) {
        return context.getBean(type);
    }

    /**
     * A page of the given size; faults of its scripts and refused resources are collected in
     * faults.
     */
    public Page page(int width, int height, List<String> faults) {
        Page page = TestBrowser.get().newPage(new Browser.NewPageOptions().setViewportSize(width, height));
        // a busy machine answers late: the first page of a cold server above all
        page.setDefaultNavigationTimeout(180_000);
        page.setDefaultTimeout(90_000);
        page.onPageError(faults::add);
        TestBrowser.watch(page);
        page.onConsoleMessage(m -> {
            // a refused change answers 4xx on purpose, and the browser notes that too
            if (m.type().equals("error") && !m.text().contains("status of 4")) {
                faults.add(m.text());
            }
        });
        return page;
    }

    public HttpResponse<String> get(String path) {
        return send(HttpRequest.newBuilder(URI.create(address + path)).GET());
    }

    /** A file as it comes. */
    public byte[] bytes(String path) {
        try {
            return http.send(
                            HttpRequest.newBuilder(URI.create(address + path))
                                    .GET()
                                    .build(),
                            HttpResponse.BodyHandlers.ofByteArray())
                    .body();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    /** Posts as our own pages do, with their token. */
    public HttpResponse<String> post(String path, String json, String... headers) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address + path))
                .header("Content-Type", "application/json")
                .header("Accept", "application/json, text/html")
                .POST(HttpRequest.BodyPublishers.ofString(json));
        token().forEach(request::header);
        return send(request, headers);
    }

    /** A form as a browser sends it, with the token. */
    public HttpResponse<String> form(String path, Map<String, String> fields) {
        StringBuilder body = new StringBuilder();
        fields.forEach((k, v) -> body.append(body.length() == 0 ? "" : "&")
                .append(k)
                .append('=')
                .append(URLEncoder.encode(v, StandardCharsets.UTF_8)));
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address + path))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .header("Accept", "text/html")
                .POST(HttpRequest.BodyPublishers.ofString(body.toString()));
        token().forEach(request::header);
        return send(request);
    }

    /** The headers that prove a request comes from a page of our own. */
    public Map<String, String> token() {
        if (token == null) {
            HttpResponse<String> page = get("/");
            String cookie =
                    page.headers().firstValue("Set-Cookie").orElseThrow().split(";")[0];
            Matcher meta = Pattern.compile("name=\"csrf\" content=\"([^\"]+)\"").matcher(page.body());
            if (!meta.find()) {
                throw new IllegalStateException("the page has no token");
            }
            token = Map.of("Cookie", cookie, "X-XSRF-TOKEN", meta.group(1));
        }
        return token;
    }

    private HttpResponse<String> send(HttpRequest.Builder request, String... headers) {
        for (int i = 0; i < headers.length; i += 2) {
            request.header(headers[i], headers[i + 1]);
        }
        return send(request);
    }

    public HttpResponse<String> send(HttpRequest.Builder request) {
        try {
            return http.send(request.build(), HttpResponse.BodyHandlers.ofString());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    /** Ends the browser when a program of the test tree is done with it; tests share it to the end of their process. */
    public interface Browsing extends AutoCloseable {
        @Override
        void close();
    }

    /** The browser, to be closed at the end. */
    public static Browsing browsing() {
        return TestBrowser::close;
    }

    @Override
    public void close() {
        context.close();
    }
}
