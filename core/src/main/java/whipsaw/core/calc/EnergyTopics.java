package whipsaw.core.calc;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import whipsaw.core.energy.ClearSky;
import whipsaw.core.energy.Climate;
import whipsaw.core.energy.HourChain;
import whipsaw.core.energy.PlaneYear;
import whipsaw.core.energy.RowPlace;
import whipsaw.core.energy.ShadeRule;
import whipsaw.core.energy.SkyModel;
import whipsaw.core.energy.Weather;
import whipsaw.core.energy.YieldSystem;

/** Light and the energy of a year. */
final class EnergyTopics {
    static final SkyModel ANY_MODEL = SkyModel.HAY_DAVIES;
    static final YieldSystem ANY_SYSTEM = YieldSystem.usual(-0.0035, 1.2);

    static final String SITE =
            """
            "site": {"latitude_deg": 47, "longitude_deg": 8.5, "utc_offset_h": 1,
              "kt_monthly": [0.38, 0.42, 0.44, 0.45, 0.46, 0.48, 0.5, 0.49, 0.47, 0.42, 0.37, 0.35],
              "ambient_monthly_degC": [0, 1, 6, 9, 14, 17, 19, 19, 15, 10, 4, 1],
              "ambient_half_range_K": 5, "wind_m_per_s": 1.5, "albedo": 0.2}""";
    static final String SYSTEM =
            """
            "system": {"u0_W_per_m2K": 25, "u1_Ws_per_m3K": 6.84, "gamma_per_K": -0.0035, "dc_loss_fraction": 0.03,
              "inverter_efficiency": 0.97, "dc_ac_ratio": 1.2, "martin_ruiz_ar": 0.16}""";
    static final String YEAR = "synthetic year, no forecast of a place";
    static final int MOST = 400;

    private EnergyTopics() {}

    static List<Topic> topics() {
        return List.of(chain(), year(), annualYield(), rowYear());
    }

    static Weather weather(CalcInputs in) {
        List<Double> clear = months(in, "kt_monthly", 0.01, 1);
        List<Double> ambient = months(in, "ambient_monthly_degC", -60, 60);
        return Weather.synthetic(new Climate(
                in.number("latitude_deg", -90, 90),
                in.number("longitude_deg", -180, 180),
                in.number("utc_offset_h", -14, 14),
                clear,
                ambient,
                in.number("ambient_half_range_K", 0, 40),
                in.number("wind_m_per_s", 0, 30),
                in.number("albedo", 0, 1)));
    }

    private static List<Double> months(CalcInputs in, String key, double least, double most) {
        List<Double> all = in.numbers(key);
        if (all.size() != 12) {
            throw new CalcException(key, "has " + all.size() + " values and needs one for each of 12 months");
        }
        for (double v : all) {
            if (v < least || v > most) {
                throw new CalcException(key, v + " is outside " + least + " to " + most);
            }
        }
        return all;
    }

    static YieldSystem system(CalcInputs in) {
        return new YieldSystem(
                in.number("u0_W_per_m2K", 5, 100),
                in.number("u1_Ws_per_m3K", 0, 50),
                in.number("gamma_per_K", -0.02, 0),
                in.number("dc_loss_fraction", 0, 0.9),
                in.number("inverter_efficiency", 0.1, 1),
                in.number("dc_ac_ratio", 0.3, 5),
                in.number("martin_ruiz_ar", 0.05, 0.5));
    }

    static SkyModel model(CalcInputs in) {
        return SkyModel.of(in.choice("model", "hay_davies", "perez"));
    }

    /** A face with its part of the power. */
    record Face(PlaneYear.Plane plane, double share) {
        static Face of(CalcInputs in) {
            return new Face(
                    PlaneYear.Plane.open(in.number("tilt_deg", 0, 89), in.number("azimuth_deg", 0, 360)),
                    in.has("share") ? in.number("share", 0, 1) : 1);
        }
    }

