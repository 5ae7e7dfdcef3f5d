package whipsaw.core.holddown;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import whipsaw.core.formula.Formulas;
import whipsaw.core.formula.From;
import whipsaw.core.formula.Measured;
import whipsaw.core.formula.Values;
import whipsaw.core.site.LowSlopeZones;
import whipsaw.core.table.CodeTable;
import whipsaw.core.table.Curve;
import whipsaw.core.table.PanelTables;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Show;
import whipsaw.core.units.Unit;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.working.Step;
import whipsaw.core.working.Terms;

/**
 * Net pressure on panels parallel to a roof, ASCE 7-16 29.4.4, evaluated in feet and pounds per square foot. Uplift
 * takes the suction of the roof and the array edge factor, pressure downward takes neither; both take the
 * equalisation factor of the same area.
 */
public final class FlushPanel {
    private FlushPanel() {}

    private static final Formulas UP = formulas(false);
    private static final Formulas BOTH = formulas(true);

    private static Formulas formulas(boolean down) {
        Formulas.Builder f = Formulas.of("ASCE 7-16")
                .in("q_h", "velocity pressure", Measured.PASCAL)
                .in("|GC_p|", "suction of the roof", Measured.NUMBER.digits(3))
                .in("γ_E", "array edge factor", Measured.NUMBER)
                .in("γ_a", "equalisation factor", Measured.NUMBER.digits(3))
                .let("p", "uplift", "{q_h} · {|GC_p|} · {γ_E} · {γ_a}", Measured.PASCAL, "Eq. 29.4-7");
        if (down) {
            f.in("GC_p", "pressure on the roof", Measured.NUMBER.digits(3))
                    .let("p_d", "towards the roof", "{q_h} · {GC_p} · {γ_a}", Measured.PASCAL, "Eq. 29.4-7");
        }
        return f.build();
    }

    /**
     * Net pressures in a zone.
     *
     * @param zone of the roof
     * @param pressure coefficient of the roof, positive; NaN when none is at hand
     * @param values of the symbols of the formulas
     */
    public record Pressure(String zone, double areaM2, double pressure, Values values) {
        /** Coefficient of the roof, negative. */
        public double suction() {
            return -values.get("|GC_p|");
        }

        /** Array edge factor for uplift. */
        public double gammaE() {
            return values.get("γ_E");
        }

        /** Equalisation factor. */
        public double gammaA() {
            return values.get("γ_a");
        }

        /** Away from the roof. */
        public double upliftPa() {
            return values.si("p");
        }

        /** Towards the roof; NaN without a coefficient. */
        public double downPa() {
            return Double.isNaN(pressure) ? Double.NaN : values.si("p_d");
        }

        /**
         * The lines of its working.
         *
         * @param terms where {@code q_h} comes from
         */
        public List<Step> steps(Terms terms, UnitSystem units) {
            return values.steps(terms, units);
        }
    }

    /**
     * Coefficients of the roof.
     *
     * @param down of pressure; null when none are at hand
     * @param table they are of; null of a curve that is typed
     */
    public record Coefficients(Curve up, Curve down, CodeTable table) {}

    /** Net pressures of a panel in a zone. */
    public static Pressure of(
            double velocityPressurePa,
            double areaM2,
            String zone,
            boolean edgeFactorActs,
            Coefficients roof,
            PanelTables tables) {
        double areaFt2 = Unit.SQUARE_FOOT.fromSi(areaM2);
        String at = Show.significant(areaFt2, 3) + " ft²";
        From coefficients = roof.table() == null ? From.TYPED : From.table(roof.table(), "zone " + zone + " at " + at);
        Values values = (roof.down() == null ? UP : BOTH)
                .values()
                .put("q_h", velocityPressurePa)
                .put("|GC_p|", -roof.up().at(areaFt2), coefficients)
                .put(
                        "γ_E",
                        edgeFactorActs ? TiltedArray.EDGE_FACTOR : 1.0,
                        From.rule(edgeFactorActs ? "as at an exposed edge of its array" : "away from exposed edges"))
                .put("γ_a", tables.areaFactor().at(areaFt2), From.table(tables.areaTable(), "Fig. 29.4-8 at " + at));
        double pressure = roof.down() == null ? Double.NaN : roof.down().at(areaFt2);
        if (roof.down() != null) {
            values.put("GC_p", pressure, coefficients);
        }
        return new Pressure(zone, areaM2, pressure, values.compute());
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
