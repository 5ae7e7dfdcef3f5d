package whipsaw.core.exchange;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Coordinate;

/**
 * Line work of a GeoJSON file (RFC 7946), longitude and latitude of WGS 84, laid flat around the site. A feature lies on
 * the layer its properties name by {@code layer}, {@code kind} or {@code type}.
 */
public final class GeoJsonReader {
    /** What follows the name of a layer where holes of its areas lie. */
    public static final String HOLES = " holes";

    private static final int MOST_POINTS = 400_000;
    private static final int MOST_FEATURES = 50_000;
    private static final int DEEPEST = 8;
    private static final double NEAR_DEG = 0.2;
    private static final double WIDEST_M = 20_000;

    private final double upAzimuthDeg;
    private final List<ForeignDrawing.Shape> shapes = new ArrayList<>();
    private final Findings findings = new Findings();
    private LocalPlane plane;
    private int points;
    private int features;

    private GeoJsonReader(double upAzimuthDeg) {
        this.upAzimuthDeg = upAzimuthDeg;
    }

    /** A file that is no GeoJSON, or too much of it, in words. */
    public static class NotGeoJson extends IllegalArgumentException {
        private static final long serialVersionUID = 1L;

        NotGeoJson(String message) {
            super(message);
        }
    }

    /**
     * Reads a tree of maps, lists and values.
     *
     * @param site longitude and latitude of the job's site; it is (0, 0) when the file lies near it, else the file's
     *     own first point is
     */
    public static ForeignDrawing read(Map<?, ?> tree, Coordinate site, double upAzimuthDeg) {
        GeoJsonReader reader = new GeoJsonReader(upAzimuthDeg);
        if (tree.get("crs") != null) {
            reader.findings.add(
                    "a coordinate system is named: read as longitude and latitude of WGS 84 all the same", null);
        }
        Coordinate first = firstPoint(tree, 0);
        if (first == null) {
            throw new NotGeoJson("has no coordinates: a FeatureCollection with polygons is expected");
        }
        boolean near = Math.abs(first.x - site.x) < NEAR_DEG && Math.abs(first.y - site.y) < NEAR_DEG;
        Coordinate origin = near ? site : first;
        reader.plane = new LocalPlane(origin.x, origin.y, upAzimuthDeg);
        reader.object(tree, "", "", Double.NaN, 0);
        if (!near) {
            reader.findings.add(
                    "lies far from the site of this job: take its latitude and longitude with the roof", null);
        }
        if (reader.shapes.isEmpty()) {
            throw new NotGeoJson("has no line and no area");
        }
        return new ForeignDrawing(1, reader.shapes, reader.findings.list(), Map.of(), reader.plane);
    }

    private static Coordinate firstPoint(Object value, int deep) {
        if (deep > DEEPEST * 2) {
            throw new NotGeoJson("is nested too deeply");
        }
        if (value instanceof Map<?, ?> map) {
            for (String key : List.of("coordinates", "geometry", "geometries", "features")) {
                Coordinate found = firstPoint(map.get(key), deep + 1);
                if (found != null) {
                    return found;
                }
            }
        }
        if (value instanceof List<?> list && !list.isEmpty()) {
            if (list.get(0) instanceof Number) {
                return lonLat(list);
            }
            for (Object item : list) {
                Coordinate found = firstPoint(item, deep + 1);
                if (found != null) {
                    return found;
                }
            }
        }
        return null;
    }

    private static Coordinate lonLat(List<?> list) {
        if (list.size() < 2 || !(list.get(0) instanceof Number lon) || !(list.get(1) instanceof Number lat)) {
            throw new NotGeoJson("has a position that is not two numbers: " + list);
        }
        double x = lon.doubleValue();
        double y = lat.doubleValue();
        if (!(Math.abs(x) <= 180 && Math.abs(y) <= 90)) {
            throw new NotGeoJson("has the position " + x + ", " + y
                    + ", which is no longitude and latitude: write the file in WGS 84 degrees");
        }
        return new Coordinate(x, y);
    }

