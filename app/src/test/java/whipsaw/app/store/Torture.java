package whipsaw.app.store;

import ch.qos.logback.classic.Level;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.net.http.HttpRequest;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.flywaydb.core.Flyway;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * What the store stands: processes killed hard while they restore, start and
 * are edited, and bits turned over in the
 * database and its log. Bounded in number, on this machine only. Prints what it measured; a loss ends it with 1.
 */
public final class Torture {
    private static final String JOB = "/jobs/overmere-parcel-shed";
    private static final Pattern REVISION = Pattern.compile("data-revision=\"(\\d+)\"");

    /** How often each is done when nothing else is asked. */
    private static final Map<String, Integer> USUAL = Map.of(
            "restores", 60,
            "backups", 40,
            "migrations", 20,
            "flips", 400,
            "logflips", 200,
            "servers", 20,
            "hostile", 1,
            "fuzz", 5_000,
            "minutes", 1);

    private final Path dir;
    private final Random random = new Random(20_261_128);
    private final Map<String, Integer> told = new TreeMap<>();
    private final List<String> losses = new ArrayList<>();

    Torture(Path dir) {
        this.dir = dir;
    }

    /** @param args {@code NAME=COUNT} for each of {@link #USUAL} */
    public static void main(String[] args) throws Exception {
        Map<String, Integer> asked = new TreeMap<>(USUAL);
        for (String arg : args) {
            String[] parts = arg.split("=", 2);
            if (parts.length < 2 || !USUAL.containsKey(parts[0]) || !parts[1].matches("\\d{1,7}")) {
                System.err.println("give NAME=COUNT with one of " + USUAL.keySet());
                System.exit(1);
            }
            asked.put(parts[0], Integer.valueOf(parts[1]));
        }
        if (LoggerFactory.getLogger(Logger.ROOT_LOGGER_NAME) instanceof ch.qos.logback.classic.Logger root) {
            root.setLevel(Level.ERROR);
        }
        Path dir = Files.createTempDirectory("whipsaw-torture");
        Torture torture = new Torture(dir);
        ServerTorture served = new ServerTorture(dir);
        try {
            torture.suffer(asked);
            served.suffer(asked.get("hostile"), asked.get("fuzz"), asked.get("minutes"));
        } catch (Exception e) {
            torture.losses.add("ended early: " + e);
        }
        torture.told.forEach((what, count) -> System.out.println(count + "  " + what));
        served.told().forEach(System.out::println);
        List<String> losses = new ArrayList<>(torture.losses);
        losses.addAll(served.faults());
        losses.forEach(l -> System.out.println("LOST  " + l));
        System.exit(losses.isEmpty() ? 0 : 1);
    }

    /** What is done to the store; returns what was lost. */
    List<String> suffer(Map<String, Integer> counts) throws Exception {
        kills(counts.getOrDefault("restores", 0));
        backups(counts.getOrDefault("backups", 0));
        migrations(counts.getOrDefault("migrations", 0));
        flips(counts.getOrDefault("flips", 0));
        flipsInTheLog(counts.getOrDefault("logflips", 0));
        edits(counts.getOrDefault("servers", 0));
        return losses;
    }

    Map<String, Integer> told() {
        return told;
    }

    private void count(String what) {
        told.merge(what, 1, Integer::sum);
    }

    private static void store(Path database, int revisions) throws SQLException {
        try (Connection c = DriverManager.getConnection(StoredFile.url(database));
                Statement s = c.createStatement()) {
            s.execute("PRAGMA journal_mode = wal");
            s.execute("create table if not exists job (id integer primary key)");
            s.execute(
                    "create table if not exists revision (id integer primary key, number integer, made_on integer,"
                            + " shows integer, kind text, who text, at text, words text, document text, checksum text, chain text)");
            s.execute("insert into job default values");
            add(c, revisions);
        }
    }

    private static void add(Connection c, int revisions) throws SQLException {
        long from = 0;
        String chain = "";
        try (Statement s = c.createStatement();
                ResultSet r = s.executeQuery("select id, chain from revision order by id desc limit 1")) {
            if (r.next()) {
                from = r.getLong(1);
                chain = r.getString(2);
            }
        }
        try (PreparedStatement p = c.prepareStatement("insert into revision values (?,?,?,?,?,?,?,?,?,?,?)")) {
            for (int i = 1; i <= revisions; i++) {
                int n = (int) from + i;
                String document = "{\"n\":" + n + ",\"text\":\"" + "revision ".repeat(60) + n + "\"}";
                Seal seal = Seal.of(chain, new Seal.Fields(n, n, n, "edit", "me", "now", "words " + n), document);
                chain = seal.chain();
                Object[] row = {n, n, n, n, "edit", "me", "now", "words " + n, document, seal.checksum(), chain};
                for (int k = 0; k < row.length; k++) {
                    p.setObject(k + 1, row[k]);
                }
                p.execute();
            }
        }
    }

