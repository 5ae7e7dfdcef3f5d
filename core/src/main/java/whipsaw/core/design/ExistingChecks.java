package whipsaw.core.design;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.check.Check;
import whipsaw.core.check.Verdict;
import whipsaw.core.job.Roof;
import whipsaw.core.structure.ExistingBuilding;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/** What adding weight to an existing building sets off, in the ASCE family. */
final class ExistingChecks {
    private static final String SOURCE = "IEBC, alterations; the adopted existing-building code decides";

    private ExistingChecks() {}

    static List<Check> of(Design design, CodeTables tables) {
        List<Check> checks = new ArrayList<>();
        ExistingBuilding e = design.existing();
        if (e == null) {
            return checks;
        }
        if (!e.known()) {
            checks.add(Check.stated(
                    "existing.lateral",
                    "Weight added to the building",
                    Show.both(units(design), Dimension.MASS, e.addedKg()),
                    "the roof's own weight is not known",
                    Verdict.NOT_ESTABLISHED,
                    SOURCE,
                    "roof.footprint",
                    "enter the existing dead load under Structure"));
            return checks;
        }
        lateral(design, e, tables.members().limit("lateral_trigger_ratio"), checks);
        gravity(design, e, tables.members().limit("gravity_trigger_ratio"), checks);
        return checks;
    }

    private static UnitSystem units(Design design) {
        return design.job().project().units();
    }

    private static String percent(double ratio) {
        return Show.number(100 * (ratio - 1), 1) + " %";
    }

    private static void lateral(Design design, ExistingBuilding e, double most, List<Check> checks) {
        boolean over = Limits.above(e.lateral(), most);
        checks.add(Check.stated(
                "existing.lateral",
                "Seismic weight with the array",
                percent(e.lateral()) + (e.byEngineer() ? " more than the building's" : " more than the roof's own"),
                "up to " + percent(most),
                over ? Verdict.NEEDS_ENGINEER : Verdict.PASSES,
                SOURCE,
                "existing.building",
                over
                        ? "an engineer looks at the building's bracing under earthquake and wind with the array; the weight of"
                                + " walls and floors may bring it below: enter it under Structure"
                        : ""));
    }

    private static void gravity(Design design, ExistingBuilding e, double most, List<Check> checks) {
        boolean over = Limits.above(e.gravity(), most);
        Roof.Allowance allowance = design.job().roof().allowance();
        boolean membersChecked =
                !design.members().sets().isEmpty() && design.members().missing().isEmpty();
        String carried = membersChecked
                ? "members are checked under it"
                : allowance != null ? "carried by the " + allowance.source() : "nothing shows that it is carried";
        checks.add(Check.stated(
                "existing.gravity",
                "Gravity load on members",
                percent(e.gravity()) + " more where the array is heaviest",
                "up to " + percent(most) + (over ? "; " + carried : ""),
                over && !membersChecked && allowance == null ? Verdict.NEEDS_ENGINEER : Verdict.PASSES,
                SOURCE,
                "existing.building",
                over && !membersChecked && allowance == null
                        ? "above it members have to be shown to carry the loads of the code in force: enter them, or an"
                                + " engineer's allowance"
                        : ""));
    }
}
