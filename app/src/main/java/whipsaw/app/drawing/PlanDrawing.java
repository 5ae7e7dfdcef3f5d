package whipsaw.app.drawing;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.design.Design;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.job.Job;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/** The roof in plan, to scale, layer by layer: the same drawing on screen and on paper. */
public final class PlanDrawing {
    private final Design design;
    private final RoofPlan plan;
    private final ArrayLayout layout;
    private final UnitSystem units;
    private final boolean paper;
    private final boolean ownStyle;
    private final boolean brief;
    private final Set<Integer> changed;
    private final Svg svg = new Svg();
    private final double textM;

    private PlanDrawing(Design design, boolean paper, boolean ownStyle, boolean brief, List<Integer> changed) {
        this.design = design;
        this.plan = design.plan();
        this.layout = design.layout();
        this.units = design.job().project().units();
        this.paper = paper;
        this.ownStyle = ownStyle;
        this.brief = brief;
        this.changed = new HashSet<>(changed);
        this.textM = Math.max(0.5, plan.longSideM() / 55);
    }

    /** For the page: layers that can be switched, things that can be dragged. */
    public static String forScreen(Design design, List<Integer> changed) {
        return new PlanDrawing(design, false, false, false, changed).draw();
    }

    /**
     * For the page while something is dragged: without the strings, which nobody reads meanwhile, and
     * on a large roof with the counts that change only.
     */
    public static String forPreview(Design design, List<Integer> changed) {
        return new PlanDrawing(design, false, false, true, changed).draw();
    }

    /**
     * For paper: the same without handles.
     *
     * @param ownStyle whether the drawing brings its line weights along, for a reader that takes
     *     none from the page
     */
    public static String forPaper(Design design, boolean ownStyle) {
        return new PlanDrawing(design, true, ownStyle, false, List.of()).draw();
    }

    /** For comparing two revisions side by side: as on paper, with marks on what differs. */
    public static String forComparison(Design design, List<Integer> changed) {
        return new PlanDrawing(design, true, false, false, changed).draw();
    }

    /** What the drawing shows with its margin, in metres. */
    public static Envelope extent(Design design) {
        Envelope box = new Envelope(design.plan().outline().getEnvelopeInternal());
        for (Job.Corner c : design.job().electrical().run().points()) {
            box.expandToInclude(c.x().si(), c.y().si());
        }
        box.expandBy(Math.max(2.5, design.plan().longSideM() * 0.07));
        return box;
    }

    private String draw() {
        Envelope box = extent(design);
        String view = Svg.u(box.getMinX())
                + " "
                + Svg.u(-box.getMaxY())
                + " "
                + Svg.u(box.getWidth())
                + " "
                + Svg.u(box.getHeight());
        String size = paper
                ? "class=\"plan\" width=\""
                        + PaperScale.of(box).widthMm()
                        + "mm\" height=\""
                        + PaperScale.of(box).heightMm()
                        + "mm\" "
                : "class=\"plan\" id=\"plan\" tabindex=\"0\" role=\"application\""
                        + " aria-label=\"Roof plan. Arrow keys walk over the modules, Enter opens the working, plus and minus zoom, 0 fits.\" ";
        svg.open("svg", size + "viewBox=\"" + view + "\" xmlns=\"http://www.w3.org/2000/svg\"");
        if (ownStyle) {
            svg.raw("<style>" + paperStyle() + "</style>");
        }
        ZoneLayer zones = new ZoneLayer(design, svg, textM, paper);
        zones.patterns();
        roof();
        zones.shapes();
        bays();
        setback();
        ArrayLayer array = new ArrayLayer(design, svg, paper, brief, changed);
        array.modules();
        array.walkways();
        obstructions();
        CircuitLayer circuits = new CircuitLayer(design, svg, textM);
        if (!paper && !brief) {
            circuits.strings();
        }
        circuits.run();
        zones.names();
        if (!paper || !changed.isEmpty()) {
            marks();
        }
        if (!paper) {
            svg.raw(
                    "<path class=\"place\" id=\"place\" d=\"\"/><path class=\"cursor\" id=\"cursor\" d=\"\"/><g id=\"draft\"></g>");
        }
        scaleAndNorth(box);
        return svg.close("svg").toString();
    }

