package whipsaw.core.survey;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.job.Job;
import whipsaw.core.job.Obstruction;

/**
 * Sources of dirt and where they lie from each module: exhausts of things on the roof, and the one the survey names,
 * which lies at a distance from the nearest module in a direction from the middle of the array.
 *
 * @param sources with a known place
 */
public record Soiling(List<Source> sources) {
    public Soiling {
        sources = List.copyOf(sources);
    }

    /**
     * @param id of the obstruction; empty of the source the survey names
     * @param driftDeg azimuth on the sheet that it blows to; NaN where it blows all round
     * @param reachM how far it is taken to matter; infinite where nothing says so
     */
    public record Source(String id, String name, Coordinate at, double upAzimuthDeg, double driftDeg, double reachM) {
        /** Where it lies from a place. */
        public From from(Coordinate place) {
            double dx = at.x - place.x;
            double dy = at.y - place.y;
            double away = Math.hypot(dx, dy);
            double bearing = (Math.toDegrees(Math.atan2(dx, dy)) + upAzimuthDeg + 360) % 360;
            double off = Math.abs((bearing + 180 - upAzimuthDeg - driftDeg + 900) % 360 - 180);
            boolean in = !Double.isNaN(driftDeg) && away <= reachM && off <= SurveyRules.value("exhaust_half_angle");
            return new From(name, away, bearing, in);
        }
    }

    /**
     * @param bearingDeg true azimuth from the module to the source
     * @param inDrift whether the module lies where an exhaust blows
     */
    public record From(String name, double distanceM, double bearingDeg, boolean inDrift) {}

    /** Sources of dirt of a job and how far the array is from them. */
    public static Soiling of(Job job, ArrayLayout layout) {
        List<Source> sources = new ArrayList<>();
        double up = job.roof().upAzimuth().si();
        for (Obstruction o : job.roof().obstructions()) {
            if (o.conduct().exhaust() != null) {
                sources.add(new Source(
                        o.id(),
                        o.name(),
                        new Coordinate(
                                o.x().si() + o.width().si() / 2,
                                o.y().si() + o.depth().si() / 2),
                        up,
                        o.conduct().exhaust().si() - up,
                        SurveyRules.value("exhaust_reach")));
            }
        }
        double distance = job.survey().number("dirtDistance");
        double azimuth = job.survey().number("dirtDirection");
        if (!Double.isNaN(distance)
                && !Double.isNaN(azimuth)
                && !layout.modules().isEmpty()) {
            sources.add(new Source(
                    "",
                    job.survey().text("dirt"),
                    surveyed(layout, distance, azimuth - up),
                    up,
                    Double.NaN,
                    Double.POSITIVE_INFINITY));
        }
        return new Soiling(sources);
    }

    /** The source the survey names. */
    private static Coordinate surveyed(ArrayLayout layout, double distanceM, double onSheetDeg) {
        double alongX = Math.sin(Math.toRadians(onSheetDeg));
        double alongY = Math.cos(Math.toRadians(onSheetDeg));
        double x = layout.modules().stream()
                .mapToDouble(m -> middle(layout, m).x)
                .average()
                .orElse(0);
        double y = layout.modules().stream()
                .mapToDouble(m -> middle(layout, m).y)
                .average()
                .orElse(0);
        double front = layout.modules().stream()
                .mapToDouble(m -> (middle(layout, m).x - x) * alongX + (middle(layout, m).y - y) * alongY)
                .max()
                .orElse(0);
        return new Coordinate(x + (front + distanceM) * alongX, y + (front + distanceM) * alongY);
    }

    static Coordinate middle(ArrayLayout layout, ArrayLayout.Module m) {
        Coordinate[] c = layout.corners(m);
        return new Coordinate((c[0].x + c[2].x) / 2, (c[0].y + c[2].y) / 2);
    }

    /** All sources from a module, the nearest first. */
    public List<From> from(ArrayLayout layout, ArrayLayout.Module m) {
        Coordinate place = middle(layout, m);
        return sources.stream()
                .map(s -> s.from(place))
                .sorted(Comparator.comparingDouble(From::distanceM))
                .toList();
    }
}
