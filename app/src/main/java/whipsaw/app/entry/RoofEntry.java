package whipsaw.app.entry;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import whipsaw.app.store.CatalogueStore;
import whipsaw.core.design.Design;
import whipsaw.core.job.Fabric;
import whipsaw.core.job.Footprint;
import whipsaw.core.job.Job;
import whipsaw.core.job.ObstructionKinds;
import whipsaw.core.job.RoofForm;
import whipsaw.core.job.Survey;
import whipsaw.core.roof.RoofFace;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Show;

/** The fields of the roof: its edges, what it is made of and what stands on it. */
final class RoofEntry extends EntryFields {
    /** With more groups than this, fields come when a group is opened. */
    private static final int OPEN_GROUPS = 24;

    private static final List<String> COVERINGS =
            Stream.concat(Job.COVERINGS.stream(), Job.METAL.stream()).toList();

    private final Job.Roof roof;

    RoofEntry(Design design, CatalogueStore catalogue) {
        super(design, catalogue);
        this.roof = job.roof();
    }

    List<EntryForm.Group> roof() {
        List<EntryForm.Group> groups = new ArrayList<>();
        List<EntryForm.Input> first = new ArrayList<>();
        first.add(measure("$.roof.height", "Mean roof height", Dimension.ROOF_LENGTH, roof.height()));
        if (roof.fabric().flat()) {
            first.add(measure("$.roof.slope", "Fall", Dimension.ANGLE, roof.slope()));
        }
        first.add(choice("$.roof.covering", "Covering", roof.covering(), COVERINGS));
        first.add(measure("$.roof.upAzimuth", "Top of the sheet looks to", Dimension.ANGLE, roof.upAzimuth()));
        groups.add(new EntryForm.Group("", "", "", first));
        Survey.Answer age = job.survey().answers().get("coverAge");
        String path = "$.survey.answers.coverAge";
        groups.add(new EntryForm.Group(
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
                        loose(path + ".by", "Told by", age == null ? "" : age.by(), "may stay empty"))));
        Job.Allowance a = roof.allowance();
        groups.add(new EntryForm.Group(
                "Allowance for added load",
                "$.roof.allowance",
                "",
                List.of(
                        measure(
                                "$.roof.allowance.load",
                                "Load",
                                Dimension.LOAD,
                                a == null ? null : a.load(),
                                "not known: nothing is established"),
                        text("$.roof.allowance.givenBy", "Given by", a == null ? "" : a.givenBy()),
                        new EntryForm.Input(
                                "$.roof.allowance.date",
                                "On",
                                a == null ? "" : a.date().toString(),
                                "",
                                "as 2026-05-31",
                                List.of(),
                                "text",
                                false),
                        loose("$.roof.allowance.letter", "Letter", a == null ? "" : a.letter(), "where it stands"),
                        loose(
                                "$.roof.allowance.conditions",
                                "Conditions",
                                a == null ? "" : String.join("; ", a.conditions()),
                                "with semicolons between"))));
        Job.Bays b = roof.bays();
        groups.add(new EntryForm.Group(
                "Bays",
                "$.roof.bays",
                "",
                List.of(
                        spacings(
                                "$.roof.bays.alongX",
                                "Across the sheet",
                                Dimension.ROOF_LENGTH,
                                b == null ? null : b.alongX(),
                                "not known; the last one repeats"),
                        spacings(
                                "$.roof.bays.alongY",
                                "Up the sheet",
                                Dimension.ROOF_LENGTH,
                                b == null ? null : b.alongY(),
                                "not known; the last one repeats"))));
        boolean many = design.plan().edges().size() > OPEN_GROUPS;
        for (RoofPlan.Edge e : design.plan().edges()) {
            groups.add(edge(e, many));
        }
        return groups;
    }

    private EntryForm.Group edge(RoofPlan.Edge e, boolean shut) {
        Job.Parapet p = roof.parapets().stream()
                .filter(x -> x.edge() == e.number())
                .findFirst()
                .orElse(null);
        String path = "$.roof.parapets[edge=" + e.number() + "]";
        String title = "Edge " + e.number() + ", " + Show.both(units, Dimension.ROOF_LENGTH, e.lengthM());
        return EntryForm.Group.of(title, "", path, shut, () -> {
            List<EntryForm.Input> inputs = new ArrayList<>(List.of(
                    measure(
                            path + ".height",
                            "Parapet height",
                            Dimension.ROOF_LENGTH,
                            p == null ? null : p.height(),
                            "none"),
                    measure(
                            path + ".thickness",
                            "Parapet thickness",
                            Dimension.PART_LENGTH,
                            p == null ? null : p.thickness(),
                            "none")));
            if (p != null) {
                inputs.add(yesNo(path + ".curb", "Designed as a curb for the array", p.curb()));
            }
            return inputs;
        });
    }

    /** How the roof rises, what it is made of, and what was found in single bays. */
    List<EntryForm.Group> fabric() {
        List<EntryForm.Group> groups = new ArrayList<>();
        RoofForm form = roof.fabric().form();
        if (form instanceof RoofForm.Folded folded) {
            List<EntryForm.Input> folds = new ArrayList<>();
            for (int i = 0; i < folded.folds().size(); i++) {
                String path = "$.roof.form.folds[" + i + "]";
                String name = "Line " + (i + 1);
                folds.add(measure(
                        path + ".across",
                        name + ", from edge " + folded.edge(),
                        Dimension.ROOF_LENGTH,
                        folded.folds().get(i).across()));
                folds.add(measure(
                        path + ".height",
                        name + ", height",
                        Dimension.ROOF_LENGTH,
                        folded.folds().get(i).height()));
            }
            groups.add(new EntryForm.Group("Level lines", "", "", folds));
        } else if (form instanceof RoofForm.Hipped hipped) {
            groups.add(plain(
                    "Hipped", measure("$.roof.form.slope", "Slope of every face", Dimension.ANGLE, hipped.slope())));
        } else if (form instanceof RoofForm.Faces faces) {
            for (int i = 0; i < faces.faces().size(); i++) {
                RoofForm.DrawnFace f = faces.faces().get(i);
                String path = "$.roof.form.faces[" + i + "]";
                groups.add(new EntryForm.Group(
                        "Face " + (i + 1) + ", " + Show.count(f.corners().size(), "corner"),
                        "",
                        faces.faces().size() > 1 ? path : "",
                        List.of(
                                measure(path + ".slope", "Slope", Dimension.ANGLE, f.slope()),
                                measure(path + ".fallsTo", "Water runs to", Dimension.ANGLE, f.fallsTo()),
                                measure(path + ".low", "Lowest corner at", Dimension.ROOF_LENGTH, f.low()))));
            }
        }
        groups.add(buildUp(0, faces() > 1 ? "Build-up of all faces" : "Build-up"));
        for (RoofFace face : design.plan().faces().faces()) {
            boolean own = roof.fabric().buildUps().stream().anyMatch(b -> b.face() == face.number());
            if (own || faces() > 1) {
                EntryForm.Group group =
                        buildUp(face.number(), "Face " + face.number() + (own ? "" : ", where it differs"));
                String common = "$.roof.buildUps[face=" + face.number() + "]";
                groups.add(EntryForm.Group.of(group.title(), group.thing(), common, !own, group::inputs));
            }
        }
        for (Fabric.BayNote note : roof.fabric().bayNotes()) {
            groups.add(bayNote(note));
        }
        return groups;
    }

    private int faces() {
        return design.plan().faces().faces().size();
    }

    private EntryForm.Group buildUp(int face, String title) {
        Fabric.BuildUp known = roof.fabric().buildUps().stream()
                .filter(b -> b.face() == face)
                .findFirst()
                .orElse(null);
        String path = "$.roof.buildUps[face=" + face + "]";
        String absent = face == 0 ? "not surveyed" : "as all faces";
        List<EntryForm.Input> inputs = new ArrayList<>();
        if (Job.METAL.contains(roof.covering())) {
            Fabric.Sheet s = known == null ? null : known.sheet();
            inputs.add(part(path + ".ribPitch", "Rib or seam pitch", s == null ? null : s.pitch(), absent));
            inputs.add(part(path + ".ribTop", "Rib top width", s == null ? null : s.ribTop(), absent));
            inputs.add(part(path + ".ribHeight", "Rib height", s == null ? null : s.ribHeight(), absent));
            inputs.add(part(
                    path + ".firstRib",
                    "First rib from the left, looking up",
                    s == null ? null : s.firstRib(),
                    absent));
            inputs.add(part(path + ".thickness", "Sheet thickness", s == null ? null : s.thickness(), absent));
            inputs.add(optionalText(path + ".material", "Material", s == null ? "" : s.material(), absent));
            inputs.add(optionalText(path + ".coating", "Coating", s == null ? "" : s.coating(), absent));
            inputs.add(spacings(
                    path + ".screws",
                    "Screw lines from the eave",
                    Dimension.PART_LENGTH,
                    s == null ? null : s.screws(),
                    absent));
            inputs.add(spacings(
                    path + ".purlins",
                    "Purlins from the eave",
                    Dimension.ROOF_LENGTH,
                    known == null ? null : known.purlins(),
                    absent + "; every spacing, as 6 in, 4 @ 5 ft"));
            inputs.add(optionalText(
                    path + ".purlinSection", "Purlin section", known == null ? "" : known.purlinSection(), absent));
        }
        inputs.add(spacings(
                path + ".joists",
                "Joists or rafters",
                Dimension.ROOF_LENGTH,
                known == null ? null : known.joists(),
                absent));
        Fabric.Deck d = known == null ? null : known.deck();
        inputs.add(optionalText(path + ".deck", "Deck", d == null ? "" : d.deck(), absent));
        inputs.add(optionalText(path + ".insulation", "Insulation", d == null ? "" : d.insulation(), absent));
        inputs.add(part(
                path + ".insulationThickness",
                "Insulation thickness",
                d == null ? null : d.insulationThickness(),
                absent));
        inputs.add(measure(
                path + ".strength",
                "Its compressive strength",
                Dimension.LOAD,
                d == null ? null : d.strength(),
                absent));
        return new EntryForm.Group(title, "", known == null ? "" : path, inputs);
    }

    private EntryForm.Input part(String path, String label, Measure m, String absent) {
        return measure(path, label, Dimension.PART_LENGTH, m, absent);
    }

    private EntryForm.Group bayNote(Fabric.BayNote n) {
        String path = "$.roof.bayNotes[bay=" + n.bay() + "]";
        return new EntryForm.Group(
                "Bay " + n.bay() + " as found",
                "",
                path,
                List.of(
                        measure(path + ".fall", "Fall", Dimension.ANGLE, n.fall(), "as the roof"),
                        measure(path + ".fallsTo", "Water runs to", Dimension.ANGLE, n.fallsTo(), "not known"),
                        measure(path + ".undulation", "Unevenness", Dimension.ANGLE, n.undulation(), "not measured"),
                        yesNo(path + ".ponds", "Water stands", n.ponds()),
                        optionalText(path + ".note", "Note", n.note(), "")));
    }

    List<EntryForm.Group> obstructions() {
        List<EntryForm.Group> groups = new ArrayList<>();
        boolean many = roof.obstructions().size() > OPEN_GROUPS;
        for (Job.Obstruction o : roof.obstructions()) {
            groups.add(obstruction(o, many));
        }
        return groups;
    }

    private EntryForm.Group obstruction(Job.Obstruction o, boolean shut) {
        String path = "$.roof.obstructions[id=" + o.id() + "]";
        return EntryForm.Group.of(o.name(), path, path, shut, () -> inputs(o, path));
    }

    private List<EntryForm.Input> inputs(Job.Obstruction o, String path) {
        Footprint f = o.footprint();
        boolean polygon = f.shape() == Footprint.Shape.POLYGON;
        List<EntryForm.Input> inputs = new ArrayList<>();
        inputs.add(text(path + ".name", "Name", o.name()));
        inputs.add(choice(path + ".kind", "Kind", o.kind(), ObstructionKinds.names()));
        inputs.add(choice(
                path + ".shape",
                "Shape",
                f.shape().key(),
                polygon ? List.of("polygon") : List.of("rectangle", "circle")));
        inputs.add(new EntryForm.Input(
                path + ".measured",
                "From two edges",
                f.measured(),
                "",
                "as 3.2 m from edge 3, 12' from east",
                List.of(),
                "place",
                false));
        inputs.add(measure(path + ".x", "Left side at x", Dimension.ROOF_LENGTH, o.x()));
        inputs.add(measure(path + ".y", "Lower side at y", Dimension.ROOF_LENGTH, o.y()));
        if (f.shape() == Footprint.Shape.CIRCLE) {
            inputs.add(measure(path + ".width", "Diameter", Dimension.ROOF_LENGTH, o.width()));
        } else if (!polygon) {
            inputs.add(measure(path + ".width", "Width, x", Dimension.ROOF_LENGTH, o.width()));
            inputs.add(measure(path + ".depth", "Depth, y", Dimension.ROOF_LENGTH, o.depth()));
        }
        ObstructionKinds.Kind kind = ObstructionKinds.of(o);
        inputs.add(measure(path + ".height", "Height", Dimension.ROOF_LENGTH, o.height()));
        inputs.add(measure(
                path + ".clear",
                "Clear distance",
                Dimension.ROOF_LENGTH,
                o.clear(),
                "by its kind: " + Show.both(units, Dimension.ROOF_LENGTH, kind.clearM()) + ", " + kind.reason()));
        inputs.add(byRule(path + ".shades", "Throws a shadow", o.conduct().shades(), kind.shades()));
        inputs.add(byRule(path + ".fragile", "Fragile", o.conduct().fragile(), kind.fragile()));
        if (kind.exhaust() || o.conduct().exhaust() != null) {
            inputs.add(measure(
                    path + ".exhaust",
                    "Exhaust drifts to",
                    Dimension.ANGLE,
                    o.conduct().exhaust(),
                    "not known"));
        }
        return inputs;
    }
}
