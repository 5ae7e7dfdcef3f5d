package whipsaw.core.structure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static whipsaw.core.structure.RoofMembersTest.design;
import static whipsaw.core.structure.RoofMembersTest.structure;
import static whipsaw.core.structure.RoofMembersTest.type;
import static whipsaw.core.structure.RoofMembersTest.with;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.check.Check;
import whipsaw.core.check.Verdict;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;
import whipsaw.core.figure.Figures;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.Roof;
import whipsaw.core.job.Site;
import whipsaw.core.site.AsceDrift;
import whipsaw.core.site.SnowDrifts;

/** What lies between members and at their ends, and the snow that rows gather. */
class DeckAndRowSnowTest {
    static Map<String, Object> deck(String width) {
        Map<String, Object> strip = type(
                "shape",
                "given",
                "inertia",
                "9 cm4",
                "modulus",
                "4.5 cm3",
                "material",
                "steel",
                "strength",
                "280 MPa",
                "elasticity",
                "210 GPa");
        return Map.of("type", strip, "width", width);
    }

    private static Check check(Design d, String id) {
        return d.checks().stream().filter(c -> c.id().equals(id)).findFirst().orElse(null);
    }

    private static Map<String, Object> bearing(String force) {
        return with(structure("y", "2 m"), "bearing", force);
    }

    private static AsceDrift asce(SnowDrifts.Source source) {
        return (AsceDrift) source.drift();
    }

    @Test
    void anEndSetsDownWhatTheShearSaysAndFailsWhenItsSupportTakesLess() {
        RoofMembers.Member free =
                design(structure("y", "2 m")).members().sets().get(0).worst();
        assertThat(free.after().bearing().utilisation()).isZero();
        assertThat(free.after().bearing().effect())
                .isEqualTo(free.after().shear().effect());
        double most = free.after().shear().effect();
        Design d = design(bearing(most / 1.5 + " N"));
        RoofMembers.Member tight = d.members().sets().get(0).worst();
        assertThat(tight.after().governing()).isEqualTo("bearing");
        assertThat(tight.after().utilisation()).isGreaterThanOrEqualTo(1.5 - 1e-9);
        assertThat(check(d, "roof.members-j").verdict()).isEqualTo(Verdict.FAILS);
        String key = "member/j/" + tight.line().number();
        assertThat(new Figures(d, Jobs.SOLVER.tables()).working(key).toString())
                .contains("end reaction against the allowable");
        // two side by side bear on twice the length
        Map<String, Object> doubled = bearing(most / 1.5 + " N");
        doubled.put("works", List.of(Map.of("id", "w", "members", "j", "kind", "double")));
        assertThat(design(doubled)
                        .members()
                        .sets()
                        .get(0)
                        .worst()
                        .after()
                        .bearing()
                        .utilisation())
                .isCloseTo(tight.after().bearing().utilisation() / 2, within(1e-9));
    }

    @Test
    void aBareDeckIsTheSimpleSpanOfTheBooks() {
        Design d = design(structure("y", "2 m", "deck", deck("300 mm")), "array.setback", "19 m");
        DeckSpan deck = d.members().deck();
        assertThat(deck.spanM()).isCloseTo(2, within(1e-9));
        double most = Math.max(d.site().snow().roofPa(), 900);
        double line = (800 + most) * 0.3;
        // a strip of 2 m by a third of it: between 10 and 100 ft2
        double coefficient = 0.3 - 0.1 * Math.log10(2 * 2 / 3.0 / 0.09290304 / 10);
        double wind = Math.max(16 * 47.88025898, d.site().wind().pressurePa() * (coefficient + 0.18));
        double strong = Math.max(line, 0.3 * Math.max(800 + 0.75 * most + 0.45 * wind, 800 + 0.6 * wind));
        assertThat(deck.before().moment().effect()).isCloseTo(strong * 4 / 8, within(1e-6));
        assertThat(deck.before().moment().limit()).isCloseTo(280e6 * 0.5988 * 4.5e-6, within(0.2));
        assertThat(deck.before().total().effect()).isCloseTo(5 * line * 16 / (384 * 210e9 * 9e-8), within(1e-6));
    }

