package whipsaw.core.energy;

/**
 * One hour on a plane after the other: what reaches it, how warm its cells are and what it gives, by 1 kWp. A hot loop
 * of the year keeps one of it and reads its fields' accessors after {@link #at}; it is no value and not shared.
 */
final class PlaneHour {
    private final SkyModel model;
    private final YieldSystem system;
    private final RowPlace place;
    private final ShadeRule rule;
    private final double windMPerS;
    private final double albedo;
    private final double sinTilt;
    private final double cosTilt;
    private final double faceEast;
    private final double faceNorth;
    private final double skyOfOpen;
    private final double reflectionScale;
    private final double throughSky;
    private final double throughRoof;

    private double beam;
    private double circumsolar;
    private double sky;
    private double horizon;
    private double ground;
    private double shaded;
    private double through;
    private double planeOfArray;
    private double electric;
    private double direct;
    private double effective;
    private double cellC;
    private double dc;

    /** @param azimuthDeg the plane faces */
    PlaneHour(
            Weather weather,
            SkyModel model,
            YieldSystem system,
            double tiltDeg,
            double azimuthDeg,
            RowPlace place,
            ShadeRule rule) {
        this(weather.windMPerS(), weather.albedo(), model, system, tiltDeg, azimuthDeg, place, rule);
    }

    PlaneHour(
            double windMPerS,
            double albedo,
            SkyModel model,
            YieldSystem system,
            double tiltDeg,
            double azimuthDeg,
            RowPlace place,
            ShadeRule rule) {
        this.model = model;
        this.system = system;
        this.place = place;
        this.rule = rule;
        this.windMPerS = windMPerS;
        this.albedo = albedo;
        double b = Math.toRadians(tiltDeg);
        double a = Math.toRadians(azimuthDeg);
        sinTilt = Math.sin(b);
        cosTilt = Math.cos(b);
        faceEast = Math.sin(a);
        faceNorth = Math.cos(a);
        skyOfOpen = (1 + cosTilt) / 2;
        reflectionScale = 1 / (1 - Math.exp(-1 / system.reflection()));
        throughSky = diffuseThrough(Math.sin(b) + (Math.PI - b - Math.sin(b)) / (1 + Math.cos(b)));
        throughRoof = b == 0 ? 0 : diffuseThrough(Math.sin(b) + (b - Math.sin(b)) / (1 - Math.cos(b)));
    }

    /** What the glass lets through of diffuse light, Martin and Ruiz 2001. */
    private double diffuseThrough(double u) {
        double c1 = 4 / (3 * Math.PI);
        double c2 = system.reflection() / 2 - 0.154;
        return 1 - Math.exp(-(c1 * u + c2 * u * u) / system.reflection());
    }

    /** Goes to an hour. */
    void at(SkyHour h) {
        double towards = h.east() * faceEast + h.north() * faceNorth;
        double a = Math.max(0, cosTilt * h.up() + sinTilt * towards);
        boolean hayDavies = model == SkyModel.HAY_DAVIES;
        double around = hayDavies ? h.anisotropy() : h.aroundSun();
        beam = h.beam() * a;
        circumsolar = h.diffuse() * around * a * h.scale();
        sky = h.diffuse() * (1 - around) * place.sky();
        horizon = hayDavies ? 0 : h.diffuse() * h.atHorizon() * sinTilt * place.sky() / skyOfOpen;
        ground = h.global() * albedo * place.roof();
        shaded = place.shaded(towards, h.up());
        double lost = shaded == 0 ? 0 : rule.lost(shaded);
        through = (1 - Math.exp(-a / system.reflection())) * reflectionScale;
        double open = beam + circumsolar;
        planeOfArray = Math.max(0, open * (1 - shaded) + sky + horizon + ground);
        electric = Math.max(0, open * (1 - lost) + sky + horizon + ground);
        direct = open * (1 - lost) * through;
        effective = Math.max(0, direct + (sky + horizon) * throughSky + ground * throughRoof);
        cellC = h.ambientC() + planeOfArray / (system.u0() + system.u1() * windMPerS);
        dc = effective / 1000 * warmth() * (1 - system.dcLoss());
    }

    double beam() {
        return beam;
    }

    double circumsolar() {
        return circumsolar;
    }

    double sky() {
        return sky;
    }

    double horizon() {
        return horizon;
    }

    double ground() {
        return ground;
    }

    double shaded() {
        return shaded;
    }

    /** What the glass lets through of the beam. */
    double through() {
        return through;
    }

    double throughSky() {
        return throughSky;
    }

    double throughRoof() {
        return throughRoof;
    }

    double planeOfArray() {
        return planeOfArray;
    }

    /** Light on the plane that the strings can use. */
    double electric() {
        return electric;
    }

    /** Direct light behind the glass. */
    double direct() {
        return direct;
    }

    double effective() {
        return effective;
    }

    /** What the warmth of the cells leaves of power. */
    double warmth() {
        return 1 + system.powerPerK() * (cellC - 25);
    }

    double cellC() {
        return cellC;
    }

    /** kW by kWp before the inverter. */
    double dc() {
        return dc;
    }
}
