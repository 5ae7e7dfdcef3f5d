package whipsaw.core.survey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.DayOfWeek;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Map;
import java.util.function.ToDoubleFunction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import whipsaw.core.design.Jobs;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.JobWriter;
import whipsaw.core.job.Survey;

/** A year of readings by the clock of the tariff, whatever clock they were written by. */
class YearOfUseTest {
    private static final ZoneId LONDON = ZoneId.of("Europe/London");

    private static YearOfUse.How how(YearOfUse.Clock clock, boolean energy) {
        return new YearOfUse.How(LONDON, clock, false, energy, 4, 9);
    }

    /** Readings of a year from a UTC instant, written by a clock, their power by the London time they fall in. */
    private static String csv(
            String format, ZoneId clock, int minutes, double factor, ToDoubleFunction<ZonedDateTime> kw) {
        StringBuilder csv = new StringBuilder("time,kW\n");
        DateTimeFormatter f = DateTimeFormatter.ofPattern(format);
        ZonedDateTime at = LocalDateTime.of(2024, 12, 31, 23, 0).atZone(ZoneOffset.UTC);
        for (int i = 0; i < 367 * 24 * 60 / minutes; i++) {
            csv.append(f.format(at.withZoneSameInstant(clock)))
                    .append(',')
                    .append(kw.applyAsDouble(at.withZoneSameInstant(LONDON)) * factor)
                    .append('\n');
            at = at.plusMinutes(minutes);
        }
        return csv.toString();
    }

    private static double byHour(ZonedDateTime at) {
        boolean free = at.getDayOfWeek() == DayOfWeek.SATURDAY || at.getDayOfWeek() == DayOfWeek.SUNDAY;
        return free ? 1 : at.getHour() + (at.getMonthValue() >= 4 && at.getMonthValue() <= 9 ? 100 : 0);
    }

    @ParameterizedTest
    @CsvSource({
        "UTC, UTC, yyyy-MM-dd HH:mm",
        "STANDARD, UTC, yyyy-MM-dd HH:mm",
        "LOCAL, Europe/London, dd/MM/yyyy HH:mm",
        "LOCAL, America/Denver, yyyy-MM-dd'T'HH:mm:ssXXX"
    })
    void theTariffsHoursAreTheSameWhateverClockTheReadingsGoBy(YearOfUse.Clock clock, String zone, String format) {
        YearOfUse use = YearOfUse.read(csv(format, ZoneId.of(zone), 30, 1, YearOfUseTest::byHour), how(clock, false));
        assertThat(use.year().kw()).hasSize(8760);
        assertThat(use.filled()).isZero();
        assertThat(use.skipped()).isEqualTo(1);
        List<YearOfUse.Profile> profiles = YearOfUse.profiles(use.year());
        assertThat(profiles)
                .extracting(YearOfUse.Profile::words)
                .containsExactly("summer weekdays", "summer weekends", "winter weekdays", "winter weekends");
        assertThat(profiles.stream().mapToInt(YearOfUse.Profile::days).sum()).isEqualTo(365);
        for (int h = 0; h < 24; h++) {
            assertThat(profiles.get(0).kw().get(h)).isCloseTo(100 + h, within(1e-9));
            assertThat(profiles.get(1).kw().get(h)).isCloseTo(1, within(1e-9));
            // the hour that summer time skips lies on a Sunday
            assertThat(profiles.get(2).kw().get(h)).isCloseTo(h, within(1e-9));
        }
    }

    @Test
    void energyOfIntervalsIsPowerTimesTheirLength() {
        String kwh = csv("yyyy-MM-dd HH:mm", ZoneOffset.UTC, 15, 0.25, YearOfUseTest::byHour);
        String kw = csv("yyyy-MM-dd HH:mm", ZoneOffset.UTC, 60, 1, YearOfUseTest::byHour);
        Survey.Year byEnergy =
                YearOfUse.read(kwh, how(YearOfUse.Clock.UTC, true)).year();
        assertThat(byEnergy)
                .isEqualTo(YearOfUse.read(kw, how(YearOfUse.Clock.UTC, false)).year());
        assertThat(YearOfUse.typicalDay(byEnergy).stream().mapToDouble(k -> k).sum() * 365)
                .isCloseTo(byEnergy.kwh(), within(1.0));
    }

    @Test
    void gapsTakeTheMeanOfSuchHoursAndAreCountedAndAHoleIsRefused() {
        String whole = csv("yyyy-MM-dd HH:mm", ZoneOffset.UTC, 60, 1, YearOfUseTest::byHour);
        String gap = whole.replaceAll("(?m)^2025-01-1[0-4] .*\n", "");
        YearOfUse use = YearOfUse.read(gap, how(YearOfUse.Clock.UTC, false));
        assertThat(use.filled()).isEqualTo(5 * 24);
        assertThat(use.year())
                .isEqualTo(
                        YearOfUse.read(whole, how(YearOfUse.Clock.UTC, false)).year());
        String hole = whole.replaceAll("(?m)^2025-0[1-3].*\n", "");
        assertThatThrownBy(() -> YearOfUse.read(hole, how(YearOfUse.Clock.UTC, false)))
                .hasMessageContaining("at most a tenth");
    }

    @Test
    void aLeapDayIsLeftOutAndBadFilesSayWhy() {
        assertThat(YearOfUse.days(java.time.LocalDate.of(2024, 12, 31)).get(0))
                .isEqualTo(java.time.LocalDate.of(2024, 1, 1));
        assertThat(YearOfUse.tellsAYear("00:30,4\n01:30,5\n")).isFalse();
        assertThatThrownBy(() -> YearOfUse.read("13/25/2025 01:00,4\n", how(YearOfUse.Clock.LOCAL, false)))
                .hasMessageContaining("day/month/year");
        assertThatThrownBy(() -> YearOfUse.read("nothing\n", how(YearOfUse.Clock.LOCAL, false)))
                .hasMessageContaining("no reading");
    }

    @Test
    void theJobKeepsTheYearAsItWasReadAndRefusesHalfOfOne() {
        Survey.Year year = YearOfUse.read(
                        csv("yyyy-MM-dd HH:mm", ZoneOffset.UTC, 60, 1, YearOfUseTest::byHour),
                        how(YearOfUse.Clock.UTC, false))
                .year();
        Map<String, Object> occupant =
                Map.of("id", "o", "name", "Bakery", "kw", YearOfUse.typicalDay(year), "year", JobWriter.part(year));
        var job = Jobs.job("survey", Map.of("occupants", List.of(occupant)));
        assertThat(job.survey().occupants().get(0).year()).isEqualTo(year);
        assertThat(JobReader.read(JobWriter.write(job), false).job()).isEqualTo(job);
        Map<String, Object> half = new java.util.LinkedHashMap<>(occupant);
        half.put(
                "year",
                Map.of(
                        "zone",
                        "Nowhere/Here",
                        "from",
                        "2025-01-01",
                        "summerFrom",
                        4,
                        "summerTo",
                        9,
                        "days",
                        List.of("1 2")));
        var read = JobReader.read(Jobs.with(Jobs.document(), "survey", Map.of("occupants", List.of(half))), false);
        assertThat(read.problems())
                .extracting(p -> p.path())
                .anyMatch(p -> p.endsWith("zone"))
                .anyMatch(p -> p.endsWith("days"));
    }
}
