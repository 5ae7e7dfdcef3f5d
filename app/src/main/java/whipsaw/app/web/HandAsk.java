package whipsaw.app.web;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.array.FreePlaces;
import whipsaw.core.design.Design;
import whipsaw.core.design.HandEdits;
import whipsaw.core.job.DocumentPatch.Change;
import whipsaw.core.job.HandWork;
import whipsaw.core.units.Show;

/** What a page asks of an array by hand: modules put in, rows shifted, locked, brought in line and cut. */
final class HandAsk {
    /** What can be asked. */
    static final Set<String> KNOWN = Set.of(
            "put-in",
            "fill",
            "lock-rows",
            "unlock-rows",
            "shift-rows",
            "align-rows",
            "cut-rows",
            "mirror",
            "clear-hand");

    private HandAsk() {}

    /** The changes that come to what is asked. */
    static List<Change> changes(Design design, String what, Map<String, Object> body) {
        HandEdits edits = new HandEdits(design);
        List<String> positions = PlaceWork.texts(body.get("positions"));
        List<Coordinate> points = PlaceWork.points(body.get("points"));
        return switch (what) {
            case "put-in" -> edits.putIn(points);
            case "fill" -> edits.fill(PlaceWork.point(points, 0), PlaceWork.point(points, 1));
            case "lock-rows" -> edits.lock(positions);
            case "unlock-rows" -> edits.unlock(positions);
            case "shift-rows" -> edits.shift(positions, WorkOutController.length(design, body, "by"));
            case "align-rows" -> edits.align(positions);
            case "cut-rows" -> edits.cut(
                    positions, WorkOutController.length(design, body, "by"), WorkOutController.text(body, "by"));
            case "mirror" -> edits.mirror();
            default -> edits.clear();
        };
    }

    /** What the history says of it. */
    static String words(Design design, String what, Map<String, Object> body) {
        String array = design.job().name();
        String by = WorkOutController.text(body, "by");
        return switch (what) {
            case "put-in" -> "Module put in " + array;
            case "fill" -> "Free places of " + array + " filled in a box";
            case "lock-rows" -> "Rows of " + array + " locked";
            case "unlock-rows" -> "Rows of " + array + " let go";
            case "shift-rows" -> "Rows of " + array + " shifted by " + by;
            case "align-rows" -> "Rows of " + array + " brought in line";
            case "cut-rows" -> "Row of " + array + " broken by " + by;
            case "mirror" -> "Hand work of " + array + " mirrored";
            default -> "Hand work of " + array + " cleared";
        };
    }

    /** What is done by hand beside modules left out, in a line. */
    static String done(HandWork hand) {
        List<String> parts = new ArrayList<>();
        count(parts, hand.added().size(), "module", " put in");
        count(parts, hand.shifted().size(), "row", " shifted");
        count(parts, hand.locked().size(), "row", " locked");
        count(parts, hand.breaks().size(), "row break", "");
        return "By hand: " + String.join(", ", parts) + ".";
    }

    private static void count(List<String> parts, int count, String what, String done) {
        if (count > 0) {
            parts.add(Show.count(count, what) + done);
        }
    }

    /** Places without a module, as the drawing takes them: left side, low edge, whether one can be put in, and why none lies there. */
    static Map<String, Object> free(Design design) {
        List<FreePlaces.Place> places =
                FreePlaces.of(design.job(), design.plan(), design.whole().tables(), design.layout());
        Map<String, Object> all = new LinkedHashMap<>();
        all.put("deep", design.layout().pitchM() - design.layout().gapM());
        all.put(
                "places",
                places.stream()
                        .map(p -> List.of(mm(p.s()), mm(p.t()), p.bears() ? 1 : 0, p.why()))
                        .toList());
        return all;
    }

    private static double mm(double metres) {
        return Math.round(metres * 1000) / 1000.0;
    }
}
