package whipsaw.app.entry;

import java.util.ArrayList;
import java.util.List;
import whipsaw.app.store.CatalogueStore;
import whipsaw.app.store.Json;
import whipsaw.core.design.Design;
import whipsaw.core.design.RoofDesign;
import whipsaw.core.job.JobDocument;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.JobRoof;
import whipsaw.core.job.PinKinds;
import whipsaw.core.job.Survey;
import whipsaw.core.schema.Path;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;

/** The fields of what a visit found: pins, cable routes, viewers, occupants, the picture under the plan. */
final class SurveyEntry extends EntryFields {
    private static final int OPEN_GROUPS = 24;

    private static final Path<Survey> SURVEY = JobPaths.SURVEY;

    private final Survey survey;

    SurveyEntry(Design design, CatalogueStore catalogue) {
        super(design, catalogue);
        this.survey = job.document().survey();
    }

    /** The roofs of the job with their places in the site; each but the first can be taken away. */
    List<EntryForm.Group> roofs() {
        List<EntryForm.Group> groups = new ArrayList<>();
        for (RoofDesign r : design.whole().roofs()) {
            boolean first = r == design.whole().roofs().get(0);
            Path<JobRoof> path =
                    JobPaths.DOCUMENT.id(JobDocument::roofs, r.roof().id());
            List<EntryForm.Input> inputs = new ArrayList<>(List.of(in(path.to(JobRoof::name))));
            if (!first) {
                inputs.add(in(path.to(JobRoof::x)));
                inputs.add(in(path.to(JobRoof::y)));
            }
            groups.add(new EntryForm.Group(
                    r.roof().name() + ", "
                            + Show.both(units, Dimension.AREA, r.plan().areaM2()),
                    "",
                    "",
                    inputs));
        }
        return groups;
    }

    List<EntryForm.Group> pins() {
        List<EntryForm.Group> groups = new ArrayList<>();
        for (Survey.Pin pin : survey.pins()) {
            Path<Survey.Pin> path = SURVEY.id(Survey::pins, pin.id());
            groups.add(EntryForm.Group.of(
                    pin.kind() + photos(pin.photos()),
                    path.toString(),
                    path.toString(),
                    survey.pins().size() > OPEN_GROUPS,
                    () -> pin(pin, path)));
        }
        return groups;
    }

    private List<EntryForm.Input> pin(Survey.Pin pin, Path<Survey.Pin> path) {
        PinKinds.Kind kind = PinKinds.of(pin);
        List<EntryForm.Input> inputs = new ArrayList<>(List.of(
                in(path.to(Survey.Pin::kind)),
                in(path.to(Survey.Pin::x)),
                in(path.to(Survey.Pin::y)),
                in(path.to(Survey.Pin::note))));
        if (kind.reach()) {
            inputs.add(in(path.to(Survey.Pin::reach)));
        }
        if (kind.load()) {
            inputs.add(in(path.to(Survey.Pin::load)));
        }
        inputs.add(in(path.to(Survey.Pin::by)));
        inputs.add(in(path.to(Survey.Pin::seen)));
        return inputs;
    }

    private static String photos(List<String> photos) {
        return photos.isEmpty() ? "" : ", " + Show.count(photos.size(), "photograph");
    }

    List<EntryForm.Group> sight() {
        List<EntryForm.Group> groups = new ArrayList<>();
        groups.add(plain("", in(SURVEY.to(Survey::unseen))));
        for (Survey.Viewer v : survey.viewers()) {
            Path<Survey.Viewer> path = SURVEY.id(Survey::viewers, v.id());
            groups.add(thing(
                    v.name(),
                    path,
                    List.of(
                            in(path.to(Survey.Viewer::name)),
                            in(path.to(Survey.Viewer::x)),
                            in(path.to(Survey.Viewer::y)),
                            in(path.to(Survey.Viewer::eye)),
                            in(path.to(Survey.Viewer::ground)))));
        }
        return groups;
    }

