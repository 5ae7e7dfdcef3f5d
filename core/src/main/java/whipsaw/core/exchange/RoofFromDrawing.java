package whipsaw.core.exchange;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;

/**
 * A roof out of a drawing: the largest closed shape of the layers named as outline is its outline, closed shapes of
 * layers named as a kind of thing stand on it. The lowest left place of the outline becomes (0, 0). Metres.
 *
 * @param heightM of the roof as the file gives it; NaN when it says nothing
 * @param origin place in the file that became (0, 0)
 * @param findings what was taken otherwise than drawn or left out, with places in units of the file
 */
public record RoofFromDrawing(
        List<Coordinate> outline,
        List<Thing> things,
        List<ForeignDrawing.Finding> findings,
        double heightM,
        Coordinate origin) {
    /** Use of a layer that holds the outline. */
    public static final String OUTLINE = "outline";

    private static final double SQUARE_PART = 0.9999;
    private static final int FEWEST_ROUND = 12;
    private static final double ROUND_PART = 0.01;
    private static final double LEAST_SIDE_M = 0.02;
    private static final int MOST_CORNERS = 400;

    /**
     * Something that stands on the roof, by the box around it.
     *
     * @param kind as the layer was mapped
     * @param corners of a polygon from the lower left of its box; empty of a rectangle or circle
     * @param heightM NaN when the file says nothing
     */
    public record Thing(
            String name,
            String kind,
            double x,
            double y,
            double width,
            double depth,
            boolean circle,
            List<Coordinate> corners,
            double heightM) {}

    /**
     * @param use of each layer: {@link #OUTLINE}, a kind of thing, or empty for none
     * @return null when no layer of the outline has a closed shape
     */
    public static RoofFromDrawing of(ForeignDrawing drawing, double metresPerUnit, Map<String, String> use) {
        ForeignDrawing.Shape largest = drawing.shapes().stream()
                .filter(s -> s.closed() && OUTLINE.equals(use.get(s.layer())))
                .max(Comparator.comparingDouble(ForeignDrawing.Shape::area))
                .orElse(null);
        if (largest == null) {
            return null;
        }
        Envelope box = new Envelope();
        largest.points().forEach(box::expandToInclude);
        Findings findings = new Findings();
        List<Coordinate> outline = cleaned(moved(largest, box, metresPerUnit), findings, largest);
        Polygon roof = polygon(outline);
        List<Thing> things = new ArrayList<>();
        for (ForeignDrawing.Shape s : drawing.shapes()) {
            String kind = use.getOrDefault(s.layer(), "");
            if (s == largest || kind.isEmpty()) {
                continue;
            }
            Coordinate at = s.points().get(0);
            if (kind.equals(OUTLINE)) {
                findings.add("smaller shape on the layer of the outline left out", at);
            } else if (!s.closed()) {
                findings.add("open line on layer '" + s.layer() + "' left out: close it in the drawing", at);
            } else {
                Thing thing = thing(s, kind, moved(s, box, metresPerUnit), things.size() + 1, findings);
                if (thing != null
                        && roof.isValid()
                        && !roof.contains(roof.getFactory()
                                .createPoint(new Coordinate(
                                        thing.x() + thing.width() / 2, thing.y() + thing.depth() / 2)))) {
                    findings.add("shape off the roof on layer '" + s.layer() + "' left out", at);
                } else if (thing != null) {
                    things.add(thing);
                }
            }
        }
        return new RoofFromDrawing(
                outline, things, findings.list(), largest.heightM(), new Coordinate(box.getMinX(), box.getMinY()));
    }

    /** Corners without those that lie on the one before. */
    private static List<Coordinate> cleaned(List<Coordinate> points, Findings findings, ForeignDrawing.Shape s) {
        List<Coordinate> kept = new ArrayList<>();
        for (int i = 0; i < points.size(); i++) {
            Coordinate before = kept.isEmpty() ? points.get(points.size() - 1) : kept.get(kept.size() - 1);
            if (points.get(i).distance(before) < 1e-4) {
                findings.add("corner on top of another left out", s.points().get(i));
            } else {
                kept.add(points.get(i));
            }
        }
        return kept;
    }

    private static Thing thing(
            ForeignDrawing.Shape s, String kind, List<Coordinate> points, int number, Findings findings) {
        Envelope own = new Envelope();
        points.forEach(own::expandToInclude);
        if (own.getWidth() < LEAST_SIDE_M || own.getHeight() < LEAST_SIDE_M) {
            findings.add(
                    "shape under 2 cm on layer '" + s.layer() + "' left out",
                    s.points().get(0));
            return null;
        }
        double area = Math.abs(polygon(points).getArea());
        boolean square = area > own.getArea() * SQUARE_PART;
        double round = Math.PI / 4 * own.getWidth() * own.getHeight();
        boolean circle = !square
                && points.size() >= FEWEST_ROUND
                && Math.abs(own.getWidth() - own.getHeight()) < ROUND_PART * own.getWidth()
                && Math.abs(area - round) < 2 * ROUND_PART * round;
        List<Coordinate> corners = List.of();
        if (!square && !circle) {
            if (points.size() > MOST_CORNERS) {
                findings.add(
                        "shape of more than 400 corners taken as its enclosing rectangle",
                        s.points().get(0));
            } else {
                corners = points.stream()
                        .map(c -> new Coordinate(c.x - own.getMinX(), c.y - own.getMinY()))
                        .toList();
            }
        }
        String name = s.name().isEmpty() ? kind + " " + number : s.name();
        return new Thing(
                name,
                kind,
                own.getMinX(),
                own.getMinY(),
                own.getWidth(),
                own.getHeight(),
                circle,
                corners,
                s.heightM());
    }

    private static List<Coordinate> moved(ForeignDrawing.Shape s, Envelope box, double metres) {
        return s.points().stream()
                .map(c -> new Coordinate((c.x - box.getMinX()) * metres, (c.y - box.getMinY()) * metres))
                .toList();
    }

    private static Polygon polygon(List<Coordinate> points) {
        List<Coordinate> ring = new ArrayList<>(points);
        ring.add(points.get(0));
        return new GeometryFactory().createPolygon(ring.toArray(Coordinate[]::new));
    }
}
