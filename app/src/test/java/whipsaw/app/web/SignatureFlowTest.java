package whipsaw.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import whipsaw.app.ServedTest;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.job.JobService;
import whipsaw.app.store.LaidStore;
import whipsaw.app.store.PenetrationStore;
import whipsaw.core.job.DocumentPatch.Change;
import whipsaw.core.job.JobReader;

/** A ballast map is signed and locked, laid and ticked by phone, changed and signed again; penetrations are logged. */
class SignatureFlowTest extends ServedTest {
    private final JobService jobs = server.bean(JobService.class);

    private static final List<Change> WINDIER = List.of(new Change("set", "$.site.wind", "27 m/s"));

    private String school() {
        return jobs.create(JobReader.read(Seeds.demoJobs().get(1), false).job());
    }

    private void sign(Page page, String slug, String licence) {
        page.navigate(server.address("/jobs/" + slug + "/signature"));
        page.locator("#sign [name=name]").fill("Rowan Pell");
        page.locator("#sign [name=licence]").fill(licence);
        page.locator("#sign textarea").fill("Survey of 3 November, drawings S-101 and S-102");
        page.locator("#sign button").click();
    }

    @Test
    void aSignedMapIsLockedUntilItIsOpenedAndThenNeedsANewSignature() {
        String slug = school();
        try (Page page = page()) {
            page.navigate(server.address("/jobs/" + slug + "/sheet?sheet=ballast"));
            assertThat(page.locator(".caution")).containsText("Preliminary, not for construction");
            sign(page, slug, "  ");
            assertThat(page.locator(".problems")).containsText("Licence");
            assertThat(jobs.open(slug).revision().number()).isEqualTo(1);
            sign(page, slug, "CEng 570112, London");
            assertThat(page.locator("#standing")).containsText("The map is locked");
            int signed = jobs.open(slug).revision().number();
            page.navigate(server.address("/jobs/" + slug + "/sheet?sheet=ballast"));
            assertThat(page.locator(".caution").first()).containsText("signed by Rowan Pell, CEng 570112, London");
            assertThat(page.locator(".caution").first()).not().containsText("Preliminary");
            assertThat(page.locator(".sign").first())
                    .containsText(LocalDate.now().toString());
            assertThat(server.get("/jobs/" + slug + "/plan.dxf").body()).contains("signed by Rowan Pell");

            // what says nothing of the map is free, what does is refused with what it would do
            jobs.change(slug, signed, List.of(new Change("set", "$.project.preparedBy", "B. Orme")));
            assertThatThrownBy(() -> jobs.change(slug, signed + 1, WINDIER))
                    .isInstanceOfSatisfying(
                            JobService.Refused.class,
                            e -> assertThat(e.problems().get(0).words()).contains("is locked", "blocks: add"));
            assertThat(jobs.open(slug).revision().number()).isEqualTo(signed + 1);

            page.navigate(server.address("/jobs/" + slug + "/signature"));
            page.locator("#open [name=name]").fill("B. Orme");
            page.locator("#open button").click();
            assertThat(page.locator("#standing")).containsText("Opened for changes by B. Orme");
            jobs.change(slug, signed + 1, WINDIER);
            page.reload();
            assertThat(page.locator("#standing")).containsText("Changed since it was signed");
            assertThat(page.locator("#changed")).containsText("add");
            page.navigate(server.address("/jobs/" + slug + "/sheet?sheet=ballast"));
            assertThat(page.locator(".caution").first()).containsText("needs a new signature");
            assertThat(page.locator("#mapchange tbody tr").first()).containsText("▲ add");
            page.navigate(server.address("/jobs/" + slug + "/sheet?sheet=ballast&revision=" + signed));
            assertThat(page.locator(".caution").first()).containsText("signed by Rowan Pell");

            sign(page, slug, "CEng 570112, London");
            assertThat(page.locator("#standing")).containsText("The map is locked");
            assertThatThrownBy(() -> jobs.goBack(slug, signed + 2, signed)).isInstanceOf(JobService.Refused.class);
            assertThatThrownBy(() -> jobs.step(slug, true, -1, true, null)).isInstanceOf(JobService.Refused.class);
            page.locator("#signatures summary").first().click();
            page.locator("#signatures [name=name]").first().fill("Rowan Pell");
            page.locator("#signatures [name=reason]").first().fill("the allowance was for another roof");
            page.locator("#signatures form button").first().click();
            assertThat(page.locator("#standing")).containsText("Changed since it was signed");
        }
    }

