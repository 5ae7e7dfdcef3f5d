package whipsaw.app.web;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import whipsaw.app.job.JobService;
import whipsaw.core.design.Design;
import whipsaw.core.energy.EpwFile;
import whipsaw.core.energy.MeterYear;
import whipsaw.core.energy.YearEnergy;
import whipsaw.core.energy.YieldSystem;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.JobDocument;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.JobWriter;
import whipsaw.core.job.Site;
import whipsaw.core.job.WeatherYear;
import whipsaw.core.schema.Path;
import whipsaw.core.units.Show;

/** Energy of the year: from sunlight to the meter, by month and hour, who uses it, and the weather it rests on. */
@Controller
public class EnergyController {
    private static final long LONGEST_FILE = 4_000_000;
    private static final Path<WeatherYear> WEATHER =
            JobPaths.DOCUMENT.to(JobDocument::site).to(Site::weather);
    private static final List<String> MONTHS =
            List.of("Jan", "Feb", "Mar", "Apr", "May", "Jun", "Jul", "Aug", "Sep", "Oct", "Nov", "Dec");
    private static final int[] SEASONS = {2, 5, 8, 11};

    private final JobService jobs;

    public EnergyController(JobService jobs) {
        this.jobs = jobs;
    }

    /**
     * A loss on the way.
     *
     * @param share of what was there before, per cent; below 0 for a gain
     * @param width of its bar, of 1000
     */
    public record Step(String words, String kwh, String share, long width) {}

    /**
     * A mean hour of a month.
     *
     * @param depth from 0 to 1, of the largest of all
     */
    public record Cell(double kw, double depth) {}

    /** One month with its hours. */
    public record Month(String name, String mwh, List<Cell> hours) {}

    /** What is made and used on the mean day of a month. */
    public record Season(String name, List<Double> made, List<Double> used) {
        /**
         * The demand as a line of steps, 10 wide by the hour and up to 56 high.
         *
         * @param highest kW at the top
         */
        public String demandPath(double highest) {
            StringBuilder d = new StringBuilder();
            for (int h = 0; h < used.size(); h++) {
                double y = 60 - used.get(h) / highest * 56;
                d.append(h == 0 ? "M" : "V").append(h == 0 ? "0 " + y : String.valueOf(y));
                d.append("H").append(10 * (h + 1));
            }
            return d.toString();
        }
    }

    /** One occupant, figures in words. */
    public record User(String name, String source, String demand, String used, String covered, List<String> ofArray) {}

    /** The page. */
    @GetMapping("/jobs/{slug}/energy")
    public String page(@PathVariable String slug, Model model) {
        JobService.Shown shown = jobs.open(slug);
        Design design = shown.design();
        YearEnergy year = design.whole().year();
        MeterYear meter = design.meterYear();
        model.addAttribute("slug", slug);
        model.addAttribute("job", design.job());
        model.addAttribute("base", shown.revision().number());
        model.addAttribute("placed", year.kwp() > 0);
        model.addAttribute("year", YearWords.of(design));
        model.addAttribute("weather", design.job().site().weather());
        model.addAttribute("kwh", mwh(year.kwh()));
        model.addAttribute("perKwp", Show.number(year.kwhPerKwp(), 0) + " kWh/kWp");
        model.addAttribute("p90", mwh(year.p90Kwh()));
        model.addAttribute("deviation", Show.number(100 * YearEnergy.deviation(), 1) + " %");
        model.addAttribute("life", Show.number(year.lifeKwh() / 1_000_000, 2) + " GWh");
        model.addAttribute("lifeYears", Show.number(YieldSystem.figure("life_years"), 0));
        model.addAttribute("fade", Show.number(100 * YieldSystem.figure("degradation"), 1) + " %");
        model.addAttribute("steps", steps(year));
        model.addAttribute("months", months(year));
        model.addAttribute("seasons", seasons(year, meter));
        double highest = seasons(year, meter).stream()
                .flatMap(season -> Stream.concat(season.made().stream(), season.used().stream()))
                .mapToDouble(Double::doubleValue)
                .max()
                .orElse(0);
        model.addAttribute("highest", Math.max(highest, 1e-9));
        model.addAttribute("meter", meter);
        model.addAttribute(
                "arrays",
                year.arrays().stream()
                        .map(a -> "array " + a.id() + ", " + Show.number(a.kwp(), 1) + " kWp")
                        .toList());
        model.addAttribute("users", users(meter, year));
        model.addAttribute(
                "limit",
                Double.isInfinite(meter.exportLimitKw())
                        ? "none stated"
                        : Show.number(meter.exportLimitKw(), 1) + " kW");
        model.addAttribute("made", mwh(meter.together().madeKwh()));
        model.addAttribute("used", mwh(meter.together().usedKwh()));
        model.addAttribute(
                "usedShare",
                percent(meter.together().usedKwh(), meter.together().madeKwh()));
        model.addAttribute("exported", mwh(meter.together().exportedKwh()));
        model.addAttribute("givenUp", mwh(meter.together().curtailedKwh()));
        model.addAttribute("imported", mwh(meter.together().importedKwh()));
        return "energy";
    }

