package whipsaw.app.store;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.FileAttribute;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/**
 * The folder that holds everything: the database, its copies, the mark of its newest revision and the lock of the server
 * that has it open. Checks what is there before a server opens it, copies it while it is in use, and puts a copy back.
 */
public final class DataFolder {
    private static final String DATABASE = "whipsaw.db";
    private static final String INCOMING = DATABASE + ".incoming";
    private static final String KEPT = "before-restore-";
    private static final int KEPT_COPIES = 7;
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

    /** Where a server puts what it needs for a while; emptied at every start. */
    public Path scratch() {
        return folder.resolve("tmp");
    }

    /** Removes what an earlier server left for a while. */
    public void emptyScratch() {
        try (Stream<Path> files = Files.exists(scratch()) ? Files.walk(scratch()) : Stream.empty()) {
            files.sorted(Comparator.reverseOrder())
                    .filter(f -> !f.equals(scratch()))
                    .forEach(f -> f.toFile().delete());
            Files.createDirectories(scratch());
        } catch (IOException e) {
            throw new Trouble("cannot write to " + scratch() + ": " + reason(e));
        }
    }

    public HighWater highWater() {
        return new HighWater(folder.resolve("whipsaw.mark"));
    }

    private Path copies() {
        return folder.resolve("copies");
    }

    /** Takes the folder for one process; the lock goes with the process, however it ends. */
    public FileLock lock() {
        try {
            make();
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
            throw new Trouble("cannot write to " + folder + ": " + reason(e)
                    + ". Give this user write permission, or name another folder with --data");
        }
    }

    /** A folder that is made here is for its user alone; one that stands is left as its owner has it. */
    private void make() throws IOException {
        if (Files.isDirectory(folder)) {
            return;
        }
        Path parent = folder.toAbsolutePath().getParent();
        if (parent != null) {
            Files.createDirectories(parent);
        }
        boolean posix = folder.getFileSystem().supportedFileAttributeViews().contains("posix");
        Files.createDirectory(
                folder,
                posix
                        ? new FileAttribute<?>[] {
                            PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rwx------"))
                        }
                        : new FileAttribute<?>[0]);
    }

    private static FileLock tryLock(FileChannel channel) throws IOException {
        try {
            return channel.tryLock();
        } catch (OverlappingFileLockException e) {
            return null;
        }
    }

    /** Why a file could not be read or written, in words. */
    static String reason(IOException e) {
        if (e instanceof AccessDeniedException) {
            return "no permission for " + e.getMessage();
        }
        if (e instanceof FileSystemException f && f.getReason() != null) {
            return f.getReason() + " (" + f.getFile() + ")";
        }
        return e.getMessage();
    }

    /**
     * Refuses to go on with a database that is damaged, of a later version, or has less than was acknowledged, and says
     * what can be done. Called with the lock held, before anything opens the database.
     */
    public void check() {
        if (Files.exists(database()) && !(Files.isReadable(database()) && Files.isWritable(database()))) {
            throw new Trouble(
                    database() + " may not be read and written by this user: no permission. Nothing has been changed");
        }
        long marked = highWater().revision();
        if (!StoredFile.hasTables(database())) {
            noStore(marked);
            return;
        }
        List<String> faults = StoredFile.faults(database());
        if (!faults.isEmpty()) {
            throw new Trouble("The database " + database() + " is damaged: " + StoredFile.brief(faults.get(0))
                    + "\nNothing has been changed. To go on:\n" + wayOn());
        }
        int version = StoredFile.version(database());
        if (version > Schema.VERSION) {
            throw new Trouble("The database " + database() + " is of version " + version
                    + "; this Whipsaw knows versions to " + Schema.VERSION
                    + ". Nothing has been changed: start the later Whipsaw it was written by, or put an older copy back:\n"
                    + wayOn());
        }
        StoredFile.emptyLog(database());
        long newest = StoredFile.newest(database());
        if (newest < marked) {
            throw new Trouble("The database " + database() + " ends at revision mark " + newest + ", and " + marked
                    + " was acknowledged: its write-ahead log (" + DATABASE
                    + "-wal) was lost, or an older file was put in its place.\nNothing has been changed. To go on:\n"
                    + wayOn() + "\n  - or go on with what is there, which loses what came after:  rm "
                    + highWater().file());
        }
        highWater().reached(newest);
        removeLeftover();
    }

