package whipsaw.core.energy;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.job.Survey;

/**
 * What occupants use of the energy of a year, hour by hour, and what goes to the grid.
 *
 * @param together all behind one meter; of a job without occupants all is exported
 * @param demand of all of them
 * @param occupants each as if it were alone behind the meter
 * @param exportLimitKw infinite for none
 */
public record MeterYear(SelfUse together, Hours demand, List<OfOccupant> occupants, double exportLimitKw) {
    public MeterYear {
        occupants = List.copyOf(occupants);
    }

    /**
     * One occupant.
     *
     * @param readings whether a year of readings is known, else a typical day is taken for every day
     * @param alone behind a meter of its own with all arrays
     * @param usedOfArray what it would use of each array alone, kWh, in the order of the arrays
     */
    public record OfOccupant(String id, String name, boolean readings, SelfUse alone, List<Double> usedOfArray) {
        public OfOccupant {
            usedOfArray = List.copyOf(usedOfArray);
        }

        /** Share of its demand that is made on the roof in the hour it is used. */
        public double covered() {
            return alone.demandKwh() == 0 ? 0 : alone.usedKwh() / alone.demandKwh();
        }
    }

    /**
     * @param utcOffsetH local standard time of the year, ahead of UTC
     * @param exportLimitKw infinite for none
     */
    public static MeterYear of(
            YearEnergy year, List<Survey.Occupant> occupants, double utcOffsetH, double exportLimitKw) {
        double[] made = year.meter().all();
        double[] demand = new double[Weather.HOURS];
        List<OfOccupant> each = new ArrayList<>();
        for (Survey.Occupant o : occupants) {
            double[] own = OccupantHours.of(o, utcOffsetH);
            for (int h = 0; h < own.length; h++) {
                demand[h] += own[h];
            }
            List<Double> ofArray = year.arrays().stream()
                    .map(a -> SelfUse.of(a.meter().all(), own, Double.POSITIVE_INFINITY)
                            .usedKwh())
                    .toList();
            each.add(new OfOccupant(o.id(), o.name(), o.year() != null, SelfUse.of(made, own, exportLimitKw), ofArray));
        }
        return new MeterYear(SelfUse.of(made, demand, exportLimitKw), Hours.of(demand), each, exportLimitKw);
    }
}
