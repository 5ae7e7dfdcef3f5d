package whipsaw.app.entry;

import java.util.ArrayList;
import java.util.List;
import whipsaw.app.store.CatalogueStore;
import whipsaw.app.store.Json;
import whipsaw.core.design.Design;
import whipsaw.core.job.PinKinds;
import whipsaw.core.job.Survey;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;

/** The fields of what a visit found: pins, cable routes, viewers, occupants, the picture under the plan. */
final class SurveyEntry extends EntryFields {
    private static final int OPEN_GROUPS = 24;

    private final Survey survey;

    SurveyEntry(Design design, CatalogueStore catalogue) {
        super(design, catalogue);
        this.survey = job.survey();
    }

    /** The roofs of the job: the one that is worked on, and the others with their place beside it. */
    List<EntryForm.Group> roofs() {
        List<EntryForm.Group> groups = new ArrayList<>();
        groups.add(plain("Worked on", text("$.survey.roofName", "Name", survey.roofName())));
        for (Survey.OtherRoof r : survey.roofs()) {
            String path = "$.survey.roofs[id=" + r.id() + "]";
            RoofPlan plan = RoofPlan.of(r.roof());
            groups.add(new EntryForm.Group(
                    r.name() + ", " + Show.both(units, Dimension.AREA, plan.areaM2()),
                    "",
                    path,
                    List.of(
                            text(path + ".name", "Name", r.name()),
                            measure(path + ".x", "Its corner 0,0 at x", Dimension.ROOF_LENGTH, r.x()),
                            measure(path + ".y", "and y", Dimension.ROOF_LENGTH, r.y()))));
        }
        return groups;
    }

    List<EntryForm.Group> pins() {
        List<EntryForm.Group> groups = new ArrayList<>();
        for (Survey.Pin pin : survey.pins()) {
            String path = "$.survey.pins[id=" + pin.id() + "]";
            PinKinds.Kind kind = PinKinds.of(pin);
            List<EntryForm.Input> inputs = new ArrayList<>();
            inputs.add(choice(path + ".kind", "Kind", pin.kind(), PinKinds.names()));
            inputs.add(measure(path + ".x", "At x", Dimension.ROOF_LENGTH, pin.x()));
            inputs.add(measure(path + ".y", "At y", Dimension.ROOF_LENGTH, pin.y()));
            inputs.add(optionalText(path + ".note", "Note", pin.note(), ""));
            if (kind.reach()) {
                inputs.add(measure(path + ".reach", "Reach", Dimension.ROOF_LENGTH, pin.reach(), "not known"));
            }
            if (kind.load()) {
                inputs.add(measure(path + ".load", "Lifts or bears", Dimension.MASS, pin.load(), "not known"));
            }
            inputs.add(optionalText(path + ".by", "Seen by", pin.by(), ""));
            inputs.add(optionalText(
                    path + ".seen", "On", pin.seen() == null ? "" : pin.seen().toString(), "as 2026-05-31"));
            String photos = pin.photos().isEmpty() ? "" : ", " + pin.photos().size() + " photographs";
            groups.add(EntryForm.Group.of(
                    pin.kind() + photos, path, path, survey.pins().size() > OPEN_GROUPS, () -> inputs));
        }
        return groups;
    }

    List<EntryForm.Group> sight() {
        List<EntryForm.Group> groups = new ArrayList<>();
        groups.add(plain("", yesNo("$.survey.unseen", "Must not be seen", survey.unseen())));
        for (Survey.Viewer v : survey.viewers()) {
            String path = "$.survey.viewers[id=" + v.id() + "]";
            groups.add(new EntryForm.Group(
                    v.name(),
                    "",
                    path,
                    List.of(
                            text(path + ".name", "Name", v.name()),
                            measure(path + ".x", "At x", Dimension.ROOF_LENGTH, v.x()),
                            measure(path + ".y", "At y", Dimension.ROOF_LENGTH, v.y()),
                            measure(path + ".eye", "Eye above its ground", Dimension.ROOF_LENGTH, v.eye()),
                            measure(
                                    path + ".ground",
                                    "That ground above the building's",
                                    Dimension.ROOF_LENGTH,
                                    v.ground()))));
        }
        return groups;
    }

