package whipsaw.core.table;

import java.io.IOException;
import java.io.InputStream;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import whipsaw.core.working.DataStatus;

/** All code tables, loaded once. {@code tables/index.csv} names each with its source and status. */
public final class CodeTables {
    private static final CSVFormat FORMAT = CSVFormat.DEFAULT
            .builder()
            .setHeader()
            .setSkipHeaderRecord(true)
            .setCommentMarker('#')
            .setTrim(true)
            .get();

    private final Map<String, CodeTable> byId;

    private final WindTables wind;
    private final ConductorTables conductors;
    private final VoltageFactorTable voltageFactors;
    private final SetbackTable setbacks;

    private CodeTables(Map<String, CodeTable> byId) {
        this.byId = byId;
        this.wind = new WindTables(this);
        this.conductors = new ConductorTables(this);
        this.voltageFactors = new VoltageFactorTable(table("nec_690_7_a_voltage_factor"));
        this.setbacks = new SetbackTable(table("fire_setback"));
    }

    /** The tables that ship with the product. */
    public static CodeTables shipped() {
        Map<String, CodeTable> tables = new LinkedHashMap<>();
        for (CSVRecord row : parse(resource("index.csv"))) {
            String text = resource(row.get("file"));
            tables.put(
                    row.get("id"),
                    new CodeTable(
                            row.get("id"),
                            row.get("title"),
                            row.get("source"),
                            row.get("edition"),
                            DataStatus.valueOf(row.get("status").toUpperCase(Locale.ROOT)),
                            row.get("remark"),
                            sha256(text),
                            parse(text).stream().map(CSVRecord::toMap).toList()));
        }
        return new CodeTables(tables);
    }

    public Collection<CodeTable> all() {
        return byId.values();
    }

    public CodeTable table(String id) {
        CodeTable table = byId.get(id);
        if (table == null) {
            throw new IllegalArgumentException("no code table " + id);
        }
        return table;
    }

    /** The tables a solve reads. */
    public List<CodeTable> inUse() {
        List<CodeTable> used = new ArrayList<>();
        used.add(wind.coefficientTable());
        used.add(wind.exposureTable());
        used.add(wind.factorTable());
        used.add(setbacks.table());
        used.add(table("house_rules"));
        used.addAll(conductors.all());
        return used;
    }

    /** A figure of the house rules. */
    public double houseRule(String rule) {
        return table("house_rules").rows().stream()
                .filter(row -> row.get("rule").equals(rule))
                .mapToDouble(row -> CodeTable.number(row, "value"))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no house rule " + rule));
    }

    public WindTables wind() {
        return wind;
    }

    public ConductorTables conductors() {
        return conductors;
    }

    public VoltageFactorTable voltageFactors() {
        return voltageFactors;
    }

    public SetbackTable setbacks() {
        return setbacks;
    }

    private static List<CSVRecord> parse(String text) {
        try (CSVParser parser = CSVParser.parse(new StringReader(text), FORMAT)) {
            return parser.getRecords();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static String resource(String name) {
        try (InputStream in = CodeTables.class.getResourceAsStream("/whipsaw/tables/" + name)) {
            if (in == null) {
                throw new IllegalStateException("missing table file " + name);
            }
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static String sha256(String text) {
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(digest);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
