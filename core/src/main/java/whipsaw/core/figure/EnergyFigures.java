package whipsaw.core.figure;

import java.util.List;
import whipsaw.core.design.Design;
import whipsaw.core.energy.YearEnergy;
import whipsaw.core.energy.YieldSystem;
import whipsaw.core.units.Show;
import whipsaw.core.working.DataSource;
import whipsaw.core.working.DataStatus;
import whipsaw.core.working.Origin;
import whipsaw.core.working.Term;
import whipsaw.core.working.Working;

/** Working of the energy of a year: what is left after every loss from the light on the modules to the inverters. */
final class EnergyFigures {
    private EnergyFigures() {}

    /** The climates that ship. */
    private record ClimateData(String name, boolean file) implements DataSource {
        @Override
        public String words() {
            return file
                    ? "weather file " + name
                    : "climate '" + name + "' of the synthetic year, made up for comparing options";
        }

        @Override
        public DataStatus status() {
            return file ? DataStatus.UNCONFIRMED : DataStatus.INVENTED;
        }
    }

    static Working year(Design design) {
        YearEnergy year = design.whole().year();
        if (year.kwp() == 0) {
            return Working.of("total.energy", "Energy of a year", "0 kWh")
                    .note("No modules are placed yet.")
                    .build();
        }
        boolean file = year.source() == YearEnergy.Source.FILE;
        List<YearEnergy.Left> left = year.steps();
        double open = left.get(0).kwh();
        Working.Builder w = Working.of("total.energy", "Energy of a year", Show.number(year.kwh(), 0) + " kWh")
                .step(
                        "E_0",
                        left.get(0).words(),
                        "{P} · {H}",
                        Show.number(open, 0) + " kWh",
                        "Perez 1990; sun by the solar position algorithm, hour by hour",
                        Term.computed("P", "DC power of the modules", Show.number(year.kwp(), 3) + " kWp", "total.dc"),
                        Term.data(
                                "H",
                                "unshaded sunlight on them in a year, per kW of rating",
                                Show.number(open / year.kwp(), 2) + " kWh/kWp",
                                Origin.TABLE,
                                new ClimateData(year.climate(), file)));
        for (int i = 1; i < left.size(); i++) {
            double lost = left.get(i - 1).kwh() - left.get(i).kwh();
            w.step(
                    "E_" + i,
                    left.get(i).words() + ": " + (lost == 0 ? "" : lost < 0 ? "+" : "−")
                            + Show.number(100 * Math.abs(lost) / left.get(i - 1).kwh(), 1) + " %",
                    "{E_" + (i - 1) + "} − {L_" + i + "}",
                    Show.number(left.get(i).kwh(), 0) + " kWh",
                    "",
                    Term.computed(
                            "E_" + (i - 1),
                            "left before",
                            Show.number(left.get(i - 1).kwh(), 0) + " kWh",
                            null),
                    Term.computed("L_" + i, "lost", Show.number(lost, 0) + " kWh", null));
        }
        if (design.circuits().strings() == 0) {
            w.note("No strings were found: this is as if every module were in one, at the DC/AC limit.");
        }
        range(w, year);
        return w.note(
                        file
                                ? "One year of a weather file: no horizon and no snow is in it."
                                : "For comparing options. The year is synthetic, made from round monthly figures of a climate"
                                        + (year.source() == YearEnergy.Source.CHOSEN ? "" : ", here taken by latitude,")
                                        + " and forecasts nothing; no horizon and no snow is in it.")
                .note("Per kWp: " + Show.number(year.kwhPerKwp(), 0)
                        + " kWh. Losses to dirt, mismatch, DC wiring and inverters are usual figures; the change of power"
                        + " with temperature is taken as that of V_mp.")
                .note(
                        "Rows are taken as endless, in landscape with three substrings one above the other; shading by parapets"
                                + " and obstructions is the average of all modules, taken off evenly over the hours.")
                .build();
    }

    /** What one year in ten falls below, and the whole life. */
    private static void range(Working.Builder w, YearEnergy year) {
        String weather = "energy/yield.csv, own round figures";
        w.step(
                        "E_P90",
                        "yielded at least in nine years of ten",
                        "{E} · (1 − 1.2816 · √({s_w}² + {s_m}²))",
                        Show.number(year.p90Kwh(), 0) + " kWh",
                        "normal distribution; " + weather,
                        Term.computed("E", "energy of a year, P50", Show.number(year.kwh(), 0) + " kWh", null),
                        usual("s_w", "deviation of the weather from year to year", "weather_deviation"),
                        usual("s_m", "deviation of model and losses", "model_deviation"))
                .step(
                        "E_L",
                        "all years of its life",
                        "{E} · {n} · (1 − {d} · ({n} − 1) / 2)",
                        Show.number(year.lifeKwh() / 1000, 0) + " MWh",
                        weather,
                        Term.computed("E", "energy of a year, P50", Show.number(year.kwh(), 0) + " kWh", null),
                        usual("n", "years", "life_years"),
                        usual("d", "less in every year, of the first", "degradation"));
    }

    private static Term usual(String symbol, String name, String figure) {
        return Term.computed(symbol, name, Show.number(YieldSystem.figure(figure), 3), null);
    }
}
