package whipsaw.app.job;

import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.stereotype.Service;
import whipsaw.app.drawing.SmallDrawing;
import whipsaw.app.store.CardStore;
import whipsaw.app.store.JobStore;
import whipsaw.app.store.Json;
import whipsaw.app.store.StoreException;
import whipsaw.app.table.CodeTableService;
import whipsaw.core.design.Design;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/** Small drawings and main figures of jobs, kept until the job or a code table changes. */
@Service
public class JobCards {
    private final CardStore store;
    private final JobService jobs;
    private final CodeTableService tables;

    public JobCards(CardStore store, JobService jobs, CodeTableService tables) {
        this.store = store;
        this.jobs = jobs;
        this.tables = tables;
    }

    /** What the list shows of one job: figures by name, and the drawing as SVG. */
    public record Card(Map<String, String> figures, String drawing) {}

    public Card of(JobStore.Listed job) {
        if (job.damaged()) {
            return new Card(
                    Map.of(
                            "worst check",
                            "✕ revision " + job.revision() + " is damaged: open Revisions and go back to another"),
                    "");
        }
        var kept = store.card(job.slug())
                .filter(c -> c.revision() == job.revision() && c.tables().equals(tables.key()));
        if (kept.isPresent()) {
            Map<String, String> figures = new LinkedHashMap<>();
            Json.object(kept.get().figures()).forEach((k, v) -> figures.put(k, String.valueOf(v)));
            return new Card(figures, kept.get().drawing());
        }
        try {
            Design design = jobs.open(job.slug()).design();
            Card card = new Card(figures(design), SmallDrawing.of(design));
            store.keep(
                    job.slug(),
                    new CardStore.Card(job.revision(), tables.key(), Json.write(card.figures()), card.drawing()));
            return card;
        } catch (StoreException e) {
            return new Card(Map.of("cannot be read", e.getMessage()), "");
        }
    }

    private static Map<String, String> figures(Design design) {
        UnitSystem units = design.job().project().units();
        boolean known =
                design.whole().arrays().stream().allMatch(a -> a.holdDown().established());
        Map<String, String> figures = new LinkedHashMap<>();
        figures.put("modules", String.valueOf(design.whole().modules()));
        figures.put("kW dc", Show.number(design.circuits().dcW() / 1000, 1));
        figures.put("blocks", known ? String.valueOf(design.whole().blocks()) : "?");
        figures.put(
                "added load",
                known
                        ? Show.brief(
                                units,
                                Dimension.LOAD,
                                design.loads().footprint().loadPa())
                        : "?");
        long stop = design.checks().stream().filter(c -> c.verdict().stops()).count();
        figures.put(
                "worst check",
                design.worstCheck().verdict().mark() + " " + design.worstCheck().heading() + ": "
                        + design.worstCheck().verdict().words() + (stop > 1 ? ", and " + (stop - 1) + " more" : ""));
        return figures;
    }
}
