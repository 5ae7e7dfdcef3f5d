package whipsaw.app.drawing;

import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Polygon;
import whipsaw.core.design.Design;
import whipsaw.core.job.PinKinds;
import whipsaw.core.job.Survey;
import whipsaw.core.survey.NoWalk;
import whipsaw.core.survey.SightLines;
import whipsaw.core.units.Show;

/** What a visit pinned to the plan, where nobody may step, and the picture under it all. */
final class SurveyLayer {
    private final Design design;
    private final Svg svg;
    private final double textM;
    private final boolean paper;

    SurveyLayer(Design design, Svg svg, double textM, boolean paper) {
        this.design = design;
        this.svg = svg;
        this.textM = textM;
        this.paper = paper;
    }

    /** A picture lies under everything, on screen only. */
    void underlay() {
        Survey.Underlay u = design.job().survey().underlay();
        if (u == null || paper) {
            return;
        }
        // pixels count down from the upper left corner, which is where the picture is put and about which it is turned
        svg.raw("<g class=\"layer-underlay\" opacity=\"" + Show.number(u.opacityPct() / 100, 5)
                + "\"><g transform=\"translate("
                + Svg.u(u.x().si()) + " " + Svg.u(-u.y().si()) + ") rotate(" + Show.number(-u.turnDeg(), 5) + ") scale("
                + Show.number(u.metresPerPixel() * 100, 5) + ")\"><image id=\"underlay\" href=\"/pictures/"
                + Svg.escape(u.picture()) + "\" x=\"0\" y=\"0\" data-picture=\"" + Svg.escape(u.picture())
                + "\"/></g></g>");
    }

    void noWalk() {
        Geometry area = NoWalk.of(design.job(), design.plan());
        if (area.isEmpty()) {
            return;
        }
        svg.open("g", "class=\"layer-pins\"");
        svg.raw("<defs><pattern id=\"nowalk-hatch\" width=\"40\" height=\"40\" patternUnits=\"userSpaceOnUse\""
                + " patternTransform=\"rotate(-45)\"><path class=\"nowalkline\" d=\"M0 0V40\"/></pattern></defs>");
        for (int i = 0; i < area.getNumGeometries(); i++) {
            if (area.getGeometryN(i) instanceof Polygon p) {
                svg.path("class=\"nowalk\" fill=\"url(#nowalk-hatch)\"", ring(p));
            }
        }
        svg.close("g");
    }

    private static String ring(Polygon p) {
        Coordinate[] c = p.getExteriorRing().getCoordinates();
        return Svg.ring(java.util.Arrays.asList(c).subList(0, c.length - 1));
    }

    /** Legs of cable routes that have a place: lines along the plan, rises and drops as a circle with a cross. */
    void ways() {
        svg.open("g", "class=\"layer-pins\"");
        double r = textM * 0.35;
        List<Survey.Route> routes = design.job().survey().routes();
        for (Survey.Route route : routes) {
            for (int i = 0; i < route.legs().size(); i++) {
                Survey.LegPlace p = route.legs().get(i).place();
                if (p == null) {
                    continue;
                }
                Coordinate from = new Coordinate(p.x().si(), p.y().si());
                Coordinate to = p.toX() == null
                        ? from
                        : new Coordinate(p.toX().si(), p.toY().si());
                if (p.toX() == null) {
                    svg.raw("<circle class=\"way\" cx=\"" + Svg.u(from.x) + "\" cy=\"" + Svg.u(-from.y) + "\" r=\""
                            + Svg.u(r) + "\"/>");
                    svg.line("class=\"way\"", new Coordinate(from.x - r, from.y), new Coordinate(from.x + r, from.y));
                    svg.line("class=\"way\"", new Coordinate(from.x, from.y - r), new Coordinate(from.x, from.y + r));
                } else {
                    svg.line("class=\"way\"", from, to);
                }
                svg.text(
                        "class=\"facename\" text-anchor=\"middle\" font-size=\"" + Svg.u(textM * 0.7) + "\"",
                        (from.x + to.x) / 2,
                        (from.y + to.y) / 2 + r * 1.3,
                        "way " + (routes.indexOf(route) + 1) + ", leg " + (i + 1));
            }
        }
        svg.close("g");
    }

