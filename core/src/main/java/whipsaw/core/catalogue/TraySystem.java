package whipsaw.core.catalogue;

import java.util.List;
import java.util.Map;
import whipsaw.core.units.Measure;

/**
 * A ballasted tray system, for one-way rows or for pairs back to back.
 *
 * @param arrangement one-way rows, or pairs with their high edges together
 * @param ridgeGap between the high edges of a pair, horizontal; null for one-way rows
 * @param tilts settings it is made for
 * @param gaps clear gaps between rows, or valley gaps between pairs, it is made for
 * @param moduleGap between modules of a row
 * @param lowEdge lower edge of a module above the roof
 * @param rackingMass per module
 * @param positions which modules a ballast position serves, and in what share
 * @param mostBlocks blocks one position takes
 * @param shared area over which it has been shown to share load; null when nothing has been shown
 * @param sharedReport the report that shows it; empty when there is none
 * @param linksRows whether trays of neighbouring rows are joined
 * @param shortestRow fewest modules side by side
 * @param friction between its feet and a covering, by covering
 * @param footLength of one of the four feet under a module; null when not known
 * @param footWidth of it; null when not known
 */
public record TraySystem(
        CatalogueInfo info,
        Arrangement arrangement,
        Measure ridgeGap,
        List<Measure> tilts,
        List<Measure> gaps,
        Measure moduleGap,
        Measure lowEdge,
        Measure rackingMass,
        Positions positions,
        int mostBlocks,
        Measure shared,
        String sharedReport,
        boolean linksRows,
        int shortestRow,
        Map<String, Double> friction,
        Measure footLength,
        Measure footWidth) {

    /** How the rows stand to each other. */
    public enum Arrangement {
        ONE_WAY("one-way", "one-way rows"),
        PAIRS("pairs", "pairs back to back");

        private final String key;
        private final String words;

        Arrangement(String key, String words) {
            this.key = key;
            this.words = words;
        }

        public String key() {
            return key;
        }

        public String words() {
            return words;
        }
    }

    public boolean pairs() {
        return arrangement == Arrangement.PAIRS;
    }

    /** Where ballast lies and which modules it serves. */
    public enum Positions {
        /** One position under each module. */
        MODULE("module"),
        /** Positions at the ends and joints of a row; a joint serves half of each neighbour. */
        JOINT("joint");

        private final String key;

        Positions(String key) {
            this.key = key;
        }

        public String key() {
            return key;
        }
    }

    public TraySystem {
        tilts = List.copyOf(tilts);
        gaps = List.copyOf(gaps);
        friction = Map.copyOf(friction);
    }
}
