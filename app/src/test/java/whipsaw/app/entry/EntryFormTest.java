package whipsaw.app.entry;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import whipsaw.app.ServedTest;
import whipsaw.app.job.JobService;
import whipsaw.app.store.CatalogueStore;
import whipsaw.app.store.Json;
import whipsaw.app.table.CodeTableService;
import whipsaw.core.design.Design;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.DocumentPatch.Change;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.JobWriter;

/** The entry side: every input of the document has its field, and what a field shows can be sent back. */
class EntryFormTest extends ServedTest {

    private static Design design(String slug) {
        return server.bean(JobService.class).open(slug).design();
    }

    private static Map<String, EntryForm.Input> inputs(Design design) {
        return EntryForm.of(
                        design,
                        server.bean(CatalogueStore.class),
                        server.bean(CodeTableService.class).tables())
                .stream()
                .flatMap(s -> s.groups().stream())
                .flatMap(g -> g.inputs().stream())
                .collect(Collectors.toMap(EntryForm.Input::path, Function.identity()));
    }

    /** Leaves of a document that a person enters, by the path a form would use. */
    private static void leaves(Object value, String path, List<String> paths) {
        if (value instanceof Map<?, ?> map && !map.containsKey("typed")) {
            map.forEach((k, v) -> leaves(v, path + "." + k, paths));
        } else if (!(value instanceof List<?>)) {
            paths.add(path);
        }
    }

    @Test
    void everyInputOfTheDocumentHasItsField() {
        for (String slug : List.of("milepost-hall", "ashwell-row-primary-school")) {
            Design d = design(slug);
            Map<String, EntryForm.Input> inputs = inputs(d);
            List<String> paths = new ArrayList<>();
            Map<String, Object> document = new LinkedHashMap<>(JobWriter.write(d.job()));
            document.put("roof", JobWriter.part(d.job().roof()));
            document.put("array", JobWriter.part(d.job().array()));
            leaves(document, "$", paths);
            paths.removeIf(p -> p.equals("$.schema")
                    || p.startsWith("$.roof.outline")
                    || p.matches("\\$\\.survey\\.answers\\.(?!coverAge\\.value).*")
                    || p.matches("\\$\\.(array|electrical)\\.(tray|module|block|inverter)\\..*")
                    || p.startsWith("$.electrical.run.conductor.")
                    || p.startsWith("$.roof.structure.deck.type.")
                    || p.startsWith("$.array.facing."));
            assertThat(paths).hasSizeGreaterThan(35);
            assertThat(inputs.keySet()).as(slug).containsAll(paths);
            assertThat(inputs)
                    .containsKeys(
                            "$.array.tray",
                            "$.array.module",
                            "$.array.block",
                            "$.electrical.inverter",
                            "$.electrical.run.conductor",
                            "$.array.facing");
        }
    }

    @Test
    void whatAFieldShowsCanBeSentBackAndChangesNothing() {
        for (String slug : List.of("milepost-hall", "ashwell-row-primary-school", "quarrybank-cold-store")) {
            Design d = design(slug);
            for (EntryForm.Input input : inputs(d).values()) {
                if (input.value().isEmpty()) {
                    continue;
                }
                Object value = input.kind().equals("json")
                        ? Json.object("{\"v\":" + input.value() + "}").get("v")
                        : input.value();
                if (value instanceof Map<?, ?> map && map.containsKey("catalogue")) {
                    continue;
                }
                var reading = JobReader.read(
                        DocumentPatch.apply(d.job(), List.of(new Change("set", input.path(), value))), true);
                assertThat(reading.problems())
                        .as(slug + " " + input.path() + " " + input.value())
                        .isEmpty();
                assertThat(reading.job())
                        .as(slug + " " + input.path() + " " + input.value())
                        .isEqualTo(d.job());
            }
        }
    }

    @Test
    void fieldsSpeakTheFamilyAndTheArrangementOfTheJob() {
        Map<String, EntryForm.Input> asce = inputs(design("milepost-hall"));
        Map<String, EntryForm.Input> en = inputs(design("ashwell-row-primary-school"));
        assertThat(asce).containsKeys("$.site.exposure", "$.site.riskCategory").doesNotContainKey("$.site.terrain");
        assertThat(en).containsKeys("$.site.terrain", "$.site.coefficients").doesNotContainKey("$.site.exposure");
        assertThat(asce.get("$.array.gap").hint()).startsWith("now ");
        assertThat(en.get("$.array.gap").hint()).startsWith("valley between pairs, now ");
        assertThat(en.get("$.site.wind").unit()).isEqualTo("m/s");
        assertThat(asce.get("$.site.wind").unit()).isEqualTo("mph");
        assertThat(en.get("$.site.wind").hint()).contains("24 m/s").contains("mph");
        assertThat(en.get("$.site.coefficients").options())
                .anySatisfy(o -> assertThat(o.words()).contains("Fenmarsh", "invented"));
        assertThat(en.get("$.electrical.run.conductor").options()).hasSize(3);
    }

    @Test
    void everyOptionOfAChoiceIsTaken() {
        Design d = design("ashwell-row-primary-school");
        int tried = 0;
        for (EntryForm.Input input : inputs(d).values()) {
            if (!input.kind().equals("choice") || input.path().equals("$.site.family")) {
                continue;
            }
            for (EntryForm.Option option : input.options()) {
                boolean none = option.value().isEmpty();
                Change change = new Change(none ? "remove" : "set", input.path(), option.value());
                assertThat(JobReader.read(DocumentPatch.apply(d.job(), List.of(change)), true)
                                .problems())
                        .as(input.path() + " " + option.value())
                        .isEmpty();
                tried++;
            }
        }
        assertThat(tried).isGreaterThan(20);
    }
}
