package whipsaw.app.drawing;

import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Polygon;

/** Writes SVG. One unit is a centimetre of the roof; y runs down the sheet. */
final class Svg {
    private static final double PER_METRE = 100;

    private final StringBuilder out = new StringBuilder(64 * 1024);

    Svg raw(String text) {
        out.append(text);
        return this;
    }

    /** Text escaped for markup. */
    static String escape(String text) {
        return text.replace("&", "&amp;")
                .replace("<", "&lt;")
                .replace(">", "&gt;")
                .replace("\"", "&quot;")
                .replace("'", "&#39;");
    }

    /** Metres as drawing units with at most one decimal. */
    static String u(double metres) {
        long tenths = Math.round(metres * PER_METRE * 10);
        return tenths % 10 == 0 ? String.valueOf(tenths / 10) : String.valueOf(tenths / 10.0);
    }

    Svg open(String element, String attributes) {
        out.append('<').append(element);
        if (!attributes.isEmpty()) {
            out.append(' ').append(attributes);
        }
        out.append('>');
        return this;
    }

    Svg close(String element) {
        out.append("</").append(element).append('>');
        return this;
    }

    Svg path(String attributes, String d) {
        out.append("<path ").append(attributes).append(" d=\"").append(d).append("\"/>");
        return this;
    }

    Svg line(String attributes, Coordinate a, Coordinate b) {
        return path(attributes, "M" + point(a) + "L" + point(b));
    }

    Svg text(String attributes, double x, double y, String words) {
        out.append("<text ")
                .append(attributes)
                .append(" x=\"")
                .append(u(x))
                .append("\" y=\"")
                .append(u(-y))
                .append("\">")
                .append(escape(words))
                .append("</text>");
        return this;
    }

    static String point(Coordinate c) {
        return u(c.x) + " " + u(-c.y);
    }

    static String ring(List<Coordinate> corners) {
        StringBuilder d = new StringBuilder();
        for (Coordinate c : corners) {
            d.append(d.length() == 0 ? 'M' : 'L').append(point(c));
        }
        return d.append('Z').toString();
    }

    static String area(Geometry geometry) {
        StringBuilder d = new StringBuilder();
        for (int i = 0; i < geometry.getNumGeometries(); i++) {
            if (geometry.getGeometryN(i) instanceof Polygon polygon && !polygon.isEmpty()) {
                ring(d, polygon.getExteriorRing());
                for (int k = 0; k < polygon.getNumInteriorRing(); k++) {
                    ring(d, polygon.getInteriorRingN(k));
                }
            }
        }
        return d.toString();
    }

    private static void ring(StringBuilder d, LineString line) {
        Coordinate[] c = line.getCoordinates();
        for (int i = 0; i < c.length - 1; i++) {
            d.append(i == 0 ? 'M' : 'L').append(point(c[i]));
        }
        d.append('Z');
    }

    @Override
    public String toString() {
        return out.toString();
    }
}