    List<EntryForm.Group> routes() {
        List<EntryForm.Group> groups = new ArrayList<>();
        for (Survey.Route r : survey.routes()) {
            Path<Survey.Route> path = SURVEY.id(Survey::routes, r.id());
            groups.add(thing(
                    r.name() + ", " + Show.both(units, Dimension.ROOF_LENGTH, r.lengthM()),
                    path,
                    List.of(
                            in(path.to(Survey.Route::name)),
                            in(path.to(Survey.Route::keys)),
                            in(path.to(Survey.Route::note)))));
            for (int i = 0; i < r.legs().size(); i++) {
                Path<Survey.RouteLeg> leg = path.at(Survey.Route::legs, i);
                groups.add(thing(
                        r.name() + ", leg " + (i + 1) + photos(r.legs().get(i).photos()),
                        leg,
                        List.of(
                                in(leg.to(Survey.RouteLeg::name)),
                                in(leg.to(Survey.RouteLeg::vertical)),
                                in(leg.to(Survey.RouteLeg::length)))));
                groups.add(place(leg.to(Survey.RouteLeg::place), r.legs().get(i).vertical()));
            }
        }
        for (Survey.Occupant o : survey.occupants()) {
            groups.add(occupant(o));
        }
        return groups;
    }

    private EntryForm.Group occupant(Survey.Occupant o) {
        Path<Survey.Occupant> path = SURVEY.id(Survey::occupants, o.id());
        List<EntryForm.Input> inputs =
                new ArrayList<>(List.of(in(path.to(Survey.Occupant::name)), in(path.to(Survey.Occupant::meter))));
        String title = o.name() + ", " + Show.number(o.kwhPerDay(), 0) + " kWh a day";
        if (o.year() == null) {
            inputs.add(in(path.to(Survey.Occupant::kw))
                    .choosing(List.of(), "numbers")
                    .set(numbers(o.kw()))
                    .hinted("24 numbers, hours 0 to 23; or a file of readings on the survey page"));
        } else {
            Path<Survey.Year> year = path.to(Survey.Occupant::year);
            inputs.add(in(year.to(Survey.Year::summerFrom)));
            inputs.add(in(year.to(Survey.Year::summerTo)));
            title += ", 8760 hours from " + o.year().from();
        }
        inputs.add(in(path.to(Survey.Occupant::source)));
        return thing(title, path, inputs);
    }

    /** Where a leg is on the plan; a rise or drop has one end. */
    private EntryForm.Group place(Path<Survey.LegPlace> path, boolean vertical) {
        List<EntryForm.Input> inputs =
                new ArrayList<>(List.of(of(path.to(Survey.LegPlace::x)), of(path.to(Survey.LegPlace::y))));
        if (!vertical) {
            // a run has two ends, and is stored when both are given
            inputs.add(in(path.to(Survey.LegPlace::toX)));
            inputs.add(in(path.to(Survey.LegPlace::toY)));
        }
        inputs.replaceAll(i -> i.value().isEmpty() ? i.hinted("not on the plan") : i);
        return new EntryForm.Group("On the plan", path.toString(), "", inputs);
    }

    private static String numbers(List<Double> values) {
        return String.join(" ", values.stream().map(v -> Show.number(v, 3)).toList());
    }

    List<EntryForm.Group> picture() {
        Survey.Underlay u = survey.underlay();
        if (u == null) {
            return List.of();
        }
        Path<Survey.Underlay> path = SURVEY.to(Survey::underlay);
        return List.of(thing(
                "Picture",
                path,
                List.of(
                        in(path.to(Survey.Underlay::opacityPct)),
                        in(path.to(Survey.Underlay::x)),
                        in(path.to(Survey.Underlay::y)),
                        in(path.to(Survey.Underlay::turnDeg)),
                        in(path.to(Survey.Underlay::metresPerPixel)).set(Json.write(u.metresPerPixel())))));
    }
}
