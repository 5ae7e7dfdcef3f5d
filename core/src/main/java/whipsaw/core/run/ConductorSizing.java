package whipsaw.core.run;

import java.util.List;
import whipsaw.core.table.ConductorTables;
import whipsaw.core.units.Limits;

/**
 * Smallest conductors that carry a current and keep a drop, with device and equipment ground, by
 * NEC 215.2, 240.4, 250.122, 310.10(G), 310.15, 690.8 and 705.28.
 *
 * @param requiredA 1.25 times the continuous current
 * @param deviceA overcurrent device; 0 when there is no standard rating
 * @param forAmpacity fewest sets and smallest size that carry the current; null when none does
 * @param chosen the same with the drop kept as well; null when none does
 * @param groundBase equipment ground of the device's rating
 * @param areaRatio chosen area over the area for ampacity
 * @param ground equipment ground in each raceway
 */
public record ConductorSizing(
        Input input,
        double requiredA,
        int deviceA,
        Choice forAmpacity,
        Choice chosen,
        String groundBase,
        double areaRatio,
        String ground) {
    private static final String SMALLEST_PARALLEL = "1/0";
    private static final int NEXT_SIZE_UP_LIMIT_A = 800;

    /** A size with the number of parallel sets, its ampacity and its drop. */
    public record Choice(ConductorTables.Size size, int sets, Ampacity ampacity, VoltageDrop drop) {}

    /**
     * @param givenDeviceA device to be used, or 0 to take the next standard rating
     * @param groundMaterial material of the equipment ground
     * @param pvDc a PV source or output circuit: its ground does not grow with the drop (690.45)
     * @param byFormula use the formula's ambient factor instead of the table's
     */
    public record Input(
            VoltageDrop.Circuit circuit,
            Ampacity.Place place,
            double dropLimitPct,
            String largest,
            int mostSets,
            int givenDeviceA,
            String groundMaterial,
            boolean pvDc,
            boolean byFormula) {}

    /** Whether a size of the table carries and protects it. */
    public boolean feasible() {
        return chosen != null;
    }

    /** What decided the size: {@code ampacity} or {@code voltage_drop}. */
    public String governedBy() {
        boolean same = chosen.size() == forAmpacity.size() && chosen.sets() == forAmpacity.sets();
        return same ? "ampacity" : "voltage_drop";
    }

    /** Finds the size, its device and its equipment ground, NEC 310.16, 240.4 and 250.122. */
    public static ConductorSizing of(Input in, ConductorTables tables) {
        double required = ContinuousCurrent.of(in.circuit().currentA()).amperes();
        int device = in.givenDeviceA() > 0 ? in.givenDeviceA() : tables.deviceAtLeast(required);
        if (device == 0) {
            return new ConductorSizing(in, required, 0, null, null, null, 1, null);
        }
        Choice carries = search(in, required, device, Double.POSITIVE_INFINITY, tables);
        Choice chosen = carries == null ? null : search(in, required, device, in.dropLimitPct(), tables);
        if (chosen == null) {
            return new ConductorSizing(in, required, device, carries, null, null, 1, null);
        }
        double ratio =
                chosen.size().areaCmil() * chosen.sets() / (carries.size().areaCmil() * carries.sets());
        String base = tables.groundSize(device, in.groundMaterial());
        String ground = in.pvDc() ? base : grown(base, ratio, chosen.size(), tables);
        return new ConductorSizing(in, required, device, carries, chosen, base, ratio, ground);
    }

    private static Choice search(Input in, double required, int device, double dropLimitPct, ConductorTables tables) {
        List<ConductorTables.Size> sizes = tables.sizes();
        int last = sizes.indexOf(tables.size(in.largest()));
        int firstParallel = sizes.indexOf(tables.size(SMALLEST_PARALLEL));
        for (int sets = 1; sets <= in.mostSets(); sets++) {
            for (int i = sets == 1 ? 0 : firstParallel; i <= last; i++) {
                Choice choice = choice(in, sizes.get(i), sets, tables);
                if (carries(in, choice, required, device, tables)
                        && Limits.atMost(choice.drop().dropPct(), dropLimitPct)) {
                    return choice;
                }
            }
        }
        return null;
    }

    private static Choice choice(Input in, ConductorTables.Size size, int sets, ConductorTables tables) {
        return new Choice(
                size,
                sets,
                Ampacity.of(size, in.circuit().material(), sets, in.place(), tables),
                VoltageDrop.of(in.circuit(), size.name(), sets, tables));
    }

    /**
     * Terminals, corrected ampacity, device and small-conductor rule; false for sizes not listed.
     */
    private static boolean carries(Input in, Choice c, double required, int device, ConductorTables tables) {
        String material = in.circuit().material();
        double terminal = c.ampacity().terminalA();
        double corrected = in.byFormula()
                ? c.ampacity().correctedByFormulaA()
                : c.ampacity().correctedA();
        if (Double.isNaN(terminal)
                || Double.isNaN(corrected)
                || Double.isNaN(c.drop().dropV())) {
            return false;
        }
        double ampacity = Math.min(terminal, corrected);
        boolean protectedBy = device <= NEXT_SIZE_UP_LIMIT_A
                ? device <= Math.max(ampacity, tables.deviceAtLeast(ampacity))
                : Limits.atMost(device, ampacity);
        return Limits.atMost(required, terminal)
                && Limits.atMost(in.circuit().currentA(), corrected)
                && protectedBy
                && device <= tables.smallConductorDeviceA(material, c.size().name());
    }

    /** 250.122(B): the ground grows with the phase conductors, never beyond them. */
    private static String grown(String base, double ratio, ConductorTables.Size phase, ConductorTables tables) {
        if (base == null) {
            return null;
        }
        double area = tables.size(base).areaCmil() * ratio;
        for (ConductorTables.Size size : tables.sizes()) {
            if (Limits.atMost(area, size.areaCmil())) {
                return size.areaCmil() > phase.areaCmil() ? phase.name() : size.name();
            }
        }
        return phase.name();
    }
}
