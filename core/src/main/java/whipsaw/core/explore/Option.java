package whipsaw.core.explore;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import whipsaw.core.catalogue.ModuleType;
import whipsaw.core.catalogue.TraySystem;
import whipsaw.core.job.ArrayChoice;
import whipsaw.core.job.DocumentPatch.Change;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.JobWriter;
import whipsaw.core.units.Measure;

/**
 * One way to build an array; everything else of the job stays.
 *
 * @param number from 1, in the order of the field
 * @param gap between rows, or valley of pairs
 * @param faces the direction in words, as {@code edge 3, 172°}
 * @param shift changes that shift the array to where it takes most modules; empty where it stays as set
 */
public record Option(
        int number,
        TraySystem tray,
        ModuleType module,
        Measure tilt,
        Measure gap,
        ArrayChoice.Facing facing,
        String faces,
        List<Change> shift) {
    public Option {
        shift = List.copyOf(shift);
    }

    /** The same with the array shifted. */
    Option shifted(List<Change> by) {
        return new Option(number, tray, module, tilt, gap, facing, faces, by);
    }

    /** What it would change of the job looked at from the array; what is the same already is set again. */
    public List<Change> changes() {
        List<Change> all = new ArrayList<>();
        all.add(Change.set(JobPaths.ARRAY.to(ArrayChoice::tray), JobWriter.part(tray)));
        all.add(Change.set(JobPaths.ARRAY.to(ArrayChoice::module), JobWriter.part(module)));
        all.add(Change.set(JobPaths.ARRAY.to(ArrayChoice::tilt), tilt.typed()));
        all.add(Change.set(JobPaths.ARRAY.to(ArrayChoice::gap), gap.typed()));
        all.add(Change.set(
                JobPaths.ARRAY.to(ArrayChoice::facing),
                facing instanceof ArrayChoice.ToEdge to
                        ? Map.of("edge", to.edge())
                        : Map.of(
                                "azimuth",
                                ((ArrayChoice.ToAzimuth) facing).azimuth().typed())));
        all.addAll(shift);
        return all;
    }

    /** In one line: system, module, tilt, gap, direction. */
    public String words() {
        return tray.info().name() + ", " + module.info().name() + ", " + tilt.typed() + ", gap " + gap.typed()
                + ", faces " + faces;
    }
}
