package whipsaw.core.structure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import whipsaw.core.check.Check;
import whipsaw.core.check.Verdict;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;

/** Pallets set down while building: where they may stand, how high, and what stands there with them. */
class SetDownsTest {
    private static Map<String, Object> pallet(String id, String stage, String x, String y, int high) {
        return Map.of(
                "id", id, "name", "Pallet", "stage", stage, "x", x, "y", y, "width", "2 m", "depth", "1 m", "mass",
                "800 kg", "high", high);
    }

    private static Design roof(String construction, boolean members, List<Map<String, Object>> setDowns) {
        Map<String, Object> structure = new HashMap<>();
        structure.put("dead", "0.6 kPa");
        if (construction != null) {
            structure.put("construction", construction);
        }
        List<Object> sets = new ArrayList<>();
        if (members) {
            sets.add(Map.of(
                    "id",
                    "j",
                    "name",
                    "Joists",
                    "kind",
                    "joist",
                    "along",
                    "y",
                    "spacing",
                    "2 m",
                    "type",
                    RoofMembersTest.type(
                            "shape",
                            "i",
                            "depth",
                            "240 mm",
                            "width",
                            "120 mm",
                            "web",
                            "6 mm",
                            "flange",
                            "10 mm",
                            "material",
                            "steel",
                            "strength",
                            "275 MPa",
                            "elasticity",
                            "210 GPa")));
        }
        structure.put("members", sets);
        structure.put("setDowns", setDowns);
        return Jobs.design("roof.structure", structure);
    }

    private static SetDowns.Stand only(Design d, String id) {
        return SetDowns.of(d.job(), d.plan(), Jobs.SOLVER.tables()).stream()
                .filter(s -> s.what().id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private static Check check(Design d, String id) {
        return d.checks().stream()
                .filter(c -> c.id().equals("roof.set-down-" + id))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aPalletOverOneJoistByHand() {
        // its middle on the joist at x = 22, its strips 0.25 and 0.75 m to either side, 3.5 to 4.5 m along an 8 m span
        Design d = roof(null, true, List.of(pallet("a", "up", "21 m", "11.5 m", 1)));
        SetDowns.Stand s = only(d, "a");
        double all = 800 * 9.80665;
        double onIt = all * (0.5 * (2 - 0.25) / 2 + 0.5 * (2 - 0.75) / 2);
        assertThat(s.worst().line().atM()).isCloseTo(22, within(1e-9));
        assertThat(s.worst().arrayN()).isCloseTo(onIt, within(1e-6));
        // strips at 3.625, 3.875, 4.125 and 4.375 m: moment in the middle
        double moment = 600 * 2 * 64 / 8.0 + onIt / 4 * (3.625 + 3.875 + (8 - 4.125) + (8 - 4.375)) / 2;
        assertThat(s.worst().after().moment().effect()).isCloseTo(moment, within(1e-6));
        assertThat(s.pressurePa()).isCloseTo(all / 2, within(1e-9));
    }

    @Test
    void higherStacksAndCompanyOfTheSameStageUseMore() {
        double one = only(roof(null, true, List.of(pallet("a", "up", "21 m", "11.5 m", 1))), "a")
                .utilisation();
        double two = only(roof(null, true, List.of(pallet("a", "up", "21 m", "11.5 m", 2))), "a")
                .utilisation();
        double beside = only(
                        roof(
                                null,
                                true,
                                List.of(
                                        pallet("a", "up", "21 m", "11.5 m", 1),
                                        pallet("b", "up", "21 m", "13 m", 1),
                                        pallet("c", "later", "21 m", "10 m", 9))),
                        "a")
                .utilisation();
        assertThat(two).isGreaterThan(one);
        assertThat(beside).isGreaterThan(one).isLessThan(two);
        SetDowns.Stand most = only(roof("25 kPa", true, List.of(pallet("a", "up", "21 m", "11.5 m", 1))), "a");
        int high = most.mostHigh();
        assertThat(high).isBetween(1, 11);
        assertThat(check(roof("25 kPa", true, List.of(pallet("a", "up", "21 m", "11.5 m", high))), "a")
                        .verdict()
                        .stops())
                .isFalse();
        Check over = check(roof("25 kPa", true, List.of(pallet("a", "up", "21 m", "11.5 m", high + 1))), "a");
        assertThat(over.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(over.remark()).contains("at most " + high + " on each other");
    }

    @Test
    void nothingIsSaidWithoutALimitAndNothingStandsOnAThingOrOverTheEdge() {
        assertThat(check(roof(null, false, List.of(pallet("a", "up", "21 m", "11.5 m", 1))), "a")
                        .verdict())
                .isEqualTo(Verdict.NOT_ESTABLISHED);
        Check pressed = check(roof("3 kPa", false, List.of(pallet("a", "up", "21 m", "11.5 m", 1))), "a");
        assertThat(pressed.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(pressed.utilisation()).isCloseTo(800 * 9.80665 / 2 / 3000, within(1e-9));
        Check edge = check(roof("30 kPa", false, List.of(pallet("a", "up", "59 m", "11.5 m", 1))), "a");
        assertThat(edge.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(edge.demand()).contains("edge of the roof");
    }
}
