package whipsaw.core.calc;

import static whipsaw.core.calc.Topic.field;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.holddown.FlushPanel;
import whipsaw.core.holddown.TiltedArray;
import whipsaw.core.roof.RectangleZones;
import whipsaw.core.site.LowSlopeZones;
import whipsaw.core.site.VelocityPressure;
import whipsaw.core.table.CodeTables;
import whipsaw.core.table.Curve;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Quantity;
import whipsaw.core.working.Terms;

/** Wind: velocity pressure, tilted panels on flat roofs, exposed panels. */
final class WindTopics {
    private WindTopics() {}

    static List<Topic> topics(CodeTables tables) {
        return List.of(
                velocityPressure(tables),
                tiltedArray(tables),
                panelExposed(),
                flushPanel(tables),
                EnTopics.wind(tables));
    }

    private static Topic velocityPressure(CodeTables tables) {
        return new Topic(
                "velocity_pressure",
                "Velocity pressure",
                "ASCE 7 26.10",
                List.of(
                        field("V_mph", "Basic wind speed, mph", "105"),
                        field("z_ft", "Height above ground, ft", "20"),
                        field("exposure", "Exposure", "B", "B", "C", "D"),
                        field("edition", "Edition", "7-16", "7-16", "7-22"),
                        field("Kzt", "Topographic factor K_zt", "1.0"),
                        field("Kd", "Directionality factor K_d", "0.85"),
                        field("ground_elev_ft", "Ground elevation, ft", "0"),
                        field("min_z_ft", "Lowest height of the profile, ft", "15")),
                (in, out) -> {
                    VelocityPressure q = velocity(in, "z", "min_z", tables);
                    out.steps(q.steps(Terms.typed()));
                    out.put("Kz", q.kz())
                            .put("Ke", q.ke())
                            .pressure("q_without_Kd", q.pressureWithoutKdPa())
                            .pressure("q", q.pressurePa());
                });
    }

    private static VelocityPressure velocity(CalcInputs in, String height, String lowest, CodeTables tables) {
        String edition = in.choice("edition", "7-16", "7-22");
        String exposure = in.choice("exposure", "B", "C", "D");
        return VelocityPressure.of(
                new VelocityPressure.Input(
                        in.within("V", Quantity.SPEED, 5, 150, Double.NaN),
                        // at the ground the least height of the profile acts
                        height.equals("z") ? in.length(height) : in.positive(height, Quantity.LENGTH),
                        exposure,
                        edition,
                        in.number("Kzt", 0.1, 10),
                        in.number("Kd", 0.1, 1),
                        in.within("ground_elev", Quantity.LENGTH, -450, 9000, 0),
                        in.siOr(lowest, Quantity.LENGTH, VelocityPressure.LOWEST_HEIGHT_M)),
                tables.wind());
    }

    /** The fields of the wind with those of a panel. */
    private static List<Topic.Field> windAnd(Topic.Field... more) {
        List<Topic.Field> fields = new ArrayList<>(List.of(
                field("V_mph", "Basic wind speed, mph", "105"),
                field("exposure", "Exposure", "B", "B", "C", "D"),
                field("edition", "Edition", "7-16", "7-16", "7-22"),
                field("Kzt", "Topographic factor K_zt", "1.0"),
                field("Kd", "Directionality factor K_d", "0.85"),
                field("ground_elev_ft", "Ground elevation, ft", "0")));
        fields.addAll(List.of(more));
        return fields;
    }

    private static Topic tiltedArray(CodeTables tables) {
        return new Topic(
                "tilted_array",
                "Tilted panel on a flat roof",
                "ASCE 7-16 29.4.3",
                windAnd(
                        field("h_ft", "Mean roof height, ft", "20"),
                        field("roof_x_ft", "Roof, x, ft", "190"),
                        field("roof_y_ft", "Roof, y, ft", "130"),
                        field("hpt_ft", "Highest parapet, ft", "3.5"),
                        field("roof_slope_deg", "Roof slope, deg", "0"),
                        field("tilt_deg", "Tilt, deg", "10"),
                        field("Lp_ft", "Panel chord, ft", "3.7"),
                        field("h1_ft", "Lower edge above roof, ft", "0.3"),
                        field("h2_ft", "Upper edge above roof, ft", "1"),
                        field("panel_x_min_ft", "Panel, least x, ft", "80"),
                        field("panel_y_min_ft", "Panel, least y, ft", "60"),
                        field("panel_x_max_ft", "Panel, largest x, ft", "87.5"),
                        field("panel_y_max_ft", "Panel, largest y, ft", "63.7"),
                        field("effective_area_ft2", "Effective wind area, ft²", "27"),
                        field("is_exposed", "Exposed panel", "false", "false", "true"),
                        field("distance_from_row_end_ft", "Distance from row end, ft", "50")),
                (in, out) -> tiltedArray(in, out, tables));
    }

