package whipsaw.app.job;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import whipsaw.app.entry.InputNames;
import whipsaw.app.store.CatalogueStore;
import whipsaw.app.store.JobStore;
import whipsaw.app.store.Revision;
import whipsaw.app.store.StoreException;
import whipsaw.app.store.Stored;
import whipsaw.app.table.CodeTableService;
import whipsaw.core.catalogue.BlockType;
import whipsaw.core.catalogue.TraySystem;
import whipsaw.core.check.Check;
import whipsaw.core.design.Design;
import whipsaw.core.design.DesignChange;
import whipsaw.core.design.Solver;
import whipsaw.core.design.WaysOut;
import whipsaw.core.job.DocumentMerge;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.JobWriter;
import whipsaw.core.job.SchemaUpgrade;
import whipsaw.core.schema.Problem;
import whipsaw.core.structure.SignOff;

/** Opens, changes and previews jobs: document in, design out, one revision per accepted change. */
@Service
public class JobService {
    private static final int LOCKS = 64;
    private static final int KEPT = 24;

    private final JobStore store;
    private final Maker maker;
    private final Looking looking;
    private final CodeTableService tables;
    private final CatalogueStore catalogue;
    private final Accepting accepting;
    private final Signatures signatures;

    /** What changes of a job wait for; a few jobs share one, and names of jobs that are not there take no room. */
    private final List<Object> writing =
            Stream.generate(Object::new).limit(LOCKS).toList();

