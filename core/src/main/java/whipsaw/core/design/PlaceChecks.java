package whipsaw.core.design;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import whipsaw.core.check.Check;
import whipsaw.core.job.Job;
import whipsaw.core.table.CodeTables;

/**
 * The checks of all places of a job: each array is checked with its roof and with what all share, and what comes out the
 * same for several of them is one check, which says for which it holds.
 */
final class PlaceChecks {
    private PlaceChecks() {}

    static List<Check> of(WholeDesign whole, CodeTables tables) {
        List<Job> places = whole.arrays().stream().map(ArrayDesign::job).toList();
        Map<Check, List<Job>> found = new LinkedHashMap<>();
        for (RoofDesign r : whole.roofs()) {
            for (ArrayDesign a : r.arrays()) {
                for (Check c : DesignChecks.of(new Design(whole, r, a), tables)) {
                    found.computeIfAbsent(c, k -> new ArrayList<>()).add(a.job());
                }
            }
        }
        List<Check> checks = new ArrayList<>();
        found.forEach((check, at) -> {
            boolean all = at.containsAll(
                    places.stream().filter(p -> p.placed() != null).toList());
            checks.add(all ? check : check.about(at.stream().map(Job::place).toList(), words(at, places)));
        });
        return Check.ranked(checks);
    }

    /** The roof by its name where it holds for all that is on it, else the arrays. */
    private static String words(List<Job> at, List<Job> places) {
        String roof = at.get(0).on().id();
        List<Job> onRoof = places.stream().filter(p -> p.on().id().equals(roof)).toList();
        boolean others = places.size() > onRoof.size();
        if (others && at.containsAll(onRoof) && at.size() == onRoof.size()) {
            return at.get(0).on().name();
        }
        List<String> names = at.stream().map(Job::name).distinct().toList();
        return String.join(", ", names);
    }
}
