package whipsaw.app.reading;

import jakarta.annotation.PreDestroy;
import java.io.DataInputStream;
import java.io.IOException;
import java.util.List;
import java.util.concurrent.ConcurrentLinkedDeque;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Component;
import whipsaw.app.picture.PictureReader;
import whipsaw.core.exchange.ForeignDrawing;

/** Has pictures, drawings and tables read by {@link ReadingChild}, two at a time; a child that is idle is used again. */
@Component
public class FileReading {
    private static final int AT_ONCE = 2;
    private static final int WAIT_S = 30;

    private final Semaphore turns = new Semaphore(AT_ONCE, true);
    private final ConcurrentLinkedDeque<ChildProcess> idle = new ConcurrentLinkedDeque<>();

    /** A file that is not taken, in words. */
    public static class Unreadable extends RuntimeException {
        private static final long serialVersionUID = 1L;

        Unreadable(String message) {
            super(message);
        }
    }

    /** Takes the answer of a child. */
    private interface Answer<T> {
        T read(DataInputStream in) throws IOException;
    }

    /**
     * A fresh picture of a PNG, a JPEG or a page of a PDF.
     *
     * @param file as it was sent
     * @param photo whether it is kept as a photograph
     * @param page of a PDF, from 1
     * @return never null
     * @throws Unreadable if it is none, or takes too much to read
     */
    public PictureReader.Read picture(byte[] file, boolean photo, int page) {
        return asked(ReadingChild.picture(file, photo, page), ReadingChild::pictureFrom);
    }

    /**
     * The line work of a DXF or GeoJSON file.
     *
     * @param file as it was sent
     * @param longitudeDeg of the site
     * @param latitudeDeg of the site
     * @param upAzimuthDeg azimuth of the top of the sheet
     * @return with its faults among its findings
     * @throws Unreadable if it is none, or takes too much to read
     */
    public ForeignDrawing drawing(byte[] file, double longitudeDeg, double latitudeDeg, double upAzimuthDeg) {
        return asked(ReadingChild.drawing(file, longitudeDeg, latitudeDeg, upAzimuthDeg), DrawingCodec::read);
    }

    /**
     * The table of a CSV file or of the first sheet of an XLSX workbook.
     *
     * @param file as it was sent
     * @return lines of cells, the headings first
     * @throws Unreadable if it is none, or takes too much to read
     */
    public List<List<String>> table(byte[] file) {
        return asked(ReadingChild.table(file), ReadingChild::tableFrom);
    }

    private <T> T asked(ReadingChild.Request request, Answer<T> answer) {
        try {
            if (!turns.tryAcquire(WAIT_S, TimeUnit.SECONDS)) {
                throw new Unreadable("has to wait for other files that are being read: try again in a minute");
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new Unreadable("was not read: the server stops");
        }
        try {
            ChildProcess child = idle.poll();
            if (child != null) {
                try {
                    return ask(child, request, answer);
                } catch (ChildProcess.Rested e) {
                    // it went to rest as it was asked: another one is
                }
            }
            return ask(new ChildProcess(), request, answer);
        } catch (ChildProcess.Rested | IOException e) {
            throw new Unreadable("could not be read: its reader did not start");
        } finally {
            turns.release();
        }
    }

    private <T> T ask(ChildProcess child, ReadingChild.Request request, Answer<T> answer) throws ChildProcess.Rested {
        boolean kept = false;
        try {
            DataInputStream in = child.ask(request);
            boolean refused = in.readBoolean();
            if (refused) {
                String words = in.readUTF();
                kept = true;
                throw new Unreadable(words);
            }
            T result = answer.read(in);
            kept = true;
            return result;
        } catch (IOException e) {
            throw new Unreadable(child.why());
        } finally {
            child.answered();
            if (kept) {
                idle.push(child);
            } else {
                child.kill();
            }
        }
    }

    @PreDestroy
    void stop() {
        for (ChildProcess child = idle.poll(); child != null; child = idle.poll()) {
            child.kill();
        }
    }
}
