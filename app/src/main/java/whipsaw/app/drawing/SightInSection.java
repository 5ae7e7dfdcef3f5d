package whipsaw.app.drawing;

import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.design.Design;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.section.CutLine;
import whipsaw.core.survey.SightLines;

/**
 * Lines of sight in a section: from the top of each parapet the cut crosses, up over the roof as a viewer looks over that
 * edge. What lies below such a line is hidden where the viewer looks through that stretch of the edge.
 */
final class SightInSection {
    private final CutLine cut;
    private final Svg svg;
    private final double textM;

    private SightInSection(CutLine cut, Svg svg, double textM) {
        this.cut = cut;
        this.svg = svg;
        this.textM = textM;
    }

    static void draw(Design design, CutLine cut, Svg svg, double textM, double topM) {
        SightInSection drawing = new SightInSection(cut, svg, textM);
        for (SightLines.View view : design.sight().views()) {
            for (SightLines.Over over : view.over()) {
                RoofPlan.Edge edge = design.plan().edges().get(over.edge() - 1);
                drawing.line(edge, over, view.viewer().name(), topM);
            }
        }
    }

    private void line(RoofPlan.Edge edge, SightLines.Over over, String name, double topM) {
        double length = cut.lengthM();
        double ux = (cut.b().x - cut.a().x) / length;
        double uy = (cut.b().y - cut.a().y) / length;
        // how fast the cut goes into the roof over this edge
        double inwards = -(ux * edge.normalX() + uy * edge.normalY());
        if (Math.abs(inwards) < 0.05) {
            return;
        }
        double toLine = (edge.from().x - cut.a().x) * edge.normalX() + (edge.from().y - cut.a().y) * edge.normalY();
        double at = toLine / -inwards;
        Coordinate crossing = new Coordinate(cut.a().x + ux * at, cut.a().y + uy * at);
        boolean onEdge = crossing.distance(edge.from()) + crossing.distance(edge.to()) < edge.lengthM() + 1e-6;
        if (at < 0 || at > length || !onEdge) {
            return;
        }
        double way = Math.signum(inwards);
        double rise = over.line().slope() * Math.abs(inwards);
        double parapet = over.line().parapetM();
        double room = way > 0 ? length - at : at;
        double reach = rise > 0 ? Math.min(room, Math.max(0, (topM - parapet) / rise)) : room;
        Coordinate far = new Coordinate(at + way * reach, parapet + rise * reach);
        svg.line("class=\"sightline\"", new Coordinate(at, parapet), far);
        svg.text(
                "class=\"dimtext\" text-anchor=\"" + (way > 0 ? "end" : "start") + "\" font-size=\""
                        + Svg.u(textM * 0.8) + "\"",
                far.x,
                far.y + textM * 0.2,
                "seen from " + name + " above this");
    }
}
