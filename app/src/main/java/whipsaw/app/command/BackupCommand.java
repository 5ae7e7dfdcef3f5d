package whipsaw.app.command;

import java.io.PrintStream;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import whipsaw.app.store.DataFolder;

/** {@code backup FILE --data DIR}, also while the server runs, and {@code restore FILE --data DIR}, while it does not. */
public final class BackupCommand {
    private BackupCommand() {}

    public static int run(boolean restore, String[] args, PrintStream out, PrintStream err) {
        List<String> files = new ArrayList<>();
        Path data = null;
        for (int i = 0; i < args.length; i++) {
            if (args[i].equals("--data") && i + 1 < args.length) {
                data = Path.of(args[++i]);
            } else {
                files.add(args[i]);
            }
        }
        if (files.size() != 1 || data == null || files.get(0).startsWith("--")) {
            err.println("usage: whipsaw " + (restore ? "restore" : "backup") + " FILE [--data DIR]");
            return 1;
        }
        DataFolder folder = new DataFolder(data);
        Path file = Path.of(files.get(0));
        try {
            if (restore) {
                Path kept = folder.restore(file);
                out.println("Restored " + file + " into " + folder.database());
                out.println("What was there before is kept as " + kept);
            } else {
                folder.backup(file);
                out.println("Backed up " + folder.database() + " to " + file.toAbsolutePath() + ", checked and sound");
            }
            return 0;
        } catch (DataFolder.Trouble e) {
            err.println(e.getMessage());
            return 1;
        }
    }
}
