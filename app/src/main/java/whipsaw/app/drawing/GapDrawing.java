package whipsaw.app.drawing;

import java.util.List;
import java.util.function.ToDoubleFunction;
import whipsaw.core.explore.GapCurve;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.Unit;
import whipsaw.core.units.UnitSystem;

/** What gaps come to as curves: loss of the year, coverage, and the sun angle free of shadow; settings and budget marked. */
public final class GapDrawing {
    private static final int WIDTH = 640;
    private static final int HEIGHT = 300;
    private static final double LEFT = 44;
    private static final double RIGHT = 600;
    private static final double TOP = 16;
    private static final double BOTTOM = 262;
    private static final int LINES = 5;
    /** Lines of the drawing are at whole steps of a fifth of it. */
    private static final double LOSS_STEP = 0.025;

    private final List<GapCurve.Point> curve;
    private final double widestM;
    private final double mostLoss;
    private final StringBuilder s = new StringBuilder();

    private GapDrawing(List<GapCurve.Point> curve) {
        this.curve = curve;
        this.widestM = curve.get(curve.size() - 1).gapM();
        // without any gap nearly all is lost: the curve is drawn from where it comes down to something sensible
        double most = Math.min(0.25, curve.get(curve.size() / 6).loss() * 1.2);
        this.mostLoss = LOSS_STEP * Math.max(1, Math.ceil(most / LOSS_STEP));
    }

    /**
     * The drawing.
     *
     * @param settings of the system
     * @param nowM the gap there is
     * @param budget share of the year that may be lost; NaN for none
     */
    public static String of(
            List<GapCurve.Point> curve, List<GapCurve.Point> settings, double nowM, double budget, UnitSystem units) {
        return new GapDrawing(curve).draw(settings, nowM, budget, units);
    }

    private String draw(List<GapCurve.Point> settings, double nowM, double budget, UnitSystem units) {
        s.append(
                "<svg class=\"sunpath gapcurve\" role=\"img\" aria-label=\"Loss by row shading, coverage and shade-free sun"
                        + " angle by row gap\" viewBox=\"0 0 " + WIDTH + " " + HEIGHT
                        + "\" xmlns=\"http://www.w3.org/2000/svg\">");
        Unit unit = Dimension.PART_LENGTH.unit(units);
        for (int i = 0; i <= LINES; i++) {
            double y = BOTTOM - (BOTTOM - TOP) * i / LINES;
            line("gridline", LEFT, y, RIGHT, y);
            text(LEFT - 6, y + 4, "end", Show.number(100 * mostLoss * i / LINES, 1) + " %");
            text(RIGHT + 6, y + 4, "start", Show.number(100.0 * i / LINES, 0));
            double gap = widestM * i / LINES;
            text(x(gap), BOTTOM + 18, "middle", Show.number(unit.fromSi(gap), 0) + " " + unit.symbol());
        }
        curve("gaploss", p -> p.loss() / mostLoss);
        curve("gapcover", p -> p.coverage());
        curve("gapangle", p -> p.shadeFreeDeg() / 100);
        if (Double.isFinite(budget) && budget <= mostLoss) {
            line("gapbudget", LEFT, y(budget / mostLoss), RIGHT, y(budget / mostLoss));
            text(RIGHT - 4, y(budget / mostLoss) - 5, "end", "budget " + Show.number(100 * budget, 1) + " %");
        }
        line("gapnow", x(nowM), TOP, x(nowM), BOTTOM);
        text(x(nowM) + 4, TOP + 10, "start", "now");
        for (GapCurve.Point p : settings) {
            if (p.loss() <= mostLoss) {
                s.append("<circle class=\"gapset\" r=\"4.5\" cx=\"")
                        .append(Show.number(x(p.gapM()), 1))
                        .append("\" cy=\"")
                        .append(Show.number(y(p.loss() / mostLoss), 1))
                        .append("\"/>");
            }
        }
        return s.append("</svg>").toString();
    }

    private double x(double gapM) {
        return LEFT + (RIGHT - LEFT) * gapM / widestM;
    }

    private static double y(double share) {
        return BOTTOM - (BOTTOM - TOP) * share;
    }

    private void curve(String kind, ToDoubleFunction<GapCurve.Point> share) {
        StringBuilder d = new StringBuilder();
        for (GapCurve.Point p : curve) {
            double at = share.applyAsDouble(p);
            if (at <= 1) {
                d.append(d.length() == 0 ? "M" : "L")
                        .append(Show.number(x(p.gapM()), 1))
                        .append(' ')
                        .append(Show.number(y(at), 1));
            }
        }
        s.append("<path class=\"").append(kind).append("\" d=\"").append(d).append("\"/>");
    }

    private void line(String kind, double x1, double y1, double x2, double y2) {
        s.append("<path class=\"" + kind + "\" d=\"M" + Show.number(x1, 1) + " " + Show.number(y1, 1) + "L"
                + Show.number(x2, 1) + " " + Show.number(y2, 1) + "\"/>");
    }

    private void text(double x, double y, String anchor, String words) {
        s.append("<text text-anchor=\"" + anchor + "\" x=\"" + Show.number(x, 1) + "\" y=\"" + Show.number(y, 1) + "\">"
                + words + "</text>");
    }
}
