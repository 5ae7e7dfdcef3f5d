package whipsaw.core.structure;

/**
 * A member of a pitched roof that the wind lifts, without the array and with it, by the combination for uplift.
 *
 * @param bareNm largest moment upward on the bare roof; 0 when its weight holds it down
 * @param withNm the same with modules on it
 * @param limitNm moment it takes with its lower flange free; NaN when not known
 * @param bareEndN largest uplift at an end on the bare roof
 * @param withEndN the same with modules on it
 * @param endLimitN allowable end uplift; NaN when not known
 * @param peakPa largest net pressure on it, before factors
 * @param areaM2 it is reckoned with
 */
public record MemberUplift(
        double bareNm,
        double withNm,
        double limitNm,
        double bareEndN,
        double withEndN,
        double endLimitN,
        double peakPa,
        double areaM2) {
    /** The code asks for the roof with and without its modules. */
    public double momentNm() {
        return Math.max(bareNm, withNm);
    }

    /** The larger uplift at an end of the bare roof and with modules, N. */
    public double endN() {
        return Math.max(bareEndN, withEndN);
    }

    /** Of what is known; 0 when neither limit is. */
    public double utilisation() {
        double moment = Double.isNaN(limitNm) ? 0 : momentNm() / limitNm;
        double end = Double.isNaN(endLimitN) ? 0 : endN() / endLimitN;
        return Math.max(moment, end);
    }
}
