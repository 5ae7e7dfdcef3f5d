package whipsaw.core.structure;

import whipsaw.core.catalogue.MemberType;

/**
 * Properties of a section about its level axis, worked out from what it measures: gross, sharp-cornered and, of a
 * cold-formed one, along the middle of its sheet. Of a load table there are none.
 *
 * @param inertiaM4 second moment of area
 * @param modulusM3 section modulus
 * @param shearM2 area that takes shear
 */
public record Section(double inertiaM4, double modulusM3, double shearM2) {

    /** Null when a load table says what it carries. */
    public static Section of(MemberType t) {
        return switch (t.shape()) {
            case RECTANGLE -> rectangle(t.width().si(), t.depth().si());
            case I -> rolled(
                    t.depth().si(), t.width().si(), t.web().si(), t.flange().si());
            case Z, C -> coldFormed(
                    t.depth().si(),
                    t.width().si(),
                    t.lip() == null ? 0 : t.lip().si(),
                    t.web().si());
            case GIVEN -> new Section(t.inertia().si(), t.modulus().si(), Double.NaN);
            case TABLE -> null;
        };
    }

    private static Section rectangle(double b, double d) {
        return new Section(b * d * d * d / 12, b * d * d / 6, b * d * 2 / 3);
    }

    private static Section rolled(double d, double b, double web, double flange) {
        double clear = d - 2 * flange;
        double inertia = (b * d * d * d - (b - web) * clear * clear * clear) / 12;
        return new Section(inertia, inertia / (d / 2), d * web);
    }

    /** Z and C alike: about the level axis a flange counts the same on either side. */
    private static Section coldFormed(double d, double b, double lip, double t) {
        double h = d - t;
        double flange = b - t / 2 - (lip > 0 ? t / 2 : 0);
        double c = Math.max(0, lip - t / 2);
        double arm = h / 2 - c / 2;
        double inertia = t * h * h * h / 12 + 2 * flange * t * h * h / 4 + 2 * (t * c * c * c / 12 + c * t * arm * arm);
        return new Section(inertia, inertia / (d / 2), h * t);
    }
}
