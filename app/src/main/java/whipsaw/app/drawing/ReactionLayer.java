package whipsaw.app.drawing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.design.Design;
import whipsaw.core.structure.RoofMembers;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.Unit;

/**
 * What the array sets down at both supports of every member, written along the member at its ends. Where members stand
 * too close for their figures, the larger ones are written.
 */
final class ReactionLayer {
    private static final double ROOM = 1.15;

    private final Design design;
    private final Svg svg;
    private final double size;
    private int written;
    private int all;

    /** @param sizeM height of the figures, in metres of the roof */
    ReactionLayer(Design design, Svg svg, double sizeM) {
        this.design = design;
        this.svg = svg;
        this.size = sizeM;
    }

    void draw() {
        svg.open("g", "class=\"layer-reactions\"");
        for (RoofMembers.Checked set : design.members().sets()) {
            StringBuilder d = new StringBuilder();
            for (RoofMembers.Member m : set.members()) {
                d.append('M').append(Svg.point(end(m, m.line().fromM())));
                d.append('L').append(Svg.point(end(m, m.line().toM())));
            }
            svg.path("class=\"member fine\"", d.toString());
            figures(set.members());
        }
        svg.close("g");
    }

    private void figures(List<RoofMembers.Member> members) {
        List<Coordinate> taken = new ArrayList<>();
        List<RoofMembers.Member> largest = members.stream()
                .filter(m -> m.arrayN() > 0)
                .sorted(Comparator.comparingDouble(RoofMembers.Member::arrayN).reversed())
                .toList();
        for (RoofMembers.Member m : largest) {
            all++;
            Coordinate middle = end(m, (m.line().fromM() + m.line().toM()) / 2);
            boolean room = taken.stream()
                    .noneMatch(t -> Math.abs(across(m, t) - across(m, middle)) < size * ROOM
                            && Math.abs(along(m, t) - along(m, middle))
                                    < m.line().spanM() / 2);
            if (room) {
                taken.add(middle);
                written++;
                figure(m, m.line().fromM() + size * 0.9, "start", m.reactions().arrayLeft());
                figure(m, m.line().toM() - size * 0.9, "end", m.reactions().arrayRight());
            }
        }
    }

    private void figure(RoofMembers.Member m, double along, String anchor, double newton) {
        Coordinate at = end(m, along);
        svg.open("g", m.alongX() ? "" : "transform=\"rotate(-90 " + Svg.u(at.x) + " " + Svg.u(-at.y) + ")\"");
        svg.text(
                "class=\"reaction\" text-anchor=\"" + anchor + "\" font-size=\"" + Svg.u(size) + "\"",
                at.x,
                at.y + size * 0.15,
                words(newton));
        svg.close("g");
    }

    /** Kilonewtons or pounds; the sheet says which. */
    private String words(double newton) {
        Unit unit = Dimension.FORCE.unit(design.job().project().units());
        return Show.number(unit.fromSi(newton), unit == Unit.KILONEWTON ? 2 : 0);
    }

    /** How many members have their figures, of those that carry anything of the array. */
    String told() {
        Unit unit = Dimension.FORCE.unit(design.job().project().units());
        return "At both ends of each member what the array sets down there, in " + unit.symbol() + ", without factors"
                + (written < all
                        ? "; " + written + " of " + all
                                + " members are written here, the largest where they stand too close: all are in the reactions CSV."
                        : ".");
    }

    private static double across(RoofMembers.Member m, Coordinate c) {
        return m.alongX() ? c.y : c.x;
    }

    private static double along(RoofMembers.Member m, Coordinate c) {
        return m.alongX() ? c.x : c.y;
    }

    private static Coordinate end(RoofMembers.Member m, double along) {
        double at = m.line().atM();
        return m.alongX() ? new Coordinate(along, at) : new Coordinate(at, along);
    }
}
