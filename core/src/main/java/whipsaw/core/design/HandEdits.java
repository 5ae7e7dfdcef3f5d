package whipsaw.core.design;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.DoubleSummaryStatistics;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.array.FreePlaces;
import whipsaw.core.job.ArrayChoice;
import whipsaw.core.job.Corner;
import whipsaw.core.job.DocumentPatch.Change;
import whipsaw.core.job.HandWork;
import whipsaw.core.job.JobPaths;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Quantity;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitText;

/**
 * Changes made to an array by hand: modules put in, rows shifted, locked, brought in line and cut, all of it mirrored.
 * What makes no sense is an {@link IllegalArgumentException} with the reason in words.
 */
public final class HandEdits {
    private static final double SAME_M = 1e-4;

    private final Design design;
    private final ArrayLayout layout;
    private final List<Object> removed = new ArrayList<>();
    private final Map<String, List<Map<String, Object>>> hand = new LinkedHashMap<>();

    public HandEdits(Design design) {
        this.design = design;
        this.layout = design.layout();
        design.job().array().removed().forEach(c -> removed.add(written(c.x(), c.y())));
        HandWork now = design.job().array().byHand();
        hand.put(
                "added",
                new ArrayList<>(
                        now.added().stream().map(c -> written(c.x(), c.y())).toList()));
        hand.put("shifted", new ArrayList<>());
        now.shifted().forEach(r -> hand.get("shifted").add(with(written(r.x(), r.y()), "by", r.by().typed())));
        hand.put(
                "locked",
                new ArrayList<>(
                        now.locked().stream().map(c -> written(c.x(), c.y())).toList()));
        hand.put("breaks", new ArrayList<>());
        now.breaks().forEach(b -> hand.get("breaks")
                .add(with(written(b.x(), b.y()), "gap", b.gap().typed())));
    }

    private static Map<String, Object> written(Measure x, Measure y) {
        return ModuleEdits.corner(x.typed(), y.typed());
    }

    private Map<String, Object> written(Coordinate c) {
        return ModuleEdits.corner(exact(c.x), exact(c.y));
    }

    private static Map<String, Object> with(Map<String, Object> place, String key, String value) {
        Map<String, Object> all = new LinkedHashMap<>(place);
        all.put(key, value);
        return all;
    }

    private String exact(double metres) {
        return Show.exact(design.job().project().units(), Dimension.ROOF_LENGTH, metres);
    }

    /** A row, or the two of a pair, as the first of its modules has it. */
    private record Line(int band, double t, ArrayLayout.Module first, List<ArrayLayout.Module> modules) {}

    private int band(ArrayLayout.Module m) {
        return layout.pairs() == null ? m.row() - 1 : (m.row() - 1) / 2;
    }

    private double bandM() {
        return layout.pitchM() - layout.gapM();
    }

    private double start(ArrayLayout.Module m) {
        return layout.looksBack(m.row()) ? m.t() - (bandM() - layout.depthM()) : m.t();
    }

    /** Rows with modules, by their place in the order of rows. */
    private TreeMap<Integer, Line> lines() {
        TreeMap<Integer, Line> lines = new TreeMap<>();
        for (ArrayLayout.Module m : layout.modules()) {
            lines.computeIfAbsent(band(m), b -> new Line(b, start(m), m, new ArrayList<>()))
                    .modules()
                    .add(m);
        }
        return lines;
    }

    private List<Line> picked(Collection<String> positions) {
        TreeMap<Integer, Line> lines = lines();
        List<Line> own = new ModuleEdits(design)
                .touched(positions).stream()
                        .map(this::band)
                        .distinct()
                        .sorted()
                        .map(lines::get)
                        .toList();
        if (own.isEmpty()) {
            throw new IllegalArgumentException("no row is picked: click a module of it first");
        }
        return own;
    }

    private Coordinate middle(double s, double t) {
        return layout.frame().plan(s + layout.alongM() / 2, t + layout.depthM() / 2);
    }

    private boolean on(Line line, double x, double y) {
        double t = layout.frame().t(x, y);
        double half = layout.gapM() / 2;
        return t >= line.t() - half && t <= line.t() + bandM() + half;
    }

    /** Puts modules in at points of the sheet; one that was left out there is put back. */
    public List<Change> putIn(List<Coordinate> points) {
        List<FreePlaces.Place> free = free();
        List<FreePlaces.Place> chosen = new ArrayList<>();
        for (Coordinate c : points) {
            FreePlaces.Place at = free.stream()
                    .filter(p -> covers(p, c))
                    .findFirst()
                    .orElseThrow(() -> new IllegalArgumentException(
                            "there is no free place of the rows at x " + exact(c.x) + ", y " + exact(c.y)));
            if (!at.bears()) {
                throw new IllegalArgumentException("a module cannot lie here: " + at.why());
            }
            chosen.add(at);
        }
        return filled(chosen);
    }

