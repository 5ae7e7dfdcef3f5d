package whipsaw.app.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The short form of what {@code ./whipsaw torture} does. */
class TortureTest {
    @TempDir
    Path dir;

    @Test
    void nothingAcknowledgedIsLostAndNoBitTurnsADocumentUnseen() throws Exception {
        Torture torture = new Torture(dir);
        assertThat(torture.suffer(Map.of(
                        "restores", 5, "backups", 3, "migrations", 1, "flips", 120, "logflips", 30, "servers", 2)))
                .isEmpty();
        Map<String, Integer> told = torture.told();
        assertThat(told.get("edits and job files acknowledged before a kill")).isPositive();
        assertThat(told.get("bits turned over and found by a seal, 1 revision named"))
                .isPositive();
        assertThat(told.keySet())
                .contains(
                        "servers killed while job files were taken in",
                        "servers killed while starting",
                        "servers killed while they migrate",
                        "bits turned over in the log and found at the start");
    }
}
