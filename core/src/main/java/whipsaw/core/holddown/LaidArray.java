package whipsaw.core.holddown;

import java.util.Arrays;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.job.Job;

/**
 * An array as it lies on its roof.
 *
 * @param job as the array sees it
 * @param layout its modules
 * @param holdDown what holds them
 */
public record LaidArray(Job job, ArrayLayout layout, HoldDown holdDown) {
    /** Mass of every module with its racking and its part of the blocks, kg. */
    public double[] perModuleKg() {
        double[] kg = new double[layout.modules().size()];
        Arrays.fill(kg, moduleKg() + rackingKg());
        for (HoldDown.Position p : holdDown.positions()) {
            double parts = 0;
            for (HoldDown.Share share : p.shares()) {
                parts += share.part();
            }
            for (HoldDown.Share share : p.shares()) {
                kg[share.module()] += p.ballast().placedKg() * share.part() / parts;
            }
        }
        return kg;
    }

    /** Mass of one module, kg. */
    public double moduleKg() {
        return job.array().module().mass().si();
    }

    /** Mass of the racking of one module, kg. */
    public double rackingKg() {
        return job.array().tray().rackingMass().si();
    }

    /** Mass of the whole array with its blocks, kg. */
    public double kg() {
        return layout.modules().size() * (moduleKg() + rackingKg()) + holdDown.ballastKg();
    }
}
