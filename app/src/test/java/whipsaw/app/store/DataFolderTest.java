package whipsaw.app.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.io.RandomAccessFile;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import whipsaw.app.command.BackupCommand;

/** Backups, restoring, damage and the lock, on databases of their own. */
class DataFolderTest {
    @TempDir
    Path dir;

    private Path data;
    private DataFolder folder;

    @BeforeEach
    void make() throws SQLException, IOException {
        data = Files.createDirectories(dir.resolve("data"));
        folder = new DataFolder(data);
        try (Connection c = open(folder.database());
                Statement s = c.createStatement()) {
            s.execute("PRAGMA journal_mode = wal");
            s.execute("create table job (id integer primary key)");
            s.execute("create table revision (id integer primary key, document text)");
            insert(s, 400);
        }
    }

    private static Connection open(Path file) throws SQLException {
        return DriverManager.getConnection("jdbc:sqlite:" + file);
    }

    private static void insert(Statement s, int count) throws SQLException {
        for (int i = 0; i < count; i++) {
            s.execute("insert into revision (document) values (hex(randomblob(300)))");
        }
    }

    private static int count(Path file) throws SQLException {
        try (Connection c = open(file);
                Statement s = c.createStatement();
                var r = s.executeQuery("select count(*) from revision")) {
            return r.getInt(1);
        }
    }

    private static void scribble(Path file) throws IOException {
        try (RandomAccessFile f = new RandomAccessFile(file.toFile(), "rw")) {
            for (long at = 4096; at < f.length(); at += 4096) {
                f.seek(at + 7);
                f.write(new byte[] {1, 2, 3, 4, 5, 6, 7, 8, 9});
            }
        }
    }

    @Test
    void aBackupTakenWhileOthersWriteIsWholeAndHasAllThatWasAcknowledged() throws Exception {
        AtomicBoolean stop = new AtomicBoolean();
        Thread writer = new Thread(() -> {
            try (Connection c = open(folder.database());
                    Statement s = c.createStatement()) {
                while (!stop.get()) {
                    insert(s, 1);
                }
            } catch (SQLException e) {
                throw new IllegalStateException(e);
            }
        });
        writer.start();
        try {
            int before = 400;
            for (int i = 0; i < 6; i++) {
                int acknowledged = count(folder.database());
                Path file = dir.resolve("backup-" + i + ".db");
                folder.backup(file);
                assertThat(StoredFile.faults(file)).isEmpty();
                assertThat(count(file)).isGreaterThanOrEqualTo(Math.max(acknowledged, before));
                before = count(file);
            }
        } finally {
            stop.set(true);
            writer.join();
        }
    }

    @Test
    void restoringPutsTheBackupInPlaceAndKeepsWhatWasThere() throws Exception {
        Path file = dir.resolve("backup.db");
        folder.backup(file);
        try (Connection c = open(folder.database());
                Statement s = c.createStatement()) {
            insert(s, 25);
        }
        Path kept = folder.restore(file);
        assertThat(count(folder.database())).isEqualTo(400);
        assertThat(count(kept)).isEqualTo(425);
    }

    @Test
    void nothingIsOverwrittenAndNothingHalfWritten() throws Exception {
        Path file = dir.resolve("backup.db");
        Files.writeString(file, "mine");
        assertThatThrownBy(() -> folder.backup(file)).hasMessageContaining("there already");
        assertThat(Files.readString(file)).isEqualTo("mine");
        assertThatThrownBy(() -> folder.restore(file)).hasMessageContaining("no sound backup");
        assertThatThrownBy(() -> folder.restore(dir.resolve("none.db"))).hasMessageContaining("no file");
        assertThat(count(folder.database())).isEqualTo(400);
        try (Connection c = open(dir.resolve("other.db"));
                Statement s = c.createStatement()) {
            s.execute("create table recipes (id integer)");
        }
        assertThatThrownBy(() -> folder.restore(dir.resolve("other.db"))).hasMessageContaining("no Whipsaw backup");
        try (Stream<Path> left = Files.list(dir)) {
            assertThat(left.map(Path::toString)).noneMatch(f -> f.endsWith(".part"));
        }
    }

    @Test
    void aDamagedDatabaseIsRefusedWithTheWayForward() throws Exception {
        folder.check();
        folder.dailyCopy();
        checkpoint();
        scribble(folder.database());
        assertThatThrownBy(folder::check)
                .isInstanceOf(DataFolder.Trouble.class)
                .hasMessageContaining("is damaged")
                .hasMessageContaining("./whipsaw restore " + data.resolve("copies"))
                .hasMessageContaining("NEW-FOLDER");
        Path copy;
        try (Stream<Path> copies = Files.list(data.resolve("copies"))) {
            copy = copies.findFirst().orElseThrow();
        }
        folder.restore(copy);
        folder.check();
        assertThat(count(folder.database())).isEqualTo(400);
    }

