package whipsaw.core.table;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import whipsaw.core.working.DataStatus;

/**
 * What a table that somebody puts in has to satisfy before it may replace another: the same
 * columns, numbers where there were numbers, rising arguments, coefficients that do not rise where
 * they must not, and every zone, category or parameter that was there. The rules are data.
 */
public final class TableRules {
    private static final int MOST_ROWS = 5000;
    private static final List<Map<String, String>> RULES = CodeTable.read(
                    "rules", "", "", "", DataStatus.UNCONFIRMED, "", CodeTables.resource("rules.csv"))
            .rows();
    private static final List<String> NET_COLUMNS =
            List.of("record", "arrangement", "zone", "tilt_deg", "area_m2", "up", "down", "limit", "least", "most");

    private final CodeTable table;
    private final List<String> problems = new ArrayList<>();

    private TableRules(CodeTable table) {
        this.table = table;
    }

    /**
     * Everything wrong with a table, each in words; empty when it may be used.
     *
     * @param shipped the table it would replace, or null for a new set of net coefficients or national parameters
     */
    public static List<String> problems(CodeTable table, CodeTable shipped) {
        TableRules rules = new TableRules(table);
        if (table.rows().isEmpty() || table.rows().size() > MOST_ROWS) {
            return List.of("it has " + table.rows().size() + " rows: 1 to " + MOST_ROWS + " are allowed");
        }
        boolean national = table.id().startsWith(NationalParameters.ID_PREFIX);
        List<String> columns = national
                ? NationalParameters.COLUMNS
                : shipped == null
                        ? NET_COLUMNS
                        : List.copyOf(shipped.rows().get(0).keySet());
        Set<String> given = table.rows().get(0).keySet();
        if (!given.equals(new LinkedHashSet<>(columns))) {
            return List.of(
                    "its columns are " + String.join(", ", given) + "; they have to be " + String.join(", ", columns));
        }
        if (national) {
            return NationalParameters.problems(table, CodeTables.shipped().table("en_recommended"));
        }
        if (shipped != null) {
            rules.numbersStay(shipped);
        }
        boolean net = table.id().startsWith(NetCoefficients.ID_PREFIX);
        String id = net ? "net_coefficients" : table.id();
        if (rules.problems.isEmpty()) {
            RULES.stream().filter(r -> r.get("id").equals(id)).forEach(rule -> rules.byRule(rule, shipped));
        }
        if (rules.problems.isEmpty() && net) {
            try {
                new NetCoefficients(table);
            } catch (IllegalArgumentException e) {
                rules.problems.add(e.getMessage());
            }
        }
        return List.copyOf(rules.problems);
    }

    private void numbersStay(CodeTable shipped) {
        for (String column : shipped.rows().get(0).keySet()) {
            boolean numeric = shipped.rows().stream()
                            .allMatch(r -> r.get(column).isBlank() || isNumber(r.get(column)))
                    && shipped.rows().stream().anyMatch(r -> !r.get(column).isBlank());
            boolean blanks = shipped.rows().stream().anyMatch(r -> r.get(column).isBlank());
            for (int i = 0; numeric && i < table.rows().size(); i++) {
                String cell = table.rows().get(i).get(column);
                if (!(cell.isBlank() ? blanks : isNumber(cell))) {
                    problems.add("row " + (i + 1) + ", column " + column + ": '" + cell + "' is no number, for example "
                            + shipped.rows().get(0).get(column));
                }
            }
        }
    }

    private static boolean isNumber(String cell) {
        try {
            return Double.isFinite(Double.parseDouble(cell));
        } catch (NumberFormatException e) {
            return false;
        }
    }

    private static List<String> names(Map<String, String> rule, String column) {
        return rule.get(column).isBlank() ? List.of() : List.of(rule.get(column).split("\\+"));
    }

    private static String key(Map<String, String> row, List<String> keys) {
        return String.join(" ", keys.stream().map(row::get).toList());
    }

    private void byRule(Map<String, String> rule, CodeTable shipped) {
        List<String> keys = names(rule, "keys");
        Map<String, Map<String, String>> last = new HashMap<>();
        for (int i = 0; i < table.rows().size(); i++) {
            Map<String, String> row = table.rows().get(i);
            Map<String, String> before = last.put(key(row, keys), row);
            if (before == null) {
                continue;
            }
            for (String column : names(rule, "rising")) {
                compare(i, column, row, before, false);
            }
            for (String column : names(rule, "not_rising")) {
                compare(i, column, row, before, true);
            }
        }
        if (rule.get("complete").equals("yes") && shipped != null) {
            shipped.rows().stream()
                    .map(row -> key(row, keys))
                    .distinct()
                    .filter(key -> !last.containsKey(key))
                    .forEach(key -> problems.add(String.join(" and ", keys) + " '" + key + "' is missing"));
        }
    }

    private void compare(int i, String column, Map<String, String> row, Map<String, String> before, boolean mayStay) {
        if (!isNumber(row.get(column)) || !isNumber(before.get(column))) {
            return;
        }
        double now = Double.parseDouble(row.get(column));
        double was = Double.parseDouble(before.get(column));
        if (mayStay ? now > was : now <= was) {
            problems.add("row " + (i + 1) + ", column " + column + ": " + row.get(column)
                    + (mayStay ? " is more than " : " does not rise from ") + before.get(column)
                    + " in the row before it");
        }
    }
}
