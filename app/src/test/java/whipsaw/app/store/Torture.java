package whipsaw.app.store;

import java.io.IOException;
import java.io.RandomAccessFile;
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

/**
 * What the store stands: processes killed hard while they restore, start and
 * are edited, and bits turned over in the
 * database and its log. Bounded in number, on this machine only. Prints what it measured; a loss ends it with 1.
 */
public final class Torture {
    private static final String JOB = "/jobs/overmere-parcel-shed";
    private static final Pattern REVISION = Pattern.compile("data-revision=\"(\\d+)\"");

    private final Path dir;
    private final Random random = new Random(20_261_128);
    private final Map<String, Integer> told = new TreeMap<>();
    private final List<String> losses = new ArrayList<>();

    Torture(Path dir) {
        this.dir = dir;
    }

    /** @param args how many kills of restores, how many flips, how many kills of a server that is edited */
    public static void main(String[] args) throws Exception {
        int kills = args.length > 0 ? Integer.parseInt(args[0]) : 60;
        int flips = args.length > 1 ? Integer.parseInt(args[1]) : 400;
        int served = args.length > 2 ? Integer.parseInt(args[2]) : 20;
        Torture torture = new Torture(Files.createTempDirectory("whipsaw-torture"));
        List<String> losses = torture.suffer(kills, flips, served);
        torture.told.forEach((what, count) -> System.out.println(count + "  " + what));
        losses.forEach(l -> System.out.println("LOST  " + l));
        System.exit(losses.isEmpty() ? 0 : 1);
    }

    /** Does it all; returns what was lost. */
    List<String> suffer(int kills, int flips, int served) throws Exception {
        kills(kills);
        flips(flips);
        edits(served);
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
                Thread edits = new Thread(() -> edit(server, acknowledged, first));
                edits.start();
                first.await();
                server.process().waitFor(random.nextInt(50, 2500), TimeUnit.MILLISECONDS);
                if (!server.process().isAlive()) {
                    throw new IllegalStateException("the server ended by itself: " + Files.readString(log()));
                }
                server.kill();
                edits.join();
                count("servers killed while edits were stored");
            }
            folder.check();
            kept(folder.database(), acknowledged);
        }
        if (kills > 1 && acknowledged.isEmpty()) {
            losses.add("no edit was acknowledged: nothing was shown");
        }
        told.put("edits acknowledged before a kill", acknowledged.size());
    }

    private void kept(Path database, Set<String> acknowledged) throws SQLException {
        if (!StoredFile.hasTables(database)) {
            return;
        }
        Map<String, Integer> times = new HashMap<>();
        int damaged = 0;
        try (Connection c = DriverManager.getConnection(StoredFile.url(database));
                Statement s = c.createStatement();
                ResultSet r = s.executeQuery("select words, document from revision where words like 'edit %'")) {
            while (r.next()) {
                times.merge(r.getString(1), 1, Integer::sum);
                damaged += r.getString(2).contains('"' + r.getString(1) + '"') ? 0 : 1;
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
                String answer = server.change("{\"base\":" + revision.group(1) + ",\"soon\":true,\"words\":\"" + words
                        + "\",\"changes\":[{\"op\":\"set\",\"path\":\"$.project.preparedBy\",\"value\":\"" + words
                        + "\"}]}");
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
