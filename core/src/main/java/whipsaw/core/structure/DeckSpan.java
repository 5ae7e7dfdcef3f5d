package whipsaw.core.structure;

/**
 * A strip of deck between two members, taken as a simple span; a sheet that runs on over them takes less.
 *
 * @param from number of the member at its left or below
 * @param to number of the other
 * @param bay index of the bay
 * @param atM its place along the members
 * @param feet that stand on the strip
 * @param arrayN what they bring
 */
public record DeckSpan(
        String from,
        String to,
        int bay,
        double atM,
        double spanM,
        int feet,
        double arrayN,
        MemberState before,
        MemberState after) {}
