package whipsaw.app.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.design.Design;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.job.Obstruction;
import whipsaw.core.job.ObstructionKinds;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/**
 * What the plan draws, as a list to be read or heard.
 *
 * @param rows from the front
 * @param whole whether every row comes with its positions
 */
public record RoofList(List<String> edges, List<Thing> things, List<Row> rows, List<String> lines, boolean whole) {
    private static final int MOST_POSITIONS = 1500;

    /** An obstruction, with the path of its fields. */
    public record Thing(String id, String words) {}

    /** A row with its positions; none when the row is to be opened first. */
    public record Row(int number, String words, List<Place> places) {}

    /** A position with its count and what a person is told of it. */
    public record Place(String id, String count, String words) {}

    /**
     * @param openRow row whose positions are wanted on a large roof, or 0
     */
    public static RoofList of(Design design, int openRow) {
        boolean whole = design.holdDown().positions().size() <= MOST_POSITIONS;
        return new RoofList(edges(design), things(design), rows(design, whole, openRow), lines(design), whole);
    }

    private static List<String> edges(Design design) {
        UnitSystem units = design.job().project().units();
        List<String> list = new ArrayList<>();
        for (RoofPlan.Edge e : design.plan().edges()) {
            String parapet = e.parapetHeightM() > 0
                    ? ", parapet "
                            + Show.in(units, Dimension.ROOF_LENGTH, e.parapetHeightM())
                            + " high and "
                            + Show.in(units, Dimension.PART_LENGTH, e.parapetThicknessM())
                            + " thick"
                    : ", no parapet";
            list.add("Edge " + e.number() + ": " + Show.both(units, Dimension.ROOF_LENGTH, e.lengthM()) + parapet);
        }
        return list;
    }

    private static List<Thing> things(Design design) {
        UnitSystem units = design.job().project().units();
        List<Thing> list = new ArrayList<>();
        for (Obstruction o : design.job().roof().obstructions()) {
            list.add(new Thing(
                    o.id(),
                    o.name()
                            + ": "
                            + length(units, o.width().si())
                            + " by "
                            + length(units, o.depth().si())
                            + ", "
                            + length(units, o.height().si())
                            + " high, modules keep "
                            + length(units, ObstructionKinds.clearM(o))
                            + " off; its lower left corner "
                            + length(units, o.x().si())
                            + " to the right and "
                            + length(units, o.y().si())
                            + " up the sheet"));
        }
        return list;
    }

    private static String length(UnitSystem units, double metres) {
        return Show.in(units, Dimension.ROOF_LENGTH, metres);
    }

    private static List<Row> rows(Design design, boolean whole, int openRow) {
        ArrayLayout layout = design.layout();
        Map<Integer, List<Place>> places = new TreeMap<>();
        Map<Integer, Integer> blocks = new TreeMap<>();
        Map<Integer, Integer> numbers = new TreeMap<>();
        boolean known = design.holdDown().established();
        for (HoldDown.Position p : design.holdDown().positions()) {
            HoldDown.Demand demand =
                    design.holdDown().demands().get(p.shares().get(0).module());
            int row = demand.module().row();
            numbers.put(row, p.row());
            String count = known ? p.ballast().blocksPlaced() + p.ballast().mark() : "?";
            String words = "position "
                    + p.number()
                    + ": "
                    + (known ? p.ballast().words() : "blocks not established")
                    + ", zone "
                    + demand.zone();
            places.computeIfAbsent(row, k -> new ArrayList<>()).add(new Place(p.id(), count, words));
            blocks.merge(row, p.ballast().blocksPlaced(), Integer::sum);
        }
        List<Row> rows = new ArrayList<>();
        places.forEach((row, list) -> {
            String walkway = layout.walkwaysAfter().contains(row) ? ", walkway behind it" : "";
            String count = known ? Show.count(blocks.get(row), "block") : "blocks not established";
            rows.add(new Row(
                    row,
                    "Row " + numbers.get(row) + ": " + Show.count(list.size(), "position") + ", " + count + walkway,
                    whole || row == openRow ? list : List.of()));
        });
        return rows;
    }

    private static List<String> lines(Design design) {
        UnitSystem units = design.job().project().units();
        List<String> list = new ArrayList<>();
        int shortest = design.strings().shortestUsed();
        int longest = design.strings().longestUsed();
        list.add(Show.count(design.strings().strings().size(), "string") + " of "
                + (shortest == longest ? "" : shortest + " to ") + Show.count(longest, "module") + " on "
                + Show.count(design.inverters().inverters(), "inverter"));
        list.add("AC run: "
                + Show.both(units, Dimension.ROOF_LENGTH, design.run().lengthM()) + " one way, "
                + Show.count(design.job().electrical().run().points().size(), "point"));
        list.add("Set-back "
                + Show.both(units, Dimension.ROOF_LENGTH, design.layout().setbackM())
                + " from the inner face of every edge");
        return list;
    }
}
