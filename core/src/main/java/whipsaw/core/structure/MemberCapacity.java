package whipsaw.core.structure;

import java.util.List;
import whipsaw.core.catalogue.MemberType;
import whipsaw.core.formula.Formulas;
import whipsaw.core.formula.From;
import whipsaw.core.formula.Measured;
import whipsaw.core.formula.Values;
import whipsaw.core.table.MemberTables;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.working.Step;
import whipsaw.core.working.Terms;

/**
 * Moment and shear a section takes, by the factors of its material and of the shortest load of a combination.
 *
 * @param values of the symbols of the formulas
 */
public record MemberCapacity(Values values) {
    private static final Measured FACTOR = Measured.NUMBER;

    private static final Formulas FORMULAS = Formulas.of("")
            .in("n", "members side by side", FACTOR)
            .in("c", "factor on the strength in bending", FACTOR)
            .in("f", "strength in bending", Measured.STRESS)
            .in("S", "section modulus", Measured.SECTION_MODULUS)
            .let("M_R", "moment it takes", "{n} · {c} · {f} · {S}", Measured.MOMENT, "by the factor of its material")
            .in("c_v", "factor on the strength in shear", FACTOR)
            .in("f_v", "strength in shear", Measured.STRESS)
            .in("A_v", "area that takes shear", Measured.PART_AREA)
            .let(
                    "V_R",
                    "shear it takes",
                    "{n} · {c_v} · {f_v} · {A_v}",
                    Measured.FORCE,
                    "by the factor of its material")
            .build();

    private static final Formulas FREE_FLANGE = Formulas.of("")
            .in("k", "share with a free flange", FACTOR)
            .in("M_R", "moment it takes held by the sheet", Measured.MOMENT)
            .let("M_U", "moment it takes with its lower flange free", "{k} · {M_R}", Measured.MOMENT, "entered share")
            .build();

    /**
     * Computes it.
     *
     * @param type with a section: not a load table
     * @param combinations key of the combinations of the job
     * @param duration of the shortest load, as a combination names it
     * @param count members side by side
     */
    public static MemberCapacity of(
            MemberType type, String combinations, String duration, int count, MemberTables tables) {
        Section section = Section.of(type);
        MemberTables.Resistance r = tables.resistance(combinations, type.material(), duration);
        From table = From.table(tables.resistanceTable(), r.clause());
        From entry = From.catalogue(type.info());
        return new MemberCapacity(FORMULAS.values()
                .put("n", count, From.rule("by the strengthening of the job"))
                .put("c", r.bending(), table)
                .put("f", type.strength().si(), entry)
                .put("S", section.modulusM3(), entry)
                .put("c_v", r.shear(), table)
                .put("f_v", (type.shear() == null ? type.strength() : type.shear()).si(), entry)
                .put("A_v", section.shearM2(), entry)
                .compute());
    }

    /** Moment it takes, N m. */
    public double momentNm() {
        return values.si("M_R");
    }

    /** Shear it takes, N; NaN where the area that takes shear is not given. */
    public double shearN() {
        return values.si("V_R");
    }

    /**
     * Moment it takes when the wind lifts it and its lower flange is free.
     *
     * @param share of the moment it takes held by the sheet; NaN when not given
     */
    public Values free(double share) {
        return FREE_FLANGE
                .values()
                .put("k", share, From.rule("entered with the members"))
                .put("M_R", momentNm(), From.figure(null))
                .compute();
    }

    /** The line of the moment it takes. */
    public List<Step> moment(UnitSystem units) {
        return steps(units).subList(0, 1);
    }

    /** The lines of its working; that of shear only where it is known. */
    public List<Step> steps(UnitSystem units) {
        return values.steps(Terms.typed(), units).stream()
                .filter(s -> !s.symbol().equals("V_R") || !Double.isNaN(shearN()))
                .toList();
    }
}
