package whipsaw.core.job;

import whipsaw.core.schema.Path;

/** Where the parts of a job lie in its document; single inputs are reached from here by their accessors. */
public final class JobPaths {
    public static final Path<Job> JOB = Path.of(Job.class);
    public static final Path<Job.Roof> ROOF = JOB.to(Job::roof);
    public static final Path<Job.Outline> OUTLINE = ROOF.to(Job.Roof::outline);
    public static final Path<Job.Taped> TAPED = OUTLINE.as(Job.Taped.class);
    public static final Path<Fabric> FABRIC = ROOF.to(Job.Roof::fabric);
    public static final Path<RoofForm> FORM = FABRIC.to(Fabric::form);
    public static final Path<Structure> STRUCTURE = FABRIC.to(Fabric::structure);
    public static final Path<Survey> SURVEY = JOB.to(Job::survey);
    public static final Path<Job.Site> SITE = JOB.to(Job::site);
    public static final Path<Job.AsceSite> ASCE = SITE.to(Job.Site::code).as(Job.AsceSite.class);
    public static final Path<Job.EnSite> EN = SITE.to(Job.Site::code).as(Job.EnSite.class);
    public static final Path<Job.ArrayChoice> ARRAY = JOB.to(Job::array);
    public static final Path<Job.Attachments> ATTACHMENTS = ARRAY.to(Job.ArrayChoice::attachments);
    public static final Path<Job.Electrical> ELECTRICAL = JOB.to(Job::electrical);
    public static final Path<Job.AcRun> RUN = ELECTRICAL.to(Job.Electrical::run);

    private JobPaths() {}

    /** A thing on the roof by its id. */
    public static Path<Job.Obstruction> obstruction(String id) {
        return ROOF.id(Job.Roof::obstructions, id);
    }

    /** What a thing on the roof covers. */
    public static Path<Footprint> footprint(String id) {
        return obstruction(id).to(Job.Obstruction::footprint);
    }
}
