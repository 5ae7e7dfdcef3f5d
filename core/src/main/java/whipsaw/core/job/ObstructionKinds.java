package whipsaw.core.job;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import whipsaw.core.data.CsvRows;
import whipsaw.core.schema.Choices;

/** Kinds of things on a roof with the rule of each; the rules are this product's own and can be overridden at each thing. */
public final class ObstructionKinds {
    /** Kind of a thing nobody has said more about. */
    public static final String USUAL = "plant";

    /**
     * @param clearM distance kept to modules
     * @param path whether a path of the fire service leads to it
     * @param mark letter or sign on the drawing
     */
    public record Kind(
            String name,
            double clearM,
            boolean shades,
            boolean fragile,
            boolean exhaust,
            boolean path,
            String mark,
            String reason) {}

    private static final Map<String, Kind> KINDS = new LinkedHashMap<>();

    static {
        for (Map<String, String> row : CsvRows.shipped("survey/obstruction-kinds.csv")) {
            KINDS.put(
                    row.get("kind"),
                    new Kind(
                            row.get("kind"),
                            CsvRows.number(row, "clear_m"),
                            row.get("shades").equals("yes"),
                            row.get("fragile").equals("yes"),
                            row.get("exhaust").equals("yes"),
                            row.get("path").equals("yes"),
                            row.get("mark"),
                            row.get("reason")));
        }
    }

    private ObstructionKinds() {}

    /** The kinds to choose from. */
    static final class Names implements Choices {
        @Override
        public List<String> names() {
            return ObstructionKinds.names();
        }
    }

    /** Names of all kinds, in the order of the file. */
    public static List<String> names() {
        return List.copyOf(KINDS.keySet());
    }

    /** The kind of a thing. */
    public static Kind of(Obstruction o) {
        return KINDS.get(o.kind());
    }

    /** Distance kept to modules: as stated, or by the rule of the kind. */
    public static double clearM(Obstruction o) {
        return o.clear() == null ? of(o).clearM() : o.clear().si();
    }

    /** Whether a thing throws a shadow. */
    public static boolean shades(Obstruction o) {
        return o.conduct().shades() == null ? of(o).shades() : o.conduct().shades();
    }

    /** Whether nobody may step on a thing. */
    public static boolean fragile(Obstruction o) {
        return o.conduct().fragile() == null ? of(o).fragile() : o.conduct().fragile();
    }
}