    private void checkpoint() throws SQLException {
        try (Connection c = open(folder.database());
                Statement s = c.createStatement()) {
            s.execute("PRAGMA wal_checkpoint(TRUNCATE)");
        }
    }

    private void writeMore(int count) throws SQLException {
        try (Connection c = open(folder.database());
                Statement s = c.createStatement()) {
            insert(s, count);
        }
    }

    /** The main file as it is without what stands in its log, as somebody copies "the one file". */
    private DataFolder withoutItsLog(Path to) throws Exception {
        Files.createDirectories(to);
        try (Connection c = open(folder.database());
                Statement s = c.createStatement()) {
            insert(s, 30);
            Files.copy(folder.database(), to.resolve("whipsaw.db"));
        }
        Files.writeString(to.resolve("whipsaw.mark"), "430");
        return new DataFolder(to);
    }

    @Test
    void aLostLogIsFoundByTheMark() throws Exception {
        checkpoint();
        DataFolder less = withoutItsLog(dir.resolve("less"));
        assertThatThrownBy(less::check)
                .hasMessageContaining("ends at revision mark 400, and 430 was acknowledged")
                .hasMessageContaining("write-ahead log")
                .hasMessageContaining("rm " + dir.resolve("less/whipsaw.mark"));
        Files.delete(dir.resolve("less/whipsaw.mark"));
        less.check();
        folder.highWater().reached(430);
        folder.check();
        assertThat(folder.highWater().revision()).isEqualTo(430);
        folder.highWater().reached(410);
        assertThat(folder.highWater().revision()).as("it never falls by itself").isEqualTo(430);
    }

    /** After a look at the start the one file holds everything. */
    @Test
    void theLogIsEmptyAfterTheCheck() throws Exception {
        writeMore(10);
        folder.check();
        Path alone = Files.createDirectories(dir.resolve("alone")).resolve("whipsaw.db");
        Files.copy(folder.database(), alone);
        assertThat(count(alone)).isEqualTo(410);
    }

    @Test
    void noStoreIsBegunWhereAnOlderOneStood() throws Exception {
        new DataFolder(Files.createDirectories(dir.resolve("new"))).check();
        folder.dailyCopy();
        Files.write(folder.database(), new byte[0]);
        assertThatThrownBy(folder::check).hasMessageContaining("is empty, but there was one");
        for (String tail : List.of("", "-wal", "-shm")) {
            Files.deleteIfExists(data.resolve("whipsaw.db" + tail));
        }
        assertThatThrownBy(folder::check)
                .hasMessageContaining("There is no database")
                .hasMessageContaining("./whipsaw restore " + data.resolve("copies"));
        Path marked = Files.createDirectories(dir.resolve("marked"));
        Files.writeString(marked.resolve("whipsaw.mark"), "7");
        assertThatThrownBy(() -> new DataFolder(marked).check())
                .hasMessageContaining("revision mark 7 was acknowledged");
    }

    /** A clock that was wrong: the copy with the newest revision is offered, and kept, whatever its name says. */
    @Test
    void copiesAreOfferedAndKeptByRevision() throws Exception {
        Files.createDirectories(data.resolve("copies"));
        checkpoint();
        Files.copy(folder.database(), data.resolve("copies/whipsaw-2099-01-01.db"));
        writeMore(50);
        Path newest = data.resolve("copies/whipsaw-1970-01-01.db");
        folder.backup(newest);
        for (int day = 1; day < 8; day++) {
            Files.copy(
                    data.resolve("copies/whipsaw-2099-01-01.db"),
                    data.resolve("copies/whipsaw-2098-01-0" + day + ".db"));
        }
        folder.dailyCopy();
        assertThat(newest).exists();
        checkpoint();
        scribble(folder.database());
        Files.delete(data.resolve("copies/whipsaw-" + java.time.LocalDate.now() + ".db"));
        assertThatThrownBy(folder::check)
                .hasMessageContaining("restore " + newest)
                .hasMessageContaining("mark 450");
    }

    @Test
    void aDatabaseOfALaterVersionIsRefusedByName() throws Exception {
        try (Connection c = open(folder.database());
                Statement s = c.createStatement()) {
            s.execute("create table flyway_schema_history (version text, success boolean)");
            s.execute("insert into flyway_schema_history values ('99', 1)");
        }
        assertThatThrownBy(folder::check)
                .hasMessageContaining("is of version 99")
                .hasMessageContaining("to " + Schema.VERSION);
        Path file = dir.resolve("later.db");
        folder.backup(file);
        assertThatThrownBy(() -> new DataFolder(dir.resolve("elsewhere")).restore(file))
                .hasMessageContaining("version 99");
    }

