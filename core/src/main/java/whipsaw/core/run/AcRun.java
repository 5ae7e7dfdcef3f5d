package whipsaw.core.run;

import java.util.List;
import whipsaw.core.circuit.Circuits;
import whipsaw.core.job.Corner;
import whipsaw.core.job.Electrical;
import whipsaw.core.job.Job;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Unit;

/**
 * The AC run from the inverters to the point of connection, as one or several equal feeders.
 *
 * @param planM length on the plan
 * @param verticalM sum of the vertical legs
 * @param lengthM with slack
 * @param inverters on the fullest feeder
 * @param current rated current of the fullest feeder with its device; null without inverters
 * @param sizing null without inverters
 */
public record AcRun(
        double planM,
        double verticalM,
        double lengthM,
        int inverters,
        InverterCurrent current,
        ConductorSizing sizing) {

    /** Largest conductor that is pulled in one piece on a roof job. */
    public static final String LARGEST = "600";

    /** Most parallel sets offered. */
    public static final int MOST_SETS = 8;

    public static AcRun of(Job job, Circuits circuits, CodeTables tables) {
        Electrical.AcRun run = job.electrical().run();
        double plan = 0;
        List<Corner> points = run.points();
        for (int i = 1; i < points.size(); i++) {
            plan += Math.hypot(
                    points.get(i).x().si() - points.get(i - 1).x().si(),
                    points.get(i).y().si() - points.get(i - 1).y().si());
        }
        double vertical = run.legs().stream().mapToDouble(l -> l.length().si()).sum();
        double length = (plan + vertical) * (1 + run.slackPct() / 100);
        if (circuits.inverters() == 0) {
            return new AcRun(plan, vertical, length, 0, null, null);
        }
        double voltage = job.electrical().inverter().lineVoltage().si();
        int inverters = (circuits.inverters() + run.feeders() - 1) / run.feeders();
        InverterCurrent current =
                InverterCurrent.of(inverters * circuits.inverterPowerVa(), voltage, 3, tables.conductors());
        ConductorSizing.Input input = new ConductorSizing.Input(
                new VoltageDrop.Circuit(
                        VoltageDrop.System.THREE_PHASE,
                        current.currentA(),
                        voltage,
                        Unit.FOOT.fromSi(length),
                        run.material(),
                        run.raceway(),
                        run.powerFactor(),
                        true),
                new Ampacity.Place(
                        run.conductor().insulation(),
                        run.terminalC(),
                        job.site().designHigh().si(),
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
        return new AcRun(plan, vertical, length, inverters, current, ConductorSizing.of(input, tables.conductors()));
    }
}
