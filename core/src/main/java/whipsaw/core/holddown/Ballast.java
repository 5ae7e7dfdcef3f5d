package whipsaw.core.holddown;

import whipsaw.core.table.WindTables;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Show;

/**
 * Weight that holds one position down against uplift and sliding.
 *
 * <p>Uplift: {@code fG D cos s >= fW U}. Sliding: {@code mu (fG D cos s - fW U) >= fW H + fG D sin
 * s}. D is the total weight; U and H the wind force away from and along the roof at the level the
 * code gives (strength level for ASCE 7); fG and fW the factors of the method.
 *
 * @param uplift total mass needed against uplift, kg
 * @param sliding total mass needed against sliding, kg
 * @param requiredKg ballast needed beside the parts' own mass
 * @param blocksNeeded whole blocks
 * @param blocksPlaced whole blocks, no more than the position takes
 * @param slidingGoverns whether sliding needs more than uplift
 * @param tensionN uplift left over when the position is full
 * @param shearN sliding force left over when the position is full
 */
public record Ballast(
        Demand demand,
        Hold hold,
        double upliftKg,
        double slidingKg,
        double requiredKg,
        int blocksNeeded,
        int blocksPlaced,
        boolean slidingGoverns,
        double tensionN,
        double shearN) {

    public static final double GRAVITY = 9.80665;

    /**
     * What pulls at a position.
     *
     * @param upliftN away from the roof
     * @param dragN along the roof
     * @param ownMassKg modules and racking at the position
     */
    public record Demand(double upliftN, double dragN, double ownMassKg) {}

    /**
     * What holds it.
     *
     * @param friction between the feet and the covering
     * @param blockKg mass of one block
     * @param mostBlocks what the position takes
     * @param roofSlopeDeg fall of the roof
     * @param factors load factors of the method
     * @param attached whether attachments take over what is left when the position is full
     */
    public record Hold(
            double friction,
            double blockKg,
            int mostBlocks,
            double roofSlopeDeg,
            WindTables.LoadFactors factors,
            boolean attached) {
        /** Weight alone. */
        public Hold(
                double friction, double blockKg, int mostBlocks, double roofSlopeDeg, WindTables.LoadFactors factors) {
            this(friction, blockKg, mostBlocks, roofSlopeDeg, factors, false);
        }

        /** The same with no more blocks than this, and attachments beside them. */
        Hold attachedAbove(int blocks) {
            return new Hold(friction, blockKg, Math.min(mostBlocks, blocks), roofSlopeDeg, factors, true);
        }
    }

    /** Whether more blocks are needed than the position takes. */
    public boolean full() {
        return blocksNeeded > blocksPlaced;
    }

    /** Whether it is full and attachments take over. */
    public boolean attached() {
        return full() && hold.attached();
    }

    /** Whether it is full and nothing else holds it. */
    public boolean lacks() {
        return full() && !hold.attached();
    }

    /** Stands after the number of blocks: {@code !} where some are missing, {@code +A} where attachments take over. */
    public String mark() {
        return lacks() ? "!" : attached() ? "+A" : "";
    }

    /** What the position gets, in words. */
    public String words() {
        String blocks = Show.count(blocksPlaced, "block");
        if (lacks()) {
            return blocks + ", " + blocksNeeded + " needed";
        }
        return attached() ? blocks + " and attachments" : blocks;
    }

    /** Forces that the weight of a position leaves over. */
    public record Left(double tensionN, double shearN) {}

    /** What the blocks placed leave over under other load factors, those attachments are held against. */
    public Left left(WindTables.LoadFactors factors) {
        return left(demand, hold, blocksPlaced, factors);
    }

    private static Left left(Demand d, Hold h, int placed, WindTables.LoadFactors factors) {
        double cos = Math.cos(Math.toRadians(h.roofSlopeDeg()));
        double sin = Math.sin(Math.toRadians(h.roofSlopeDeg()));
        double weightN = (d.ownMassKg() + placed * h.blockKg()) * GRAVITY;
        double pressing = factors.dead() * weightN * cos - factors.wind() * d.upliftN();
        double shear =
                factors.wind() * d.dragN() + factors.dead() * weightN * sin - h.friction() * Math.max(0, pressing);
        return new Left(Math.max(0, -pressing), Math.max(0, shear));
    }

    public double placedKg() {
        return blocksPlaced * hold.blockKg();
    }

    /** {@code none}, {@code uplift} or {@code sliding}. */
    public String governing() {
        if (blocksNeeded == 0) {
            return "none";
        }
        return slidingGoverns ? "sliding" : "uplift";
    }

    /**
     * Computes it; a demand that is not established gives no blocks and NaN everywhere else.
     *
     * @throws IllegalArgumentException when the roof is too steep for its friction: no weight holds
     */
    public static Ballast of(Demand d, Hold h) {
        if (Double.isNaN(d.upliftN())) {
            return new Ballast(d, h, Double.NaN, Double.NaN, Double.NaN, 0, 0, false, Double.NaN, Double.NaN);
        }
        double cos = Math.cos(Math.toRadians(h.roofSlopeDeg()));
        double sin = Math.sin(Math.toRadians(h.roofSlopeDeg()));
        double grip = h.friction() * cos - sin;
        if (grip <= 0) {
            throw new IllegalArgumentException("no weight holds: friction "
                    + h.friction()
                    + " does not exceed the fall of "
                    + h.roofSlopeDeg()
                    + " deg");
        }
        double fG = h.factors().dead();
        double fW = h.factors().wind();
        double upliftKg = fW / fG * d.upliftN() / cos / GRAVITY;
        double slidingKg = fW / fG * (h.friction() * d.upliftN() + d.dragN()) / grip / GRAVITY;
        double requiredKg = Math.max(0, Math.max(upliftKg, slidingKg) - d.ownMassKg());
        int needed = Math.max(0, Limits.ceil(requiredKg / h.blockKg()));
        int placed = Math.min(needed, h.mostBlocks());
        Left left = needed > placed ? left(d, h, placed, h.factors()) : new Left(0, 0);
        return new Ballast(
                d,
                h,
                upliftKg,
                slidingKg,
                requiredKg,
                needed,
                placed,
                slidingKg > upliftKg,
                left.tensionN(),
                left.shearN());
    }

    /**
     * Attachments for a group of equal positions with linear interaction; 0 when none is needed.
     */
    public int attachments(int count, double allowTensionN, double allowShearN) {
        return Math.max(0, Limits.ceil(count * (tensionN / allowTensionN + shearN / allowShearN)));
    }
}
