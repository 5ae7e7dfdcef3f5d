package whipsaw.core.holddown;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static whipsaw.core.design.Jobs.pairedDesign;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import whipsaw.core.check.Check;
import whipsaw.core.check.Verdict;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;
import whipsaw.core.figure.Figures;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobReader;
import whipsaw.core.site.PeakPressure;
import whipsaw.core.table.CodeTable;
import whipsaw.core.table.TableRules;
import whipsaw.core.working.DataStatus;

/** Demand and ballast in the EN family: by hand, by property, and refused outside the set's limits. */
class NetDemandTest {

    private static Check check(Design d, String id) {
        return d.checks().stream().filter(c -> c.id().equals(id)).findFirst().orElseThrow();
    }

    @Test
    void theUpliftOfAModuleByHand() {
        Design d = pairedDesign();
        double log = Math.log(6 / 0.05);
        double mean = 0.19 * log * 25;
        double peak = (1 + 7 / log) * 0.625 * mean * mean;
        assertThat(d.site().wind().pressurePa()).isCloseTo(peak, within(1e-9));
        HoldDown.Demand inner = d.holdDown().demands().stream()
                .filter(x -> x.zone().equals("I"))
                .findFirst()
                .orElseThrow();
        // the set at 10 deg, zone I: 0.40 at 2 m2 falls to 0.62 and 0.41 of it at 10 and 25 m2; sharing 15 m2
        double part = Math.log10(15 / 10.0) / Math.log10(25 / 10.0);
        double coefficient = 0.248 + part * (0.164 - 0.248);
        assertThat(inner.pressure().effectiveAreaM2()).isCloseTo(15, within(1e-12));
        assertThat(inner.pressure().upliftPa()).isCloseTo(peak * coefficient, within(1e-9));
    }

    @Test
    void theBallastOfAPositionByHandWithTheEquilibriumFactors() {
        Design d = pairedDesign();
        HoldDown.Position worst = d.holdDown().worst();
        PanelPressure p =
                d.holdDown().demands().get(worst.shares().get(0).module()).pressure();
        double area = 2.28 * 1.134;
        double up = p.upliftPa() * Math.cos(Math.toRadians(10)) * area;
        double along = p.upliftPa() * Math.sin(Math.toRadians(10)) * area;
        double own = 28 + 5;
        double sliding = 1.5 / 0.9 * (0.55 * up + along) / 0.55 / 9.80665;
        double lifting = 1.5 / 0.9 * up / 9.80665;
        double needed = Math.max(0, Math.max(sliding, lifting) - own);
        assertThat(worst.ballast().requiredKg()).isCloseTo(needed, within(1e-9));
        double block = d.job().array().block().mass().si();
        assertThat(worst.ballast().blocksNeeded()).isEqualTo((int) Math.ceil(needed / block));
        assertThat(d.holdDown().method()).isEqualTo("EN_EQU");
    }

    @Test
    void moreWindNeverNeedsLessAndRougherTerrainNeverMore() {
        int before = 0;
        for (int speed = 20; speed <= 34; speed += 2) {
            HoldDown h = pairedDesign("site.wind", speed + " m/s").holdDown();
            assertThat(h.blocks() + h.missingBlocks()).isGreaterThanOrEqualTo(before);
            before = h.blocks() + h.missingBlocks();
        }
        for (String terrain : List.of("I", "II", "III", "IV")) {
            HoldDown h =
                    pairedDesign("site.wind", "34 m/s", "site.terrain", terrain).holdDown();
            int now = h.blocks() + h.missingBlocks();
            assertThat(now).isLessThanOrEqualTo(terrain.equals("I") ? Integer.MAX_VALUE : before);
            before = now;
        }
    }

    @Test
    void aTurnedBuildingCarriesTheSameBallast() {
        Design straight = pairedDesign();
        Design turned = pairedDesign("roof.upAzimuth", "30 deg", "array.facing", Map.of("azimuth", "120 deg"));
        assertThat(turned.holdDown().blocks()).isEqualTo(straight.holdDown().blocks());
        assertThat(turned.layout().modules()).hasSameSizeAs(straight.layout().modules());
    }

