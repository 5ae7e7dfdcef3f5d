package whipsaw.app.entry;

import java.util.ArrayList;
import java.util.List;
import whipsaw.app.store.CatalogueStore;
import whipsaw.core.design.Design;
import whipsaw.core.job.Fabric;
import whipsaw.core.job.Footprint;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.Obstruction;
import whipsaw.core.job.ObstructionKinds;
import whipsaw.core.job.Roof;
import whipsaw.core.job.RoofForm;
import whipsaw.core.job.Survey;
import whipsaw.core.roof.RoofFace;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.schema.Path;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;

/** The fields of the roof: its edges, what it is made of and what stands on it. */
final class RoofEntry extends EntryFields {
    /** With more groups than this, fields come when a group is opened. */
    private static final int OPEN_GROUPS = 24;

    private static final Path<Roof> ROOF = JobPaths.ROOF;
    private static final Path<Fabric> FABRIC = ROOF.to(Roof::fabric);

    private final Roof roof;

    RoofEntry(Design design, CatalogueStore catalogue) {
        super(design, catalogue);
        this.roof = job.roof();
    }

    List<EntryForm.Group> roof() {
        List<EntryForm.Group> groups = new ArrayList<>();
        List<EntryForm.Input> first = new ArrayList<>(List.of(in(ROOF.to(Roof::height))));
        if (roof.fabric().flat()) {
            first.add(in(ROOF.to(Roof::slope)));
        }
        first.add(in(ROOF.to(Roof::covering)));
        first.add(in(ROOF.to(Roof::upAzimuth)));
        groups.add(new EntryForm.Group("", "", "", first));
        groups.add(age());
        Path<Roof.Allowance> allowance = ROOF.to(Roof::allowance);
        groups.add(whole(
                "Allowance for added load",
                allowance,
                of(allowance.to(Roof.Allowance::load)),
                of(allowance.to(Roof.Allowance::givenBy)),
                of(allowance.to(Roof.Allowance::date)),
                of(allowance.to(Roof.Allowance::letter)),
                conditions(allowance)));
        Path<Roof.Bays> bays = ROOF.to(Roof::bays);
        groups.add(whole("Bays", bays, of(bays.to(Roof.Bays::alongX)), of(bays.to(Roof.Bays::alongY))));
        boolean many = design.plan().edges().size() > OPEN_GROUPS;
        for (RoofPlan.Edge e : design.plan().edges()) {
            groups.add(edge(e, many));
        }
        return groups;
    }

    private EntryForm.Input conditions(Path<Roof.Allowance> allowance) {
        List<String> said =
                roof.allowance() == null ? List.of() : roof.allowance().conditions();
        return of(allowance.to(Roof.Allowance::conditions)).set(String.join("; ", said));
    }

    private EntryForm.Group age() {
        Survey.Answer age = job.survey().answers().get("coverAge");
        String path = JobPaths.SURVEY.to(Survey::answers) + ".coverAge";
        return new EntryForm.Group(
                "Age of the covering",
                path,
                "",
                List.of(
                        new EntryForm.Input(
                                path + ".value",
                                "Age",
                                age == null ? "" : age.typed(),
                                "years",
                                "not known",
                                List.of(),
                                "text",
                                false),
                        new EntryForm.Input(
                                path + ".by",
                                "Told by",
                                age == null ? "" : age.by(),
                                "",
                                "may stay empty",
                                List.of(),
                                "loose",
                                false)));
    }

    private EntryForm.Group edge(RoofPlan.Edge e, boolean shut) {
        Path<Roof.Parapet> path = ROOF.by(Roof::parapets, "edge", e.number());
        String title = "Edge " + e.number() + ", " + Show.both(units, Dimension.ROOF_LENGTH, e.lengthM());
        return EntryForm.Group.of(title, "", path.toString(), shut, () -> {
            List<EntryForm.Input> inputs =
                    new ArrayList<>(List.of(in(path.to(Roof.Parapet::height)), in(path.to(Roof.Parapet::thickness))));
            if (roof.parapet(e.number()) != null) {
                inputs.add(in(path.to(Roof.Parapet::curb)));
            }
            return inputs;
        });
    }

