package whipsaw.core.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import whipsaw.core.catalogue.BlockType;
import whipsaw.core.catalogue.Contradiction;
import whipsaw.core.catalogue.InverterType;
import whipsaw.core.catalogue.ModuleType;
import whipsaw.core.catalogue.TraySystem;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/**
 * Reads a job document. All problems are found in one pass; a document with a problem gives no job.
 * In files every dimension carries its unit; a form may leave it out, and a bare number then means
 * the field's own unit.
 */
public final class JobReader {

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
        Job.Roof roof = section(doc, "roof", "Roof", RoofReader::roof);
        Survey survey = doc.has("survey") ? section(doc, "survey", "Survey", SurveyReader::survey) : Survey.NONE;
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
        Job job = new Job(project, roof, survey, site, array, electrical, tables);
        return new Reading<>(job, List.of());
    }

    /** Kinds of catalogue entries. */
    public static final List<String> KINDS =
            List.of("tray-system", "module", "block", "inverter", "conductor", "member");

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
                    case "member" -> StructureReader.member(doc);
                    default -> throw new IllegalArgumentException("no catalogue kind " + kind);
                };
        if (context.problems.isEmpty()) {
            for (Contradiction c : Contradiction.of(entry)) {
                doc.problem(c.key(), c.label(), c.value(), c.message());
            }
        }
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
                doc.textOrEmpty("signatory", "Engineer who signs", 160),
                units);
    }

    private static Job.Site site(Doc doc) {
        boolean en = doc.choice("family", "Code family", List.of("asce", "en")).equals("en");
        return new Job.Site(
                doc.measure("latitude", Fields.LATITUDE),
                doc.measure("longitude", Fields.LONGITUDE),
                doc.measure("elevation", Fields.ELEVATION),
                doc.measure("recordLow", Fields.RECORD_LOW),
                doc.measure("designHigh", Fields.DESIGN_HIGH),
                doc.measureOrNull("leastUplift", Fields.LEAST_UPLIFT),
                doc.numberOr("floorShare", "Share of the code's own coefficients", 0.1, 1.5, Double.NaN),
                doc.measureOrNull("roofSnow", Fields.ROOF_SNOW),
                en ? enSite(doc) : asceSite(doc));
    }

    private static Job.AsceSite asceSite(Doc doc) {
        return new Job.AsceSite(
                new Job.AsceEdition(
                        doc.has("edition")
                                ? doc.choice("edition", "Edition", Job.AsceSite.EDITIONS)
                                : Job.AsceSite.EDITIONS.get(0),
                        doc.flag("olderFigures", "Figures of 7-16 taken", false),
                        doc.has("method")
                                && "strength".equals(doc.choice("method", "Method", List.of("allowable", "strength")))),
                doc.textOrEmpty("coefficients", "Net-coefficient set", 80),
                doc.measureOrNull("wind", Fields.WIND),
                doc.choice("riskCategory", "Risk category", List.of("I", "II", "III", "IV")),
                ground(doc),
                doc.measureOrNull("snow", Fields.SNOW),
                doc.numberOr("snowExposure", "Snow exposure factor C_e", 0.5, 2, 1),
                doc.numberOr("snowThermal", "Snow thermal factor C_t", 0.5, 1.5, 1),
                doc.numberOr("sds", "Spectral acceleration S_DS", 0, 5, Double.NaN),
                doc.has("stories") ? doc.whole("stories", "Stories", 1, 200) : 0);
    }

    private static Job.Ground ground(Doc doc) {
        String exposure = doc.choice("exposure", "Exposure", List.of("B", "C", "D"));
        double kzt = doc.number("kzt", "Topographic factor", 1, 5);
        Doc hill = doc.objectOrNull("hill", "Hill");
        if (hill == null) {
            return new Job.Ground(exposure, kzt, null);
        }
        if (kzt > 1) {
            doc.problem("kzt", "Topographic factor", kzt, "is typed beside a hill that gives it: leave it at 1");
        }
        Job.Hill read = new Job.Hill(
                hill.choice("shape", "Shape of the hill", Job.Hill.SHAPES),
                hill.measure("height", Fields.HILL_HEIGHT),
                hill.measure("halfLength", Fields.HILL_HALF_LENGTH),
                hill.measure("distance", Fields.HILL_DISTANCE));
        hill.done();
        return new Job.Ground(exposure, kzt, read);
    }

    private static Job.EnSite enSite(Doc doc) {
        return new Job.EnSite(
                doc.measureOrNull("wind", Fields.WIND_MEAN),
                doc.choice("terrain", "Terrain category", List.of("0", "I", "II", "III", "IV")),
                new Job.WindFactors(
                        doc.numberOr("directionFactor", "Direction factor c_dir", 0.5, 1, 1),
                        doc.numberOr("seasonFactor", "Season factor c_season", 0.5, 1, 1),
                        doc.numberOr("orography", "Orography factor c_o", 1, 2, 1),
                        doc.numberOr("returnYears", "Return period in years", 5, 1000, 50)),
                doc.text("coefficients", "Net-coefficient set", 80),
                doc.textOrEmpty("national", "National parameters", 80),
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
                    ? new Job.ToEdge(facingDoc.whole("edge", "Edge faced", 1, RoofReader.MOST_CORNERS))
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
                RoofReader.corners(doc, "removed", "Modules taken out", 20_000),
                attachments(doc.objectOrNull("attachments", "Attachments")));
    }

    private static Job.Attachments attachments(Doc doc) {
        if (doc == null) {
            return null;
        }
        Job.Attachments read = new Job.Attachments(
                doc.measure("tension", Fields.ATTACHMENT),
                doc.measure("shear", Fields.ATTACHMENT),
                doc.whole("mostBlocks", "Blocks a position takes beside attachments", 0, 60),
                StructureReader.bays(doc),
                doc.has("kind") && !"".equals(doc.textOrEmpty("kind", "How they are fixed", 40))
                        ? doc.choice("kind", "How they are fixed", Job.Attachments.KINDS)
                        : "");
        doc.done();
        return read;
    }

    static Measure orZero(Measure measure) {
        return measure == null ? new Measure(0, "0 m", false) : measure;
    }

    private static Job.Electrical electrical(Doc doc) {
        Doc inverter = doc.object("inverter", "Inverter");
        InverterType type = inverter == null ? null : CatalogueReader.inverter(inverter);
        Doc run = doc.object("run", "AC run");
        return new Job.Electrical(
                type,
                doc.has("place") ? doc.choice("place", "Where the array is", Job.Electrical.PLACES) : "building",
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
        List<Job.Corner> points = RoofReader.corners(doc, "points", "Points of the run", 200);
        if (points.size() < 2) {
            doc.problem(
                    "points",
                    "AC run",
                    Show.count(points.size(), "point"),
                    "needs at least the inverter point and one more");
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