    /** Restores of a smaller and a larger store in turn, killed at any moment: one of the two stands, whole. */
    private void kills(int kills) throws Exception {
        Path data = Files.createDirectories(dir.resolve("data"));
        DataFolder folder = new DataFolder(data);
        store(folder.database(), 300);
        Path small = dir.resolve("small.db");
        folder.backup(small);
        try (Connection c = DriverManager.getConnection(StoredFile.url(folder.database()))) {
            add(c, 200);
        }
        Path large = dir.resolve("large.db");
        folder.backup(large);
        for (int i = 0; i < kills; i++) {
            boolean up = i % 2 == 1;
            Process restore =
                    ChildServer.command(log(), "restore", (up ? large : small).toString(), "--data", data.toString());
            if (restore.waitFor(random.nextInt(50, 450), TimeUnit.MILLISECONDS)) {
                count("restores that came to their end");
            } else {
                restore.destroyForcibly().waitFor();
                count("restores killed");
            }
            folder.check();
            long newest = StoredFile.newest(folder.database());
            if (newest != 300 && newest != 500) {
                losses.add("after restore " + i + " the store ends at " + newest);
            }
            Map<Integer, String> there = sound(folder.database());
            if (there.size() != newest) {
                losses.add("after restore " + i + " only " + there.size() + " of " + newest + " revisions are sound");
            }
            try (var kept = Files.list(data)) {
                kept.filter(f -> f.getFileName().toString().startsWith("before-restore"))
                        .forEach(f -> f.toFile().delete());
            }
        }
    }

    /** Backups killed at any moment: the store is as it was, and a file that has the name asked for is whole. */
    private void backups(int kills) throws Exception {
        Path data = Files.createDirectories(dir.resolve("copied"));
        DataFolder folder = new DataFolder(data);
        store(folder.database(), 400);
        Map<Integer, String> written = sound(folder.database());
        for (int i = 0; i < kills; i++) {
            Path file = dir.resolve("copy-" + i + ".db");
            Process backup = ChildServer.command(log(), "backup", file.toString(), "--data", data.toString());
            if (backup.waitFor(random.nextInt(50, 600), TimeUnit.MILLISECONDS)) {
                count("backups that came to their end");
            } else {
                backup.destroyForcibly().waitFor();
                count("backups killed");
            }
            folder.check();
            if (!sound(folder.database()).equals(written)) {
                losses.add("after backup " + i + " the store is another");
            }
            if (Files.exists(file) && !sound(file).equals(written)) {
                losses.add("backup " + i + " has its name and is not whole");
            }
            Files.deleteIfExists(file);
        }
    }

    /** A store of the version before, its server killed while it migrates: the next one has every document. */
    private void migrations(int kills) throws Exception {
        for (int i = 0; i < kills; i++) {
            Path data = Files.createDirectories(dir.resolve("old-" + i));
            DataFolder folder = new DataFolder(data);
            String url = StoredFile.url(folder.database());
            Flyway.configure().dataSource(url, "", "").target("5").load().migrate();
            Set<String> documents = new TreeSet<>();
            try (Connection c = DriverManager.getConnection(url);
                    PreparedStatement job =
                            c.prepareStatement("insert into job (slug, created_at) values ('j', 'now')");
                    PreparedStatement p = c.prepareStatement(
                            "insert into revision (job_id, number, made_on, kind, shows,"
                                    + " who, at, words, document) values (1, ?, ?, 'edit', ?, 'me', 'now', 'words', ?)")) {
                c.setAutoCommit(false);
                job.execute();
                for (int n = 1; n <= 500; n++) {
                    String document = "{\"n\":" + n + ",\"text\":\"" + "old ".repeat(400) + "\"}";
                    documents.add(document);
                    for (int k = 1; k <= 3; k++) {
                        p.setInt(k, n);
                    }
                    p.setString(4, document);
                    p.execute();
                }
                c.commit();
            }
            ChildServer server = new ChildServer(data, log(), JOB);
            server.process().waitFor(random.nextInt(1500, 6000), TimeUnit.MILLISECONDS);
            server.kill();
            count("servers killed while they migrate");
            folder.check();
            Flyway.configure()
                    .dataSource(url, "", "")
                    .javaMigrations(new SealRevisions())
                    .load()
                    .migrate();
            Set<String> kept = new TreeSet<>(sound(folder.database()).values());
            if (!kept.containsAll(documents)) {
                losses.add("after migration " + i + " documents are missing or unsealed");
            }
        }
    }

