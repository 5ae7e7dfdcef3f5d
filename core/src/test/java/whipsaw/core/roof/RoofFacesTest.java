package whipsaw.core.roof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;
import whipsaw.core.job.JobReader;
import whipsaw.core.schema.Problem;
import whipsaw.core.section.CutLine;
import whipsaw.core.section.RoofSection;

/** Faces of pitched roofs of 60 m by 40 m and of awkward outlines: lengths by hand, and what holds for any of them. */
class RoofFacesTest {
    private static final Object L_OUT_OF_SQUARE = outline(0, 0, 60, 1.5, 59, 22, 30, 21, 29, 41, -1, 40);

    private static Object outline(double... xy) {
        List<Object> corners = new ArrayList<>();
        for (int i = 0; i < xy.length; i += 2) {
            corners.add(Map.of("x", xy[i] + " m", "y", xy[i + 1] + " m"));
        }
        return Map.of("kind", "drawn", "corners", corners);
    }

    private static Map<String, Object> folded(int edge, double... acrossAndHeight) {
        List<Object> folds = new ArrayList<>();
        for (int i = 0; i < acrossAndHeight.length; i += 2) {
            folds.add(Map.of("across", acrossAndHeight[i] + " m", "height", acrossAndHeight[i + 1] + " m"));
        }
        return Map.of("kind", "folded", "edge", edge, "folds", folds);
    }

    private static Map<String, Object> face(String slope, String fallsTo, String low, double... xy) {
        return Map.of(
                "corners", ((Map<?, ?>) outline(xy)).get("corners"), "slope", slope, "fallsTo", fallsTo, "low", low);
    }

    private static RoofFaces faces(Object form, Object... more) {
        return design(form, more).plan().faces();
    }

    private static Design design(Object form, Object... more) {
        List<Object> all = new ArrayList<>(List.of("roof.covering", "standing seam", "roof.form", form));
        all.addAll(List.of(more));
        return Jobs.design(all.toArray());
    }

    private static double planArea(RoofFaces faces) {
        return faces.faces().stream().mapToDouble(f -> f.plan().getArea()).sum();
    }

    @Test
    void aGableHasItsRidgeItsEavesAndFourGableEdges() {
        RoofFaces gable = faces(folded(1, 0, 0, 20, 3, 40, 0));
        assertThat(gable.faces()).hasSize(2);
        assertThat(gable.faces().get(0).slopeDeg()).isCloseTo(8.5308, within(1e-4)); // atan(3/20)
        assertThat(gable.lengthM(FaceLine.Kind.RIDGE)).isCloseTo(60, within(1e-9));
        assertThat(gable.lengthM(FaceLine.Kind.EAVE)).isCloseTo(120, within(1e-9));
        assertThat(gable.lengthM(FaceLine.Kind.GABLE)).isCloseTo(4 * Math.hypot(20, 3), within(1e-9));
        assertThat(gable.heightM(new Coordinate(13, 20))).isCloseTo(3, within(1e-9));
        assertThat(gable.heightM(new Coordinate(13, 30))).isCloseTo(1.5, within(1e-9));
        assertThat(gable.faces().get(1).areaM2()).isCloseTo(60 * Math.hypot(20, 3), within(1e-6));
        assertThat(gable.faces().get(0).slopeLengthM()).isCloseTo(Math.hypot(20, 3), within(1e-9));
    }

    @Test
    void saddlesHaveValleysSawTeethHaveStepsAndTheRidgeIsHeadOfAMonoPitch() {
        RoofFaces spans = faces(folded(1, 0, 0, 10, 1, 20, 0, 30, 1, 40, 0));
        assertThat(spans.lengthM(FaceLine.Kind.VALLEY)).isCloseTo(60, within(1e-9));
        assertThat(spans.lengthM(FaceLine.Kind.RIDGE)).isCloseTo(120, within(1e-9));
        RoofFaces teeth = faces(folded(1, 0, 0, 20, 4, 20, 0, 40, 4));
        assertThat(teeth.faces()).hasSize(2);
        assertThat(teeth.lengthM(FaceLine.Kind.STEP)).isCloseTo(60, within(1e-9));
        assertThat(teeth.lengthM(FaceLine.Kind.HEAD)).isCloseTo(60, within(1e-9));
        RoofFaces mono = faces(folded(3, 0, 0, 40, 2));
        assertThat(mono.lengthM(FaceLine.Kind.HEAD)).isCloseTo(60, within(1e-9));
        // counted from edge 3, at the top of the sheet, it rises down the sheet
        assertThat(mono.heightM(new Coordinate(5, 0.5))).isCloseTo(1.975, within(1e-9));
    }