    private static String mwh(double kwh) {
        return fixed(kwh / 1000) + " MWh";
    }

    /** One decimal always, so that columns stand under each other. */
    private static String fixed(double value) {
        return String.format(Locale.ROOT, "%.1f", value);
    }

    private static String percent(double part, double all) {
        return all == 0 ? "none" : Show.number(100 * part / all, 0) + " %";
    }

    private static List<Step> steps(YearEnergy year) {
        List<Step> steps = new ArrayList<>();
        double first = year.steps().isEmpty() ? 0 : year.steps().get(0).kwh();
        double before = first;
        for (YearEnergy.Left left : year.steps()) {
            double lost = before == 0 ? 0 : 100 * (before - left.kwh()) / before;
            String rounded = fixed(Math.abs(lost));
            String share =
                    steps.isEmpty() ? "" : rounded.equals("0.0") ? "none" : (lost < 0 ? "+" : "−") + rounded + " %";
            steps.add(new Step(
                    left.words(), mwh(left.kwh()), share, first == 0 ? 0 : Math.round(1000 * left.kwh() / first)));
            before = left.kwh();
        }
        return steps;
    }

    private static List<Month> months(YearEnergy year) {
        double[][] mean = year.meter().byMonthAndHour();
        double most = 0;
        for (double[] month : mean) {
            for (double kw : month) {
                most = Math.max(most, kw);
            }
        }
        List<Month> months = new ArrayList<>();
        for (int m = 0; m < mean.length; m++) {
            List<Cell> hours = new ArrayList<>();
            for (double kw : mean[m]) {
                hours.add(new Cell(kw, most == 0 ? 0 : kw / most));
            }
            months.add(new Month(MONTHS.get(m), mwh(year.monthlyKwh().get(m)), hours));
        }
        return months;
    }

    private static List<Season> seasons(YearEnergy year, MeterYear meter) {
        double[][] made = year.meter().byMonthAndHour();
        double[][] used = meter.demand().byMonthAndHour();
        List<Season> seasons = new ArrayList<>();
        for (int m : SEASONS) {
            seasons.add(new Season(MONTHS.get(m), list(made[m]), list(used[m])));
        }
        return seasons;
    }

    private static List<Double> list(double[] values) {
        List<Double> all = new ArrayList<>();
        for (double v : values) {
            all.add(v);
        }
        return all;
    }

    private static List<User> users(MeterYear meter, YearEnergy year) {
        return meter.occupants().stream()
                .map(o -> new User(
                        o.name(),
                        o.readings() ? "a year of readings" : "a typical day, taken for every day",
                        mwh(o.alone().demandKwh()),
                        mwh(o.alone().usedKwh()),
                        Show.number(100 * o.covered(), 0) + " %",
                        ofArrays(o, year)))
                .toList();
    }

    /** Of each array alone, by its rating too: which way an array faces decides whom it serves. */
    private static List<String> ofArrays(MeterYear.OfOccupant o, YearEnergy year) {
        List<String> all = new ArrayList<>();
        for (int i = 0; i < o.usedOfArray().size(); i++) {
            double used = o.usedOfArray().get(i);
            double kwp = year.arrays().get(i).kwp();
            all.add(mwh(used) + (kwp > 0 ? ", " + Show.number(used / kwp, 0) + " kWh/kWp" : ""));
        }
        return all;
    }

    /** Takes a weather file in place of the synthetic year. */
    @PostMapping("/jobs/{slug}/weather")
    public String weather(
            @PathVariable String slug, @RequestParam int base, @RequestParam(required = false) MultipartFile upload)
            throws IOException {
        if (upload == null || upload.isEmpty() || upload.getSize() > LONGEST_FILE) {
            throw WorkOutController.refused(
                    "$.upload", "Weather file", "", "is missing or over 4 MB: choose an EPW file of one year");
        }
        String file = String.valueOf(upload.getOriginalFilename());
        WeatherYear weather;
        try {
            weather = EpwFile.read(new String(upload.getBytes(), StandardCharsets.UTF_8));
        } catch (IllegalArgumentException e) {
            throw WorkOutController.refused("$.upload", "Weather file", file, e.getMessage());
        }
        double latitude = jobs.open(slug).design().job().site().latitude().si();
        if (Math.signum(latitude) * Math.signum(weather.latitude()) < 0) {
            throw WorkOutController.refused(
                    "$.upload",
                    "Weather file",
                    weather.name(),
                    "is of the other hemisphere: latitude " + Show.number(weather.latitude(), 2) + "°, the job is at "
                            + Show.number(latitude, 2) + "°");
        }
        jobs.change(
                slug,
                base,
                List.of(DocumentPatch.Change.set(WEATHER, JobWriter.part(weather))),
                "Weather of " + weather.name());
        return "redirect:/jobs/" + slug + "/energy";
    }

    /** Goes back to the synthetic year. */
    @PostMapping("/jobs/{slug}/weather/remove")
    public String noWeather(@PathVariable String slug, @RequestParam int base) {
        jobs.change(
                slug,
                base,
                List.of(new DocumentPatch.Change("remove", WEATHER.toString(), null)),
                "Weather file removed");
        return "redirect:/jobs/" + slug + "/energy";
    }
}
