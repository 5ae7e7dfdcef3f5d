package whipsaw.app.drawing;

import java.util.List;
import java.util.TreeSet;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.design.Design;
import whipsaw.core.roof.LinePieces;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/** Dimension strings with ticks: the edges, the bays between grid lines, and where the array begins. */
final class DimensionLayer {
    private static final int MANY_EDGES = 60;

    /** The first grid lines lie on the outline; a hair inside they are on the roof. */
    private static final double HAIR_M = 1e-4;

    private final Design design;
    private final RoofPlan plan;
    private final UnitSystem units;
    private final Svg svg;
    private final double textM;

    DimensionLayer(Design design, Svg svg, double textM) {
        this.design = design;
        this.plan = design.plan();
        this.units = design.job().project().units();
        this.svg = svg;
        this.textM = textM;
    }

    /** Outside every edge: its number, length and parapet. */
    /** Edges with their sizes, whose places are taken from other labels. */
    void edges(LabelRoom room) {
        svg.open("g", "class=\"layer-dims\"");
        for (RoofPlan.Edge e : plan.edges()) {
            edge(e, room);
        }
        svg.close("g");
    }

    /** Edges too short for their own number have their length in the list of the drawing only. */
    private void edge(RoofPlan.Edge e, LabelRoom room) {
        if (e.lengthM() < textM * 1.2 && plan.edges().size() > MANY_EDGES) {
            return;
        }
        double off = textM * 1.2;
        Coordinate a = PlanDrawing.inwards(e.from(), e, -off);
        Coordinate b = PlanDrawing.inwards(e.to(), e, -off);
        string(a, b);
        double angle = PlanDrawing.readable(Math.toDegrees(Math.atan2(-(b.y - a.y), b.x - a.x)));
        Coordinate at = PlanDrawing.inwards(
                new Coordinate((a.x + b.x) / 2, (a.y + b.y) / 2), e, -textM * (upsideOf(e) ? 0.35 : 1.05));
        String words = "edge " + e.number() + "  " + Show.in(units, Dimension.ROOF_LENGTH, e.lengthM());
        if (e.parapetHeightM() > 0) {
            words += "  parapet " + Show.in(units, Dimension.ROOF_LENGTH, e.parapetHeightM());
        }
        if (e.lengthM() < textM * 9) {
            words = String.valueOf(e.number());
        }
        take(room, at, angle, textM, words);
        turned(at, angle, "middle", textM, words);
    }

    private void string(Coordinate a, Coordinate b) {
        svg.line("class=\"dim\"", a, b);
        double tick = textM * 0.35;
        for (Coordinate c : List.of(a, b)) {
            svg.line(
                    "class=\"dim tick\"",
                    new Coordinate(c.x - tick, c.y - tick),
                    new Coordinate(c.x + tick, c.y + tick));
        }
    }

    private void turned(Coordinate at, double angle, String anchor, double size, String words) {
        svg.text(
                "class=\"dimtext\" text-anchor=\""
                        + anchor
                        + "\" font-size=\""
                        + Svg.u(size)
                        + "\" transform=\"rotate("
                        + Show.number(angle, 2)
                        + " "
                        + Svg.u(at.x)
                        + " "
                        + Svg.u(-at.y)
                        + ")\"",
                at.x,
                at.y,
                words);
    }

    /** Whether the outside of an edge is above its text, read the right way up. */
    private static boolean upsideOf(RoofPlan.Edge e) {
        return e.normalY() > 0.01 || (Math.abs(e.normalY()) <= 0.01 && e.normalX() < 0);
    }

    /**
     * Grid lines as far as there is roof under them, with the letter or number of each bay in a
     * bubble outside and the widths of the bays as a string.
     */
    void bays() {
        if (plan.bays().isEmpty()) {
            return;
        }
        svg.open("g", "class=\"layer-bays\"");
        TreeSet<Double> xs = new TreeSet<>();
        TreeSet<Double> ys = new TreeSet<>();
        Envelope all = plan.outline().getEnvelopeInternal();
        for (RoofPlan.Bay bay : plan.bays()) {
            xs.add(bay.cell().getMinX());
            ys.add(bay.cell().getMinY());
        }
        xs.forEach(x -> gridLine(new Coordinate(x, all.getMinY()), new Coordinate(x, all.getMaxY())));
        ys.forEach(y -> gridLine(new Coordinate(all.getMinX(), y), new Coordinate(all.getMaxX(), y)));
        double radius = textM * 0.62;
        double row = all.getMaxY() + textM * 3.3;
        double column = all.getMinX() - textM * 3.3;
        for (RoofPlan.Bay bay : plan.bays()) {
            String letters = bay.name().replaceAll("[0-9]", "");
            String number = bay.name().replaceAll("[A-Z]", "");
            if (number.equals("1")) {
                double x = (bay.cell().getMinX() + Math.min(bay.cell().getMaxX(), all.getMaxX())) / 2;
                if (Math.min(bay.cell().getMaxX(), all.getMaxX()) - bay.cell().getMinX() > radius * 2) {
                    bubble(x, row, radius, letters);
                }
            }
            if (letters.equals("A")) {
                double y = (bay.cell().getMinY() + Math.min(bay.cell().getMaxY(), all.getMaxY())) / 2;
                if (Math.min(bay.cell().getMaxY(), all.getMaxY()) - bay.cell().getMinY() > radius * 2) {
                    bubble(column, y, radius, number);
                }
            }
        }
        xs.add(all.getMaxX());
        ys.add(all.getMaxY());
        chain(List.copyOf(xs), row, true);
        chain(List.copyOf(ys), column, false);
        svg.close("g");
    }