    /** Bits turned over in a log that was not written into the database yet. */
    private void flipsInTheLog(int flips) throws Exception {
        Path clean = dir.resolve("logged.db");
        store(clean, 40);
        StoredFile.emptyLog(clean);
        Path database = Files.createDirectories(dir.resolve("logged")).resolve("whipsaw.db");
        Path before = dir.resolve("before.db");
        Path log = dir.resolve("before.db-wal");
        Map<Integer, String> written;
        try (Connection c = DriverManager.getConnection(StoredFile.url(clean));
                Statement s = c.createStatement()) {
            s.execute("PRAGMA wal_autocheckpoint = 0");
            add(c, 40);
            Files.copy(clean, before, StandardCopyOption.REPLACE_EXISTING);
            Files.copy(dir.resolve("logged.db-wal"), log, StandardCopyOption.REPLACE_EXISTING);
            written = sound(clean);
        }
        DataFolder folder = new DataFolder(database.getParent());
        for (int i = 0; i < flips; i++) {
            Files.deleteIfExists(database.resolveSibling("whipsaw.db-shm"));
            Files.copy(before, database, StandardCopyOption.REPLACE_EXISTING);
            Path tail = database.resolveSibling("whipsaw.db-wal");
            Files.copy(log, tail, StandardCopyOption.REPLACE_EXISTING);
            new HighWater(folder.database().resolveSibling("whipsaw.mark")).reset(80);
            long at = turnOver(tail);
            try {
                folder.check();
            } catch (DataFolder.Trouble e) {
                count("bits turned over in the log and found at the start");
                continue;
            }
            Map<Integer, String> read = sound(database);
            boolean wrong = read.entrySet().stream().anyMatch(e -> !e.getValue().equals(written.get(e.getKey())));
            if (wrong || read.size() < 79) {
                losses.add("a bit at " + at + " of the log leaves " + read.size() + " revisions");
            }
            count("bits turned over in the log without effect, or found by a seal");
        }
    }

    /** A server killed while it starts, seeds and stores edits: every acknowledged edit is there, once and whole. */
    private void edits(int kills) throws Exception {
        DataFolder folder = new DataFolder(Files.createDirectories(dir.resolve("served")));
        Set<String> acknowledged = new TreeSet<>();
        for (int i = 0; i < kills; i++) {
            ChildServer server = new ChildServer(dir.resolve("served"), log(), JOB);
            // one in four dies at any moment of its start
            if (i % 4 == 0) {
                server.process().waitFor(random.nextInt(500, 6000), TimeUnit.MILLISECONDS);
                server.kill();
                count("servers killed while starting");
            } else {
                CountDownLatch first = new CountDownLatch(1);
                boolean files = i % 4 == 1;
                Thread edits = new Thread(() -> {
                    if (files) {
                        take(server, acknowledged, first);
                    } else {
                        edit(server, acknowledged, first);
                    }
                });
                edits.start();
                first.await();
                server.process().waitFor(random.nextInt(50, 2500), TimeUnit.MILLISECONDS);
                if (!server.process().isAlive()) {
                    throw new IllegalStateException("the server ended by itself: " + Files.readString(log()));
                }
                server.kill();
                edits.join();
                count(
                        files
                                ? "servers killed while job files were taken in"
                                : "servers killed while edits were stored");
            }
            folder.check();
            kept(folder.database(), acknowledged);
        }
        if (kills > 1 && acknowledged.isEmpty()) {
            losses.add("no edit was acknowledged: nothing was shown");
        }
        told.put("edits and job files acknowledged before a kill", acknowledged.size());
    }

    private void kept(Path database, Set<String> acknowledged) throws SQLException {
        if (!StoredFile.hasTables(database)) {
            return;
        }
        Map<String, Integer> times = new HashMap<>();
        int damaged = 0;
        try (Connection c = DriverManager.getConnection(StoredFile.url(database));
                Statement s = c.createStatement();
                ResultSet r = s.executeQuery("select json_extract(document, '$.project.preparedBy'),"
                        + " json_extract(document, '$.project.name'), words, kind from revision")) {
            while (r.next()) {
                String edit = r.getString(1);
                // a job file that was taken in carries the last edit of the job it was made from
                if (edit != null && edit.startsWith("edit ") && r.getString(4).equals("edit")) {
                    times.merge(edit, 1, Integer::sum);
                    damaged += r.getString(3).contains(edit) ? 0 : 1;
                }
                times.merge(r.getString(2), 1, Integer::sum);
            }
        }
        if (damaged > 0) {
            losses.add(damaged + " revisions hold another document than their edit made");
        }
        for (String edit : acknowledged) {
            if (times.getOrDefault(edit, 0) != 1) {
                losses.add(edit + " was acknowledged and is there " + times.getOrDefault(edit, 0) + " times");
            }
        }
    }

