package whipsaw.core.exchange;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.util.AffineTransformation;

/**
 * Reads the line work of a DXF file: lines, polylines with bulges, circles, arcs, splines, and blocks
 * inserted, turned, scaled and nested. Lines that meet end to end on a layer become one shape.
 *
 * <p>Curves become chords that lie within {@link #TOLERANCE_PART} of the drawing's size of them.
 */
public final class DxfReader {
    private static final int MOST_ENTITIES = 200_000;
    private static final int DEEPEST = 8;

    /** Kinds whose points lie on a plane of their own; lines and splines have theirs in space. */
    private static final Set<String> PLANAR = Set.of("LWPOLYLINE", "POLYLINE", "CIRCLE", "ARC", "INSERT");

    /** Flag of a polyline whose points lie in space. */
    private static final int SPATIAL = 8;

    private static final double NEAR_Z = 1.0 / 64;
    private static final int MOST_COPIES = 2_500;

    /** Largest distance of a chord from its curve, as a part of the curve's radius or extent. */
    public static final double TOLERANCE_PART = 0.002;

    private static final Map<Integer, Double> METRES =
            Map.of(1, 0.0254, 2, 0.3048, 4, 0.001, 5, 0.01, 6, 1.0, 10, 0.9144, 14, 0.1, 21, 1200.0 / 3937, 7, 1000.0);

    private static final int HEADER_BYTES = 100_000;
    private static final Pattern CODE_PAGE = Pattern.compile("\\$DWGCODEPAGE\\s+3\\s+(?i:ansi|dos)_(\\d{3,4})");
    private static final Pattern ESCAPED = Pattern.compile("\\\\U\\+([0-9A-Fa-f]{4})");

    private final List<Pair> pairs;
    private final Map<String, String> states = new HashMap<>();
    private final Findings findings = new Findings();
    private final Map<String, Block> blocks = new HashMap<>();
    private final List<ForeignDrawing.Shape> shapes = new ArrayList<>();
    private int next;
    private int seen;

    /** A file that is no DXF, or one beyond the limits. */
    public static class NotDxf extends IllegalArgumentException {
        private static final long serialVersionUID = 1L;

        NotDxf(String message) {
            super(message);
        }
    }

    private record Pair(int code, String value) {}

    private record Block(Coordinate base, List<Entity> entities) {}

    private DxfReader(List<Pair> pairs) {
        this.pairs = pairs;
    }

    /** The text of a file: as UTF-8 where it is, else by the code page its header names. */
    public static String decode(byte[] file) {
        try {
            return StandardCharsets.UTF_8
                    .newDecoder()
                    .onMalformedInput(CodingErrorAction.REPORT)
                    .onUnmappableCharacter(CodingErrorAction.REPORT)
                    .decode(ByteBuffer.wrap(file))
                    .toString();
        } catch (CharacterCodingException e) {
            String head = new String(file, 0, Math.min(file.length, HEADER_BYTES), StandardCharsets.ISO_8859_1);
            Matcher m = CODE_PAGE.matcher(head);
            return new String(file, m.find() ? page(m.group(1)) : page("1252"));
        }
    }

    private static Charset page(String number) {
        String name =
                switch (number) {
                    case "932" -> "windows-31j";
                    case "936" -> "GBK";
                    case "949" -> "x-windows-949";
                    case "950" -> "Big5";
                    default -> "windows-" + number;
                };
        return Charset.isSupported(name) ? Charset.forName(name) : StandardCharsets.ISO_8859_1;
    }

    /** Reads a drawing; what it cannot use is told in the drawing's notes. */
    public static ForeignDrawing read(String text) {
        if (text.indexOf('\0') >= 0) {
            throw new NotDxf("the file is binary: save it as a text (ASCII) DXF");
        }
        return new DxfReader(pairs(text)).read();
    }

    private static List<Pair> pairs(String text) {
        List<Pair> pairs = new ArrayList<>();
        int line = 0;
        int at = 0;
        String code = null;
        while (at < text.length()) {
            int end = text.indexOf('\n', at);
            String content = text.substring(at, end < 0 ? text.length() : end);
            at = end < 0 ? text.length() : end + 1;
            line++;
            if (code == null) {
                code = content.strip();
                if (code.isEmpty() && at >= text.length()) {
                    break;
                }
            } else {
                try {
                    pairs.add(new Pair(Integer.parseInt(code), content.strip()));
                } catch (NumberFormatException e) {
                    throw new NotDxf("line " + (line - 1) + " is '"
                            + code.substring(0, Math.min(20, code.length()))
                            + "' where a group code, a whole number, has to stand");
                }
                code = null;
            }
        }
        if (pairs.isEmpty()
                || pairs.stream().noneMatch(p -> p.code() == 2 && p.value().equals("ENTITIES"))) {
            throw new NotDxf("the file has no section ENTITIES: it is no DXF drawing");
        }
        return pairs;
    }

