package whipsaw.app.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.util.List;
import java.util.Map;
import org.jooq.DSLContext;
import org.junit.jupiter.api.Test;
import whipsaw.app.ServedTest;

/** Names, going back, putting away, and what the database promises. */
class JobStoreRevisionsTest extends ServedTest {

    private final JobStore store = server.bean(JobStore.class);

    private Object value(String slug) {
        return store.latest(slug).orElseThrow().document().get("v");
    }

    private String threeSteps(String name) {
        String slug = store.create(name, Map.of("v", 0), "a");
        store.append(slug, 1, Map.of("v", 1), "a", "one");
        store.append(slug, 2, Map.of("v", 2), "a", "two");
        return slug;
    }

    @Test
    void goingBackAppendsAndCanItselfBeUndoneAndRedone() {
        String slug = threeSteps("Back");
        assertThat(store.goBack(slug, 3, 1, "a")).isEqualTo(4);
        assertThat(value(slug)).isEqualTo(0);
        assertThat(store.latest(slug).orElseThrow().kind()).isEqualTo("return");
        store.undo(slug, "a");
        assertThat(value(slug)).isEqualTo(2);
        store.undo(slug, "a");
        assertThat(value(slug)).isEqualTo(1);
        store.redo(slug, "a");
        assertThat(value(slug)).isEqualTo(2);
        store.redo(slug, "a");
        assertThat(value(slug)).isEqualTo(0);
        assertThat(store.canRedo(slug)).isFalse();
        assertThat(store.history(slug, 99)).hasSize(8);
    }

    @Test
    void goingBackOnAnOlderRevisionIsAConflict() {
        String slug = threeSteps("Back late");
        var conflict = catchThrowableOfType(JobStore.Conflict.class, () -> store.goBack(slug, 2, 1, "b"));
        assertThat(conflict.since()).extracting(Revision::words).containsExactly("two");
        assertThat(value(slug)).isEqualTo(2);
        assertThatThrownBy(() -> store.goBack(slug, 3, 9, "b")).hasMessageContaining("no revision 9");
    }

    @Test
    void theNewestNameOfARevisionCountsAndAnEmptyOneTakesItAway() {
        String slug = threeSteps("Names");
        store.name(slug, 2, "first try", "a");
        store.name(slug, 2, "as sent", "b");
        store.name(slug, 3, "issued", "b");
        assertThat(store.names(slug).get(2).name()).isEqualTo("as sent");
        assertThat(store.names(slug)).containsOnlyKeys(2, 3);
        store.name(slug, 3, "", "b");
        assertThat(store.names(slug)).containsOnlyKeys(2);
        assertThatThrownBy(() -> store.name(slug, 7, "x", "a")).isInstanceOf(StoreException.class);
    }

    @Test
    void anEarlierRevisionIsFoundAsItWas() {
        String slug = threeSteps("Earlier");
        assertThat(store.revision(slug, 2).orElseThrow().document()).isEqualTo(Map.of("v", 1));
        assertThat(store.revision(slug, 5)).isEmpty();
        assertThat(store.revision("nowhere", 1)).isEmpty();
    }

    @Test
    void aJobPutAwayIsStillThereWithEverything() {
        String slug = threeSteps("Away");
        store.archive(slug, true);
        assertThat(listed(slug).archived()).isTrue();
        assertThat(store.history(slug, 9)).hasSize(3);
        store.archive(slug, false);
        assertThat(listed(slug).archived()).isFalse();
        assertThatThrownBy(() -> store.archive("nowhere", true)).isInstanceOf(StoreException.class);
    }

    private JobStore.Listed listed(String slug) {
        return store.list().stream()
                .filter(j -> j.slug().equals(slug))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void theLastChangedJobComesFirst() {
        String old = threeSteps("Old");
        String recent = threeSteps("Recent");
        List<String> slugs = store.list().stream().map(JobStore.Listed::slug).toList();
        assertThat(slugs.indexOf(recent)).isLessThan(slugs.indexOf(old));
    }

    @Test
    void aCardIsReplacedByANewerOne() {
        String slug = threeSteps("Card");
        CardStore cards = server.bean(CardStore.class);
        cards.keep(slug, new CardStore.Card(2, "0", "{}", "<svg/>"));
        cards.keep(slug, new CardStore.Card(3, "0", "{\"modules\":\"4\"}", "<svg/>"));
        assertThat(cards.card(slug).orElseThrow().revision()).isEqualTo(3);
    }

    @Test
    void acknowledgedMeansWrittenThrough() {
        DSLContext db = server.bean(DSLContext.class);
        assertThat(db.fetchValue("PRAGMA journal_mode")).isEqualTo("wal");
        assertThat(String.valueOf(db.fetchValue("PRAGMA synchronous")))
                .as("full")
                .isEqualTo("2");
        assertThat(String.valueOf(db.fetchValue("PRAGMA foreign_keys"))).isEqualTo("1");
    }
}
