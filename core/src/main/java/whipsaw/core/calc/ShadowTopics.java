package whipsaw.core.calc;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import whipsaw.core.array.SunPosition;
import whipsaw.core.energy.PlaneYear;
import whipsaw.core.energy.Prism;
import whipsaw.core.energy.RowPlace;
import whipsaw.core.energy.ShadeRule;
import whipsaw.core.energy.Weather;
import whipsaw.core.units.Quantity;

/** Shadows of walls and of rows. */
final class ShadowTopics {
    private static final GeometryFactory PLANAR = new GeometryFactory();
    private static final double[] LEVEL = {0, 0};
    private static final int MOST_STEPS = 10_000;
    private static final int MOST_POINTS = 200;
    private static final double FARTHEST_M = 10_000;

    private ShadowTopics() {}

    static List<Topic> topics() {
        return List.of(shadow(), window(), inShadow(), beamLoss(), rowShade());
    }

    private static double[] sun(Instant at, double latitudeDeg, double longitudeDeg) {
        SunPosition sun = SunPosition.at(at, latitudeDeg, longitudeDeg, 1013.25, 15);
        return SunPosition.vector(sun.azimuthDeg(), sun.elevationTrueDeg());
    }

    private static Prism prism(CalcInputs in) {
        List<Coordinate> corners = coordinates(in, "footprint_m");
        if (corners.size() < 2) {
            throw new CalcException("footprint_m", "needs 2 points for a wall, 3 or more for a body");
        }
        return new Prism(corners, in.positive("height", Quantity.LENGTH));
    }

    private static List<Coordinate> coordinates(CalcInputs in, String key) {
        List<double[]> points = in.points(key, 2);
        if (points.size() > MOST_POINTS) {
            throw new CalcException(key, points.size() + " points are more than " + MOST_POINTS);
        }
        return points.stream()
                .map(p -> new Coordinate(place(key, p[0]), place(key, p[1])))
                .toList();
    }

    /** A coordinate to the nanometre, within reach of a building. */
    private static double place(String key, double value) {
        if (Math.abs(value) > FARTHEST_M) {
            throw new CalcException(key, value + " is outside -" + FARTHEST_M + " to " + FARTHEST_M + " m");
        }
        return Math.rint(value * 1e9) / 1e9;
    }

    private static Geometry roof(CalcInputs in) {
        List<Coordinate> ring = new ArrayList<>(coordinates(in, "roof_m"));
        if (ring.size() < 3) {
            throw new CalcException("roof_m", "needs 3 points or more");
        }
        return PLANAR.createMultiPointFromCoords(ring.toArray(new Coordinate[0]))
                .convexHull();
    }

    private static List<List<Double>> pairs(List<Coordinate> all) {
        return all.stream().map(c -> List.of(c.x, c.y)).toList();
    }

    private static Topic shadow() {
        return new Topic(
                "shadow_polygon",
                "Shadow of a box or a parapet",
                "vertical walls on a roof plane, sun without refraction",
                Topic.whole(
                        """
                        {"footprint_m": [[12, 8], [15, 8], [15, 10.5], [12, 10.5]], "height_m": 2.2,
                         "sun_azimuth_deg": 150, "sun_elevation_deg": 22,
                         "roof_m": [[0, 0], [30, 0], [30, 20], [0, 20]]}"""),
                (in, out) -> {
                    in.mayHave("sun_azimuth_deg", "sun_elevation_deg", "utc", "latitude_deg", "longitude_deg");
                    Prism prism = prism(in);
                    double[] sun = in.has("utc")
                            ? sun(
                                    SurveyTopics.instant("utc", in.text("utc")),
                                    in.number("latitude_deg", -90, 90),
                                    in.number("longitude_deg", -180, 180))
                            : SunPosition.vector(in.number("sun_azimuth_deg"), in.number("sun_elevation_deg", -90, 90));
                    double slope = in.has("roof_slope_deg") ? in.number("roof_slope_deg", 0, 60) : 0;
                    double[] rise = Prism.rise(slope, in.numberOr("roof_azimuth_deg", 180));
                    Geometry roof = in.has("roof_m") ? roof(in) : null;
                    if (sun[2] - rise[0] * sun[0] - rise[1] * sun[1] <= 1e-6 || sun[2] <= 0) {
                        throw new CalcException("sun_elevation_deg", "the sun is not above the roof: no shadow ends");
                    }
                    Geometry shadow = prism.shadow(sun, rise);
                    Coordinate d = prism.shift(sun, rise);
                    out.put("shadow_vector_m", List.of(d.x, d.y))
                            .put("polygon_m", pairs(Prism.corners(shadow)))
                            .put("area_m2", shadow.getArea());
                    if (roof != null) {
                        out.put(
                                "area_on_roof_m2",
                                OverlayNGRobust.overlay(shadow, roof, OverlayNG.INTERSECTION)
                                        .getArea());
                    }
                });
    }

