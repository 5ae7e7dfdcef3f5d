package whipsaw.core.roof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.union.UnaryUnionOp;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;
import whipsaw.core.site.AsceZones;
import whipsaw.core.site.EdgeDistance;
import whipsaw.core.site.RoofZones;

/** Quick ways to ask about outlines of many corners give what the plain ways give, on random star-shaped roofs. */
class OutlineGeometryTest {
    private static final GeometryFactory FACTORY = new GeometryFactory();
    private static final int ROUNDS = 12;

    private static List<Coordinate> star(Random random, int corners) {
        List<Coordinate> ring = new ArrayList<>();
        for (int i = 0; i < corners; i++) {
            double angle = 2 * Math.PI * (i + 0.6 * random.nextDouble()) / corners;
            double reach = 20 + 25 * random.nextDouble();
            ring.add(new Coordinate(50 + reach * Math.cos(angle), 50 + reach * Math.sin(angle)));
        }
        return ring;
    }

    private static Polygon polygon(List<Coordinate> ring) {
        List<Coordinate> closed = new ArrayList<>(ring);
        closed.add(ring.get(0));
        return FACTORY.createPolygon(closed.toArray(Coordinate[]::new));
    }

    private static Design design(Random random, int corners) {
        List<Object> list = new ArrayList<>();
        star(random, corners).forEach(c -> list.add(Map.of("x", c.x + " m", "y", c.y + " m")));
        return Jobs.design("roof.outline", Map.of("kind", "drawn", "corners", list), "roof.parapets", List.of());
    }

    private static Coordinate[] panel(Random random) {
        double x = 10 + 80 * random.nextDouble();
        double y = 10 + 80 * random.nextDouble();
        double angle = Math.PI * random.nextDouble();
        double ux = Math.cos(angle);
        double uy = Math.sin(angle);
        return new Coordinate[] {
            new Coordinate(x, y),
            new Coordinate(x + 2.2 * ux, y + 2.2 * uy),
            new Coordinate(x + 2.2 * ux - 1.1 * uy, y + 2.2 * uy + 1.1 * ux),
            new Coordinate(x - 1.1 * uy, y + 1.1 * ux)
        };
    }

    @Test
    void clippingGivesTheAreaOfTheOverlayAlsoWithInsideCorners() {
        Random random = new Random(7);
        for (int round = 0; round < 60; round++) {
            List<Coordinate> ring = star(random, 5 + random.nextInt(30));
            double x = 60 * random.nextDouble();
            double y = 60 * random.nextDouble();
            Envelope cell = new Envelope(x, x + 30 * random.nextDouble(), y, y + 30 * random.nextDouble());
            double exact = polygon(ring).intersection(FACTORY.toGeometry(cell)).getArea();
            assertThat(RectangleClip.areaInside(ring.toArray(Coordinate[]::new), cell))
                    .isCloseTo(exact, within(1e-6 * Math.max(1, exact)));
        }
    }

    @Test
    void edgesByPlaceMissNoneAndTheNearestIsTheNearest() {
        Random random = new Random(11);
        for (int round = 0; round < ROUNDS; round++) {
            RoofPlan plan = design(random, 14 + random.nextInt(80)).plan();
            for (int k = 0; k < 40; k++) {
                Coordinate[] panel = panel(random);
                double distance = 12 * random.nextDouble();
                double nearest = Double.POSITIVE_INFINITY;
                for (RoofPlan.Edge e : plan.edges()) {
                    double d = EdgeDistance.toEdge(panel, e);
                    nearest = Math.min(nearest, d);
                    if (d <= distance) {
                        assertThat(plan.index().near(panel, distance)).contains(e);
                    }
                }
                assertThat(EdgeDistance.toNearest(panel, plan)).isEqualTo(nearest);
            }
        }
    }

    @Test
    void shapesPutTogetherHaveTheAreaOfTheirUnion() {
        Random random = new Random(13);
        for (int round = 0; round < ROUNDS; round++) {
            List<Geometry> parts = new ArrayList<>();
            for (int i = 0; i < 40; i++) {
                double x = 100 * random.nextDouble();
                double y = 100 * random.nextDouble();
                parts.add(FACTORY.toGeometry(new Envelope(x, x + 1 + 6 * random.nextDouble(), y, y + 4)));
            }
            Geometry together = Together.of(parts);
            assertThat(together.isValid()).isTrue();
            assertThat(together.getArea()).isCloseTo(UnaryUnionOp.union(parts).getArea(), within(1e-6));
        }
        assertThat(Together.of(List.of())).isNull();
    }

