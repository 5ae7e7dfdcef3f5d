package whipsaw.core.structure;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import whipsaw.core.job.Structure;
import whipsaw.core.roof.LinePieces;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.roof.SheetLines;

/**
 * Where members lie: in each bay at their spacing, each a simple span from grid line to grid line, carrying the roof
 * half way to its neighbours of the same kind, of its own set or of another, and half way to where these bays end, where
 * a wall or a beam on the grid line carries the rest. Members whose middle is off the roof are
 * left out.
 */
public final class MemberLines {
    /** Lines nearer than this are one. */
    private static final double SAME_M = 0.02;

    private MemberLines() {}

    /**
     * One member in plan.
     *
     * @param set it belongs to
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
            Structure.Members set,
            String number,
            int bay,
            double atM,
            double fromM,
            double toM,
            double lowM,
            double highM,
            boolean added) {
        /** From support to support, m. */
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

    /** Strips of all members, those of one kind and direction together. */
    public static List<Strip> of(RoofPlan plan, Structure structure) {
        Map<String, List<Structure.Members>> alike = new LinkedHashMap<>();
        for (Structure.Members set : structure.members()) {
            alike.computeIfAbsent(set.kind() + set.alongX(), k -> new ArrayList<>())
                    .add(set);
        }
        List<LinePieces.Piece> purlins = structure.members().stream().anyMatch(Structure.Members::surveyed)
                ? plan.faces().faces().stream()
                        .flatMap(f -> SheetLines.of(f, plan.roof().fabric()).purlins().stream())
                        .toList()
                : List.of();
        List<Strip> strips = new ArrayList<>();
        alike.values().forEach(sets -> strips.addAll(strips(plan, structure, sets, purlins)));
        return strips;
    }

    private static boolean in(Structure.Members set, RoofPlan.Bay bay) {
        return set.bays().isEmpty() || set.bays().contains(bay.name());
    }

