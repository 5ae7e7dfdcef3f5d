package whipsaw.app.store;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import org.sqlite.SQLiteConfig;

/** What a database file says of itself, looked at without a server. */
final class StoredFile {
    private static final int LONGEST_FAULT = 160;
    private static final int WAIT_MS = 10_000;

    private StoredFile() {}

    /** The file could not be read or written. */
    static final class Failed extends RuntimeException {
        private static final long serialVersionUID = 1L;

        Failed(SQLException e) {
            super(brief(String.valueOf(e.getMessage())), e);
        }
    }

    /** A path is only a path here: whatever characters it has, none of them is a setting. */
    private static Connection open(Path database) throws SQLException {
        SQLiteConfig config = new SQLiteConfig();
        config.setBusyTimeout(WAIT_MS);
        config.setOpenMode(org.sqlite.SQLiteOpenMode.READWRITE);
        config.resetOpenMode(org.sqlite.SQLiteOpenMode.CREATE);
        return DriverManager.getConnection(url(database), config.toProperties());
    }

    /** The address of a database file, with what would end a path written as it is in addresses. */
    static String url(Path database) {
        String plain = database.toAbsolutePath().toString();
        boolean ordinary = plain.indexOf('?') < 0 && plain.indexOf('%') < 0 && plain.indexOf('#') < 0;
        return "jdbc:sqlite:"
                + (ordinary
                        ? plain
                        : "file:"
                                + plain.replace("%", "%25").replace("?", "%3f").replace("#", "%23"));
    }

    /** What SQLite finds wrong with a database; empty when it is sound. A file that is not there is sound. */
    static List<String> faults(Path database) {
        List<String> faults = new ArrayList<>();
        if (!Files.exists(database)) {
            return faults;
        }
        try (Connection c = open(database);
                Statement s = c.createStatement();
                ResultSet r = s.executeQuery("PRAGMA integrity_check(5)")) {
            while (r.next()) {
                if (!r.getString(1).equals("ok")) {
                    faults.add(r.getString(1));
                }
            }
        } catch (SQLException e) {
            faults.add(e.getMessage());
        }
        return faults;
    }

    /** The first words of a long report. */
    static String brief(String fault) {
        String line = fault.replace("*** in database main ***", "").strip().replaceAll("\\s*\\R\\s*", "; ");
        return line.length() > LONGEST_FAULT ? line.substring(0, LONGEST_FAULT) + "…" : line;
    }

    /** Whether it is a database of jobs; an empty or missing file is none, a damaged one is taken for one. */
    static boolean hasTables(Path database) {
        try {
            if (!Files.exists(database) || Files.size(database) == 0) {
                return false;
            }
        } catch (java.io.IOException e) {
            return true;
        }
        try {
            return number(database, "select count(*) from sqlite_master where name in ('job', 'revision')") == 2;
        } catch (Failed e) {
            return true;
        }
    }

    /** Largest row id of a revision; 0 where none can be read. */
    static long newest(Path database) {
        try {
            return hasTables(database) ? number(database, "select coalesce(max(id), 0) from revision") : 0;
        } catch (Failed e) {
            return 0;
        }
    }

    /** Version of the schema; 0 where none is written. */
    static int version(Path database) {
        try {
            boolean versioned =
                    number(database, "select count(*) from sqlite_master where name = 'flyway_schema_history'") == 1;
            return versioned
                    ? (int)
                            number(
                                    database,
                                    "select coalesce(max(cast(version as integer)), 0) from flyway_schema_history where success")
                    : 0;
        } catch (Failed e) {
            return 0;
        }
    }

    private static long number(Path database, String sql) {
        try (Connection c = open(database);
                Statement s = c.createStatement();
                ResultSet r = s.executeQuery(sql)) {
            return r.next() ? r.getLong(1) : 0;
        } catch (SQLException e) {
            throw new Failed(e);
        }
    }

    /** Writes the write-ahead log into the database, so that the file alone holds everything. */
    static void emptyLog(Path database) {
        try (Connection c = open(database);
                Statement s = c.createStatement()) {
            s.execute("PRAGMA wal_checkpoint(TRUNCATE)");
        } catch (SQLException e) {
            throw new Failed(e);
        }
    }

    /** One consistent state in a file of its own. */
    static void copy(Path database, Path to) {
        try (Connection c = open(database);
                PreparedStatement copy = c.prepareStatement("VACUUM INTO ?")) {
            copy.setString(1, to.toString());
            copy.execute();
        } catch (SQLException e) {
            throw new Failed(e);
        }
    }
}
