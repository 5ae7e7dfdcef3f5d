package whipsaw.core.data;

import java.util.HashMap;
import java.util.Map;

/** Short codes that calculations and limits give, in words for a reader. */
public final class CodeWords {
    private static final Map<String, String> WORDS = new HashMap<>();

    static {
        CsvRows.shipped("code-words.csv").forEach(row -> WORDS.put(row.get("code"), row.get("words")));
    }

    private CodeWords() {}

    /** What a code says; a text that is none as it is. */
    public static String of(String code) {
        return WORDS.getOrDefault(code, code);
    }
}