    private static void tiltedArray(CalcInputs in, CalcOutputs out, CodeTables tables) {
        in.mayHave("is_exposed", "distance_from_row_end_ft", "distance_from_row_end_m");
        VelocityPressure q = velocity(in, "h", "kz_min_z", tables);
        double roofX = in.positive("roof_x", Quantity.LENGTH);
        double roofY = in.positive("roof_y", Quantity.LENGTH);
        double height = in.positive("h", Quantity.LENGTH);
        double x0 = in.length("panel_x_min");
        double y0 = in.length("panel_y_min");
        double x1 = in.length("panel_x_max");
        double y1 = in.length("panel_y_max");
        if (x1 < x0 || y1 < y0 || Limits.above(x1, roofX) || Limits.above(y1, roofY)) {
            throw new CalcException("panel", "must lie inside the roof, least corner first");
        }
        double dx = Math.min(x0, roofX - x1);
        double dy = Math.min(y0, roofY - y1);
        double chord = in.positive("Lp", Quantity.LENGTH);
        TiltedArray.Setting setting = new TiltedArray.Setting(
                height,
                Math.max(roofX, roofY),
                Math.min(roofX, roofY),
                in.length("hpt"),
                in.number("tilt_deg", 0, 90),
                chord,
                in.positive("effective_area", Quantity.AREA),
                q.pressurePa());
        List<String> violations = TiltedArray.outsideScope(
                setting, in.number("roof_slope_deg", 0, 90), in.length("h1"), in.length("h2"), Math.min(dx, dy));
        out.put("applicable", violations.isEmpty()).put("violations", violations);
        if (!violations.isEmpty()) {
            return;
        }
        boolean edge = TiltedArray.edgeFactorActs(in.flag("is_exposed"), in.distance("distance_from_row_end"), chord);
        String zone = RectangleZones.zone(dx, dy, 2 * height);
        TiltedArray.Pressure p = TiltedArray.pressure(setting, zone, edge, tables.wind());
        out.steps(q.steps(Terms.typed()))
                .steps(p.area().steps(Terms.typed()))
                .steps(p.values().steps(Terms.typed()));
        out.put("Kz", q.kz())
                .put("Ke", q.ke())
                .pressure("qh", q.pressurePa())
                .put("zone", zone)
                .feet("Lb", p.lengthLbM())
                .put("An_ft2", p.normalisedAreaFt2())
                .put("gamma_p", p.gammaP())
                .put("gamma_c", p.gammaC())
                .put("gamma_E", p.gammaE())
                .put("GCrn_nom", p.nominal())
                .put("GCrn_up", p.coefficientUp())
                .put("GCrn_down", p.coefficientDown())
                .pressure("p_up", p.upliftPa())
                .pressure("p_down", p.downPa())
                .pressure("p_up_vertical", p.upliftVerticalPa())
                .pressure("p_up_horizontal", p.upliftAlongPa());
    }

    private static Topic flushPanel(CodeTables tables) {
        return new Topic(
                "flush_panel",
                "Panel parallel to a roof",
                "ASCE 7-16 29.4.4",
                windAnd(
                        field("kz_min_z_ft", "Lowest height of the profile, ft", "30"),
                        field("h_ft", "Mean roof height, ft", "20"),
                        field("effective_area_ft2", "Effective wind area, ft²", "21"),
                        field("gap_above_roof_in", "Panel above the roof, in", "5"),
                        field("panel_to_roof_angle_deg", "Panel to roof, deg", "0"),
                        field("edge_clear_ft", "To the edge, ridge or hip, ft", "10"),
                        field("is_exposed", "Exposed panel", "false", "false", "true"),
                        field("distance_from_row_end_ft", "Distance from row end, ft", "40"),
                        field("Lp_ft", "Panel chord, ft", "3.7"),
                        field("dx_ft", "To the nearest edge across, ft", "60"),
                        field("dy_ft", "To the nearest edge along, ft", "45")),
                (in, out) -> flushPanel(in, out, tables));
    }

