package whipsaw.core.site;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import whipsaw.core.Draws;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;
import whipsaw.core.roof.RoofPlan;

/** Zones F, G, H and I against the code's own figure on rectangles, and as a partition of any roof. */
class EnZonesTest {
    private static final GeometryFactory GEOMETRY = new GeometryFactory();

    /** The figure of 7.2.3 for one wind direction, written out by hand. */
    private static int figure(double x, double y, double b, double h) {
        double e = Math.min(b, 2 * h);
        if (x <= e / 10) {
            return Math.min(y, b - y) <= e / 4 ? 3 : 2;
        }
        return x <= e / 2 ? 1 : 0;
    }

    private static String worst(double x, double y, double roofX, double roofY, double h) {
        int worst = Math.max(
                Math.max(figure(x, y, roofY, h), figure(roofX - x, y, roofY, h)),
                Math.max(figure(y, x, roofX, h), figure(roofY - y, x, roofX, h)));
        return List.of("I", "H", "G", "F").get(worst);
    }

    @Test
    void aRectangleHasTheZonesOfTheFigure() {
        Draws.each(600, draw -> {
            double roofX = draw.between(10, 90);
            double roofY = draw.between(10, 90);
            double h = draw.between(3, 25);
            double u = draw.between(0.01, 0.99);
            double v = draw.between(0.01, 0.99);
            EnZones zones = EnZones.of(RoofPlan.bareRectangle(roofX, roofY, h));
            double x = u * roofX;
            double y = v * roofY;
            assertThat(zones.zone(new Coordinate[] {new Coordinate(x, y)})).isEqualTo(worst(x, y, roofX, roofY, h));
        });
    }

    @Test
    void aMirroredPlaceHasTheSameZone() {
        Draws.each(200, draw -> {
            double u = draw.between(0.01, 0.99);
            double v = draw.between(0.01, 0.99);
            EnZones zones = EnZones.of(RoofPlan.bareRectangle(48, 31, 9));
            String here = zones.zone(new Coordinate[] {new Coordinate(48 * u, 31 * v)});
            assertThat(zones.zone(new Coordinate[] {new Coordinate(48 * (1 - u), 31 * v)}))
                    .isEqualTo(here);
            assertThat(zones.zone(new Coordinate[] {new Coordinate(48 * u, 31 * (1 - v))}))
                    .isEqualTo(here);
        });
    }

    @Test
    void aPanelTakesTheMostSevereZoneItTouches() {
        EnZones zones = EnZones.of(RoofPlan.bareRectangle(60, 40, 10));
        Coordinate[] across = {
            new Coordinate(1.5, 20), new Coordinate(2.6, 20), new Coordinate(2.6, 21), new Coordinate(1.5, 21)
        };
        assertThat(zones.zone(across)).isEqualTo("G");
        Coordinate[] inside = {
            new Coordinate(2.1, 20), new Coordinate(3.2, 20), new Coordinate(3.2, 21), new Coordinate(2.1, 21)
        };
        assertThat(zones.zone(inside)).isEqualTo("H");
    }

    private static Design onAnL() {
        return Jobs.pairedDesign(
                "roof.outline",
                Map.of(
                        "kind",
                        "drawn",
                        "corners",
                        List.of(
                                corner(0, 0),
                                corner(62, 2),
                                corner(61, 30),
                                corner(33, 29),
                                corner(32, 55),
                                corner(-1, 54))),
                "roof.parapets",
                List.of(),
                "roof.bays",
                Map.of("alongX", "10 m", "alongY", "10 m"));
    }

    private static Map<String, Object> corner(double x, double y) {
        return Map.of("x", x + " m", "y", y + " m");
    }

    @Test
    void theDrawnZonesAreTheRoofWithoutGapsOrOverlaps() {
        Design d = onAnL();
        double sum = 0;
        List<Geometry> shapes = new ArrayList<>();
        for (RoofZones.Area area : d.site().zones().areas()) {
            sum += area.shape().getArea();
            shapes.add(area.shape());
        }
        assertThat(sum).isCloseTo(d.plan().areaM2(), within(d.plan().areaM2() * 1e-6));
        Geometry all = OverlayNGRobust.union(shapes);
        Geometry missing = OverlayNGRobust.overlay(d.plan().outline(), all, OverlayNG.SYMDIFFERENCE);
        assertThat(missing.getArea()).isLessThan(1e-3);
    }

    @Test
    void theDrawnZonesAgreeWithTheZonesOfPlaces() {
        Design d = onAnL();
        RoofZones zones = d.site().zones();
        int seen = 0;
        for (double x = -0.9; x < 62; x += 1.37) {
            for (double y = 0.2; y < 55; y += 1.21) {
                Geometry point = GEOMETRY.createPoint(new Coordinate(x, y));
                String zone = zones.areas().stream()
                        .filter(a -> a.shape().contains(point)
                                && a.shape().getBoundary().distance(point) > 0.05)
                        .map(RoofZones.Area::name)
                        .findFirst()
                        .orElse(null);
                if (zone != null) {
                    assertThat(zones.zone(new Coordinate[] {new Coordinate(x, y)}))
                            .as(x + " " + y)
                            .isEqualTo(zone);
                    seen++;
                }
            }
        }
        assertThat(seen).isGreaterThan(1000);
    }

    @Test
    void anInsideCornerIsNoCornerZone() {
        EnZones zones = (EnZones) onAnL().site().zones();
        assertThat(zones.zone(new Coordinate[] {new Coordinate(32.3, 28.7)})).isEqualTo("G");
        assertThat(zones.zone(new Coordinate[] {new Coordinate(0.4, 0.5)})).isEqualTo("F");
        assertThat(zones.sides().get(2).after())
                .as("edge 3 ends at the inside corner")
                .isNull();
    }
}
