package whipsaw.core.array;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Polygon;
import whipsaw.core.Draws;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;
import whipsaw.core.job.Obstruction;
import whipsaw.core.roof.RoofPlan;

/** Places without a module: none is one that has a module, and the reason given is the one that holds there. */
class FreePlacesTest {
    private static Envelope box(double s, double t, double along, double deep) {
        return new Envelope(s + 1e-4, s + along - 1e-4, t + 1e-4, t + deep - 1e-4);
    }

    @Test
    void everyPlaceSaysTheReasonThatHoldsThere() {
        int[] seen = new int[3];
        Draws.each(8, draw -> {
            List<Object> things = new ArrayList<>();
            for (int i = 0; i < 3; i++) {
                things.add(Map.of(
                        "id",
                        "t" + i,
                        "kind",
                        "plant",
                        "name",
                        "Unit " + i,
                        "x",
                        draw.between(6, 50) + " m",
                        "y",
                        draw.between(6, 32) + " m",
                        "width",
                        draw.between(0.4, 4) + " m",
                        "depth",
                        draw.between(0.4, 4) + " m",
                        "height",
                        "1 m",
                        "clear",
                        draw.between(0.1, 1.5) + " m"));
            }
            Object[] job = {"roof.obstructions", things, "array.setback", draw.between(1.5, 4) + " m"};
            Design d = draw.whole(0, 1) == 0 ? Jobs.design(job) : Jobs.pairedDesign(job);
            ArrayLayout layout = d.layout();
            double deep = layout.pitchM() - layout.gapM();
            List<Envelope> modules = layout.modules().stream()
                    .map(m -> box(m.s(), m.t(), layout.alongM(), layout.depthM()))
                    .toList();
            for (FreePlaces.Place p : FreePlaces.of(d.job(), d.plan(), Jobs.SOLVER.tables(), layout)) {
                Envelope own = box(p.s(), p.t(), layout.alongM(), deep);
                assertThat(modules).noneMatch(own::intersects);
                Polygon area = (Polygon) d.plan().outline().getFactory().toGeometry(own);
                boolean under = false;
                for (Obstruction o : d.job().roof().obstructions()) {
                    boolean stands =
                            layout.frame().inFrame(RoofPlan.footprint(o)).intersects(area);
                    boolean near = layout.frame().inFrame(RoofPlan.keptFree(o)).intersects(area);
                    under |= stands;
                    if (p.why().equals(o.name() + " stands there")) {
                        assertThat(stands).as(p.why()).isTrue();
                        seen[0]++;
                    } else if (p.why().equals("clear distance of " + o.name())) {
                        assertThat(near).as(p.why()).isTrue();
                        seen[1]++;
                    } else if (p.why().startsWith("set-back") || p.why().startsWith("row of fewer")) {
                        assertThat(near).as(p.why() + " beside " + o.name()).isFalse();
                        seen[2]++;
                    }
                }
                assertThat(p.bears()).as(p.why()).isEqualTo(!under);
            }
        });
        assertThat(seen).doesNotContain(0);
    }
}
