package whipsaw.app.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import whipsaw.app.OwnServer;
import whipsaw.app.ServedTest;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.store.JobStore;
import whipsaw.app.store.Revision;
import whipsaw.app.table.CodeTableService;
import whipsaw.core.job.DocumentPatch.Change;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.JobWriter;
import whipsaw.core.job.Site;
import whipsaw.core.table.CodeTable;
import whipsaw.core.working.DataStatus;

/** Jobs through the service: cards of the list, words of the history, copies, and tables that change under them. */
@OwnServer
class JobCardsTest extends ServedTest {

    private final JobService jobs = server.bean(JobService.class);
    private final JobCards cards = server.bean(JobCards.class);
    private final CodeTableService tables = server.bean(CodeTableService.class);

    private String demo() {
        return jobs.create(JobReader.read(Seeds.demoJob(), false).job());
    }

    private JobStore.Listed listed(String slug) {
        return jobs.list().stream()
                .filter(j -> j.slug().equals(slug))
                .findFirst()
                .orElseThrow();
    }

    private JobService.Shown change(String slug, String op, String path, Object value) {
        return jobs.change(slug, jobs.open(slug).revision().number(), List.of(new Change(op, path, value)));
    }

    @Test
    void aCardFollowsTheJob() {
        String slug = demo();
        assertThat(cards.of(listed(slug)).figures())
                .containsEntry("modules", "447")
                .containsKey("worst check");
        change(slug, "set", "$.array.tilt", "5 deg");
        assertThat(cards.of(listed(slug)).figures()).containsEntry("modules", "498");
        // the second time it is the one that was kept
        assertThat(cards.of(listed(slug))).isEqualTo(cards.of(listed(slug)));
        assertThat(server.bean(whipsaw.app.store.CardStore.class)
                        .card(slug)
                        .orElseThrow()
                        .revision())
                .isEqualTo(2);
    }

    @Test
    void aCardFollowsTheCodeTables() {
        String slug = demo();
        String before = cards.of(listed(slug)).figures().get("blocks");
        CodeTable friction = tables.tables().table("load_factors");
        String heavier = friction.csv().replace("ASD,0.6,0.6", "ASD,0.6,0.9");
        tables.replace(
                CodeTable.read(friction.id(), friction.title(), "own", "1", DataStatus.UNCONFIRMED, "", heavier),
                "Tester");
        String after = cards.of(listed(slug)).figures().get("blocks");
        assertThat(Integer.parseInt(after)).isGreaterThan(Integer.parseInt(before));
        tables.withdraw("load_factors", "Tester");
        assertThat(cards.of(listed(slug)).figures()).containsEntry("blocks", before);
    }

    @Test
    void historySaysWhatWasDone() {
        String slug = demo();
        change(slug, "set", "$.roof.obstructions[id=rtu-1].x", "46 ft");
        change(slug, "set", "$.roof.obstructions[id=rtu-1].name", "RTU north");
        change(slug, "remove", "$.roof.obstructions[id=drain]", null);
        change(slug, "remove", "$.array.walkway", null);
        change(slug, "set", "$.site.family", "en");
        change(slug, "set", "$.site.wind", "25 m/s");
        assertThat(jobs.history(slug, 6))
                .extracting(Revision::words)
                .containsExactly(
                        "Basic wind velocity v_b,0 changed to 25 m/s",
                        "Code family changed to EN 1990, EN 1991",
                        "Walkway removed",
                        "Drain sump removed",
                        "RTU-1: Name changed to RTU north",
                        "RTU-1 moved");
        assertThat(jobs.open(slug).design().job().site().code()).isInstanceOf(Site.EnSite.class);
    }

    @Test
    void aChangeThatAltersNothingStoresNothing() {
        String slug = demo();
        change(slug, "set", "$.array.tilt", "10 deg");
        change(slug, "set", "$.roof.height", "20 ft");
        assertThat(jobs.open(slug).revision().number()).isEqualTo(1);
        change(slug, "set", "$.roof.height", "240 in");
        assertThat(jobs.open(slug).revision().number())
                .as("what was typed is an input too")
                .isEqualTo(2);
    }

    @Test
    void aCopyIsAJobOfItsOwn() {
        String slug = demo();
        change(slug, "set", "$.array.tilt", "5 deg");
        String copy = jobs.duplicate(slug, "Another");
        change(copy, "set", "$.array.tilt", "15 deg");
        assertThat(jobs.open(slug).design().job().array().tilt().si()).isEqualTo(5);
        assertThat(jobs.history(copy, 9)).hasSize(2);
        assertThatThrownBy(() -> jobs.duplicate(slug, " ")).isInstanceOf(JobService.Refused.class);
        assertThatThrownBy(() -> jobs.duplicate(slug, "x".repeat(121))).isInstanceOf(JobService.Refused.class);
    }

    @Test
    void anImportedJobKeepsTheTablesItSaysItRestsOn() {
        Job demo = JobReader.read(Seeds.demoJob(), false).job();
        Job old = demo.resting(List.of(new Job.TableRef("asce_exposure", "2016", "0000")));
        String slug = jobs.take(old);
        assertThat(JobWriter.write(jobs.open(slug).design().job())).isEqualTo(JobWriter.write(old));
        assertThat(jobs.open(slug).design().checks()).anyMatch(c -> c.id().equals("tables.changed"));
        change(slug, "set", "$.array.tilt", "5 deg");
        assertThat(jobs.open(slug).design().checks())
                .as("a change rests on the tables in force")
                .noneMatch(c -> c.id().equals("tables.changed"));
    }

    @Test
    void aDocumentOfAnOlderVersionInTheStoreStillChanges() {
        Map<String, Object> first = new java.util.LinkedHashMap<>(
                JobWriter.write(JobReader.read(Seeds.demoJob(), false).job()));
        first.put("schema", 1);
        first.put("site", without(first.get("site"), "family", "snowExposure", "snowThermal"));
        Map<String, Object> electrical = without(((List<?>) first.remove("groups")).get(0), "id", "name");
        Map<String, Object> run = without(electrical.get("run"), "conductor", "feeders");
        run.put("material", "cu");
        run.put("insulation", "THWN-2");
        electrical.put("run", run);
        first.put("electrical", electrical);
        // one roof and one array, as documents had them then
        first.put("roof", without(((List<?>) first.remove("roofs")).get(0), "id", "name"));
        Map<String, Object> array = without(((List<?>) first.remove("arrays")).get(0), "id", "name", "on", "feeds");
        array.put("tray", without(array.get("tray"), "arrangement"));
        first.put("array", array);
        String slug = server.bean(JobStore.class).create("Old", first, "earlier");
        assertThat(jobs.open(slug).design().layout().modules()).hasSize(447);
        assertThat(change(slug, "set", "$.array.tilt", "5 deg")
                        .design()
                        .layout()
                        .modules())
                .hasSize(498);
        assertThat(jobs.open(slug).revision().document()).containsEntry("schema", 6);
        jobs.goBack(slug, 2, 1);
        assertThat(jobs.open(slug).design().layout().modules()).hasSize(447);
    }

    @SuppressWarnings("unchecked")
    private static Map<String, Object> without(Object value, String... keys) {
        Map<String, Object> copy = new java.util.LinkedHashMap<>((Map<String, Object>) value);
        List.of(keys).forEach(copy::remove);
        return copy;
    }
}
