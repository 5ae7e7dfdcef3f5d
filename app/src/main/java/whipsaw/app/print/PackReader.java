package whipsaw.app.print;

import java.util.Arrays;
import java.util.Locale;

/** For whom an engineer's pack is printed. Each gets what decides for them; the figures are the same. */
public enum PackReader {
    ENGINEER("the checking engineer", true, true, true, true),
    PERMIT("the permit", false, true, true, true),
    INSURER("the insurer", false, true, false, true),
    OWNER("the owner", true, false, false, false),
    LENDER("the lender", true, false, false, true);

    private final String words;
    private final boolean questions;
    private final boolean members;
    private final boolean workings;
    private final boolean data;

    PackReader(String words, boolean questions, boolean members, boolean workings, boolean data) {
        this.words = words;
        this.questions = questions;
        this.members = members;
        this.workings = workings;
        this.data = data;
    }

    /** @throws IllegalArgumentException for another key */
    public static PackReader of(String key) {
        return Arrays.stream(values())
                .filter(r -> r.key().equals(key))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no reader " + key));
    }

    public String key() {
        return name().toLowerCase(Locale.ROOT);
    }

    public String words() {
        return words;
    }

    /** What is open, as questions. */
    public boolean questions() {
        return questions;
    }

    /** Members bay by bay. */
    public boolean members() {
        return members;
    }

    public boolean workings() {
        return workings;
    }

    /** Assumptions, and the data it rests on with their status. */
    public boolean data() {
        return data;
    }
}
