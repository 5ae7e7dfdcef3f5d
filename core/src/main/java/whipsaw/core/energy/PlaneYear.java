package whipsaw.core.energy;

/**
 * A year of a plane, by 1 kWp.
 *
 * @param dc of every hour, kW by kWp
 * @param light sums of the year from light to power
 */
public record PlaneYear(double[] dc, Light light) {

    /**
     * Sums of the year, kWh/m2: each after what the one before it loses; of 1 kWp the same figures are kWh.
     *
     * @param planeOfArray on the plane, less what lies in the shadow of the row in front
     * @param electric of it what the strings can use
     * @param behindGlass of it what the glass lets through
     * @param warm of it what is left as the cells are warm
     * @param direct of what is behind the glass, straight from the sun and around it
     * @param beam direct light on the plane before shadow
     * @param shadedBeam of it on parts in the shadow of the row in front
     */
    public record Light(
            double planeOfArray,
            double electric,
            double behindGlass,
            double warm,
            double direct,
            double beam,
            double shadedBeam) {}

    /**
     * A plane on a level roof.
     *
     * @param tiltDeg to the horizon
     * @param azimuthDeg it faces
     */
    public record Plane(double tiltDeg, double azimuthDeg, RowPlace place, ShadeRule rule) {
        /** In the open. */
        public static Plane open(double tiltDeg, double azimuthDeg) {
            return new Plane(tiltDeg, azimuthDeg, RowPlace.open(1, tiltDeg), ShadeRule.LINEAR);
        }
    }

    /** All hours of a year. */
    public static PlaneYear of(Weather weather, Plane plane, SkyModel model, YieldSystem system) {
        PlaneHour at =
                new PlaneHour(weather, model, system, plane.tiltDeg(), plane.azimuthDeg(), plane.place(), plane.rule());
        double[] dc = new double[Weather.HOURS];
        double[] sums = new double[7];
        for (SkyHour h : weather.light()) {
            at.at(h);
            dc[h.hour()] = at.dc();
            sums[0] += at.planeOfArray() / 1000;
            sums[1] += at.electric() / 1000;
            sums[2] += at.effective() / 1000;
            sums[3] += at.effective() * at.warmth() / 1000;
            sums[4] += at.direct() / 1000;
            sums[5] += at.beam() / 1000;
            sums[6] += at.beam() * at.shaded() / 1000;
        }
        return new PlaneYear(dc, new Light(sums[0], sums[1], sums[2], sums[3], sums[4], sums[5], sums[6]));
    }

    /** Energy before the inverter, kWh by kWp. */
    public double dcKwhPerKwp() {
        double sum = 0;
        for (double d : dc) {
            sum += d;
        }
        return sum;
    }

    /** Energy behind an inverter of its own, kWh by kWp. */
    public double acKwhPerKwp(YieldSystem system) {
        double sum = 0;
        for (double d : dc) {
            sum += system.ac(d);
        }
        return sum;
    }
}
