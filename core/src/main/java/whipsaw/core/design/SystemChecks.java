package whipsaw.core.design;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.catalogue.ModuleType;
import whipsaw.core.catalogue.TraySystem;
import whipsaw.core.check.Check;
import whipsaw.core.check.Place;
import whipsaw.core.check.Verdict;
import whipsaw.core.holddown.JoinedModules;
import whipsaw.core.job.Fabric;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/** An array against what the maker of its tray system states: module, roof, and how far it may go without a break. */
final class SystemChecks {
    private final Design design;
    private final TraySystem tray;
    private final UnitSystem units;
    private final List<Check> checks = new ArrayList<>();

    private SystemChecks(Design design) {
        this.design = design;
        this.tray = design.job().array().tray();
        this.units = design.job().project().units();
    }

    /** What is stated is checked; without modules nothing is. */
    static List<Check> of(Design design) {
        SystemChecks all = new SystemChecks(design);
        if (!design.layout().modules().isEmpty()) {
            all.module();
            all.slope();
            all.undulation();
            all.rowLength();
            all.depth();
        }
        return all.checks;
    }

    private String text(Dimension dimension, double si) {
        return Show.both(units, dimension, si);
    }

    private String source() {
        return "maker of the tray system " + tray.info().name();
    }

    private void module() {
        if (tray.longSideFrom() == null && tray.shortSideFrom() == null) {
            return;
        }
        ModuleType module = design.job().array().module();
        boolean fits = within(module.length(), tray.longSideFrom(), tray.longSideTo())
                && within(module.width(), tray.shortSideFrom(), tray.shortSideTo());
        checks.add(Check.stated(
                "system.module",
                "Module fits the tray system",
                text(Dimension.PART_LENGTH, module.length().si()) + " × "
                        + text(Dimension.PART_LENGTH, module.width().si()),
                range(tray.longSideFrom(), tray.longSideTo()) + " × " + range(tray.shortSideFrom(), tray.shortSideTo()),
                fits ? Verdict.PASSES : Verdict.FAILS,
                source(),
                "total.modules",
                fits ? "" : "its clamps do not take this module: choose another module or tray system"));
    }

    private static boolean within(Measure size, Measure from, Measure to) {
        return from == null || !Limits.above(from.si(), size.si()) && !Limits.above(size.si(), to.si());
    }

    private String range(Measure from, Measure to) {
        return from == null
                ? "any"
                : text(Dimension.PART_LENGTH, from.si()) + " to " + text(Dimension.PART_LENGTH, to.si());
    }

    /** The steepest of the roof and of the bays as found. */
    private void slope() {
        if (tray.steepest() == null) {
            return;
        }
        double most = design.job().roof().slope().si();
        String where = "roof";
        for (Fabric.BayNote n : design.job().roof().fabric().bayNotes()) {
            if (n.fall() != null && n.fall().si() > most) {
                most = n.fall().si();
                where = "bay " + n.bay();
            }
        }
        checks.add(Check.compare(
                "system.slope",
                "Fall of the roof under the trays",
                text(Dimension.ANGLE, most) + ", " + where,
                text(Dimension.ANGLE, tray.steepest().si()),
                most / tray.steepest().si(),
                null,
                source(),
                "total.modules",
                "too steep for weight alone by its maker: another system, or attachments by an engineer"));
    }

    private void undulation() {
        Fabric.BayNote worst = null;
        for (Fabric.BayNote n : design.job().roof().fabric().bayNotes()) {
            if (n.undulation() != null
                    && (worst == null
                            || n.undulation().si() > worst.undulation().si())) {
                worst = n;
            }
        }
        if (tray.undulation() == null || worst == null) {
            return;
        }
        checks.add(Check.compare(
                "system.undulation",
                "Unevenness of the roof under the trays",
                text(Dimension.ANGLE, worst.undulation().si()) + ", bay " + worst.bay(),
                text(Dimension.ANGLE, tray.undulation().si()),
                worst.undulation().si() / tray.undulation().si(),
                null,
                source(),
                "total.modules",
                "trays rock there: level them on pads by the maker's rule, or leave the bay free"));
    }

