package whipsaw.core.table;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import whipsaw.core.working.DataStatus;

/**
 * Values of a national annex in place of recommended ones: any parameter of the recommended values, and the factors of
 * equilibrium on weight and on wind. What it does not name stays as recommended.
 */
public final class NationalParameters {
    /** Ids of such tables begin so. */
    public static final String ID_PREFIX = "national_parameters_";

    static final List<String> COLUMNS = List.of("parameter", "value");
    private static final String EQU_DEAD = "equ_dead";
    private static final String EQU_WIND = "equ_wind";

    private NationalParameters() {}

    /** Parameters it may name. */
    static List<String> allowed(CodeTable recommended) {
        List<String> names = new ArrayList<>();
        recommended.rows().forEach(r -> names.add(r.get("parameter")));
        names.add(EQU_DEAD);
        names.add(EQU_WIND);
        return names;
    }

    /** The tables with the values of a set in them; those touched say so and are no more certain than the set. */
    static CodeTables over(CodeTables tables, CodeTable set) {
        Map<String, String> values = new LinkedHashMap<>();
        set.rows().forEach(r -> values.put(r.get("parameter"), r.get("value")));
        CodeTable recommended = tables.en().recommendedTable();
        String merged = recommended.rows().stream()
                .map(r -> r.get("parameter") + "," + values.getOrDefault(r.get("parameter"), r.get("value")))
                .collect(Collectors.joining("\n", "parameter,value\n", "\n"));
        CodeTables result = tables.with(touched(recommended, set, merged));
        if (!values.containsKey(EQU_DEAD) && !values.containsKey(EQU_WIND)) {
            return result;
        }
        CodeTable factors = tables.wind().factorTable();
        String lines = factors.rows().stream()
                .map(r -> {
                    boolean equ = r.get("method").equals("EN_EQU");
                    String dead = equ ? values.getOrDefault(EQU_DEAD, r.get("dead")) : r.get("dead");
                    String wind = equ ? values.getOrDefault(EQU_WIND, r.get("wind")) : r.get("wind");
                    String words = equ ? dead + "G + " + wind + "W" : r.get("combination");
                    return String.join(
                            ",", r.get("method"), dead, wind, words, r.get("clause") + (equ ? " with annex" : ""));
                })
                .collect(Collectors.joining("\n", "method,dead,wind,combination,clause\n", "\n"));
        return result.with(touched(factors, set, lines));
    }

    private static CodeTable touched(CodeTable table, CodeTable set, String csv) {
        return CodeTable.read(
                table.id(),
                table.title() + " with " + set.title(),
                table.source() + "; " + set.source(),
                table.edition() + "; " + set.edition(),
                DataStatus.worse(table.status(), set.status()),
                table.remark(),
                csv);
    }

    /** What is wrong with a set, each in words. */
    static List<String> problems(CodeTable set, CodeTable recommended) {
        List<String> problems = new ArrayList<>();
        List<String> allowed = allowed(recommended);
        Map<String, Integer> seen = new LinkedHashMap<>();
        for (int i = 0; i < set.rows().size(); i++) {
            String name = set.rows().get(i).get("parameter");
            String value = set.rows().get(i).get("value");
            if (!allowed.contains(name)) {
                problems.add("row " + (i + 1) + ", column parameter: '" + name + "' is none of "
                        + String.join(", ", allowed));
            } else if (seen.put(name, i) != null) {
                problems.add("row " + (i + 1) + ", column parameter: '" + name + "' is there twice");
            }
            if (!positive(value)) {
                problems.add(
                        "row " + (i + 1) + ", column value: '" + value + "' is no number above 0, for example 1.25");
            }
        }
        return problems;
    }

    private static boolean positive(String text) {
        try {
            double value = Double.parseDouble(text);
            return Double.isFinite(value) && value > 0;
        } catch (NumberFormatException e) {
            return false;
        }
    }
}
