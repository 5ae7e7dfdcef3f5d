package whipsaw.core.holddown;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.formula.Formulas;
import whipsaw.core.formula.From;
import whipsaw.core.formula.Measured;
import whipsaw.core.formula.Values;
import whipsaw.core.table.WindTables;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.working.Step;
import whipsaw.core.working.Terms;

/**
 * Weight that holds one position down against uplift and sliding. The wind force away from and along the roof is at the
 * level the code gives (strength level for ASCE 7); the factors are those of the method.
 *
 * @param values of the symbols of the formulas
 * @param blocksNeeded whole blocks; over connected positions what falls to this one
 * @param blocksPlaced whole blocks, no more than the position takes
 * @param left what remains for attachments when the position is full
 */
public record Ballast(Demand demand, Hold hold, Values values, int blocksNeeded, int blocksPlaced, Left left) {

    private static final Formulas FORMULAS = Formulas.of("")
            .in("f_W", "factor on wind", Measured.NUMBER.digits(3))
            .in("f_G", "factor on weight", Measured.NUMBER.digits(3))
            .in("U", "away from the roof", Measured.PART_FORCE)
            .in("s", "fall of the roof", Measured.DEGREES)
            .let(
                    "D_up",
                    "weight needed against uplift",
                    "{f_W} / {f_G} · {U} / cos {s}",
                    Measured.PART_FORCE,
                    "f_G · D · cos s at least f_W · U")
            .in("H", "along the roof", Measured.PART_FORCE)
            .in("μ", "friction between feet and covering", Measured.NUMBER.digits(3))
            .let(
                    "D_sl",
                    "weight needed against sliding",
                    "{f_W} / {f_G} · ({μ} · {U} + {H}) / ({μ} · cos {s} − sin {s})",
                    Measured.PART_FORCE,
                    "μ · (f_G · D · cos s − f_W · U) at least f_W · H + f_G · D · sin s")
            .in("own", "weight of module and racking at the position", Measured.PART_FORCE)
            .let(
                    "B",
                    "weight of ballast",
                    "max(0, max({D_up}, {D_sl}) − {own})",
                    Measured.PART_FORCE,
                    "the larger governs")
            .in("block", "weight of one block", Measured.PART_FORCE)
            .let("n", "blocks, of which the next whole number is needed", "{B} / {block}", Measured.NUMBER, "whole")
            .build();

    private static final Formulas LEFT = Formulas.of("")
            .in("f_W", "factor on wind", Measured.NUMBER.digits(3))
            .in("f_G", "factor on weight", Measured.NUMBER.digits(3))
            .in("D", "weight of the position with its blocks", Measured.PART_FORCE)
            .in("U", "away from the roof", Measured.PART_FORCE)
            .in("s", "fall of the roof", Measured.DEGREES)
            .let(
                    "P",
                    "pressing on the roof",
                    "{f_G} · {D} · cos {s} − {f_W} · {U}",
                    Measured.PART_FORCE,
                    "equilibrium normal to the roof")
            .let(
                    "T",
                    "uplift left over",
                    "max(0, {f_W} · {U} − {f_G} · {D} · cos {s})",
                    Measured.PART_FORCE,
                    "f_G · D · cos s at least f_W · U")
            .in("H", "along the roof", Measured.PART_FORCE)
            .in("μ", "friction between feet and covering", Measured.NUMBER.digits(3))
            .let(
                    "V",
                    "sliding left over",
                    "max(0, {f_W} · {H} + {f_G} · {D} · sin {s} − {μ} · max(0, {P}))",
                    Measured.PART_FORCE,
                    "equilibrium along the roof")
            .build();

    private static final Left NOTHING = new Left(null);

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
     * @param blockKg mass of one block that counts as holding
     * @param laidKg mass of one block that counts as load
     * @param mostBlocks what the position takes
     * @param roofSlopeDeg fall of the roof
     * @param factors load factors of the method
     * @param attached whether attachments take over what is left when the position is full
     */
    public record Hold(
            double friction,
            double blockKg,
            double laidKg,
            int mostBlocks,
            double roofSlopeDeg,
            WindTables.LoadFactors factors,
            boolean attached) {
        /** Weight alone. */
        public Hold(
                double friction, double blockKg, int mostBlocks, double roofSlopeDeg, WindTables.LoadFactors factors) {
            this(friction, blockKg, blockKg, mostBlocks, roofSlopeDeg, factors, false);
        }

        /** The same with blocks that weigh this on the roof. */
        Hold laid(double kg) {
            return new Hold(friction, blockKg, kg, mostBlocks, roofSlopeDeg, factors, attached);
        }

        /** The same with no more blocks than this, and attachments beside them. */
        Hold attachedAbove(int blocks) {
            return new Hold(friction, blockKg, laidKg, Math.min(mostBlocks, blocks), roofSlopeDeg, factors, true);
        }
    }

    /** The same with blocks that hold it together with its neighbours. */
    Ballast together(int blocks) {
        return new Ballast(demand, hold, values, blocks, blocks, NOTHING);
    }

