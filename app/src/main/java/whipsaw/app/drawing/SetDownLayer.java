package whipsaw.app.drawing;

import whipsaw.core.design.Design;
import whipsaw.core.job.Structure;

/** Pallets and stacks set down while building: a crossed box with how many stand on each other. */
final class SetDownLayer {
    private SetDownLayer() {}

    static void draw(Design design, Svg svg) {
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
        }
        svg.close("g");
    }

    /** Their names, each where a place beside it is free. */
    static void names(Design design, Svg svg, double textM, LabelRoom room) {
        svg.open("g", "class=\"layer-setdowns\"");
        for (Structure.SetDown s : design.job().roof().fabric().structure().setDowns()) {
            double x = s.x().si();
            double y = s.y().si();
            double w = s.width().si();
            double h = s.depth().si();
            // its name reaches towards the middle of the roof, where there is room for it
            boolean left = x + w / 2 < design.plan().outline().getCentroid().getX();
            String words = s.name() + " ×" + s.high();
            double size = textM * 0.8;
            for (int place = 0; place < 4; place++) {
                boolean start = left == place % 2 < 1;
                double at = start ? x : x + w;
                double base = place < 2 ? y + h + textM * 0.25 : y - textM * 0.85;
                if (room.takeIfFree(LabelRoom.text(at, base, size, words, start ? 0 : 1))) {
                    svg.text(
                            "class=\"setdownname\" text-anchor=\"" + (start ? "start" : "end") + "\" font-size=\""
                                    + Svg.u(size) + "\"",
                            at,
                            base,
                            words);
                    break;
                }
            }
        }
        svg.close("g");
    }
}
