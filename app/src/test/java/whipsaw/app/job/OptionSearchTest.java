package whipsaw.app.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import whipsaw.app.ServedTest;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.store.StoreException;
import whipsaw.core.catalogue.TraySystem;
import whipsaw.core.design.Design;
import whipsaw.core.explore.Tried;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.JobReader;

/** Options worked out beside the pages: stopped, replaced, kept to their job, and with the job's own copies. */
class OptionSearchTest extends ServedTest {
    private final OptionSearch search = server.bean(OptionSearch.class);
    private final JobService jobs = server.bean(JobService.class);

    private String job() {
        return jobs.create(JobReader.read(Seeds.newJob("asce"), false).job());
    }

    private List<String> trays(String slug) {
        return search.trays(jobs.open(slug).design()).stream()
                .map(t -> t.info().code())
                .toList();
    }

    private static String module(Design design) {
        return design.job().array().module().info().code();
    }

    /** Asks as a page does until nothing more comes. */
    private static List<Tried> waited(OptionSearch.Search s) throws InterruptedException {
        while (!s.ended()) {
            s.found();
            TimeUnit.MILLISECONDS.sleep(20);
        }
        return s.found();
    }

    @Test
    void allAreWorkedOutInTheOrderOfTheField() throws InterruptedException {
        String slug = job();
        Design design = jobs.open(slug).design();
        OptionSearch.Search s = search.begin(
                slug, new OptionSearch.Wanted(trays(slug).subList(0, 2), List.of(module(design)), false, false));
        List<Tried> found = waited(s);
        assertThat(found).hasSize(s.size());
        assertThat(found).extracting(t -> t.option().number()).isSorted();
        assertThat(s.failed()).isFalse();
        Tried one = found.stream().filter(Tried::possible).findFirst().orElseThrow();
        assertThat(s.with(one).whole().modules()).isEqualTo(one.modules());
        assertThat(s.option(one.option().number())).isSameAs(one);
        assertThatThrownBy(() -> s.option(s.size() + 1)).isInstanceOf(StoreException.class);
    }

    @Test
    void aStoppedSearchKeepsWhatItHasAndANewOneEndsTheOld() {
        String slug = job();
        Design design = jobs.open(slug).design();
        OptionSearch.Search old =
                search.begin(slug, new OptionSearch.Wanted(trays(slug), List.of(module(design)), true, false));
        OptionSearch.Search next =
                search.begin(slug, new OptionSearch.Wanted(trays(slug), List.of(module(design)), true, false));
        assertThat(old.ended()).isTrue();
        next.stop();
        assertThat(next.ended()).isTrue();
        assertThat(next.found().size()).isLessThan(next.size());
        // and is found by its name, in its own job alone
        assertThat(search.search(slug, next.id())).isSameAs(next);
        assertThatThrownBy(() -> search.search("milepost-hall", next.id()))
                .isInstanceOf(StoreException.class)
                .hasMessageContaining("no longer kept");
    }

    @Test
    void aPageIsToldOnlyWhatIsNewAndAnOlderOptionIsRefusedInWords() throws InterruptedException {
        String slug = job();
        Design design = jobs.open(slug).design();
        String tray = design.job().array().tray().info().code();
        OptionSearch.Search s =
                search.begin(slug, new OptionSearch.Wanted(List.of(tray), List.of(module(design)), false, false));
        List<Tried> all = waited(s);
        assertThat(s.since(0)).containsExactlyInAnyOrderElementsOf(all);
        assertThat(s.since(all.size() - 1)).hasSize(1);
        assertThat(s.since(all.size() + 5)).isEmpty();
        jobs.change(slug, 1, List.of(new DocumentPatch.Change("set", "$.project.place", "Elsewhere")));
        var answer = server.form("/jobs/" + slug + "/options/" + s.id() + "/1/take", Map.of());
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("the job has changed: work the options out again");
        assertThat(jobs.open(slug).revision().number()).isEqualTo(2);
    }

    /** The system the array stands on is offered in the copy the job holds, whatever the catalogue has by now. */
    @Test
    void theJobsOwnCopyIsOffered() {
        String slug = job();
        jobs.change(slug, 1, List.of(new DocumentPatch.Change("set", "$.array.tray.rackingMass", "9 kg")));
        Design design = jobs.open(slug).design();
        TraySystem own = search.trays(design).stream()
                .filter(t -> t.info()
                        .code()
                        .equals(design.job().array().tray().info().code()))
                .findFirst()
                .orElseThrow();
        assertThat(own.rackingMass().typed()).isEqualTo("9 kg");
        assertThatThrownBy(() -> search.begin(slug, new OptionSearch.Wanted(List.of(), List.of(), true, false)))
                .isInstanceOf(JobService.Refused.class)
                .satisfies(e -> assertThat(
                                ((JobService.Refused) e).problems().get(0).message())
                        .contains("at least one tray system"));
    }
}
