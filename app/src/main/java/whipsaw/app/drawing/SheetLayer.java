package whipsaw.app.drawing;

import java.util.Arrays;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import whipsaw.core.array.SolarTime;
import whipsaw.core.design.Design;
import whipsaw.core.section.RoofShadows;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/** Scale bar, north arrow, and the sun with the shadows it throws on the roof. */
final class SheetLayer {
    private final Design design;
    private final Svg svg;
    private final double textM;
    private final Envelope box;

    SheetLayer(Design design, Svg svg, double textM, Envelope box) {
        this.design = design;
        this.svg = svg;
        this.textM = textM;
        this.box = box;
    }

    /** At the lower left; as low as it can be where the size of an edge stands there. */
    void scaleBar(LabelRoom room) {
        boolean us = design.job().project().units() == UnitSystem.US;
        svg.open("g", "class=\"layer-sheet\"");
        double unit = us ? 0.3048 : 1;
        double most = design.plan().longSideM() * 0.3 / unit;
        double bar = Arrays.stream(us ? new double[] {30, 20, 10, 4} : new double[] {10, 5, 2, 1})
                .filter(b -> b <= most)
                .findFirst()
                .orElse(1);
        double barM = bar * unit;
        double x = box.getMinX() + textM * 0.8;
        double h = textM * 0.25;
        double size = textM * 0.8;
        String words = Show.number(bar, 0) + (us ? " ft" : " m");
        double wide = barM + textM * 0.4 + LabelRoom.text(0, 0, size, words, 0).getWidth();
        double y = box.getMinY() + textM * 0.5;
        if (!room.takeIfFree(new Envelope(x, x + wide, y, y + size))) {
            y = box.getMinY() + textM * 0.05;
        }
        PlanDrawing.rect(svg, "bar", x, y, barM / 2, h, 0);
        PlanDrawing.rect(svg, "bar open", x + barM / 2, y, barM / 2, h, 0);
        svg.text("class=\"dimtext\" font-size=\"" + Svg.u(size) + "\"", x + barM + textM * 0.4, y - h * 0.1, words);
        svg.close("g");
    }

    private Coordinate rose() {
        return new Coordinate(box.getMaxX() - textM * 2.1, box.getMaxY() - textM * 2.3);
    }

    void north() {
        Coordinate at = rose();
        double up = design.job().roof().upAzimuth().si();
        svg.open("g", "class=\"layer-sheet\"");
        svg.open(
                "g",
                "transform=\"translate(" + Svg.u(at.x) + " " + Svg.u(-at.y) + ") rotate(" + Show.number(-up, 2)
                        + ")\"");
        svg.raw("<circle class=\"rose\" r=\"" + Svg.u(textM * 1.15) + "\"/>");
        svg.path(
                "class=\"needle\"",
                "M0 "
                        + Svg.u(-textM * 1.5)
                        + "L"
                        + Svg.u(textM * 0.38)
                        + " "
                        + Svg.u(textM * 0.9)
                        + "L0 "
                        + Svg.u(textM * 0.55)
                        + "Z");
        svg.path(
                "class=\"needle open\"",
                "M0 "
                        + Svg.u(-textM * 1.5)
                        + "L"
                        + Svg.u(-textM * 0.38)
                        + " "
                        + Svg.u(textM * 0.9)
                        + "L0 "
                        + Svg.u(textM * 0.55)
                        + "Z");
        svg.close("g");
        double angle = Math.toRadians(-up);
        svg.text(
                "class=\"dimtext\" text-anchor=\"middle\" font-size=\"" + Svg.u(textM * 0.9) + "\"",
                at.x + Math.sin(angle) * textM * 1.9,
                at.y + Math.cos(angle) * textM * 1.9 - textM * 0.3,
                "N");
        svg.close("g");
    }

    /** Modules that things shade at this instant. */
    private void shaded(SolarTime sun) {
        List<String> rings = design.shade().at(sun).modules().stream()
                .mapToObj(i -> Svg.ring(List.of(
                        design.layout().corners(design.layout().modules().get(i)))))
                .toList();
        if (!rings.isEmpty()) {
            svg.raw("<defs><pattern id=\"shaded-hatch\" width=\"24\" height=\"24\" patternUnits=\"userSpaceOnUse\""
                    + " patternTransform=\"rotate(20)\"><path class=\"shadedline\" d=\"M0 0V24\"/></pattern></defs>");
            svg.path("class=\"shadedmodules\" fill=\"url(#shaded-hatch)\"", String.join("", rings));
        }
    }

    /** The sun around the north arrow, and shadows of parapets and plant. */
    void sun(SolarTime sun) {
        svg.open("g", "class=\"layer-sun\" id=\"sun\"");
        if (sun.elevationDeg() > 0) {
            Geometry shade = RoofShadows.of(design, sun);
            svg.path("class=\"roofshade\"", Svg.area(shade));
            shaded(sun);
            double angle = Math.toRadians(
                    sun.azimuthDeg() - design.job().roof().upAzimuth().si());
            Coordinate at = rose();
            double dx = Math.sin(angle);
            double dy = Math.cos(angle);
            svg.line(
                    "class=\"ray\"",
                    new Coordinate(at.x + dx * textM * 1.5, at.y + dy * textM * 1.5),
                    new Coordinate(at.x, at.y));
            svg.raw("<circle class=\"sundisc\" cx=\""
                    + Svg.u(at.x + dx * textM * 1.7)
                    + "\" cy=\""
                    + Svg.u(-(at.y + dy * textM * 1.7))
                    + "\" r=\""
                    + Svg.u(textM * 0.32)
                    + "\"/>");
        }
        svg.close("g");
    }
}
