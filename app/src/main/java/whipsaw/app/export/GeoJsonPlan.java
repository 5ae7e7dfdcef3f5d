package whipsaw.app.export;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.algorithm.Orientation;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.app.Product;
import whipsaw.app.store.Json;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.design.ArrayDesign;
import whipsaw.core.design.Design;
import whipsaw.core.exchange.LocalPlane;
import whipsaw.core.job.Job;
import whipsaw.core.job.Obstruction;
import whipsaw.core.job.ObstructionKinds;
import whipsaw.core.job.Survey;
import whipsaw.core.roof.RoofFace;
import whipsaw.core.roof.RoofPlan;

/**
 * The plan as GeoJSON (RFC 7946), longitude and latitude of WGS 84. The origin of the plan lies at the job's latitude and
 * longitude. Ten decimals are a hundredth of a millimetre on the ground.
 */
public final class GeoJsonPlan {
    private static final double DECIMALS = 1e10;

    private final Design design;
    private final LocalPlane plane;
    private final List<Object> features = new ArrayList<>();

    private GeoJsonPlan(Design design) {
        this.design = design;
        this.plane = plane(design.job());
    }

    /** The plane a job's plan is laid on. */
    public static LocalPlane plane(Job job) {
        return new LocalPlane(
                job.site().longitude().si(),
                job.site().latitude().si(),
                job.roof().upAzimuth().si());
    }

    public static String of(Design design) {
        GeoJsonPlan plan = new GeoJsonPlan(design);
        plan.features();
        Map<String, Object> all = new LinkedHashMap<>();
        all.put("type", "FeatureCollection");
        all.put("writtenBy", Product.words());
        all.put("features", plan.features);
        return Json.write(all);
    }

    private void features() {
        area(
                "ROOF",
                design.plan().edges().stream().map(RoofPlan.Edge::from).toList(),
                Map.of(
                        "name", design.job().project().name(),
                        "height_m", design.job().roof().height().si()));
        for (RoofFace f : design.plan().faces().faces()) {
            area(
                    "FACE",
                    ring(f.plan().getCoordinates()),
                    Map.of("name", "face " + f.number(), "slope_deg", f.slopeDeg()));
        }
        for (Obstruction o : design.job().roof().obstructions()) {
            Map<String, Object> properties = new LinkedHashMap<>();
            properties.put("kind", o.kind());
            properties.put("name", o.name());
            properties.put("height_m", o.height().si());
            properties.put("clear_m", ObstructionKinds.clearM(o));
            area("OBSTRUCTIONS", ring(RoofPlan.footprint(o).getCoordinates()), properties);
        }
        for (ArrayDesign a : design.roof().arrays()) {
            for (ArrayLayout.Module m : a.layout().modules()) {
                area(
                        "MODULES",
                        List.of(a.layout().corners(m)),
                        Map.of(
                                "id",
                                m.id(),
                                "name",
                                m.number(),
                                "array",
                                a.job().place()));
            }
        }
        for (Survey.Pin p : design.job().survey().pins()) {
            feature(
                    "PINS",
                    Map.of("name", p.kind(), "note", p.note()),
                    "Point",
                    position(new Coordinate(p.x().si(), p.y().si())));
        }
    }

    private static List<Coordinate> ring(Coordinate[] closed) {
        return List.of(closed).subList(0, closed.length - 1);
    }

    private void area(String layer, List<Coordinate> corners, Map<String, Object> properties) {
        List<Coordinate> closed = new ArrayList<>(corners);
        closed.add(corners.get(0));
        // outer rings run counter-clockwise, RFC 7946 3.1.6; the plane keeps the way they run
        if (!Orientation.isCCW(closed.toArray(Coordinate[]::new))) {
            Collections.reverse(closed);
        }
        List<List<Double>> ring = new ArrayList<>();
        closed.forEach(c -> ring.add(position(c)));
        feature(layer, properties, "Polygon", List.of(ring));
    }

    private void feature(String layer, Map<String, Object> more, String type, Object coordinates) {
        Map<String, Object> properties = new LinkedHashMap<>();
        properties.put("layer", layer);
        properties.putAll(more);
        Map<String, Object> geometry = new LinkedHashMap<>();
        geometry.put("type", type);
        geometry.put("coordinates", coordinates);
        Map<String, Object> feature = new LinkedHashMap<>();
        feature.put("type", "Feature");
        feature.put("properties", properties);
        feature.put("geometry", geometry);
        features.add(feature);
    }

    private List<Double> position(Coordinate sheet) {
        Coordinate c = plane.toEarth(sheet);
        return List.of(Math.round(c.x * DECIMALS) / DECIMALS, Math.round(c.y * DECIMALS) / DECIMALS);
    }
}
