package whipsaw.core.design;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import whipsaw.core.catalogue.Contradiction;
import whipsaw.core.catalogue.ModuleType;
import whipsaw.core.catalogue.TraySystem;
import whipsaw.core.job.ArrayChoice;
import whipsaw.core.job.Electrical;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.Roof;
import whipsaw.core.job.Site;
import whipsaw.core.job.Structure;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.schema.Path;
import whipsaw.core.schema.Problem;
import whipsaw.core.schema.Shape;
import whipsaw.core.table.CodeTable;
import whipsaw.core.table.CodeTables;
import whipsaw.core.table.NetCoefficients;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/**
 * Choices that depend on each other: settings of the tray system, edges that exist, parts that fit.
 */
final class ChoiceRules {
    private static final double SAME = 1e-6;
    /** Spread of weighed blocks, as a part of their mean: a check of entry, not a limit of any code. */
    private static final double WIDEST_SPREAD = 3;
    /** h_dis over the height of the building, EN 1991-1-4 A.5. */
    private static final double MOST_DISPLACEMENT = 0.6;

    private static final Path<Measure> TILT = JobPaths.ARRAY.to(ArrayChoice::tilt);
    private static final Path<Measure> GAP = JobPaths.ARRAY.to(ArrayChoice::gap);

    private ChoiceRules() {}

    static List<Problem> check(Job job, RoofPlan plan, CodeTables tables) {
        List<Problem> problems = new ArrayList<>();
        UnitSystem units = job.project().units();
        ArrayChoice array = job.array();
        TraySystem tray = array.tray();
        setting(problems, TILT, array.tilt(), tray, tray.tilts(), Dimension.ANGLE, units);
        if (array.gap() != null) {
            setting(problems, GAP, array.gap(), tray, tray.gaps(), Dimension.PART_LENGTH, units);
        }
        friction(problems, job);
        attachments(problems, array.attachments(), units);
        weighed(problems, array.weighed(), units);
        if (array.ballastTogether() && tray.shared() == null) {
            problems.add(Problem.at(
                    JobPaths.ARRAY.to(ArrayChoice::ballastBy),
                    "over connected positions",
                    "needs a tray system that has been shown to share load; nothing is stated for "
                            + tray.info().name()));
        }
        if (array.facing() instanceof ArrayChoice.ToEdge to
                && to.edge() > plan.edges().size()) {
            problems.add(Problem.at(
                    JobPaths.ARRAY
                            .to(ArrayChoice::facing)
                            .as(ArrayChoice.ToEdge.class)
                            .to(ArrayChoice.ToEdge::edge),
                    to.edge(),
                    "is not there: the outline has edges 1 to " + plan.edges().size()));
        }
        codes(problems, job, tables);
        problems.addAll(contradictions(job));
        moduleFits(problems, array.module(), plan, units);
        oneKindToABay(problems, job.roof().fabric().structure().members());
        return problems;
    }

    /** What one attachment takes may be set lower than its maker states, never higher. */
    private static void attachments(List<Problem> problems, ArrayChoice.Attachments a, UnitSystem units) {
        if (a == null || a.part() == null) {
            return;
        }
        atMost(
                problems,
                JobPaths.ATTACHMENTS.to(ArrayChoice.Attachments::tension),
                a.tension(),
                a.part().tension(),
                units);
        atMost(
                problems,
                JobPaths.ATTACHMENTS.to(ArrayChoice.Attachments::shear),
                a.shear(),
                a.part().shear(),
                units);
        if (!a.kind().equals(a.part().fixing())) {
            problems.add(Problem.at(
                    JobPaths.ATTACHMENTS.to(ArrayChoice.Attachments::kind),
                    a.kind(),
                    "is not how the attachment is fixed: " + a.part().info().name() + " is "
                            + a.part().fixing()));
        }
    }

    /** A scatter so wide says that something else was weighed, and would leave nothing to count on. */
    private static void weighed(List<Problem> problems, ArrayChoice.Weighed w, UnitSystem units) {
        if (w != null && Limits.above(w.spread().si(), w.mean().si() / WIDEST_SPREAD)) {
            problems.add(Problem.at(
                    JobPaths.ARRAY.to(ArrayChoice::weighed).to(ArrayChoice.Weighed::spread),
                    w.spread().typed(),
                    "is more than a third of the mean: at most "
                            + Show.in(units, Dimension.MASS, w.mean().si() / WIDEST_SPREAD)
                            + "; sort the blocks by kind and weigh one kind"));
        }
    }

    private static void atMost(List<Problem> problems, Path<Measure> at, Measure set, Measure most, UnitSystem units) {
        if (Limits.above(set.si(), most.si())) {
            problems.add(Problem.at(
                    at,
                    set.typed(),
                    "is more than the attachment takes: at most " + Show.in(units, Dimension.FORCE, most.si())
                            + ", for example " + most.typed()));
        }
    }

    /** Whether the trays are shown to stand on the covering at its slope. */
    private static void friction(List<Problem> problems, Job job) {
        TraySystem tray = job.array().tray();
        boolean trays = job.roof().takesTrays();
        Double friction = tray.friction().get(job.roof().covering());
        if (trays && friction == null) {
            problems.add(Problem.at(
                    JobPaths.ROOF.to(Roof::covering),
                    job.roof().covering(),
                    "has no friction shown for the tray system "
                            + tray.info().name()
                            + "; it lists "
                            + tray.friction().keySet().stream().sorted().collect(Collectors.joining(", "))));
        } else if (trays && Math.tan(Math.toRadians(job.roof().slope().si())) >= friction) {
            problems.add(Problem.at(
                    JobPaths.ROOF.to(Roof::slope),
                    job.roof().slope().typed(),
                    "is too steep for weight alone: friction on " + job.roof().covering() + " is " + friction));
        }
    }

