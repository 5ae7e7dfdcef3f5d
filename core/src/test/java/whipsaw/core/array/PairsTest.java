package whipsaw.core.array;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static whipsaw.core.design.Jobs.pairedDesign;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import whipsaw.core.Draws;
import whipsaw.core.circuit.Circuits;
import whipsaw.core.design.Design;

/** Pairs back to back: both faces or none, the gaps of the tray system, and circuits that mix no faces. */
class PairsTest {
    private static final Map<String, Object> LIGHT = Map.of(
            "id", "l", "name", "Light", "x", "21 m", "y", "17 m", "width", "2 m", "depth", "3 m", "height", "0.3 m",
            "clear", "0.5 m");

    private static Map<String, List<ArrayLayout.Module>> byPair(Design d) {
        Map<String, List<ArrayLayout.Module>> pairs = new HashMap<>();
        d.layout().modules().forEach(m -> pairs.computeIfAbsent(
                        (m.row() - 1) / 2 + "/" + m.column(), k -> new ArrayList<>())
                .add(m));
        return pairs;
    }

    @Test
    void everyModuleHasItsPartnerAcrossTheRidge() {
        Design d = pairedDesign("roof.obstructions", List.of(LIGHT), "array.facing", Map.of("azimuth", "97 deg"));
        Map<String, List<ArrayLayout.Module>> pairs = byPair(d);
        assertThat(pairs).hasSizeGreaterThan(100);
        assertThat(pairs.values()).allSatisfy(pair -> {
            assertThat(pair).hasSize(2);
            assertThat(d.layout().looksBack(pair.get(0).row())).isFalse();
            assertThat(d.layout().looksBack(pair.get(1).row())).isTrue();
            double ridge = pair.get(1).t() - pair.get(0).t() - d.layout().depthM();
            assertThat(ridge).isCloseTo(0.060, within(1e-9));
            assertThat(pair.get(1).s()).isCloseTo(pair.get(0).s(), within(1e-9));
        });
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, 45, 90, 97, 135, 180, 200, 270, 315})
    void rowsAndPositionsCountFromTheEndThatIsNamed(double facing) {
        double top = 30;
        Design d = pairedDesign("array.facing", Map.of("azimuth", facing + " deg"), "roof.upAzimuth", top + " deg");
        List<ArrayLayout.Module> modules = d.layout().modules();
        ArrayLayout.Module first = modules.get(0);
        ArrayLayout.Module sameRow = modules.stream()
                .filter(m -> m.row() == first.row())
                .reduce((a, b) -> b)
                .orElseThrow();
        ArrayLayout.Module last = modules.get(modules.size() - 1);
        assertThat(d.layout().countsFrom()).isEqualTo(compass(azimuth(d, sameRow, first, true) + top));
        assertThat(d.layout().rowsFrom()).isEqualTo(compass(azimuth(d, last, first, false) + top));
    }

    /** Azimuth in the plan from one module to another, along the rows or across them. */
    private static double azimuth(Design d, ArrayLayout.Module from, ArrayLayout.Module to, boolean along) {
        var a = d.layout().frame().plan(along ? from.s() : 0, along ? 0 : from.t());
        var b = d.layout().frame().plan(along ? to.s() : 0, along ? 0 : to.t());
        return Math.toDegrees(Math.atan2(b.x - a.x, b.y - a.y));
    }

    private static String compass(double azimuthDeg) {
        double turned = ((azimuthDeg % 360) + 360) % 360;
        List<String> names = List.of(
                "north", "north-east", "east", "south-east", "south", "south-west", "west", "north-west", "north");
        return names.get((int) Math.floor((turned + 22.5) / 45));
    }

    @Test
    void valleysAreTheSettingAndWalkwaysLieInValleys() {
        Design d = pairedDesign("array.walkway", Map.of("every", 3, "first", 2, "width", "900 mm"));
        Map<Integer, Double> starts = new HashMap<>();
        d.layout().modules().forEach(m -> starts.putIfAbsent(m.row(), m.t()));
        assertThat(d.layout().walkwaysAfter()).startsWith(4, 10).allMatch(row -> row % 2 == 0);
        for (int row = 2; row < d.layout().rows(); row += 2) {
            double valley = starts.get(row + 1) - starts.get(row) - d.layout().depthM();
            double wanted = d.layout().walkwaysAfter().contains(row) ? 0.9 : 0.25;
            assertThat(valley).as("behind row " + row).isCloseTo(wanted, within(1e-9));
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"150 mm", "250 mm", "400 mm"})
    void theNumberOfPairsIsWhatFits(String gap) {
        Design d = pairedDesign("array.gap", gap);
        double valley = Double.parseDouble(gap.split(" ")[0]) / 1000;
        double across = 60 - 2 * 1.5;
        double pair = 2 * d.layout().depthM() + 0.06;
        int bands = (int) Math.floor((across + valley) / (pair + valley) + 1e-9);
        int columns = (int) Math.floor((40 - 3 + 0.02) / 2.30 + 1e-9);
        assertThat(d.layout().modules()).hasSize(2 * bands * columns);
        assertThat(d.layout().pitchM()).isCloseTo(pair + valley, within(1e-9));
    }

    @Test
    void anObstructionCutsOutOnlyThePairsItTouches() {
        Design bare = pairedDesign();
        Design with = pairedDesign("roof.obstructions", List.of(LIGHT));
        Set<String> before = places(bare);
        Set<String> after = places(with);
        assertThat(before).containsAll(after);
        int lost = before.size() - after.size();
        assertThat(lost).isBetween(2, 16);
        assertThat(lost % 2).isZero();
    }

    private static Set<String> places(Design d) {
        Set<String> places = new HashSet<>();
        d.layout().modules().forEach(m -> places.add(Math.round(m.s() * 1000) + "," + Math.round(m.t() * 1000)));
        return places;
    }

    @Test
    void takingOutOneModuleTakesItsPartnerToo() {
        Design bare = pairedDesign();
        ArrayLayout.Module m = bare.layout().modules().get(40);
        var at = bare.layout()
                .frame()
                .plan(m.s() + bare.layout().alongM() / 2, m.t() + bare.layout().depthM() / 2);
        Design d = pairedDesign("array.removed", List.of(Map.of("x", at.x + " m", "y", at.y + " m")));
        assertThat(d.layout().modules()).hasSize(bare.layout().modules().size() - 2);
        assertThat(d.layout().notKept()).isEmpty();
    }

    @Test
    void theFootprintHasRidgesAndValleysButNoWalkways() {
        Design d = pairedDesign();
        ArrayLayout l = d.layout();
        int bands = l.rows() / 2;
        double length = l.runs().get(0).lengthM();
        double deep = bands * (2 * l.depthM() + 0.06) + (bands - 1) * 0.25;
        assertThat(l.footprintM2()).isCloseTo(length * deep, within(1e-6));
        Design walked = pairedDesign("array.walkway", Map.of("every", 100, "first", 1, "width", "900 mm"));
        assertThat(walked.layout().footprintM2()).isLessThan(length * deep);
    }

    @Test
    void noStringAndNoTrackerMixesTheFaces() {
        Design d = pairedDesign("electrical.dcAcMost", 1.5);
        Circuits.ArrayStrings c = d.strings();
        Map<String, Set<Boolean>> facesOfTracker = new HashMap<>();
        List<Integer> all = new ArrayList<>(c.leftOut());
        for (Circuits.PvString s : c.strings()) {
            Set<Boolean> faces = new HashSet<>();
            s.modules()
                    .forEach(i -> faces.add(
                            d.layout().looksBack(d.layout().modules().get(i).row())));
            assertThat(faces).as(s.name()).hasSize(1);
            facesOfTracker
                    .computeIfAbsent(s.inverter() + "/" + s.tracker(), k -> new HashSet<>())
                    .addAll(faces);
            all.addAll(s.modules());
        }
        assertThat(c.strings()).hasSizeGreaterThan(10);
        assertThat(facesOfTracker.values()).allMatch(faces -> faces.size() == 1);
        assertThat(all).doesNotHaveDuplicates().hasSize(d.layout().modules().size());
    }

    @Test
    void aValleyAtItsLimitIsJustFreeOfShade() {
        Draws.each(80, draw -> {
            double tilt = draw.between(5, 20);
            double latitude = draw.between(35, 60);
            PairSpacing p = PairSpacing.of(new PairSpacing.Input(
                    latitude, tilt, 1.134, 90, 0.06, 10.5, 13.5, 0, RowSpacing.winterDeclinationDeg(latitude)));
            assertThat(p.shadeFree()).isTrue();
            // the shade limit of the valley found is the lowest sun in section of the window, or lower
            assertThat(p.shadeLimitDeg(p.valleyM())).isLessThanOrEqualTo(p.lowestProfileDeg() + 1e-9);
            if (p.valleyM() > 0) {
                assertThat(p.shadeLimitDeg(p.valleyM())).isCloseTo(p.lowestProfileDeg(), within(1e-9));
            }
            // the faces are symmetric: turning the axis by half a circle changes nothing
            PairSpacing turned = PairSpacing.of(new PairSpacing.Input(
                    latitude, tilt, 1.134, 270, 0.06, 10.5, 13.5, 0, RowSpacing.winterDeclinationDeg(latitude)));
            assertThat(turned.valleyM()).isCloseTo(p.valleyM(), within(1e-9));
            assertThat(p.pitchM()).isCloseTo(2 * p.halfM() + 0.06 + p.valleyM(), within(1e-12));
        });
    }

    @Test
    void theMassInTheBaysIsTheMassOfTheArray() {
        Design d = pairedDesign("array.facing", Map.of("azimuth", "71 deg"));
        double inBays =
                d.loads().bays().stream().mapToDouble(b -> b.load().massKg()).sum();
        assertThat(inBays)
                .isCloseTo(d.loads().totalKg(), within(1e-6 * d.loads().totalKg()));
    }

    @Test
    void trayJointsShareWithinAFaceOnly() {
        Design d = pairedDesign("array.tray.positions", "joint");
        d.holdDown().positions().forEach(p -> {
            Set<Integer> rows = new HashSet<>();
            p.shares()
                    .forEach(s -> rows.add(d.layout().modules().get(s.module()).row()));
            assertThat(rows).hasSize(1);
        });
    }
}
