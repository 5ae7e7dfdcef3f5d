package whipsaw.app.drawing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.util.AffineTransformation;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.store.Json;
import whipsaw.core.check.Check;
import whipsaw.core.design.Design;
import whipsaw.core.design.Solver;
import whipsaw.core.job.JobReader;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.table.CodeTables;

/** What the drawings show of pairs, zones of both families, places of checks, and the small drawing. */
class PairDrawingTest {
    private static final Solver SOLVER = new Solver(CodeTables.shipped());
    private static final Design SCHOOL = design(Seeds.demoJobs().get(1));
    private static final Design STORE = design(Seeds.demoJobs().get(2));

    private static Design design(Map<String, Object> document) {
        return SOLVER.solve(JobReader.read(document, false).job());
    }

    private static int count(String text, String pattern) {
        Matcher m = Pattern.compile(pattern).matcher(text);
        int n = 0;
        while (m.find()) {
            n++;
        }
        return n;
    }

    @Test
    void aSectionOfPairsIsASawWithTeethBothWays() {
        String svg = SectionDrawing.of(SCHOOL);
        assertThat(count(svg, "class=\"tooth\"")).isEqualTo(4);
        assertThat(svg).contains("pair to pair", "facing 82° and 262°", "a face is in shade while the sun is below");
        assertThat(count(SectionDrawing.of(STORE), "class=\"tooth\"")).isEqualTo(3);
    }

    @Test
    void everyPairHasItsRidgeAndRowsTheirNumbers() {
        String svg = PlanDrawing.forScreen(SCHOOL, List.of());
        String ridges = svg.replaceAll("(?s).*class=\"ridge\" d=\"([^\"]*)\".*", "$1");
        long fronts = SCHOOL.layout().runs().stream()
                .filter(r -> !SCHOOL.layout().looksBack(r.row()))
                .count();
        assertThat(count(ridges, "M")).isEqualTo((int) fronts);
        for (int row = 3; row <= SCHOOL.layout().rows(); row++) {
            assertThat(svg).contains(">" + row + "</text>");
        }
    }

    @Test
    void everyZoneIsHatchedAndNamedWithoutHidingACount() {
        for (Design d : List.of(SCHOOL, STORE)) {
            String svg = PlanDrawing.forScreen(d, List.of());
            for (var area : d.site().zones().areas()) {
                assertThat(svg).contains(">zone " + area.name() + "</text>");
            }
            long hatched =
                    d.site().zones().areas().stream().filter(a -> a.rank() > 0).count();
            assertThat(count(svg, "class=\"zone\" fill=\"url\\(#s-zone")).isEqualTo((int) hatched);
        }
        // a flag lies where no count stands
        Matcher flag = Pattern.compile(
                        "rotate\\((-?[0-9.]+) (-?[0-9.]+) (-?[0-9.]+)\\)\"><rect class=\"flag\" x=\"(-?[0-9.]+)\" y=\"(-?[0-9.]+)\" width=\"([0-9.]+)\" height=\"([0-9.]+)\"")
                .matcher(PlanDrawing.forScreen(STORE, List.of()));
        int flags = 0;
        int hidden = 0;
        while (flag.find()) {
            double[] n = new double[7];
            for (int i = 0; i < 7; i++) {
                n[i] = Double.parseDouble(flag.group(i + 1));
            }
            Envelope box = new Envelope(n[3], n[3] + n[5], n[4], n[4] + n[6]);
            AffineTransformation back = AffineTransformation.rotationInstance(Math.toRadians(-n[0]), n[1], n[2]);
            for (var p : STORE.holdDown().positions()) {
                Coordinate at = STORE.layout().frame().plan(p.s(), p.t());
                Coordinate turned = back.transform(new Coordinate(at.x * 100, -at.y * 100), new Coordinate());
                hidden += box.contains(turned) ? 1 : 0;
            }
            flags++;
        }
        assertThat(flags).isGreaterThan(4);
        assertThat(hidden).isZero();
    }

    @Test
    void gridLinesEndAtTheRoof() {
        String svg = PlanDrawing.forPaper(STORE, PaperSize.A3, false);
        Matcher line = Pattern.compile("class=\"grid\" d=\"M(-?[0-9.]+) (-?[0-9.]+)L(-?[0-9.]+) (-?[0-9.]+)\"")
                .matcher(svg);
        int seen = 0;
        while (line.find()) {
            for (int i = 1; i <= 3; i += 2) {
                var end = new GeometryFactory()
                        .createPoint(new Coordinate(
                                Double.parseDouble(line.group(i)) / 100, -Double.parseDouble(line.group(i + 1)) / 100));
                assertThat(STORE.plan().outline().distance(end)).isLessThan(0.02);
            }
            seen++;
        }
        assertThat(seen).isGreaterThan(15);
    }

    @Test
    @SuppressWarnings("unchecked")
    void thePlacesOfChecksAreRingsOnTheRoof() {
        Map<String, Object> document = Seeds.demoJob();
        Map<String, Object> roof = new LinkedHashMap<>(((List<Map<String, Object>>) document.get("roofs")).get(0));
        roof.put("allowance", Map.of("load", "6 psf", "givenBy", "A", "date", "2026-01-31"));
        document.put("roofs", List.of(roof));
        Design d = design(document);
        Map<String, Object> data = Json.object(PlanData.of(d));
        var places = (Map<String, List<List<Number>>>) data.get("places");
        Check bay = d.checks().stream()
                .filter(c -> c.id().equals("roof.bay"))
                .findFirst()
                .orElseThrow();
        assertThat(places.get("roof.bay")).hasSameSizeAs(bay.place().items());
        RoofPlan.Bay first = d.plan().bays().get(bay.place().items().get(0));
        assertThat(places.get("roof.bay").get(0).get(0).doubleValue())
                .isEqualTo(Math.round(first.cell().getMinX() * 1000) / 1000.0);
        assertThat(data.get("established")).isEqualTo(true);
    }

    @Test
    void theSmallDrawingIsSmallHoweverManyModulesThereAre() {
        String stamp = SmallDrawing.of(STORE);
        assertThat(stamp.length()).isLessThan(30_000);
        assertThat(stamp).contains("Roof with " + STORE.layout().modules().size() + " modules");
        assertThat(count(stamp, "class=\"obstacle\""))
                .isEqualTo(STORE.job().roof().obstructions().size());
    }

    @Test
    void aComparisonMarksWhatDiffersAndHasNoHandles() {
        String svg = PlanDrawing.forComparison(SCHOOL, List.of(0, 3), STORE);
        assertThat(svg)
                .contains("class=\"mark\"", "class=\"cloud gone\"", "class=\"cloud\"")
                .doesNotContain("tabindex")
                .doesNotContain("id=\"plan\"");
        assertThat(PlanDrawing.forComparison(SCHOOL, List.of(), SCHOOL)).doesNotContain("class=\"mark\"");
    }
}
