package whipsaw.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.locationtech.jts.geom.Coordinate;

/** What a drawing file holds, and what is said of the rest. */
class DxfReaderTest {
    private static String file(String blocks, String entities) {
        return ("0 SECTION 2 HEADER 9 $INSUNITS 70 4 0 ENDSEC 0 SECTION 2 BLOCKS " + blocks
                        + " 0 ENDSEC 0 SECTION 2 ENTITIES " + entities + " 0 ENDSEC 0 EOF")
                .replaceAll(" +", "\n");
    }

    private static ForeignDrawing read(String blocks, String entities) {
        return DxfReader.read(file(blocks, entities));
    }

    private static String line(double x1, double y1, double x2, double y2) {
        return " 0 LINE 8 ROOF 10 " + x1 + " 20 " + y1 + " 11 " + x2 + " 21 " + y2;
    }

    @Test
    void fourLinesInAnyOrderAndDirectionAreOneRoof() {
        ForeignDrawing d = read("", line(0, 0, 30, 0) + line(30, 20, 0, 20) + line(30, 0, 30, 20) + line(0, 0, 0, 20));
        assertThat(d.metresPerUnit()).isEqualTo(0.001);
        assertThat(d.shapes()).singleElement().satisfies(s -> {
            assertThat(s.closed()).isTrue();
            assertThat(s.area()).isCloseTo(600, within(1e-9));
            assertThat(s.points()).hasSize(4);
        });
        assertThat(d.findings()).isEmpty();
        assertThat(d.layers()).containsExactly(new ForeignDrawing.Layer("ROOF", 1, 1, 600, ""));
    }

    @Test
    void linesThatDoNotCloseAreSaidAtTheirPlace() {
        ForeignDrawing d = read("", line(0, 0, 30, 0) + line(30, 0, 30, 20) + line(30, 20, 1, 20));
        assertThat(d.shapes()).singleElement().satisfies(s -> assertThat(s.closed())
                .isFalse());
        assertThat(d.findings()).singleElement().satisfies(f -> {
            assertThat(f.what()).contains("open line", "ROOF");
            assertThat(f.at()).isNotNull();
        });
    }

    /** Two points with a bulge of 1 are a circle; of tan(22.5 deg) four quarters of one. */
    @ParameterizedTest
    @CsvSource({"1, 2", "-1, 2", "0.41421356237, 4"})
    void bulgesAreArcs(double bulge, int corners) {
        StringBuilder e = new StringBuilder(" 0 LWPOLYLINE 8 TANK 90 " + corners + " 70 1");
        for (int i = 0; i < corners; i++) {
            double t = 2 * Math.PI * i / corners;
            e.append(" 10 ")
                    .append(5 * Math.cos(t))
                    .append(" 20 ")
                    .append(5 * Math.sin(t))
                    .append(" 42 ")
                    .append(bulge);
        }
        ForeignDrawing d = read("", e.toString());
        assertThat(d.shapes().get(0).area()).isCloseTo(Math.PI * 25, within(Math.PI * 25 * 0.005));
        assertThat(d.shapes().get(0).points())
                .allSatisfy(p -> assertThat(p.distance(new Coordinate(0, 0))).isCloseTo(5, within(1e-6)));
        assertThat(d.findings()).anyMatch(f -> f.what().contains("chords"));
    }

    @Test
    void circlesArcsAndSplinesBecomeChords() {
        ForeignDrawing d = read(
                "",
                " 0 CIRCLE 8 A 10 1 20 2 40 3 0 ARC 8 B 10 0 20 0 40 2 50 270 51 90"
                        + " 0 SPLINE 8 C 71 2 40 0 40 0 40 0 40 1 40 1 40 1 10 0 20 0 10 1 20 2 10 2 20 0");
        assertThat(d.shapes())
                .extracting(ForeignDrawing.Shape::kind)
                .containsExactlyInAnyOrder("CIRCLE", "ARC", "SPLINE");
        for (ForeignDrawing.Shape s : d.shapes()) {
            if (s.kind().equals("CIRCLE")) {
                assertThat(s.area()).isCloseTo(Math.PI * 9, within(0.15));
            } else if (s.kind().equals("ARC")) {
                assertThat(s.points().get(0).distance(new Coordinate(0, -2))).isLessThan(1e-9);
                assertThat(s.points()).allSatisfy(p -> assertThat(p.x).isGreaterThanOrEqualTo(-1e-9));
            } else {
                // a parabola through the middle of its control triangle
                assertThat(s.points()).anyMatch(p -> p.distance(new Coordinate(1, 1)) < 1e-9);
                assertThat(s.points().get(s.points().size() - 1).distance(new Coordinate(2, 0)))
                        .isLessThan(1e-9);
            }
        }
    }

