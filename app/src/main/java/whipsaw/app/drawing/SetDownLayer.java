package whipsaw.app.drawing;

import whipsaw.core.design.Design;
import whipsaw.core.job.Structure;

/** Pallets and stacks set down while building: a crossed box with how many stand on each other. */
final class SetDownLayer {
    private SetDownLayer() {}

    static void draw(Design design, Svg svg, double textM) {
        var all = design.job().roof().fabric().structure().setDowns();
        if (all.isEmpty()) {
            return;
        }
        svg.open("g", "class=\"layer-setdowns\"");
        for (Structure.SetDown s : all) {
            double x = s.x().si();
            double y = s.y().si();
            double w = s.width().si();
            double h = s.depth().si();
            PlanDrawing.rect(svg, "setdown", x, y, w, h, 0);
            svg.path("class=\"setdown\"", "M" + Svg.u(x) + " " + Svg.u(-y) + "L" + Svg.u(x + w) + " " + Svg.u(-y - h));
            // its name reaches towards the middle of the roof, off the names of zones at the edges
            boolean left = x + w / 2 < design.plan().outline().getCentroid().getX();
            svg.text(
                    "class=\"setdownname\" text-anchor=\"" + (left ? "start" : "end") + "\" font-size=\""
                            + Svg.u(textM * 0.8) + "\"",
                    left ? x : x + w,
                    y + h + textM * 0.25,
                    s.name() + " ×" + s.high());
        }
        svg.close("g");
    }
}
