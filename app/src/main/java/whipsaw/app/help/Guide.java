package whipsaw.app.help;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import whipsaw.app.catalogue.Seeds;
import whipsaw.core.check.Verdict;
import whipsaw.core.design.Design;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.Outline;
import whipsaw.core.units.Measure;

/**
 * The steps of a first job, from a blank roof to a printed ballast map, and which of them the job
 * has behind it.
 */
public record Guide(List<Step> steps) {
    private static final List<Verdict> STOPS = List.of(Verdict.FAILS, Verdict.NOT_ESTABLISHED);

    /** Outlines that new jobs begin with. */
    private static final List<Outline> STARTS = Stream.of("asce", "en")
            .map(f -> JobReader.read(Seeds.newJob(f), false).job().roof().outline())
            .toList();

    /**
     * One step.
     *
     * @param section part of the entry form that opens, or empty
     * @param field what to put the cursor into there, as a selector
     * @param page of the job to go to instead, or empty
     * @param next whether it is the first that is not done
     */
    public record Step(
            String title, String how, boolean done, boolean next, String section, String field, String page) {}

    public Guide {
        steps = List.copyOf(steps);
    }

    public boolean done() {
        return steps.stream().allMatch(s -> s.done() || !s.page().isEmpty());
    }

    public String words() {
        return steps.stream().filter(Step::done).count() + " of " + steps.size();
    }

    public static Guide of(Design design) {
        Job job = design.job();
        List<Step> steps = new ArrayList<>();
        add(
                steps,
                "Measure the roof",
                "Type the tape as it is called out, one edge a line: 42' 7 1/2\", left. Then make it the outline.",
                !STARTS.contains(job.roof().outline()),
                "roof",
                "#tape",
                "");
        add(
                steps,
                "Put on it what stands there",
                "Plant, vents, skylights: size, height and how far modules keep off. Drag each to its place.",
                !job.roof().obstructions().isEmpty(),
                "obstructions",
                "#add-obstruction",
                "");
        add(
                steps,
                "Say where it is",
                "Replace every value marked ~ by one you can stand for: latitude, wind, snow, temperatures; by ASCE 7 also S_DS and the stories.",
                known(job.site().latitude())
                        && known(job.site().wind())
                        && known(job.site().snow())
                        && (design.seismic() == null
                                || design.seismic().missing().isEmpty()),
                "site",
                "[data-path='$.site.wind']",
                "");
        add(
                steps,
                "State what the roof may carry",
                "The allowance of the building's engineer, with name and date, how old the covering is, and by ASCE 7 the roof's own weight under Structure. Without them nothing is judged.",
                job.roof().allowance() != null
                        && !Double.isNaN(job.survey().number("coverAge"))
                        && known(job.roof().allowance().load())
                        && (design.existing() == null || design.existing().known()),
                "roof",
                "[data-path='$.roof.allowance.load']",
                "");
        add(
                steps,
                "Clear what stops the job",
                "The worst check stands first. Choose it: what would clear it is worked out below it.",
                design.checks().stream().noneMatch(c -> STOPS.contains(c.verdict()))
                        && !design.layout().modules().isEmpty(),
                "array",
                "[data-path='$.array.tilt']",
                "");
        add(
                steps,
                "Print the ballast map",
                "The job sheet: drawing to scale, blocks row by row, checks, loads and what is assumed.",
                false,
                "",
                "",
                "sheet");
        return new Guide(steps);
    }

    private static void add(
            List<Step> steps, String title, String how, boolean done, String section, String field, String page) {
        boolean next = !done && steps.stream().allMatch(Step::done);
        steps.add(new Step(title, how, done, next, section, field, page));
    }

    private static boolean known(Measure m) {
        return m != null && !m.assumed();
    }
}