    /** The hours of several faces on one inverter, by 1 kWp, with their sums. */
    record Together(double[] dc, double planeOfArray) {
        static Together of(List<Face> faces, Weather weather, SkyModel model, YieldSystem system) {
            double[] dc = new double[Weather.HOURS];
            double light = 0;
            for (Face f : faces) {
                PlaneYear year = PlaneYear.of(weather, f.plane(), model, system);
                light += f.share() * year.light().planeOfArray();
                for (int h = 0; h < dc.length; h++) {
                    dc[h] += f.share() * year.dc()[h];
                }
            }
            return new Together(dc, light);
        }

        double dcKwh() {
            double sum = 0;
            for (double d : dc) {
                sum += d;
            }
            return sum;
        }

        double[] ac(YieldSystem system, double kwp) {
            double[] ac = new double[dc.length];
            for (int h = 0; h < ac.length; h++) {
                ac[h] = kwp * system.ac(dc[h]);
            }
            return ac;
        }
    }

    private static double sum(double[] all) {
        double sum = 0;
        for (double a : all) {
            sum += a;
        }
        return sum;
    }

    private static Topic chain() {
        return new Topic(
                "irradiance_chain",
                "Irradiance to power, one hour",
                "Erbs, Hay and Davies, Perez, Martin and Ruiz, Faiman",
                Topic.whole(
                        """
                        {"day_of_year": 172, "sun_azimuth_deg": 120, "sun_elevation_deg": 45, "ghi_W_per_m2": 620,
                         "tilt_deg": 10, "azimuth_deg": 180, "albedo": 0.2, "linke_turbidity": 3, "altitude_m": 150,
                         "ambient_degC": 24, "wind_m_per_s": 2, "martin_ruiz_ar": 0.16,
                         """
                                + SYSTEM + "}"),
                (in, out) -> {
                    HourChain.Sky sky = new HourChain.Sky(
                            (int) in.number("day_of_year", 1, 366),
                            in.number("sun_azimuth_deg"),
                            in.number("sun_elevation_deg", 0.1, 90),
                            in.number("ghi_W_per_m2", 0.1, 1600),
                            in.number("ambient_degC", -60, 60),
                            in.number("wind_m_per_s", 0, 60),
                            in.number("albedo", 0, 1));
                    double tilt = in.number("tilt_deg", 0, 89);
                    double azimuth = in.number("azimuth_deg", 0, 360);
                    double turbidity = in.number("linke_turbidity", 1, 10);
                    double altitude = in.number("altitude_m", -500, 6000);
                    in.mayHave("martin_ruiz_ar");
                    YieldSystem system = system(in.object("system"));
                    double sin = Math.sin(Math.toRadians(sky.sunElevationDeg()));
                    HourChain first = null;
                    Map<String, Object> byModel = new LinkedHashMap<>();
                    for (SkyModel model : SkyModel.values()) {
                        HourChain c = HourChain.of(sky, tilt, azimuth, model, system);
                        first = first == null ? c : first;
                        byModel.put(model.key(), parts(c, system));
                    }
                    double[] clear = ClearSky.ineichen(sin, first.extraterrestrial(), turbidity, altitude);
                    double incidence = Math.min(1, first.direct() > 0 ? first.beam() / first.direct() : 0);
                    out.put("extraterrestrial_normal_W_per_m2", first.extraterrestrial())
                            .put("clearness_index", first.clearness())
                            .put("dhi_W_per_m2", first.diffuse())
                            .put("dni_W_per_m2", first.direct())
                            .put("haurwitz_ghi_W_per_m2", ClearSky.haurwitz(sin))
                            .put("ineichen_ghi_W_per_m2", clear[0])
                            .put("ineichen_dni_W_per_m2", clear[1])
                            .put("air_mass", ClearSky.airMass(sin))
                            .put("incidence_deg", Math.toDegrees(Math.acos(incidence)))
                            .put("iam_physical", ClearSky.throughGlass(incidence))
                            .put("iam_martin_ruiz", first.throughBeam())
                            .put("iam_sky", first.throughSky())
                            .put("iam_ground", first.throughGround());
                    byModel.forEach(out::put);
                });
    }

