package whipsaw.core.job;

import java.util.List;
import java.util.Map;
import whipsaw.core.schema.Located;
import whipsaw.core.schema.Path;
import whipsaw.core.schema.Problem;
import whipsaw.core.schema.Shape;

/**
 * Where the parts of a job lie in its document; single inputs are reached from here by their accessors. {@code $.roof},
 * {@code $.array} and {@code $.electrical}, the inverter group it feeds, are those that are looked at, and
 * {@link #absolute} says where they lie.
 */
public final class JobPaths {
    public static final Path<JobDocument> DOCUMENT = Path.of(JobDocument.class);
    public static final Path<Job.Project> PROJECT = DOCUMENT.to(JobDocument::project);
    public static final Path<Roof> ROOF = Path.at("$.roof", "Roof", Roof.class);
    public static final Path<Outline> OUTLINE = ROOF.to(Roof::outline);
    public static final Path<Outline.Taped> TAPED = OUTLINE.as(Outline.Taped.class);
    public static final Path<Fabric> FABRIC = ROOF.to(Roof::fabric);
    public static final Path<RoofForm> FORM = FABRIC.to(Fabric::form);
    public static final Path<Structure> STRUCTURE = FABRIC.to(Fabric::structure);
    public static final Path<Survey> SURVEY = DOCUMENT.to(JobDocument::survey);
    public static final Path<Site> SITE = DOCUMENT.to(JobDocument::site);
    public static final Path<Site.AsceSite> ASCE = SITE.to(Site::code).as(Site.AsceSite.class);
    public static final Path<Site.EnSite> EN = SITE.to(Site::code).as(Site.EnSite.class);
    public static final Path<ArrayChoice> ARRAY = Path.at("$.array", "Array", ArrayChoice.class);
    public static final Path<ArrayChoice.Attachments> ATTACHMENTS = ARRAY.to(ArrayChoice::attachments);
    public static final Path<Electrical> ELECTRICAL = Path.at("$.electrical", "Electrical", Electrical.class);
    public static final Path<Electrical.AcRun> RUN = ELECTRICAL.to(Electrical::run);

    /** The array that is looked at, with its name and its area. */
    public static final Path<JobArray> PLACED = Path.at("$.array", "Array", JobArray.class);

    /** The roof that is looked at, with its name and its place in the site. */
    public static final Path<JobRoof> ON = Path.at("$.roof", "Roof", JobRoof.class);

    /** The inverter group that the array feeds, with its name. */
    public static final Path<InverterGroup> GROUP = Path.at("$.electrical", "Electrical", InverterGroup.class);

    private JobPaths() {}

    /**
     * A path from the document: {@code $.roof}, {@code $.array} and {@code $.electrical} become what is looked at.
     *
     * @param path as {@code $.array.tilt}
     * @param job as it is looked at
     * @return as {@code $.arrays[id=A].tilt}; other paths as they are
     */
    public static String absolute(String path, Job job) {
        if (path == null) {
            return null;
        }
        if (begins(path, "$.roof")) {
            return "$.roofs[id=" + job.on().id() + "]" + path.substring("$.roof".length());
        }
        if (begins(path, "$.electrical")) {
            return "$.groups[id=" + job.group().id() + "]" + path.substring("$.electrical".length());
        }
        return begins(path, "$.array") && job.placed() != null
                ? "$.arrays[id=" + job.placed().id() + "]" + path.substring("$.array".length())
                : path;
    }

    /** Changes with their paths from the document. */
    public static List<DocumentPatch.Change> absolute(List<DocumentPatch.Change> changes, Job job) {
        return changes.stream()
                .map(c -> new DocumentPatch.Change(c.op(), absolute(c.path(), job), c.value()))
                .toList();
    }

    /**
     * Problems with their paths as the document has them that was given.
     *
     * @param document of any version; one that knew one roof, array or inverter group calls it that itself
     */
    public static List<Problem> told(List<Problem> problems, Map<?, ?> document, Job job) {
        return problems.stream()
                .map(p -> new Problem(
                        SchemaUpgrade.asGiven(absolute(p.path(), job), document), p.label(), p.value(), p.message()))
                .toList();
    }

    /** The other way round: a path into the roof or the array that is looked at, by id or by number, as pages write it. */
    public static String relative(String path, Job job) {
        JobDocument d = job.document();
        int roof = d.roofs().indexOf(job.on());
        int array = d.arrays().indexOf(job.placed());
        for (String own : List.of("[id=" + job.on().id() + "]", "[" + roof + "]")) {
            if (path.startsWith("$.roofs" + own)) {
                return "$.roof" + path.substring(("$.roofs" + own).length());
            }
        }
        int group = d.groups().indexOf(job.group());
        for (String own : List.of("[id=" + job.group().id() + "]", "[" + group + "]")) {
            if (path.startsWith("$.groups" + own)) {
                return "$.electrical" + path.substring(("$.groups" + own).length());
            }
        }
        for (String own :
                job.placed() == null ? List.<String>of() : List.of("[id=" + job.place() + "]", "[" + array + "]")) {
            if (path.startsWith("$.arrays" + own)) {
                return "$.array" + path.substring(("$.arrays" + own).length());
            }
        }
        return path;
    }

    /** An input of the job by its path; one of the roof or array that is looked at is named without it. */
    public static Located located(String path, Job job) {
        if (begins(path, "$.roof")) {
            return Located.in(Shape.of(JobRoof.class), job.on(), "$" + path.substring("$.roof".length()));
        }
        if (begins(path, "$.array")) {
            JobArray array = job.placed() == null ? job.document().arrays().get(0) : job.placed();
            return Located.in(Shape.of(JobArray.class), array, "$" + path.substring("$.array".length()));
        }
        if (begins(path, "$.electrical")) {
            return Located.in(
                    Shape.of(InverterGroup.class), job.group(), "$" + path.substring("$.electrical".length()));
        }
        return Located.in(Shape.of(JobDocument.class), job.document(), path);
    }

    private static boolean begins(String path, String part) {
        return path.startsWith(part)
                && (path.length() == part.length() || ".[".indexOf(path.charAt(part.length())) >= 0);
    }

    /** A thing on the roof by its id. */
    public static Path<Obstruction> obstruction(String id) {
        return ROOF.id(Roof::obstructions, id);
    }

    /** What a thing on the roof covers. */
    public static Path<Footprint> footprint(String id) {
        return obstruction(id).to(Obstruction::footprint);
    }
}
