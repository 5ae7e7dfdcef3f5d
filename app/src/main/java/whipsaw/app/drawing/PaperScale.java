package whipsaw.app.drawing;

import org.locationtech.jts.geom.Envelope;

/** A round drawing scale that fits the printed width. */
public record PaperScale(int oneTo, double widthMm, double heightMm) {
    private static final double WIDEST_MM = 178;
    private static final double HIGHEST_MM = 165;
    private static final int[] SCALES = {
        50, 100, 125, 150, 200, 250, 300, 400, 500, 600, 750, 1000, 1250, 1500, 2000, 2500, 5000
    };

    public static PaperScale of(Envelope extent) {
        int scale = SCALES[SCALES.length - 1];
        for (int candidate : SCALES) {
            if (extent.getWidth() * 1000 / candidate <= WIDEST_MM
                    && extent.getHeight() * 1000 / candidate <= HIGHEST_MM) {
                scale = candidate;
                break;
            }
        }
        return new PaperScale(scale, extent.getWidth() * 1000 / scale, extent.getHeight() * 1000 / scale);
    }
}
