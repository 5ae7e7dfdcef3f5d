package whipsaw.core.job;

import java.util.List;
import java.util.function.Predicate;
import whipsaw.core.catalogue.AttachmentType;
import whipsaw.core.catalogue.BlockType;
import whipsaw.core.catalogue.ModuleType;
import whipsaw.core.catalogue.TraySystem;
import whipsaw.core.schema.Input;
import whipsaw.core.schema.Kinds;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Measure;

/**
 * @param gap null takes the smallest setting that is shade-free in the window
 * @param setback null takes the common rule
 * @param paths rule of the paths left for the fire service or for repair; empty for none
 * @param walkway null for none
 * @param aisle null for none
 * @param windowFrom start of the shade-free window on the shortest day, true solar hour
 * @param removed places of modules left out by hand
 * @param hand null where nothing else was done by hand
 * @param attachments null where nothing but weight holds the array
 * @param weighed null where no blocks were weighed
 * @param ballastBy {@code together} where blocks are worked out over connected positions; empty for each by itself
 */
public record ArrayChoice(
        @Input(label = "Tray system", catalogue = "tray-system") TraySystem tray,
        @Input(label = "Module", catalogue = "module") ModuleType module,
        @Input(label = "Block", catalogue = "block") BlockType block,
        @Input(label = "Tilt", dim = Dimension.ANGLE, least = 0, most = 35) Measure tilt,
        @Input(
                        label = "Row gap",
                        dim = Dimension.PART_LENGTH,
                        least = 0,
                        most = 5,
                        optional = true,
                        absent = "smallest without shadow",
                        help = "of pairs, the valley gap")
                Measure gap,
        @Input(label = "Rows face", section = true) Facing facing,
        @Input(
                        label = "Set-back",
                        dim = Dimension.ROOF_LENGTH,
                        least = 0,
                        most = 30,
                        optional = true,
                        absent = "by rule")
                Measure setback,
        @Input(
                        label = "Fire paths",
                        choices = {"fire code", "access"},
                        optional = true,
                        absent = "none",
                        help = "perimeter, between sections and to hatches")
                String paths,
        @Input(label = "Walkway", optional = true) Walkway walkway,
        @Input(label = "Aisle across the rows", optional = true) Aisle aisle,
        @Input(label = "Shade-free from, solar hour", least = 5, most = 12, unit = "h") double windowFrom,
        @Input(label = "Shade-free to, solar hour", least = 12, most = 19, unit = "h") double windowTo,
        @Input(
                        label = "Shift along the rows",
                        dim = Dimension.ROOF_LENGTH,
                        least = -20,
                        most = 20,
                        orElse = "0 m",
                        absent = "none")
                Measure shiftAlong,
        @Input(
                        label = "Shift across the rows",
                        dim = Dimension.ROOF_LENGTH,
                        least = -20,
                        most = 20,
                        orElse = "0 m",
                        absent = "none")
                Measure shiftAcross,
        @Input(label = "Modules left out", each = "Module left out", by = "", many = 20_000) List<Corner> removed,
        @Input(label = "Hand work", optional = true) HandWork hand,
        @Input(label = "Attachments beside weight", optional = true) Attachments attachments,
        @Input(
                        label = "Blocks worked out",
                        choices = {"together"},
                        words = {"over connected positions"},
                        optional = true,
                        absent = "position by position",
                        help = "only as far as the system has been shown to share load")
                String ballastBy,
        @Input(label = "Blocks weighed", optional = true) Weighed weighed) {
    public ArrayChoice {
        removed = List.copyOf(removed);
    }

    /** Whether blocks are worked out over connected positions. */
    public boolean ballastTogether() {
        return ballastBy.equals("together");
    }

    /** What was done by hand beside modules left out. */
    public HandWork byHand() {
        return hand == null ? HandWork.NONE : hand;
    }

    /** The same with other work done by hand. */
    public ArrayChoice byHand(List<Corner> places, HandWork work) {
        return with(facing, places, work, attachments);
    }

    /** The same with attachments at those of its places only; with none where there are no such places. */
    public ArrayChoice attachedAt(Predicate<Corner> in) {
        if (attachments == null || attachments.at().isEmpty()) {
            return this;
        }
        List<Corner> at = attachments.at().stream().filter(in).toList();
        return with(facing, removed, hand, at.isEmpty() ? null : attachments.at(at));
    }

    /** The same facing another way. */
    public ArrayChoice facing(Facing other) {
        return with(other, removed, hand, attachments);
    }

    private ArrayChoice with(Facing faces, List<Corner> out, HandWork work, Attachments held) {
        return new ArrayChoice(
                tray,
                module,
                block,
                tilt,
                gap,
                faces,
                setback,
                paths,
                walkway,
                aisle,
                windowFrom,
                windowTo,
                shiftAlong,
                shiftAcross,
                out,
                work,
                held,
                ballastBy,
                weighed);
    }

    /**
     * What holds the array beside its weight.
     *
     * @param tension one attachment may take away from the roof: allowable in ASCE 7, design resistance in EN
     * @param shear the same along the roof
     * @param mostBlocks a position takes where there are attachments
     * @param bays names of the bays they are in; empty for all
     * @param kind how they are fixed: bonded, screwed or bolted; empty when not said
     * @param part of the catalogue; null where only what one takes is known
     * @param at middles of the positions they are at; empty for all that lack weight
     */
    public record Attachments(
            @Input(
                            label = "Allowable uplift, each",
                            dim = Dimension.FORCE,
                            least = 50,
                            most = 200_000,
                            help = "allowable, or design resistance in EN")
                    Measure tension,
            @Input(
                            label = "Allowable shear, each",
                            dim = Dimension.FORCE,
                            least = 50,
                            most = 200_000,
                            help = "along the roof")
                    Measure shear,
            @Input(label = "Most blocks on a position", least = 0, most = 60) int mostBlocks,
            @Input(label = "Bays", longest = 4000, optional = true, as = BayNames.class, help = "as B2, C2; empty: all")
                    List<String> bays,
            @Input(
                            label = "Fixing method",
                            choices = {"bonded", "screwed", "bolted"},
                            optional = true,
                            absent = "not said")
                    String kind,
            @Input(label = "Attachment", catalogue = "attachment", optional = true) AttachmentType part,
            @Input(
                            label = "Positions with attachments",
                            each = "Position with attachments",
                            by = "",
                            many = 20_000,
                            absent = "all that lack weight")
                    List<Corner> at) {

        public Attachments {
            bays = List.copyOf(bays);
            at = List.copyOf(at);
        }

        /** The same at other places. */
        Attachments at(List<Corner> places) {
            return new Attachments(tension, shear, mostBlocks, bays, kind, part, places);
        }
    }

    /**
     * Blocks of the delivery that were put on a scale.
     *
     * @param count how many
     * @param mean of their masses
     * @param spread their standard deviation
     */
    public record Weighed(
            @Input(label = "Blocks on the scale", least = 3, most = 200, help = "ten is usual") int count,
            @Input(label = "Mean mass", dim = Dimension.MASS, least = 2, most = 60) Measure mean,
            @Input(
                            label = "Spread (standard deviation)",
                            dim = Dimension.MASS,
                            least = 0,
                            most = 20,
                            help = "about a third of heaviest less lightest, of ten")
                    Measure spread) {}

    /** Which way the low edges look. */
    @Kinds(key = "", label = "Rows face")
    public sealed interface Facing permits ToEdge, ToAzimuth {}

    /** Rows face an azimuth from true north. */
    public record ToAzimuth(@Input(label = "Azimuth", dim = Dimension.ANGLE, least = 0, most = 360) Measure azimuth)
            implements Facing {}

    /**
     * @param edge number of the roof edge that the rows are parallel to and face
     */
    public record ToEdge(@Input(label = "Edge faced", least = 1, most = Outline.MOST_CORNERS) int edge)
            implements Facing {}

    /**
     * @param every rows between walkways
     * @param first rows in front of the first walkway
     */
    public record Walkway(
            @Input(label = "Rows between walkways", least = 1, most = 100, help = "of pairs, pairs") int every,
            @Input(label = "Rows before the first walkway", least = 1, most = 100) int first,
            @Input(label = "Width", dim = Dimension.ROOF_LENGTH, least = 0.3, most = 10, absent = "none")
                    Measure width) {

        /** Whether one lies behind a row, or pair, counted from 1. */
        public boolean behind(int row) {
            return row >= first && (row - first) % every == 0;
        }
    }

    /**
     * Aisles that cut all rows at the same columns, to walk on or for heat and movement.
     *
     * @param every modules between aisles
     * @param first modules before the first aisle
     * @param width clear between the modules beside it
     */
    public record Aisle(
            @Input(label = "Modules between aisles", least = 1, most = 1000) int every,
            @Input(label = "Modules before the first aisle", least = 1, most = 1000) int first,
            @Input(label = "Width of the aisle", dim = Dimension.ROOF_LENGTH, least = 0.006, most = 10)
                    Measure width) {}
}
