package whipsaw.core.survey;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import org.locationtech.jts.operation.union.UnaryUnionOp;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.job.Job;
import whipsaw.core.job.Survey;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.roof.SightLine;

/**
 * Who sees the array over which parapet, on a flat roof. Nothing beside the building and nothing on the roof but its
 * parapets is taken to hide anything, so that what is said to be hidden is hidden; a parapet's thickness is neglected.
 *
 * @param views one of each viewer, in the order surveyed
 */
public record SightLines(List<View> views) {
    private static final double FAR = 1e4;
    private static final double SLACK = 1e-9;

    /** Of a roof without viewers. */
    public static final SightLines NONE = new SightLines(List.of());

    /**
     * What one viewer sees.
     *
     * @param seen indexes of modules of which something is seen
     * @param visible part of the roof on which a thing as high as the array's upper edge is seen
     * @param over parapets looked over
     */
    public record View(Survey.Viewer viewer, List<Integer> seen, Geometry visible, List<Over> over) {}

    /**
     * A view over one edge, square to it.
     *
     * @param line of sight from the eye over the parapet's top
     * @param setbackM least set-back from the edge's outer face at which the array's upper edge is hidden; NaN for none
     */
    public record Over(int edge, double distanceM, SightLine line, double setbackM) {}

    public SightLines {
        views = List.copyOf(views);
    }

    /** Who sees modules of an array; none where nobody is asked about. */
    public static SightLines of(Job job, RoofPlan plan, ArrayLayout layout) {
        if (job.survey().viewers().isEmpty() || !job.roof().fabric().flat()) {
            return NONE;
        }
        List<View> views = new ArrayList<>();
        for (Survey.Viewer v : job.survey().viewers()) {
            views.add(view(job, plan, layout, v));
        }
        return new SightLines(views);
    }

    /** Indexes of modules that anybody sees. */
    public List<Integer> seen() {
        TreeSet<Integer> all = new TreeSet<>();
        views.forEach(v -> all.addAll(v.seen()));
        return List.copyOf(all);
    }

    private static View view(Job job, RoofPlan plan, ArrayLayout layout, Survey.Viewer v) {
        Coordinate eye = new Coordinate(v.x().si(), v.y().si());
        // heights count from the roof
        double eyeM = v.eye().si() + v.ground().si() - job.roof().height().si();
        List<Integer> seen = new ArrayList<>();
        for (ArrayLayout.Module m : layout.modules()) {
            Coordinate[] c = layout.corners(m);
            boolean back = layout.looksBack(m.row());
            for (int i = 0; i < 4; i++) {
                boolean upper = back ? i < 2 : i >= 2;
                if (sees(plan, eye, eyeM, c[i], upper ? layout.highEdgeM() : layout.lowEdgeM())) {
                    seen.add(m.index());
                    break;
                }
            }
        }
        return new View(v, seen, visible(plan, eye, eyeM, layout.highEdgeM()), over(job, plan, layout, v, eye));
    }

    /** Whether a point at a height over the roof is seen: nothing the line of sight crosses reaches above it. */
    static boolean sees(RoofPlan plan, Coordinate eye, double eyeM, Coordinate at, double heightM) {
        for (RoofPlan.Edge e : plan.edges()) {
            double part = crossing(eye, at, e.from(), e.to());
            if (part > SLACK && part < 1 - SLACK) {
                double lineM = eyeM + (heightM - eyeM) * part;
                if (lineM < e.parapetHeightM() - SLACK) {
                    return false;
                }
            }
        }
        return true;
    }

    /** Where from a to b, 0 to 1, the way crosses the piece from c to d; NaN when it does not. */
    private static double crossing(Coordinate a, Coordinate b, Coordinate c, Coordinate d) {
        double rx = b.x - a.x;
        double ry = b.y - a.y;
        double sx = d.x - c.x;
        double sy = d.y - c.y;
        double det = rx * sy - ry * sx;
        if (Math.abs(det) < 1e-12) {
            return Double.NaN;
        }
        double t = ((c.x - a.x) * sy - (c.y - a.y) * sx) / det;
        double u = ((c.x - a.x) * ry - (c.y - a.y) * rx) / det;
        return u >= -SLACK && u <= 1 + SLACK ? t : Double.NaN;
    }

    /** The roof less what each edge hides: behind it, between two multiples of its distance from the eye. */
    private static Geometry visible(RoofPlan plan, Coordinate eye, double eyeM, double heightM) {
        GeometryFactory factory = plan.outline().getFactory();
        List<Geometry> hidden = new ArrayList<>();
        for (RoofPlan.Edge e : plan.edges()) {
            double top = e.parapetHeightM();
            double ratio = (heightM - eyeM) / (top - eyeM);
            double from = 1;
            double to = FAR;
            if (top > eyeM) {
                from = Math.max(1, ratio);
            } else if (heightM < top) {
                to = ratio;
            } else {
                continue;
            }
            if (!(to > from) || Math.abs(turn(eye, e.from(), e.to())) < 1e-6) {
                continue;
            }
            hidden.add(factory.createPolygon(new Coordinate[] {
                away(eye, e.from(), from),
                away(eye, e.to(), from),
                away(eye, e.to(), to),
                away(eye, e.from(), to),
                away(eye, e.from(), from)
            }));
        }
        return hidden.isEmpty()
                ? plan.outline()
                : OverlayNGRobust.overlay(plan.outline(), UnaryUnionOp.union(hidden), OverlayNG.DIFFERENCE);
    }

    private static double turn(Coordinate a, Coordinate b, Coordinate c) {
        return (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x);
    }

    private static Coordinate away(Coordinate eye, Coordinate c, double times) {
        return new Coordinate(eye.x + (c.x - eye.x) * times, eye.y + (c.y - eye.y) * times);
    }

    private static List<Over> over(Job job, RoofPlan plan, ArrayLayout layout, Survey.Viewer v, Coordinate eye) {
        List<Over> over = new ArrayList<>();
        for (RoofPlan.Edge e : plan.edges()) {
            double distance = (eye.x - e.from().x) * e.normalX() + (eye.y - e.from().y) * e.normalY();
            if (distance > 0.1) {
                SightLine line = SightLine.of(
                        job.roof().height().si(),
                        e.parapetHeightM(),
                        new SightLine.Viewer(distance, v.eye().si(), v.ground().si()));
                over.add(new Over(e.number(), distance, line, line.leastSetbackM(layout.highEdgeM())));
            }
        }
        return over;
    }
}
