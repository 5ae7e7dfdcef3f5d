package whipsaw.app.drawing;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.IntFunction;
import org.locationtech.jts.geom.Envelope;
import whipsaw.core.design.Design;
import whipsaw.core.units.UnitSystem;

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
    private static final int INCHES_IN_A_FOOT = 12;
    private static final int[] METRIC_SCALES = {
        50, 75, 100, 125, 150, 200, 250, 300, 350, 400, 500, 600, 750, 1000, 1250, 1500, 2000, 2500, 5000
    };

    /** What is on an architect's and an engineer's scale in inches and feet, with the words for it. */
    private static final Map<Integer, String> US_SCALES = usScales();

    private static Map<Integer, String> usScales() {
        Map<Integer, String> scales = new LinkedHashMap<>();
        scales.put(48, "1/4 in = 1 ft");
        scales.put(64, "3/16 in = 1 ft");
        scales.put(96, "1/8 in = 1 ft");
        scales.put(128, "3/32 in = 1 ft");
        scales.put(192, "1/16 in = 1 ft");
        for (int feet : new int[] {20, 30, 40, 50, 60, 100, 200, 300, 400, 500}) {
            scales.put(feet * INCHES_IN_A_FOOT, "1 in = " + feet + " ft");
        }
        return scales;
    }

    private static int[] scales(UnitSystem units) {
        return units == UnitSystem.US
                ? US_SCALES.keySet().stream().mapToInt(Integer::intValue).toArray()
                : METRIC_SCALES;
    }

    /** The scale as a sheet of a job in these units says it. */
    public String words(UnitSystem units) {
        String ratio = "1 : " + oneTo;
        return units == UnitSystem.US ? US_SCALES.get(oneTo) + " (" + ratio + ")" : ratio;
    }

    /** The scale of a design's plan, with text that keeps its height on the paper. */
    public static PaperScale of(Design design, PaperSize paper) {
        return of(
                scale -> PlanDrawing.extent(design, PlanDrawing.paperTextM(design, scale)),
                paper,
                design.job().project().units());
    }

    /**
     * @param extentAt what has to fit at a scale, in metres
     */
    static PaperScale of(IntFunction<Envelope> extentAt, PaperSize paper, UnitSystem units) {
        PaperScale upright = fit(extentAt, paper.shortMm(), paper.longMm(), false, scales(units));
        PaperScale side = fit(extentAt, paper.longMm(), paper.shortMm(), true, scales(units));
        if (side.oneTo() == upright.oneTo()) {
            return side.widthMm() > side.heightMm() ? side : upright;
        }
        return side.oneTo() < upright.oneTo() ? side : upright;
    }

    private static PaperScale fit(
            IntFunction<Envelope> extentAt,
            double paperWidthMm,
            double paperHeightMm,
            boolean landscape,
            int[] scales) {
        double widest = paperWidthMm - 2 * MARGIN_MM - 4;
        double highest = paperHeightMm - 2 * MARGIN_MM - BLOCK_MM;
        PaperScale last = null;
        for (int scale : scales) {
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
