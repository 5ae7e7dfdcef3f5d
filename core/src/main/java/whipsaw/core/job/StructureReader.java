package whipsaw.core.job;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import whipsaw.core.catalogue.CatalogueInfo;
import whipsaw.core.catalogue.MemberType;
import whipsaw.core.units.Measure;

/** Reads what carries a roof, and catalogue entries of sections. */
final class StructureReader {
    private static final int MOST_MEMBERS = 60;
    private static final int MOST_WORKS = 400;
    private static final int MOST_SET_DOWNS = 200;
    private static final int MOST_LAID = 100;
    private static final int MOST_BAYS = 2000;

    private StructureReader() {}

    static Structure structure(Doc doc) {
        List<Structure.Members> members = new ArrayList<>();
        Set<String> ids = new HashSet<>();
        for (Doc m : doc.objects("members", "Members", MOST_MEMBERS)) {
            Structure.Members read = members(m);
            if (read.id() != null && !ids.add(read.id())) {
                m.problem("id", "Id", read.id(), "is taken by other members: give each its own");
            }
            members.add(read);
            m.done();
        }
        List<Structure.Work> works = new ArrayList<>();
        Set<String> workIds = new HashSet<>();
        for (Doc w : doc.objects("works", "Strengthening", MOST_WORKS)) {
            Doc seen = w.objectOrNull("seen", "Seen done");
            Structure.Work work = new Structure.Work(
                    w.text("id", "Id", 40),
                    w.text("members", "Members", 40),
                    w.choice("kind", "What is done", Structure.WORKS),
                    bays(w),
                    seen == null ? "" : seen.text("by", "Signed off by", 120),
                    seen == null ? null : seen.date("on", "Signed off on"),
                    seen == null || !seen.has("what")
                            ? null
                            : new Structure.SignedFor(
                                    seen.text("what", "Signed off for", 400),
                                    seen.number("utilisation", "Utilisation signed off", 0, 1e6)),
                    w.texts("photos", "Photographs", 20, 80));
            if (seen != null) {
                seen.done();
            }
            if (work.members() != null && !ids.contains(work.members())) {
                w.problem("members", "Members", work.members(), "are not there: name one of " + String.join(", ", ids));
            }
            if (work.id() != null && !workIds.add(work.id())) {
                w.problem("id", "Id", work.id(), "is taken by other strengthening: give each its own");
            }
            works.add(work);
            w.done();
        }
        Structure structure = new Structure(
                doc.measureOrNull("dead", Fields.DEAD),
                doc.measureOrNull("live", Fields.LIVE),
                doc.flag("liveUnderArray", "Live load under the array", true),
                doc.flag("smallIncrease", "Rule of small increases", false),
                onFaces(doc.objectOrNull("onFaces", "Loads of pitched faces")),
                deck(doc.objectOrNull("deck", "Deck")),
                members,
                works,
                doc.measureOrNull("windDown", Fields.WIND_DOWN),
                doc.measureOrNull("seismicWeight", Fields.SEISMIC_WEIGHT),
                doc.measureOrNull("construction", Fields.CONSTRUCTION),
                setDowns(doc),
                laid(doc));
        doc.done();
        return structure;
    }

    private static Structure.Members members(Doc m) {
        Doc type = m.object("type", "Section");
        boolean surveyed = m.flag("surveyed", "The purlins surveyed", false);
        return new Structure.Members(
                m.text("id", "Id", 40),
                m.text("name", "Name of the members", 60),
                m.choice("kind", "Kind", Structure.KINDS),
                "x".equals(m.choice("along", "Spans along", List.of("x", "y"))),
                bays(m),
                m.measureOrNull("first", Fields.FIRST_MEMBER),
                surveyed ? null : m.spacings("spacing", Fields.MEMBER_SPACING),
                surveyed,
                type == null ? null : member(type),
                m.has("freeFlange") ? m.number("freeFlange", "Share with a free flange", 0.05, 1) : Double.NaN,
                m.measureOrNull("connection", Fields.CONNECTION),
                m.measureOrNull("bearing", Fields.BEARING));
    }

    private static Structure.Deck deck(Doc doc) {
        if (doc == null) {
            return null;
        }
        Doc type = doc.object("type", "Section of a strip");
        Structure.Deck deck =
                new Structure.Deck(type == null ? null : member(type), doc.measure("width", Fields.DECK_STRIP));
        doc.done();
        return deck;
    }

    private static List<Structure.SetDown> setDowns(Doc doc) {
        List<Structure.SetDown> all = new ArrayList<>();
        Set<String> ids = new HashSet<>();
        for (Doc d : doc.objects("setDowns", "Set down on the roof", MOST_SET_DOWNS)) {
            Structure.SetDown one = new Structure.SetDown(
                    d.text("id", "Id", 40),
                    d.text("name", "What is set down", 60),
                    d.text("stage", "Stage", 40),
                    d.measure("x", Fields.COORDINATE),
                    d.measure("y", Fields.COORDINATE),
                    d.measure("width", Fields.SET_DOWN_SIDE),
                    d.measure("depth", Fields.SET_DOWN_SIDE),
                    d.measure("mass", Fields.SET_DOWN_MASS),
                    d.whole("high", "How many on each other", 1, 12));
            if (one.id() != null && !ids.add(one.id())) {
                d.problem("id", "Id", one.id(), "is taken by another: give each its own");
            }
            all.add(one);
            d.done();
        }
        return all;
    }

