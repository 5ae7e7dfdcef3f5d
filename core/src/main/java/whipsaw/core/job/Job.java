package whipsaw.core.job;

import java.util.List;
import whipsaw.core.schema.Input;
import whipsaw.core.units.UnitSystem;

/** All inputs of a job. Immutable; a design follows from it and from the code tables alone. */
public record Job(
        @Input(label = "Project", section = true) Project project,
        @Input(label = "Roof", section = true) Roof roof,
        @Input(label = "Survey", section = true) Survey survey,
        @Input(label = "Site", section = true) Site site,
        @Input(label = "Array", section = true) ArrayChoice array,
        @Input(label = "Electrical", section = true) Electrical electrical,
        @Input(label = "Code tables", each = "Code table", by = "id", many = 200) List<TableRef> codeTables) {

    public Job {
        codeTables = List.copyOf(codeTables);
    }

    /** A code table as it was when the job was last stored. */
    public record TableRef(
            @Input(label = "Table", longest = 80) String id,
            @Input(label = "Edition", longest = 80) String edition,
            @Input(label = "Hash", longest = 64) String hash) {}

    /** The same inputs resting on these tables. */
    public Job resting(List<TableRef> tables) {
        return new Job(project, roof, survey, site, array, electrical, tables);
    }

    /** Version of the document this class is written as. */
    public static final int SCHEMA = 4;

    /**
     * Who and where.
     *
     * @param signatory engineer who signs; empty when not named
     */
    public record Project(
            @Input(label = "Job name") String name,
            @Input(label = "Place", longest = 200, orElse = "") String place,
            @Input(label = "Prepared by", orElse = "") String preparedBy,
            @Input(
                            label = "Engineer who signs",
                            longest = 160,
                            optional = true,
                            help = "name, title, licence; stands on every sheet")
                    String signatory,
            @Input(
                            label = "Shown in",
                            words = {"US units", "metric units"})
                    UnitSystem units) {}
}
