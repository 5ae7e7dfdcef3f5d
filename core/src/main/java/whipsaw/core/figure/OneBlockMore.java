package whipsaw.core.figure;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.design.Design;
import whipsaw.core.holddown.Ballast;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.job.ArrayChoice;
import whipsaw.core.structure.AttachedArray;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/**
 * What one block more, one fewer, or attachments in place of the blocks would change at a position.
 *
 * @param blocks that lie there
 * @param now weight of the position over what the wind asks of it by itself
 * @param fewer the same with one block fewer; NaN where there is none
 * @param more the same with one block more
 * @param laidKg what a block adds to the load
 * @param room blocks the position still takes
 * @param attachments that hold the position without a block; 0 where none are entered
 */
public record OneBlockMore(
        int blocks, double now, double fewer, double more, double laidKg, int room, int attachments) {

    /** Null where nothing is established, or no weight is asked for. */
    public static OneBlockMore of(Design design, HoldDown.Position p) {
        Ballast b = p.ballast();
        double asked = Math.max(b.upliftKg(), b.slidingKg());
        if (!design.holdDown().established() || !(asked > 0)) {
            return null;
        }
        double own = b.demand().ownMassKg();
        double block = b.hold().blockKg();
        int n = b.blocksPlaced();
        return new OneBlockMore(
                n,
                (own + n * block) / asked,
                n == 0 ? Double.NaN : (own + (n - 1) * block) / asked,
                (own + (n + 1) * block) / asked,
                b.hold().laidKg(),
                b.hold().mostBlocks() - n,
                attachments(design, p));
    }

    /** Attachments the job has entered that hold a position by themselves. */
    private static int attachments(Design design, HoldDown.Position p) {
        ArrayChoice.Attachments each = design.job().array().attachments();
        if (each == null || p.ballast().blocksNeeded() == 0) {
            return 0;
        }
        Ballast.Hold h = p.ballast().hold();
        Ballast bare = Ballast.of(
                p.ballast().demand(),
                new Ballast.Hold(h.friction(), h.blockKg(), h.laidKg(), 0, h.roofSlopeDeg(), h.factors(), true));
        HoldDown.Position without =
                new HoldDown.Position(p.index(), p.id(), p.row(), p.kind(), p.place(), p.s(), p.t(), p.shares(), bare);
        return AttachedArray.atPosition(
                each,
                design.job().array().module().areaM2(),
                without,
                AttachedArray.factors(design.job(), design.tables()));
    }

    /** All of it in sentences. */
    public List<String> words(UnitSystem units) {
        List<String> list = new ArrayList<>();
        list.add("With " + Show.count(blocks, "block") + " it weighs " + percent(now)
                + " of what the wind asks of it by itself"
                + (Double.isNaN(fewer) ? "" : ", with one block fewer " + percent(fewer))
                + ", with one more " + percent(more) + ". A block more or fewer is "
                + Show.both(units, Dimension.MASS, laidKg) + " on the roof"
                + (room > 0 ? "; it takes " + room + " more." : "; it takes no more."));
        if (attachments > 0) {
            list.add("Without a block, " + Show.count(attachments, "attachment")
                    + " of those entered would hold it by itself, a first estimate: "
                    + Show.both(units, Dimension.MASS, blocks * laidKg) + " less on the roof.");
        }
        return list;
    }

    private static String percent(double share) {
        return Show.number(100 * share, 1) + " %";
    }
}
