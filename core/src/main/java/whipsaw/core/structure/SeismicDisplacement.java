package whipsaw.core.structure;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import whipsaw.core.table.ParameterTable;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Unit;

/**
 * How far an array that nothing holds may slide in an earthquake, ASCE 7-16 13.6.12, and what has to be clear for it.
 *
 * @param displacementM design displacement
 * @param needs clearances asked for, in their order
 * @param reasons sorted codes why an unattached array is not allowed; empty when it is
 */
public record SeismicDisplacement(double displacementM, List<Need> needs, List<String> reasons) {

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

    /** A clearance with what it has to be. */
    public record Need(Clearance clearance, double requiredM, boolean ok) {}

    public static SeismicDisplacement of(Input in, List<Clearance> clearances, ParameterTable t) {
        double more = Math.max(in.sds() - t.value("sds_less"), 0);
        double feet = Math.max(
                t.value("displacement_factor") * in.importance() * more * more, t.value("least_displacement_ft"));
        double displacement = Unit.FOOT.toSi(feet);
        List<Need> needs = new ArrayList<>();
        for (Clearance c : clearances) {
            double required = Math.max(c.factor() * displacement, c.leastM());
            needs.add(new Need(c, required, Limits.atMost(required, c.clearM())));
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
