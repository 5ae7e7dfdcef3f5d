package whipsaw.app.drawing;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import whipsaw.core.build.AsLaid;
import whipsaw.core.build.BallastMap;
import whipsaw.core.design.ArrayDesign;
import whipsaw.core.design.RoofDesign;
import whipsaw.core.job.Obstruction;
import whipsaw.core.roof.RoofPlan;

/**
 * How far the blocks of a roof are laid: a frame where nobody has ticked, a filled square where it lies as the map, a
 * triangle down where blocks are missing and one up where there are too many.
 */
public final class LaidDrawing {
    private static final double SIDE_M = 0.9;

    private LaidDrawing() {}

    /** The positions of a roof on its outline. */
    public static String of(RoofDesign roof, BallastMap map, AsLaid laid) {
        Envelope box = new Envelope(roof.plan().outline().getEnvelopeInternal());
        box.expandBy(Math.max(box.getWidth(), box.getHeight()) * 0.02);
        Svg svg = new Svg();
        svg.open(
                "svg",
                "class=\"laidmap\" role=\"img\" aria-label=\"Positions of "
                        + Svg.escape(roof.roof().name())
                        + " as laid; the same is in the table\" viewBox=\"" + Svg.u(box.getMinX()) + " "
                        + Svg.u(-box.getMaxY()) + " " + Svg.u(box.getWidth()) + " " + Svg.u(box.getHeight())
                        + "\" xmlns=\"http://www.w3.org/2000/svg\"");
        List<Coordinate> corners =
                roof.plan().edges().stream().map(RoofPlan.Edge::from).toList();
        svg.path("class=\"outline\"", Svg.ring(corners));
        for (Obstruction o : roof.roof().roof().obstructions()) {
            Coordinate[] c = RoofPlan.footprint(o).getCoordinates();
            svg.path("class=\"obstacle\"", Svg.ring(List.of(c).subList(0, 4)));
        }
        Map<AsLaid.State, StringBuilder> marks = new EnumMap<>(AsLaid.State.class);
        for (ArrayDesign a : roof.arrays()) {
            BallastMap.MapArray array = map.array(a.job().place());
            if (array != null) {
                array.places()
                        .forEach(p -> mark(
                                marks.computeIfAbsent(laid.state(array.id(), p), k -> new StringBuilder()),
                                laid.state(array.id(), p),
                                p));
            }
        }
        marks.forEach(
                (state, d) -> svg.path("class=\"laid-" + state.name().toLowerCase(Locale.ROOT) + "\"", d.toString()));
        return svg.close("svg").toString();
    }

    private static void mark(StringBuilder d, AsLaid.State state, BallastMap.Place p) {
        double h = SIDE_M / 2;
        List<Coordinate> c = new ArrayList<>();
        if (state == AsLaid.State.MISSING) {
            c.add(new Coordinate(p.xM() - h, p.yM() + h));
            c.add(new Coordinate(p.xM() + h, p.yM() + h));
            c.add(new Coordinate(p.xM(), p.yM() - h));
        } else if (state == AsLaid.State.SURPLUS) {
            c.add(new Coordinate(p.xM() - h, p.yM() - h));
            c.add(new Coordinate(p.xM() + h, p.yM() - h));
            c.add(new Coordinate(p.xM(), p.yM() + h));
        } else {
            double s = h * 0.75;
            c.add(new Coordinate(p.xM() - s, p.yM() - s));
            c.add(new Coordinate(p.xM() + s, p.yM() - s));
            c.add(new Coordinate(p.xM() + s, p.yM() + s));
            c.add(new Coordinate(p.xM() - s, p.yM() + s));
        }
        d.append(Svg.ring(c));
    }
}
