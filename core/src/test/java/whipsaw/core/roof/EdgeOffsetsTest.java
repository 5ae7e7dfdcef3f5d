package whipsaw.core.roof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;
import whipsaw.core.job.Obstruction;
import whipsaw.core.job.RoofForm;
import whipsaw.core.units.Unit;

class EdgeOffsetsTest {
    private static Design design(String shape, Object outline) {
        return Jobs.design(
                "roof.upAzimuth",
                "0 deg",
                "roof.outline",
                outline,
                "roof.parapets",
                List.of(Map.of("edge", 3, "height", "0.5 m", "thickness", "0.3 m")),
                "roof.obstructions",
                List.of(Map.of(
                        "id", "v", "name", "Vent", "shape", shape, "x", "20 m", "y", "10 m", "width", "2 m", "depth",
                        "1 m", "height", "1 m")));
    }

    private static Object outline(double... xy) {
        List<Object> corners = new java.util.ArrayList<>();
        for (int i = 0; i < xy.length; i += 2) {
            corners.add(Map.of("x", xy[i] + " m", "y", xy[i + 1] + " m"));
        }
        return Map.of("kind", "drawn", "corners", corners);
    }

    private static Coordinate place(Design d, String text) {
        return EdgeOffsets.place(
                EdgeOffsets.read(text, d.plan(), Unit.METRE),
                d.job().roof().obstructions().get(0),
                d.plan());
    }

    @Test
    void aVentIsWhereTheCrewMeasuredItWithTheNorthParapetTouchedInside() {
        Design d = design("rectangle", outline(0, 0, 60, 0, 60, 40, 0, 40));
        Coordinate at = place(d, "3.2 m from the north parapet, 12' from the east");
        assertThat(at.y).isCloseTo(40 - 0.3 - 3.2 - 1, within(1e-12));
        assertThat(at.x).isCloseTo(60 - 12 * 0.3048 - 2, within(1e-12));
        assertThat(place(d, "12 ft from edge 2 and 3.2 from 3").distance(at)).isLessThan(1e-12);
    }

    @Test
    void onAnAwkwardRoofTheNearestSidesHaveTheDistancesMeasured() {
        for (String shape : List.of("rectangle", "circle")) {
            Design d = design(shape, outline(0, 0, 58, 4, 52, 43, -6, 36));
            Coordinate at = place(d, "5 m from edge 1; 7 m from edge 2");
            Obstruction moved = Jobs.design(
                            "roof.outline", outline(0, 0, 58, 4, 52, 43, -6, 36),
                            "roof.obstructions",
                                    List.of(Map.of(
                                            "id",
                                            "v",
                                            "name",
                                            "Vent",
                                            "shape",
                                            shape,
                                            "x",
                                            at.x + " m",
                                            "y",
                                            at.y + " m",
                                            "width",
                                            "2 m",
                                            "depth",
                                            "1 m",
                                            "height",
                                            "1 m")))
                    .job()
                    .roof()
                    .obstructions()
                    .get(0);
            for (int[] edgeAndDistance : new int[][] {{1, 5}, {2, 7}}) {
                RoofPlan.Edge e = d.plan().edges().get(edgeAndDistance[0] - 1);
                double nearest = Double.POSITIVE_INFINITY;
                for (Coordinate c : RoofPlan.footprint(moved).getCoordinates()) {
                    nearest = Math.min(nearest, e.insideOfLine(c.x, c.y));
                }
                // a circle is drawn by the polygon around it
                assertThat(nearest).isCloseTo(edgeAndDistance[1], within(shape.equals("circle") ? 0.006 : 1e-9));
            }
        }
    }

    @Test
    void whatNamesNoPlaceIsRefusedWithTheWayToSayIt() {
        Design d = design("rectangle", outline(0, 0, 60, 0, 60, 40, 30, 40, 30, 20, 0, 20));
        assertThatThrownBy(() -> place(d, "3 m from the north, 2 m from east"))
                .hasMessageContaining("edges 3 and 5 look north");
        assertThatThrownBy(() -> place(d, "3 m from 1, 2 m from 3")).hasMessageContaining("run the same way");
        assertThatThrownBy(() -> place(d, "3 m from 1")).hasMessageContaining("needs two");
        assertThatThrownBy(() -> place(d, "3 m from 9, 1 m from 1")).hasMessageContaining("edges 1 to 6");
        assertThatThrownBy(() -> place(d, "a bit from 1, 1 m from 2")).hasMessageContaining("'a bit'");
    }

    @Test
    void usualFormsAreMadeFromWhatIsCalledOut() {
        RoofPlan plan = design("rectangle", outline(0, 0, 60, 0, 60, 40, 0, 40)).plan();
        RoofForm.Folded gable = FormMaker.of(FormMaker.Kind.GABLE, 1, "1 in 12", 1, plan, Unit.METRE);
        assertThat(gable.folds()).hasSize(3);
        assertThat(gable.folds().get(1).height().si()).isCloseTo(20 / 12.0, within(1e-4));
        RoofForm.Folded teeth = FormMaker.of(FormMaker.Kind.SAWTOOTH, 2, "3' 6\"", 4, plan, Unit.FOOT);
        assertThat(teeth.folds()).hasSize(8);
        assertThat(teeth.folds().get(1).across().si())
                .isEqualTo(teeth.folds().get(2).across().si());
        assertThat(teeth.folds().get(7).across().si()).isCloseTo(60, within(1e-4));
        assertThat(FormMaker.of(FormMaker.Kind.MONO, 1, "3 deg", 1, plan, Unit.METRE)
                        .folds()
                        .get(1)
                        .height()
                        .si())
                .isCloseTo(40 * Math.tan(Math.toRadians(3)), within(1e-4));
        assertThatThrownBy(() -> FormMaker.of(FormMaker.Kind.GABLE, 1, "steep", 1, plan, Unit.METRE))
                .hasMessageContaining("neither a slope nor a height");
        assertThatThrownBy(() -> FormMaker.of(FormMaker.Kind.GABLE, 7, "3 deg", 1, plan, Unit.METRE))
                .hasMessageContaining("edges 1 to 4");
    }
}
