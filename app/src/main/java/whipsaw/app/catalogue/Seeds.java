package whipsaw.app.catalogue;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import whipsaw.app.store.CatalogueStore;
import whipsaw.app.store.Json;
import whipsaw.core.job.JobReader;

/**
 * What ships: catalogue seeds, the demo jobs and the jobs new ones start from. All of it is
 * invented.
 */
public final class Seeds {
    private static final String REFERENCE = "catalogue:";
    private static final String SIGNED = "demo/tollgate-library.json";

    private Seeds() {}

    /** Catalogue entries, each valid. */
    public static List<CatalogueStore.Entry> entries() {
        List<CatalogueStore.Entry> entries = new ArrayList<>();
        for (Object item : Json.list(resource("catalogue/seeds.json"))) {
            Map<?, ?> seed = (Map<?, ?>) item;
            String kind = String.valueOf(seed.get("kind"));
            Map<String, Object> body = new LinkedHashMap<>();
            ((Map<?, ?>) seed.get("body")).forEach((k, v) -> body.put(String.valueOf(k), v));
            var reading = JobReader.readEntry(kind, body);
            if (!reading.ok()) {
                throw new IllegalStateException("seed " + body.get("code") + reading.problems());
            }
            entries.add(new CatalogueStore.Entry(
                    kind, String.valueOf(body.get("code")), String.valueOf(body.get("edition")), body, false));
        }
        return entries;
    }

    /** The demo jobs as complete documents, the first one the one a newcomer opens. */
    public static List<Map<String, Object>> demoJobs() {
        return List.of(
                filled("demo/milepost-hall.json"),
                filled("demo/ashwell-school.json"),
                filled("demo/cold-store.json"),
                filled("demo/bus-depot.json"),
                filled("demo/parcel-shed.json"),
                filled("demo/bakers-row.json"),
                filled(SIGNED));
    }

    /** The demo job that is signed and half laid. */
    public static Map<String, Object> signedDemoJob() {
        return filled(SIGNED);
    }

    /** The first demo job. */
    public static Map<String, Object> demoJob() {
        return filled("demo/milepost-hall.json");
    }

    /**
     * The document a new job starts from; everything nobody has stated is marked as assumed.
     *
     * @param family code family: {@code asce} or {@code en}
     */
    public static Map<String, Object> newJob(String family) {
        return filled("demo/new-job-" + family + ".json");
    }

    @SuppressWarnings("unchecked")
    private static Map<String, Object> filled(String name) {
        Map<String, Object> entries = new LinkedHashMap<>();
        entries().forEach(e -> entries.put(REFERENCE + e.kind() + "/" + e.code(), e.body()));
        return (Map<String, Object>) replace(Json.object(resource(name)), entries);
    }

    private static Object replace(Object value, Map<String, Object> entries) {
        if (value instanceof Map<?, ?> map) {
            Map<Object, Object> copy = new LinkedHashMap<>();
            map.forEach((k, v) -> copy.put(k, replace(v, entries)));
            return copy;
        }
        if (value instanceof List<?> list) {
            return list.stream().map(item -> replace(item, entries)).toList();
        }
        return value instanceof String text && text.startsWith(REFERENCE) ? entries.get(text) : value;
    }

    private static String resource(String name) {
        try (InputStream in = Seeds.class.getResourceAsStream("/whipsaw/" + name)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
