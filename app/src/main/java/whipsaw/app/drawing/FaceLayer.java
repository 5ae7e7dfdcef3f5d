package whipsaw.app.drawing;

import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Point;
import whipsaw.core.design.Design;
import whipsaw.core.roof.FaceLine;
import whipsaw.core.roof.LinePieces;
import whipsaw.core.roof.RoofFace;
import whipsaw.core.roof.SheetLines;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/** Faces of a pitched roof: ridges, valleys and eaves, slopes, ribs or seams, purlins and screw lines. */
final class FaceLayer {
    /** A face with more ribs is drawn with every tenth only, and its name says so. */
    private static final int MOST_RIBS = 600;

    private static final int RIBS_LEFT_OUT = 10;

    private final Design design;
    private final Svg svg;
    private final double textM;
    private final UnitSystem units;
    private final List<SheetLines> sheets;

    FaceLayer(Design design, Svg svg, double textM) {
        this.design = design;
        this.svg = svg;
        this.textM = textM;
        this.units = design.job().project().units();
        this.sheets = design.taken().sheets();
    }

    private static int ribStep(SheetLines lines) {
        return lines.ribs().size() > MOST_RIBS ? RIBS_LEFT_OUT : 1;
    }

    void draw() {
        if (design.plan().faces().faces().isEmpty()) {
            return;
        }
        svg.open("g", "class=\"layer-faces\"");
        svg.open("g", "class=\"layer-ribs\"");
        for (SheetLines lines : sheets) {
            StringBuilder d = new StringBuilder();
            for (int i = 0; i < lines.ribs().size(); i += ribStep(lines)) {
                d.append(line(lines.ribs().get(i)));
            }
            svg.path("class=\"rib\"", d.toString());
            svg.path("class=\"screwline\"", all(lines.screws()));
        }
        svg.close("g");
        svg.open("g", "class=\"layer-purlins\"");
        sheets.forEach(lines -> svg.path("class=\"purlin\"", all(lines.purlins())));
        svg.close("g");
        for (FaceLine line : design.plan().faces().lines()) {
            if (line.other() > 0 || line.kind() == FaceLine.Kind.HEAD) {
                svg.line("class=\"faceline " + line.kind().words() + "\"", line.from(), line.to());
            }
        }
        svg.close("g");
    }

    /** Slopes with an arrow down the fall, and the names of lines; over everything else. */
    void names() {
        for (SheetLines lines : sheets) {
            RoofFace face = lines.face();
            Point at = face.plan().getInteriorPoint();
            Coordinate c = at.getCoordinate();
            double reach = textM * 1.5;
            Coordinate tail = new Coordinate(c.x + face.upX() * reach, c.y + face.upY() * reach);
            Coordinate head = new Coordinate(c.x - face.upX() * reach, c.y - face.upY() * reach);
            svg.open("g", "class=\"layer-faces\"");
            svg.line("class=\"fallarrow\"", tail, head);
            double barb = textM * 0.45;
            for (int side : new int[] {-1, 1}) {
                svg.line(
                        "class=\"fallarrow\"",
                        head,
                        new Coordinate(
                                head.x + face.upX() * barb + side * face.upY() * barb * 0.6,
                                head.y + face.upY() * barb - side * face.upX() * barb * 0.6));
            }
            svg.text(
                    "class=\"facename\" text-anchor=\"middle\" font-size=\"" + Svg.u(textM * 0.95) + "\"",
                    c.x + face.upY() * textM * 0.2 + textM * 3,
                    c.y - textM * 0.3,
                    "face " + face.number() + ", " + Show.number(face.slopeDeg(), 1) + "°"
                            + (ribStep(lines) > 1 ? ", every tenth rib drawn" : ""));
            svg.close("g");
        }
        svg.open("g", "class=\"layer-faces\"");
        for (FaceLine line : design.plan().faces().lines()) {
            if (line.other() > 0 && line.kind() != FaceLine.Kind.JOIN && line.lengthM() > textM * 8) {
                double angle = PlanDrawing.readable(
                        Math.toDegrees(Math.atan2(line.to().y - line.from().y, line.to().x - line.from().x)));
                double x = line.from().x + (line.to().x - line.from().x) * 0.12;
                double y = line.from().y + (line.to().y - line.from().y) * 0.12;
                svg.text(
                        "class=\"facename\" font-size=\"" + Svg.u(textM * 0.85) + "\" transform=\"rotate("
                                + Show.number(-angle, 5) + " " + Svg.u(x) + " " + Svg.u(-y) + ")\"",
                        x,
                        y + textM * 0.2,
                        line.kind().words() + " +"
                                + Show.in(units, Dimension.ROOF_LENGTH, Math.max(line.fromM(), line.toM())));
            }
        }
        svg.close("g");
    }

    private static String all(List<LinePieces.Piece> pieces) {
        StringBuilder d = new StringBuilder();
        pieces.forEach(p -> d.append(line(p)));
        return d.toString();
    }

    private static String line(LinePieces.Piece p) {
        return "M" + Svg.point(p.from()) + "L" + Svg.point(p.to());
    }
}