    private void gridLine(Coordinate from, Coordinate to) {
        boolean upright = from.x == to.x;
        LinePieces.over(plan.outline(), c -> upright ? c.x - from.x - HAIR_M : c.y - from.y - HAIR_M)
                .forEach(p -> svg.line("class=\"grid\"", p.from(), p.to()));
    }

    private void bubble(double x, double y, double radius, String words) {
        svg.raw("<circle class=\"bubble\" cx=\"" + Svg.u(x) + "\" cy=\"" + Svg.u(-y) + "\" r=\"" + Svg.u(radius)
                + "\"/>");
        svg.text(
                "class=\"bayname\" text-anchor=\"middle\" font-size=\"" + Svg.u(textM * 0.8) + "\"",
                x,
                y - textM * 0.28,
                words);
    }

    /** Short marks where the grid lines meet the string of bubbles, and the width of the first bay. */
    private void chain(List<Double> at, double off, boolean horizontal) {
        double tick = textM * 0.45;
        for (double v : at) {
            svg.line(
                    "class=\"dim\"",
                    horizontal ? new Coordinate(v, off - tick) : new Coordinate(off - tick, v),
                    horizontal ? new Coordinate(v, off + tick) : new Coordinate(off + tick, v));
        }
        for (int i = 0; i + 1 < at.size(); i++) {
            double width = at.get(i + 1) - at.get(i);
            boolean repeated = i > 0 && Math.abs(width - (at.get(i) - at.get(i - 1))) < 0.01;
            if (width < textM * 6 || repeated) {
                continue;
            }
            double place = at.get(i) + width * 0.26;
            String words = Show.in(units, Dimension.ROOF_LENGTH, width);
            if (horizontal) {
                turned(new Coordinate(place, off - textM * 0.28), 0, "middle", textM * 0.75, words);
            } else {
                turned(new Coordinate(off + textM * 0.28, place), -90, "middle", textM * 0.75, words);
            }
        }
    }

    /** From the roof edge to the first module, along the rows and across them: where the crew begins. */
    /** What the first module is set out from, whose sizes take their places from smaller labels. */
    void setOut(LabelRoom room) {
        ArrayLayout layout = design.layout();
        if (layout.modules().isEmpty()) {
            return;
        }
        ArrayLayout.Module first = layout.modules().get(0);
        svg.open("g", "class=\"layer-dims\"");
        double middleT = first.t() + layout.depthM() / 2;
        toEdge(
                layout.frame().plan(first.s(), middleT),
                -layout.frame().alongX(),
                -layout.frame().alongY(),
                room);
        double middleS = first.s() + layout.alongM() / 2;
        toEdge(
                layout.frame().plan(middleS, first.t()),
                layout.frame().alongY(),
                -layout.frame().alongX(),
                room);
        svg.close("g");
    }

    /** A dimension from a point to the outer edge of the roof in a direction. */
    private void toEdge(Coordinate from, double dx, double dy, LabelRoom room) {
        double far = plan.longSideM() * 2;
        Geometry ray = plan.outline()
                .getFactory()
                .createLineString(new Coordinate[] {from, new Coordinate(from.x + dx * far, from.y + dy * far)});
        Coordinate end = null;
        for (Coordinate c : ray.intersection(plan.outline().getBoundary()).getCoordinates()) {
            if (end == null || from.distance(c) < from.distance(end)) {
                end = c;
            }
        }
        if (end == null || from.distance(end) < 0.01) {
            return;
        }
        string(end, from);
        double angle = PlanDrawing.readable(Math.toDegrees(Math.atan2(-(end.y - from.y), end.x - from.x)));
        boolean upright = Math.abs(angle) > 45;
        double size = Math.min(textM * 0.62, Math.max(0.25, from.distance(end) / 4));
        Coordinate at = new Coordinate(
                (from.x + end.x) / 2 + (upright ? -size * 0.35 : 0),
                (from.y + end.y) / 2 + (upright ? 0 : size * 0.35));
        String words = Show.in(units, Dimension.ROOF_LENGTH, from.distance(end));
        take(room, at, angle, size, words);
        turned(at, angle, "middle", size, words);
    }

    private static void take(LabelRoom room, Coordinate at, double angle, double size, String words) {
        Envelope box = LabelRoom.text(0, 0, size, words, 0.5);
        room.take(
                LabelRoom.turned(new Coordinate(at.x, at.y + box.centre().y), box.getWidth(), box.getHeight(), angle));
    }
}
