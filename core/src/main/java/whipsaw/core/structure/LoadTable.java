package whipsaw.core.structure;

import java.util.List;
import whipsaw.core.catalogue.MemberType;
import whipsaw.core.catalogue.MemberType.Safe;

/**
 * Loads of a load table at a span: straight between two spans of it; NaN below the first, where the table says nothing,
 * and beyond the last.
 */
final class LoadTable {
    private LoadTable() {}

    static double total(MemberType type, double spanM) {
        return at(type.table(), spanM, false);
    }

    /** NaN also where the table gives no load for deflection. */
    static double variable(MemberType type, double spanM) {
        return at(type.table(), spanM, true);
    }

    private static double at(List<Safe> rows, double spanM, boolean variable) {
        for (int i = 0; i < rows.size(); i++) {
            double span = rows.get(i).span().si();
            if (Math.abs(span - spanM) < 1e-6) {
                return load(rows.get(i), variable);
            }
            if (span > spanM) {
                if (i == 0) {
                    // a shorter span carries more: the load of the shortest one is on the safe side
                    return load(rows.get(0), variable);
                }
                double before = rows.get(i - 1).span().si();
                double part = (spanM - before) / (span - before);
                double a = load(rows.get(i - 1), variable);
                return a + part * (load(rows.get(i), variable) - a);
            }
        }
        return Double.NaN;
    }

    private static double load(Safe row, boolean variable) {
        if (!variable) {
            return row.total().si();
        }
        return row.variable() == null ? Double.NaN : row.variable().si();
    }
}