    /** A store is begun only where there is no sign of an older one. */
    private void noStore(long marked) {
        List<Path> signs = new ArrayList<>(copiesByRevision());
        try (Stream<Path> files = Files.list(folder)) {
            files.filter(f -> f.getFileName().toString().startsWith(KEPT)
                            || f.getFileName().toString().equals(INCOMING)
                            || f.getFileName().toString().equals(DATABASE + "-wal"))
                    .forEach(signs::add);
        } catch (IOException e) {
            throw new Trouble("cannot read " + folder + ": " + reason(e));
        }
        if (marked == 0 && signs.isEmpty()) {
            return;
        }
        throw new Trouble((Files.exists(database()) ? database() + " is empty" : "There is no database in " + folder)
                + ", but there was one: "
                + (marked > 0 ? "revision mark " + marked + " was acknowledged" : "")
                + (signs.isEmpty()
                        ? ""
                        : (marked > 0 ? ", and " : "") + signs.size() + " older files are here, as "
                                + signs.get(0).getFileName())
                + ".\nNothing has been changed. To go on:\n" + wayOn());
    }

    /** What may be typed to go on: the sound copy with the newest revision first. */
    private String wayOn() {
        Path best = copiesByRevision().stream()
                .filter(c -> StoredFile.faults(c).isEmpty())
                .findFirst()
                .orElse(null);
        return (best == null
                        ? "  - put back a backup of yours:  ./whipsaw restore FILE --data " + folder
                        : "  - put back the sound copy with the newest revision (mark " + StoredFile.newest(best)
                                + "), or a later backup of yours:\n      ./whipsaw restore " + best + " --data "
                                + folder)
                + "\n    (what is there now is kept beside it)\n  - or start with an empty folder:  ./whipsaw serve --data NEW-FOLDER";
    }

    /** Of a restore that never came to its one step. */
    private void removeLeftover() {
        folder.resolve(INCOMING).toFile().delete();
    }

