package whipsaw.core.section;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.design.Design;
import whipsaw.core.job.Job;
import whipsaw.core.roof.RoofPlan;

/**
 * What a vertical plane through a line on the roof cuts. Distances are from A along the line,
 * heights above the roof, both in metres.
 *
 * @param roof stretches with roof under the line
 * @param solids parapets and obstructions, in order along the line
 * @param panels modules, in order along the line
 */
public record RoofSection(CutLine line, List<Stretch> roof, List<Solid> solids, List<Panel> panels) {

    /** A stretch of the line. */
    public record Stretch(double fromM, double toM) {}

    /** What a solid is. */
    public enum Kind {
        PARAPET,
        OBSTRUCTION
    }

    /** A box on the roof. */
    public record Solid(Kind kind, String name, double fromM, double toM, double heightM) {}

    /** The cut through a module. */
    public record Panel(int module, double fromM, double fromHeightM, double toM, double toHeightM) {}

    public RoofSection {
        roof = List.copyOf(roof);
        solids = List.copyOf(solids);
        panels = List.copyOf(panels);
    }

    public static RoofSection of(Design design, CutLine line) {
        return new RoofSection(line, roof(design.plan(), line), solids(design, line), panels(design.layout(), line));
    }

    /** Highest thing cut. */
    public double highestM() {
        double highest = 0;
        for (Solid s : solids) {
            highest = Math.max(highest, s.heightM());
        }
        for (Panel p : panels) {
            highest = Math.max(highest, Math.max(p.fromHeightM(), p.toHeightM()));
        }
        return highest;
    }

    private static List<Stretch> roof(RoofPlan plan, CutLine line) {
        Geometry on = plan.outline()
                .getFactory()
                .createLineString(new Coordinate[] {line.a(), line.b()})
                .intersection(plan.outline());
        List<Stretch> stretches = new ArrayList<>();
        for (int i = 0; i < on.getNumGeometries(); i++) {
            Coordinate[] c = on.getGeometryN(i).getCoordinates();
            if (c.length > 1) {
                double from = line.a().distance(c[0]);
                double to = line.a().distance(c[c.length - 1]);
                stretches.add(new Stretch(Math.min(from, to), Math.max(from, to)));
            }
        }
        stretches.sort(Comparator.comparingDouble(Stretch::fromM));
        return stretches;
    }

    private static List<Solid> solids(Design design, CutLine line) {
        List<Solid> solids = new ArrayList<>();
        for (RoofPlan.Edge e : design.plan().edges()) {
            if (e.parapetHeightM() > 0 && e.parapetThicknessM() > 0) {
                add(
                        solids,
                        Kind.PARAPET,
                        "parapet of edge " + e.number(),
                        line.inside(e.parapet()),
                        e.parapetHeightM());
            }
        }
        for (Job.Obstruction o : design.job().roof().obstructions()) {
            Coordinate[] ring = RoofPlan.rectangle(o).getCoordinates();
            Coordinate[] corners = {ring[0], ring[1], ring[2], ring[3]};
            add(
                    solids,
                    Kind.OBSTRUCTION,
                    o.name(),
                    line.inside(corners),
                    o.height().si());
        }
        solids.sort(Comparator.comparingDouble(Solid::fromM));
        return solids;
    }

    private static void add(List<Solid> solids, Kind kind, String name, double[] part, double heightM) {
        if (part != null && heightM > 0) {
            solids.add(new Solid(kind, name, part[0], part[1], heightM));
        }
    }

    private static List<Panel> panels(ArrayLayout layout, CutLine line) {
        List<Panel> panels = new ArrayList<>();
        for (ArrayLayout.Module m : layout.modules()) {
            double[] part = line.inside(layout.corners(m));
            if (part != null) {
                panels.add(new Panel(
                        m.index(),
                        part[0],
                        heightM(layout, m, line.at(part[0])),
                        part[1],
                        heightM(layout, m, line.at(part[1]))));
            }
        }
        panels.sort(Comparator.comparingDouble(Panel::fromM));
        return panels;
    }

    /** Height of a module's plane over a place: low at the edge it faces with, high at the other. */
    private static double heightM(ArrayLayout layout, ArrayLayout.Module m, Coordinate at) {
        double up = (layout.frame().t(at.x, at.y) - m.t()) / layout.depthM();
        double part = layout.looksBack(m.row()) ? 1 - up : up;
        return layout.lowEdgeM() + part * (layout.highEdgeM() - layout.lowEdgeM());
    }
}
