package whipsaw.core.check;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import whipsaw.core.units.Limits;

/**
 * One thing that was checked.
 *
 * @param id stable key, for example {@code roof.footprint}
 * @param title what was checked
 * @param demand with unit
 * @param capacity with unit
 * @param utilisation demand over capacity; NaN where the check has none
 * @param verdict what it says
 * @param place on the roof, or null for the whole job
 * @param source clause or rule
 * @param figure key of the figure whose working shows it
 * @param remark what stops it, the shortfall, or what is missing; empty when nothing has to be said
 * @param about ids of the arrays, or of roofs without one, it is about; empty for all of the job
 * @param where these in words; empty for all of the job
 */
public record Check(
        String id,
        String title,
        String demand,
        String capacity,
        double utilisation,
        Verdict verdict,
        Place place,
        String source,
        String figure,
        String remark,
        List<String> about,
        String where) {

    public Check {
        about = List.copyOf(about);
    }

    /** A check of all of the job. */
    public Check(
            String id,
            String title,
            String demand,
            String capacity,
            double utilisation,
            Verdict verdict,
            Place place,
            String source,
            String figure,
            String remark) {
        this(id, title, demand, capacity, utilisation, verdict, place, source, figure, remark, List.of(), "");
    }

    /** The same for some arrays, or roofs without one. */
    public Check about(List<String> places, String words) {
        return new Check(
                id, title, demand, capacity, utilisation, verdict, place, source, figure, remark, places, words);
    }

    /** Whether it is about an array, or a roof without one. */
    public boolean concerns(String at) {
        return about.isEmpty() || about.contains(at);
    }

    /** What was checked, and for which array or roof where not for all. */
    public String heading() {
        return where.isEmpty() ? title : title + ", " + where;
    }

    private static final Comparator<Check> RANK = Comparator.comparing(Check::verdict)
            .thenComparing(c -> Double.isNaN(c.utilisation) ? 0 : -c.utilisation)
            .thenComparing(Check::id)
            .thenComparing(Check::where);

    /** Whether demand and capacity are two amounts of one thing. */
    public boolean isRatio() {
        return !Double.isNaN(utilisation);
    }

    /** All of a member: the capacity of a check whose demand is its share. */
    public static final String WHOLE = "100 %";

    /** Demand against capacity in words. */
    public String sum() {
        if (!isRatio()) {
            return demand + (capacity.equals(WHOLE) ? "" : "; wanted: " + capacity);
        }
        // a share says what it is a share of
        return capacity.equals(WHOLE)
                ? demand
                : demand + " of " + capacity + " = " + String.format(Locale.ROOT, "%.2f", utilisation);
    }

    /** The worst first. */
    public static List<Check> ranked(List<Check> checks) {
        return checks.stream().sorted(RANK).toList();
    }

    /** A comparison of a demand with a capacity. */
    public static Check compare(
            String id,
            String title,
            String demand,
            String capacity,
            double utilisation,
            Place place,
            String source,
            String figure,
            String remarkWhenOver) {
        Verdict verdict = Verdict.of(utilisation);
        return new Check(
                id,
                title,
                demand,
                capacity,
                utilisation,
                verdict,
                place,
                source,
                figure,
                Limits.above(utilisation, 1) ? remarkWhenOver : "");
    }

    /** A check without a ratio: the verdict is stated. */
    public static Check stated(
            String id,
            String title,
            String demand,
            String capacity,
            Verdict verdict,
            String source,
            String figure,
            String remark) {
        return new Check(id, title, demand, capacity, Double.NaN, verdict, null, source, figure, remark);
    }
}
