package whipsaw.core.job;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import whipsaw.core.schema.Faults;
import whipsaw.core.schema.Input;
import whipsaw.core.schema.Ruled;

/**
 * All inputs of a job, as documents hold them. Immutable; a design follows from it and from the code tables alone.
 *
 * @param roofs the first one is the frame the site lies in
 * @param arrays each on one of the roofs
 * @param groups inverters, each group fed by one or more arrays
 */
public record JobDocument(
        @Input(label = "Project", section = true) Job.Project project,
        @Input(label = "Roofs", fewest = 1, many = 40, sole = true) List<JobRoof> roofs,
        @Input(label = "Survey", section = true) Survey survey,
        @Input(label = "Site", section = true) Site site,
        @Input(label = "Arrays", each = "Array", fewest = 1, many = 100, sole = true) List<JobArray> arrays,
        @Input(label = "Inverter groups", each = "Inverter group", fewest = 1, many = 100, sole = true)
                List<InverterGroup> groups,
        @Input(label = "Code tables", each = "Code table", by = "id", many = 200) List<Job.TableRef> codeTables)
        implements Ruled {
    /** Version of the document this class is written as. */
    public static final int SCHEMA = 6;

    private static final Pattern ID = Pattern.compile("[A-Za-z0-9-]{1,40}");

    public JobDocument {
        roofs = List.copyOf(roofs);
        arrays = List.copyOf(arrays);
        groups = List.copyOf(groups);
        codeTables = List.copyOf(codeTables);
    }

    @Override
    public void rules(Faults faults) {
        Set<String> ids = new HashSet<>();
        for (int i = 0; i < roofs.size(); i++) {
            JobRoof r = roofs.get(i);
            own(faults.in("roofs", i), r.id(), ids);
            if (i == 0 && (r.x().si() != 0 || r.y().si() != 0)) {
                faults.in("roofs", i)
                        .note("x", r.x().typed(), "is the origin of the site and stays at 0: move the other roofs");
            }
        }
        for (int i = 0; i < groups.size(); i++) {
            own(faults.in("groups", i), groups.get(i).id(), ids);
        }
        for (int i = 0; i < arrays.size(); i++) {
            JobArray a = arrays.get(i);
            own(faults.in("arrays", i), a.id(), ids);
            if (roofs.stream().noneMatch(r -> r.id().equals(a.on()))) {
                faults.in("arrays", i)
                        .note(
                                "on",
                                a.on(),
                                "is no roof of this job; it has "
                                        + String.join(
                                                ", ",
                                                roofs.stream().map(JobRoof::id).toList()));
            }
            if (groups.stream().noneMatch(g -> g.id().equals(a.feeds()))) {
                faults.in("arrays", i)
                        .note(
                                "feeds",
                                a.feeds(),
                                "is no inverter group of this job; it has "
                                        + String.join(
                                                ", ",
                                                groups.stream()
                                                        .map(InverterGroup::id)
                                                        .toList()));
            }
            if (a.area().size() == 1 || a.area().size() == 2) {
                faults.in("arrays", i).note("area", a.area().size() + " corners", "needs 3 corners or more, or none");
            }
        }
    }

    private static void own(Faults faults, String id, Set<String> ids) {
        if (!ID.matcher(id).matches()) {
            faults.note("id", id, "has to be letters, digits and hyphens: for example B");
        } else if (!ids.add(id)) {
            faults.note(
                    "id",
                    id,
                    "is the id of another roof, array or inverter group: give another one, for example " + id + "-2");
        }
    }

    /** The job as its first array sees it. */
    public Job first() {
        return new Job(this, arrays.get(0).id());
    }

    /**
     * The job as one of its arrays sees it, or a roof without one.
     *
     * @param id of an array or of a roof; of a roof with arrays its first one, of what is not there the first of all
     */
    public Job at(String id) {
        if (arrays.stream().anyMatch(a -> a.id().equals(id))) {
            return new Job(this, id);
        }
        if (roofs.stream().noneMatch(r -> r.id().equals(id))) {
            return first();
        }
        return arrays.stream()
                .filter(a -> a.on().equals(id))
                .findFirst()
                .map(a -> new Job(this, a.id()))
                .orElseGet(() -> new Job(this, id));
    }

    /** Ids of all that can be looked at: every array, and every roof without one, roof by roof. */
    public List<String> places() {
        return roofs.stream()
                .flatMap(r -> {
                    List<String> on = arrays.stream()
                            .filter(a -> a.on().equals(r.id()))
                            .map(JobArray::id)
                            .toList();
                    return (on.isEmpty() ? List.of(r.id()) : on).stream();
                })
                .toList();
    }

    /** The same inputs resting on these tables. */
    public JobDocument resting(List<Job.TableRef> tables) {
        return new JobDocument(project, roofs, survey, site, arrays, groups, tables);
    }
}
