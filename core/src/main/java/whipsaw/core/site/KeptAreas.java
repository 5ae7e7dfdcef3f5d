package whipsaw.core.site;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;

/** Areas of zones as last worked out, since they follow from outline and widths alone and most changes touch neither. */
final class KeptAreas {
    private static final int MOST = 24;

    private record Key(List<Coordinate> outline, Object widths) {}

    private final Map<Key, List<RoofZones.Area>> kept = new LinkedHashMap<>(MOST, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, List<RoofZones.Area>> eldest) {
            return size() > MOST;
        }
    };

    /** Whether the areas of an outline are at hand. */
    boolean has(Geometry outline, Object widths) {
        synchronized (kept) {
            return kept.containsKey(new Key(Arrays.asList(outline.getCoordinates()), widths));
        }
    }

    List<RoofZones.Area> of(Geometry outline, Object widths, Supplier<List<RoofZones.Area>> work) {
        Key key = new Key(Arrays.asList(outline.getCoordinates()), widths);
        synchronized (kept) {
            List<RoofZones.Area> known = kept.get(key);
            if (known != null) {
                return known;
            }
        }
        List<RoofZones.Area> areas = List.copyOf(work.get());
        synchronized (kept) {
            kept.put(key, areas);
        }
        return areas;
    }
}
