package whipsaw.app.web;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.util.UriComponentsBuilder;
import whipsaw.app.drawing.LaidDrawing;
import whipsaw.app.export.SiteRecords;
import whipsaw.app.job.JobService;
import whipsaw.app.job.Laying;
import whipsaw.app.store.LaidStore;
import whipsaw.app.store.StoreException;
import whipsaw.core.build.AsLaid;
import whipsaw.core.build.BallastMap;
import whipsaw.core.build.MapChange;
import whipsaw.core.design.Design;

/** Blocks as laid: ticking them against the signed map, how far each row is, what differs. */
@Controller
public class LaidController {
    private static final int LONGEST_NOTE = 300;
    private static final int LONGEST_NAME = 80;

    private final JobService jobs;
    private final Laying laying;
    private final Photographs photographs;

    public LaidController(JobService jobs, Laying laying, Photographs photographs) {
        this.jobs = jobs;
        this.laying = laying;
        this.photographs = photographs;
    }

    /**
     * What a page of the roof sends.
     *
     * @param number position that lies as the map; empty where another of these is meant
     * @param set position whose count is entered
     * @param clear position whose tick is taken back
     * @param all given where the rest of the row lies as the map
     */
    public record Sent(
            int signature,
            String array,
            int row,
            String number,
            String set,
            String clear,
            String all,
            String blocks,
            String note,
            String by) {}

    /** Ticks a position or the rest of a row, or takes a tick back; answers with the row. */
    @PostMapping("/jobs/{slug}/laid")
    public String tick(@PathVariable String slug, Sent sent, @RequestParam(required = false) MultipartFile upload)
            throws IOException {
        String by = Photographs.whole("$.by", "Laid by", given(sent.by()), LONGEST_NAME);
        String note = Photographs.whole("$.note", "Note", given(sent.note()), LONGEST_NOTE);
        if (!given(sent.clear()).isEmpty()) {
            laying.untick(slug, new Laying.Ticked(sent.signature(), sent.array(), "", by, "", ""), sent.clear());
        } else if (!given(sent.set()).isEmpty()) {
            if (given(sent.blocks()).isEmpty()) {
                throw WorkOutController.refused(
                        "$.blocks", "Blocks laid", "", "is missing: enter how many lie there, 0 for none");
            }
            // no photograph is kept of a count that is refused
            Laying.counted(sent.blocks());
            String photo = photographs.keepAny(upload, "position " + sent.set(), by);
            laying.tick(
                    slug,
                    new Laying.Ticked(sent.signature(), sent.array(), sent.blocks(), by, note, photo),
                    sent.set(),
                    sent.row());
        } else if (!given(sent.number()).isEmpty() || !given(sent.all()).isEmpty()) {
            laying.tick(
                    slug,
                    new Laying.Ticked(sent.signature(), sent.array(), "", by, "", ""),
                    given(sent.number()),
                    sent.row());
        }
        return "redirect:"
                + UriComponentsBuilder.fromPath("/jobs/{slug}/field")
                        .queryParam("row", sent.row())
                        .queryParam("array", "{array}")
                        .buildAndExpand(slug, sent.array())
                        .toUriString();
    }

    private static String given(String value) {
        return value == null ? "" : value.strip();
    }

    /** One row of an array. */
    public record RowLine(int row, AsLaid.Sum sum) {}

    /** One array. */
    public record ArrayLine(String id, String name, AsLaid.Sum sum, List<RowLine> rows) {}

    /**
     * A position that says something.
     *
     * @param state how it stands to the map
     */
    public record Told(String array, String name, BallastMap.Place place, AsLaid.State state, LaidStore.Laid tick) {}

    @GetMapping("/jobs/{slug}/laid")
    public String page(@PathVariable String slug, Model model) {
        JobService.Shown shown = jobs.open(slug);
        Laying.OnRoof roof = laying.of(slug);
        model.addAttribute("slug", slug);
        model.addAttribute("job", shown.design().job());
        model.addAttribute("revision", shown.revision());
        model.addAttribute("standing", jobs.standing(shown));
        model.addAttribute("roof", roof);
        if (roof != null) {
            Design signed = jobs.at(slug, roof.signature().revision()).design();
            model.addAttribute("arrays", lines(roof));
            model.addAttribute("told", told(roof));
            model.addAttribute(
                    "drawings",
                    signed.whole().roofs().stream()
                            .filter(r -> r.arrays().stream()
                                    .anyMatch(a -> roof.map().array(a.job().place()) != null))
                            .map(r -> LaidDrawing.of(r, roof.map(), roof.laid()))
                            .toList());
            model.addAttribute("change", jobs.standing(shown).lapsed() ? roof.toward(shown.design()) : null);
        }
        return "laid";
    }

    private static List<ArrayLine> lines(Laying.OnRoof roof) {
        List<ArrayLine> lines = new ArrayList<>();
        for (BallastMap.MapArray a : roof.map().arrays()) {
            TreeSet<Integer> rows = new TreeSet<>();
            a.places().forEach(p -> rows.add(p.row()));
            lines.add(new ArrayLine(
                    a.id(),
                    a.name(),
                    roof.laid().array(a.id()),
                    rows.stream()
                            .map(r -> new RowLine(r, roof.laid().row(a.id(), r)))
                            .toList()));
        }
        return lines;
    }

    /** Positions that differ from the map or have a note or a photograph. */
    private static List<Told> told(Laying.OnRoof roof) {
        List<Told> told = new ArrayList<>();
        for (BallastMap.MapArray a : roof.map().arrays()) {
            BallastMap.Nearby near = new BallastMap.Nearby(a.places());
            for (LaidStore.Laid t : roof.ticks()) {
                BallastMap.Place p = t.array().equals(a.id()) ? near.at(t.xM(), t.yM()) : null;
                if (p != null
                        && (t.blocks() != p.blocks()
                                || !t.note().isEmpty()
                                || !t.picture().isEmpty())) {
                    told.add(new Told(a.id(), a.name(), p, roof.laid().state(a.id(), p), t));
                }
            }
        }
        return told;
    }

    /** Every position of the signed map with what lies there. */
    @GetMapping("/jobs/{slug}/laid.csv")
    public ResponseEntity<byte[]> csv(@PathVariable String slug) {
        return Download.of(
                slug + "-laid.csv", Download.CSV, SiteRecords.laid(signed(slug)).csv());
    }

    /** What is to be added and taken away to come from what lies there to the newest revision. */
    @GetMapping("/jobs/{slug}/ballast-changes.csv")
    public ResponseEntity<byte[]> changes(@PathVariable String slug) {
        MapChange change = signed(slug).toward(jobs.open(slug).design());
        return Download.of(
                slug + "-ballast-changes.csv",
                Download.CSV,
                SiteRecords.changes(change).csv());
    }

    private Laying.OnRoof signed(String slug) {
        jobs.open(slug);
        Laying.OnRoof roof = laying.of(slug);
        if (roof == null) {
            throw new StoreException("no ballast map of this job is signed yet");
        }
        return roof;
    }
}
