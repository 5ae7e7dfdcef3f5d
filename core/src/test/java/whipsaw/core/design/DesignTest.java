package whipsaw.core.design;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static whipsaw.core.design.Jobs.design;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.check.Check;
import whipsaw.core.check.Verdict;
import whipsaw.core.circuit.Circuits;
import whipsaw.core.figure.Figures;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.working.Step;

/** Properties of whole designs: what must hold whatever the coefficients are. */
class DesignTest {
    private static final GeometryFactory GEOMETRY = new GeometryFactory();

    private static final Map<String, Object> VENT = Map.of(
            "id", "v", "name", "Vent", "x", "30.2 m", "y", "20.1 m", "width", "1.3 m", "depth", "0.9 m", "height",
            "1 m", "clear", "0.75 m");

    private static Map<String, Object> corner(double x, double y) {
        return Map.of("x", x + " m", "y", y + " m");
    }

    /** An L out of square, its long edge 3 deg off. */
    private static Map<String, Object> bentL() {
        return Map.of(
                "kind",
                "drawn",
                "corners",
                List.of(
                        corner(0, 0),
                        corner(60, 3.1),
                        corner(58.4, 33),
                        corner(31, 31.4),
                        corner(30, 52),
                        corner(-2, 50)));
    }

    private static Polygon polygon(Coordinate[] c) {
        return GEOMETRY.createPolygon(new Coordinate[] {c[0], c[1], c[2], c[3], c[0]});
    }

