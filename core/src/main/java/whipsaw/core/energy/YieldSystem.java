package whipsaw.core.energy;

/**
 * What turns light into power, by 1 kWp.
 *
 * @param u0 heat a module gives off without wind, W/m2K
 * @param u1 and more with every m/s of it, Ws/m3K
 * @param powerPerK change of power with the temperature of the cells
 * @param dcLoss share lost before the inverter
 * @param inverter efficiency
 * @param dcAcRatio DC power at standard conditions over AC rating: above it power is clipped
 * @param reflection a_r of the incidence loss of Martin and Ruiz
 */
public record YieldSystem(
        double u0, double u1, double powerPerK, double dcLoss, double inverter, double dcAcRatio, double reflection) {
    /** Usual figures: open rack of Faiman 2008, crystalline silicon, clean glass. */
    public static YieldSystem usual(double powerPerK, double dcAcRatio) {
        return new YieldSystem(25, 6.84, powerPerK, 0.03, 0.97, dcAcRatio, 0.16);
    }

    /** AC power of a DC power, both over the DC rating. */
    public double ac(double dc) {
        return Math.min(inverter * dc, 1 / dcAcRatio);
    }
}
