package whipsaw.core.job;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import whipsaw.core.data.CsvRows;
import whipsaw.core.schema.Choices;

/** What can be pinned to the plan. */
public final class PinKinds {
    /**
     * @param group hazard, access, structure or electrical
     * @param reach whether a reach is asked
     * @param load whether a load is asked
     * @param noWalk whether nobody may step near it
     */
    public record Kind(String name, String group, String mark, boolean reach, boolean load, boolean noWalk) {}

    private static final Map<String, Kind> KINDS = new LinkedHashMap<>();

    static {
        for (Map<String, String> row : CsvRows.shipped("survey/pin-kinds.csv")) {
            KINDS.put(
                    row.get("kind"),
                    new Kind(
                            row.get("kind"),
                            row.get("group"),
                            row.get("mark"),
                            row.get("reach").equals("yes"),
                            row.get("load").equals("yes"),
                            row.get("no_walk").equals("yes")));
        }
    }

    private PinKinds() {}

    /** The kinds to choose from. */
    static final class Names implements Choices {
        @Override
        public List<String> names() {
            return PinKinds.names();
        }
    }

    /** Names of all kinds, in the order of the file. */
    public static List<String> names() {
        return List.copyOf(KINDS.keySet());
    }

    /** Kind of a pin whose photographs show what carries the roof. */
    public static final String FROM_BELOW = "seen from below";

    /** The kind of a pin. */
    public static Kind of(Survey.Pin pin) {
        return KINDS.get(pin.kind());
    }
}
