package whipsaw.core.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import whipsaw.core.catalogue.BlockType;
import whipsaw.core.catalogue.InverterType;
import whipsaw.core.catalogue.ModuleType;
import whipsaw.core.catalogue.TraySystem;
import whipsaw.core.units.Measure;
import whipsaw.core.units.UnitSystem;

/**
 * Reads a job document. All problems are found in one pass; a document with a problem gives no job.
 * In files every dimension carries its unit; a form may leave it out, and a bare number then means
 * the field's own unit.
 */
public final class JobReader {
    private static final int MOST_CORNERS = 400;
    private static final int MOST_OBSTRUCTIONS = 2000;

    private JobReader() {}

    /**
     * Outcome of a reading.
     *
     * @param job null when there are problems
     */
    public record Reading<T>(T job, List<Problem> problems) {
        public boolean ok() {
            return problems.isEmpty();
        }
    }

    /** Reads a whole job from a tree of maps, lists and values; older schema versions are upgraded first. */
    public static Reading<Job> read(Map<?, ?> given, boolean bareNumbers) {
        Map<?, ?> document = SchemaUpgrade.upgraded(given);
        Doc.Context context = new Doc.Context(bareNumbers);
        Doc doc = new Doc(document, "$", context);
        Object schema = document.get("schema");
        if (schema instanceof Number n && n.doubleValue() > Job.SCHEMA) {
            doc.problem(
                    "schema",
                    "Schema version",
                    schema,
                    "is from a later version of the product; this one reads up to " + Job.SCHEMA);
            return new Reading<>(null, context.problems);
        }
        doc.whole("schema", "Schema version", Job.SCHEMA, Job.SCHEMA);
        doc.textOrEmpty("writtenBy", "Written by", 60);
        Job.Project project = section(doc, "project", "Project", JobReader::project);
        Job.Roof roof = section(doc, "roof", "Roof", JobReader::roof);
        Job.Site site = section(doc, "site", "Site", JobReader::site);
        Job.ArrayChoice array = section(doc, "array", "Array", JobReader::array);
        Job.Electrical electrical = section(doc, "electrical", "Electrical", JobReader::electrical);
        List<Job.TableRef> tables = new ArrayList<>();
        for (Doc t : doc.objects("codeTables", "Code tables", 200)) {
            tables.add(new Job.TableRef(
                    t.text("id", "Table", 80), t.text("edition", "Edition", 80), t.text("hash", "Hash", 64)));
            t.done();
        }
        doc.done();
        if (!context.problems.isEmpty()) {
            return new Reading<>(null, List.copyOf(context.problems));
        }
        Job job = new Job(project, roof, site, array, electrical, tables);
        return new Reading<>(job, List.of());
    }

    /** Kinds of catalogue entries. */
    public static final List<String> KINDS = List.of("tray-system", "module", "block", "inverter", "conductor");

    /** Reads one catalogue entry of one of the {@link #KINDS}. */
    public static Reading<Object> readEntry(String kind, Map<?, ?> body) {
        return readEntry(kind, body, null);
    }

    /**
     * The same from a form or a table of texts.
     *
     * @param bare system whose units bare numbers mean; null refuses them
     */
    public static Reading<Object> readEntry(String kind, Map<?, ?> body, UnitSystem bare) {
        Doc.Context context = new Doc.Context(bare != null);
        context.units = bare == null ? UnitSystem.METRIC : bare;
        Doc doc = new Doc(body, "$", context);
        Object entry =
                switch (kind) {
                    case "module" -> CatalogueReader.module(doc);
                    case "inverter" -> CatalogueReader.inverter(doc);
                    case "block" -> CatalogueReader.block(doc);
                    case "tray-system" -> CatalogueReader.tray(doc);
                    case "conductor" -> CatalogueReader.conductor(doc);
                    default -> throw new IllegalArgumentException("no catalogue kind " + kind);
                };
        boolean ok = context.problems.isEmpty();
        return new Reading<>(ok ? entry : null, List.copyOf(context.problems));
    }

    private static <T> T section(Doc doc, String key, String label, Function<Doc, T> reader) {
        Doc part = doc.object(key, label);
        if (part == null) {
            return null;
        }
        T result = reader.apply(part);
        part.done();
        return result;
    }

    private static Job.Project project(Doc doc) {
        UnitSystem units =
                doc.choice("units", "Units", List.of("us", "metric")).equals("us") ? UnitSystem.US : UnitSystem.METRIC;
        doc.context().units = units;
        return new Job.Project(
                doc.text("name", "Job name", 120),
                doc.textOrEmpty("place", "Place", 200),
                doc.textOrEmpty("preparedBy", "Prepared by", 120),
                units);
    }

