package whipsaw.app.job;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ForkJoinPool;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicReferenceArray;
import java.util.function.Function;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;
import whipsaw.app.store.CatalogueStore;
import whipsaw.app.store.StoreException;
import whipsaw.app.table.CodeTableService;
import whipsaw.core.catalogue.ModuleType;
import whipsaw.core.catalogue.TraySystem;
import whipsaw.core.design.Design;
import whipsaw.core.explore.Explorer;
import whipsaw.core.explore.Option;
import whipsaw.core.explore.Tried;
import whipsaw.core.job.JobReader;
import whipsaw.core.schema.Problem;

/**
 * Options of an array being worked out beside the pages: on all cores, and only for as long as a page asks after them.
 * The oldest searches are forgotten.
 */
@Component
public class OptionSearch {
    /** Options of one search. */
    public static final int MOST = 5000;

    private static final int KEPT = 6;

    /** A search nobody asks after for so long ends. */
    private static final long ALONE_S = 30;

    private final JobService jobs;
    private final CatalogueStore catalogue;
    private final CodeTableService tables;
    private final ForkJoinPool pool = new ForkJoinPool(Runtime.getRuntime().availableProcessors());
    private final AtomicInteger numbers = new AtomicInteger();

    private final Map<String, Search> searches = new LinkedHashMap<>() {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Search> eldest) {
            if (size() > KEPT) {
                eldest.getValue().stop();
                return true;
            }
            return false;
        }
    };

    public OptionSearch(JobService jobs, CatalogueStore catalogue, CodeTableService tables) {
        this.jobs = jobs;
        this.catalogue = catalogue;
        this.tables = tables;
    }

    /** Tray systems of the catalogue; the one the array has in the copy the job holds. */
    public List<TraySystem> trays(Design design) {
        return entries("tray-system", design.job().array().tray(), t -> t.info().code());
    }

    /** Modules of the catalogue; the one the array has in the copy the job holds. */
    public List<ModuleType> modules(Design design) {
        return entries("module", design.job().array().module(), m -> m.info().code());
    }

    @SuppressWarnings("unchecked")
    private <T extends Record> List<T> entries(String kind, T own, Function<T, String> code) {
        return catalogue.ofKind(kind).stream()
                .map(e -> (T) JobReader.readEntry(kind, e.body()).job())
                .map(t -> code.apply(t).equals(code.apply(own)) ? own : t)
                .toList();
    }

    /**
     * What to work out.
     *
     * @param trays codes of tray systems
     * @param modules codes of modules
     * @param everyDirection also directions the array does not face now
     * @param shiftEach each array shifted for most modules, in place of the shift it is set to
     */
    public record Wanted(List<String> trays, List<String> modules, Boolean everyDirection, Boolean shiftEach) {
        public Wanted {
            trays = trays == null ? List.of() : List.copyOf(trays);
            modules = modules == null ? List.of() : List.copyOf(modules);
            everyDirection = Boolean.TRUE.equals(everyDirection);
            shiftEach = Boolean.TRUE.equals(shiftEach);
        }
    }

    /**
     * Options of one array, some of them worked out already.
     */
    public static final class Search {
        private final String id;
        private final String slug;
        private final int base;
        private final Design design;
        private final Explorer explorer;
        private final Tried present;
        private final boolean shiftEach;
        private final List<Option> options;
        private final AtomicReferenceArray<Tried> tried;
        private final List<Tried> asTheyCame = new ArrayList<>();
        private final AtomicInteger done = new AtomicInteger();
        private volatile boolean stopped;
        private volatile boolean failed;
        private volatile long asked = System.nanoTime();

        private Search(String id, JobService.Shown shown, Explorer explorer, List<Option> options, boolean shiftEach) {
            this.shiftEach = shiftEach;
            this.id = id;
            this.slug = shown.slug();
            this.base = shown.revision().number();
            this.design = shown.design();
            this.explorer = explorer;
            this.present = explorer.present();
            this.options = options;
            this.tried = new AtomicReferenceArray<>(options.size());
        }

        private void work(int i) {
            if (System.nanoTime() - asked > TimeUnit.SECONDS.toNanos(ALONE_S)) {
                stopped = true;
            }
            if (!stopped) {
                Option option = options.get(i);
                Tried t = shiftEach ? explorer.triedBestShift(option) : explorer.tried(option);
                tried.set(i, t);
                synchronized (asTheyCame) {
                    asTheyCame.add(t);
                }
                done.incrementAndGet();
            }
        }

        /** Name of it in addresses. */
        public String id() {
            return id;
        }

        /** Revision of the job it was begun on. */
        public int base() {
            return base;
        }

        /** The design of that revision. */
        public Design design() {
            return design;
        }

        /** What the design is, as an option. */
        public Tried present() {
            return present;
        }

        /** How many there are. */
        public int size() {
            return options.size();
        }

        /** How many are worked out. */
        public int done() {
            return done.get();
        }

        /** Whether nothing more will come: all are worked out, or it was stopped. */
        public boolean ended() {
            return stopped || failed || done.get() == options.size();
        }

        /** Whether it broke off. */
        public boolean failed() {
            return failed;
        }

        /** Ends it; what is worked out stays. */
        public void stop() {
            stopped = true;
        }

        /** Options worked out since so many of them, as they came. */
        public List<Tried> since(int have) {
            asked = System.nanoTime();
            synchronized (asTheyCame) {
                int from = Math.max(0, Math.min(have, asTheyCame.size()));
                return List.copyOf(asTheyCame.subList(from, asTheyCame.size()));
            }
        }

        /** Options that are worked out, in the order of the field. */
        public List<Tried> found() {
            asked = System.nanoTime();
            List<Tried> all = new ArrayList<>();
            for (int i = 0; i < tried.length(); i++) {
                Tried t = tried.get(i);
                if (t != null) {
                    all.add(t);
                }
            }
            return all;
        }

        /** One that is worked out. */
        public Tried option(int number) {
            Tried t = number >= 1 && number <= tried.length() ? tried.get(number - 1) : null;
            if (t == null) {
                throw new StoreException("option " + number + " is not worked out");
            }
            return t;
        }

        /** The design with an option taken; null where it cannot be built. */
        public Design with(Tried option) {
            return option.possible() ? explorer.design(option.option()) : null;
        }
    }

    /**
     * Begins to work out the options of the array that is looked at.
     */
    public Search begin(String slug, Wanted wanted) {
        JobService.Shown shown = jobs.open(slug);
        Design design = shown.design();
        if (design.job().placed() == null) {
            throw new StoreException("this roof has no array yet: draw one first");
        }
        Explorer explorer = new Explorer(design, tables.solver());
        List<Option> options = explorer.options(
                trays(design).stream()
                        .filter(t -> wanted.trays().contains(t.info().code()))
                        .toList(),
                modules(design).stream()
                        .filter(m -> wanted.modules().contains(m.info().code()))
                        .toList(),
                wanted.everyDirection());
        if (options.isEmpty() || options.size() > MOST) {
            throw new JobService.Refused(List.of(new Problem(
                    "$.options",
                    "Choice",
                    options.size() + " options",
                    options.isEmpty()
                            ? "has to hold at least one tray system and one module"
                            : "is more than " + MOST + ": choose fewer tray systems or modules")));
        }
        Search search = new Search("o" + numbers.incrementAndGet(), shown, explorer, options, wanted.shiftEach());
        synchronized (searches) {
            searches.values().stream().filter(s -> s.slug.equals(slug)).forEach(Search::stop);
            searches.put(search.id(), search);
        }
        pool.execute(() -> {
            try {
                IntStream.range(0, search.size()).parallel().forEach(search::work);
            } catch (RuntimeException e) {
                search.failed = true;
                throw e;
            }
        });
        return search;
    }

    /** A search of a job by its name. */
    public Search search(String slug, String id) {
        synchronized (searches) {
            Search s = searches.get(id);
            if (s == null || !s.slug.equals(slug)) {
                throw new StoreException("these options are no longer kept: work them out again");
            }
            return s;
        }
    }
}
