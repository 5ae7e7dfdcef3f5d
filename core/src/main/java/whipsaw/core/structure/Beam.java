package whipsaw.core.structure;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * A simply supported member under loads square to it. Loads act downward when positive. Moments are positive when the
 * underside is in tension. Shears, moments and deflections are exact; the largest deflection is looked for at a number
 * of places and is within two thousandths of the exact one.
 */
public final class Beam {
    private static final int PLACES = 33;

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
     */
    public record Effect(double leftN, double rightN, double momentNm, double atM, double shearN) {}

    private Beam() {}

    /** A change along the member: load that is complete, or that begins (1) or ends (-1) to lie evenly. */
    private record Event(double at, double newton, double perMetre, int way) {}

    private static final Comparator<Event> BY_PLACE = (a, b) -> Double.compare(a.at(), b.at());

    public static Effect of(double spanM, List<Load> loads) {
        double right = 0;
        double all = 0;
        List<Event> events = new ArrayList<>(2 * loads.size() + 1);
        for (Load load : loads) {
            right += load.newton() * load.middleM() / spanM;
            all += load.newton();
            if (load.point()) {
                events.add(new Event(load.fromM(), load.newton(), 0, 0));
            } else {
                double perMetre = load.newton() / (load.toM() - load.fromM());
                events.add(new Event(load.fromM(), 0, perMetre, 1));
                events.add(new Event(load.toM(), 0, perMetre, -1));
            }
        }
        events.add(new Event(spanM, 0, 0, 0));
        events.sort(BY_PLACE);
        double left = all - right;
        double moment = 0;
        double at = spanM / 2;
        // shear and moment just right of a place; between places the load is even
        double x = 0;
        double shear = left;
        double m = 0;
        double even = 0;
        for (Event e : events) {
            double step = e.at() - x;
            if (step > 0) {
                double after = shear - even * step;
                if (shear * after < 0) {
                    double zero = shear / even;
                    double top = m + shear * zero - even * zero * zero / 2;
                    if (Math.abs(top) > Math.abs(moment)) {
                        moment = top;
                        at = x + zero;
                    }
                }
                m += shear * step - even * step * step / 2;
                shear = after;
                x = e.at();
            }
            if (Math.abs(m) > Math.abs(moment)) {
                moment = m;
                at = x;
            }
            shear -= e.newton();
            even += e.way() * e.perMetre();
        }
        return new Effect(left, right, moment, at, Math.max(Math.abs(left), Math.abs(right)));
    }

    /** Deflections at a number of places times E I: they add up as loads do. */
    static double[] deflections(double spanM, List<Load> loads) {
        double[] all = new double[PLACES - 2];
        for (int i = 1; i < PLACES - 1 && !loads.isEmpty(); i++) {
            all[i - 1] = curvature(spanM, spanM * i / (PLACES - 1), loads);
        }
        return all;
    }

    /** Largest deflection, m, downward positive, of a member of a stiffness E I. */
    public static double deflectionM(double spanM, List<Load> loads, double stiffnessNm2) {
        double most = 0;
        for (int i = 1; i < PLACES - 1; i++) {
            double d = curvature(spanM, spanM * i / (PLACES - 1), loads);
            most = Math.abs(d) > Math.abs(most) ? d : most;
        }
        return most / stiffnessNm2;
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
