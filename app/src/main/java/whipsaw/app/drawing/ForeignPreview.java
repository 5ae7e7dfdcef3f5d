package whipsaw.app.drawing;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import whipsaw.core.exchange.ForeignDrawing;

/** A drawing file as it was read, with a numbered ring at every finding that has a place. */
public final class ForeignPreview {
    private ForeignPreview() {}

    public static String of(ForeignDrawing drawing) {
        Envelope box = new Envelope();
        drawing.shapes().forEach(s -> s.points().forEach(box::expandToInclude));
        double size = Math.max(1e-6, Math.max(box.getWidth(), box.getHeight()));
        box.expandBy(size * 0.04);
        // at a hundred units to the drawing's extent, whatever its own unit is
        double scale = 10 / size;
        Svg svg = new Svg();
        svg.open(
                "svg",
                "class=\"plan\" role=\"img\" aria-label=\"The drawing, "
                        + drawing.shapes().size()
                        + " shapes\" viewBox=\"0 0 " + Svg.u(box.getWidth() * scale) + " "
                        + Svg.u(box.getHeight() * scale) + "\" xmlns=\"http://www.w3.org/2000/svg\"");
        Map<String, StringBuilder> layers = new TreeMap<>();
        drawing.shapes().forEach(s -> layers.computeIfAbsent(s.layer(), name -> new StringBuilder())
                .append(chain(s, box, scale)));
        layers.forEach(
                (name, d) -> svg.path("class=\"foreign\" data-layer-name=\"" + Svg.escape(name) + "\"", d.toString()));
        List<ForeignDrawing.Finding> findings = drawing.findings();
        for (int i = 0; i < findings.size(); i++) {
            Coordinate at = findings.get(i).at();
            if (at != null) {
                double x = (at.x - box.getMinX()) * scale;
                double y = (box.getMaxY() - at.y) * scale;
                svg.raw("<circle class=\"finding\" cx=\"" + Svg.u(x) + "\" cy=\"" + Svg.u(y) + "\" r=\"16\"/>");
                svg.text(
                        "class=\"findingname\" font-size=\"22\" text-anchor=\"middle\"",
                        x,
                        -y - 0.08,
                        String.valueOf(i + 1));
            }
        }
        return svg.close("svg").toString();
    }

    private static String chain(ForeignDrawing.Shape s, Envelope box, double scale) {
        StringBuilder d = new StringBuilder();
        for (Coordinate c : s.points()) {
            d.append(d.length() == 0 ? 'M' : 'L')
                    .append(Svg.u((c.x - box.getMinX()) * scale))
                    .append(' ')
                    .append(Svg.u((box.getMaxY() - c.y) * scale));
        }
        return s.closed() ? d.append('Z').toString() : d.toString();
    }
}
