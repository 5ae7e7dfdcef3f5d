package whipsaw.core.job;

import whipsaw.core.schema.Path;

/** Where the parts of a job lie in its document; single inputs are reached from here by their accessors. */
public final class JobPaths {
    public static final Path<Job> JOB = Path.of(Job.class);
    public static final Path<Roof> ROOF = JOB.to(Job::roof);
    public static final Path<Outline> OUTLINE = ROOF.to(Roof::outline);
    public static final Path<Outline.Taped> TAPED = OUTLINE.as(Outline.Taped.class);
    public static final Path<Fabric> FABRIC = ROOF.to(Roof::fabric);
    public static final Path<RoofForm> FORM = FABRIC.to(Fabric::form);
    public static final Path<Structure> STRUCTURE = FABRIC.to(Fabric::structure);
    public static final Path<Survey> SURVEY = JOB.to(Job::survey);
    public static final Path<Site> SITE = JOB.to(Job::site);
    public static final Path<Site.AsceSite> ASCE = SITE.to(Site::code).as(Site.AsceSite.class);
    public static final Path<Site.EnSite> EN = SITE.to(Site::code).as(Site.EnSite.class);
    public static final Path<ArrayChoice> ARRAY = JOB.to(Job::array);
    public static final Path<ArrayChoice.Attachments> ATTACHMENTS = ARRAY.to(ArrayChoice::attachments);
    public static final Path<Electrical> ELECTRICAL = JOB.to(Job::electrical);
    public static final Path<Electrical.AcRun> RUN = ELECTRICAL.to(Electrical::run);

    private JobPaths() {}

    /** A thing on the roof by its id. */
    public static Path<Obstruction> obstruction(String id) {
        return ROOF.id(Roof::obstructions, id);
    }

    /** What a thing on the roof covers. */
    public static Path<Footprint> footprint(String id) {
        return obstruction(id).to(Obstruction::footprint);
    }
}
