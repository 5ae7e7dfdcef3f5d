package whipsaw.core.structure;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.holddown.LaidArray;
import whipsaw.core.job.Job;
import whipsaw.core.job.Obstruction;
import whipsaw.core.job.Roof;
import whipsaw.core.job.Site;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.table.CodeTables;
import whipsaw.core.table.EditionTable;
import whipsaw.core.table.ParameterTable;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Unit;

/**
 * What an array that only its weight holds may slide, and the room it has for it, ASCE 7-16 13.6.12. A parapet counts
 * as a curb when it is high enough and was designed for the array running into it. Parts of the array that are not
 * linked keep the distance of separate arrays.
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

    /**
     * Null where the method is not asked for: other code families, no modules, roofs that take no trays.
     *
     * @param others the other arrays on the roof, which it may not run into
     */
    public static ArraySeismic of(
            Job job, RoofPlan plan, ArrayLayout layout, HoldDown holdDown, List<LaidArray> others, CodeTables tables) {
        if (!(job.site().code() instanceof Site.AsceSite site)
                || layout.modules().isEmpty()
                || !job.roof().takesTrays()) {
            return null;
        }
        List<String> missing = missing(site, tables);
        if (!missing.isEmpty()) {
            return new ArraySeismic(missing, null, List.of());
        }
        ParameterTable t = tables.seismic();
        Around around = new Around(new RunIndex(layout), t);
        around.edges(job, plan);
        around.things(job);
        around.parts(new LinkedParts(layout, job.array().tray()).leastApartM(), others);
        SeismicDisplacement s = SeismicDisplacement.of(
                new SeismicDisplacement.Input(
                        site.sds(),
                        t.value("importance_" + site.riskCategory()),
                        holdDown.friction(),
                        Math.tan(Math.toRadians(job.roof().slope().si())),
                        site.riskCategory(),
                        site.stories()),
                around.clearances,
                t);
        List<Room> rooms = new ArrayList<>();
        for (int i = 0; i < around.names.size(); i++) {
            rooms.add(new Room(around.names.get(i), s.needs().get(i)));
        }
        rooms.sort((a, b) -> Double.compare(a.margin(), b.margin()));
        return new ArraySeismic(missing, s, rooms);
    }

    private static List<String> missing(Site.AsceSite site, CodeTables tables) {
        List<String> missing = new ArrayList<>();
        if (!tables.editions().has(site.edition(), EditionTable.Part.SEISMIC)) {
            missing.add(EditionTable.Part.SEISMIC.missing(site.edition()));
        }
        if (Double.isNaN(site.sds())) {
            missing.add("S_DS");
        }
        if (site.stories() == 0) {
            missing.add("the number of stories");
        }
        return missing;
    }

    /** What stands around an array, with the room it needs to each. */
    private static final class Around {
        private final RunIndex runs;
        private final ParameterTable t;
        private final List<String> names = new ArrayList<>();
        private final List<SeismicDisplacement.Clearance> clearances = new ArrayList<>();

        Around(RunIndex runs, ParameterTable t) {
            this.runs = runs;
            this.t = t;
        }

        /** A parapet counts as a curb only when it is high enough and designed as one. */
        void edges(Job job, RoofPlan plan) {
            for (RoofPlan.Edge e : plan.edges()) {
                double least = runs.distance(e.parapet()[3], e.parapet()[2]);
                Roof.Parapet parapet = job.roof().parapet(e.number());
                boolean high = e.parapetHeightM() >= Unit.INCH.toSi(t.value("curb_least_height_in")) - Limits.SLACK;
                boolean curb = parapet != null && parapet.curb() && high;
                String why = parapet == null
                        ? "open"
                        : curb ? "curb" : high ? "parapet not designed as a curb" : "too low for a curb";
                names.add("edge " + e.number() + ", " + why);
                clearances.add(
                        curb
                                ? new SeismicDisplacement.Clearance(
                                        "edge_with_curb", least, t.value("clear_edge_with_curb"))
                                : new SeismicDisplacement.Clearance(
                                        "edge_without_curb",
                                        least,
                                        t.value("edge_open_displacements"),
                                        Unit.FOOT.toSi(t.value("edge_open_least_ft"))));
            }
        }

        void things(Job job) {
            for (Obstruction o : job.roof().obstructions()) {
                double least = o.height().si() > 0
                        ? runs.distance(RoofPlan.footprint(o).getCoordinates())
                        : Double.POSITIVE_INFINITY;
                if (least < FAR_M) {
                    names.add(o.name());
                    clearances.add(
                            new SeismicDisplacement.Clearance("obstruction", least, t.value("clear_obstruction")));
                }
            }
        }

        /** Parts of the array that are not linked, and other arrays. */
        void parts(double apart, List<LaidArray> others) {
            if (apart < FAR_M) {
                names.add("another part of the array");
                clearances.add(new SeismicDisplacement.Clearance("other_array", apart, t.value("clear_other_array")));
            }
            for (LaidArray other : others) {
                double least = Double.POSITIVE_INFINITY;
                for (Coordinate[] row : other.layout().runCorners()) {
                    least = Math.min(least, runs.distance(row));
                }
                if (least < FAR_M) {
                    names.add(other.job().name());
                    clearances.add(
                            new SeismicDisplacement.Clearance("other_array", least, t.value("clear_other_array")));
                }
            }
        }
    }
}
