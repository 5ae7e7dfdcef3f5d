package whipsaw.app.print;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.build.Counts;
import whipsaw.core.circuit.Circuits;
import whipsaw.core.design.Design;
import whipsaw.core.job.InverterGroup;
import whipsaw.core.run.AcRun;
import whipsaw.core.structure.SnowOnRun;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/** What the job sheet says of strings, inverters and AC runs. */
final class CircuitFacts {
    private CircuitFacts() {}

    static List<JobSheet.Fact> of(Design design, UnitSystem units) {
        Circuits c = design.circuits();
        Circuits.ArrayStrings own = design.strings();
        List<JobSheet.Fact> facts = new ArrayList<>();
        facts.add(new JobSheet.Fact(
                "DC and AC",
                Show.number(c.dcW() / 1000, 2)
                        + " kW dc, "
                        + Show.number(c.acVa() / 1000, 2)
                        + " kW ac, ratio "
                        + Show.number(c.ratio(), 3)));
        facts.add(new JobSheet.Fact(
                "Strings",
                own.strings().size()
                        + " of "
                        + own.shortestUsed()
                        + " to "
                        + own.longestUsed()
                        + " modules; legal "
                        + own.limits().shortest()
                        + " to "
                        + own.limits().longest()));
        for (InverterGroup g : design.job().document().groups()) {
            Design feeding = design.feeding(g);
            if (feeding != null) {
                String which = design.job().document().groups().size() == 1 ? "" : g.name() + ": ";
                inverters(facts, feeding, which);
                run(facts, feeding, which, units);
            }
        }
        return facts;
    }

    private static void inverters(List<JobSheet.Fact> facts, Design design, String which) {
        Circuits.Group group = design.inverters();
        if (!which.isEmpty()) {
            facts.add(new JobSheet.Fact(
                    which + "inverters",
                    group.inverters() + " x "
                            + design.job().electrical().inverter().info().name() + ", ratio "
                            + Show.number(group.ratio(), 3)));
        }
        for (int i = group.first(); i < group.first() + group.inverters(); i++) {
            int inverter = i;
            List<String> names = design.circuits().arrays().stream()
                    .flatMap(a -> a.strings().stream())
                    .filter(s -> s.inverter() == inverter)
                    .map(s -> s.name() + " (" + s.modules().size() + ")")
                    .toList();
            facts.add(new JobSheet.Fact("Inverter " + i, String.join(", ", names)));
        }
    }

    private static void run(List<JobSheet.Fact> facts, Design design, String which, UnitSystem units) {
        AcRun run = design.run();
        facts.add(new JobSheet.Fact(which + "AC run, one way", Show.both(units, Dimension.ROOF_LENGTH, run.lengthM())));
        SnowOnRun snow = design.snowOnRun();
        if (snow != null) {
            facts.add(new JobSheet.Fact(
                    which + "AC run, snow at its deepest",
                    Show.both(units, Dimension.ROOF_LENGTH, snow.deepestM())
                            + (snow.even()
                                    ? ", no drift reaches it"
                                    : ", "
                                            + Show.both(units, Dimension.ROOF_LENGTH, snow.atM())
                                            + " from where the run starts")
                            + ": raise or protect conduit and boxes there"));
        }
        if (run.sizing() != null && run.sizing().feasible()) {
            String material = design.job().electrical().run().material();
            facts.add(new JobSheet.Fact(
                    which + "AC run, conductors",
                    (design.job().electrical().run().feeders() == 1
                                    ? ""
                                    : design.job().electrical().run().feeders() + " feeders of ")
                            + run.sizing().chosen().sets()
                            + " x 3 "
                            + Counts.conductor(run.sizing().chosen().size().name(), material)
                            + ", ground "
                            + (run.sizing().ground() == null
                                    ? "above the table"
                                    : Counts.conductor(run.sizing().ground(), material))
                            + ", device "
                            + run.sizing().deviceA()
                            + " A, drop "
                            + Show.number(run.sizing().chosen().drop().dropPct(), 2)
                            + " %"));
        }
    }
}
