package whipsaw.app.drawing;

import java.util.List;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.array.SolarTime;
import whipsaw.core.design.Design;
import whipsaw.core.job.ArrayChoice;
import whipsaw.core.job.Horizon;
import whipsaw.core.units.Show;

/**
 * The sun's path over the year at a site: azimuth across, elevation up, a line for the 21st of a month with its hours;
 * the window of the shortest day, and the line below which the sun puts a row into the shadow of the next.
 */
public final class SunPathDrawing {
    private static final int WIDTH = 640;
    private static final int HEIGHT = 300;
    private static final double LEFT = 34;
    private static final double BOTTOM = 268;
    private static final double PER_DEG_ACROSS = 2.2;
    private static final double PER_DEG_UP = 2.8;
    private static final double HALF_ACROSS_DEG = 135;

    /** Days of the months' 21sts that are drawn, with their names. */
    private record Line(int day, String name) {}

    private static final List<Line> LINES = List.of(
            new Line(21, "Jan, Nov"),
            new Line(52, "Feb, Oct"),
            new Line(80, "Mar, Sep"),
            new Line(111, "Apr, Aug"),
            new Line(141, "May, Jul"),
            new Line(172, "Jun"),
            new Line(355, "Dec"));

    private final Design design;
    private final double latitude;
    private final double longitude;
    private final double middleDeg;

    private SunPathDrawing(Design design) {
        this.design = design;
        this.latitude = design.job().site().latitude().si();
        this.longitude = design.job().site().longitude().si();
        this.middleDeg = latitude >= 0 ? 180 : 0;
    }

    /** The drawing. */
    public static String of(Design design) {
        return new SunPathDrawing(design).draw();
    }

    private String draw() {
        StringBuilder s = new StringBuilder("<svg class=\"sunpath\" role=\"img\" aria-label=\"Sun path at "
                + Show.number(latitude, 2) + " degrees latitude\" viewBox=\"0 0 " + WIDTH + " " + HEIGHT
                + "\" xmlns=\"http://www.w3.org/2000/svg\">");
        for (int e = 0; e <= 90; e += 15) {
            s.append("<path class=\"gridline\" d=\"M")
                    .append(at(-HALF_ACROSS_DEG, e))
                    .append("L")
                    .append(at(HALF_ACROSS_DEG, e))
                    .append("\"/>");
            text(s, LEFT - 6, y(e) + 4, "end", e + "°");
        }
        for (int a = -120; a <= 120; a += 30) {
            s.append("<path class=\"gridline\" d=\"M")
                    .append(at(a, 0))
                    .append("L")
                    .append(at(a, 90))
                    .append("\"/>");
            text(
                    s,
                    x(a),
                    BOTTOM + 16,
                    "middle",
                    Math.floorMod(Math.round(middleDeg + (latitude >= 0 ? a : -a)), 360) + "°");
        }
        LINES.forEach(l -> day(s, l));
        skyline(s);
        window(s);
        rows(s);
        return s.append("</svg>").toString();
    }

    private void day(StringBuilder s, Line line) {
        StringBuilder d = new StringBuilder();
        for (double h = 0; h <= 24; h += 0.25) {
            point(d, SolarTime.of(latitude, longitude, line.day(), h));
        }
        s.append("<path class=\"sunday\" d=\"").append(d).append("\"/>");
        for (int h = 4; h <= 20; h += 2) {
            SolarTime sun = SolarTime.of(latitude, longitude, line.day(), h);
            double a = across(sun);
            if (sun.elevationDeg() > 0 && Math.abs(a) < HALF_ACROSS_DEG) {
                s.append("<circle class=\"sunhour\" r=\"2.2\" cx=\"")
                        .append(x(a))
                        .append("\" cy=\"")
                        .append(y(sun.elevationDeg()))
                        .append("\"/>");
                if (h != 12 && (line.day() == 172 || line.day() == 355)) {
                    text(s, x(a) + 4, y(sun.elevationDeg()) - 4, "start", String.valueOf(h));
                }
            }
        }
        SolarTime noon = SolarTime.of(latitude, longitude, line.day(), 12);
        // lines close to each other are named on either side of noon
        boolean left = line.name().startsWith("Jan") || line.name().startsWith("May");
        double below = line.name().startsWith("May") ? 14 : -4;
        text(
                s,
                x(across(noon)) + (left ? -10 : 10),
                y(noon.elevationDeg()) + below,
                left ? "end" : "start",
                line.name());
    }

