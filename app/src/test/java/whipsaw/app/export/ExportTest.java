package whipsaw.app.export;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.poi.ss.usermodel.CellType;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.drawing.PaperSize;
import whipsaw.app.drawing.PlanDrawing;
import whipsaw.app.store.Json;
import whipsaw.app.store.Revision;
import whipsaw.core.design.Design;
import whipsaw.core.design.Solver;
import whipsaw.core.job.JobReader;
import whipsaw.core.roof.RoofFace;
import whipsaw.core.roof.SheetLines;
import whipsaw.core.table.CodeTables;

/** Files for other programs hold what the design holds. */
class ExportTest {
    private static final CodeTables TABLES = CodeTables.shipped();
    private static final Design DESIGN =
            new Solver(TABLES).solve(JobReader.read(Seeds.demoJob(), false).job());

    /** Entities of a drawing file: their kind and their values by code. */
    private record Entity(String kind, Map<Integer, List<String>> values) {
        double number(int code) {
            return Double.parseDouble(values.get(code).get(0));
        }

        String layer() {
            return values.get(8).get(0);
        }
    }

    private static List<Entity> entities(String dxf) {
        String[] lines = dxf.split("\r\n");
        assertThat(lines.length % 2).isZero();
        List<Entity> all = new ArrayList<>();
        boolean inside = false;
        for (int i = 0; i < lines.length; i += 2) {
            int code = Integer.parseInt(lines[i]);
            if (code == 2 && lines[i + 1].equals("ENTITIES")) {
                inside = true;
            } else if (inside && code == 0) {
                all.add(new Entity(lines[i + 1], new TreeMap<>()));
            } else if (inside) {
                all.get(all.size() - 1)
                        .values()
                        .computeIfAbsent(code, k -> new ArrayList<>())
                        .add(lines[i + 1]);
            }
        }
        return all;
    }

    /** Roofs of metal go out with their faces, the lines between them, every rib and what was pinned. */
    @Test
    void theDxfOfAMetalRoofHasFacesLinesRibsAndPins() {
        Design depot = new Solver(TABLES)
                .solve(JobReader.read(Seeds.demoJobs().get(3), false).job());
        String dxf = DxfDrawing.of(depot, "Preliminary");
        List<Entity> all = entities(dxf);
        for (RoofFace face : depot.plan().faces().faces()) {
            SheetLines lines = SheetLines.of(face, depot.job().roof().fabric());
            assertThat(lines.ribCount()).isGreaterThan(10);
        }
        long ribs = depot.plan().faces().faces().stream()
                .mapToLong(f ->
                        SheetLines.of(f, depot.job().roof().fabric()).ribs().size())
                .sum();
        assertThat(all.stream()
                        .filter(e -> e.kind().equals("POLYLINE") && e.layer().equals("RIBS"))
                        .count())
                .isEqualTo(ribs);
        assertThat(all.stream()
                        .filter(e -> e.kind().equals("TEXT") && e.layer().equals("PINS"))
                        .map(e -> e.values().get(1).get(0)))
                .hasSize(depot.job().survey().pins().size())
                .allSatisfy(w -> assertThat(w).isNotBlank());
        double faces = 0;
        List<Coordinate> ring = new ArrayList<>();
        for (Entity e : all) {
            boolean ofFace = e.values().containsKey(8) && e.layer().equals("FACES");
            if (ofFace && e.kind().equals("VERTEX")) {
                ring.add(new Coordinate(e.number(10), e.number(20)));
            } else if (ofFace && e.kind().equals("SEQEND")) {
                ring.add(ring.get(0));
                faces += new GeometryFactory()
                        .createPolygon(ring.toArray(Coordinate[]::new))
                        .getArea();
                ring.clear();
            }
        }
        assertThat(faces).isCloseTo(depot.plan().areaM2(), within(0.05));
        assertThat(dxf).contains("LINE-RIDGE", "LINE-EAVE", "PURLINS");
    }

