package whipsaw.core.structure;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.job.DocumentPatch.Change;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.Structure;
import whipsaw.core.schema.Path;
import whipsaw.core.units.Limits;

/**
 * Signatures under strengthening. One holds for what was done and for the figures it was given on: it lapses when
 * either changes for the worse.
 */
public final class SignOff {
    private SignOff() {}

    /** Whether a signature was given or given anew between two states of a job. */
    public static boolean any(Job before, Job after) {
        return structure(after).works().stream().anyMatch(w -> isNew(before, w));
    }

    private static Structure structure(Job job) {
        return job.roof().fabric().structure();
    }

    private static boolean isNew(Job before, Structure.Work w) {
        return !w.signedBy().isEmpty()
                && w.signedFor() == null
                && structure(before).works().stream()
                        .noneMatch(b -> b.id().equals(w.id())
                                && b.signedBy().equals(w.signedBy())
                                && b.signedOn().equals(w.signedOn())
                                && b.signedFor() == null);
    }

    /** Changes of the document that write down what new signatures are given on, as far as it is known. */
    public static List<Change> records(Job before, Job after, RoofMembers members) {
        List<Change> changes = new ArrayList<>();
        for (Structure.Work w : structure(after).works()) {
            Structure.SignedFor now = isNew(before, w) ? now(after, members, w) : null;
            if (now != null) {
                Path<Structure.SignedFor> path = JobPaths.STRUCTURE
                        .id(Structure::works, w.id())
                        .to(Structure.Work::seen)
                        .to(Structure.Seen::signedFor);
                changes.add(Change.set(path.to(Structure.SignedFor::what), now.what()));
                changes.add(Change.set(path.to(Structure.SignedFor::utilisation), now.utilisation()));
            }
        }
        return changes;
    }

    /** What a signature under this work would be given on now; null while its members are not established. */
    public static Structure.SignedFor now(Job job, RoofMembers members, Structure.Work w) {
        for (RoofMembers.Checked set : members.sets()) {
            if (!set.set().id().equals(w.members())) {
                continue;
            }
            double most = set.members().stream()
                    .filter(m -> !m.strengthened().isEmpty())
                    .mapToDouble(m -> m.after().utilisation())
                    .max()
                    .orElse(Double.NaN);
            String where = w.bays().isEmpty() ? "all bays" : String.join(", ", w.bays());
            String what =
                    w.kind() + " in " + where + ", " + set.set().type().info().name();
            return Double.isNaN(most) ? null : new Structure.SignedFor(what, most);
        }
        return null;
    }

    /** Why a signature does not hold, in words; empty where it does. */
    public static String lapsed(Job job, RoofMembers members, Structure.Work w) {
        Structure.SignedFor now = now(job, members, w);
        if (w.signedFor() == null) {
            return "the figures it was signed on are not recorded";
        }
        if (now == null) {
            return "its members are not established any more";
        }
        if (!now.what().equals(w.signedFor().what())) {
            return "it was signed for " + w.signedFor().what();
        }
        double then = w.signedFor().utilisation();
        return Limits.above(now.utilisation(), then) ? "members are used more than when it was signed" : "";
    }
}
