package whipsaw.core.explore;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BooleanSupplier;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.catalogue.AttachmentType;
import whipsaw.core.design.Design;
import whipsaw.core.design.Solver;
import whipsaw.core.holddown.Ballast;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.holddown.LaidArray;
import whipsaw.core.job.ArrayChoice;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.DocumentPatch.Change;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.JobWriter;
import whipsaw.core.roof.RectangleClip;
import whipsaw.core.schema.Path;
import whipsaw.core.structure.AttachedArray;
import whipsaw.core.structure.LoadWindow;
import whipsaw.core.structure.RoofLoads;
import whipsaw.core.table.WindTables;
import whipsaw.core.units.Limits;

/**
 * One array held down in every way there is: by blocks alone, by blocks with attachments at the fewest positions that
 * keep the roof's allowance, by attachments alone. Each is the job changed and solved whole.
 *
 * <p>The fewest positions are found by an integer programme over what their blocks weigh in each window and bay that is
 * too heavy; the array is then solved with them, and windows that are too heavy now join the programme. What is found is
 * least for the windows in it, so for all of them.
 */
public final class HoldDownWays {
    private static final int MOST_ROUNDS = 80;
    private static final long MOST_MS = 1_500;

    private final Design now;
    private final Solver solver;
    private final Map<String, Object> each;

    /**
     * @param now the design as the array sees it
     * @param part what attaches it; null for what the job has entered
     */
    public HoldDownWays(Design now, AttachmentType part, Solver solver) {
        this.now = now;
        this.solver = solver;
        this.each = part == null ? entered(now.job().array().attachments()) : of(part);
    }

    private static Map<String, Object> entered(ArrayChoice.Attachments a) {
        if (a == null) {
            return null;
        }
        Map<String, Object> map = new LinkedHashMap<>(JobWriter.part(a));
        map.remove("bays");
        map.remove("at");
        map.put("mostBlocks", 0);
        return map;
    }

    private static Map<String, Object> of(AttachmentType part) {
        Map<String, Object> map = new LinkedHashMap<>();
        map.put("tension", part.tension().typed());
        map.put("shear", part.shear().typed());
        map.put("mostBlocks", 0);
        map.put("kind", part.fixing());
        map.put("part", JobWriter.part(part));
        return map;
    }

    /**
     * One way to hold the array.
     *
     * @param design with it
     * @param changes that make the job so
     * @param positions that have attachments
     * @param single attachments of these where each position is held by its own
     * @param atLeast no mix that keeps the limit has fewer of them; 0 where nothing was searched
     * @param rounds of the search; 0 where nothing was searched
     */
    public record Way(Design design, List<Change> changes, int positions, int single, int atLeast, int rounds) {
        public Way {
            changes = List.copyOf(changes);
        }

        /** Whether no fewer attachments do. */
        public boolean proved() {
            return rounds > 0 && single <= atLeast;
        }
    }

    private static Change set(Object value) {
        return Change.set(JobPaths.ATTACHMENTS, value);
    }

    /** Blocks alone; null where the tray system has not been shown to share load and blocks are asked for together. */
    public Way ballast(boolean together) {
        if (together && now.job().array().tray().shared() == null) {
            return null;
        }
        return way(ballastChanges(together));
    }

    private List<Change> ballastChanges(boolean together) {
        List<Change> changes = new ArrayList<>();
        if (now.job().array().attachments() != null) {
            changes.add(Change.remove(JobPaths.ATTACHMENTS));
        }
        Path<String> by = JobPaths.ARRAY.to(ArrayChoice::ballastBy);
        changes.add(together ? Change.set(by, "together") : Change.remove(by));
        return changes;
    }

    /** Attachments alone: no blocks wherever weight is needed; null where nothing is known of attachments. */
    public Way attached() {
        if (each == null) {
            return null;
        }
        List<Change> changes = new ArrayList<>(ballastChanges(false));
        changes.add(set(each));
        Design design = solved(changes);
        return design == null ? null : new Way(design, changes, attachedPositions(design), 0, 0, 0);
    }

    private static int attachedPositions(Design design) {
        return (int) design.holdDown().positions().stream()
                .filter(p -> p.ballast().attached())
                .count();
    }

    private Way way(List<Change> changes) {
        Design design = solved(changes);
        return design == null ? null : new Way(design, changes, 0, 0, 0, 0);
    }

    private Design solved(List<Change> changes) {
        var reading = JobReader.read(DocumentPatch.apply(now.job(), changes), false);
        if (!reading.ok()) {
            return null;
        }
        Job job = reading.job().at(now.job().place());
        return solver.problems(job).isEmpty() ? solver.solve(job, now) : null;
    }

