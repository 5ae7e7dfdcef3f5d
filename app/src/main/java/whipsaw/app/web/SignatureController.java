package whipsaw.app.web;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import whipsaw.app.job.JobService;
import whipsaw.app.job.Signatures;
import whipsaw.app.job.Signing;
import whipsaw.core.build.BallastMap;
import whipsaw.core.check.Check;
import whipsaw.core.design.SignedDesign;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/** The engineer's signature under the ballast map: what stands in its way, what it rests on, what changed since. */
@Controller
public class SignatureController {
    private final JobService jobs;
    private final Signatures signatures;
    private final Signing signing;

    public SignatureController(JobService jobs, Signatures signatures, Signing signing) {
        this.jobs = jobs;
        this.signatures = signatures;
        this.signing = signing;
    }

    /** An open check that whoever signs has to settle. */
    public record Open(String key, String heading, String verdict, String sum, String remark) {
        static Open of(Check c) {
            return new Open(Signing.key(c), c.heading(), c.verdict().words(), c.sum(), c.remark());
        }
    }

    /** One array of the map that is signed. */
    public record MapLine(String name, int positions, int blocks, String mass, int attachments) {}

    @GetMapping("/jobs/{slug}/signature")
    public String page(@PathVariable String slug, Model model) {
        JobService.Shown shown = jobs.open(slug);
        UnitSystem units = shown.design().job().project().units();
        model.addAttribute("slug", slug);
        model.addAttribute("job", shown.design().job());
        model.addAttribute("revision", shown.revision());
        model.addAttribute("standing", jobs.standing(shown));
        model.addAttribute("all", signatures.all(slug));
        model.addAttribute("obstacles", SignedDesign.obstacles(shown.design()));
        model.addAttribute(
                "open", SignedDesign.open(shown.design()).stream().map(Open::of).toList());
        model.addAttribute("today", LocalDate.now());
        model.addAttribute(
                "lines",
                SignedDesign.map(shown.design()).arrays().stream()
                        .map(a -> line(a, units))
                        .toList());
        return "signature";
    }

    private static MapLine line(BallastMap.MapArray a, UnitSystem units) {
        return new MapLine(
                a.name(),
                a.places().size(),
                a.blocks(),
                Show.both(units, Dimension.MASS, a.blocks() * a.blockKg()),
                a.attachments());
    }

    /** Signs the newest revision. */
    @PostMapping("/jobs/{slug}/signature")
    public String sign(
            @PathVariable String slug,
            @RequestParam int base,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String licence,
            @RequestParam(defaultValue = "") String on,
            @RequestParam(defaultValue = "") String reliedOn,
            @RequestParam(required = false) List<String> settled) {
        Set<String> ticked = settled == null ? Set.of() : Set.copyOf(settled);
        signing.sign(slug, base, new Signing.Typed(name, licence, on, reliedOn, ticked));
        return "redirect:/jobs/" + slug + "/signature";
    }

    /** Opens a signed map for changes. */
    @PostMapping("/jobs/{slug}/signature/{id}/open")
    public String open(@PathVariable String slug, @PathVariable int id, @RequestParam(defaultValue = "") String name) {
        signing.open(slug, id, name);
        return "redirect:/jobs/" + slug + "/signature";
    }

    /** Takes a signature back. */
    @PostMapping("/jobs/{slug}/signature/{id}/withdraw")
    public String withdraw(
            @PathVariable String slug,
            @PathVariable int id,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String reason) {
        signing.withdraw(slug, id, name, reason);
        return "redirect:/jobs/" + slug + "/signature";
    }
}
