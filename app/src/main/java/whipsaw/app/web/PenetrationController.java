package whipsaw.app.web;

import java.io.IOException;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import whipsaw.app.export.SiteRecords;
import whipsaw.app.job.JobService;
import whipsaw.app.job.Laying;
import whipsaw.app.job.Maker;
import whipsaw.app.store.PenetrationStore;
import whipsaw.app.store.PenetrationStore.Done;
import whipsaw.app.store.PenetrationStore.Penetration;
import whipsaw.app.store.PictureStore;
import whipsaw.app.store.StoreException;
import whipsaw.core.schema.Problem;

/** The log of penetrations of the covering: what, where, who flashed it, photographs, the roofer's acceptance. */
@Controller
public class PenetrationController {
    private static final int LONGEST = 80;
    private static final int LONGEST_NOTE = 300;
    private static final int MOST_PHOTOS = 20;

    private final JobService jobs;
    private final Laying laying;
    private final PenetrationStore store;
    private final PictureStore pictures;
    private final Photographs photographs;
    private final Maker maker;

    public PenetrationController(
            JobService jobs,
            Laying laying,
            PenetrationStore store,
            PictureStore pictures,
            Photographs photographs,
            Maker maker) {
        this.jobs = jobs;
        this.laying = laying;
        this.store = store;
        this.pictures = pictures;
        this.photographs = photographs;
        this.maker = maker;
    }

    /** What a form of the log sends, as typed. */
    public record Typed(
            String place,
            String kind,
            String madeBy,
            String madeOn,
            String flashedBy,
            String flashedOn,
            String acceptedBy,
            String acceptedOn,
            String note,
            String caption,
            String strike) {}

    @GetMapping("/jobs/{slug}/penetrations")
    public String page(@PathVariable String slug, @RequestParam(defaultValue = "") String place, Model model) {
        JobService.Shown shown = jobs.open(slug);
        List<Penetration> log = store.of(slug);
        List<String> ids = log.stream().flatMap(p -> p.pictures().stream()).toList();
        model.addAttribute("slug", slug);
        model.addAttribute("job", shown.design().job());
        model.addAttribute("log", log);
        model.addAttribute("photos", ids.isEmpty() ? Map.of() : pictures.known(ids));
        model.addAttribute("place", place);
        model.addAttribute("today", LocalDate.now());
        model.addAttribute("waiting", waiting(slug, log));
        return "penetrations";
    }

    /** Positions with attachments on the signed map that the log has nothing of. */
    private List<String> waiting(String slug, List<Penetration> log) {
        Laying.OnRoof roof = laying.of(slug);
        if (roof == null) {
            return List.of();
        }
        Set<String> logged = new HashSet<>();
        log.stream().filter(p -> !p.struckOut()).forEach(p -> logged.add(p.place()));
        boolean several = roof.map().arrays().size() > 1;
        return roof.map().arrays().stream()
                .flatMap(a -> a.places().stream()
                        .filter(p -> p.attached())
                        .map(p -> several ? a.name() + " " + p.number() : p.number()))
                .filter(p -> !logged.contains(p))
                .toList();
    }

    /** Enters one. */
    @PostMapping("/jobs/{slug}/penetrations")
    public String add(@PathVariable String slug, Typed typed, @RequestParam(required = false) MultipartFile upload)
            throws IOException {
        jobs.open(slug);
        write(
                slug,
                new Penetration(0, "", "", Done.NOT_YET, Done.NOT_YET, Done.NOT_YET, "", List.of(), false),
                typed,
                upload);
        return "redirect:/jobs/" + slug + "/penetrations";
    }

    /** Brings one up to date. */
    @PostMapping("/jobs/{slug}/penetrations/{number}")
    public String update(
            @PathVariable String slug,
            @PathVariable int number,
            Typed typed,
            @RequestParam(required = false) MultipartFile upload)
            throws IOException {
        Penetration known = store.of(slug).stream()
                .filter(p -> p.number() == number)
                .findFirst()
                .orElseThrow(() -> new StoreException("there is no penetration " + number + " in this job"));
        write(slug, known, typed, upload);
        return "redirect:/jobs/" + slug + "/penetrations#n" + number;
    }

