package whipsaw.core.catalogue;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Show;

/**
 * A figure of a part that cannot be, beside the others it has.
 *
 * @param key of the field
 * @param value as typed
 * @param message why it cannot be
 */
public record Contradiction(String key, String value, String message) {
    /** A module's power may differ from voltage times current by this share. */
    private static final double MOST_OFF = 0.1;

    /** No module that can be bought makes more on a square metre. */
    private static final double MOST_W_PER_M2 = 280;

    /** Every module loses voltage in heat; no coefficient is nearer to nothing than this, % a degree. */
    private static final double LEAST_COEFFICIENT = 0.05;

    /** Those of a catalogue entry of any kind. */
    public static List<Contradiction> of(Object entry) {
        List<Contradiction> all = new ArrayList<>();
        if (entry instanceof ModuleType m) {
            module(m, all);
        } else if (entry instanceof InverterType i) {
            below(all, "trackerLowest", i.trackerLowest(), i.highestInput(), "highest input");
        } else if (entry instanceof TraySystem t) {
            range(all, "longSideTo", t.longSideFrom(), t.longSideTo());
            range(all, "shortSideTo", t.shortSideFrom(), t.shortSideTo());
        }
        return all;
    }

    private static void module(ModuleType m, List<Contradiction> all) {
        below(all, "vmp", m.vmp(), m.voc(), "open-circuit voltage");
        below(all, "imp", m.imp(), m.isc(), "short-circuit current");
        coefficient(all, "vocCoefficient", m.vocCoefficient());
        coefficient(all, "vmpCoefficient", m.vmpCoefficient());
        grip(all, "clampLongTo", m.clampLongFrom(), m.clampLongTo(), m.length());
        grip(all, "clampShortTo", m.clampShortFrom(), m.clampShortTo(), m.width());
        grip(all, "holes", null, m.holes(), m.length());
        double product = m.vmp().si() * m.imp().si();
        if (Math.abs(product - m.power().si()) > MOST_OFF * m.power().si()) {
            all.add(new Contradiction(
                    "power",
                    m.power().typed(),
                    "is not voltage times current at maximum power, " + Show.number(product, 0) + " W, within 10 %"));
        }
        if (Limits.above(m.power().si() / m.areaM2(), MOST_W_PER_M2)) {
            all.add(new Contradiction(
                    "power",
                    m.power().typed(),
                    "is more than " + Show.number(MOST_W_PER_M2, 0) + " W/m² on " + Show.number(m.areaM2(), 2)
                            + " m²: check power, length and width"));
        }
    }

    /** A place along the frame counts from the nearer corner, and a zone ends beyond where it begins. */
    private static void grip(List<Contradiction> all, String key, Measure from, Measure to, Measure side) {
        if (to == null) {
            return;
        }
        if (from != null && from.si() >= to.si()) {
            all.add(new Contradiction(key, to.typed(), "is not beyond where they begin, " + from.typed()));
        }
        if (Limits.above(to.si(), side.si() / 2)) {
            all.add(new Contradiction(
                    key,
                    to.typed(),
                    "is beyond the middle of a side of " + side.typed() + ": places count from the nearer corner"));
        }
    }

    private static void range(List<Contradiction> all, String key, Measure from, Measure to) {
        if (to != null && from.si() > to.si()) {
            all.add(new Contradiction(key, to.typed(), "is below where it begins, " + from.typed()));
        }
    }

    private static void below(List<Contradiction> all, String key, Measure value, Measure most, String of) {
        if (value.si() >= most.si()) {
            all.add(new Contradiction(key, value.typed(), "is not below the " + of + ", " + most.typed()));
        }
    }

    private static void coefficient(List<Contradiction> all, String key, Measure value) {
        if (Math.abs(value.si()) < LEAST_COEFFICIENT) {
            all.add(new Contradiction(
                    key,
                    value.typed(),
                    "is no coefficient of a module: voltage falls in heat, for example -0.25 %/°C"));
        }
    }
}
