package whipsaw.core.structure;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.algorithm.Distance;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Polygon;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.job.Job;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.table.CodeTables;
import whipsaw.core.table.ParameterTable;

/**
 * What an array that only its weight holds may slide, and the room it has for it, ASCE 7-16 13.6.12. A parapet counts
 * as a curb; that it is strong enough is for the engineer.
 *
 * @param missing what has to be known first
 * @param rooms the tightest first
 */
public record ArraySeismic(List<String> missing, SeismicDisplacement displacement, List<Room> rooms) {
    /** Farther away than this nothing is in the way of any array. */
    private static final double FAR_M = 30;

    public ArraySeismic {
        missing = List.copyOf(missing);
        rooms = List.copyOf(rooms);
    }

    /** What the array may slide into, by name. */
    public record Room(String name, SeismicDisplacement.Need need) {
        /** Room there is over room there has to be. */
        public double margin() {
            return need.clearance().clearM() / need.requiredM();
        }
    }

    /** Null where the method is not asked for: other code families, no modules, roofs that take no trays. */
    public static ArraySeismic of(Job job, RoofPlan plan, ArrayLayout layout, HoldDown holdDown, CodeTables tables) {
        if (!(job.site().code() instanceof Job.AsceSite site)
                || layout.modules().isEmpty()
                || !job.roof().takesTrays()) {
            return null;
        }
        List<String> missing = new ArrayList<>();
        if (Double.isNaN(site.sds())) {
            missing.add("S_DS");
        }
        if (site.stories() == 0) {
            missing.add("the number of stories");
        }
        if (!missing.isEmpty()) {
            return new ArraySeismic(missing, null, List.of());
        }
        ParameterTable t = tables.seismic();
        List<String> names = new ArrayList<>();
        List<SeismicDisplacement.Clearance> clearances = new ArrayList<>();
        List<Coordinate[]> runs = runs(layout);
        for (RoofPlan.Edge e : plan.edges()) {
            Coordinate[] face = e.parapet();
            double least = Double.POSITIVE_INFINITY;
            for (Coordinate[] run : runs) {
                for (int i = 0; i < run.length; i++) {
                    least = Math.min(
                            least, Distance.segmentToSegment(run[i], run[(i + 1) % run.length], face[3], face[2]));
                }
            }
            String kind = e.parapetHeightM() > 0 ? "edge_with_curb" : "edge_without_curb";
            names.add("edge " + e.number() + (e.parapetHeightM() > 0 ? ", parapet" : ", open"));
            clearances.add(new SeismicDisplacement.Clearance(kind, least, t.value("clear_" + kind)));
        }
        for (Job.Obstruction o : job.roof().obstructions()) {
            double least = o.height().si() > 0 ? near(RoofPlan.footprint(o), runs) : Double.POSITIVE_INFINITY;
            if (least < FAR_M) {
                names.add(o.name());
                clearances.add(new SeismicDisplacement.Clearance("obstruction", least, t.value("clear_obstruction")));
            }
        }
        SeismicDisplacement s = SeismicDisplacement.of(
                new SeismicDisplacement.Input(
                        site.sds(),
                        1,
                        holdDown.friction(),
                        Math.tan(Math.toRadians(job.roof().slope().si())),
                        site.riskCategory(),
                        site.stories()),
                clearances,
                t);
        List<Room> rooms = new ArrayList<>();
        for (int i = 0; i < names.size(); i++) {
            rooms.add(new Room(names.get(i), s.needs().get(i)));
        }
        rooms.sort((a, b) -> Double.compare(a.margin(), b.margin()));
        return new ArraySeismic(missing, s, rooms);
    }

    /** Corners of the modules side by side in each row, taken together. */
    private static List<Coordinate[]> runs(ArrayLayout layout) {
        List<Coordinate[]> runs = new ArrayList<>();
        for (ArrayLayout.Run run : layout.runs()) {
            double t = layout.modules().get(run.firstIndex()).t();
            double far = t + layout.depthM();
            runs.add(new Coordinate[] {
                layout.frame().plan(run.from(), t),
                layout.frame().plan(run.to(), t),
                layout.frame().plan(run.to(), far),
                layout.frame().plan(run.from(), far)
            });
        }
        return runs;
    }

    /** Distance from a thing to the nearest modules; infinite beyond what could matter. */
    private static double near(Polygon thing, List<Coordinate[]> runs) {
        Envelope box = thing.getEnvelopeInternal();
        double least = FAR_M;
        for (Coordinate[] c : runs) {
            Envelope run = new Envelope(c[0], c[2]);
            run.expandToInclude(c[1]);
            run.expandToInclude(c[3]);
            if (box.distance(run) < least) {
                least = Math.min(least, thing.distance(thing.getFactory().createPolygon(new Coordinate[] {
                    c[0], c[1], c[2], c[3], c[0]
                })));
            }
        }
        return least < FAR_M ? least : Double.POSITIVE_INFINITY;
    }
}
