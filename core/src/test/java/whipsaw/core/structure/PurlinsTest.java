package whipsaw.core.structure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.check.Check;
import whipsaw.core.check.Verdict;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;
import whipsaw.core.figure.Figures;
import whipsaw.core.holddown.FaceWind;
import whipsaw.core.holddown.FlushPanel;
import whipsaw.core.site.LowSlopeZones;
import whipsaw.core.table.CodeTables;
import whipsaw.core.working.DataStatus;
import whipsaw.core.working.Working;

/** Purlins as surveyed on the faces of a pitched roof, pressed by snow and array and lifted by the wind. */
class PurlinsTest {
    private static Map<String, Object> gable(String ridge) {
        return Map.of(
                "kind",
                "folded",
                "edge",
                1,
                "folds",
                List.of(
                        Map.of("across", "0 m", "height", "0 m"),
                        Map.of("across", "20 m", "height", ridge),
                        Map.of("across", "40 m", "height", "0 m")));
    }

    private static Design roof(String ridge, Map<String, Object> onFaces, Object... more) {
        return roof(
                RoofMembersTest.type(
                        "shape",
                        "z",
                        "depth",
                        "250 mm",
                        "width",
                        "75 mm",
                        "web",
                        "2.5 mm",
                        "lip",
                        "20 mm",
                        "material",
                        "cold-formed",
                        "strength",
                        "350 MPa",
                        "elasticity",
                        "210 GPa"),
                ridge,
                onFaces,
                more);
    }

    private static Design roof(Map<String, Object> section, String ridge, Map<String, Object> onFaces, Object... more) {
        Map<String, Object> purlins = new HashMap<>(Map.of(
                "id",
                "p",
                "name",
                "Purlins",
                "kind",
                "purlin",
                "along",
                "x",
                "surveyed",
                true,
                "freeFlange",
                0.6,
                "connection",
                "9 kN",
                "type",
                section));
        Object build = List.of(
                Map.of("face", 1, "ribPitch", "400 mm", "firstRib", "100 mm", "purlins", "0.5 m, 13 @ 1.5 m"),
                Map.of("face", 2, "ribPitch", "400 mm", "firstRib", "100 mm", "purlins", "0.5 m, 13 @ 1.5 m"));
        List<Object> all = new ArrayList<>(List.of(
                "roof.covering",
                "standing seam",
                "roof.form",
                gable(ridge),
                "roof.bays",
                Map.of("alongX", "6 m", "alongY", "20 m"),
                "roof.buildUps",
                build,
                "roof.structure",
                Map.of("dead", "0.2 kPa", "onFaces", onFaces, "members", List.of(purlins))));
        all.addAll(List.of(more));
        return Jobs.design(all.toArray());
    }

    private static final Map<String, Object> LIGHT = Map.of("array", "0.14 kPa");

    private static RoofMembers.Member at(Design d, double x, double y) {
        return d.members().sets().get(0).members().stream()
                .filter(m -> x > m.line().fromM()
                        && x < m.line().toM()
                        && y > m.line().lowM()
                        && y <= m.line().highM())
                .findFirst()
                .orElseThrow();
    }

    private static Check check(Design d, String id) {
        return d.checks().stream().filter(c -> c.id().equals(id)).findFirst().orElseThrow();
    }

    @Test
    void aPurlinInTheFieldByHand() {
        Design d = roof("1 m", LIGHT);
        RoofMembers.Member m = at(d, 27, 10.2);
        double b = 1.5 * 20 / Math.hypot(20, 1);
        assertThat(m.line().carriesM()).isCloseTo(b, within(1e-9));
        double snow = d.site().snow().roofPa();
        double down = Math.max(
                16 * 47.88025898, d.faceWind().qhPa() * (0.2 + 0.18 + 0.1 * (1 - Math.log10(12 / 0.09290304 / 10))));
        double press = Math.max(snow, Math.max(0.6 * down, 0.75 * snow + 0.45 * down));
        assertThat(m.before().moment().effect()).isCloseTo((200 + press) * b * 36 / 8, within(1e-6));
        assertThat(m.after().moment().effect()).isCloseTo((340 + press) * b * 36 / 8, within(1e-6));
        // zone 1': more than 7.2 m from every edge; a third of the span is wider than what it carries
        double feet2 = 6 * 2 / (0.3048 * 0.3048);
        double suction = 0.9 - 0.5 * Math.log10(feet2 / 100);
        double q = d.faceWind().qhPa();
        double net = 0.6 * q * (0.18 + suction) - 0.6 * 200;
        assertThat(m.uplift().bareNm()).isCloseTo(net * b * 36 / 8, within(1e-6));
        assertThat(m.uplift().bareEndN()).isCloseTo(net * b * 3, within(1e-6));
        double with = 0.6 * q * (0.18 + suction * 1.5 * 0.4) - 0.6 * 340;
        assertThat(m.uplift().withNm()).isCloseTo(Math.max(0, with) * b * 36 / 8, within(1e-6));
        assertThat(new Figures(d, CodeTables.shipped())
                        .working("lifted/p/" + m.line().number())
                        .answer())
                .contains("kNm");
    }

