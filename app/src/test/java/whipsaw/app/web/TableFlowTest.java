package whipsaw.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.LinkedHashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import whipsaw.app.OwnServer;
import whipsaw.app.ServedTest;
import whipsaw.app.job.JobService;
import whipsaw.app.table.CodeTableService;
import whipsaw.core.working.DataStatus;

/** Replacing, confirming and withdrawing code tables, and what it does to jobs. */
@OwnServer
class TableFlowTest extends ServedTest {
    private static final String WIND = "asce_gcrn_nominal";

    private static CodeTableService tables() {
        return server.bean(CodeTableService.class);
    }

    private static int blocks(String slug) {
        return server.bean(JobService.class).open(slug).design().holdDown().blocks();
    }

    private static Map<String, String> table(String id, String csv) {
        return new LinkedHashMap<>(Map.of("id", id, "title", "", "source", "report 7", "edition", "2026", "csv", csv));
    }

    @Test
    void aTableIsReplacedInTheBrowserAndEveryJobFollows() {
        Page page = page();
        int before = blocks("milepost-hall");
        String csv = server.get("/tables/" + WIND + ".csv").body();
        page.navigate(server.address("/tables"));
        page.locator("a:has-text('Nominal net coefficients')").click();
        page.locator("form[action='/tables/preview'] textarea")
                .fill(csv.replace("low,0,5,1,500,0.4", "low,0,5,1,500,1.9"));
        page.locator("button:has-text('Look at it first')").click();
        assertThat(page.locator("main")).containsText("It cannot be taken");
        assertThat(page.locator("main")).containsText("row 2, column gcrn: 1.9 is more than 1.5");
        page.locator("textarea[name=csv]")
                .fill(csv.replace("low,0,5,1,500,0.4", "low,0,5,1,500,0.6")
                        .replace("high,15,35,1,500,0.45", "high,15,35,1,500,0.9"));
        page.locator("button:has-text('Look again')").click();
        assertThat(page.locator("main")).containsText("row 2, gcrn: 0.4 becomes 0.6");
        page.locator("input[name=who]").fill("J. Alder PE");
        page.locator("button:has-text('Put it in force')").click();
        assertThat(page.locator("main")).containsText("replace by J. Alder PE");
        assertThat(blocks("milepost-hall")).isGreaterThan(before);
        assertThat(server.bean(JobService.class).open("milepost-hall").design().checks())
                .anySatisfy(c -> {
                    assertThat(c.id()).isEqualTo("tables.changed");
                    assertThat(c.demand()).contains(WIND);
                });
        page.locator("form[action$='/withdraw'] input[name=who]").fill("J. Alder PE");
        page.locator("button:has-text('Withdraw')").click();
        assertThat(blocks("milepost-hall")).isEqualTo(before);
        page.close();
    }

    @Test
    void aTableIsConfirmedByNameAndTheJobsOnTheRestAreListed() {
        Page page = page();
        page.navigate(server.address("/tables/en_terrain"));
        assertThat(page.locator("main")).containsText("Ashwell Row Primary School");
        page.locator("form[action$='/confirm'] input[name=who]").fill("B. Rowan");
        page.locator("form[action$='/confirm'] input[name=against]").fill("EN 1991-1-4:2005 with A1:2010");
        page.locator("button:has-text('Confirm these figures')").click();
        assertThat(page.locator("h1 + p")).containsText("confirmed");
        assertThat(page.locator("h1 + p")).containsText("B. Rowan");
        assertThat(tables().tables().table("en_terrain").status()).isEqualTo(DataStatus.CONFIRMED);
        assertThat(page.locator("main")).containsText("No job.");
        page.navigate(server.address("/tables"));
        assertThat(page.locator("main")).containsText("Milepost Hall");
        assertThat(page.locator("main")).containsText("1 invented");
        // the figures are the same, so a stored job does not call the table changed
        assertThat(server.bean(JobService.class)
                        .open("ashwell-row-primary-school")
                        .design()
                        .checks())
                .noneMatch(c -> c.id().equals("tables.changed"));
        page.close();
    }

    @Test
    void aSetOfOnesOwnIsPutInAndUsedAndItsLimitsHold() {
        String csv = server.get("/tables/net_coefficients_fenmarsh.csv")
                .body()
                .replace("roof_height_m,4,25", "roof_height_m,4,4.5");
        Map<String, String> form = table("net_coefficients_low", csv);
        assertThat(server.form("/tables/preview", form).body()).contains("a new set");
        form.put("who", "B. Rowan");
        assertThat(server.form("/tables/net_coefficients_low", form).statusCode())
                .isEqualTo(302);
        String change =
                "{\"base\":%d,\"changes\":[{\"op\":\"set\",\"path\":\"$.site.coefficients\",\"value\":\"net_coefficients_low\"}]}";
        int base = server.bean(JobService.class)
                .open("ashwell-row-primary-school")
                .revision()
                .number();
        var answer = server.post("/jobs/ashwell-row-primary-school/change", String.format(change, base));
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(answer.body()).contains("roof height m at least 4, at most 4.5, not 4.6");
        server.post("/jobs/ashwell-row-primary-school/undo", "{}");
        server.form("/tables/net_coefficients_low/withdraw", Map.of("who", "B. Rowan"));
        assertThat(tables().tables().has("net_coefficients_low")).isFalse();
    }

    @Test
    void whatCannotBeTakenIsSaid() {
        String csv = server.get("/tables/en_terrain.csv").body();
        assertThat(server.form("/tables/preview", table("no_such", csv)).body()).contains("there is no table");
        assertThat(server.form("/tables/preview", table("net_coefficients_../x", csv))
                        .body())
                .contains("there is no table");
        assertThat(server.form("/tables/preview", table("net_coefficients_ok", csv))
                        .body())
                .contains("its columns are");
        assertThat(server.form("/tables/preview", table("en_terrain", "terrain\n\"open"))
                        .body())
                .contains("It cannot be taken");
        Map<String, String> nameless = table("en_terrain", csv);
        nameless.put("who", " ");
        assertThat(server.form("/tables/en_terrain", nameless).statusCode()).isEqualTo(422);
        Map<String, String> sourceless = table("en_terrain", csv);
        sourceless.put("source", "");
        assertThat(server.form("/tables/preview", sourceless).body()).contains("name the standard or report");
        assertThat(server.form("/tables/en_flat_roof/withdraw", Map.of("who", "B. Rowan"))
                        .statusCode())
                .isEqualTo(404);
        assertThat(server.form("/tables/en_flat_roof/confirm", Map.of("who", "B. Rowan", "against", ""))
                        .statusCode())
                .isEqualTo(422);
        assertThat(tables().own("en_flat_roof")).isNull();
        var invented = server.form(
                "/tables/net_coefficients_fenmarsh/confirm", Map.of("who", "B. Rowan", "against", "itself"));
        assertThat(invented.statusCode()).isEqualTo(409);
        assertThat(invented.body()).contains("nobody can confirm it");
    }
}
