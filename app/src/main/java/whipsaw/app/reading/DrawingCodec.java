package whipsaw.app.reading;

import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.exchange.ForeignDrawing;
import whipsaw.core.exchange.LocalPlane;

/** Line work on its way from one process to another: numbers and texts, nothing that could be run. */
final class DrawingCodec {
    private static final int LONGEST_TEXT = 10_000;

    private DrawingCodec() {}

    static void write(ForeignDrawing drawing, DataOutputStream out) throws IOException {
        out.writeDouble(drawing.metresPerUnit());
        out.writeInt(drawing.shapes().size());
        for (ForeignDrawing.Shape s : drawing.shapes()) {
            text(out, s.layer());
            text(out, s.kind());
            out.writeBoolean(s.closed());
            text(out, s.name());
            out.writeDouble(s.heightM());
            out.writeInt(s.points().size());
            for (Coordinate c : s.points()) {
                place(out, c);
            }
        }
        out.writeInt(drawing.findings().size());
        for (ForeignDrawing.Finding f : drawing.findings()) {
            text(out, f.what());
            out.writeInt(f.count());
            out.writeBoolean(f.at() != null);
            if (f.at() != null) {
                place(out, f.at());
            }
        }
        out.writeInt(drawing.states().size());
        for (Map.Entry<String, String> e : drawing.states().entrySet()) {
            text(out, e.getKey());
            text(out, e.getValue());
        }
        out.writeBoolean(drawing.plane() != null);
        if (drawing.plane() != null) {
            out.writeDouble(drawing.plane().longitudeDeg());
            out.writeDouble(drawing.plane().latitudeDeg());
            out.writeDouble(drawing.plane().upAzimuthDeg());
        }
    }

    static ForeignDrawing read(DataInputStream in) throws IOException {
        double metresPerUnit = in.readDouble();
        List<ForeignDrawing.Shape> shapes = new ArrayList<>();
        for (int left = in.readInt(); left > 0; left--) {
            String layer = in.readUTF();
            String kind = in.readUTF();
            boolean closed = in.readBoolean();
            String name = in.readUTF();
            double height = in.readDouble();
            List<Coordinate> points = new ArrayList<>();
            for (int more = in.readInt(); more > 0; more--) {
                points.add(place(in));
            }
            shapes.add(new ForeignDrawing.Shape(layer, kind, points, closed, name, height));
        }
        List<ForeignDrawing.Finding> findings = new ArrayList<>();
        for (int left = in.readInt(); left > 0; left--) {
            findings.add(new ForeignDrawing.Finding(in.readUTF(), in.readInt(), in.readBoolean() ? place(in) : null));
        }
        Map<String, String> states = new LinkedHashMap<>();
        for (int left = in.readInt(); left > 0; left--) {
            states.put(in.readUTF(), in.readUTF());
        }
        LocalPlane plane = in.readBoolean() ? new LocalPlane(in.readDouble(), in.readDouble(), in.readDouble()) : null;
        return new ForeignDrawing(metresPerUnit, shapes, findings, states, plane);
    }

    private static void text(DataOutputStream out, String text) throws IOException {
        out.writeUTF(text.substring(0, Math.min(text.length(), LONGEST_TEXT)));
    }

    private static void place(DataOutputStream out, Coordinate c) throws IOException {
        out.writeDouble(c.x);
        out.writeDouble(c.y);
    }

    private static Coordinate place(DataInputStream in) throws IOException {
        return new Coordinate(in.readDouble(), in.readDouble());
    }
}
