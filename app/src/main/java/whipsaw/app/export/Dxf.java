package whipsaw.app.export;

import java.util.List;
import java.util.Locale;
import org.locationtech.jts.geom.Coordinate;

/** The lines of a drawing file in DXF: a group code, then its value. */
final class Dxf {
    private Dxf() {}

    static void polyline(StringBuilder out, String layer, List<Coordinate> points, boolean closed) {
        pair(out, 0, "POLYLINE");
        pair(out, 8, layer);
        pair(out, 66, "1");
        at(out, 10, new Coordinate(0, 0));
        pair(out, 70, closed ? "1" : "0");
        for (Coordinate p : points) {
            pair(out, 0, "VERTEX");
            pair(out, 8, layer);
            at(out, 10, p);
        }
        pair(out, 0, "SEQEND");
        pair(out, 8, layer);
    }

    /** One line of ASCII; other characters as the format writes them. */
    static String escaped(String words) {
        StringBuilder out = new StringBuilder();
        words.chars().forEach(c -> {
            if (c >= 32 && c < 127) {
                out.append((char) c);
            } else if (c >= 160) {
                out.append(String.format("\\U+%04X", c));
            }
        });
        return out.toString();
    }

    static void at(StringBuilder out, int code, Coordinate c) {
        pair(out, code, number(c.x));
        pair(out, code + 10, number(c.y));
        pair(out, code + 20, "0.0");
    }

    /** Enough decimals for a tenth of a millimetre. */
    static String number(double value) {
        return String.format(Locale.ROOT, "%.5f", value);
    }

    static void pair(StringBuilder out, int code, String value) {
        out.append(code).append("\r\n").append(value).append("\r\n");
    }
}
