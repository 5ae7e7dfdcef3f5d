package whipsaw.app.store;

/**
 * What a revision was written as.
 *
 * @param checksum of its own fields and document
 * @param chain that with the chain of the revision before
 */
record Seal(String checksum, String chain) {
    private static final char BETWEEN = '\u001f';

    /**
     * @param before chain of the revision before; empty for the first
     */
    static Seal of(String before, Fields f, String document) {
        String checksum = Hash.sha256(String.join(
                String.valueOf(BETWEEN),
                String.valueOf(f.number()),
                String.valueOf(f.madeOn()),
                String.valueOf(f.shows()),
                f.kind(),
                f.who(),
                f.at(),
                f.words(),
                document));
        return new Seal(checksum, Hash.sha256(before + BETWEEN + checksum));
    }

    /** What is sealed beside the document. */
    record Fields(int number, int madeOn, int shows, String kind, String who, String at, String words) {}
}
