package whipsaw.core.roof;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.job.Outline;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/** Slips in a tape survey that no fit can mend: a turn called to the wrong side, a tape across that cannot be. */
public final class TapeSlips {
    private static final double FULL_DEG = 360;
    private static final double TURNS_AGREE_DEG = 15;
    private static final double SLACK = 1.001;

    private TapeSlips() {}

    /**
     * @param words what is wrong and what to do
     * @param corner number of the corner it is seen at, from 1
     */
    public record Slip(String words, int corner) {}

    /** What no fit mends: tapes that cannot be true whatever the others are. */
    public static List<Slip> of(Outline.Taped taped, UnitSystem units) {
        List<Slip> slips = new ArrayList<>();
        List<Outline.TapedLeg> legs = taped.legs();
        if (legs.size() > 2) {
            turns(legs, units, slips);
            for (Outline.TapedDiagonal d : taped.diagonals()) {
                if (d.crosses(legs.size())) {
                    diagonal(legs, d, units, slips);
                }
            }
            for (Outline.TapedOffset o : taped.offsets()) {
                if (o.names(legs.size())) {
                    offset(legs, o, units, slips);
                }
            }
        }
        return slips;
    }

    /** When the turns make no full circle: the one turn that, called to the other side, closes the walk best. */
    private static void turns(List<Outline.TapedLeg> legs, UnitSystem units, List<Slip> slips) {
        double sum = legs.stream().mapToDouble(Outline.TapedLeg::turnDeg).sum();
        if (Math.abs(Math.abs(sum) - FULL_DEG) <= TURNS_AGREE_DEG) {
            return;
        }
        int best = -1;
        Traverse closest = null;
        for (int i = 0; i < legs.size(); i++) {
            double turned = sum - 2 * legs.get(i).turnDeg();
            if (Math.abs(Math.abs(turned) - FULL_DEG) > TURNS_AGREE_DEG) {
                continue;
            }
            Traverse walk = walk(legs, i);
            if (walk.closureM() * OutlineShape.WORST_CLOSURE < walk.perimeterM()
                    && (closest == null || walk.closureM() < closest.closureM())) {
                closest = walk;
                best = i;
            }
        }
        if (best >= 0) {
            String other = legs.get(best).turnDeg() > 0 ? "right" : "left";
            slips.add(new Slip(
                    "The turns make no full circle; with a turn to the " + other + " after edge " + (best + 1)
                            + " the walk closes to " + Show.both(units, Dimension.ROOF_LENGTH, closest.closureM())
                            + ": look which way the wall turns there.",
                    (best + 1) % legs.size() + 1));
        }
    }

    private static Traverse walk(List<Outline.TapedLeg> legs, int flipped) {
        List<Traverse.Leg> walk = new ArrayList<>();
        for (int i = 0; i < legs.size(); i++) {
            double turn = legs.get(i).turnDeg();
            walk.add(new Traverse.Leg(legs.get(i).length().si(), i == flipped ? -turn : turn));
        }
        return Traverse.of(walk, false);
    }

    /** A tape across is never longer than the edges either way round, nor shorter than one of them less the others. */
    private static void diagonal(
            List<Outline.TapedLeg> legs, Outline.TapedDiagonal d, UnitSystem units, List<Slip> slips) {
        int n = legs.size();
        int from = Math.min(d.from(), d.to()) - 1;
        int to = Math.max(d.from(), d.to()) - 1;
        double taped = d.length().si();
        for (int side = 0; side < 2; side++) {
            double sum = 0;
            double longest = 0;
            for (int i = 0; i < n; i++) {
                if ((i >= from && i < to) == (side == 0)) {
                    double length = legs.get(i).length().si();
                    sum += length;
                    longest = Math.max(longest, length);
                }
            }
            double least = longest - (sum - longest);
            if (taped > sum * SLACK || taped * SLACK < least) {
                boolean over = taped > sum * SLACK;
                slips.add(new Slip(
                        "The tape from corner " + d.from() + " to " + d.to() + " cannot be "
                                + Show.both(units, Dimension.ROOF_LENGTH, taped) + ": the edges between them "
                                + (over
                                        ? "are only " + Show.both(units, Dimension.ROOF_LENGTH, sum) + " long together."
                                        : "keep the corners at least " + Show.both(units, Dimension.ROOF_LENGTH, least)
                                                + " apart.")
                                + " Read the tape again, or name the right corners.",
                        d.to()));
                return;
            }
        }
    }

    /** A corner is never farther off a line than it is from either end of it along the edges. */
    private static void offset(List<Outline.TapedLeg> legs, Outline.TapedOffset o, UnitSystem units, List<Slip> slips) {
        double most = Math.min(along(legs, o.corner(), o.from()), along(legs, o.corner(), o.to()));
        if (o.length().si() > most * SLACK) {
            slips.add(new Slip(
                    "Corner " + o.corner() + " cannot lie "
                            + Show.both(units, Dimension.ROOF_LENGTH, o.length().si()) + " off the line "
                            + o.from() + "-" + o.to() + ": it is at most "
                            + Show.both(units, Dimension.ROOF_LENGTH, most)
                            + " from an end of it along the edges. Read the tape again, or name the right corners.",
                    o.corner()));
        }
    }

    /** The shorter way along the edges between two corners, counted from 1. */
    private static double along(List<Outline.TapedLeg> legs, int a, int b) {
        double way = 0;
        double round = 0;
        for (int i = 1; i <= legs.size(); i++) {
            double length = legs.get(i - 1).length().si();
            round += length;
            way += i >= Math.min(a, b) && i < Math.max(a, b) ? length : 0;
        }
        return Math.min(way, round - way);
    }

    /** Where a slip is seen on the walk. */
    public static Coordinate at(Slip slip, Traverse walk) {
        return walk.rawVertices().get(slip.corner() - 1);
    }
}
