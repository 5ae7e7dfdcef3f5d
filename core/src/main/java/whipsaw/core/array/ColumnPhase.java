package whipsaw.core.array;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Where the columns of an array start. All rows share one column grid; the phase is the one that
 * takes most modules on the bare roof, in the middle of the range that does, so that obstructions
 * cut out only what they must and moving one never shifts the rest.
 */
final class ColumnPhase {
    private static final double TOUCH_M = 1e-7;

    private ColumnPhase() {}

    private record Event(double at, int change) {}

    /** A start of the columns, from 0 to one pitch, and the modules of all stretches it gives. */
    record Start(double at, int modules) {}

    /**
     * @param intervals free stretches of all rows of the bare roof
     * @param lengthM module along the row
     * @param pitchM module and gap
     * @return a phase in 0 to pitch
     */
    static double best(List<FreeRegion.Interval> intervals, double lengthM, double pitchM) {
        return best(intervals, lengthM, pitchM, 1).at();
    }

    /** The same where a stretch with fewer modules than the shortest row allowed takes none. */
    static Start best(List<FreeRegion.Interval> intervals, double lengthM, double pitchM, int shortest) {
        List<Event> events = new ArrayList<>();
        int count = 0;
        for (FreeRegion.Interval interval : intervals) {
            double spare = interval.to() - interval.from() - lengthM;
            if (spare < -TOUCH_M) {
                continue;
            }
            int always = (int) Math.floor(spare / pitchM + 1e-12);
            double extra = spare - always * pitchM;
            int sure = always >= shortest ? always : 0;
            int more = always + 1 >= shortest ? always + 1 - sure : 0;
            count += sure;
            if (more == 0) {
                continue;
            }
            double from = wrap(interval.from(), pitchM);
            events.add(new Event(from, more));
            double to = from + extra + TOUCH_M; // stretches that just touch count together
            if (to >= pitchM) {
                count += more;
                to -= pitchM;
            }
            events.add(new Event(to, -more));
        }
        if (events.isEmpty()) {
            return new Start(0, count);
        }
        events.sort(Comparator.comparingDouble(Event::at).thenComparing(e -> -e.change()));
        int best = Integer.MIN_VALUE;
        double from = 0;
        double to = 0;
        for (int i = 0; i < events.size(); i++) {
            count += events.get(i).change();
            boolean last = i + 1 == events.size();
            double next = last ? events.get(0).at() + pitchM : events.get(i + 1).at();
            double width = next - events.get(i).at();
            if (count > best || (count == best && width > to - from)) {
                best = count;
                from = events.get(i).at();
                to = next;
            }
        }
        return new Start(wrap((from + to) / 2, pitchM), best);
    }

    /** Modules of all stretches at one start of the columns. */
    static int modules(
            List<FreeRegion.Interval> intervals, double lengthM, double pitchM, int shortest, double phaseM) {
        int all = 0;
        for (FreeRegion.Interval free : intervals) {
            double first = Math.ceil((free.from() - phaseM) / pitchM - TOUCH_M);
            double last = Math.floor((free.to() - lengthM - phaseM) / pitchM + TOUCH_M);
            int count = (int) (last - first) + 1;
            all += count >= shortest ? count : 0;
        }
        return all;
    }

    private static double wrap(double value, double pitch) {
        double rest = value % pitch;
        return rest < 0 ? rest + pitch : rest;
    }
}
