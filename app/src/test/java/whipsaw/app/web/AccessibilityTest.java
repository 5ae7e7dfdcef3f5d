package whipsaw.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Page;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import whipsaw.app.ServedTest;

/** Every page against the rules of the accessibility checker, in both lights. */
class AccessibilityTest extends ServedTest {
    private static final String JOB = "/jobs/milepost-hall";

    /** Parts that are alike: of a table its first rows, of a sheet its first workings. */
    private static final List<String> ALIKE = List.of("tbody tr:nth-child(n+4)", ".work:nth-of-type(n+5)");

    /** Drawings are looked at on one page only: hundreds of parts alike cost time. */
    private static List<String> violations(Page page) {
        return violations(page, false);
    }

    private static List<String> violations(Page page, boolean drawing) {
        AxeBuilder axe = new AxeBuilder(page);
        // a list of several would be a way through frames
        ALIKE.forEach(part -> axe.exclude(List.of(part)));
        if (!drawing) {
            axe.exclude(List.of("svg"));
        }
        return violations(axe);
    }

    private static List<String> violations(AxeBuilder axe) {
        // one frame a page: no other window is needed
        return axe
                .setLegacyMode(true)
                .withTags(List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "best-practice"))
                .analyze()
                .getViolations()
                .stream()
                .flatMap(v -> v.getNodes().stream().map(n -> v.getId() + ": " + n.getHtml()))
                .toList();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/",
                JOB,
                JOB + "/sheet",
                JOB + "/sheet?sheet=engineer",
                JOB + "/working/page?figure=site.qh",
                JOB + "/list",
                JOB + "/field?row=5",
                JOB + "/field/tape",
                "/jobs/tannerby-bus-depot",
                "/jobs/overmere-parcel-shed/survey",
                "/jobs/overmere-parcel-shed/survey/blank",
                "/jobs/overmere-parcel-shed/field/survey?part=Electrical",
                JOB + "/revisions",
                JOB + "/compare?from=1&to=1",
                JOB + "/parts",
                JOB + "/hold-down",
                JOB + "/signature",
                JOB + "/penetrations",
                "/jobs/ashwell-row-primary-school/signature",
                JOB + "/options",
                JOB + "/energy",
                JOB + "/sun?lose=4",
                JOB + "/import",
                "/calc",
                "/calc/row_spacing",
                "/tables",
                "/tables/net_coefficients_fenmarsh",
                "/catalogue/module",
                "/catalogue/member",
                "/glossary",
                "/jobs/none"
            })
    void noRuleIsBroken(String path) {
        try (Page page = page()) {
            page.navigate(server.address(path));
            assertThat(violations(page, path.equals(JOB))).isEmpty();
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {JOB, JOB + "/field?row=5"})
    void whiteOnBlueCanBeReadToo(String path) {
        try (Page page = page()) {
            page.navigate(server.address(path));
            page.evaluate("document.documentElement.dataset.lamp = 'off'");
            assertThat(violations(page)).isEmpty();
        }
    }

    /** Parts that open later. */
    @Test
    void openedPartsBreakNoRuleEither() {
        try (Page page = page()) {
            page.navigate(server.address(JOB));
            page.locator("#checks li button").first().click();
            page.locator("#working article").waitFor();
            page.locator("#entry details").all().forEach(d -> d.evaluate("d => d.open = true"));
            page.locator("#as-list").click();
            page.locator("#planlist .twin").waitFor();
            page.locator(".menu summary").first().click();
            assertThat(violations(page)).isEmpty();
            page.keyboard().press("Escape");
            page.locator("[data-show-keys]").click();
            page.locator("#keys[open]").waitFor();
            assertThat(violations(new AxeBuilder(page).include(List.of("#keys"))))
                    .isEmpty();
        }
        try (Page phone = server.page(390, 844, faults)) {
            phone.navigate(server.address(JOB));
            assertThat(violations(phone)).isEmpty();
        }
        assertThat(faults).isEmpty();
    }
}
