package whipsaw.core.build;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.holddown.LaidArray;
import whipsaw.core.structure.AttachedArray;

/**
 * The ballast map as it is signed and laid: every position of every array with its blocks, as plain figures that nothing
 * is computed from again.
 */
public record BallastMap(List<MapArray> arrays) {
    /** Positions of two maps nearer than this are the same one, m: less than half of the narrowest module. */
    private static final double SAME_M = 0.3;

    public BallastMap {
        arrays = List.copyOf(arrays);
    }

    /**
     * One array of it.
     *
     * @param id of the array in the job
     * @param block what is laid, in words
     * @param blockKg mass of one, as it counts for the load
     * @param attachments of the array, a first estimate; 0 for none
     */
    public record MapArray(String id, String name, String block, double blockKg, int attachments, List<Place> places) {
        public MapArray {
            places = List.copyOf(places);
        }

        /** Blocks of the array. */
        public int blocks() {
            return places.stream().mapToInt(Place::blocks).sum();
        }

        /** A position by its number; null where there is none of it. */
        public Place place(String number) {
            return places.stream()
                    .filter(p -> p.number().equals(number))
                    .findFirst()
                    .orElse(null);
        }
    }

    /**
     * One position.
     *
     * @param number on every sheet, for example {@code 3-12}
     * @param row as the crew counts
     * @param label number in the row
     * @param xM middle, in the plan of the roof
     * @param yM middle, in the plan of the roof
     * @param attached whether attachments hold what its blocks do not
     * @param breakBefore whether the row is interrupted before it
     */
    public record Place(
            String number,
            int row,
            String label,
            double xM,
            double yM,
            int blocks,
            boolean attached,
            boolean breakBefore) {}

    /**
     * One array of a design.
     *
     * @param laid the array as it lies
     * @param attached null where weight alone holds it
     */
    public static MapArray of(LaidArray laid, AttachedArray attached) {
        List<Place> places = new ArrayList<>();
        HoldDown.Position before = null;
        for (HoldDown.Position p : laid.holdDown().positions()) {
            Coordinate at = laid.layout().frame().plan(p.s(), p.t());
            boolean sameRow = before != null && before.row() == p.row();
            places.add(new Place(
                    p.number(),
                    p.row(),
                    p.label(),
                    millimetres(at.x),
                    millimetres(at.y),
                    p.ballast().blocksPlaced(),
                    p.ballast().attached(),
                    sameRow && !HoldDown.follows(laid.layout(), before, p)));
            before = p;
        }
        return new MapArray(
                laid.job().place(),
                laid.job().name(),
                laid.job().array().block().info().name(),
                laid.holdDown().block().laidKg(),
                attached == null ? 0 : attached.needed(),
                places);
    }

    private static double millimetres(double metres) {
        return Math.round(metres * 1000) / 1000.0;
    }

    /** An array by its id; null where there is none. */
    public MapArray array(String id) {
        return arrays.stream().filter(a -> a.id().equals(id)).findFirst().orElse(null);
    }

    /** Blocks of the whole map. */
    public int blocks() {
        return arrays.stream().mapToInt(MapArray::blocks).sum();
    }

    /** Positions of an array to be found by where they lie. */
    public static final class Nearby {
        private final Map<Long, List<Place>> cells = new HashMap<>();

        public Nearby(List<Place> places) {
            places.forEach(p -> cells.computeIfAbsent(key(cell(p.xM()), cell(p.yM())), k -> new ArrayList<>(2))
                    .add(p));
        }

        private static long cell(double metres) {
            return Math.round(metres / SAME_M);
        }

        private static long key(long x, long y) {
            return (x << 32) ^ (y & 0xffffffffL);
        }

        /** The position at a place; null where none lies there. */
        public Place at(double xM, double yM) {
            Place nearest = null;
            double least = SAME_M;
            for (long x = cell(xM) - 1; x <= cell(xM) + 1; x++) {
                for (long y = cell(yM) - 1; y <= cell(yM) + 1; y++) {
                    for (Place p : cells.getOrDefault(key(x, y), List.of())) {
                        double away = Math.hypot(p.xM() - xM, p.yM() - yM);
                        if (away < least) {
                            nearest = p;
                            least = away;
                        }
                    }
                }
            }
            return nearest;
        }
    }
}
