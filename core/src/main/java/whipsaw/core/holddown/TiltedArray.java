package whipsaw.core.holddown;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import whipsaw.core.formula.Formulas;
import whipsaw.core.formula.From;
import whipsaw.core.formula.Measured;
import whipsaw.core.formula.Values;
import whipsaw.core.table.WindTables;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Unit;

/**
 * Net pressure on tilted panels on a flat roof, ASCE 7-16 29.4.3.
 *
 * <p>The formulas are dimensional and are evaluated in feet and pounds per square foot. A positive
 * uplift pulls the panel off the roof, normal to the panel, at strength level.
 */
public final class TiltedArray {
    /** Distance from a row end, in chords, within which an exposed panel takes the edge factor. */
    public static final double EDGE_FACTOR_REACH = 1.5;

    /** Array edge factor on the uplift of exposed panels at a row's end. */
    static final double EDGE_FACTOR = 1.5;

    private TiltedArray() {}

    /**
     * The building and the panel, the same for every panel of an array.
     *
     * @param meanRoofHeightM above ground
     * @param longSideM long side of the building
     * @param shortSideM short side of the building
     * @param parapetM highest parapet of the roof above the roof surface
     * @param tiltDeg of the panel to the roof
     * @param chordM panel dimension up the slope
     * @param effectiveAreaM2 area over which the load is shown to be shared
     * @param velocityPressurePa at mean roof height, with the directionality factor
     */
    public record Setting(
            double meanRoofHeightM,
            double longSideM,
            double shortSideM,
            double parapetM,
            double tiltDeg,
            double chordM,
            double effectiveAreaM2,
            double velocityPressurePa) {

        /** The same with another effective area. */
        Setting withArea(double areaM2) {
            return new Setting(
                    meanRoofHeightM, longSideM, shortSideM, parapetM, tiltDeg, chordM, areaM2, velocityPressurePa);
        }
    }

    private static final Formulas AREA = Formulas.of("ASCE 7-16")
            .in("h", "mean roof height", Measured.FOOT)
            .in("W_L", "long side", Measured.FOOT)
            .in("W_S", "short side", Measured.FOOT)
            .let("L_b", "normalising length", "min(0.4 · √({h} · {W_L}), {h}, {W_S})", Measured.FOOT, "Fig. 29.4-7")
            .in("A", "effective wind area", Measured.SQUARE_FOOT)
            .dimensional(
                    "A_n",
                    "normalised wind area",
                    "1000 / max({L_b}, 15 ft)² · {A}",
                    Measured.SQUARE_FOOT,
                    "Fig. 29.4-7")
            .build();

    private static final Formulas PRESSURE = Formulas.of("ASCE 7-16")
            .in("h_pt", "highest parapet of the roof", Measured.FOOT)
            .in("h", "mean roof height", Measured.FOOT)
            .let("γ_p", "parapet factor", "min(1.2, 0.9 + {h_pt} / {h})", Measured.NUMBER, "29.4.3")
            .in("L_p", "panel chord", Measured.FOOT.digits(4))
            .dimensional("γ_c", "chord factor", "max(0.6 + 0.06 · {L_p}, 0.8)", Measured.NUMBER, "29.4.3")
            .in("γ_E", "array edge factor", Measured.NUMBER.digits(2))
            .in("(GC_rn)_nom", "nominal coefficient", Measured.NUMBER)
            .in("q_h", "velocity pressure", Measured.PSF.alone().digits(5))
            .let(
                    "down",
                    "towards the roof",
                    "{q_h} · {γ_p} · {γ_c} · {(GC_rn)_nom}",
                    Measured.PSF,
                    "Eq. 29.4-5, 29.4-6")
            .let(
                    "p",
                    "uplift, normal to the module, strength level",
                    "{q_h} · {γ_p} · {γ_c} · {γ_E} · {(GC_rn)_nom}",
                    Measured.PSF,
                    "Eq. 29.4-5, 29.4-6")
            .build();

    /**
     * Net pressures of one panel with every factor.
     *
     * @param area values on the way to the normalised wind area
     * @param values of the factors and pressures
     */
    public record Pressure(Setting setting, String zone, Values area, Values values) implements PanelPressure {

        @Override
        public double tiltDeg() {
            return setting.tiltDeg();
        }

        @Override
        public double effectiveAreaM2() {
            return setting.effectiveAreaM2();
        }

        /** Normalising length L_b. */
        public double lengthLbM() {
            return area.si("L_b");
        }

        /** Normalised wind area, a number of square feet by definition. */
        public double normalisedAreaFt2() {
            return area.get("A_n");
        }

        /** Parapet factor. */
        public double gammaP() {
            return values.get("γ_p");
        }

        /** Chord factor. */
        public double gammaC() {
            return values.get("γ_c");
        }

        /** Array edge factor for uplift. */
        public double gammaE() {
            return values.get("γ_E");
        }