    /** The strip shown is the worst of all: no foot, put in the middle of a strip of its own, bends the deck more. */
    @Test
    void feetBendTheDeckAndNoStripBendsMoreThanTheOneShown() {
        Design d = design(structure("y", "2 m", "deck", deck("300 mm")));
        DeckSpan deck = d.members().deck();
        assertThat(deck.feet()).isPositive();
        assertThat(deck.after().moment().effect())
                .isGreaterThan(deck.before().moment().effect());
        double[] kg = d.array().laid().perModuleKg();
        double worstFoot = 0;
        for (ArrayLayout.Module m : d.layout().modules()) {
            for (var c : d.layout().corners(m)) {
                double from = c.x % 12 % 2;
                worstFoot = Math.max(worstFoot, kg[m.index()] * 9.80665 / 4 * from * (2 - from) / 2);
            }
        }
        double even = deck.before().moment().effect();
        assertThat(deck.after().moment().effect()).isGreaterThanOrEqualTo(worstFoot + even * 0.5);
        Check check = check(d, "roof.deck");
        assertThat(check.demand()).contains(deck.from());
        assertThat(new Figures(d, Jobs.SOLVER.tables()).working("roof.deck").steps())
                .hasSizeGreaterThan(4);
        // the deck does not care which way members run, as long as the gaps are the same
        assertThat(design(structure("y", "1 m", "deck", deck("300 mm")))
                        .members()
                        .deck()
                        .after()
                        .utilisation())
                .isLessThan(deck.after().utilisation());
    }

    @Test
    void aDeckLiesOnTheJoistsAndNotOnTheBeamsBelowThem() {
        Map<String, Object> structure = structure("y", "2 m", "deck", deck("300 mm"));
        double alone = design(structure).members().deck().after().utilisation();
        @SuppressWarnings("unchecked")
        Map<String, Object> joists = ((List<Map<String, Object>>) structure.get("members")).get(0);
        Map<String, Object> beams = new LinkedHashMap<>(joists);
        beams.putAll(Map.of("id", "g", "name", "Girders", "kind", "beam", "along", "x", "spacing", "5 m"));
        structure.put("members", List.of(beams, joists));
        assertThat(design(structure).members().deck().after().utilisation()).isEqualTo(alone);
        structure.put("members", List.of(beams));
        assertThat(design(structure).members().deck().spanM()).isCloseTo(5, within(1e-9));
    }

    @Test
    void rowsGatherSnowOnTheirHighEdgesAndItIsGoneBeyondItsLength() {
        Design d = Jobs.design("site.snow", "0.6 kPa", "array.tilt", "15 deg");
        RowSnow rows = d.rowSnow();
        AsceDrift drift = asce(rows.profile());
        assertThat(drift.input().obstacleM()).isEqualTo(d.layout().highEdgeM());
        ArrayLayout.Run last = d.layout().runs().get(d.layout().runs().size() - 1);
        double t = d.layout().modules().get(last.firstIndex()).t() + d.layout().depthM();
        double middle = (last.from() + last.to()) / 2;
        var at = d.layout().frame().plan(middle, t);
        double uniform = d.site().snow().roofPa();
        assertThat(rows.moreThanUniform(at.x, at.y)).isCloseTo(drift.peakPa() - uniform, within(1e-6));
        double before = Double.MAX_VALUE;
        for (int i = 0; i <= 10; i++) {
            var behind = d.layout().frame().plan(middle, t + i * drift.lengthM() / 9.5);
            double now = rows.moreThanUniform(behind.x, behind.y);
            assertThat(now).isLessThanOrEqualTo(before);
            before = now;
        }
        assertThat(before).isZero();
        assertThat(new Figures(d, Jobs.SOLVER.tables()).working("site.drift").toString())
                .contains("rows of modules");
        assertThat(Jobs.design("site.snow", "0 kPa", "array.tilt", "15 deg").rowSnow())
                .isNull();
        assertThat(Jobs.design("site.roofSnow", "3 kPa", "array.tilt", "15 deg").rowSnow())
                .isNull();
    }

