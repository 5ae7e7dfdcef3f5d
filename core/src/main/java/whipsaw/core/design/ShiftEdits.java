package whipsaw.core.design;

import java.util.List;
import whipsaw.core.array.BestShift;
import whipsaw.core.job.ArrayChoice;
import whipsaw.core.job.DocumentPatch.Change;
import whipsaw.core.job.HandWork;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobPaths;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.schema.Path;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Show;
import whipsaw.core.units.Unit;
import whipsaw.core.units.UnitSystem;

/** The array shifted as a whole along and across its rows so that it takes most modules. */
public final class ShiftEdits {
    /** Sixteenths of an inch, or millimetres. */
    private static final double SIXTEENTHS = 16;

    private static final double WHOLE = 1e-6;

    private final Job job;
    private final double stepM;
    private final BestShift.Found found;

    /**
     * Looks for the shift; everything else of the array stays.
     *
     * @param plan of the roof it is on
     */
    public ShiftEdits(Job job, RoofPlan plan, CodeTables tables) {
        if (!possible(job)) {
            throw new IllegalArgumentException(
                    job.name() + " has rows that were shifted, locked or cut, or an aisle across"
                            + " its rows: the search is for arrays whose rows share one grid");
        }
        this.job = job;
        boolean us = job.project().units() == UnitSystem.US;
        this.stepM = us ? Unit.INCH.toSi(1 / SIXTEENTHS) : Unit.MILLIMETRE.toSi(1);
        this.found = BestShift.of(job, plan, tables, stepM);
    }

    /** Whether all rows of the array share one grid, which is what the search shifts. */
    public static boolean possible(Job job) {
        HandWork hand = job.array().byHand();
        return job.array().aisle() == null
                && hand.shifted().isEmpty()
                && hand.locked().isEmpty()
                && hand.breaks().isEmpty();
    }

    /** What the search came to. */
    public BestShift.Found found() {
        return found;
    }

    /** The changes that shift the array, on paths of the document. */
    public List<Change> changes() {
        return List.of(
                set(JobPaths.ARRAY.to(ArrayChoice::shiftAlong), found.alongM()),
                set(JobPaths.ARRAY.to(ArrayChoice::shiftAcross), found.acrossM()));
    }

    private Change set(Path<Measure> path, double metres) {
        // one that is not of whole steps only just fits: nothing of it is rounded away
        boolean us = job.project().units() == UnitSystem.US;
        boolean whole = Math.abs(metres / stepM - Math.rint(metres / stepM)) < WHOLE;
        Unit unit = us ? Unit.INCH : Unit.METRE;
        String typed = Show.number(unit.fromSi(metres), whole ? 4 : 9) + " " + unit.symbol();
        return new Change("set", JobPaths.absolute(path.toString(), job), typed);
    }

    /** In one line: how many there are and whether more are possible. */
    public String words() {
        return Show.count(found.modules(), "module")
                + (found.proved()
                        ? ", the most any shift of these rows places"
                        : ", no shift places more than " + found.bound());
    }
}
