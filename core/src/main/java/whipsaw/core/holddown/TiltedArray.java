package whipsaw.core.holddown;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
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

    /**
     * Net pressures of one panel with every factor.
     *
     * @param lengthLbM normalising length
     * @param normalisedAreaFt2 normalised wind area (a number of square feet by definition)
     * @param gammaP parapet factor
     * @param gammaC chord factor
     * @param gammaE array edge factor for uplift
     * @param nominal coefficient from the curves
     * @param upliftPa normal to the panel, away from the roof
     * @param downPa normal to the panel, towards the roof
     */
    public record Pressure(
            Setting setting,
            String zone,
            double lengthLbM,
            double normalisedAreaFt2,
            double gammaP,
            double gammaC,
            double gammaE,
            double nominal,
            double upliftPa,
            double downPa)
            implements PanelPressure {

        @Override
        public double tiltDeg() {
            return setting.tiltDeg();
        }

        @Override
        public double effectiveAreaM2() {
            return setting.effectiveAreaM2();
        }

        @Override
        public double edgeFactor() {
            return gammaE;
        }

        public double coefficientUp() {
            return gammaP * gammaC * gammaE * nominal;
        }

        public double coefficientDown() {
            return gammaP * gammaC * nominal;
        }
    }

    /** Computes the pressures of a panel in a zone ({@code 1}, {@code 2} or {@code 3}). */
    public static Pressure pressure(Setting s, String zone, boolean edgeFactorActs, WindTables tables) {
        double hFt = Unit.FOOT.fromSi(s.meanRoofHeightM());
        double longFt = Unit.FOOT.fromSi(s.longSideM());
        double lbFt = Math.min(Math.min(0.4 * Math.sqrt(hFt * longFt), hFt), Unit.FOOT.fromSi(s.shortSideM()));
        double base = Math.max(lbFt, 15); // Fig. 29.4-7
        double areaFt2 = Unit.SQUARE_FOOT.fromSi(s.effectiveAreaM2());
        double normalisedFt2 = 1000 / (base * base) * areaFt2;
        double gammaP = Math.min(1.2, 0.9 + s.parapetM() / s.meanRoofHeightM());
        double gammaC = Math.max(0.6 + 0.06 * Unit.FOOT.fromSi(s.chordM()), 0.8);
        double gammaE = edgeFactorActs ? EDGE_FACTOR : 1.0;
        double nominal = tables.gcrnNominal(zone, s.tiltDeg(), normalisedFt2);
        double downPa = s.velocityPressurePa() * gammaP * gammaC * nominal;
        return new Pressure(
                s, zone, Unit.FOOT.toSi(lbFt), normalisedFt2, gammaP, gammaC, gammaE, nominal, downPa * gammaE, downPa);
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