    private static List<Strip> strips(
            RoofPlan plan, Structure structure, List<Structure.Members> sets, List<LinePieces.Piece> purlins) {
        boolean alongX = sets.get(0).alongX();
        Map<Double, List<Integer>> strips = new TreeMap<>();
        List<RoofPlan.Bay> bays = plan.bays();
        for (int i = 0; i < bays.size(); i++) {
            RoofPlan.Bay bay = bays.get(i);
            if (sets.stream().anyMatch(s -> in(s, bay))) {
                double from = alongX
                        ? bays.get(i).cell().getMinX()
                        : bays.get(i).cell().getMinY();
                strips.computeIfAbsent(from, k -> new ArrayList<>()).add(i);
            }
        }
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
                lines.addAll(run(plan, structure, sets, purlins, strip.subList(i, end), from, to));
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

    private record Place(Structure.Members set, double at, int bay, boolean added) {}

    /** Places of the members of a set across a bay: at their spacing, or where the purlins of the faces cross its middle. */
    private static List<Double> places(
            Structure.Members set, List<LinePieces.Piece> purlins, RoofPlan.Bay cell, double width) {
        if (!set.surveyed()) {
            double first = set.first() == null ? 0 : set.first().si();
            return set.spacing().over(width - first).stream()
                    .map(at -> low(cell, set.alongX()) + first + at)
                    .toList();
        }
        double middle = set.alongX()
                ? (cell.cell().getMinX() + cell.cell().getMaxX()) / 2
                : (cell.cell().getMinY() + cell.cell().getMaxY()) / 2;
        List<Double> places = new ArrayList<>();
        for (LinePieces.Piece p : purlins) {
            double a = set.alongX() ? p.from().x : p.from().y;
            double b = set.alongX() ? p.to().x : p.to().y;
            double atA = set.alongX() ? p.from().y : p.from().x;
            double atB = set.alongX() ? p.to().y : p.to().x;
            double part = (middle - a) / (b - a);
            double place = atA + part * (atB - atA);
            if (part >= 0 && part <= 1 && place >= low(cell, set.alongX()) && place < high(cell, set.alongX())) {
                places.add(place);
            }
        }
        return places;
    }

    /** Members of bays that follow each other without a gap. */
    private static List<Line> run(
            RoofPlan plan,
            Structure structure,
            List<Structure.Members> sets,
            List<LinePieces.Piece> purlins,
            List<Integer> bays,
            double from,
            double to) {
        boolean alongX = sets.get(0).alongX();
        List<Place> places = new ArrayList<>();
        for (int bay : bays) {
            RoofPlan.Bay cell = plan.bays().get(bay);
            double width = high(cell, alongX) - low(cell, alongX);
            for (Structure.Members set : sets) {
                for (double place : in(set, cell) ? places(set, purlins, cell, width) : List.<Double>of()) {
                    // a line on the grid line belongs to the bay it begins
                    if (place < high(cell, alongX) - SAME_M) {
                        places.add(new Place(set, place, bay, false));
                    }
                }
            }
        }
        places.sort(Comparator.comparingDouble(Place::at));
        double begin = low(plan.bays().get(bays.get(0)), alongX);
        double end = high(plan.bays().get(bays.get(bays.size() - 1)), alongX);
        Map<Integer, Integer> counted = new TreeMap<>();
        List<Line> lines = new ArrayList<>();
        for (double[] part : onRoof(plan, alongX, begin, end, (from + to) / 2)) {
            List<Place> there = places.stream()
                    .filter(p -> p.at() >= part[0] - SAME_M && p.at() <= part[1] + SAME_M)
                    .toList();
            lines.addAll(lines(plan, between(plan, structure, there, part[1]), part, from, to, counted));
        }
        return lines;
    }

    /** Places made members, each carrying the roof half way to its neighbours; beside the outer ones a wall or a beam does. */
    private static List<Line> lines(
            RoofPlan plan, List<Place> all, double[] part, double from, double to, Map<Integer, Integer> counted) {
        List<Line> lines = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            Place p = all.get(i);
            double lowM = ((i == 0 ? Math.min(part[0], p.at()) : all.get(i - 1).at()) + p.at()) / 2;
            double highM = (p.at()
                            + (i + 1 == all.size()
                                    ? Math.max(part[1], p.at())
                                    : all.get(i + 1).at()))
                    / 2;
            String bay = plan.bays().get(p.bay()).name();
            int k = counted.merge(p.bay(), p.added() ? 0 : 1, Integer::sum);
            String number = bay + "-" + k + (p.added() ? "a" : "");
            lines.add(new Line(p.set(), number, p.bay(), p.at(), from, to, lowM, highM, p.added()));
        }
        return lines;
    }

    /** Parts of the roof across a strip, looked at in its middle. */
    private static List<double[]> onRoof(RoofPlan plan, boolean alongX, double begin, double end, double middle) {
        Coordinate a = alongX ? new Coordinate(middle, begin) : new Coordinate(begin, middle);
        Coordinate b = alongX ? new Coordinate(middle, end) : new Coordinate(end, middle);
        Geometry cut = plan.outline()
                .getFactory()
                .createLineString(new Coordinate[] {a, b})
                .intersection(plan.outline());
        List<double[]> parts = new ArrayList<>();
        for (int i = 0; i < cut.getNumGeometries(); i++) {
            Envelope box = cut.getGeometryN(i).getEnvelopeInternal();
            double low = alongX ? box.getMinY() : box.getMinX();
            double high = alongX ? box.getMaxY() : box.getMaxX();
            if (high - low > SAME_M) {
                parts.add(new double[] {low, high});
            }
        }
        parts.sort(Comparator.comparingDouble(p -> p[0]));
        return parts;
    }

    /** The same with those that strengthening puts between. */
    private static List<Place> between(RoofPlan plan, Structure structure, List<Place> places, double end) {
        List<Place> all = new ArrayList<>();
        for (int i = 0; i < places.size(); i++) {
            Place p = places.get(i);
            all.add(p);
            if (works(structure, p.set(), plan.bays().get(p.bay()).name(), "between")) {
                double next = i + 1 < places.size() ? places.get(i + 1).at() : end;
                if (next - p.at() > 2 * SAME_M) {
                    all.add(new Place(p.set(), (p.at() + next) / 2, p.bay(), true));
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
}
