package whipsaw.app.drawing;

import java.util.Set;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.array.ArrayFrame;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.design.Design;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.units.Show;

/** Modules with their counts and row numbers, ridges of pairs, and walkways. */
final class ArrayLayer {
    /** Counts drawn while something is dragged; on a larger roof only those that change. */
    private static final int MOST_WHILE_DRAGGING = 1500;

    private final Design design;
    private final ArrayLayout layout;
    private final Svg svg;
    private final boolean paper;
    private final boolean brief;
    private final Set<Integer> changed;

    ArrayLayer(Design design, Svg svg, boolean paper, boolean brief, Set<Integer> changed) {
        this.design = design;
        this.layout = design.layout();
        this.svg = svg;
        this.paper = paper;
        this.brief = brief;
        this.changed = changed;
    }

    /** Frame coordinates to drawing units, as an SVG matrix. */
    private String matrix() {
        ArrayFrame f = layout.frame();
        return "transform=\"matrix("
                + Show.number(f.alongX(), 9)
                + " "
                + Show.number(-f.alongY(), 9)
                + " "
                + Show.number(-f.alongY(), 9)
                + " "
                + Show.number(-f.alongX(), 9)
                + " 0 0)\"";
    }

    void modules() {
        svg.open("g", "class=\"layer-array\"").open("g", matrix());
        String side = "h" + Svg.u(layout.alongM()) + "v" + Svg.u(layout.depthM()) + "h" + Svg.u(-layout.alongM()) + "z";
        StringBuilder d = new StringBuilder();
        for (ArrayLayout.Module m : layout.modules()) {
            d.append('M').append(Svg.u(m.s())).append(' ').append(Svg.u(m.t())).append(side);
        }
        boolean many = layout.modules().size() > MOST_WHILE_DRAGGING;
        svg.path(many ? "class=\"modules many\"" : "class=\"modules\"", d.toString());
        ridges();
        svg.close("g").close("g").open("g", "class=\"layer-blocks\"");
        String size = Svg.u(layout.depthM() * 0.92);
        svg.open("g", "class=\"counts\" text-anchor=\"middle\" font-size=\"" + size + "\"");
        boolean changedOnly = brief && design.holdDown().positions().size() > MOST_WHILE_DRAGGING;
        for (HoldDown.Position p : design.holdDown().positions()) {
            if (changedOnly && !changed.contains(p.index())) {
                continue;
            }
            Coordinate at = layout.frame().plan(p.s(), p.t());
            String count =
                    design.holdDown().established() ? String.valueOf(p.ballast().blocksPlaced()) : "?";
            String words = p.ballast().full() ? count + "!" : count;
            svg.text(p.ballast().full() ? "class=\"full\"" : "", at.x, at.y - layout.depthM() * 0.33, words);
        }
        svg.close("g").close("g");
        svg.open(
                "g", "class=\"layer-rows\" font-size=\"" + Svg.u(layout.depthM() * 0.55) + "\" text-anchor=\"middle\"");
        int row = 0;
        for (ArrayLayout.Module m : layout.modules()) {
            if (m.row() != row) {
                row = m.row();
                Coordinate at = layout.frame().plan(m.s() - layout.depthM() * 0.5, m.t() + layout.depthM() / 2);
                svg.text("class=\"rownumber\"", at.x, at.y - layout.depthM() * 0.2, String.valueOf(row));
            }
        }
        svg.close("g");
    }

    /** Ridge lines of pairs, so that a pair reads as one thing. */
    private void ridges() {
        if (layout.pairs() == null) {
            return;
        }
        StringBuilder d = new StringBuilder();
        double half = layout.pairs().input().ridgeGapM() / 2;
        for (ArrayLayout.Run run : layout.runs()) {
            if (!layout.looksBack(run.row())) {
                double t = layout.modules().get(run.firstIndex()).t() + layout.depthM() + half;
                d.append('M')
                        .append(Svg.u(run.from()))
                        .append(' ')
                        .append(Svg.u(t))
                        .append('H')
                        .append(Svg.u(run.to()));
            }
        }
        svg.path("class=\"ridge\"", d.toString());
    }

    void walkways() {
        svg.open("g", "class=\"layer-walkways\"").open("g", matrix());
        for (int after : layout.walkwaysAfter()) {
            double[] band = band(layout, after);
            if (band != null) {
                String handle = paper
                        ? ""
                        : " tabindex=\"0\" role=\"button\" data-walkway=\""
                                + after
                                + "\" aria-label=\"Walkway behind row "
                                + after
                                + ". Arrow up and down move it by a row.\"";
                svg.path(
                        "class=\"walkway\"" + handle,
                        "M"
                                + Svg.u(band[0])
                                + " "
                                + Svg.u(band[2])
                                + "H"
                                + Svg.u(band[1])
                                + "V"
                                + Svg.u(band[3])
                                + "H"
                                + Svg.u(band[0])
                                + "z");
            }
        }
        svg.close("g").close("g");
    }

    /**
     * Extent of the walkway behind a row: s from and to, t from and to; null when a side has no
     * modules.
     */
    static double[] band(ArrayLayout layout, int after) {
        double from = Double.POSITIVE_INFINITY;
        double to = Double.NEGATIVE_INFINITY;
        double low = Double.NaN;
        double high = Double.NaN;
        for (ArrayLayout.Module m : layout.modules()) {
            if (m.row() == after) {
                low = m.t() + layout.depthM();
            } else if (m.row() == after + 1) {
                high = m.t();
            } else {
                continue;
            }
            from = Math.min(from, m.s());
            to = Math.max(to, m.s() + layout.alongM());
        }
        return Double.isNaN(low) || Double.isNaN(high) ? null : new double[] {from, to, low, high};
    }
}