    private static List<Structure.Laid> laid(Doc doc) {
        List<Structure.Laid> all = new ArrayList<>();
        Set<String> ids = new HashSet<>();
        for (Doc d : doc.objects("laid", "Tray and pipe on the roof", MOST_LAID)) {
            Structure.Laid one = new Structure.Laid(
                    d.text("id", "Id", 40),
                    d.text("name", "What lies there", 60),
                    line(d.objectOrNull("line", "Where it lies")),
                    d.measure("perMetre", Fields.LAID_LINE),
                    d.measureOrNull("support", Fields.SUPPORT_MASS),
                    d.measure("spacing", Fields.SUPPORT_SPACING));
            if (one.id() != null && !ids.add(one.id())) {
                d.problem("id", "Id", one.id(), "is taken by another: give each its own");
            }
            all.add(one);
            d.done();
        }
        return all;
    }

    private static Structure.Line line(Doc doc) {
        if (doc == null) {
            return null;
        }
        Structure.Line line = new Structure.Line(
                doc.measure("x", Fields.COORDINATE),
                doc.measure("y", Fields.COORDINATE),
                doc.measure("toX", Fields.COORDINATE),
                doc.measure("toY", Fields.COORDINATE));
        doc.done();
        return line;
    }

    private static Structure.OnFaces onFaces(Doc doc) {
        if (doc == null) {
            return Structure.OnFaces.UNKNOWN;
        }
        Structure.OnFaces loads = new Structure.OnFaces(
                doc.measureOrNull("array", Fields.ARRAY_WEIGHT),
                doc.measureOrNull("snow", Fields.FACE_SNOW),
                doc.measureOrNull("uplift", Fields.FACE_UPLIFT),
                doc.flag("partlyEnclosed", "Partly enclosed", false));
        doc.done();
        return loads;
    }

    /** Names of bays with commas between; empty for all of them. */
    static List<String> bays(Doc doc) {
        String text = doc.textOrEmpty("bays", "Bays", 4000).strip();
        if (text.isEmpty() || text.equalsIgnoreCase("all")) {
            return List.of();
        }
        List<String> names = Arrays.stream(text.split("[,;\\s]+"))
                .map(name -> name.toUpperCase(Locale.ROOT))
                .distinct()
                .toList();
        for (String name : names) {
            if (!name.matches("[A-Z]{1,2}\\d{1,3}")) {
                doc.problem("bays", "Bays", name, "is no bay: name them as on the plan, for example B2, C2");
            }
        }
        return names.size() > MOST_BAYS ? names.subList(0, MOST_BAYS) : names;
    }

    /** A section as a catalogue entry or a job's own copy. */
    static MemberType member(Doc doc) {
        CatalogueInfo info = CatalogueReader.info(doc);
        String key = doc.choice("shape", "Shape", List.of("rectangle", "i", "z", "c", "given", "table"));
        MemberType.Shape shape =
                key == null ? MemberType.Shape.GIVEN : MemberType.Shape.valueOf(key.toUpperCase(Locale.ROOT));
        boolean formed = shape == MemberType.Shape.Z || shape == MemberType.Shape.C;
        boolean flanged = formed || shape == MemberType.Shape.I;
        boolean table = shape == MemberType.Shape.TABLE;
        boolean measured = flanged || shape == MemberType.Shape.RECTANGLE;
        boolean given = shape == MemberType.Shape.GIVEN;
        List<MemberType.Safe> lines = new ArrayList<>();
        Measure last = null;
        for (Doc line : doc.objects("table", "Load table", 200)) {
            MemberType.Safe safe = new MemberType.Safe(
                    line.measure("span", Fields.TABLE_SPAN),
                    line.measure("total", Fields.TABLE_LOAD),
                    line.measureOrNull("variable", Fields.TABLE_LOAD));
            if (last != null && safe.span() != null && safe.span().si() <= last.si()) {
                line.problem(
                        "span", "Span", safe.span().typed(), "is not longer than the one before: give spans in order");
            }
            last = safe.span();
            lines.add(safe);
            line.done();
        }
        if (table && lines.isEmpty()) {
            doc.problem("table", "Load table", "none", "is missing: give at least one span with its load");
        }
        MemberType type = new MemberType(
                info,
                shape,
                measured ? doc.measure("depth", Fields.SECTION_SIDE) : doc.measureOrNull("depth", Fields.SECTION_SIDE),
                measured ? doc.measure("width", Fields.SECTION_SIDE) : null,
                flanged ? doc.measure("web", Fields.SECTION_SHEET) : null,
                shape == MemberType.Shape.I ? doc.measure("flange", Fields.SECTION_SHEET) : null,
                formed ? doc.measureOrNull("lip", Fields.SECTION_SIDE) : null,
                given ? doc.measure("inertia", Fields.INERTIA) : null,
                given ? doc.measure("modulus", Fields.MODULUS) : null,
                doc.choice("material", "Material", MemberType.MATERIALS),
                table ? null : doc.measure("strength", Fields.MEMBER_STRENGTH),
                table ? null : doc.measureOrNull("shear", Fields.MEMBER_STRENGTH),
                table ? null : doc.measure("elasticity", Fields.ELASTICITY),
                lines);
        if (type.shape() == MemberType.Shape.I && !thin(type)) {
            doc.problem("flange", "Flange", type.flange().typed(), "and its like fill the whole depth of the section");
        }
        doc.done();
        return type;
    }

    private static boolean thin(MemberType t) {
        boolean read = t.depth() != null && t.flange() != null && t.width() != null && t.web() != null;
        return !read
                || (2 * t.flange().si() < t.depth().si()
                        && t.web().si() <= t.width().si());
    }
}