    /** Puts modules in at all places of a box of the sheet that bear one. */
    public List<Change> fill(Coordinate a, Coordinate b) {
        return filled(free().stream()
                .filter(FreePlaces.Place::bears)
                .filter(p -> inBox(middle(p.s(), p.t()), a, b))
                .toList());
    }

    private List<FreePlaces.Place> free() {
        return FreePlaces.of(design.job(), design.plan(), design.whole().tables(), layout);
    }

    private static boolean inBox(Coordinate c, Coordinate a, Coordinate b) {
        return c.x >= Math.min(a.x, b.x)
                && c.x <= Math.max(a.x, b.x)
                && c.y >= Math.min(a.y, b.y)
                && c.y <= Math.max(a.y, b.y);
    }

    private boolean covers(FreePlaces.Place p, Coordinate c) {
        double s = layout.frame().s(c.x, c.y) - p.s();
        double t = layout.frame().t(c.x, c.y) - p.t();
        return s >= 0 && s <= layout.alongM() && t >= 0 && t <= bandM();
    }

    private List<Change> filled(List<FreePlaces.Place> places) {
        if (places.isEmpty()) {
            throw new IllegalArgumentException("no free place that bears a module is in the box");
        }
        for (FreePlaces.Place p : places) {
            List<Object> here = design.job().array().removed().stream()
                    .filter(c -> covers(p, new Coordinate(c.x().si(), c.y().si())))
                    .map(c -> (Object) written(c.x(), c.y()))
                    .toList();
            if (!removed.removeAll(here) || here.isEmpty()) {
                hand.get("added").add(written(middle(p.s(), p.t())));
            }
        }
        return changes();
    }

    /** Locks the rows of these positions where they are. */
    public List<Change> lock(Collection<String> positions) {
        int before = hand.get("locked").size();
        for (Line line : picked(positions)) {
            if (locks(line).isEmpty()) {
                drop("shifted", line);
                hand.get("locked").add(written(middle(line.first().s(), line.t())));
            }
        }
        if (hand.get("locked").size() == before) {
            throw new IllegalArgumentException("these rows are locked already");
        }
        return changes();
    }

    /** Lets the rows of these positions go with the others again. */
    public List<Change> unlock(Collection<String> positions) {
        boolean any = false;
        for (Line line : picked(positions)) {
            any |= drop("locked", line) | drop("shifted", line);
        }
        if (!any) {
            throw new IllegalArgumentException("these rows are neither locked nor shifted");
        }
        return changes();
    }

    private List<Corner> locks(Line line) {
        return design.job().array().byHand().locked().stream()
                .filter(c -> on(line, c.x().si(), c.y().si()))
                .toList();
    }

    private boolean drop(String list, Line line) {
        return hand.get(list).removeIf(m -> {
            Coordinate c = coordinate(m);
            return on(line, c.x, c.y);
        });
    }

    private Coordinate coordinate(Map<String, Object> place) {
        return new Coordinate(metres(place.get("x")), metres(place.get("y")));
    }

    private double metres(Object typed) {
        return UnitText.parse(
                        String.valueOf(typed),
                        Quantity.LENGTH,
                        Dimension.ROOF_LENGTH.unit(design.job().project().units()))
                .si();
    }

    /** Shifts the rows of these positions along themselves, to the right as seen from the low edge. */
    public List<Change> shift(Collection<String> positions, double byM) {
        for (Line line : picked(positions)) {
            shift(line, byM);
        }
        return changes();
    }

    private void shift(Line line, double byM) {
        if (drop("locked", line)) {
            hand.get("locked").add(written(middle(line.first().s() + byM, line.t())));
            return;
        }
        double now = design.job().array().byHand().shifted().stream()
                .filter(r -> on(line, r.x().si(), r.y().si()))
                .mapToDouble(r -> r.by().si())
                .sum();
        drop("shifted", line);
        if (Math.abs(now + byM) > SAME_M) {
            hand.get("shifted").add(with(written(middle(line.first().s(), line.t())), "by", exact(now + byM)));
        }
    }

    /** Brings the columns of these rows in line with those of the row in front, of the first row with those behind. */
    public List<Change> align(Collection<String> positions) {
        TreeMap<Integer, Line> lines = lines();
        boolean any = false;
        for (Line line : picked(positions)) {
            Map.Entry<Integer, Line> next = lines.lowerEntry(line.band());
            next = next == null ? lines.higherEntry(line.band()) : next;
            double apart = next == null
                    ? 0
                    : next.getValue().first().s() - line.first().s();
            double by = apart - Math.rint(apart / layout.columnPitchM()) * layout.columnPitchM();
            if (Math.abs(by) > SAME_M) {
                shift(line, by);
                any = true;
            }
        }
        if (!any) {
            throw new IllegalArgumentException("these rows are in line with the next ones already");
        }
        return changes();
    }

