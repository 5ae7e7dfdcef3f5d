package whipsaw.app.print;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import com.openhtmltopdf.util.XRLog;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.Context;
import org.thymeleaf.spring6.SpringTemplateEngine;

/** The job sheet as a PDF, from the same template as the printed page. */
@Component
public class SheetPdf {
    private static final String FAMILY = "Barlow Semi Condensed";
    private static final String FONTS = "/whipsaw/fonts/";

    /** Where a TrueType file counts its tables and lists them, and the tag of glyph substitution with one nobody reads. */
    private static final int TABLE_COUNT_AT = 4;

    private static final int DIRECTORY_AT = 12;
    private static final int DIRECTORY_ENTRY_BYTES = 16;
    private static final int GSUB = 0x47535542;
    private static final int UNNAMED = 0x4753554E;

    private final SpringTemplateEngine templates;

    public SheetPdf(SpringTemplateEngine templates) {
        this.templates = templates;
        XRLog.setLoggingEnabled(false);
    }

    /** The fonts as rules of a style sheet: the drawing of SVG knows no others. */
    private static String faces() {
        return face("BarlowSemiCondensed_400Regular.ttf", FAMILY, 400)
                + face("BarlowSemiCondensed_600SemiBold.ttf", FAMILY, 600)
                + face("DejaVuSansCondensed.ttf", "DejaVu Sans Condensed", 400);
    }

    private static String face(String file, String family, int weight) {
        return "@font-face { font-family: \"" + family + "\"; font-weight: " + weight + "; src: url(\""
                + SheetPdf.class.getResource(FONTS + file) + "\"); }\n";
    }

    /** A template as PDF on the paper of a style. */
    public byte[] render(String template, Map<String, Object> model, PaperStyle style) {
        Context context = new Context();
        context.setVariables(model);
        context.setVariable("pdf", true);
        context.setVariable("style", faces() + style.css());
        String html = templates.process(template, context);
        try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            PdfRendererBuilder builder = new PdfRendererBuilder();
            builder.useFastMode();
            font(builder, "BarlowSemiCondensed_400Regular.ttf", FAMILY, 400);
            font(builder, "BarlowSemiCondensed_600SemiBold.ttf", FAMILY, 600);
            font(builder, "BarlowSemiCondensed_600SemiBold.ttf", FAMILY, 700);
            font(builder, "DejaVuSansCondensed.ttf", "DejaVu Sans Condensed", 400);
            builder.useSVGDrawer(new BatikSVGDrawer());
            builder.withHtmlContent(html, SheetPdf.class.getResource("/static/").toString());
            builder.toStream(out);
            builder.run();
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void font(PdfRendererBuilder builder, String file, String family, int weight) {
        builder.useFont(() -> new ByteArrayInputStream(withoutLigatures(file)), family, weight, FontStyle.NORMAL, true);
    }

    /** The font with its substitutions unnamed: a ligature is a glyph without a letter, and no search finds its word. */
    private static byte[] withoutLigatures(String file) {
        try (InputStream in = SheetPdf.class.getResourceAsStream(FONTS + file)) {
            byte[] font = in.readAllBytes();
            ByteBuffer table = ByteBuffer.wrap(font);
            int tables = table.getShort(TABLE_COUNT_AT);
            for (int i = 0; i < tables; i++) {
                int at = DIRECTORY_AT + i * DIRECTORY_ENTRY_BYTES;
                if (table.getInt(at) == GSUB) {
                    table.putInt(at, UNNAMED);
                }
            }
            return font;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