    /** Black line work that prints alike in colour and in black and white. */
    private static String paperStyle() {
        try (InputStream in = PlanDrawing.class.getResourceAsStream("/static/css/paper-drawing.css")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void roof() {
        svg.open("g", "class=\"layer-roof\"");
        List<Coordinate> corners =
                plan.edges().stream().map(RoofPlan.Edge::from).toList();
        svg.path("class=\"outline\"", Svg.ring(corners));
        for (RoofPlan.Edge e : plan.edges()) {
            if (e.parapetThicknessM() > 0) {
                double t = e.parapetThicknessM();
                svg.path(
                        "class=\"parapet\"",
                        Svg.ring(List.of(e.from(), e.to(), inwards(e.to(), e, t), inwards(e.from(), e, t))));
            }
            dimension(e);
        }
        svg.close("g");
    }

    static Coordinate inwards(Coordinate c, RoofPlan.Edge e, double by) {
        return new Coordinate(c.x - e.normalX() * by, c.y - e.normalY() * by);
    }

    /** A dimension line outside an edge, with ticks, the edge's number and its parapet. */
    private void dimension(RoofPlan.Edge e) {
        double off = textM * 1.2;
        Coordinate a = inwards(e.from(), e, -off);
        Coordinate b = inwards(e.to(), e, -off);
        svg.line("class=\"dim\"", a, b);
        double tick = textM * 0.35;
        for (Coordinate c : List.of(a, b)) {
            svg.line(
                    "class=\"dim tick\"",
                    new Coordinate(c.x - tick, c.y - tick),
                    new Coordinate(c.x + tick, c.y + tick));
        }
        double angle = readable(Math.toDegrees(Math.atan2(-(b.y - a.y), b.x - a.x)));
        Coordinate at =
                inwards(new Coordinate((a.x + b.x) / 2, (a.y + b.y) / 2), e, -textM * (upsideOf(e) ? 0.35 : 1.05));
        String words = "edge " + e.number() + "  " + Show.in(units, Dimension.ROOF_LENGTH, e.lengthM());
        if (e.parapetHeightM() > 0) {
            words += "  parapet " + Show.in(units, Dimension.ROOF_LENGTH, e.parapetHeightM());
        }
        if (e.lengthM() < textM * 9) {
            words = String.valueOf(e.number());
        }
        String place = "class=\"dimtext\" text-anchor=\"middle\" font-size=\""
                + Svg.u(textM)
                + "\" transform=\"rotate("
                + Show.number(angle, 2)
                + " "
                + Svg.u(at.x)
                + " "
                + Svg.u(-at.y)
                + ")\"";
        svg.text(place, at.x, at.y, words);
    }

    /** Whether the outside of an edge is above its text, read the right way up. */
    private static boolean upsideOf(RoofPlan.Edge e) {
        return e.normalY() > 0.01 || (Math.abs(e.normalY()) <= 0.01 && e.normalX() < 0);
    }

    /** An angle of text that reads from below or from the right. */
    static double readable(double angle) {
        if (angle > 89.99 || angle <= -90.01) {
            return angle + (angle > 0 ? -180 : 180);
        }
        return angle;
    }

    private void bays() {
        if (plan.bays().isEmpty()) {
            return;
        }
        svg.open("g", "class=\"layer-bays\"");
        Set<Double> xs = new HashSet<>();
        Set<Double> ys = new HashSet<>();
        Envelope all = plan.outline().getEnvelopeInternal();
        for (RoofPlan.Bay bay : plan.bays()) {
            xs.add(bay.cell().getMinX());
            ys.add(bay.cell().getMinY());
            if (bay.areaM2() > textM * textM) {
                Envelope roof = plan.outline()
                        .getFactory()
                        .toGeometry(bay.cell())
                        .intersection(plan.outline())
                        .getEnvelopeInternal();
                svg.text(
                        "class=\"bayname\" text-anchor=\"end\" font-size=\"" + Svg.u(textM * 0.75) + "\"",
                        roof.getMaxX() - textM * 0.3,
                        roof.getMinY() + textM * 0.3,
                        bay.name());
            }
        }
        xs.stream().sorted().forEach(x -> gridLine(new Coordinate(x, all.getMinY()), new Coordinate(x, all.getMaxY())));
        ys.stream().sorted().forEach(y -> gridLine(new Coordinate(all.getMinX(), y), new Coordinate(all.getMaxX(), y)));
        svg.close("g");
    }

    /** A grid line as far as there is roof under it. */
    private void gridLine(Coordinate from, Coordinate to) {
        Geometry line = plan.outline()
                .getFactory()
                .createLineString(new Coordinate[] {from, to})
                .intersection(plan.outline());
        for (int i = 0; i < line.getNumGeometries(); i++) {
            Coordinate[] c = line.getGeometryN(i).getCoordinates();
            if (c.length > 1) {
                svg.line("class=\"grid\"", c[0], c[c.length - 1]);
            }
        }
    }

    private void setback() {
        svg.open("g", "class=\"layer-setback\"");
        for (RoofPlan.Edge e : plan.edges()) {
            double keep = e.parapetThicknessM() + layout.setbackM();
            svg.line("class=\"setback\"", inwards(e.from(), e, keep), inwards(e.to(), e, keep));
        }
        svg.close("g");
    }

    private void obstructions() {
        svg.open("g", "class=\"layer-obstructions\"");
        for (Job.Obstruction o : design.job().roof().obstructions()) {
            double x = o.x().si();
            double y = o.y().si();
            double w = o.width().si();
            double h = o.depth().si();
            double c = o.clear().si();
            String handle = paper
                    ? ""
                    : " tabindex=\"0\" role=\"button\" data-obstruction=\""
                            + Svg.escape(o.id())
                            + "\" aria-label=\""
                            + Svg.escape(o.name())
                            + ", height "
                            + Svg.escape(Show.in(
                                    units, Dimension.ROOF_LENGTH, o.height().si()))
                            + ". Arrow keys move it.\"";
            svg.open("g", "class=\"obstruction\"" + handle);
            rect("clear", x - c, y - c, w + 2 * c, h + 2 * c, c);
            rect("body", x, y, w, h, 0);
            svg.line("class=\"cross\"", new Coordinate(x, y), new Coordinate(x + w, y + h));
            svg.line("class=\"cross\"", new Coordinate(x, y + h), new Coordinate(x + w, y));
            double size = Math.max(
                    0.3, Math.min(textM * 0.72, (w + 2 * c) * 2 / (o.name().length() + 1)));
            svg.text(
                    "class=\"name\" text-anchor=\"middle\" font-size=\"" + Svg.u(size) + "\"",
                    x + w / 2,
                    y - size * 0.95,
                    o.name());
            svg.close("g");
        }
        svg.close("g");
    }

    private void rect(String kind, double x, double y, double w, double h, double round) {
        rect(svg, kind, x, y, w, h, round);
    }

    static void rect(Svg svg, String kind, double x, double y, double w, double h, double round) {
        svg.raw("<rect class=\""
                + kind
                + "\" x=\""
                + Svg.u(x)
                + "\" y=\""
                + Svg.u(-y - h)
                + "\" width=\""
                + Svg.u(w)
                + "\" height=\""
                + Svg.u(h)
                + (round > 0 ? "\" rx=\"" + Svg.u(round) : "")
                + "\"/>");
    }

    /**
     * A small triangle at every position that the last change altered, as a reviser would pencil
     * it.
     */
    private void marks() {
        svg.open("g", "class=\"layer-marks\"");
        StringBuilder d = new StringBuilder();
        double side = layout.depthM() * 0.34;
        for (HoldDown.Position p : design.holdDown().positions()) {
            if (changed.contains(p.index())) {
                Coordinate at = layout.frame().plan(p.s() + layout.alongM() * 0.42, p.t() + layout.depthM() * 0.26);
                d.append('M')
                        .append(Svg.u(at.x - side / 2))
                        .append(' ')
                        .append(Svg.u(-at.y + side / 2))
                        .append('h')
                        .append(Svg.u(side))
                        .append('l')
                        .append(Svg.u(-side / 2))
                        .append(' ')
                        .append(Svg.u(-side))
                        .append('z');
            }
        }
        svg.path("class=\"mark\"", d.toString()).close("g");
    }

    private void scaleAndNorth(Envelope box) {
        svg.open("g", "class=\"layer-sheet\"");
        boolean us = units == UnitSystem.US;
        double barM = us ? 30 * 0.3048 : 10;
        double x = box.getMinX() + textM * 0.8;
        double y = box.getMinY() + textM * 0.9;
        double h = textM * 0.25;
        rect("bar", x, y, barM / 2, h, 0);
        rect("bar open", x + barM / 2, y, barM / 2, h, 0);
        svg.text(
                "class=\"dimtext\" font-size=\"" + Svg.u(textM * 0.8) + "\"",
                x + barM + textM * 0.4,
                y - h * 0.1,
                us ? "30 ft" : "10 m");
        double nx = box.getMaxX() - textM * 1.8;
        double ny = box.getMaxY() - textM * 2.9;
        double up = design.job().roof().upAzimuth().si();
        svg.open(
                "g",
                "transform=\"translate(" + Svg.u(nx) + " " + Svg.u(-ny) + ") rotate(" + Show.number(-up, 2) + ")\"");
        svg.path(
                "class=\"north\"",
                "M0 "
                        + Svg.u(textM * 1.3)
                        + "V"
                        + Svg.u(-textM * 1.3)
                        + "M"
                        + Svg.u(-textM * 0.45)
                        + " "
                        + Svg.u(-textM * 0.4)
                        + "L0 "
                        + Svg.u(-textM * 1.3)
                        + "L"
                        + Svg.u(textM * 0.45)
                        + " "
                        + Svg.u(-textM * 0.4));
        svg.text("class=\"dimtext\" text-anchor=\"middle\" font-size=\"" + Svg.u(textM) + "\"", 0, textM * 1.5, "N");
        svg.close("g").close("g");
    }
}
