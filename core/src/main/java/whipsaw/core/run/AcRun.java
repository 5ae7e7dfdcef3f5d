package whipsaw.core.run;

import java.util.List;
import whipsaw.core.circuit.Circuits;
import whipsaw.core.formula.Formulas;
import whipsaw.core.formula.From;
import whipsaw.core.formula.Measured;
import whipsaw.core.formula.Values;
import whipsaw.core.job.Corner;
import whipsaw.core.job.Electrical;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Unit;

/**
 * The AC run from the inverters to the point of connection, as one or several equal feeders.
 *
 * @param length values of the symbols of its formula
 * @param inverters on the fullest feeder
 * @param current rated current of the fullest feeder with its device; null without inverters
 * @param sizing null without inverters
 */
public record AcRun(Values length, int inverters, InverterCurrent current, ConductorSizing sizing) {
    private static final Formulas LENGTH = Formulas.of("")
            .in("plan", "along the plan", Measured.ROOF_LENGTH)
            .in("legs", "vertical legs", Measured.ROOF_LENGTH)
            .in("slack", "slack, %", Measured.NUMBER)
            .let("L", "length one way", "({plan} + {legs}) · (1 + {slack} / 100)", Measured.ROOF_LENGTH, "as entered")
            .build();

    /** Largest conductor that is pulled in one piece on a roof job. */
    public static final String LARGEST = "600";

    /** Most parallel sets offered. */
    public static final int MOST_SETS = 8;

    /**
     * The run of an inverter group.
     *
     * @param electrical of the group
     * @param designHigh ambient it has to work at
     * @param group its inverters
     */
    public static AcRun of(Electrical electrical, Measure designHigh, Circuits.Group group, CodeTables tables) {
        Electrical.AcRun run = electrical.run();
        double plan = 0;
        List<Corner> points = run.points();
        for (int i = 1; i < points.size(); i++) {
            plan += Math.hypot(
                    points.get(i).x().si() - points.get(i - 1).x().si(),
                    points.get(i).y().si() - points.get(i - 1).y().si());
        }
        Values length = LENGTH.values()
                .put("plan", plan, From.figure(null))
                .put(
                        "legs",
                        run.legs().stream().mapToDouble(l -> l.length().si()).sum())
                .put("slack", run.slackPct())
                .compute();
        if (group.inverters() == 0) {
            return new AcRun(length, 0, null, null);
        }
        double voltage = electrical.inverter().lineVoltage().si();
        int inverters = (group.inverters() + run.feeders() - 1) / run.feeders();
        InverterCurrent current = InverterCurrent.of(inverters, group.powerVa(), voltage, 3, tables.conductors());
        ConductorSizing.Input input = new ConductorSizing.Input(
                new VoltageDrop.Circuit(
                        VoltageDrop.System.THREE_PHASE,
                        current.currentA(),
                        voltage,
                        length.si("L"),
                        run.material(),
                        run.raceway(),
                        run.powerFactor(),
                        true),
                new Ampacity.Place(
                        run.conductor().insulation(),
                        run.terminalC(),
                        designHigh.si(),
                        3,
                        run.inSun(),
                        Unit.INCH.fromSi(run.aboveRoof().si()),
                        tables.conductors().rooftopAdderBelowIn()),
                run.dropLimitPct(),
                LARGEST,
                MOST_SETS,
                0,
                run.material(),
                false,
                false);
        return new AcRun(length, inverters, current, ConductorSizing.of(input, tables.conductors()));
    }

    /** Length on the plan. */
    public double planM() {
        return length.si("plan");
    }

    /** Sum of the vertical legs. */
    public double verticalM() {
        return length.si("legs");
    }

    /** Length one way with slack. */
    public double lengthM() {
        return length.si("L");
    }
}