    /** How the roof rises, what it is made of, and what was found in single bays. */
    List<EntryForm.Group> fabric() {
        List<EntryForm.Group> groups = new ArrayList<>();
        RoofForm form = roof.fabric().form();
        Path<RoofForm> path = FABRIC.to(Fabric::form);
        if (form instanceof RoofForm.Folded folded) {
            groups.add(folds(folded, path.as(RoofForm.Folded.class)));
        } else if (form instanceof RoofForm.Hipped) {
            groups.add(plain("Hipped", in(path.as(RoofForm.Hipped.class).to(RoofForm.Hipped::slope))));
        } else if (form instanceof RoofForm.Faces faces) {
            for (int i = 0; i < faces.faces().size(); i++) {
                groups.add(drawn(faces, i, path.as(RoofForm.Faces.class)));
            }
        }
        groups.add(buildUp(0, faces() > 1 ? "Build-up of all faces" : "Build-up"));
        for (RoofFace face : design.plan().faces().faces()) {
            boolean own = roof.fabric().buildUps().stream().anyMatch(b -> b.face() == face.number());
            if (own || faces() > 1) {
                EntryForm.Group group =
                        buildUp(face.number(), "Face " + face.number() + (own ? "" : ", where it differs"));
                String common =
                        FABRIC.by(Fabric::buildUps, "face", face.number()).toString();
                groups.add(EntryForm.Group.of(group.title(), group.thing(), common, !own, group::inputs));
            }
        }
        for (Fabric.BayNote note : roof.fabric().bayNotes()) {
            groups.add(bayNote(note));
        }
        return groups;
    }

    private EntryForm.Group folds(RoofForm.Folded folded, Path<RoofForm.Folded> path) {
        List<EntryForm.Input> inputs = new ArrayList<>();
        for (int i = 0; i < folded.folds().size(); i++) {
            Path<RoofForm.Fold> fold = path.at(RoofForm.Folded::folds, i);
            inputs.add(named(fold.to(RoofForm.Fold::across)));
            inputs.add(named(fold.to(RoofForm.Fold::height)));
        }
        return new EntryForm.Group("Level lines, from edge " + folded.edge(), "", "", inputs);
    }

    private EntryForm.Group drawn(RoofForm.Faces faces, int index, Path<RoofForm.Faces> path) {
        Path<RoofForm.DrawnFace> face = path.at(RoofForm.Faces::faces, index);
        int corners = faces.faces().get(index).corners().size();
        return new EntryForm.Group(
                "Face " + (index + 1) + ", " + Show.count(corners, "corner"),
                "",
                faces.faces().size() > 1 ? face.toString() : "",
                List.of(
                        in(face.to(RoofForm.DrawnFace::slope)),
                        in(face.to(RoofForm.DrawnFace::fallsTo)),
                        in(face.to(RoofForm.DrawnFace::low))));
    }

    private int faces() {
        return design.plan().faces().faces().size();
    }

    private EntryForm.Group buildUp(int face, String title) {
        Path<Fabric.BuildUp> path = FABRIC.by(Fabric::buildUps, "face", face);
        Path<Fabric.Sheet> sheet = path.to(Fabric.BuildUp::sheet);
        Path<Fabric.Deck> deck = path.to(Fabric.BuildUp::deck);
        List<EntryForm.Input> inputs = new ArrayList<>();
        if (Roof.METAL.contains(roof.covering())) {
            inputs.addAll(List.of(
                    in(sheet.to(Fabric.Sheet::pitch)),
                    in(sheet.to(Fabric.Sheet::ribTop)),
                    in(sheet.to(Fabric.Sheet::ribHeight)),
                    in(sheet.to(Fabric.Sheet::firstRib)),
                    in(sheet.to(Fabric.Sheet::thickness)),
                    in(sheet.to(Fabric.Sheet::material)),
                    in(sheet.to(Fabric.Sheet::coating)),
                    in(sheet.to(Fabric.Sheet::screws)),
                    in(path.to(Fabric.BuildUp::purlins)),
                    in(path.to(Fabric.BuildUp::purlinSection))));
        }
        inputs.addAll(List.of(
                in(path.to(Fabric.BuildUp::joists)),
                in(deck.to(Fabric.Deck::deck)),
                in(deck.to(Fabric.Deck::insulation)),
                in(deck.to(Fabric.Deck::insulationThickness)),
                in(deck.to(Fabric.Deck::strength))));
        String absent = face == 0 ? "not surveyed" : "as all faces";
        inputs.replaceAll(
                i -> i.value().isEmpty() ? i.hinted(i.hint().isEmpty() ? absent : absent + "; " + i.hint()) : i);
        boolean known = roof.fabric().buildUps().stream().anyMatch(b -> b.face() == face);
        return new EntryForm.Group(title, "", known ? path.toString() : "", inputs);
    }