    private static Job.Roof roof(Doc doc) {
        Doc outlineDoc = doc.object("outline", "Outline");
        Job.Outline outline = outlineDoc == null ? null : outline(outlineDoc);
        List<Job.Parapet> parapets = new ArrayList<>();
        for (Doc p : doc.objects("parapets", "Parapets", MOST_CORNERS)) {
            parapets.add(new Job.Parapet(
                    p.whole("edge", "Edge", 1, MOST_CORNERS),
                    orZero(p.measureOrNull("height", Fields.PARAPET_HEIGHT)),
                    orZero(p.measureOrNull("thickness", Fields.PARAPET_THICKNESS))));
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
                    a.date("date", "Allowance given on"));
            a.done();
        }
        Job.Bays bays = null;
        Doc b = doc.objectOrNull("bays", "Bays");
        if (b != null) {
            bays = new Job.Bays(b.measure("alongX", Fields.BAY), b.measure("alongY", Fields.BAY));
            b.done();
        }
        return new Job.Roof(
                outline,
                doc.measure("upAzimuth", Fields.UP_AZIMUTH),
                doc.measure("height", Fields.ROOF_HEIGHT),
                doc.measure("slope", Fields.ROOF_SLOPE),
                parapets,
                doc.choice("covering", "Covering", Job.COVERINGS),
                allowance,
                bays,
                obstructions);
    }

    private static Job.Obstruction obstruction(Doc o) {
        Job.Obstruction result = new Job.Obstruction(
                o.text("id", "Id", 40),
                o.text("name", "Name of the obstruction", 60),
                o.measure("x", Fields.COORDINATE),
                o.measure("y", Fields.COORDINATE),
                o.measure("width", Fields.SIDE),
                o.measure("depth", Fields.SIDE),
                o.measure("height", Fields.OBSTRUCTION_HEIGHT),
                o.measure("clear", Fields.CLEAR));
        o.done();
        return result;
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
            result = new Job.Taped(inside, closing, legs, diagonals);
        } else {
            List<Job.Corner> corners = corners(doc, "corners", "Corners", MOST_CORNERS);
            enough(doc, "corners", corners.size());
            result = new Job.Drawn(corners);
        }
        doc.done();
        return result;
    }

    private static Job.TapedDiagonal diagonal(Doc doc, int corners) {
        int from = doc.whole("from", "From corner", 1, Math.max(1, corners));
        int to = doc.whole("to", "To corner", 1, Math.max(1, corners));
        int apart = Math.abs(from - to);
        if (apart < 2 || apart == corners - 1) {
            doc.problem(
                    "to",
                    "Diagonal",
                    from + "-" + to,
                    "joins no two corners with another between: for example 1-3; the edge itself is taped as an edge");
        }
        return new Job.TapedDiagonal(from, to, doc.measure("length", Fields.DIAGONAL));
    }

    private static void enough(Doc doc, String key, int count) {
        if (count < 3) {
            doc.problem(key, "Outline", count + " edges", "is too few: an outline has 3 to 400");
        }
    }

    private static List<Job.Corner> corners(Doc doc, String key, String label, int most) {
        List<Job.Corner> result = new ArrayList<>();
        for (Doc c : doc.objects(key, label, most)) {
            result.add(new Job.Corner(c.measure("x", Fields.COORDINATE), c.measure("y", Fields.COORDINATE)));
            c.done();
        }
        return result;
    }

    private static Job.Site site(Doc doc) {
        boolean en = doc.choice("family", "Code family", List.of("asce", "en")).equals("en");
        return new Job.Site(
                doc.measure("latitude", Fields.LATITUDE),
                doc.measure("longitude", Fields.LONGITUDE),
                doc.measure("elevation", Fields.ELEVATION),
                doc.measure("recordLow", Fields.RECORD_LOW),
                doc.measure("designHigh", Fields.DESIGN_HIGH),
                en ? enSite(doc) : asceSite(doc));
    }

    private static Job.AsceSite asceSite(Doc doc) {
        return new Job.AsceSite(
                doc.measureOrNull("wind", Fields.WIND),
                doc.choice("riskCategory", "Risk category", List.of("I", "II", "III", "IV")),
                doc.choice("exposure", "Exposure", List.of("B", "C", "D")),
                doc.number("kzt", "Topographic factor", 1, 5),
                doc.measureOrNull("snow", Fields.SNOW),
                doc.numberOr("snowExposure", "Snow exposure factor C_e", 0.5, 2, 1),
                doc.numberOr("snowThermal", "Snow thermal factor C_t", 0.5, 1.5, 1));
    }

    private static Job.EnSite enSite(Doc doc) {
        return new Job.EnSite(
                doc.measureOrNull("wind", Fields.WIND_MEAN),
                doc.choice("terrain", "Terrain category", List.of("0", "I", "II", "III", "IV")),
                doc.numberOr("directionFactor", "Direction factor c_dir", 0.5, 1, 1),
                doc.numberOr("seasonFactor", "Season factor c_season", 0.5, 1, 1),
                doc.numberOr("orography", "Orography factor c_o", 1, 2, 1),
                doc.text("coefficients", "Net-coefficient set", 80),
                doc.measureOrNull("snow", Fields.SNOW),
                doc.numberOr("snowExposure", "Snow exposure coefficient C_e", 0.5, 2, 1),
                doc.numberOr("snowThermal", "Snow thermal coefficient C_t", 0.5, 1.5, 1));
    }

    private static Job.ArrayChoice array(Doc doc) {
        Doc tray = doc.object("tray", "Tray system");
        Doc module = doc.object("module", "Module");
        Doc block = doc.object("block", "Block");
        TraySystem traySystem = tray == null ? null : CatalogueReader.tray(tray);
        ModuleType moduleType = module == null ? null : CatalogueReader.module(module);
        BlockType blockType = block == null ? null : CatalogueReader.block(block);
        Doc facingDoc = doc.object("facing", "Facing");
        Job.Facing facing = null;
        if (facingDoc != null) {
            facing = facingDoc.has("edge")
                    ? new Job.ToEdge(facingDoc.whole("edge", "Edge faced", 1, MOST_CORNERS))
                    : new Job.ToAzimuth(facingDoc.measure("azimuth", Fields.FACING));
            facingDoc.done();
        }
        Job.Walkway walkway = null;
        Doc w = doc.objectOrNull("walkway", "Walkway");
        if (w != null) {
            walkway = new Job.Walkway(
                    w.whole("every", "Rows between walkways", 1, 100),
                    w.whole("first", "Rows before the first walkway", 1, 100),
                    w.measure("width", Fields.WALKWAY));
            w.done();
        }
        double from = doc.number("windowFrom", "Shade-free from, solar hour", 5, 12);
        double to = doc.number("windowTo", "Shade-free to, solar hour", 12, 19);
        return new Job.ArrayChoice(
                traySystem,
                moduleType,
                blockType,
                doc.measure("tilt", Fields.TILT),
                doc.measureOrNull("gap", Fields.GAP),
                facing,
                doc.measureOrNull("setback", Fields.SETBACK),
                walkway,
                from,
                to,
                orZero(doc.measureOrNull("shiftAlong", Fields.SHIFT)),
                orZero(doc.measureOrNull("shiftAcross", Fields.SHIFT)),
                corners(doc, "removed", "Modules taken out", 20_000));
    }

    private static Measure orZero(Measure measure) {
        return measure == null ? new Measure(0, "0 m", false) : measure;
    }

    private static Job.Electrical electrical(Doc doc) {
        Doc inverter = doc.object("inverter", "Inverter");
        InverterType type = inverter == null ? null : CatalogueReader.inverter(inverter);
        Doc run = doc.object("run", "AC run");
        return new Job.Electrical(
                type,
                doc.number("dcAcMost", "Limit of DC over AC", 0.5, 2.5),
                doc.measure("systemLimit", Fields.SYSTEM_LIMIT),
                doc.number("cellRiseC", "Cell above ambient, °C", 0, 60),
                run == null ? null : run(run));
    }

    private static Job.AcRun run(Doc doc) {
        List<Job.VerticalLeg> legs = new ArrayList<>();
        for (Doc leg : doc.objects("legs", "Vertical legs", 50)) {
            legs.add(new Job.VerticalLeg(leg.text("name", "Name of the leg", 60), leg.measure("length", Fields.LEG)));
            leg.done();
        }
        Doc conductor = doc.object("conductor", "Conductor");
        List<Job.Corner> points = corners(doc, "points", "Points of the run", 200);
        if (points.size() < 2) {
            doc.problem(
                    "points", "AC run", points.size() + " points", "needs at least the inverter point and one more");
        }
        Job.AcRun result = new Job.AcRun(
                points,
                legs,
                doc.number("slackPct", "Slack, %", 0, 50),
                conductor == null ? null : CatalogueReader.conductor(conductor),
                doc.choice("raceway", "Raceway", List.of("steel", "pvc")),
                doc.choice("terminals", "Terminals", List.of("75 C", "60 C")).equals("75 C") ? 75 : 60,
                doc.flag("inSun", "In the sun", true),
                doc.measure("aboveRoof", Fields.ABOVE_ROOF),
                doc.number("dropLimitPct", "Voltage drop limit, %", 0.1, 10),
                doc.number("powerFactor", "Power factor", 0.8, 1),
                doc.has("feeders") ? doc.whole("feeders", "Feeders side by side", 1, 200) : 1);
        doc.done();
        return result;
    }
}
