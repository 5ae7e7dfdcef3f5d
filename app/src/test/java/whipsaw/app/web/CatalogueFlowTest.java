package whipsaw.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.LinkedHashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import whipsaw.app.OwnServer;
import whipsaw.app.ServedTest;
import whipsaw.app.catalogue.EntryColumns;
import whipsaw.app.store.CatalogueStore;

/** Adding to the catalogue by form and CSV, and taking an update into a job. */
@OwnServer
class CatalogueFlowTest extends ServedTest {
    private static final String MODULE_HEAD =
            "code,edition,maker,name,source,status,power,length,width,mass,voc,vmp,isc,imp,vocCoefficient,vmpCoefficient,largestFuse\n";

    private static CatalogueStore store() {
        return server.bean(CatalogueStore.class);
    }

    private static String module(String code, String mass) {
        return code + ",1,Testing,T module,tests,invented,500 W,2094 mm,1134 mm," + mass
                + ",45.5 V,38.3 V,13.9 A,13.06 A,-0.25 %/C,-0.32 %/C,25 A\n";
    }

    private static String preview(String kind, String csv) {
        return server.form("/catalogue/" + kind + "/preview", Map.of("csv", csv, "units", "metric"))
                .body();
    }

    private static String hidden(String page, String name) {
        int at = page.indexOf("name=\"" + name + "\" value=\"");
        return org.springframework.web.util.HtmlUtils.htmlUnescape(
                page.substring(at + name.length() + 15, page.indexOf("\"/>", at)));
    }

