package whipsaw.app.entry;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import org.springframework.web.util.HtmlUtils;
import whipsaw.app.store.CatalogueStore;
import whipsaw.app.store.Json;
import whipsaw.core.design.Design;
import whipsaw.core.design.Stage;
import whipsaw.core.job.ArrayChoice;
import whipsaw.core.job.Corner;
import whipsaw.core.job.Electrical;
import whipsaw.core.job.InverterGroup;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobArray;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.Outline;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.roof.TapeText;
import whipsaw.core.schema.Path;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Show;

/**
 * The entry side of the page: every input of a job with its path, what was typed, its unit and the
 * value in the other system.
 */
public final class EntryForm extends EntryFields {
    /**
     * One input.
     *
     * @param path in the document
     * @param unit unit a bare number means, empty for texts
     * @param hint the value in the other system, or where it comes from
     * @param options empty for a text field
     * @param kind {@code text}, {@code optional}: removed when emptied, {@code loose}: may stay empty in a group stored whole, {@code choice}, {@code json}: options that are
     *     JSON values, or {@code place}: distances from edges
     */
    public record Input(
            String path,
            String label,
            String value,
            String unit,
            String hint,
            List<Option> options,
            String kind,
            boolean assumed) {

        Input called(String name) {
            return new Input(path, name, value, unit, hint, options, kind, assumed);
        }

        Input set(String shown) {
            return new Input(path, label, shown, unit, hint, options, kind, assumed);
        }

        Input hinted(String words) {
            return new Input(path, label, value, unit, words, options, kind, assumed);
        }

        Input choosing(List<Option> choices, String how) {
            // a choice says its unit itself
            return new Input(path, label, value, choices.isEmpty() ? unit : "", hint, choices, how, assumed);
        }

        Input assumed(boolean is) {
            return new Input(path, label, value, unit, hint, options, kind, is);
        }

        /** The choices as they stand in a list, the value chosen. */
        public String choices() {
            return Option.list(options, value);
        }
    }

    /** A choice with its words. */
    public record Option(String value, String words) {
        /** A list of choices in HTML; a roof of many edges or things has hundreds of them. */
        public static String list(List<Option> options, String chosen) {
            StringBuilder html = new StringBuilder();
            for (Option o : options) {
                html.append("<option value=\"")
                        .append(HtmlUtils.htmlEscape(o.value()))
                        .append('"');
                html.append(o.value().equals(chosen) ? " selected=\"selected\">" : ">");
                html.append(HtmlUtils.htmlEscape(o.words())).append("</option>");
            }
            return html.toString();
        }
    }

    /**
     * Inputs that belong together.
     *
     * @param object path of an object whose fields are stored together or not at all; empty for
     *     single fields
     * @param thing path of a list entry that can be removed; empty when it cannot
     * @param common path the fields of a shut group have in common; empty when they are on the page
     * @param fields made when they are asked for
     */
    public record Group(String title, String object, String thing, String common, Supplier<List<Input>> fields) {
        public Group(String title, String object, String thing, List<Input> inputs) {
            this(title, object, thing, "", () -> inputs);
        }

        /** A group whose fields come only when it is opened, when there are many like it. */
        static Group of(String title, String thing, String common, boolean shut, Supplier<List<Input>> fields) {
            return shut ? new Group(title, "", thing, common, fields) : new Group(title, "", thing, fields.get());
        }

        /** The figure that tells more of a thing, or empty: of an obstruction its shade by the hour. */
        public String figure() {
            String of = "$.roof.obstructions[id=";
            return thing.startsWith(of) ? "shade/" + thing.substring(of.length(), thing.length() - 1) : "";
        }

        public boolean shut() {
            return !common.isEmpty();
        }

        public List<Input> inputs() {
            return fields.get();
        }
    }

    /**
     * A part of the form that opens and closes.
     *
     * @param stage it belongs to; null when it is there at every stage
     */
    public record Section(String id, String title, Stage stage, boolean open, List<Group> groups) {
        /** Groups whose fields come only when one is chosen. */
        public long shut() {
            return groups.stream().filter(Group::shut).count();
        }

