package whipsaw.core.exchange;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Coordinate;

/** Collects what was not taken as it stands, once a kind. */
final class Findings {
    private final Map<String, ForeignDrawing.Finding> byWords = new LinkedHashMap<>();

    void add(String what, Coordinate at) {
        byWords.merge(
                what,
                new ForeignDrawing.Finding(what, 1, at),
                (a, b) -> new ForeignDrawing.Finding(what, a.count() + 1, a.at() == null ? b.at() : a.at()));
    }

    List<ForeignDrawing.Finding> list() {
        return new ArrayList<>(byWords.values());
    }
}