    /** Whether the tables that are chosen are there and of the family, and their limits. */
    private static void codes(List<Problem> problems, Job job, CodeTables tables) {
        UnitSystem units = job.project().units();
        String chosen = job.site().code().coefficients();
        String family = job.site().code().family();
        NetCoefficients own = tables.netCoefficients(chosen);
        boolean needed = job.site().code() instanceof Site.EnSite || !chosen.isEmpty();
        if (needed && (own == null || !own.family().equals(family))) {
            problems.add(Problem.at(
                    JobPaths.EN.to(Site.EnSite::coefficients),
                    chosen,
                    (own == null ? "is not there" : "has the zones of the other code family")
                            + "; sets for this family: "
                            + tables.netCoefficients().stream()
                                    .filter(set -> set.family().equals(family))
                                    .map(set -> set.table().id())
                                    .collect(Collectors.joining(", "))));
        }
        if (job.site().code() instanceof Site.EnSite en
                && !en.national().isEmpty()
                && tables.nationals().stream().noneMatch(t -> t.id().equals(en.national()))) {
            problems.add(Problem.at(
                    JobPaths.EN.to(Site.EnSite::national),
                    en.national(),
                    "are not there; sets that are: "
                            + tables.nationals().stream().map(CodeTable::id).collect(Collectors.joining(", "))
                            + "; left out: the recommended values"));
        }
        if (job.site().code() instanceof Site.EnSite en
                && en.displacement() != null
                && Limits.above(
                        en.displacement().si(),
                        MOST_DISPLACEMENT * job.roof().height().si())) {
            problems.add(Problem.at(
                    JobPaths.EN.to(Site.EnSite::displacement),
                    en.displacement().typed(),
                    "is more than 0.6 times the roof height of "
                            + job.roof().height().typed() + ", the most EN 1991-1-4 A.5 allows: for example "
                            + Show.in(
                                    units,
                                    Dimension.ROOF_LENGTH,
                                    MOST_DISPLACEMENT / 2 * job.roof().height().si())));
        }
    }

    /** Inputs that cannot be beside each other. */
    static List<Problem> contradictions(Job job) {
        List<Problem> problems = new ArrayList<>();
        Measure low = job.site().recordLow();
        Measure high = job.site().designHigh();
        if (low.si() >= high.si()) {
            problems.add(Problem.at(
                    JobPaths.SITE.to(Site::recordLow), low.typed(), "is not below the design high of " + high.typed()));
        }
        contradictions(
                problems, JobPaths.ARRAY.to(ArrayChoice::module), job.array().module());
        contradictions(
                problems,
                JobPaths.ELECTRICAL.to(Electrical::inverter),
                job.electrical().inverter());
        return problems;
    }

    private static void contradictions(List<Problem> problems, Path<?> path, Record part) {
        Shape<?> shape = Shape.of(part.getClass());
        for (Contradiction c : Contradiction.of(part)) {
            String label = path.label() + ": " + shape.slot(c.key()).label();
            problems.add(new Problem(path + "." + c.key(), label, c.value(), c.message()));
        }
    }

    /** A bay has its joists once, and they span one way; surveyed purlins follow the faces they lie on. */
    private static void oneKindToABay(List<Problem> problems, List<Structure.Members> members) {
        for (int i = 0; i < members.size(); i++) {
            Structure.Members m = members.get(i);
            for (Structure.Members other : members.subList(0, i)) {
                List<String> both = m.bays().isEmpty()
                        ? other.bays()
                        : other.bays().isEmpty()
                                ? m.bays()
                                : m.bays().stream()
                                        .filter(other.bays()::contains)
                                        .toList();
                boolean all = m.bays().isEmpty() && other.bays().isEmpty();
                boolean alike = m.kind().equals(other.kind()) && !m.surveyed() && !other.surveyed();
                if (alike && (all || !both.isEmpty())) {
                    Path<List<String>> bays =
                            JobPaths.STRUCTURE.id(Structure::members, m.id()).to(Structure.Members::bays);
                    problems.add(new Problem(
                            bays.toString(),
                            m.name() + ": " + bays.label(),
                            all ? "all" : String.join(", ", both),
                            "already have members of the kind " + m.kind() + ", " + other.name()
                                    + (m.alongX() == other.alongX() ? "" : ", that span the other way")
                                    + ": name other bays, or give them another kind"));
                }
            }
        }
    }

    private static void setting(
            List<Problem> problems,
            Path<Measure> path,
            Measure value,
            TraySystem tray,
            List<Measure> settings,
            Dimension dimension,
            UnitSystem units) {
        if (settings.stream().noneMatch(s -> Math.abs(s.si() - value.si()) < SAME)) {
            problems.add(Problem.at(
                    path,
                    value.typed(),
                    "is no setting of the tray system "
                            + tray.info().name()
                            + ": it has "
                            + settings.stream()
                                    .map(s -> Show.both(units, dimension, s.si()))
                                    .collect(Collectors.joining(", "))));
        }
    }

    private static void moduleFits(List<Problem> problems, ModuleType module, RoofPlan plan, UnitSystem units) {
        double longer = Math.max(module.length().si(), module.width().si());
        double shorter = Math.min(module.length().si(), module.width().si());
        if (longer > plan.longSideM() || shorter > plan.shortSideM()) {
            problems.add(Problem.at(
                    JobPaths.ARRAY.to(ArrayChoice::module).to(ModuleType::length),
                    module.length().typed() + " x " + module.width().typed(),
                    "is bigger than the roof, "
                            + Show.in(units, Dimension.ROOF_LENGTH, plan.longSideM())
                            + " x "
                            + Show.in(units, Dimension.ROOF_LENGTH, plan.shortSideM())));
        }
    }
}
