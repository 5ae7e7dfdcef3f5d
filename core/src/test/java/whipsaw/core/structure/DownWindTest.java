package whipsaw.core.structure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import whipsaw.core.check.Check;
import whipsaw.core.check.Verdict;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;
import whipsaw.core.figure.Figures;

/** Wind that presses: on the bare roof, on modules and what they stand on, by the loads that act with it. */
class DownWindTest {
    private static Design windy(String speed, Object... more) {
        Object[] all = new Object[more.length + 4];
        all[0] = "site.wind";
        all[1] = speed;
        all[2] = "site.snow";
        all[3] = "0 psf";
        System.arraycopy(more, 0, all, 4, more.length);
        Map<String, Object> structure =
                RoofMembersTest.structure("y", "2 m", "deck", DeckAndRowSnowTest.deck("300 mm"));
        structure.remove("live");
        return RoofMembersTest.design(structure, all);
    }

    private static RoofMembers.Member member(Design d, String number) {
        return d.members().sets().get(0).members().stream()
                .filter(m -> m.line().number().equals(number))
                .findFirst()
                .orElseThrow();
    }

    private static Check check(Design d, String id) {
        return d.checks().stream().filter(c -> c.id().equals(id)).findFirst().orElseThrow();
    }

    @ParameterizedTest
    @CsvSource({"110 mph, 140 mph", "140 mph, 170 mph"})
    void moreWindPressesMoreOnMembersDeckAndFeet(String less, String more) {
        Design a = windy(less);
        Design b = windy(more);
        assertThat(b.members().sets().get(0).worst().after().moment().utilisation())
                .isGreaterThan(
                        a.members().sets().get(0).worst().after().moment().utilisation());
        // the least pressure of 30.2.2 decides below some 145 mph here
        assertThat(member(b, "B2-3").before().moment().effect())
                .isGreaterThanOrEqualTo(member(a, "B2-3").before().moment().effect());
        assertThat(member(windy("170 mph"), "B2-3").before().moment().effect())
                .isGreaterThan(member(a, "B2-3").before().moment().effect());
        assertThat(b.members().deck().after().utilisation())
                .isGreaterThan(a.members().deck().after().utilisation());
        assertThat(member(b, "B2-3").after().moment().combination()).isEqualTo("D + 0.6 W");
    }

    /** Where no module lies the roof takes its own pressure; under modules theirs takes its place. */
    @Test
    void modulesTakeThePlaceOfTheRoofBelowThem() {
        Design d = windy("140 mph", "array.setback", "8 m");
        double area = 10 * 10 / 3.0;
        double roof = d.downWind().roofPa(area);
        RoofMembers.Member bare = d.members().sets().get(0).members().stream()
                .filter(m -> m.feet() == 0 && m.line().carriesM() == 2)
                .findFirst()
                .orElseThrow();
        assertThat(bare.after().moment().effect()).isCloseTo((800 + 0.6 * roof) * 2 * 100 / 8, within(1e-6));
        int module = d.layout().modules().get(d.layout().modules().size() / 2).index();
        double pressed = d.downWind().modulePa(module, area);
        assertThat(pressed).isGreaterThan(0).isNotEqualTo(roof);
        // square to the module times its cosine, over the plan area it covers
        assertThat(d.downWind().modulePa(module, 0))
                .isCloseTo(d.holdDown().demands().get(module).pressure().downPa(), within(2.0));
        assertThat(d.downWind().modulePa(module, 100)).isLessThan(d.downWind().modulePa(module, 1));
    }

    @Test
    void aTallRoofHasNoCoefficientsUntilAnEngineerGivesThePressure() {
        Design d = windy("120 mph", "roof.height", "20 m");
        assertThat(check(d, "roof.members-j").verdict()).isEqualTo(Verdict.NOT_ESTABLISHED);
        assertThat(check(d, "roof.members").demand()).contains("over 60 ft");
        assertThat(new Figures(d, Jobs.SOLVER.tables()).working("wind.down")).isNull();
        Map<String, Object> structure = RoofMembersTest.structure("y", "2 m", "windDown", "25 psf");
        Design given = RoofMembersTest.design(structure, "site.wind", "120 mph", "roof.height", "20 m");
        assertThat(given.downWind().roofPa(10)).isCloseTo(25 * 47.88025898, within(1e-6));
        assertThat(check(given, "roof.members-j").isRatio()).isTrue();
        assertThat(new Figures(given, Jobs.SOLVER.tables()).working("wind.down").answer())
                .contains("25");
    }

    /** Timber goes by the shortest load of each combination: dead load alone at the permanent factor may decide. */
    @Test
    void timberGoesByTheShortestLoadOfEachCombination() {
        var tables = Jobs.SOLVER.tables().members();
        for (String family : new String[] {"asce", "asce strength", "en"}) {
            double last = 0;
            for (String duration : new String[] {"permanent", "snow", "live", "wind"}) {
                double r = tables.resistance(family, "timber", duration).bending();
                assertThat(r).isGreaterThanOrEqualTo(last);
                last = r;
            }
            assertThat(tables.resistance(family, "timber", "permanent").bending())
                    .isLessThan(tables.resistance(family, "timber", "snow").bending());
        }
        Map<String, Object> heavy = RoofMembersTest.with(
                RoofMembersTest.structure("y", "0.6 m"),
                "type",
                RoofMembersTest.type(
                        "shape",
                        "rectangle",
                        "depth",
                        "400 mm",
                        "width",
                        "120 mm",
                        "material",
                        "timber",
                        "strength",
                        "12 MPa",
                        "elasticity",
                        "11 GPa"));
        heavy.put("dead", "4 kPa");
        heavy.remove("live");
        Design d = RoofMembersTest.design(heavy, "site.snow", "2 psf", "site.wind", "85 mph");
        assertThat(d.members().sets().get(0).worst().after().moment().combination())
                .isEqualTo("D");
    }

    /** Members of the EN family take the limits of EN, those of ASCE the limits of the IBC. */
    @Test
    void deflectionIsHeldAgainstTheLimitsOfTheFamily() {
        var tables = Jobs.SOLVER.tables().members();
        assertThat(tables.deflection("asce 7-22 strength", "timber").totalSpanOver())
                .isEqualTo(180);
        assertThat(tables.deflection("en", "timber").totalSpanOver()).isEqualTo(250);
        assertThat(tables.deflection("en", "timber").creep()).isPositive();
        Map<String, Object> structure = RoofMembersTest.structure("y", "2 m");
        Design en = Jobs.SOLVER.solve(
                Jobs.paired("roof.structure", structure, "roof.bays", Map.of("alongX", "12 m", "alongY", "10 m")));
        RoofMembers.Member m = en.members().sets().get(0).worst();
        assertThat(m.after().total().limit()).isCloseTo(m.spanM() / 200, within(1e-12));
        assertThat(m.after().variable().limit()).isCloseTo(m.spanM() / 250, within(1e-12));
    }
}
