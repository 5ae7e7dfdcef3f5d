package whipsaw.app.drawing;

import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import whipsaw.core.array.ArrayFrame;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.design.Design;
import whipsaw.core.job.Obstruction;
import whipsaw.core.roof.RoofPlan;

/** The roof at the size of a stamp: outline, rows and obstructions. */
public final class SmallDrawing {
    private SmallDrawing() {}

    public static String of(Design design) {
        return of(design, 0);
    }

    /**
     * @param marked row that stands out, or 0
     */
    public static String of(Design design, int marked) {
        Envelope box = new Envelope(design.plan().outline().getEnvelopeInternal());
        box.expandBy(Math.max(box.getWidth(), box.getHeight()) * 0.03);
        Svg svg = new Svg();
        svg.open(
                "svg",
                "class=\"stamp\" role=\"img\" aria-label=\"Roof with "
                        + design.roof().modules()
                        + " modules\" viewBox=\"" + Svg.u(box.getMinX()) + " " + Svg.u(-box.getMaxY()) + " "
                        + Svg.u(box.getWidth()) + " "
                        + Svg.u(box.getHeight()) + "\" xmlns=\"http://www.w3.org/2000/svg\"");
        List<Coordinate> corners =
                design.plan().edges().stream().map(RoofPlan.Edge::from).toList();
        svg.path("class=\"outline\"", Svg.ring(corners));
        ArrayLayout layout = design.layout();
        ArrayFrame frame = layout.frame();
        StringBuilder rows = new StringBuilder();
        StringBuilder here = new StringBuilder();
        for (ArrayLayout.Run run : layout.runs()) {
            double t = layout.modules().get(run.firstIndex()).t();
            (layout.modules().get(run.firstIndex()).crewRow() == marked ? here : rows)
                    .append(Svg.ring(List.of(
                            frame.plan(run.from(), t),
                            frame.plan(run.to(), t),
                            frame.plan(run.to(), t + layout.depthM()),
                            frame.plan(run.from(), t + layout.depthM()))));
        }
        StringBuilder others = new StringBuilder();
        design.roof().arrays().stream().filter(a -> a != design.array()).forEach(a -> a.layout()
                .runCorners()
                .forEach(c -> others.append(Svg.ring(List.of(c).subList(0, 4)))));
        if (!others.isEmpty()) {
            svg.path("class=\"others\"", others.toString());
        }
        svg.path("class=\"modules\"", rows.toString());
        if (!here.isEmpty()) {
            svg.path("class=\"here\"", here.toString());
        }
        for (Obstruction o : design.job().roof().obstructions()) {
            Coordinate[] c = RoofPlan.footprint(o).getCoordinates();
            svg.path("class=\"obstacle\"", Svg.ring(List.of(c).subList(0, 4)));
        }
        return svg.close("svg").toString();
    }
}