    /** Figures on the plan of reactions are those of the schedule. */
    @Test
    void theReactionsPlanHasTheFiguresOfTheSchedule() {
        PlanDrawing.Reactions plan = PlanDrawing.reactions(DESIGN, PaperSize.TABLOID, true);
        List<Long> drawn = Pattern.compile("class=\"reaction\"[^>]*>([0-9]+)<")
                .matcher(plan.svg())
                .results()
                .map(r -> Long.valueOf(r.group(1)))
                .sorted()
                .toList();
        List<Long> all = DESIGN.members().sets().stream()
                .flatMap(s -> s.members().stream())
                .filter(m -> m.arrayN() > 0)
                .flatMap(m -> Stream.of(m.reactions().arrayLeft(), m.reactions().arrayRight()))
                .map(n -> Math.round(n / 4.4482216152605))
                .sorted()
                .toList();
        assertThat(drawn.size()).isGreaterThan(all.size() * 9 / 10);
        List<Long> left = new ArrayList<>(all);
        drawn.forEach(
                d -> assertThat(left.remove(d)).as("%s is in the schedule", d).isTrue());
        assertThat(plan.told()).contains("lbf");
        Design bare = new Solver(TABLES)
                .solve(JobReader.read(Seeds.demoJobs().get(1), false).job());
        assertThat(PlanDrawing.reactions(bare, PaperSize.A4, true)).isNull();
    }

    @Test
    void theDxfHasEveryModuleAtItsPlaceAndTheRoofOnItsOwnLayer() {
        String dxf = DxfDrawing.of(DESIGN, "Preliminary");
        assertThat(dxf).startsWith("0\r\nSECTION").endsWith("0\r\nEOF\r\n").contains("$INSUNITS\r\n70\r\n6");
        assertThat(dxf.chars().allMatch(c -> c < 127)).isTrue();
        List<Entity> all = entities(dxf);
        List<Entity> modules =
                all.stream().filter(e -> e.kind().equals("INSERT")).toList();
        assertThat(modules).hasSize(DESIGN.layout().modules().size());
        for (int i = 0; i < modules.size(); i++) {
            Coordinate at = DESIGN.layout().corners(DESIGN.layout().modules().get(i))[0];
            assertThat(modules.get(i).number(10)).isCloseTo(at.x, within(1e-4));
            assertThat(modules.get(i).number(20)).isCloseTo(at.y, within(1e-4));
        }
        List<Coordinate> roof = all.stream()
                .filter(e -> e.kind().equals("VERTEX") && e.layer().equals("ROOF"))
                .map(e -> new Coordinate(e.number(10), e.number(20)))
                .collect(Collectors.toList());
        roof.add(roof.get(0));
        double area = new GeometryFactory()
                .createPolygon(roof.toArray(Coordinate[]::new))
                .getArea();
        assertThat(area).isCloseTo(DESIGN.plan().areaM2(), within(0.01));
        long blocks = all.stream()
                .filter(e -> e.kind().equals("TEXT") && e.layer().equals("BLOCK-COUNTS"))
                .mapToLong(e -> Long.parseLong(e.values().get(1).get(0).replace("!", "")))
                .sum();
        assertThat(blocks).isEqualTo(DESIGN.holdDown().blocks());
        // every layer used is declared
        String tables = dxf.substring(dxf.indexOf("TABLES"), dxf.indexOf("BLOCKS"));
        all.stream()
                .filter(e -> e.values().containsKey(8))
                .map(Entity::layer)
                .distinct()
                .forEach(l -> assertThat(tables).contains("\r\n2\r\n" + l + "\r\n"));
        assertThat(all.stream()
                        .filter(e -> e.values().containsKey(8))
                        .map(Entity::layer)
                        .distinct())
                .contains("PARAPETS", "OBSTRUCTIONS", "STRINGS", "AC-RUN", "ZONE-3", "BAYS", "SIZES", "NOTES");
    }

    @Test
    void theSvgHasNamedLayersAndItsOwnPens() {
        String svg = PlanDrawing.forExport(DESIGN);
        for (String layer : List.of("zones", "bays", "dims", "array", "blocks", "obstructions", "strings", "run")) {
            assertThat(svg).contains("class=\"layer-" + layer + "\"");
        }
        assertThat(svg).contains("<style>").doesNotContain("tabindex");
        Matcher ids = Pattern.compile("<g id=\"([^\"]+)\">").matcher(svg);
        List<String> groups = ids.results().map(m -> m.group(1)).toList();
        assertThat(groups)
                .doesNotHaveDuplicates()
                .contains("roof", "wind-zones", "modules", "obstructions", "strings", "ac-run", "dimensions");
    }

