package whipsaw.app.drawing;

import java.util.function.IntFunction;
import org.locationtech.jts.geom.Envelope;
import whipsaw.core.design.Design;

/**
 * A round drawing scale that fits a sheet, upright or on its side, whichever shows more.
 *
 * @param landscape whether the sheet lies on its side
 */
public record PaperScale(int oneTo, double widthMm, double heightMm, boolean landscape) {
    /** Margins of the sheet and the frame. */
    public static final double MARGIN_MM = 10;

    /** Title block and the line that explains the drawing. */
    private static final double BLOCK_MM = 52;

    private static final double LEAST_COUNT_MM = 1.4;
    private static final int[] SCALES = {
        50, 75, 100, 125, 150, 200, 250, 300, 350, 400, 500, 600, 750, 1000, 1250, 1500, 2000, 2500, 5000
    };

    /** The scale of a design's plan, with text that keeps its height on the paper. */
    public static PaperScale of(Design design, PaperSize paper) {
        return of(scale -> PlanDrawing.extent(design, PlanDrawing.paperTextM(design, scale)), paper);
    }

    /**
     * @param extentAt what has to fit at a scale, in metres
     */
    static PaperScale of(IntFunction<Envelope> extentAt, PaperSize paper) {
        PaperScale upright = fit(extentAt, paper.shortMm(), paper.longMm(), false);
        PaperScale side = fit(extentAt, paper.longMm(), paper.shortMm(), true);
        if (side.oneTo() == upright.oneTo()) {
            return side.widthMm() > side.heightMm() ? side : upright;
        }
        return side.oneTo() < upright.oneTo() ? side : upright;
    }

    private static PaperScale fit(
            IntFunction<Envelope> extentAt, double paperWidthMm, double paperHeightMm, boolean landscape) {
        double widest = paperWidthMm - 2 * MARGIN_MM - 4;
        double highest = paperHeightMm - 2 * MARGIN_MM - BLOCK_MM;
        PaperScale last = null;
        for (int scale : SCALES) {
            Envelope extent = extentAt.apply(scale);
            last = new PaperScale(
                    scale, extent.getWidth() * 1000 / scale, extent.getHeight() * 1000 / scale, landscape);
            if (last.widthMm() <= widest && last.heightMm() <= highest) {
                return last;
            }
        }
        return last;
    }

    /** Whether the count of every single position can be read on the sheet. */
    public static boolean countsLegible(Design design, PaperSize paper) {
        double size = design.layout().depthM() * 0.92 * 1000;
        return size / of(design, paper).oneTo() >= LEAST_COUNT_MM;
    }
}
