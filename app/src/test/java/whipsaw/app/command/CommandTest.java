package whipsaw.app.command;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.store.Json;

class CommandTest {
    @TempDir
    Path folder;

    private final ByteArrayOutputStream out = new ByteArrayOutputStream();
    private final ByteArrayOutputStream err = new ByteArrayOutputStream();

    private Path file(String text) throws IOException {
        return Files.writeString(folder.resolve("in.json"), text);
    }

    private int solve(String text) throws IOException {
        return SolveCommand.run(new String[] {file(text).toString()}, new PrintStream(out), new PrintStream(err));
    }

    @SuppressWarnings("unchecked")
    private static Map<String, Object> part(Map<String, Object> document, String key) {
        return key.equals("roof")
                ? ((List<Map<String, Object>>) document.get("roofs")).get(0)
                : (Map<String, Object>) document.get(key);
    }

    @Test
    void solveGivesTheDesignAndTheExitCode() throws IOException {
        // one bay of the demo carries too much
        assertThat(solve(Json.write(Seeds.demoJob()))).isEqualTo(2);
        out.reset();
        Map<String, Object> sound = Seeds.demoJob();
        part(sound, "roof").put("structure", Map.of("dead", "90 psf"));
        assertThat(solve(Json.write(sound))).isZero();
        Map<String, Object> design = Json.object(out.toString(StandardCharsets.UTF_8));
        assertThat(part(design, "totals")).containsKeys("modules", "blocks", "added_load_Pa");

        Map<String, Object> unknown = Seeds.demoJob();
        part(unknown, "roof").remove("structure");
        part(unknown, "roof").remove("allowance");
        assertThat(solve(Json.write(unknown))).isEqualTo(3);

        Map<String, Object> weak = Seeds.demoJob();
        part(part(weak, "roof"), "allowance").put("load", "2 psf");
        assertThat(solve(Json.write(weak))).isEqualTo(2);
    }

    @Test
    void aBadJobFileIsToldWithItsPath() throws IOException {
        Map<String, Object> bad = Seeds.demoJob();
        part(bad, "roof").put("height", "20");
        assertThat(solve(Json.write(bad))).isEqualTo(1);
        assertThat(err.toString(StandardCharsets.UTF_8)).contains("$.roofs[0].height", "has no unit");
        assertThat(solve("{\"schema\": 1,\n \"roof\": }")).isEqualTo(1);
        assertThat(err.toString(StandardCharsets.UTF_8)).contains("line 2");
        assertThat(out.toString(StandardCharsets.UTF_8)).isEmpty();
    }

    private int calc(String in, String... args) {
        return CalcCommand.run(
                args,
                new ByteArrayInputStream(in.getBytes(StandardCharsets.UTF_8)),
                new PrintStream(out),
                new PrintStream(err));
    }

    @Test
    void calcCountsPassesMissesAndUnknownTopics() throws IOException {
        String passes =
                "{\"id\":\"a\",\"topic\":\"inverter_current\",\"inputs\":{\"power_kVA\":150,\"line_voltage_V\":480,\"phases\":3},"
                        + "\"expected\":{\"ocpd_A\":250},\"tolerance_rel\":0.001}";
        String unknown = "{\"id\":\"b\",\"topic\":\"tea_leaves\",\"inputs\":{},\"expected\":{}}";
        Path good = file("{\"cases\":[" + passes + "," + unknown + "]}");
        assertThat(calc("", "--cases", good.toString())).isZero();
        assertThat(out.toString(StandardCharsets.UTF_8)).endsWith("1 passed, 0 failed, 1 unknown\n");
        Path wrong = file("{\"cases\":[" + passes.replace("250", "225") + "]}");
        assertThat(calc("", "--cases", wrong.toString())).isEqualTo(1);
        assertThat(out.toString(StandardCharsets.UTF_8)).contains("inverter_current a: ocpd_A: 250 is not 225");
    }

    @Test
    void calcTakesEitherSystemAndNamesWhatIsMissing() {
        assertThat(calc("{\"d1_edge_m\":12,\"h_ft\":30,\"h2_ft\":1.5}", "panel_exposed"))
                .isZero();
        assertThat(out.toString(StandardCharsets.UTF_8)).contains("true");
        assertThat(calc("{\"d1_edge_m\":12}", "panel_exposed")).isEqualTo(1);
        assertThat(err.toString(StandardCharsets.UTF_8)).contains("h is missing", "h_ft");
    }
}
