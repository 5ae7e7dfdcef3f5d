package whipsaw.core.array;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobArray;

/**
 * Areas of the arrays on one roof. An array without one takes what the areas of the others leave; of two with areas,
 * the later one keeps clear of the area of the earlier.
 */
public final class ArrayAreas {
    private static final GeometryFactory FACTORY = new GeometryFactory();

    private ArrayAreas() {}

    /** The area of an array that has one, on the sheet of its roof. */
    public static Polygon polygon(JobArray array) {
        List<Coordinate> ring = new ArrayList<>();
        array.area().forEach(c -> ring.add(new Coordinate(c.x().si(), c.y().si())));
        ring.add(ring.get(0).copy());
        return FACTORY.createPolygon(ring.toArray(Coordinate[]::new));
    }

    /** Arrays whose areas an array keeps clear of. */
    static List<JobArray> before(Job job) {
        JobArray own = job.placed();
        List<JobArray> on = job.onThisRoof();
        int at = own.area().isEmpty() ? on.size() : on.indexOf(own);
        return on.subList(0, at).stream()
                .filter(a -> !a.id().equals(own.id()) && !a.area().isEmpty())
                .toList();
    }
}