    /** Widens the gap at the left end of each of these modules; one no wider than between modules closes it. */
    public List<Change> cut(Collection<String> positions, double gapM, String typed) {
        boolean any = false;
        double plain = layout.moduleGap().si();
        TreeMap<Integer, Line> lines = lines();
        for (ArrayLayout.Module m : new ModuleEdits(design).between(positions)) {
            Line line = lines.get(band(m));
            double column = unbroken(line, m.s());
            boolean there = hand.get("breaks").removeIf(b -> {
                Coordinate c = coordinate(b);
                double off = column - layout.frame().s(c.x, c.y);
                return on(line, c.x, c.y) && Math.abs(off) < layout.columnPitchM() / 2;
            });
            if (gapM > plain + SAME_M) {
                Coordinate at = layout.frame().plan(column, line.t() + layout.depthM() / 2);
                hand.get("breaks").add(with(written(at), "gap", typed));
                any = true;
            }
            any |= there;
        }
        if (!any) {
            throw new IllegalArgumentException("pick the module to the right of the break, and type a gap wider than "
                    + Show.both(design.job().project().units(), Dimension.PART_LENGTH, plain));
        }
        return changes();
    }

    /** Where a module of a row would begin without the breaks before it: breaks are kept by that place. */
    private double unbroken(Line line, double s) {
        double plain = s;
        List<HandWork.RowBreak> before = design.job().array().byHand().breaks().stream()
                .filter(b -> on(line, b.x().si(), b.y().si()))
                .sorted(Comparator.comparingDouble(b -> layout.frame().s(b.x().si(), b.y().si())))
                .toList();
        for (HandWork.RowBreak b : before) {
            double moved = plain - (b.gap().si() - layout.moduleGap().si());
            double at = layout.frame().s(b.x().si(), b.y().si());
            if (moved < at - layout.columnPitchM() / 2) {
                break;
            }
            plain = moved;
        }
        return plain;
    }

    /** What was left out and put in by hand done on the other side of the middle of the array too. */
    public List<Change> mirror() {
        // the middle is that of the array the rules place
        DoubleSummaryStatistics along = layout.modules().stream()
                .filter(m -> !layout.added().contains(m.index()))
                .mapToDouble(ArrayLayout.Module::s)
                .summaryStatistics();
        double sum = along.getMin() + along.getMax() + layout.alongM();
        int before = removed.size() + hand.get("added").size();
        for (Corner c : design.job().array().removed()) {
            Coordinate m = mirrored(c, sum);
            if (layout.modules().stream().anyMatch(x -> middle(x.s(), x.t()).distance(m) < layout.alongM() / 2)) {
                removed.add(written(m));
            }
        }
        List<FreePlaces.Place> free = free();
        for (Corner c : design.job().array().byHand().added()) {
            Coordinate m = mirrored(c, sum);
            if (free.stream().anyMatch(p -> p.bears() && covers(p, m))) {
                hand.get("added").add(written(m));
            }
        }
        if (removed.size() + hand.get("added").size() == before) {
            throw new IllegalArgumentException(
                    "nothing to mirror: leave modules out, or put them in, on one side of the array first");
        }
        return changes();
    }

    private Coordinate mirrored(Corner c, double sum) {
        double x = c.x().si();
        double y = c.y().si();
        return layout.frame().plan(sum - layout.frame().s(x, y), layout.frame().t(x, y));
    }

    /** Forgets all of it but for modules left out. */
    public List<Change> clear() {
        if (design.job().array().hand() == null) {
            throw new IllegalArgumentException("nothing else of " + design.job().name() + " was done by hand");
        }
        return List.of(new Change("remove", path("hand"), null));
    }

    private String path(String what) {
        String path = what.equals("hand")
                ? JobPaths.ARRAY.to(ArrayChoice::hand).toString()
                : JobPaths.ARRAY.to(ArrayChoice::removed).toString();
        return JobPaths.absolute(path, design.job());
    }

    private List<Change> changes() {
        List<Change> changes = new ArrayList<>();
        if (removed.size() != design.job().array().removed().size()) {
            changes.add(new Change("set", path("removed"), removed));
        }
        if (hand.values().stream().allMatch(List::isEmpty)) {
            if (design.job().array().hand() != null) {
                changes.add(new Change("remove", path("hand"), null));
            }
        } else {
            changes.add(new Change("set", path("hand"), hand));
        }
        return changes;
    }
}