    private void write(String slug, Penetration known, Typed typed, MultipartFile upload) throws IOException {
        List<Problem> problems = new ArrayList<>();
        String place = words(problems, "$.place", "Place", typed.place(), "a position such as 3-12, or in words");
        String kind =
                words(problems, "$.kind", "What goes through", typed.kind(), "for example anchor, bolt to the joist");
        Done made = done(problems, "$.made", "Made", typed.madeBy(), typed.madeOn());
        Done flashed = done(problems, "$.flashed", "Flashed", typed.flashedBy(), typed.flashedOn());
        Done accepted = done(problems, "$.accepted", "Accepted", typed.acceptedBy(), typed.acceptedOn());
        if (!made.is()) {
            problems.add(new Problem("$.made", "Made by", "", "is missing: who made the hole, and on what day"));
        }
        if (accepted.is() && !flashed.is()) {
            problems.add(new Problem(
                    "$.accepted",
                    "Accepted",
                    accepted.by(),
                    "comes after the flashing: enter who flashed it, and when"));
        }
        inOrder(problems, "$.flashed", "Flashed on", made, flashed);
        inOrder(problems, "$.accepted", "Accepted on", flashed, accepted);
        List<String> photos = new ArrayList<>(known.pictures());
        if (upload != null && !upload.isEmpty() && photos.size() >= MOST_PHOTOS) {
            problems.add(new Problem(
                    "$.upload", "Photographs", photos.size() + "", "are all that are kept of one penetration"));
        }
        if (!problems.isEmpty()) {
            throw new JobService.Refused(problems);
        }
        String note = Photographs.whole("$.note", "Note", given(typed.note()), LONGEST_NOTE);
        String photo = photographs.keepAny(upload, given(typed.caption()), "");
        if (!photo.isEmpty() && !photos.contains(photo)) {
            photos.add(photo);
        }
        store.write(
                slug,
                new Penetration(
                        known.number(), place, kind, made, flashed, accepted, note, photos, typed.strike() != null),
                maker.name());
    }

    private static String given(String value) {
        return value == null ? "" : value.strip();
    }

    private static String words(List<Problem> problems, String path, String label, String typed, String like) {
        String value = given(typed);
        if (value.isEmpty() || value.length() > LONGEST) {
            problems.add(new Problem(
                    path,
                    label,
                    Photographs.brief(value, 40),
                    (value.isEmpty() ? "is missing" : "is longer than " + LONGEST + " characters") + ": " + like));
        }
        return value;
    }

    /** Who did it and when, both or neither. */
    private static Done done(List<Problem> problems, String path, String label, String by, String on) {
        if (given(by).isEmpty() && given(on).isEmpty()) {
            return Done.NOT_YET;
        }
        LocalDate day = null;
        try {
            day = LocalDate.parse(given(on));
        } catch (DateTimeParseException e) {
            // told below
        }
        if (given(by).isEmpty() || given(by).length() > LONGEST) {
            problems.add(new Problem(
                    path,
                    label + " by",
                    Photographs.brief(given(by), 40),
                    "is wanted with its day: 1 to " + LONGEST + " characters"));
        }
        if (day == null || day.isAfter(LocalDate.now().plusDays(1))) {
            problems.add(new Problem(
                    path,
                    label + " on",
                    given(on),
                    (given(on).isEmpty() ? "is missing" : day == null ? "is no day" : "is still to come")
                            + ": for example " + LocalDate.now()));
        }
        return day == null ? Done.NOT_YET : new Done(given(by), day);
    }

    private static void inOrder(List<Problem> problems, String path, String label, Done before, Done after) {
        if (before.is() && after.is() && after.on().isBefore(before.on())) {
            problems.add(new Problem(
                    path, label, after.on().toString(), "is before " + before.on() + ", when it cannot have been"));
        }
    }

    @GetMapping("/jobs/{slug}/penetrations.csv")
    public ResponseEntity<byte[]> csv(@PathVariable String slug) {
        jobs.open(slug);
        return Download.of(
                slug + "-penetrations.csv",
                Download.CSV,
                SiteRecords.penetrations(store.of(slug)).csv());
    }
}
