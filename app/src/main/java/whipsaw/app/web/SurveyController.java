package whipsaw.app.web;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import whipsaw.app.drawing.PaperSize;
import whipsaw.app.job.JobService;
import whipsaw.app.print.PaperStyle;
import whipsaw.app.print.SheetPdf;
import whipsaw.app.store.JobStore;
import whipsaw.app.store.PictureStore;
import whipsaw.core.design.Design;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.JobWriter;
import whipsaw.core.job.Structure;
import whipsaw.core.job.Survey;
import whipsaw.core.job.SurveyQuestion;
import whipsaw.core.schema.Problem;
import whipsaw.core.survey.Consequences;
import whipsaw.core.survey.HoldDowns;
import whipsaw.core.survey.SurveySheet;
import whipsaw.core.survey.UseByHour;
import whipsaw.core.survey.YearOfUse;
import whipsaw.core.units.UnitSystem;

/** The survey sheet: what is known, what is missing for which stage, and what comes of it; on a desk, a phone and paper. */
@Controller
public class SurveyController {
    private static final long LONGEST_FILE = 4_000_000;

    private final JobService jobs;
    private final PictureStore pictures;
    private final SheetPdf pdf;

    public SurveyController(JobService jobs, PictureStore pictures, SheetPdf pdf) {
        this.jobs = jobs;
        this.pictures = pictures;
        this.pdf = pdf;
    }

    /**
     * One question as it stands on the page.
     *
     * @param value typed now or stored
     * @param fault why what was typed was not taken, empty when it was
     */
    public record Row(SurveySheet.Line line, String value, String how, String by, String fault) {
        public boolean path() {
            return line.question().kind() == SurveyQuestion.Kind.PATH;
        }

        public boolean options() {
            return !path() && !line.question().options().isEmpty();
        }

        public boolean length() {
            return line.question().dimension() != null
                    && line.question().dimension().name().endsWith("LENGTH");
        }

        /** Where on the bench an answer is entered. */
        public String place() {
            SurveyQuestion q = line.question();
            String path = q.options().get(0);
            return switch (q.id()) {
                case "obstructions" -> "obstructions";
                case "outline", "height", "fall", "covering", "parapets", "allowance", "bays" -> "roof";
                case "wayUp", "lifting" -> "found";
                case "routes", "occupants" -> "services";
                case "viewers" -> "sight";
                default -> path.startsWith(JobPaths.ROOF.toString()) ? "fabric" : "job";
            };
        }
    }

    /** Questions of one part of the sheet, with how many of them are still open. */
    public record Part(String name, List<Row> rows, long open) {}

    /** A stage with what it waits for. */
    public record Stage(String name, List<SurveySheet.Line> missing) {}

    @GetMapping("/jobs/{slug}/survey")
    public String page(@PathVariable String slug, Model model) {
        fill(model, jobs.open(slug), Map.of(), Map.of());
        return "survey";
    }

    @GetMapping("/jobs/{slug}/field/survey")
    public String field(@PathVariable String slug, @RequestParam(defaultValue = "") String part, Model model) {
        fill(model, jobs.open(slug), Map.of(), Map.of());
        choosePart(model, part);
        return "field-survey";
    }

    @SuppressWarnings("unchecked")
    private static void choosePart(Model model, String wanted) {
        List<Part> parts = (List<Part>) model.getAttribute("parts");
        int at = 0;
        for (int i = 0; i < parts.size(); i++) {
            at = parts.get(i).name().equals(wanted) ? i : at;
        }
        model.addAttribute("part", parts.get(at));
        model.addAttribute("before", at > 0 ? parts.get(at - 1).name() : null);
        model.addAttribute("after", at + 1 < parts.size() ? parts.get(at + 1).name() : null);
    }

