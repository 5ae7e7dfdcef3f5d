package whipsaw.core.catalogue;

import java.util.List;
import java.util.Map;
import whipsaw.core.schema.Inline;
import whipsaw.core.schema.Input;
import whipsaw.core.units.Dimension;
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
 * @param longestRow without a break, for heat growth and by the maker's calculation; null when nothing is stated
 * @param friction between its feet and a covering, by covering
 * @param footLength of one of the four feet under a module; null when not known
 * @param footWidth of it; null when not known
 * @param breakGap clear gap where a row is broken for heat; null when nothing is stated, as the others below
 * @param deepest linked rows from front to rear without a break
 * @param longSideFrom least longer side of a module it takes
 * @param longSideTo greatest
 * @param shortSideFrom least shorter side of a module it takes
 * @param shortSideTo greatest
 * @param steepest slope of roof it may stand on
 * @param undulation unevenness of roof it may stand on
 * @param rowEnds what its rows need at their ends; empty when nothing is stated
 */
public record TraySystem(
        @Inline CatalogueInfo info,
        @Input(
                        label = "Arrangement",
                        words = {"one-way rows", "pairs back to back"},
                        example = "one-way")
                Arrangement arrangement,
        @Input(
                        label = "Ridge gap",
                        dim = Dimension.PART_LENGTH,
                        least = 0.005,
                        most = 1,
                        when = {"arrangement", "pairs"},
                        help = "between the high edges of a pair",
                        example = "60 mm")
                Measure ridgeGap,
        @Input(label = "Tilts", dim = Dimension.ANGLE, least = 0, most = 35, fewest = 1, example = "5 deg; 10 deg")
                List<Measure> tilts,
        @Input(
                        label = "Row or valley gaps",
                        dim = Dimension.PART_LENGTH,
                        least = 0,
                        most = 5,
                        fewest = 1,
                        example = "15 in; 20 in")
                List<Measure> gaps,
        @Input(label = "Gap between modules", dim = Dimension.PART_LENGTH, least = 0.006, most = 0.2, example = "20 mm")
                Measure moduleGap,
        @Input(
                        label = "Lower edge above the roof",
                        dim = Dimension.PART_LENGTH,
                        least = 0.02,
                        most = 1,
                        example = "3 in")
                Measure lowEdge,
        @Input(label = "Racking mass per module", dim = Dimension.MASS, least = 0.5, most = 60, example = "5.4 kg")
                Measure rackingMass,
        @Input(label = "Ballast positions", example = "module") Positions positions,
        @Input(label = "Most blocks on a position", least = 0, most = 60, example = "12") int mostBlocks,
        @Input(
                        label = "Area shown to share load",
                        dim = Dimension.AREA,
                        least = 0.5,
                        most = 1000,
                        optional = true,
                        example = "230 ft2")
                Measure shared,
        @Input(label = "Report on load sharing", longest = 200, orElse = "", example = "stiffness report 7")
                String sharedReport,
        @Input(label = "Rows linked", orElse = "false", example = "yes") boolean linksRows,
        @Input(label = "Shortest row, modules", least = 1, most = 20, example = "2") int shortestRow,
        @Input(
                        label = "Longest row without a break",
                        dim = Dimension.ROOF_LENGTH,
                        least = 2,
                        most = 500,
                        optional = true,
                        absent = "not stated",
                        example = "150 ft")
                Measure longestRow,
        @Input(
                        label = "Friction by covering",
                        least = 0.1,
                        most = 1.5,
                        as = FrictionByCovering.class,
                        example = "TPO=0.48; EPDM=0.55")
                Map<String, Double> friction,
        @Input(
                        label = "Length of a foot (four to a module)",
                        dim = Dimension.PART_LENGTH,
                        least = 0.02,
                        most = 3,
                        optional = true,
                        with = "footWidth",
                        example = "12 in")
                Measure footLength,
        @Input(
                        label = "Width of a foot",
                        dim = Dimension.PART_LENGTH,
                        least = 0.02,
                        most = 3,
                        optional = true,
                        with = "footLength",
                        example = "4 in")
                Measure footWidth,
        @Input(
                        label = "Gap of a break in a row",
                        dim = Dimension.PART_LENGTH,
                        least = 0.006,
                        most = 2,
                        optional = true,
                        absent = "not stated",
                        example = "100 mm")
                Measure breakGap,
        @Input(
                        label = "Deepest array without a break",
                        dim = Dimension.ROOF_LENGTH,
                        least = 2,
                        most = 500,
                        optional = true,
                        absent = "not stated",
                        example = "100 ft")
                Measure deepest,
        @Input(
                        label = "Longer side of the module, from",
                        dim = Dimension.PART_LENGTH,
                        least = 0.3,
                        most = 3,
                        optional = true,
                        with = "longSideTo",
                        absent = "not stated",
                        example = "1650 mm")
                Measure longSideFrom,
        @Input(
                        label = "Longer side of the module, to",
                        dim = Dimension.PART_LENGTH,
                        least = 0.3,
                        most = 3,
                        optional = true,
                        with = "longSideFrom",
                        absent = "not stated",
                        example = "2300 mm")
                Measure longSideTo,
        @Input(
                        label = "Shorter side of the module, from",
                        dim = Dimension.PART_LENGTH,
                        least = 0.3,
                        most = 3,
                        optional = true,
                        with = "shortSideTo",
                        absent = "not stated",
                        example = "990 mm")
                Measure shortSideFrom,
        @Input(
                        label = "Shorter side of the module, to",
                        dim = Dimension.PART_LENGTH,
                        least = 0.3,
                        most = 3,
                        optional = true,
                        with = "shortSideFrom",
                        absent = "not stated",
                        example = "1150 mm")
                Measure shortSideTo,
        @Input(
                        label = "Steepest roof",
                        dim = Dimension.ANGLE,
                        least = 0.5,
                        most = 20,
                        optional = true,
                        absent = "not stated",
                        example = "5 deg")
                Measure steepest,
        @Input(
                        label = "Unevenness of the roof",
                        dim = Dimension.ANGLE,
                        least = 0.2,
                        most = 10,
                        optional = true,
                        absent = "not stated",
                        example = "3 deg")
                Measure undulation,
        @Input(label = "Needed at row ends", longest = 160, orElse = "", example = "end plate, left and right")
                String rowEnds) {
    /** Coverings trays can stand on. */
    public static final List<String> COVERINGS = List.of("TPO", "PVC", "EPDM", "bitumen", "mastic asphalt");

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

        /** Name in documents. */
        public String key() {
            return key;
        }

        /** Name for readers. */
        public String words() {
            return words;
        }
    }

    /** Whether rows stand back to back. */
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

        /** Name in documents. */
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
