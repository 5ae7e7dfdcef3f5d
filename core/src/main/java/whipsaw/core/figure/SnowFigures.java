package whipsaw.core.figure;

import static whipsaw.core.units.Show.significant;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import whipsaw.core.design.Design;
import whipsaw.core.job.Site;
import whipsaw.core.site.AsceDrift;
import whipsaw.core.site.AsceSnow;
import whipsaw.core.site.EnSnow;
import whipsaw.core.site.GivenSnow;
import whipsaw.core.site.SnowDrifts;
import whipsaw.core.structure.RowSnow;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Show;
import whipsaw.core.units.Unit;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.working.Origin;
import whipsaw.core.working.Term;
import whipsaw.core.working.Terms;
import whipsaw.core.working.Working;

/** Working of the uniform snow on the roof. */
final class SnowFigures {
    private SnowFigures() {}

    static Working snow(Design design, CodeTables tables) {
        if (design.site().snow() == null) {
            return Working.of("site.snow", "Snow on the roof", "not established")
                    .note(
                            design.job().site().snow() == null
                                    ? "No ground snow load has been given for the code family of the job."
                                    : "There are no figures of snow for the edition of the job: an engineer gives the snow"
                                            + " on the roof, its least value and drifts included.")
                    .build();
        }
        UnitSystem units = design.job().project().units();
        String answer = Show.both(units, Dimension.LOAD, design.site().snow().roofPa());
        Working.Builder w = Working.of("site.snow", "Snow on the roof, uniform", answer);
        if (design.site().snow() instanceof GivenSnow) {
            Measure given = design.job().site().roofSnow();
            return Working.of("site.snow", "Snow on the roof, by an engineer", answer)
                    .step(
                            "s",
                            given == null
                                    ? "no snow on the ground, none on the roof"
                                    : "entered in place of the code's",
                            "",
                            answer,
                            "",
                            Term.given(
                                    "s",
                                    "snow on the roof",
                                    answer,
                                    given == null ? design.job().site().snow() : given))
                    .note("Taken as even all over, its least value and drifts included; no drift is added.")
                    .build();
        }
        if (design.site().snow() instanceof EnSnow en) {
            en(w, design, en, answer, tables);
        } else {
            asce(w, design, (AsceSnow) design.site().snow(), answer, tables);
        }
        return w.note("Recorded for the engineer: drifts are beside it, and it is not added to the array's load.")
                .build();
    }

    /** Every drift with what makes it; null when none is made. */
    static Working drifts(Design design, CodeTables tables) {
        SnowDrifts drifts = design.site().drifts();
        RowSnow rows = design.rowSnow();
        if (drifts == null || (drifts.sources().isEmpty() && rows == null)) {
            return null;
        }
        UnitSystem units = design.job().project().units();
        List<SnowDrifts.Source> all = new ArrayList<>(drifts.sources());
        if (rows != null) {
            all.add(rows.profile());
            all.sort(Comparator.comparingDouble(SnowDrifts.Source::peakPa).reversed());
        }
        SnowDrifts.Source worst = all.get(0);
        Working.Builder w = Working.of(
                "site.drift",
                "Snow drifts",
                all.size() + ", the highest " + Show.both(units, Dimension.LOAD, worst.peakPa()) + " at "
                        + worst.name());
        for (SnowDrifts.Source s : all) {
            AsceDrift d = s.asce();
            String answer = Show.both(units, Dimension.LOAD, s.peakPa()) + ", gone after "
                    + Show.both(units, Dimension.ROOF_LENGTH, s.lengthM());
            if (d == null) {
                w.step(
                        "s_2",
                        "at " + s.name(),
                        "μ_2 · C_e · C_t · s_k, μ_2 = {γ} · {h} / s_k within 0.8 and 2",
                        answer,
                        "EN 1991-1-3 6.2, recommended values",
                        Term.computed("h", "height", Show.both(units, Dimension.ROOF_LENGTH, s.heightM()), null),
                        Term.data(
                                "γ",
                                "weight of snow",
                                significant(tables.en().recommended("snow_weight_kN_per_m3"), 2) + " kN/m³",
                                Origin.TABLE,
                                tables.en().recommendedTable()));
            } else {
                w.step(
                        "p_f + p_d",
                        "at " + s.name(),
                        "{p_f} + {γ} · min({h_d}, {h_c})",
                        answer,
                        "ASCE 7-16 7.7.1, 7.8",
                        Term.computed(
                                "p_f", "flat roof snow", Show.both(units, Dimension.LOAD, d.flatPa()), "site.snow"),
                        Term.data(
                                "γ",
                                "density",
                                Show.number(d.densityPcf(), 1) + " pcf",
                                Origin.TABLE,
                                tables.drift().table()),
                        Term.computed(
                                "h_d",
                                "drift height over a fetch of "
                                        + Show.both(
                                                units,
                                                Dimension.ROOF_LENGTH,
                                                d.input().fetchM()) + ", factor "
                                        + Show.number(d.input().factor(), 2),
                                Show.both(units, Dimension.ROOF_LENGTH, d.fullM()),
                                null),
                        Term.computed(
                                "h_c",
                                "height above the even snow",
                                Show.both(units, Dimension.ROOF_LENGTH, d.aboveM()),
                                null));
            }
        }
        if (worst.asce() != null) {
            w.note("The lines at the end are those of the highest one, at " + worst.name() + ".");
            w.steps(worst.asce()
                    .steps(Terms.of(
                            Term.computed("p_g", "", "", "site.snow"),
                            Term.computed("p_f", "", "", "site.snow"),
                            Term.byRule("F", "", "", "0.75 of a parapet, of plant and of rows"))));
        }
        return w.note(
                        "The snow comes over the whole roof square to a parapet, and over the building's longer side to a thing: on the safe side. Things narrower than 15 ft make none by ASCE 7-16 7.8.")
                .note(
                        (rows == null
                                        ? "Rows of modules make no drift here: their high edge is not enough above the even snow, or no row is long enough. "
                                        : "Drifts against rows of modules lie on both sides of the high edge of "
                                                + rows.count()
                                                + " rows; they are under the array alone, and members are loaded with them. ")
                                + "Drifts from higher roofs, and snow that slides off modules or off steeper faces, are not established here: an engineer gives the snow on the roof where they matter. Conduits and boxes lie under this snow: say their height to the engineer.")
                .build();
    }

