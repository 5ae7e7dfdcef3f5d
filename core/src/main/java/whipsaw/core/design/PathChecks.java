package whipsaw.core.design;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import whipsaw.core.array.AccessPaths;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.check.Check;
import whipsaw.core.check.Place;
import whipsaw.core.check.Verdict;
import whipsaw.core.table.FirePathTable;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/**
 * Whether the paths asked for are there: measured on the modules as they lie, those of other arrays of the roof too, not
 * on the rule that placed them.
 */
final class PathChecks {
    /** A touch is no overlap, m2. */
    private static final double TOUCH_M2 = 1e-4;

    private static final double TOUCH_M = 1e-6;
    private static final GeometryFactory FACTORY = new GeometryFactory();

    private final Design design;
    private final ArrayLayout layout;
    private final FirePathTable.Rule rule;
    private final UnitSystem units;

    private PathChecks(Design design) {
        this.design = design;
        this.layout = design.layout();
        this.rule = layout.paths().rule();
        this.units = design.job().project().units();
    }

    /** None where no array of the roof has a rule or nothing is placed. */
    static List<Check> of(Design design) {
        PathChecks all = new PathChecks(design);
        List<AccessPaths.Strip> strips = design.roof().arrays().stream()
                .flatMap(a -> a.layout().paths().strips().stream())
                .toList();
        if (all.layout.modules().isEmpty() || all.rule == null && strips.isEmpty()) {
            return List.of();
        }
        List<Integer> inWay = all.inWay(strips);
        return all.rule == null ? all.ofOthers(inWay) : all.own(inWay);
    }

    /** An array without a rule of its own in the way of another's. */
    private List<Check> ofOthers(List<Integer> inWay) {
        return inWay.isEmpty()
                ? List.of()
                : List.of(new Check(
                        "array.paths",
                        design.roof().arrays().stream()
                                .map(a -> a.layout().paths().rule())
                                .filter(Objects::nonNull)
                                .findFirst()
                                .orElseThrow()
                                .title(),
                        "modules in a path: " + inWay.size(),
                        "0",
                        Double.NaN,
                        Verdict.FAILS,
                        new Place("modules in a path", Place.Kind.MODULES, inWay),
                        "paths of another array of this roof",
                        "array.setback",
                        "choose the same paths for this array, or leave these modules out"));
    }

    /** From where to where modules reach in a direction. */
    private record Reach(double from, double to) {}

    private List<Check> own(List<Integer> inWay) {
        double across = longest(layout.modules().stream()
                .map(m -> new Reach(m.t(), m.t() + layout.depthM()))
                .toList());
        double along = longest(layout.modules().stream()
                .map(m -> new Reach(m.s(), m.s() + layout.alongM()))
                .toList());
        boolean narrow = Limits.above(rule.perimeterM(), layout.setbackM());
        boolean large = Limits.above(Math.max(across, along), rule.largestM());
        List<String> wrong = new ArrayList<>();
        if (narrow) {
            wrong.add("set-back " + text(layout.setbackM()) + " below " + text(rule.perimeterM()));
        }
        if (large) {
            wrong.add("section longer than " + text(rule.largestM()));
        }
        if (!inWay.isEmpty()) {
            wrong.add("modules in a path: " + inWay.size());
        }
        String found = "sections up to " + text(along) + " x " + text(across) + ", set-back " + text(layout.setbackM())
                + (wrong.isEmpty() ? "" : ": " + String.join(", ", wrong));
        return List.of(new Check(
                "array.paths",
                rule.title(),
                found,
                "sections up to " + text(rule.largestM()) + ", " + text(rule.betweenM()) + " between them, perimeter "
                        + text(rule.perimeterM()) + ", " + text(rule.toHatchM()) + " to hatches",
                Double.NaN,
                wrong.isEmpty() ? rule.authority() ? Verdict.NEEDS_ENGINEER : Verdict.PASSES : Verdict.FAILS,
                inWay.isEmpty() ? null : new Place("modules in a path", Place.Kind.MODULES, inWay),
                design.tables().firePaths().table().source(),
                "array.paths",
                wrong.isEmpty()
                        ? rule.authority() ? "the fire authority agrees the paths: the rule is from memory" : ""
                        : "put the set-back back to the rule, or leave these modules out"));
    }

    private String text(double metres) {
        return Show.brief(units, Dimension.ROOF_LENGTH, metres);
    }

    /** The longest stretch that no free strip as wide as the path interrupts. */
    private double longest(List<Reach> modules) {
        List<Reach> sorted =
                modules.stream().sorted(Comparator.comparingDouble(Reach::from)).toList();
        double longest = 0;
        double from = sorted.get(0).from();
        double to = sorted.get(0).to();
        for (Reach r : sorted) {
            if (!Limits.above(rule.betweenM(), r.from() - to + TOUCH_M)) {
                from = r.from();
            }
            to = Math.max(to, r.to());
            longest = Math.max(longest, to - from);
        }
        return longest;
    }

    /** Modules of this array that lie in a path. */
    private List<Integer> inWay(List<AccessPaths.Strip> strips) {
        List<Integer> all = new ArrayList<>();
        for (ArrayLayout.Module m : layout.modules()) {
            Coordinate[] c = layout.corners(m);
            Polygon module = FACTORY.createPolygon(new Coordinate[] {c[0], c[1], c[2], c[3], c[0].copy()});
            if (strips.stream()
                    .map(AccessPaths.Strip::area)
                    .anyMatch(p -> p.getEnvelopeInternal().intersects(module.getEnvelopeInternal())
                            && p.intersection(module).getArea() > TOUCH_M2)) {
                all.add(m.index());
            }
        }
        return all;
    }
}
