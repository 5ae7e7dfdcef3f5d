package whipsaw.app.entry;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import org.springframework.web.util.HtmlUtils;
import whipsaw.app.store.CatalogueStore;
import whipsaw.app.store.Json;
import whipsaw.core.design.Design;
import whipsaw.core.job.Job;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.roof.TapeText;
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

    /** A part of the form that opens and closes. */
    public record Section(String id, String title, boolean open, List<Group> groups) {
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
        RoofEntry roof = new RoofEntry(design, catalogue);
        SurveyEntry survey = new SurveyEntry(design, catalogue);
        return List.of(
                new Section("site", "Site", false, new SiteEntry(design, catalogue, tables).groups()),
                new Section("roof", "Roof", false, roof.roof()),
                new Section("fabric", "Form and build-up", false, roof.fabric()),
                new Section("structure", "Structure", false, new StructureEntry(design, catalogue).groups()),
                new Section("obstructions", "Obstructions", false, roof.obstructions()),
                new Section("roofs", "Roofs of this job", false, survey.roofs()),
                new Section("found", "Pinned on the roof", false, survey.pins()),
                new Section("services", "Cable routes and use", false, survey.routes()),
                new Section("sight", "Seen from", false, survey.sight()),
                new Section("picture", "Picture under the plan", false, survey.picture()),
                new Section("array", "Array", true, form.array()),
                new Section("electrical", "Circuits and AC run", false, form.electrical()),
                new Section("job", "Job", false, form.project()));
    }

    /** The tape survey as called out, or empty when the outline was drawn. */
    public static String tape(Job job) {
        return job.roof().outline() instanceof Job.Taped taped ? TapeText.write(taped) : "";
    }

    private List<Group> project() {
        return List.of(plain(
                "",
                text("$.project.name", "Job name", job.project().name()),
                text("$.project.place", "Place", job.project().place()),
                text("$.project.preparedBy", "Prepared by", job.project().preparedBy()),
                optionalText(
                        "$.project.signatory",
                        "Engineer who signs",
                        job.project().signatory(),
                        "name, title, licence; stands on every sheet"),
                choice("$.project.units", "Shown in", units.key(), List.of("us", "metric"))));
    }

    private List<Group> array() {
        Job.ArrayChoice a = job.array();
        List<Option> tilts = new ArrayList<>();
        a.tray().tilts().forEach(t -> tilts.add(new Option(t.typed(), Show.in(units, Dimension.ANGLE, t.si()))));
        List<Option> gaps = new ArrayList<>();
        boolean pairs = a.tray().pairs();
        gaps.add(new Option("", pairs ? "smallest valley" : "smallest without shadow"));
        a.tray().gaps().forEach(g -> gaps.add(new Option(g.typed(), Show.both(units, Dimension.PART_LENGTH, g.si()))));
        List<Option> facings = new ArrayList<>();
        for (RoofPlan.Edge e : design.plan().edges()) {
            facings.add(new Option("{\"edge\":" + e.number() + "}", "edge " + e.number()));
        }
        String azimuth = a.facing() instanceof Job.ToAzimuth to
                ? Json.write(Map.of("azimuth", to.azimuth().typed()))
                : "{\"azimuth\":\"" + Show.number(design.layout().facingDeg(), 1) + " deg\"}";
        facings.add(new Option(azimuth, "an azimuth"));
        String facing = a.facing() instanceof Job.ToEdge to ? "{\"edge\":" + to.edge() + "}" : azimuth;
        List<Input> layout = new ArrayList<>();
        layout.add(new Input(
                "$.array.tilt", "Tilt", sameSetting(a.tray().tilts(), a.tilt()), "", "", tilts, "choice", false));
        layout.add(new Input(
                "$.array.gap",
                pairs ? "Valley gap" : "Row gap",
                a.gap() == null ? "" : sameSetting(a.tray().gaps(), a.gap()),
                "",
                "now " + Show.both(units, Dimension.PART_LENGTH, design.layout().gapM()),
                gaps,
                "choice",
                false));
        layout.add(new Input(
                "$.array.facing", pairs ? "One face looks to" : "Rows face", facing, "", "", facings, "json", false));
        if (a.facing() instanceof Job.ToAzimuth to) {
            layout.add(measure("$.array.facing.azimuth", "Azimuth", Dimension.ANGLE, to.azimuth()));
        }
        layout.add(measure(
                "$.array.setback",
                "Set-back",
                Dimension.ROOF_LENGTH,
                a.setback(),
                "by rule: " + design.layout().setbackRule()));
        layout.add(measure(
                "$.array.shiftAlong",
                "Shift along the rows",
                Dimension.ROOF_LENGTH,
                zeroAsNone(a.shiftAlong()),
                "none"));
        layout.add(measure(
                "$.array.shiftAcross",
                "Shift across the rows",
                Dimension.ROOF_LENGTH,
                zeroAsNone(a.shiftAcross()),
                "none"));
        Job.Walkway w = a.walkway();
        return List.of(
                plain(
                        "Parts",
                        part(
                                "$.array.tray",
                                "Tray system",
                                "tray-system",
                                a.tray().info()),
                        part("$.array.module", "Module", "module", a.module().info()),
                        part("$.array.block", "Block", "block", a.block().info())),
                new Group("Layout", "", "", layout),
                new Group(
                        "Walkway",
                        "$.array.walkway",
                        "",
                        List.of(
                                text(
                                        "$.array.walkway.every",
                                        pairs ? "Every so many pairs" : "Every so many rows",
                                        w == null ? "" : String.valueOf(w.every())),
                                text(
                                        "$.array.walkway.first",
                                        pairs ? "First behind pair" : "First behind row",
                                        w == null ? "" : String.valueOf(w.first())),
                                measure(
                                        "$.array.walkway.width",
                                        "Width",
                                        Dimension.ROOF_LENGTH,
                                        w == null ? null : w.width(),
                                        "none"))),
                attachments(a.attachments()),
                plain(
                        "No row shadow on the shortest day",
                        number("$.array.windowFrom", "from, solar hour", a.windowFrom(), "h"),
                        number("$.array.windowTo", "to, solar hour", a.windowTo(), "h")));
    }

    private Group attachments(Job.Attachments at) {
        String path = "$.array.attachments";
        return new Group(
                "Attachments beside weight",
                path,
                "",
                List.of(
                        measure(
                                path + ".tension",
                                "One takes up",
                                Dimension.FORCE,
                                at == null ? null : at.tension(),
                                "allowable, or design resistance in EN"),
                        measure(
                                path + ".shear",
                                "and along the roof",
                                Dimension.FORCE,
                                at == null ? null : at.shear(),
                                ""),
                        text(
                                path + ".mostBlocks",
                                "Blocks on a position",
                                at == null ? "" : String.valueOf(at.mostBlocks())),
                        loose(
                                path + ".bays",
                                "in bays",
                                at == null ? "" : String.join(", ", at.bays()),
                                "as B2, C2; empty: all"),
                        loose(
                                path + ".kind",
                                "How they are fixed",
                                at == null ? "" : at.kind(),
                                "bonded, screwed or bolted")));
    }

    private static Measure zeroAsNone(Measure m) {
        return m.si() == 0 ? null : m;
    }

    /** The text of the setting that has the same value, so that the select shows it. */
    private static String sameSetting(List<Measure> settings, Measure value) {
        return settings.stream()
                .filter(s -> Math.abs(s.si() - value.si()) < 1e-6)
                .map(Measure::typed)
                .findFirst()
                .orElse(value.typed());
    }

    private List<Group> electrical() {
        Job.Electrical e = job.electrical();
        Job.AcRun run = e.run();
        List<Group> groups = new ArrayList<>();
        groups.add(plain(
                "Inverters",
                part(
                        "$.electrical.inverter",
                        "Inverter",
                        "inverter",
                        e.inverter().info()),
                number("$.electrical.dcAcMost", "DC to AC at most", e.dcAcMost(), ""),
                json(
                        "$.electrical.place",
                        "The array is on",
                        e.place(),
                        List.of(
                                new Option("\"building\"", "or in a building"),
                                new Option("\"dwelling\"", "a one- or two-family dwelling"),
                                new Option("\"ground\"", "the ground"))),
                measure("$.electrical.systemLimit", "DC system limit", Dimension.VOLTAGE, e.systemLimit()),
                number("$.electrical.cellRiseC", "Cell above ambient", e.cellRiseC(), "°C")));
        List<Input> points = new ArrayList<>();
        for (int i = 0; i < run.points().size(); i++) {
            String path = "$.electrical.run.points[" + i + "]";
            String name = i == 0 ? "Inverters" : "Point " + (i + 1);
            points.add(measure(
                    path + ".x",
                    name + ", x",
                    Dimension.ROOF_LENGTH,
                    run.points().get(i).x()));
            points.add(measure(
                    path + ".y",
                    name + ", y",
                    Dimension.ROOF_LENGTH,
                    run.points().get(i).y()));
        }
        groups.add(new Group("Route of the AC run", "", "", points));
        for (int i = 0; i < run.legs().size(); i++) {
            String path = "$.electrical.run.legs[" + i + "]";
            groups.add(new Group(
                    "Vertical leg " + (i + 1),
                    "",
                    path,
                    List.of(
                            text(path + ".name", "What it is", run.legs().get(i).name()),
                            measure(
                                    path + ".length",
                                    "Length",
                                    Dimension.ROOF_LENGTH,
                                    run.legs().get(i).length()))));
        }
        groups.add(plain(
                "Conductors",
                number("$.electrical.run.slackPct", "Slack", run.slackPct(), "%"),
                part(
                        "$.electrical.run.conductor",
                        "Conductor",
                        "conductor",
                        run.conductor().info()),
                text("$.electrical.run.feeders", "Feeders side by side", String.valueOf(run.feeders())),
                choice("$.electrical.run.raceway", "Raceway", run.raceway(), List.of("steel", "pvc")),
                choice("$.electrical.run.terminals", "Terminals", run.terminalC() + " C", List.of("75 C", "60 C")),
                yesNo("$.electrical.run.inSun", "In the sun", run.inSun()),
                measure("$.electrical.run.aboveRoof", "Above the roof", Dimension.PART_LENGTH, run.aboveRoof()),
                number("$.electrical.run.dropLimitPct", "Drop at most", run.dropLimitPct(), "%"),
                number("$.electrical.run.powerFactor", "Power factor", run.powerFactor(), "")));
        return groups;
    }
}