    @Test
    void aBlockIsTypedLookedAtMendedAndTaken() {
        Page page = page();
        page.navigate(server.address("/catalogue/block"));
        Map<String, String> typed = new LinkedHashMap<>(Map.of(
                "code",
                "kerb-20",
                "edition",
                "1",
                "maker",
                "Testing",
                "name",
                "kerb",
                "source",
                "weighed",
                "status",
                "unconfirmed"));
        typed.putAll(Map.of("mass", "20 stone", "length", "500", "width", "200", "height", "100"));
        Locator form = page.locator("form[action='/catalogue/block/preview']").first();
        typed.forEach((k, v) -> form.locator("input[name=" + k + "]").fill(v));
        form.locator("button").click();
        assertThat(page.locator("main")).containsText("mass: Mass (weighed): '20 stone' has the unit 'stone'");
        assertThat(page.locator("button:has-text('Take')")).hasCount(0);
        assertThat(form.locator("input[name=name]")).hasValue("kerb");
        form.locator("input[name=mass]").fill("5 kg");
        form.locator("button").click();
        assertThat(page.locator(".doubt")).containsText("density is 500 kg/m³");
        page.locator("button:has-text('Take 1 entry')").click();
        assertThat(page.locator("[role=alert]")).containsText("tick that the unlikely figures have been checked");
        assertThat(store().find("block", "kerb-20")).isEmpty();
        page.locator("input[name=checked]").check();
        page.locator("button:has-text('Take 1 entry')").click();
        assertThat(page.locator("main")).containsText("kerb-20");
        assertThat(store().find("block", "kerb-20").orElseThrow().own()).isTrue();
        page.navigate(server.address("/jobs/milepost-hall"));
        page.locator("[data-path='$.array.block']")
                .selectOption(new com.microsoft.playwright.options.SelectOption().setLabel("Testing kerb"));
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "2");
        page.close();
    }

    @Test
    void aCsvIsTakenWholeOrNotAtAll() {
        String mixed = MODULE_HEAD + module("good-1", "26 kg") + module("bad-1", "260 kg");
        String page = preview("module", mixed);
        assertThat(page)
                .contains("Nothing can be taken yet", "mass: Mass: &#39;260 kg&#39; is outside", "can be taken");
        String forced = server.form(
                        "/catalogue/module",
                        Map.of("rows", "[{\"code\":\"good-1\"}]", "units", "metric", "checked", "yes"))
                .body();
        assertThat(forced).contains("nothing was taken");
        assertThat(store().find("module", "good-1")).isEmpty();
        String good = preview("module", MODULE_HEAD + module("good-1", "26 kg") + module("good-2", "57 lb"));
        assertThat(good).contains("Take 2 entries");
        var taken =
                server.form("/catalogue/module", Map.of("rows", hidden(good, "rows"), "units", hidden(good, "units")));
        assertThat(taken.statusCode()).isEqualTo(302);
        assertThat(store().find("module", "good-2")).isPresent();
        assertThat(preview("module", MODULE_HEAD + module("good-2", "26 kg"))).contains("is in the catalogue already");
    }

    @Test
    void whatIsNoTableOfEntriesIsSaidWithTheColumns() {
        assertThat(preview("module", "code,colour\nx,red\n"))
                .contains("column &#39;colour&#39; is not known", "vocCoefficient");
        assertThat(preview("module", MODULE_HEAD + "a,b\n")).contains("line 2 has 2 cells, the header has 17");
        assertThat(preview("module", MODULE_HEAD)).contains("no line after the header");
        assertThat(preview("module", MODULE_HEAD + module("twice", "26 kg") + module("twice", "26 kg")))
                .contains("is there twice");
        assertThat(
                        preview(
                                "block",
                                "code,edition,maker,name,source,status,mass,length,width,height\nX Y,1,M,N,S,confirmed,9,200,200,100\n"))
                .contains("is not made of small letters", "given by a person to code tables");
    }

    @Test
    void everyKindComesOutAsCsvThatCanBeReadBack() {
        for (String kind : CatalogueController.KINDS.keySet()) {
            String csv = server.get("/catalogue/" + kind + ".csv").body();
            String next = csv.replaceAll("(?m)^([a-z0-9-]+),([0-9]+),", "$1,again-$2,");
            String page = preview(kind, next);
            assertThat(page).as(kind + next).contains("This would be taken").doesNotContain("✕");
            assertThat(csv.lines().findFirst().orElseThrow().split(",")).hasSameSizeAs(EntryColumns.of(kind));
        }
    }

    @Test
    void aNewEditionChangesNoJobUntilItIsTaken() {
        Page page = page();
        String csv = server.get("/catalogue/inverter.csv").body();
        String head = csv.lines().findFirst().orElseThrow();
        String line = csv.lines()
                .filter(l -> l.startsWith("bexhollow-20,"))
                .findFirst()
                .orElseThrow();
        String newer = line.replace("bexhollow-20,1,", "bexhollow-20,2,").replace("320 V", "300 V");
        String looked = preview("inverter", head + "\n" + newer + "\n");
        server.form("/catalogue/inverter", Map.of("rows", hidden(looked, "rows"), "units", "metric"));
        page.navigate(server.address("/jobs/ashwell-row-primary-school/parts"));
        Locator part = page.locator(".part", new Page.LocatorOptions().setHasText("BX 20"));
        assertThat(part).containsText("trackerLowest");
        assertThat(part).containsText("320 V");
        assertThat(part).containsText("300 V");
        assertThat(page.locator(".part", new Page.LocatorOptions().setHasText("LM 445")))
                .containsText("the same as in the catalogue");
        assertThat(server.get("/jobs/ashwell-row-primary-school/job.json").body())
                .contains("\"320 V\"");
        part.locator("text=Take this update").click();
        assertThat(page.locator(".part", new Page.LocatorOptions().setHasText("BX 20")))
                .containsText("Edition 2, the same");
        assertThat(server.get("/jobs/ashwell-row-primary-school/job.json").body())
                .contains("\"300 V\"")
                .doesNotContain("\"320 V\"");
        page.navigate(server.address("/jobs/ashwell-row-primary-school/revisions"));
        assertThat(page.locator("tbody tr").first()).containsText("Took edition 2 of Bexhollow BX 20");

        // another module is looked at before it is taken: what breaks, and what is delivered instead
        page.navigate(server.address("/jobs/ashwell-row-primary-school/parts"));
        Locator module = page.locator("form:has([name=kind][value=module])");
        module.locator("select").selectOption("larkmoor-545");
        module.locator("text=See what changes").click();
        assertThat(page.locator("main")).containsText("Modules, LM 545 half-cut");
        assertThat(page.locator("main tr", new Page.LocatorOptions().setHasText("Module fits the tray system")))
                .containsText("passes");
        page.locator("text=Swap it: one revision").click();
        assertThat(page.locator("#bench")).hasAttribute("data-revision", "3");
        assertThat(server.get("/jobs/ashwell-row-primary-school/job.json").body())
                .contains("larkmoor-545");
        // a system that does not take the module says so among its checks, and comes at its own nearest tilt
        page.navigate(
                server.address("/jobs/ashwell-row-primary-school/parts/swap?kind=tray-system&code=brackendown-tub"));
        assertThat(page.locator("main")).containsText("Set with it: tilt 12 deg");
        assertThat(page.locator("main tr", new Page.LocatorOptions().setHasText("Module fits the tray system")))
                .containsText("fails");
        page.close();
    }
}
