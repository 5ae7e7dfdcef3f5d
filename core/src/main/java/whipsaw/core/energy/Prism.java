package whipsaw.core.energy;

import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import whipsaw.core.array.SunPosition;

/**
 * Something with vertical walls on a roof plane, convex in plan: a box, or a wall of two points.
 *
 * @param footprint corners in plan, x east, y north
 * @param heightM above the roof
 */
public record Prism(List<Coordinate> footprint, double heightM) {
    private static final GeometryFactory PLANAR = new GeometryFactory();

    public Prism {
        footprint = List.copyOf(footprint);
    }

    /** Rise of a roof by metre east and north, which falls towards an azimuth. */
    public static double[] rise(double slopeDeg, double azimuthDeg) {
        double[] normal = SunPosition.vector(azimuthDeg, 90 - slopeDeg);
        return new double[] {-normal[0] / normal[2], -normal[1] / normal[2]};
    }

    /**
     * Where the top of a wall throws its shadow from its foot, in plan.
     *
     * @param sun unit vector, east, north, up
     * @param rise of the roof
     */
    public Coordinate shift(double[] sun, double[] rise) {
        double tau = heightM / (sun[2] - rise[0] * sun[0] - rise[1] * sun[1]);
        return new Coordinate(-tau * sun[0], -tau * sun[1]);
    }

    /** The shadow with the footprint in it. */
    public Geometry shadow(double[] sun, double[] rise) {
        Coordinate d = shift(sun, rise);
        Coordinate[] all = new Coordinate[2 * footprint.size()];
        for (int i = 0; i < footprint.size(); i++) {
            Coordinate c = footprint.get(i);
            all[2 * i] = c;
            all[2 * i + 1] = new Coordinate(c.x + d.x, c.y + d.y);
        }
        return PLANAR.createMultiPointFromCoords(all).convexHull();
    }

    /** Corners of a convex outline, counter-clockwise from the one of lowest x, then lowest y. */
    public static List<Coordinate> corners(Geometry outline) {
        if (!(outline instanceof Polygon polygon)) {
            return List.of(outline.getCoordinates());
        }
        Geometry normal = polygon.norm().reverse();
        Coordinate[] ring = normal.getCoordinates();
        int first = 0;
        for (int i = 1; i < ring.length - 1; i++) {
            if (ring[i].x < ring[first].x - 1e-12
                    || Math.abs(ring[i].x - ring[first].x) <= 1e-12 && ring[i].y < ring[first].y) {
                first = i;
            }
        }
        Coordinate[] turned = new Coordinate[ring.length - 1];
        for (int i = 0; i < turned.length; i++) {
            turned[i] = ring[(first + i) % turned.length];
        }
        return List.of(turned);
    }

    /**
     * Whether the ray from a point above a level roof to the sun meets it.
     *
     * @param point x, y, height above the roof
     * @param sun unit vector, its last part above 0
     */
    public boolean shades(double[] point, double[] sun) {
        double over = heightM - point[2];
        if (over <= 0) {
            return false;
        }
        double tau = over / sun[2];
        Geometry ray = PLANAR.createLineString(new Coordinate[] {
            new Coordinate(point[0], point[1]), new Coordinate(point[0] + tau * sun[0], point[1] + tau * sun[1])
        });
        return ray.intersects(PLANAR.createMultiPointFromCoords(footprint.toArray(new Coordinate[0]))
                .convexHull());
    }
}
