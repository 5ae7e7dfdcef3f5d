package whipsaw.core.design;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.check.Check;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.Unit;
import whipsaw.core.units.UnitSystem;

/**
 * What a change did, in words and on the drawing.
 *
 * @param words for example {@code +14 blocks}, {@code −3 modules}; empty when nothing changed
 * @param changed indices of positions of the later design that are new or hold another count of
 *     blocks
 */
public record DesignChange(List<String> words, List<Integer> changed) {
    private static final double CENTIMETRE = 0.01;

    public DesignChange {
        words = List.copyOf(words);
        changed = List.copyOf(changed);
    }

    /** The same with something more to say. */
    public DesignChange with(List<String> more) {
        List<String> all = new ArrayList<>(words);
        all.addAll(more);
        return new DesignChange(all, changed);
    }

    /** From one design to another, both as the same array sees them. */
    public static DesignChange between(Design first, Design after) {
        Design before = first.at(after.job().place());
        List<String> words = new ArrayList<>();
        UnitSystem units = after.job().project().units();
        count(words, after.whole().modules() - before.whole().modules(), "module");
        count(words, after.whole().blocks() - before.whole().blocks(), "block");
        count(words, attachments(after) - attachments(before), "attachment");
        amount(words, (after.circuits().dcW() - before.circuits().dcW()) / 1000, 1, "kWdc");
        amount(words, (after.circuits().acVa() - before.circuits().acVa()) / 1000, 1, "kWac");
        Unit load = Dimension.LOAD.unit(units);
        amount(
                words,
                (after.loads().footprint().loadPa() - before.loads().footprint().loadPa()) / load.toSi(1),
                units == UnitSystem.US ? 1 : 3,
                load.symbol());
        Check worst = after.worstCheck();
        Check was = before.worstCheck();
        if (!worst.id().equals(was.id()) || !worst.about().equals(was.about()) || worst.verdict() != was.verdict()) {
            words.add("worst check: " + worst.heading() + " " + worst.verdict().words());
        }
        return new DesignChange(words, changed(before, after));
    }

    /** Attachments of the whole job. */
    public static int attachments(Design design) {
        return design.whole().arrays().stream()
                .mapToInt(a -> a.attached() == null ? 0 : a.attached().needed())
                .sum();
    }

    private static void count(List<String> words, int difference, String thing) {
        if (difference != 0) {
            int size = Math.abs(difference);
            words.add((difference > 0 ? "+" : "−") + size + " " + thing + (size == 1 ? "" : "s"));
        }
    }

    private static void amount(List<String> words, double difference, int decimals, String unit) {
        String text = Show.number(Math.abs(difference), decimals);
        if (!text.equals("0")) {
            words.add((difference > 0 ? "+" : "−") + text + " " + unit);
        }
    }

    private static List<Integer> changed(Design before, Design after) {
        Map<String, Integer> blocksByPlace = new HashMap<>();
        boolean there = before.job().place().equals(after.job().place());
        for (HoldDown.Position p : there ? before.holdDown().positions() : List.<HoldDown.Position>of()) {
            blocksByPlace.put(place(before.layout(), p), p.ballast().blocksNeeded());
        }
        List<Integer> changed = new ArrayList<>();
        for (HoldDown.Position p : after.holdDown().positions()) {
            Integer was = blocksByPlace.get(place(after.layout(), p));
            if (was == null || was != p.ballast().blocksNeeded()) {
                changed.add(p.index());
            }
        }
        return changed;
    }

    private static String place(ArrayLayout layout, HoldDown.Position p) {
        var at = layout.frame().plan(p.s(), p.t());
        return Math.round(at.x / CENTIMETRE) + "," + Math.round(at.y / CENTIMETRE);
    }
}
