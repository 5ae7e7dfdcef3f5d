package whipsaw.core.job;

import java.util.List;
import whipsaw.core.schema.Choices;
import whipsaw.core.schema.Faults;
import whipsaw.core.schema.Inline;
import whipsaw.core.schema.Input;
import whipsaw.core.schema.Kind;
import whipsaw.core.schema.Kinds;
import whipsaw.core.schema.Ruled;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Measure;

/**
 * The place, and what the code family of the job wants to know of it.
 *
 * @param climate the hourly year is made from; empty for the usual one at its latitude
 * @param weather a year from a file in place of the synthetic one, or null
 * @param leastUplift net uplift no module is designed for less than; null for none
 * @param floorShare share of what the code itself gives that a net-coefficient set may not go below: of the roof's
 *     own suction in the EN family, of the coefficient of 29.4.3 in ASCE 7; NaN for none
 * @param roofSnow snow on the roof by an engineer, least values and drifts included; null for the code's own
 */
public record Site(
        @Input(label = "Latitude, north +", dim = Dimension.ANGLE, least = -66, most = 66) Measure latitude,
        @Input(label = "Longitude, east +", dim = Dimension.ANGLE, least = -180, most = 180) Measure longitude,
        @Input(label = "Ground elevation", dim = Dimension.ROOF_LENGTH, least = -450, most = 5000) Measure elevation,
        @Input(label = "Record low", dim = Dimension.TEMPERATURE, least = -60, most = 25) Measure recordLow,
        @Input(label = "Design high", dim = Dimension.TEMPERATURE, least = 10, most = 55) Measure designHigh,
        @Input(label = "Climate", from = Climates.Names.class, optional = true, absent = "by latitude") String climate,
        @Input(label = "Weather from a file", optional = true, absent = "the synthetic year of the climate")
                WeatherYear weather,
        @Input(
                        label = "Skyline",
                        longest = 2000,
                        optional = true,
                        as = HorizonText.class,
                        absent = "level",
                        help = "azimuth: elevation in degrees, as 90: 4; 120: 11.5")
                List<Horizon.Point> horizon,
        @Input(
                        label = "Minimum design uplift",
                        dim = Dimension.LOAD,
                        least = 10,
                        most = 5000,
                        optional = true,
                        absent = "none: as computed")
                Measure leastUplift,
        @Input(
                        label = "Floor on coefficients",
                        least = 0.1,
                        most = 1.5,
                        optional = true,
                        clearedBy = "family",
                        absent = "none",
                        help = "share of what the code itself gives")
                double floorShare,
        @Input(
                        label = "Roof snow, engineer's",
                        dim = Dimension.LOAD,
                        least = 0,
                        most = 30_000,
                        optional = true,
                        clearedBy = {"family", "edition"},
                        absent = "none: by the code; one given includes drifts")
                Measure roofSnow,
        @Inline CodeSite code) {
    public Site {
        horizon = List.copyOf(horizon);
    }

    /** Basic wind speed as the family defines it; null when it has not been given. */
    public Measure wind() {
        return code.wind();
    }

    /** Ground snow load as the family defines it; null when it has not been given. */
    public Measure snow() {
        return code.snow();
    }

    /** Site values of one code family. A wind speed or snow load of one family means nothing in another. */
    @Kinds(key = "family", label = "Code family")
    public sealed interface CodeSite permits AsceSite, EnSite {
        /** What is said where wind or snow have not been given. */
        String MISSING = "missing: what follows from it is not established";

        /** Key in documents: {@code asce} or {@code en}. */
        String family();

        /** Key of its load combinations. */
        String combinations();

        /** Id of the net-coefficient set of tilted panels; empty for the code's own coefficients. */
        String coefficients();

        /** Codes the job is designed by, for a title block. */
        String codes();

        Measure wind();

        Measure snow();

        /** Exposure coefficient of snow, C_e. */
        double snowExposure();

        /** Thermal coefficient of snow, C_t. */
        double snowThermal();
    }

    /**
     * ASCE 7.
     *
     * @param wind 3-second gust at strength level for the risk category
     * @param snow ground snow load p_g
     * @param sds design spectral acceleration at short periods, in g; NaN when not known
     * @param stories of the building; 0 when not known
     */
    @Kind(value = "asce", words = "ASCE 7")
    public record AsceSite(
            @Inline AsceEdition edition,
            @Input(label = "Net coefficients", longest = 80, optional = true, absent = "29.4.3 of ASCE 7")
                    String coefficients,
            @Input(
                            label = "Basic wind speed",
                            dim = Dimension.SPEED,
                            least = 25,
                            most = 120,
                            optional = true,
                            clearedBy = {"family", "edition"},
                            absent = CodeSite.MISSING)
                    Measure wind,
            @Input(
                            label = "Risk category",
                            choices = {"I", "II", "III", "IV"},
                            clearedBy = "family",
                            start = "II")
                    String riskCategory,
            @Inline Ground ground,
            @Input(
                            label = "Ground snow load",
                            dim = Dimension.LOAD,
                            least = 0,
                            most = 25_000,
                            optional = true,
                            clearedBy = {"family", "edition"},
                            absent = CodeSite.MISSING)
                    Measure snow,
            @Input(label = "Snow exposure C_e", least = 0.5, most = 2, orElse = "1", clearedBy = "family")
                    double snowExposure,
            @Input(label = "Snow thermal C_t", least = 0.5, most = 1.5, orElse = "1", clearedBy = "family")
                    double snowThermal,
            @Input(
                            label = "S_DS",
                            least = 0,
                            most = 5,
                            unit = "g",
                            optional = true,
                            clearedBy = {"family", "edition"},
                            absent = "not known")
                    double sds,
            @Input(
                            label = "Stories",
                            least = 1,
                            most = 200,
                            optional = true,
                            clearedBy = "family",
                            absent = "not known")
                    int stories,
            @Input(
                            label = "Snow fetch, engineer's",
                            dim = Dimension.ROOF_LENGTH,
                            least = 7,
                            most = 1000,
                            optional = true,
                            clearedBy = "family",
                            absent = "the building's longer side",
                            help = "roof upwind of plant and rows, l_u")
                    Measure snowFetch)
            implements CodeSite {
        /** The editions there are figures of. */
        public static final List<String> EDITIONS = List.of("7-16", "7-22");

        @Override
        public String family() {
            return "asce";
        }

        @Override
        public String combinations() {
            return "asce" + (edition.name().equals("7-16") ? "" : " " + edition.name())
                    + (edition.strength() ? " strength" : "");
        }

        @Override
        public String codes() {
            return "ASCE " + edition.name() + ", NEC 2023";
        }
    }

    /**
     * Edition of ASCE 7.
     *
     * @param olderFigures whether figures of 7-16 are taken where those of the edition are not at hand
     * @param strength whether loads are combined for strength; else for allowable stress
     */
    public record AsceEdition(
            @Input(
                            label = "Edition",
                            key = "edition",
                            from = Editions.class,
                            orElse = "7-16",
                            clearedBy = "family",
                            help = "a change asks for wind and snow again: maps differ")
                    String name,
            @Input(
                            label = "Figures missing from 7-22",
                            orElse = "false",
                            quiet = true,
                            words = {"not established", "those of 7-16, as an engineer accepts"},
                            clearedBy = "family",
                            help = "of 29.4.3, 30.3 and 13.6.12")
                    boolean olderFigures,
            @Input(
                            label = "Load combinations",
                            key = "method",
                            choices = {"allowable", "strength"},
                            words = {"allowable stress (2.4)", "strength (2.3)"},
                            orElse = "allowable",
                            quiet = true,
                            clearedBy = "family",
                            help = "a load table says nothing of strength")
                    boolean strength) {}

    /** Editions to choose from. */
    static final class Editions implements Choices {
        @Override
        public List<String> names() {
            return AsceSite.EDITIONS;
        }
    }

    /**
     * The ground around the building.
     *
     * @param exposure B, C or D
     * @param kzt topographic factor as typed; 1 where a hill is described
     * @param hill null for none
     */
    public record Ground(
            @Input(
                            label = "Exposure",
                            choices = {"B", "C", "D"},
                            clearedBy = "family",
                            start = "C")
                    String exposure,
            @Input(label = "Topographic factor K_zt", least = 1, most = 5, clearedBy = "family", start = "1")
                    double kzt,
            @Input(label = "Topography", optional = true, clearedBy = "family") Hill hill)
            implements Ruled {
        @Override
        public void rules(Faults faults) {
            if (hill != null && kzt > 1) {
                faults.note("kzt", kzt, "is typed beside a hill that gives it: leave it at 1");
            }
        }
    }

    /**
     * A hill the building stands on.
     *
     * @param height from its foot to its crest
     * @param halfLength from the crest upwind to half the height
     * @param distance of the building from the crest, downwind positive
     */
    public record Hill(
            @Input(
                            label = "Shape",
                            choices = {"ridge", "escarpment", "hill"},
                            words = {"ridge", "escarpment", "round hill"},
                            absent = "none")
                    String shape,
            @Input(label = "Foot to crest", dim = Dimension.ROOF_LENGTH, least = 1, most = 2000) Measure height,
            @Input(
                            label = "Crest to half height",
                            dim = Dimension.ROOF_LENGTH,
                            least = 1,
                            most = 10_000,
                            help = "on plan, upwind")
                    Measure halfLength,
            @Input(
                            label = "Crest to building",
                            dim = Dimension.ROOF_LENGTH,
                            least = -20_000,
                            most = 20_000,
                            help = "downwind +")
                    Measure distance) {}

    /**
     * EN 1991.
     *
     * @param wind 10-minute mean v_b,0 at 10 m in terrain II, 50 years
     * @param displacement height the wind profile is lifted by closely spaced buildings upwind, h_dis of EN 1991-1-4
     *     A.5 by an engineer; null for none
     * @param national id of the national parameters; empty for the recommended values
     * @param snow characteristic ground snow load s_k
     */
    @Kind(value = "en", words = "EN 1990, EN 1991")
    public record EnSite(
            @Input(
                            label = "Basic wind velocity v_b,0",
                            dim = Dimension.SPEED,
                            least = 15,
                            most = 60,
                            optional = true,
                            clearedBy = "family",
                            absent = CodeSite.MISSING)
                    Measure wind,
            @Input(
                            label = "Terrain category",
                            choices = {"0", "I", "II", "III", "IV"},
                            clearedBy = "family",
                            start = "II")
                    String terrain,
            @Inline WindFactors factors,
            @Input(
                            label = "Displacement height h_dis, engineer's",
                            dim = Dimension.ROOF_LENGTH,
                            least = 0.5,
                            most = 50,
                            optional = true,
                            clearedBy = "family",
                            absent = "none",
                            help = "closely spaced buildings upwind lift the profile, EN 1991-1-4 A.5")
                    Measure displacement,
            @Input(label = "Net coefficients", longest = 80, help = "limits of validity: see the scope")
                    String coefficients,
            @Input(
                            label = "National parameters",
                            longest = 80,
                            optional = true,
                            clearedBy = "family",
                            absent = "recommended values")
                    String national,
            @Input(
                            label = "Ground snow s_k",
                            dim = Dimension.LOAD,
                            least = 0,
                            most = 25_000,
                            optional = true,
                            clearedBy = "family",
                            absent = CodeSite.MISSING)
                    Measure snow,
            @Input(label = "Snow exposure C_e", least = 0.5, most = 2, orElse = "1", clearedBy = "family")
                    double snowExposure,
            @Input(label = "Snow thermal C_t", least = 0.5, most = 1.5, orElse = "1", clearedBy = "family")
                    double snowThermal)
            implements CodeSite {
        @Override
        public String family() {
            return "en";
        }

        @Override
        public String combinations() {
            return "en";
        }

        @Override
        public String codes() {
            return "EN 1990, EN 1991; AC run by NEC 2023";
        }
    }
}
