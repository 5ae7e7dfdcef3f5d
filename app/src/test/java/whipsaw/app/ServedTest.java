package whipsaw.app;

import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.List;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.TestInfo;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.extension.TestExecutionExceptionHandler;

/**
 * A test class with the application running. One server and its store serve all classes of a process that make jobs of
 * their own or only read; those marked {@link OwnServer} get another.
 */
public abstract class ServedTest {
    private static TestServer shared;

    /** Says of a test that failed which pages were asked for last, and how that was answered. */
    @RegisterExtension
    static final TestExecutionExceptionHandler TRAIL = (test, why) -> {
        throw new AssertionError("after " + TestBrowser.trail() + "\n" + why.getMessage(), why);
    };

    protected static TestServer server;

    /** What scripts of the pages complained of, and resources that were refused. */
    protected final List<String> faults = new ArrayList<>();

    @BeforeAll
    static void startServer(TestInfo test) {
        if (own(test)) {
            server = new TestServer();
            return;
        }
        if (shared == null) {
            shared = new TestServer();
            Runtime.getRuntime().addShutdownHook(new Thread(shared::close));
        }
        server = shared;
    }

    @AfterAll
    static void stopServer(TestInfo test) {
        TestBrowser.closePages();
        if (own(test)) {
            server.close();
        }
    }

    private static boolean own(TestInfo test) {
        return test.getTestClass().orElseThrow().isAnnotationPresent(OwnServer.class);
    }

    @AfterEach
    void noScriptComplained() {
        Assertions.assertThat(faults).isEmpty();
    }

    /** A page of the size of a laptop's window. */
    protected Page page() {
        return server.page(1280, 800, faults);
    }

    /** Opens the bench of a job and waits until it can be worked on. */
    protected static void openBench(Page page, String slug) {
        page.navigate(server.address("/jobs/" + slug));
        page.locator("#bench[data-ready]").waitFor();
    }
}
