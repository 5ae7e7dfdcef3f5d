package whipsaw.app.job;

import java.util.List;
import java.util.Map;
import whipsaw.app.table.CodeTableService;
import whipsaw.core.design.Design;
import whipsaw.core.job.CodeFamilyChange;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobDocument;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.JobWriter;
import whipsaw.core.job.SchemaUpgrade;
import whipsaw.core.job.TapesKept;
import whipsaw.core.roof.MeasuredPlaces;
import whipsaw.core.schema.Problem;

/** How a document, or one after changes, becomes a job that can be solved, or is refused with the reasons. */
final class Accepting {
    private final CodeTableService tables;
    private final Looking looking;

    Accepting(CodeTableService tables, Looking looking) {
        this.tables = tables;
        this.looking = looking;
    }

    /**
     * Reads a document as a job that can be solved, or refuses it.
     *
     * @param seen as the page looks at it, so that it finds its own fields in what is refused; null for a whole document
     */
    Job accept(Map<String, Object> document, boolean bareNumbers, Job seen) {
        var reading = JobReader.read(document, bareNumbers);
        if (!reading.ok()) {
            throw new JobService.Refused(seen == null ? reading.problems() : own(reading.problems(), seen));
        }
        Job job = reading.job().at(looking.place());
        List<Problem> problems = tables.solver().problems(job);
        if (!problems.isEmpty()) {
            throw new JobService.Refused(seen == null ? JobPaths.told(problems, document, job) : problems);
        }
        return job;
    }

    /** What is looked at has to be there for a change of it: else it would be made to another array. */
    Job seen(Design design) {
        String place = looking.place();
        boolean gone = !place.isEmpty()
                && !place.equals(design.job().place())
                && !place.equals(design.job().on().id());
        if (gone) {
            throw new JobService.Refused(List.of(new Problem(
                    JobPaths.DOCUMENT.to(JobDocument::arrays).toString(),
                    "Array",
                    place,
                    "is not in this job any more: load the page again and choose another one")));
        }
        return design.job();
    }

    private static List<Problem> own(List<Problem> problems, Job seen) {
        return problems.stream()
                .map(p -> new Problem(JobPaths.relative(p.path(), seen), p.label(), p.value(), p.message()))
                .toList();
    }

    /** The job of a revision after changes made while looking at one of its arrays. */
    Job changed(Map<String, Object> document, Job seen, List<DocumentPatch.Change> changes) {
        return followed(seen, accept(patched(document, seen, changes), true, seen));
    }

    /** The document of a revision after changes made while looking at one of its arrays. */
    Map<String, Object> patched(Map<String, Object> document, Job seen, List<DocumentPatch.Change> changes) {
        return patched(document, JobPaths.absolute(changes, seen));
    }

    Map<String, Object> patched(Map<String, Object> document, List<DocumentPatch.Change> changes) {
        @SuppressWarnings("unchecked")
        Map<String, Object> before = (Map<String, Object>) SchemaUpgrade.upgraded(document);
        String set = tables.tables().netCoefficients().stream()
                .filter(s -> s.family().equals("en"))
                .map(s -> s.table().id())
                .findFirst()
                .orElse("");
        Map<String, Object> after = TapesKept.beside(before, DocumentPatch.apply(before, changes));
        return CodeFamilyChange.settled(before, after, set);
    }

    /** The same with things of a new size back at the distances measured for them. */
    private Job followed(Job before, Job after) {
        List<DocumentPatch.Change> more = MeasuredPlaces.follow(before, after);
        return more.isEmpty() ? after : accept(patched(JobWriter.write(after), after, more), true, after);
    }
}
