package whipsaw.core.figure;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.design.Design;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/** Why a ballast position holds more or fewer blocks than the ones beside it. */
public final class NeighbourDifferences {
    private NeighbourDifferences() {}

    /**
     * A position beside another.
     *
     * @param id of the neighbour on the grid
     * @param number of it as the crew counts
     * @param side left, right, in front or behind, seen from the facing side
     * @param more blocks that it needs more than the one asked about; negative for fewer
     * @param why what the two do not share, in words; empty when they need the same
     */
    public record Difference(String id, String number, String side, int more, String why) {
        /** The difference in one line. */
        public String words() {
            int count = Math.abs(more);
            String blocks = count + (count == 1 ? " block " : " blocks ") + (more > 0 ? "more" : "fewer");
            return number + " " + side + ": " + (more == 0 ? "as many blocks" : blocks + ", " + why);
        }
    }

    /** Neighbours of a position, or an empty list when it does not exist or nothing is established. */
    public static List<Difference> of(Design design, String id) {
        if (!design.holdDown().established()) {
            return List.of();
        }
        HoldDown.Position own = design.holdDown().positions().stream()
                .filter(p -> p.id().equals(id))
                .findFirst()
                .orElse(null);
        if (own == null) {
            return List.of();
        }
        List<Difference> all = new ArrayList<>();
        for (Side side : Side.values()) {
            HoldDown.Position next = nearest(design, own, side);
            if (next != null) {
                int more = next.ballast().blocksNeeded() - own.ballast().blocksNeeded();
                all.add(new Difference(
                        next.id(), next.number(), side.words, more, more == 0 ? "" : why(design, own, next)));
            }
        }
        return all;
    }

    private enum Side {
        LEFT("to the left", -1, 0),
        RIGHT("to the right", 1, 0),
        FRONT("in front", 0, -1),
        BEHIND("behind", 0, 1);

        private final String words;
        private final int along;
        private final int across;

        Side(String words, int along, int across) {
            this.words = words;
            this.along = along;
            this.across = across;
        }
    }

    /** The next position on a side, not farther than a module and a walkway. */
    private static HoldDown.Position nearest(Design design, HoldDown.Position own, Side side) {
        ArrayLayout layout = design.layout();
        double reach = side.along != 0 ? layout.columnPitchM() * 1.5 : layout.pitchM() * 2;
        double aside = side.along != 0 ? layout.depthM() / 2 : layout.columnPitchM() * 0.51;
        HoldDown.Position best = null;
        double least = reach;
        for (HoldDown.Position p : design.holdDown().positions()) {
            double ds = p.s() - own.s();
            double dt = p.t() - own.t();
            double ahead = side.along != 0 ? ds * side.along : dt * side.across;
            double off = Math.abs(side.along != 0 ? dt : ds);
            if (ahead > 0.01 && off < aside && ahead + off < least) {
                least = ahead + off;
                best = p;
            }
        }
        return best;
    }

    private static String why(Design design, HoldDown.Position own, HoldDown.Position other) {
        HoldDown.Demand a = governing(design, own);
        HoldDown.Demand b = governing(design, other);
        List<String> reasons = new ArrayList<>();
        if (!Objects.equals(a.zone(), b.zone())) {
            reasons.add("zone " + b.zone() + " instead of " + a.zone());
        }
        if (a.pressure().edgeFactor() != b.pressure().edgeFactor()) {
            reasons.add("array edge factor "
                    + Show.number(b.pressure().edgeFactor(), 2)
                    + " instead of "
                    + Show.number(a.pressure().edgeFactor(), 2));
        }
        if (Math.abs(a.pressure().effectiveAreaM2() - b.pressure().effectiveAreaM2()) > 1e-9) {
            UnitSystem units = design.job().project().units();
            reasons.add("wind area "
                    + Show.in(units, Dimension.AREA, b.pressure().effectiveAreaM2())
                    + " instead of "
                    + Show.in(units, Dimension.AREA, a.pressure().effectiveAreaM2()));
        }
        double ownPart = parts(own);
        double otherPart = parts(other);
        if (Math.abs(ownPart - otherPart) > 1e-9) {
            reasons.add("it holds " + Show.number(otherPart, 2) + " of a module instead of " + Show.number(ownPart, 2));
        }
        return reasons.isEmpty() ? "the other modules it shares differ" : String.join(" and ", reasons);
    }

    /** The module with the strongest uplift of those a position holds. */
    private static HoldDown.Demand governing(Design design, HoldDown.Position p) {
        HoldDown.Demand worst = null;
        for (HoldDown.Share share : p.shares()) {
            HoldDown.Demand d = design.holdDown().demands().get(share.module());
            if (worst == null || d.pressure().upliftPa() > worst.pressure().upliftPa()) {
                worst = d;
            }
        }
        return worst;
    }

    private static double parts(HoldDown.Position p) {
        return p.shares().stream().mapToDouble(HoldDown.Share::part).sum();
    }
}
