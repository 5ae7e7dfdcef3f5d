package whipsaw.core.exchange;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Coordinate;

/** One entity of a DXF file: its values by group code, in the order they came. */
final class Entity {
    private final String kind;
    private final Map<Integer, List<String>> values = new HashMap<>();
    private final List<Entity> vertices = new ArrayList<>();
    private final Map<Integer, Double> bulges = new HashMap<>();

    Entity(String kind) {
        this.kind = kind;
    }

    String kind() {
        return kind;
    }

    /** Vertices of an old-style polyline. */
    List<Entity> vertices() {
        return vertices;
    }

    void add(int code, String value) {
        if (code == 42 && kind.equals("LWPOLYLINE")) {
            // a bulge belongs to the point before it; points without one have none
            bulges.put(count(10) - 1, DxfReader.number(value));
        }
        values.computeIfAbsent(code, k -> new ArrayList<>(2)).add(value);
    }

    boolean has(int code) {
        return values.containsKey(code);
    }

    int count(int code) {
        return has(code) ? values.get(code).size() : 0;
    }

    String text(int code, String absent) {
        return has(code) ? values.get(code).get(0) : absent;
    }

    double number(int code, double absent) {
        return has(code) ? DxfReader.number(values.get(code).get(0)) : absent;
    }

    List<Double> numbers(int code) {
        return values.getOrDefault(code, List.of()).stream()
                .map(DxfReader::number)
                .toList();
    }

    /** The i-th point of codes 10 and 20. */
    Coordinate point(int i) {
        if (i >= count(10)) {
            throw new DxfReader.NotDxf("a " + kind + " in the file has no place (group code 10)");
        }
        List<String> y = values.getOrDefault(20, List.of());
        return new Coordinate(DxfReader.number(values.get(10).get(i)), i < y.size() ? DxfReader.number(y.get(i)) : 0);
    }

    double bulge(int i) {
        return bulges.getOrDefault(i, 0.0);
    }
}
