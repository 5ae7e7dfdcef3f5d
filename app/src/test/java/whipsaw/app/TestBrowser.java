package whipsaw.app;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;

/** One real browser for all tests of a process; every page of it has cookies and memory of its own. */
final class TestBrowser {
    private static Playwright playwright;
    private static Browser browser;

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

    /** Closes what tests left open. */
    static void closePages() {
        if (browser != null) {
            browser.contexts().forEach(BrowserContext::close);
        }
    }
}
