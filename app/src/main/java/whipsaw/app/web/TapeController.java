package whipsaw.app.web;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Coordinate;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseBody;
import whipsaw.app.job.JobService;
import whipsaw.core.job.Outline;
import whipsaw.core.roof.SurveyReport;
import whipsaw.core.roof.TapeSlips;
import whipsaw.core.roof.TapeText;
import whipsaw.core.roof.Traverse;
import whipsaw.core.schema.Problem;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/** The roof as it draws itself while its tape survey is typed. */
@Controller
public class TapeController {
    private static final int LONGEST = 20_000;
    private static final int MOST_LINES = 40;

    private final JobService jobs;

    public TapeController(JobService jobs) {
        this.jobs = jobs;
    }

    /**
     * Reads a survey as far as it is typed.
     *
     * @return points in metres as walked, the closing gap in words, legs as a document, problems by
     *     line
     */
    @PostMapping(path = "/jobs/{slug}/tape", consumes = "application/json")
    @ResponseBody
    public Map<String, Object> read(@PathVariable String slug, @RequestBody Map<String, Object> body) {
        UnitSystem units = jobs.open(slug).design().job().project().units();
        String text = String.valueOf(body.get("text"));
        if (text.length() > LONGEST) {
            throw new JobController.DocumentPatchProblem("the survey is longer than " + LONGEST + " characters");
        }
        var reading = TapeText.read(text, Dimension.ROOF_LENGTH.unit(units));
        Map<String, Object> answer = new LinkedHashMap<>();
        answer.put("problems", reading.problems().stream().map(Problem::words).toList());
        Outline.Taped taped = reading.taped();
        answer.put(
                "legs",
                taped.legs().stream()
                        .map(l ->
                                Map.of("length", l.length().typed(), "turnDeg", l.turnDeg(), "measured", l.measured()))
                        .toList());
        answer.put(
                "diagonals",
                taped.diagonals().stream()
                        .map(d -> Map.of(
                                "from",
                                d.from(),
                                "to",
                                d.to(),
                                "length",
                                d.length().typed()))
                        .toList());
        answer.put(
                "offsets",
                taped.offsets().stream()
                        .map(o -> Map.of(
                                "corner",
                                o.corner(),
                                "from",
                                o.from(),
                                "to",
                                o.to(),
                                "length",
                                o.length().typed()))
                        .toList());
        if (taped.legs().isEmpty()) {
            answer.put("points", List.of());
            answer.put("words", "");
            return answer;
        }
        Traverse walk = Traverse.of(
                taped.legs().stream()
                        .map(l -> new Traverse.Leg(l.length().si(), l.turnDeg()))
                        .toList(),
                false);
        boolean up = !walk.counterClockwise();
        answer.put(
                "slips",
                TapeSlips.of(taped, units).stream()
                        .map(s -> {
                            Coordinate c = TapeSlips.at(s, walk);
                            return Map.of("words", s.words(), "at", up ? turned(c) : List.of(c.x, c.y));
                        })
                        .toList());
        fit(answer, taped, units, up, "compass".equals(body.get("closing")));
        answer.put(
                "points",
                walk.rawVertices().stream()
                        .map(c -> up ? turned(c) : List.of(c.x, c.y))
                        .toList());
        answer.put("words", words(taped.legs().size(), walk, units));
        return answer;
    }

    /** The outline that fits best and what every tape makes of it; nothing while the walk is far from closing. */
    private static void fit(
            Map<String, Object> answer, Outline.Taped taped, UnitSystem units, boolean up, boolean compass) {
        int corners = taped.legs().size();
        boolean meant = taped.diagonals().stream().allMatch(d -> d.crosses(corners))
                && taped.offsets().stream().allMatch(o -> o.names(corners));
        if (compass || !meant) {
            return;
        }
        SurveyReport report = SurveyReport.of(taped, units);
        if (report == null) {
            return;
        }
        answer.put(
                "fitted",
                report.fit().vertices().stream()
                        .map(c -> up ? turned(c) : List.of(c.x, c.y))
                        .toList());
        answer.put("verdict", report.verdict());
        answer.put("suspects", report.suspects());
        answer.put("decide", report.decide());
        answer.put(
                "residuals",
                report.lines().stream()
                        .limit(MOST_LINES)
                        .map(l -> Map.of(
                                "name",
                                l.name(),
                                "words",
                                l.words(),
                                "times",
                                Show.number(l.normalised(), 1),
                                "suspect",
                                l.suspect()))
                        .toList());
    }

    private static List<Double> turned(Coordinate c) {
        return List.of(-c.y, c.x);
    }

    private static String words(int edges, Traverse walk, UnitSystem units) {
        String gap = Show.both(units, Dimension.ROOF_LENGTH, walk.closureM());
        String ratio = Double.isNaN(walk.ratio()) ? "" : ", 1 in " + Show.number(walk.ratio(), 0);
        return edges
                + (edges == 1 ? " edge, " : " edges, ")
                + "turns off a full circle by "
                + Show.number(walk.misclosureDeg(), 1)
                + " deg, "
                + gap
                + " from the start"
                + ratio;
    }
}
