package whipsaw.app.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.util.Map;
import org.jooq.DSLContext;
import org.junit.jupiter.api.Test;
import whipsaw.app.ServedTest;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.job.JobService;
import whipsaw.core.job.JobReader;

class JobStoreTest extends ServedTest {

    private final JobStore store = server.bean(JobStore.class);

    private Object value(String slug) {
        return store.latest(slug).orElseThrow().document().get("v");
    }

    @Test
    void undoAndRedoAppendAndFollowTheShownRevision() {
        String slug = store.create("Walk", Map.of("v", 0), "a");
        store.append(slug, 1, Map.of("v", 1), "a", "one");
        store.append(slug, 2, Map.of("v", 2), "a", "two");
        store.undo(slug, "a");
        store.undo(slug, "a");
        assertThat(value(slug)).isEqualTo(0);
        assertThat(store.undo(slug, "a")).isEmpty();
        store.redo(slug, "a");
        assertThat(value(slug)).isEqualTo(1);
        int latest = store.latest(slug).orElseThrow().number();
        store.append(slug, latest, Map.of("v", 3), "a", "three");
        assertThat(store.canRedo(slug)).isFalse();
        store.undo(slug, "a");
        assertThat(value(slug)).isEqualTo(1);
        store.redo(slug, "a");
        assertThat(value(slug)).isEqualTo(3);
        assertThat(store.history(slug, 99))
                .extracting(Revision::number)
                .hasSize(9)
                .doesNotHaveDuplicates();
    }

    @Test
    void aChangeOnAnOlderRevisionIsAConflictThatNamesTheOther() {
        String slug = store.create("Two", Map.of("v", 0), "a");
        store.append(slug, 1, Map.of("v", 1), "a", "theirs");
        var conflict =
                catchThrowableOfType(JobStore.Conflict.class, () -> store.append(slug, 1, Map.of("v", 2), "b", "mine"));
        assertThat(conflict.since()).extracting(Revision::words).containsExactly("theirs");
        assertThat(value(slug)).isEqualTo(1);
    }

    @Test
    void aRequestThatIsSentTwiceIsKnownByItsKey() {
        String slug = store.create("Once", Map.of("v", 0), "a");
        store.append(slug, 1, Map.of("v", 1), new JobStore.Made("a", "one", "0123456789abcdef"));
        assertThat(store.byRequest(slug, "0123456789abcdef"))
                .get()
                .extracting(Revision::number)
                .isEqualTo(2);
        assertThat(store.byRequest(slug, "another0another0")).isEmpty();
        assertThat(store.byRequest(slug, null)).isEmpty();
        store.undo(slug, 2, "a", "fedcba9876543210");
        assertThat(store.byRequest(slug, "fedcba9876543210"))
                .get()
                .extracting(Revision::words)
                .isEqualTo("Undid: one");
        String other = store.create("Twice", Map.of("v", 0), "a");
        assertThat(store.byRequest(other, "0123456789abcdef"))
                .as("keys are a job's own")
                .isEmpty();
    }

    /** A letter that changes in a stored document: that revision is named, the rest of the store goes on. */
    @Test
    void aDamagedRevisionIsNamedAndTheOthersStayUsable() {
        DSLContext db = server.bean(DSLContext.class);
        String slug = server.bean(JobService.class)
                .create(JobReader.read(Seeds.newJob("asce"), false).job());
        Map<String, Object> document = store.latest(slug).orElseThrow().document();
        store.append(slug, 1, document, "a", "second");
        String id = "(select id from job where slug = '" + slug + "')";
        db.execute("update revision set document = replace(document, '\"name\":', '\"mane\":') where number = 2"
                + " and job_id = " + id);
        JobStore reread = new JobStore(db, new Marks(server.bean(DataFolder.class)));
        assertThatThrownBy(() -> reread.latest(slug))
                .hasMessageContaining("revision 2")
                .hasMessageContaining("damaged");
        assertThat(reread.revision(slug, 1).orElseThrow().document()).isEqualTo(document);
        assertThat(reread.list())
                .filteredOn(JobStore.Listed::damaged)
                .extracting(JobStore.Listed::slug)
                .contains(slug);
        assertThat(server.get("/").body()).contains("revision 2 is damaged");
        assertThat(reread.goBack(slug, 2, 1, "a")).isEqualTo(3);
        assertThat(reread.latest(slug).orElseThrow().document()).isEqualTo(document);
        // words and maker are sealed too
        db.execute("update revision set who = 'somebody else' where number = 1 and job_id = " + id);
        assertThatThrownBy(() -> new JobStore(db, new Marks(server.bean(DataFolder.class))).revision(slug, 1))
                .hasMessageContaining("revision 1");
    }

    @Test
    void jobsOfOneNameHaveTheirOwnAddresses() {
        assertThat(store.create("Été / 1", Map.of(), "a")).isEqualTo("ete-1");
        assertThat(store.create("Été / 1", Map.of(), "a")).isEqualTo("ete-1-2");
        assertThat(store.create("???", Map.of(), "a")).isEqualTo("job");
    }
}
