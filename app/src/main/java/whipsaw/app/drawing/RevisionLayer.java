package whipsaw.app.drawing;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.design.Design;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.job.Obstruction;
import whipsaw.core.job.ObstructionKinds;

/**
 * What changed, as a reviser marks it: a small triangle at every position with another count, a
 * cloud around every obstruction that is new, moved or resized, and a broken cloud where one went.
 */
public final class RevisionLayer {
    private final Design design;
    private final Svg svg;

    RevisionLayer(Design design, Svg svg) {
        this.design = design;
        this.svg = svg;
    }

    /** Marks between two states of a job, as a drawing of their own to be laid on the plan. */
    public static String between(Design before, Design after, Collection<Integer> changed) {
        Svg svg = new Svg();
        svg.open("svg", "xmlns=\"http://www.w3.org/2000/svg\"").open("g", "class=\"layer-marks\"");
        RevisionLayer layer = new RevisionLayer(after, svg);
        layer.triangles(changed);
        layer.clouds(before);
        return svg.close("g").close("svg").toString();
    }

    /** Clouds around what changed since, and where something went. */
    void clouds(Design before) {
        changed(before, design).forEach(o -> cloud(o, "cloud"));
        before.job().roof().obstructions().stream()
                .filter(o -> find(design, o.id()) == null)
                .forEach(o -> cloud(o, "cloud gone"));
    }

    /** Obstructions that are new, moved, resized or of another height or clear distance. */
    private static List<Obstruction> changed(Design before, Design after) {
        List<Obstruction> list = new ArrayList<>();
        for (Obstruction o : after.job().roof().obstructions()) {
            if (!o.equals(find(before, o.id()))) {
                list.add(o);
            }
        }
        return list;
    }

    private static Obstruction find(Design design, String id) {
        return design.job().roof().obstructions().stream()
                .filter(o -> o.id().equals(id))
                .findFirst()
                .orElse(null);
    }

    /** A small triangle at every position given, with room left for its count. */
    void triangles(Collection<Integer> changed) {
        StringBuilder d = new StringBuilder();
        double side = design.layout().depthM() * 0.34;
        for (int index : changed) {
            HoldDown.Position p = design.holdDown().positions().get(index);
            Coordinate at = design.layout()
                    .frame()
                    .plan(
                            p.s() + design.layout().alongM() * 0.42,
                            p.t() + design.layout().depthM() * 0.26);
            d.append('M')
                    .append(Svg.u(at.x - side / 2))
                    .append(' ')
                    .append(Svg.u(-at.y + side / 2))
                    .append('h')
                    .append(Svg.u(side))
                    .append('l')
                    .append(Svg.u(-side / 2))
                    .append(' ')
                    .append(Svg.u(-side))
                    .append('z');
        }
        svg.path("class=\"mark\"", d.toString());
    }

    /** Arcs around an obstruction, all bulging outwards. */
    private void cloud(Obstruction o, String kind) {
        double out = ObstructionKinds.clearM(o) + 0.3;
        double x1 = o.x().si() - out;
        double y1 = o.y().si() - out;
        double x2 = o.x().si() + o.width().si() + out;
        double y2 = o.y().si() + o.depth().si() + out;
        StringBuilder d = new StringBuilder("M" + Svg.u(x1) + " " + Svg.u(-y2));
        arcs(d, x2 - x1, 0);
        arcs(d, 0, y2 - y1);
        arcs(d, x1 - x2, 0);
        arcs(d, 0, y1 - y2);
        svg.path("class=\"" + kind + "\"", d.append('Z').toString());
    }

    /** Down the sheet is positive, as in the drawing. */
    private static void arcs(StringBuilder d, double dx, double dy) {
        double length = Math.hypot(dx, dy);
        int count = (int) Math.max(2, Math.round(length / 0.8));
        double step = length / count;
        for (int i = 0; i < count; i++) {
            d.append('a')
                    .append(Svg.u(step * 0.6))
                    .append(' ')
                    .append(Svg.u(step * 0.6))
                    .append(" 0 0 1 ")
                    .append(Svg.u(dx / count))
                    .append(' ')
                    .append(Svg.u(dy / count));
        }
    }
}
