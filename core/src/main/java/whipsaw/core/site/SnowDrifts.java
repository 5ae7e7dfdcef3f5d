package whipsaw.core.site;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.algorithm.Distance;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Polygon;
import whipsaw.core.job.Job;
import whipsaw.core.job.Obstruction;
import whipsaw.core.job.Site;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Unit;

/**
 * Snow drifted against parapets and things on a flat roof. Where several reach, the largest counts; they are not added.
 * The length of roof the snow comes from is taken as the whole extent square to a parapet, and as the longer side of
 * the building for a thing, both on the safe side.
 *
 * @param uniformPa snow without drifts
 * @param weightNPerM3 of snow, as the code family drifts with it; NaN when the snow is an engineer's
 * @param sources that make a drift, the largest peak first
 */
public record SnowDrifts(double uniformPa, double weightNPerM3, List<Source> sources) {

    public SnowDrifts {
        sources = List.copyOf(sources);
    }

    /**
     * What snow drifts against.
     *
     * @param name edge 2, RTU-1
     * @param ring corners of the thing, or the two ends of a parapet's inner face
     * @param heightM of the thing above the roof
     * @param lengthM of the drift
     * @param peakPa all snow at the thing
     * @param basePa all snow at the end of the drift
     * @param drift how it was computed
     */
    public record Source(
            String name,
            List<Coordinate> ring,
            double heightM,
            double lengthM,
            double peakPa,
            double basePa,
            SnowDrift drift) {
        public Source {
            ring = List.copyOf(ring);
        }

        double distance(Coordinate at) {
            double least = Double.POSITIVE_INFINITY;
            for (int i = 1; i < ring.size(); i++) {
                least = Math.min(least, Distance.pointToSegment(at, ring.get(i - 1), ring.get(i)));
            }
            return least;
        }

        double at(Coordinate place) {
            double part = 1 - distance(place) / lengthM;
            return part > 0 ? basePa + part * (peakPa - basePa) : 0;
        }
    }

    static SnowDrifts of(Job job, RoofPlan plan, SnowLoad snow, CodeTables tables) {
        List<Source> sources = new ArrayList<>();
        for (RoofPlan.Edge e : plan.edges()) {
            if (e.parapetHeightM() > 0) {
                Coordinate[] face = e.parapet();
                add(
                        sources,
                        "edge " + e.number(),
                        List.of(face[3], face[2]),
                        e.parapetHeightM(),
                        across(plan, e),
                        snow,
                        tables);
            }
        }
        double needsNone = Unit.FOOT.toSi(tables.drift().value("side_needs_none_ft"));
        for (Obstruction o : job.roof().obstructions()) {
            Polygon shape = RoofPlan.footprint(o);
            double side = Math.max(
                    shape.getEnvelopeInternal().getWidth(),
                    shape.getEnvelopeInternal().getHeight());
            boolean asceNone = snow instanceof AsceSnow && side < needsNone;
            if (o.height().si() > 0 && !asceNone) {
                add(
                        sources,
                        o.name(),
                        List.of(shape.getExteriorRing().getCoordinates()),
                        o.height().si(),
                        fetchM(job, plan),
                        snow,
                        tables);
            }
        }
        sources.sort((a, b) -> Double.compare(b.peakPa(), a.peakPa()));
        return new SnowDrifts(snow.roofPa(), weight(snow, tables), sources);
    }

    /** Length of roof the snow that drifts against plant and rows comes from, l_u of 7.7: as an engineer gives it, or the longer side. */
    public static double fetchM(Job job, RoofPlan plan) {
        Measure given = job.site().code() instanceof Site.AsceSite asce ? asce.snowFetch() : null;
        return given == null ? plan.longSideM() : given.si();
    }

    private static void add(
            List<Source> sources,
            String name,
            List<Coordinate> ring,
            double heightM,
            double fetchM,
            SnowLoad snow,
            CodeTables tables) {
        Source source = against(name, ring, heightM, fetchM, snow, tables);
        if (source != null) {
            sources.add(source);
        }
    }

    /** The drift against an obstacle; null where none forms. */
    public static Source against(
            String name, List<Coordinate> ring, double heightM, double fetchM, SnowLoad snow, CodeTables tables) {
        if (snow instanceof AsceSnow asce) {
            AsceDrift d = AsceDrift.of(
                    new AsceDrift.Input(
                            asce.input().groundPa(),
                            asce.flatPa(),
                            asce.input().importance(),
                            fetchM,
                            heightM,
                            tables.drift().value("projection_factor")),
                    tables.drift());
            return d.drifts() ? new Source(name, ring, heightM, d.lengthM(), d.peakPa(), d.flatPa(), d) : null;
        }
        if (snow instanceof EnSnow en && en.input().groundPa() > 0) {
            EnDrift d = EnDrift.of(
                    en.input().groundPa(),
                    heightM,
                    en.input().exposure(),
                    en.input().thermal(),
                    tables.en());
            return d.peakPa() > en.roofPa()
                    ? new Source(name, ring, heightM, d.lengthM(), d.peakPa(), en.roofPa(), d)
                    : null;
        }
        return null;
    }

    private static double weight(SnowLoad snow, CodeTables tables) {
        if (snow instanceof AsceSnow asce) {
            double pcf = AsceDrift.densityPcf(asce.input().groundPa(), tables.drift());
            return Unit.POUND_PER_SQUARE_FOOT.toSi(pcf) / Unit.FOOT.toSi(1);
        }
        return snow instanceof EnSnow ? 1000 * tables.en().recommended("snow_weight_kN_per_m3") : Double.NaN;
    }

    /** Extent of the roof square to an edge. */
    private static double across(RoofPlan plan, RoofPlan.Edge e) {
        double most = 0;
        for (RoofPlan.Edge other : plan.edges()) {
            most = Math.max(
                    most, -(other.from().x - e.from().x) * e.normalX() - (other.from().y - e.from().y) * e.normalY());
        }
        return most;
    }

    /** Snow above the even one at a place; 0 where no drift reaches. */
    public double moreThanUniform(double x, double y) {
        Coordinate at = new Coordinate(x, y);
        double most = uniformPa;
        for (Source s : sources) {
            most = Math.max(most, s.at(at));
        }
        return most - uniformPa;
    }
}
