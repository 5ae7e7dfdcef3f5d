package whipsaw.core.structure;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.index.strtree.STRtree;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.catalogue.TraySystem;
import whipsaw.core.holddown.JoinedModules;

/** Parts of an array that nothing links, and how near they come to each other. */
final class LinkedParts {
    private final ArrayLayout layout;
    private final Map<Integer, List<Envelope>> parts = new HashMap<>();

    LinkedParts(ArrayLayout layout, TraySystem tray) {
        this.layout = layout;
        JoinedModules joined = new JoinedModules(layout, tray);
        for (ArrayLayout.Run run : layout.runs()) {
            double t = layout.modules().get(run.firstIndex()).t();
            parts.computeIfAbsent(joined.group(run.firstIndex()), k -> new ArrayList<>())
                    .add(new Envelope(run.from(), run.to(), t, t + layout.depthM()));
        }
    }

    /** Least clear distance between two of them, m; infinite where all is linked. */
    double leastApartM() {
        double least = Double.POSITIVE_INFINITY;
        if (parts.size() < 2) {
            return least;
        }
        record Piece(int part, Envelope box) {}
        STRtree tree = new STRtree();
        parts.forEach((part, boxes) -> boxes.forEach(b -> tree.insert(b, new Piece(part, b))));
        for (Map.Entry<Integer, List<Envelope>> part : parts.entrySet()) {
            for (Envelope box : part.getValue()) {
                Envelope around = new Envelope(box);
                // the next row is never farther than this; a part beyond it has room
                around.expandBy(Math.min(least, layout.depthM() + layout.gapM() + 3));
                for (Object found : tree.query(around)) {
                    Piece other = (Piece) found;
                    if (other.part() != part.getKey()) {
                        least = Math.min(least, box.distance(other.box()));
                    }
                }
            }
        }
        return least;
    }
}
