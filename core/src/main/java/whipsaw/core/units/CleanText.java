package whipsaw.core.units;

/**
 * Text as people mean it: what cannot be printed, in a document, a drawing file or a spreadsheet, is left out where text
 * comes in, so that nothing behind has to look for it again.
 */
public final class CleanText {
    private static final int ZERO_WIDTH_NON_JOINER = 0x200c;
    private static final int ZERO_WIDTH_JOINER = 0x200d;

    private CleanText() {}

    /** One line: breaks, tabs and control characters become a space, and spaces in a row one. */
    public static String line(String text) {
        return clean(text, false).replaceAll(" {2,}", " ").strip();
    }

    /** The same with its line breaks and tabs. */
    public static String lines(String text) {
        return clean(text, true);
    }

    private static String clean(String text, boolean breaks) {
        StringBuilder out = new StringBuilder(text.length());
        for (int i = 0; i < text.length(); ) {
            int c = text.codePointAt(i);
            i += Character.charCount(c);
            if (c == ZERO_WIDTH_NON_JOINER || c == ZERO_WIDTH_JOINER) {
                // some scripts are written with them
                out.appendCodePoint(c);
                continue;
            }
            boolean kept = breaks && (c == '\n' || c == '\r' || c == '\t');
            switch (Character.getType(c)) {
                case Character.CONTROL, Character.LINE_SEPARATOR, Character.PARAGRAPH_SEPARATOR -> {
                    out.appendCodePoint(kept ? c : ' ');
                }
                case Character.SURROGATE, Character.UNASSIGNED, Character.PRIVATE_USE, Character.FORMAT -> {
                    // half a character, none at all, or one that only turns what stands around it
                }
                default -> out.appendCodePoint(c);
            }
        }
        return out.toString();
    }
}
