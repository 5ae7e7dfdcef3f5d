package whipsaw.app;

import java.util.Arrays;
import whipsaw.app.command.BackupCommand;
import whipsaw.app.command.CalcCommand;
import whipsaw.app.command.InputsCommand;
import whipsaw.app.command.ServeCommand;
import whipsaw.app.command.SolveCommand;
import whipsaw.app.reading.ReadingChild;

/** The command line: {@code serve}, {@code demo}, {@code solve}, {@code calc}, {@code backup} and {@code
 * restore}. */
public final class Whipsaw {
    private Whipsaw() {}

    public static void main(String[] args) {
        String command = args.length == 0 ? "help" : args[0];
        String[] rest = args.length == 0 ? args : Arrays.copyOfRange(args, 1, args.length);
        switch (command) {
            case "serve", "demo" -> ServeCommand.run(command.equals("demo"), rest);
            case "backup", "restore" -> System.exit(
                    BackupCommand.run(command.equals("restore"), rest, System.out, System.err));
            case "solve" -> System.exit(SolveCommand.run(rest, System.out, System.err));
            case ReadingChild.COMMAND -> ReadingChild.run();
            case "calc" -> System.exit(CalcCommand.run(rest, System.in, System.out, System.err));
            case "inputs" -> System.exit(InputsCommand.run(System.out));
            default -> {
                System.err.println(
                        "usage: whipsaw demo | serve | solve FILE | calc TOPIC | inputs | backup FILE | restore FILE");
                System.exit(1);
            }
        }
    }
}
