package whipsaw.core.figure;

import whipsaw.core.design.Design;
import whipsaw.core.structure.ExistingBuilding;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.working.Working;

/** Working of what the array adds to an existing building. */
final class ExistingFigures {
    private ExistingFigures() {}

    /** Null where the rule is not asked for or the roof's own weight is not known. */
    static Working building(Design design, CodeTables tables) {
        ExistingBuilding e = design.existing();
        if (e == null || !e.known()) {
            return null;
        }
        UnitSystem units = design.job().project().units();
        return Working.of(
                        "existing.building",
                        "What the array adds to the building",
                        Show.number(e.lateral(), 3) + " of the weight, " + Show.number(e.gravity(), 3) + " of the load")
                .steps(e.steps(units))
                .note("Allowed by the table: " + Show.number(tables.members().limit("lateral_trigger_ratio"), 2)
                        + " of the weight and " + Show.number(tables.members().limit("gravity_trigger_ratio"), 2)
                        + " of the load (" + tables.table("member_limits").words() + ").")
                .note(
                        "Where no engineer gave the weight, walls, floors and snow that count with it are left out: with them the first is smaller.")
                .note(
                        "The wind on the rows acts on the building's bracing too; an engineer judges it with the earthquake.")
                .build();
    }
}