    List<EntryForm.Group> routes() {
        List<EntryForm.Group> groups = new ArrayList<>();
        for (Survey.Route r : survey.routes()) {
            String path = "$.survey.routes[id=" + r.id() + "]";
            groups.add(new EntryForm.Group(
                    r.name() + ", " + Show.both(units, Dimension.ROOF_LENGTH, r.lengthM()),
                    "",
                    path,
                    List.of(
                            text(path + ".name", "Name", r.name()),
                            optionalText(path + ".keys", "Keys", r.keys(), "who holds them, and when"),
                            optionalText(path + ".note", "Note", r.note(), "old holes, who to ask"))));
            for (int i = 0; i < r.legs().size(); i++) {
                Survey.RouteLeg leg = r.legs().get(i);
                String at = path + ".legs[" + i + "]";
                String photos =
                        leg.photos().isEmpty() ? "" : ", " + leg.photos().size() + " photographs";
                groups.add(new EntryForm.Group(
                        r.name() + ", leg " + (i + 1) + photos,
                        "",
                        at,
                        List.of(
                                text(at + ".name", "What it is", leg.name()),
                                yesNo(at + ".vertical", "A rise or drop", leg.vertical()),
                                measure(at + ".length", "Length", Dimension.ROOF_LENGTH, leg.length()))));
                groups.add(place(at + ".place", leg));
            }
        }
        for (Survey.Occupant o : survey.occupants()) {
            String path = "$.survey.occupants[id=" + o.id() + "]";
            List<EntryForm.Input> inputs = new ArrayList<>(List.of(
                    text(path + ".name", "Name", o.name()), optionalText(path + ".meter", "Meter", o.meter(), "")));
            if (o.year() == null) {
                inputs.add(new EntryForm.Input(
                        path + ".kw",
                        "Mean power, hours 0 to 23",
                        numbers(o.kw()),
                        "kW",
                        "24 numbers; or a file of readings on the survey page",
                        List.of(),
                        "numbers",
                        false));
            } else {
                inputs.add(number(
                        path + ".year.summerFrom",
                        "Tariff's summer from month",
                        o.year().summerFrom(),
                        ""));
                inputs.add(number(path + ".year.summerTo", "to month", o.year().summerTo(), ""));
            }
            inputs.add(optionalText(path + ".source", "Source", o.source(), ""));
            groups.add(new EntryForm.Group(
                    o.name() + ", " + Show.number(o.kwhPerDay(), 0) + " kWh a day"
                            + (o.year() == null
                                    ? ""
                                    : ", 8760 hours from " + o.year().from()),
                    "",
                    path,
                    inputs));
        }
        return groups;
    }

    /** Where a leg is on the plan; a rise or drop has one end. */
    private EntryForm.Group place(String path, Survey.RouteLeg leg) {
        Survey.LegPlace p = leg.place();
        String none = "not on the plan";
        List<EntryForm.Input> inputs = new ArrayList<>(List.of(
                measure(path + ".x", "At x", Dimension.ROOF_LENGTH, p == null ? null : p.x(), none),
                measure(path + ".y", "At y", Dimension.ROOF_LENGTH, p == null ? null : p.y(), none)));
        if (!leg.vertical()) {
            inputs.add(measure(path + ".toX", "To x", Dimension.ROOF_LENGTH, p == null ? null : p.toX(), none));
            inputs.add(measure(path + ".toY", "To y", Dimension.ROOF_LENGTH, p == null ? null : p.toY(), none));
        }
        return new EntryForm.Group("On the plan", path, "", inputs);
    }

    private static String numbers(List<Double> values) {
        return String.join(" ", values.stream().map(v -> Show.number(v, 3)).toList());
    }

    List<EntryForm.Group> picture() {
        Survey.Underlay u = survey.underlay();
        if (u == null) {
            return List.of();
        }
        String path = "$.survey.underlay";
        return List.of(new EntryForm.Group(
                "Picture",
                "",
                path,
                List.of(
                        number(path + ".opacityPct", "Strength", u.opacityPct(), "%"),
                        measure(path + ".x", "Lower left at x", Dimension.ROOF_LENGTH, u.x()),
                        measure(path + ".y", "Lower left at y", Dimension.ROOF_LENGTH, u.y()),
                        number(path + ".turnDeg", "Turned anticlockwise", u.turnDeg(), "°"),
                        new EntryForm.Input(
                                path + ".metresPerPixel",
                                "Metres a pixel",
                                Json.write(u.metresPerPixel()),
                                "m",
                                "from two points measured on it",
                                List.of(),
                                "text",
                                false))));
    }
}
