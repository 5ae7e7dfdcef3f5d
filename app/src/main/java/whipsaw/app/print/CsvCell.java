package whipsaw.app.print;

/** Texts for CSV cells that a spreadsheet must not run as a formula. */
public final class CsvCell {
    private CsvCell() {}

    /**
     * A text as it is, or behind an apostrophe when a spreadsheet would take it for a formula: it
     * begins with = + - @ or a control character and is no plain number with an optional unit.
     */
    public static String safe(String text) {
        if (text.isEmpty() || text.matches("[+-]?[0-9.]+( ?[A-Za-z%/\u00b0\u00b2]{0,8})?")) {
            return text;
        }
        return "=+-@\t\r\n".indexOf(text.charAt(0)) >= 0 ? "'" + text : text;
    }
}
