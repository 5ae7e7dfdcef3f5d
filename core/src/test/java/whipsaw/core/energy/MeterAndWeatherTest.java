package whipsaw.core.energy;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.JobWriter;
import whipsaw.core.job.Survey;
import whipsaw.core.job.WeatherYear;

/** A year of a weather file, and what occupants use of the energy of a year. */
class MeterAndWeatherTest {
    private static final Design NOW = Jobs.design();
    private static final List<String> FILE = made();

    /** The synthetic year of the job as a weather file, with a leap day in it. */
    private static List<String> made() {
        Weather w = EnergyStage.weather(NOW.job().site());
        List<String> lines = new ArrayList<>(List.of(String.format(
                Locale.ROOT,
                "LOCATION,Made,State,COUNTRY,test year,1,%.4f,%.4f,%.1f,10.0",
                NOW.job().site().latitude().si(),
                NOW.job().site().longitude().si(),
                EnergyStage.utcOffsetH(NOW.job().site()))));
        lines.addAll(Collections.nCopies(7, "HEADING,1,2"));
        LocalDate first = LocalDate.of(2025, 1, 1);
        for (int h = 0; h < Weather.HOURS; h++) {
            LocalDate day = first.plusDays(h / 24);
            Weather.Hour hour = w.hour(h);
            lines.add(line(day.getMonthValue(), day.getDayOfMonth(), h % 24 + 1, hour, w.windMPerS()));
            if (day.getMonthValue() == 2 && day.getDayOfMonth() == 28 && h % 24 == 23) {
                for (int k = 1; k <= 24; k++) {
                    lines.add(line(2, 29, k, hour, 99));
                }
            }
        }
        return lines;
    }

    private static List<String> file() {
        return new ArrayList<>(FILE);
    }

    private static String line(int month, int day, int hour, Weather.Hour h, double wind) {
        String[] cells = new String[35];
        Arrays.fill(cells, "0");
        cells[1] = String.valueOf(month);
        cells[2] = String.valueOf(day);
        cells[3] = String.valueOf(hour);
        cells[6] = String.format(Locale.ROOT, "%.6f", h.ambientC());
        cells[13] = String.format(Locale.ROOT, "%.6f", h.global());
        cells[15] = String.format(Locale.ROOT, "%.6f", h.diffuse());
        cells[21] = String.format(Locale.ROOT, "%.6f", wind);
        return String.join(",", cells);
    }

    private static Design with(WeatherYear weather) {
        return Jobs.design("site.weather", JobWriter.part(weather));
    }