    private static String zone(CalcInputs in) {
        String zone = in.text("zone");
        if (!zone.matches("[0-9][a-z0-9_']{0,7}")) {
            throw new CalcException("zone", "'" + zone + "' is no name of a zone: for example 2n or 3r");
        }
        return zone;
    }

    /** On a roof up to 7 deg by its distances from edges; else by a zone and a curve that are given. */
    private static void flushPanel(CalcInputs in, CalcOutputs out, CodeTables tables) {
        in.mayHave(
                "is_exposed",
                "distance_from_row_end_ft",
                "distance_from_row_end_m",
                "Lp_ft",
                "Lp_m",
                "dx_ft",
                "dx_m",
                "dy_ft",
                "dy_m",
                "effective_area_ft2",
                "effective_area_m2",
                "zone",
                "gcp_curve_area_ft2",
                "gcp_curve_area_m2",
                "gcp_curve_value");
        VelocityPressure q = velocity(in, "h", "kz_min_z", tables);
        double above = in.length("gap_above_roof");
        List<String> violations = FlushPanel.outsideScope(
                above, in.number("panel_to_roof_angle_deg", 0, 90), above, in.distance("edge_clear"));
        out.put("applicable", violations.isEmpty()).put("violations", violations);
        if (!violations.isEmpty()) {
            return;
        }
        boolean edge = TiltedArray.edgeFactorActs(
                in.flag("is_exposed"), in.distance("distance_from_row_end"), in.length("Lp"));
        boolean given = in.has("gcp_curve_value");
        String zone = given
                ? zone(in)
                : FlushPanel.lowSlopeZone(
                        in.length("dx"),
                        in.length("dy"),
                        LowSlopeZones.Widths.at(in.positive("h", Quantity.LENGTH), tables.zones()));
        FlushPanel.Pressure p = FlushPanel.of(
                q.pressurePa(),
                in.positive("effective_area", Quantity.AREA),
                zone,
                edge,
                given
                        ? new FlushPanel.Coefficients(curve(in), null, null)
                        : new FlushPanel.Coefficients(
                                tables.panels().lowSlopeSuction(zone),
                                tables.panels().lowSlopePressure(),
                                tables.panels().lowSlopeTable()),
                tables.panels());
        out.steps(q.steps(Terms.typed())).steps(p.steps(Terms.typed(), null));
        out.put("Kz", q.kz())
                .pressure("qh", q.pressurePa())
                .put("zone", zone)
                .put("GCp_neg", p.suction())
                .put("gamma_a", p.gammaA())
                .put("gamma_E", p.gammaE())
                .pressure("p_up", p.upliftPa());
        if (!given) {
            out.put("GCp_pos", p.pressure()).pressure("p_down", p.downPa());
        }
    }

    private static Curve curve(CalcInputs in) {
        List<Double> areas = in.numbers("gcp_curve_area_ft2");
        List<Double> values = in.numbers("gcp_curve_value");
        if (areas.size() != values.size() || areas.isEmpty()) {
            throw new CalcException("gcp_curve_value", "needs as many values as there are areas");
        }
        List<Curve.Node> nodes = new ArrayList<>();
        for (int i = 0; i < areas.size(); i++) {
            nodes.add(new Curve.Node(areas.get(i), values.get(i)));
        }
        try {
            return new Curve(nodes);
        } catch (IllegalArgumentException e) {
            throw new CalcException("gcp_curve_area_ft2", "has to rise from one area to the next");
        }
    }

    private static Topic panelExposed() {
        return new Topic(
                "panel_exposed",
                "Is a panel exposed?",
                "ASCE 7-16 29.4.3, array edge factor",
                List.of(
                        field("d1_edge_ft", "To the building edge, ft", "40"),
                        field("d1_array_ft", "To the adjacent array, ft (empty: none)", "6.5"),
                        field("d2_ft", "To the next row, ft (empty: none)", "1.5"),
                        field("h_ft", "Mean roof height, ft", "20"),
                        field("h2_ft", "Upper edge above roof, ft", "1")),
                (in, out) -> out.put(
                        "is_exposed",
                        TiltedArray.exposed(
                                in.distance("d1_edge"),
                                in.distance("d1_array"),
                                in.distance("d2"),
                                in.positive("h", Quantity.LENGTH),
                                in.length("h2"))));
    }
}
