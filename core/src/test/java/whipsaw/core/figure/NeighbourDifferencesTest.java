package whipsaw.core.figure;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.working.Working;
import whipsaw.core.working.WorkingText;

class NeighbourDifferencesTest {
    @Test
    void differencesAreMutualAndHaveAReasonThatHolds() {
        for (Design d : List.of(Jobs.design(), Jobs.pairedDesign())) {
            Map<String, HoldDown.Position> byNumber = new HashMap<>();
            d.holdDown().positions().forEach(p -> byNumber.put(p.number(), p));
            int told = 0;
            for (HoldDown.Position p : d.holdDown().positions()) {
                for (var n : NeighbourDifferences.of(d, p.number())) {
                    HoldDown.Position other = byNumber.get(n.number());
                    assertThat(n.more())
                            .isEqualTo(
                                    other.ballast().blocksNeeded() - p.ballast().blocksNeeded());
                    if (n.more() != 0) {
                        told++;
                        assertThat(n.why()).isNotBlank();
                        boolean sameZone = zone(d, p).equals(zone(d, other));
                        assertThat(n.why().contains("zone")).isEqualTo(!sameZone);
                    }
                    if (n.side().equals("to the left")) {
                        assertThat(NeighbourDifferences.of(d, n.number()))
                                .anyMatch(b -> b.number().equals(p.number()) && b.more() == -n.more());
                    }
                }
            }
            assertThat(told).isPositive();
        }
    }

    private static String zone(Design d, HoldDown.Position p) {
        return d.holdDown().demands().get(p.shares().get(0).module()).zone();
    }

    @Test
    void aWorkingAsTextHoldsEveryStepValueAndClause() {
        Design d = Jobs.design();
        Figures figures = new Figures(d, Jobs.SOLVER.tables());
        Working w = figures.working("site.qh");
        String text = WorkingText.of(w);
        assertThat(text).contains(w.title(), w.answer());
        w.steps().forEach(s -> {
            assertThat(text).contains(s.substituted(), s.result(), s.clause());
            s.terms().forEach(t -> assertThat(text).contains(t.symbol() + " = " + t.value()));
        });
    }
}
