package whipsaw.app.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.design.ArrayDesign;
import whipsaw.core.design.Design;
import whipsaw.core.design.RoofDesign;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobArray;
import whipsaw.core.job.JobRoof;
import whipsaw.core.job.SheetMove;
import whipsaw.core.roof.RoofPlan;

/** What lies beside the array that is worked on: other arrays of its roof, other roofs with theirs, areas of arrays. */
final class BesideLayer {
    private final Design design;
    private final Svg svg;
    private final double textM;
    private final boolean paper;

    BesideLayer(Design design, Svg svg, double textM, boolean paper) {
        this.design = design;
        this.svg = svg;
        this.textM = textM;
        this.paper = paper;
    }

    /** Outline of another roof of the job on the sheet of this one. */
    static List<Coordinate> onSheet(Job job, JobRoof other, RoofPlan plan) {
        UnaryOperator<Coordinate> move = between(job, other);
        return plan.edges().stream().map(e -> move.apply(e.from())).toList();
    }

    private static UnaryOperator<Coordinate> between(Job job, JobRoof other) {
        JobRoof first = job.document().roofs().get(0);
        SheetMove from = SheetMove.of(first, other);
        SheetMove to = SheetMove.of(first, job.on());
        return c -> {
            double[] site = from.inSite(c.x, c.y);
            double[] here = to.onSheet(site[0], site[1]);
            return new Coordinate(here[0], here[1]);
        };
    }

    void otherRoofs() {
        for (RoofDesign other : design.whole().roofs()) {
            if (other.roof().id().equals(design.job().on().id())) {
                continue;
            }
            List<Coordinate> ring = onSheet(design.job(), other.roof(), other.plan());
            svg.path("class=\"otherroof\"", Svg.ring(ring));
            UnaryOperator<Coordinate> move = between(design.job(), other.roof());
            other.arrays().forEach(a -> modules(a, move));
            name(ring, other.roof().name(), other.arrays().get(0).job().place(), "facename");
        }
    }

    /** Other arrays on this roof. */
    void otherArrays() {
        for (ArrayDesign a : design.roof().arrays()) {
            if (a != design.array() && a.job().placed() != null) {
                modules(a, UnaryOperator.identity());
                List<Coordinate> all = new ArrayList<>();
                a.layout().runCorners().forEach(c -> all.addAll(List.of(c)));
                if (!all.isEmpty()) {
                    name(all, a.job().placed().name(), a.job().place(), "arrayname");
                }
            }
        }
    }

    /** Areas of the arrays on this roof; that of the one worked on has corners to drag. */
    void areas() {
        svg.open("g", "class=\"layer-areas\"");
        for (JobArray a : design.job().onThisRoof()) {
            if (a.area().isEmpty()) {
                continue;
            }
            List<Coordinate> ring = a.area().stream()
                    .map(c -> new Coordinate(c.x().si(), c.y().si()))
                    .toList();
            boolean own = a.id().equals(design.job().place());
            svg.path("class=\"area" + (own ? " own" : "") + "\"", Svg.ring(ring));
            if (own && !paper) {
                corners(ring);
            }
        }
        svg.close("g");
    }

    private void corners(List<Coordinate> ring) {
        for (int i = 0; i < ring.size(); i++) {
            Coordinate c = ring.get(i);
            svg.raw("<circle class=\"areacorner\" tabindex=\"0\" role=\"button\" data-corner=\"" + i
                    + "\" data-x=\"" + c.x + "\" data-y=\"" + c.y + "\" aria-label=\"Corner " + (i + 1)
                    + " of the area of this array; arrow keys move it\" cx=\"" + Svg.u(c.x) + "\" cy=\"" + Svg.u(-c.y)
                    + "\" r=\"" + Svg.u(textM * 0.4) + "\"/>");
        }
    }

    private void modules(ArrayDesign a, UnaryOperator<Coordinate> move) {
        StringBuilder d = new StringBuilder();
        for (Coordinate[] run : a.layout().runCorners()) {
            for (int i = 0; i < 4; i++) {
                d.append(i == 0 ? 'M' : 'L').append(Svg.point(move.apply(run[i])));
            }
            d.append('z');
        }
        if (d.length() > 0) {
            svg.path("class=\"besidemodules\"", d.toString());
        }
    }

    private void name(List<Coordinate> ring, String name, String place, String kind) {
        double x = ring.stream().mapToDouble(c -> c.x).average().orElse(0);
        double y = ring.stream().mapToDouble(c -> c.y).average().orElse(0);
        String button = paper
                ? ""
                : " tabindex=\"0\" role=\"button\" data-look=\"" + Svg.escape(place) + "\" aria-label=\"Work on "
                        + Svg.escape(name) + "\"";
        svg.text(
                "class=\"" + kind + " lookat\" text-anchor=\"middle\" font-size=\"" + Svg.u(textM) + "\"" + button,
                x,
                y,
                name);
    }
}
