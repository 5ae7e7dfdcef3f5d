package whipsaw.core.survey;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import org.locationtech.jts.geom.Geometry;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.job.Job;
import whipsaw.core.job.Obstruction;
import whipsaw.core.job.ObstructionKinds;
import whipsaw.core.job.Survey;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/** What the findings of a survey ask of the job: tasks before and during the build, steps a warranty wants, places to keep off. */
public final class Consequences {

    /** What has to come of a finding. */
    public enum Kind {
        BEFORE("before the build"),
        BUILD("while building"),
        WARRANTY("for the warranty"),
        LATER("later"),
        KEEP_OFF("keep off");

        private final String words;

        Kind(String words) {
            this.words = words;
        }

        /** The group for readers. */
        public String words() {
            return words;
        }
    }

    /**
     * @param amount how much of it, with its unit; empty when there is none
     * @param because the finding it follows from
     */
    public record Consequence(Kind kind, String id, String title, String amount, String because) {}

    private final Job job;
    private final Survey survey;
    private final RoofPlan plan;
    private final ArrayLayout layout;
    private final UnitSystem units;
    private final List<Consequence> all = new ArrayList<>();

    private Consequences(Job job, RoofPlan plan, ArrayLayout layout) {
        this.job = job;
        this.survey = job.survey();
        this.plan = plan;
        this.layout = layout;
        this.units = job.project().units();
    }

    /** What has to be done after what was found on a roof. */
    public static List<Consequence> of(Job job, RoofPlan plan, ArrayLayout layout) {
        Consequences c = new Consequences(job, plan, layout);
        c.covering();
        c.warranty();
        c.safety();
        c.soiling();
        c.corrosion();
        return List.copyOf(c.all);
    }

    private void add(Kind kind, String id, String title, String amount, String because) {
        all.add(new Consequence(kind, id, title, amount, because));
    }

    private String area(double m2) {
        return Show.both(units, Dimension.AREA, m2);
    }

    private void covering() {
        if (survey.yes("gravel")) {
            double under = layout.footprintM2();
            double depth = survey.number("gravelDepth");
            String volume = Double.isNaN(depth)
                    ? ", depth not measured"
                    : ", about " + Show.number(under * depth, 1) + " m³ at " + survey.text("gravelDepth");
            add(
                    Kind.BEFORE,
                    "gravel",
                    "Clear the gravel under the array, without working room",
                    area(under) + volume,
                    "gravel on the membrane");
        }
        if (survey.yes("softInHeat")) {
            add(
                    Kind.BUILD,
                    "spread",
                    "A plate or sacrificial layer under every foot",
                    4 * layout.modules().size() + " plates for "
                            + Show.count(layout.modules().size(), "module")
                            + (survey.text("spreaderSide").isEmpty()
                                    ? ", size not given"
                                    : ", " + survey.text("spreaderSide") + " square"),
                    "the covering goes soft in summer heat");
        }
        if (survey.text("coverState").equals("to be replaced")) {
            add(Kind.BEFORE, "replace", "Replace the covering first", area(plan.areaM2()), "found to be replaced");
        }
    }

    private void warranty() {
        String holder = survey.text("warrantyHolder");
        if (holder.isEmpty() || holder.toLowerCase(Locale.ROOT).equals("none")) {
            return;
        }
        String until = survey.text("warrantyUntil");
        String because = "warranty of " + holder + (until.isEmpty() ? "" : " until " + until);
        add(
                Kind.WARRANTY,
                "warranty-letter",
                "Written consent of " + holder + " before anything is set down",
                "",
                because);
        String requires = survey.text("warrantyRequires");
        if (!requires.isEmpty()) {
            add(Kind.WARRANTY, "warranty-requires", "As they require: " + requires, "", because);
        }
        String flashes = survey.text("whoFlashes");
        if (!flashes.isEmpty()) {
            add(Kind.WARRANTY, "warranty-flash", "Penetrations are flashed by " + flashes + " only", "", because);
        }
        if (survey.yes("inspectionNeeded")) {
            add(Kind.WARRANTY, "warranty-inspection", "Final inspection by " + holder, "", because);
        }
    }

