package whipsaw.core.design;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.job.ArrayChoice;
import whipsaw.core.job.DocumentPatch.Change;
import whipsaw.core.job.JobPaths;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;

/**
 * Changes that leave modules out by hand and put them back. What makes no sense is an {@link IllegalArgumentException}
 * with the reason in words.
 */
public final class ModuleEdits {
    private final Design design;

    public ModuleEdits(Design design) {
        this.design = design;
    }

    /** Modules whose positions are all among those picked: the module over a tray, or the one between two joints. */
    public List<ArrayLayout.Module> between(Collection<String> positions) {
        Set<String> picked = new HashSet<>(positions);
        Set<Integer> left = new HashSet<>();
        Set<Integer> touched = new HashSet<>();
        for (HoldDown.Position p : design.holdDown().positions()) {
            Set<Integer> to = picked.contains(p.id()) ? touched : left;
            p.shares().forEach(s -> to.add(s.module()));
        }
        return design.layout().modules().stream()
                .filter(m -> touched.contains(m.index()) && !left.contains(m.index()))
                .toList();
    }

    /** Modules any of whose positions is picked. */
    List<ArrayLayout.Module> touched(Collection<String> positions) {
        Set<String> picked = new HashSet<>(positions);
        Set<Integer> touched = new HashSet<>();
        for (HoldDown.Position p : design.holdDown().positions()) {
            if (picked.contains(p.id())) {
                p.shares().forEach(s -> touched.add(s.module()));
            }
        }
        return design.layout().modules().stream()
                .filter(m -> touched.contains(m.index()))
                .toList();
    }

    /**
     * Leaves modules out.
     *
     * @param positions ids of the positions that are picked
     */
    public List<Change> leaveOut(Collection<String> positions) {
        List<ArrayLayout.Module> out = between(positions);
        if (out.isEmpty()) {
            throw new IllegalArgumentException(
                    "no module is picked: pick its position, or the joints at both of its ends");
        }
        return leaveOutModules(out);
    }

    /** Leaves these modules out. */
    public List<Change> leaveOutModules(List<ArrayLayout.Module> out) {
        return List.of(new Change("set", path(), without(out)));
    }

    /** Places left out as documents hold them: those there are, and the middles of modules. */
    List<Object> without(List<ArrayLayout.Module> modules) {
        ArrayLayout layout = design.layout();
        List<Object> places = new ArrayList<>();
        design.job().array().removed().forEach(c -> places.add(corner(c.x().typed(), c.y().typed())));
        for (ArrayLayout.Module m : modules) {
            Coordinate at = layout.frame().plan(m.s() + layout.alongM() / 2, m.t() + layout.depthM() / 2);
            places.add(corner(exact(at.x), exact(at.y)));
        }
        return places;
    }

    /** A place as documents hold it. */
    static Map<String, Object> corner(String x, String y) {
        return Map.of("x", x, "y", y);
    }

    private String exact(double metres) {
        return Show.exact(design.job().project().units(), Dimension.ROOF_LENGTH, metres);
    }

    /** Puts back what was left out. */
    public List<Change> putBack() {
        if (design.job().array().removed().isEmpty()) {
            throw new IllegalArgumentException("no module of " + design.job().name() + " is left out by hand");
        }
        return List.of(new Change("set", path(), List.of()));
    }

    private String path() {
        return JobPaths.absolute(JobPaths.ARRAY.to(ArrayChoice::removed).toString(), design.job());
    }
}