    private void object(Map<?, ?> map, String layer, String name, double heightM, int deep) {
        if (deep > DEEPEST) {
            throw new NotGeoJson("is nested too deeply");
        }
        String type = String.valueOf(map.get("type"));
        switch (type) {
            case "FeatureCollection" -> children(map.get("features"), layer, name, heightM, deep);
            case "GeometryCollection" -> children(map.get("geometries"), layer, name, heightM, deep);
            case "Feature" -> feature(map, deep);
            case "Polygon" -> polygon(map.get("coordinates"), layer, name, heightM);
            case "MultiPolygon" -> list(map.get("coordinates")).forEach(p -> polygon(p, layer, name, heightM));
            case "LineString" -> line(map.get("coordinates"), layer, name, heightM);
            case "MultiLineString" -> list(map.get("coordinates")).forEach(l -> line(l, layer, name, heightM));
            case "Point", "MultiPoint" -> findings.add(
                    "point" + (name.isEmpty() ? "" : " " + name) + " left out: it has no size", placeOf(map));
            default -> throw new NotGeoJson("has an object of type '" + brief(type)
                    + "': Feature, FeatureCollection, Polygon, LineString and their multiples are read");
        }
    }

    private Coordinate placeOf(Map<?, ?> map) {
        Coordinate c = firstPoint(map, 0);
        return c == null ? null : plane.toSheet(c.x, c.y);
    }

    private void children(Object value, String layer, String name, double heightM, int deep) {
        for (Object child : list(value)) {
            if (child instanceof Map<?, ?> map) {
                object(map, layer, name, heightM, deep + 1);
            }
        }
    }

    private void feature(Map<?, ?> map, int deep) {
        if (++features > MOST_FEATURES) {
            throw new NotGeoJson("has more than " + MOST_FEATURES + " features");
        }
        Map<?, ?> properties = map.get("properties") instanceof Map<?, ?> p ? p : Map.of();
        String layer = "";
        for (String key : List.of("layer", "kind", "type")) {
            if (layer.isEmpty() && properties.get(key) instanceof String text) {
                layer = brief(text);
            }
        }
        String name = properties.get("name") instanceof String text ? brief(text) : "";
        double height = properties.get("height_m") instanceof Number n
                ? n.doubleValue()
                : properties.get("height") instanceof Number n ? n.doubleValue() : Double.NaN;
        if (map.get("geometry") instanceof Map<?, ?> geometry) {
            object(geometry, layer.isEmpty() ? "features" : layer, name, height, deep + 1);
        } else {
            findings.add("feature without geometry left out", null);
        }
    }

    private static String brief(String text) {
        return text.length() > 60 ? text.substring(0, 60) : text;
    }

    private static List<?> list(Object value) {
        if (value instanceof List<?> list) {
            return list;
        }
        throw new NotGeoJson("has an object without its list of coordinates");
    }

    private void polygon(Object rings, String layer, String name, double heightM) {
        List<?> all = list(rings);
        for (int i = 0; i < all.size(); i++) {
            List<Coordinate> ring = places(all.get(i));
            if (ring.size() > 1 && ring.get(0).distance(ring.get(ring.size() - 1)) < 1e-7) {
                ring = ring.subList(0, ring.size() - 1);
            }
            if (ring.size() < 3) {
                findings.add("area with fewer than three corners left out", ring.isEmpty() ? null : ring.get(0));
            } else {
                // a hole has no height of its own
                boolean hole = i > 0;
                shapes.add(new ForeignDrawing.Shape(
                        hole ? layer + HOLES : layer,
                        "Polygon",
                        ring,
                        true,
                        hole ? "Opening " + i : name,
                        hole ? Double.NaN : heightM));
            }
        }
    }

    private void line(Object places, String layer, String name, double heightM) {
        List<Coordinate> line = places(places);
        if (line.size() > 1) {
            boolean closed = line.size() > 3 && line.get(0).distance(line.get(line.size() - 1)) < 1e-7;
            List<Coordinate> own = closed ? line.subList(0, line.size() - 1) : line;
            shapes.add(new ForeignDrawing.Shape(layer, "LineString", own, closed, name, heightM));
        }
    }

    private List<Coordinate> places(Object value) {
        List<Coordinate> result = new ArrayList<>();
        for (Object item : list(value)) {
            if (++points > MOST_POINTS) {
                throw new NotGeoJson("has more than " + MOST_POINTS + " positions");
            }
            Coordinate at = lonLat(list(item));
            Coordinate sheet = plane.toSheet(at.x, at.y);
            if (Math.hypot(sheet.x, sheet.y) > WIDEST_M) {
                throw new NotGeoJson("spreads over more than 20 km: keep one site in it");
            }
            if (result.isEmpty() || result.get(result.size() - 1).distance(sheet) > 1e-7) {
                result.add(sheet);
            } else {
                findings.add("point twice in one line taken once", sheet);
            }
        }
        return result;
    }
}