    @Test
    void aMapWithAFailingCheckIsNotSigned() {
        try (Page page = page()) {
            page.navigate(server.address("/jobs/milepost-hall/signature"));
            assertThat(page.locator("#obstacles")).containsText("fails");
            assertThat(page.locator("#sign")).hasCount(0);
        }
    }

    @Test
    void blocksAreTickedByPhoneAgainstTheSignedMap() {
        String slug = school();
        try (Page page = server.page(390, 844, faults)) {
            page.navigate(server.address("/jobs/" + slug + "/field?row=2"));
            assertThat(page.locator("#ticks")).hasCount(0);
            sign(page, slug, "CEng 570112, London");
            page.locator("#standing").waitFor();
            page.navigate(server.address("/jobs/" + slug + "/field?row=2"));
            page.locator("#laid-by").fill("Crew 2");
            Locator cells = page.locator(".cells.laid li");
            int positions = cells.count();
            cells.nth(0).locator("button").click();
            assertThat(cells.nth(0)).hasClass("as_map");
            assertThat(page.locator("#laid-by")).hasValue("Crew 2");
            // another count, with a photograph
            cells.nth(0).locator("a").click();
            int map = Integer.parseInt(cells.nth(0).locator("b").innerText());
            page.locator("[data-step='-1']").click();
            page.locator("#panel [name=upload]")
                    .setInputFiles(new FilePayload("p.png", "image/png", SurveySheetFlowTest.picture("png", 300, 200)));
            page.locator("[name=set]").click();
            assertThat(cells.nth(0)).hasClass("missing");
            assertThat(page.locator("#rowsum")).containsText("▼ 1 missing");
            cells.nth(1).locator("button").click();
            cells.nth(1).locator("a").click();
            page.locator("#panel [name=blocks]").fill("two");
            page.locator("[name=set]").click();
            assertThat(page.locator("#fieldalert")).containsText("is not a whole number from 0 to 200");
            page.locator("#panel [name=blocks]").fill("9");
            page.locator("[name=set]").click();
            assertThat(cells.nth(1)).hasClass("surplus");
            page.locator("[name=all]").click();
            assertThat(page.locator("#rowsum")).containsText(positions + " of " + positions);
            cells.nth(2).locator("a").click();
            page.locator("[name=clear]").click();
            assertThat(cells.nth(2)).hasClass("open");
            List<LaidStore.Laid> laid = server.bean(LaidStore.class).of(slug);
            assertThat(laid).hasSize(positions).allMatch(l -> l.by().equals("Crew 2"));
            assertThat(laid.get(0).blocks()).isEqualTo(map - 1);
            assertThat(laid.get(0).picture()).isNotEmpty();
            page.navigate(server.address("/jobs/" + slug + "/laid"));
            assertThat(page.locator("#told tbody tr")).hasCount(2);
            assertThat(page.locator(".laid-missing")).hasCount(1);
            assertThat(server.get("/jobs/" + slug + "/laid.csv").body()).contains("too many", "missing", "Crew 2");
        }
    }

    @Test
    void aPenetrationIsLoggedFlashedAndAccepted() {
        String slug = school();
        try (Page page = page()) {
            page.navigate(server.address("/jobs/" + slug + "/penetrations?place=3-2"));
            Locator enter = page.locator("#enter");
            enter.locator("[name=kind]").fill("anchor, bolt to the joist");
            enter.locator("[name=madeBy]").fill("Crew 2");
            enter.locator("[name=acceptedBy]").fill("Dell Roofing");
            enter.locator("[name=acceptedOn]").fill(LocalDate.now().toString());
            enter.locator("button").click();
            assertThat(page.locator(".problems")).containsText("comes after the flashing");
            page.goBack();
            enter.locator("[name=acceptedBy]").fill("");
            enter.locator("[name=acceptedOn]").fill("");
            enter.locator("button").click();
            assertThat(page.locator("#log tbody tr")).containsText("open: not flashed");
            page.locator("#log summary").click();
            page.locator("#log [name=flashedBy]").fill("Dell Roofing");
            page.locator("#log [name=flashedOn]").fill(LocalDate.now().toString());
            page.locator("#log form button").click();
            assertThat(page.locator("#log tbody tr")).containsText("waits for the roofer");
        }
        assertThat(server.bean(PenetrationStore.class).of(slug)).singleElement().satisfies(p -> {
            assertThat(p.place()).isEqualTo("3-2");
            assertThat(p.flashed().by()).isEqualTo("Dell Roofing");
            assertThat(p.accepted().is()).isFalse();
        });
        assertThat(server.get("/jobs/" + slug + "/penetrations.csv").body()).contains("anchor, bolt to the joist");
    }
}
