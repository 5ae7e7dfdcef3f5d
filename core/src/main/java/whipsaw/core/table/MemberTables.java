package whipsaw.core.table;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/** Resistance factors, load combinations and limits of roof members. */
public final class MemberTables {
    /** Factors on a material's strength, for loads that act no longer than the duration they are given for. */
    public record Resistance(double bending, double shear, String clause) {}

    /**
     * Factors on the loads.
     *
     * @param wind pressing down, or lifting in a combination for uplift
     */
    public record Combination(String name, double dead, double snow, double live, double wind, String clause) {
        /** Whether only loads of gravity are in it. */
        public boolean gravity() {
            return wind == 0;
        }

        /** The shortest load in it, which timber goes by: {@code permanent}, {@code snow}, {@code live} or {@code wind}. */
        public String duration() {
            if (wind > 0) {
                return "wind";
            }
            if (live > 0) {
                return "live";
            }
            return snow > 0 ? "snow" : "permanent";
        }
    }

    /**
     * Limits of deflection.
     *
     * @param totalSpanOver span over this, under everything
     * @param variableSpanOver span over this, under variable loads alone
     * @param creep what lasting loads add with time, over their deflection at once
     */
    public record Deflection(double totalSpanOver, double variableSpanOver, double creep, String clause) {}

    private final CodeTable resistanceTable;
    private final CodeTable combinationTable;
    private final CodeTable deflectionTable;
    private final ParameterTable limits;
    private final Map<String, Resistance> resistances = new ConcurrentHashMap<>();
    private final Map<String, Deflection> deflections = new ConcurrentHashMap<>();

    MemberTables(CodeTables tables) {
        resistanceTable = tables.table("member_resistance");
        combinationTable = tables.table("member_combinations");
        deflectionTable = tables.table("member_deflection");
        limits = new ParameterTable(tables.table("member_limits"));
    }

    /** Whether a key of combinations means strength and not allowable stress; in the EN family there is no other. */
    public static boolean strength(String combinations) {
        return combinations.equals("en") || combinations.endsWith(" strength");
    }

    /** The key that combines loads for allowable stress where a key means strength; itself in the EN family. */
    public static String allowable(String combinations) {
        return combinations.replace(" strength", "");
    }

    /**
     * @param combinations key of the combinations of the job; the edition in it does not matter here
     * @param duration of the shortest load, as a combination names it; other materials than timber do not ask
     */
    public Resistance resistance(String combinations, String material, String duration) {
        return resistances.computeIfAbsent(
                combinations + "|" + material + "|" + duration, key -> read(combinations, material, duration));
    }

    private Resistance read(String combinations, String material, String duration) {
        String family = combinations.startsWith("asce") && strength(combinations)
                ? "asce strength"
                : combinations.split(" ")[0];
        for (Map<String, String> row : resistanceTable.rows()) {
            String lasts = row.getOrDefault("duration", "any");
            boolean fits = lasts.equals("any") || lasts.equals(duration);
            if (row.get("family").equals(family) && row.get("material").equals(material) && fits) {
                return new Resistance(
                        CodeTable.number(row, "bending"), CodeTable.number(row, "shear"), row.get("clause"));
            }
        }
        throw new IllegalArgumentException("no resistance of " + material + " by " + family);
    }

    /** Limits of deflection of a material in the code family of a key of combinations. */
    public Deflection deflection(String combinations, String material) {
        return deflections.computeIfAbsent(combinations + "|" + material, key -> limits(combinations, material));
    }

    private Deflection limits(String combinations, String material) {
        String family = combinations.split(" ")[0];
        for (Map<String, String> row : deflectionTable.rows()) {
            if (row.get("family").equals(family) && row.get("material").equals(material)) {
                return new Deflection(
                        CodeTable.number(row, "total_span_over"),
                        CodeTable.number(row, "variable_span_over"),
                        CodeTable.number(row, "creep"),
                        row.get("clause"));
            }
        }
        throw new IllegalArgumentException("no deflection limits of " + material + " by " + family);
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

    /** A figure of the table of limits, by name. */
    public double limit(String parameter) {
        return limits.value(parameter);
    }

    /** The tables it was read from. */
    public List<CodeTable> all() {
        return List.of(resistanceTable, combinationTable, deflectionTable, limits.table());
    }

    /** Factors on the strength of materials. */
    public CodeTable resistanceTable() {
        return resistanceTable;
    }

    /** Combinations of loads. */
    public CodeTable combinationTable() {
        return combinationTable;
    }

    /** Limits of deflection. */
    public CodeTable deflectionTable() {
        return deflectionTable;
    }
}
