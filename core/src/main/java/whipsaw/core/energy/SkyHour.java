package whipsaw.core.energy;

/**
 * The light of one hour with the sun up.
 *
 * @param hour of the year, from 0
 * @param east of the unit vector to the sun
 * @param north of it
 * @param up of it, the sine of the elevation, above 0
 * @param extraterrestrial normal irradiance outside the atmosphere, W/m2
 * @param global horizontal, W/m2
 * @param diffuse horizontal, W/m2
 * @param beam normal, W/m2
 * @param ambientC air temperature
 * @param scale of circumsolar light from the horizontal: one over the sine of the elevation, of 5 degrees or more
 * @param anisotropy share of the diffuse light from around the sun, by Hay and Davies
 * @param aroundSun the same by Perez
 * @param atHorizon share from the horizon, by Perez
 */
record SkyHour(
        int hour,
        double east,
        double north,
        double up,
        double extraterrestrial,
        double global,
        double diffuse,
        double beam,
        double ambientC,
        double scale,
        double anisotropy,
        double aroundSun,
        double atHorizon) {
    /** The sine of 5 degrees. */
    static final double LEAST_UP = Math.cos(Math.toRadians(85));

    /** Beyond it the split of Erbs is even. */
    static final double CLEAREST = 0.80;

    private static final double SOLAR_CONSTANT = 1361;

    /**
     * From the clearness index: the split into beam and diffuse light is that of Erbs and others 1982.
     *
     * @param sun unit vector, east, north, up
     * @param extraterrestrial normal irradiance outside the atmosphere, W/m2
     * @param clearness global over extraterrestrial irradiance, both horizontal
     */
    static SkyHour of(int hour, double[] sun, double extraterrestrial, double clearness, double ambientC) {
        double share = diffuseShare(clearness);
        double global = clearness * extraterrestrial * sun[2];
        return of(
                hour,
                sun,
                extraterrestrial,
                global,
                share * global,
                clearness * (1 - share) * extraterrestrial,
                ambientC);
    }

    /** The same with the sun behind a skyline: neither its beam nor the brightness around it arrives. */
    SkyHour behindSkyline() {
        return new SkyHour(
                hour, east, north, up, extraterrestrial, diffuse, diffuse, 0, ambientC, scale, 0, 0, atHorizon);
    }

    /** From measured parts. */
    static SkyHour of(
            int hour,
            double[] sun,
            double extraterrestrial,
            double global,
            double diffuse,
            double beam,
            double ambientC) {
        double[] perez = diffuse > 0
                ? PerezSky.brightness(Math.acos(Math.min(1, sun[2])), diffuse, beam, extraterrestrial)
                : new double[2];
        return new SkyHour(
                hour,
                sun[0],
                sun[1],
                sun[2],
                extraterrestrial,
                global,
                diffuse,
                beam,
                ambientC,
                1 / Math.max(sun[2], LEAST_UP),
                beam / extraterrestrial,
                perez[0],
                perez[1]);
    }

    /** Normal irradiance outside the atmosphere on a day of the year, from 1, W/m2. */
    static double extraterrestrial(int day) {
        return SOLAR_CONSTANT * (1 + 0.033 * Math.cos(Math.toRadians(360.0 * day / 365)));
    }

    private static double diffuseShare(double clear) {
        if (clear <= 0.22) {
            return 1 - 0.09 * clear;
        }
        if (clear > CLEAREST) {
            return 0.165;
        }
        return 0.9511 + clear * (-0.1604 + clear * (4.388 + clear * (-16.638 + clear * 12.336)));
    }

    /** Clearness index. */
    double clearness() {
        return global / (extraterrestrial * up);
    }

    /** Azimuth of the sun, clockwise from true north, 0 to 360. */
    double azimuthDeg() {
        return (Math.toDegrees(Math.atan2(east, north)) + 360) % 360;
    }

    /** Elevation of the sun without refraction. */
    double elevationDeg() {
        return Math.toDegrees(Math.asin(up));
    }
}
