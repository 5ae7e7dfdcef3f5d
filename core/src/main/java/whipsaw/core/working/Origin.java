package whipsaw.core.working;

/** Where a value in a working comes from. */
public enum Origin {
    /** Typed into the job as known. */
    GIVEN("given"),
    /** Typed with a leading ~: nobody has measured or stated it yet. */
    ASSUMED("assumed"),
    /** Not typed; a stated rule supplied it. */
    DEFAULTED("by default rule"),
    /** From the job's copy of a catalogue entry. */
    CATALOGUE("catalogue"),
    /** From a code table or coefficient set. */
    TABLE("table"),
    /** Computed by an earlier step or figure. */
    COMPUTED("computed");

    private final String words;

    Origin(String words) {
        this.words = words;
    }

    /** Where a value comes from, for readers. */
    public String words() {
        return words;
    }
}
