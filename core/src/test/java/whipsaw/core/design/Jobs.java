package whipsaw.core.design;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.ObjectMapper;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobReader;
import whipsaw.core.schema.Problem;
import whipsaw.core.table.CodeTables;

/** A job to test on: 60 m by 40 m, 8 m high, one parapet, with members set by path. */
public final class Jobs {
    public static final Solver SOLVER = new Solver(CodeTables.shipped());

    private Jobs() {}

    public static Map<String, Object> document() {
        return document("plain-roof");
    }

    /** {@code plain-roof}, ASCE with one-way rows and of schema version 1, or {@code paired-roof}, EN with pairs. */
    @SuppressWarnings("unchecked")
    public static Map<String, Object> document(String name) {
        try (InputStream in = Jobs.class.getResourceAsStream("/jobs/" + name + ".json")) {
            return new ObjectMapper().readValue(in, Map.class);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Sets {@code roof.height} to a value; null removes it. */
    @SuppressWarnings("unchecked")
    public static Map<String, Object> with(Map<String, Object> document, String path, Object value) {
        String[] steps = path.split("\\.");
        Map<String, Object> place = document;
        for (int i = 0; i < steps.length - 1; i++) {
            place = (Map<String, Object>) place.get(steps[i]);
        }
        if (value == null) {
            place.remove(steps[steps.length - 1]);
        } else {
            place.put(steps[steps.length - 1], value);
        }
        return document;
    }

    public static Job job(Object... pathsAndValues) {
        return job(document(), pathsAndValues);
    }

    /** The same of the job with pairs in the EN family. */
    public static Job paired(Object... pathsAndValues) {
        return job(document("paired-roof"), pathsAndValues);
    }

    public static Design pairedDesign(Object... pathsAndValues) {
        return SOLVER.solve(paired(pathsAndValues));
    }

    private static Job job(Map<String, Object> document, Object... pathsAndValues) {
        for (int i = 0; i < pathsAndValues.length; i += 2) {
            with(document, (String) pathsAndValues[i], pathsAndValues[i + 1]);
        }
        var reading = JobReader.read(document, false);
        if (!reading.ok()) {
            throw new AssertionError(reading.problems());
        }
        List<Problem> problems = SOLVER.problems(reading.job());
        if (!problems.isEmpty()) {
            throw new AssertionError(problems);
        }
        return reading.job();
    }

    /** An invented attachment as the catalogue holds it: screwed, 3 kN up and 2 kN along. */
    public static Map<String, Object> attachment() {
        Map<String, Object> body = new LinkedHashMap<>();
        for (String id : List.of("code", "maker", "name", "source")) {
            body.put(id, "anchor");
        }
        body.putAll(Map.of("edition", "1", "status", "invented"));
        body.putAll(Map.of("fixing", "screwed", "tension", "3 kN", "shear", "2 kN"));
        return body;
    }

    public static Design design(Object... pathsAndValues) {
        return SOLVER.solve(job(pathsAndValues));
    }
}
