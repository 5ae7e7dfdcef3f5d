package whipsaw.app.table;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.stereotype.Service;
import whipsaw.app.store.CodeTableStore;
import whipsaw.app.store.StoreException;
import whipsaw.core.design.Solver;
import whipsaw.core.table.CodeTable;
import whipsaw.core.table.CodeTables;
import whipsaw.core.table.NationalParameters;
import whipsaw.core.table.NetCoefficients;
import whipsaw.core.table.TableRules;
import whipsaw.core.working.DataStatus;

/** The code tables in force: those that ship, with what users put in or confirmed, and the solver that rests on them. */
@Service
public class CodeTableService {
    private static final int LONGEST = 400_000;

    private final CodeTableStore store;
    private final CodeTables shipped;
    private volatile State state;

    private record State(Solver solver, Map<String, CodeTableStore.Change> inForce, String key) {}

    public CodeTableService(CodeTableStore store, CodeTables shipped) {
        this.store = store;
        this.shipped = shipped;
        this.state = load();
    }

    private State load() {
        Map<String, CodeTableStore.Change> inForce = store.inForce();
        CodeTables tables = shipped;
        for (CodeTableStore.Change c : inForce.values()) {
            tables = tables.with(read(c));
        }
        return new State(
                new Solver(tables), inForce, String.valueOf(store.history().size()));
    }

    private static CodeTable read(CodeTableStore.Change c) {
        DataStatus status = DataStatus.valueOf(c.status().toUpperCase(Locale.ROOT));
        return CodeTable.read(c.tableId(), c.title(), c.source(), c.edition(), status, c.remark(), c.data());
    }

    public CodeTables tables() {
        return state.solver().tables();
    }

    public Solver solver() {
        return state.solver();
    }

    /** Changes whenever a table does: results solved under another key may differ. */
    public String key() {
        return state.key();
    }

    /** What a user did to a table; null when it is as it ships. */
    public CodeTableStore.Change own(String id) {
        return state.inForce().get(id);
    }

    public boolean ships(String id) {
        return shipped.has(id);
    }

    /**
     * What putting in a table would do.
     *
     * @param table null when it cannot even be read
     * @param differences from the table in force, row by row
     */
    public record Preview(CodeTable table, List<String> problems, List<String> differences) {
        public boolean ok() {
            return problems.isEmpty();
        }
    }

    /** Looks at a table without taking it. */
    public Preview preview(String id, String title, String source, String edition, String csv) {
        boolean net = (id.startsWith(NetCoefficients.ID_PREFIX) && id.matches("[a-z0-9_]{18,60}"))
                || (id.startsWith(NationalParameters.ID_PREFIX) && id.matches("[a-z0-9_]{21,60}"));
        if (!net && !shipped.has(id)) {
            return refused("there is no table '" + id + "'; a new one can only be a net-coefficient set or national"
                    + " parameters, named " + NetCoefficients.ID_PREFIX + " or " + NationalParameters.ID_PREFIX
                    + " and a word of your own in small letters");
        }
        if (source.isBlank() || edition.isBlank()) {
            return refused("source and edition are missing: name the standard or report and its edition or date");
        }
        if (csv.length() > LONGEST) {
            return refused("it is longer than " + LONGEST + " characters");
        }
        CodeTable before = tables().has(id) ? tables().table(id) : null;
        try {
            CodeTable table = CodeTable.read(
                    id,
                    title.isBlank() ? before == null ? id : before.title() : title,
                    source,
                    edition,
                    DataStatus.UNCONFIRMED,
                    "put in by a user; not confirmed yet",
                    csv);
            List<String> problems =
                    new ArrayList<>(TableRules.problems(table, shipped.has(id) ? shipped.table(id) : null));
            if (problems.isEmpty()) {
                tables().with(table);
            }
            return new Preview(table, problems, before == null ? List.of("a new set") : differences(before, table));
        } catch (RuntimeException e) {
            return refused(String.valueOf(e.getMessage()));
        }
    }

    private static Preview refused(String problem) {
        return new Preview(null, List.of(problem), List.of());
    }

    private static List<String> differences(CodeTable before, CodeTable after) {
        List<String> words = new ArrayList<>();
        int rows = Math.max(before.rows().size(), after.rows().size());
        for (int i = 0; i < rows; i++) {
            if (i >= before.rows().size() || i >= after.rows().size()) {
                words.add("row " + (i + 1) + (i >= after.rows().size() ? " goes" : " is new"));
                continue;
            }
            for (Map.Entry<String, String> cell : after.rows().get(i).entrySet()) {
                String was = before.rows().get(i).get(cell.getKey());
                if (!cell.getValue().equals(was)) {
                    words.add("row " + (i + 1) + ", " + cell.getKey() + ": " + was + " becomes " + cell.getValue());
                }
            }
        }
        return words.isEmpty() ? List.of("no figure changes") : words;
    }

    /** Takes a table that has been looked at. */
    public synchronized void replace(CodeTable table, String who) {
        store.add(change(table, "replace", who));
        state = load();
    }

    /** A named person has checked a table against the printed edition. */
    public synchronized void confirm(String id, String who, String against) {
        CodeTable table = tables().table(id);
        if (table.status() == DataStatus.INVENTED) {
            throw new StoreException.Taken("table '" + id
                    + "' is invented: nobody can confirm it; put in the figures of a report of your own instead");
        }
        String remark = "confirmed by " + who + " on " + LocalDate.now() + " against " + against;
        store.add(
                change(table.standing(table.source(), table.edition(), DataStatus.CONFIRMED, remark), "confirm", who));
        state = load();
    }

    /** Takes back what a user did: the table is again as it ships, an own set is gone. */
    public synchronized void withdraw(String id, String who) {
        if (own(id) == null) {
            throw new StoreException("table '" + id + "' is as it ships");
        }
        store.add(CodeTableStore.Change.of(id, "withdraw", who));
        state = load();
    }

    private static CodeTableStore.Change change(CodeTable t, String kind, String who) {
        String status = t.status().name().toLowerCase(Locale.ROOT);
        return new CodeTableStore.Change(
                t.id(), kind, who, "", t.title(), t.source(), t.edition(), status, t.remark(), t.csv());
    }

    public List<CodeTableStore.Change> history() {
        return store.history();
    }
}