    private void fill(Model model, JobService.Shown shown, Map<String, String> typed, Map<String, String> faults) {
        Design design = shown.design();
        Survey survey = design.job().survey();
        SurveySheet sheet = SurveySheet.of(design.job());
        Map<String, List<Row>> sections = new LinkedHashMap<>();
        for (SurveySheet.Line line : sheet.lines()) {
            String id = line.question().id();
            Survey.Answer a = survey.answers().get(id);
            sections.computeIfAbsent(line.question().section(), k -> new ArrayList<>())
                    .add(new Row(
                            line,
                            typed.getOrDefault("a." + id, a == null ? "" : a.typed()),
                            typed.getOrDefault(
                                    "h." + id, a == null ? "measured" : a.how().key()),
                            typed.getOrDefault("b." + id, a == null ? "" : a.by()),
                            faults.getOrDefault(id, "")));
        }
        List<Part> parts = new ArrayList<>();
        sections.forEach((name, rows) -> parts.add(new Part(
                name,
                rows,
                rows.stream()
                        .filter(r -> r.line().status() == SurveySheet.Status.MISSING)
                        .count())));
        List<Stage> stages = new ArrayList<>();
        SurveySheet.STAGES.forEach((letter, name) -> {
            if (sheet.lines().stream().anyMatch(l -> l.question().stages().contains(letter))) {
                stages.add(new Stage(name, sheet.missing(letter)));
            }
        });
        Map<String, Long> counts = new LinkedHashMap<>();
        for (SurveySheet.Status s : SurveySheet.Status.values()) {
            counts.put(s.words(), sheet.count(s));
        }
        model.addAttribute("slug", shown.slug());
        model.addAttribute("job", design.job());
        model.addAttribute("revision", shown.revision());
        model.addAttribute("base", shown.revision().number());
        model.addAttribute("parts", parts);
        model.addAttribute("stages", stages);
        model.addAttribute("counts", counts);
        model.addAttribute("holdDowns", HoldDowns.of(design.job()));
        model.addAttribute("consequences", Consequences.of(design.job(), design.plan(), design.layout()));
        model.addAttribute(
                "checks",
                design.checks().stream()
                        .filter(c -> c.id().startsWith("survey.") || c.id().startsWith("sight."))
                        .toList());
        List<Structure.Work> works = design.job().roof().fabric().structure().works();
        model.addAttribute("works", works);
        List<String> ids = Stream.concat(
                        survey.pins().stream().map(Survey.Pin::photos),
                        Stream.concat(
                                works.stream().map(Structure.Work::photos),
                                survey.routes().stream()
                                        .flatMap(r -> r.legs().stream())
                                        .map(Survey.RouteLeg::photos)))
                .flatMap(List::stream)
                .toList();
        model.addAttribute("photos", ids.isEmpty() ? Map.of() : pictures.known(ids));
        model.addAttribute("units", design.job().project().units());
        Map<String, List<YearOfUse.Profile>> profiles = new LinkedHashMap<>();
        survey.occupants().stream()
                .filter(o -> o.year() != null)
                .forEach(o -> profiles.put(o.id(), YearOfUse.profiles(o.year())));
        model.addAttribute("profiles", profiles);
        model.addAttribute("zone", ZoneId.systemDefault().getId());
        model.addAttribute("zones", new TreeSet<>(ZoneId.getAvailableZoneIds()));
    }

    /** Stores what was written on the sheet; nothing when one answer cannot be taken. */
    @PostMapping({"/jobs/{slug}/survey", "/jobs/{slug}/field/survey"})
    public String store(
            @PathVariable String slug,
            @RequestParam int base,
            @RequestParam(defaultValue = "") String part,
            @RequestParam Map<String, String> typed,
            Model model) {
        boolean onPhone = typed.containsKey("part");
        JobService.Shown shown = jobs.open(slug);
        List<DocumentPatch.Change> changes = changes(shown.design().job().survey(), typed);
        Map<String, String> faults = new LinkedHashMap<>();
        String told = "";
        try {
            if (!changes.isEmpty()) {
                jobs.change(
                        slug,
                        base,
                        changes,
                        changes.size() == 1 ? "Survey answer" : changes.size() + " survey answers");
            }
            String next = onPhone
                    ? "/field/survey?part=" + java.net.URLEncoder.encode(part, StandardCharsets.UTF_8)
                    : "/survey";
            return "redirect:/jobs/" + slug + next;
        } catch (JobService.Refused e) {
            for (Problem p : e.problems()) {
                String id = p.path().replaceFirst("^\\$\\.survey\\.answers\\.([A-Za-z0-9]+).*$", "$1");
                faults.merge(id, p.words(), (a, b) -> a + "; " + b);
            }
            told = "Nothing was stored yet: " + (faults.size() == 1 ? "one answer" : faults.size() + " answers")
                    + " cannot be taken as written.";
        } catch (JobStore.Conflict e) {
            told =
                    "Another window changed this job meanwhile. What you wrote is still here: look at it and store it again.";
        }
        fill(model, jobs.open(slug), typed, faults);
        model.addAttribute("told", told);
        if (onPhone) {
            choosePart(model, part);
        }
        return onPhone ? "field-survey" : "survey";
    }

    private static List<DocumentPatch.Change> changes(Survey survey, Map<String, String> typed) {
        List<DocumentPatch.Change> changes = new ArrayList<>();
        for (SurveyQuestion q : SurveyQuestion.all()) {
            String value = typed.get("a." + q.id());
            if (q.kind() == SurveyQuestion.Kind.PATH || value == null) {
                continue;
            }
            String path = JobPaths.SURVEY.to(Survey::answers) + "." + q.id();
            Survey.Answer known = survey.answers().get(q.id());
            if (value.isBlank()) {
                if (known != null) {
                    changes.add(new DocumentPatch.Change("remove", path, null));
                }
                continue;
            }
            String how = typed.getOrDefault("h." + q.id(), "measured");
            String by = typed.getOrDefault("b." + q.id(), "").strip();
            boolean same = known != null
                    && known.typed().equals(value.strip())
                    && known.how().key().equals(how)
                    && known.by().equals(by);
            if (!same) {
                Map<String, Object> answer = new LinkedHashMap<>();
                answer.put("value", value.strip());
                answer.put("how", how);
                if (!by.isEmpty()) {
                    answer.put("by", by);
                }
                if (known != null && known.on() != null) {
                    answer.put("on", known.on().toString());
                }
                changes.add(new DocumentPatch.Change("set", path, answer));
            }
        }
        return changes;
    }

