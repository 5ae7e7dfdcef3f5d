package whipsaw.core.design;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import whipsaw.core.job.DocumentPatch.Change;
import whipsaw.core.job.InverterGroup;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobArray;
import whipsaw.core.job.JobDocument;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.JobWriter;

/**
 * Changes that give arrays inverters of their own and take inverter groups away. Nothing is changed here; what makes no
 * sense is an {@link IllegalArgumentException} with the reason in words.
 */
public final class GroupEdits {
    private final Job job;

    public GroupEdits(Design design) {
        this.job = design.job();
    }

    /** A new group with the inverters and the run of the present one, which the array that is looked at feeds alone. */
    public List<Change> own() {
        if (job.placed() == null) {
            throw new IllegalArgumentException(job.on().name() + " has no array to feed inverters");
        }
        if (job.feedsAlone()) {
            throw new IllegalArgumentException("no other array feeds "
                    + job.group().name() + ": array " + job.placed().name() + " has inverters of its own already");
        }
        String id = freshId();
        Map<String, Object> group = new LinkedHashMap<>(JobWriter.part(job.group()));
        group.put("id", id);
        group.put("name", "Inverters of array " + job.placed().name());
        return List.of(
                Change.append(JobPaths.DOCUMENT.to(JobDocument::groups), group),
                new Change(
                        "set",
                        JobPaths.absolute(JobPaths.PLACED.to(JobArray::feeds).toString(), job),
                        id));
    }

    /** Takes a group away that no array feeds. */
    public List<Change> remove(String id) {
        List<InverterGroup> groups = job.document().groups();
        InverterGroup group = groups.stream()
                .filter(g -> g.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(
                        "inverter group " + id + " is not in this job any more: load the page again"));
        List<JobArray> feeding = feeding(id);
        if (!feeding.isEmpty()) {
            throw new IllegalArgumentException(group.name() + " is fed by "
                    + feeding.stream().map(a -> "array " + a.name()).collect(Collectors.joining(", "))
                    + ": choose other inverters for it first");
        }
        return List.of(new Change("remove", "$.groups[id=" + id + "]", null));
    }

    private List<JobArray> feeding(String group) {
        return job.document().arrays().stream()
                .filter(a -> a.feeds().equals(group))
                .toList();
    }

    private String freshId() {
        JobDocument d = job.document();
        for (int i = 1; ; i++) {
            String id = "I" + i;
            boolean taken = d.groups().stream().anyMatch(g -> g.id().equals(id))
                    || d.arrays().stream().anyMatch(a -> a.id().equals(id))
                    || d.roofs().stream().anyMatch(r -> r.id().equals(id));
            if (!taken) {
                return id;
            }
        }
    }
}
