package whipsaw.core.job;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import whipsaw.core.catalogue.AttachmentType;
import whipsaw.core.catalogue.BlockType;
import whipsaw.core.catalogue.ConductorType;
import whipsaw.core.catalogue.Contradiction;
import whipsaw.core.catalogue.InverterType;
import whipsaw.core.catalogue.MemberType;
import whipsaw.core.catalogue.ModuleType;
import whipsaw.core.catalogue.TraySystem;
import whipsaw.core.schema.Doc;
import whipsaw.core.schema.JsonSchema;
import whipsaw.core.schema.Problem;
import whipsaw.core.schema.Shape;
import whipsaw.core.units.UnitSystem;

/**
 * Reads a job document. All problems are found in one pass; a document with a problem gives no job.
 * In files every dimension carries its unit; a form may leave it out, and a bare number then means
 * the field's own unit.
 */
public final class JobReader {
    private static final int LONGEST_WRITER = 60;

    private JobReader() {}

    /**
     * Outcome of a reading.
     *
     * @param job null when there are problems
     */
    public record Reading<T>(T job, List<Problem> problems) {
        /** Whether there is a job and no problem. */
        public boolean ok() {
            return problems.isEmpty();
        }
    }

    /**
     * Reads a whole job from a tree of maps, lists and values, as its first array sees it; older schema versions are
     * upgraded first.
     */
    public static Reading<Job> read(Map<?, ?> given, boolean bareNumbers) {
        Map<?, ?> document = SchemaUpgrade.upgraded(given);
        Doc.Context context = new Doc.Context(bareNumbers, units(document));
        Doc doc = new Doc(document, context);
        Object schema = document.get("schema");
        if (schema instanceof Number n && n.doubleValue() > JobDocument.SCHEMA) {
            doc.problem(
                    "schema",
                    "Schema version",
                    schema,
                    "is from a later version of the product; this one reads up to " + JobDocument.SCHEMA);
            return new Reading<>(null, context.problems());
        }
        doc.whole("schema", "Schema version", JobDocument.SCHEMA, JobDocument.SCHEMA);
        if (doc.has("writtenBy")) {
            doc.text("writtenBy", "Written by", LONGEST_WRITER);
        }
        Reading<JobDocument> whole = reading(Shape.of(JobDocument.class).read(doc), context);
        return new Reading<>(
                whole.ok() ? whole.job().first() : null,
                whole.problems().stream()
                        .map(p ->
                                new Problem(SchemaUpgrade.asGiven(p.path(), given), p.label(), p.value(), p.message()))
                        .toList());
    }

    /** The system a document is shown in, which its errors speak. */
    private static UnitSystem units(Map<?, ?> document) {
        boolean us = document.get("project") instanceof Map<?, ?> project
                && UnitSystem.US.key().equals(project.get("units"));
        return us ? UnitSystem.US : UnitSystem.METRIC;
    }

    private static <T> Reading<T> reading(T read, Doc.Context context) {
        boolean ok = context.problems().isEmpty();
        return new Reading<>(ok ? read : null, List.copyOf(context.problems()));
    }

    /** Kinds of catalogue entries, with the record of each. */
    private static final Map<String, Class<? extends Record>> ENTRIES = new LinkedHashMap<>();

    static {
        ENTRIES.put("tray-system", TraySystem.class);
        ENTRIES.put("module", ModuleType.class);
        ENTRIES.put("block", BlockType.class);
        ENTRIES.put("attachment", AttachmentType.class);
        ENTRIES.put("inverter", InverterType.class);
        ENTRIES.put("conductor", ConductorType.class);
        ENTRIES.put("member", MemberType.class);
    }

    /** Kinds of catalogue entries. */
    public static final List<String> KINDS = List.copyOf(ENTRIES.keySet());

    /** The inputs of a kind of catalogue entry; null when there is no such kind. */
    public static Shape<? extends Record> shape(String kind) {
        Class<? extends Record> type = ENTRIES.get(kind);
        return type == null ? null : Shape.of(type);
    }

    /** Reads one catalogue entry of one of the {@link #KINDS}. */
    public static Reading<Record> readEntry(String kind, Map<?, ?> body) {
        return readEntry(kind, body, null);
    }

    /**
     * The same from a form or a table of texts.
     *
     * @param bare system whose units bare numbers mean; null refuses them
     */
    public static Reading<Record> readEntry(String kind, Map<?, ?> body, UnitSystem bare) {
        Shape<? extends Record> shape = shape(kind);
        if (shape == null) {
            throw new IllegalArgumentException("no catalogue kind " + kind);
        }
        Doc.Context context = new Doc.Context(bare != null, bare == null ? UnitSystem.METRIC : bare);
        Doc doc = new Doc(body, context);
        Record entry = shape.read(doc);
        if (context.problems().isEmpty()) {
            for (Contradiction c : Contradiction.of(entry)) {
                doc.problem(c.key(), shape.slot(c.key()).label(), c.value(), c.message());
            }
        }
        return reading(entry, context);
    }

    /** JSON Schema of job files of this version. */
    public static Map<String, Object> schema() {
        Map<String, Object> more = new LinkedHashMap<>();
        more.put("schema", Map.of("const", JobDocument.SCHEMA));
        more.put("writtenBy", Map.of("type", "string", "maxLength", LONGEST_WRITER, "pattern", "\\S"));
        return JsonSchema.of(
                "Whipsaw job file, schema version " + JobDocument.SCHEMA,
                Shape.of(JobDocument.class),
                more,
                List.of("schema"));
    }
}
