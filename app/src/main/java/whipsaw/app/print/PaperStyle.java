package whipsaw.app.print;

import java.util.Locale;
import whipsaw.app.drawing.PaperPens;
import whipsaw.app.drawing.PaperScale;
import whipsaw.app.drawing.PaperSize;
import whipsaw.app.job.JobService;
import whipsaw.core.working.DataStatus;

/**
 * The sheet of paper as CSS: its size, its margins with what stands on every page, and room for a
 * drawing to scale. Print from the page and the PDF of the server read the same text.
 *
 * @param paper size of the sheet
 * @param scale of the drawing, which also says whether its page lies on its side
 * @param headLeft head of every page, for example the job's name
 * @param headRight head of every page, for example the sheet's name
 * @param foot foot of every page: revision and status of the data
 */
public record PaperStyle(PaperSize paper, PaperScale scale, String headLeft, String headRight, String foot) {
    private static final double FOOT_MM = 14;
    private static final double HEAD_MM = 13;
    private static final double SIDE_MM = PaperScale.MARGIN_MM;

    /**
     * Of a job as it is shown.
     *
     * @param sheet name of the sheet
     * @param status of the data; null where that does not matter
     * @param standing whether it is signed, in words
     */
    public static PaperStyle of(
            JobService.Shown shown, PaperSize paper, String sheet, DataStatus status, String standing) {
        return new PaperStyle(
                paper,
                PaperScale.of(shown.design(), paper),
                shown.design().job().project().name(),
                sheet,
                "Revision " + shown.revision().number() + ", "
                        + shown.revision().at().substring(0, 10)
                        + (status == null ? "" : ". Data: " + status.words())
                        + ". " + standing);
    }

    public String css() {
        double drawingWide = scale.landscape() ? paper.longMm() : paper.shortMm();
        double drawingTall = scale.landscape() ? paper.shortMm() : paper.longMm();
        return page("", paper.shortMm(), paper.longMm())
                + page(" drawing", drawingWide, drawingTall)
                + ".drawingpage { page: drawing; width: " + mm(drawingWide - 2 * SIDE_MM) + "; }\n"
                + ".drawingbox { height: " + mm(drawingTall - HEAD_MM - FOOT_MM - 42) + "; }\n"
                + "@media screen { .paperpage { width: " + mm(paper.shortMm()) + "; } .drawingpage { width: "
                + mm(drawingWide) + "; } }\n"
                + PaperPens.at(scale);
    }

    private String page(String name, double widthMm, double heightMm) {
        return "@page" + name + " { size: " + mm(widthMm) + " " + mm(heightMm) + "; margin: " + mm(HEAD_MM) + " "
                + mm(SIDE_MM) + " " + mm(FOOT_MM) + " " + mm(SIDE_MM) + ";"
                + box("top-left", quoted(headLeft))
                + box("top-right", quoted(headRight))
                + box("bottom-left", quoted(foot))
                + box("bottom-right", "\"page \" counter(page) \" of \" counter(pages)")
                + " }\n";
    }

    private static String box(String place, String content) {
        return " @" + place + " { content: " + content
                + "; font-family: \"Barlow Semi Condensed\", \"DejaVu Sans Condensed\", sans-serif; font-size: 8pt; color: #000; }";
    }

    private static String mm(double value) {
        return String.format(Locale.ROOT, "%.1fmm", value);
    }

    /** A text as a CSS string: everything that is no plain letter, digit or space is escaped. */
    static String quoted(String text) {
        StringBuilder out = new StringBuilder("\"");
        text.codePoints().forEach(c -> {
            if (Character.isLetterOrDigit(c) && c < 128 || " .,:()-+".indexOf(c) >= 0) {
                out.appendCodePoint(c);
            } else if (c >= 32 && c != 127) {
                out.append('\\').append(Integer.toHexString(c)).append(' ');
            }
        });
        return out.append('"').toString();
    }
}
