package whipsaw.app.web;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
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
import whipsaw.app.store.StoreException;
import whipsaw.core.exchange.DxfReader;
import whipsaw.core.exchange.ForeignDrawing;
import whipsaw.core.exchange.RoofFromDrawing;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.Problem;
import whipsaw.core.units.Show;

/** A roof from a drawing file: read, looked at, then taken as one revision. */
@Controller
public class ImportController {
    private static final int KEPT = 6;
    private static final Map<String, Double> UNITS =
            Map.of("m", 1.0, "cm", 0.01, "mm", 0.001, "ft", 0.3048, "in", 0.0254);

    private final JobService jobs;

    /** Drawings read and not yet taken; the oldest give way. */
    private final Map<String, ForeignDrawing> read = Collections.synchronizedMap(new LinkedHashMap<>() {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, ForeignDrawing> eldest) {
            return size() > KEPT;
        }
    });

    public ImportController(JobService jobs) {
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
            throw refused("$.upload", "Drawing file", "", "is missing: choose a DXF file");
        }
        ForeignDrawing drawing;
        try {
            drawing = DxfReader.read(new String(upload.getBytes(), StandardCharsets.UTF_8));
        } catch (DxfReader.NotDxf e) {
            throw refused("$.upload", "Drawing file", String.valueOf(upload.getOriginalFilename()), e.getMessage());
        }
        String id = UUID.randomUUID().toString();
        read.put(id, drawing);
        return show(slug, id, drawing, model);
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
                .max((a, b) -> Double.compare(a.largestArea(), b.largestArea()))
                .map(ForeignDrawing.Layer::name)
                .orElse("");
        model.addAttribute("largest", largest);
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
     * @param outline layer of the outline
     * @param standing layers of what stands on the roof
     * @param height of all of it, an assumption until each is measured
     */
    @PostMapping("/jobs/{slug}/import/{id}")
    public String take(
            @PathVariable String slug,
            @PathVariable String id,
            @RequestParam int base,
            @RequestParam(defaultValue = "") String unit,
            @RequestParam String outline,
            @RequestParam(defaultValue = "") Set<String> standing,
            @RequestParam String height,
            @RequestParam String clear) {
        ForeignDrawing drawing = read.get(id);
        if (drawing == null) {
            throw new StoreException("the drawing is no longer at hand: choose its file again");
        }
        if (!UNITS.containsKey(unit)) {
            throw refused("$.unit", "Unit of the drawing", unit, "has to be one of m, cm, mm, ft, in: for example mm");
        }
        RoofFromDrawing roof = RoofFromDrawing.of(drawing, UNITS.get(unit), outline, standing);
        if (roof == null) {
            throw refused("$.outline", "Layer of the outline", outline, "has no closed shape: choose another");
        }
        List<DocumentPatch.Change> changes = List.of(
                new DocumentPatch.Change(
                        "set",
                        "$.roof.outline",
                        Map.of(
                                "kind",
                                "drawn",
                                "corners",
                                roof.outline().stream()
                                        .map(ImportController::corner)
                                        .toList())),
                new DocumentPatch.Change("set", "$.roof.parapets", List.of()),
                new DocumentPatch.Change("set", "$.roof.obstructions", obstructions(roof, height, clear)));
        jobs.change(
                slug,
                base,
                changes,
                "Roof taken from a drawing: " + roof.outline().size() + " corners, "
                        + roof.boxes().size() + " things on it");
        return "redirect:/jobs/" + slug;
    }

    private static List<Object> obstructions(RoofFromDrawing roof, String height, String clear) {
        List<Object> list = new ArrayList<>();
        for (RoofFromDrawing.Box b : roof.boxes()) {
            Map<String, Object> o = new LinkedHashMap<>();
            o.put("id", "d-" + (list.size() + 1));
            o.put("name", b.name());
            o.put("x", metres(b.x()));
            o.put("y", metres(b.y()));
            o.put("width", metres(b.width()));
            o.put("depth", metres(b.depth()));
            o.put("height", height.strip().startsWith("~") ? height.strip() : "~" + height.strip());
            o.put("clear", clear.strip());
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
