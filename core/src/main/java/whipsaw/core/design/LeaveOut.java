package whipsaw.core.design;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.check.Check;
import whipsaw.core.check.Place;
import whipsaw.core.design.WaysOut.Way;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.job.ArrayChoice;
import whipsaw.core.job.Corner;
import whipsaw.core.job.JobPaths;
import whipsaw.core.units.Show;

/** Ways out by modules left out where the check is, or moved from there to places left free. */
final class LeaveOut {
    private static final int ROUNDS = 3;

    private final Tries tries;
    private final Design design;
    private final Check check;

    LeaveOut(Tries tries) {
        this.tries = tries;
        this.design = tries.design;
        this.check = tries.check;
    }

    /** Fewest modules left out at the place of the check, taken from the left, from the right, or the heaviest first. */
    void offer() {
        Place place = check.place();
        Way best = null;
        for (int round = 0; round < ROUNDS && place != null && !atPlace(place).isEmpty(); round++) {
            best = without(atPlace(place));
            if (best == null || best.clears()) {
                best = leftOut(atPlace(place));
                break;
            }
            place = grown(place, best.after().place());
        }
        if (best != null && tries.improves(best.after())) {
            tries.add(best);
            moved(best);
        }
    }

    /** The bays with those that fail once modules are out beside them; null when nothing is added. */
    private static Place grown(Place place, Place then) {
        if (then == null || place.kind() != Place.Kind.BAYS || then.kind() != Place.Kind.BAYS) {
            return null;
        }
        Set<Integer> items = new LinkedHashSet<>(place.items());
        boolean added = items.addAll(then.items());
        return added ? new Place(place.words() + " and others", Place.Kind.BAYS, List.copyOf(items)) : null;
    }

    private Way leftOut(List<ArrayLayout.Module> there) {
        double[] blocks = new double[design.layout().modules().size()];
        for (HoldDown.Position p : design.holdDown().positions()) {
            p.shares().forEach(s -> blocks[s.module()] += s.part() * p.ballast().blocksNeeded());
        }
        Way best = null;
        for (Comparator<ArrayLayout.Module> order : List.of(
                Comparator.comparingDouble(ArrayLayout.Module::s),
                Comparator.comparingDouble(ArrayLayout.Module::s).reversed(),
                Comparator.comparingDouble((ArrayLayout.Module m) -> -blocks[m.index()]))) {
            Way way =
                    there.isEmpty() ? null : fewest(there.stream().sorted(order).toList());
            boolean clearer = best == null || (way != null && way.clears() && !best.clears());
            boolean fewer = best != null
                    && way != null
                    && way.clears() == best.clears()
                    && way.modulesLost() < best.modulesLost();
            best = way != null && (clearer || fewer) ? way : best;
        }
        return best;
    }

    /** By halving: the fewest of these, in their order, that clear the check; null when all do not. */
    private Way fewest(List<ArrayLayout.Module> modules) {
        Way found = without(modules);
        if (found == null || !found.clears()) {
            return found;
        }
        int low = 0;
        int high = modules.size();
        while (high - low > 1) {
            int middle = (low + high) >>> 1;
            Way way = without(modules.subList(0, middle));
            if (way != null && way.clears()) {
                found = way;
                high = middle;
            } else {
                low = middle;
            }
        }
        return found;
    }

    private Way without(List<ArrayLayout.Module> modules) {
        List<Object> places = new ModuleEdits(design).without(modules);
        String words = "Leave out " + Show.count(modules.size(), "module") + " (" + placeWords() + ")";
        return tries.tried("modules", words, Tries.set(JobPaths.ARRAY.to(ArrayChoice::removed), places));
    }

    /**
     * The same modules put where places were left free before, in bays of more strength: as many as pass, the farthest
     * from the check's place first.
     */
    private void moved(Way leftOut) {
        List<Corner> free = design.job().array().removed();
        int away = leftOut.modulesLost();
        if (!leftOut.clears() || free.isEmpty() || away <= 0) {
            return;
        }
        List<Corner> far = free.stream()
                .filter(c -> !here(c))
                .sorted(Comparator.comparingDouble(c -> -fromHere(c)))
                .toList();
        List<?> without = (List<?>) leftOut.changes().get(0).value();
        for (int back = Math.min(away, far.size()); back > 0; back = back * 2 / 3) {
            Set<Object> again = new HashSet<>();
            far.subList(0, back).forEach(c -> again.add(ModuleEdits.corner(c.x().typed(), c.y().typed())));
            List<Object> places = new ArrayList<>(without);
            places.removeIf(again::contains);
            Way way = tries.way(
                    "move",
                    "Move " + back + " of the modules at " + placeWords()
                            + " to places left free elsewhere, and leave out " + (away - back) + " there",
                    Tries.set(JobPaths.ARRAY.to(ArrayChoice::removed), places));
            if (way != null && way.clean()) {
                tries.add(way);
                return;
            }
        }
    }

    private boolean here(Corner c) {
        return check.place().kind() == Place.Kind.BAYS
                && check.place().items().stream().anyMatch(i -> cell(i).covers(c.x().si(), c.y().si()));
    }

    private double fromHere(Corner c) {
        return check.place().kind() != Place.Kind.BAYS
                ? 0
                : check.place().items().stream()
                        .mapToDouble(i -> cell(i).distance(new Envelope(new Coordinate(c.x().si(), c.y().si()))))
                        .min()
                        .orElse(0);
    }

    private Envelope cell(int bay) {
        return design.plan().bays().get(bay).cell();
    }

    private String placeWords() {
        int more = check.place().items().size() - 1;
        boolean bays = check.place().kind() == Place.Kind.BAYS && more > 0;
        return check.place().words() + (bays ? " and " + more + " more" : "");
    }

    private List<ArrayLayout.Module> atPlace(Place place) {
        return switch (place.kind()) {
            case MODULES -> place.items().stream()
                    .map(i -> design.layout().modules().get(i))
                    .toList();
            case POSITIONS -> place.items().stream()
                    .map(i -> design.holdDown().positions().get(i))
                    .flatMap(p -> p.shares().stream())
                    .map(s -> design.layout().modules().get(s.module()))
                    .distinct()
                    .toList();
            case BAYS -> design.layout().modules().stream()
                    .filter(inBays(place.items()))
                    .toList();
            case EDGE, WORDS -> List.of();
        };
    }

    private Predicate<ArrayLayout.Module> inBays(List<Integer> bays) {
        return m -> {
            Coordinate at = design.layout()
                    .frame()
                    .plan(
                            m.s() + design.layout().alongM() / 2,
                            m.t() + design.layout().depthM() / 2);
            return bays.stream()
                    .anyMatch(i -> design.plan().bays().get(i).cell().covers(at));
        };
    }
}
