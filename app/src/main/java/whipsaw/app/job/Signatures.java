package whipsaw.app.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import whipsaw.app.entry.InputNames;
import whipsaw.app.store.CatalogueStore;
import whipsaw.app.store.JobStore;
import whipsaw.app.store.Revision;
import whipsaw.app.store.SignatureStore;
import whipsaw.app.store.SignatureStore.Signature;
import whipsaw.app.store.StoreException;
import whipsaw.app.table.CodeTableService;
import whipsaw.core.build.MapChange;
import whipsaw.core.design.Design;
import whipsaw.core.design.SignedDesign;
import whipsaw.core.job.DocumentDiff;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.SchemaUpgrade;
import whipsaw.core.schema.Problem;
import whipsaw.core.units.Show;

/** How revisions of a job stand to the signatures under its ballast map, and the lock on a signed map. */
@Service
public class Signatures {
    private static final int MOST_TOLD = 12;

    private final SignatureStore store;
    private final JobStore jobs;
    private final CatalogueStore catalogue;
    private final CodeTableService tables;

    public Signatures(SignatureStore store, JobStore jobs, CatalogueStore catalogue, CodeTableService tables) {
        this.store = store;
        this.jobs = jobs;
        this.catalogue = catalogue;
        this.tables = tables;
    }

    /**
     * How a revision stands.
     *
     * @param by the newest signature that counts; null where there is none
     * @param changed what is not as it was signed, in words; empty while the signature holds
     */
    public record Standing(Signature by, List<String> changed) {
        static final Standing UNSIGNED = new Standing(null, List.of());

        public Standing {
            changed = List.copyOf(changed);
        }

        /** Whether the map is signed and nothing it rests on has changed. */
        public boolean signed() {
            return by != null && changed.isEmpty();
        }

        /** Whether it was signed and has changed since. */
        public boolean lapsed() {
            return by != null && !changed.isEmpty();
        }

        /** Whether it is signed and nobody opened it for changes. */
        public boolean locked() {
            return signed() && by.opened() == null;
        }

        private String signer() {
            return by.signer().name() + ", " + by.signer().licence() + ", on "
                    + by.signer().on();
        }

        /** How the ballast map stands, for the foot of a page or sheet. */
        public String ofTheMap() {
            return signed()
                    ? "Ballast map signed by " + signer() + ", on revision " + by.revision() + "."
                    : lapsed()
                            ? "Preliminary, not for construction: changed since revision " + by.revision()
                                    + " was signed by " + by.signer().name() + " on "
                                    + by.signer().on() + "; needs a new signature."
                            : "Preliminary, not for construction until a licensed engineer has signed it.";
        }

        /** The same in a few words, for the foot of every page of a print. */
        public String brief() {
            return signed()
                    ? "Ballast map signed by " + by.signer().name() + " on "
                            + by.signer().on() + ", revision " + by.revision() + "."
                    : lapsed()
                            ? "Changed since it was signed: preliminary."
                            : "Preliminary until a licensed engineer has signed it.";
        }

        /** The same for a sheet that holds more than the map. */
        public String ofTheJob() {
            return signed() ? ofTheMap() + " All else is preliminary, not for construction." : ofTheMap();
        }
    }

    /** How a job stands as it is shown. */
    public Standing of(JobService.Shown shown) {
        return of(shown.slug(), shown.revision(), shown.design());
    }

    Standing of(String slug, Revision revision, Design design) {
        return all(slug).stream()
                .filter(s -> s.counts() && s.revision() <= revision.number())
                .findFirst()
                .map(s -> standing(slug, s, revision.document(), design))
                .orElse(Standing.UNSIGNED);
    }

    /** All signatures of a job, the newest first. */
    public List<Signature> all(String slug) {
        return store.of(slug);
    }

    /** The newest signature that counts, whatever was changed since; null where there is none. */
    public Signature newest(String slug) {
        return all(slug).stream().filter(Signature::counts).findFirst().orElse(null);
    }

    private Standing standing(String slug, Signature s, Map<?, ?> document, Design design) {
        Map<?, ?> then;
        try {
            then = SchemaUpgrade.upgraded(jobs.revision(slug, s.revision())
                    .orElseThrow(() -> new StoreException("revision " + s.revision() + " is not there"))
                    .document());
        } catch (StoreException e) {
            // the job itself can still be used; what was signed cannot be compared with it
            return new Standing(s, List.of("revision " + s.revision() + ", which was signed, cannot be read"));
        }
        Map<?, ?> now = SchemaUpgrade.upgraded(document);
        SignedDesign signed = store.signed(s.id());
        List<String> changed = new ArrayList<>(
                MapChange.between(signed.map(), SignedDesign.map(design)).inWords());
        changed.addAll(signed.worse(design));
        List<DocumentDiff.Entry> inputs = Objects.equals(then, now) ? List.of() : SignedDesign.inputs(then, now);
        if (!inputs.isEmpty()) {
            InputNames names = new InputNames(
                    catalogue,
                    tables.tables(),
                    Stream.of(design.job(), JobReader.read(then, false).job())
                            .filter(Objects::nonNull)
                            .toArray(Job[]::new));
            inputs.stream()
                    .limit(MOST_TOLD)
                    .forEach(
                            e -> changed.add(names.name(e.path()) + ": " + told(e.before()) + " → " + told(e.after())));
            if (inputs.size() > MOST_TOLD) {
                changed.add("and " + Show.count(inputs.size() - MOST_TOLD, "input") + " more");
            }
        }
        return new Standing(s, changed);
    }

    private static String told(String value) {
        return value.isEmpty() ? "nothing" : value;
    }

    /**
     * Keeps a signed map as it was signed.
     *
     * @param latest newest revision of the job
     * @param before its design
     * @param document that would follow
     * @param after its design
     * @throws JobService.Refused where the map is locked and would not be as it was signed
     */
    void guard(String slug, Revision latest, Design before, Map<?, ?> document, Design after) {
        if (!store.any(slug)) {
            return;
        }
        Standing was = of(slug, latest, before);
        if (!was.locked()) {
            return;
        }
        Standing would = standing(slug, was.by(), document, after);
        if (would.lapsed()) {
            throw new JobService.Refused(List.of(new Problem(
                    "$.signature",
                    "Ballast map",
                    "signed by " + was.by().signer().name() + " on revision "
                            + was.by().revision(),
                    "is locked, and this would change what was signed ("
                            + String.join(
                                    "; ",
                                    would.changed()
                                            .subList(
                                                    0,
                                                    Math.min(4, would.changed().size())))
                            + "). To change it all the same, choose Signature in the top line, then Open for changes; it"
                            + " then needs a new signature")));
        }
    }
}