    /** Written out as a file and read again, a year gives what it gave: no hour and no light is lost on the way. */
    @Test
    void aWeatherFileOfTheSyntheticYearGivesItsEnergy() {
        YearEnergy synthetic = NOW.whole().year();
        WeatherYear read = EpwFile.read(String.join("\n", file()));
        YearEnergy year = with(read).whole().year();
        assertThat(year.source()).isEqualTo(YearEnergy.Source.FILE);
        assertThat(year.climate()).startsWith("Made, COUNTRY");
        assertThat(year.kwh()).isCloseTo(synthetic.kwh(), within(1e-3 * synthetic.kwh()));
        for (int m = 0; m < 12; m++) {
            double month = synthetic.monthlyKwh().get(m);
            assertThat(year.monthlyKwh().get(m)).isCloseTo(month, within(4e-3 * month));
        }
        var again = JobReader.read(JobWriter.write(with(read).job()), false).job();
        assertThat(again.site().weather()).isEqualTo(read);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "cut | lacks 1 hours of the year, the first on day 365 of 365, hour 24",
                "twice | again",
                "missing | global irradiation is missing (9999)",
                "cold | temperature is -99: -70 to 100",
                "words | is no number: 'x'",
                "nowhere | latitude is no number: 'NaN'",
                "short | has 4 cells",
                "other | does not begin with a line LOCATION"
            })
    void aFileThatIsNoWholeYearIsRefusedWithItsLine(String how, String said) {
        List<String> lines = file();
        int last = lines.size() - 1;
        switch (how) {
            case "cut" -> lines.remove(last);
            case "twice" -> lines.set(last, lines.get(last - 1));
            case "missing" -> lines.set(last, cell(lines.get(last), 13, "9999"));
            case "cold" -> lines.set(last, cell(lines.get(last), 6, "-99"));
            case "words" -> lines.set(last, cell(lines.get(last), 6, "x"));
            case "nowhere" -> lines.set(0, cell(lines.get(0), 6, "NaN"));
            case "short" -> lines.set(last, "2025,12,31,24");
            default -> lines.replaceAll(s -> s.replace("LOCATION", "PLACE"));
        }
        assertThatThrownBy(() -> EpwFile.read(String.join("\n", lines)))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(said);
    }

    private static String cell(String line, int at, String value) {
        String[] cells = line.split(",");
        cells[at] = value;
        return String.join(",", cells);
    }

    private static Survey.Occupant occupant(String id, double kw, int from, int to) {
        List<Double> day = new ArrayList<>();
        for (int h = 0; h < 24; h++) {
            day.add(h >= from && h < to ? kw : 0);
        }
        return new Survey.Occupant(id, id, "", day, "", null);
    }

    @Test
    void nothingIsLostBetweenRoofUsersAndGrid() {
        YearEnergy year = NOW.whole().year();
        List<Survey.Occupant> users = List.of(occupant("early", 40, 4, 11), occupant("late", 60, 12, 20));
        for (double limit : new double[] {0, 25, 1e9}) {
            MeterYear m =
                    MeterYear.of(year, users, EnergyStage.utcOffsetH(NOW.job().site()), limit);
            SelfUse all = m.together();
            assertThat(all.usedKwh() + all.exportedKwh() + all.curtailedKwh()).isCloseTo(year.kwh(), within(1e-6));
            assertThat(all.usedKwh() + all.importedKwh()).isCloseTo(all.demandKwh(), within(1e-6));
            assertThat(all.demandKwh()).isCloseTo(365 * (40 * 7 + 60 * 8), within(1e-6));
            // together they use at most what each would alone, and at least the more of the two
            double early = m.occupants().get(0).alone().usedKwh();
            double late = m.occupants().get(1).alone().usedKwh();
            assertThat(all.usedKwh()).isBetween(Math.max(early, late), early + late + 1e-6);
            assertThat(limit == 0 ? all.exportedKwh() : 0).isZero();
        }
        assertThat(MeterYear.of(year, List.of(), 0, 1e9).together().exportedKwh())
                .isCloseTo(year.kwh(), within(1e-6));
    }

    /** Pairs to the east and west of a job by themselves: the early user takes more of the eastern one. */
    @Test
    void theEarlyUserIsServedByTheEasternArray() {
        Map<String, Object> east = Map.of("azimuth", "90 deg");
        Map<String, Object> west = Map.of("azimuth", "270 deg");
        Survey.Occupant early = occupant("early", 1000, 4, 11);
        double[] used = new double[2];
        for (int i = 0; i < 2; i++) {
            Design d = Jobs.design(
                    "array.facing", i == 0 ? east : west, "roof.obstructions", List.of(), "array.tilt", "15 deg");
            used[i] = MeterYear.of(
                                    d.whole().year(),
                                    List.of(early),
                                    EnergyStage.utcOffsetH(d.job().site()),
                                    1e9)
                            .occupants()
                            .get(0)
                            .usedOfArray()
                            .get(0)
                    / d.whole().year().kwp();
        }
        assertThat(used[0]).isGreaterThan(1.1 * used[1]);
    }

    /** Noon by the clock of the tariff is eleven by standard time while summer time goes, and the readings begin in May. */
    @Test
    void readingsGoByTheClockOfTheTariff() {
        List<Double> kw = new ArrayList<>();
        for (int h = 0; h < Weather.HOURS; h++) {
            kw.add(h % 24 == 12 ? 1.0 : 0.0);
        }
        Survey.Year year = new Survey.Year("Europe/London", LocalDate.of(2023, 5, 10), 4, 9, kw);
        double[] hours = OccupantHours.of(new Survey.Occupant("o", "o", "", kw.subList(0, 24), "", year), 0);
        assertThat(Arrays.stream(hours).sum()).isEqualTo(365);
        assertThat(hours[14 * 24 + 12]).isEqualTo(1);
        assertThat(hours[14 * 24 + 11]).isZero();
        int june = (31 + 28 + 31 + 30 + 31 + 14) * 24;
        assertThat(hours[june + 11]).isEqualTo(1);
        assertThat(hours[june + 12]).isZero();
        // one day that is different is found at its own date, the leap day of 2024 left out
        List<Double> one = new ArrayList<>(Collections.nCopies(Weather.HOURS, 0.0));
        int march = 310;
        one.set(march * 24 + 5, 7.0);
        double[] found = OccupantHours.of(
                new Survey.Occupant(
                        "o",
                        "o",
                        "",
                        kw.subList(0, 24),
                        "",
                        new Survey.Year("UTC", LocalDate.of(2023, 5, 10), 4, 9, one)),
                0);
        LocalDate date = LocalDate.of(2023, 5, 10).plusDays(march + 1);
        assertThat(found[
                        (LocalDate.of(2025, date.getMonthValue(), date.getDayOfMonth())
                                                        .getDayOfYear()
                                                - 1)
                                        * 24
                                + 5])
                .isEqualTo(7);
    }
}