    @Test
    void aHippedRoofHasFourHipsUnderHalfTheCornerAndARidgeBetween() {
        RoofFaces hipped = faces(Map.of("kind", "hipped", "slope", "30 deg"));
        double rise = 20 * Math.tan(Math.toRadians(30));
        assertThat(hipped.faces()).hasSize(4);
        assertThat(hipped.lengthM(FaceLine.Kind.RIDGE)).isCloseTo(20, within(1e-6));
        assertThat(hipped.lengthM(FaceLine.Kind.HIP)).isCloseTo(4 * Math.hypot(20 * Math.sqrt(2), rise), within(1e-6));
        assertThat(hipped.lengthM(FaceLine.Kind.EAVE)).isCloseTo(200, within(1e-6));
        assertThat(hipped.lengthM(FaceLine.Kind.VALLEY)).isZero();
        RoofFaces five = faces(
                Map.of("kind", "hipped", "slope", "12 deg"),
                "roof.outline",
                outline(0, 0, 52, -3, 66, 20, 31, 44, -6, 22));
        assertThat(planArea(five)).isCloseTo(outlineArea(five), within(1e-4));
        assertThat(five.lengthM(FaceLine.Kind.STEP)).isZero();
    }

    private static double outlineArea(RoofFaces faces) {
        return org.locationtech.jts.operation.union.UnaryUnionOp.union(
                        faces.faces().stream().map(RoofFace::plan).toList())
                .getArea();
    }

    @Test
    void facesCoverAnAwkwardRoofOnceAndMeetInOneHeight() {
        Design d = design(folded(1, 0, 0, 9, 0.8, 18, 0, 29, 1.1, 40.2, 0.2), "roof.outline", L_OUT_OF_SQUARE);
        RoofFaces faces = d.plan().faces();
        assertThat(planArea(faces)).isCloseTo(d.plan().areaM2(), within(1e-6));
        double outer = 0;
        for (FaceLine line : faces.lines()) {
            if (line.other() == 0) {
                outer += line.from().distance(line.to());
                continue;
            }
            RoofFace other = faces.faces().get(line.other() - 1);
            assertThat(other.heightM(line.from())).as(line.toString()).isCloseTo(line.fromM(), within(1e-6));
            assertThat(line.kind()).isIn(FaceLine.Kind.RIDGE, FaceLine.Kind.VALLEY);
        }
        assertThat(outer).isCloseTo(d.plan().outline().getLength(), within(0.05));
    }

    @Test
    void facesDrawnOneByOneLieAsTheirAzimuthsSay() {
        // the top of the sheet looks north in this job: south half falls south, north half north
        Object form = Map.of(
                "kind",
                "faces",
                "faces",
                List.of(
                        face("6 deg", "180 deg", "0 m", 0, 0, 60, 0, 60, 20, 0, 20),
                        face("6 deg", "0 deg", "0 m", 0, 20, 60, 20, 60, 40, 0, 40)));
        RoofFaces faces = faces(form, "roof.upAzimuth", "0 deg");
        assertThat(faces.lengthM(FaceLine.Kind.RIDGE)).isCloseTo(60, within(1e-9));
        assertThat(faces.heightM(new Coordinate(30, 20))).isCloseTo(20 * Math.tan(Math.toRadians(6)), within(1e-9));
    }

    @Test
    void formsThatCannotBeAreRefusedWithTheirPlace() {
        assertThat(problems(folded(1, 0, 0, 20, 3, 36, 0))).anySatisfy(p -> assertThat(p.path() + " " + p.words())
                .contains("$.roof.form.folds", "do not reach over the roof", "40 m"));
        assertThat(problems(folded(9, 0, 0, 40, 3)))
                .anySatisfy(p -> assertThat(p.path() + " " + p.words()).contains("edges 1 to 4"));
        assertThat(problems(folded(1, 0, 1, 40, 3)))
                .anySatisfy(p -> assertThat(p.path() + " " + p.words()).contains("lowest line"));
        assertThat(problems(folded(1, 0, 0, 20, 3, 10, 0, 40, 0)))
                .anySatisfy(p -> assertThat(p.path() + " " + p.words()).contains("folds[2].across", "in order"));
        assertThat(problems(Map.of("kind", "hipped", "slope", "9 deg"), "roof.outline", L_OUT_OF_SQUARE))
                .anySatisfy(p -> assertThat(p.path() + " " + p.words()).contains("re-entrant"));
        Object overlapping = Map.of(
                "kind",
                "faces",
                "faces",
                List.of(
                        face("6 deg", "180 deg", "0 m", 0, 0, 60, 0, 60, 22, 0, 22),
                        face("6 deg", "0 deg", "0 m", 0, 20, 60, 20, 60, 40, 0, 40)));
        assertThat(problems(overlapping)).anySatisfy(p -> assertThat(p.path() + " " + p.words())
                .contains("Faces 1 and 2", "120 m²", "x 30 m, y 21 m"));
        Object bare =
                Map.of("kind", "faces", "faces", List.of(face("6 deg", "180 deg", "0 m", 0, 0, 60, 0, 60, 30, 0, 30)));
        assertThat(problems(bare))
                .anySatisfy(p -> assertThat(p.path() + " " + p.words()).contains("has no face", "y 35 m"));
    }