    @Test
    void aMirroredRoofCarriesAMirroredMap() {
        Design d = pairedDesign();
        Map<String, Integer> blocks = new HashMap<>();
        d.holdDown().positions().forEach(p -> {
            var at = d.layout().frame().plan(p.s(), p.t());
            blocks.put(
                    Math.round(at.x * 100) + "/" + Math.round(at.y * 100),
                    p.ballast().blocksNeeded());
        });
        d.holdDown().positions().forEach(p -> {
            var at = d.layout().frame().plan(p.s(), p.t());
            String mirrored = Math.round(at.x * 100) + "/" + Math.round((40 - at.y) * 100);
            assertThat(blocks.get(mirrored)).as(mirrored).isEqualTo(p.ballast().blocksNeeded());
        });
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "roof.height|30 m|roof height m",
                "roof.height|3 m|roof height m",
                "roof.slope|4 deg|roof slope deg",
                "array.module.width|1400 mm|chord m",
                "array.tray.lowEdge|200 mm|lower edge m",
                "array.setback|0.5 m|edge distance m",
            })
    void outsideALimitNothingIsStatedFromTheSet(String path, String value, String words) {
        Design d = pairedDesign(path, value);
        assertThat(d.holdDown().established()).isFalse();
        Check scope = check(d, "wind.scope");
        assertThat(scope.verdict()).isEqualTo(Verdict.NEEDS_ENGINEER);
        assertThat(scope.demand()).contains(words);
        assertThat(d.holdDown().blocks()).isZero();
        assertThat(d.holdDown().demands())
                .allSatisfy(x -> assertThat(x.pressure().upliftPa()).isNaN());
        assertThat(check(d, "roof.window").verdict()).isEqualTo(Verdict.NOT_ESTABLISHED);
        assertThat(d.checks()).noneMatch(c -> c.id().equals("ballast.position"));
        assertThat(d.exitCode()).isEqualTo(3);
        Figures figures = new Figures(d, Jobs.SOLVER.tables());
        assertThat(figures.working("total.blocks").answer()).isEqualTo("not established");
        assertThat(figures.working("wind.scope").notes().toString()).contains(words);
    }

    @Test
    void onALimitTheSetStillHolds() {
        assertThat(pairedDesign("roof.height", "25 m").holdDown().established()).isTrue();
        assertThat(pairedDesign("roof.slope", "3 deg").holdDown().established()).isTrue();
        assertThat(pairedDesign("array.setback", "0.8 m").holdDown().established())
                .isTrue();
    }

    @ParameterizedTest
    @ValueSource(strings = {"site.wind", "site.snow"})
    void aValueThatWasNotGivenIsAskedForAndNotAssumed(String path) {
        Design d = pairedDesign(path, null);
        Check missing = check(d, path);
        assertThat(missing.verdict()).isEqualTo(Verdict.NOT_ESTABLISHED);
        assertThat(missing.remark()).contains("Site");
        assertThat(d.holdDown().established()).isEqualTo(path.equals("site.snow"));
        Figures figures = new Figures(d, Jobs.SOLVER.tables());
        assertThat(figures.working(path.equals("site.wind") ? "site.qh" : "site.snow")
                        .answer())
                .isEqualTo("not established");
        assertThat(figures.keys())
                .allSatisfy(key -> assertThat(figures.working(key)).isNotNull());
    }

    @Test
    void theSameHoldsInTheOtherFamily() {
        Design d = Jobs.design("site.wind", null);
        assertThat(d.holdDown().established()).isFalse();
        assertThat(check(d, "site.wind").demand()).contains("basic wind speed");
        assertThat(Jobs.design().holdDown().established()).isTrue();
    }

    @Test
    void pairsAreNotWhatTheAmericanMethodDescribes() {
        Design d = Jobs.design("array.tray.arrangement", "pairs", "array.tray.ridgeGap", "60 mm");
        assertThat(check(d, "wind.scope").demand()).contains("pairs");
        assertThat(d.holdDown().established()).isFalse();
        assertThat(d.layout().pairs()).isNotNull();
    }

    @Test
    void aSetThatIsNotThereIsAProblemWithTheOnesThatAre() {
        Job changed = JobReader.read(
                        Jobs.with(Jobs.document("paired-roof"), "site.coefficients", "net_coefficients_gone"), false)
                .job();
        assertThat(Jobs.SOLVER.problems(changed)).anySatisfy(p -> {
            assertThat(p.path()).isEqualTo("$.site.coefficients");
            assertThat(p.message()).contains("net_coefficients_fenmarsh");
        });
        // a stored job whose set was withdrawn still opens, with nothing stated from it
        Design d = Jobs.SOLVER.solve(changed);
        assertThat(d.holdDown().established()).isFalse();
        assertThat(check(d, "site.wind").demand()).contains("net_coefficients_gone");
    }

    @Test
    void everyFigureOfAnEnJobOpensDownToItsInputs() {
        Design d = pairedDesign();
        Figures figures = new Figures(d, Jobs.SOLVER.tables());
        assertThat(figures.keys()).contains("site.qh", "site.snow", "array.gap", "roof.footprint");
        for (String key : figures.keys()) {
            var working = figures.working(key);
            assertThat(working.steps()).as(key).isNotEmpty();
            working.steps().forEach(step -> {
                assertThat(step.substituted()).as(key).doesNotContain("{").doesNotContain("NaN");
                step.terms().stream().filter(t -> t.figure() != null).forEach(t -> assertThat(
                                figures.working(t.figure()))
                        .as(t.figure())
                        .isNotNull());
            });
        }
        String uplift = figures.working("uplift/1-1").toString();
        assertThat(uplift).contains("c_net", "invented", "FM-0");
        assertThat(figures.working("site.qh").toString()).contains("4.3.2", "10-minute mean");
        assertThat(((PeakPressure) d.site().wind()).steps(whipsaw.core.working.Terms.typed()))
                .hasSize(7);
        d.checks()
                .forEach(c -> assertThat(figures.working(c.figure())).as(c.id()).isNotNull());
        assertThat(figures.sources()).anyMatch(s -> s.words().contains("FM-0"));
        assertThat(figures.sources()).noneMatch(s -> s.words().contains("29.4-7"));
    }

    @Test
    void aFloorRaisesTheUpliftAndIsShownAndOneBelowItChangesNothing() {
        Design plain = pairedDesign();
        double inner = plain.holdDown().demands().stream()
                .mapToDouble(d -> d.pressure().upliftPa())
                .min()
                .orElseThrow();
        assertThat(pairedDesign("site.leastUplift", inner * 0.9 + " Pa")
                        .holdDown()
                        .demands())
                .extracting(d -> d.pressure().upliftPa())
                .isEqualTo(plain.holdDown().demands().stream()
                        .map(d -> d.pressure().upliftPa())
                        .toList());
        Design least = pairedDesign("site.leastUplift", inner * 1.5 + " Pa");
        assertThat(check(least, "wind.floor").demand()).contains("governs on");
        for (int i = 0; i < plain.holdDown().demands().size(); i++) {
            HoldDown.Demand d = least.holdDown().demands().get(i);
            double method = plain.holdDown().demands().get(i).pressure().upliftPa();
            assertThat(d.pressure().upliftPa()).isCloseTo(Math.max(method, inner * 1.5), within(1e-6));
            assertThat(d.pressure().byMethod().upliftPa()).isEqualTo(method);
        }
        assertThat(least.holdDown().blocks()).isGreaterThan(plain.holdDown().blocks());
        // zone I: the roof's own suction is 0.2 at every area
        Design share = pairedDesign("site.floorShare", 1.2);
        HoldDown.Demand field = share.holdDown().demands().stream()
                .filter(d -> d.zone().equals("I"))
                .findFirst()
                .orElseThrow();
        double floor = 1.2 * 0.2 * share.site().wind().pressurePa();
        assertThat(field.pressure().upliftPa())
                .isCloseTo(Math.max(floor, field.pressure().byMethod().upliftPa()), within(1e-9));
        assertThat(new Figures(share, Jobs.SOLVER.tables())
                        .working("uplift/" + field.module().number())
                        .steps())
                .anySatisfy(s -> assertThat(s.clause()).contains("govern"));
    }

    @Test
    void nationalParametersTakeThePlaceOfRecommendedOnesAndAreNamed() {
        Design plain = pairedDesign();
        Design national = pairedDesign("site.national", "national_parameters_lowmark");
        double factor = 1.22 / 1.25;
        assertThat(national.site().wind().pressurePa())
                .isCloseTo(plain.site().wind().pressurePa() * factor, within(1e-9));
        assertThat(national.site().snow().roofPa())
                .isCloseTo(plain.site().snow().roofPa() * 0.85 / 0.8, within(1e-9));
        assertThat(national.holdDown().worst().ballast().hold().factors().wind())
                .isEqualTo(1.4);
        assertThat(Jobs.SOLVER.resting(national.job()).codeTables())
                .anySatisfy(t -> assertThat(t.id()).isEqualTo("national_parameters_lowmark"));
        assertThat(new Figures(national, Jobs.SOLVER.tables()).status()).isEqualTo(DataStatus.INVENTED);
        var gone = JobReader.read(
                Jobs.with(Jobs.document("paired-roof"), "site.national", "national_parameters_atlantis"), false);
        assertThat(Jobs.SOLVER.problems(gone.job())).singleElement().satisfies(p -> {
            assertThat(p.path()).isEqualTo("$.site.national");
            assertThat(p.message()).contains("national_parameters_lowmark");
        });
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "rho_kg_per_m3,1.2/rho,1|is none of",
                "equ_wind,1.4/equ_wind,1.5|there twice",
                "snow_mu_flat,-0.8|no number above 0"
            })
    void nationalParametersThatMakeNoSenseAreRefused(String rows, String words) {
        CodeTable set = CodeTable.read(
                "national_parameters_x",
                "X",
                "annex",
                "1",
                DataStatus.INVENTED,
                "",
                "parameter,value\n" + rows.replace('/', '\n') + "\n");
        assertThat(TableRules.problems(set, null)).singleElement().satisfies(p -> assertThat(p)
                .contains(words));
    }

    @Test
    void aSetWithdrawnAfterAJobChoseItIsSaidAndTheJobStillOpens() {
        var reading = JobReader.read(
                Jobs.with(Jobs.document("paired-roof"), "site.national", "national_parameters_gone"), false);
        Design d = Jobs.SOLVER.solve(reading.job());
        Check gone = check(d, "site.national");
        assertThat(gone.verdict()).isEqualTo(Verdict.NOT_ESTABLISHED);
        assertThat(gone.demand()).contains("national_parameters_gone");
        assertThat(d.site().wind().pressurePa())
                .isEqualTo(pairedDesign().site().wind().pressurePa());
        assertThat(new Figures(d, Jobs.SOLVER.tables()).working("site.qh")).isNotNull();
    }
}
