package whipsaw.core.job;

import java.util.LinkedHashMap;
import java.util.Map;
import whipsaw.core.schema.Shape;

/**
 * Writes a job as a document. Each dimension is written with the typed text and the exact SI value
 * beside it; reading the document back gives an equal job.
 */
public final class JobWriter {
    private JobWriter() {}

    /** A whole job. */
    public static Map<String, Object> write(Job job) {
        Map<String, Object> document = new LinkedHashMap<>();
        document.put("schema", JobDocument.SCHEMA);
        document.putAll(Shape.of(JobDocument.class).write(job.document()));
        return document;
    }

    /** A part of a job, or a catalogue entry of any kind, as a job holds it. */
    public static Map<String, Object> part(Record part) {
        return Shape.of(part.getClass()).write(part);
    }
}
