package whipsaw.core.holddown;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import whipsaw.core.site.LowSlopeZones;
import whipsaw.core.table.Curve;
import whipsaw.core.table.PanelTables;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Unit;

/**
 * Net pressure on panels parallel to a roof, ASCE 7-16 29.4.4, evaluated in feet and pounds per square foot. Uplift
 * takes the suction of the roof and the array edge factor, pressure downward takes neither; both take the
 * equalisation factor of the same area.
 */
public final class FlushPanel {
    private FlushPanel() {}

    /**
     * @param zone of the roof
     * @param suction coefficient of the roof, negative
     * @param gammaE array edge factor for uplift
     * @param gammaA equalisation factor
     * @param pressure coefficient of the roof, positive; NaN when none is at hand
     * @param downPa towards the roof; NaN without a coefficient
     */
    public record Pressure(
            String zone,
            double areaM2,
            double suction,
            double gammaE,
            double gammaA,
            double pressure,
            double upliftPa,
            double downPa) {}

    /** @param down coefficients of pressure; null when none are at hand */
    public static Pressure of(
            double velocityPressurePa,
            double areaM2,
            String zone,
            boolean edgeFactorActs,
            Curve up,
            Curve down,
            PanelTables tables) {
        double areaFt2 = Unit.SQUARE_FOOT.fromSi(areaM2);
        double gammaA = tables.areaFactor().at(areaFt2);
        double gammaE = edgeFactorActs ? TiltedArray.EDGE_FACTOR : 1.0;
        double suction = up.at(areaFt2);
        double pressure = down == null ? Double.NaN : down.at(areaFt2);
        return new Pressure(
                zone,
                areaM2,
                suction,
                gammaE,
                gammaA,
                pressure,
                -velocityPressurePa * suction * gammaE * gammaA,
                velocityPressurePa * pressure * gammaA);
    }

    /**
     * Zone of a roof up to 7 deg from the distances to the nearest edges, Fig. 30.3-2A: an L at each corner is 3; a
     * place on a boundary is in the more severe zone.
     */
    public static String lowSlopeZone(double dxM, double dyM, LowSlopeZones.Widths widths) {
        double nearest = Math.min(dxM, dyM);
        if (Limits.atMost(Math.max(dxM, dyM), widths.edge()) && Limits.atMost(nearest, widths.corner())) {
            return "3";
        }
        if (Limits.atMost(nearest, widths.edge())) {
            return "2";
        }
        return Limits.atMost(nearest, widths.inner()) ? "1" : "1p";
    }

    /** Sorted codes of the limits of the method that are passed; empty inside the scope. */
    public static List<String> outsideScope(double aboveRoofM, double toRoofDeg, double highEdgeM, double edgeClearM) {
        List<String> codes = new ArrayList<>();
        if (Limits.above(Unit.INCH.fromSi(aboveRoofM), 10)) {
            codes.add("height_gt_10in");
        }
        if (Limits.above(toRoofDeg, 2)) {
            codes.add("angle_gt_2deg");
        }
        if (Limits.above(2 * highEdgeM, edgeClearM)) {
            codes.add("edge_clear_lt_2h2");
        }
        Collections.sort(codes);
        return codes;
    }
}