    private ForeignDrawing read() {
        double metres = Double.NaN;
        while (next < pairs.size()) {
            Pair p = pairs.get(next);
            if (p.code() == 9 && p.value().equals("$INSUNITS") && next + 1 < pairs.size()) {
                metres = METRES.getOrDefault((int) number(pairs.get(next + 1).value()), Double.NaN);
            }
            if (p.code() == 0 && p.value().equals("SECTION") && next + 1 < pairs.size()) {
                String name = pairs.get(next + 1).value();
                next += 2;
                if (name.equals("TABLES")) {
                    readLayers();
                } else if (name.equals("BLOCKS")) {
                    readBlocks();
                } else if (name.equals("ENTITIES")) {
                    for (Entity e : entities(Set.of("ENDSEC"))) {
                        place(e, new AffineTransformation(), null, new HashSet<>(), 0);
                    }
                }
            } else {
                next++;
            }
        }
        return new ForeignDrawing(metres, LineJoiner.joined(shapes, findings), findings.list(), states, null);
    }

    /** Layers that the drawing does not show. */
    private void readLayers() {
        while (next < pairs.size() && !at(0, "ENDSEC")) {
            boolean layer = at(0, "LAYER");
            next++;
            if (layer) {
                Entity e = entity("LAYER");
                boolean frozen = ((int) e.number(70, 0) & 1) == 1;
                boolean off = e.number(62, 7) < 0;
                if (frozen || off) {
                    states.put(named(e.text(2, "")), frozen ? "frozen" : "off");
                }
            }
        }
    }

    /** A name with characters that older files write as \\U+00E9. */
    private static String named(String name) {
        return ESCAPED.matcher(name)
                .replaceAll(m -> Matcher.quoteReplacement(Character.toString(Integer.parseInt(m.group(1), 16))));
    }

    /** From the plane an entity is drawn on to the drawing seen from above: the arbitrary axis of the DXF reference. */
    private AffineTransformation fromAbove(Entity e) {
        double x = e.number(210, 0);
        double y = e.number(220, 0);
        double z = e.number(230, 1);
        double size = Math.sqrt(x * x + y * y + z * z);
        boolean planar = PLANAR.contains(e.kind()) && ((int) e.number(70, 0) & SPATIAL) == 0
                || e.kind().equals("INSERT");
        if (planar && size > 0 && !(x == 0 && y == 0 && z > 0)) {
            double nx = x / size;
            double ny = y / size;
            double nz = z / size;
            boolean near = Math.abs(nx) < NEAR_Z && Math.abs(ny) < NEAR_Z;
            double ax = near ? nz : -ny;
            double ay = near ? 0 : nx;
            double az = near ? -nx : 0;
            double length = Math.sqrt(ax * ax + ay * ay + az * az);
            ax /= length;
            ay /= length;
            az /= length;
            double bx = ny * az - nz * ay;
            double by = nz * ax - nx * az;
            if (Math.abs(nz) < 1 - 1e-9) {
                findings.add("drawn on a tilted plane: taken as seen from above", null);
            }
            double lift = e.number(38, e.number(30, 0));
            return new AffineTransformation(ax, bx, nx * lift, ay, by, ny * lift);
        }
        return new AffineTransformation();
    }

    private void readBlocks() {
        while (next < pairs.size() && !(at(0, "ENDSEC"))) {
            if (at(0, "BLOCK")) {
                next++;
                Entity head = entity("BLOCK");
                blocks.put(
                        head.text(2, ""),
                        new Block(new Coordinate(head.number(10, 0), head.number(20, 0)), entities(Set.of("ENDBLK"))));
            } else {
                next++;
            }
        }
    }

    private boolean at(int code, String value) {
        return pairs.get(next).code() == code && pairs.get(next).value().equals(value);
    }

