package whipsaw.app.web;

import java.io.IOException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import whipsaw.app.job.JobService;
import whipsaw.app.picture.PictureReader;
import whipsaw.app.store.PictureStore;
import whipsaw.app.store.StoreException;
import whipsaw.core.design.Design;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.Structure;
import whipsaw.core.job.Survey;
import whipsaw.core.units.Show;

/** Photographs of pins and of strengthening, and the picture under the plan. */
@Controller
public class PictureController {
    private static final int MOST_PHOTOS = 20;
    private static final double USUAL_OPACITY = 55;

    private final JobService jobs;
    private final PictureStore pictures;
    private final Photographs photographs;

    public PictureController(JobService jobs, PictureStore pictures, Photographs photographs) {
        this.photographs = photographs;
        this.jobs = jobs;
        this.pictures = pictures;
    }

    @GetMapping("/pictures/{id}")
    public ResponseEntity<byte[]> picture(@PathVariable String id) {
        byte[] bytes =
                pictures.bytes(id).orElseThrow(() -> new StoreException("there is no picture '" + id + "' here"));
        PictureStore.Picture known = pictures.known(List.of(id)).get(id);
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(known.kind()))
                .cacheControl(CacheControl.maxAge(java.time.Duration.ofDays(30)).cachePrivate())
                .body(bytes);
    }

    /** Adds a photograph to a pin, with caption and who took it. */
    @PostMapping("/jobs/{slug}/pins/{pin}/photos")
    public String photo(
            @PathVariable String slug,
            @PathVariable String pin,
            @RequestParam int base,
            @RequestParam(required = false) MultipartFile upload,
            @RequestParam(defaultValue = "") String caption,
            @RequestParam(defaultValue = "") String who)
            throws IOException {
        Survey.Pin at = jobs.open(slug).design().job().survey().pins().stream()
                .filter(p -> p.id().equals(pin))
                .findFirst()
                .orElseThrow(() -> new StoreException("there is no pin '" + pin + "' in this job"));
        List<DocumentPatch.Change> changes = new ArrayList<>();
        changes.add(new DocumentPatch.Change(
                "set",
                JobPaths.SURVEY.id(Survey::pins, pin).to(Survey.Pin::photos).toString(),
                with(at.photos(), upload, caption, who, "pin the next one beside it")));
        if (at.seen() == null) {
            changes.add(new DocumentPatch.Change(
                    "set",
                    JobPaths.SURVEY.id(Survey::pins, pin).to(Survey.Pin::seen).toString(),
                    LocalDate.now().toString()));
        }
        jobs.change(slug, base, changes, "Photograph of " + at.kind());
        return "redirect:/jobs/" + slug + "/survey#pins";
    }

    /** Adds a photograph to a line of the strengthening schedule. */
    @PostMapping("/jobs/{slug}/works/{work}/photos")
    public String workPhoto(
            @PathVariable String slug,
            @PathVariable String work,
            @RequestParam int base,
            @RequestParam(required = false) MultipartFile upload,
            @RequestParam(defaultValue = "") String caption,
            @RequestParam(defaultValue = "") String who)
            throws IOException {
        Structure.Work at = jobs.open(slug).design().job().roof().fabric().structure().works().stream()
                .filter(w -> w.id().equals(work))
                .findFirst()
                .orElseThrow(() -> new StoreException("there is no strengthening '" + work + "' in this job"));
        String path = JobPaths.STRUCTURE
                .id(Structure::works, work)
                .to(Structure.Work::photos)
                .toString();
        List<String> photos = with(at.photos(), upload, caption, who, "name the bays in lines of their own");
        jobs.change(
                slug,
                base,
                List.of(new DocumentPatch.Change("set", path, photos)),
                "Photograph of strengthening " + work);
        return "redirect:/jobs/" + slug + "/survey#works";
    }

    /** Adds a photograph to a leg of a cable route. */
    @PostMapping("/jobs/{slug}/routes/{route}/{leg}/photos")
    public String legPhoto(
            @PathVariable String slug,
            @PathVariable String route,
            @PathVariable int leg,
            @RequestParam int base,
            @RequestParam(required = false) MultipartFile upload,
            @RequestParam(defaultValue = "") String caption,
            @RequestParam(defaultValue = "") String who)
            throws IOException {
        Survey.Route at = jobs.open(slug).design().job().survey().routes().stream()
                .filter(r -> r.id().equals(route) && leg >= 1 && leg <= r.legs().size())
                .findFirst()
                .orElseThrow(() -> new StoreException("there is no such leg in this job"));
        List<String> photos =
                with(at.legs().get(leg - 1).photos(), upload, caption, who, "make another leg of what they show");
        jobs.change(
                slug,
                base,
                List.of(new DocumentPatch.Change(
                        "set",
                        JobPaths.SURVEY
                                .id(Survey::routes, route)
                                .at(Survey.Route::legs, leg - 1)
                                .to(Survey.RouteLeg::photos)
                                .toString(),
                        photos)),
                "Photograph of " + at.name() + ", leg " + leg);
        return "redirect:/jobs/" + slug + "/survey#cable-routes";
    }

    /** Pictures with another one kept. */
    private List<String> with(List<String> photos, MultipartFile upload, String caption, String who, String instead)
            throws IOException {
        if (photos.size() >= MOST_PHOTOS) {
            throw WorkOutController.refused(
                    "$.upload", "Photographs", photos.size() + "", "are all that are kept here: " + instead);
        }
        String id = photographs.keep(upload, caption, who);
        List<String> all = new ArrayList<>(photos);
        if (!all.contains(id)) {
            all.add(id);
        }
        return all;
    }

    /** Puts a picture under the plan, as wide as the roof until two points of it are measured. */
    @PostMapping("/jobs/{slug}/underlay")
    public String underlay(
            @PathVariable String slug,
            @RequestParam int base,
            @RequestParam(required = false) MultipartFile upload,
            @RequestParam(defaultValue = "1") int page)
            throws IOException {
        PictureReader.Read read = photographs.read(upload, false, page);
        String id = pictures.add(
                Photographs.brief(upload.getOriginalFilename(), 80),
                read.kind(),
                read.width(),
                read.height(),
                "",
                "",
                read.bytes());
        Design design = jobs.open(slug).design();
        var box = design.plan().outline().getEnvelopeInternal();
        Map<String, Object> under = new LinkedHashMap<>();
        under.put("picture", id);
        under.put("x", Show.number(box.getMinX(), 4) + " m");
        under.put("y", Show.number(box.getMaxY(), 4) + " m");
        under.put("metresPerPixel", box.getWidth() / read.width());
        under.put("turnDeg", 0);
        under.put("opacityPct", USUAL_OPACITY);
        jobs.change(
                slug,
                base,
                List.of(new DocumentPatch.Change(
                        "set", JobPaths.SURVEY.to(Survey::underlay).toString(), under)),
                "Picture under the plan: " + Photographs.brief(upload.getOriginalFilename(), 60));
        return "redirect:/jobs/" + slug + "#entry-picture";
    }
}
