package whipsaw.core.job;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Show;

/** Reads how a roof rises and what it is made of. */
final class FabricReader {
    private static final int MOST_FACES = 200;

    private FabricReader() {}

    static Fabric fabric(Doc roof) {
        Doc formDoc = roof.objectOrNull("form", "Form of the roof");
        RoofForm form = formDoc == null ? new RoofForm.Flat() : form(formDoc);
        List<Fabric.BuildUp> buildUps = new ArrayList<>();
        for (Doc b : roof.objects("buildUps", "Build-ups", MOST_FACES)) {
            buildUps.add(buildUp(b));
            b.done();
        }
        List<Fabric.BayNote> notes = new ArrayList<>();
        for (Doc n : roof.objects("bayNotes", "Notes on bays", 2000)) {
            notes.add(new Fabric.BayNote(
                    n.text("bay", "Bay", 12),
                    n.measureOrNull("fall", Fields.BAY_FALL),
                    n.measureOrNull("fallsTo", Fields.FALLS_TO),
                    n.measureOrNull("undulation", Fields.UNDULATION),
                    n.flag("ponds", "Water stands", false),
                    n.textOrEmpty("note", "Note", 200)));
            n.done();
        }
        Doc structure = roof.objectOrNull("structure", "Structure");
        return new Fabric(
                form, buildUps, notes, structure == null ? Structure.UNKNOWN : StructureReader.structure(structure));
    }

    private static RoofForm form(Doc doc) {
        String kind = doc.choice("kind", "Form", List.of("flat", "folded", "hipped", "faces"));
        RoofForm form =
                switch (kind) {
                    case "folded" -> folded(doc);
                    case "hipped" -> new RoofForm.Hipped(doc.measure("slope", Fields.FACE_SLOPE));
                    case "faces" -> faces(doc);
                    default -> new RoofForm.Flat();
                };
        doc.done();
        return form;
    }

    private static RoofForm folded(Doc doc) {
        int edge = doc.whole("edge", "Edge the distances count from", 1, RoofReader.MOST_CORNERS);
        List<RoofForm.Fold> folds = new ArrayList<>();
        double before = Double.NEGATIVE_INFINITY;
        for (Doc f : doc.objects("folds", "Level lines", MOST_FACES)) {
            Measure across = f.measure("across", Fields.ACROSS);
            if (across.si() < before) {
                f.problem("across", "Level line", across.typed(), "lies before the line above it: give them in order");
            }
            before = Double.isNaN(across.si()) ? before : across.si();
            folds.add(new RoofForm.Fold(across, f.measure("height", Fields.RISE)));
            f.done();
        }
        if (folds.size() < 2) {
            doc.problem("folds", "Level lines", folds.size() + " lines", "is too few: a face lies between two of them");
        }
        return new RoofForm.Folded(edge, folds);
    }

    private static RoofForm faces(Doc doc) {
        List<RoofForm.DrawnFace> faces = new ArrayList<>();
        for (Doc f : doc.objects("faces", "Faces", MOST_FACES)) {
            List<Job.Corner> corners = RoofReader.corners(f, "corners", "Corners", RoofReader.MOST_CORNERS);
            if (corners.size() < 3) {
                f.problem("corners", "Face", Show.count(corners.size(), "corner"), "is too few: a face has 3 to 400");
            }
            faces.add(new RoofForm.DrawnFace(
                    corners,
                    f.measure("slope", Fields.FACE_SLOPE),
                    f.measure("fallsTo", Fields.FALLS_TO),
                    f.measure("low", Fields.RISE)));
            f.done();
        }
        if (faces.isEmpty()) {
            doc.problem("faces", "Faces", "none", "are missing: draw at least one");
        }
        return new RoofForm.Faces(faces);
    }

    private static Fabric.BuildUp buildUp(Doc b) {
        return new Fabric.BuildUp(
                b.whole("face", "Face", 0, MOST_FACES),
                new Fabric.Sheet(
                        b.measureOrNull("ribPitch", Fields.RIB_PITCH),
                        b.measureOrNull("ribTop", Fields.RIB_SIZE),
                        b.measureOrNull("ribHeight", Fields.RIB_SIZE),
                        b.measureOrNull("firstRib", Fields.FIRST_RIB),
                        b.measureOrNull("thickness", Fields.SHEET),
                        b.textOrEmpty("material", "Material", 60),
                        b.textOrEmpty("coating", "Coating", 60),
                        b.spacingsOrNull("screws", Fields.SCREWS)),
                b.spacingsOrNull("purlins", Fields.PURLIN),
                b.textOrEmpty("purlinSection", "Purlin section", 80),
                b.spacingsOrNull("joists", Fields.JOIST),
                new Fabric.Deck(
                        b.textOrEmpty("deck", "Deck", 80),
                        b.textOrEmpty("insulation", "Insulation", 80),
                        b.measureOrNull("insulationThickness", Fields.INSULATION),
                        b.measureOrNull("strength", Fields.STRENGTH)));
    }
}
