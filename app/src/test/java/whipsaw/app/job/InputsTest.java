package whipsaw.app.job;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.command.InputsCommand;
import whipsaw.app.entry.InputNames;
import whipsaw.app.store.Json;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.DocumentPatch.Change;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobDocument;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.JobWriter;
import whipsaw.core.job.Site;
import whipsaw.core.schema.InputTable;
import whipsaw.core.schema.Located;
import whipsaw.core.schema.Problem;
import whipsaw.core.schema.Shape;
import whipsaw.core.schema.Slot;
import whipsaw.core.units.Measure;
import whipsaw.core.units.UnitSystem;

/** Every declared input of a job: read, written, refused by reader and schema alike, and called the same everywhere. */
class InputsTest {
    private static final Shape<JobDocument> SHAPE = Shape.of(JobDocument.class);
    private static final JsonSchema SCHEMA =
            JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012).getSchema(Json.write(JobReader.schema()));

    /** Documents that together hold every input there is. */
    private static List<Map<String, Object>> documents() {
        List<Map<String, Object>> all = new ArrayList<>();
        for (Map<String, Object> d : Seeds.demoJobs()) {
            all.add(JobWriter.write(JobReader.read(d, false).job()));
        }
        all.add(full(all.get(0)));
        all.add(patched(all.get(1), "site.national", "own"));
        // by itself: a year of weather is long, and every other input is tried in the full document
        all.add(patched(
                all.get(1),
                "site.weather",
                json("{'name':'Field','latitude':41.5,'longitude':-84,'utcOffset':-5,'wind':3.5,'days':" + WEATHER
                        + "}")));
        all.add(pitched(all.get(3)));
        all.add(patched(
                all.get(0),
                "roof.outline",
                json("{'kind':'taped','face':'inside','closing':'compass','legs':[" + LEG + "," + LEG + "," + LEG + ","
                        + LEG
                        + "],'diagonals':[{'from':1,'to':3,'length':'14 m'}],"
                        + "'offsets':[{'corner':3,'from':1,'to':2,'length':'10 m'}]}"),
                "roof.form",
                json("{'kind':'hipped','slope':'5 deg'}")));
        all.add(patched(
                all.get(0),
                "roof.form",
                json("{'kind':'faces','faces':[{'corners':[{'x':'0 m','y':'0 m'},{'x':'9 m','y':'0 m'},"
                        + "{'x':'9 m','y':'9 m'}],'slope':'5 deg','fallsTo':'90 deg','low':'0 m'}]}")));
        for (String type : SECTIONS) {
            all.add(patched(all.get(0), "roof.structure.members[0].type", json("{" + INFO + type + "}")));
        }
        all.replaceAll(InputsTest::filled);
        return all;
    }

    /** A document with every optional dimension of the objects it has. */
    private static Map<String, Object> filled(Map<String, Object> document) {
        Map<String, Object> copy = Json.object(Json.write(document));
        fill(SHAPE, copy);
        var reading = JobReader.read(copy, false);
        // some go with no other: a hill, for one, with a factor that is typed
        return reading.ok() ? JobWriter.write(reading.job()) : document;
    }

    @SuppressWarnings("unchecked")
    private static void fill(Shape<?> shape, Map<String, Object> object) {
        Shape<?> of = shape.kinds().stream()
                .filter(k -> k.kind().equals(object.get(shape.kindKey())))
                .findFirst()
                .<Shape<?>>map(k -> k)
                .orElse(shape);
        for (Slot slot : of.slots()) {
            Object value = object.get(slot.key());
            boolean dimension = slot.type() == Measure.class && slot.input().optional();
            boolean alone =
                    slot.input().when().length == 0 && slot.input().with().isEmpty();
            if (value == null && dimension && alone && own(of, slot, object)) {
                object.put(slot.key(), slot.field().example(UnitSystem.METRIC));
            } else if (slot.element() != null && value instanceof Map<?, ?> map) {
                fill(slot.element(), (Map<String, Object>) map);
            } else if (slot.list() && value instanceof List<?> list) {
                list.forEach(entry -> fill(slot.element(), (Map<String, Object>) entry));
            }
        }
    }

    /** Whether an input is of the kind the object is of: both code families have a wind speed. */
    private static boolean own(Shape<?> shape, Slot slot, Map<String, Object> object) {
        if (!shape.type().equals(Site.class)) {
            return true;
        }
        return Shape.of(Site.CodeSite.class).kinds().stream()
                .noneMatch(k -> k.slots().contains(slot) && !k.kind().equals(object.get("family")));
    }

    private static final String DAY =
            IntStream.range(0, 24).mapToObj(h -> h + ".5").collect(Collectors.joining(",", "[", "]"));
    private static final String YEAR = IntStream.range(0, 365)
            .mapToObj(d -> "'" + "1 ".repeat(23) + "2.5'")
            .collect(Collectors.joining(",", "[", "]"));
    private static final String WEATHER = IntStream.range(0, 365)
            .mapToObj(d -> "'" + "1 ".repeat(71) + "-2.5'")
            .collect(Collectors.joining(",", "[", "]"));
    private static final String LEG = "{'length':'10 m','turnDeg':90,'measured':true}";
    private static final String INFO =
            "'code':'s','edition':'1','maker':'M','name':'S','source':'made up','dated':'2026-05-31','status':'invented',";
    private static final List<String> SECTIONS = List.of(
            "'shape':'c','depth':'200 mm','width':'65 mm','web':'2 mm','lip':'20 mm','material':'cold-formed',"
                    + "'strength':'350 MPa','elasticity':'210 GPa'",
            "'shape':'i','depth':'200 mm','width':'100 mm','web':'6 mm','flange':'9 mm','material':'steel',"
                    + "'strength':'350 MPa','shear':'200 MPa','elasticity':'210 GPa'",
            "'shape':'given','inertia':'500 cm4','modulus':'50 cm3','material':'timber','strength':'20 MPa',"
                    + "'shear':'3 MPa','elasticity':'11 GPa'",
            "'shape':'table','material':'steel','table':[{'span':'9 m','total':'4 kN/m','variable':'3 kN/m'}]");

    private static Map<String, Object> patched(Map<String, Object> document, Object... pathsAndValues) {
        List<Change> changes = new ArrayList<>();
        for (int i = 0; i < pathsAndValues.length; i += 2) {
            String path = (String) pathsAndValues[i];
            boolean add = path.startsWith("+");
            changes.add(
                    new Change(add ? "append" : "set", "$." + (add ? path.substring(1) : path), pathsAndValues[i + 1]));
        }
        Job job = JobReader.read(document, false).job();
        Map<String, Object> result = DocumentPatch.apply(job, changes);
        var reading = JobReader.read(result, false);
        assertThat(reading.problems()).isEmpty();
        return JobWriter.write(reading.job());
    }

    private static Object json(String text) {
        return Json.object("{\"v\":" + text.replace('\'', '"') + "}").get("v");
    }

    private static Map<String, Object> full(Map<String, Object> flat) {
        return patched(
                flat,
                "project.signatory",
                "A. Reed",
                "codeTables",
                json("[{'id':'t','edition':'1','hash':'h'}]"),
                "site.coefficients",
                "own",
                "site.climate",
                "continental",
                "site.leastUplift",
                "10 psf",
                "site.floorShare",
                0.5,
                "site.roofSnow",
                "20 psf",
                "site.edition",
                "7-22",
                "site.olderFigures",
                true,
                "site.method",
                "strength",
                "site.sds",
                0.4,
                "site.stories",
                2,
                "site.kzt",
                1,
                "site.hill",
                json("{'shape':'hill','height':'40 m','halfLength':'100 m','distance':'10 m'}"),
                "array.tray.longestRow",
                "30 m",
                "array.module.dated",
                "2026-05-31",
                "array.module.clampLongFrom",
                "250 mm",
                "array.module.clampLongTo",
                "550 mm",
                "array.module.clampShortFrom",
                "150 mm",
                "array.module.clampShortTo",
                "350 mm",
                "array.module.holes",
                "400 mm",
                "array.gap",
                "20 in",
                "array.setback",
                "6 ft",
                "array.paths",
                "fire code",
                "array.walkway",
                json("{'every':6,'first':3,'width':'4 ft'}"),
                "roof.structure.members[0].first",
                "1 m",
                "roof.buildUps",
                json("[{'face':0,'joists':'1 m'}]"),
                "array.numbers",
                json("{'by':'A. Reed','on':'2026-11-20','x':'1 m','y':'2 m','rows':'1: 1-12, 15; 3: 2'}"),
                "array.attachments",
                json("{'tension':'2 kN','shear':'1 kN','mostBlocks':4,'bays':'B2','kind':'bolted',"
                        + "'at':[{'x':'5 m','y':'5 m'}],'part':{'code':'r-9','edition':'1','maker':'M','name':'N',"
                        + "'source':'S','dated':'2026-05-31','status':'invented','fixing':'bolted','tension':'2 kN',"
                        + "'shear':'1 kN','basis':'report','steepest':'5 deg','serves':'6 m2'}}"),
                "array.ballastBy",
                "together",
                "array.weighed",
                json("{'count':10,'mean':'14.2 kg','spread':'0.4 kg'}"),
                "site.horizon",
                "90: 4; 120: 11.5",
                "array.aisle",
                json("{'every':12,'first':6,'width':'1 m'}"),
                "array.hand",
                json("{'added':[{'x':'9 m','y':'3 m'}],'shifted':[{'x':'5 m','y':'5 m','by':'-10 in'}],"
                        + "'locked':[{'x':'5 m','y':'9 m'}],'breaks':[{'x':'20 m','y':'9 m','gap':'1 m'}]}"),
                "array.removed",
                json("[{'x':'3 m','y':'3 m'}]"),
                "electrical.place",
                "ground",
                "roof.sizes",
                json("{'face':'inside','tapes':[{'from':1,'to':2,'length':'60 m'}]}"),
                "roof.parapets",
                json("[{'edge':1,'height':'1 m','thickness':'200 mm','curb':true}]"),
                "roof.allowance",
                json(
                        "{'load':'9 psf','givenBy':'A. Reed','date':'2026-05-31','letter':'L 12','conditions':'one; two'}"),
                "roof.bayNotes",
                json("[{'bay':'A1','fall':'1 deg','fallsTo':'90 deg','undulation':'0.5 deg','ponds':true,'note':'x'}]"),
                "roof.obstructions",
                json(
                        "[{'id':'a','name':'A','kind':'flue','x':'1 m','y':'1 m','width':'1 m','depth':'1 m','height':'1 m',"
                                + "'measured':'1 m from edge 1','clear':'1 m','shades':true,'fragile':false,'exhaust':'90 deg'},"
                                + "{'id':'b','name':'B','x':'5 m','y':'5 m','shape':'polygon','height':'1 m',"
                                + "'corners':[{'x':'0 m','y':'0 m'},{'x':'1 m','y':'0 m'},{'x':'1 m','y':'1 m'}]}]"),
                "roof.structure.setDowns",
                json(
                        "[{'id':'s','name':'S','stage':'one','x':'1 m','y':'1 m','width':'1 m','depth':'1 m','mass':'90 kg',"
                                + "'high':2}]"),
                "roof.structure.laid",
                json("[{'id':'l','name':'L','perMetre':'9 kg/m','support':'5 kg','spacing':'1.5 m',"
                        + "'line':{'x':'1 m','y':'1 m','toX':'5 m','toY':'1 m'}}]"),
                "roof.structure.works",
                json("[{'id':'w','members':'" + memberId(flat) + "','kind':'double','bays':'B2','photos':['p'],"
                        + "'seen':{'by':'A. Reed','on':'2026-05-31','what':'all','utilisation':0.9}}]"),
                "roof.structure.windDown",
                "1 kPa",
                "roof.structure.seismicWeight",
                "90000 kg",
                "roof.structure.construction",
                "1 kPa",
                "survey",
                json("{'answers':{'coverAge':{'value':12,'how':'told','by':'R','on':'2026-05-31'}},"
                        + "'pins':[{'id':'p','kind':'hoist','x':'1 m','y':'1 m','note':'n','reach':'9 m','load':'100 kg',"
                        + "'by':'R','seen':'2026-05-31','photos':['p']}],"
                        + "'routes':[{'id':'r','name':'R','note':'n','keys':'k','legs':[{'name':'l','vertical':false,"
                        + "'length':'3 m','place':{'x':'1 m','y':'1 m','toX':'2 m','toY':'1 m'},'photos':['p']}]}],"
                        + "'viewers':[{'id':'v','name':'V','x':'1 m','y':'-9 m','eye':'1.6 m','ground':'0 m'}],'unseen':true,"
                        + "'underlay':{'picture':'p','x':'0 m','y':'0 m','metresPerPixel':0.05,'turnDeg':1,'opacityPct':40},"
                        + "'occupants':[{'id':'o','name':'O','meter':'m','kw':" + DAY
                        + ",'source':'bill','year':{'zone':'Europe/London','from':'2025-01-01','summerFrom':4,"
                        + "'summerTo':9,'days':" + YEAR
                        + "}}]}"),
                "+roofs",
                beside(flat),
                "array.area",
                json("[{'x':'0 m','y':'0 m'},{'x':'30 m','y':'0 m'},{'x':'30 m','y':'20 m'}]"));
    }

    private static Map<String, Object> beside(Map<String, Object> flat) {
        Map<String, Object> roof =
                JobWriter.part(JobReader.read(flat, false).job().on());
        roof.putAll(Map.of("id", "z", "name", "Z", "x", "90 m", "y", "1 m"));
        return roof;
    }

    private static String memberId(Map<String, Object> document) {
        return JobReader.read(document, false)
                .job()
                .roof()
                .fabric()
                .structure()
                .members()
                .get(0)
                .id();
    }

    private static Map<String, Object> pitched(Map<String, Object> document) {
        return patched(
                document,
                "roof.structure.onFaces",
                json("{'array':'0.2 kPa','snow':'1 kPa','uplift':'1 kPa','partlyEnclosed':true}"));
    }

    /** Leaves of a document by their paths: what is read at once. */
    private static void leaves(Object value, String path, Map<String, Object> found) {
        if (value instanceof Map<?, ?> map && !map.containsKey("typed") && !path.endsWith(".friction")) {
            map.forEach((k, v) -> leaves(v, path + "." + k, found));
        } else if (value instanceof List<?> list
                && !list.isEmpty()
                && list.get(0) instanceof Map<?, ?> first
                && !first.containsKey("typed")) {
            for (int i = 0; i < list.size(); i++) {
                leaves(list.get(i), path + "[" + i + "]", found);
            }
        } else {
            found.put(path, value);
        }
    }

    /** Every declared input, by the record that declares it. */
    private static void declared(Shape<?> shape, Set<Slot> slots) {
        for (Slot slot : shape.slots()) {
            if (slots.add(slot) && slot.element() != null) {
                declared(slot.element(), slots);
            }
        }
    }

    private static List<String> faults(Map<String, Object> document) {
        return SCHEMA.validate(Json.write(document), InputFormat.JSON).stream()
                .map(Object::toString)
                .toList();
    }

    /** Values that are wrong for an input: of another unit, out of range, no choice, of another kind. */
    private static List<Object> wrong(Slot slot) {
        if (slot.type() == List.class) {
            return List.of(Map.of());
        }
        List<Object> values = new ArrayList<>(List.of(List.of(Map.of())));
        if (slot.type() == Measure.class) {
            String siKey = slot.input().dim().quantity().siKey();
            values.addAll(List.of("3 parsec", "12", "3 " + (siKey.equals("deg") ? "kg" : "deg"), 3));
        } else if (slot.type() == double.class || slot.type() == int.class) {
            values.addAll(List.of(slot.input().most() + 1, slot.input().least() - 1, "many"));
        } else if (slot.type() == boolean.class && slot.input().choices().length == 0) {
            values.addAll(List.of("yes", 1));
        } else if (!slot.choices().isEmpty() && slot.type() != Boolean.class) {
            values.addAll(List.of("neither", 7));
        } else if (slot.type() == String.class) {
            values.addAll(List.of("x".repeat(slot.input().longest() + 1), 7));
        }
        return values;
    }

    @Test
    void everyInputIsReadAndWrittenAndCalledTheSame() {
        Set<Slot> all = new HashSet<>();
        declared(SHAPE, all);
        Set<Slot> met = new HashSet<>();
        for (Map<String, Object> document : documents()) {
            Job job = JobReader.read(document, false).job();
            assertThat(faults(document)).isEmpty();
            Map<String, Object> leaves = new LinkedHashMap<>();
            leaves(document, "$", leaves);
            InputNames names = new InputNames(null, null, job);
            leaves.forEach((path, value) -> {
                Located at = Located.in(SHAPE, job.document(), path);
                if (path.startsWith("$.survey.answers") || path.equals("$.schema")) {
                    return;
                }
                assertThat(at).as(path).isNotNull();
                if (at.slot() == null) {
                    return; // the kind of an object
                }
                met.add(at.slot());
                assertThat(at.slot().written(at.value())).as(path).isEqualTo(value);
                assertThat(names.name(path))
                        .as(path)
                        .isEqualTo(at.name())
                        .endsWith(at.slot().label());
            });
        }
        all.removeIf(s -> s.element() != null || met.contains(s) || s.type() == Map.class);
        assertThat(all).isEmpty();
    }

    @Test
    void readerAndSchemaRefuseTheSameValuesAndErrorsCallInputsByTheirLabels() {
        int refused = 0;
        Set<Slot> done = new HashSet<>();
        for (Map<String, Object> document : documents()) {
            Job job = JobReader.read(document, false).job();
            Map<String, Object> leaves = new LinkedHashMap<>();
            leaves(document, "$", leaves);
            for (String path : leaves.keySet()) {
                Located at = Located.in(SHAPE, job.document(), path);
                if (at == null || at.slot() == null || path.startsWith("$.survey.answers") || !done.add(at.slot())) {
                    continue;
                }
                for (Object wrong : wrong(at.slot())) {
                    Map<String, Object> broken = DocumentPatch.apply(document, List.of(new Change("set", path, wrong)));
                    List<Problem> problems = JobReader.read(broken, false).problems();
                    assertThat(problems).as(path + " = " + wrong).isNotEmpty();
                    assertThat(faults(broken)).as(path + " = " + wrong).isNotEmpty();
                    assertThat(problems).as(path + " = " + wrong).anySatisfy(p -> assertThat(p.label())
                            .endsWith(at.slot().label()));
                    refused++;
                }
            }
        }
        assertThat(refused).isGreaterThan(800);
    }

    @Test
    void theTablesOfInputsAreThoseOfTheDeclarations() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        InputsCommand.run(new PrintStream(out, true, StandardCharsets.UTF_8));
        assertThat(Files.readString(Path.of("../docs/job-inputs.md")))
                .as("made anew by ./whipsaw inputs > docs/job-inputs.md")
                .isEqualToIgnoringNewLines(out.toString(StandardCharsets.UTF_8));
        assertThat(InputTable.of(SHAPE, "$"))
                .anySatisfy(r -> assertThat(r.path()).isEqualTo("$.roofs[].obstructions[].height"))
                .extracting(InputTable.Row::label)
                .doesNotContain("");
    }
}
