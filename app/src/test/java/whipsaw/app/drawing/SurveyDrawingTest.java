package whipsaw.app.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.entry.FaceWords;
import whipsaw.core.design.Design;
import whipsaw.core.design.Solver;
import whipsaw.core.figure.Figures;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.JobReader;
import whipsaw.core.roof.FaceLine;
import whipsaw.core.roof.RoofFace;
import whipsaw.core.roof.SheetLines;
import whipsaw.core.section.CutLine;
import whipsaw.core.table.CodeTables;

/** What a survey adds to the drawing, on the two metal roofs of the demo. */
class SurveyDrawingTest {
    private static final Solver SOLVER = new Solver(CodeTables.shipped());
    private static final Design DEPOT = demo(3);
    private static final Design SHED = demo(4);

    private static Design demo(int i, Object... pathsAndValues) {
        List<DocumentPatch.Change> changes = new ArrayList<>();
        for (int k = 0; k < pathsAndValues.length; k += 2) {
            changes.add(new DocumentPatch.Change("set", (String) pathsAndValues[k], pathsAndValues[k + 1]));
        }
        var reading = JobReader.read(
                DocumentPatch.apply(
                        JobReader.read(Seeds.demoJobs().get(i), false).job(), changes),
                false);
        assertThat(reading.problems()).isEmpty();
        assertThat(SOLVER.problems(reading.job())).isEmpty();
        return SOLVER.solve(reading.job());
    }

    private static long strokes(String svg, String kind) {
        Matcher m = Pattern.compile("class=\"" + kind + "\" d=\"([^\"]*)\"").matcher(svg);
        long count = 0;
        while (m.find()) {
            count += m.group(1).chars().filter(c -> c == 'M').count();
        }
        return count;
    }

    private static int count(String svg, String what) {
        return svg.split(Pattern.quote(what), -1).length - 1;
    }

    @Test
    void everyRibAndPurlinOfTheSurveyIsOnTheDrawing() {
        for (Design d : List.of(DEPOT, SHED)) {
            String svg = PlanDrawing.forScreen(d, List.of());
            long ribs = 0;
            long purlins = 0;
            for (RoofFace face : d.plan().faces().faces()) {
                SheetLines lines = SheetLines.of(face, d.job().roof().fabric());
                ribs += lines.ribs().size();
                purlins += lines.purlins().size();
            }
            assertThat(ribs).isGreaterThan(200);
            assertThat(strokes(svg, "rib")).isEqualTo(ribs);
            assertThat(strokes(svg, "purlin")).isEqualTo(purlins);
        }
        // 176 ft 4 in at 18 in, first rib at 14 1/2 in: 117 on face 1
        assertThat(SheetLines.of(
                                DEPOT.plan().faces().faces().get(0),
                                DEPOT.job().roof().fabric())
                        .ribCount())
                .isEqualTo(117);
        assertThat(strokes(PlanDrawing.forScreen(SHED, List.of()), "screwline")).isPositive();
    }

    @Test
    void theDemoSurveysHoldTogether() {
        assertThat(DEPOT.plan().faces().lengthM(FaceLine.Kind.RIDGE)).isCloseTo(176.36 * 0.3048, within(0.05));
        assertThat(SHED.plan().faces().lengthM(FaceLine.Kind.STEP)).isZero();
        assertThat(SHED.plan().faces().lengthM(FaceLine.Kind.VALLEY)).isBetween(250.0, 280.0);
        assertThat(FaceWords.of(DEPOT)).startsWith("2 faces").contains("ridge 176'");
        assertThat(FaceWords.of(demo(0))).isEmpty();
        for (Design d : List.of(DEPOT, SHED)) {
            assertThat(d.layout().modules()).isEmpty();
            assertThat(d.checks())
                    .noneMatch(c -> c.id().startsWith("survey.purlins")
                            || c.id().startsWith("survey.offset")
                            || c.id().equals("array.placed"));
            Figures figures = new Figures(d, CodeTables.shipped());
            d.checks()
                    .forEach(c ->
                            assertThat(figures.working(c.figure())).as(c.id()).isNotNull());
        }
    }

    @Test
    void lightsAreRingedPinsAreMarkedByKindAndExhaustDrifts() {
        String svg = PlanDrawing.forScreen(SHED, List.of());
        assertThat(count(svg, "class=\"nowalk\"")).isEqualTo(7); // six lights, one sheet under paint
        assertThat(count(svg, "data-pin=")).isEqualTo(3);
        assertThat(svg).contains("class=\"pin hazard\"", "class=\"pin access\"", "a light under paint");
        assertThat(count(svg, "class=\"viewer\"")).isEqualTo(2); // beyond the sheet: a disc and which way
        assertThat(PlanDrawing.forScreen(DEPOT, List.of())).contains("class=\"exhaust\"");
        String paper = PlanDrawing.forPaper(SHED, PaperSize.A3, true);
        assertThat(paper).doesNotContain("data-pin", "tabindex").contains("class=\"pinmark\"");
    }

    @Test
    void circlesStayRoundAndOtherShapesKeepTheirCorners() {
        String svg = PlanDrawing.forScreen(SHED, List.of());
        assertThat(svg).contains("<circle class=\"shape\" cx=\"9050\"");
        Matcher shape = Pattern.compile("<path class=\"shape\" d=\"([^\"]*)\"").matcher(svg);
        assertThat(shape.find()).isTrue();
        assertThat(shape.group(1).chars().filter(c -> c == 'L').count()).isEqualTo(4);
    }

