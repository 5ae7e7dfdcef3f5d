package whipsaw.core.roof;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.locationtech.jts.algorithm.MinimumAreaRectangle;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.buffer.BufferOp;
import org.locationtech.jts.operation.buffer.BufferParameters;
import whipsaw.core.job.Corner;
import whipsaw.core.job.Fabric;
import whipsaw.core.job.Obstruction;
import whipsaw.core.job.ObstructionKinds;
import whipsaw.core.job.Outline;
import whipsaw.core.job.Roof;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Spacings;

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
 * @param faces of a pitched roof; none of a flat one
 * @param index edges by place
 */
public record RoofPlan(
        Roof roof,
        List<Edge> edges,
        Polygon outline,
        double longSideM,
        double shortSideM,
        double highestParapetM,
        Traverse tape,
        TapeFit fit,
        List<Bay> bays,
        RoofFaces faces,
        EdgeIndex index) {

    static final GeometryFactory GEOMETRY = new GeometryFactory();

    /** Sides of the polygon that stands for a circle. */
    private static final int ROUND = 32;

    private static final BufferParameters SQUARE =
            new BufferParameters(4, BufferParameters.CAP_SQUARE, BufferParameters.JOIN_MITRE, 10);

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

        /** Length of the edge, m. */
        public double lengthM() {
            return from.distance(to);
        }

        /**
         * Azimuth it faces, clockwise from true north, 0 to 360.
         *
         * @param upDeg true azimuth of the top of the sheet
         */
        public double azimuthDeg(double upDeg) {
            double azimuth = Math.toDegrees(Math.atan2(normalX, normalY)) + upDeg;
            return (azimuth % 360 + 360) % 360;
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
        List<Corner> corners = List.of(corner(0, 0), corner(xM, 0), corner(xM, yM), corner(0, yM));
        Measure none = metres(0);
        return of(new Roof(
                new Outline.Drawn(corners),
                null,
                none,
                metres(heightM),
                none,
                List.of(),
                "",
                null,
                null,
                List.of(),
                Fabric.PLAIN));
    }

    private static Corner corner(double x, double y) {
        return new Corner(metres(x), metres(y));
    }

    private static Measure metres(double value) {
        return new Measure(value, value + " m", false);
    }

    /** Builds the plan of a roof whose outline has passed {@link OutlineRules}. */
    public static RoofPlan of(Roof roof) {
        OutlineShape shape = OutlineShape.of(roof);
        List<Coordinate> corners = shape.corners();
        List<Edge> edges = edges(roof, corners);
        double highest = edges.stream().mapToDouble(Edge::parapetHeightM).max().orElse(0);
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
                bays(roof.bays(), polygon),
                RoofFaces.of(roof, edges, polygon),
                new EdgeIndex(edges));
    }

    static List<Edge> edges(Roof roof, List<Coordinate> corners) {
        boolean ccw = signedArea(corners) > 0;
        List<Edge> edges = new ArrayList<>();
        for (int i = 0; i < corners.size(); i++) {
            Coordinate a = corners.get(i);
            Coordinate b = corners.get((i + 1) % corners.size());
            Roof.Parapet parapet = OutlineShape.parapet(roof, i + 1);
            double side = (ccw ? 1 : -1) / a.distance(b);
            double height = parapet == null ? 0 : parapet.height().si();
            edges.add(new Edge(
                    i + 1,
                    a,
                    b,
                    height,
                    parapet == null ? 0 : parapet.thickness().si(),
                    (b.y - a.y) * side,
                    -(b.x - a.x) * side));
        }
        return edges;
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

    /** What of the roof a thing covers; a circle by the regular polygon around it. */
    public static Polygon footprint(Obstruction o) {
        return grown(o, 0);
    }

    /** What modules keep off: the footprint with the clear distance around it, square at its corners. */
    public static Polygon keptFree(Obstruction o) {
        return grown(o, ObstructionKinds.clearM(o));
    }

    /** The footprint of a thing with so much around it, m. */
    public static Polygon grown(Obstruction o, double by) {
        double x = o.x().si();
        double y = o.y().si();
        double w = o.width().si();
        double d = o.depth().si();
        return switch (o.footprint().shape()) {
            case RECTANGLE -> (Polygon) GEOMETRY.toGeometry(new Envelope(x - by, x + w + by, y - by, y + d + by));
            case CIRCLE -> {
                double around = (w / 2 + by) / Math.cos(Math.PI / ROUND);
                List<Coordinate> ring = new ArrayList<>();
                for (int i = 0; i < ROUND; i++) {
                    double angle = 2 * Math.PI * (i + 0.5) / ROUND;
                    ring.add(
                            new Coordinate(x + w / 2 + around * Math.cos(angle), y + w / 2 + around * Math.sin(angle)));
                }
                yield polygon(ring);
            }
            case POLYGON -> {
                Polygon own = polygon(o.footprint().corners().stream()
                        .map(c -> new Coordinate(x + c.x().si(), y + c.y().si()))
                        .toList());
                yield by > 0 ? (Polygon) BufferOp.bufferOp(own, by, SQUARE) : own;
            }
        };
    }

    private static List<Bay> bays(Roof.Bays bays, Polygon outline) {
        if (bays == null) {
            return List.of();
        }
        List<Bay> result = new ArrayList<>();
        Envelope all = outline.getEnvelopeInternal();
        Coordinate[] closed = outline.getExteriorRing().getCoordinates();
        Coordinate[] ring = Arrays.copyOf(closed, closed.length - 1);
        List<Double> xs = bays.alongX().over(all.getWidth());
        List<Double> ys = bays.alongY().over(all.getHeight());
        for (int row = 0; row < ys.size(); row++) {
            for (int column = 0; column < xs.size(); column++) {
                double x = all.getMinX() + xs.get(column);
                double y = all.getMinY() + ys.get(row);
                Envelope cell = new Envelope(x, x + spacing(bays.alongX(), column), y, y + spacing(bays.alongY(), row));
                double area = RectangleClip.areaInside(ring, cell);
                result.add(new Bay(letters(column) + (row + 1), cell, area));
            }
        }
        return result;
    }

    private static double spacing(Spacings spacings, int i) {
        List<Double> all = spacings.metres();
        return all.get(Math.min(i, all.size() - 1));
    }

    private static String letters(int column) {
        String last = String.valueOf((char) ('A' + column % 26));
        return column < 26 ? last : letters(column / 26 - 1) + last;
    }

    /** Area of the bay that lies on the roof, m². */
    public double areaM2() {
        return outline.getArea();
    }
}