    /**
     * Blocks, and attachments at the fewest positions with which no window of the agreed size and no bay weighs more.
     *
     * @param mostPa added load
     * @param enough asked before each round; ends the search
     * @return null where not even attachments alone are light enough, or nothing can be stated
     */
    public Way fewest(double mostPa, BooleanSupplier enough) {
        Way alone = ballast(false);
        Way all = attached();
        if (alone == null || all == null || !alone.design().holdDown().established() || Double.isNaN(mostPa)) {
            return null;
        }
        List<HoldDown.Position> positions = alone.design().holdDown().positions();
        Cover cover = new Cover(costs(all.design()), lacking(positions));
        Cover.Choice choice = cover.quick();
        boolean searched = false;
        for (int round = 1; round <= MOST_ROUNDS && !enough.getAsBoolean(); round++) {
            List<Change> changes = changes(alone.design().layout(), positions, choice.chosen());
            Design design = solved(changes);
            List<Cover.Place> heavy = tooHeavy(design, positions, choice.chosen(), mostPa);
            if (heavy.isEmpty()) {
                Cover.Choice better = searched ? choice : cover.cheapest(choice, MOST_MS);
                if (better.cost() == choice.cost()) {
                    return new Way(design, changes, attachedPositions(design), better.cost(), better.bound(), round);
                }
                choice = better;
                searched = true;
                continue;
            }
            heavy.forEach(cover::add);
            searched = false;
            choice = cover.quick();
            if (choice == null) {
                return null;
            }
        }
        return null;
    }

    /** Attachments a position takes by itself when it carries no blocks. */
    private static int[] costs(Design all) {
        ArrayChoice.Attachments a = all.job().array().attachments();
        WindTables.LoadFactors factors = AttachedArray.factors(all.job(), all.tables());
        double module = all.job().array().module().areaM2();
        return all.holdDown().positions().stream()
                .mapToInt(p -> AttachedArray.atPosition(a, module, p, factors))
                .toArray();
    }

    private static boolean[] lacking(List<HoldDown.Position> positions) {
        boolean[] all = new boolean[positions.size()];
        for (int i = 0; i < all.length; i++) {
            all[i] = positions.get(i).ballast().lacks();
        }
        return all;
    }

    private List<Change> changes(ArrayLayout layout, List<HoldDown.Position> positions, BitSet chosen) {
        List<Change> changes = new ArrayList<>(ballastChanges(false));
        if (chosen.isEmpty()) {
            return changes;
        }
        List<Map<String, Object>> at = new ArrayList<>();
        chosen.stream().forEach(i -> {
            Coordinate c =
                    layout.frame().plan(positions.get(i).s(), positions.get(i).t());
            at.add(Map.of("x", metres(c.x), "y", metres(c.y)));
        });
        Map<String, Object> value = new LinkedHashMap<>(each);
        value.put("at", at);
        changes.add(set(value));
        return changes;
    }

    private static String metres(double m) {
        return Math.round(m * 1000) / 1000.0 + " m";
    }

    /** Windows and bays that are too heavy with what is chosen, and what blocks of every position weigh in them. */
    private List<Cover.Place> tooHeavy(Design design, List<HoldDown.Position> alone, BitSet chosen, double mostPa) {
        List<Cover.Place> heavy = new ArrayList<>();
        List<LaidArray> laid = design.roof().arrays().stream()
                .map(a -> new LaidArray(a.job(), a.layout(), a.holdDown()))
                .toList();
        LaidArray own = laid.stream()
                .filter(a -> a.layout() == design.layout())
                .findFirst()
                .orElseThrow();
        ArrayLayout layout = design.layout();
        for (LoadWindow w : RoofLoads.heavierThan(design.job(), design.plan(), laid, own, mostPa, design.tables())) {
            double over = (w.load().loadPa() - mostPa) * w.alongM() * w.acrossM() / Ballast.GRAVITY;
            heavy.add(place(
                    alone, chosen, over, m -> inside(w, layout, layout.modules().get(m))));
        }
        for (RoofLoads.BayLoad bay : design.loads().bays()) {
            if (Limits.above(bay.load().loadPa(), mostPa)) {
                double over = (bay.load().loadPa() - mostPa) * bay.bay().areaM2() / Ballast.GRAVITY;
                heavy.add(place(alone, chosen, over, m -> {
                    Coordinate[] corners = layout.corners(layout.modules().get(m));
                    return RectangleClip.areaInside(corners, bay.bay().cell()) / RectangleClip.area(corners);
                }));
            }
        }
        return heavy;
    }

    private static double inside(LoadWindow w, ArrayLayout layout, ArrayLayout.Module m) {
        double s = Math.min(m.s() + layout.alongM(), w.s() + w.alongM()) - Math.max(m.s(), w.s());
        double t = Math.min(m.t() + layout.depthM(), w.t() + w.acrossM()) - Math.max(m.t(), w.t());
        return s <= 0 || t <= 0 ? 0 : s * t / (layout.alongM() * layout.depthM());
    }

    private interface Part {
        double of(int module);
    }

    /** @param over mass that has to go beside what is chosen already */
    private static Cover.Place place(List<HoldDown.Position> alone, BitSet chosen, double over, Part part) {
        double[] takes = new double[alone.size()];
        double gone = 0;
        for (int i = 0; i < takes.length; i++) {
            HoldDown.Position p = alone.get(i);
            double parts = 0;
            double in = 0;
            for (HoldDown.Share share : p.shares()) {
                parts += share.part();
                in += share.part() * part.of(share.module());
            }
            takes[i] = p.ballast().placedKg() * in / parts;
            gone += chosen.get(i) ? takes[i] : 0;
        }
        return new Cover.Place(takes, over + gone);
    }
}