    /** The same, full with these blocks and short of what it needs. */
    Ballast full(int blocks) {
        return new Ballast(demand, hold, values, aloneBlocks(), blocks, left(demand, hold, blocks, hold.factors()));
    }

    /** Whole blocks that would hold it by itself. */
    public int aloneBlocks() {
        return Double.isNaN(demand.upliftN()) ? 0 : Math.max(0, Limits.ceil(values.get("n")));
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

    /**
     * Forces that the weight of a position leaves over.
     *
     * @param values of the symbols of their formulas; null where the position is not full
     */
    public record Left(Values values) {
        /** Uplift left over. */
        public double tensionN() {
            return values == null ? 0 : values.get("T");
        }

        /** Sliding force left over. */
        public double shearN() {
            return values == null ? 0 : values.get("V");
        }
    }

    /** What the blocks placed leave over under other load factors, those attachments are held against. */
    public Left left(WindTables.LoadFactors factors) {
        return left(demand, hold, blocksPlaced, factors);
    }

    private static Left left(Demand d, Hold h, int placed, WindTables.LoadFactors factors) {
        return new Left(acting(LEFT, d, h, factors)
                .put("D", (d.ownMassKg() + placed * h.blockKg()) * GRAVITY, From.figure(null))
                .compute());
    }

    private static Values acting(Formulas formulas, Demand d, Hold h, WindTables.LoadFactors factors) {
        return formulas.values()
                .put("f_W", factors.wind())
                .put("f_G", factors.dead())
                .put("U", d.upliftN(), From.figure(null))
                .put("H", d.dragN(), From.figure(null))
                .put("s", h.roofSlopeDeg())
                .put("μ", h.friction());
    }

    /** Uplift left over when the position is full. */
    public double tensionN() {
        return left.tensionN();
    }

    /** Sliding force left over when the position is full. */
    public double shearN() {
        return left.shearN();
    }

    /** Total mass needed against uplift, kg. */
    public double upliftKg() {
        return values.get("D_up") / GRAVITY;
    }

    /** Total mass needed against sliding, kg. */
    public double slidingKg() {
        return values.get("D_sl") / GRAVITY;
    }

    /** Ballast needed beside the parts' own mass, kg. */
    public double requiredKg() {
        return values.get("B") / GRAVITY;
    }

    /** Whether sliding needs more than uplift. */
    public boolean slidingGoverns() {
        return values.get("D_sl") > values.get("D_up");
    }

    /**
     * The lines of its working, and of what a full position leaves over.
     *
     * @param terms where {@code f_W}, {@code f_G}, {@code s}, {@code μ}, {@code own} and {@code block} come from
     */
    public List<Step> steps(Terms terms, UnitSystem units) {
        List<Step> steps = new ArrayList<>(values.steps(terms, units));
        if (left.values() != null) {
            steps.addAll(left.values().steps(terms, units));
        }
        return steps;
    }

    /** Mass of the blocks placed, as they load the roof, kg. */
    public double placedKg() {
        return blocksPlaced * hold.laidKg();
    }

    /** Mass of the blocks placed that counts as holding, kg. */
    public double creditedKg() {
        return blocksPlaced * hold.blockKg();
    }

    /** {@code none}, {@code uplift} or {@code sliding}. */
    public String governing() {
        if (blocksNeeded == 0) {
            return "none";
        }
        return slidingGoverns() ? "sliding" : "uplift";
    }

    /**
     * Computes it; a demand that is not established gives no blocks and NaN for the weight.
     *
     * @throws IllegalArgumentException when the roof is too steep for its friction: no weight holds
     */
    public static Ballast of(Demand d, Hold h) {
        double grip =
                h.friction() * Math.cos(Math.toRadians(h.roofSlopeDeg())) - Math.sin(Math.toRadians(h.roofSlopeDeg()));
        if (grip <= 0 && !Double.isNaN(d.upliftN())) {
            throw new IllegalArgumentException("no weight holds: friction "
                    + h.friction()
                    + " does not exceed the fall of "
                    + h.roofSlopeDeg()
                    + " deg");
        }
        Values values = acting(FORMULAS, d, h, h.factors())
                .put("own", d.ownMassKg() * GRAVITY)
                .put("block", h.blockKg() * GRAVITY)
                .compute();
        int needed = Double.isNaN(d.upliftN()) ? 0 : Math.max(0, Limits.ceil(values.get("n")));
        int placed = Math.min(needed, h.mostBlocks());
        Left left = needed > placed ? left(d, h, placed, h.factors()) : NOTHING;
        return new Ballast(d, h, values, needed, placed, left);
    }

    /**
     * Attachments for a group of equal positions with linear interaction; 0 when none is needed.
     */
    public int attachments(int count, double allowTensionN, double allowShearN) {
        return Math.max(0, Limits.ceil(count * (tensionN() / allowTensionN + shearN() / allowShearN)));
    }
}
