package whipsaw.core.job;

/** Mean power of every hour of 365 days, kW. */
final class DaysOfPower extends DaysOfNumbers {
    DaysOfPower() {
        super(24, "24 numbers of 0 to 100 000 kW");
    }
}
