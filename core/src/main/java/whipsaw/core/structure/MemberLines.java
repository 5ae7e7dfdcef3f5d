package whipsaw.core.structure;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.locationtech.jts.algorithm.locate.IndexedPointInAreaLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Location;
import whipsaw.core.job.Structure;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.units.Spacings;

/**
 * Where the members of one set lie: in each bay at their spacing, each a simple span from grid line to grid line,
 * carrying the roof half way to its neighbours. Members whose middle is off the roof are left out.
 */
public final class MemberLines {
    /** Lines nearer than this are one. */
    private static final double SAME_M = 0.02;

    private MemberLines() {}

    /**
     * One member in plan.
     *
     * @param number of its bay and in it, for example B2-3
     * @param bay index of the bay
     * @param atM its place across its span: x of one along y
     * @param fromM its first support along its span
     * @param toM its other support
     * @param lowM half way to the neighbour at the left or below
     * @param highM half way to the one at the right or above
     * @param added whether it is put between by strengthening
     */
    public record Line(
            String number, int bay, double atM, double fromM, double toM, double lowM, double highM, boolean added) {
        public double spanM() {
            return toM - fromM;
        }

        /** Width of roof it carries. */
        public double carriesM() {
            return highM - lowM;
        }
    }

    /**
     * Members between the same two grid lines, in order across.
     *
     * @param alongX whether they span along x
     */
    public record Strip(boolean alongX, double fromM, double toM, List<Line> lines) {
        public Strip {
            lines = List.copyOf(lines);
        }
    }

    public static List<Strip> of(RoofPlan plan, Structure structure, Structure.Members set) {
        boolean alongX = set.alongX();
        Map<Double, List<Integer>> strips = new TreeMap<>();
        List<RoofPlan.Bay> bays = plan.bays();
        for (int i = 0; i < bays.size(); i++) {
            if (set.bays().isEmpty() || set.bays().contains(bays.get(i).name())) {
                double from = alongX
                        ? bays.get(i).cell().getMinX()
                        : bays.get(i).cell().getMinY();
                strips.computeIfAbsent(from, k -> new ArrayList<>()).add(i);
            }
        }
        IndexedPointInAreaLocator roof = new IndexedPointInAreaLocator(plan.outline());
        List<Strip> result = new ArrayList<>();
        for (List<Integer> strip : strips.values()) {
            RoofPlan.Bay any = bays.get(strip.get(0));
            double from = alongX ? any.cell().getMinX() : any.cell().getMinY();
            double to = alongX ? any.cell().getMaxX() : any.cell().getMaxY();
            List<Line> lines = new ArrayList<>();
            strip.sort(Comparator.comparingDouble(i -> low(bays.get(i), alongX)));
            for (int i = 0; i < strip.size(); ) {
                int end = i + 1;
                while (end < strip.size()
                        && low(bays.get(strip.get(end)), alongX) - high(bays.get(strip.get(end - 1)), alongX)
                                < SAME_M) {
                    end++;
                }
                lines.addAll(run(plan, structure, set, strip.subList(i, end), from, to, roof));
                i = end;
            }
            if (!lines.isEmpty()) {
                result.add(new Strip(alongX, from, to, lines));
            }
        }
        return result;
    }

    private static double low(RoofPlan.Bay bay, boolean alongX) {
        return alongX ? bay.cell().getMinY() : bay.cell().getMinX();
    }

    private static double high(RoofPlan.Bay bay, boolean alongX) {
        return alongX ? bay.cell().getMaxY() : bay.cell().getMaxX();
    }

    private record Place(double at, int bay, boolean added) {}

    /** Members of bays that follow each other without a gap. */
    private static List<Line> run(
            RoofPlan plan,
            Structure structure,
            Structure.Members set,
            List<Integer> bays,
            double from,
            double to,
            IndexedPointInAreaLocator roof) {
        boolean alongX = set.alongX();
        List<Place> places = new ArrayList<>();
        for (int bay : bays) {
            RoofPlan.Bay cell = plan.bays().get(bay);
            double width = high(cell, alongX) - low(cell, alongX);
            double first = set.first() == null ? 0 : set.first().si();
            for (double at : new Spacings("", set.spacing().metres()).over(width - first)) {
                double place = low(cell, alongX) + first + at;
                // a line on the grid line belongs to the bay it begins
                if (place < high(cell, alongX) - SAME_M) {
                    places.add(new Place(place, bay, false));
                }
            }
        }
        places.removeIf(p -> !onRoof(roof, alongX, p.at(), (from + to) / 2));
        if (places.isEmpty()) {
            return List.of();
        }
        double begin = low(plan.bays().get(bays.get(0)), alongX);
        double end = high(plan.bays().get(bays.get(bays.size() - 1)), alongX);
        List<Place> all = between(plan, structure, set, places, end);
        Map<Integer, Integer> counted = new TreeMap<>();
        List<Line> lines = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            Place p = all.get(i);
            double lowM = i == 0 ? begin : (all.get(i - 1).at() + p.at()) / 2;
            double highM = i + 1 == all.size() ? end : (p.at() + all.get(i + 1).at()) / 2;
            String bay = plan.bays().get(p.bay()).name();
            int k = counted.merge(p.bay(), p.added() ? 0 : 1, Integer::sum);
            String number = bay + "-" + k + (p.added() ? "a" : "");
            lines.add(new Line(number, p.bay(), p.at(), from, to, lowM, highM, p.added()));
        }
        return lines;
    }

    /** The same with those that strengthening puts between. */
    private static List<Place> between(
            RoofPlan plan, Structure structure, Structure.Members set, List<Place> places, double end) {
        List<Place> all = new ArrayList<>();
        for (int i = 0; i < places.size(); i++) {
            Place p = places.get(i);
            all.add(p);
            if (works(structure, set, plan.bays().get(p.bay()).name(), "between")) {
                double next = i + 1 < places.size() ? places.get(i + 1).at() : end;
                if (next - p.at() > 2 * SAME_M) {
                    all.add(new Place((p.at() + next) / 2, p.bay(), true));
                }
            }
        }
        return all;
    }

    /** Whether a kind of strengthening is done for members in a bay. */
    static boolean works(Structure structure, Structure.Members set, String bay, String kind) {
        return structure.works().stream()
                .anyMatch(w -> w.members().equals(set.id())
                        && w.kind().equals(kind)
                        && (w.bays().isEmpty() || w.bays().contains(bay)));
    }

    private static boolean onRoof(IndexedPointInAreaLocator roof, boolean alongX, double at, double middle) {
        return roof.locate(alongX ? new Coordinate(middle, at) : new Coordinate(at, middle)) != Location.EXTERIOR;
    }

    /** Lines by number, for tests and workings. */
    static Map<String, Line> byNumber(List<Strip> strips) {
        return strips.stream()
                .flatMap(s -> s.lines().stream())
                .collect(Collectors.toMap(Line::number, Function.identity(), (a, b) -> a, TreeMap::new));
    }
}