    /** Entities up to one of the ends, polylines with their vertices gathered. */
    private List<Entity> entities(Set<String> ends) {
        List<Entity> list = new ArrayList<>();
        Entity polyline = null;
        while (next < pairs.size()) {
            if (pairs.get(next).code() != 0) {
                next++;
                continue;
            }
            String kind = pairs.get(next).value();
            if (ends.contains(kind) || kind.equals("ENDSEC")) {
                break;
            }
            next++;
            Entity e = entity(kind);
            if (++seen > MOST_ENTITIES) {
                throw new NotDxf("the file has more than " + MOST_ENTITIES + " entities");
            }
            if (kind.equals("POLYLINE")) {
                polyline = e;
                list.add(e);
            } else if (kind.equals("VERTEX") && polyline != null) {
                polyline.vertices().add(e);
            } else if (kind.equals("SEQEND")) {
                polyline = null;
            } else {
                list.add(e);
            }
        }
        return list;
    }

    private Entity entity(String kind) {
        Entity e = new Entity(kind);
        while (next < pairs.size() && pairs.get(next).code() != 0) {
            e.add(pairs.get(next).code(), pairs.get(next).value());
            next++;
        }
        return e;
    }

    static double number(String text) {
        try {
            double value = Double.parseDouble(text);
            if (Double.isFinite(value)) {
                return value;
            }
            throw new NumberFormatException(text);
        } catch (NumberFormatException e) {
            throw new NotDxf("'" + text.substring(0, Math.min(20, text.length())) + "' is no number");
        }
    }

    /**
     * @param layer of the block that holds it, which entities on layer 0 take; null outside blocks
     */
    private void place(Entity e, AffineTransformation how, String layer, Set<String> within, int depth) {
        if (e.number(67, 0) == 1) {
            findings.add(e.kind() + " left out: it lies in paper space, on a sheet", null);
            return;
        }
        AffineTransformation above = fromAbove(e).compose(how);
        String own = named(e.text(8, "0"));
        String on = own.equals("0") && layer != null ? layer : own;
        switch (e.kind()) {
            case "INSERT" -> insert(e, above, on, within, depth);
            case "LINE", "LWPOLYLINE", "POLYLINE", "CIRCLE", "ARC", "SPLINE" -> {
                Curves.Line line = Curves.of(e, findings);
                if (line != null) {
                    List<Coordinate> moved = new ArrayList<>();
                    for (Coordinate c : line.points()) {
                        moved.add(above.transform(c, new Coordinate()));
                    }
                    shapes.add(new ForeignDrawing.Shape(on, e.kind(), moved, line.closed()));
                }
            }
            default -> findings.add(
                    e.kind() + " left out: not line work",
                    e.has(10) ? how.transform(e.point(0), new Coordinate()) : null);
        }
    }

    private void insert(Entity e, AffineTransformation how, String layer, Set<String> within, int depth) {
        String name = e.text(2, "");
        Block block = blocks.get(name);
        Coordinate where = how.transform(e.point(0), new Coordinate());
        if (block == null) {
            findings.add("block '" + name + "' left out: it is not in the file", where);
            return;
        }
        if (within.contains(name)) {
            findings.add("block '" + name + "' left out where it contains itself", where);
            return;
        }
        if (depth >= DEEPEST) {
            findings.add("blocks nested deeper than " + DEEPEST + " left out", where);
            return;
        }
        int columns = (int) Math.max(1, e.number(70, 1));
        int rows = (int) Math.max(1, e.number(71, 1));
        if ((long) columns * rows > MOST_COPIES) {
            findings.add("block '" + name + "' in more than " + MOST_COPIES + " copies: only the first taken", where);
            columns = 1;
            rows = 1;
        }
        Set<String> inside = new HashSet<>(within);
        inside.add(name);
        double turn = Math.toRadians(e.number(50, 0));
        for (int c = 0; c < columns; c++) {
            for (int r = 0; r < rows; r++) {
                // innermost first: base to the origin, scale, offset of the copy, turn, place, then what is around
                AffineTransformation local = AffineTransformation.translationInstance(-block.base().x, -block.base().y)
                        .scale(e.number(41, 1), e.number(42, 1))
                        .translate(c * e.number(44, 0), r * e.number(45, 0))
                        .rotate(turn)
                        .translate(e.number(10, 0), e.number(20, 0))
                        .compose(how);
                for (Entity part : block.entities()) {
                    if (++seen > MOST_ENTITIES) {
                        throw new NotDxf("the blocks make more than " + MOST_ENTITIES + " entities");
                    }
                    place(part, local, layer, inside, depth + 1);
                }
            }
        }
    }
}
