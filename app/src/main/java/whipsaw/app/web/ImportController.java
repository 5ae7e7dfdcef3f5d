package whipsaw.app.web;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.locationtech.jts.geom.Coordinate;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import whipsaw.app.drawing.ForeignPreview;
import whipsaw.app.job.JobService;
import whipsaw.app.job.Reports;
import whipsaw.app.reading.FileReading;
import whipsaw.app.store.StoreException;
import whipsaw.core.exchange.ForeignDrawing;
import whipsaw.core.exchange.RoofFromDrawing;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.ObstructionKinds;
import whipsaw.core.job.Roof;
import whipsaw.core.job.Site;
import whipsaw.core.schema.Problem;
import whipsaw.core.units.Quantity;
import whipsaw.core.units.Show;
import whipsaw.core.units.Unit;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.units.UnitText;
import whipsaw.core.units.UnitTextException;

/** A roof from a drawing file: read, looked at, then taken as one revision. */
@Controller
public class ImportController {
    private static final int KEPT = 6;
    private static final double WIDEST_GAP_M = 1;
    private static final Map<String, Double> UNITS =
            Map.of("m", 1.0, "cm", 0.01, "mm", 0.001, "ft", 0.3048, "in", 0.0254);

    private final JobService jobs;
    private final Reports reports;
    private final FileReading files;

