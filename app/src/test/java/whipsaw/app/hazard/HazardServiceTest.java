package whipsaw.app.hazard;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.microsoft.playwright.Page;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import whipsaw.app.OwnServer;
import whipsaw.app.ServedTest;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.job.JobService;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.Site;
import whipsaw.core.site.StandInHazard;

/** Site values from the stand-in and from an address; taken on the bench, marked as assumed. */
@OwnServer
class HazardServiceTest extends ServedTest {
    private static final Site SITE =
            JobReader.read(Seeds.demoJob(), false).job().site();

    private static HttpServer answering(int status, String body, List<String> asked) throws IOException {
        HttpServer server = HttpServer.create(new InetSocketAddress("127.0.0.1", 0), 0);
        server.createContext("/", exchange -> {
            asked.add(exchange.getRequestURI().getQuery());
            byte[] bytes = body.getBytes(StandardCharsets.UTF_8);
            exchange.sendResponseHeaders(status, bytes.length);
            exchange.getResponseBody().write(bytes);
            exchange.close();
        });
        server.start();
        return server;
    }

    private static String address(HttpServer server) {
        return "http://127.0.0.1:" + server.getAddress().getPort() + "/values";
    }

    @Test
    void anotherAddressIsAskedForThePlace() throws IOException {
        List<String> asked = new ArrayList<>();
        HttpServer server =
                answering(200, "{\"source\":\"Maps (invented)\",\"windMps\":48.5,\"snowPa\":1200,\"sds\":0.4}", asked);
        try {
            var values = new HazardService(address(server)).at(SITE);
            assertThat(values).isEqualTo(new StandInHazard.Values("Maps (invented)", 48.5, 1200, 0.4));
            assertThat(asked).singleElement().satisfies(q -> assertThat(q)
                    .contains("family=asce", "latitude=39.6", "riskCategory=II", "edition=7-16"));
        } finally {
            server.stop(0);
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "500|{}|status 500",
                "200|wind 50|no JSON object",
                "200|{\"windMps\":\"50\",\"snowPa\":1}|windMps as 50",
                "200|{\"windMps\":50,\"snowPa\":-1}|snowPa as -1",
                "200|{\"windMps\":50,\"snowPa\":1,\"sds\":9}|sds as 9"
            })
    void whatMakesNoSenseIsRefusedInWords(int status, String body, String words) throws IOException {
        HttpServer server = answering(status, body, new ArrayList<>());
        try {
            assertThatThrownBy(() -> new HazardService(address(server)).at(SITE))
                    .isInstanceOfSatisfying(
                            JobService.Refused.class,
                            e -> assertThat(e.problems().get(0).message()).contains(words));
        } finally {
            server.stop(0);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "not an address,is no http address",
        "ftp://127.0.0.1/x,is no http address",
        "http://127.0.0.1:1/x,does not answer"
    })
    void anAddressThatIsNoneIsRefusedInWords(String address, String words) {
        assertThatThrownBy(() -> new HazardService(address).at(SITE))
                .isInstanceOfSatisfying(JobService.Refused.class, e -> {
                    assertThat(e.problems().get(0).message()).contains(words);
                    assertThat(e.problems().get(0).value()).doesNotContain("/x");
                });
    }

    /** A key in the address is in no message, and an answer that only drips is given up. */
    @Test
    void anAnswerThatDripsIsGivenUpAndTheKeyOfTheAddressIsNotTold() throws IOException {
        HttpServer server = HttpServer.create(new InetSocketAddress("127.0.0.1", 0), 0);
        server.createContext("/", exchange -> {
            exchange.sendResponseHeaders(200, 0);
            try (var out = exchange.getResponseBody()) {
                for (int i = 0; i < 600; i++) {
                    out.write(' ');
                    out.flush();
                    java.util.concurrent.TimeUnit.MILLISECONDS.sleep(50);
                }
            } catch (IOException e) {
                // the one who asked has gone
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        });
        server.start();
        try {
            assertThatThrownBy(() -> new HazardService(address(server) + "?key=s3cret").at(SITE))
                    .isInstanceOfSatisfying(JobService.Refused.class, e -> {
                        assertThat(e.problems().get(0).message()).contains("end of its answer");
                        assertThat(e.problems().toString())
                                .doesNotContain("s3cret")
                                .contains("127.0.0.1");
                    });
        } finally {
            server.stop(0);
        }
    }

    @Test
    void theStandInIsTheSameEveryTimeAndRisesWithTheRisk() {
        var one = StandInHazard.at(false, 40, -90, 200, "II");
        assertThat(StandInHazard.at(false, 40, -90, 200, "II")).isEqualTo(one);
        assertThat(StandInHazard.at(false, 40, -90, 200, "IV").windMps()).isGreaterThan(one.windMps());
        for (int lat = -60; lat <= 70; lat += 5) {
            for (int lon = -180; lon <= 180; lon += 15) {
                var asce = StandInHazard.at(false, lat, lon, 300, "II");
                var en = StandInHazard.at(true, lat, lon, 300, "");
                assertThat(asce.windMps()).isBetween(40.0, 60.0);
                assertThat(asce.sds()).isBetween(0.0, 1.3);
                assertThat(en.windMps()).isBetween(20.0, 30.0);
                assertThat(en.snowPa()).isBetween(0.0, 2000.0);
                assertThat(en.sds()).isNaN();
            }
        }
    }

    @Test
    void valuesAreShownBeforeTheyAreTakenAndAreMarkedAsAssumed() {
        String slug = server.bean(JobService.class)
                .create(JobReader.read(Seeds.newJob("asce"), false).job());
        try (Page page = page()) {
            openBench(page, slug);
            page.locator("details[data-section=site]").evaluate("d => d.open = true");
            page.locator("#look-up-site").click();
            assertThat(page.locator("#site-values")).containsText("stand-in (invented values)");
            assertThat(page.locator("#bench")).hasAttribute("data-revision", "1");
            page.locator("#site-values button").click();
            assertThat(page.locator("#bench")).hasAttribute("data-revision", "2");
        }
        Site site = server.bean(JobService.class).open(slug).design().job().site();
        assertThat(site.wind().assumed()).isTrue();
        assertThat(site.snow().assumed()).isTrue();
        assertThat(((Site.AsceSite) site.code()).sds()).isBetween(0.0, 1.3);
    }
}
