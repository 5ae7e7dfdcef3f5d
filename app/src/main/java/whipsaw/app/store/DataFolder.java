package whipsaw.app.store;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/**
 * The folder that holds everything: the database, its daily copies and the lock of the server that
 * has it open. Checks the database, copies it while it is in use, and puts a copy back.
 */
public final class DataFolder {
    private static final String DATABASE = "whipsaw.db";
    private static final int KEPT_COPIES = 7;
    private static final int LONGEST_FAULT = 160;
    private static final DateTimeFormatter STAMP = DateTimeFormatter.ofPattern("yyyy-MM-dd-HHmmss");

    private final Path folder;

    public DataFolder(Path folder) {
        this.folder = folder.toAbsolutePath().normalize();
    }

    /** Something that stands in the way, in words for the person at the command line. */
    public static class Trouble extends RuntimeException {
        private static final long serialVersionUID = 1L;

        Trouble(String message) {
            super(message);
        }
    }

    public Path database() {
        return folder.resolve(DATABASE);
    }

    private Path copies() {
        return folder.resolve("copies");
    }

    /** Takes the folder for one process; the lock goes with the process, however it ends. */
    public FileLock lock() {
        try {
            Files.createDirectories(folder);
            FileChannel channel = FileChannel.open(
                    folder.resolve("whipsaw.lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
            FileLock lock = tryLock(channel);
            if (lock == null) {
                channel.close();
                throw new Trouble(
                        "another Whipsaw has " + folder + " open: stop it first, or name another folder with --data");
            }
            return lock;
        } catch (IOException e) {
            throw new Trouble("cannot write to " + folder + ": " + e.getMessage());
        }
    }

    private static FileLock tryLock(FileChannel channel) throws IOException {
        try {
            return channel.tryLock();
        } catch (OverlappingFileLockException e) {
            return null;
        }
    }

    /** What SQLite finds wrong with a database; empty when it is sound. A file that is not there is sound. */
    public static List<String> faults(Path database) {
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

    private static Connection open(Path database) throws SQLException {
        return DriverManager.getConnection("jdbc:sqlite:" + database + "?busy_timeout=10000");
    }

    /** Refuses to go on with a damaged database and says what can be done. */
    public void check() {
        List<String> faults = faults(database());
        if (faults.isEmpty()) {
            return;
        }
        StringBuilder words = new StringBuilder("The database " + database() + " is damaged: " + brief(faults.get(0))
                + "\nNothing has been changed. To go on:\n");
        List<Path> sound =
                copiesNewestFirst().stream().filter(c -> faults(c).isEmpty()).toList();
        if (sound.isEmpty()) {
            words.append("  - put back a backup of yours:  ./whipsaw restore FILE --data ")
                    .append(folder);
        } else {
            words.append("  - put back the newest sound copy, or a later backup of yours:\n      ./whipsaw restore ")
                    .append(sound.get(0))
                    .append(" --data ")
                    .append(folder);
        }
        words.append(
                "\n    (the damaged file is kept beside it)\n  - or start with an empty folder:  ./whipsaw serve --data NEW-FOLDER");
        throw new Trouble(words.toString());
    }

    /** The first words of a long report. */
    private static String brief(String fault) {
        String line = fault.replace("*** in database main ***", "").strip().replaceAll("\\s*\\R\\s*", "; ");
        return line.length() > LONGEST_FAULT ? line.substring(0, LONGEST_FAULT) + "…" : line;
    }

    private List<Path> copiesNewestFirst() {
        if (!Files.isDirectory(copies())) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(copies())) {
            return files.filter(f -> f.toString().endsWith(".db"))
                    .sorted(Comparator.reverseOrder())
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * Copies the database to a new file, also while a server uses it: one consistent state with every
     * change acknowledged before the copy began.
     */
    public void backup(Path file) {
        Path target = file.toAbsolutePath();
        if (!Files.exists(database())) {
            throw new Trouble("there is no database in " + folder);
        }
        if (Files.exists(target)) {
            throw new Trouble(target + " is there already: name a new file, nothing is overwritten");
        }
        Path part = target.resolveSibling(target.getFileName() + ".part");
        try {
            Files.createDirectories(target.getParent());
            Files.deleteIfExists(part);
            try (Connection c = open(database());
                    PreparedStatement copy = c.prepareStatement("VACUUM INTO ?")) {
                copy.setString(1, part.toString());
                copy.execute();
            }
            List<String> faults = faults(part);
            if (!faults.isEmpty()) {
                throw new Trouble("the copy is not sound (" + faults.get(0) + "): nothing was written");
            }
            try (FileChannel written = FileChannel.open(part, StandardOpenOption.WRITE)) {
                written.force(true);
            }
            Files.move(part, target, StandardCopyOption.ATOMIC_MOVE);
        } catch (SQLException | IOException e) {
            throw new Trouble("the backup could not be written: " + e.getMessage());
        } finally {
            part.toFile().delete();
        }
    }

    /** Puts a backup in place of the database; what was there is kept beside it. Returns where. */
    public Path restore(Path file) {
        if (!Files.isRegularFile(file)) {
            throw new Trouble("there is no file " + file);
        }
        List<String> faults = faults(file);
        if (!faults.isEmpty()) {
            throw new Trouble(file + " is no sound backup: " + faults.get(0) + ". Nothing was changed");
        }
        if (!hasJobs(file)) {
            throw new Trouble(file + " is no Whipsaw backup: it has no table of jobs. Nothing was changed");
        }
        FileLock lock = lock();
        try {
            Path incoming = folder.resolve(DATABASE + ".incoming");
            Files.copy(file, incoming, StandardCopyOption.REPLACE_EXISTING);
            try (FileChannel written = FileChannel.open(incoming, StandardOpenOption.WRITE)) {
                written.force(true);
            }
            Path kept = folder.resolve("before-restore-" + LocalDateTime.now().format(STAMP) + ".db");
            for (String tail : List.of("", "-wal", "-shm")) {
                Path part = folder.resolve(DATABASE + tail);
                if (Files.exists(part)) {
                    Files.move(part, folder.resolve(kept.getFileName() + tail));
                }
            }
            Files.move(incoming, database(), StandardCopyOption.ATOMIC_MOVE);
            return kept;
        } catch (IOException e) {
            throw new Trouble(
                    "could not be put in place: " + e.getMessage() + ". Look into " + folder + " before going on");
        } finally {
            release(lock);
        }
    }

    private static boolean hasJobs(Path file) {
        try (Connection c = open(file);
                Statement s = c.createStatement();
                ResultSet r = s.executeQuery("select count(*) from sqlite_master where name in ('job', 'revision')")) {
            return r.next() && r.getInt(1) == 2;
        } catch (SQLException e) {
            return false;
        }
    }

    public static void release(FileLock lock) {
        try {
            lock.acquiredBy().close();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** One copy a day, the last seven kept, so that there is something to go back to. */
    public void dailyCopy() {
        Path today = copies().resolve("whipsaw-" + LocalDateTime.now().toLocalDate() + ".db");
        if (!Files.exists(database()) || Files.exists(today)) {
            return;
        }
        backup(today);
        copiesNewestFirst().stream().skip(KEPT_COPIES).forEach(old -> old.toFile()
                .delete());
    }
}
