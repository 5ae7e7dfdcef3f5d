package whipsaw.core.survey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import whipsaw.core.check.Check;
import whipsaw.core.check.Verdict;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;
import whipsaw.core.design.WaysOut;

/** Who sees the array on a roof of 60 m by 40 m with a parapet along edge 1 (y = 0). */
class SightLinesTest {
    private static Map<String, Object> viewer(String x, String y, String ground) {
        return Map.of("id", "v" + x, "name", "Path", "x", x, "y", y, "eye", "1.6 m", "ground", ground);
    }

    private static Design design(String parapet, boolean unseen, List<Object> viewers, Object... more) {
        Object[] all = new Object[more.length + 4];
        all[0] = "roof.parapets";
        all[1] = List.of(Map.of("edge", 1, "height", parapet, "thickness", "0.2 m"));
        all[2] = "survey";
        all[3] = Map.of("viewers", viewers, "unseen", unseen);
        System.arraycopy(more, 0, all, 4, more.length);
        return Jobs.design(all);
    }

    @Test
    void squareToTheParapetTheVisibleStripEndsWhereSimilarTrianglesSay() {
        Design d = design("0.1 m", true, List.of(viewer("30 m", "-40 m", "0 m")));
        SightLines.View view =
                SightLines.of(d.job(), d.plan(), d.layout()).views().get(0);
        double slope = (d.job().roof().height().si() + 0.1 - 1.6) / 40;
        double set = (d.layout().highEdgeM() - 0.1) / slope;
        assertThat(view.over()).singleElement().satisfies(o -> {
            assertThat(o.edge()).isEqualTo(1);
            assertThat(o.setbackM()).isCloseTo(set, within(1e-9));
        });
        // hidden is what lies behind edge 1 beyond that set-back, so a strip along it remains
        assertThat(view.visible().getEnvelopeInternal().getMaxY()).isCloseTo(set, within(1e-6));
        for (int i : view.seen()) {
            assertThat(d.layout().modules().get(i).t()).isLessThan(set);
        }
    }

    @Test
    void aModuleIsSeenExactlyWhereItsUpperEdgeLiesInTheVisibleZone() {
        Design d = design("0.1 m", true, List.of(viewer("-25 m", "-60 m", "0 m")), "array.setback", "0.3 m");
        SightLines.View view =
                SightLines.of(d.job(), d.plan(), d.layout()).views().get(0);
        var factory = d.plan().outline().getFactory();
        assertThat(view.seen()).isNotEmpty();
        d.layout().modules().forEach(m -> {
            var c = d.layout().corners(m);
            boolean upper = view.visible().buffer(1e-7).covers(factory.createPoint(c[2]))
                    || view.visible().buffer(1e-7).covers(factory.createPoint(c[3]));
            if (upper) {
                assertThat(view.seen()).contains(m.index());
            }
        });
    }

    @Test
    void aHigherParapetNeverShowsMoreAndAHillSeesAll() {
        int before = Integer.MAX_VALUE;
        for (String parapet : List.of("0 m", "0.1 m", "0.3 m", "0.6 m", "1.2 m")) {
            Design d = design(parapet, true, List.of(viewer("20 m", "-30 m", "0 m")));
            int seen = SightLines.of(d.job(), d.plan(), d.layout()).seen().size();
            assertThat(seen).as(parapet).isLessThanOrEqualTo(before);
            before = seen;
        }
        assertThat(before).isZero();
        Design hill = design("0.3 m", true, List.of(viewer("20 m", "-30 m", "40 m")));
        assertThat(SightLines.of(hill.job(), hill.plan(), hill.layout()).seen())
                .hasSize(hill.layout().modules().size());
    }

    @Test
    void aJobThatMustNotBeSeenFailsAndIsOfferedWaysThatHide() {
        Design d = design("0.05 m", true, List.of(viewer("30 m", "-150 m", "0 m")), "array.setback", "0.3 m");
        Check seen = d.checks().stream()
                .filter(c -> c.id().equals("sight.seen"))
                .findFirst()
                .orElseThrow();
        assertThat(seen.verdict()).isEqualTo(Verdict.FAILS);
        List<WaysOut.Way> ways = WaysOut.of(d, seen, List.of(), Jobs.SOLVER);
        assertThat(ways).isNotEmpty().allSatisfy(w -> assertThat(w.after().verdict())
                .isEqualTo(Verdict.PASSES));
        assertThat(ways).extracting(WaysOut.Way::kind).contains("modules");
        Design nobody = design("0.3 m", true, List.of());
        assertThat(nobody.checks()).anySatisfy(c -> {
            assertThat(c.id()).isEqualTo("sight.seen");
            assertThat(c.verdict()).isEqualTo(Verdict.NOT_ESTABLISHED);
        });
    }
}
