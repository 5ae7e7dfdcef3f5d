package whipsaw.app.reading;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import java.util.zip.CRC32;
import java.util.zip.DeflaterOutputStream;

/** Small files that ask for a great deal of time or memory, one of each kind. */
public final class HostileFiles {
    private HostileFiles() {}

    /** Pictures and pages, by what is wrong with them. */
    public static Map<String, Supplier<byte[]>> pictures() {
        Map<String, Supplier<byte[]>> files = new LinkedHashMap<>();
        files.put("PDF of forms in forms", () -> pdf(2, nestedForms(), ""));
        files.put("PDF of 300,000 segments", () -> pdf(1, List.of(segments(300_000)), ""));
        files.put("PDF of a million curves on curves", () -> pdf(1, List.of(curves(400_000)), ""));
        files.put("PDF that unpacks to 400 MB", () -> pdf(1, List.of(" ".repeat(400_000_000)), ""));
        files.put("PDF with a page of a kilometre", () -> pdf(1, List.of("0 0 m 9 9 l S"), "2800000"));
        files.put("PNG that says 60,000 by 60,000", () -> png(60_000, 60_000, 0, 0));
        files.put(
                "PNG of 8,000 by 7,000 that is packed, interlaced",
                () -> png(8_000, 7_000, 1, 8_000L * 7_000 * 3 + 30_000));
        files.put("PNG with a packed text of 300 MB", () -> pngWithText(300_000_000));
        return files;
    }

    /** Drawings, by what is wrong with them. */
    public static Map<String, Supplier<byte[]>> drawings() {
        Map<String, Supplier<byte[]>> files = new LinkedHashMap<>();
        files.put("DXF with a spline of degree 3,000", () -> dxf("", spline(3_000, 9_000)));
        files.put("DXF with a spline of 300,000 knots", () -> dxf("", spline(3, 300_000)));
        files.put("DXF of 60,000 layers", () -> dxf("", layers(60_000)));
        files.put("DXF of inserts in inserts", () -> dxf(inserts(8, 40), "0\nINSERT\n8\n0\n2\nB8\n10\n0\n20\n0\n"));
        files.put("DXF of an insert in a million copies", () -> dxf(inserts(1, 1), grid()));
        files.put("DXF of 150,000 lines that meet in a point", () -> dxf("", star(150_000)));
        files.put("DXF with an outline of 100,000 corners", () -> dxf("", comb(100_000)));
        files.put("GeoJSON nested 100,000 deep", () -> ("{\"type\":" + "[".repeat(100_000))
                .getBytes(StandardCharsets.US_ASCII));
        files.put("GeoJSON of collections in collections", () -> collections(2_000)
                .getBytes(StandardCharsets.US_ASCII));
        return files;
    }

    private static byte[] deflated(byte[] bytes) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (DeflaterOutputStream packed = new DeflaterOutputStream(out)) {
            packed.write(bytes);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
        return out.toByteArray();
    }

    /** Forms of which each is drawn ten times by the next. */
    private static List<String> nestedForms() {
        List<String> streams = new ArrayList<>();
        for (int depth = 0; depth < 12; depth++) {
            streams.add(depth < 11 ? ("/F" + (depth + 1) + " Do ").repeat(10) : "0 0 m 100 100 l S");
        }
        return streams;
    }

    private static String segments(int count) {
        StringBuilder path = new StringBuilder("1 w 0 0 m ");
        for (int i = 0; i < count; i++) {
            path.append(i * 7919 % 600).append(' ').append(i * 104_729 % 800).append(" l ");
        }
        return path.append("S").toString();
    }

    private static String curves(int count) {
        StringBuilder path = new StringBuilder("40 w [1 2] 0 d ");
        for (int i = 0; i < count; i++) {
            path.append("0 0 m 600 0 0 800 600 800 c S ");
        }
        return path.toString();
    }

