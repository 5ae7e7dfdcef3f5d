package whipsaw.app.drawing;

import java.util.Arrays;
import java.util.List;
import java.util.Set;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.array.AccessPaths;
import whipsaw.core.array.ArrayFrame;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.design.Design;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.job.ArrayChoice;
import whipsaw.core.job.Corner;
import whipsaw.core.structure.LoadWindow;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;

/** Modules with their counts and row numbers, ridges of pairs, and walkways. */
final class ArrayLayer {
    /** Positions up to which every count comes with the page. */
    private static final int MOST_ON_THE_PAGE = 1500;

    private final Design design;
    private final ArrayLayout layout;
    private final Svg svg;
    private final PaperSize sheet;
    private final boolean paper;
    private final boolean brief;
    private final Set<Integer> changed;

    /**
     * @param sheet of paper, or null on screen
     */
    ArrayLayer(Design design, Svg svg, PaperSize sheet, boolean brief, Set<Integer> changed) {
        this.design = design;
        this.layout = design.layout();
        this.svg = svg;
        this.sheet = sheet;
        this.paper = sheet != null;
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
        svg.path(large(design) ? "class=\"modules many\"" : "class=\"modules\"", d.toString());
        ridges();
        svg.close("g").close("g").open("g", "class=\"layer-blocks\"");
        if (!paper || !PaperScale.countsLegible(design, sheet)) {
            regions();
        }
        if (!paper || PaperScale.countsLegible(design, sheet)) {
            counts();
        }
        svg.close("g");
        rowNumbers();
        heaviest();
    }

    /** The square in which the array weighs most. */
    private void heaviest() {
        LoadWindow w = design.loads().window();
        if (w == null || !design.roof().established()) {
            return;
        }
        svg.open("g", "class=\"layer-zones\"");
        Coordinate[] c = w.corners();
        svg.path("class=\"heaviest\"", Svg.ring(List.of(c)));
        double size = PlanDrawing.textM(design) * 0.8;
        String words = "heaviest: "
                + Show.in(
                        design.job().project().units(), Dimension.LOAD, w.load().loadPa());
        // above its upper left corner, where the row numbers are not
        double left = Arrays.stream(c).mapToDouble(p -> p.x).min().orElseThrow();
        double top = Arrays.stream(c).mapToDouble(p -> p.y).max().orElseThrow();
        svg.text("class=\"heaviestname\" font-size=\"" + Svg.u(size) + "\"", left, top + size * 0.3, words);
        svg.close("g");
    }

    /** On a large roof the counts of the part looked at are drawn by the page. */
    static boolean large(Design design) {
        return design.holdDown().positions().size() > MOST_ON_THE_PAGE;
    }

    /** Areas of one count with one number each, for looking from farther away. */
    private void regions() {
        CountRegions all = CountRegions.of(design);
        svg.open("g", "class=\"far\"");
        StringBuilder d = new StringBuilder();
        for (double[] line : all.borders()) {
            d.append('M').append(Svg.u(line[0])).append(' ').append(Svg.u(line[1]));
            d.append('L').append(Svg.u(line[2])).append(' ').append(Svg.u(line[3]));
        }
        svg.open("g", matrix()).path("class=\"border\"", d.toString()).close("g");
        svg.open("g", "class=\"areacounts\" text-anchor=\"middle\"");
        double pitch = layout.depthM() + layout.gapM();
        for (CountRegions.Region r : all.regions()) {
            double tall = r.rows() * pitch;
            double wide = r.rows() * layout.columnPitchM() / r.words().length() * 1.7;
            double size = Math.min(Math.min(tall, wide) * 0.8, Math.max(pitch * 3, PlanDrawing.textM(design) * 1.15));
            Coordinate at = layout.frame().plan(r.s(), r.t());
            svg.text(
                    "font-size=\"" + Svg.u(size) + "\"" + (r.full() ? " class=\"full\"" : ""),
                    at.x,
                    at.y - size * 0.35,
                    r.words());
        }
        svg.close("g").close("g");
    }

    private void counts() {
        String size = Svg.u(layout.depthM() * 0.92);
        svg.open("g", "class=\"counts near\" text-anchor=\"middle\" font-size=\"" + size + "\"");
        boolean some = !paper && large(design);
        for (HoldDown.Position p : design.holdDown().positions()) {
            if (some && !(brief && changed.contains(p.index()))) {
                continue;
            }
            Coordinate at = layout.frame().plan(p.s(), p.t());
            String count =
                    design.holdDown().established() ? String.valueOf(p.ballast().blocksPlaced()) : "?";
            String words = count + p.ballast().mark();
            svg.text(p.ballast().lacks() ? "class=\"full\"" : "", at.x, at.y - layout.depthM() * 0.33, words);
        }
        svg.close("g");
    }

    private void rowNumbers() {
        svg.open(
                "g", "class=\"layer-rows\" font-size=\"" + Svg.u(layout.depthM() * 0.55) + "\" text-anchor=\"middle\"");
        int row = 0;
        for (ArrayLayout.Module m : layout.modules()) {
            if (m.row() != row) {
                row = m.row();
                Coordinate at = layout.frame().plan(m.s() - layout.depthM() * 0.5, m.t() + layout.depthM() / 2);
                svg.text("class=\"rownumber\"", at.x, at.y - layout.depthM() * 0.2, String.valueOf(m.crewRow()));
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

    /** Walkways between rows, and paths across them and to hatches that a rule asks for. */
    void walkways() {
        svg.open("g", "class=\"layer-walkways\"").open("g", matrix());
        ArrayChoice.Walkway walkway = design.job().array().walkway();
        for (int after : layout.walkwaysAfter()) {
            double[] band = band(layout, after);
            if (band != null) {
                boolean moves = walkway != null && walkway.behind(after / (layout.pairs() == null ? 1 : 2));
                String handle = paper || !moves
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
        svg.close("g");
        for (AccessPaths.Strip strip : layout.paths().strips()) {
            svg.path("class=\"walkway\"", Svg.ring(List.of(strip.area().getCoordinates())));
        }
        locks();
        svg.close("g");
    }

    /** A padlock on the first module of every row that is locked. */
    private void locks() {
        double size = layout.depthM() * 0.3;
        for (Corner c : design.job().array().byHand().locked()) {
            double x = c.x().si();
            double y = c.y().si();
            svg.path(
                    "class=\"lockmark\"",
                    "M" + Svg.u(x - size) + " " + Svg.u(-y) + "h" + Svg.u(2 * size) + "v" + Svg.u(size * 1.2) + "h"
                            + Svg.u(-2 * size) + "zM" + Svg.u(x - size * 0.6) + " " + Svg.u(-y) + "v"
                            + Svg.u(-size * 0.5)
                            + "a" + Svg.u(size * 0.6) + " " + Svg.u(size * 0.6) + " 0 0 1 " + Svg.u(size * 1.2) + " 0v"
                            + Svg.u(size * 0.5));
        }
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
