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

    /**
     * @param intervals free stretches of all rows of the bare roof
     * @param lengthM module along the row
     * @param pitchM module and gap
     * @return a phase in 0 to pitch
     */
    static double best(List<FreeRegion.Interval> intervals, double lengthM, double pitchM) {
        List<Event> events = new ArrayList<>();
        int count = 0;
        for (FreeRegion.Interval interval : intervals) {
            double spare = interval.to() - interval.from() - lengthM;
            if (spare < -TOUCH_M) {
                continue;
            }
            double extra = spare - Math.floor(spare / pitchM + 1e-12) * pitchM;
            double from = wrap(interval.from(), pitchM);
            events.add(new Event(from, 1));
            double to = from + extra + TOUCH_M; // stretches that just touch count together
            if (to >= pitchM) {
                count++;
                to -= pitchM;
            }
            events.add(new Event(to, -1));
        }
        if (events.isEmpty()) {
            return 0;
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
        return wrap((from + to) / 2, pitchM);
    }

    private static double wrap(double value, double pitch) {
        double rest = value % pitch;
        return rest < 0 ? rest + pitch : rest;
    }
}
