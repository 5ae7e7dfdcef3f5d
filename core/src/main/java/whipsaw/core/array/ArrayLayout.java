package whipsaw.core.array;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.units.Measure;

/**
 * The modules as placed.
 *
 * @param frame coordinates of the rows
 * @param facingDeg true azimuth the low edges look to
 * @param spacing shade-free spacing for the window, of the face that looks to {@code facingDeg}
 * @param pairs spacing of pairs back to back; null for one-way rows
 * @param gapM clear gap between rows, or valley between pairs, a setting of the tray system
 * @param gapChosen false when the smallest shade-free setting was taken
 * @param setbackM kept from the inner face of the roof edge
 * @param setbackRule words of the rule when it was not typed, else null
 * @param alongM module dimension along the row
 * @param depthM footprint of a row
 * @param modules in order of rows from the front and columns from the left
 * @param rows how many rows have modules; a row line without any keeps its number, so the last one may be higher
 * @param walkwaysAfter row numbers behind which a walkway lies
 * @param added modules that lie there only because they were put in by hand
 * @param notKept hand work that no longer finds its place
 * @param paths left by a rule, beside those between rows
 * @param numbers as the crew counts
 */
public record ArrayLayout(
        ArrayFrame frame,
        double facingDeg,
        RowSpacing spacing,
        PairSpacing pairs,
        double gapM,
        boolean gapChosen,
        double setbackM,
        String setbackRule,
        double alongM,
        double depthM,
        List<Module> modules,
        int rows,
        List<Integer> walkwaysAfter,
        List<Integer> added,
        List<NotKept> notKept,
        AccessPaths paths,
        double lowEdgeM,
        double highEdgeM,
        Measure moduleGap,
        CrewNumbers numbers) {

    public ArrayLayout {
        modules = List.copyOf(modules);
        walkwaysAfter = List.copyOf(walkwaysAfter);
        added = List.copyOf(added);
        notKept = List.copyOf(notKept);
    }

    /**
     * Something done by hand that the layout has no place for.
     *
     * @param what in words, for example {@code row shift}
     * @param x of the place on the sheet, m
     * @param y of it, m
     */
    public record NotKept(String what, double x, double y) {}

    /**
     * One module.
     *
     * @param index in the list of modules
     * @param row of the array's grid from the front, from 1, whether all have modules or not
     * @param column of the grid from the left, from 1; 0 and less left of the first one that fits by the rules
     * @param s left side along the row
     * @param t low edge across the rows
     * @param crewRow row as the crew counts
     * @param crewPlace place in it as the crew counts
     */
    public record Module(int index, int row, int column, double s, double t, int crewRow, int crewPlace) {
        /** Its place on the array's own grid, which no other module changes. */
        public String id() {
            return row + "-" + column;
        }

        /** The number it has on every sheet, for example {@code 3-12}. */
        public String number() {
            return crewRow + "-" + crewPlace;
        }
    }

    /**
     * The ground rectangle of a module on the plan: front left, front right, rear right, rear left.
     */
    public Coordinate[] corners(Module m) {
        return new Coordinate[] {
            frame.plan(m.s(), m.t()),
            frame.plan(m.s() + alongM, m.t()),
            frame.plan(m.s() + alongM, m.t() + depthM),
            frame.plan(m.s(), m.t() + depthM)
        };
    }

    /** Whether a row is the rear one of a pair and looks away from the facing azimuth. */
    public boolean looksBack(int row) {
        return pairs != null && row % 2 == 0;
    }

    /** Clear gap behind a row: the ridge inside a pair, else the row or valley gap. */
    public double gapBehindM(int row) {
        return pairs != null && row % 2 == 1 ? pairs.input().ridgeGapM() : gapM;
    }

    /** From a row to the next one alike: row to row, or pair to pair. */
    public double pitchM() {
        return pairs == null ? depthM + gapM : 2 * depthM + pairs.input().ridgeGapM() + gapM;
    }

    /** Distance between the starts of neighbouring modules of a row. */
    public double columnPitchM() {
        return alongM + moduleGap.si();
    }

    /** Number of the last row; 0 without modules. */
    public int lastRow() {
        return modules.isEmpty() ? 0 : modules.get(modules.size() - 1).row();
    }

    private static final String[] ENDS = {
        "north", "north-east", "east", "south-east", "south", "south-west", "west", "north-west"
    };

    /** The end of every row at which its positions begin to count, by the compass: west where rows face south. */
    public String countsFrom() {
        return end(facingDeg + 90);
    }

    /** The end of the array at which rows begin to count, by the compass: south where rows face south. */
    public String rowsFrom() {
        return end(facingDeg);
    }

    private static String end(double azimuthDeg) {
        return ENDS[(int) Math.floorMod(Math.round(azimuthDeg / 45), 8L)];
    }

    /** Whether two modules of a row stand side by side. */
    public boolean adjacent(Module left, Module right) {
        return left.row() == right.row() && right.column() == left.column() + 1;
    }

    /**
     * Plan area of the outline of the array: modules, module gaps and row gaps, without walkways.
     */
    public double footprintM2() {
        double area = 0;
        List<Run> runs = runs();
        for (Run run : runs) {
            area += run.lengthM() * depthM;
        }
        int first = 0;
        for (Run run : runs) {
            while (first < runs.size() && runs.get(first).row() <= run.row()) {
                first++;
            }
            if (walkwaysAfter.contains(run.row())) {
                continue;
            }
            for (int i = first; i < runs.size() && runs.get(i).row() == run.row() + 1; i++) {
                double overlap = Math.min(run.to(), runs.get(i).to())
                        - Math.max(run.from(), runs.get(i).from());
                area += Math.max(0, overlap) * gapBehindM(run.row());
            }
        }
        return area;
    }

    /** Modules side by side without a break. */
    public record Run(int row, int firstIndex, int lastIndex, double from, double to) {
        /** Length along the row, gaps between its modules included. */
        public double lengthM() {
            return to - from;
        }
    }

    /** The ground rectangles of all runs on the plan, each closed. */
    public List<Coordinate[]> runCorners() {
        return runs().stream()
                .map(r -> {
                    double t = modules.get(r.firstIndex()).t();
                    return new Coordinate[] {
                        frame.plan(r.from(), t),
                        frame.plan(r.to(), t),
                        frame.plan(r.to(), t + depthM),
                        frame.plan(r.from(), t + depthM),
                        frame.plan(r.from(), t)
                    };
                })
                .toList();
    }

    /** All runs in order. */
    public List<Run> runs() {
        List<Run> runs = new ArrayList<>();
        int start = 0;
        for (int i = 0; i < modules.size(); i++) {
            boolean last = i + 1 == modules.size();
            if (last || !adjacent(modules.get(i), modules.get(i + 1))) {
                runs.add(new Run(
                        modules.get(i).row(),
                        start,
                        i,
                        modules.get(start).s(),
                        modules.get(i).s() + alongM));
                start = i + 1;
            }
        }
        return runs;
    }
}
