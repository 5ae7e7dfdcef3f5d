package whipsaw.app.drawing;

import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.array.RowSpacing;
import whipsaw.core.design.Design;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/**
 * A section through three rows, to scale: the teeth of the saw, with the sun of the shortest day at
 * the governing end of the window and the shadow it throws. The roof is drawn level.
 */
public final class SectionDrawing {
    private static final double TEXT = 0.135;

    private SectionDrawing() {}

    public static String of(Design design) {
        ArrayLayout layout = design.layout();
        UnitSystem units = design.job().project().units();
        RowSpacing r = layout.spacing();
        boolean pairs = layout.pairs() != null;
        double ridge = pairs ? layout.pairs().input().ridgeGapM() : 0;
        double pitch = layout.pitchM();
        int shown = pairs ? 2 : 3;
        double wide = pairs ? 2 * layout.depthM() + ridge : layout.depthM();
        double low = layout.lowEdgeM();
        double high = layout.highEdgeM();
        double left = -0.9;
        double right = (shown - 1) * pitch + wide + 0.7;
        double top = high + 0.62;
        double bottom = -0.42;
        Svg svg = new Svg();
        svg.open(
                "svg",
                "class=\"section\" role=\"img\" aria-label=\""
                        + Svg.escape(words(design))
                        + "\" viewBox=\""
                        + Svg.u(left)
                        + " "
                        + Svg.u(-top)
                        + " "
                        + Svg.u(right - left)
                        + " "
                        + Svg.u(top - bottom)
                        + "\" xmlns=\"http://www.w3.org/2000/svg\"");
        svg.line("class=\"roofline\"", new Coordinate(left, 0), new Coordinate(right, 0));
        for (int i = 0; i < shown; i++) {
            double x = i * pitch;
            tooth(svg, x, low, x + layout.depthM(), high);
            if (pairs) {
                tooth(svg, x + wide, low, x + layout.depthM() + ridge, high);
            }
        }
        String text = "class=\"dimtext\" text-anchor=\"middle\" font-size=\"" + Svg.u(TEXT) + "\"";
        gap(svg, wide, layout, units, text);
        dimension(
                svg,
                0,
                pitch,
                -0.3,
                Show.in(units, Dimension.ROOF_LENGTH, pitch) + (pairs ? " pair to pair" : " row to row"),
                text);
        svg.text(
                text.replace("middle", "start"),
                left + 0.05,
                high + 0.42,
                "tilt "
                        + Show.number(r.input().tiltDeg(), 1)
                        + "°, upper edge "
                        + Show.both(units, Dimension.PART_LENGTH, high)
                        + " above the roof, facing "
                        + Show.number(layout.facingDeg(), 0)
                        + "°"
                        + (pairs ? " and " + Show.number((layout.facingDeg() + 180) % 360, 0) + "°" : ""));
        if (pairs) {
            lowSun(svg, layout, wide, pitch, text);
        } else if (r.shadeFree() && r.profileAngleDeg() < 90) {
            sun(svg, layout, r, pitch, text);
        }
        return svg.close("svg").toString();
    }

    private static void tooth(Svg svg, double lowX, double low, double highX, double high) {
        svg.line("class=\"leg\"", new Coordinate(lowX, 0), new Coordinate(lowX, low));
        svg.line("class=\"leg\"", new Coordinate(highX, 0), new Coordinate(highX, high));
        svg.line("class=\"tooth\"", new Coordinate(lowX, low), new Coordinate(highX, high));
    }

    /** The ray over a ridge that just reaches the low edge of the next pair. */
    private static void lowSun(Svg svg, ArrayLayout layout, double wide, double pitch, String text) {
        double limit = layout.pairs().shadeLimitDeg(layout.gapM());
        double tan = Math.tan(Math.toRadians(limit));
        double x = wide - layout.depthM();
        double reach = layout.depthM() + layout.gapM();
        svg.line(
                "class=\"ray\"",
                new Coordinate(x - 0.7, layout.highEdgeM() + 0.7 * tan),
                new Coordinate(x + reach, layout.highEdgeM() - reach * tan));
        svg.text(
                text.replace("middle", "start"),
                x + 0.1,
                layout.highEdgeM() + 0.2,
                "a face is in shade while the sun is below " + Show.number(limit, 1) + "° in section");
    }

    private static void gap(Svg svg, double from, ArrayLayout layout, UnitSystem units, String text) {
        String own = Show.in(units, Dimension.PART_LENGTH, layout.gapM());
        String other = Show.in(units.other(), Dimension.PART_LENGTH, layout.gapM());
        dimension(svg, from, from + layout.gapM(), -0.12, own + " [" + other + "]", text);
    }

    private static void dimension(Svg svg, double from, double to, double y, String words, String text) {
        svg.line("class=\"dim\"", new Coordinate(from, y), new Coordinate(to, y));
        for (double x : new double[] {from, to}) {
            svg.line("class=\"dim tick\"", new Coordinate(x - 0.03, y - 0.03), new Coordinate(x + 0.03, y + 0.03));
        }
        svg.text(text.replace("middle", "start"), to + 0.08, y - 0.04, words);
    }

    /** The governing ray over each upper edge, down to the roof or to the row behind. */
    private static void sun(Svg svg, ArrayLayout layout, RowSpacing r, double pitch, String text) {
        double tan = Math.tan(Math.toRadians(r.profileAngleDeg()));
        double high = layout.highEdgeM();
        for (int i = 0; i < 2; i++) {
            double x = i * pitch + layout.depthM();
            double reach = high / tan;
            double toLow = (high - layout.lowEdgeM()) / tan;
            svg.line(
                    "class=\"ray\"",
                    new Coordinate(x - 0.55, high + 0.55 * tan),
                    new Coordinate(x + Math.min(reach, layout.gapM()), high - Math.min(reach, layout.gapM()) * tan));
            svg.line("class=\"shadow\"", new Coordinate(x, 0), new Coordinate(x + Math.min(reach, layout.gapM()), 0));
            if (toLow > layout.gapM() + 1e-9) {
                // the shadow climbs the next row
                double slope = (high - layout.lowEdgeM()) / layout.depthM();
                double run = (high - layout.gapM() * tan - layout.lowEdgeM()) / (slope + tan);
                double start = x + layout.gapM();
                svg.line(
                        "class=\"shadow\"",
                        new Coordinate(start, layout.lowEdgeM()),
                        new Coordinate(start + run, layout.lowEdgeM() + slope * run));
            }
        }
        long minutes = Math.round(r.hour() * 60);
        svg.text(
                text.replace("middle", "start"),
                layout.depthM() - 0.5,
                high + 0.24,
                "shortest day, sun "
                        + Show.number(r.profileAngleDeg(), 1)
                        + "° in section at "
                        + String.format("%d:%02d", minutes / 60, minutes % 60)
                        + " solar time");
    }

    private static String words(Design design) {
        UnitSystem units = design.job().project().units();
        ArrayLayout layout = design.layout();
        boolean pairs = layout.pairs() != null;
        boolean free = pairs ? layout.pairs().shadeFree() : layout.spacing().shadeFree();
        double needed = pairs ? layout.pairs().valleyM() : layout.spacing().gapM();
        return (pairs ? "Section through two pairs: valley " : "Section through three rows: gap ")
                + Show.both(units, Dimension.PART_LENGTH, layout.gapM())
                + ", needed for no shadow in the window "
                + (free ? Show.both(units, Dimension.PART_LENGTH, needed) : "more than any gap");
    }
}
