package whipsaw.app.reading;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.PrintStream;
import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.app.picture.PictureReader;
import whipsaw.app.store.Json;
import whipsaw.core.exchange.DxfReader;
import whipsaw.core.exchange.ForeignDrawing;
import whipsaw.core.exchange.GeoJsonReader;
import whipsaw.core.units.Show;

/**
 * The process that reads files, one after the other, from its standard input to its standard output. It ends when the
 * server is gone, when nobody asks for a while, and when a file takes too much.
 */
public final class ReadingChild {
    /** The command that starts it; nobody types it. */
    public static final String COMMAND = "read-files";

    /** What is said of a file that fails in no way its reader knows. */
    static final String DAMAGED = "cannot be read: it is damaged or of another kind";

    static final byte AWAKE = 'r';
    static final int OUT_OF_MEMORY = 3;
    static final int TOO_LONG = 4;

    /** Time of computing for one file. */
    static final int CPU_S = 7;

    private static final int MOST_LAYERS = 1_000;
    private static final int MOST_POINTS = 400_000;
    private static final int IDLE_S = 90;
    private static final int LOOK_MS = 200;

    private enum Kind {
        PICTURE,
        DRAWING,
        TABLE
    }

    private static volatile boolean busy;
    private static volatile long since = System.nanoTime();
    private static volatile long cpuBefore;

    private ReadingChild() {}

    /** What is to be read, as it goes over the pipe. */
    interface Request {
        void write(DataOutputStream out) throws IOException;
    }

    static Request picture(byte[] file, boolean photo, int page) {
        return out -> {
            out.writeByte(Kind.PICTURE.ordinal());
            out.writeBoolean(photo);
            out.writeInt(page);
            out.writeInt(file.length);
            out.write(file);
        };
    }

    static Request drawing(byte[] file, double longitudeDeg, double latitudeDeg, double upAzimuthDeg) {
        return out -> {
            out.writeByte(Kind.DRAWING.ordinal());
            out.writeDouble(longitudeDeg);
            out.writeDouble(latitudeDeg);
            out.writeDouble(upAzimuthDeg);
            out.writeInt(file.length);
            out.write(file);
        };
    }

    static Request table(byte[] file) {
        return out -> {
            out.writeByte(Kind.TABLE.ordinal());
            out.writeInt(file.length);
            out.write(file);
        };
    }

    static List<List<String>> tableFrom(DataInputStream in) throws IOException {
        List<List<String>> rows = new ArrayList<>();
        for (int left = in.readInt(); left > 0; left--) {
            List<String> cells = new ArrayList<>();
            for (int c = in.readInt(); c > 0; c--) {
                cells.add(in.readUTF());
            }
            rows.add(cells);
        }
        return rows;
    }

    static PictureReader.Read pictureFrom(DataInputStream in) throws IOException {
        String kind = in.readUTF();
        int width = in.readInt();
        int height = in.readInt();
        return new PictureReader.Read(bytes(in), kind, width, height);
    }

    private static byte[] bytes(DataInputStream in) throws IOException {
        int length = in.readInt();
        byte[] bytes = in.readNBytes(length);
        if (bytes.length < length) {
            throw new EOFException();
        }
        return bytes;
    }

    /** Reads until nobody asks any more. */
    public static void run() {
        PrintStream pipe = System.out;
        // what a library prints is no answer
        System.setOut(System.err);
        Thread reader = Thread.currentThread();
        Thread watch = new Thread(() -> watch(reader.getId()), "watch");
        watch.setDaemon(true);
        watch.start();
        try (DataInputStream in = new DataInputStream(new BufferedInputStream(System.in));
                DataOutputStream out = new DataOutputStream(new BufferedOutputStream(pipe))) {
            while (in.read() == AWAKE) {
                cpuBefore = ManagementFactory.getThreadMXBean().getThreadCpuTime(reader.getId());
                busy = true;
                out.writeByte(AWAKE);
                out.flush();
                answer(in, out);
                out.flush();
                since = System.nanoTime();
                busy = false;
            }
        } catch (IOException e) {
            // the server is gone
            Runtime.getRuntime().halt(0);
        } catch (StackOverflowError e) {
            Runtime.getRuntime().halt(OUT_OF_MEMORY);
        }
    }