    private static Map<String, Object> run(String x, String y1, String y2) {
        return Map.of("points", List.of(Map.of("x", x, "y", y1), Map.of("x", x, "y", y2)));
    }

    /** h_d grows with the cube root of l_u, and a long roof is what is taken when nobody says how long it is upwind. */
    @Test
    void aShorterFetchDriftsLess() {
        double width = 0;
        for (String fetch : List.of("8 m", "20 m", "60 m")) {
            Design d = Jobs.design("site.snow", "0.6 kPa", "array.tilt", "15 deg", "site.snowFetch", fetch);
            SnowDrifts.Source rows = d.rowSnow().profile();
            assertThat(asce(rows).input().fetchM())
                    .isEqualTo(
                            d.job().site().code() instanceof Site.AsceSite a
                                    ? a.snowFetch().si()
                                    : Double.NaN);
            assertThat(asce(rows).fullM()).isGreaterThan(width);
            width = asce(rows).fullM();
        }
        Design usual = Jobs.design("site.snow", "0.6 kPa", "array.tilt", "15 deg");
        assertThat(asce(usual.rowSnow().profile()).input().fetchM())
                .isEqualTo(usual.plan().longSideM());
    }

    @Test
    void snowOnTheRunIsDeepestAtTheParapetByTheWeightOfTheCode() {
        // bare of modules where the run lies; a parapet of 3 ft along edge 1
        Object[] roof = {
            "site.snow",
            "30 psf",
            "roof.parapets",
            List.of(Map.of("edge", 1, "height", "3 ft")),
            "array.setback",
            "15 m"
        };
        Map<String, Object> job = Jobs.document();
        for (int i = 0; i < roof.length; i += 2) {
            Jobs.with(job, (String) roof[i], roof[i + 1]);
        }
        Jobs.with(job, "electrical.run.points", run("2 m", "0.5 m", "20 m").get("points"));
        Design d = Jobs.SOLVER.solve(JobReader.read(job, false).job());
        SnowOnRun snow = d.snowOnRun();
        // 7.7-1 by hand: 0.13 x 30 + 14 = 17.9 pcf
        double newtons = 17.9 * 4.4482216152605 / Math.pow(0.3048, 3);
        assertThat(snow.depth().get("γ")).isCloseTo(newtons, within(0.01));
        assertThat(snow.evenM()).isCloseTo(d.site().snow().roofPa() / newtons, within(1e-9));
        assertThat(snow.atM()).isZero();
        assertThat(snow.deepestM()).isGreaterThan(snow.evenM() * 1.1).isLessThan(snow.evenM() + 3 * 0.3048);

        Jobs.with(job, "electrical.run.points", run("2 m", "18 m", "20 m").get("points"));
        SnowOnRun away = Jobs.SOLVER.solve(JobReader.read(job, false).job()).snowOnRun();
        assertThat(away.deepestM()).isCloseTo(away.evenM(), within(1e-9));
        Jobs.with(job, "site.snow", "0 psf");
        assertThat(Jobs.SOLVER.solve(JobReader.read(job, false).job()).snowOnRun())
                .isNull();
    }

    @Test
    void whatRowsGatherLoadsMembersWithTheArrayAndNotWithout() {
        Object[] snowy = {"site.snow", "0.6 kPa", "array.tilt", "15 deg"};
        Design d = design(structure("y", "2 m"), snowy);
        assertThat(d.members().sets().get(0).members())
                .anySatisfy(m -> assertThat(m.driftN()).isPositive());
        Design shed =
                design(structure("y", "2 m"), "site.snow", "0.6 kPa", "array.tilt", "15 deg", "array.setback", "19 m");
        for (RoofMembers.Member m : d.members().sets().get(0).members()) {
            RoofMembers.Member bare = shed.members().sets().get(0).members().stream()
                    .filter(o -> o.line().number().equals(m.line().number()))
                    .findFirst()
                    .orElseThrow();
            assertThat(m.before().moment().effect())
                    .isCloseTo(bare.before().moment().effect(), within(1e-6));
        }
    }

