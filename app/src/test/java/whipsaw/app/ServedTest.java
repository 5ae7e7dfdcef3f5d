package whipsaw.app;

import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.List;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;

/** A test class with the application running, each with a store of its own. */
public abstract class ServedTest {
    protected static TestServer server;

    /** What scripts of the pages complained of, and resources that were refused. */
    protected final List<String> faults = new ArrayList<>();

    @BeforeAll
    static void startServer() {
        server = new TestServer();
    }

    @AfterAll
    static void stopServer() {
        server.close();
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
