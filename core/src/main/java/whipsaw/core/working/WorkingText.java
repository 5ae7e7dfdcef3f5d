package whipsaw.core.working;

/** A working as plain text, for a letter or a mail. */
public final class WorkingText {
    private WorkingText() {}

    /** A working as plain text, to be pasted into a mail. */
    public static String of(Working w) {
        StringBuilder text = new StringBuilder();
        text.append(w.title()).append('\n').append(w.answer()).append("\n");
        if (w.status() != null) {
            text.append("rests on ").append(w.status().words()).append(" data\n");
        }
        int number = 0;
        for (Step s : w.steps()) {
            text.append("\n").append(++number).append(". ").append(s.meaning()).append('\n');
            String left = s.symbol().isEmpty() ? "   " : "   " + s.symbol() + " ";
            if (!s.formula().isEmpty()) {
                text.append(left).append("= ").append(s.symbolic()).append('\n');
            }
            if (!s.symbolic().equals(s.substituted())) {
                text.append("   = ").append(s.substituted()).append('\n');
            }
            text.append("   = ").append(s.result()).append('\n');
            if (!s.clause().isEmpty()) {
                text.append("   ").append(s.clause()).append('\n');
            }
            for (Term t : s.terms()) {
                text.append("     ").append(t.symbol()).append(" = ").append(t.value());
                text.append("  ")
                        .append(t.meaning())
                        .append(" (")
                        .append(t.origin().words());
                text.append(t.source() == null ? "" : ": " + t.source());
                text.append(t.status() == null ? "" : ", " + t.status().words()).append(")\n");
            }
        }
        if (!w.notes().isEmpty()) {
            text.append('\n');
        }
        w.notes().forEach(n -> text.append("- ").append(n).append('\n'));
        return text.toString();
    }
}
