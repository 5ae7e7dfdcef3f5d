package whipsaw.core.roof;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.algorithm.MinimumAreaRectangle;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import whipsaw.core.job.Job;
import whipsaw.core.units.Measure;

/**
 * The roof in plan: metres, x to the right and y to the top of the sheet.
 *
 * @param edges in the order of the survey
 * @param outline outer edge of the building
 * @param longSideM long side of the least-area rectangle around the outline
 * @param shortSideM short side of it
 * @param highestParapetM of all edges; 0 without parapets
 * @param tape the tape survey, or null when the outline was drawn
 * @param fit its least-squares fit, or null when it was closed otherwise
 * @param bays structural grid; empty when not known
 */
public record RoofPlan(
        Job.Roof roof,
        List<Edge> edges,
        Polygon outline,
        double longSideM,
        double shortSideM,
        double highestParapetM,
        Traverse tape,
        TapeFit fit,
        List<Bay> bays) {

    static final GeometryFactory GEOMETRY = new GeometryFactory();

    /**
     * One edge of the outline.
     *
     * @param number from 1
     * @param normalX x of the unit vector pointing out of the building
     * @param normalY y of it
     */
    public record Edge(
            int number,
            Coordinate from,
            Coordinate to,
            double parapetHeightM,
            double parapetThicknessM,
            double normalX,
            double normalY) {

        public double lengthM() {
            return from.distance(to);
        }

        /** Ground corners of the parapet; a line without area where there is none. */
        public Coordinate[] parapet() {
            double dx = normalX * parapetThicknessM;
            double dy = normalY * parapetThicknessM;
            return new Coordinate[] {
                from, to, new Coordinate(to.x - dx, to.y - dy), new Coordinate(from.x - dx, from.y - dy)
            };
        }

        /** Distance of a point inside from the edge's line, taken as extended; negative outside. */
        double insideOfLine(double x, double y) {
            return -((x - from.x) * normalX + (y - from.y) * normalY);
        }
    }

    /**
     * One bay of the structural grid.
     *
     * @param name column letter from the left and row number from below
     * @param areaM2 part of it on the roof
     */
    public record Bay(String name, Envelope cell, double areaM2) {}

    public RoofPlan {
        edges = List.copyOf(edges);
        bays = List.copyOf(bays);
    }

    /** A bare rectangle of a height above ground, for single calculations. */
    public static RoofPlan bareRectangle(double xM, double yM, double heightM) {
        List<Job.Corner> corners = List.of(corner(0, 0), corner(xM, 0), corner(xM, yM), corner(0, yM));
        Measure none = metres(0);
        return of(new Job.Roof(
                new Job.Drawn(corners), none, metres(heightM), none, List.of(), "", null, null, List.of()));
    }

    private static Job.Corner corner(double x, double y) {
        return new Job.Corner(metres(x), metres(y));
    }

    private static Measure metres(double value) {
        return new Measure(value, value + " m", false);
    }

    /** Builds the plan of a roof whose outline has passed {@link OutlineRules}. */
    public static RoofPlan of(Job.Roof roof) {
        OutlineShape shape = OutlineShape.of(roof);
        List<Coordinate> corners = shape.corners();
        boolean ccw = signedArea(corners) > 0;
        List<Edge> edges = new ArrayList<>();
        double highest = 0;
        for (int i = 0; i < corners.size(); i++) {
            Coordinate a = corners.get(i);
            Coordinate b = corners.get((i + 1) % corners.size());
            Job.Parapet parapet = OutlineShape.parapet(roof, i + 1);
            double side = (ccw ? 1 : -1) / a.distance(b);
            double height = parapet == null ? 0 : parapet.height().si();
            highest = Math.max(highest, height);
            edges.add(new Edge(
                    i + 1,
                    a,
                    b,
                    height,
                    parapet == null ? 0 : parapet.thickness().si(),
                    (b.y - a.y) * side,
                    -(b.x - a.x) * side));
        }
        Polygon polygon = polygon(corners);
        Geometry box = MinimumAreaRectangle.getMinimumRectangle(polygon);
        Coordinate[] c = box.getCoordinates();
        double side1 = c[0].distance(c[1]);
        double side2 = c[1].distance(c[2]);
        return new RoofPlan(
                roof,
                edges,
                polygon,
                Math.max(side1, side2),
                Math.min(side1, side2),
                highest,
                shape.tape(),
                shape.fit(),
                bays(roof.bays(), polygon));
    }

    static double signedArea(List<Coordinate> corners) {
        double twice = 0;
        for (int i = 0; i < corners.size(); i++) {
            Coordinate a = corners.get(i);
            Coordinate b = corners.get((i + 1) % corners.size());
            twice += a.x * b.y - b.x * a.y;
        }
        return twice / 2;
    }

    static Polygon polygon(List<Coordinate> corners) {
        Coordinate[] ring = new Coordinate[corners.size() + 1];
        for (int i = 0; i < corners.size(); i++) {
            ring[i] = new Coordinate(corners.get(i));
        }
        ring[corners.size()] = new Coordinate(corners.get(0));
        return GEOMETRY.createPolygon(ring);
    }

    /** A rectangle parallel to the sheet. */
    public static Polygon rectangle(Job.Obstruction o) {
        return (Polygon) GEOMETRY.toGeometry(new Envelope(
                o.x().si(),
                o.x().si() + o.width().si(),
                o.y().si(),
                o.y().si() + o.depth().si()));
    }

    private static List<Bay> bays(Job.Bays bays, Polygon outline) {
        if (bays == null) {
            return List.of();
        }
        List<Bay> result = new ArrayList<>();
        Envelope all = outline.getEnvelopeInternal();
        int columns = cells(all.getWidth(), bays.alongX().si());
        int rows = cells(all.getHeight(), bays.alongY().si());
        for (int row = 0; row < rows; row++) {
            for (int column = 0; column < columns; column++) {
                double x = all.getMinX() + column * bays.alongX().si();
                double y = all.getMinY() + row * bays.alongY().si();
                Envelope cell = new Envelope(
                        x, x + bays.alongX().si(), y, y + bays.alongY().si());
                double area = outline.intersection(GEOMETRY.toGeometry(cell)).getArea();
                result.add(new Bay(letters(column) + (row + 1), cell, area));
            }
        }
        return result;
    }

    private static int cells(double extent, double spacing) {
        return Math.max(1, (int) Math.ceil(extent / spacing - 1e-6));
    }

    private static String letters(int column) {
        String last = String.valueOf((char) ('A' + column % 26));
        return column < 26 ? last : letters(column / 26 - 1) + last;
    }

    public double areaM2() {
        return outline.getArea();
    }
}
