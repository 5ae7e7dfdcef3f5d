package whipsaw.core.job;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
import whipsaw.core.catalogue.TraySystem;
import whipsaw.core.schema.Choices;
import whipsaw.core.schema.Faults;
import whipsaw.core.schema.Inline;
import whipsaw.core.schema.Input;
import whipsaw.core.schema.Ruled;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Spacings;

/**
 * The roof as surveyed.
 *
 * @param upAzimuth azimuth from true north of the top of the sheet
 * @param height mean roof height above ground
 * @param slope fall of the roof, in any direction
 * @param allowance what it may carry in addition; null when nobody has said
 * @param bays structural grid; null when not known
 * @param sizes taped on site beside a drawn outline; null for none
 */
public record Roof(
        @Input(label = "Outline", section = true) Outline outline,
        @Input(label = "Sizes taped on site", optional = true) SiteSizes sizes,
        @Input(label = "Azimuth of the sheet's top edge", dim = Dimension.ANGLE, least = 0, most = 360)
                Measure upAzimuth,
        @Input(label = "Mean roof height", dim = Dimension.ROOF_LENGTH, least = 2, most = 60) Measure height,
        @Input(label = "Fall", dim = Dimension.ANGLE, least = 0, most = 7) Measure slope,
        @Input(label = "Parapets", each = "Edge", by = "edge", many = Outline.MOST_CORNERS) List<Parapet> parapets,
        @Input(label = "Covering", from = Coverings.class) String covering,
        @Input(label = "Allowance for added load", optional = true) Allowance allowance,
        @Input(label = "Bays", optional = true) Bays bays,
        @Input(label = "Obstructions", many = 2000) List<Obstruction> obstructions,
        @Inline Fabric fabric) {
    public Roof {
        sizes = sizes == null || sizes.tapes().isEmpty() ? null : sizes;
        parapets = List.copyOf(parapets);
        obstructions = List.copyOf(obstructions);
    }

    /** The parapet of an edge; null where it has none. */
    public Parapet parapet(int edge) {
        return parapets.stream().filter(p -> p.edge() == edge).findFirst().orElse(null);
    }

    /** Whether ballasted trays can stand on it: level and covered with a membrane. */
    public boolean takesTrays() {
        return fabric.flat() && !METAL.contains(covering);
    }

    /** Coverings of profiled metal. */
    public static final List<String> METAL = List.of("standing seam", "trapezoidal sheet", "corrugated sheet");

    /** All coverings. */
    static final class Coverings implements Choices {
        @Override
        public List<String> names() {
            return Stream.concat(TraySystem.COVERINGS.stream(), METAL.stream()).toList();
        }
    }

    /**
     * Sizes taped on site, kept beside a drawn outline.
     *
     * @param insideFace whether between the inner faces of the parapets
     * @param tapes between any two corners
     */
    public record SiteSizes(
            @Input(
                            label = "Face taped",
                            key = "face",
                            choices = {"outside", "inside"},
                            orElse = "outside",
                            quiet = true)
                    boolean insideFace,
            @Input(label = "Tapes", each = "Tape", by = "", many = Outline.MOST_CORNERS)
                    List<Outline.TapedDiagonal> tapes)
            implements Ruled {
        public SiteSizes {
            tapes = List.copyOf(tapes);
        }

        @Override
        public void rules(Faults faults) {
            for (int i = 0; i < tapes.size(); i++) {
                if (tapes.get(i).from() == tapes.get(i).to()) {
                    faults.in("tapes", i).note("to", tapes.get(i).to(), "is the corner it begins at: for example 1-2");
                }
            }
        }
    }

    /**
     * @param edge number of the edge, from 1 in the order of the outline
     * @param curb whether it was designed for an array that slides against it
     */
    public record Parapet(
            @Input(label = "Edge", least = 1, most = Outline.MOST_CORNERS) int edge,
            @Input(
                            label = "Parapet height",
                            dim = Dimension.ROOF_LENGTH,
                            least = 0,
                            most = 4,
                            orElse = "0 m",
                            absent = "none")
                    Measure height,
            @Input(
                            label = "Parapet thickness",
                            dim = Dimension.PART_LENGTH,
                            least = 0,
                            most = 1.5,
                            orElse = "0 m",
                            absent = "none")
                    Measure thickness,
            @Input(label = "Designed as a curb for the array", orElse = "false", quiet = true) boolean curb) {}

    /**
     * What the roof may carry in addition, with who said so.
     *
     * @param letter it stands in; empty when not named
     * @param conditions it is given under, one text each
     */
    public record Allowance(
            @Input(
                            label = "Load",
                            dim = Dimension.LOAD,
                            least = 20,
                            most = 10_000,
                            absent = "not known: nothing is established")
                    Measure load,
            @Input(label = "Given by") String givenBy,
            @Input(label = "Date given", help = "as 2026-05-31") LocalDate date,
            @Input(label = "Letter", longest = 160, optional = true, help = "where it stands") String letter,
            @Input(
                            label = "Conditions",
                            longest = 2000,
                            optional = true,
                            as = SemicolonTexts.class,
                            help = "with semicolons between")
                    List<String> conditions) {
        public Allowance {
            conditions = List.copyOf(conditions);
        }

        /** Who gave it, when, where it stands and under how many conditions. */
        public String source() {
            String n = conditions.size() == 1 ? "1 condition" : conditions.size() + " conditions";
            return "allowance given by " + givenBy + " on " + date + (letter.isEmpty() ? "" : ", " + letter)
                    + (conditions.isEmpty() ? "" : ", " + n);
        }
    }

    /** Grid lines parallel to the sheet, starting at the least x and y of the outline; the last spacing repeats. */
    public record Bays(
            @Input(
                            label = "Across the sheet",
                            dim = Dimension.ROOF_LENGTH,
                            least = 1,
                            most = 60,
                            absent = "not known; the last one repeats")
                    Spacings alongX,
            @Input(
                            label = "Up the sheet",
                            dim = Dimension.ROOF_LENGTH,
                            least = 1,
                            most = 60,
                            absent = "not known; the last one repeats")
                    Spacings alongY) {}
}