    private static Topic window() {
        return new Topic(
                "shadow_window",
                "Shadows over a window of time",
                "union of the shadows on a level roof, step by step",
                Topic.whole(
                        """
                        {"latitude_deg": 47, "longitude_deg": 8.5, "start_utc": "2025-12-21T09:00:00Z",
                         "end_utc": "2025-12-21T13:00:00Z", "step_min": 15,
                         "objects": [{"footprint_m": [[12, 8], [15, 8], [15, 10.5], [12, 10.5]], "height_m": 2.2}],
                         "roof_m": [[0, 0], [30, 0], [30, 20], [0, 20]], "points_m": [[10, 14, 0], [20, 3.3, 0]]}"""),
                (in, out) -> {
                    List<Prism> things = in.objects("objects").stream()
                            .map(ShadowTopics::prism)
                            .toList();
                    Geometry roof = roof(in);
                    List<double[]> points = points(in);
                    int[] shaded = new int[points.size()];
                    List<Geometry> all = new ArrayList<>();
                    int steps = 0;
                    for (double[] sun : suns(in)) {
                        if (sun[2] <= 1e-6) {
                            continue;
                        }
                        steps++;
                        things.forEach(t ->
                                all.add(OverlayNGRobust.overlay(t.shadow(sun, LEVEL), roof, OverlayNG.INTERSECTION)));
                        for (int i = 0; i < shaded.length; i++) {
                            double[] point = points.get(i);
                            shaded[i] += things.stream().anyMatch(t -> t.shades(point, sun)) ? 1 : 0;
                        }
                    }
                    Geometry union = all.isEmpty() ? PLANAR.createPolygon() : OverlayNGRobust.union(all);
                    Envelope e = union.getEnvelopeInternal();
                    List<Integer> counts = new ArrayList<>();
                    for (int s : shaded) {
                        counts.add(s);
                    }
                    out.put("sun_up_steps", steps)
                            .put("union_area_m2", union.getArea())
                            .put(
                                    "bounds_m",
                                    union.isEmpty()
                                            ? null
                                            : List.of(e.getMinX(), e.getMinY(), e.getMaxX(), e.getMaxY()))
                            .put("point_shaded_steps", counts)
                            .put(
                                    "point_ever_shaded",
                                    counts.stream().map(c -> c > 0).toList());
                });
    }

    private static List<double[]> points(CalcInputs in) {
        List<double[]> points = in.points("points_m", 3);
        if (points.size() > MOST_POINTS) {
            throw new CalcException("points_m", points.size() + " points are more than " + MOST_POINTS);
        }
        return points;
    }

    /** Suns from the start to the end of a window, both included. */
    private static List<double[]> suns(CalcInputs in) {
        double latitude = in.number("latitude_deg", -90, 90);
        double longitude = in.number("longitude_deg", -180, 180);
        Instant from = SurveyTopics.instant("start_utc", in.text("start_utc"));
        Instant to = SurveyTopics.instant("end_utc", in.text("end_utc"));
        double step = in.number("step_min", 1, 1440);
        double minutes = Duration.between(from, to).toSeconds() / 60.0;
        if (minutes < 0 || minutes / step > MOST_STEPS) {
            throw new CalcException("end_utc", "has to be after the start, by " + MOST_STEPS + " steps at most");
        }
        List<double[]> all = new ArrayList<>();
        for (int i = 0; i * step <= minutes + 1e-9; i++) {
            all.add(sun(from.plusSeconds(Math.round(i * step * 60)), latitude, longitude));
        }
        return all;
    }

    private static Topic inShadow() {
        return new Topic(
                "point_in_shadow",
                "Is a point in shadow?",
                "ray to the sun, level roof",
                Topic.whole(
                        """
                        {"latitude_deg": 38.5, "longitude_deg": -97.5,
                         "utc": ["2025-12-21T15:30:00Z", "2025-06-21T18:30:00Z"],
                         "objects": [{"footprint_m": [[12, 8], [15, 8], [15, 10.5], [12, 10.5]], "height_m": 2.2}],
                         "points_m": [[13.5, 12, 0.1]]}"""),
                (in, out) -> {
                    List<Prism> things = in.objects("objects").stream()
                            .map(ShadowTopics::prism)
                            .toList();
                    double latitude = in.number("latitude_deg", -90, 90);
                    double longitude = in.number("longitude_deg", -180, 180);
                    List<double[]> suns = in.texts("utc").stream()
                            .map(t -> sun(SurveyTopics.instant("utc", t), latitude, longitude))
                            .toList();
                    List<List<Boolean>> rows = points(in).stream()
                            .map(p -> suns.stream()
                                    .map(s -> s[2] <= 1e-6 || things.stream().anyMatch(t -> t.shades(p, s)))
                                    .toList())
                            .toList();
                    out.put("in_shadow", rows);
                });
    }

