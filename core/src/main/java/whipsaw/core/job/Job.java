package whipsaw.core.job;

import java.util.List;
import java.util.Objects;
import whipsaw.core.schema.Input;
import whipsaw.core.units.UnitSystem;

/**
 * A job as one of its arrays sees it: its own settings, the roof it is on, and what all of the job has in common, with
 * what stands in the site counted from the sheet of that roof. A roof without an array sees the settings of the job's
 * first one and places nothing. Immutable; two of them are equal when document and place are.
 */
public final class Job {
    private final JobDocument document;
    private final String place;
    private final JobRoof on;
    private final JobArray placed;
    private final Survey survey;
    private final InverterGroup group;
    private final Electrical electrical;

    Job(JobDocument document, String place) {
        this.document = document;
        this.place = place;
        this.placed = document.arrays().stream()
                .filter(a -> a.id().equals(place))
                .findFirst()
                .orElse(null);
        String roof = placed == null ? place : placed.on();
        this.on = document.roofs().stream()
                .filter(r -> r.id().equals(roof))
                .findFirst()
                .orElseThrow();
        SheetMove move = SheetMove.between(document.roofs().get(0), on);
        this.survey = move == null ? document.survey() : move.survey(document.survey());
        String feeds = settings().feeds();
        this.group = document.groups().stream()
                .filter(g -> g.id().equals(feeds))
                .findFirst()
                .orElseThrow();
        this.electrical = onSheet(group);
    }

    /** All inputs. */
    public JobDocument document() {
        return document;
    }

    /** Id of the array, or of a roof without one. */
    public String place() {
        return place;
    }

    /** The same job as another array or roof sees it. */
    public Job at(String id) {
        return id.equals(place) ? this : document.at(id);
    }

    /** The roof with its name and its place in the site. */
    public JobRoof on() {
        return on;
    }

    /** The array with its name and its area; null of a roof without one. */
    public JobArray placed() {
        return placed;
    }

    /** Arrays on the same roof, this one among them, in the order of the document. */
    public List<JobArray> onThisRoof() {
        return document.arrays().stream().filter(a -> a.on().equals(on.id())).toList();
    }

    /** What this place is called: the array by its name, or the roof. */
    public String name() {
        return placed == null ? on.name() : "array " + placed.name();
    }

    /** Name, place and who made it. */
    public Project project() {
        return document.project();
    }

    /** The roof the array is on. */
    public Roof roof() {
        return on.roof();
    }

    /** What lies in the site counted from the sheet of this roof. */
    public Survey survey() {
        return survey;
    }

    /** The place and its climate, by code family. */
    public Site site() {
        return document.site();
    }

    /** Settings of the array; those of the first one of the job where this roof has none. */
    public ArrayChoice array() {
        return settings().choice();
    }

    private JobArray settings() {
        return placed == null ? document.arrays().get(0) : placed;
    }

    /** Whether no other array feeds the same inverters. */
    public boolean feedsAlone() {
        return document.arrays().stream()
                        .filter(a -> a.feeds().equals(group.id()))
                        .count()
                == 1;
    }

    /** Inverters of any group with their run counted from the sheet of this roof. */
    public Electrical onSheet(InverterGroup any) {
        SheetMove move = SheetMove.between(document.roofs().get(0), on);
        return move == null ? any.electrical() : move.electrical(any.electrical());
    }

    /** The inverters the array feeds, with their name; their run in the frame of the site. */
    public InverterGroup group() {
        return group;
    }

    /** The inverters the array feeds and their run, counted from the sheet of this roof. */
    public Electrical electrical() {
        return electrical;
    }

    /** Tables the job rested on when it was last stored. */
    public List<TableRef> codeTables() {
        return document.codeTables();
    }

    /** The same inputs resting on these tables. */
    public Job resting(List<TableRef> tables) {
        return new Job(document.resting(tables), place);
    }

    @Override
    public boolean equals(Object o) {
        return o instanceof Job other && place.equals(other.place) && document.equals(other.document);
    }

    @Override
    public int hashCode() {
        return Objects.hash(place, document);
    }

    /** A code table as it was when the job was last stored. */
    public record TableRef(
            @Input(label = "Table", longest = 80) String id,
            @Input(label = "Edition", longest = 80) String edition,
            @Input(label = "Hash", longest = 64) String hash) {}

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
