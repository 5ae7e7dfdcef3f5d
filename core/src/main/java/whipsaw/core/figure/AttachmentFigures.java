package whipsaw.core.figure;

import whipsaw.core.design.Design;
import whipsaw.core.structure.AttachedArray;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.working.Term;
import whipsaw.core.working.Working;

/** Working of the attachments that hold what weight does not. */
final class AttachmentFigures {
    private static final int MOST_GROUPS = 12;

    private AttachmentFigures() {}

    /** Null where weight alone holds the array. */
    static Working attachments(Design design) {
        AttachedArray a = design.attached();
        if (a == null) {
            return null;
        }
        UnitSystem units = design.job().project().units();
        Term tension = Term.given(
                "T_a",
                "one takes up",
                force(units, a.each().tension().si()),
                a.each().tension());
        Term shear = Term.given(
                "V_a",
                "one takes along",
                force(units, a.each().shear().si()),
                a.each().shear());
        Working.Builder w = Working.of("array.attachments", "Attachments, first estimate", String.valueOf(a.needed()));
        groups(w, a, units, tension, shear);
        if (a.groups().size() > MOST_GROUPS) {
            w.note("And " + (a.groups().size() - MOST_GROUPS) + " more groups in the same way.");
        }
        w.step("n_w", "by wind", "Σ n_i over " + a.groups().size() + " groups", String.valueOf(a.byWind()), "");
        AttachedArray.Quake q = a.quake();
        if (q != null) {
            w.steps(q.force().steps(units))
                    .step(
                            "n_e",
                            "by the earthquake, weight not counted as holding",
                            "{F_a} / {V_a}, rounded up",
                            String.valueOf(q.attachments()),
                            "whole ones",
                            Term.computed(
                                    "F_a",
                                    "seismic force",
                                    force(units, q.force().allowableN()),
                                    null),
                            shear);
        } else if (!a.missing().isEmpty()) {
            w.note("The seismic force is not established: missing " + a.missing() + ".");
        } else {
            w.note("Earthquakes are not looked at in the EN family.");
        }
        return w.step("n", "the larger", "", String.valueOf(a.needed()), "")
                .note(
                        "Shared over no more modules than the tray system has been shown to share load over; the racking has"
                                + " to carry the load to them. Where they stand, and what they pull on deck and members, is"
                                + " for the engineer.")
                .build();
    }

    private static void groups(Working.Builder w, AttachedArray a, UnitSystem units, Term tension, Term shear) {
        for (AttachedArray.Group g : a.groups().stream().limit(MOST_GROUPS).toList()) {
            String byArea = a.each().part() == null || a.each().part().serves() == null
                    ? ""
                    : "; " + Show.both(units, Dimension.AREA, g.areaM2()) + " of modules, each at most "
                            + Show.both(
                                    units,
                                    Dimension.AREA,
                                    a.each().part().serves().si());
            w.step(
                    "n_i",
                    "from position " + g.name() + ", " + g.positions().size() + " lacking weight within " + g.within()
                            + (g.within() == 1 ? " module" : " modules that share load"),
                    "{T} / {T_a} + {V} / {V_a}, rounded up",
                    String.valueOf(g.attachments()),
                    "linear interaction, at least one; tension and shear left over at full positions, at allowable level in ASCE 7"
                            + byArea,
                    Term.computed("T", "uplift left over", force(units, g.tensionN()), null),
                    tension,
                    Term.computed("V", "sliding left over", force(units, g.shearN()), null),
                    shear);
        }
    }

    private static String force(UnitSystem units, double newton) {
        return Show.both(units, Dimension.FORCE, newton);
    }
}
