package whipsaw.app.store;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;

/**
 * The newest revision that was acknowledged, in a small file beside the database: a database that has less has lost
 * something. It is written after every commit and may lag behind, never run ahead.
 *
 * @param file where it stands
 */
public record HighWater(Path file) {
    private static final int LENGTH = 24;

    /** Row id of the newest revision; 0 where none was written. */
    public long revision() {
        try {
            String text = Files.exists(file) ? Files.readString(file).strip() : "";
            return text.matches("\\d{1,18}") ? Long.parseLong(text) : 0;
        } catch (IOException e) {
            return 0;
        }
    }

    /** Raises the mark; what cannot be written is left as it is, since a low mark does no harm. */
    public synchronized void reached(long revision) {
        try {
            if (revision > revision()) {
                reset(revision);
            }
        } catch (IOException e) {
            // the database is what counts
        }
    }

    /** Sets the mark, lower too. */
    public void reset(long revision) throws IOException {
        String text = String.format("%-" + (LENGTH - 1) + "d\n", revision);
        try (FileChannel channel = FileChannel.open(file, StandardOpenOption.CREATE, StandardOpenOption.WRITE)) {
            channel.write(ByteBuffer.wrap(text.getBytes(StandardCharsets.US_ASCII)), 0);
            channel.truncate(LENGTH);
        }
    }
}
