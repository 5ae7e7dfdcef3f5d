package whipsaw.app.drawing;

import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Polygon;
import whipsaw.core.design.Design;
import whipsaw.core.job.Footprint;
import whipsaw.core.job.Obstruction;
import whipsaw.core.job.ObstructionKinds;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.roof.ThingLine;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/** Outline, parapets, the set-back line and obstructions with what has to stay clear around them. */
final class RoofLayer {
    private final Design design;
    private final RoofPlan plan;
    private final UnitSystem units;
    private final Svg svg;
    private final double textM;
    private final boolean paper;

    RoofLayer(Design design, Svg svg, double textM, boolean paper) {
        this.design = design;
        this.plan = design.plan();
        this.units = design.job().project().units();
        this.svg = svg;
        this.textM = textM;
        this.paper = paper;
    }

    void roof() {
        svg.open("g", "class=\"layer-roof\"");
        List<Coordinate> corners =
                plan.edges().stream().map(RoofPlan.Edge::from).toList();
        svg.path("class=\"outline\"", Svg.ring(corners));
        for (RoofPlan.Edge e : plan.edges()) {
            if (e.parapetThicknessM() > 0) {
                svg.path("class=\"parapet\"", Svg.ring(List.of(e.parapet())));
            }
        }
        svg.close("g");
    }

    void setback() {
        if (!design.job().roof().takesTrays()) {
            return;
        }
        svg.open("g", "class=\"layer-setback\"");
        for (RoofPlan.Edge e : plan.edges()) {
            double keep = e.parapetThicknessM() + design.layout().setbackM();
            svg.line("class=\"setback\"", PlanDrawing.inwards(e.from(), e, keep), PlanDrawing.inwards(e.to(), e, keep));
        }
        svg.close("g");
    }

    void obstructions() {
        svg.open("g", "class=\"layer-obstructions\"");
        for (Obstruction o : design.job().roof().obstructions()) {
            double x = o.x().si();
            double y = o.y().si();
            double w = o.width().si();
            double h = o.depth().si();
            double c = ObstructionKinds.clearM(o);
            String handle = paper
                    ? ""
                    : " tabindex=\"0\" role=\"button\" data-obstruction=\""
                            + Svg.escape(o.id())
                            + "\" data-line=\""
                            + Svg.escape(ThingLine.of(o))
                            + "\" aria-label=\""
                            + Svg.escape(o.name())
                            + ", height "
                            + Svg.escape(Show.in(
                                    units, Dimension.ROOF_LENGTH, o.height().si()))
                            + ", "
                            + o.kind()
                            + ". Arrow keys move it.\"";
            svg.open("g", "class=\"obstruction\"" + handle);
            Polygon foot = RoofPlan.footprint(o);
            if (o.footprint().shape() == Footprint.Shape.RECTANGLE) {
                PlanDrawing.rect(svg, "clear", x - c, y - c, w + 2 * c, h + 2 * c, c);
                PlanDrawing.rect(svg, "body", x, y, w, h, 0);
            } else if (o.footprint().shape() == Footprint.Shape.CIRCLE) {
                circle("clear", x + w / 2, y + w / 2, w / 2 + c);
                PlanDrawing.rect(svg, "body box", x, y, w, w, 0);
                circle("shape", x + w / 2, y + w / 2, w / 2);
            } else {
                svg.path("class=\"clear\"", ring(RoofPlan.keptFree(o)));
                // scripts read the box of a thing; its shape lies in it
                PlanDrawing.rect(svg, "body box", x, y, w, h, 0);
                svg.path("class=\"shape\"", ring(foot));
            }
            if (!ObstructionKinds.fragile(o)) {
                if (o.footprint().shape() == Footprint.Shape.RECTANGLE) {
                    svg.line("class=\"cross\"", new Coordinate(x, y), new Coordinate(x + w, y + h));
                    svg.line("class=\"cross\"", new Coordinate(x, y + h), new Coordinate(x + w, y));
                }
            } else {
                svg.line("class=\"cross\"", new Coordinate(x + w / 2, y), new Coordinate(x + w / 2, y + h));
                svg.line("class=\"cross\"", new Coordinate(x, y + h / 2), new Coordinate(x + w, y + h / 2));
            }
            if (o.conduct().exhaust() != null) {
                exhaust(o, x + w / 2, y + h / 2);
            }
            double size = nameSize(o, textM);
            svg.text(
                    "class=\"name\" text-anchor=\"middle\" font-size=\"" + Svg.u(size) + "\"",
                    x + w / 2,
                    y - size * 0.95,
                    o.name());
            svg.close("g");
        }
        svg.close("g");
    }

    /** Height of the name of a thing: no wider than the place it keeps clear, as far as it can still be read. */
    static double nameSize(Obstruction o, double textM) {
        double wide = RoofPlan.footprint(o).getEnvelopeInternal().getWidth() + 2 * ObstructionKinds.clearM(o);
        return Math.max(0.3, Math.min(textM * 0.72, wide * 2 / (o.name().length() + 1)));
    }

    /** The way an exhaust drifts, as far as three times the text. */
    private void exhaust(Obstruction o, double x, double y) {
        double way = Math.toRadians(
                o.conduct().exhaust().si() - design.job().roof().upAzimuth().si());
        double reach = textM * 4;
        for (double off : new double[] {-0.3, 0, 0.3}) {
            svg.line(
                    "class=\"exhaust\"",
                    new Coordinate(x, y),
                    new Coordinate(x + Math.sin(way + off) * reach, y + Math.cos(way + off) * reach));
        }
    }

    private void circle(String kind, double x, double y, double r) {
        svg.raw("<circle class=\"" + kind + "\" cx=\"" + Svg.u(x) + "\" cy=\"" + Svg.u(-y) + "\" r=\"" + Svg.u(r)
                + "\"/>");
    }

    private static String ring(Polygon p) {
        Coordinate[] c = p.getExteriorRing().getCoordinates();
        return Svg.ring(List.of(c).subList(0, c.length - 1));
    }
}