    /** Copies, and what was kept at a restore, the one with the newest revision first. */
    private List<Path> copiesByRevision() {
        List<Path> all = new ArrayList<>();
        for (Path place : List.of(copies(), folder)) {
            if (!Files.isDirectory(place)) {
                continue;
            }
            try (Stream<Path> files = Files.list(place)) {
                files.filter(f -> f.toString().endsWith(".db") && !f.equals(database()))
                        .forEach(all::add);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
        return all.stream()
                .sorted(Comparator.comparingLong((Path f) -> -StoredFile.newest(f))
                        .thenComparing(Comparator.reverseOrder()))
                .toList();
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
            StoredFile.copy(database(), part);
            List<String> faults = StoredFile.faults(part);
            if (!faults.isEmpty()) {
                throw new Trouble("the copy is not sound (" + faults.get(0) + "): nothing was written");
            }
            force(part);
            Files.move(part, target, StandardCopyOption.ATOMIC_MOVE);
        } catch (StoredFile.Failed e) {
            throw new Trouble("the backup could not be written: " + e.getMessage());
        } catch (IOException e) {
            throw new Trouble("the backup could not be written: " + reason(e));
        } finally {
            part.toFile().delete();
        }
    }

    private static void force(Path file) throws IOException {
        try (FileChannel written = FileChannel.open(file, StandardOpenOption.WRITE)) {
            written.force(true);
        }
    }

    /**
     * Puts a backup in place of the database, in one step of the file system: until it is made the old database stands,
     * afterwards the new one. What was there is kept beside it. Returns where, or null when nothing was there.
     */
    public Path restore(Path file) {
        if (!Files.isRegularFile(file)) {
            throw new Trouble("there is no file " + file);
        }
        List<String> faults = StoredFile.faults(file);
        if (!faults.isEmpty()) {
            throw new Trouble(file + " is no sound backup: " + faults.get(0) + ". Nothing was changed");
        }
        if (!StoredFile.hasTables(file)) {
            throw new Trouble(file + " is no Whipsaw backup: it has no table of jobs. Nothing was changed");
        }
        if (StoredFile.version(file) > Schema.VERSION) {
            throw new Trouble(file + " is of version " + StoredFile.version(file) + "; this Whipsaw knows versions to "
                    + Schema.VERSION + ". Nothing was changed");
        }
        FileLock lock = lock();
        try {
            Path incoming = folder.resolve(INCOMING);
            Files.deleteIfExists(incoming);
            StoredFile.copy(file, incoming);
            List<String> broken = StoredFile.faults(incoming);
            if (!broken.isEmpty()) {
                throw new Trouble("the copy of " + file + " is not sound: " + broken.get(0) + ". Nothing was changed");
            }
            force(incoming);
            Path kept = keepWhatIsThere();
            long newest = StoredFile.newest(incoming);
            // before and after the one step the mark asks for no more than stands there
            highWater().reset(Math.min(newest, highWater().revision()));
            Files.move(incoming, database(), StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
            highWater().reached(newest);
            return kept;
        } catch (StoredFile.Failed e) {
            throw new Trouble("could not be put in place: " + e.getMessage() + ". Nothing was changed");
        } catch (IOException e) {
            throw new Trouble("could not be put in place: " + reason(e) + ". Look into " + folder + " before going on");
        } finally {
            release(lock);
        }
    }

    /** The database under a second name, its log written into it; of a damaged one the log too. */
    private Path keepWhatIsThere() throws IOException {
        if (!Files.exists(database())) {
            return null;
        }
        if (StoredFile.faults(database()).isEmpty()) {
            StoredFile.emptyLog(database());
        }
        String stamp = KEPT + LocalDateTime.now().format(STAMP);
        Path kept = folder.resolve(stamp + ".db");
        for (int i = 2; Files.exists(kept); i++) {
            kept = folder.resolve(stamp + "-" + i + ".db");
        }
        Path log = folder.resolve(DATABASE + "-wal");
        if (Files.exists(log)) {
            // only a database that cannot be read still has one: it must not be played into the new one
            Files.copy(database(), kept);
            Files.move(log, folder.resolve(kept.getFileName() + "-wal"));
        } else {
            link(kept);
        }
        Files.deleteIfExists(folder.resolve(DATABASE + "-shm"));
        return kept;
    }

    private void link(Path kept) throws IOException {
        try {
            Files.createLink(kept, database());
        } catch (UnsupportedOperationException | FileSystemException e) {
            Files.copy(database(), kept);
        }
    }

    public static void release(FileLock lock) {
        try {
            lock.acquiredBy().close();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** One copy a day, those with the newest revisions kept, so that there is something to go back to. */
    public void dailyCopy() {
        Path today = copies().resolve("whipsaw-" + LocalDateTime.now().toLocalDate() + ".db");
        if (!Files.exists(database()) || Files.exists(today)) {
            return;
        }
        backup(today);
        prune();
    }

    /** A copy before the database is brought to a later version, whatever the day. */
    public void copyBeforeMigration() {
        if (!Files.exists(database()) || !StoredFile.hasTables(database())) {
            return;
        }
        int version = StoredFile.version(database());
        Path before = copies().resolve("whipsaw-of-version-" + version + ".db");
        if (version < Schema.VERSION && !Files.exists(before)) {
            backup(before);
        }
    }

    /** Copies of a day beyond the seven with the newest revisions go; those before a migration stay. */
    private void prune() {
        copiesByRevision().stream()
                .filter(c -> c.getParent().equals(copies())
                        && !c.getFileName().toString().contains("of-version"))
                .skip(KEPT_COPIES)
                .forEach(old -> old.toFile().delete());
    }
}
