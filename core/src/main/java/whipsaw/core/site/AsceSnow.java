package whipsaw.core.site;

import java.util.List;
import whipsaw.core.formula.Formulas;
import whipsaw.core.formula.From;
import whipsaw.core.formula.Measured;
import whipsaw.core.formula.Values;
import whipsaw.core.table.ParameterTable;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Show;
import whipsaw.core.units.Unit;
import whipsaw.core.working.Step;
import whipsaw.core.working.Terms;

/**
 * Snow on a flat roof, ASCE 7-16 7.3, 7.3.4 and 7.10, evaluated in psf.
 *
 * @param values of the symbols of the formulas
 * @param minimumPa p_m; a separate uniform case for low slopes, 0 above them
 * @param rainOnSnow whether the surcharge applies
 */
public record AsceSnow(Input input, Values values, double minimumPa, boolean rainOnSnow) implements SnowLoad {
    private static final Formulas LOW_SLOPE = formulas(true);
    private static final Formulas STEEPER = formulas(false);

    private static Formulas formulas(boolean lowSlope) {
        Formulas.Builder f = Formulas.of("ASCE 7-16")
                .in("k", "flat-roof factor", Measured.NUMBER)
                .in("C_e", "exposure factor", Measured.NUMBER)
                .in("C_t", "thermal factor", Measured.NUMBER)
                .in("I_s", "importance factor", Measured.NUMBER)
                .in("p_g", "ground snow load", Measured.PSF)
                .let("p_f", "flat-roof snow", "{k} · {C_e} · {C_t} · {I_s} · {p_g}", Measured.PSF, "Eq. 7.3-1")
                .in("r", "rain-on-snow surcharge", Measured.PSF)
                .let("p_r", "with rain on it", "{p_f} + {r}", Measured.PSF, "7.10");
        if (!lowSlope) {
            return f.let("p", "snow on the roof", "{p_r}", Measured.PSF, "7.3").build();
        }
        return f.in("p_low", "limit of low snow", Measured.PSF)
                .let(
                        "p_m",
                        "minimum for low slopes, a case of its own",
                        "{I_s} · min({p_g}, {p_low})",
                        Measured.PSF,
                        "7.3.4")
                .let("p", "the larger of both cases", "max({p_r}, {p_m})", Measured.PSF, "7.3.4")
                .build();
    }

    /**
     * @param groundPa ground snow load
     * @param importance factor of the risk category
     * @param eaveToRidgeM horizontal distance the roof falls over
     */
    public record Input(
            double groundPa,
            double exposure,
            double thermal,
            double importance,
            double slopeDeg,
            double eaveToRidgeM) {}

    /** Computes it with the parameters of the table. */
    public static AsceSnow of(Input in, ParameterTable t) {
        Unit psf = Unit.POUND_PER_SQUARE_FOOT;
        From table = From.table(t.table());
        double limitPsf = t.value("low_snow_limit_psf");
        double steepestDeg = Unit.FOOT.fromSi(in.eaveToRidgeM()) / t.value("rain_slope_divisor_ft_per_deg");
        boolean low = Limits.atMost(psf.fromSi(in.groundPa()), limitPsf);
        boolean rain = in.groundPa() > 0 && low && in.slopeDeg() < steepestDeg - Limits.SLACK;
        boolean lowSlope = in.slopeDeg() < t.value("minimum_slope_below_deg") - Limits.SLACK;
        String rule = (rain ? "added" : "not added") + ": it is for p_g up to " + Show.number(limitPsf, 1)
                + " psf and a slope below W / " + Show.number(t.value("rain_slope_divisor_ft_per_deg"), 0) + " = "
                + Show.significant(steepestDeg, 3) + "°, eave to ridge W = "
                + Show.significant(Unit.FOOT.fromSi(in.eaveToRidgeM()), 4) + " ft";
        Values values = (lowSlope ? LOW_SLOPE : STEEPER)
                .values()
                .put("k", t.value("flat_factor"), table)
                .put("C_e", in.exposure())
                .put("C_t", in.thermal())
                .put("I_s", in.importance())
                .put("p_g", in.groundPa())
                .put("r", rain ? psf.toSi(t.value("rain_surcharge_psf")) : 0, From.table(t.table(), rule));
        if (lowSlope) {
            values.put("p_low", psf.toSi(limitPsf), table);
        }
        values.compute();
        return new AsceSnow(in, values, lowSlope ? values.si("p_m") : 0, rain);
    }

    /** Flat-roof snow, p_f. */
    public double flatPa() {
        return values.si("p_f");
    }

    /** Flat-roof snow with the surcharge of rain. */
    public double withRainPa() {
        return values.si("p_r");
    }

    /** The larger of that and the minimum. */
    @Override
    public double roofPa() {
        return values.si("p");
    }

    /**
     * The lines of its working.
     *
     * @param terms where {@code C_e}, {@code C_t}, {@code I_s} and {@code p_g} come from
     */
    public List<Step> steps(Terms terms) {
        return values.steps(terms);
    }
}
