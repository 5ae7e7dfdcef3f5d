package whipsaw.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import whipsaw.app.ServedTest;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.job.JobService;
import whipsaw.core.job.DocumentPatch.Change;
import whipsaw.core.job.JobReader;

/** The page of energy: occupants against the roof, and a weather file taken, refused and taken out again. */
class EnergyFlowTest extends ServedTest {
    private String slug;

    @BeforeEach
    void aJob() {
        slug = server.bean(JobService.class)
                .create(JobReader.read(Seeds.newJob("asce"), false).job());
    }

    /** So many hours of a file with the same sun every day. */
    private static FilePayload file(double latitude, int hours) {
        LocalDate first = LocalDate.of(2025, 1, 1);
        Stream<String> head = Stream.concat(
                Stream.of("LOCATION,Farfield,,GBR,made up,1," + latitude + ",-88.5,-6.0,20"),
                Collections.nCopies(7, "HEADING").stream());
        Stream<String> body = IntStream.range(0, hours).mapToObj(h -> {
            LocalDate day = first.plusDays(h / 24);
            String[] cells = new String[35];
            Arrays.fill(cells, "0");
            cells[1] = String.valueOf(day.getMonthValue());
            cells[2] = String.valueOf(day.getDayOfMonth());
            cells[3] = String.valueOf(h % 24 + 1);
            cells[6] = "12.5";
            cells[13] = h % 24 > 8 && h % 24 < 15 ? "300" : "0";
            cells[15] = h % 24 > 8 && h % 24 < 15 ? "200" : "0";
            return String.join(",", cells);
        });
        String text = Stream.concat(head, body).collect(Collectors.joining("\r\n"));
        return new FilePayload("far.epw", "text/plain", text.getBytes(StandardCharsets.UTF_8));
    }

    private static void give(Page page, FilePayload file) {
        page.locator("input[name=upload]").setInputFiles(file);
        page.locator("#weather button").last().click();
    }

    @Test
    void aWeatherFileIsTakenRefusedAndTakenOut() {
        try (Page page = page()) {
            String address = server.address("/jobs/" + slug + "/energy");
            page.navigate(address);
            Locator first = page.locator(".keyfigures dd").first();
            String synthetic = first.innerText();
            give(page, file(51, 8759));
            assertThat(page.locator("main")).containsText("lacks 1 hours of the year");
            page.navigate(address);
            give(page, file(-34, 8760));
            assertThat(page.locator("main")).containsText("is of the other hemisphere");
            page.navigate(address);
            assertThat(first).hasText(synthetic);
            give(page, file(51, 8760));
            assertThat(page.locator("#weather")).containsText("Farfield, GBR (made up)");
            assertThat(page.locator(".leaf > .quiet")).containsText("km away");
            assertThat(first).not().hasText(synthetic);
            // six hours of sun a day, no more
            assertThat(page.locator(".hourgrid tbody tr").first().locator("td span"))
                    .hasText(IntStream.range(0, 24)
                            .mapToObj(h -> java.util.regex.Pattern.compile(h > 8 && h < 15 ? "\\d" : "^$"))
                            .toArray(java.util.regex.Pattern[]::new));
            page.locator("text=Remove the weather file").click();
            assertThat(first).hasText(synthetic);
        }
    }

    @Test
    void whatOccupantsUseIsNotExported() {
        JobService jobs = server.bean(JobService.class);
        List<Double> day = Collections.nCopies(24, 5000.0);
        try (Page page = page()) {
            page.navigate(server.address("/jobs/" + slug + "/energy"));
            Locator exported =
                    page.locator(".keyfigures div:has-text('Exported') dd").first();
            assertThat(exported).hasText(page.locator(".keyfigures dd").first().innerText());
            jobs.change(
                    slug,
                    jobs.open(slug).revision().number(),
                    List.of(new Change(
                            "append", "$.survey.occupants", Map.of("id", "o", "name", "Cold rooms", "kw", day))),
                    "Use");
            page.reload();
            assertThat(exported).hasText("0.0 MWh");
            assertThat(page.locator("main")).containsText("Cold rooms");
            assertThat(page.locator("main")).containsText("100 % of what is made");
            assertThat(jobs.open(slug).design().meterYear().together().exportedKwh())
                    .isZero();
        }
    }
}
