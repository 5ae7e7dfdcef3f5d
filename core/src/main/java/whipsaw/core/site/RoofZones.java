package whipsaw.core.site;

import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;

/** Wind zones of a roof of any outline, by the method of a code family. */
public interface RoofZones {

    /**
     * One zone for the drawing.
     *
     * @param rank 0 for the mildest, higher for more severe
     */
    record Area(String name, int rank, Geometry shape) {}

    /** Zone of a panel: the most severe it touches. */
    String zone(Coordinate[] panel);

    /** All zones of the roof that exist on it, the mildest first; together they are the roof. */
    List<Area> areas();

    /** Whether {@link #areas} are at hand or take some work first; on many corners it takes tens of milliseconds. */
    boolean areasAtHand();

    /** How the zones were drawn, in words. */
    String rule();
}
