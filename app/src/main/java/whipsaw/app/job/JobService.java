package whipsaw.app.job;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import whipsaw.app.store.JobStore;
import whipsaw.app.store.Revision;
import whipsaw.app.store.StoreException;
import whipsaw.core.design.Design;
import whipsaw.core.design.DesignChange;
import whipsaw.core.design.Solver;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.JobWriter;
import whipsaw.core.job.Problem;

/** Opens, changes and previews jobs: document in, design out, one revision per accepted change. */
@Service
public class JobService {
    private static final int KEPT = 24;
    private static final String USER = "this machine";

    private final JobStore store;
    private final Solver solver;

    /** Designs of documents already solved, by job and revision shown. */
    private final Map<String, Design> solved = Collections.synchronizedMap(new LinkedHashMap<>(KEPT, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Design> eldest) {
            return size() > KEPT;
        }
    });

    public JobService(JobStore store, Solver solver) {
        this.store = store;
        this.solver = solver;
    }

    /**
     * A job as it is shown.
     *
     * @param change what the last step did; empty when the page is opened
     */
    public record Shown(String slug, Revision revision, Design design, DesignChange change) {}

    /** A change that was refused, with the reasons; the stored job is as it was. */
    public static class Refused extends RuntimeException {
        private static final long serialVersionUID = 1L;
        private final transient List<Problem> problems;

        public Refused(List<Problem> problems) {
            super("the change was refused");
            this.problems = problems;
        }

        public List<Problem> problems() {
            return problems;
        }
    }

    private static final DesignChange NOTHING = new DesignChange(List.of(), List.of());

    public Shown open(String slug) {
        Revision latest = latest(slug);
        return new Shown(slug, latest, design(slug, latest), NOTHING);
    }

    private Revision latest(String slug) {
        return store.latest(slug).orElseThrow(() -> new StoreException("there is no job '" + slug + "'"));
    }

    private Design design(String slug, Revision revision) {
        String key = slug + "/" + revision.shows();
        Design known = solved.get(key);
        if (known != null) {
            return known;
        }
        Design design = solver.solve(readStored(revision));
        solved.put(key, design);
        return design;
    }

    private static Job readStored(Revision revision) {
        var reading = JobReader.read(revision.document(), false);
        if (!reading.ok()) {
            throw new StoreException("revision "
                    + revision.number()
                    + " cannot be read: "
                    + reading.problems().get(0).words());
        }
        return reading.job();
    }

    /** Reads a whole document as a job that can be solved, or refuses it. */
    public Job accept(Map<String, Object> document, boolean bareNumbers) {
        var reading = JobReader.read(document, bareNumbers);
        if (!reading.ok()) {
            throw new Refused(reading.problems());
        }
        List<Problem> problems = solver.problems(reading.job());
        if (!problems.isEmpty()) {
            throw new Refused(problems);
        }
        return reading.job();
    }

    /** What a change would do, without storing it. */
    public Shown preview(String slug, List<DocumentPatch.Change> changes) {
        Revision latest = latest(slug);
        Design before = design(slug, latest);
        Job job = accept(DocumentPatch.apply(latest.document(), changes), true);
        Design after = solver.solve(job);
        return new Shown(slug, latest, after, DesignChange.between(before, after));
    }

    /**
     * Makes a change and stores it as one revision; one that alters nothing stores nothing.
     *
     * @param base newest revision its maker knew
     */
    public Shown change(String slug, int base, List<DocumentPatch.Change> changes) {
        Revision latest = latest(slug);
        Design before = design(slug, latest);
        Job job = solver.resting(accept(DocumentPatch.apply(latest.document(), changes), true));
        if (job.equals(before.job())) {
            return new Shown(slug, latest, before, NOTHING);
        }
        String words = RevisionWords.of(before.job(), job, changes);
        Design after = solver.solve(job);
        int number = store.append(slug, base, JobWriter.write(job), USER, words);
        solved.put(slug + "/" + number, after);
        return new Shown(slug, latest(slug), after, DesignChange.between(before, after));
    }

    /** Undoes or redoes; with nothing to step to the job stays as it is. */
    public Shown step(String slug, boolean back) {
        Design before = open(slug).design();
        Optional<Integer> number = back ? store.undo(slug, USER) : store.redo(slug, USER);
        Revision latest = latest(slug);
        Design after = design(slug, latest);
        return new Shown(slug, latest, after, number.isEmpty() ? NOTHING : DesignChange.between(before, after));
    }

    public boolean canRedo(String slug) {
        return store.canRedo(slug);
    }

    public String create(Job job) {
        return store.create(job.project().name(), JobWriter.write(solver.resting(job)), USER);
    }

    public List<JobStore.Listed> list() {
        return store.list();
    }

    public List<Revision> history(String slug) {
        return store.history(slug, 12);
    }
}
