package whipsaw.app.bench;

import java.util.ArrayList;
import java.util.List;
import whipsaw.app.catalogue.Seeds;
import whipsaw.core.catalogue.TraySystem;
import whipsaw.core.design.Design;
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
import whipsaw.core.job.Job;
import whipsaw.core.job.JobReader;
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
}