    /** Before a migration a copy is made whatever the day, and a restore that was cut short leaves nothing behind. */
    @Test
    void aMigrationHasItsCopyAndAnUnfinishedRestoreIsNone() throws Exception {
        folder.copyBeforeMigration();
        assertThat(count(data.resolve("copies/whipsaw-of-version-0.db"))).isEqualTo(400);
        Files.writeString(data.resolve("whipsaw.db.incoming"), "half");
        folder.check();
        assertThat(data.resolve("whipsaw.db.incoming")).doesNotExist();
        assertThat(count(folder.database())).isEqualTo(400);
    }

    /** Of a restore of more than was there, whose one step does not come about, the next start asks for no more. */
    @Test
    void aRestoreThatDoesNotComeToItsStepRaisesNoMark() throws Exception {
        Path more = dir.resolve("more.db");
        folder.backup(more);
        DataFolder there = new DataFolder(Files.createDirectories(dir.resolve("there")));
        Files.createDirectories(there.database().resolve("in the way"));
        there.highWater().reset(300);
        assertThatThrownBy(() -> there.restore(more)).hasMessageContaining("could not be put in place");
        assertThat(there.highWater().revision()).isEqualTo(300);
    }

    /** A restore of less than was acknowledged is meant; what a path is called is no setting. */
    @Test
    void aRestoreLowersTheMarkAndPathsAreOnlyPaths() throws Exception {
        Path odd = dir.resolve("a ?mode=memory&b ${x} %41 #c");
        Files.createDirectories(odd);
        Path file = odd.resolve("backup.db");
        folder.backup(file);
        writeMore(20);
        folder.highWater().reached(420);
        DataFolder there = new DataFolder(odd);
        there.restore(file);
        assertThat(odd.resolve("whipsaw.db")).exists();
        assertThat(StoredFile.newest(there.database())).isEqualTo(400);
        there.check();
        folder.restore(file);
        folder.check();
        assertThat(count(folder.database())).isEqualTo(400);
    }

    @Test
    void withoutASoundCopyTheOwnersBackupIsAskedFor() throws Exception {
        checkpoint();
        scribble(folder.database());
        assertThatThrownBy(folder::check).hasMessageContaining("a backup of yours");
    }

    @Test
    void oneCopyADayAndSevenKept() throws Exception {
        Files.createDirectories(data.resolve("copies"));
        for (int day = 10; day < 20; day++) {
            Files.copy(folder.database(), data.resolve("copies/whipsaw-2026-01-" + day + ".db"));
        }
        folder.dailyCopy();
        folder.dailyCopy();
        List<String> names = new ArrayList<>();
        try (Stream<Path> copies = Files.list(data.resolve("copies"))) {
            copies.forEach(c -> names.add(c.getFileName().toString()));
        }
        assertThat(names).hasSize(7).doesNotContain("whipsaw-2026-01-10.db").contains("whipsaw-2026-01-19.db");
    }

    @Test
    void aFolderThatIsMadeIsForItsUserAlone() throws IOException {
        Path made = dir.resolve("deep/er");
        DataFolder.release(new DataFolder(made).lock());
        assertThat(Files.getPosixFilePermissions(made)).isEqualTo(PosixFilePermissions.fromString("rwx------"));
        Set<PosixFilePermission> shared = PosixFilePermissions.fromString("rwxr-x---");
        Files.setPosixFilePermissions(made, shared);
        DataFolder.release(new DataFolder(made).lock());
        assertThat(Files.getPosixFilePermissions(made))
                .as("the owner's own choice")
                .isEqualTo(shared);
    }

    @Test
    void aFolderBelongsToOneServerAtATime() {
        FileLock lock = folder.lock();
        assertThatThrownBy(folder::lock).hasMessageContaining("has " + data);
        Path file = dir.resolve("backup.db");
        folder.backup(file);
        assertThatThrownBy(() -> folder.restore(file))
                .as("not under a running server")
                .hasMessageContaining("stop it first");
        DataFolder.release(lock);
        DataFolder.release(folder.lock());
    }

    @Test
    void theCommandsSayWhatTheyDid() {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ByteArrayOutputStream err = new ByteArrayOutputStream();
        String file = dir.resolve("b.db").toString();
        String[] args = {file, "--data", data.toString()};
        assertThat(BackupCommand.run(false, args, new PrintStream(out), new PrintStream(err)))
                .isZero();
        assertThat(BackupCommand.run(false, args, new PrintStream(out), new PrintStream(err)))
                .isEqualTo(1);
        assertThat(BackupCommand.run(true, args, new PrintStream(out), new PrintStream(err)))
                .isZero();
        assertThat(BackupCommand.run(true, new String[] {"--data"}, new PrintStream(out), new PrintStream(err)))
                .isEqualTo(1);
        assertThat(out.toString()).contains("checked and sound", "Restored", "is kept as");
        assertThat(err.toString()).contains("there already", "usage: whipsaw restore FILE");
    }
}
