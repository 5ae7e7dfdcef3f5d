package whipsaw.app.drawing;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.locationtech.jts.algorithm.locate.IndexedPointInAreaLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Location;
import org.locationtech.jts.geom.Polygon;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.design.Design;
import whipsaw.core.holddown.FaceWind;
import whipsaw.core.job.Corner;
import whipsaw.core.job.Obstruction;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.site.RoofZones;
import whipsaw.core.units.Show;

/** Wind zones: a hatch that is denser the more severe the zone, and its name where it hides no count. */
final class ZoneLayer {
    private static final int SAMPLES = 24;

    /** Corners up to which zones are worked out while the drawing waits. */
    private static final int CORNERS_AT_ONCE = 40;

    /** Width of a flag over its height. */
    private static final double FLAG_WIDE = 3.3;

    private final Design design;
    private final LabelRoom room;
    private final RoofPlan plan;
    private final ArrayLayout layout;
    private final Svg svg;
    private final double textM;
    private final String id;
    private final List<RoofZones.Area> areas;
    private final boolean later;

    /** Zones one of whose names can be reached by Tab; one each is enough. */
    private final Set<String> reached = new HashSet<>();

    /**
     * @param patient whether the drawing waits for zones however long they take; else those of many
     *     corners that are not at hand are left for later
     */
    ZoneLayer(Design design, Svg svg, double textM, boolean paper, boolean patient, LabelRoom room) {
        this.room = room;
        this.design = design;
        this.plan = design.plan();
        this.layout = design.layout();
        this.svg = svg;
        this.textM = textM;
        this.id = paper ? "p" : "s";
        RoofZones zones = design.windZones();
        this.later = zones != null && !patient && plan.edges().size() > CORNERS_AT_ONCE && !zones.areasAtHand();
        this.areas = later || zones == null ? List.of() : zones.areas();
    }

    void patterns() {
        svg.raw("<defs>");
        pattern(1, 130, "M0 0V130");
        pattern(2, 90, "M0 0V90M0 0H90");
        pattern(3, 55, "M0 0V55M0 0H55");
        svg.raw("</defs>");
    }

    private void pattern(int rank, int side, String lines) {
        svg.raw("<pattern id=\"" + id + "-zone" + rank + "\" width=\"" + side + "\" height=\"" + side
                + "\" patternUnits=\"userSpaceOnUse\" patternTransform=\"rotate(45)\"><path class=\"hatch\" d=\""
                + lines
                + "\"/></pattern>");
    }

    void shapes() {
        svg.open("g", "class=\"layer-zones\"" + (later ? " data-later=\"\"" : ""));
        for (RoofZones.Area area : areas) {
            if (area.rank() > 0) {
                svg.path("class=\"zone\" fill=\"url(#" + id + "-zone" + area.rank() + ")\"", Svg.area(area.shape()));
            }
        }
        svg.close("g");
    }

    /** One name for every separate part of a zone, where there is a place for it. */
    void names() {
        svg.open("g", "class=\"layer-zones\"" + (later ? " data-later=\"\"" : ""));
        Set<String> named = new HashSet<>();
        for (RoofZones.Area area : areas) {
            for (int i = 0; i < area.shape().getNumGeometries(); i++) {
                Geometry part = area.shape().getGeometryN(i);
                if (part instanceof Polygon && part.getArea() > textM * textM * 2) {
                    named.addAll(name(area.name(), part));
                }
            }
        }
        for (RoofZones.Area area : areas) {
            if (!named.contains(area.name()) && !area.shape().isEmpty()) {
                clearest(area);
            }
        }
        svg.close("g");
    }

    private List<String> name(String name, Geometry part) {
        List<String> done = new ArrayList<>();
        IndexedPointInAreaLocator in = new IndexedPointInAreaLocator(part);
        for (RoofPlan.Edge e : plan.edges()) {
            if (e.lengthM() < Math.min(textM, 0.3) * 3.3) {
                continue;
            }
            for (double along : new double[] {0.5, 0.28, 0.72, 0.12, 0.88}) {
                if (onEdge(name, in, e, along)) {
                    done.add(name);
                    break;
                }
            }
        }
        if (!done.isEmpty()) {
            return done;
        }
        for (int after : layout.walkwaysAfter()) {
            double[] band = ArrayLayer.band(layout, after);
            if (band == null) {
                continue;
            }
            Coordinate at = layout.frame().plan((band[0] + band[1]) / 2, (band[2] + band[3]) / 2);
            if (part.covers(part.getFactory().createPoint(at))) {
                double angle = Math.toDegrees(
                        Math.atan2(-layout.frame().alongY(), layout.frame().alongX()));
                double size = Math.min(textM, (band[3] - band[2]) * 0.9);
                if (room.takeIfFree(flagBox(at, size, angle))) {
                    flag(at, size, PlanDrawing.readable(angle), name);
                    return List.of(name);
                }
            }
        }
        return List.of();
    }

