package whipsaw.core.design;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import whipsaw.core.check.Check;
import whipsaw.core.check.Place;
import whipsaw.core.check.Verdict;
import whipsaw.core.job.Job;
import whipsaw.core.job.Outline;
import whipsaw.core.job.Roof;
import whipsaw.core.job.Site;
import whipsaw.core.roof.SurveyReport;
import whipsaw.core.roof.TapeFit;
import whipsaw.core.schema.Problem;
import whipsaw.core.structure.LoadWindow;
import whipsaw.core.structure.RoofLoads;
import whipsaw.core.structure.RoofReserve;
import whipsaw.core.table.CodeTables;
import whipsaw.core.table.EditionTable;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Show;
import whipsaw.core.units.Unit;
import whipsaw.core.units.UnitSystem;

/** Every check of a design as one array sees it: here of what was entered and of the load; other classes have the rest. */
final class DesignChecks {
    private final Design design;
    private final Job job;
    private final UnitSystem units;
    private final List<Check> checks = new ArrayList<>();

    private DesignChecks(Design design) {
        this.design = design;
        this.job = design.job();
        this.units = job.project().units();
    }

    static List<Check> of(Design design, CodeTables tables) {
        DesignChecks all = new DesignChecks(design);
        all.sameTables(tables);
        all.contradictions();
        all.tape(tables);
        all.checks.addAll(SizeChecks.of(design, tables));
        if (design.job().placed() == null) {
            all.checks.addAll(SurveyChecks.ofRoof(design));
            return all.checks;
        }
        if (design.job().roof().takesTrays()) {
            all.checks.addAll(ArrayChecks.of(design));
            all.roofLoad();
        }
        all.checks.addAll(StructureChecks.of(design, tables));
        all.checks.addAll(ExistingChecks.of(design, tables));
        all.siteGiven(tables);
        all.checks.addAll(SurveyChecks.of(design));
        all.checks.addAll(VisitChecks.of(design));
        all.checks.addAll(CircuitChecks.of(design, tables));
        return all.checks;
    }

    private String text(Dimension dimension, double si) {
        return Show.both(units, dimension, si);
    }

    private void sameTables(CodeTables tables) {
        List<String> changed = new ArrayList<>();
        for (Job.TableRef stored : job.codeTables()) {
            boolean same = tables.inUse(job).stream()
                    .anyMatch(t -> t.id().equals(stored.id()) && t.hash().equals(stored.hash()));
            if (!same) {
                changed.add(stored.id());
            }
        }
        if (!changed.isEmpty()) {
            checks.add(Check.stated(
                    "tables.changed",
                    "Code tables as when the job was stored",
                    String.join(", ", changed),
                    "none changed",
                    Verdict.CLOSE,
                    "edition and hash kept in the job",
                    "site.qh",
                    "figures may differ from the stored revision: compare before they are used"));
        }
    }

    /** Those of jobs stored before they were refused. */
    private void contradictions() {
        List<Problem> problems = ChoiceRules.contradictions(job);
        if (!problems.isEmpty()) {
            checks.add(Check.stated(
                    "inputs.contradict",
                    "Inputs that cannot be",
                    problems.stream().map(Problem::words).collect(Collectors.joining("; ")),
                    "none",
                    Verdict.FAILS,
                    "as entered",
                    "strings.longest",
                    "enter them again from the data sheet"));
        }
    }

    private void tape(CodeTables tables) {
        if (design.plan().tape() == null) {
            return;
        }
        Outline.Taped taped = (Outline.Taped) design.job().roof().outline();
        SurveyReport report = design.taken().tapes();
        double oneIn = tables.houseRule("tape_closes_one_in");
        double allowed = design.plan().tape().perimeterM() / oneIn;
        double gap = design.plan().tape().closureM();
        String rule = text(Dimension.ROOF_LENGTH, allowed) + ", 1 in " + Show.number(oneIn, 0) + " of the perimeter";
        boolean across = !taped.diagonals().isEmpty() || !taped.offsets().isEmpty();
        if (report != null && across && report.fit().fits() && !report.doubt() && Limits.above(gap, allowed)) {
            checks.add(Check.stated(
                    "survey.closes",
                    "Tape survey closes",
                    text(Dimension.ROOF_LENGTH, gap) + " as walked, 0 as fitted",
                    rule,
                    Verdict.CLOSE,
                    "tapes across the roof check it: what is judged is the fit",
                    "survey.closure",
                    "corners are out of square and the tapes agree: take the corner angles the fit found"));
        } else {
            checks.add(
                    Check.compare(
                            "survey.closes",
                            "Tape survey closes",
                            text(Dimension.ROOF_LENGTH, gap),
                            rule,
                            gap / allowed,
                            null,
                            "house rule for a taped outline",
                            "survey.closure",
                            "tape the longest edges again, and a diagonal: with it the corners are found and the fit is judged"));
        }
        if (report != null) {
            fit(report);
        }
    }

