package whipsaw.core.exchange;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.operation.valid.IsValidOp;
import org.locationtech.jts.operation.valid.TopologyValidationError;

/**
 * Line work of a drawing file.
 *
 * @param metresPerUnit as the file says it; NaN when it says nothing
 * @param shapes in units of the file
 * @param findings what was approximated or left, the first of each kind with its place
 * @param states of layers that the drawing does not show: frozen or off; others are not in it
 * @param plane on which places of the earth were laid; null where the file has none
 */
public record ForeignDrawing(
        double metresPerUnit,
        List<Shape> shapes,
        List<Finding> findings,
        Map<String, String> states,
        LocalPlane plane) {
    /** One whose layers are all shown and that lies nowhere on earth. */
    public ForeignDrawing(double metresPerUnit, List<Shape> shapes, List<Finding> findings) {
        this(metresPerUnit, shapes, findings, Map.of(), null);
    }

    /** The same with other findings. */
    public ForeignDrawing withFindings(List<Finding> other) {
        return new ForeignDrawing(metresPerUnit, shapes, other, states, plane);
    }

    /** The same with open lines of a layer joined whose ends lie within a gap, in units of the file. */
    public ForeignDrawing closing(double gap) {
        Findings more = new Findings();
        List<Shape> closed = LineJoiner.closing(shapes, gap, more);
        List<Finding> all = new ArrayList<>(more.list());
        findings.stream().filter(f -> !f.what().startsWith(LineJoiner.OPEN)).forEach(all::add);
        return new ForeignDrawing(metresPerUnit, closed, all, states, plane);
    }

    /**
     * A line or an area.
     *
     * @param kind as the file names it, for example LWPOLYLINE
     * @param closed whether the last point joins the first
     * @param name as the file gives it, or empty
     * @param heightM as the file gives it, or NaN
     */
    public record Shape(
            String layer, String kind, List<Coordinate> points, boolean closed, String name, double heightM) {
        public Shape {
            points = List.copyOf(points);
        }

        public Shape(String layer, String kind, List<Coordinate> points, boolean closed) {
            this(layer, kind, points, closed, "", Double.NaN);
        }

        /** Area a closed line encloses, in the square of its unit. */
        public double area() {
            double twice = 0;
            for (int i = 0; closed && i < points.size(); i++) {
                Coordinate a = points.get(i);
                Coordinate b = points.get((i + 1) % points.size());
                twice += a.x * b.y - b.x * a.y;
            }
            return Math.abs(twice) / 2;
        }
    }

    /**
     * Something that was not taken as it stands.
     *
     * @param count how often
     * @param at place of the first, in units of the file; null when it has none
     */
    public record Finding(String what, int count, Coordinate at) {}

    /** What would be refused as an outline, with its place: shapes that cross themselves or have sides without length. */
    public List<Finding> faults() {
        Findings faults = new Findings();
        GeometryFactory factory = new GeometryFactory();
        for (Shape s : shapes) {
            if (!s.closed() || s.points().size() < 3) {
                continue;
            }
            List<Coordinate> ring = new ArrayList<>(s.points());
            for (int i = 0; i < ring.size(); i++) {
                if (ring.get(i).equals2D(ring.get((i + 1) % ring.size()))) {
                    faults.add(
                            "side without length on layer '" + s.layer() + "': it is left out of an outline",
                            ring.get(i));
                }
            }
            ring.add(ring.get(0));
            IsValidOp valid = new IsValidOp(factory.createPolygon(ring.toArray(Coordinate[]::new)));
            TopologyValidationError error = valid.getValidationError();
            if (error != null) {
                faults.add(
                        "shape that crosses or touches itself on layer '" + s.layer()
                                + "': no outline until it is mended in the drawing",
                        error.getCoordinate());
            }
        }
        return faults.list();
    }

    /** A layer with what lies on it. */
    public record Layer(String name, int shapes, int closed, double largestArea, String state) {}

    public ForeignDrawing {
        shapes = List.copyOf(shapes);
        findings = List.copyOf(findings);
        states = Map.copyOf(states);
    }

    /** Layers that have lines, with what is on them. */
    public List<Layer> layers() {
        Map<String, Layer> layers = new TreeMap<>();
        for (Shape s : shapes) {
            Layer own = new Layer(s.layer(), 1, s.closed() ? 1 : 0, s.area(), states.getOrDefault(s.layer(), ""));
            layers.merge(
                    s.layer(),
                    own,
                    (a, b) -> new Layer(
                            a.name(),
                            a.shapes() + b.shapes(),
                            a.closed() + b.closed(),
                            Math.max(a.largestArea(), b.largestArea()),
                            a.state()));
        }
        return List.copyOf(layers.values());
    }
}