    /** Designs of documents already solved, by job and revision shown. */
    private final Map<String, Design> solved = Collections.synchronizedMap(new LinkedHashMap<>(KEPT, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Design> eldest) {
            return size() > KEPT;
        }
    });

    public JobService(
            JobStore store,
            CodeTableService tables,
            CatalogueStore catalogue,
            Maker maker,
            Looking looking,
            Signatures signatures) {
        this.signatures = signatures;
        this.maker = maker;
        this.looking = looking;
        this.store = store;
        this.tables = tables;
        this.catalogue = catalogue;
        this.accepting = new Accepting(tables, looking);
    }

    private Solver solver() {
        return tables.solver();
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

    /** The same with what changed since a revision. */
    public Shown openSince(String slug, int number) {
        Revision latest = latest(slug);
        Design now = design(slug, latest);
        Design kept = solved.get(key(slug, number));
        Design before = kept == null ? null : kept.at(looking.place());
        if (before == null) {
            before = store.revision(slug, number).map(r -> design(slug, r)).orElse(now);
        }
        return new Shown(slug, latest, now, DesignChange.between(before, now));
    }

    /** How a job stands to the signatures under its ballast map. */
    public Signatures.Standing standing(Shown shown) {
        return signatures.of(shown);
    }

    private Revision latest(String slug) {
        return store.latest(slug).orElseThrow(() -> new StoreException("there is no job '" + slug + "'"));
    }

    private String key(String slug, int shows) {
        return slug + "/" + shows + "/" + tables.key();
    }

    private Design design(String slug, Revision revision) {
        String key = key(slug, revision.shows());
        Design known = solved.get(key);
        if (known == null) {
            known = solver().solve(readStored(revision));
            solved.put(key, known);
        }
        return known.at(looking.place());
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
        return accepting.accept(document, bareNumbers, null);
    }

    /**
     * Ways out of a check of the job as it is; the check may have gone in the meantime.
     *
     * @param enough whether to stop looking, asked before each try
     */
    public Ways waysOut(String slug, String check, BooleanSupplier enough) {
        Design design = open(slug).design();
        Check asked = design.check(check);
        if (asked == null) {
            throw new StoreException("there is no check '" + check + "' of this array");
        }
        WaysOut.Offer offer =
                new WaysOut.Offer(parts("block", BlockType.class), parts("tray-system", TraySystem.class));
        WaysOut.Found found = WaysOut.of(design, asked, offer, solver(), enough);
        return new Ways(found.ways(), WaysOut.advice(design, asked, found.ways()), found.cut());
    }

    /**
     * Ways out of a check.
     *
     * @param advice what a person does where none of weight alone clears it; empty where one does
     * @param cut whether the search was ended before everything was tried
     */
    public record Ways(List<WaysOut.Way> ways, String advice, boolean cut) {}

    private <T> List<T> parts(String kind, Class<T> type) {
        return catalogue.ofKind(kind).stream()
                .map(e -> type.cast(JobReader.readEntry(kind, e.body()).job()))
                .toList();
    }

    /** What a change would do, without storing it. */
    public Shown preview(String slug, List<DocumentPatch.Change> changes) {
        Revision latest = latest(slug);
        Design before = design(slug, latest);
        Job seen = accepting.seen(before);
        Job job = accepting.changed(latest.document(), seen, changes);
        Design after = solver().solve(job, before);
        return new Shown(slug, latest, after, DesignChange.between(before, after));
    }

    /**
     * Makes a change and stores it as one revision; one that alters nothing stores nothing.
     *
     * @param base newest revision its maker knew
     */
    public Shown change(String slug, int base, List<DocumentPatch.Change> changes) {
        return change(slug, base, changes, null);
    }

    /**
     * The same with words of its own for the history.
     *
     * @param said null takes the words from the change
     */
    public Shown change(String slug, int base, List<DocumentPatch.Change> changes, String said) {
        return change(slug, new Asked(base, said, null), changes);
    }

    /**
     * What a page asks for beside the changes.
     *
     * @param base newest revision its maker knew
     * @param words for the history; null takes them from the change
     * @param key of the request, so that it is one edit however often it is sent; null for none
     */
    public record Asked(int base, String words, String key) {}

    /** How often a change that goes together with what came first is tried on the newest again. */
    private static final int TRIES = 5;

    /**
     * The same for a request that may be sent again. What others changed meanwhile stays, if it is something else.
     *
     * @throws JobStore.Conflict when others changed the same thing, or both together cannot be
     */
    public Shown change(String slug, Asked asked, List<DocumentPatch.Change> changes) {
        // one after the other: a change that is solved while another is stored would have to be solved again
        synchronized (writing.get(Math.floorMod(slug.hashCode(), LOCKS))) {
            return inTurn(slug, asked, changes);
        }
    }

    private Shown inTurn(String slug, Asked asked, List<DocumentPatch.Change> changes) {
        for (int i = 1; ; i++) {
            if (store.byRequest(slug, asked.key()).isPresent()) {
                Stored.now();
                return openSince(slug, asked.base());
            }
            Revision latest = latest(slug);
            // a change that makes no sense is told as such, whatever came first
            List<DocumentPatch.Change> absolute = JobPaths.absolute(changes, accepting.seen(design(slug, latest)));
            accepting.patched(latest.document(), absolute);
            List<Revision> since = latest.number() == asked.base() ? List.of() : store.since(slug, asked.base());
            if (!since.isEmpty() && clash(slug, asked.base(), latest, absolute)) {
                throw new JobStore.Conflict(since);
            }
            try {
                return on(slug, latest, since, asked, changes);
            } catch (JobStore.Conflict e) {
                // somebody was quicker by a moment: what he changed is looked at before it is called a conflict
                if (i == TRIES) {
                    throw e;
                }
            } catch (Refused e) {
                // each may be right by itself
                throw since.isEmpty() ? e : new JobStore.Conflict(since);
            }
        }
    }

    private boolean clash(String slug, int base, Revision latest, List<DocumentPatch.Change> changes) {
        return base < 1
                || base > latest.number()
                || store.revision(slug, base)
                        .map(r -> DocumentMerge.clash(
                                SchemaUpgrade.upgraded(r.document()),
                                SchemaUpgrade.upgraded(latest.document()),
                                changes))
                        .orElse(true);
    }

    /** @param since what came between the maker's revision and the newest, and stays */
    private Shown on(
            String slug, Revision latest, List<Revision> since, Asked asked, List<DocumentPatch.Change> changes) {
        String said = asked.words();
        int base = since.isEmpty() ? asked.base() : latest.number();
        Design before = design(slug, latest);
        Job seen = before.job();
        Job job = solver().resting(accepting.changed(latest.document(), seen, changes));
        if (job.document().equals(seen.document())) {
            return new Shown(slug, latest, before, NOTHING);
        }
        if (job.on().id().equals(seen.on().id()) && SignOff.any(seen, job)) {
            List<DocumentPatch.Change> figures = SignOff.records(
                    before.job(), job, solver().solve(job, before).members());
            job = solver().resting(accepting.accept(accepting.patched(JobWriter.write(job), job, figures), true, job));
        }
        Design after = solver().solve(job, before);
        signatures.guard(slug, latest, before, JobWriter.write(job), after);
        String words = said == null
                ? RevisionWords.of(
                        seen, job, changes, new InputNames(catalogue, tables.tables(), before.job(), after.job()))
                : said;
        Revision made =
                store.append(slug, base, JobWriter.write(job), new JobStore.Made(maker.name(), words, asked.key()));
        solved.put(key(slug, made.number()), after);
        return new Shown(slug, made, after, DesignChange.between(before, after).with(together(since)));
    }

    private static List<String> together(List<Revision> since) {
        return since.stream()
                .map(r -> "together with revision " + r.number() + " by " + r.who() + ": " + r.words())
                .toList();
    }

    /**
     * Undoes or redoes; with nothing to step to the job stays as it is.
     *
     * @param base newest revision its maker knew; negative does not ask
     * @param agreed whether it was agreed that something of another window is taken back
     * @param request key the page gave it, or null
     * @throws JobStore.Conflict when other revisions came first
     * @throws NotOwn when what would be undone is another window's and nobody agreed
     */
    public Shown step(String slug, boolean back, int base, boolean agreed, String request) {
        if (store.byRequest(slug, request).isPresent()) {
            return openSince(slug, Math.max(1, base));
        }
        Design before = open(slug).design();
        if (back && !agreed) {
            store.toUndo(slug).filter(r -> maker.elsewhere(r.who())).ifPresent(r -> {
                throw new NotOwn(r);
            });
        }
        guard(
                slug,
                before,
                back ? store.toUndo(slug).flatMap(r -> store.revision(slug, r.madeOn())) : store.toRedo(slug));
        Optional<Integer> number =
                back ? store.undo(slug, base, maker.name(), request) : store.redo(slug, base, maker.name(), request);
        Revision latest = latest(slug);
        Design after = design(slug, latest);
        return new Shown(slug, latest, after, number.isEmpty() ? NOTHING : DesignChange.between(before, after));
    }

    /** Whether a signed map lets an earlier document come back. */
    private void guard(String slug, Design before, Optional<Revision> target) {
        target.ifPresent(r -> signatures.guard(slug, latest(slug), before, r.document(), design(slug, r)));
    }

    /** Revisions that came after one, the oldest first, without their documents. */
    public List<Revision> news(String slug, int after) {
        return store.since(slug, after);
    }

    public boolean canRedo(String slug) {
        return store.canRedo(slug);
    }

    public String create(Job job) {
        return store.create(job.project().name(), JobWriter.write(solver().resting(job)), maker.name());
    }

    /** A job read from a file: it keeps the code tables it says it rests on, so that a difference shows. */
    public String take(Job job) {
        return job.codeTables().isEmpty()
                ? create(job)
                : store.create(job.project().name(), JobWriter.write(job), maker.name());
    }

    /** A new job with the inputs of another, under another name. */
    public String duplicate(String slug, String name) {
        Map<String, Object> document = accepting.patched(
                latest(slug).document(),
                List.of(DocumentPatch.Change.set(JobPaths.PROJECT.to(Job.Project::name), name)));
        return take(accept(document, false));
    }

    public void archive(String slug, boolean away) {
        store.archive(slug, away);
    }

    public List<JobStore.Listed> list() {
        return store.list();
    }

    public List<Revision> history(String slug, int most) {
        return store.history(slug, most);
    }

    public Map<Integer, JobStore.Named> names(String slug) {
        return store.names(slug);
    }

    public void name(String slug, int number, String name) {
        store.name(slug, number, name, maker.name());
    }

    /** A job as it was in an earlier revision. */
    public Shown at(String slug, int number) {
        Revision revision = store.revision(slug, number)
                .orElseThrow(() -> new StoreException("there is no revision " + number + " of '" + slug + "'"));
        return new Shown(slug, revision, design(slug, revision), NOTHING);
    }

    /** Goes back to an earlier revision, as one more revision. */
    public void goBack(String slug, int base, int to) {
        at(slug, to);
        guard(slug, open(slug).design(), store.revision(slug, to));
        store.goBack(slug, base, to, maker.name());
    }
}