    private static void watch(long reader) {
        ThreadMXBean threads = ManagementFactory.getThreadMXBean();
        while (true) {
            try {
                Thread.sleep(LOOK_MS);
            } catch (InterruptedException e) {
                return;
            }
            if (busy && threads.getThreadCpuTime(reader) - cpuBefore > TimeUnit.SECONDS.toNanos(CPU_S)) {
                Runtime.getRuntime().halt(TOO_LONG);
            }
            if (!busy && System.nanoTime() - since > TimeUnit.SECONDS.toNanos(IDLE_S)) {
                Runtime.getRuntime().halt(0);
            }
        }
    }

    private static void answer(DataInputStream in, DataOutputStream out) throws IOException {
        switch (Kind.values()[in.readByte()]) {
            case PICTURE -> answerPicture(in, out);
            case DRAWING -> answerDrawing(in, out);
            default -> answerTable(in, out);
        }
    }

    private static void answerPicture(DataInputStream in, DataOutputStream out) throws IOException {
        boolean photo = in.readBoolean();
        int page = in.readInt();
        byte[] file = bytes(in);
        PictureReader.Read read;
        try {
            read = PictureReader.read(file, photo, page);
        } catch (RuntimeException e) {
            refuse(out, e, e instanceof PictureReader.NoPicture);
            return;
        }
        out.writeBoolean(false);
        out.writeUTF(read.kind());
        out.writeInt(read.width());
        out.writeInt(read.height());
        out.writeInt(read.bytes().length);
        out.write(read.bytes());
    }

    private static void answerDrawing(DataInputStream in, DataOutputStream out) throws IOException {
        double longitude = in.readDouble();
        double latitude = in.readDouble();
        double up = in.readDouble();
        byte[] file = bytes(in);
        ForeignDrawing read;
        try {
            String text = DxfReader.decode(file);
            read = text.stripLeading().startsWith("{")
                    ? GeoJsonReader.read(Json.object(text), new Coordinate(longitude, latitude), up)
                    : DxfReader.read(text);
            tooMuch(read);
            List<ForeignDrawing.Finding> findings = new ArrayList<>(read.faults());
            findings.addAll(read.findings());
            read = read.withFindings(findings);
        } catch (RuntimeException e) {
            refuse(
                    out,
                    e,
                    e instanceof DxfReader.NotDxf
                            || e instanceof GeoJsonReader.NotGeoJson
                            || e instanceof FileReading.Unreadable
                            || e instanceof Json.NotJson);
            return;
        }
        out.writeBoolean(false);
        DrawingCodec.write(read, out);
    }

    private static void answerTable(DataInputStream in, DataOutputStream out) throws IOException {
        List<List<String>> rows;
        try {
            rows = TableReader.read(bytes(in));
        } catch (RuntimeException e) {
            refuse(out, e, e instanceof TableReader.NoTable);
            return;
        }
        out.writeBoolean(false);
        out.writeInt(rows.size());
        for (List<String> row : rows) {
            out.writeInt(row.size());
            for (String cell : row) {
                out.writeUTF(cell);
            }
        }
    }

    /** What nobody could look through on a page. */
    private static void tooMuch(ForeignDrawing drawing) {
        int layers = drawing.layers().size();
        long points =
                drawing.shapes().stream().mapToLong(s -> s.points().size()).sum();
        if (layers > MOST_LAYERS || points > MOST_POINTS) {
            throw new FileReading.Unreadable(
                    "has " + (layers > MOST_LAYERS ? Show.count(layers, "layer") : Show.count(points, "point"))
                            + ": at most " + MOST_LAYERS + " layers and " + MOST_POINTS
                            + " points are taken; save the roof's layers alone");
        }
    }

    private static void refuse(DataOutputStream out, RuntimeException e, boolean inWords) throws IOException {
        out.writeBoolean(true);
        out.writeUTF(inWords ? e.getMessage() : DAMAGED);
    }
}
