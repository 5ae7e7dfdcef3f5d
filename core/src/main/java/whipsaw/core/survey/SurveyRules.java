package whipsaw.core.survey;

import java.util.LinkedHashMap;
import java.util.Map;
import whipsaw.core.data.CsvRows;

/** The figures a survey is judged by, as data that ships. */
public final class SurveyRules {
    /** A figure with where it comes from. */
    public record Rule(double value, String unit, String source) {}

    private static final Map<String, Rule> RULES = new LinkedHashMap<>();

    static {
        for (Map<String, String> row : CsvRows.shipped("survey/rules.csv")) {
            RULES.put(row.get("rule"), new Rule(CsvRows.number(row, "value"), row.get("unit"), row.get("source")));
        }
    }

    private SurveyRules() {}

    /** The figure of a rule by name. */
    public static double value(String rule) {
        return of(rule).value();
    }

    /** A rule by name. */
    public static Rule of(String rule) {
        Rule found = RULES.get(rule);
        if (found == null) {
            throw new IllegalArgumentException("no rule " + rule);
        }
        return found;
    }
}
