package whipsaw.core.structure;

import java.util.Arrays;
import java.util.List;

/**
 * A simply supported member under loads square to it. Loads act downward when positive. Moments are positive when the
 * underside is in tension. Shears and moments are exact; the largest deflection is looked for at a number of places and
 * is within two thousandths of the exact one.
 *
 * <p>What a set of loads does is found once, as a {@link Part}; combinations are sums of parts, each times its factor.
 */
public final class Beam {
    /** Spaces between the places at which deflections are looked at. */
    private static final int SPACES = 32;

    private final double spanM;
    /** Where any of the sets changes, and the supports, rising. */
    private final double[] at;

    /**
     * @param spanM between the supports
     * @param sets every set of loads that parts will be made of
     */
    Beam(double spanM, List<List<Load>> sets) {
        this.spanM = spanM;
        int most = 2;
        for (List<Load> set : sets) {
            most += 2 * set.size();
        }
        double[] places = new double[most];
        places[1] = spanM;
        int n = 2;
        for (List<Load> set : sets) {
            for (Load load : set) {
                places[n++] = load.fromM() + 0.0; // no negative zero among the places
                places[n++] = load.toM() + 0.0;
            }
        }
        Arrays.sort(places);
        int kept = 1;
        for (int i = 1; i < n; i++) {
            if (places[i] > places[kept - 1]) {
                places[kept++] = places[i];
            }
        }
        this.at = Arrays.copyOf(places, kept);
    }

    /**
     * A load along part of the member; a point load when both ends are the same.
     *
     * @param fromM first end from the left support
     * @param toM last end
     * @param newton whole load, N
     */
    public record Load(double fromM, double toM, double newton) {
        /** An even load all along a span, N/m. */
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

    /**
     * What one set of loads does, place by place.
     *
     * @param shear just right of every place
     * @param moment at every place
     * @param perMetre even load from every place to the next
     * @param deflected at the places of deflections, times E I
     */
    record Part(double leftN, double rightN, double[] shear, double[] moment, double[] perMetre, double[] deflected) {}

    /** What one set of loads does to a span. */
    public static Effect of(double spanM, List<Load> loads) {
        Beam beam = new Beam(spanM, List.of(loads));
        return beam.effect(new double[] {1}, beam.part(loads));
    }

    /** Largest deflection, m, downward positive, of a member of a stiffness E I. */
    public static double deflectionM(double spanM, List<Load> loads, double stiffnessNm2) {
        Beam beam = new Beam(spanM, List.of(loads));
        return beam.deflection(new double[] {1}, beam.part(loads)) / stiffnessNm2;
    }

    private int place(double x) {
        int i = Arrays.binarySearch(at, x + 0.0);
        if (i < 0) {
            throw new IllegalArgumentException("the loads at " + x + " m are of none of the sets");
        }
        return i;
    }

    /** What a set of loads does; one of those the beam was made for. */
    Part part(List<Load> loads) {
        int n = at.length;
        double[] shear = new double[n];
        double[] moment = new double[n];
        double[] perMetre = new double[n];
        double right = 0;
        double all = 0;
        for (int i = 0; i < loads.size(); i++) {
            Load load = loads.get(i);
            right += load.newton() * load.middleM() / spanM;
            all += load.newton();
            int from = place(load.fromM());
            if (load.point()) {
                shear[from] -= load.newton();
            } else {
                double even = load.newton() / (load.toM() - load.fromM());
                perMetre[from] += even;
                perMetre[place(load.toM())] -= even;
            }
        }
        double left = all - right;
        double v = left;
        double m = 0;
        double even = 0;
        for (int i = 0; i < n; i++) {
            if (i > 0) {
                double step = at[i] - at[i - 1];
                m += v * step - even * step * step / 2;
                v -= even * step;
            }
            v += shear[i];
            even += perMetre[i];
            shear[i] = v;
            moment[i] = m;
            perMetre[i] = even;
        }
        return new Part(left, right, shear, moment, perMetre, deflected(shear, moment, perMetre));
    }

    /** Curvature added up twice from the left support, then turned so that the right one does not move. */
    private double[] deflected(double[] shear, double[] moment, double[] perMetre) {
        double[] result = new double[SPACES - 1];
        double y = 0;
        double slope = 0;
        int next = 1;
        for (int i = 1; i < at.length; i++) {
            double m = moment[i - 1];
            double v = shear[i - 1];
            double w = perMetre[i - 1];
            while (next < SPACES && spanM * next / SPACES <= at[i]) {
                double h = spanM * next / SPACES - at[i - 1];
                result[next++ - 1] = y + slope * h - h * h * (m / 2 + v * h / 6 - w * h * h / 24);
            }
            double h = at[i] - at[i - 1];
            y += slope * h - h * h * (m / 2 + v * h / 6 - w * h * h / 24);
            slope -= h * (m + v * h / 2 - w * h * h / 6);
        }
        for (int i = 1; i < SPACES; i++) {
            result[i - 1] -= y * i / SPACES;
        }
        return result;
    }

    /**
     * What parts do together.
     *
     * @param factors one for each
     * @param parts of this beam; null for none of the kind
     */
    Effect effect(double[] factors, Part... parts) {
        double left = 0;
        double right = 0;
        for (int p = 0; p < parts.length; p++) {
            if (parts[p] != null) {
                left += factors[p] * parts[p].leftN();
                right += factors[p] * parts[p].rightN();
            }
        }
        double most = 0;
        double where = spanM / 2;
        double shear = 0;
        double even = 0;
        double m = 0;
        for (int i = 0; i < at.length; i++) {
            double before = m;
            m = 0;
            double arrives = 0;
            double v = 0;
            double w = 0;
            for (int p = 0; p < parts.length; p++) {
                if (parts[p] != null) {
                    m += factors[p] * parts[p].moment()[i];
                    v += factors[p] * parts[p].shear()[i];
                    w += factors[p] * parts[p].perMetre()[i];
                }
            }
            if (i > 0) {
                arrives = shear - even * (at[i] - at[i - 1]);
                if (shear * arrives < 0) {
                    double zero = shear / even;
                    double top = before + shear * zero - even * zero * zero / 2;
                    if (Math.abs(top) > Math.abs(most)) {
                        most = top;
                        where = at[i - 1] + zero;
                    }
                }
            }
            if (Math.abs(m) > Math.abs(most)) {
                most = m;
                where = at[i];
            }
            shear = v;
            even = w;
        }
        return new Effect(left, right, most, where, Math.max(Math.abs(left), Math.abs(right)));
    }

    /** Largest deflection of parts together times E I, with its sign. */
    double deflection(double[] factors, Part... parts) {
        double most = 0;
        for (int i = 0; i < SPACES - 1; i++) {
            double d = 0;
            for (int p = 0; p < parts.length; p++) {
                if (parts[p] != null) {
                    d += factors[p] * parts[p].deflected()[i];
                }
            }
            most = Math.abs(d) > Math.abs(most) ? d : most;
        }
        return most;
    }
}