        /** The same to choose from. */
        public String picks() {
            List<Option> picks = new ArrayList<>(List.of(new Option("", "choose one of " + shut())));
            groups.stream().filter(Group::shut).forEach(g -> picks.add(new Option(g.common(), g.title())));
            return Option.list(picks, "");
        }
    }

    private EntryForm(Design design, CatalogueStore catalogue) {
        super(design, catalogue);
    }

    public static List<Section> of(Design design, CatalogueStore catalogue, CodeTables tables) {
        EntryForm form = new EntryForm(design, catalogue);
        boolean placed = design.job().placed() != null;
        RoofEntry roof = new RoofEntry(design, catalogue);
        SurveyEntry survey = new SurveyEntry(design, catalogue);
        return List.of(
                new Section("site", "Site", Stage.LOADS, false, new SiteEntry(design, catalogue, tables).groups()),
                new Section("roof", "Roof", Stage.ROOF, false, roof.roof()),
                new Section("fabric", "Form and build-up", Stage.ROOF, false, roof.fabric()),
                new Section(
                        "structure", "Structure", Stage.LOADS, false, new StructureEntry(design, catalogue).groups()),
                new Section("obstructions", "Obstructions", Stage.ROOF, false, roof.obstructions()),
                new Section("roofs", "Roofs of this job", Stage.ROOF, false, survey.roofs()),
                new Section("found", "Pinned on the roof", Stage.ROOF, false, survey.pins()),
                new Section("sight", "Seen from", Stage.ARRAY, false, survey.sight()),
                new Section("picture", "Picture under the plan", Stage.ROOF, false, survey.picture()),
                new Section("arrays", "Arrays of this job", Stage.ARRAY, false, form.arrays()),
                new Section("array", "Array", Stage.ARRAY, true, placed ? form.array() : List.of()),
                new Section("hold-down", "Hold-down", Stage.HOLD_DOWN, true, placed ? form.holdDown() : List.of()),
                new Section("electrical", "Circuits", Stage.CIRCUITS, false, form.circuits()),
                new Section("run", "AC run", Stage.RUNS, false, form.run()),
                new Section("services", "Cable routes and use", Stage.RUNS, false, survey.routes()),
                new Section("job", "Job", null, false, form.project()));
    }

    /** The tape survey as called out, or empty when the outline was drawn. */
    public static String tape(Job job) {
        return job.roof().outline() instanceof Outline.Taped taped ? TapeText.write(taped) : "";
    }

    private List<Group> project() {
        Path<Job.Project> project = JobPaths.PROJECT;
        return List.of(plain(
                "",
                in(project.to(Job.Project::name)),
                in(project.to(Job.Project::place)),
                in(project.to(Job.Project::preparedBy)),
                in(project.to(Job.Project::signatory)),
                in(project.to(Job.Project::units))));
    }

    /** Name and area of the array that is looked at. */
    private List<Group> arrays() {
        if (job.placed() == null) {
            return List.of();
        }
        Path<JobArray> placed = JobPaths.PLACED;
        List<Group> groups = new ArrayList<>();
        List<Input> own = new ArrayList<>(List.of(in(placed.to(JobArray::name))));
        if (job.document().arrays().size() > 1) {
            own.add(in(placed.to(JobArray::apart))
                    .hinted(Show.both(
                            units,
                            Dimension.ROOF_LENGTH,
                            design.tables().arraySpacing().value("apart_m"))));
        }
        groups.add(new Group(job.placed().name().equals(job.place()) ? "Array " + job.place() : "", "", "", own));
        List<Input> corners = new ArrayList<>();
        for (int i = 0; i < job.placed().area().size(); i++) {
            Path<Corner> corner = placed.at(JobArray::area, i);
            corners.add(named(corner.to(Corner::x)));
            corners.add(named(corner.to(Corner::y)));
        }
        if (!corners.isEmpty()) {
            groups.add(new Group(
                    "Corners of its area", "", placed.to(JobArray::area).toString(), corners));
        }
        return groups;
    }

