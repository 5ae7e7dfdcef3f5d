package whipsaw.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import tools.jackson.databind.ObjectMapper;

/** Files that other libraries wrote; which, see the folder they lie in. */
class ForeignFilesTest {
    private static String text(String name) {
        try (InputStream in = ForeignFilesTest.class.getResourceAsStream("/exchange/" + name)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Map<?, ?> json(String text) {
        return new ObjectMapper().readValue(text, Map.class);
    }

    private static ForeignDrawing geo(String text, double lon, double lat) {
        return GeoJsonReader.read(json(text), new Coordinate(lon, lat), 0);
    }

    @Test
    void anOldStylePolylineWithCirclesArcsAndTextIsRead() {
        ForeignDrawing drawing = DxfReader.read(text("dxf-writer.dxf"));
        assertThat(drawing.metresPerUnit()).isEqualTo(1);
        RoofFromDrawing roof = RoofFromDrawing.of(drawing, 1, Map.of("A-ROOF", "outline", "VENTS", "vent"));
        assertThat(roof.outline()).hasSize(6);
        assertThat(roof.outline().get(2)).isEqualTo(new Coordinate(40, 20));
        assertThat(roof.things()).hasSize(2);
        assertThat(roof.things()).anySatisfy(t -> {
            assertThat(t.circle()).isTrue();
            assertThat(t.width()).isCloseTo(1, within(0.003));
            assertThat(t.x() + t.width() / 2).isCloseTo(10, within(0.002));
        });
        assertThat(roof.findings()).anySatisfy(f -> assertThat(f.what()).contains("open line"));
        assertThat(drawing.findings()).anySatisfy(f -> assertThat(f.what()).contains("TEXT"));
    }

    @Test
    void blocksInsertedScaledAndTurnedLieWhereTheyBelong() {
        ForeignDrawing drawing = DxfReader.read(text("tarikjabiri-dxf.dxf"));
        assertThat(drawing.metresPerUnit()).isEqualTo(0.001);
        RoofFromDrawing roof =
                RoofFromDrawing.of(drawing, 0.001, Map.of("Outline", "outline", "Plant", "plant", "0", "plant"));
        assertThat(roof.outline()).hasSize(4);
        assertThat(roof.things()).anySatisfy(t -> {
            // 1 m by 1 m at (5, 5), twice as wide and 1.5 times as deep
            assertThat(t.x()).isCloseTo(5, within(1e-6));
            assertThat(t.width()).isCloseTo(2, within(1e-6));
            assertThat(t.depth()).isCloseTo(1.5, within(1e-6));
        });
        assertThat(roof.things()).anySatisfy(t -> {
            // turned by 90 degrees about (20, 5) it lies to the left of it
            assertThat(t.x()).isCloseTo(19, within(1e-6));
            assertThat(t.y()).isCloseTo(5, within(1e-6));
        });
        assertThat(roof.things()).anySatisfy(t -> {
            assertThat(t.circle()).as("two half circles by bulge").isTrue();
            assertThat(t.width()).isCloseTo(2, within(0.003));
        });
        assertThat(drawing.findings()).anySatisfy(f -> assertThat(f.what()).containsIgnoringCase("spline"));
    }

    @Test
    void singleLinesThatMeetBecomeAnOutlineInFeetOrInches() {
        ForeignDrawing drawing = DxfReader.read(text("makerjs.dxf"));
        assertThat(drawing.metresPerUnit()).isEqualTo(0.3048);
        RoofFromDrawing roof = RoofFromDrawing.of(drawing, 0.3048, Map.of("roof", "outline", "hatch", "hatch"));
        assertThat(roof.outline()).hasSize(4);
        assertThat(roof.outline()).anySatisfy(c -> assertThat(c.x).isCloseTo(30.48, within(1e-6)));
        assertThat(roof.things()).singleElement().satisfies(t -> {
            assertThat(t.corners()).as("round corners are kept").hasSizeGreaterThan(8);
            assertThat(t.width()).isCloseTo(8 * 0.3048, within(1e-3));
        });
    }

    @Test
    void aMapInDegreesIsLaidFlatWithNamesAndHeights() {
        ForeignDrawing drawing = geo(text("turf.geojson"), 0.3, 52.4);
        RoofFromDrawing roof = RoofFromDrawing.of(drawing, 1, Map.of("building", "outline", "vent", "vent"));
        // 0.0006 degrees of longitude at latitude 52.4 on the ellipsoid: 40.82 m; 0.0003 of latitude: 33.38 m
        assertThat(roof.outline().get(1).x).isCloseTo(40.82, within(0.02));
        assertThat(roof.outline().get(2).y).isCloseTo(33.38, within(0.02));
        assertThat(roof.things()).singleElement().satisfies(t -> {
            assertThat(t.name()).isEqualTo("Big vent");
            assertThat(t.heightM()).isEqualTo(1.2);
        });
        assertThat(drawing.findings()).anySatisfy(f -> assertThat(f.what()).contains("point gate left out"));
        assertThat(geo(text("turf.geojson"), -80, 10).findings())
                .anySatisfy(f -> assertThat(f.what()).contains("far from the site"));
    }

    @Test
    void theLocalPlaneGoesThereAndBackAndKeepsLengths() {
        for (double latitude : new double[] {-55, 0, 39.6, 66}) {
            LocalPlane plane = new LocalPlane(-83.1, latitude, 23);
            for (Coordinate at : List.of(new Coordinate(0, 0), new Coordinate(350, -720), new Coordinate(-1900, 40))) {
                Coordinate earth = plane.toEarth(at);
                assertThat(plane.toSheet(earth.x, earth.y).distance(at)).isLessThan(1e-6);
            }
        }
        LocalPlane north = new LocalPlane(10, 45, 0);
        // a thousandth of a degree of the meridian at latitude 45: 111.132 m by the ellipsoid's radius there
        assertThat(north.toSheet(10, 45.001).y).isCloseTo(111.132, within(0.001));
        assertThat(new LocalPlane(10, 45, 90).toSheet(10, 45.001).x).isCloseTo(-111.132, within(0.001));
    }

    @Test
    void whatIsNoMapOfOneSiteIsRefusedInWords() {
        assertThatThrownBy(() -> geo("{\"type\":\"FeatureCollection\",\"features\":[]}", 0, 0))
                .hasMessageContaining("no coordinates");
        assertThatThrownBy(() -> geo("{\"type\":\"Polygon\",\"coordinates\":[[[500000,4000000],[1,2],[3,4]]]}", 0, 0))
                .hasMessageContaining("no longitude and latitude");
        assertThatThrownBy(() -> geo("{\"type\":\"LineString\",\"coordinates\":[[0,0],[5,5]]}", 0, 0))
                .hasMessageContaining("20 km");
        assertThatThrownBy(() -> geo("{\"type\":\"Blob\",\"coordinates\":[[0,0],[0,0.001]]}", 0, 0))
                .hasMessageContaining("'Blob'");
        String deep = "{\"type\":\"GeometryCollection\",\"geometries\":[".repeat(12)
                + "{\"type\":\"LineString\",\"coordinates\":[[0,0],[0,0.001]]}" + "]}".repeat(12);
        assertThatThrownBy(() -> geo(deep, 0, 0)).hasMessageContaining("nested too deeply");
        assertThat(geo("{\"type\":\"LineString\",\"coordinates\":[[0,0],[0,0],[0,0.001]]}", 0, 0)
                        .findings())
                .anySatisfy(f -> assertThat(f.what()).contains("twice"));
    }

    @Test
    void whatCouldBeNoOutlineIsNamedAtItsPlace() {
        ForeignDrawing crossed = new ForeignDrawing(
                1,
                List.of(new ForeignDrawing.Shape(
                        "ROOF",
                        "LWPOLYLINE",
                        List.of(
                                new Coordinate(0, 0),
                                new Coordinate(10, 10),
                                new Coordinate(10, 0),
                                new Coordinate(10, 0),
                                new Coordinate(0, 10)),
                        true)),
                List.of());
        assertThat(crossed.faults()).anySatisfy(f -> {
            assertThat(f.what()).contains("crosses or touches itself on layer 'ROOF'");
            assertThat(f.at().distance(new Coordinate(5, 5))).isLessThan(1e-9);
        });
        assertThat(crossed.faults()).anySatisfy(f -> {
            assertThat(f.what()).contains("side without length");
            assertThat(f.at()).isEqualTo(new Coordinate(10, 0));
        });
    }
}
