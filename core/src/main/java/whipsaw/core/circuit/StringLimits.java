package whipsaw.core.circuit;

import java.util.List;
import whipsaw.core.formula.Formulas;
import whipsaw.core.formula.Measured;
import whipsaw.core.formula.Values;
import whipsaw.core.units.Limits;
import whipsaw.core.working.Step;
import whipsaw.core.working.Terms;

/**
 * Longest and shortest legal string, NEC 690.7(A).
 *
 * @param cold values of the longest string
 * @param hot values of the shortest one
 */
public record StringLimits(Input input, Values cold, Values hot) {
    private static final Formulas COLD = Formulas.of("NEC")
            .in("V_oc", "module", Measured.VOLT)
            .in("β", "coefficient", Measured.PER_CENT_PER_CELSIUS)
            .in("T_min", "record low", Measured.CELSIUS)
            .let(
                    "V_oc,cold",
                    "open-circuit voltage at the record low",
                    "{V_oc} · (1 + {β} / 100 · ({T_min} − 25 °C))",
                    Measured.VOLT,
                    "690.7(A)(1)")
            .in("V_sys", "system limit", Measured.VOLT)
            .in("V_inv", "inverter", Measured.VOLT)
            .let("V_lim", "lower of system and inverter limit", "min({V_sys}, {V_inv})", Measured.VOLT, "690.7")
            .let("N_max", "modules, of which whole ones count", "{V_lim} / {V_oc,cold}", Measured.NUMBER, "690.7(A)")
            .build();

    private static final Formulas HOT = Formulas.of("")
            .in("T_a", "design high", Measured.CELSIUS)
            .in("ΔT", "cell above ambient", Measured.CELSIUS)
            .let("T_c", "hot cell", "{T_a} + {ΔT}", Measured.CELSIUS, "as entered")
            .in("V_mp", "module", Measured.VOLT)
            .in("γ", "coefficient", Measured.PER_CENT_PER_CELSIUS)
            .let(
                    "V_mp,hot",
                    "working voltage of a hot module",
                    "{V_mp} · (1 + {γ} / 100 · ({T_c} − 25 °C))",
                    Measured.VOLT,
                    "linear in the cell temperature")
            .in("V_mppt", "lower end of the tracking window", Measured.VOLT)
            .let(
                    "N_min",
                    "modules, of which the next whole number is needed",
                    "{V_mppt} / {V_mp,hot}",
                    Measured.NUMBER,
                    "tracking window of the inverter")
            .build();

    /**
     * @param vocV open-circuit voltage at 1000 W/m2 and 25 C
     * @param vmpV working voltage at 1000 W/m2 and 25 C
     * @param vocPctPerC coefficient of the open-circuit voltage, negative
     * @param vmpPctPerC coefficient of the working voltage, negative
     * @param recordLowC lowest expected ambient
     * @param hotAmbientC design high ambient
     * @param cellRiseC cell above ambient
     * @param systemLimitV 600, 1000 or 1500
     * @param inverterLimitV highest input voltage
     * @param trackerLowestV lower end of the tracking window
     */
    public record Input(
            double vocV,
            double vmpV,
            double vocPctPerC,
            double vmpPctPerC,
            double recordLowC,
            double hotAmbientC,
            double cellRiseC,
            double systemLimitV,
            double inverterLimitV,
            double trackerLowestV) {}

    /** Computes both. */
    public static StringLimits of(Input in) {
        Values cold = COLD.values()
                .put("V_oc", in.vocV())
                .put("β", in.vocPctPerC())
                .put("T_min", in.recordLowC())
                .put("V_sys", in.systemLimitV())
                .put("V_inv", in.inverterLimitV());
        Values hot = HOT.values()
                .put("T_a", in.hotAmbientC())
                .put("ΔT", in.cellRiseC())
                .put("V_mp", in.vmpV())
                .put("γ", in.vmpPctPerC())
                .put("V_mppt", in.trackerLowestV());
        return new StringLimits(in, cold.compute(), hot.compute());
    }

    /** The lower of the system's and the inverter's limit. */
    public double limitV() {
        return cold.get("V_lim");
    }

    /** Open-circuit voltage of a module at the record low. */
    public double coldVocV() {
        return cold.get("V_oc,cold");
    }

    /** Modules in the longest string. */
    public int longest() {
        return Limits.floor(cold.get("N_max"));
    }

    /** Temperature of a hot cell. */
    public double hotCellC() {
        return hot.get("T_c");
    }

    /** Working voltage of a module with a hot cell. */
    public double hotVmpV() {
        return hot.get("V_mp,hot");
    }

    /** Modules in the shortest string. */
    public int shortest() {
        return Limits.ceil(hot.get("N_min"));
    }

    /** The lines of the working of the longest string. */
    public List<Step> longestSteps(Terms terms) {
        return cold.steps(terms);
    }

    /** The lines of the working of the shortest one. */
    public List<Step> shortestSteps(Terms terms) {
        return hot.steps(terms);
    }

    /** Whether any number of modules keeps all limits. */
    public boolean feasible() {
        return shortest() <= longest();
    }

    /** Open-circuit voltage of so many modules at the record low, V. */
    public double coldVoltageV(int modules) {
        return modules * coldVocV();
    }

    /** Voltage at maximum power of so many modules in the heat, V. */
    public double hotVoltageV(int modules) {
        return modules * hotVmpV();
    }
}
