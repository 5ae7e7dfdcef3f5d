package whipsaw.core.section;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToDoubleFunction;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Polygon;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.design.Design;
import whipsaw.core.job.Obstruction;
import whipsaw.core.roof.RoofFace;
import whipsaw.core.roof.RoofPlan;

/**
 * What a vertical plane through a line on the roof cuts. Distances are from A along the line,
 * heights above the lowest line of the roof, both in metres.
 *
 * @param roof stretches with roof under the line
 * @param solids parapets and obstructions, in order along the line
 * @param panels modules, in order along the line
 */
public record RoofSection(CutLine line, List<Stretch> roof, List<Solid> solids, List<Panel> panels) {

    /** A stretch of the line over one face, or over a flat roof. */
    public record Stretch(double fromM, double toM, double fromHeightM, double toHeightM) {}

    /** What a solid is. */
    public enum Kind {
        PARAPET,
        OBSTRUCTION
    }

    /**
     * A box on the roof.
     *
     * @param baseM height of the roof under it
     * @param heightM of its top
     */
    public record Solid(Kind kind, String name, double fromM, double toM, double baseM, double heightM) {}

    /** The cut through a module. */
    public record Panel(int module, double fromM, double fromHeightM, double toM, double toHeightM) {}

    public RoofSection {
        roof = List.copyOf(roof);
        solids = List.copyOf(solids);
        panels = List.copyOf(panels);
    }

    /** What a line over the roof cuts, in true height. */
    public static RoofSection of(Design design, CutLine line) {
        return new RoofSection(line, roof(design.plan(), line), solids(design, line), panels(design.layout(), line));
    }

    /** Highest thing cut. */
    public double highestM() {
        double highest = 0;
        for (Stretch r : roof) {
            highest = Math.max(highest, Math.max(r.fromHeightM(), r.toHeightM()));
        }
        for (Solid s : solids) {
            highest = Math.max(highest, s.heightM());
        }
        for (Panel p : panels) {
            highest = Math.max(highest, Math.max(p.fromHeightM(), p.toHeightM()));
        }
        return highest;
    }

    private static List<Stretch> roof(RoofPlan plan, CutLine line) {
        List<Stretch> stretches = new ArrayList<>();
        if (plan.faces().faces().isEmpty()) {
            stretches(plan.outline(), line, c -> 0, stretches);
        }
        for (RoofFace face : plan.faces().faces()) {
            stretches(face.plan(), line, face::heightM, stretches);
        }
        stretches.sort(Comparator.comparingDouble(Stretch::fromM));
        return stretches;
    }

    private static void stretches(
            Polygon over, CutLine line, ToDoubleFunction<Coordinate> height, List<Stretch> stretches) {
        Geometry on = over.getFactory()
                .createLineString(new Coordinate[] {line.a(), line.b()})
                .intersection(over);
        for (int i = 0; i < on.getNumGeometries(); i++) {
            Coordinate[] c = on.getGeometryN(i).getCoordinates();
            if (c.length > 1) {
                Coordinate first = c[0];
                Coordinate last = c[c.length - 1];
                if (line.a().distance(first) > line.a().distance(last)) {
                    Coordinate swap = first;
                    first = last;
                    last = swap;
                }
                stretches.add(new Stretch(
                        line.a().distance(first),
                        line.a().distance(last),
                        height.applyAsDouble(first),
                        height.applyAsDouble(last)));
            }
        }
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
                        design.plan().faces().heightM(middle(e.from(), e.to())),
                        e.parapetHeightM());
            }
        }
        for (Obstruction o : design.job().roof().obstructions()) {
            Coordinate[] ring = RoofPlan.footprint(o).convexHull().getCoordinates();
            Coordinate[] corners = Arrays.copyOf(ring, ring.length - 1);
            add(
                    solids,
                    Kind.OBSTRUCTION,
                    o.name(),
                    line.inside(corners),
                    design.plan()
                            .faces()
                            .heightM(RoofPlan.footprint(o).getCentroid().getCoordinate()),
                    o.height().si());
        }
        solids.sort(Comparator.comparingDouble(Solid::fromM));
        return solids;
    }

    private static Coordinate middle(Coordinate a, Coordinate b) {
        return new Coordinate((a.x + b.x) / 2, (a.y + b.y) / 2);
    }

    private static void add(List<Solid> solids, Kind kind, String name, double[] part, double baseM, double heightM) {
        if (part != null && heightM > 0) {
            solids.add(new Solid(kind, name, part[0], part[1], baseM, baseM + heightM));
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
