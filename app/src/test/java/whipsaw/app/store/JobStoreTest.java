package whipsaw.app.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.util.Map;
import org.junit.jupiter.api.Test;
import whipsaw.app.ServedTest;

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
    void jobsOfOneNameHaveTheirOwnAddresses() {
        assertThat(store.create("Été / 1", Map.of(), "a")).isEqualTo("ete-1");
        assertThat(store.create("Été / 1", Map.of(), "a")).isEqualTo("ete-1-2");
        assertThat(store.create("???", Map.of(), "a")).isEqualTo("job");
    }
}
