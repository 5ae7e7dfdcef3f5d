package whipsaw.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.junit.jupiter.api.Test;
import whipsaw.app.ServedTest;
import whipsaw.app.store.CatalogueStore;
import whipsaw.core.catalogue.ModuleType;
import whipsaw.core.job.JobReader;

/** Modules from a maker's own table: its columns mapped once and found again, units from the headings. */
class MappedImportFlowTest extends ServedTest {
    private static final List<String> HEADINGS = List.of(
            "Model",
            "Manufacturer",
            "Pmax [Wp]",
            "Length (in)",
            "Width (mm)",
            "Weight [kg]",
            "Voc [V]",
            "Vmp [V]",
            "Isc [A]",
            "Imp [A]",
            "Temp. coeff. Voc (%/°C)",
            "Temp. coeff. Pmax (%/°C)",
            "Max. series fuse [A]");

    /** A line of prices above the headings, decimal commas, semicolons between. */
    private static FilePayload csv(String... models) {
        StringBuilder text = new StringBuilder("Prices of autumn;;;\r\n" + String.join(";", HEADINGS) + "\r\n");
        for (String m : models) {
            text.append(m).append(";Marrowfield;500;82,5;1134;26,5;45,5;38,3;13,9;13,06;-0,25;-0,30;25\r\n");
        }
        text.append(";;;;;;;;;;;;\r\n");
        return new FilePayload("autumn.csv", "text/csv", text.toString().getBytes(StandardCharsets.UTF_8));
    }

    private static FilePayload workbook() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (Workbook book = new Workbook(out, "test", "1.0")) {
            Worksheet sheet = book.newWorksheet("Modules");
            for (int c = 0; c < HEADINGS.size(); c++) {
                sheet.value(0, c, HEADINGS.get(c));
            }
            sheet.value(1, 0, "SX 510");
            sheet.value(1, 1, "Marrowfield");
            double[] figures = {510, 82.5, 1134, 26.5, 45.9, 38.6, 14.0, 13.2, -0.25, -0.3, 25};
            for (int c = 0; c < figures.length; c++) {
                sheet.value(1, c + 2, figures[c]);
            }
        }
        return new FilePayload(
                "autumn.xlsx", "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet", out.toByteArray());
    }

    private static void give(Page page, FilePayload file) {
        Locator form = page.locator("form[action$=columns]");
        form.locator("input[type=file]").setInputFiles(file);
        form.locator("button").click();
    }

    private ModuleType module(String code) {
        return server.bean(CatalogueStore.class).ofKind("module").stream()
                .filter(e -> e.code().equals(code))
                .map(e -> (ModuleType) JobReader.readEntry("module", e.body()).job())
                .findFirst()
                .orElseThrow();
    }

    @Test
    void columnsAreMappedOnceAndFoundAgain() throws IOException {
        try (Page page = page()) {
            page.navigate(server.address("/catalogue/module"));
            give(page, csv("SX 500", "SX 505"));
            assertThat(page.locator("main")).containsText("2 lines to become modules");
            assertThat(page.locator("[name='u.length']")).hasValue("in");
            // the coefficient of power is none of voltage: nobody guesses it
            assertThat(page.locator("[name='h.vmpCoefficient']")).hasValue("");
            page.locator("text=Look at the entries").click();
            assertThat(page.locator("main")).containsText("vmpCoefficient");
            assertThat(page.locator("text=Take 2 entries")).hasCount(0);

            page.navigate(server.address("/catalogue/module"));
            give(page, csv("SX 500", "SX 505"));
            page.locator("[name='f.vmpCoefficient']").fill("-0.31 %/C");
            page.locator("[name=name]").fill("Marrowfield list");
            page.locator("text=Look at the entries").click();
            page.locator("text=Take 2 entries").click();
            assertThat(page.locator("main")).containsText("marrowfield-sx-505");
            ModuleType taken = module("marrowfield-sx-500");
            assertThat(taken.length().si()).isEqualTo(82.5 * 0.0254);
            assertThat(taken.power().si()).isEqualTo(500);
            assertThat(taken.vocCoefficient().si()).isEqualTo(-0.25);
            assertThat(taken.vmpCoefficient().si()).isEqualTo(-0.31);

            // a workbook with the same columns, by the mapping that was kept
            page.locator("[name=mapping]").selectOption("Marrowfield list");
            give(page, workbook());
            assertThat(page.locator("[name='f.vmpCoefficient']")).hasValue("-0.31 %/C");
            page.locator("text=Look at the entries").click();
            page.locator("text=Take 1 entry").click();
            assertThat(page.locator("main")).containsText("marrowfield-sx-510");
            assertThat(page.locator("text=Take 1 entry")).hasCount(0);
            assertThat(module("marrowfield-sx-510").voc().si()).isEqualTo(45.9);

            // a file that lacks one of its columns says so and guesses
            page.locator("[name=mapping]").selectOption("Marrowfield list");
            String other = new String(csv("SX 520").buffer, StandardCharsets.UTF_8).replace("Weight [kg]", "Kilos");
            give(page, new FilePayload("o.csv", "text/csv", other.getBytes(StandardCharsets.UTF_8)));
            assertThat(page.locator(".alertline")).containsText("no column Weight [kg]");
            page.navigate(server.address("/catalogue/module"));
            // a heading that is there twice can be chosen both times
            give(
                    page,
                    new FilePayload(
                            "t.csv", "text/csv", "Model;Voc [V];Voc [V]\nA;45;41\n".getBytes(StandardCharsets.UTF_8)));
            page.locator("[name='h.voc']").selectOption("Voc [V] #2");
            // and one that is no table at all is refused
            page.navigate(server.address("/catalogue/module"));
            give(page, new FilePayload("x.xlsx", "text/csv", new byte[] {'P', 'K', 3, 4, 9, 9, 9}));
            assertThat(page.locator("main")).containsText("Nothing was stored");
        }
    }
}
