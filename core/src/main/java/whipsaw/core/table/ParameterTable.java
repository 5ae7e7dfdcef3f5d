package whipsaw.core.table;

import java.util.Map;

/** A table of parameters, each with one value. */
public final class ParameterTable {
    private final CodeTable table;

    ParameterTable(CodeTable table) {
        this.table = table;
    }

    /** The table it was read from. */
    public CodeTable table() {
        return table;
    }

    /** A figure by name; throws when there is none. */
    public double value(String parameter) {
        for (Map<String, String> row : table.rows()) {
            if (row.get("parameter").equals(parameter)) {
                return CodeTable.number(row, "value");
            }
        }
        throw new IllegalArgumentException(table.id() + " has no " + parameter);
    }
}