    @Test
    void blocksAreMovedTurnedScaledAndNested() {
        String leg = " 0 LINE 8 0 10 1 20 0 11 2 21 0";
        String blocks = " 0 BLOCK 2 IN 10 1 20 0" + leg + " 0 ENDBLK"
                + " 0 BLOCK 2 OUT 10 0 20 0 0 INSERT 8 0 2 IN 10 5 20 0 41 2 42 2 0 ENDBLK";
        ForeignDrawing d = read(blocks, " 0 INSERT 8 PLANT 2 OUT 10 100 20 50 50 90");
        // the leg begins at its base, is twice as long, stands at (5, 0) in the outer, which is turned by a quarter
        assertThat(d.shapes()).singleElement().satisfies(s -> {
            assertThat(s.layer()).isEqualTo("PLANT");
            assertThat(s.points().get(0).distance(new Coordinate(100, 55))).isLessThan(1e-9);
            assertThat(s.points().get(1).distance(new Coordinate(100, 57))).isLessThan(1e-9);
        });
        ForeignDrawing rows = read(
                " 0 BLOCK 2 V 10 0 20 0 0 CIRCLE 8 0 10 0 20 0 40 1 0 ENDBLK",
                " 0 INSERT 8 VENTS 2 V 10 0 20 0 70 3 71 2 44 10 45 20");
        assertThat(rows.shapes()).hasSize(6);
        assertThat(rows.shapes()).anyMatch(s -> s.points().get(0).distance(new Coordinate(21, 20)) < 1e-9);
    }

    @Test
    void blocksThatHoldThemselvesOrAreMissingAreSaid() {
        String blocks = " 0 BLOCK 2 A 10 0 20 0 0 INSERT 8 0 2 B 10 1 20 1 0 ENDBLK" + " 0 BLOCK 2 B 10 0 20 0"
                + " 0 LINE 8 0 10 0 20 0 11 1 21 1" + " 0 INSERT 8 0 2 A 10 0 20 0 0 ENDBLK";
        ForeignDrawing d =
                read(blocks, " 0 INSERT 8 X 2 A 10 0 20 0 0 INSERT 8 X 2 NONE 10 7 20 8 0 TEXT 8 T 10 3 20 4 1 hello");
        assertThat(d.shapes()).hasSize(1);
        assertThat(d.findings())
                .extracting(ForeignDrawing.Finding::what)
                .anyMatch(w -> w.contains("contains itself"))
                .anyMatch(w -> w.contains("'NONE'") && w.contains("not in the file"))
                .anyMatch(w -> w.startsWith("TEXT left out"));
    }

