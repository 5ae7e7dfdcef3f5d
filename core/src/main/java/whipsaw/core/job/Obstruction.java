package whipsaw.core.job;

import whipsaw.core.schema.Inline;
import whipsaw.core.schema.Input;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Measure;

/**
 * A thing on the roof.
 *
 * @param kind one of the kinds of {@code obstruction_kinds}
 * @param clear distance to be kept to modules; null takes the rule of the kind
 */
public record Obstruction(
        @Input(label = "Id", longest = 40) String id,
        @Input(label = "Name", longest = 60) String name,
        @Input(label = "Kind", from = ObstructionKinds.Names.class, orElse = ObstructionKinds.USUAL) String kind,
        @Inline Footprint footprint,
        @Input(label = "Height above the roof", dim = Dimension.ROOF_LENGTH, least = 0, most = 30) Measure height,
        @Input(
                        label = "Clear distance",
                        dim = Dimension.ROOF_LENGTH,
                        least = 0,
                        most = 30,
                        optional = true,
                        absent = "by the rule of its kind")
                Measure clear,
        /** Its left side on the sheet. */
        @Inline Conduct conduct) {
    public Measure x() {
        return footprint.x();
    }

    /** Its lower side on the sheet. */
    public Measure y() {
        return footprint.y();
    }

    /** Its size to the right. */
    public Measure width() {
        return footprint.width();
    }

    /** Its size up the sheet. */
    public Measure depth() {
        return footprint.depth();
    }

    /**
     * What a thing does to its surroundings; null takes the rule of its kind.
     *
     * @param shades whether it throws a shadow that counts
     * @param fragile whether nobody may step on it
     * @param exhaust azimuth its exhaust drifts to, or null
     */
    public record Conduct(
            @Input(label = "Throws a shadow", optional = true, absent = "by its kind") Boolean shades,
            @Input(label = "Fragile", optional = true, absent = "by its kind") Boolean fragile,
            @Input(
                            label = "Exhaust drifts to",
                            dim = Dimension.ANGLE,
                            least = 0,
                            most = 360,
                            optional = true,
                            absent = "not known")
                    Measure exhaust) {
        public static final Conduct BY_KIND = new Conduct(null, null, null);
    }
}
