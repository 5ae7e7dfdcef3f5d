package whipsaw.app.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import whipsaw.app.catalogue.Seeds;
import whipsaw.core.array.ArrayStage;
import whipsaw.core.catalogue.TraySystem;
import whipsaw.core.design.Design;
import whipsaw.core.design.ShiftEdits;
import whipsaw.core.design.Solver;
import whipsaw.core.energy.EnergyStage;
import whipsaw.core.energy.PlaneYear;
import whipsaw.core.energy.RowPlace;
import whipsaw.core.energy.ShadeRule;
import whipsaw.core.energy.SkyModel;
import whipsaw.core.energy.Weather;
import whipsaw.core.energy.YieldSystem;
import whipsaw.core.explore.Explorer;
import whipsaw.core.explore.Option;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.DocumentPatch.Change;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobReader;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.table.CodeTables;

/** Energy of a year and the field of options. */
final class OptionsBench {
    private static final int REPEATS = 5;

    private OptionsBench() {}

    static void add(StringBuilder text) {
        Solver solver = new Solver(CodeTables.shipped());
        Job hall = JobReader.read(Seeds.demoJob(), false).job();
        Job store = JobReader.read(Seeds.demoJobs().get(2), false).job();
        Weather weather = EnergyStage.weather(hall.site());
        Benchmarks.line(
                text,
                "200 tilts and pitches of a row, 8,760 hours each",
                "under 330",
                REPEATS,
                () -> Benchmarks.timed(() -> planes(weather)));
        placing(text, hall, solver);
        for (Job job : List.of(hall, store)) {
            Design[] fresh = new Design[REPEATS + 10];
            for (int i = 0; i < fresh.length; i++) {
                fresh[i] = solver.solve(job);
            }
            int[] next = {0};
            int modules = fresh[0].whole().modules();
            Benchmarks.line(
                    text,
                    "energy of a year of " + modules + " modules, with the shadow of parapets and things",
                    "under 1000",
                    REPEATS,
                    () -> Benchmarks.timed(() -> fresh[next[0]++].whole().year()));
            Explorer explorer = new Explorer(fresh[0], solver);
            List<TraySystem> trays = Seeds.entries().stream()
                    .filter(e -> e.kind().equals("tray-system"))
                    .map(e -> (TraySystem)
                            JobReader.readEntry("tray-system", e.body()).job())
                    .toList();
            List<Option> options = explorer.options(trays, List.of(job.array().module()), false);
            Benchmarks.line(
                    text,
                    options.size() + " options of " + modules + " modules, each solved with all checks and its year",
                    "",
                    3,
                    () -> Benchmarks.timed(
                            () -> options.parallelStream().map(explorer::tried).toList()));
        }
    }

    private static List<Double> planes(Weather weather) {
        YieldSystem system = YieldSystem.usual(-0.0035, 1.2);
        List<Double> all = new ArrayList<>();
        for (int tilt = 1; tilt <= 20; tilt++) {
            for (int p = 0; p < 10; p++) {
                RowPlace place = RowPlace.behind(1.13, tilt, 1.2 + 0.1 * p);
                all.add(PlaneYear.of(
                                weather,
                                new PlaneYear.Plane(tilt, 180, place, ShadeRule.LANDSCAPE),
                                SkyModel.PEREZ,
                                system)
                        .acKwhPerKwp(system));
            }
        }
        return all;
    }

    /** A roof of 200 m by 200 m with 300 things on it, a little out of square to its rows. */
    private static void placing(StringBuilder text, Job hall, Solver solver) {
        List<Object> things = new ArrayList<>();
        for (int i = 0; i < 300; i++) {
            things.add(Map.of(
                    "id",
                    "t" + i,
                    "name",
                    "Unit " + i,
                    "kind",
                    "plant",
                    "height",
                    "1 m",
                    "clear",
                    "0.5 m",
                    "x",
                    4 + i % 20 * 9.7 + i % 7 * 0.31 + " m",
                    "y",
                    5 + i / 20 * 12.6 + i % 5 * 0.43 + " m",
                    "width",
                    1 + i % 3 * 0.6 + " m",
                    "depth",
                    1 + i % 4 * 0.4 + " m"));
        }
        List<Object> corners = new ArrayList<>();
        for (int[] c : new int[][] {{0, 0}, {200, 0}, {200, 200}, {0, 200}}) {
            corners.add(Map.of("x", c[0] + " m", "y", c[1] + " m"));
        }
        var changed = DocumentPatch.apply(
                hall,
                List.of(
                        new Change("set", "$.roof.outline", Map.of("kind", "drawn", "corners", corners)),
                        new Change("set", "$.roof.parapets", List.of()),
                        new Change("set", "$.roof.obstructions", things),
                        new Change("remove", "$.roof.structure", null),
                        new Change("remove", "$.roof.bays", null),
                        new Change("set", "$.array.facing", Map.of("azimuth", "176 deg")),
                        new Change("remove", "$.array.walkway", null)));
        var reading = JobReader.read(changed, false);
        if (!reading.ok()) {
            throw new IllegalStateException(reading.problems().toString());
        }
        Job job = reading.job();
        RoofPlan plan = RoofPlan.of(job.roof());
        int modules = ArrayStage.of(job, plan, solver.tables()).modules().size();
        Benchmarks.line(
                text,
                "placing " + modules + " modules on 40,000 m2 around 300 obstructions",
                "under 150",
                REPEATS,
                () -> Benchmarks.timed(() -> ArrayStage.of(job, plan, solver.tables())));
        ShiftEdits best = new ShiftEdits(job, plan, solver.tables());
        Benchmarks.line(
                text,
                "the shift with most modules there, " + best.words(),
                "under 1000",
                REPEATS,
                () -> Benchmarks.timed(() -> new ShiftEdits(job, plan, solver.tables())));
    }
}
