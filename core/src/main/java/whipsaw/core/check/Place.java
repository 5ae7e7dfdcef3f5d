package whipsaw.core.check;

import java.util.List;

/**
 * Where on the roof a check looks, so that the drawing can show it.
 *
 * @param words as a person says it
 * @param kind what {@code items} number
 * @param items indices of modules, positions or bays of the design, or the number of an edge; empty
 *     for a place that is no part of the drawing
 */
public record Place(String words, Kind kind, List<Integer> items) {
    /** What a place is made of. */
    public enum Kind {
        MODULES,
        POSITIONS,
        BAYS,
        EDGE,
        WORDS
    }

    public Place {
        items = List.copyOf(items);
    }

    /** A place that is only told in words. */
    public static Place of(String words) {
        return new Place(words, Kind.WORDS, List.of());
    }
}
