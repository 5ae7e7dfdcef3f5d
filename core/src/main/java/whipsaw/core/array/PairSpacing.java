package whipsaw.core.array;

import whipsaw.core.formula.Formulas;
import whipsaw.core.formula.From;
import whipsaw.core.formula.Measured;
import whipsaw.core.formula.Values;

/**
 * Spacing of pairs back to back on a level roof: the valley that keeps each face free of the
 * neighbouring pair's shadow in a window of true solar time, and below which sun a given valley
 * shades.
 *
 * @param riseM of the high edge above the low one
 * @param halfM footprint of one face
 * @param shadeFree false when the sun is below the horizon in the window: no valley is enough
 * @param lowestProfileDeg lowest sun in section on the side that governs; NaN when not shade-free
 * @param valleyM shade-free valley, not less than the least one; NaN when there is none
 * @param pitchM ridge to ridge
 */
public record PairSpacing(
        Input input,
        double riseM,
        double halfM,
        boolean shadeFree,
        double lowestProfileDeg,
        double valleyM,
        double pitchM) {

    /**
     * @param facingDeg azimuth of one face; the other looks the opposite way
     * @param ridgeGapM between the high edges, horizontal
     * @param leastValleyM between the low edges of neighbouring pairs
     */
    public record Input(
            double latitudeDeg,
            double tiltDeg,
            double slopeLengthM,
            double facingDeg,
            double ridgeGapM,
            double fromHour,
            double toHour,
            double leastValleyM,
            double declinationDeg) {}

    private static final Formulas FORMULAS = Formulas.of("")
            .in("c", "footprint of a face", Measured.PART_LENGTH)
            .in("h", "rise of a face", Measured.PART_LENGTH)
            .in("ridge", "ridge gap", Measured.PART_LENGTH)
            .in("v", "valley", Measured.PART_LENGTH)
            .let("P", "ridge to ridge", "2 · {c} + {ridge} + {v}", Measured.ROOF_LENGTH, "geometry")
            .let(
                    "ψ_0",
                    "a face is in its neighbour's shade only while the sun is lower in section",
                    "atan({h} / ({c} + {v}))",
                    Measured.DEGREES,
                    "geometry")
            .build();

    /** Pitch, and the sun in section below which a face is in shade, of a valley. */
    public Values at(double valleyM) {
        return values(input, halfM, riseM, valleyM);
    }

    private static Values values(Input in, double half, double rise, double valley) {
        return FORMULAS.values()
                .put("c", half, From.figure(null))
                .put("h", rise, From.figure(null))
                .put("ridge", in.ridgeGapM())
                .put("v", valley)
                .compute();
    }

    /** Computes it; both faces are looked at, the one that needs the wider valley governs. */
    public static PairSpacing of(Input in) {
        RowSpacing front = side(in, in.facingDeg());
        RowSpacing rear = side(in, in.facingDeg() + 180);
        double rise = front.riseM();
        double half = front.depthM();
        if (!front.shadeFree() || !rear.shadeFree()) {
            return new PairSpacing(in, rise, half, false, Double.NaN, Double.NaN, Double.NaN);
        }
        double shadow = Math.max(front.gapM(), rear.gapM());
        double valley = Math.max(Math.max(in.leastValleyM(), 0), shadow - half);
        double lowest = Math.min(front.profileAngleDeg(), rear.profileAngleDeg());
        return new PairSpacing(
                in,
                rise,
                half,
                true,
                lowest,
                valley,
                values(in, half, rise, valley).si("P"));
    }

    private static RowSpacing side(Input in, double facingDeg) {
        return RowSpacing.of(new RowSpacing.Input(
                in.latitudeDeg(),
                in.tiltDeg(),
                in.slopeLengthM(),
                facingDeg % 360,
                in.fromHour(),
                in.toHour(),
                0,
                0,
                in.declinationDeg()));
    }

    /** Both faces' slope length over the pitch. */
    public double coverage() {
        return 2 * input.slopeLengthM() / pitchM;
    }

    /** Sun in section below which a valley leaves a face in shade. */
    public double shadeLimitDeg(double valley) {
        return at(valley).si("ψ_0");
    }
}
