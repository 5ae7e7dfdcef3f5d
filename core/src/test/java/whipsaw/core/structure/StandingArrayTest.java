package whipsaw.core.structure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.check.Check;
import whipsaw.core.check.Verdict;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;

/** What a ballasted array may slide and the room it has, what its feet press on, and snow that drifts. */
class StandingArrayTest {
    private static Check room(Design d) {
        return d.checks().stream()
                .filter(c -> c.id().equals("seismic.room"))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void roomIsMeasuredFromTheModulesToWhatTheyMayRunInto() {
        Design unknown = Jobs.design();
        assertThat(room(unknown).verdict()).isEqualTo(Verdict.NOT_ESTABLISHED);
        Design mild = Jobs.design("site.sds", 0.3, "site.stories", 2, "array.setback", "3 m");
        assertThat(mild.seismic().displacement().displacementM()).isCloseTo(0.6096, within(1e-9));
        assertThat(room(mild).verdict()).isEqualTo(Verdict.PASSES);
        // an open edge wants twice as much, and 4 ft at least
        Design tight = Jobs.design("site.sds", 0.3, "site.stories", 2, "array.setback", "0.7 m");
        assertThat(room(tight).verdict()).isEqualTo(Verdict.NEEDS_ENGINEER);
        assertThat(room(tight).demand()).contains("edge");
        ArraySeismic.Room least = tight.seismic().rooms().get(0);
        assertThat(least.need().requiredM()).isCloseTo(1.2192, within(1e-9));
        assertThat(least.need().clearance().clearM()).isGreaterThanOrEqualTo(0.7 - 1e-6);
        Design strong = Jobs.design("site.sds", 1.6, "site.stories", 7, "array.setback", "3 m");
        // 5 (1.6 - 0.4)^2 ft
        assertThat(strong.seismic().displacement().displacementM()).isCloseTo(7.2 * 0.3048, within(1e-9));
        assertThat(room(strong).remark()).contains("more than 6 stories", "too little room");
        assertThat(Jobs.pairedDesign().seismic()).isNull();
    }

    /** A parapet is a curb only when it is high enough and was designed to be one. */
    @Test
    void aParapetIsACurbOnlyWhenItIsHighEnoughAndDesignedForIt() {
        record Edge(String height, boolean curb, double wanted) {}
        for (Edge e : List.of(
                new Edge("0.35 m", true, 0.6096),
                new Edge("0.35 m", false, 1.2192),
                new Edge("11 in", true, 1.2192),
                new Edge("12 in", true, 0.6096))) {
            Design d = Jobs.design(
                    "site.sds",
                    0.3,
                    "site.stories",
                    2,
                    "array.setback",
                    "0.9 m",
                    "roof.parapets",
                    List.of(Map.of("edge", 2, "height", e.height(), "thickness", "0.2 m", "curb", e.curb())));
            assertThat(d.seismic().rooms())
                    .filteredOn(r -> r.name().startsWith("edge 2,"))
                    .singleElement()
                    .satisfies(r -> assertThat(r.need().requiredM()).isCloseTo(e.wanted(), within(1e-9)));
        }
    }

    @Test
    void importanceGoesWithTheRiskCategory() {
        Design two = Jobs.design("site.sds", 1.6, "site.stories", 2);
        Design three = Jobs.design("site.sds", 1.6, "site.stories", 2, "site.riskCategory", "III");
        assertThat(three.seismic().displacement().displacementM())
                .isCloseTo(1.25 * two.seismic().displacement().displacementM(), within(1e-9));
    }

    /** Rows that nothing links run into each other like arrays of their own; linked ones move as one. */
    @Test
    void partsThatAreNotLinkedKeepTheirOwnDistance() {
        Design apart = Jobs.design("site.sds", 0.3, "site.stories", 2, "array.tray.linksRows", false);
        assertThat(apart.seismic().rooms())
                .filteredOn(r -> r.name().startsWith("another part"))
                .singleElement()
                .satisfies(r -> {
                    assertThat(r.need().requiredM()).isCloseTo(0.5 * 0.6096, within(1e-9));
                    assertThat(r.need().clearance().clearM())
                            .isCloseTo(apart.layout().gapM(), within(1e-9));
                });
        Design linked = Jobs.design("site.sds", 0.3, "site.stories", 2, "array.tray.linksRows", true);
        assertThat(linked.seismic().rooms()).noneMatch(r -> r.name().startsWith("another part"));
    }

    @Test
    void theNearestModulesAreFoundWhereverAThingStands() {
        Design d = Jobs.design("array.facing", Map.of("azimuth", "160 deg"));
        var factory = d.plan().outline().getFactory();
        var frame = d.layout().frame();
        RunIndex index = new RunIndex(d.layout());
        Random random = new Random(3);
        var box = d.plan().outline().getEnvelopeInternal();
        for (int i = 0; i < 200; i++) {
            double x = box.getMinX() + (random.nextDouble() * 1.4 - 0.2) * box.getWidth();
            double y = box.getMinY() + (random.nextDouble() * 1.4 - 0.2) * box.getHeight();
            Coordinate[] thing = {
                new Coordinate(x, y),
                new Coordinate(x + 4 * random.nextDouble(), y + random.nextDouble()),
                new Coordinate(x + 1, y + 1 + 3 * random.nextDouble()),
                new Coordinate(x, y)
            };
            double least = d.layout().runs().stream()
                    .mapToDouble(run -> {
                        double t = d.layout().modules().get(run.firstIndex()).t();
                        double far = t + d.layout().depthM();
                        return factory.createPolygon(thing).distance(factory.createPolygon(new Coordinate[] {
                            frame.plan(run.from(), t),
                            frame.plan(run.to(), t),
                            frame.plan(run.to(), far),
                            frame.plan(run.from(), far),
                            frame.plan(run.from(), t)
                        }));
                    })
                    .min()
                    .orElseThrow();
            assertThat(index.distance(thing)).isCloseTo(least, within(1e-9));
        }
    }

    @Test
    void driftsLieAgainstParapetsAndWideThingsAndEndWhereTheyEnd() {
        Map<String, Object> plant = Map.of(
                "id", "p", "name", "Plant", "kind", "plant", "x", "30 m", "y", "20 m", "width", "8 m", "depth", "4 m",
                "height", "2 m");
        Map<String, Object> small = Map.of(
                "id", "v", "name", "Vent", "kind", "vent", "x", "10 m", "y", "20 m", "width", "1 m", "depth", "1 m",
                "height", "2 m");
        Design d = Jobs.design(
                "site.snow", "1.5 kPa",
                "roof.parapets", List.of(Map.of("edge", 2, "height", "1.2 m", "thickness", "0.3 m")),
                "roof.obstructions", List.of(plant, small));
        var drifts = d.site().drifts();
        assertThat(drifts.sources()).extracting(s -> s.name()).containsExactlyInAnyOrder("edge 2", "Plant");
        double atPlant = drifts.moreThanUniform(30, 22);
        double further = drifts.moreThanUniform(29, 22);
        assertThat(atPlant).isGreaterThan(further);
        assertThat(further).isPositive();
        assertThat(drifts.moreThanUniform(10, 20)).isZero();
        var edge = drifts.sources().stream()
                .filter(s -> s.name().equals("edge 2"))
                .findFirst()
                .orElseThrow();
        assertThat(drifts.moreThanUniform(59.7, 5)).isCloseTo(edge.peakPa() - drifts.uniformPa(), within(1e-6));
        assertThat(drifts.moreThanUniform(59.7 - edge.lengthM() - 0.01, 5)).isZero();
        // none without snow, none without anything to drift against
        assertThat(Jobs.design("site.snow", "0 kPa", "roof.obstructions", List.of(plant))
                        .site()
                        .drifts()
                        .sources())
                .isEmpty();
        assertThat(Jobs.design("roof.obstructions", List.of()).site().drifts().sources())
                .isEmpty();
        // the EN family drifts against narrow things too
        assertThat(Jobs.pairedDesign("site.snow", "1.2 kPa", "roof.obstructions", List.of(small))
                        .site()
                        .drifts()
                        .sources())
                .extracting(s -> s.name())
                .contains("Vent");
    }

    @Test
    void feetPressOnTheInsulationAndNothingIsSaidWhereNothingIsKnown() {
        List<Map<String, Object>> soft = List.of(Map.of("face", 0, "insulation", "boards", "strength", "120 kPa"));
        assertThat(Jobs.design("roof.buildUps", soft).feet()).isNull();
        Design d =
                Jobs.design("roof.buildUps", soft, "array.tray.footLength", "300 mm", "array.tray.footWidth", "100 mm");
        FootPressure f = d.feet();
        assertThat(f.lastingPa()).isCloseTo(f.massKg() * 9.80665 / 4 / 0.03, within(1e-6));
        assertThat(f.massKg())
                .isEqualTo(java.util.Arrays.stream(d.array().laid().perModuleKg())
                        .max()
                        .orElseThrow());
        assertThat(f.withSnowPa() - f.lastingPa())
                .isCloseTo(
                        d.site().snow().roofPa()
                                * d.layout().alongM()
                                * d.layout().depthM()
                                / 4
                                / 0.03,
                        within(1e-6));
        assertThat(f.utilisation()).isEqualTo(Math.max(f.lastingPa() / 39_600, f.shortPa() / 60_000));
        assertThat(f.withWindPa()).isGreaterThan(f.lastingPa());
        Design twice =
                Jobs.design("roof.buildUps", soft, "array.tray.footLength", "600 mm", "array.tray.footWidth", "100 mm");
        assertThat(twice.feet().utilisation()).isCloseTo(f.utilisation() / 2, within(1e-9));
        List<Map<String, Object>> unknown = List.of(Map.of("face", 0, "insulation", "boards"));
        Design asked = Jobs.design(
                "roof.buildUps", unknown, "array.tray.footLength", "300 mm", "array.tray.footWidth", "100 mm");
        assertThat(asked.checks())
                .filteredOn(c -> c.id().equals("roof.feet"))
                .singleElement()
                .satisfies(c -> assertThat(c.verdict()).isEqualTo(Verdict.NOT_ESTABLISHED));
    }
}
