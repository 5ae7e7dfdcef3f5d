package whipsaw.app.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A store of an earlier version keeps what people put into it. */
class MigrationTest {
    @Test
    void ownCatalogueEntriesSurviveTheNewKind(@TempDir Path folder) throws SQLException {
        String url = "jdbc:sqlite:" + folder.resolve("old.db");
        Flyway.configure().dataSource(url, "", "").target("3").load().migrate();
        try (Connection db = DriverManager.getConnection(url);
                Statement s = db.createStatement()) {
            s.execute("INSERT INTO catalogue_entry (kind, code, edition, hash, body, origin, added_at)"
                    + " VALUES ('block', 'mine', '7', 'h', '{\"a\":1}', 'own', '2026-01-02T03:04:05Z')");
        }
        Flyway.configure()
                .dataSource(url, "", "")
                .javaMigrations(new SealRevisions())
                .load()
                .migrate();
        assertThat(StoredFile.version(folder.resolve("old.db"))).isEqualTo(Schema.VERSION);
        try (Connection db = DriverManager.getConnection(url);
                Statement s = db.createStatement()) {
            try (ResultSet r = s.executeQuery("SELECT kind, edition, body, origin, added_at FROM catalogue_entry")) {
                assertThat(r.next()).isTrue();
                assertThat(r.getString(1)).isEqualTo("block");
                assertThat(r.getString(2)).isEqualTo("7");
                assertThat(r.getString(3)).isEqualTo("{\"a\":1}");
                assertThat(r.getString(4)).isEqualTo("own");
                assertThat(r.getString(5)).isEqualTo("2026-01-02T03:04:05Z");
                assertThat(r.next()).isFalse();
            }
            // the new kind is taken, the same entry twice is not
            s.execute(
                    "INSERT INTO catalogue_entry (kind, code, edition, hash, body) VALUES ('member', 'z', '1', 'h', '{}')");
            assertThat(
                            org.assertj.core.api.Assertions.catchThrowable(
                                    () -> s.execute(
                                            "INSERT INTO catalogue_entry (kind, code, edition, hash, body) VALUES ('member', 'z', '1', 'h', '{}')")))
                    .isInstanceOf(SQLException.class);
        }
    }
}