    private List<Group> array() {
        Path<ArrayChoice> array = JobPaths.ARRAY;
        Path<ArrayChoice.Walkway> walkway = array.to(ArrayChoice::walkway);
        Path<ArrayChoice.Aisle> aisle = array.to(ArrayChoice::aisle);
        ArrayChoice a = job.array();
        List<Input> layout = new ArrayList<>(List.of(tilt(array, a), gap(array, a), facing(array, a)));
        if (a.facing() instanceof ArrayChoice.ToAzimuth) {
            layout.add(in(array.to(ArrayChoice::facing)
                    .as(ArrayChoice.ToAzimuth.class)
                    .to(ArrayChoice.ToAzimuth::azimuth)));
        }
        Input setback = in(array.to(ArrayChoice::setback));
        layout.add(
                a.setback() == null
                        ? setback.hinted("by rule: " + design.layout().setbackRule())
                        : setback);
        layout.add(in(array.to(ArrayChoice::paths)));
        layout.add(in(array.to(ArrayChoice::shiftAlong)));
        layout.add(in(array.to(ArrayChoice::shiftAcross)));
        return List.of(
                plain("Parts", in(array.to(ArrayChoice::tray)), in(array.to(ArrayChoice::module))),
                new Group("Layout", "", "", layout),
                whole(
                        "Walkway",
                        walkway,
                        of(walkway.to(ArrayChoice.Walkway::every)),
                        of(walkway.to(ArrayChoice.Walkway::first)),
                        of(walkway.to(ArrayChoice.Walkway::width))),
                whole(
                        "Aisle across the rows",
                        aisle,
                        of(aisle.to(ArrayChoice.Aisle::every)),
                        of(aisle.to(ArrayChoice.Aisle::first)),
                        of(aisle.to(ArrayChoice.Aisle::width))),
                plain(
                        "No row shadow on the shortest day",
                        in(array.to(ArrayChoice::windowFrom)),
                        in(array.to(ArrayChoice::windowTo))));
    }

    private Input tilt(Path<ArrayChoice> array, ArrayChoice a) {
        List<Option> tilts = new ArrayList<>();
        a.tray().tilts().forEach(t -> tilts.add(new Option(t.typed(), Show.in(units, Dimension.ANGLE, t.si()))));
        return in(array.to(ArrayChoice::tilt))
                .choosing(tilts, "choice")
                .set(sameSetting(a.tray().tilts(), a.tilt()))
                .hinted("");
    }

    private Input gap(Path<ArrayChoice> array, ArrayChoice a) {
        boolean pairs = a.tray().pairs();
        List<Option> gaps =
                new ArrayList<>(List.of(new Option("", pairs ? "smallest valley gap" : "smallest without shadow")));
        a.tray().gaps().forEach(g -> gaps.add(new Option(g.typed(), Show.both(units, Dimension.PART_LENGTH, g.si()))));
        String now = Show.both(units, Dimension.PART_LENGTH, design.layout().gapM());
        return in(array.to(ArrayChoice::gap))
                .choosing(gaps, "optional")
                .set(a.gap() == null ? "" : sameSetting(a.tray().gaps(), a.gap()))
                .hinted((pairs ? "valley between pairs, now " : "now ") + now);
    }

    /** Towards an edge, or an azimuth; one face of pairs looks there. */
    private Input facing(Path<ArrayChoice> array, ArrayChoice a) {
        List<Option> facings = new ArrayList<>();
        for (RoofPlan.Edge e : design.plan().edges()) {
            facings.add(new Option("{\"edge\":" + e.number() + "}", "edge " + e.number()));
        }
        String azimuth = a.facing() instanceof ArrayChoice.ToAzimuth to
                ? Json.write(Map.of("azimuth", to.azimuth().typed()))
                : "{\"azimuth\":\"" + Show.number(design.layout().facingDeg(), 1) + " deg\"}";
        facings.add(new Option(azimuth, "an azimuth"));
        String facing = a.facing() instanceof ArrayChoice.ToEdge to ? "{\"edge\":" + to.edge() + "}" : azimuth;
        return in(array.to(ArrayChoice::facing))
                .choosing(facings, "json")
                .set(facing)
                .hinted(a.tray().pairs() ? "one face of the pairs" : "");
    }

