package whipsaw.core.calc;

import static whipsaw.core.calc.Topic.field;

import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.site.AsceDrift;
import whipsaw.core.site.AsceSnow;
import whipsaw.core.site.EnDrift;
import whipsaw.core.site.EnRoofPressure;
import whipsaw.core.site.EnSnow;
import whipsaw.core.site.EnZones;
import whipsaw.core.site.PeakPressure;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Quantity;
import whipsaw.core.working.Terms;

/** Wind on a flat roof by EN 1991-1-4, and snow by both families. */
final class EnTopics {
    private EnTopics() {}

    static Topic wind(CodeTables tables) {
        return new Topic(
                "en_wind",
                "Wind on a flat roof, EN",
                "EN 1991-1-4 4, 7.2.3",
                List.of(
                        field("vb0_m_per_s", "v_b,0, 10-minute mean, m/s", "25"),
                        field("terrain", "Terrain category", "III", "0", "I", "II", "III", "IV"),
                        field("h_m", "Roof height, m", "8"),
                        field("hp_m", "Parapet, m", "0.3"),
                        field("roof_x_m", "Roof, x, m", "60"),
                        field("roof_y_m", "Roof, y, m", "40"),
                        field("x_m", "Place, x, m", "1"),
                        field("y_m", "Place, y, m", "20"),
                        field("area_m2", "Loaded area, m²", "5"),
                        field("c_dir", "Direction factor", "1"),
                        field("c_season", "Season factor", "1"),
                        field("c_o", "Orography factor", "1"),
                        field("rho_kg_per_m3", "Density of air, kg/m³", "1.25")),
                (in, out) -> wind(in, out, tables));
    }

    private static void wind(CalcInputs in, CalcOutputs out, CodeTables tables) {
        double h = in.positive("h", Quantity.LENGTH);
        double hp = in.length("hp");
        double roofX = in.positive("roof_x", Quantity.LENGTH);
        double roofY = in.positive("roof_y", Quantity.LENGTH);
        double x = in.length("x");
        double y = in.length("y");
        if (x > roofX || y > roofY) {
            throw new CalcException("x", "and y must lie on the roof");
        }
        PeakPressure q = PeakPressure.of(
                new PeakPressure.Input(
                        in.positive("vb0", Quantity.SPEED),
                        h + hp,
                        0,
                        in.choice("terrain", "0", "I", "II", "III", "IV"),
                        1,
                        in.number("c_dir", 0.1, 1),
                        in.number("c_season", 0.1, 1),
                        in.number("c_o", 0.5, 3),
                        in.number("rho_kg_per_m3", 0.8, 1.5)),
                tables.en());
        EnZones zones = EnZones.of(RoofPlan.bareRectangle(roofX, roofY, h));
        Coordinate[] place = {new Coordinate(x, y)};
        String zone = zones.zone(place);
        double area = in.positive("area", Quantity.AREA);
        EnRoofPressure roof = EnRoofPressure.of(zone, hp / h, area, tables.en());
        double positive = zones.sides().stream().anyMatch(s -> zones.mildest(place, s))
                ? tables.en().recommended("flat_roof_zone_i_positive")
                : 0;
        out.steps(q.steps(Terms.typed()));
        out.put("kr", q.kr())
                .put("cr", q.cr())
                .put("vm_m_per_s", q.meanMPerS())
                .put("Iv", q.turbulence())
                .put("qp_kPa", q.pressurePa() / 1000)
                .put("ze_m", h + hp)
                .put("e_wind_x_m", Math.min(roofY, 2 * h))
                .put("e_wind_y_m", Math.min(roofX, 2 * h))
                .put("zone", zone)
                .put("cpe10", roof.cpe10())
                .put("cpe1", roof.cpe1())
                .put("cpe", roof.cpe())
                .put("we_suction_kPa", -roof.cpe() * q.pressurePa() / 1000)
                .put("cpe_positive", positive)
                .put("we_pressure_kPa", positive * q.pressurePa() / 1000);
    }

    static List<Topic> snow(CodeTables tables) {
        return List.of(asceFlat(tables), asceDrift(tables), enRoof(tables), enObstruction(tables));
    }

    private static Topic asceFlat(CodeTables tables) {
        return new Topic(
                "snow_asce_flat",
                "Snow on a flat roof, ASCE",
                "ASCE 7-16 7.3, 7.10",
                List.of(
                        field("pg_psf", "Ground snow load, psf", "20"),
                        field("Ce", "Exposure factor C_e", "1.0"),
                        field("Ct", "Thermal factor C_t", "1.0"),
                        field("Is", "Importance factor I_s", "1.0"),
                        field("roof_slope_deg", "Roof slope, deg", "1.2"),
                        field("W_eave_to_ridge_ft", "Eave to ridge, ft", "80")),
                (in, out) -> {
                    AsceSnow s = AsceSnow.of(
                            new AsceSnow.Input(
                                    in.si("pg", Quantity.PRESSURE),
                                    in.number("Ce", 0.1, 3),
                                    in.number("Ct", 0.1, 3),
                                    in.number("Is", 0.1, 3),
                                    in.number("roof_slope_deg", 0, 90),
                                    in.length("W_eave_to_ridge")),
                            tables.snow());
                    out.steps(s.steps(Terms.typed()))
                            .pressure("pf", s.flatPa())
                            .pressure("pm", s.minimumPa())
                            .put("rain_on_snow_applies", s.rainOnSnow())
                            .pressure("pf_with_rain", s.withRainPa())
                            .pressure("design_uniform", s.roofPa());
                });
    }