    private static List<Problem> problems(Object form, Object... more) {
        Map<String, Object> document = Jobs.document();
        Jobs.with(document, "roof.covering", "standing seam");
        Jobs.with(document, "roof.form", form);
        for (int i = 0; i < more.length; i += 2) {
            Jobs.with(document, (String) more[i], more[i + 1]);
        }
        var reading = JobReader.read(document, false);
        return reading.ok() ? Jobs.SOLVER.problems(reading.job()) : reading.problems();
    }

    @Test
    void ribsCountFromTheLeftLookingUpAndPurlinsFromTheEave() {
        Object build = List.of(
                Map.of("face", 0, "ribPitch", "300 mm", "firstRib", "150 mm", "purlins", "1.2 m, 4 @ 1.8 m, 0.9 m"),
                Map.of("face", 2, "ribPitch", "24 in", "firstRib", "0 mm"));
        Design d = design(folded(1, 0, 0, 20, 3, 40, 0), "roof.buildUps", build);
        SheetLines first =
                SheetLines.of(d.plan().faces().faces().get(0), d.job().roof().fabric());
        assertThat(first.ribCount()).isEqualTo(200);
        assertThat(first.restM()).isCloseTo(0.15, within(1e-9));
        // looking up from edge 1 the left end is x = 0
        assertThat(first.ribs().get(0).from().x).isCloseTo(0.15, within(1e-9));
        assertThat(first.ribs().get(0).lengthM()).isCloseTo(20, within(1e-6));
        double cos = 20 / Math.hypot(20, 3);
        assertThat(first.purlins()).hasSize(6);
        assertThat(first.purlins().get(1).from().y).isCloseTo(3.0 * cos, within(1e-9));
        assertThat(first.purlinGapM()).isCloseTo(Math.hypot(20, 3) - 9.3, within(1e-9));
        SheetLines second =
                SheetLines.of(d.plan().faces().faces().get(1), d.job().roof().fabric());
        assertThat(second.ribCount()).isEqualTo(99); // 60 m over 24 in, from 0
        assertThat(second.ribs().get(0).from().x).isCloseTo(60, within(1e-3));
        assertThat(second.purlins()).isEmpty();
    }

    @Test
    void aCutOverTheRidgeRisesAndFallsAndThingsStandOnTheSlope() {
        Design d = design(
                folded(1, 0, 0, 20, 3, 40, 0),
                "roof.obstructions",
                List.of(Map.of(
                        "id", "v", "name", "Vent", "kind", "vent", "shape", "circle", "x", "29.5 m", "y", "9.5 m",
                        "width", "1 m", "height", "0.8 m")));
        RoofSection cut = RoofSection.of(d, new CutLine(new Coordinate(30, -2), new Coordinate(30, 42)));
        assertThat(cut.roof()).hasSize(2);
        assertThat(cut.roof().get(0).toHeightM()).isCloseTo(3, within(1e-9));
        assertThat(cut.roof().get(1).fromHeightM()).isCloseTo(3, within(1e-9));
        assertThat(cut.roof().get(1).toM()).isCloseTo(42, within(1e-9));
        assertThat(cut.solids()).anySatisfy(s -> {
            assertThat(s.name()).isEqualTo("Vent");
            assertThat(s.baseM()).isCloseTo(1.5, within(1e-6));
            assertThat(s.heightM()).isCloseTo(2.3, within(1e-6));
        });
        assertThat(d.layout().modules()).as("no ballasted trays on metal").isEmpty();
    }
}