    private List<Group> holdDown() {
        Path<ArrayChoice> array = JobPaths.ARRAY;
        Path<ArrayChoice.Attachments> at = array.to(ArrayChoice::attachments);
        Path<ArrayChoice.Weighed> weighed = array.to(ArrayChoice::weighed);
        return List.of(
                plain("Ballast", in(array.to(ArrayChoice::block)), of(array.to(ArrayChoice::ballastBy))),
                whole(
                        "Blocks weighed",
                        weighed,
                        of(weighed.to(ArrayChoice.Weighed::count)),
                        of(weighed.to(ArrayChoice.Weighed::mean)),
                        of(weighed.to(ArrayChoice.Weighed::spread))),
                attachments(at));
    }

    private Group attachments(Path<ArrayChoice.Attachments> at) {
        return whole(
                "Attachments beside weight",
                at,
                of(at.to(ArrayChoice.Attachments::tension)),
                of(at.to(ArrayChoice.Attachments::shear)),
                of(at.to(ArrayChoice.Attachments::mostBlocks)),
                of(at.to(ArrayChoice.Attachments::bays)),
                of(at.to(ArrayChoice.Attachments::kind)));
    }

    /** The text of the setting that has the same value, so that the select shows it. */
    private static String sameSetting(List<Measure> settings, Measure value) {
        return settings.stream()
                .filter(s -> Math.abs(s.si() - value.si()) < 1e-6)
                .map(Measure::typed)
                .findFirst()
                .orElse(value.typed());
    }

    private List<Group> circuits() {
        Path<Electrical> electrical = JobPaths.ELECTRICAL;
        List<Group> groups = new ArrayList<>();
        List<InverterGroup> all = job.document().groups();
        if (all.size() > 1) {
            List<Option> choices =
                    all.stream().map(g -> new Option(g.id(), g.name())).toList();
            List<Input> own = new ArrayList<>();
            if (job.placed() != null) {
                own.add(in(JobPaths.PLACED.to(JobArray::feeds)).choosing(choices, "text"));
            }
            own.add(in(JobPaths.GROUP.to(InverterGroup::name)));
            groups.add(plain("Inverters this array feeds", own.toArray(Input[]::new)));
        }
        groups.add(plain(
                "Inverters",
                in(electrical.to(Electrical::inverter)),
                in(electrical.to(Electrical::dcAcMost)),
                in(electrical.to(Electrical::place)),
                in(electrical.to(Electrical::systemLimit)),
                in(electrical.to(Electrical::cellRiseC))));
        return groups;
    }

    private List<Group> run() {
        Path<Electrical.AcRun> run = JobPaths.ELECTRICAL.to(Electrical::run);
        List<Group> groups = new ArrayList<>();
        List<Input> points = new ArrayList<>();
        for (int i = 0; i < job.electrical().run().points().size(); i++) {
            Path<Corner> point = run.at(Electrical.AcRun::points, i);
            points.add(named(point.to(Corner::x)));
            points.add(named(point.to(Corner::y)));
        }
        groups.add(new Group("Route of the AC run, from the inverters", "", "", points));
        for (int i = 0; i < job.electrical().run().legs().size(); i++) {
            Path<Electrical.VerticalLeg> leg = run.at(Electrical.AcRun::legs, i);
            groups.add(thing(
                    "Vertical leg " + (i + 1),
                    leg,
                    List.of(in(leg.to(Electrical.VerticalLeg::name)), in(leg.to(Electrical.VerticalLeg::length)))));
        }
        groups.add(plain(
                "Conductors",
                in(run.to(Electrical.AcRun::slackPct)),
                in(run.to(Electrical.AcRun::conductor)),
                in(run.to(Electrical.AcRun::feeders)),
                in(run.to(Electrical.AcRun::raceway)),
                in(run.to(Electrical.AcRun::terminalC)),
                in(run.to(Electrical.AcRun::inSun)),
                in(run.to(Electrical.AcRun::aboveRoof)),
                in(run.to(Electrical.AcRun::dropLimitPct)),
                in(run.to(Electrical.AcRun::powerFactor))));
        return groups;
    }
}
