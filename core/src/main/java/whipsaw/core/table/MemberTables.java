package whipsaw.core.table;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Resistance factors, load combinations and limits of roof members. */
public final class MemberTables {
    /** Factors on a material's strength. */
    public record Resistance(double bending, double shear, String clause) {}

    /** Factors on the loads. */
    public record Combination(String name, double dead, double snow, double live, double wind, String clause) {}

    private final CodeTable resistanceTable;
    private final CodeTable combinationTable;
    private final ParameterTable limits;

    MemberTables(CodeTables tables) {
        resistanceTable = tables.table("member_resistance");
        combinationTable = tables.table("member_combinations");
        limits = new ParameterTable(tables.table("member_limits"));
    }

    /** Whether a key of combinations means strength and not allowable stress; in the EN family there is no other. */
    public static boolean strength(String combinations) {
        return combinations.equals("en") || combinations.endsWith(" strength");
    }

    /** @param combinations key of the combinations of the job; the edition in it does not matter here */
    public Resistance resistance(String combinations, String material) {
        String family = combinations.startsWith("asce") && strength(combinations)
                ? "asce strength"
                : combinations.split(" ")[0];
        for (Map<String, String> row : resistanceTable.rows()) {
            if (row.get("family").equals(family) && row.get("material").equals(material)) {
                return new Resistance(
                        CodeTable.number(row, "bending"), CodeTable.number(row, "shear"), row.get("clause"));
            }
        }
        throw new IllegalArgumentException("no resistance of " + material + " by " + family);
    }

    /** The combination of a family in which the wind lifts the roof. */
    public Combination uplift(String family) {
        return combinations(family, "uplift").get(0);
    }

    /** Combinations of a family for strength or for service. */
    public List<Combination> combinations(String family, boolean strength) {
        return combinations(family, strength ? "strength" : "service");
    }

    private List<Combination> combinations(String family, String state) {
        List<Combination> list = new ArrayList<>();
        for (Map<String, String> row : combinationTable.rows()) {
            if (row.get("family").equals(family) && row.get("state").equals(state)) {
                list.add(new Combination(
                        row.get("name"),
                        CodeTable.number(row, "dead"),
                        CodeTable.number(row, "snow"),
                        CodeTable.number(row, "live"),
                        CodeTable.number(row, "wind"),
                        row.get("clause")));
            }
        }
        return list;
    }

    public double limit(String parameter) {
        return limits.value(parameter);
    }

    public List<CodeTable> all() {
        return List.of(resistanceTable, combinationTable, limits.table());
    }

    public CodeTable resistanceTable() {
        return resistanceTable;
    }

    public CodeTable combinationTable() {
        return combinationTable;
    }

    public CodeTable limitTable() {
        return limits.table();
    }
}