    void pins() {
        if (design.job().survey().pins().isEmpty()) {
            return;
        }
        svg.open("g", "class=\"layer-pins\"");
        double r = textM * 0.55;
        for (Survey.Pin pin : design.job().survey().pins()) {
            PinKinds.Kind kind = PinKinds.of(pin);
            double x = pin.x().si();
            double y = pin.y().si();
            String words = pin.kind() + (pin.note().isEmpty() ? "" : ": " + pin.note());
            svg.open(
                    "g",
                    "class=\"pin " + kind.group() + "\""
                            + (paper
                                    ? ""
                                    : " tabindex=\"0\" role=\"button\" data-x=\"" + Show.number(x, 4) + "\" data-y=\""
                                            + Show.number(y, 4) + "\" data-pin=\"" + Svg.escape(pin.id())
                                            + "\" aria-label=\"" + Svg.escape(words) + "\""));
            if (kind.group().equals("hazard")) {
                svg.path(
                        "class=\"pinbody\"",
                        "M" + Svg.point(new Coordinate(x, y + r * 1.3)) + "L"
                                + Svg.point(new Coordinate(x + r * 1.2, y - r * 0.8)) + "L"
                                + Svg.point(new Coordinate(x - r * 1.2, y - r * 0.8)) + "Z");
            } else if (kind.group().equals("access")) {
                PlanDrawing.rect(svg, "pinbody", x - r, y - r, 2 * r, 2 * r, 0);
            } else {
                svg.raw("<circle class=\"pinbody\" cx=\"" + Svg.u(x) + "\" cy=\"" + Svg.u(-y) + "\" r=\"" + Svg.u(r)
                        + "\"/>");
            }
            svg.text(
                    "class=\"pinmark\" text-anchor=\"middle\" font-size=\"" + Svg.u(textM * 0.8) + "\"",
                    x,
                    y - textM * (kind.group().equals("hazard") ? 0.34 : 0.28),
                    kind.mark());
            svg.close("g");
        }
        svg.close("g");
    }

    /** Where the array is seen, hatched, and which way each viewer stands; beyond the sheet by an arrow at its edge. */
    void seen(Envelope box) {
        if (design.job().survey().viewers().isEmpty()) {
            return;
        }
        svg.open("g", "class=\"layer-seen\"");
        svg.raw("<defs><pattern id=\"seen-hatch\" width=\"60\" height=\"60\" patternUnits=\"userSpaceOnUse\""
                + " patternTransform=\"rotate(30)\"><path class=\"seenline\" d=\"M0 0V60\"/></pattern></defs>");
        for (SightLines.View view : design.sight().views()) {
            for (int i = 0; i < view.visible().getNumGeometries(); i++) {
                if (view.visible().getGeometryN(i) instanceof Polygon p && !p.isEmpty()) {
                    svg.path("class=\"seenzone\" fill=\"url(#seen-hatch)\"", ring(p));
                }
            }
        }
        Coordinate middle = design.plan().outline().getCentroid().getCoordinate();
        for (Survey.Viewer v : design.job().survey().viewers()) {
            viewer(v, box, middle);
        }
        svg.close("g");
    }

    private void viewer(Survey.Viewer v, Envelope box, Coordinate middle) {
        double x = v.x().si();
        double y = v.y().si();
        double r = textM * 0.5;
        double inX = Math.max(box.getMinX() + r * 2, Math.min(box.getMaxX() - r * 2, x));
        double inY = Math.max(box.getMinY() + r * 2, Math.min(box.getMaxY() - r * 2, y));
        double away = Math.hypot(x - middle.x, y - middle.y);
        double ux = (x - middle.x) / away;
        double uy = (y - middle.y) / away;
        svg.raw("<circle class=\"viewer\" cx=\"" + Svg.u(inX) + "\" cy=\"" + Svg.u(-inY) + "\" r=\"" + Svg.u(r)
                + "\"/>");
        if (Math.hypot(inX - x, inY - y) > r) {
            svg.line(
                    "class=\"viewer\"",
                    new Coordinate(inX, inY),
                    new Coordinate(inX + ux * r * 2.4, inY + uy * r * 2.4));
        }
        boolean right = inX > middle.x;
        svg.text(
                "class=\"facename\" text-anchor=\"" + (right ? "end" : "start") + "\" font-size=\"" + Svg.u(textM * 0.8)
                        + "\"",
                inX + (right ? -r * 1.6 : r * 1.6),
                inY - textM * 0.25,
                v.name());
    }
}
