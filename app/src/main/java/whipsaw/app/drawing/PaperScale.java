package whipsaw.app.drawing;

import org.locationtech.jts.geom.Envelope;

/** A round drawing scale that fits the printed width, and the line weights of the paper drawing. */
public record PaperScale(int oneTo, double widthMm, double heightMm) {
    private static final double WIDEST_MM = 178;
    private static final double HIGHEST_MM = 165;
    private static final int[] SCALES = {
        50, 100, 125, 150, 200, 250, 300, 400, 500, 600, 750, 1000, 1250, 1500, 2000, 2500, 5000
    };

    /**
     * Black line work that prints alike in colour and in black and white; widths are in roof
     * centimetres.
     */
    static final String STYLE =
            "<style>text{font-family:'Barlow Semi Condensed','DejaVu Sans Condensed',sans-serif;fill:#000}"
                    + ".outline{fill:none;stroke:#000;stroke-width:12}"
                    + ".parapet{fill:#999;stroke:#000;stroke-width:3}"
                    + ".dim{stroke:#000;stroke-width:3}.hatch{stroke:#aaa;stroke-width:3}"
                    + ".zone{stroke:#777;stroke-width:3}.flag{fill:#fff;stroke:#777;stroke-width:3}"
                    + ".grid{stroke:#555;stroke-width:3;stroke-dasharray:90 20 15 20}"
                    + ".setback{stroke:#000;stroke-width:3;stroke-dasharray:30 20}"
                    + ".modules{fill:#fff;stroke:#000;stroke-width:3}"
                    + ".walkway{fill:none;stroke:#000;stroke-width:2;stroke-dasharray:10 20}"
                    + ".clear{fill:#fff;stroke:#000;stroke-width:3;stroke-dasharray:20 15}"
                    + ".body{fill:#ddd;stroke:#000;stroke-width:6}.cross{stroke:#000;stroke-width:3}"
                    + ".acrun{fill:none;stroke:#000;stroke-width:12;stroke-dasharray:60 25}"
                    + ".inverter,.connection{fill:#fff;stroke:#000;stroke-width:8}"
                    + ".bar{fill:#000;stroke:#000;stroke-width:3}.open{fill:#fff}"
                    + ".north{fill:none;stroke:#000;stroke-width:6}.full{font-weight:bold}</style>";

    public static PaperScale of(Envelope extent) {
        int scale = SCALES[SCALES.length - 1];
        for (int candidate : SCALES) {
            if (extent.getWidth() * 1000 / candidate <= WIDEST_MM
                    && extent.getHeight() * 1000 / candidate <= HIGHEST_MM) {
                scale = candidate;
                break;
            }
        }
        return new PaperScale(
                scale, extent.getWidth() * 1000 / scale, extent.getHeight() * 1000 / scale);
    }
}
