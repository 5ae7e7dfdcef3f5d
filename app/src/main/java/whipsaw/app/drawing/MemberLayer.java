package whipsaw.app.drawing;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.check.Verdict;
import whipsaw.core.design.Design;
import whipsaw.core.structure.RoofMembers;
import whipsaw.core.units.Show;

/**
 * Members of the roof by how much of what they take is used: fine and broken when they pass, heavier when they are
 * close, double when they carry too much, with the figure at those that are close or over.
 */
final class MemberLayer {
    private final Design design;
    private final Svg svg;
    private final double textM;

    MemberLayer(Design design, Svg svg, double textM) {
        this.design = design;
        this.svg = svg;
        this.textM = textM;
    }

    void draw() {
        if (design.members().sets().isEmpty()) {
            return;
        }
        svg.open("g", "class=\"layer-members\"");
        Map<Verdict, StringBuilder> lines = new EnumMap<>(Verdict.class);
        List<RoofMembers.Member> told = new ArrayList<>();
        for (RoofMembers.Checked set : design.members().sets()) {
            for (RoofMembers.Member m : set.members()) {
                Verdict verdict = m.bySmallIncrease()
                        ? Verdict.CLOSE
                        : Verdict.of(m.after().utilisation());
                lines.computeIfAbsent(verdict, v -> new StringBuilder())
                        .append("M")
                        .append(Svg.point(end(m, m.line().fromM())))
                        .append("L")
                        .append(Svg.point(end(m, m.line().toM())));
                if (verdict == Verdict.FAILS) {
                    told.add(m);
                }
            }
        }
        lines.forEach((verdict, d) -> svg.path("class=\"member " + name(verdict) + "\"", d.toString()));
        if (lines.containsKey(Verdict.FAILS)) {
            svg.path("class=\"memberheart\"", lines.get(Verdict.FAILS).toString());
        }
        double size = textM * 0.7;
        for (RoofMembers.Member m : told) {
            Coordinate middle = end(m, (m.line().fromM() + m.line().toM()) / 2);
            // along the member, since neighbours stand close
            svg.open(
                    "g",
                    m.alongX() ? "" : "transform=\"rotate(-90 " + Svg.u(middle.x) + " " + Svg.u(-middle.y) + ")\"");
            PlanDrawing.rect(svg, "flag", middle.x - size * 1.2, middle.y - size * 0.55, size * 2.4, size * 1.1, 0);
            svg.text(
                    "class=\"memberfigure\" text-anchor=\"middle\" font-size=\"" + Svg.u(size) + "\"",
                    middle.x,
                    middle.y - size * 0.35,
                    Show.number(m.after().utilisation(), 2));
            svg.close("g");
        }
        svg.close("g");
    }

    private static String name(Verdict verdict) {
        return verdict == Verdict.FAILS ? "over" : verdict == Verdict.CLOSE ? "close" : "fine";
    }

    private static Coordinate end(RoofMembers.Member m, double along) {
        double across = m.line().atM();
        return m.alongX() ? new Coordinate(along, across) : new Coordinate(across, along);
    }
}
