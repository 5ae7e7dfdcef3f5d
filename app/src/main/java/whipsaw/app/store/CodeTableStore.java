package whipsaw.app.store;

import static whipsaw.app.store.tables.Tables.CODE_TABLE_CHANGE;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jooq.DSLContext;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Code tables that users put in, confirmed or withdrew. Rows are only added; the newest of a table is in force. */
@Component
public class CodeTableStore {
    private final DSLContext db;

    public CodeTableStore(DSLContext db) {
        this.db = db;
    }

    /**
     * One change.
     *
     * @param kind replace, confirm or withdraw
     * @param data the table as CSV; empty for withdraw
     */
    public record Change(
            String tableId,
            String kind,
            String who,
            String at,
            String title,
            String source,
            String edition,
            String status,
            String remark,
            String data) {

        public static Change of(String tableId, String kind, String who) {
            return new Change(tableId, kind, who, "", "", "", "", "unconfirmed", "", "");
        }
    }

    @Transactional
    public void add(Change c) {
        db.insertInto(CODE_TABLE_CHANGE)
                .set(CODE_TABLE_CHANGE.TABLE_ID, c.tableId())
                .set(CODE_TABLE_CHANGE.KIND, c.kind())
                .set(CODE_TABLE_CHANGE.WHO, c.who())
                .set(
                        CODE_TABLE_CHANGE.AT,
                        Instant.now().truncatedTo(ChronoUnit.SECONDS).toString())
                .set(CODE_TABLE_CHANGE.TITLE, c.title())
                .set(CODE_TABLE_CHANGE.SOURCE, c.source())
                .set(CODE_TABLE_CHANGE.EDITION, c.edition())
                .set(CODE_TABLE_CHANGE.STATUS, c.status())
                .set(CODE_TABLE_CHANGE.REMARK, c.remark())
                .set(CODE_TABLE_CHANGE.DATA, c.data())
                .execute();
    }

    /** What is in force, by table; a withdrawn table is back as it ships and not in it. */
    public Map<String, Change> inForce() {
        Map<String, Change> result = new LinkedHashMap<>();
        for (Change c : history()) {
            if (c.kind().equals("withdraw")) {
                result.remove(c.tableId());
            } else {
                result.put(c.tableId(), c);
            }
        }
        return result;
    }

    /** All changes, oldest first. */
    public List<Change> history() {
        return db.selectFrom(CODE_TABLE_CHANGE)
                .orderBy(CODE_TABLE_CHANGE.ID)
                .fetch(r -> new Change(
                        r.getTableId(),
                        r.getKind(),
                        r.getWho(),
                        r.getAt(),
                        r.getTitle(),
                        r.getSource(),
                        r.getEdition(),
                        r.getStatus(),
                        r.getRemark(),
                        r.getData()));
    }
}