        /** Coefficient from the curves. */
        public double nominal() {
            return values.get("(GC_rn)_nom");
        }

        /** Normal to the panel, away from the roof. */
        @Override
        public double upliftPa() {
            return values.si("p");
        }

        /** Normal to the panel, towards the roof. */
        @Override
        public double downPa() {
            return values.si("down");
        }

        @Override
        public double edgeFactor() {
            return gammaE();
        }

        /** Net coefficient with all its factors, upward. */
        public double coefficientUp() {
            return gammaP() * gammaC() * gammaE() * nominal();
        }

        /** Net coefficient with all its factors, downward. */
        public double coefficientDown() {
            return gammaP() * gammaC() * nominal();
        }
    }

    /** Computes the pressures of a panel in a zone ({@code 1}, {@code 2} or {@code 3}). */
    public static Pressure pressure(Setting s, String zone, boolean edgeFactorActs, WindTables tables) {
        Values area = AREA.values()
                .put("h", s.meanRoofHeightM())
                .put("W_L", s.longSideM(), From.figure(null))
                .put("W_S", s.shortSideM(), From.figure(null))
                .put("A", s.effectiveAreaM2(), From.figure(null))
                .compute();
        Values values = PRESSURE.values()
                .put("h_pt", s.parapetM())
                .put("h", s.meanRoofHeightM())
                .put("L_p", s.chordM())
                .put("γ_E", edgeFactorActs ? EDGE_FACTOR : 1.0, From.figure(null))
                .put("(GC_rn)_nom", tables.gcrnNominal(zone, s.tiltDeg(), area.get("A_n")), From.figure(null))
                .put("q_h", s.velocityPressurePa(), From.figure("site.qh"))
                .compute();
        return new Pressure(s, zone, area, values);
    }

    /**
     * Limits of the method for an array.
     *
     * @param roofSlopeDeg slope of the roof
     * @param lowEdgeM lower edge of the panel above the roof
     * @param highEdgeM upper edge of the panel above the roof
     * @param edgeClearM distance from the panel to the roof edge
     * @return sorted codes of the limits that are passed; empty inside the scope
     */
    public static List<String> outsideScope(
            Setting s, double roofSlopeDeg, double lowEdgeM, double highEdgeM, double edgeClearM) {
        List<String> codes = new ArrayList<>();
        addIf(codes, Limits.above(roofSlopeDeg, 7), "roof_slope_gt_7deg");
        addIf(codes, Limits.above(s.tiltDeg(), 35), "tilt_gt_35deg");
        addIf(codes, Limits.above(Unit.FOOT.fromSi(s.chordM()), 6.7), "chord_gt_6.7ft");
        addIf(codes, Limits.above(Unit.FOOT.fromSi(lowEdgeM), 2), "h1_gt_2ft");
        addIf(codes, Limits.above(Unit.FOOT.fromSi(highEdgeM), 4), "h2_gt_4ft");
        addIf(codes, Limits.above(clearNeededM(highEdgeM, s.parapetM()), edgeClearM), "edge_clear_lt_min");
        Collections.sort(codes);
        return codes;
    }

    /**
     * Distance a panel keeps from a roof edge behind a parapet: max(2 (h2 - hpt), 4 ft), 29.4.3.
     */
    public static double clearNeededM(double highEdgeM, double parapetM) {
        return Math.max(2 * (highEdgeM - parapetM), Unit.FOOT.toSi(4));
    }

    private static void addIf(List<String> codes, boolean condition, String code) {
        if (condition) {
            codes.add(code);
        }
    }

    /**
     * Whether a panel is exposed, ASCE 7-16 29.4.3 (array edge factor).
     *
     * @param toBuildingEdgeM distance to the building edge
     * @param toArrayM distance to the adjacent array; infinite when there is none
     * @param toNextRowM distance to the next panel row; infinite when there is none
     * @param meanRoofHeightM above ground
     * @param highEdgeM upper edge of the panel above the roof
     */
    public static boolean exposed(
            double toBuildingEdgeM, double toArrayM, double toNextRowM, double meanRoofHeightM, double highEdgeM) {
        double open = openGapM(highEdgeM);
        return Limits.above(toBuildingEdgeM, 0.5 * meanRoofHeightM)
                && (Limits.above(toArrayM, open) || Limits.above(toNextRowM, open));
    }

    /** Whether a panel takes the edge factor: exposed, and near the end of its row. */
    public static boolean edgeFactorActs(boolean exposed, double fromRowEndM, double chordM) {
        return exposed && Limits.atMost(fromRowEndM, EDGE_FACTOR_REACH * chordM);
    }

    /** A gap wider than this leaves a panel open on that side: max(4 h2, 4 ft). */
    public static double openGapM(double highEdgeM) {
        return Math.max(4 * highEdgeM, Unit.FOOT.toSi(4));
    }
}