    /** Drawings read and not yet taken; the oldest give way. */
    private final Map<String, ForeignDrawing> read = Collections.synchronizedMap(new LinkedHashMap<>() {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, ForeignDrawing> eldest) {
            return size() > KEPT;
        }
    });

    public ImportController(JobService jobs, Reports reports, FileReading files) {
        this.files = files;
        this.reports = reports;
        this.jobs = jobs;
    }

    @GetMapping("/jobs/{slug}/import")
    public String ask(@PathVariable String slug, Model model) {
        model.addAttribute("slug", slug);
        model.addAttribute("job", jobs.open(slug).design().job());
        return "import";
    }

    @PostMapping("/jobs/{slug}/import")
    public String look(@PathVariable String slug, @RequestParam(required = false) MultipartFile upload, Model model)
            throws IOException {
        if (upload == null || upload.isEmpty()) {
            throw refused("$.upload", "Drawing file", "", "is missing: choose a DXF or GeoJSON file");
        }
        ForeignDrawing drawing;
        try {
            Job job = jobs.open(slug).design().job();
            drawing = files.drawing(
                    upload.getBytes(),
                    job.site().longitude().si(),
                    job.site().latitude().si(),
                    job.roof().upAzimuth().si());
        } catch (FileReading.Unreadable e) {
            throw refused("$.upload", "Drawing file", String.valueOf(upload.getOriginalFilename()), e.getMessage());
        }
        String id = UUID.randomUUID().toString();
        read.put(id, drawing);
        return show(slug, id, drawing, model);
    }

    /** The same drawing with gaps up to a size closed. */
    @GetMapping("/jobs/{slug}/import/{id}")
    public String close(
            @PathVariable String slug,
            @PathVariable String id,
            @RequestParam(defaultValue = "") String unit,
            @RequestParam(defaultValue = "") String gap,
            Model model) {
        ForeignDrawing drawing = atHand(id);
        UnitSystem units = jobs.open(slug).design().job().project().units();
        Unit bare = units == UnitSystem.US ? Unit.INCH : Unit.MILLIMETRE;
        double metres;
        try {
            metres = UnitText.parse(gap, Quantity.LENGTH, bare).si();
        } catch (UnitTextException e) {
            throw refused("$.gap", "Gaps to close", gap, e.getMessage());
        }
        if (!(metres > 0 && metres <= WIDEST_GAP_M)) {
            throw refused(
                    "$.gap", "Gaps to close", gap, "have to be more than 0 and up to 1 m: for example 50 mm or 2 in");
        }
        double perUnit = UNITS.getOrDefault(unit, drawing.metresPerUnit());
        if (Double.isNaN(perUnit)) {
            throw refused("$.unit", "Unit of the drawing", unit, "has to be said first: one of m, cm, mm, ft, in");
        }
        ForeignDrawing closed = drawing.closing(metres / perUnit);
        String other = UUID.randomUUID().toString();
        read.put(other, closed);
        model.addAttribute("gap", gap);
        String view = show(slug, other, closed, model);
        model.addAttribute("unit", unit.isEmpty() ? unitOf(closed) : unit);
        return view;
    }

    private ForeignDrawing atHand(String id) {
        ForeignDrawing drawing = read.get(id);
        if (drawing == null) {
            throw new StoreException("the drawing is no longer at hand: choose its file again");
        }
        return drawing;
    }

    private String show(String slug, String id, ForeignDrawing drawing, Model model) {
        model.addAttribute("slug", slug);
        JobService.Shown shown = jobs.open(slug);
        model.addAttribute("job", shown.design().job());
        model.addAttribute("base", shown.revision().number());
        model.addAttribute("id", id);
        model.addAttribute("drawing", drawing);
        model.addAttribute("preview", ForeignPreview.of(drawing));
        model.addAttribute("unit", unitOf(drawing));
        String largest = drawing.layers().stream()
                .filter(l -> l.state().isEmpty())
                .max((a, b) -> Double.compare(a.largestArea(), b.largestArea()))
                .map(ForeignDrawing.Layer::name)
                .orElse("");
        model.addAttribute("largest", largest);
        model.addAttribute("kinds", ObstructionKinds.names());
        model.addAttribute("onEarth", drawing.plane() != null);
        model.addAttribute(
                "open",
                drawing.shapes().stream()
                        .anyMatch(x -> !x.closed() && x.points().size() > 2));
        return "import";
    }

    private static String unitOf(ForeignDrawing drawing) {
        return UNITS.entrySet().stream()
                .filter(u -> Math.abs(u.getValue() - drawing.metresPerUnit()) < 1e-9)
                .map(Map.Entry::getKey)
                .findFirst()
                .orElse("");
    }

    /**
     * Takes outline and obstructions; what stood on the roof before gives way.
     *
     * @param base revision that was looked at; another window's change since is not overwritten
     * @param unit of the drawing
     * @param as use of each layer in the order of their names: outline, a kind of thing, or empty
     * @param height of all of it, an assumption until each is measured
     */
    @PostMapping("/jobs/{slug}/import/{id}")
    public String take(
            @PathVariable String slug,
            @PathVariable String id,
            @RequestParam int base,
            @RequestParam(defaultValue = "") String unit,
            @RequestParam(required = false) List<String> as,
            @RequestParam String height,
            @RequestParam(defaultValue = "") String clear,
            @RequestParam(defaultValue = "false") boolean place) {
        ForeignDrawing drawing = atHand(id);
        if (!UNITS.containsKey(unit)) {
            throw refused("$.unit", "Unit of the drawing", unit, "has to be one of m, cm, mm, ft, in: for example mm");
        }
        Map<String, String> use = new LinkedHashMap<>();
        List<ForeignDrawing.Layer> layers = drawing.layers();
        for (int i = 0; as != null && i < Math.min(as.size(), layers.size()); i++) {
            use.put(layers.get(i).name(), as.get(i));
        }
        RoofFromDrawing roof = RoofFromDrawing.of(drawing, UNITS.get(unit), use);
        if (roof == null) {
            throw refused(
                    "$.as",
                    "Layer of the outline",
                    use.containsValue(RoofFromDrawing.OUTLINE) ? "without a closed shape" : "none chosen",
                    "gives no roof: say which layer holds the outline as one closed shape");
        }
        List<DocumentPatch.Change> changes = new ArrayList<>(List.of(
                new DocumentPatch.Change(
                        "set",
                        JobPaths.OUTLINE.toString(),
                        Map.of(
                                "kind",
                                "drawn",
                                "corners",
                                roof.outline().stream()
                                        .map(ImportController::corner)
                                        .toList())),
                DocumentPatch.Change.set(JobPaths.ROOF.to(Roof::parapets), List.of()),
                DocumentPatch.Change.set(JobPaths.ROOF.to(Roof::obstructions), obstructions(roof, height, clear))));
        if (!Double.isNaN(roof.heightM())) {
            changes.add(DocumentPatch.Change.set(JobPaths.ROOF.to(Roof::height), metres(roof.heightM())));
        }
        if (place && drawing.plane() != null) {
            Coordinate earth = drawing.plane().toEarth(roof.origin());
            changes.add(DocumentPatch.Change.set(JobPaths.SITE.to(Site::latitude), Show.number(earth.y, 6) + " deg"));
            changes.add(DocumentPatch.Change.set(JobPaths.SITE.to(Site::longitude), Show.number(earth.x, 6) + " deg"));
        }
        jobs.change(
                slug,
                base,
                changes,
                "Roof taken from a drawing: " + roof.outline().size() + " corners, "
                        + roof.things().size() + " things on it");
        return "redirect:/jobs/" + slug + "?report=" + reports.keep(report(drawing, roof, use));
    }

    /** What was taken and what was not, with the reason. */
    private static List<String> report(ForeignDrawing drawing, RoofFromDrawing roof, Map<String, String> use) {
        List<String> lines = new ArrayList<>();
        if (!Double.isNaN(roof.heightM())) {
            lines.add("Mean roof height taken from the file.");
        }
        lines.add("Taken: an outline of " + roof.outline().size() + " corners and "
                + roof.things().size() + (roof.things().size() == 1 ? " thing on it." : " things on it."));
        use.forEach((layer, as) -> {
            if (as.isEmpty()) {
                lines.add("Layer '" + layer + "' left out, as you said.");
            }
        });
        roof.findings().forEach(f -> lines.add(counted(f)));
        drawing.findings().forEach(f -> lines.add(counted(f)));
        return lines;
    }

    private static String counted(ForeignDrawing.Finding f) {
        return Character.toUpperCase(f.what().charAt(0))
                + f.what().substring(1)
                + (f.count() > 1 ? ", " + f.count() + " times." : ".");
    }

    private static List<Object> obstructions(RoofFromDrawing roof, String height, String clear) {
        List<Object> list = new ArrayList<>();
        for (RoofFromDrawing.Thing t : roof.things()) {
            Map<String, Object> o = new LinkedHashMap<>();
            o.put("id", "d-" + (list.size() + 1));
            o.put("name", t.name());
            o.put("kind", t.kind());
            o.put("x", metres(t.x()));
            o.put("y", metres(t.y()));
            if (!t.corners().isEmpty()) {
                o.put("shape", "polygon");
                o.put(
                        "corners",
                        t.corners().stream().map(ImportController::corner).toList());
            } else if (t.circle()) {
                o.put("shape", "circle");
                o.put("width", metres(t.width()));
            } else {
                o.put("width", metres(t.width()));
                o.put("depth", metres(t.depth()));
            }
            String assumed = height.strip().startsWith("~") ? height.strip() : "~" + height.strip();
            o.put("height", Double.isNaN(t.heightM()) ? assumed : metres(t.heightM()));
            if (!clear.isBlank()) {
                o.put("clear", clear.strip());
            }
            list.add(o);
        }
        return list;
    }

    private static Map<String, Object> corner(Coordinate c) {
        return Map.of("x", metres(c.x), "y", metres(c.y));
    }

    /** To a tenth of a millimetre. */
    private static String metres(double value) {
        return Show.number(value, 4) + " m";
    }

    private static JobService.Refused refused(String path, String name, String value, String message) {
        return new JobService.Refused(List.of(new Problem(path, name, value, message)));
    }
}
