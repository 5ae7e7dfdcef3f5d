package whipsaw.app.drawing;

import java.util.List;
import java.util.Locale;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.design.Design;
import whipsaw.core.job.Obstruction;
import whipsaw.core.roof.RoofPlan;

/** Modules of an array by how much they are shaded: a step of tone for each, and its figure where there is room. */
public final class ShadeMap {
    /** More modules than that have no room for figures. */
    private static final int FIGURES = 1500;

    private ShadeMap() {}

    /**
     * @param values of every module by its index
     * @param steps from where each tone begins, rising; below the first a module is blank
     * @param words of the map for readers
     */
    public static String of(Design design, double[] values, double[] steps, String words) {
        Envelope box = new Envelope(design.plan().outline().getEnvelopeInternal());
        box.expandBy(Math.max(box.getWidth(), box.getHeight()) * 0.02);
        Svg svg = new Svg();
        svg.open(
                "svg",
                "class=\"stamp shademap" + (design.layout().modules().size() > FIGURES ? " many" : "")
                        + "\" role=\"img\" aria-label=\"" + Svg.escape(words) + "\" viewBox=\""
                        + Svg.u(box.getMinX()) + " " + Svg.u(-box.getMaxY()) + " " + Svg.u(box.getWidth()) + " "
                        + Svg.u(box.getHeight()) + "\" xmlns=\"http://www.w3.org/2000/svg\"");
        List<Coordinate> corners =
                design.plan().edges().stream().map(RoofPlan.Edge::from).toList();
        svg.path("class=\"outline\"", Svg.ring(corners));
        ArrayLayout layout = design.layout();
        StringBuilder[] tones = new StringBuilder[steps.length + 1];
        for (int i = 0; i < tones.length; i++) {
            tones[i] = new StringBuilder();
        }
        for (ArrayLayout.Module m : layout.modules()) {
            tones[tone(values[m.index()], steps)].append(
                    Svg.ring(List.of(layout.corners(m)).subList(0, 4)));
        }
        for (int i = 0; i < tones.length; i++) {
            if (!tones[i].isEmpty()) {
                svg.path("class=\"tone tone-" + i + "\"", tones[i].toString());
            }
        }
        for (Obstruction o : design.job().roof().obstructions()) {
            Coordinate[] c = RoofPlan.footprint(o).getCoordinates();
            svg.path("class=\"obstacle\"", Svg.ring(List.of(c).subList(0, c.length - 1)));
        }
        if (layout.modules().size() <= FIGURES) {
            figures(svg, layout, values, steps);
        }
        return svg.close("svg").toString();
    }

    private static void figures(Svg svg, ArrayLayout layout, double[] values, double[] steps) {
        double size = Math.min(layout.depthM() * 0.75, layout.alongM() * 0.5);
        for (ArrayLayout.Module m : layout.modules()) {
            if (tone(values[m.index()], steps) > 0) {
                Coordinate[] c = layout.corners(m);
                svg.text(
                        "font-size=\"" + Svg.u(size) + "\" text-anchor=\"middle\"",
                        (c[0].x + c[2].x) / 2,
                        (c[0].y + c[2].y) / 2 - size * 0.36,
                        value(values[m.index()]));
            }
        }
    }

    private static String value(double v) {
        return v < 9.95 ? String.format(Locale.ROOT, "%.1f", v) : String.valueOf(Math.round(v));
    }

    private static int tone(double value, double[] steps) {
        int tone = 0;
        while (tone < steps.length && value >= steps[tone]) {
            tone++;
        }
        return tone;
    }
}