    /** Whether the tapes of a fitted survey agree within their accuracy. */
    private void fit(SurveyReport report) {
        if (report.doubt()) {
            checks.add(Check.stated(
                    "survey.fits",
                    "Tapes of the survey agree",
                    "a wrong tape, or corners out of square",
                    "told apart by one more tape",
                    Verdict.NOT_ESTABLISHED,
                    "least squares, with corners square and with corners free",
                    "survey.fit",
                    report.suspects() + " " + report.decide()));
            return;
        }
        double worst = report.lines().get(0).normalised();
        checks.add(Check.compare(
                "survey.fits",
                "Tapes of the survey agree",
                Show.number(worst, 1) + " times its accuracy, "
                        + report.lines().get(0).name(),
                Show.number(TapeFit.SUSPECT, 2) + " times",
                worst / TapeFit.SUSPECT,
                null,
                "least squares, normalised residuals",
                "survey.fit",
                (report.suspects() + " " + report.decide()).strip()));
    }

    /** A wind speed or a net-coefficient set that is not there leaves hold-down and load open. */
    private void siteGiven(CodeTables tables) {
        if (!design.holdDown().missing().isEmpty()) {
            checks.add(
                    Check.stated(
                            "site.wind",
                            "Wind is known",
                            "missing: " + String.join(", ", design.holdDown().missing()),
                            "entered",
                            Verdict.NOT_ESTABLISHED,
                            "code family " + job.site().code().family(),
                            "site.qh",
                            "enter it under Site: a value of the other code family means something else and is not carried across"));
        }
        if (design.site().snow() == null) {
            boolean typed = job.site().snow() != null;
            checks.add(Check.stated(
                    "site.snow",
                    "Snow is known",
                    typed ? "no figures of snow for this edition" : "missing: ground snow load",
                    "entered",
                    Verdict.NOT_ESTABLISHED,
                    "code family " + job.site().code().family(),
                    "site.snow",
                    typed
                            ? "enter an engineer's snow on the roof under Site, its least value and drifts included"
                            : "enter it under Site; 0 where there is none"));
        }
        if (job.site().code() instanceof Site.AsceSite asce && asce.edition().olderFigures()) {
            List<String> older = Stream.of(EditionTable.Part.values())
                    .filter(part -> tables.editions().older(asce.edition(), part))
                    .map(EditionTable.Part::clause)
                    .toList();
            if (!older.isEmpty()) {
                checks.add(Check.stated(
                        "site.edition",
                        "Figures of an older edition",
                        "those of 7-16 for " + String.join(", ", older),
                        "figures of " + asce.edition().name(),
                        Verdict.CLOSE,
                        "chosen in the job",
                        "site.qh",
                        "an engineer confirms that they hold in "
                                + asce.edition().name()));
            }
        }
    }

    private void roofLoad() {
        RoofLoads loads = design.loads();
        if (!design.roof().established()) {
            checks.add(Check.stated(
                    "roof.window",
                    "Added roof load",
                    "ballast is not established",
                    job.roof().allowance() == null
                            ? "not known"
                            : text(Dimension.LOAD, job.roof().allowance().load().si()),
                    Verdict.NOT_ESTABLISHED,
                    "follows from hold-down",
                    "roof.footprint",
                    "see the wind first"));
            return;
        }
        Roof.Allowance allowance = job.roof().allowance();
        if (allowance == null) {
            checks.add(Check.stated(
                    "roof.window",
                    "Added roof load",
                    text(Dimension.LOAD, loads.footprint().loadPa()),
                    "not known",
                    Verdict.NOT_ESTABLISHED,
                    "allowance of the building's engineer",
                    "roof.footprint",
                    "enter the allowance for added load, with who gave it"));
            return;
        }
        String source = allowance.source();
        if (loads.window() != null && loads.window().array().equals(job.place())) {
            checks.add(load(
                    "roof.window",
                    "Added load over the heaviest " + square(loads.window()),
                    loads.window().load(),
                    new Place(
                            "heaviest part of the array",
                            Place.Kind.MODULES,
                            loads.window().modules()),
                    source,
                    "roof.window"));
        }
        if (loads.worstBay() != null) {
            String name = loads.worstBay().bay().name();
            List<Integer> over = new ArrayList<>();
            for (int i = 0; i < loads.bays().size(); i++) {
                if (!loads.bays().get(i).load().ok() || loads.bays().get(i) == loads.worstBay()) {
                    over.add(i);
                }
            }
            checks.add(load(
                    "roof.bay",
                    "Added load over the worst bay",
                    loads.worstBay().load(),
                    new Place("bay " + name, Place.Kind.BAYS, over),
                    source,
                    "roof.bay/" + name));
        }
    }

    private String square(LoadWindow w) {
        boolean us = units == UnitSystem.US;
        Unit unit = us ? Unit.FOOT : Unit.METRE;
        return Show.number(unit.fromSi(w.alongM()), us ? 0 : 1) + " by "
                + Show.number(unit.fromSi(w.acrossM()), us ? 0 : 1) + " " + unit.symbol();
    }

    private Check load(String id, String title, RoofReserve load, Place place, String source, String figure) {
        double allowance = job.roof().allowance().load().si();
        return Check.compare(
                id,
                title,
                text(Dimension.LOAD, load.loadPa()),
                text(Dimension.LOAD, allowance),
                load.utilisation(),
                place,
                source,
                figure,
                text(Dimension.LOAD, load.loadPa() - allowance)
                        + " too much: fewer modules here, lower tilt or attachments");
    }
}
