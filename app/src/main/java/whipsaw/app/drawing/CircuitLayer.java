package whipsaw.app.drawing;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.circuit.Circuits;
import whipsaw.core.design.Design;
import whipsaw.core.job.Corner;
import whipsaw.core.job.Electrical;
import whipsaw.core.job.InverterGroup;
import whipsaw.core.job.Job;
import whipsaw.core.structure.LaidLoads;

/** Strings as they are laid, and the AC run with its ends. */
final class CircuitLayer {
    private static final String INVERTERS = "inverters";

    private final Design design;
    private final ArrayLayout layout;
    private final Svg svg;
    private final double textM;

    CircuitLayer(Design design, Svg svg, double textM) {
        this.design = design;
        this.layout = design.layout();
        this.svg = svg;
        this.textM = textM;
    }

    void strings() {
        svg.open("g", "class=\"layer-strings\"");
        for (Circuits.PvString s : design.strings().strings()) {
            List<Coordinate> points = turns(s.modules());
            Coordinate first = points.get(0);
            StringBuilder d = new StringBuilder();
            points.forEach(p -> d.append(d.length() == 0 ? 'M' : 'L').append(Svg.point(p)));
            svg.path("class=\"string" + (s.number() % 2 == 0 ? " even" : "") + "\"", d.toString());
            svg.text(
                    "class=\"stringname\" text-anchor=\"middle\" font-size=\"" + Svg.u(layout.depthM() * 0.42) + "\"",
                    first.x,
                    first.y - layout.depthM() * 0.02,
                    s.name());
        }
        svg.close("g");
    }

    /** Where a string begins, turns into another row and ends. */
    private List<Coordinate> turns(List<Integer> modules) {
        List<Coordinate> points = new ArrayList<>();
        for (int i = 0; i < modules.size(); i++) {
            ArrayLayout.Module m = layout.modules().get(modules.get(i));
            boolean end = i == 0 || i == modules.size() - 1;
            if (end
                    || layout.modules().get(modules.get(i - 1)).row() != m.row()
                    || layout.modules().get(modules.get(i + 1)).row() != m.row()) {
                points.add(layout.frame().plan(m.s() + layout.alongM() / 2, m.t() + layout.depthM() * 0.12));
            }
        }
        return points;
    }

    /** Supports of tray and pipe. */
    private void laid() {
        StringBuilder d = new StringBuilder();
        double half = 0.15;
        for (LaidLoads.Support s : LaidLoads.of(design.job(), design.plan()).supports()) {
            d.append('M').append(Svg.u(s.x() - half)).append(' ').append(Svg.u(-s.y() - half));
            d.append('h').append(Svg.u(2 * half)).append('v').append(Svg.u(2 * half));
            d.append('h').append(Svg.u(-2 * half)).append('z');
        }
        if (d.length() > 0) {
            svg.path("class=\"supports\"", d.toString());
        }
    }

    /** What the AC run begins at, named where a place beside it is free. */
    void runNames(LabelRoom room) {
        double half = textM * 0.6;
        Corner first = design.job().electrical().run().points().get(0);
        Coordinate from = new Coordinate(first.x().si(), first.y().si());
        svg.open("g", "class=\"layer-run\"");
        String label = "class=\"name\" text-anchor=\"middle\" font-size=\"" + Svg.u(textM * 0.72) + "\"";
        double size = textM * 0.72;
        double wide = LabelRoom.text(0, 0, size, INVERTERS, 0).getWidth() / 2 + half * 1.3;
        double[][] places = {
            {0, -half - textM * 0.75}, {0, half + textM * 0.3}, {-wide, -size * 0.3}, {wide, -size * 0.3}
        };
        for (double[] p : places) {
            if (room.takeIfFree(LabelRoom.text(from.x + p[0], from.y + p[1], size, INVERTERS, 0.5))) {
                svg.text(label, from.x + p[0], from.y + p[1], INVERTERS);
                break;
            }
        }
        svg.close("g");
    }

    void run() {
        svg.open("g", "class=\"layer-run\"");
        Job job = design.job();
        for (InverterGroup g : job.document().groups()) {
            if (!g.id().equals(job.group().id())) {
                route(job.onSheet(g), " other");
            }
        }
        route(job.electrical(), "");
        laid();
        svg.close("g");
    }

    /** One AC run from its inverters to where it is connected. */
    private void route(Electrical electrical, String more) {
        List<Coordinate> points = new ArrayList<>();
        for (Corner c : electrical.run().points()) {
            points.add(new Coordinate(c.x().si(), c.y().si()));
        }
        StringBuilder d = new StringBuilder();
        points.forEach(p -> d.append(d.length() == 0 ? 'M' : 'L').append(Svg.point(p)));
        svg.path("class=\"acrun" + more + "\"", d.toString());
        double half = textM * 0.6;
        Coordinate from = points.get(0);
        PlanDrawing.rect(svg, "inverter" + more, from.x - half, from.y - half, 2 * half, 2 * half, 0);
        Coordinate to = points.get(points.size() - 1);
        svg.raw("<circle class=\"connection" + more + "\" cx=\""
                + Svg.u(to.x)
                + "\" cy=\""
                + Svg.u(-to.y)
                + "\" r=\""
                + Svg.u(half * 0.7)
                + "\"/>");
    }
}