    /** Rows against the length the tray system may have without a break. */
    private void rowLength() {
        Measure most = tray.longestRow();
        if (most == null) {
            return;
        }
        List<ArrayLayout.Run> runs = design.layout().runs();
        ArrayLayout.Run longest = runs.get(0);
        List<Integer> over = new ArrayList<>();
        for (ArrayLayout.Run run : runs) {
            longest = run.lengthM() > longest.lengthM() ? run : longest;
            if (Limits.above(run.lengthM(), most.si())) {
                for (int i = run.firstIndex(); i <= run.lastIndex(); i++) {
                    over.add(i);
                }
            }
        }
        checks.add(Check.compare(
                "array.row-length",
                "Longest row without a break",
                text(Dimension.ROOF_LENGTH, longest.lengthM()),
                text(Dimension.ROOF_LENGTH, most.si()),
                longest.lengthM() / most.si(),
                over.isEmpty() ? null : new Place("rows longer than that", Place.Kind.MODULES, over),
                source(),
                "total.modules",
                "put an aisle across the rows, break them by hand, or split the array"));
        gaps(most.si());
    }

    /** Gaps within rows that are narrower than the maker asks for at a break, where without them the row were too long. */
    private void gaps(double longestM) {
        if (tray.breakGap() == null) {
            return;
        }
        List<ArrayLayout.Run> runs = design.layout().runs();
        double least = Double.POSITIVE_INFINITY;
        for (int i = 1; i < runs.size(); i++) {
            ArrayLayout.Run a = runs.get(i - 1);
            ArrayLayout.Run b = runs.get(i);
            if (a.row() == b.row() && Limits.above(b.to() - a.from(), longestM)) {
                least = Math.min(least, b.from() - a.to());
            }
        }
        if (Double.isInfinite(least)) {
            return;
        }
        checks.add(Check.compare(
                "system.break-gap",
                "Gap where a row is broken",
                text(Dimension.PART_LENGTH, tray.breakGap().si()),
                text(Dimension.PART_LENGTH, least),
                tray.breakGap().si() / least,
                null,
                source(),
                "total.modules",
                "rows grow in the sun and would touch: widen the aisle or the break"));
    }

    /** Rows that are linked, from the front of the first to the rear of the last. */
    private void depth() {
        if (tray.deepest() == null || !tray.linksRows()) {
            return;
        }
        ArrayLayout layout = design.layout();
        JoinedModules joined = new JoinedModules(layout, tray);
        Map<Integer, double[]> reach = new HashMap<>();
        for (ArrayLayout.Module m : layout.modules()) {
            double[] r = reach.computeIfAbsent(joined.group(m.index()), g -> new double[] {m.t(), m.t()});
            r[0] = Math.min(r[0], m.t());
            r[1] = Math.max(r[1], m.t());
        }
        double most = 0;
        for (double[] r : reach.values()) {
            most = Math.max(most, r[1] - r[0] + layout.depthM());
        }
        double limit = tray.deepest().si();
        List<Integer> over = layout.modules().stream()
                .filter(m -> {
                    double[] r = reach.get(joined.group(m.index()));
                    return Limits.above(r[1] - r[0] + layout.depthM(), limit);
                })
                .map(ArrayLayout.Module::index)
                .toList();
        checks.add(Check.compare(
                "system.depth",
                "Deepest array without a break",
                text(Dimension.ROOF_LENGTH, most),
                text(Dimension.ROOF_LENGTH, limit),
                most / limit,
                over.isEmpty() ? null : new Place("rows linked over more than that", Place.Kind.MODULES, over),
                source(),
                "total.modules",
                "put a walkway between rows so that they are not linked across it"));
    }
}
