package whipsaw.core.structure;

import whipsaw.core.units.Limits;

/**
 * A member under one state of the roof, each effect by the combination that is worst for it.
 *
 * @param moment bending
 * @param shear at a support
 * @param bearing what an end sets down on its support
 * @param total deflection under everything
 * @param variable deflection under snow or live load alone
 */
public record MemberState(Part moment, Part shear, Part bearing, Part total, Part variable) {

    /**
     * One effect against what the member takes.
     *
     * @param effect N m, N or m
     * @param limit of the same; NaN when it is not known
     * @param combination by name
     */
    public record Part(double effect, double limit, String combination) {
        /** 0 when the limit is not known: what is not known is said elsewhere and not judged. */
        public double utilisation() {
            return Double.isNaN(limit) ? 0 : effect / limit;
        }
    }

    /** The largest share of what it takes, of all that is known. */
    public double utilisation() {
        double strength = Math.max(Math.max(moment.utilisation(), shear.utilisation()), bearing.utilisation());
        return Math.max(strength, Math.max(total.utilisation(), variable.utilisation()));
    }

    /** Whether nothing known is over its limit. */
    public boolean ok() {
        return Limits.atMost(utilisation(), 1);
    }

    /** What decides: moment, shear, bearing or deflection. */
    public String governing() {
        double u = utilisation();
        if (u == moment.utilisation()) {
            return "bending";
        }
        if (u == shear.utilisation()) {
            return "shear";
        }
        return u == bearing.utilisation() ? "bearing" : "deflection";
    }
}