    private EntryForm.Group bayNote(Fabric.BayNote n) {
        Path<Fabric.BayNote> path = FABRIC.by(Fabric::bayNotes, "bay", n.bay());
        return thing(
                "Bay " + n.bay() + " as found",
                path,
                List.of(
                        in(path.to(Fabric.BayNote::fall)),
                        in(path.to(Fabric.BayNote::fallsTo)),
                        in(path.to(Fabric.BayNote::undulation)),
                        in(path.to(Fabric.BayNote::ponds)),
                        in(path.to(Fabric.BayNote::note))));
    }

    List<EntryForm.Group> obstructions() {
        List<EntryForm.Group> groups = new ArrayList<>();
        boolean many = roof.obstructions().size() > OPEN_GROUPS;
        for (Obstruction o : roof.obstructions()) {
            Path<Obstruction> path = ROOF.id(Roof::obstructions, o.id());
            groups.add(EntryForm.Group.of(o.name(), path.toString(), path.toString(), many, () -> inputs(o, path)));
        }
        return groups;
    }

    private List<EntryForm.Input> inputs(Obstruction o, Path<Obstruction> path) {
        Path<Footprint> at = path.to(Obstruction::footprint);
        boolean polygon = o.footprint().shape() == Footprint.Shape.POLYGON;
        EntryForm.Input shape = in(at.to(Footprint::shape));
        List<EntryForm.Input> inputs = new ArrayList<>(List.of(
                in(path.to(Obstruction::name)),
                in(path.to(Obstruction::kind)),
                shape.choosing(
                        shape.options().stream()
                                .filter(c -> c.value().equals("polygon") == polygon)
                                .toList(),
                        "choice"),
                measured(at),
                in(at.to(Footprint::x)),
                in(at.to(Footprint::y))));
        if (!polygon) {
            inputs.add(in(at.to(Footprint::width)));
        }
        if (o.footprint().shape() == Footprint.Shape.RECTANGLE) {
            inputs.add(in(at.to(Footprint::depth)));
        }
        ObstructionKinds.Kind kind = ObstructionKinds.of(o);
        inputs.add(in(path.to(Obstruction::height)));
        EntryForm.Input clear = in(path.to(Obstruction::clear));
        String rule = Show.both(units, Dimension.ROOF_LENGTH, kind.clearM()) + ", " + kind.reason();
        inputs.add(o.clear() == null ? clear.hinted("by its kind: " + rule) : clear);
        Path<Obstruction.Conduct> conduct = path.to(Obstruction::conduct);
        inputs.add(byRule(conduct.to(Obstruction.Conduct::shades), kind.shades()));
        inputs.add(byRule(conduct.to(Obstruction.Conduct::fragile), kind.fragile()));
        if (kind.exhaust() || o.conduct().exhaust() != null) {
            inputs.add(in(conduct.to(Obstruction.Conduct::exhaust)));
        }
        return inputs;
    }

    /** Distances from edges as taped; worked out by the server into a place. */
    private EntryForm.Input measured(Path<Footprint> at) {
        EntryForm.Input field = in(at.to(Footprint::measured));
        return field.choosing(List.of(), "place");
    }
}
