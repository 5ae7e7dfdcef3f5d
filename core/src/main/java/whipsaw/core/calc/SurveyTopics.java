package whipsaw.core.calc;

import static whipsaw.core.calc.Topic.field;

import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.array.PairSpacing;
import whipsaw.core.array.RowSpacing;
import whipsaw.core.array.SunPosition;
import whipsaw.core.roof.SightLine;
import whipsaw.core.roof.Traverse;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Quantity;
import whipsaw.core.working.Terms;

/** Sun, row spacing and the tape. */
final class SurveyTopics {
    private SurveyTopics() {}

    static List<Topic> topics() {
        return List.of(sunPosition(), rowSpacing(), pairSpacing(), traverse(), sightLine(), sightLineOfRow());
    }

    private static Topic sunPosition() {
        return new Topic(
                "sun_position",
                "Place of the sun",
                "solar position algorithm, Reda and Andreas 2004",
                List.of(
                        field("utc", "Instant, UTC", "2026-12-21T17:30:00Z"),
                        field("latitude_deg", "Latitude, deg (north +)", "39.5"),
                        field("longitude_deg", "Longitude, deg (east +)", "-84.2"),
                        field("pressure_hPa", "Air pressure, hPa", "1013"),
                        field("temperature_degC", "Air temperature, °C", "10")),
                (in, out) -> {
                    SunPosition sun = SunPosition.at(
                            instant("utc", in.text("utc")),
                            in.number("latitude_deg", -90, 90),
                            in.number("longitude_deg", -180, 180),
                            in.numberOr("pressure_hPa", 1013.25),
                            in.numberOr("temperature_degC", 15));
                    out.put("azimuth_deg", sun.azimuthDeg())
                            .put("elevation_true_deg", sun.elevationTrueDeg())
                            .put("elevation_apparent_deg", sun.elevationApparentDeg())
                            .put("declination_deg", sun.declinationDeg());
                });
    }

    static Instant instant(String key, String text) {
        try {
            return Instant.parse(text);
        } catch (DateTimeParseException e) {
            throw new CalcException(key, "'" + text + "' is no instant: write it as 2026-12-21T17:30:00Z");
        }
    }

    private static Topic rowSpacing() {
        return new Topic(
                "row_spacing",
                "Gap between one-way rows",
                "shade-free window of solar time",
                List.of(
                        field("latitude_deg", "Latitude, deg (north +)", "39.5"),
                        field("tilt_deg", "Tilt to the roof, deg", "10"),
                        field("slope_length_m", "Module up the slope, m", "1.134"),
                        field("facing_azimuth_deg", "Rows face, deg from north", "180"),
                        field("window_start_h", "Window from, solar hour", "10"),
                        field("window_end_h", "Window to, solar hour", "14"),
                        field("roof_slope_deg", "Roof slope, deg", "0"),
                        field("roof_azimuth_deg", "Roof falls towards, deg", "180"),
                        field("declination_deg", "Declination, deg", "-23.44")),
                (in, out) -> {
                    RowSpacing r = RowSpacing.of(new RowSpacing.Input(
                            in.number("latitude_deg", -90, 90),
                            in.number("tilt_deg", 0, 90),
                            in.positive("slope_length", Quantity.LENGTH),
                            in.number("facing_azimuth_deg"),
                            in.number("window_start_h", 0, 24),
                            in.number("window_end_h", 0, 24),
                            in.number("roof_slope_deg", 0, 60),
                            in.numberOr("roof_azimuth_deg", 180),
                            in.number("declination_deg", -23.5, 23.5)));
                    out.put("status", r.shadeFree() ? "ok" : "sun_below_horizon")
                            .put("rise_m", r.riseM())
                            .put("footprint_depth_m", r.depthM())
                            .put("world_tilt_deg", r.worldTiltDeg());
                    if (!Double.isNaN(r.worldAzimuthDeg())) {
                        out.put("world_azimuth_deg", r.worldAzimuthDeg());
                    }
                    out.put("profile_angle_deg", r.profileAngleDeg())
                            .put("gap_m", r.gapM())
                            .put("pitch_m", r.pitchM())
                            .put("ground_coverage_ratio", r.coverage())
                            .put("pitch_in_plan_m", r.pitchInPlanM());
                    out.steps(r.steps(Terms.typed(), null));
                });
    }

