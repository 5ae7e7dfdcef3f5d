package whipsaw.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import whipsaw.app.ServedTest;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.job.JobService;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.design.Design;
import whipsaw.core.job.HandWork;
import whipsaw.core.job.JobReader;

/** An array worked on by hand on the drawing: places that take a module, rows moved, locked and broken. */
class HandWorkFlowTest extends ServedTest {
    private String slug;
    private Page page;

    private Design design() {
        return server.bean(JobService.class).open(slug).design();
    }

    private HandWork hand() {
        return design().job().array().byHand();
    }

    @SuppressWarnings("unchecked")
    private void click(double x, double y) {
        Map<String, Number> p = (Map<String, Number>) page.evaluate(
                "([x, y]) => { const p = new DOMPoint(x * 100, -y * 100).matrixTransform(document.getElementById('plan').getScreenCTM()); return {x: p.x, y: p.y}; }",
                List.of(x, y));
        page.mouse().click(p.get("x").doubleValue(), p.get("y").doubleValue());
    }

    private void revision(int number) {
        assertThat(page.locator("#titleblock .cell b").last()).hasText(String.valueOf(number));
    }

    @Test
    void modulesArePutInAndRowsAreMovedByHand() {
        slug = server.bean(JobService.class)
                .create(JobReader.read(Seeds.newJob("asce"), false).job());
        page = page();
        openBench(page, slug);
        ArrayLayout first = design().layout();
        // a module is left out, and its place found by key: walked to, and a module put in again
        ArrayLayout.Module m = first.modules().get(first.modules().size() / 2);
        var at = first.frame().plan(m.s() + first.alongM() / 2, m.t() + first.depthM() / 2);
        click(at.x, at.y);
        page.keyboard().press("Delete");
        revision(2);
        page.locator("details[data-section=array]").evaluate("d => d.open = true");
        page.locator("#put-in").click();
        assertThat(page.locator(".freeplaces .bears")).hasCount(1);
        int free = page.locator(".freeplaces .bears").getAttribute("d").split("Z").length;
        assertThat(page.locator(".told")).containsText(free + " free place");
        click(at.x, at.y);
        revision(3);
        assertThat(design().layout().modules()).isEqualTo(first.modules());
        page.keyboard().press("Escape");
        assertThat(page.locator(".freeplaces")).hasCount(0);

        // its row is shifted by a typed amount, locked, and broken
        click(at.x, at.y);
        page.locator("#picked >> text=row work").click();
        page.locator("#row-by").fill("6\"");
        page.locator("#picked [aria-label^='Shift the row left']").click();
        revision(4);
        assertThat(hand().shifted()).singleElement().satisfies(r -> assertThat(r.by().si())
                .isCloseTo(-6 * 0.0254, org.assertj.core.api.Assertions.within(1e-4)));
        page.locator("#picked [aria-label^='Lock the row']").click();
        revision(5);
        assertThat(page.locator(".lockmark")).hasCount(1);
        assertThat(page.locator("details[data-section=array]")).containsText("By hand: 1 row locked.");
        page.locator("#row-by").fill("wide");
        page.locator("#picked [aria-label^='Widen the gap']").click();
        assertThat(page.locator("#banner")).containsText("wide");
        page.locator("#row-by").fill("3 ft");
        page.locator("#picked [aria-label^='Widen the gap']").click();
        revision(6);
        assertThat(hand().breaks()).hasSize(1);
        // a row without a break is in line already, and that is said
        page.locator("details[data-section=array] [data-ask=clear-hand]").click();
        revision(7);
        assertThat(design().job().array().hand()).isNull();
        assertThat(design().layout().modules()).isEqualTo(first.modules());
    }
}
