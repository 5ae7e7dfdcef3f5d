package whipsaw.app.catalogue;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.springframework.stereotype.Service;
import whipsaw.app.store.CatalogueStore;
import whipsaw.core.catalogue.Plausibility;
import whipsaw.core.data.CsvRows;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.JobWriter;
import whipsaw.core.units.UnitSystem;

/** Looks at entries that somebody wants to add, before anything is taken, and takes them all or none. */
@Service
public class CatalogueService {
    private static final int MOST_ROWS = 500;
    private static final int LONGEST = 400_000;
    private static final CSVFormat FORMAT = CSVFormat.DEFAULT
            .builder()
            .setHeader()
            .setSkipHeaderRecord(true)
            .setTrim(true)
            .get();

    private final CatalogueStore store;

    public CatalogueService(CatalogueStore store) {
        this.store = store;
    }

    /**
     * One entry as it would be taken.
     *
     * @param line in the table, from 1
     * @param body null when it is refused
     * @param problems why it is refused
     * @param doubts what looks unlikely
     * @param known whether that code and edition are there already
     */
    public record Candidate(
            int line,
            Map<String, String> texts,
            Map<String, Object> body,
            List<String> problems,
            List<String> doubts,
            boolean known) {
        public boolean ok() {
            return problems.isEmpty();
        }
    }

    /** Reads a CSV text; the header names the columns of the kind, in any order. */
    public List<Map<String, String>> rows(String kind, String csv) {
        if (csv.length() > LONGEST) {
            throw new IllegalArgumentException("the text is longer than " + LONGEST + " characters");
        }
        List<String> keys =
                EntryColumns.of(kind).stream().map(EntryColumns.Column::key).toList();
        List<Map<String, String>> rows = new ArrayList<>();
        try (CSVParser parser = CSVParser.parse(new StringReader(csv), FORMAT)) {
            for (String name : parser.getHeaderNames()) {
                if (!keys.contains(name)) {
                    throw new IllegalArgumentException(
                            "column '" + name + "' is not known; columns are " + String.join(", ", keys));
                }
            }
            for (CSVRecord record : parser) {
                if (!record.isConsistent()) {
                    throw new IllegalArgumentException(
                            "line " + (rows.size() + 2) + " has " + record.size() + " cells, the header has "
                                    + parser.getHeaderNames().size());
                }
                rows.add(record.toMap());
                if (rows.size() > MOST_ROWS) {
                    throw new IllegalArgumentException("more than " + MOST_ROWS + " lines");
                }
            }
        } catch (IOException | UncheckedIOException | IllegalStateException e) {
            throw new IllegalArgumentException(CsvRows.NOT_CSV);
        }
        if (rows.isEmpty()) {
            throw new IllegalArgumentException("no line after the header");
        }
        return rows;
    }

    /** What would be taken, line by line. */
    public List<Candidate> candidates(String kind, List<Map<String, String>> rows, UnitSystem bare) {
        List<CatalogueStore.Entry> known = store.editions(kind);
        List<Candidate> candidates = new ArrayList<>();
        List<String> seen = new ArrayList<>();
        for (Map<String, String> texts : rows) {
            Map<String, Object> body = EntryColumns.body(kind, texts);
            var reading = JobReader.readEntry(kind, body, bare);
            List<String> problems = new ArrayList<>(reading.problems().stream()
                    .map(p -> p.path().replace("$.", "") + ": " + p.words())
                    .toList());
            String key = body.get("code") + " edition " + body.get("edition");
            if (!String.valueOf(body.get("code")).matches("[a-z0-9][a-z0-9-]{0,58}")) {
                problems.add("Code: '" + body.getOrDefault("code", "")
                        + "' is not made of small letters, digits and hyphens, for example yarrowby-500");
            }
            if ("confirmed".equals(body.get("status"))) {
                problems.add("Status: 'confirmed' is given by a person to code tables; write unconfirmed or invented");
            }
            if (seen.contains(key)) {
                problems.add("Code: " + key + " is there twice");
            }
            seen.add(key);
            boolean there = known.stream()
                    .anyMatch(e ->
                            e.code().equals(body.get("code")) && e.edition().equals(body.get("edition")));
            if (there) {
                problems.add("Edition: " + key + " is in the catalogue already; a change is a new edition");
            }
            Map<String, Object> stored = problems.isEmpty() ? JobWriter.part(reading.job()) : null;
            List<String> doubts = problems.isEmpty() ? Plausibility.doubts(reading.job()) : List.of();
            candidates.add(new Candidate(candidates.size() + 1, texts, stored, problems, doubts, there));
        }
        return candidates;
    }

    /** Takes entries that have been looked at; the caller has made sure that none has a problem. */
    public void take(String kind, List<Candidate> candidates) {
        store.add(candidates.stream()
                .map(c -> new CatalogueStore.Entry(
                        kind,
                        String.valueOf(c.body().get("code")),
                        String.valueOf(c.body().get("edition")),
                        c.body(),
                        true))
                .toList());
    }
}
