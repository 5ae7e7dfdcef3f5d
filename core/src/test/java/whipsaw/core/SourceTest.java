package whipsaw.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiConsumer;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** How the sources of the core are written: files and methods of a size, everything public documented. */
class SourceTest {
    private static final int MOST_LINES = 400;
    private static final int MOST_LINES_OF_A_METHOD = 60;
    private static final Pattern PUBLIC = Pattern.compile("( {4}| {8})public .*[({]$| {4,8}public .*[;)] ?\\{?");
    private static final Pattern METHOD_BEGINS = Pattern.compile(" {4}[^ *}/@].*");
    private static final Pattern METHOD_OPENS = Pattern.compile(" {4,12}.*\\)( throws [\\w, ]+)? \\{");

    private static void each(BiConsumer<String, List<String>> look) {
        try (Stream<Path> files = Files.walk(Path.of("src/main/java"))) {
            for (Path file :
                    files.filter(f -> f.toString().endsWith(".java")).sorted().toList()) {
                look.accept(file.getFileName().toString(), Files.readAllLines(file));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Test
    void filesAndMethodsAreOfASize() {
        List<String> tooLong = new ArrayList<>();
        each((name, lines) -> {
            if (lines.size() > MOST_LINES) {
                tooLong.add(name + " has " + lines.size() + " lines");
            }
            int from = 0;
            for (int i = 0; i < lines.size(); i++) {
                if (METHOD_BEGINS.matcher(lines.get(i)).matches()) {
                    from = i;
                }
                if (METHOD_OPENS.matcher(lines.get(i)).matches()
                        && lines.get(from).contains("(")
                        && !lines.get(from).contains(" record ")) {
                    int end = i;
                    while (end < lines.size() && !lines.get(end).equals("    }")) {
                        end++;
                    }
                    if (end - from > MOST_LINES_OF_A_METHOD) {
                        tooLong.add(name + ": " + lines.get(from).strip() + " " + (end - from) + " lines");
                    }
                    i = end;
                }
            }
        });
        assertThat(tooLong).isEmpty();
    }

    @Test
    void everythingPublicIsDocumented() {
        List<String> without = new ArrayList<>();
        each((name, lines) -> {
            for (int i = 0; i < lines.size(); i++) {
                String line = lines.get(i);
                boolean method = PUBLIC.matcher(line).matches()
                        && line.contains("(")
                        && !line.contains(" = ")
                        && !line.matches(".*\\b(class|record|interface|enum) .*")
                        && !line.matches(" +public [A-Z]\\w*(\\(.*| \\{)");
                int above = i - 1;
                while (above >= 0 && lines.get(above).strip().startsWith("@")) {
                    above--;
                }
                boolean inherited = lines.subList(above + 1, i).stream().anyMatch(l -> l.contains("@Override"));
                if (method && !inherited && !lines.get(above).strip().endsWith("*/")) {
                    without.add(name + ": " + line.strip());
                }
            }
        });
        assertThat(without).isEmpty();
    }
}
