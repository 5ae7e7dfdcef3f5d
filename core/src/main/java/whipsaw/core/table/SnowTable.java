package whipsaw.core.table;

import java.util.Map;

/** Factors of ASCE 7-16 for snow on flat roofs. */
public final class SnowTable {
    private final CodeTable table;

    SnowTable(CodeTable table) {
        this.table = table;
    }

    public CodeTable table() {
        return table;
    }

    public double value(String parameter) {
        for (Map<String, String> row : table.rows()) {
            if (row.get("parameter").equals(parameter)) {
                return CodeTable.number(row, "value");
            }
        }
        throw new IllegalArgumentException(table.id() + " has no " + parameter);
    }
}