    /** Edits one job over and over, as the page does, until its server is gone. */
    private static void edit(ChildServer server, Set<String> acknowledged, CountDownLatch first) {
        try {
            Matcher revision = REVISION.matcher(server.page());
            while (revision.find()) {
                String words = "edit " + UUID.randomUUID();
                String answer = server.change("{\"base\":" + revision.group(1)
                        + ",\"soon\":true,\"changes\":[{\"op\":\"set\",\"path\":\"$.project.preparedBy\",\"value\":\""
                        + words + "\"}]}");
                acknowledged.add(words);
                first.countDown();
                revision = REVISION.matcher(answer);
            }
        } catch (IOException e) {
            // the server is gone, as it was to be
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } finally {
            first.countDown();
        }
    }

    /** Takes in job files over and over until the server is gone. */
    private static void take(ChildServer server, Set<String> acknowledged, CountDownLatch first) {
        try {
            server.page();
            String file = server.send(HttpRequest.newBuilder(server.address(JOB + "/job.json")))
                    .body();
            while (true) {
                String name = "import " + UUID.randomUUID();
                String named = file.replaceFirst("(\"name\"\\s*:\\s*)\"[^\"]*\"", "$1\"" + name + "\"");
                if (server.form("/jobs/import", "file", named) >= 400) {
                    throw new IllegalStateException("a job file was refused");
                }
                acknowledged.add(name);
                first.countDown();
            }
        } catch (IOException e) {
            // the server is gone, as it was to be
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } finally {
            first.countDown();
        }
    }

    private Path log() {
        return dir.resolve("log.txt");
    }

    /** Documents whose seal is right, by number. */
    private static Map<Integer, String> sound(Path database) {
        Map<Integer, String> sound = new HashMap<>();
        try (Connection c = DriverManager.getConnection(StoredFile.url(database));
                Statement s = c.createStatement();
                ResultSet r = s.executeQuery("select * from revision")) {
            while (r.next()) {
                Seal seal = Seal.of(
                        "",
                        new Seal.Fields(
                                r.getInt("number"),
                                r.getInt("made_on"),
                                r.getInt("shows"),
                                String.valueOf(r.getString("kind")),
                                String.valueOf(r.getString("who")),
                                String.valueOf(r.getString("at")),
                                String.valueOf(r.getString("words"))),
                        String.valueOf(r.getString("document")));
                if (seal.checksum().equals(r.getString("checksum"))) {
                    sound.put(r.getInt("number"), r.getString("document"));
                }
            }
        } catch (SQLException e) {
            // what was read so far is what there is
        }
        return sound;
    }

    /** A bit turned over anywhere: found at the start, found by a seal, or without any effect. */
    private void flips(int flips) throws Exception {
        Path clean = dir.resolve("clean.db");
        store(clean, 400);
        StoredFile.emptyLog(clean);
        Map<Integer, String> written = sound(clean);
        Path flipped = dir.resolve("flipped.db");
        for (int i = 0; i < flips; i++) {
            for (String tail : List.of("-wal", "-shm")) {
                Files.deleteIfExists(dir.resolve("flipped.db" + tail));
            }
            Files.copy(clean, flipped, StandardCopyOption.REPLACE_EXISTING);
            long at = turnOver(flipped);
            if (!StoredFile.faults(flipped).isEmpty()) {
                count("bits turned over and found at the start");
                continue;
            }
            Map<Integer, String> read = sound(flipped);
            boolean wrong = read.entrySet().stream().anyMatch(e -> !e.getValue().equals(written.get(e.getKey())));
            if (wrong) {
                losses.add("a bit at " + at + " gives another document than was written");
            } else if (read.size() == written.size()) {
                count("bits turned over without effect");
            } else {
                count("bits turned over and found by a seal, " + (written.size() - read.size()) + " revision named");
            }
        }
    }

    private long turnOver(Path file) throws IOException {
        try (RandomAccessFile f = new RandomAccessFile(file.toFile(), "rw")) {
            long at = Math.floorMod(random.nextLong(), f.length());
            f.seek(at);
            int b = f.read();
            f.seek(at);
            f.write(b ^ (1 << random.nextInt(8)));
            return at;
        }
    }
}