    /** The place in a zone that is farthest from modules and obstructions, of a grid of places. */
    private void clearest(RoofZones.Area area) {
        Envelope box = area.shape().getEnvelopeInternal();
        Coordinate best = area.shape().getInteriorPoint().getCoordinate();
        double most = clearM(best);
        for (int i = 1; i < SAMPLES; i++) {
            for (int k = 1; k < SAMPLES; k++) {
                Coordinate at = new Coordinate(
                        box.getMinX() + box.getWidth() * i / SAMPLES, box.getMinY() + box.getHeight() * k / SAMPLES);
                Geometry point = area.shape().getFactory().createPoint(at);
                boolean here = area.shape().covers(point) && room.free(flagBox(at, Math.max(0.3, textM * 0.4), 0));
                double clear =
                        here ? Math.min(clearM(at), area.shape().getBoundary().distance(point)) : -1;
                if (clear > most) {
                    most = clear;
                    best = at;
                }
            }
        }
        double size = Math.max(0.3, Math.min(textM * 0.8, most));
        room.take(flagBox(best, size, 0));
        flag(best, size, 0, area.name());
    }

    /** Room for a name: its half width counts along the sheet, its half height across. */
    private double clearM(Coordinate at) {
        double least = Double.POSITIVE_INFINITY;
        for (ArrayLayout.Run run : layout.runs()) {
            double t = layout.modules().get(run.firstIndex()).t();
            Envelope box = new Envelope(
                    layout.frame().plan(run.from(), t), layout.frame().plan(run.to(), t + layout.depthM()));
            least = Math.min(least, clearOf(box, at));
        }
        for (Obstruction o : design.job().roof().obstructions()) {
            least = Math.min(least, clearOf(RoofPlan.footprint(o).getEnvelopeInternal(), at));
        }
        for (Corner c : design.job().electrical().run().points()) {
            Envelope box = new Envelope(new Coordinate(c.x().si(), c.y().si()));
            box.expandBy(textM);
            least = Math.min(least, clearOf(box, at));
        }
        return least;
    }

    private static double clearOf(Envelope box, Coordinate at) {
        double dx = Math.max(0, Math.max(box.getMinX() - at.x, at.x - box.getMaxX()));
        double dy = Math.max(0, Math.max(box.getMinY() - at.y, at.y - box.getMaxY()));
        return Math.max(dx / 1.7, dy / 0.6);
    }

    /** A name along an edge in the strip that modules keep clear, when the zone is there. */
    private boolean onEdge(String name, IndexedPointInAreaLocator in, RoofPlan.Edge e, double along) {
        double strip = e.parapetThicknessM() + layout.setbackM();
        double size = Math.min(textM, Math.max(0.3, strip * 0.8));
        Coordinate on = new Coordinate(
                e.from().x + (e.to().x - e.from().x) * along, e.from().y + (e.to().y - e.from().y) * along);
        Coordinate at = PlanDrawing.inwards(on, e, strip / 2);
        double half = size * 1.65;
        double ux = (e.to().x - e.from().x) / e.lengthM() * half;
        double uy = (e.to().y - e.from().y) / e.lengthM() * half;
        for (int side = -1; side <= 1; side++) {
            Coordinate end = new Coordinate(at.x + side * ux, at.y + side * uy);
            if (in.locate(end) == Location.EXTERIOR) {
                return false;
            }
        }
        double angle = Math.toDegrees(Math.atan2(e.from().y - e.to().y, e.to().x - e.from().x));
        if (!room.takeIfFree(flagBox(at, size, angle))) {
            return false;
        }
        flag(at, size, PlanDrawing.readable(angle), name);
        return true;
    }

    private static Envelope flagBox(Coordinate at, double sizeM, double angle) {
        return LabelRoom.turned(at, sizeM * FLAG_WIDE, sizeM, angle);
    }

    private void flag(Coordinate at, double sizeM, double angle, String zone) {
        double width = sizeM * FLAG_WIDE;
        String words = "zone " + FaceWind.shown(zone);
        svg.open(
                "g",
                (id.equals("p")
                                ? ""
                                : "class=\"zoneflag\" role=\"button\" tabindex=\"" + (reached.add(zone) ? 0 : -1)
                                        + "\" data-zone=\"" + zone + "\" aria-label=\"" + words
                                        + ": its coefficient\" ")
                        + "transform=\"rotate(" + Show.number(angle, 2) + " " + Svg.u(at.x) + " " + Svg.u(-at.y)
                        + ")\"");
        PlanDrawing.rect(svg, "flag", at.x - width / 2, at.y - sizeM * 0.5, width, sizeM, 0);
        svg.text(
                "class=\"flagtext\" text-anchor=\"middle\" font-size=\"" + Svg.u(sizeM * 0.85) + "\"",
                at.x,
                at.y - sizeM * 0.3,
                words);
        svg.close("g");
    }
}
