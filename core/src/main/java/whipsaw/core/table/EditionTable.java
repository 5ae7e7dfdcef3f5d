package whipsaw.core.table;

import whipsaw.core.job.Site;

/** Which figures of an edition of ASCE 7 are at hand, and which may be taken from the one before. */
public final class EditionTable {
    /** A part of the code by the name it has in the table. */
    public enum Part {
        VELOCITY_PRESSURE("velocity pressure", "26.10"),
        TILTED_ARRAY("tilted array", "29.4.3"),
        ROOF_ZONES("roof zones", "30.3 and 29.4.4"),
        SNOW("snow", "chapter 7"),
        SEISMIC("seismic", "13.6.12");

        private final String key;
        private final String clause;

        Part(String key, String clause) {
            this.key = key;
            this.clause = clause;
        }

        /** Where it stands in the code. */
        public String clause() {
            return clause;
        }

        /** What is missing, for a reader. */
        public String missing(Site.AsceEdition edition) {
            return "figures of " + clause + " in the edition " + edition.name();
        }
    }

    private final CodeTable table;

    EditionTable(CodeTables tables) {
        table = tables.table("asce_editions");
    }

    /** Whether a job of this edition has figures for a part: its own, or those of 7-16 where it takes them. */
    public boolean has(Site.AsceEdition edition, Part part) {
        String from = from(edition, part);
        return from.equals("own") || (from.equals("7-16") && edition.olderFigures());
    }

    /** Whether a part rests on figures of the edition before. */
    public boolean older(Site.AsceEdition edition, Part part) {
        return edition.olderFigures() && from(edition, part).equals("7-16");
    }

    private String from(Site.AsceEdition edition, Part part) {
        return table.rows().stream()
                .filter(r ->
                        r.get("edition").equals(edition.name()) && r.get("part").equals(part.key))
                .map(r -> r.get("figures"))
                .findFirst()
                .orElse("none");
    }

    /** The table it was read from. */
    public CodeTable table() {
        return table;
    }
}