    private static void en(Working.Builder w, Design design, EnSnow snow, String answer, CodeTables tables) {
        Site.CodeSite site = design.job().site().code();
        UnitSystem units = design.job().project().units();
        w.step(
                        "μ_1",
                        "shape coefficient",
                        "{μ_flat} up to 30°, falling to 0 at 60°; slope {α}",
                        significant(snow.mu1(), 3),
                        "EN 1991-1-3 Table 5.2",
                        Term.data(
                                "μ_flat",
                                "of a flat roof",
                                significant(tables.en().recommended("snow_mu_flat"), 3),
                                Origin.TABLE,
                                tables.en().recommendedTable()),
                        Term.given(
                                "α",
                                "fall of the roof",
                                Show.number(snow.input().slopeDeg(), 2) + "°",
                                design.job().roof().slope()))
                .step(
                        "s",
                        "snow on the roof",
                        "{μ_1} · {C_e} · {C_t} · {s_k}",
                        answer,
                        "EN 1991-1-3 5.2",
                        Term.computed("μ_1", "shape coefficient", significant(snow.mu1(), 3), null),
                        Term.given("C_e", "exposure coefficient", significant(site.snowExposure(), 3), null),
                        Term.given("C_t", "thermal coefficient", significant(site.snowThermal(), 3), null),
                        Term.given(
                                "s_k",
                                "characteristic ground snow load",
                                Show.both(units, Dimension.LOAD, snow.input().groundPa()),
                                site.snow()));
    }

    private static void asce(Working.Builder w, Design design, AsceSnow snow, String answer, CodeTables tables) {
        Site.AsceSite site = (Site.AsceSite) design.job().site().code();
        Term ground = Term.given("p_g", "ground snow load", psf(snow.input().groundPa()), site.snow());
        Term importance = Term.data(
                "I_s",
                "importance factor, risk category " + site.riskCategory(),
                significant(snow.input().importance(), 3),
                Origin.TABLE,
                tables.snow().table());
        Term flat = Term.computed("p_f", "flat-roof snow", psf(snow.flatPa()), null);
        Term limit = data(tables, "p_low", "limit of low snow", "low_snow_limit_psf", " psf");
        w.step(
                        "p_f",
                        "flat-roof snow",
                        "{k} · {C_e} · {C_t} · {I_s} · {p_g}",
                        psf(snow.flatPa()),
                        "ASCE 7-16 Eq. 7.3-1",
                        data(tables, "k", "flat-roof factor", "flat_factor", ""),
                        Term.given("C_e", "exposure factor", significant(site.snowExposure(), 3), null),
                        Term.given("C_t", "thermal factor", significant(site.snowThermal(), 3), null),
                        importance,
                        ground)
                .step(
                        "p_m",
                        "minimum for low slopes, a case of its own",
                        "{I_s} · min({p_g}, {p_low})",
                        psf(snow.minimumPa()),
                        "ASCE 7-16 7.3.4",
                        limit,
                        importance,
                        ground)
                .step(
                        "",
                        "rain-on-snow: " + (snow.rainOnSnow() ? "the surcharge is added" : "not added"),
                        "surcharge {r} for p_g up to {p_low} and a slope below {W} / {d}",
                        psf(snow.withRainPa()),
                        "ASCE 7-16 7.10",
                        flat,
                        limit,
                        data(tables, "r", "surcharge", "rain_surcharge_psf", " psf"),
                        data(tables, "d", "slope divisor", "rain_slope_divisor_ft_per_deg", " ft/°"),
                        Term.byRule(
                                "W",
                                "eave to ridge",
                                significant(Unit.FOOT.fromSi(snow.input().eaveToRidgeM()), 4) + " ft",
                                "long side of the building, whatever way it falls: on the safe side"))
                .step(
                        "",
                        "the larger of both cases",
                        "max({p_f}, {p_m})",
                        answer,
                        "",
                        Term.computed("p_f", "with rain", psf(snow.withRainPa()), null),
                        Term.computed("p_m", "minimum", psf(snow.minimumPa()), null));
    }

    /** A figure of the snow table, so that a working shows the table in force. */
    private static Term data(CodeTables tables, String symbol, String meaning, String parameter, String unit) {
        String value = significant(tables.snow().value(parameter), 4) + unit;
        return Term.data(symbol, meaning, value, Origin.TABLE, tables.snow().table());
    }

    private static String psf(double pa) {
        return significant(Unit.POUND_PER_SQUARE_FOOT.fromSi(pa), 4) + " psf";
    }
}