    /** A PDF whose page draws the first stream; the streams are forms that know each other. */
    private static byte[] pdf(int forms, List<String> streams, String side) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        List<Integer> at = new ArrayList<>();
        String box = side.isEmpty() ? "612 792" : side + " " + side;
        StringBuilder known = new StringBuilder();
        for (int i = 0; forms > 1 && i < streams.size(); i++) {
            known.append("/F").append(i).append(' ').append(4 + i).append(" 0 R ");
        }
        String resources = "/Resources << /XObject << " + known + ">> >>";
        add(out, at, "<< /Type /Catalog /Pages 2 0 R >>", null);
        add(out, at, "<< /Type /Pages /Count 1 /Kids [3 0 R] >>", null);
        add(
                out,
                at,
                "<< /Type /Page /Parent 2 0 R /MediaBox [0 0 " + box + "] " + resources + " /Contents 4 0 R >>",
                null);
        for (String stream : streams) {
            byte[] packed = deflated(stream.getBytes(StandardCharsets.US_ASCII));
            add(
                    out,
                    at,
                    "<< /Type /XObject /Subtype /Form /BBox [0 0 612 792] " + resources
                            + " /Filter /FlateDecode /Length " + packed.length + " >>",
                    packed);
        }
        int table = out.size();
        StringBuilder xref = new StringBuilder("xref\n0 " + (at.size() + 1) + "\n0000000000 65535 f \n");
        at.forEach(a -> xref.append(String.format("%010d 00000 n \n", a)));
        xref.append("trailer << /Size ")
                .append(at.size() + 1)
                .append(" /Root 1 0 R >>\nstartxref\n")
                .append(table)
                .append("\n%%EOF");
        write(out, xref.toString().getBytes(StandardCharsets.US_ASCII));
        return out.toByteArray();
    }

    private static void add(ByteArrayOutputStream out, List<Integer> at, String head, byte[] stream) {
        if (at.isEmpty()) {
            write(out, "%PDF-1.7\n".getBytes(StandardCharsets.US_ASCII));
        }
        at.add(out.size());
        write(out, (at.size() + " 0 obj\n" + head + "\n").getBytes(StandardCharsets.US_ASCII));
        if (stream != null) {
            write(out, "stream\n".getBytes(StandardCharsets.US_ASCII));
            write(out, stream);
            write(out, "\nendstream\n".getBytes(StandardCharsets.US_ASCII));
        }
        write(out, "endobj\n".getBytes(StandardCharsets.US_ASCII));
    }

    private static void write(ByteArrayOutputStream out, byte[] bytes) {
        out.write(bytes, 0, bytes.length);
    }

    private static byte[] png(int width, int height, int interlace, long zeros) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        start(out, width, height, interlace);
        chunk(out, "IDAT", deflated(new byte[(int) zeros]));
        chunk(out, "IEND", new byte[0]);
        return out.toByteArray();
    }

    private static byte[] pngWithText(int size) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        start(out, 4, 4, 0);
        byte[] text = deflated(new byte[size]);
        byte[] named = new byte[text.length + 3];
        named[0] = 'x';
        System.arraycopy(text, 0, named, 3, text.length);
        chunk(out, "zTXt", named);
        chunk(out, "IDAT", deflated(new byte[4 * 13]));
        chunk(out, "IEND", new byte[0]);
        return out.toByteArray();
    }

    private static void start(ByteArrayOutputStream out, int width, int height, int interlace) {
        write(out, new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10});
        ByteArrayOutputStream head = new ByteArrayOutputStream();
        number(head, width);
        number(head, height);
        write(head, new byte[] {8, 2, 0, 0, (byte) interlace});
        chunk(out, "IHDR", head.toByteArray());
    }

    private static void chunk(ByteArrayOutputStream out, String kind, byte[] data) {
        number(out, data.length);
        byte[] name = kind.getBytes(StandardCharsets.US_ASCII);
        write(out, name);
        write(out, data);
        CRC32 sum = new CRC32();
        sum.update(name);
        sum.update(data);
        number(out, (int) sum.getValue());
    }

    private static void number(ByteArrayOutputStream out, int n) {
        write(out, new byte[] {(byte) (n >> 24), (byte) (n >> 16), (byte) (n >> 8), (byte) n});
    }

    private static byte[] dxf(String blocks, String entities) {
        return ("0\nSECTION\n2\nBLOCKS\n" + blocks + "0\nENDSEC\n0\nSECTION\n2\nENTITIES\n" + entities
                        + "0\nENDSEC\n0\nEOF\n")
                .getBytes(StandardCharsets.US_ASCII);
    }

    private static String spline(int degree, int knots) {
        StringBuilder s = new StringBuilder(
                "0\nSPLINE\n8\nA\n70\n8\n71\n" + degree + "\n72\n" + knots + "\n73\n" + (knots - degree - 1) + "\n");
        for (int i = 0; i < knots; i++) {
            s.append("40\n").append(i).append('\n');
        }
        for (int i = 0; i < knots - degree - 1; i++) {
            s.append("10\n").append(i).append("\n20\n").append(i % 3).append('\n');
        }
        return s.toString();
    }

    private static String line(String layer, double x, double y, double toX, double toY) {
        return "0\nLINE\n8\n" + layer + "\n10\n" + x + "\n20\n" + y + "\n11\n" + toX + "\n21\n" + toY + "\n";
    }

    private static String layers(int count) {
        StringBuilder s = new StringBuilder();
        for (int i = 0; i < count; i++) {
            s.append(line("L" + i, 0, i, 1, i));
        }
        return s.toString();
    }

    private static String inserts(int depth, int each) {
        StringBuilder s = new StringBuilder("0\nBLOCK\n2\nB0\n10\n0\n20\n0\n" + line("0", 0, 0, 1, 1) + "0\nENDBLK\n");
        for (int i = 1; i <= depth; i++) {
            s.append("0\nBLOCK\n2\nB").append(i).append("\n10\n0\n20\n0\n");
            for (int k = 0; k < each; k++) {
                s.append("0\nINSERT\n8\n0\n2\nB")
                        .append(i - 1)
                        .append("\n10\n")
                        .append(k)
                        .append("\n20\n0\n");
            }
            s.append("0\nENDBLK\n");
        }
        return s.toString();
    }

    private static String grid() {
        return "0\nINSERT\n8\n0\n2\nB1\n10\n0\n20\n0\n70\n1000\n71\n1000\n44\n1\n45\n1\n";
    }

    private static String star(int count) {
        StringBuilder s = new StringBuilder();
        for (int i = 0; i < count; i++) {
            s.append(line("A", 0, 0, 1 + i, i % 7));
        }
        return s.toString();
    }

    private static String comb(int count) {
        StringBuilder s = new StringBuilder("0\nLWPOLYLINE\n8\nA\n70\n1\n90\n" + count + "\n");
        for (int i = 0; i < count; i++) {
            s.append("10\n")
                    .append(i % 2 == 0 ? i : count - i)
                    .append("\n20\n")
                    .append(i * 7919 % 1000)
                    .append('\n');
        }
        return s.toString();
    }

    private static String collections(int depth) {
        return "{\"type\":\"FeatureCollection\",\"features\":[{\"type\":\"Feature\",\"properties\":{},\"geometry\":"
                + "{\"type\":\"GeometryCollection\",\"geometries\":[".repeat(depth)
                + "]}".repeat(depth) + "}]}";
    }
}