    @Test
    void whatIsDrawnHasAPenOnPaper() {
        String pens = PaperPens.at(new PaperScale(200, 100, 100, false));
        Set<String> without = new TreeSet<>();
        Set<String> grouped = Set.of("plan", "pin", "obstruction", "far", "near", "many", "rownumber", "even");
        for (Design d : List.of(DEPOT, SHED)) {
            Matcher m = Pattern.compile("<(?:path|line|rect|circle) class=\"([a-z ]+)\"")
                    .matcher(PlanDrawing.forPaper(d, PaperSize.A3, true));
            while (m.find()) {
                for (String kind : m.group(1).split(" ")) {
                    if (!grouped.contains(kind) && !pens.contains("." + kind)) {
                        without.add(kind);
                    }
                }
            }
        }
        without.removeAll(Set.of("ridge", "hip", "step", "head", "far", "title"));
        assertThat(without).as("a shape without a pen is filled black").isEmpty();
    }

    @Test
    void theStandardCutCrossesTheFoldsAndShowsTheirHeights() {
        CutLine cut = CutLines.standard(SHED);
        assertThat(cut.lengthM()).isCloseTo(60.05 * 1.08, within(0.1));
        String svg = SectionDrawing.of(SHED, cut, PlanDrawing.standardSun(SHED));
        assertThat(count(svg, ">+0.8 m<")).isEqualTo(4);
        assertThat(svg).doesNotContain("class=\"ray\"").contains("no shadows on pitched roofs yet");
    }

    @Test
    void aPictureLiesUnderThePlanOnScreenOnly() {
        Design d = demo(
                1,
                "$.survey",
                Map.of(
                        "underlay",
                        Map.of(
                                "picture",
                                "0123abcd",
                                "x",
                                "2 m",
                                "y",
                                "1 m",
                                "metresPerPixel",
                                0.05,
                                "turnDeg",
                                12.5,
                                "opacityPct",
                                40)));
        String svg = PlanDrawing.forScreen(d, List.of());
        assertThat(svg)
                .contains(
                        "href=\"/pictures/0123abcd\"", "opacity=\"0.4\"", "translate(200 -100) rotate(-12.5) scale(5)");
        assertThat(PlanDrawing.forPaper(d, PaperSize.A4, true)).doesNotContain("/pictures/");
    }

    @Test
    void anotherRoofStandsTurnedBesideTheOneWorkedOn() {
        Map<String, Object> annex = new LinkedHashMap<>(Map.of(
                "outline",
                Map.of(
                        "kind",
                        "drawn",
                        "corners",
                        List.of(
                                Map.of("x", "0 m", "y", "0 m"),
                                Map.of("x", "8 m", "y", "0 m"),
                                Map.of("x", "8 m", "y", "5 m"))),
                "upAzimuth",
                "82 deg",
                "height",
                "4 m",
                "slope",
                "0 deg",
                "covering",
                "bitumen"));
        annex.putAll(Map.of("id", "a", "name", "Annex", "x", "30 m", "y", "2 m"));
        List<Object> roofs = new ArrayList<>((List<?>) Seeds.demoJobs().get(1).get("roofs"));
        roofs.add(annex);
        Design d = demo(1, "$.roofs", roofs);
        var ring = BesideLayer.onSheet(
                d.job(),
                d.whole().roofs().get(1).roof(),
                d.whole().roofs().get(1).plan());
        // the school's sheet looks to 352 degrees: the annex is turned by a quarter clockwise
        assertThat(ring.get(1).distance(new Coordinate(30, -6))).isLessThan(1e-9);
        assertThat(ring.get(2).distance(new Coordinate(35, -6))).isLessThan(1e-9);
        assertThat(PlanDrawing.forScreen(d, List.of())).contains("class=\"otherroof\"", ">Annex<");
        assertThat(PlanDrawing.extent(d).contains(35, -6)).isTrue();
    }

    @Test
    void aSectionShowsTheLineOfSightOverTheParapetItCrosses() {
        Design d = demo(
                0,
                "$.survey",
                Map.of(
                        "viewers",
                        List.of(Map.of(
                                "id", "v", "name", "Road", "x", "90 ft", "y", "-200 ft", "eye", "5' 3\"", "ground",
                                "0 ft"))));
        CutLine up = new CutLine(new Coordinate(25, -3), new Coordinate(25, 43));
        String svg = SectionDrawing.of(d, up, PlanDrawing.standardSun(d));
        Matcher line = Pattern.compile("class=\"sightline\" d=\"M([-0-9.]+) ([-0-9.]+)L([-0-9.]+) ([-0-9.]+)\"")
                .matcher(svg);
        assertThat(line.find()).isTrue();
        double rise = -(Double.parseDouble(line.group(4)) - Double.parseDouble(line.group(2)))
                / (Double.parseDouble(line.group(3)) - Double.parseDouble(line.group(1)));
        // roof 20 ft, parapet 3 ft 6 in, eye 5 ft 3 in, 200 ft away
        assertThat(rise).isCloseTo((20 + 3.5 - 5.25) / 200, within(1e-3));
        assertThat(Double.parseDouble(line.group(2))).isCloseTo(-3.5 * 30.48, within(0.2));
        assertThat(svg).contains("seen from Road above this");
        CutLine aside = new CutLine(new Coordinate(-3, 20), new Coordinate(60, 20));
        assertThat(SectionDrawing.of(d, aside, PlanDrawing.standardSun(d))).doesNotContain("class=\"sightline\"");
    }
}