    private static Topic pairSpacing() {
        return new Topic(
                "dual_tilt_spacing",
                "Valley between pairs back to back",
                "shade-free window of solar time, level roof",
                List.of(
                        field("latitude_deg", "Latitude, deg (north +)", "52"),
                        field("tilt_deg", "Tilt, deg", "10"),
                        field("slope_length_m", "Module up the slope, m", "1.134"),
                        field("axis_facing_azimuth_deg", "One face looks, deg from north", "90"),
                        field("ridge_gap_m", "Ridge gap, m", "0.06"),
                        field("window_start_h", "Window from, solar hour", "10"),
                        field("window_end_h", "Window to, solar hour", "14"),
                        field("min_valley_gap_m", "Least valley, m", "0.2"),
                        field("declination_deg", "Declination, deg", "-23.44")),
                (in, out) -> {
                    PairSpacing p = PairSpacing.of(new PairSpacing.Input(
                            in.number("latitude_deg", -90, 90),
                            in.number("tilt_deg", 0, 90),
                            in.positive("slope_length", Quantity.LENGTH),
                            in.number("axis_facing_azimuth_deg", 0, 360),
                            in.length("ridge_gap"),
                            in.number("window_start_h", 0, 24),
                            in.number("window_end_h", 0, 24),
                            in.length("min_valley_gap"),
                            in.number("declination_deg", -23.5, 23.5)));
                    out.put("status", p.shadeFree() ? "ok" : "sun_below_horizon")
                            .put("rise_m", p.riseM())
                            .put("half_footprint_m", p.halfM())
                            .put("min_profile_angle_deg", p.lowestProfileDeg())
                            .put("shade_limit_angle_deg", p.shadeFree() ? p.shadeLimitDeg(p.valleyM()) : Double.NaN)
                            .put("valley_gap_m", p.valleyM())
                            .put("peak_to_peak_pitch_m", p.pitchM())
                            .put("ground_coverage_ratio", p.shadeFree() ? p.coverage() : Double.NaN);
                    if (p.shadeFree()) {
                        out.steps(p.at(p.valleyM()).steps(Terms.typed()));
                    }
                });
    }

    private static Topic traverse() {
        return new Topic(
                "traverse",
                "Tape survey of an outline",
                "compass-rule adjustment",
                Topic.whole(
                        """
                        {"lengths_m": [30.02, 18.0, 29.98, 18.03],
                         "turns_deg": [90, 90.1, 89.9, 90.2],
                         "balance_angles": true, "diagonal_tolerance_m": 0.05,
                         "diagonals": [{"from": 0, "to": 2, "measured_m": 34.99}]}"""),
                (in, out) -> {
                    List<Double> lengths = in.numbers("lengths_m");
                    List<Double> turns = in.numbers("turns_deg");
                    if (lengths.size() != turns.size() || lengths.size() < 3) {
                        throw new CalcException("turns_deg", "needs one turn for each of three or more lengths");
                    }
                    List<Traverse.Leg> legs = new ArrayList<>();
                    for (int i = 0; i < lengths.size(); i++) {
                        legs.add(new Traverse.Leg(lengths.get(i), turns.get(i)));
                    }
                    Traverse t = Traverse.of(legs, in.flag("balance_angles"));
                    List<Map<String, Object>> diagonals = new ArrayList<>();
                    if (in.has("diagonals")) {
                        double tolerance = in.length("diagonal_tolerance");
                        for (CalcInputs d : in.objects("diagonals")) {
                            diagonals.add(diagonal(d, t, tolerance));
                        }
                    }
                    out.put("angular_misclosure_deg", t.misclosureDeg())
                            .put("closure_x_m", t.closureX())
                            .put("closure_y_m", t.closureY())
                            .put("closure_m", t.closureM())
                            .put("perimeter_m", t.perimeterM())
                            .put("closure_ratio", t.ratio())
                            .put("orientation", t.counterClockwise() ? "ccw" : "cw")
                            .put(
                                    "adjusted_vertices_m",
                                    t.vertices().stream()
                                            .map(v -> List.of(v.x, v.y))
                                            .toList())
                            .put("area_m2", t.areaM2())
                            .put("diagonals", diagonals);
                });
    }

