package whipsaw.app;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.List;
import java.util.Map;
import java.util.Queue;

/** One real browser for all tests of a process; every page of it has cookies and memory of its own. */
final class TestBrowser {
    private static Playwright playwright;
    private static Browser browser;
    private static final int LONGEST_TRAIL = 8;
    private static final Queue<String> TRAIL = new ArrayDeque<>();

    private TestBrowser() {}

    static Browser get() {
        if (browser == null) {
            // a busy machine answers late; a test waits for what it wants and not for a time
            PlaywrightAssertions.setDefaultAssertionTimeout(60_000);
            playwright = Playwright.create(
                    new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
            browser = playwright
                    .chromium()
                    .launch(new BrowserType.LaunchOptions()
                            .setExecutablePath(path())
                            .setArgs(List.of("--no-sandbox", "--disable-gpu", "--disable-background-networking")));
            Runtime.getRuntime().addShutdownHook(new Thread(TestBrowser::close));
        }
        return browser;
    }

    /** Debian's browser without a window, which starts and draws quicker, or else the one with. */
    private static Path path() {
        Path shell = Path.of("/usr/bin/chromium-headless-shell");
        return Files.exists(shell) ? shell : Path.of("/usr/bin/chromium");
    }

    /** Ends the browser and the threads that speak to it, which keep a process alive. */
    static synchronized void close() {
        if (playwright != null) {
            playwright.close();
            playwright = null;
            browser = null;
        }
    }

    /** Notes which pages are asked for and how that is answered. */
    static void watch(Page page) {
        page.onRequest(r -> {
            if (r.isNavigationRequest()) {
                note(r.method() + " " + r.url());
            }
        });
        page.onResponse(r -> {
            if (r.request().isNavigationRequest()) {
                note(r.status() + " " + r.url());
            }
        });
        page.onRequestFailed(r -> note("failed " + r.url() + " " + r.failure()));
    }

    private static void note(String line) {
        TRAIL.add(line);
        if (TRAIL.size() > LONGEST_TRAIL) {
            TRAIL.remove();
        }
    }

    /** The last pages that were asked for, for a test that failed. */
    static String trail() {
        return String.join("\n", TRAIL);
    }

    /** Closes what tests left open. */
    static void closePages() {
        if (browser != null) {
            browser.contexts().forEach(BrowserContext::close);
        }
    }
}
