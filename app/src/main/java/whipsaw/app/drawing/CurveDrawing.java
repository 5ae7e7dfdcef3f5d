package whipsaw.app.drawing;

import java.util.Locale;
import org.springframework.stereotype.Component;
import whipsaw.core.units.Show;
import whipsaw.core.working.Plot;

/** The curve of a working as a small drawing, with the place it was read at marked and told. */
@Component("curves")
public class CurveDrawing {
    private static final int WIDTH = 270;
    private static final int HEIGHT = 120;
    private static final int LEFT = 34;
    private static final int BELOW = 26;
    private static final int ABOVE = 14;

    public String svg(Plot plot) {
        double least = Math.log(plot.points().get(0)[0]);
        double most = Math.log(plot.points().get(plot.points().size() - 1)[0]);
        double top = plot.points().stream().mapToDouble(p -> p[1]).max().orElse(1) * 1.1;
        StringBuilder path = new StringBuilder();
        for (double[] p : plot.points()) {
            path.append(path.length() == 0 ? "M" : "L")
                    .append(at(x(Math.log(p[0]), least, most)))
                    .append(' ')
                    .append(at(y(p[1], top)));
        }
        double x = x(Math.log(plot.x()), least, most);
        double y = y(plot.y(), top);
        String read = Show.number(plot.y(), 3) + " at " + Show.number(plot.x(), 1);
        StringBuilder svg = new StringBuilder("<svg class=\"curve\" viewBox=\"0 0 " + WIDTH + " " + HEIGHT
                + "\" role=\"img\" aria-label=\"" + plot.up() + " over " + plot.across() + ": " + read + "\">");
        svg.append("<path class=\"axes\" d=\"M" + LEFT + " " + ABOVE + "V" + (HEIGHT - BELOW) + "H" + WIDTH + "\"/>");
        svg.append("<path class=\"read\" d=\"M" + LEFT + " " + at(y) + "H" + at(x) + "V" + (HEIGHT - BELOW) + "\"/>");
        svg.append("<path class=\"line\" d=\"").append(path).append("\"/>");
        svg.append("<circle class=\"mark\" cx=\"" + at(x) + "\" cy=\"" + at(y) + "\" r=\"4\"/>");
        // curves fall, so there is room above and to the right
        boolean right = x > WIDTH * 0.6;
        text(svg, right ? WIDTH - 2 : x + 7, y - (right ? 11 : 6), right ? "end" : "start", read);
        for (int i : new int[] {0, plot.points().size() - 1}) {
            double[] p = plot.points().get(i);
            text(svg, LEFT - 4, y(p[1], top) + 4, "end", Show.number(p[1], 2));
            text(svg, i == 0 ? LEFT : WIDTH - 2, HEIGHT - BELOW + 11, i == 0 ? "start" : "end", Show.number(p[0], 0));
        }
        text(svg, (LEFT + WIDTH) / 2.0, HEIGHT - 3, "middle", plot.across());
        text(svg, 2, 10, "start", plot.up());
        return svg.append("</svg>").toString();
    }

    private static double x(double log, double least, double most) {
        return LEFT + (WIDTH - LEFT - 6) * (log - least) / (most - least);
    }

    private static double y(double value, double top) {
        return HEIGHT - BELOW - (HEIGHT - BELOW - ABOVE) * value / top;
    }

    private static String at(double v) {
        return String.format(Locale.ROOT, "%.1f", v);
    }

    private static void text(StringBuilder svg, double x, double y, String anchor, String words) {
        svg.append("<text x=\"" + at(x) + "\" y=\"" + at(y) + "\" text-anchor=\"" + anchor + "\">" + words + "</text>");
    }
}