    @Test
    void edgesLiftMoreAndMirroredRoofsMirror() {
        Design d = roof("1 m", LIGHT);
        double corner = at(d, 3, 0.6).uplift().peakPa();
        double edge = at(d, 27, 0.6).uplift().peakPa();
        double field = at(d, 27, 10.2).uplift().peakPa();
        assertThat(corner).isGreaterThan(edge);
        assertThat(edge).isGreaterThan(field);
        for (RoofMembers.Member m : d.members().sets().get(0).members()) {
            double x = 60 - (m.line().fromM() + m.line().toM()) / 2;
            RoofMembers.Member other = at(d, x, 40 - (m.line().lowM() + m.line().highM()) / 2);
            assertThat(other.uplift().momentNm()).isCloseTo(m.uplift().momentNm(), within(1e-6));
            assertThat(other.after().utilisation()).isCloseTo(m.after().utilisation(), within(1e-9));
        }
        Design windy = roof("1 m", LIGHT, "site.wind", "55 m/s");
        Design open = roof("1 m", Map.of("array", "0.14 kPa", "partlyEnclosed", true));
        for (RoofMembers.Member m : d.members().sets().get(0).members()) {
            double x = (m.line().fromM() + m.line().toM()) / 2;
            double y = (m.line().lowM() + m.line().highM()) / 2;
            assertThat(at(windy, x, y).uplift().momentNm())
                    .isGreaterThanOrEqualTo(m.uplift().momentNm());
            assertThat(at(open, x, y).uplift().momentNm())
                    .isGreaterThanOrEqualTo(m.uplift().momentNm());
        }
    }

    @Test
    void zonesCoverTheRoofOnceAndAgreeWithTheZoneOfAPlace() {
        Design d = roof("1 m", LIGHT);
        LowSlopeZones zones = d.faceWind().zones();
        double sum = 0;
        for (var area : zones.areas()) {
            sum += area.shape().getArea();
            Coordinate in = area.shape().getInteriorPoint().getCoordinate();
            assertThat(d.faceWind().zone(in.x, in.y, 2)).isEqualTo(area.name());
        }
        assertThat(sum).isCloseTo(2400, within(1e-6));
        // an L of legs 0.6 h long and 0.2 h wide
        assertThat(d.faceWind().zone(3.5, 1.1, 2)).isEqualTo("3");
        assertThat(d.faceWind().zone(3.5, 1.3, 2)).isEqualTo("2");
        assertThat(d.faceWind().zone(3.7, 1.1, 2)).isEqualTo("2");
    }

