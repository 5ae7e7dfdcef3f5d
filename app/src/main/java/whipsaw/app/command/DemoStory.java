package whipsaw.app.command;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationContext;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.job.JobService;
import whipsaw.app.job.Laying;
import whipsaw.app.job.Signatures;
import whipsaw.app.job.Signing;
import whipsaw.core.design.SignedDesign;
import whipsaw.core.job.DocumentPatch.Change;
import whipsaw.core.job.JobPaths;

/** The demo job with a history: three ways to hold it down as named revisions, one of them signed and half laid. */
final class DemoStory {
    private static final String ENGINEER = "I. Marsh-Tolland";
    private static final String CREW = "Crew 2 (invented)";

    private final JobService jobs;
    private final Signing signing;
    private final Signatures signatures;
    private final Laying laying;

    DemoStory(ApplicationContext context) {
        this.jobs = context.getBean(JobService.class);
        this.signing = context.getBean(Signing.class);
        this.signatures = context.getBean(Signatures.class);
        this.laying = context.getBean(Laying.class);
    }

    void tell() {
        String slug = jobs.create(jobs.accept(Seeds.signedDemoJob(), false));
        jobs.name(slug, 1, "Blocks alone");
        jobs.change(slug, 1, List.of(attachments(6)), "Attachments above 6 blocks a position");
        jobs.name(slug, 2, "Blocks with attachments");
        jobs.change(slug, 2, List.of(attachments(0)), "Attachments at every position that needs weight");
        jobs.name(slug, 3, "Attachments alone");
        jobs.change(
                slug, 3, List.of(new Change("remove", JobPaths.ATTACHMENTS.toString(), null)), "Held by blocks alone");
        Set<String> settled = SignedDesign.open(jobs.open(slug).design()).stream()
                .map(Signing::key)
                .collect(Collectors.toSet());
        signing.sign(
                slug,
                4,
                new Signing.Typed(
                        ENGINEER,
                        "PE 40717 (invented)",
                        LocalDate.now().toString(),
                        "Letter 26-204 with the dead load of the roof, survey of the covering, report of the trays"
                                + " (all invented)",
                        settled));
        jobs.name(slug, jobs.open(slug).revision().number(), "Signed for laying");
        lay(slug);
    }

    private static Change attachments(int mostBlocks) {
        Map<String, Object> held = new LinkedHashMap<>();
        held.put("tension", "900 lbf");
        held.put("shear", "650 lbf");
        held.put("mostBlocks", mostBlocks);
        return new Change("set", JobPaths.ATTACHMENTS.toString(), held);
    }

    /** The first rows lie; in the last of them one position lacks a block, and one has a block too many. */
    private void lay(String slug) {
        int signature = signatures.newest(slug).id();
        String array = jobs.open(slug).design().job().place();
        int rows = jobs.open(slug).design().layout().rows() / 2;
        for (int row = 1; row <= rows; row++) {
            laying.tick(slug, new Laying.Ticked(signature, array, "", CREW, "", ""), "", row);
        }
        var map = laying.of(slug).map().array(array);
        int fewer = map.place(rows + "-2").blocks() - 1;
        int more = map.place(rows + "-4").blocks() + 1;
        laying.tick(
                slug,
                new Laying.Ticked(signature, array, String.valueOf(fewer), CREW, "one broke, to follow", ""),
                rows + "-2",
                rows);
        laying.tick(slug, new Laying.Ticked(signature, array, String.valueOf(more), CREW, "", ""), rows + "-4", rows);
    }
}
