package whipsaw.core.site;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import whipsaw.core.Draws;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;
import whipsaw.core.design.Solver;
import whipsaw.core.figure.Figures;
import whipsaw.core.table.CodeTable;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Unit;
import whipsaw.core.working.DataStatus;

class SnowTest {
    private static final CodeTables TABLES = CodeTables.shipped();
    private static final Unit PSF = Unit.POUND_PER_SQUARE_FOOT;

    private static AsceSnow asce(double groundPsf, double importance, double slopeDeg, double eaveToRidgeFt) {
        return AsceSnow.of(
                new AsceSnow.Input(PSF.toSi(groundPsf), 1, 1, importance, slopeDeg, Unit.FOOT.toSi(eaveToRidgeFt)),
                TABLES.snow());
    }

    private static EnSnow en(double groundPa, double slopeDeg, boolean retained) {
        return EnSnow.of(new EnSnow.Input(groundPa, slopeDeg, 1, 1, retained), TABLES.en());
    }

    @ParameterizedTest
    @CsvSource({
        // ground, slope, eave to ridge, rain: the slope limit is strict and 20 psf is still low
        "20,1.19,60,true",
        "20,1.2,60,false",
        "20.1,1.0,60,false",
        "0,0.5,60,false",
        "10,0,30,true"
    })
    void rainFallsOnLowSnowOnFlatRoofsOnly(double ground, double slope, double width, boolean rain) {
        assertThat(asce(ground, 1, slope, width).rainOnSnow()).isEqualTo(rain);
    }

    @Test
    void theMinimumIsAnOwnCaseAndStopsAt15Degrees() {
        assertThat(PSF.fromSi(asce(30, 1.2, 10, 10).minimumPa())).isCloseTo(24, within(1e-9));
        assertThat(PSF.fromSi(asce(12, 1.2, 10, 10).minimumPa())).isCloseTo(14.4, within(1e-9));
        assertThat(asce(30, 1.2, 15, 10).minimumPa()).isZero();
        AsceSnow governed = asce(20, 1.0, 5, 10);
        assertThat(governed.roofPa()).isEqualTo(governed.minimumPa()).isGreaterThan(governed.flatPa());
    }

    @Test
    void moreGroundSnowNeverMeansLessOnTheRoof() {
        Draws.each(200, draw -> {
            double ground = draw.between(0, 90);
            double more = draw.between(0, 20);
            // the rain surcharge ends at 20 psf, so only one side of that limit is compared
            if ((ground <= 20) == (ground + more <= 20)) {
                assertThat(asce(ground + more, 1, 1, 50).roofPa())
                        .isGreaterThanOrEqualTo(asce(ground, 1, 1, 50).roofPa());
            }
            assertThat(en(100 * (ground + more), 5, false).roofPa())
                    .isGreaterThanOrEqualTo(en(100 * ground, 5, false).roofPa());
        });
    }

    @ParameterizedTest
    @CsvSource({"0,0.8", "30,0.8", "45,0.4", "60,0", "75,0"})
    void snowSlidesOffSteepRoofs(double slope, double mu) {
        assertThat(en(1000, slope, false).mu1()).isCloseTo(mu, within(1e-12));
        assertThat(en(1000, slope, true).mu1()).isCloseTo(0.8, within(1e-12));
    }

    @ParameterizedTest
    @CsvSource({
        // s_k kPa, height m, mu2, length m
        "1.2,0.9,1.5,5",
        "1.2,0.1,0.8,5",
        "0.5,3,2.0,6",
        "2,9,2.0,15"
    })
    void driftsAtAnObstructionStayWithinTheirBounds(double groundKPa, double height, double mu, double length) {
        EnDrift d = EnDrift.of(groundKPa * 1000, height, 1, 1, TABLES.en());
        assertThat(d.mu2()).isCloseTo(mu, within(1e-12));
        assertThat(d.lengthM()).isCloseTo(length, within(1e-12));
        assertThat(d.peakPa()).isCloseTo(mu * groundKPa * 1000, within(1e-9));
    }

    @Test
    void theJobsSnowFollowsItsFamily() {
        Design asce = Jobs.design("site.snow", "1 kPa", "site.riskCategory", "IV");
        assertThat(asce.site().snow()).isInstanceOf(AsceSnow.class);
        double flat = 0.7 * 1.2 * PSF.fromSi(1000);
        assertThat(PSF.fromSi(((AsceSnow) asce.site().snow()).flatPa())).isCloseTo(flat, within(1e-9));
        Design en = Jobs.pairedDesign("site.snow", "0.9 kPa", "site.snowExposure", 1.2);
        assertThat(en.site().snow().roofPa()).isCloseTo(0.8 * 1.2 * 900, within(1e-9));
    }

    @Test
    void theWorkingShowsTheTableInForceAndNotTheOneThatShips() {
        CodeTable shipped = TABLES.table("asce_snow");
        String csv = shipped.csv()
                .replace("flat_factor,0.7", "flat_factor,0.75")
                .replace("rain_surcharge_psf,5", "rain_surcharge_psf,8");
        CodeTables other =
                TABLES.with(CodeTable.read(shipped.id(), shipped.title(), "own", "2", DataStatus.UNCONFIRMED, "", csv));
        Design d = new Solver(other).solve(Jobs.job("site.snow", "0.9 kPa", "roof.slope", "0.5 deg"));
        String working = new Figures(d, other).working("site.snow").steps().toString();
        assertThat(working).contains("0.75", "8 psf").doesNotContain("0.7 ·").doesNotContain("5 psf are");
    }
}
