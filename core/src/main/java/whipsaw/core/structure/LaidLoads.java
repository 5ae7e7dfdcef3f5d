package whipsaw.core.structure;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.algorithm.locate.IndexedPointInAreaLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Location;
import whipsaw.core.holddown.Ballast;
import whipsaw.core.job.Job;
import whipsaw.core.job.Structure;
import whipsaw.core.roof.RoofPlan;

/**
 * Tray and pipe with their cables, set down on the roof by supports: each carries its own mass and half the way to the
 * next on either side. What lies beyond the roof is not counted.
 *
 * @param supports in order
 * @param lines what each thing comes to
 */
public record LaidLoads(List<Support> supports, List<RoofLoads.LaidLine> lines) {
    public LaidLoads {
        supports = List.copyOf(supports);
        lines = List.copyOf(lines);
    }

    /** One support on the plan. */
    public record Support(double x, double y, double kg) {}

    /** Tray and pipe on a roof with their supports; none where none are entered. */
    public static LaidLoads of(Job job, RoofPlan plan) {
        IndexedPointInAreaLocator roof = new IndexedPointInAreaLocator(plan.outline());
        List<Support> supports = new ArrayList<>();
        List<RoofLoads.LaidLine> lines = new ArrayList<>();
        for (Structure.Laid laid : job.roof().fabric().structure().laid()) {
            List<Coordinate> way = way(job, laid);
            double length = 0;
            for (int i = 1; i < way.size(); i++) {
                length += way.get(i).distance(way.get(i - 1));
            }
            if (length == 0) {
                continue;
            }
            // evenly from end to end, no farther apart than the spacing
            int pieces = (int) Math.max(1, Math.ceil(length / laid.spacing().si() - 1e-9));
            double step = length / pieces;
            double support = laid.support() == null ? 0 : laid.support().si();
            double perMetre = laid.perMetre().si() / Ballast.GRAVITY;
            int on = 0;
            double kg = 0;
            for (int i = 0; i <= pieces; i++) {
                Coordinate at = along(way, i * step);
                double carried = support + perMetre * step * (i == 0 || i == pieces ? 0.5 : 1);
                if (roof.locate(at) != Location.EXTERIOR) {
                    supports.add(new Support(at.x, at.y, carried));
                    kg += carried;
                    on++;
                }
            }
            lines.add(new RoofLoads.LaidLine(laid.name(), length, on, kg));
        }
        return new LaidLoads(supports, lines);
    }

    private static List<Coordinate> way(Job job, Structure.Laid laid) {
        Structure.Line line = laid.line();
        if (line != null) {
            return List.of(
                    new Coordinate(line.x().si(), line.y().si()),
                    new Coordinate(line.toX().si(), line.toY().si()));
        }
        return job.electrical().run().points().stream()
                .map(c -> new Coordinate(c.x().si(), c.y().si()))
                .toList();
    }

    private static Coordinate along(List<Coordinate> way, double at) {
        double left = at;
        for (int i = 1; i < way.size(); i++) {
            double piece = way.get(i).distance(way.get(i - 1));
            if (left <= piece || i == way.size() - 1) {
                double f = piece == 0 ? 0 : Math.min(1, left / piece);
                Coordinate a = way.get(i - 1);
                Coordinate b = way.get(i);
                return new Coordinate(a.x + f * (b.x - a.x), a.y + f * (b.y - a.y));
            }
            left -= piece;
        }
        return way.get(0);
    }
}