    private void safety() {
        Geometry off = NoWalk.of(job, plan);
        if (!off.isEmpty()) {
            long lights = job.roof().obstructions().stream()
                    .filter(ObstructionKinds::fragile)
                    .count();
            add(
                    Kind.KEEP_OFF,
                    "no-walk",
                    "Cover or rail off before anyone works near",
                    area(off.getArea()),
                    lights + " fragile lights" + (lights > 0 ? "" : ", pinned hazards"));
        }
        double guard = SurveyRules.value("edge_guard_height");
        double open = plan.edges().stream()
                .filter(e -> e.parapetHeightM() < guard)
                .mapToDouble(RoofPlan.Edge::lengthM)
                .sum();
        if (open > 0 && survey.text("edgeProtection").equals("none")) {
            add(
                    Kind.BEFORE,
                    "edge",
                    "Edge protection where no parapet reaches " + Show.both(units, Dimension.ROOF_LENGTH, guard),
                    Show.both(units, Dimension.ROOF_LENGTH, open),
                    "no edge protection found");
        }
        if (survey.yes("overheadLines")) {
            add(
                    Kind.BEFORE,
                    "lines",
                    "Ask the network operator before lifting; keep loads and ladders away from the lines",
                    "",
                    "overhead lines near");
        }
        for (Survey.Pin pin : survey.pins()) {
            if (pin.kind().equals("leak")
                    || pin.kind().equals("rust")
                    || pin.kind().equals("loose screws")) {
                add(
                        Kind.BEFORE,
                        "mend-" + pin.id(),
                        "Show the owner and have it mended: " + pin.kind()
                                + (pin.note().isEmpty() ? "" : ", " + pin.note()),
                        "",
                        "pinned" + (pin.seen() == null ? "" : " " + pin.seen()));
            }
        }
    }

    /** Modules in the drift of an exhaust, and sources of dirt around. */
    private void soiling() {
        Soiling soiling = Soiling.of(job, layout);
        for (Obstruction o : job.roof().obstructions()) {
            if (o.conduct().exhaust() == null) {
                continue;
            }
            Soiling.Source source = soiling.sources().stream()
                    .filter(s -> s.id().equals(o.id()))
                    .findFirst()
                    .orElseThrow();
            long in = layout.modules().stream()
                    .filter(m -> source.from(Soiling.middle(layout, m)).inDrift())
                    .count();
            if (in > 0) {
                add(
                        Kind.LATER,
                        "drift-" + o.id(),
                        "Clean modules in the drift of " + o.name(),
                        Show.count(in, "module"),
                        "exhaust to " + o.conduct().exhaust().typed());
            }
        }
        String dirt = survey.text("dirt");
        if (!dirt.isEmpty() && !dirt.equals("none")) {
            add(
                    Kind.LATER,
                    "dirt",
                    "Look at the soiling every " + Show.number(SurveyRules.value("look_" + dirt), 0) + " months",
                    reach(soiling),
                    dirt + (survey.text("dirtDistance").isEmpty() ? "" : " at " + survey.text("dirtDistance")));
        }
        if (survey.yes("newOccupant")) {
            add(
                    Kind.BEFORE,
                    "new-occupant",
                    "Ask the new occupant for flues and dust, and its use by the hour; look at the soiling again in a year",
                    "",
                    "a new occupant or trade since the last visit");
        }
    }

    /** The nearest and the farthest module of the source the survey names; empty while its place is not known. */
    private String reach(Soiling soiling) {
        Soiling.Source source = soiling.sources().stream()
                .filter(s -> s.id().isEmpty())
                .findFirst()
                .orElse(null);
        if (source == null) {
            return "";
        }
        Comparator<ArrayLayout.Module> away = Comparator.comparingDouble(
                m -> source.from(Soiling.middle(layout, m)).distanceM());
        ArrayLayout.Module near = layout.modules().stream().min(away).orElseThrow();
        ArrayLayout.Module far = layout.modules().stream().max(away).orElseThrow();
        return "nearest module " + near.number() + " at " + distance(source, near) + ", farthest " + far.number()
                + " at " + distance(source, far);
    }

    private String distance(Soiling.Source source, ArrayLayout.Module m) {
        return Show.both(
                units,
                Dimension.ROOF_LENGTH,
                source.from(Soiling.middle(layout, m)).distanceM());
    }

    private void corrosion() {
        double coast = survey.number("coast");
        if (coast < SurveyRules.value("coast_high")) {
            boolean severe = coast < SurveyRules.value("coast_severe");
            add(
                    Kind.BEFORE,
                    "salt",
                    (severe ? "Severe" : "High")
                            + " salt: ask every maker in writing that module, frame, clamps and screws are meant for it",
                    "",
                    "the sea at " + survey.text("coast"));
        }
        String chemicals = survey.text("chemicals");
        if (!chemicals.isEmpty() && !chemicals.equals("none")) {
            add(
                    Kind.BEFORE,
                    "chemicals",
                    "Ask every maker in writing that the parts are meant for it",
                    "",
                    "in the air: " + chemicals);
        }
    }
}
