package whipsaw.app.store;

import static whipsaw.app.store.tables.Tables.JOB;
import static whipsaw.app.store.tables.Tables.JOB_CARD;

import java.util.Optional;
import org.jooq.DSLContext;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What the list of jobs shows of each, kept so that it need not be solved again. */
@Component
public class CardStore {
    private final DSLContext db;

    public CardStore(DSLContext db) {
        this.db = db;
    }

    /**
     * What the list keeps of a job's newest revision.
     *
     * @param tables the state of the code tables it was solved with
     * @param figures as JSON
     * @param drawing as SVG
     */
    public record Card(int revision, String tables, String figures, String drawing) {}

    /** What was kept of a job. */
    public Optional<Card> card(String slug) {
        return db.select(JOB_CARD.REVISION, JOB_CARD.TABLES, JOB_CARD.FIGURES, JOB_CARD.DRAWING)
                .from(JOB_CARD)
                .join(JOB)
                .on(JOB_CARD.JOB_ID.eq(JOB.ID))
                .where(JOB.SLUG.eq(slug))
                .fetchOptional(r -> new Card(r.value1(), r.value2(), r.value3(), r.value4()));
    }

    /** Keeps a card in place of the one before. */
    @Transactional
    public void keep(String slug, Card card) {
        int job = db.select(JOB.ID).from(JOB).where(JOB.SLUG.eq(slug)).fetchSingle(JOB.ID);
        db.deleteFrom(JOB_CARD).where(JOB_CARD.JOB_ID.eq(job)).execute();
        db.insertInto(JOB_CARD)
                .set(JOB_CARD.JOB_ID, job)
                .set(JOB_CARD.REVISION, card.revision())
                .set(JOB_CARD.TABLES, card.tables())
                .set(JOB_CARD.FIGURES, card.figures())
                .set(JOB_CARD.DRAWING, card.drawing())
                .execute();
    }
}
