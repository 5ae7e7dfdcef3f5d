package whipsaw.core.holddown;

import java.util.List;
import whipsaw.core.formula.Formulas;
import whipsaw.core.formula.From;
import whipsaw.core.formula.Measured;
import whipsaw.core.formula.Values;
import whipsaw.core.table.NetCoefficients;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.working.Step;
import whipsaw.core.working.Terms;

/**
 * Net pressure by a net-coefficient set. EN 1991-1-4 itself gives no coefficients of tilted panels on flat roofs.
 *
 * @param values of the symbols of the formulas
 */
public record NetPressure(NetCoefficients set, String zone, double tiltDeg, double effectiveAreaM2, Values values)
        implements PanelPressure {
    private static final Formulas EN = formulas("q_p", "peak velocity pressure", "characteristic", "EN 1991-1-4 5.2");
    private static final Formulas ASCE =
            formulas("q_h", "velocity pressure, K_d included", "strength level", "ASCE 7 chapter 31");

    private static Formulas formulas(String q, String meaning, String level, String clause) {
        String by = clause + " with a net coefficient";
        return Formulas.of("")
                .in(q, meaning, Measured.PASCAL)
                .in("c_net", "net coefficient", Measured.NUMBER)
                .let("p", "uplift, normal to the module, " + level, "{" + q + "} · {c_net}", Measured.PASCAL, by)
                .in("c_down", "net coefficient towards the roof", Measured.NUMBER)
                .let("p_d", "towards the roof, normal to the module", "{" + q + "} · {c_down}", Measured.PASCAL, by)
                .build();
    }

    static NetPressure of(
            NetCoefficients set, String arrangement, String zone, double tiltDeg, double areaM2, double peakPa) {
        NetCoefficients.Pair c = set.at(arrangement, zone, tiltDeg, areaM2);
        boolean en = set.family().equals("en");
        From table = From.table(set.table(), "zone " + zone);
        return new NetPressure(
                set,
                zone,
                tiltDeg,
                areaM2,
                (en ? EN : ASCE)
                        .values()
                        .put(en ? "q_p" : "q_h", peakPa, From.figure("site.qh"))
                        .put("c_net", c.up(), table)
                        .put("c_down", c.down(), table)
                        .compute());
    }

    @Override
    public double edgeFactor() {
        return 1;
    }

    /** Coefficient away from the roof, positive. */
    public double up() {
        return values.get("c_net");
    }

    @Override
    public double upliftPa() {
        return values.si("p");
    }

    @Override
    public double downPa() {
        return values.si("p_d");
    }

    /** The lines of its working. */
    public List<Step> steps(UnitSystem units) {
        return values.steps(Terms.typed(), units);
    }
}
