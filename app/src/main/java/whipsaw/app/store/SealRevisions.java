package whipsaw.app.store;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import org.flywaydb.core.api.MigrationVersion;
import org.flywaydb.core.api.migration.Context;
import org.flywaydb.core.api.migration.JavaMigration;
import org.springframework.stereotype.Component;

/** Seals the revisions of a store from before there were checksums: from here on nothing of them may change unnoticed. */
@Component
class SealRevisions implements JavaMigration {
    /** Its own and for good: later migrations come after it. */
    private static final String VERSION = "6";

    @Override
    public MigrationVersion getVersion() {
        return MigrationVersion.fromVersion(VERSION);
    }

    @Override
    public String getDescription() {
        return "seal revisions";
    }

    @Override
    public Integer getChecksum() {
        return null;
    }

    @Override
    public boolean canExecuteInTransaction() {
        return true;
    }

    @Override
    public void migrate(Context context) throws SQLException {
        Connection c = context.getConnection();
        String all = "select id, job_id, number, made_on, shows, kind, who, at, words, document from revision"
                + " order by job_id, number";
        try (Statement s = c.createStatement();
                ResultSet r = s.executeQuery(all);
                PreparedStatement set =
                        c.prepareStatement("update revision set checksum = ?, chain = ? where id = ?")) {
            int job = -1;
            String before = "";
            while (r.next()) {
                before = r.getInt("job_id") == job ? before : "";
                job = r.getInt("job_id");
                Seal seal = Seal.of(
                        before,
                        new Seal.Fields(
                                r.getInt("number"),
                                r.getInt("made_on"),
                                r.getInt("shows"),
                                r.getString("kind"),
                                r.getString("who"),
                                r.getString("at"),
                                r.getString("words")),
                        r.getString("document"));
                set.setString(1, seal.checksum());
                set.setString(2, seal.chain());
                set.setLong(3, r.getLong("id"));
                set.addBatch();
                before = seal.chain();
            }
            set.executeBatch();
        }
    }
}
