package whipsaw.core.catalogue;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.units.Show;

/**
 * Weights and sizes of catalogue entries that are possible but unlikely, so that a slip of the pen
 * is seen before anything is computed from it. The bounds are ordinary practice, not limits.
 */
public final class Plausibility {
    private Plausibility() {}

    /** What looks wrong, in words; empty when all is ordinary. */
    public static List<String> doubts(Object entry) {
        List<String> doubts = new ArrayList<>();
        if (entry instanceof ModuleType m) {
            double area = m.areaM2();
            outside(doubts, "mass over area", m.mass().si() / area, 8, 18, "kg/m²");
            outside(doubts, "power over area", m.power().si() / area, 120, 260, "W/m²");
            outside(
                    doubts,
                    "V_mp · I_mp over the power",
                    m.vmp().si() * m.imp().si() / m.power().si(),
                    0.97,
                    1.03,
                    "");
            outside(doubts, "V_mp over V_oc", m.vmp().si() / m.voc().si(), 0.7, 0.95, "");
            outside(doubts, "I_mp over I_sc", m.imp().si() / m.isc().si(), 0.85, 0.99, "");
        } else if (entry instanceof BlockType b) {
            double volume = b.length().si() * b.width().si() * b.height().si();
            outside(doubts, "density", b.mass().si() / volume, 900, 3000, "kg/m³");
        } else if (entry instanceof InverterType i) {
            outside(
                    doubts,
                    "lower end of the window over the highest input",
                    i.trackerLowest().si() / i.highestInput().si(),
                    0.1,
                    0.7,
                    "");
            outside(
                    doubts,
                    "power over all tracker currents at the highest input",
                    i.power().si()
                            / (i.trackers()
                                    * i.trackerShortCircuit().si()
                                    * i.highestInput().si()),
                    0.05,
                    1,
                    "");
        } else if (entry instanceof TraySystem t) {
            outside(doubts, "racking mass per module", t.rackingMass().si(), 1.5, 20, "kg");
            outside(doubts, "gap between modules", t.moduleGap().si() * 1000, 10, 60, "mm");
            t.friction().forEach((covering, mu) -> outside(doubts, "friction on " + covering, mu, 0.3, 0.9, ""));
        }
        return doubts;
    }

    private static void outside(
            List<String> doubts, String what, double value, double least, double most, String unit) {
        if (value < least || value > most) {
            doubts.add(what + " is " + Show.significant(value, 3) + " " + unit + "; ordinary is "
                    + Show.number(least, 2) + " to " + Show.number(most, 2) + " " + unit);
        }
    }
}
