package whipsaw.core.design;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import whipsaw.core.array.ArrayLayout;

/**
 * Modules of an array that shade makes worth least: those that lose more of the year's direct sun than somebody
 * accepts, or as many as have to go for a target of DC power, the most shaded first. Both modules of a pair go together.
 */
public final class WorthlessModules {
    private final Design design;
    private final double[] lost;

    /** @param design as the array sees it */
    public WorthlessModules(Design design) {
        this.design = design;
        this.lost = design.shade().yearShare();
    }

    /** Share of the year's direct sun a module loses to parapets and things. */
    public double lost(ArrayLayout.Module m) {
        return Double.isFinite(lost[m.index()]) ? lost[m.index()] : 0;
    }

    /**
     * Modules that lose more than a share.
     *
     * @param share of 1
     */
    public List<ArrayLayout.Module> above(double share) {
        return units().stream()
                .filter(u -> mean(u) > share)
                .flatMap(List::stream)
                .toList();
    }

    /**
     * Modules that have to go so that no more than a DC power of the array is left.
     *
     * @param dcW of the array
     */
    public List<ArrayLayout.Module> beyond(double dcW) {
        int keep = (int) Math.floor(dcW / design.job().array().module().power().si() + 1e-9);
        List<List<ArrayLayout.Module>> units = new ArrayList<>(units());
        units.sort(Comparator.comparingDouble(u -> -mean(u)));
        List<ArrayLayout.Module> out = new ArrayList<>();
        for (List<ArrayLayout.Module> unit : units) {
            if (design.layout().modules().size() - out.size() <= keep) {
                break;
            }
            out.addAll(unit);
        }
        return out;
    }

    private double mean(List<ArrayLayout.Module> unit) {
        return unit.stream().mapToDouble(this::lost).average().orElse(0);
    }

    /** Modules, or pairs of them back to back. */
    private List<List<ArrayLayout.Module>> units() {
        List<ArrayLayout.Module> all = design.layout().modules();
        if (design.layout().pairs() == null) {
            return all.stream().map(List::of).toList();
        }
        Map<Long, List<ArrayLayout.Module>> pairs = new LinkedHashMap<>();
        for (ArrayLayout.Module m : all) {
            long key = (long) ((m.row() - 1) / 2) << 32 | m.column() & 0xffffffffL;
            pairs.computeIfAbsent(key, k -> new ArrayList<>()).add(m);
        }
        return List.copyOf(pairs.values());
    }
}