    private static Map<String, Object> parts(HourChain c, YieldSystem system) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("beam_W_per_m2", c.beam());
        m.put("circumsolar_W_per_m2", c.circumsolar());
        m.put("sky_W_per_m2", c.sky());
        m.put("horizon_W_per_m2", c.horizon());
        m.put("ground_W_per_m2", c.ground());
        m.put("poa_W_per_m2", c.planeOfArray());
        m.put("effective_W_per_m2", c.effective());
        m.put("cell_degC", c.cellC());
        m.put("dc_kW_per_kWp", c.dc());
        m.put("ac_kW_per_kWp", system.ac(c.dc()));
        return m;
    }

    private static Topic year() {
        return new Topic(
                "synthetic_year",
                "Irradiance of the synthetic year",
                YEAR,
                Topic.whole("{" + SITE + ", \"hour_indices\": [12, 4117]}"),
                (in, out) -> {
                    Weather weather = weather(in.object("site"));
                    Weather.Sums sums = weather.sums();
                    List<Map<String, Object>> hours = new ArrayList<>();
                    List<Double> asked = in.has("hour_indices") ? in.numbers("hour_indices") : List.of();
                    for (double index : asked) {
                        if (index != Math.rint(index) || index < 0 || index >= Weather.HOURS) {
                            throw new CalcException("hour_indices", index + " is no whole number from 0 to 8759");
                        }
                        hours.add(hour((int) index, weather.hour((int) index)));
                    }
                    out.put("annual_ghi_kWh_per_m2", sums.globalKwhPerM2())
                            .put("annual_dhi_kWh_per_m2", sums.diffuseKwhPerM2())
                            .put("annual_dni_kWh_per_m2", sums.beamKwhPerM2())
                            .put("monthly_ghi_kWh_per_m2", sums.monthlyGlobalKwhPerM2())
                            .put("monthly_dhi_kWh_per_m2", sums.monthlyDiffuseKwhPerM2())
                            .put("hours", hours);
                });
    }

    private static Map<String, Object> hour(int index, Weather.Hour h) {
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("hour_index", index);
        if (h != null) {
            m.put("sun_azimuth_deg", h.sunAzimuthDeg());
            m.put("sun_elevation_deg", h.sunElevationDeg());
            m.put("clearness_index", h.clearness());
            m.put("ghi_W_per_m2", h.global());
            m.put("dhi_W_per_m2", h.diffuse());
            m.put("dni_W_per_m2", h.beam());
            m.put("ambient_degC", h.ambientC());
        }
        return m;
    }

    private static Topic annualYield() {
        return new Topic(
                "annual_yield",
                "Energy of a year by tilt and direction",
                YEAR,
                Topic.whole("{" + SITE
                        + """
                        , "models": ["hay_davies"],
                         "layouts": [{"name": "south 10", "faces": [{"tilt_deg": 10, "azimuth_deg": 180, "share": 1}]}],
                         """
                        + SYSTEM + "}"),
                (in, out) -> {
                    Weather weather = weather(in.object("site"));
                    YieldSystem system = system(in.object("system"));
                    List<CalcInputs> layouts = in.objects("layouts");
                    List<String> models = in.texts("models");
                    if ((long) layouts.size() * models.size() > MOST) {
                        throw new CalcException("layouts", "layouts times models have to be " + MOST + " or fewer");
                    }
                    Map<String, List<Face>> faces = new LinkedHashMap<>();
                    for (CalcInputs layout : layouts) {
                        faces.put(
                                layout.text("name"),
                                layout.objects("faces").stream().map(Face::of).toList());
                    }
                    for (String key : models) {
                        SkyModel model = SkyModel.of(key);
                        Map<String, Object> byLayout = new LinkedHashMap<>();
                        faces.forEach((name, all) ->
                                byLayout.put(name, yields(Together.of(all, weather, model, system), system)));
                        out.put(key, byLayout);
                    }
                });
    }

    private static Map<String, Object> yields(Together t, YieldSystem system) {
        double ac = sum(t.ac(system, 1));
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("poa_kWh_per_m2", t.planeOfArray());
        m.put("dc_kWh_per_kWp", t.dcKwh());
        m.put("ac_kWh_per_kWp", ac);
        m.put("clipped_fraction", t.dcKwh() == 0 ? 0 : 1 - ac / (system.inverter() * t.dcKwh()));
        return m;
    }

    private static Topic rowYear() {
        return new Topic(
                "row_shade_annual",
                "Row shading loss of a year",
                YEAR + "; an inner row against the same plane in the open",
                Topic.whole("{" + SITE
                        + """
                        , "facing_azimuth_deg": 180, "slope_length_m": 1.13, "tilts_deg": [10], "pitches_m": [1.5, 2],
                         "rules": ["linear", "landscape"], "model": "hay_davies",
                         """
                        + SYSTEM + "}"),
                (in, out) -> {
                    Weather weather = weather(in.object("site"));
                    YieldSystem system = system(in.object("system"));
                    SkyModel model = model(in);
                    double facing = in.number("facing_azimuth_deg", 0, 360);
                    double slope = in.number("slope_length_m", 0.05, 20);
                    List<ShadeRule> rules =
                            in.texts("rules").stream().map(ShadeRule::of).toList();
                    List<Double> tilts = in.numbers("tilts_deg");
                    List<Double> pitches = in.numbers("pitches_m");
                    if ((long) tilts.size() * pitches.size() * (rules.size() + 1) > MOST) {
                        throw new CalcException("tilts_deg", "tilts, pitches and rules give more than " + MOST);
                    }
                    List<Map<String, Object>> grid = new ArrayList<>();
                    for (double tilt : tilts) {
                        if (tilt < 0 || tilt > 89) {
                            throw new CalcException("tilts_deg", tilt + " is outside 0 to 89");
                        }
                        for (double pitch : pitches) {
                            if (pitch < slope * Math.cos(Math.toRadians(tilt)) || pitch > 1000) {
                                throw new CalcException("pitches_m", pitch + " is less than the footprint of a row");
                            }
                            grid.add(rowYear(weather, system, model, facing, slope, tilt, pitch, rules));
                        }
                    }
                    out.put("grid", grid);
                });
    }

    private static Map<String, Object> rowYear(
            Weather weather,
            YieldSystem system,
            SkyModel model,
            double facing,
            double slope,
            double tilt,
            double pitch,
            List<ShadeRule> rules) {
        double open = PlaneYear.of(weather, PlaneYear.Plane.open(tilt, facing), model, system)
                .acKwhPerKwp(system);
        RowPlace place = RowPlace.behind(slope, tilt, pitch);
        PlaneYear ideal =
                PlaneYear.of(weather, new PlaneYear.Plane(tilt, facing, place, ShadeRule.LINEAR), model, system);
        Map<String, Object> m = new LinkedHashMap<>();
        m.put("tilt_deg", tilt);
        m.put("pitch_m", pitch);
        m.put(
                "beam_shaded_fraction",
                ideal.light().beam() == 0
                        ? 0
                        : ideal.light().shadedBeam() / ideal.light().beam());
        m.put("sky_view_factor", place.sky());
        m.put("open_ac_kWh_per_kWp", open);
        for (ShadeRule rule : rules) {
            double ac = PlaneYear.of(weather, new PlaneYear.Plane(tilt, facing, place, rule), model, system)
                    .acKwhPerKwp(system);
            Map<String, Object> r = new LinkedHashMap<>();
            r.put("ac_kWh_per_kWp", ac);
            r.put("loss_fraction", open == 0 ? 0 : 1 - ac / open);
            m.put(rule.key(), r);
        }
        return m;
    }
}
