package whipsaw.app.web;

import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import whipsaw.app.help.Glossary;
import whipsaw.app.job.JobService;
import whipsaw.core.job.JobDocument;
import whipsaw.core.job.JobReader;
import whipsaw.core.schema.Problem;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Quantity;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.units.UnitText;
import whipsaw.core.units.UnitTextException;

/** The glossary, the schema of job files, and lengths as people type them. */
@Controller
public class HelpController {
    private static final int LONGEST = 60;
    private static final double MOST_M = 1000;

    private final Glossary glossary;

    public HelpController(Glossary glossary) {
        this.glossary = glossary;
    }

    @GetMapping("/glossary")
    public String glossary(Model model) {
        model.addAttribute("terms", glossary.terms());
        return "glossary";
    }

    /** JSON Schema of job files. */
    @GetMapping(path = "/schema/job-" + JobDocument.SCHEMA + ".schema.json", produces = "application/schema+json")
    @ResponseBody
    public Map<String, Object> schema() {
        return JobReader.schema();
    }

    /**
     * Reads a typed length.
     *
     * @param unit of a bare number, m or ft
     */
    @GetMapping(path = "/length", produces = "application/json")
    @ResponseBody
    public Map<String, Object> length(@RequestParam String text, @RequestParam String unit) {
        UnitSystem units = unit.equals("m") ? UnitSystem.METRIC : UnitSystem.US;
        if (text.length() > LONGEST) {
            throw refused(
                    text.substring(0, LONGEST) + "…", "is longer than " + LONGEST + " characters: for example 6 in");
        }
        try {
            double metres = UnitText.parse(text, Quantity.LENGTH, Dimension.ROOF_LENGTH.unit(units))
                    .si();
            if (metres > 0 && metres <= MOST_M) {
                return Map.of("metres", metres);
            }
        } catch (UnitTextException e) {
            throw refused(text, e.getMessage());
        }
        throw refused(text, "has to be more than 0 and at most 1000 m: for example 6 in or 150 mm");
    }

    private static JobService.Refused refused(String typed, String message) {
        return new JobService.Refused(List.of(new Problem("$.length", "Length", typed, message)));
    }
}