    /** A row may be as long as its maker states; a hand's breadth more fails and is shown. */
    @Test
    void aRowLongerThanItsMakerStatesFails() {
        Design none = design();
        assertThat(none.check("array.row-length")).isNull();
        double longest = none.layout().runs().stream()
                .mapToDouble(ArrayLayout.Run::lengthM)
                .max()
                .orElseThrow();
        Check on = design("array.tray.longestRow", longest + " m").check("array.row-length");
        assertThat(on.verdict()).isEqualTo(Verdict.CLOSE);
        assertThat(on.place()).isNull();
        Check over = design("array.tray.longestRow", (longest - 0.1) + " m").check("array.row-length");
        assertThat(over.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(over.place().items()).hasSizeGreaterThan(10);
    }

    @Test
    void everyModuleKeepsItsDistancesOnAnAwkwardRoof() {
        Design d = design(
                "roof.outline",
                bentL(),
                "roof.obstructions",
                List.of(VENT),
                "array.facing",
                Map.of("edge", 1),
                "roof.parapets",
                List.of(Map.of("edge", 2, "height", "1 m", "thickness", "300 mm")));
        assertThat(d.layout().modules()).hasSizeGreaterThan(100);
        var vent = whipsaw.core.roof.RoofPlan.footprint(
                d.job().roof().obstructions().get(0));
        List<Polygon> placed = new ArrayList<>();
        for (ArrayLayout.Module m : d.layout().modules()) {
            Polygon p = polygon(d.layout().corners(m));
            assertThat(d.plan().outline().covers(p)).isTrue();
            assertThat(p.distance(vent)).isGreaterThanOrEqualTo(0.75 - 1e-6);
            for (var edge : d.plan().edges()) {
                var line = GEOMETRY.createLineString(new Coordinate[] {edge.from(), edge.to()});
                assertThat(p.distance(line))
                        .isGreaterThanOrEqualTo(
                                edge.parapetThicknessM() + d.layout().setbackM() - 1e-6);
            }
            placed.add(p);
        }
        for (int i = 1; i < placed.size(); i++) {
            assertThat(placed.get(i).distance(placed.get(i - 1))).isGreaterThan(0.019);
        }
    }

    @Test
    void theGridFillsABareRectangleCompletely() {
        Design d = design();
        double clearX = 60 - 2 * d.layout().setbackM();
        double clearY = 40 - 2 * d.layout().setbackM();
        int columns = (int) Math.floor((clearX + 0.02) / 2.30);
        int rows = (int) Math.floor((clearY + 0.5) / (d.layout().depthM() + 0.5));
        assertThat(d.layout().modules()).hasSize(columns * rows);
    }

    @Test
    void aMirroredRoofCarriesAMirroredBallastMap() {
        Design d = design();
        Map<String, Integer> blocks = new java.util.HashMap<>();
        for (HoldDown.Position p : d.holdDown().positions()) {
            Coordinate at = d.layout().frame().plan(p.s(), p.t());
            blocks.put(
                    Math.round(at.x * 100) + "/" + Math.round(at.y * 100),
                    p.ballast().blocksNeeded());
        }
        for (HoldDown.Position p : d.holdDown().positions()) {
            Coordinate at = d.layout().frame().plan(p.s(), p.t());
            String mirrored = Math.round((60 - at.x) * 100) + "/" + Math.round(at.y * 100);
            assertThat(blocks.get(mirrored)).as(mirrored).isEqualTo(p.ballast().blocksNeeded());
        }
    }

    @Test
    void turningBuildingAndNorthTogetherChangesNothing() {
        Design straight = design();
        Design turned = design("roof.upAzimuth", "37 deg", "array.facing", Map.of("azimuth", "217 deg"));
        assertThat(turned.layout().modules()).hasSameSizeAs(straight.layout().modules());
        assertThat(turned.holdDown().blocks()).isEqualTo(straight.holdDown().blocks());
    }

    @Test
    void moreWindNeverNeedsLessBallast() {
        int before = 0;
        for (int speed = 36; speed <= 60; speed += 4) {
            Design d = design("site.wind", speed + " m/s");
            int needed = d.holdDown().blocks() + d.holdDown().missingBlocks();
            assertThat(needed).isGreaterThanOrEqualTo(before);
            before = needed;
        }
        assertThat(before).isPositive();
    }

    @Test
    void withoutShownSharingOneModuleIsTheEffectiveArea() {
        Design shared = design();
        Design alone = design("array.tray.shared", null);
        assertThat(alone.holdDown().demands().get(0).pressure().effectiveAreaM2())
                .isCloseTo(2.28 * 1.134, within(1e-9));
        assertThat(alone.holdDown().blocks()).isGreaterThan(shared.holdDown().blocks());
    }

    @Test
    void jointsAndModulesCarryTheSameDemandAndWeight() {
        Design modules = design();
        Design joints = design("array.tray.positions", "joint");
        assertThat(sum(joints, true)).isCloseTo(sum(modules, true), within(1e-6));
        assertThat(sum(joints, false)).isCloseTo(sum(modules, false), within(1e-6));
        assertThat(joints.holdDown().positions())
                .hasSize(modules.holdDown().positions().size()
                        + joints.layout().runs().size());
    }

    private static double sum(Design d, boolean uplift) {
        return d.holdDown().positions().stream()
                .mapToDouble(p -> uplift
                        ? p.ballast().demand().upliftN()
                        : p.ballast().demand().ownMassKg())
                .sum();
    }

    @Test
    void massInTheBaysIsTheMassOfTheArray() {
        Design d = design("array.facing", Map.of("azimuth", "163 deg"), "roof.outline", bentL());
        double inBays =
                d.loads().bays().stream().mapToDouble(b -> b.load().massKg()).sum();
        assertThat(inBays)
                .isCloseTo(d.loads().totalKg(), within(1e-6 * d.loads().totalKg()));
    }

    @Test
    void movingAVentMovesNoModuleThatItDoesNotTouch() {
        Set<String> before = places(design("roof.obstructions", List.of(VENT)));
        Map<String, Object> moved = new java.util.HashMap<>(VENT);
        moved.put("x", "11.7 m");
        Set<String> after = places(design("roof.obstructions", List.of(moved)));
        Set<String> bare = places(design());
        assertThat(bare).containsAll(before).containsAll(after);
        assertThat(before).isNotEqualTo(after);
    }

    private static Set<String> places(Design d) {
        Set<String> places = new HashSet<>();
        d.layout().modules().forEach(m -> places.add(Math.round(m.s() * 1000) + "," + Math.round(m.t() * 1000)));
        return places;
    }

    @Test
    void everyModuleIsInOneStringOrLeftOut() {
        Design d = design();
        Circuits.ArrayStrings c = d.strings();
        List<Integer> all = new ArrayList<>(c.leftOut());
        c.strings().forEach(s -> all.addAll(s.modules()));
        assertThat(all).doesNotHaveDuplicates().hasSize(d.layout().modules().size());
        assertThat(c.strings()).allSatisfy(s -> assertThat(s.modules().size())
                .isBetween(c.limits().shortest(), c.limits().longest()));
        assertThat(d.inverters().worstRatio()).isLessThanOrEqualTo(1.35 + 1e-9);
    }

    @Test
    void verdictsFollowTheAllowance() {
        assertThat(check(design("roof.allowance", null), "roof.window").verdict())
                .isEqualTo(Verdict.NOT_ESTABLISHED);
        Design weak = design("roof.allowance", Map.of("load", "0.1 kPa", "givenBy", "A", "date", "2026-01-31"));
        assertThat(check(weak, "roof.window").verdict()).isEqualTo(Verdict.FAILS);
        assertThat(weak.exitCode()).isEqualTo(2);
        assertThat(weak.worstCheck().verdict()).isEqualTo(Verdict.FAILS);
        double load = weak.loads().window().load().loadPa();
        Design onTheLimit =
                design("roof.allowance", Map.of("load", load + " Pa", "givenBy", "A", "date", "2026-01-31"));
        assertThat(check(onTheLimit, "roof.window").verdict()).isEqualTo(Verdict.CLOSE);
    }

    @Test
    void fullPositionsFailWithTheShortfall() {
        Design d = design("array.tray.mostBlocks", 2);
        Check check = check(d, "ballast.position");
        assertThat(check.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(check.remark()).contains(d.holdDown().missingBlocks() + " blocks in all");
        assertThat(d.holdDown().positions())
                .allSatisfy(p -> assertThat(p.ballast().blocksPlaced()).isLessThanOrEqualTo(2));
    }

    @Test
    void aTableThatHasChangedSinceIsTold() {
        var resting = Jobs.SOLVER.resting(Jobs.job());
        assertThat(Jobs.SOLVER.solve(resting).checks()).noneMatch(c -> c.id().equals("tables.changed"));
        var stale = resting.resting(List.of(new whipsaw.core.job.Job.TableRef("asce_exposure", "2016", "0000")));
        assertThat(check(Jobs.SOLVER.solve(stale), "tables.changed").demand()).isEqualTo("asce_exposure");
    }

    private static Check check(Design d, String id) {
        return d.checks().stream().filter(c -> c.id().equals(id)).findFirst().orElseThrow();
    }

    @Test
    void everyFigureOpensAndShowsItsValues() {
        Design d = design();
        Figures figures = new Figures(d, Jobs.SOLVER.tables());
        assertThat(figures.keys()).contains("site.qh", "roof.footprint", "run.drop", "array.gap");
        for (String key : figures.keys()) {
            var working = figures.working(key);
            assertThat(working.answer()).as(key).isNotBlank();
            assertThat(working.steps()).as(key).isNotEmpty();
            for (Step step : working.steps()) {
                assertThat(step.substituted()).as(key).doesNotContain("{").doesNotContain("NaN");
                step.terms().stream().filter(t -> t.figure() != null).forEach(t -> assertThat(
                                figures.working(t.figure()))
                        .as(t.figure())
                        .isNotNull());
            }
        }
        d.checks()
                .forEach(c -> assertThat(figures.working(c.figure())).as(c.id()).isNotNull());
    }

    @Test
    void velocityPressureByHand() {
        // q_h by hand: Kz = 2.01 (19.685/900)^(2/9.5) = 0.8989; V = 105.136 mph
        Design d = design();
        double kz = 2.01 * Math.pow(6 / 0.3048 / 900, 2 / 9.5);
        double mph = 47 / 0.44704;
        double psf = 0.00256 * kz * 0.85 * mph * mph;
        assertThat(d.site().wind().pressurePa()).isCloseTo(psf * 47.88025898, within(1e-4));
    }
}
