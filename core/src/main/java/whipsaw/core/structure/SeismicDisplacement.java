package whipsaw.core.structure;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import whipsaw.core.formula.Formulas;
import whipsaw.core.formula.From;
import whipsaw.core.formula.Measured;
import whipsaw.core.formula.Values;
import whipsaw.core.table.ParameterTable;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Unit;

/**
 * How far an array that nothing holds may slide in an earthquake, ASCE 7-16 13.6.12, and what has to be clear for it.
 *
 * @param displacement values of the symbols of its formula
 * @param needs clearances asked for, in their order
 * @param reasons sorted codes why an unattached array is not allowed; empty when it is
 */
public record SeismicDisplacement(Values displacement, List<Need> needs, List<String> reasons) {
    private static final Formulas DISPLACEMENT = Formulas.of("ASCE 7-16")
            .in("k", "factor", Measured.FOOT.digits(3))
            .in("I_e", "importance factor", Measured.NUMBER.digits(3))
            .in("S_DS", "spectral acceleration", Measured.NUMBER.digits(3))
            .in("c", "what is taken off", Measured.NUMBER.digits(3))
            .in("least", "least displacement", Measured.FOOT.digits(3))
            .let(
                    "δ",
                    "design displacement",
                    "max({k} · {I_e} · max({S_DS} − {c}, 0)², {least})",
                    Measured.FOOT.digits(4),
                    "13.6.12")
            .build();

    private static final Formulas ROOM = Formulas.of("ASCE 7-16")
            .in("f", "part of the displacement that has to be clear", Measured.NUMBER.digits(3))
            .in("δ", "displacement", Measured.ROOF_LENGTH)
            .in("least", "whatever the displacement", Measured.ROOF_LENGTH)
            .let("d", "to be clear", "max({f} · {δ}, {least})", Measured.ROOF_LENGTH, "13.6.12")
            .build();

    public SeismicDisplacement {
        needs = List.copyOf(needs);
        reasons = List.copyOf(reasons);
    }

    /**
     * The building and the array.
     *
     * @param sds design spectral acceleration at short periods, in g
     * @param importance of the component
     * @param slope of the roof, rise over run
     */
    public record Input(
            double sds, double importance, double friction, double slope, String riskCategory, int stories) {}

    /**
     * Something an array may run into.
     *
     * @param kind {@code obstruction}, {@code edge_with_curb}, {@code edge_without_curb} or {@code other_array}
     * @param clearM distance there is
     * @param factor of the displacement that has to be clear
     * @param leastM has to be clear whatever the displacement
     */
    public record Clearance(String kind, double clearM, double factor, double leastM) {
        /** One that follows the displacement alone. */
        public Clearance(String kind, double clearM, double factor) {
            this(kind, clearM, factor, 0);
        }
    }

    /**
     * A clearance with what it has to be.
     *
     * @param room values of the symbols of its formula
     */
    public record Need(Clearance clearance, Values room, boolean ok) {
        /** Distance that has to be clear. */
        public double requiredM() {
            return room.si("d");
        }
    }

    /** Design displacement. */
    public double displacementM() {
        return displacement.si("δ");
    }

    /** Computes it, SEAOC PV1 with ASCE 7-16 13.6.12. */
    public static SeismicDisplacement of(Input in, List<Clearance> clearances, ParameterTable t) {
        From table = From.table(t.table());
        Values displacement = DISPLACEMENT
                .values()
                .put("k", Unit.FOOT.toSi(t.value("displacement_factor")), table)
                .put("I_e", in.importance())
                .put("S_DS", in.sds())
                .put("c", t.value("sds_less"), table)
                .put("least", Unit.FOOT.toSi(t.value("least_displacement_ft")), table)
                .compute();
        List<Need> needs = new ArrayList<>();
        for (Clearance c : clearances) {
            Values room = ROOM.values()
                    .put("f", c.factor(), table)
                    .put("δ", displacement.si("δ"), From.figure(null))
                    .put("least", c.leastM(), table)
                    .compute();
            needs.add(new Need(c, room, Limits.atMost(room.si("d"), c.clearM())));
        }
        List<String> reasons = new ArrayList<>();
        if (Limits.above(in.slope(), t.value("most_slope"))) {
            reasons.add("roof_slope_gt_1_in_20");
        }
        if (in.riskCategory().equals("IV")) {
            reasons.add("risk_category_IV");
        }
        if (in.stories() > t.value("most_stories")) {
            reasons.add("more_than_6_stories");
        }
        if (Limits.above(t.value("least_friction"), in.friction())) {
            reasons.add("friction_lt_0.4");
        }
        if (!needs.stream().allMatch(Need::ok)) {
            reasons.add("clearance");
        }
        Collections.sort(reasons);
        return new SeismicDisplacement(displacement, needs, reasons);
    }
}