    @Test
    void repeatedPointsAndThingsWithoutLengthAreSaid() {
        ForeignDrawing d = read(
                "",
                " 0 LWPOLYLINE 8 R 90 5 70 1 10 0 20 0 10 0 20 0 10 4 20 0 10 4 20 3 10 0 20 3"
                        + " 0 LINE 8 R 10 9 20 9 11 9 21 9");
        assertThat(d.shapes()).singleElement().satisfies(s -> assertThat(s.area())
                .isEqualTo(12));
        assertThat(d.findings())
                .extracting(ForeignDrawing.Finding::what)
                .contains("repeated point left out", "LINE without length left out");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "hello", "0\nSECTION\n2\nHEADER\n0\nENDSEC\n0\nEOF", "0\nSECTION\n2\nENTITIES\nx\ny"})
    void whatIsNoDrawingIsRefused(String text) {
        assertThatThrownBy(() -> DxfReader.read(text)).isInstanceOf(DxfReader.NotDxf.class);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                " 0 LINE 8 R 11 1 21 1",
                " 0 INSERT 8 R 2 V",
                " 0 CIRCLE 8 R 40 2",
                " 0 LINE 8 R 10 NaN 20 0 11 1 21 1",
                " 0 ARC 8 R 10 x 20 0 40 1"
            })
    void entitiesWithoutAPlaceOrWithNoNumberAreRefusedInWords(String entity) {
        assertThatThrownBy(() -> read(" 0 BLOCK 2 V 10 0 20 0 0 ENDBLK", entity))
                .isInstanceOf(DxfReader.NotDxf.class)
                .hasMessageMatching(".*(has no place|is no number).*");
    }

    @Test
    void aBombOfBlocksIsRefused() {
        StringBuilder blocks = new StringBuilder(" 0 BLOCK 2 B0 10 0 20 0" + line(0, 0, 1, 1) + " 0 ENDBLK");
        for (int i = 1; i < 8; i++) {
            blocks.append(" 0 BLOCK 2 B").append(i).append(" 10 0 20 0");
            blocks.append(" 0 INSERT 8 0 2 B").append(i - 1).append(" 10 0 20 0 70 40 71 40 44 1 45 1");
            blocks.append(" 0 ENDBLK");
        }
        assertThatThrownBy(() -> read(blocks.toString(), " 0 INSERT 8 0 2 B7 10 0 20 0"))
                .isInstanceOf(DxfReader.NotDxf.class)
                .hasMessageContaining("more than");
    }

    private static final String SQUARE = " 0 LWPOLYLINE 8 ROOF 90 4 70 1 10 0 20 0 10 30 20 0 10 30 20 20 10 5 20 20";

    /** An entity seen from behind its plane is mirrored where it stands, in a block too. */
    @Test
    void whatIsDrawnFromBehindLandsWhereItIs() {
        ForeignDrawing d = read("", SQUARE + " 230 -1");
        assertThat(d.shapes().get(0).points()).extracting(c -> c.x).containsExactly(0.0, -30.0, -30.0, -5.0);
        assertThat(d.shapes().get(0).points()).extracting(c -> c.y).containsExactly(0.0, 0.0, 20.0, 20.0);
        ForeignDrawing block = read(
                "0 BLOCK 2 B 10 0 20 0 0 CIRCLE 8 V 10 4 20 1 40 1 0 ENDBLK", " 0 INSERT 8 V 2 B 10 100 20 50 230 -1");
        double x = block.shapes().get(0).points().stream()
                .mapToDouble(c -> c.x)
                .average()
                .orElseThrow();
        assertThat(x).isCloseTo(-104, within(1e-6));
        // lines have their points in space
        ForeignDrawing line = read("", line(0, 0, 30, 0) + " 230 -1");
        assertThat(line.shapes().get(0).points().get(1).x).isEqualTo(30);
        assertThat(read("", SQUARE + " 210 0.6 230 0.8").findings())
                .anyMatch(f -> f.what().contains("tilted plane"));
    }

    @Test
    void paperSpaceIsNoRoofAndHiddenLayersAreMarked() {
        ForeignDrawing d =
                DxfReader.read(("0 SECTION 2 TABLES 0 TABLE 2 LAYER 0 LAYER 2 ROOF 70 1 62 7 0 LAYER 2 VENTS 70 0 62 -3"
                                + " 0 ENDTAB 0 ENDSEC 0 SECTION 2 ENTITIES" + SQUARE + SQUARE + " 67 1"
                                + " 0 CIRCLE 8 VENTS 10 1 20 1 40 1 0 ENDSEC 0 EOF")
                        .replaceAll(" +", "\n"));
        assertThat(d.shapes()).hasSize(2);
        assertThat(d.findings()).anyMatch(f -> f.what().contains("paper space"));
        assertThat(d.layers()).extracting(ForeignDrawing.Layer::state).containsExactly("frozen", "off");
    }

    @Test
    void namesAreReadByTheCodePageOfTheFile() {
        String file = "0\nSECTION\n2\nHEADER\n9\n$DWGCODEPAGE\n3\nANSI_1252\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n"
                + "0\nCIRCLE\n8\nD\u00e4cher\n10\n0\n20\n0\n40\n1\n0\nCIRCLE\n8\nT\\U+00F4le\n10\n0\n20\n0\n40\n1\n0\nENDSEC\n";
        byte[] bytes = file.getBytes(java.nio.charset.Charset.forName("windows-1252"));
        assertThat(DxfReader.read(DxfReader.decode(bytes)).layers())
                .extracting(ForeignDrawing.Layer::name)
                .containsExactly("D\u00e4cher", "T\u00f4le");
        assertThat(DxfReader.decode("D\u00e4cher".getBytes(java.nio.charset.StandardCharsets.UTF_8)))
                .isEqualTo("D\u00e4cher");
    }

    @Test
    void aSplineGivenByItsFitPointsRunsThroughThem() {
        ForeignDrawing d = read("", " 0 SPLINE 8 C 70 0 71 3 74 3 11 0 21 0 11 5 21 5 11 10 21 0");
        assertThat(d.shapes()).singleElement().satisfies(s -> {
            assertThat(s.points()).contains(new Coordinate(0, 0), new Coordinate(5, 5), new Coordinate(10, 0));
            assertThat(s.points().size()).isGreaterThan(10);
        });
    }

    /** A gap of 35 is closed when gaps of 50 are, and stays when those of 20 are. */
    @ParameterizedTest
    @CsvSource({"20, false", "50, true"})
    void gapsUpToASizeAreClosedOnRequest(double gap, boolean closed) {
        ForeignDrawing d = read(
                "",
                line(0, 0, 30000, 0)
                        + line(30000, 35, 30000, 20000)
                        + line(30000, 20000, 0, 20000)
                        + line(0, 20000, 0, 30));
        ForeignDrawing after = d.closing(gap);
        assertThat(after.shapes().stream().anyMatch(ForeignDrawing.Shape::closed))
                .isEqualTo(closed);
        assertThat(after.findings().stream().anyMatch(f -> f.what().contains("gap closed")))
                .isEqualTo(closed);
        if (closed) {
            assertThat(after.shapes()).singleElement().satisfies(s -> assertThat(s.area())
                    .isCloseTo(6e8, within(6e8 * 0.002)));
        }
    }
}