    @ParameterizedTest
    @CsvSource({"y,span the other way,x", "y,already have members of the kind joist,y"})
    void aBayHasItsJoistsOnceAndOneWay(String along, String words, String otherAlong) {
        Map<String, Object> structure = structure(along, "2 m");
        @SuppressWarnings("unchecked")
        Map<String, Object> one = ((List<Map<String, Object>>) structure.get("members")).get(0);
        Map<String, Object> other = new LinkedHashMap<>(one);
        other.put("id", "k");
        other.put("along", otherAlong);
        other.put("bays", "B2");
        structure.put("members", List.of(one, other));
        var reading = JobReader.read(Jobs.with(Jobs.document(), "roof.structure", structure), false);
        assertThat(Jobs.SOLVER.problems(reading.job())).singleElement().satisfies(p -> {
            assertThat(p.path()).isEqualTo("$.roof.structure.members[id=k].bays");
            assertThat(p.message()).contains(words);
        });
        other.put("kind", "beam");
        assertThat(Jobs.SOLVER.problems(JobReader.read(Jobs.with(Jobs.document(), "roof.structure", structure), false)
                        .job()))
                .isEmpty();
    }

    /** A table states allowable loads: taken in strength design it would be used twice over. */
    @Test
    void aLoadTableSaysNothingOfStrengthAndASectionDoes() {
        Map<String, Object> structure = with(
                structure("y", "2 m"),
                "type",
                type(
                        "shape",
                        "table",
                        "material",
                        "steel",
                        "table",
                        List.of(Map.of("span", "8 m", "total", "9 kN/m"), Map.of("span", "12 m", "total", "5 kN/m"))));
        assertThat(check(design(structure), "roof.members-j")).isNotNull();
        Design strength = design(structure, "site.method", "strength");
        assertThat(check(strength, "roof.members").demand()).contains("says nothing of strength");
        assertThat(check(strength, "roof.members-j")).isNull();
        // a section is weighed by both: factored loads and the larger resistance come out near each other
        double allowable = design(structure("y", "2 m"))
                .members()
                .sets()
                .get(0)
                .worst()
                .after()
                .moment()
                .utilisation();
        double factored = design(structure("y", "2 m"), "site.method", "strength")
                .members()
                .sets()
                .get(0)
                .worst()
                .after()
                .moment()
                .utilisation();
        assertThat(factored / allowable).isBetween(0.85, 1.05);
    }

    @Test
    void strengtheningOfABayTheRoofLacksIsSaid() {
        Map<String, Object> work = Map.of("id", "w", "members", "j", "kind", "double", "bays", "B2, Z9");
        Design d = design(structure("y", "2 m", "works", List.of(work)));
        assertThat(check(d, "roof.members").demand()).contains("Z9", "strengthening w");
    }

    @Test
    void conditionsOfAnAllowanceAreKeptOneByOneAndNamedWhereItCounts() {
        Map<String, Object> allowance = new LinkedHashMap<>(
                Map.of("load", "0.5 kPa", "givenBy", "A. Example", "date", "2026-05-01", "letter", "letter 7"));
        allowance.put("conditions", "no storage on the roof; drains kept free;");
        Design d = Jobs.design("roof.allowance", allowance);
        Roof.Allowance read = d.job().roof().allowance();
        assertThat(read.conditions()).containsExactly("no storage on the roof", "drains kept free");
        assertThat(check(d, "roof.window").source()).contains("letter 7", "2 conditions");
    }
}
