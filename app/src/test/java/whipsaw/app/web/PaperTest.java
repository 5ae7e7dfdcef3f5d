package whipsaw.app.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Page;
import java.io.IOException;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import whipsaw.app.OwnServer;
import whipsaw.app.ServedTest;
import whipsaw.app.drawing.PaperSize;

/** What the server makes as PDF is what the browser prints. */
@OwnServer
class PaperTest extends ServedTest {
    private static final double POINT_MM = 25.4 / 72;

    private byte[] printed(String path) {
        try (Page page = page()) {
            page.navigate(server.address(path));
            page.evaluate("document.fonts.ready");
            if (page.locator(".drawingbox .counts text").count() > 0) {
                // 1.1 m of a module's depth at 1 : 500 or larger can be read
                assertThat(page.locator(".drawingbox .counts text").first().boundingBox().height)
                        .isGreaterThan(6);
            }
            // the drawing holds its letters as shapes in the PDF
            page.evaluate("document.querySelectorAll('svg text').forEach(t => t.remove())");
            return page.pdf(new Page.PdfOptions().setPreferCSSPageSize(true).setPrintBackground(true));
        }
    }

    private static Set<String> words(PDDocument pdf) throws IOException {
        Set<String> words = new TreeSet<>();
        // a word may be broken by the renderer where its letters are set apart
        for (String word : new PDFTextStripper().getText(pdf).split("[^\\p{L}\\p{N}]+")) {
            if (word.length() > 2) {
                words.add(word);
            }
        }
        return words;
    }

    @ParameterizedTest
    @CsvSource({
        "milepost-hall, job, tabloid",
        "milepost-hall, workings, letter",
        "milepost-hall, engineer, letter",
        "ashwell-row-primary-school, ballast, a3",
    })
    void thePrintOfThePageAndThePdfOfTheServerSayTheSame(String job, String sheet, PaperKey paper) throws IOException {
        String query = "?sheet=" + sheet + "&paper=" + paper;
        try (PDDocument own = Loader.loadPDF(server.bytes("/jobs/" + job + "/sheet.pdf" + query));
                PDDocument print = Loader.loadPDF(printed("/jobs/" + job + "/sheet" + query))) {
            Set<String> ours = words(own);
            Set<String> theirs = words(print);
            Set<String> missing = new TreeSet<>(ours);
            missing.removeAll(theirs);
            Set<String> more = new TreeSet<>(theirs);
            more.removeAll(ours);
            assertThat(missing.size() + more.size())
                    .as("only in the PDF %s, only in print %s", missing, more)
                    .isLessThan(ours.size() / 25 + 3);
            assertThat(print.getNumberOfPages()).isCloseTo(own.getNumberOfPages(), within(1));
            PaperSize size = PaperSize.valueOf(paper.name().toUpperCase(java.util.Locale.ROOT));
            for (PDDocument d : List.of(own, print)) {
                for (int i = 0; i < d.getNumberOfPages(); i++) {
                    double wide = d.getPage(i).getMediaBox().getWidth() * POINT_MM;
                    double tall = d.getPage(i).getMediaBox().getHeight() * POINT_MM;
                    assertThat(Math.min(wide, tall)).isCloseTo(size.shortMm(), within(0.7));
                    assertThat(Math.max(wide, tall)).isCloseTo(size.longMm(), within(0.7));
                    PDFTextStripper one = new PDFTextStripper();
                    one.setStartPage(i + 1);
                    one.setEndPage(i + 1);
                    assertThat(one.getText(d))
                            .contains("page " + (i + 1) + " of " + d.getNumberOfPages(), "Revision 1");
                }
            }
        }
        assertThat(faults).isEmpty();
    }

    @Test
    void wordsWithLigaturesAreFoundAndTheCrewGetsNoTableOfSources() throws IOException {
        try (PDDocument job = Loader.loadPDF(server.bytes("/jobs/milepost-hall/sheet.pdf?sheet=job"));
                PDDocument crew = Loader.loadPDF(server.bytes("/jobs/milepost-hall/sheet.pdf?sheet=ballast"))) {
            assertThat(new PDFTextStripper().getText(job))
                    .contains("fire", "fails", "classification", "DATA AND ITS STATUS");
            assertThat(new PDFTextStripper().getText(crew))
                    .contains("BALLAST MAP", "click and tug")
                    .doesNotContain("DATA AND ITS STATUS");
        }
    }

    /** Keys as they stand in an address. */
    enum PaperKey {
        a4,
        a3,
        letter,
        tabloid
    }

    @Test
    void theNameOfAJobCannotLeaveItsPlaceInTheMargins() {
        String made = server.post(
                        "/jobs/milepost-hall/change",
                        "{\"base\":1,\"changes\":[{\"op\":\"set\",\"path\":\"$.project.name\",\"value\":\"A\\\"; } body { display: none } <b>\"}]}")
                .body();
        assertThat(made).isNotBlank();
        String css = server.get("/jobs/milepost-hall/paper.css").body();
        assertThat(css).doesNotContain("\"; }").doesNotContain("<b>").contains("A\\22 \\3b  \\7d  body");
        server.post("/jobs/milepost-hall/undo", "{}");
    }

    @Test
    void unknownPaperAndSheetsAreRefusedInWords() {
        assertThat(server.get("/jobs/milepost-hall/sheet?paper=b5").body()).contains("a4, a3, letter, tabloid");
        assertThat(server.get("/jobs/milepost-hall/sheet.pdf?sheet=all").statusCode())
                .isEqualTo(422);
    }
}
