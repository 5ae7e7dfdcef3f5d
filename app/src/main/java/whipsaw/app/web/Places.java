package whipsaw.app.web;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.design.ArrayDesign;
import whipsaw.core.design.Design;
import whipsaw.core.job.Job;
import whipsaw.core.units.Show;

/**
 * The arrays of a job, and its roofs without one, as a page lets one choose among them.
 *
 * @param here the one that is looked at
 * @param key of it in addresses; empty of the first one, which needs none
 * @param all in the order of the job
 */
public record Places(Place here, String key, List<Place> all) {

    /**
     * One to choose.
     *
     * @param key in addresses
     * @param name as it is called
     * @param words with its roof and its modules
     */
    public record Place(String key, String name, String words) {}

    static Places of(Design design) {
        List<Place> all = new ArrayList<>();
        boolean roofs = design.whole().roofs().size() > 1;
        for (ArrayDesign a : design.whole().arrays()) {
            all.add(place(a, roofs));
        }
        String here = design.job().place();
        Place shown = all.stream().filter(p -> p.key().equals(here)).findFirst().orElseThrow();
        return new Places(shown, all.get(0) == shown ? "" : here, all);
    }

    private static Place place(ArrayDesign a, boolean roofs) {
        Job job = a.job();
        String modules = Show.count(a.layout().modules().size(), "module");
        if (job.placed() == null) {
            return new Place(job.place(), job.on().name(), job.on().name() + ", no array");
        }
        String name = "Array " + job.placed().name();
        return new Place(job.place(), name, name + (roofs ? ", " + job.on().name() : "") + ", " + modules);
    }

    /** Whether there is anything to choose. */
    public boolean several() {
        return all.size() > 1;
    }
}