    /** A blank sheet for the visit, what is known already filled in. */
    @GetMapping("/jobs/{slug}/survey/blank")
    public String blank(@PathVariable String slug, Model model) {
        fill(model, jobs.open(slug), Map.of(), Map.of());
        model.addAttribute("pdf", false);
        return "survey-blank";
    }

    @GetMapping("/jobs/{slug}/survey/blank.pdf")
    public ResponseEntity<byte[]> blankPdf(@PathVariable String slug, @RequestParam(required = false) String paper) {
        JobService.Shown shown = jobs.open(slug);
        Model model = new org.springframework.ui.ExtendedModelMap();
        fill(model, shown, Map.of(), Map.of());
        Map<String, Object> filled = new LinkedHashMap<>(model.asMap());
        PaperSize size;
        try {
            size = PaperSize.of(paper, shown.design().job().project().units());
        } catch (IllegalArgumentException e) {
            throw WorkOutController.refused(
                    "$.paper", "Paper", paper, "is none of a4, a3, letter, tabloid: for example a4");
        }
        PaperStyle style = PaperStyle.of(
                shown, size, "Survey sheet", null, jobs.standing(shown).brief());
        return Download.of(slug + "-survey.pdf", MediaType.APPLICATION_PDF, pdf.render("survey-blank", filled, style));
    }

    /** An occupant's use from a file of readings: a year by the hour where it tells one, else a typical day. */
    @PostMapping("/jobs/{slug}/occupants")
    public String occupant(
            @PathVariable String slug,
            @RequestParam int base,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String meter,
            @RequestParam(required = false) MultipartFile upload,
            ReadingsForm form)
            throws IOException {
        if (upload == null || upload.isEmpty() || upload.getSize() > LONGEST_FILE) {
            throw WorkOutController.refused(
                    "$.upload",
                    "Readings",
                    "",
                    "are missing or over 4 MB: choose a CSV file with a time and kW on each line");
        }
        String csv = new String(upload.getBytes(), StandardCharsets.UTF_8);
        String file = String.valueOf(upload.getOriginalFilename());
        Map<String, Object> o = new LinkedHashMap<>();
        o.put("id", "occ-" + Long.toString(System.currentTimeMillis(), 36));
        o.put("name", name.strip());
        o.put("meter", meter.strip());
        try {
            UnitSystem units = jobs.open(slug).design().job().project().units();
            String words = YearOfUse.tellsAYear(csv)
                    ? year(o, YearOfUse.read(csv, form.how(units == UnitSystem.US)))
                    : day(o, UseByHour.read(csv));
            String source = words.formatted(file.length() > 50 ? file.substring(0, 50) : file);
            o.put("source", source.length() > 160 ? source.substring(0, 157) + "..." : source);
        } catch (IllegalArgumentException e) {
            throw WorkOutController.refused("$.upload", "Readings", file, e.getMessage());
        }
        jobs.change(
                slug,
                base,
                List.of(DocumentPatch.Change.append(JobPaths.SURVEY.to(Survey::occupants), o)),
                "Use of " + name.strip());
        return "redirect:/jobs/" + slug + "/survey#use";
    }

    /**
     * How a file of readings is to be read, as the page asks it.
     *
     * @param clock what its times go by
     * @param energy whether it gives kWh in each interval
     */
    public record ReadingsForm(String zone, String clock, String energy, String summerFrom, String summerTo) {
        YearOfUse.How how(boolean monthFirst) {
            if (zone == null || !ZoneId.getAvailableZoneIds().contains(zone.strip())) {
                throw new IllegalArgumentException(
                        "need the time zone of the tariff: '" + zone + "' is not known, for example Europe/London");
            }
            return new YearOfUse.How(
                    ZoneId.of(zone.strip()),
                    YearOfUse.Clock.valueOf(clock == null ? "LOCAL" : clock),
                    monthFirst,
                    "kWh".equals(energy),
                    month(summerFrom),
                    month(summerTo));
        }

        private static int month(String typed) {
            if (typed == null || !typed.strip().matches("[1-9]|1[0-2]")) {
                throw new IllegalArgumentException(
                        "need the tariff's summer by months: '" + typed + "' is none of 1 to 12, for example 4");
            }
            return Integer.parseInt(typed.strip());
        }
    }

    private static String day(Map<String, Object> o, UseByHour use) {
        o.put("kw", use.kw());
        return use.readings() + " readings of %s, a typical day" + left(use.leftOut());
    }

    private static String year(Map<String, Object> o, YearOfUse use) {
        o.put("kw", YearOfUse.typicalDay(use.year()));
        o.put("year", JobWriter.part(use.year()));
        return use.readings() + " readings of %s"
                + (use.filled() == 0 ? "" : ", " + use.filled() + " hours without one filled")
                + (use.skipped() == 0 ? "" : ", " + use.skipped() + " hour skipped by summer time")
                + left(use.leftOut());
    }

    private static String left(List<String> lines) {
        return lines.isEmpty()
                ? ""
                : ", " + lines.size() + " lines left out, first " + lines.get(0).replace("%", "%%");
    }
}