    private static Topic beamLoss() {
        return new Topic(
                "point_annual_beam_loss",
                "Beam shading loss of a year",
                "sun at the middle of each hour of the synthetic year",
                Topic.whole(
                        """
                        {"site": {"latitude_deg": 47, "longitude_deg": 8.5, "utc_offset_h": 1,
                          "kt_monthly": [0.38, 0.42, 0.44, 0.45, 0.46, 0.48, 0.5, 0.49, 0.47, 0.42, 0.37, 0.35],
                          "ambient_monthly_degC": [0, 1, 6, 9, 14, 17, 19, 19, 15, 10, 4, 1],
                          "ambient_half_range_K": 5, "wind_m_per_s": 1.5, "albedo": 0.2},
                         "objects": [{"footprint_m": [[0, 0], [30, 0]], "height_m": 1.1}],
                         "plane_tilt_deg": 10, "plane_azimuth_deg": 180, "points_m": [[13.5, 2, 0.2]]}"""),
                (in, out) -> {
                    Weather weather = EnergyTopics.weather(in.object("site"));
                    List<Prism> things = in.objects("objects").stream()
                            .map(ShadowTopics::prism)
                            .toList();
                    double tilt = in.number("plane_tilt_deg", 0, 89);
                    double azimuth = in.number("plane_azimuth_deg", 0, 360);
                    List<double[]> points = in.points("points_m", 3);
                    if (points.size() * (long) things.size() > 100) {
                        throw new CalcException("points_m", "points times objects have to be 100 or fewer");
                    }
                    out.put(
                                    "beam_kWh_per_m2",
                                    PlaneYear.of(
                                                    weather,
                                                    PlaneYear.Plane.open(tilt, azimuth),
                                                    EnergyTopics.ANY_MODEL,
                                                    EnergyTopics.ANY_SYSTEM)
                                            .light()
                                            .beam())
                            .put(
                                    "lost_fraction",
                                    points.stream()
                                            .map(p -> weather.beamLost(things, p, tilt, azimuth))
                                            .toList());
                });
    }

    private static Topic rowShade() {
        return new Topic(
                "row_shade_instant",
                "Row-to-row shading at one sun position",
                "endless rows on a level roof, edges at equal height",
                Topic.whole(
                        """
                        {"layout": "one_way", "sun_azimuth_deg": 150, "sun_elevation_deg": 12, "facing_azimuth_deg": 180,
                         "tilt_deg": 10, "slope_length_m": 1.13, "pitch_m": 1.45}"""),
                (in, out) -> {
                    in.mayHave("pitch_m", "valley_gap_m");
                    double[] sun =
                            SunPosition.vector(in.number("sun_azimuth_deg"), in.number("sun_elevation_deg", -90, 90));
                    double facing = Math.toRadians(in.number("facing_azimuth_deg"));
                    double tilt = in.number("tilt_deg", 0, 89);
                    double slope = in.number("slope_length_m", 0.05, 20);
                    RowPlace place;
                    if (in.choice("layout", "one_way", "pairs").equals("one_way")) {
                        double pitch = in.number("pitch_m", 0.05, 100);
                        if (pitch < slope * Math.cos(Math.toRadians(tilt))) {
                            throw new CalcException("pitch_m", "is less than the footprint of a row");
                        }
                        place = RowPlace.behind(slope, tilt, pitch);
                    } else {
                        place = RowPlace.acrossValley(slope, tilt, in.number("valley_gap_m", 0, 100));
                    }
                    double towards = sun[0] * Math.sin(facing) + sun[1] * Math.cos(facing);
                    double shaded = place.shaded(towards, sun[2]);
                    Map<String, Object> loss = new LinkedHashMap<>();
                    for (ShadeRule rule : ShadeRule.values()) {
                        loss.put(rule.key(), rule.lost(shaded));
                    }
                    out.put("profile_angle_deg", Math.toDegrees(Math.atan2(sun[2], towards)))
                            .put("edge_distance_m", place.clearM())
                            .put("shade_limit_angle_deg", place.shadeLimitDeg())
                            .put("shaded_fraction", shaded)
                            .put("beam_loss", loss);
                });
    }
}
