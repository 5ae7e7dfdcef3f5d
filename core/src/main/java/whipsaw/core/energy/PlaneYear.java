package whipsaw.core.energy;

/**
 * A year of a plane, by 1 kWp.
 *
 * @param dc of every hour, kW by kWp
 * @param planeOfArrayKwhPerM2 light on it
 * @param beamKwhPerM2 direct light on it before shadow
 * @param shadedBeamKwhPerM2 of it on parts in the shadow of the row in front
 */
public record PlaneYear(double[] dc, double planeOfArrayKwhPerM2, double beamKwhPerM2, double shadedBeamKwhPerM2) {

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
        double light = 0;
        double beam = 0;
        double shaded = 0;
        for (SkyHour h : weather.light()) {
            at.at(h);
            dc[h.hour()] = at.dc();
            light += at.planeOfArray();
            beam += at.beam();
            shaded += at.beam() * at.shaded();
        }
        return new PlaneYear(dc, light / 1000, beam / 1000, shaded / 1000);
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
