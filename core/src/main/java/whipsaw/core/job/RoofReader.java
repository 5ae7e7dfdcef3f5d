package whipsaw.core.job;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Show;

/** Reads the roof of a job document. */
final class RoofReader {
    static final int MOST_CORNERS = 400;
    private static final int MOST_OBSTRUCTIONS = 2000;
    private static final List<String> COVERINGS =
            Stream.concat(Job.COVERINGS.stream(), Job.METAL.stream()).toList();

    private RoofReader() {}

    static Job.Roof roof(Doc doc) {
        Doc outlineDoc = doc.object("outline", "Outline");
        Job.Outline outline = outlineDoc == null ? null : outline(outlineDoc);
        List<Job.Parapet> parapets = new ArrayList<>();
        for (Doc p : doc.objects("parapets", "Parapets", MOST_CORNERS)) {
            parapets.add(new Job.Parapet(
                    p.whole("edge", "Edge", 1, MOST_CORNERS),
                    JobReader.orZero(p.measureOrNull("height", Fields.PARAPET_HEIGHT)),
                    JobReader.orZero(p.measureOrNull("thickness", Fields.PARAPET_THICKNESS)),
                    p.flag("curb", "Designed as a curb", false)));
            p.done();
        }
        List<Job.Obstruction> obstructions = new ArrayList<>();
        for (Doc o : doc.objects("obstructions", "Obstructions", MOST_OBSTRUCTIONS)) {
            obstructions.add(obstruction(o));
        }
        Job.Allowance allowance = null;
        Doc a = doc.objectOrNull("allowance", "Allowance");
        if (a != null) {
            allowance = new Job.Allowance(
                    a.measure("load", Fields.ALLOWANCE),
                    a.text("givenBy", "Allowance given by", 120),
                    a.date("date", "Allowance given on"),
                    a.textOrEmpty("letter", "Letter of the allowance", 160),
                    Job.Allowance.conditions(a.listOrEmpty("conditions", "Conditions of the allowance", 2000)));
            a.done();
        }
        Job.Bays bays = null;
        Doc b = doc.objectOrNull("bays", "Bays");
        if (b != null) {
            bays = new Job.Bays(b.spacings("alongX", Fields.BAY), b.spacings("alongY", Fields.BAY));
            b.done();
        }
        return new Job.Roof(
                outline,
                sizes(doc),
                doc.measure("upAzimuth", Fields.UP_AZIMUTH),
                doc.measure("height", Fields.ROOF_HEIGHT),
                doc.measure("slope", Fields.ROOF_SLOPE),
                parapets,
                doc.choice("covering", "Covering", COVERINGS),
                allowance,
                bays,
                obstructions,
                FabricReader.fabric(doc));
    }

    private static Job.Obstruction obstruction(Doc o) {
        Job.Obstruction result = new Job.Obstruction(
                o.text("id", "Id", 40),
                o.text("name", "Name of the obstruction", 60),
                o.has("kind") ? o.choice("kind", "Kind", ObstructionKinds.names()) : ObstructionKinds.USUAL,
                footprint(o),
                o.measure("height", Fields.OBSTRUCTION_HEIGHT),
                o.measureOrNull("clear", Fields.CLEAR),
                new Job.Conduct(
                        o.flagOrNull("shades", "Throws a shadow"),
                        o.flagOrNull("fragile", "Fragile"),
                        o.measureOrNull("exhaust", Fields.DRIFT)));
        o.done();
        return result;
    }

    /** The box of a polygon follows from its corners, which are moved so that the box begins at 0; a circle has one size. */
    private static Footprint footprint(Doc o) {
        List<String> shapes = List.of("rectangle", "circle", "polygon");
        String shape = o.has("shape") ? o.choice("shape", "Shape", shapes) : shapes.get(0);
        Measure x = o.measure("x", Fields.COORDINATE);
        Measure y = o.measure("y", Fields.COORDINATE);
        String measured = o.textOrEmpty("measured", "As measured", 160);
        o.has("width");
        o.has("depth");
        List<Job.Corner> corners = corners(o, "corners", "Corners", MOST_CORNERS);
        if (shape.equals("polygon")) {
            if (corners.size() < 3) {
                o.problem(
                        "corners",
                        "Footprint",
                        Show.count(corners.size(), "corner"),
                        "is too few: a polygon has 3 to 400");
                return new Footprint(Footprint.Shape.POLYGON, x, y, x, y, List.of(), measured);
            }
            double left = corners.stream().mapToDouble(c -> c.x().si()).min().orElse(0);
            double low = corners.stream().mapToDouble(c -> c.y().si()).min().orElse(0);
            double right = corners.stream().mapToDouble(c -> c.x().si()).max().orElse(0);
            double high = corners.stream().mapToDouble(c -> c.y().si()).max().orElse(0);
            if (Math.abs(left) > 1e-6 || Math.abs(low) > 1e-6) {
                o.problem(
                        "corners",
                        "Footprint",
                        left + ", " + low,
                        "is where its box begins: corners count from the lower left of the box, so that one has x 0 and"
                                + " one y 0");
            }
            return new Footprint(Footprint.Shape.POLYGON, x, y, metres(right), metres(high), corners, measured);
        }
        Measure width = o.measure("width", Fields.SIDE);
        if (shape.equals("circle")) {
            return new Footprint(Footprint.Shape.CIRCLE, x, y, width, width, List.of(), measured);
        }
        Measure depth = o.measure("depth", Fields.SIDE);
        return new Footprint(Footprint.Shape.RECTANGLE, x, y, width, depth, List.of(), measured);
    }

