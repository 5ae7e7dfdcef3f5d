package whipsaw.core.figure;

import whipsaw.core.design.Design;
import whipsaw.core.structure.ExistingBuilding;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.working.Origin;
import whipsaw.core.working.Term;
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
                .step(
                        "",
                        "weight an earthquake moves, with the array over without",
                        "({W} + {m}) / {W}",
                        Show.number(e.lateral(), 3),
                        "IEBC, alterations: lateral load",
                        Term.computed(
                                "W",
                                e.byEngineer()
                                        ? "by an engineer"
                                        : "existing dead load times the roof's area, the roof alone",
                                Show.both(units, Dimension.MASS, e.roofKg()),
                                null),
                        Term.computed("m", "array", Show.both(units, Dimension.MASS, e.addedKg()), "roof.footprint"),
                        Term.data(
                                "limit",
                                "limit",
                                Show.number(tables.members().limit("lateral_trigger_ratio"), 2),
                                Origin.TABLE,
                                tables.table("member_limits")))
                .step(
                        "",
                        "gravity load where the array is heaviest, with it over without, loads as they are",
                        "({w} + {q}) / {w}",
                        Show.number(e.gravity(), 3),
                        "IEBC, alterations: gravity load",
                        Term.computed(
                                "w",
                                "dead load with the larger of snow and live load",
                                Show.both(units, Dimension.LOAD, e.therePa()),
                                null),
                        Term.computed("q", "array", Show.both(units, Dimension.LOAD, e.addedPa()), "roof.window"),
                        Term.data(
                                "limit",
                                "limit",
                                Show.number(tables.members().limit("gravity_trigger_ratio"), 2),
                                Origin.TABLE,
                                tables.table("member_limits")))
                .note(
                        "Where no engineer gave the weight, walls, floors and snow that count with it are left out: with them the first is smaller.")
                .note(
                        "The wind on the rows acts on the building's bracing too; an engineer judges it with the earthquake.")
                .build();
    }
}