    private static Map<String, Object> diagonal(CalcInputs d, Traverse t, double toleranceM) {
        int from = d.whole("from");
        int to = d.whole("to");
        int corners = t.vertices().size();
        if (from < 0 || to < 0 || from >= corners || to >= corners) {
            throw new CalcException("diagonals", "name a corner outside 0 to " + (corners - 1));
        }
        Coordinate a = t.vertices().get(from);
        Coordinate b = t.vertices().get(to);
        double difference = d.length("measured") - a.distance(b);
        Map<String, Object> result = new LinkedHashMap<>();
        result.put("computed_m", a.distance(b));
        result.put("difference_m", difference);
        result.put("ok", Limits.atMost(Math.abs(difference), toleranceM));
        return result;
    }

    private static final String OVER_THE_PARAPET = "straight line over the top of the parapet, square to it";

    private static SightLine.Viewer viewer(CalcInputs in, double distanceM) {
        return new SightLine.Viewer(
                distanceM,
                in.siOr("eye_height", Quantity.LENGTH, SightLine.Viewer.USUAL_EYE_M),
                in.signedOr("viewer_ground", Quantity.LENGTH, 0));
    }

    private static Topic sightLine() {
        return new Topic(
                "sight_line",
                "Is it seen from the ground?",
                OVER_THE_PARAPET,
                List.of(
                        field("roof_height_m", "Roof above ground, m", "7"),
                        field("parapet_height_m", "Parapet above the roof, m", "0.6"),
                        field("viewer_distance_m", "Viewer from the parapet, m", "25"),
                        field("module_height_m", "Height of the thing, m", "0.95"),
                        field("setback_m", "Its setback, m", "1.2"),
                        field("eye_height_m", "Eye above the ground, m", "1.6"),
                        field("viewer_ground_m", "Viewer's ground above the building's, m", "0")),
                (in, out) -> {
                    SightLine line = SightLine.of(
                            in.positive("roof_height", Quantity.LENGTH),
                            in.length("parapet_height"),
                            viewer(in, in.positive("viewer_distance", Quantity.LENGTH)));
                    double height = in.length("module_height");
                    double setback = in.length("setback");
                    out.put("sight_slope", line.slope())
                            .put("sight_elevation_deg", line.elevationDeg())
                            .put("hidden_height_at_setback_m", line.hiddenM(setback))
                            .put("hidden_height_without_setback_m", line.hiddenM(0))
                            .put("visible", line.sees(height, setback))
                            .put("min_setback_m", line.leastSetbackM(height))
                            .put("max_setback_m", line.mostSetbackM(height));
                });
    }

    private static Topic sightLineOfRow() {
        return new Topic(
                "sight_line_row",
                "Is a row seen from the ground?",
                OVER_THE_PARAPET + "; both edges of the row",
                Topic.whole(
                        """
                        {"roof_height_m": 6.5, "parapet_height_m": 0.2,
                         "viewer_distances_m": [8, 45, 120], "row_setback_m": 0.8,
                         "tilt_deg": 15, "slope_length_m": 1.13,
                         "low_edge_height_m": 0.12, "high_edge_near": false}"""),
                (in, out) -> {
                    SightLine.Row row = SightLine.Row.of(
                            in.length("low_edge_height"),
                            in.number("tilt_deg", 0, 90),
                            in.positive("slope_length", Quantity.LENGTH),
                            in.flag("high_edge_near"));
                    double setback = in.length("row_setback");
                    List<SightLine> lines = new ArrayList<>();
                    for (double distance : in.numbers("viewer_distances_m")) {
                        if (!(distance > 0)) {
                            throw new CalcException("viewer_distances_m", "'" + distance + "' has to be above 0");
                        }
                        lines.add(SightLine.of(
                                in.positive("roof_height", Quantity.LENGTH),
                                in.length("parapet_height"),
                                viewer(in, distance)));
                    }
                    out.put(
                                    "visible_from",
                                    lines.stream()
                                            .map(l -> l.sees(row, setback))
                                            .toList())
                            .put("row_min_setback_m", SightLine.leastSetbackM(row, lines))
                            .put("high_edge_height_m", Math.max(row.nearM(), row.farM()));
                });
    }
}