    private void window(StringBuilder s) {
        ArrayChoice array = design.job().array();
        int day = SolarTime.shortestDay(latitude);
        StringBuilder d = new StringBuilder();
        for (int i = 0; i <= 24; i++) {
            point(
                    d,
                    SolarTime.of(
                            latitude,
                            longitude,
                            day,
                            array.windowFrom() + (array.windowTo() - array.windowFrom()) * i / 24));
        }
        s.append("<path class=\"sunwindow\" d=\"").append(d).append("\"/>");
    }

    /** What hides the low sun, from end to end of the drawing. */
    private void skyline(StringBuilder s) {
        List<Horizon.Point> points = design.job().site().horizon();
        if (points.isEmpty()) {
            return;
        }
        StringBuilder d = new StringBuilder("M").append(at(-HALF_ACROSS_DEG, 0));
        for (double a = -HALF_ACROSS_DEG; a <= HALF_ACROSS_DEG; a += 1) {
            d.append("L").append(at(a, Horizon.elevationDeg(points, middleDeg + (latitude >= 0 ? a : -a))));
        }
        s.append("<path class=\"skyline\" d=\"")
                .append(d)
                .append("L")
                .append(at(HALF_ACROSS_DEG, 0))
                .append("Z\"/>");
    }

    /** Elevation below which the row in front, or the other side of the valley, shades the next, by azimuth. */
    private void rows(StringBuilder s) {
        ArrayLayout layout = design.layout();
        if (layout.modules().isEmpty()) {
            return;
        }
        double clear = layout.gapM() + (layout.pairs() == null ? 0 : layout.depthM());
        double profile = Math.atan2(layout.highEdgeM() - layout.lowEdgeM(), clear);
        for (int side = 0; side < (layout.pairs() == null ? 1 : 2); side++) {
            StringBuilder d = new StringBuilder();
            for (double off = -89; off <= 89; off += 2) {
                double azimuth = layout.facingDeg() + 180 * side + off;
                double up = Math.toDegrees(Math.atan(Math.tan(profile) * Math.cos(Math.toRadians(off))));
                point(d, new SolarTime(0, 12, azimuth, Math.max(up, 1e-3)));
            }
            s.append("<path class=\"rowlimit\" d=\"").append(d).append("\"/>");
        }
    }

    private void point(StringBuilder d, SolarTime sun) {
        double a = across(sun);
        if (sun.elevationDeg() <= 0 || Math.abs(a) > HALF_ACROSS_DEG) {
            return;
        }
        boolean far = d.length() > 0 && Math.abs(a - last) > 90;
        d.append(d.length() == 0 || far ? "M" : "L").append(at(a, sun.elevationDeg()));
        last = a;
    }

    private double last;

    /** Azimuth from the equator's side, growing with the time of the day. */
    private double across(SolarTime sun) {
        double off = ((sun.azimuthDeg() - middleDeg + 540) % 360 + 360) % 360 - 180;
        return latitude >= 0 ? off : -off;
    }

    private static double x(double across) {
        return Math.round(10 * (LEFT + (across + HALF_ACROSS_DEG) * PER_DEG_ACROSS)) / 10.0;
    }

    private static double y(double up) {
        return Math.round(10 * (BOTTOM - up * PER_DEG_UP)) / 10.0;
    }

    private static String at(double across, double up) {
        return x(across) + " " + y(up);
    }

    private static void text(StringBuilder s, double x, double y, String anchor, String words) {
        s.append("<text x=\"")
                .append(x)
                .append("\" y=\"")
                .append(y)
                .append("\" text-anchor=\"")
                .append(anchor)
                .append("\">")
                .append(Svg.escape(words))
                .append("</text>");
    }
}
