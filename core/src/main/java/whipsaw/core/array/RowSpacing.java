package whipsaw.core.array;

import java.util.List;
import whipsaw.core.formula.Formulas;
import whipsaw.core.formula.From;
import whipsaw.core.formula.Measured;
import whipsaw.core.formula.Values;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.working.Step;
import whipsaw.core.working.Terms;

/**
 * Gap between one-way rows that keeps them free of each other's shadow over a window of true solar
 * time on a day of given declination.
 *
 * <p>Rows stand on a roof plane of any small slope. The sun follows from latitude, declination and
 * hour angle, every minute from the start to the end of the window, both included, without
 * refraction.
 *
 * @param values of the symbols of the formulas
 * @param worldTiltDeg tilt of the module to the horizon
 * @param worldAzimuthDeg azimuth the module faces; NaN when it is level
 * @param shadeFree false when the sun is at or below the horizon or the roof in the window: no gap
 *     is enough
 * @param hour solar time of the governing instant
 * @param pitchInPlanM row to row in plan
 */
public record RowSpacing(
        Input input,
        Values values,
        double worldTiltDeg,
        double worldAzimuthDeg,
        boolean shadeFree,
        double hour,
        double pitchInPlanM) {
    private static final Formulas FORMULAS = Formulas.of("")
            .in("L", "module up the slope", Measured.PART_LENGTH)
            .in("β", "tilt", Measured.DEGREES)
            .let("h", "rise of a module", "{L} · sin({β})", Measured.PART_LENGTH, "geometry")
            .let("c", "footprint of a row", "{L} · cos({β})", Measured.PART_LENGTH, "geometry")
            .in("ψ", "lowest profile angle in the window", Measured.DEGREES)
            .let("g", "gap free of shade in the window", "max(0, {h} / tan({ψ}))", Measured.PART_LENGTH, "geometry")
            .let("P", "row to row", "{c} + {g}", Measured.ROOF_LENGTH, "geometry")
            .build();

    /** Declination of the winter solstice of the northern hemisphere. */
    public static final double SOLSTICE_DECLINATION_DEG = -23.44;

    private static final double LEVEL = 1e-9;

    /**
     * @param latitudeDeg north positive
     * @param tiltDeg of the module to the roof
     * @param slopeLengthM module dimension up the slope
     * @param facingDeg azimuth the rows face
     * @param fromHour start of the window, true solar time
     * @param toHour end of the window
     * @param roofSlopeDeg slope of the roof
     * @param roofAzimuthDeg direction the roof falls
     * @param declinationDeg of the sun
     */
    public record Input(
            double latitudeDeg,
            double tiltDeg,
            double slopeLengthM,
            double facingDeg,
            double fromHour,
            double toHour,
            double roofSlopeDeg,
            double roofAzimuthDeg,
            double declinationDeg) {}

    /** Winter solstice declination for a latitude. */
    public static double winterDeclinationDeg(double latitudeDeg) {
        return latitudeDeg >= 0 ? SOLSTICE_DECLINATION_DEG : -SOLSTICE_DECLINATION_DEG;
    }

    /** Ground coverage ratio, slope length over pitch. */
    public double coverage() {
        return input.slopeLengthM() / pitchM();
    }

    /** Computes it. The tilt has to be below 90°; a window of no length is one instant. */
    public static RowSpacing of(Input in) {
        double[] normal = SunPosition.vector(in.roofAzimuthDeg(), 90 - in.roofSlopeDeg());
        double[] facing = facingInRoof(normal, in.facingDeg());
        double beta = Math.toRadians(in.tiltDeg());
        double mx = Math.cos(beta) * normal[0] + Math.sin(beta) * facing[0];
        double my = Math.cos(beta) * normal[1] + Math.sin(beta) * facing[1];
        double mz = Math.cos(beta) * normal[2] + Math.sin(beta) * facing[2];
        double worldTilt = Math.toDegrees(Math.acos(Math.min(1, mz)));
        boolean level = Math.hypot(mx, my) < LEVEL;
        double worldAzimuth = level ? Double.NaN : wrap(Math.toDegrees(Math.atan2(mx, my)));

        double governing = Double.POSITIVE_INFINITY;
        double governingHour = in.fromHour();
        int minutes = (int) Math.round((in.toHour() - in.fromHour()) * 60);
        for (int i = 0; i <= minutes; i++) {
            double hour = in.fromHour() + i / 60.0;
            double[] sun = SolarTime.direction(in.latitudeDeg(), in.declinationDeg(), hour);
            double sf = dot(sun, facing);
            double sn = dot(sun, normal);
            if (sun[2] <= 0 || sn <= 0) {
                return new RowSpacing(
                        in, values(in, Double.NaN, hour), worldTilt, worldAzimuth, false, hour, Double.NaN);
            }
            double profile = Math.toDegrees(Math.atan2(sn, sf));
            if (profile < governing) {
                governing = profile;
                governingHour = hour;
            }
        }
        double azimuth = Math.toRadians(in.facingDeg());
        double inPlan = facing[0] * Math.sin(azimuth) + facing[1] * Math.cos(azimuth);
        Values values = values(in, governing, governingHour);
        return new RowSpacing(in, values, worldTilt, worldAzimuth, true, governingHour, values.si("P") * inPlan);
    }

    private static Values values(Input in, double profileDeg, double hour) {
        return FORMULAS.values()
                .put("L", in.slopeLengthM())
                .put("β", in.tiltDeg())
                .put(
                        "ψ",
                        profileDeg,
                        From.rule("of the sun every minute from " + SolarTime.clock(in.fromHour()) + " to "
                                + SolarTime.clock(in.toHour()) + " solar time, at " + SolarTime.clock(hour)
                                + ": latitude " + Show.number(in.latitudeDeg(), 4) + "°, declination "
                                + Show.number(in.declinationDeg(), 2) + "°, rows facing "
                                + Show.number(in.facingDeg(), 1) + "°, no refraction"))
                .compute();
    }

    /** Height of the top edge above the low edge, normal to the roof. */
    public double riseM() {
        return values.si("h");
    }

    /** Footprint of a row along the roof. */
    public double depthM() {
        return values.si("c");
    }

    /** Elevation of the governing sun in the plane normal to the rows; NaN when not shade-free. */
    public double profileAngleDeg() {
        return values.si("ψ");
    }

    /** Clear gap along the roof; NaN when no gap is enough. */
    public double gapM() {
        return values.si("g");
    }

    /** Row to row along the roof; NaN when no gap is enough. */
    public double pitchM() {
        return values.si("P");
    }

    /** The lines of its working; without the gap where none is enough. */
    public List<Step> steps(Terms terms, UnitSystem units) {
        return values.steps(terms, units).subList(0, shadeFree ? 4 : 2);
    }

    /** Horizontal facing direction lifted onto the roof: normal x row axis. */
    private static double[] facingInRoof(double[] n, double facingDeg) {
        double[] axis = SunPosition.vector(facingDeg + 90, 0);
        axis[2] = -(n[0] * axis[0] + n[1] * axis[1]) / n[2];
        double length = Math.sqrt(dot(axis, axis));
        double[] a = {axis[0] / length, axis[1] / length, axis[2] / length};
        return new double[] {n[1] * a[2] - n[2] * a[1], n[2] * a[0] - n[0] * a[2], n[0] * a[1] - n[1] * a[0]};
    }

    private static double dot(double[] a, double[] b) {
        return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
    }

    private static double wrap(double deg) {
        return (deg % 360 + 360) % 360;
    }
}
