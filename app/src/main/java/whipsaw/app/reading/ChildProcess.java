package whipsaw.app.reading;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import java.util.concurrent.TimeUnit;
import whipsaw.app.Whipsaw;

/** One reader of files as a process; it is ended when it takes too long by the clock on the wall. */
final class ChildProcess {
    private static final int HEAP_MB = 208;
    private static final int WALL_S = 40;
    private static final int END_S = 5;

    private final Process process;
    private final DataInputStream in;
    private final DataOutputStream out;
    private volatile boolean busy;
    private volatile boolean late;

    /** The child had ended by itself before it was asked. */
    static final class Rested extends Exception {
        private static final long serialVersionUID = 1L;
    }

    ChildProcess() throws IOException {
        List<String> command = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-Xmx" + HEAP_MB + "m",
                "-Xss2m",
                "-XX:MaxMetaspaceSize=96m",
                "-XX:+UseSerialGC",
                "-XX:TieredStopAtLevel=1",
                "-XX:+ExitOnOutOfMemoryError",
                "-Djava.awt.headless=true",
                "-Djava.io.tmpdir=" + System.getProperty("java.io.tmpdir")));
        // the classes of a quick start, where the server itself has them
        ManagementFactory.getRuntimeMXBean().getInputArguments().stream()
                .filter(a -> a.startsWith("-XX:SharedArchiveFile") || a.startsWith("-Xshare"))
                .forEach(command::add);
        String classes = System.getProperty("java.class.path");
        boolean packed = Whipsaw.class.getResource("Whipsaw.class").toString().contains("BOOT-INF");
        command.addAll(packed ? List.of("-jar", classes) : List.of("-cp", classes, Whipsaw.class.getName()));
        command.add(ReadingChild.COMMAND);
        ProcessBuilder builder = new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.DISCARD);
        builder.environment().clear();
        process = builder.start();
        in = new DataInputStream(new BufferedInputStream(process.getInputStream()));
        out = new DataOutputStream(new BufferedOutputStream(process.getOutputStream()));
    }

    /**
     * Sends a request.
     *
     * @param request what to read
     * @return where the answer comes from
     * @throws Rested if the child is no longer there
     * @throws IOException if it ends meanwhile
     */
    DataInputStream ask(ReadingChild.Request request) throws Rested, IOException {
        try {
            out.writeByte(ReadingChild.AWAKE);
            out.flush();
            if (in.readByte() != ReadingChild.AWAKE) {
                throw new Rested();
            }
        } catch (IOException e) {
            throw new Rested();
        }
        busy = true;
        Executor later = CompletableFuture.delayedExecutor(WALL_S, TimeUnit.SECONDS);
        later.execute(() -> {
            if (busy) {
                late = true;
                kill();
            }
        });
        request.write(out);
        out.flush();
        return in;
    }

    /** The answer has come, or none will. */
    void answered() {
        busy = false;
    }

    /** Why no answer came, in words. */
    String why() {
        int code = late ? ReadingChild.TOO_LONG : ended();
        return switch (code) {
            case ReadingChild.OUT_OF_MEMORY -> "needs more memory to read than the limit (" + HEAP_MB
                    + " MB): save a smaller or simpler file";
            case ReadingChild.TOO_LONG -> "takes longer to read than the limit (" + ReadingChild.CPU_S
                    + " s of computing): save a smaller or simpler file";
            default -> ReadingChild.DAMAGED;
        };
    }

    private int ended() {
        try {
            return process.waitFor(END_S, TimeUnit.SECONDS) ? process.exitValue() : ReadingChild.TOO_LONG;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return ReadingChild.TOO_LONG;
        }
    }

    void kill() {
        process.destroyForcibly();
    }
}
