package whipsaw.app.web;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import whipsaw.app.hazard.HazardService;
import whipsaw.app.job.JobService;
import whipsaw.app.job.Suggested;
import whipsaw.app.store.Json;
import whipsaw.core.design.Design;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.Site;
import whipsaw.core.schema.Path;
import whipsaw.core.site.StandInHazard.Values;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/** Site values of a job's place, looked up and offered as a change; wind and snow are marked as assumed. */
@Controller
public class HazardController {
    private final JobService jobs;
    private final HazardService hazard;
    private final Suggested suggested;

    public HazardController(JobService jobs, HazardService hazard, Suggested suggested) {
        this.suggested = suggested;
        this.jobs = jobs;
        this.hazard = hazard;
    }

    @GetMapping("/jobs/{slug}/site-values")
    public String look(@PathVariable String slug, Model model) {
        Design design = jobs.open(slug).design();
        UnitSystem units = design.job().project().units();
        Values v = hazard.at(design.job().site());
        List<Map<String, Object>> changes = new ArrayList<>();
        changes.add(set(JobPaths.ASCE.to(Site.AsceSite::wind), "~" + Show.exact(units, Dimension.SPEED, v.windMps())));
        changes.add(set(JobPaths.ASCE.to(Site.AsceSite::snow), "~" + Show.exact(units, Dimension.LOAD, v.snowPa())));
        String words = "wind " + Show.both(units, Dimension.SPEED, v.windMps()) + ", ground snow "
                + Show.both(units, Dimension.LOAD, v.snowPa());
        if (design.job().site().code() instanceof Site.AsceSite && !Double.isNaN(v.sds())) {
            changes.add(set(JobPaths.ASCE.to(Site.AsceSite::sds), v.sds()));
            words += ", S_DS " + Show.number(v.sds(), 2);
        }
        model.addAttribute("source", v.source());
        model.addAttribute("words", words);
        suggested.offer(slug, changes, "Site values from " + v.source());
        model.addAttribute("changes", Json.write(changes));
        return "site-values :: values";
    }

    private static Map<String, Object> set(Path<?> path, Object value) {
        return Map.of("op", "set", "path", path.toString(), "value", value);
    }
}