    @Test
    @SuppressWarnings("unchecked")
    void theRingsOfTheGeoJsonRunAsTheStandardSaysAndGiveTheModuleItsArea() {
        Map<String, Object> all = Json.object(GeoJsonPlan.of(DESIGN));
        double radius = 6_371_000;
        int modules = 0;
        for (Map<String, Object> f : (List<Map<String, Object>>) all.get("features")) {
            Map<String, Object> geometry = (Map<String, Object>) f.get("geometry");
            if (!geometry.get("type").equals("Polygon")) {
                continue;
            }
            List<List<Number>> ring = ((List<List<List<Number>>>) geometry.get("coordinates")).get(0);
            assertThat(ring.get(0)).isEqualTo(ring.get(ring.size() - 1));
            double twice = 0;
            double north = Math.toRadians(ring.get(0).get(1).doubleValue());
            for (int i = 0; i + 1 < ring.size(); i++) {
                double x1 =
                        ring.get(i).get(0).doubleValue() - ring.get(0).get(0).doubleValue();
                double y1 =
                        ring.get(i).get(1).doubleValue() - ring.get(0).get(1).doubleValue();
                double x2 = ring.get(i + 1).get(0).doubleValue()
                        - ring.get(0).get(0).doubleValue();
                double y2 = ring.get(i + 1).get(1).doubleValue()
                        - ring.get(0).get(1).doubleValue();
                twice += x1 * y2 - x2 * y1;
            }
            assertThat(twice).as("outer rings run counter-clockwise").isPositive();
            Map<String, Object> properties = (Map<String, Object>) f.get("properties");
            if (properties.get("layer").equals("MODULES")) {
                modules++;
                double area = twice / 2 * Math.pow(Math.PI / 180 * radius, 2) * Math.cos(north);
                assertThat(area)
                        .isCloseTo(DESIGN.layout().alongM() * DESIGN.layout().depthM(), withinPercentage(1));
            }
        }
        assertThat(modules).isEqualTo(DESIGN.layout().modules().size());
    }

    @Test
    void theWorkbookAddsUpAndRunsNothing() throws Exception {
        Map<String, Object> document = Seeds.demoJob();
        @SuppressWarnings("unchecked")
        Map<String, Object> project = (Map<String, Object>) document.get("project");
        project.put("preparedBy", "=1+1");
        Design design = new Solver(TABLES).solve(JobReader.read(document, false).job());
        Revision revision = new Revision(3, 2, 3, "2026-11-25T10:00:00Z", "A", "change", "words", document);
        byte[] file = Workbook.of(Schedules.all(design, revision, TABLES, "Preliminary"));
        try (XSSFWorkbook book = new XSSFWorkbook(new ByteArrayInputStream(file))) {
            Sheet ballast = book.getSheet("Ballast");
            double placed = 0;
            for (Row row : ballast) {
                placed += row.getRowNum() == 0 ? 0 : row.getCell(9).getNumericCellValue();
            }
            assertThat((int) placed).isEqualTo(design.holdDown().blocks());
            assertThat(book.getSheet("Modules").getLastRowNum())
                    .isEqualTo(design.layout().modules().size());
            int inStrings = 0;
            for (Row row : book.getSheet("Strings")) {
                inStrings += row.getRowNum() == 0 ? 0 : (int) row.getCell(4).getNumericCellValue();
            }
            assertThat(inStrings).isEqualTo(design.strings().modules());
            for (Sheet sheet : book) {
                sheet.forEach(
                        row -> row.forEach(c -> assertThat(c.getCellType()).isNotEqualTo(CellType.FORMULA)));
            }
        }
        double reactions = Schedules.members(design).rows().stream()
                .mapToDouble(r -> ((Number) r.get(11)).doubleValue())
                .sum();
        // walls take a little of what stands beside them
        assertThat(reactions)
                .isBetween(
                        design.loads().totalKg() * 9.80665 * 0.95,
                        design.loads().totalKg() * 9.80665 * 1.0005);
        List<Entity> members = entities(DxfDrawing.of(DESIGN, "Preliminary")).stream()
                .filter(e -> e.kind().equals("TEXT") && e.layer().equals("MEMBERS"))
                .toList();
        assertThat(members).hasSize(Schedules.members(DESIGN).rows().size() / 2);
        assertThat(members).anySatisfy(e -> assertThat(e.values().get(1).get(0)).startsWith("D2-5 1.05"));
        String csv = Schedules.strings(design).csv();
        assertThat(csv.getBytes(StandardCharsets.UTF_8)).isNotEmpty();
        assertThat(csv.split("\r\n")).hasSize(design.circuits().strings() + 1);
    }
}