    private static Topic asceDrift(CodeTables tables) {
        return new Topic(
                "snow_asce_drift",
                "Snow drift at a projection or parapet, ASCE",
                "ASCE 7-16 7.7, 7.8",
                List.of(
                        field("pg_psf", "Ground snow load, psf", "30"),
                        field("Ce", "Exposure factor C_e", "1.0"),
                        field("Ct", "Thermal factor C_t", "1.0"),
                        field("Is", "Importance factor I_s", "1.0"),
                        field("lu_ft", "Length of roof the snow comes from, ft", "100"),
                        field("obstacle_height_ft", "Height of the obstacle, ft", "6"),
                        field("factor", "Factor on the height", "0.75")),
                (in, out) -> {
                    double importance = in.number("Is", 0.1, 3);
                    AsceSnow flat = AsceSnow.of(
                            new AsceSnow.Input(
                                    in.si("pg", Quantity.PRESSURE),
                                    in.number("Ce", 0.1, 3),
                                    in.number("Ct", 0.1, 3),
                                    importance,
                                    0,
                                    0),
                            tables.snow());
                    AsceDrift d = AsceDrift.of(
                            new AsceDrift.Input(
                                    in.si("pg", Quantity.PRESSURE),
                                    flat.flatPa(),
                                    importance,
                                    in.length("lu"),
                                    in.length("obstacle_height"),
                                    in.number("factor", 0.1, 1)),
                            tables.drift());
                    out.steps(flat.steps(Terms.typed()))
                            .steps(d.steps(Terms.typed()))
                            .put("gamma_pcf", d.densityPcf())
                            .put("gamma_kN_per_m3", d.densityPcf() * 0.1570874638)
                            .pressure("pf", flat.flatPa())
                            .feet("hb", d.balancedM())
                            .feet("hc", d.aboveM())
                            .put("drift_required", d.drifts())
                            .feet("hd", d.fullM())
                            .feet("height", d.heightM())
                            .feet("width", d.lengthM())
                            .pressure("pd", d.surchargePa())
                            .pressure("peak_total", d.peakPa());
                });
    }

    private static Topic enRoof(CodeTables tables) {
        return new Topic(
                "snow_en",
                "Snow on a roof, EN",
                "EN 1991-1-3 5.2",
                List.of(
                        field("sk_kPa", "s_k, kPa", "1.2"),
                        field("alpha_deg", "Slope, deg", "2"),
                        field("Ce", "Exposure coefficient C_e", "1.0"),
                        field("Ct", "Thermal coefficient C_t", "1.0"),
                        field("snow_retained", "Kept from sliding", "false", "false", "true")),
                (in, out) -> {
                    EnSnow s = EnSnow.of(
                            new EnSnow.Input(
                                    in.si("sk", Quantity.PRESSURE),
                                    in.number("alpha_deg", 0, 90),
                                    in.number("Ce", 0.1, 3),
                                    in.number("Ct", 0.1, 3),
                                    in.flag("snow_retained")),
                            tables.en());
                    out.steps(s.steps(Terms.typed())).put("mu1", s.mu1()).put("s_kPa", s.roofPa() / 1000);
                });
    }

    private static Topic enObstruction(CodeTables tables) {
        return new Topic(
                "snow_en_obstruction",
                "Snow drift at an obstruction, EN",
                "EN 1991-1-3 6.2",
                List.of(
                        field("sk_kPa", "s_k, kPa", "1.2"),
                        field("obstacle_height_m", "Height of the obstruction, m", "0.9"),
                        field("Ce", "Exposure coefficient C_e", "1.0"),
                        field("Ct", "Thermal coefficient C_t", "1.0")),
                (in, out) -> {
                    EnDrift d = EnDrift.of(
                            in.si("sk", Quantity.PRESSURE),
                            in.length("obstacle_height"),
                            in.number("Ce", 0.1, 3),
                            in.number("Ct", 0.1, 3),
                            tables.en());
                    out.steps(d.steps(Terms.typed()))
                            .put("mu2", d.mu2())
                            .put("ls_m", d.lengthM())
                            .put("s_peak_kPa", d.peakPa() / 1000);
                });
    }
}
