package whipsaw.core.exchange;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;

/**
 * A roof out of a drawing: the largest closed shape of one layer is its outline, closed shapes of others
 * that lie on it stand on it. The lowest left place of the outline becomes (0, 0). Metres.
 *
 * @param boxes obstructions by their enclosing rectangles
 * @param findings what was taken otherwise than drawn
 */
public record RoofFromDrawing(List<Coordinate> outline, List<Box> boxes, List<ForeignDrawing.Finding> findings) {
    private static final double SQUARE_PART = 0.995;

    /** A rectangle along the sheet. */
    public record Box(String name, double x, double y, double width, double depth) {}

    /** Null when the layer has no closed shape. */
    public static RoofFromDrawing of(
            ForeignDrawing drawing, double metresPerUnit, String outlineLayer, Set<String> obstructionLayers) {
        ForeignDrawing.Shape largest = drawing.shapes().stream()
                .filter(s -> s.closed() && s.layer().equals(outlineLayer))
                .max(Comparator.comparingDouble(ForeignDrawing.Shape::area))
                .orElse(null);
        if (largest == null) {
            return null;
        }
        Envelope box = new Envelope();
        largest.points().forEach(box::expandToInclude);
        List<Coordinate> outline = moved(largest, box, metresPerUnit);
        Polygon roof = polygon(outline);
        Findings findings = new Findings();
        List<Box> boxes = new ArrayList<>();
        for (ForeignDrawing.Shape s : drawing.shapes()) {
            if (s == largest || !obstructionLayers.contains(s.layer())) {
                continue;
            }
            if (!s.closed()) {
                findings.add(
                        "open line on layer '" + s.layer() + "' left out",
                        s.points().get(0));
                continue;
            }
            List<Coordinate> points = moved(s, box, metresPerUnit);
            Envelope own = new Envelope();
            points.forEach(own::expandToInclude);
            if (!roof.contains(roof.getFactory().createPoint(own.centre()))) {
                findings.add(
                        "shape off the roof on layer '" + s.layer() + "' left out",
                        s.points().get(0));
                continue;
            }
            if (polygon(points).getArea() < own.getArea() * SQUARE_PART) {
                findings.add("taken as its enclosing rectangle", s.points().get(0));
            }
            boxes.add(new Box(
                    s.layer() + " " + (boxes.size() + 1),
                    own.getMinX(),
                    own.getMinY(),
                    own.getWidth(),
                    own.getHeight()));
        }
        return new RoofFromDrawing(outline, boxes, findings.list());
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