    @Test
    void zonesDrawnShareTheRoofAmongThemAndAgreeWithTheZoneOfAPoint() {
        Random random = new Random(17);
        for (int round = 0; round < ROUNDS; round++) {
            RoofPlan plan = design(random, 6 + random.nextInt(20)).plan();
            AsceZones zones =
                    AsceZones.of(plan, whipsaw.core.table.CodeTables.shipped().zones());
            List<RoofZones.Area> areas = zones.areas();
            double sum = areas.stream().mapToDouble(a -> a.shape().getArea()).sum();
            assertThat(sum).isCloseTo(plan.areaM2(), within(plan.areaM2() * 1e-3));
            assertThat(zones.areas())
                    .as("kept")
                    .isSameAs(AsceZones.of(
                                    plan,
                                    whipsaw.core.table.CodeTables.shipped().zones())
                            .areas());
            for (int k = 0; k < 60; k++) {
                Coordinate at = new Coordinate(10 + 80 * random.nextDouble(), 10 + 80 * random.nextDouble());
                var point = FACTORY.createPoint(at);
                if (!plan.outline().contains(point)) {
                    continue;
                }
                double a = 1e-4;
                Coordinate[] dot = {
                    new Coordinate(at.x - a, at.y - a), new Coordinate(at.x + a, at.y - a),
                    new Coordinate(at.x + a, at.y + a), new Coordinate(at.x - a, at.y + a)
                };
                String zone = zones.zone(dot);
                for (RoofZones.Area area : areas) {
                    // arcs are drawn with a few chords, so points within a hand of a border say nothing
                    if (area.shape().getBoundary().distance(point) > 0.3
                            && area.shape().contains(point)) {
                        assertThat(zone).as(at.toString()).isEqualTo(area.name());
                    }
                }
            }
        }
    }

    @Test
    void facesOfRandomRoofsCoverThemOnceAndMirroredRoofsMirror() {
        Random random = new Random(19);
        for (int round = 0; round < ROUNDS; round++) {
            double skew = 2 * random.nextDouble();
            double half = 12 + 6 * random.nextDouble();
            double rise = 0.5 + 3 * random.nextDouble();
            double[] plain = {0, 0, 50, skew, 48, 2 * half + skew, -1, 2 * half};
            RoofFaces left = gable(plain, half, rise);
            double[] mirrored = {0, 0, 1, 2 * half, -48, 2 * half + skew, -50, skew};
            RoofFaces right = gableFromLast(mirrored, half, rise);
            double area =
                    left.faces().stream().mapToDouble(f -> f.plan().getArea()).sum();
            assertThat(area).isCloseTo(outlineArea(plain), within(1e-6));
            for (FaceLine.Kind kind : FaceLine.Kind.values()) {
                assertThat(right.lengthM(kind)).as(kind.words()).isCloseTo(left.lengthM(kind), within(1e-6));
            }
            assertThat(left.steepestDeg()).isCloseTo(right.steepestDeg(), within(1e-9));
        }
    }

    private static double outlineArea(double[] xy) {
        List<Coordinate> ring = new ArrayList<>();
        for (int i = 0; i < xy.length; i += 2) {
            ring.add(new Coordinate(xy[i], xy[i + 1]));
        }
        return polygon(ring).getArea();
    }

    private static RoofFaces gable(double[] xy, double half, double rise) {
        return pitched(xy, 1, half, rise);
    }

    /** The same roof seen in a mirror has its first edge last. */
    private static RoofFaces gableFromLast(double[] xy, double half, double rise) {
        return pitched(xy, 4, half, rise);
    }

    private static RoofFaces pitched(double[] xy, int edge, double half, double rise) {
        List<Object> corners = new ArrayList<>();
        for (int i = 0; i < xy.length; i += 2) {
            corners.add(Map.of("x", xy[i] + " m", "y", xy[i + 1] + " m"));
        }
        List<Object> folds = List.of(
                Map.of("across", "0 m", "height", "0 m"),
                Map.of("across", half + " m", "height", rise + " m"),
                Map.of("across", 2 * half + " m", "height", "0 m"));
        return Jobs.design(
                        "roof.outline", Map.of("kind", "drawn", "corners", corners),
                        "roof.parapets", List.of(),
                        "roof.covering", "standing seam",
                        "roof.form", Map.of("kind", "folded", "edge", edge, "folds", folds))
                .plan()
                .faces();
    }
}
