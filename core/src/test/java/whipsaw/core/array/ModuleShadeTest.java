package whipsaw.core.array;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.BitSet;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;

/** Shade of things on modules, against rays cast from points of each module. */
class ModuleShadeTest {
    private static final int POINTS = 24;

    private static Map<String, Object> box(String height) {
        return Map.of(
                "id", "b", "name", "Box", "x", "30 m", "y", "20 m", "width", "2 m", "depth", "3 m", "height", height,
                "clear", "0.3 m");
    }

    private static Design with(boolean pairs, String height) {
        Object[] choice = {"roof.parapets", List.of(), "roof.obstructions", List.of(box(height))};
        return pairs ? Jobs.pairedDesign(choice) : Jobs.design(choice);
    }

    /** Whether the way from a point to the sun meets the box. */
    private static boolean meets(double x, double y, double z, double[] to, double height) {
        double from = 0;
        double until = Double.MAX_VALUE;
        double[][] slabs = {{x, to[0], 30, 32}, {y, to[1], 20, 23}, {z, to[2], 0, height}};
        for (double[] s : slabs) {
            double a = (s[2] - s[0]) / s[1];
            double b = (s[3] - s[0]) / s[1];
            from = Math.max(from, Math.min(a, b));
            until = Math.min(until, Math.max(a, b));
        }
        return from < until;
    }

    private static BitSet byRays(Design d, SolarTime sun, double height) {
        ArrayLayout layout = d.layout();
        double angle =
                Math.toRadians(sun.azimuthDeg() - d.job().roof().upAzimuth().si());
        double level = Math.cos(Math.toRadians(sun.elevationDeg()));
        double[] to = {
            Math.sin(angle) * level + 1e-12,
            Math.cos(angle) * level + 1e-12,
            Math.sin(Math.toRadians(sun.elevationDeg()))
        };
        BitSet shaded = new BitSet();
        for (ArrayLayout.Module m : layout.modules()) {
            double rise = (layout.highEdgeM() - layout.lowEdgeM()) * (layout.looksBack(m.row()) ? -1 : 1);
            double start = layout.looksBack(m.row()) ? layout.highEdgeM() : layout.lowEdgeM();
            for (int i = 0; i <= POINTS; i++) {
                for (int j = 0; j <= POINTS; j++) {
                    double f = j / (double) POINTS;
                    var p = layout.frame().plan(m.s() + layout.alongM() * i / POINTS, m.t() + layout.depthM() * f);
                    if (meets(p.x, p.y, start + rise * f, to, height)) {
                        shaded.set(m.index());
                    }
                }
            }
        }
        return shaded;
    }

    @ParameterizedTest
    @CsvSource({
        "false, 3, 12, 355", "false, 3, 9.5, 355", "false, 2, 15, 80", "false, 0.4, 9, 355",
        "true, 3, 12, 355", "true, 2.5, 15.5, 172", "true, 4, 8.5, 80", "true, 1, 16, 80"
    })
    void shadedAreThoseThatRaysFindAndHardlyOthers(boolean pairs, double height, double hour, int day) {
        Design d = with(pairs, height + " m");
        ModuleShade.Hour found = d.shade().at(day, hour);
        BitSet rays = byRays(d, found.sun(), height);
        BitSet missed = (BitSet) rays.clone();
        missed.andNot(found.modules());
        BitSet more = found.modules();
        more.andNot(rays);
        assertThat(missed.isEmpty()).as("seen by rays only: %s", missed).isTrue();
        assertThat(more.cardinality()).as("grazed between two rays: %s", more).isLessThanOrEqualTo(1);
        if (height > 0.5) {
            assertThat(rays.cardinality()).isPositive();
        }
    }

    @Test
    void ahigherThingShadesMoreAndNothingAtNight() {
        int before = -1;
        for (String height : new String[] {"0.1 m", "1 m", "2 m", "4 m", "8 m"}) {
            Design d = with(false, height);
            BitSet window = new BitSet();
            d.shade().inWindow().forEach(h -> window.or(h.modules()));
            assertThat(window.cardinality()).isGreaterThanOrEqualTo(before);
            before = window.cardinality();
        }
        assertThat(before).isGreaterThan(5);
        assertThat(with(false, "3 m").shade().at(355, 1).shadows()).isEmpty();
    }

    @Test
    void theLengthOfAShadowIsItsHeightOverTheTangent() {
        Design d = with(false, "3 m");
        ModuleShade.Hour noon = d.shade().at(355, 12);
        double tan = Math.tan(Math.toRadians(noon.sun().elevationDeg()));
        assertThat(noon.shadows().get(0).lengthM()).isCloseTo((3 - d.layout().lowEdgeM()) / tan, within(1e-9));
    }

    /** The check names every module that the window finds, and the year takes least from those far from the box. */
    @Test
    void theCheckListsThemAndTheYearLosesMostBesideTheBox() {
        Design d = with(false, "3 m");
        BitSet window = new BitSet();
        d.shade().inWindow().forEach(h -> window.or(h.modules()));
        var check = d.checks().stream()
                .filter(c -> c.id().equals("array.shade"))
                .findFirst()
                .orElseThrow();
        assertThat(check.place().items()).hasSize(window.cardinality());
        double[] year = d.shade().yearShare();
        double most = 0;
        for (ArrayLayout.Module m : d.layout().modules()) {
            var at = d.layout().corners(m)[0];
            assertThat(year[m.index()]).isBetween(0.0, 0.9);
            if (Math.hypot(at.x - 31, at.y - 21) > 20) {
                assertThat(year[m.index()]).isLessThan(0.05);
            }
            most = Math.max(most, year[m.index()]);
        }
        assertThat(most).isGreaterThan(0.1);
    }
}
