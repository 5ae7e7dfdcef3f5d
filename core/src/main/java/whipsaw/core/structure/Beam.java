package whipsaw.core.structure;

import java.util.Arrays;
import java.util.List;

/**
 * A simply supported member under loads square to it. Loads act downward when positive. Moments are positive when the
 * underside is in tension. Shears, moments and deflections of every load are exact; the largest deflection is looked
 * for at {@value #PLACES} places, which is within a thousandth of the exact one.
 */
public final class Beam {
    private static final int PLACES = 65;

    /**
     * A load along part of the member; a point load when both ends are the same.
     *
     * @param fromM first end from the left support
     * @param toM last end
     * @param newton whole load, N
     */
    public record Load(double fromM, double toM, double newton) {
        public static Load uniform(double spanM, double perMetreN) {
            return new Load(0, spanM, perMetreN * spanM);
        }

        double middleM() {
            return (fromM + toM) / 2;
        }

        boolean point() {
            return toM - fromM < 1e-9;
        }
    }

    /**
     * What the loads do.
     *
     * @param leftN reaction of the left support, upward positive
     * @param rightN reaction of the right one
     * @param momentNm of the largest size, with its sign
     * @param atM where it is
     * @param shearN of the largest size, without sign
     * @param curvature integral that gives the deflection when divided by E I: the largest deflection times E I, N m3
     */
    public record Effect(double leftN, double rightN, double momentNm, double atM, double shearN, double curvature) {

        /** Largest deflection, m, downward positive. */
        public double deflectionM(double stiffnessNm2) {
            return curvature / stiffnessNm2;
        }
    }

    private Beam() {}

    public static Effect of(double spanM, List<Load> loads) {
        double right = 0;
        double all = 0;
        double[] places = new double[2 + 2 * loads.size()];
        int n = 1;
        for (Load load : loads) {
            right += load.newton() * load.middleM() / spanM;
            all += load.newton();
            places[n++] = load.fromM();
            places[n++] = load.toM();
        }
        places[n] = spanM;
        Arrays.sort(places);
        double left = all - right;
        double moment = 0;
        double at = spanM / 2;
        for (int i = 0; i < places.length; i++) {
            double m = moment(places[i], left, loads);
            if (Math.abs(m) > Math.abs(moment)) {
                moment = m;
                at = places[i];
            }
            if (i + 1 < places.length && places[i + 1] - places[i] > 1e-9) {
                // shear runs straight between two places; the moment turns where it crosses zero
                double a = places[i];
                double b = places[i + 1];
                double va = shear(a, true, left, loads);
                double vb = shear(b, false, left, loads);
                if (va * vb < 0) {
                    double zero = a + (b - a) * va / (va - vb);
                    double top = moment(zero, left, loads);
                    if (Math.abs(top) > Math.abs(moment)) {
                        moment = top;
                        at = zero;
                    }
                }
            }
        }
        double shear = Math.max(Math.abs(left), Math.abs(right));
        double most = 0;
        for (int i = 1; i < PLACES - 1; i++) {
            double d = curvature(spanM, spanM * i / (PLACES - 1), loads);
            most = Math.abs(d) > Math.abs(most) ? d : most;
        }
        return new Effect(left, right, moment, at, shear, most);
    }

    private static double moment(double x, double left, List<Load> loads) {
        double m = left * x;
        for (Load load : loads) {
            if (load.fromM() >= x) {
                continue;
            }
            if (load.point() || load.toM() <= x) {
                m -= load.newton() * (x - load.middleM());
            } else {
                double part = x - load.fromM();
                m -= load.newton() * part / (load.toM() - load.fromM()) * part / 2;
            }
        }
        return m;
    }

    /** Shear just right of a place, or just left of it. */
    private static double shear(double x, boolean after, double left, List<Load> loads) {
        double v = left;
        for (Load load : loads) {
            if (load.point()) {
                v -= load.fromM() < x || (after && load.fromM() == x) ? load.newton() : 0;
            } else {
                double part = Math.min(1, Math.max(0, (x - load.fromM()) / (load.toM() - load.fromM())));
                v -= load.newton() * part;
            }
        }
        return v;
    }

    /** Deflection at a place times E I. */
    private static double curvature(double span, double x, List<Load> loads) {
        double sum = 0;
        for (Load load : loads) {
            if (load.point()) {
                sum += load.newton() * point(span, x, load.fromM());
            } else {
                double a = load.fromM();
                double b = load.toM();
                // influence is a cubic on either side of the place, so two Gauss places each are exact
                double split = Math.min(b, Math.max(a, x));
                double perMetre = load.newton() / (b - a);
                sum += perMetre * (gauss(span, x, a, split) + gauss(span, x, split, b));
            }
        }
        return sum;
    }

    private static double gauss(double span, double x, double a, double b) {
        double half = (b - a) / 2;
        double off = half / Math.sqrt(3);
        double middle = (a + b) / 2;
        return half * (point(span, x, middle - off) + point(span, x, middle + off));
    }

    /** Deflection at x times E I under 1 N at a, of a simple span. */
    private static double point(double span, double x, double a) {
        if (x > a) {
            return point(span, span - x, span - a);
        }
        double b = span - a;
        return b * x * (span * span - b * b - x * x) / (6 * span);
    }
}
