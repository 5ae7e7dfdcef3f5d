package whipsaw.app.job;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.store.Json;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.JobWriter;

/** Job files against the schema that ships, and files with something wrong in them. */
class JobFileTest {
    private static final JsonSchema SCHEMA = schema();
    private static final List<Map<String, Object>> DOCUMENTS = documents();

    /** Place of the first demo job as it is written: after what ships, the demo jobs and the two new ones. */
    private static final int WRITTEN = Seeds.demoJobs().size() + 2;

    private static JsonSchema schema() {
        return JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012).getSchema(Json.write(JobReader.schema()));
    }

    private static List<String> faults(Map<?, ?> document) {
        return SCHEMA.validate(Json.write(document), InputFormat.JSON).stream()
                .map(Object::toString)
                .toList();
    }

    private static List<Map<String, Object>> documents() {
        List<Map<String, Object>> all = new ArrayList<>(Seeds.demoJobs());
        all.add(Seeds.newJob("asce"));
        all.add(Seeds.newJob("en"));
        Seeds.demoJobs()
                .forEach(d -> all.add(JobWriter.write(JobReader.read(d, false).job())));
        return all;
    }

    @Test
    void whatShipsAndWhatIsWrittenFollowsTheSchema() {
        assertThat(DOCUMENTS).hasSize(16).allSatisfy(d -> assertThat(faults(d)).isEmpty());
    }

    @Test
    void theSchemaRefusesWhatTheReaderRefuses() {
        for (String change : List.of(
                "project.units=imperial",
                "site.family=roman",
                "array.tilt=10",
                "electrical.run.raceway=wood",
                "roof.covering=straw",
                "schema=7",
                "array.windowFrom=2",
                "roof.parapets=none")) {
            Map<String, Object> document = copy(DOCUMENTS.get(WRITTEN));
            String[] parts = change.split("=");
            put(document, parts[0], parts[1].matches("\\d+") ? (Object) Integer.valueOf(parts[1]) : parts[1]);
            assertThat(faults(document)).as(change).isNotEmpty();
            assertThat(JobReader.read(document, false).ok()).as(change).isFalse();
        }
    }

    @SuppressWarnings("unchecked")
    private static void put(Map<String, Object> document, String path, Object value) {
        String[] steps = path.split("\\.");
        Map<String, Object> place = document;
        for (int i = 0; i < steps.length - 1; i++) {
            boolean one = i == 0 && List.of("roof", "array", "electrical").contains(steps[i]);
            place = one
                    ? ((List<Map<String, Object>>) place.get(steps[i].equals("electrical") ? "groups" : steps[i] + "s"))
                            .get(0)
                    : (Map<String, Object>) place.get(steps[i]);
        }
        place.put(steps[steps.length - 1], value);
    }

    private static Map<String, Object> copy(Map<String, Object> document) {
        return Json.object(Json.write(document));
    }

    /** All members of a document as places that can be broken. */
    private static void places(Object value, String path, List<String> paths) {
        if (value instanceof Map<?, ?> map) {
            map.forEach((k, v) -> {
                paths.add(path + "." + k);
                places(v, path + "." + k, paths);
            });
        } else if (value instanceof List<?> list) {
            for (int i = 0; i < Math.min(3, list.size()); i++) {
                places(list.get(i), path + "[" + i + "]", paths);
            }
        }
    }

    @SuppressWarnings("unchecked")
    private static Map<String, Object> parent(Map<String, Object> document, String path) {
        Object place = document;
        String[] steps = path.substring(2).split("\\.");
        for (int i = 0; i < steps.length - 1; i++) {
            String step = steps[i];
            int bracket = step.indexOf('[');
            place = ((Map<String, Object>) place).get(bracket < 0 ? step : step.substring(0, bracket));
            if (bracket >= 0) {
                place = ((List<Object>) place).get(Integer.parseInt(step.substring(bracket + 1, step.length() - 1)));
            }
        }
        return (Map<String, Object>) place;
    }

    /** Whatever member is broken, the reader names its path, or one above or below it, and never fails in another way. */
    @Test
    void aBrokenMemberIsNamedByItsPath() {
        Random random = new Random(4711);
        for (int round = 0; round < 500; round++) {
            broken(random.nextInt(3), random.nextInt(10_000), random.nextInt(6));
        }
    }

    private static void broken(int which, int at, int how) {
        Map<String, Object> document = copy(DOCUMENTS.get(Seeds.demoJobs().size() + which));
        List<String> paths = new ArrayList<>();
        places(document, "$", paths);
        String path = paths.get(at % paths.size());
        String member = path.substring(path.lastIndexOf('.') + 1);
        Map<String, Object> parent = parent(document, path);
        Object broken = List.of(new LinkedHashMap<>(), List.of(1, 2), "\u0000", -1e300, true, "9".repeat(500))
                .get(how);
        boolean optional = member.equals("writtenBy");
        parent.put(member, broken);
        var reading = JobReader.read(document, false);
        if (reading.ok()) {
            // a few members take several kinds of values; what was taken is then written as it was meant
            assertThat(JobReader.read(JobWriter.write(reading.job()), false).ok())
                    .isTrue();
            return;
        }
        assertThat(optional).isFalse();
        String shorter = path.replaceAll("\\.typed$|\\.(m|m2|Pa|kg|deg|C|W|A|V|m_per_s|pct_per_C)$", "");
        assertThat(reading.problems())
                .anySatisfy(p -> assertThat(p.path().startsWith(shorter) || shorter.startsWith(p.path()))
                        .isTrue());
        assertThat(reading.problems()).allSatisfy(p -> {
            assertThat(p.message()).isNotBlank();
            assertThat(p.value().length()).isLessThanOrEqualTo(80);
        });
    }

    @Test
    void everyMemberCanBeLeftOutOrIsMissed() {
        Map<String, Object> whole = DOCUMENTS.get(WRITTEN);
        List<String> paths = new ArrayList<>();
        places(whole, "$", paths);
        int missed = 0;
        for (String path : paths) {
            Map<String, Object> document = copy(whole);
            parent(document, path).remove(path.substring(path.lastIndexOf('.') + 1));
            boolean read = JobReader.read(document, false).ok();
            boolean allowed = faults(document).isEmpty();
            // the exact value beside a typed text may be left out in a file; the schema says the same
            assertThat(read).as(path + " read, schema " + allowed).isEqualTo(allowed);
            missed += read ? 0 : 1;
        }
        assertThat(missed).isGreaterThan(60);
    }

    @Test
    void anExactValueThatDisagreesWithItsTextIsRefused() {
        Map<String, Object> document = copy(DOCUMENTS.get(WRITTEN));
        put(document, "roof.height.m", 7.0);
        assertThat(JobReader.read(document, false).problems()).singleElement().satisfies(p -> {
            assertThat(p.path()).isEqualTo("$.roofs[0].height");
            assertThat(p.message()).contains("disagrees with the stored value 7.0");
        });
    }

    @Test
    void readingAWrittenJobGivesTheJob() {
        for (Map<String, Object> document : DOCUMENTS) {
            Job job = JobReader.read(document, false).job();
            Map<String, Object> written = JobWriter.write(job);
            assertThat(JobReader.read(copy(written), false).job()).isEqualTo(job);
        }
    }
}
