package whipsaw.core.job;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import whipsaw.core.data.CsvRows;
import whipsaw.core.schema.Field;
import whipsaw.core.units.Dimension;

/**
 * Something a visit has to find out.
 *
 * @param kind how it is answered
 * @param dimension of a dimension, else null
 * @param options of a choice; of {@link Kind#PATH} the one path it is found at
 * @param unit of a plain number
 * @param stages letters of the stages that wait for it
 * @param when kind of roof it is asked of, empty for all
 */
public record SurveyQuestion(
        String id,
        String section,
        String label,
        Kind kind,
        Dimension dimension,
        List<String> options,
        double least,
        double most,
        String unit,
        String stages,
        String when,
        String hint) {

    /** How a question is answered. */
    public enum Kind {
        /** By another input of the job. */
        PATH,
        TEXT,
        CHOICE,
        YES_NO,
        DATE,
        NUMBER,
        DIMENSION
    }

    private static final Map<String, SurveyQuestion> ALL = new LinkedHashMap<>();

    static {
        for (Map<String, String> row : CsvRows.shipped("survey/questions.csv")) {
            SurveyQuestion q = of(row);
            ALL.put(q.id(), q);
        }
    }

    /** All questions, in the order of the sheet. */
    public static List<SurveyQuestion> all() {
        return List.copyOf(ALL.values());
    }

    /** Null when there is none. */
    public static SurveyQuestion of(String id) {
        return ALL.get(id);
    }

    private static SurveyQuestion of(Map<String, String> row) {
        String kind = row.get("kind");
        Kind known =
                switch (kind) {
                    case "path" -> Kind.PATH;
                    case "text" -> Kind.TEXT;
                    case "choice" -> Kind.CHOICE;
                    case "yes-no" -> Kind.YES_NO;
                    case "date" -> Kind.DATE;
                    case "number" -> Kind.NUMBER;
                    default -> Kind.DIMENSION;
                };
        List<String> options = new ArrayList<>();
        if (known == Kind.YES_NO) {
            options.addAll(List.of("yes", "no"));
        } else if (!row.get("options").isEmpty()) {
            options.addAll(List.of(row.get("options").split("\\|")));
        }
        return new SurveyQuestion(
                row.get("id"),
                row.get("section"),
                row.get("label"),
                known,
                known == Kind.DIMENSION ? Dimension.valueOf(kind) : null,
                List.copyOf(options),
                CsvRows.number(row, "least"),
                CsvRows.number(row, "most"),
                row.get("unit"),
                row.get("stages"),
                row.get("when"),
                row.get("hint"));
    }

    /** Whether it is asked of a roof. */
    public boolean asked(Roof roof) {
        boolean metal = Roof.METAL.contains(roof.covering());
        return switch (when) {
            case "metal" -> metal;
            case "membrane" -> !metal;
            case "flat" -> roof.fabric().flat();
            case "pitched" -> !roof.fabric().flat();
            default -> true;
        };
    }

    /** The field of a dimension. */
    Field field() {
        return new Field(label, dimension, least, most);
    }
}
