package whipsaw.core.energy;

import whipsaw.core.array.SunPosition;

/**
 * One hour through every step, from light to power by 1 kWp.
 *
 * @param extraterrestrial normal irradiance outside the atmosphere, W/m2
 * @param clearness index
 * @param diffuse horizontal, W/m2
 * @param direct normal, W/m2
 * @param beam on the plane, W/m2
 * @param circumsolar on the plane, W/m2
 * @param sky on the plane, W/m2
 * @param horizon on the plane, W/m2
 * @param ground on the plane, W/m2
 * @param planeOfArray all light on the plane, W/m2
 * @param effective of it behind the glass, W/m2
 * @param throughBeam share of the beam the glass lets through
 * @param throughSky of light from the sky
 * @param throughGround of light from the roof
 * @param cellC temperature of the cells
 * @param dc kW by kWp
 */
public record HourChain(
        double extraterrestrial,
        double clearness,
        double diffuse,
        double direct,
        double beam,
        double circumsolar,
        double sky,
        double horizon,
        double ground,
        double planeOfArray,
        double effective,
        double throughBeam,
        double throughSky,
        double throughGround,
        double cellC,
        double dc) {

    /**
     * Where the sun stands and what is measured on the level.
     *
     * @param day of the year, from 1
     * @param global horizontal, W/m2
     */
    public record Sky(
            int day,
            double sunAzimuthDeg,
            double sunElevationDeg,
            double global,
            double ambientC,
            double windMPerS,
            double albedo) {}

    /** The hour on a plane in the open. */
    public static HourChain of(Sky in, double tiltDeg, double azimuthDeg, SkyModel model, YieldSystem system) {
        double[] sun = SunPosition.vector(in.sunAzimuthDeg(), in.sunElevationDeg());
        double outside = SkyHour.extraterrestrial(in.day());
        double clear = in.global() / (outside * sun[2]);
        SkyHour h = SkyHour.of(0, sun, outside, clear, in.ambientC());
        PlaneHour p = new PlaneHour(
                in.windMPerS(),
                in.albedo(),
                model,
                system,
                tiltDeg,
                azimuthDeg,
                RowPlace.open(1, tiltDeg),
                ShadeRule.LINEAR);
        p.at(h);
        return new HourChain(
                outside,
                clear,
                h.diffuse(),
                h.beam(),
                p.beam(),
                p.circumsolar(),
                p.sky(),
                p.horizon(),
                p.ground(),
                p.planeOfArray(),
                p.effective(),
                p.through(),
                p.throughSky(),
                p.throughRoof(),
                p.cellC(),
                p.dc());
    }
}