    private static Measure metres(double value) {
        return new Measure(value, value + " m", false);
    }

    private static Job.Outline outline(Doc doc) {
        String kind = doc.choice("kind", "Kind of outline", List.of("taped", "drawn"));
        Job.Outline result;
        if (kind.equals("taped")) {
            boolean inside = doc.choice("face", "Face taped", List.of("outside", "inside"))
                    .equals("inside");
            Job.Closing closing = doc.choice("closing", "How it is closed", List.of("fit", "compass"))
                            .equals("fit")
                    ? Job.Closing.FIT
                    : Job.Closing.COMPASS;
            List<Job.TapedLeg> legs = new ArrayList<>();
            for (Doc leg : doc.objects("legs", "Edges", MOST_CORNERS)) {
                legs.add(new Job.TapedLeg(
                        leg.measure("length", Fields.EDGE),
                        leg.number("turnDeg", "Turn", -179, 179),
                        leg.flag("measured", "Angle measured", false)));
                leg.done();
            }
            enough(doc, "legs", legs.size());
            List<Job.TapedDiagonal> diagonals = new ArrayList<>();
            if (doc.has("diagonals")) {
                for (Doc d : doc.objects("diagonals", "Diagonals", MOST_CORNERS)) {
                    diagonals.add(diagonal(d, legs.size()));
                    d.done();
                }
            }
            List<Job.TapedOffset> offsets = new ArrayList<>();
            if (doc.has("offsets")) {
                for (Doc o : doc.objects("offsets", "Offsets", MOST_CORNERS)) {
                    offsets.add(offset(o, legs.size()));
                    o.done();
                }
            }
            result = new Job.Taped(inside, closing, legs, diagonals, offsets);
        } else {
            List<Job.Corner> corners = corners(doc, "corners", "Corners", MOST_CORNERS);
            enough(doc, "corners", corners.size());
            result = new Job.Drawn(corners);
        }
        doc.done();
        return result;
    }

    private static Job.SiteSizes sizes(Doc roof) {
        Doc doc = roof.objectOrNull("sizes", "Sizes taped on site");
        if (doc == null) {
            return null;
        }
        boolean inside =
                doc.has("face") && "inside".equals(doc.choice("face", "Face taped", List.of("outside", "inside")));
        List<Job.TapedDiagonal> tapes = new ArrayList<>();
        for (Doc t : doc.objects("tapes", "Tapes", MOST_CORNERS)) {
            Job.TapedDiagonal tape = new Job.TapedDiagonal(
                    t.whole("from", "From corner", 1, MOST_CORNERS),
                    t.whole("to", "To corner", 1, MOST_CORNERS),
                    t.measure("length", Fields.DIAGONAL));
            if (tape.from() == tape.to()) {
                t.problem("to", "To corner", String.valueOf(tape.to()), "is the corner it begins at: for example 1-2");
            }
            tapes.add(tape);
            t.done();
        }
        doc.done();
        return tapes.isEmpty() ? null : new Job.SiteSizes(inside, tapes);
    }

    private static Job.TapedDiagonal diagonal(Doc doc, int corners) {
        int from = doc.whole("from", "From corner", 1, Math.max(1, corners));
        int to = doc.whole("to", "To corner", 1, Math.max(1, corners));
        Job.TapedDiagonal diagonal = new Job.TapedDiagonal(from, to, doc.measure("length", Fields.DIAGONAL));
        if (!diagonal.crosses(corners)) {
            doc.problem(
                    "to",
                    "Diagonal",
                    from + "-" + to,
                    "joins no two corners with another between: for example 1-3; the edge itself is taped as an edge");
        }
        return diagonal;
    }

    private static Job.TapedOffset offset(Doc doc, int corners) {
        int most = Math.max(1, corners);
        Job.TapedOffset offset = new Job.TapedOffset(
                doc.whole("corner", "Corner", 1, most),
                doc.whole("from", "From corner", 1, most),
                doc.whole("to", "To corner", 1, most),
                doc.measure("length", Fields.OFFSET));
        if (!offset.names(corners)) {
            doc.problem(
                    "corner",
                    "Offset",
                    offset.corner() + " from " + offset.from() + "-" + offset.to(),
                    "names a corner twice: it takes a corner and two others, for example corner 5 from 1-2");
        }
        return offset;
    }

    private static void enough(Doc doc, String key, int count) {
        if (count < 3) {
            doc.problem(key, "Outline", count + " edges", "is too few: an outline has 3 to 400");
        }
    }

    static List<Job.Corner> corners(Doc doc, String key, String label, int most) {
        List<Job.Corner> result = new ArrayList<>();
        for (Doc c : doc.objects(key, label, most)) {
            result.add(new Job.Corner(c.measure("x", Fields.COORDINATE), c.measure("y", Fields.COORDINATE)));
            c.done();
        }
        return result;
    }
}