    @Test
    void whereThereIsNoMethodAnEngineersValueStands() {
        Design steep = roof("3 m", LIGHT);
        assertThat(steep.faceWind().missing()).contains("7 to 20 deg");
        assertThat(check(steep, "roof.lifted-p").verdict()).isEqualTo(Verdict.NOT_ESTABLISHED);
        assertThat(check(steep, "roof.uneven-snow").verdict()).isEqualTo(Verdict.NOT_ESTABLISHED);
        Design given = roof("3 m", Map.of("array", "0.14 kPa", "uplift", "1.1 kPa", "snow", "2.4 kPa"));
        assertThat(at(given, 27, 10.2).uplift().peakPa()).isEqualTo(1100);
        assertThat(check(given, "roof.lifted-p").verdict()).isNotEqualTo(Verdict.NOT_ESTABLISHED);
        assertThat(check(given, "roof.uneven-snow").verdict()).isEqualTo(Verdict.PASSES);
        assertThat(at(given, 27, 10.2).after().moment().effect())
                .isGreaterThan(at(steep, 27, 10.2).after().moment().effect());
        // an engineer may ask for more than the method, never for less
        double method = at(roof("1 m", LIGHT), 27, 10.2).uplift().peakPa();
        Design less = roof("1 m", Map.of("array", "0.14 kPa", "uplift", "0.1 kPa"));
        assertThat(at(less, 27, 10.2).uplift().peakPa()).isEqualTo(method);
        assertThat(roof("1 m", Map.of()).members().missing()).containsExactly("the weight of the array on the faces");
        assertThat(FaceWind.of(Jobs.job(), Jobs.design().plan(), CodeTables.shipped()))
                .isNull();
    }

    @Test
    void aLoadTableSaysNothingOfUpliftAndIsNotTakenAsEnough() {
        Design d = roof(
                RoofMembersTest.type(
                        "shape",
                        "table",
                        "material",
                        "steel",
                        "table",
                        List.of(Map.of("span", "4 m", "total", "6 kN/m"), Map.of("span", "8 m", "total", "3 kN/m"))),
                "1 m",
                LIGHT);
        Check lifted = check(d, "roof.lifted-p");
        assertThat(lifted.verdict()).isEqualTo(Verdict.NOT_ESTABLISHED);
        assertThat(lifted.capacity()).contains("load table does not say");
    }

    /** Steeper gables: nothing while their coefficients are unconfirmed; then the worst of their zones all over. */
    @Test
    void aSteeperGableTakesTheWorstZoneOnceItsCoefficientsAreConfirmed() {
        Design open = roof("5 m", Map.of("array", "15 kg/m2"));
        assertThat(open.faceWind().missing()).contains("confirms them");
        assertThat(figure(open, "flush/roof").answer()).isEqualTo("not established");
        assertThat(verdict(open, "roof.flush")).isEqualTo(Verdict.NOT_ESTABLISHED);
        Design engineers = roof("5 m", Map.of("array", "15 kg/m2", "uplift", "2 kPa"));
        assertThat(figure(engineers, "flush/roof").answer()).contains("2").contains("by an engineer");
        assertThat(verdict(engineers, "roof.flush")).isNull();

        CodeTables shipped = CodeTables.shipped();
        var table = shipped.table("asce_gcp_gable_7_20");
        CodeTables confirmed = shipped.with(
                table.standing(table.source(), table.edition(), DataStatus.CONFIRMED, "read by A. Engineer"));
        FaceWind wind = FaceWind.of(open.job(), open.plan(), confirmed);
        assertThat(wind.established()).isTrue();
        double q = wind.qhPa();
        // 10 ft2 in zone 3r: -3.6, edge factor 1.5, equalisation 0.8; nothing is at hand for pressure
        FlushPanel.Pressure small = wind.panel(wind.zone(30, 20, 10 * 0.09290304), 10 * 0.09290304);
        assertThat(small.upliftPa()).isCloseTo(q * 3.6 * 1.5 * 0.8, within(1e-6 * q));
        assertThat(small.downPa()).isNaN();
        assertThat(wind.roofPa(30, 20, 300 * 0.09290304)).isCloseTo(q * (1.8 + 0.18), within(1e-6 * q));
        double before = Double.MAX_VALUE;
        for (double m2 = 0.5; m2 < 60; m2 *= 1.3) {
            double now = wind.roofPa(3, 3, m2);
            assertThat(now).isLessThanOrEqualTo(before + 1e-9);
            before = now;
        }
        assertThat(FaceWind.of(
                                roof("8 m", Map.of()).job(),
                                roof("8 m", Map.of()).plan(),
                                confirmed)
                        .missing())
                .contains("over 20 deg");
    }

    private static Working figure(Design d, String key) {
        return new Figures(d, CodeTables.shipped()).working(key);
    }

    private static Verdict verdict(Design d, String id) {
        return d.checks().stream()
                .filter(c -> c.id().equals(id))
                .map(Check::verdict)
                .findFirst()
                .orElse(null);
    }
}
