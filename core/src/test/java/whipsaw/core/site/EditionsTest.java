package whipsaw.core.site;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import whipsaw.core.Draws;
import whipsaw.core.check.Check;
import whipsaw.core.check.Verdict;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;
import whipsaw.core.design.Solver;
import whipsaw.core.figure.Figures;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.holddown.NetPressure;
import whipsaw.core.job.CodeFamilyChange;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.JobWriter;
import whipsaw.core.job.Site;
import whipsaw.core.table.CodeTable;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Measure;
import whipsaw.core.working.DataStatus;

/** Editions of ASCE 7, the hill a building stands on, and a coefficient set in place of 29.4.3. */
class EditionsTest {
    private static final String SET = "net_coefficients_carrowby";

    private static Check check(Design d, String id) {
        return d.checks().stream().filter(c -> c.id().equals(id)).findFirst().orElse(null);
    }

    private static Topography hill(String shape, String exposure, double h, double half, double x, double z) {
        Site.Hill hill = new Site.Hill(shape, metres(h), metres(half), metres(x));
        return Topography.of(new Site.Ground(exposure, 1, hill), z, Jobs.SOLVER.tables());
    }

    private static Measure metres(double m) {
        return new Measure(m, m + " m", false);
    }

    @Test
    void whatALaterEditionLacksIsNotEstablishedUntilSomeoneTakesOlderFigures() {
        Design strict = Jobs.design("site.edition", "7-22");
        assertThat(strict.holdDown().established()).isFalse();
        assertThat(check(strict, "site.wind").demand()).contains("29.4.3", "7-22");
        assertThat(check(strict, "site.snow").demand()).contains("no figures");
        assertThat(new Figures(strict, Jobs.SOLVER.tables()).working("site.qh").toString())
                .contains("K_d");

        Design taken = Jobs.design("site.edition", "7-22", "site.olderFigures", true, "site.roofSnow", "30 psf");
        assertThat(taken.holdDown().established()).isTrue();
        assertThat(check(taken, "site.edition").verdict()).isEqualTo(Verdict.CLOSE);
        assertThat(check(taken, "site.edition").demand())
                .isEqualTo("those of 7-16 for 29.4.3, 30.3 and 29.4.4, 13.6.12");
        assertThat(taken.site().snow().roofPa()).isCloseTo(30 * 47.88025898, within(1e-6));
        assertThat(taken.site().drifts().sources()).isEmpty();
        // 2.41 (h/z_g)^(2/9.8) of the edition over the one before
        VelocityPressure now = (VelocityPressure) taken.site().wind();
        double ft = now.input().heightM() / 0.3048;
        assertThat(now.kz()).isCloseTo(2.41 * Math.pow(ft / 2460, 2 / 9.8), within(1e-9));
        assertThat(check(Jobs.design(), "site.edition")).isNull();
    }

    @Test
    void snowOfTheLaterEditionIsAtStrengthLevel() {
        var members = Jobs.SOLVER.tables().members();
        assertThat(members.combinations("asce 7-22", true))
                .anySatisfy(c -> assertThat(c.snow()).isEqualTo(0.7));
        assertThat(members.combinations("asce", true))
                .noneSatisfy(c -> assertThat(c.snow()).isEqualTo(0.7));
        assertThat(members.resistance("asce 7-22", "timber", "snow"))
                .isEqualTo(members.resistance("asce", "timber", "snow"));
    }

    /** The same weight of snow and wind, weighed by the other rules, and a resistance that goes with them. */
    @Test
    void strengthAndAllowableStressAreChosenByName() {
        Design allowable = Jobs.design();
        Design strength = Jobs.design("site.method", "strength");
        assertThat(strength.holdDown().method()).isEqualTo("LRFD");
        assertThat(strength.holdDown().worst().ballast().upliftKg())
                .isCloseTo(allowable.holdDown().worst().ballast().upliftKg() / 0.9, within(1e-9));
        var members = Jobs.SOLVER.tables().members();
        assertThat(members.resistance("asce strength", "steel", "wind").bending()
                        / members.resistance("asce", "steel", "wind").bending())
                .isCloseTo(0.9 * 1.67, within(1e-3));
        assertThat(members.combinations("asce strength", true))
                .extracting(c -> c.name())
                .contains("1.4 D", "1.2 D + 1.6 S", "1.2 D + 1.6 L_r", "1.2 D + 1.0 W + 0.5 S");
        assertThat(members.uplift("asce 7-22 strength").dead()).isEqualTo(0.9);
        assertThat(((Site.AsceSite) strength.job().site().code()).combinations())
                .isEqualTo("asce strength");
    }

    @Test
    void aChangeOfEditionAsksForWindAndSnowAgain() {
        Map<String, Object> before = JobWriter.write(Jobs.job());
        Map<String, Object> after = Jobs.with(JobWriter.write(Jobs.job()), "site.edition", "7-22");
        Job settled = JobReader.read(CodeFamilyChange.settled(before, after, "x"), false)
                .job();
        assertThat(settled.site().wind()).isNull();
        assertThat(settled.site().snow()).isNull();
        assertThat(settled.site().code().codes()).contains("7-22");
        assertThat(((Site.AsceSite) settled.site().code()).riskCategory()).isEqualTo("II");
    }

    @Test
    void aHillByHandAtItsCrest() {
        // ridge, exposure C: H/L_h = 0.4, K_1 = 1.45 x 0.4, K_2 = 1, K_3 = exp(-3 x 10 / 50)
        Topography t = hill("ridge", "C", 20, 50, 0, 10);
        assertThat(t.factor()).isCloseTo(Math.pow(1 + 0.58 * Math.exp(-0.6), 2), within(1e-12));
        // steeper than 0.5: K_1 at 0.5, L_h becomes 2 H
        Topography steep = hill("escarpment", "D", 40, 50, 0, 0);
        assertThat(steep.factor()).isCloseTo(Math.pow(1 + 0.95 * 0.5, 2), within(1e-12));
        assertThat(steep.steps()).hasSize(6);
    }

    @ParameterizedTest
    @CsvSource({"ridge,C,9,50,0.2", "ridge,C,4,10,15 ft", "hill,B,15,40,60 ft"})
    void aHillTooFlatOrTooLowDoesNotCountAndSaysWhy(String shape, String exposure, double h, double half, String why) {
        Topography t = hill(shape, exposure, h, half, 0, 8);
        assertThat(t.factor()).isEqualTo(1);
        assertThat(t.tooLow()).contains(why);
        assertThat(t.steps()).hasSize(2);
    }

    @Test
    void fartherFromTheCrestAndHigherAboveTheGroundIsNeverMore() {
        Draws.each(200, draw -> {
            double x = draw.between(-300, 300);
            double z = draw.between(3, 40);
            for (String shape :
                    whipsaw.core.schema.Shape.of(Site.Hill.class).slot("shape").choices()) {
                double here = hill(shape, "C", 30, 100, x, z).factor();
                assertThat(hill(shape, "C", 30, 100, x * 1.2, z).factor()).isLessThanOrEqualTo(here + 1e-12);
                assertThat(hill(shape, "C", 30, 100, x, z * 1.2).factor()).isLessThanOrEqualTo(here + 1e-12);
                assertThat(here).isBetween(1.0, 3.2);
            }
        });
    }

    @Test
    void aHillRaisesThePressureOfAJobAndATypedFactorBesideItIsRefused() {
        Map<String, Object> hill =
                Map.of("shape", "ridge", "height", "60 ft", "halfLength", "200 ft", "distance", "0 ft");
        Design plain = Jobs.design();
        Design on = Jobs.design("site.hill", hill);
        assertThat(on.site().wind().pressurePa() / plain.site().wind().pressurePa())
                .isCloseTo(on.site().topography().factor(), within(1e-9));
        assertThat(new Figures(on, Jobs.SOLVER.tables()).working("site.qh").steps())
                .anySatisfy(s -> assertThat(s.symbol()).isEqualTo("K_3"));
        var both = JobReader.read(
                Jobs.with(Jobs.with(JobWriter.write(Jobs.job()), "site.hill", hill), "site.kzt", 1.2), false);
        assertThat(both.problems()).singleElement().satisfies(p -> assertThat(p.path())
                .isEqualTo("$.site.kzt"));
    }

    @Test
    void aSetTakesThePlaceOfTheCodeAndTheFloorBringsItBack() {
        Design code = Jobs.design();
        Design set = Jobs.design("site.coefficients", SET);
        assertThat(set.holdDown().outsideScope()).isEmpty();
        assertThat(set.holdDown().demands())
                .allSatisfy(d -> assertThat(d.pressure()).isInstanceOf(NetPressure.class));
        assertThat(set.holdDown().method()).isEqualTo("ASD");
        Design floor = Jobs.design("site.coefficients", SET, "site.floorShare", 1.5);
        List<HoldDown.Demand> raised = floor.holdDown().demands();
        for (int i = 0; i < raised.size(); i++) {
            double own = 1.5 * code.holdDown().demands().get(i).pressure().upliftPa();
            double bySet = set.holdDown().demands().get(i).pressure().upliftPa();
            assertThat(raised.get(i).pressure().upliftPa()).isCloseTo(Math.max(own, bySet), within(1e-9));
        }
        String working = new Figures(floor, Jobs.SOLVER.tables())
                .working("uplift/" + raised.get(0).module().number())
                .toString();
        assertThat(working).contains("29.4.3", "CB-7", "invented");
        assertThat(check(floor, "wind.floor").demand()).contains("governs on");
        // the floor rests on figures of 29.4.3 as much as 29.4.3 does
        Design later = Jobs.design("site.edition", "7-22", "site.coefficients", SET, "site.floorShare", 1.0);
        assertThat(later.holdDown().missing()).singleElement().asString().contains("29.4.3", "for the floor");
        assertThat(Jobs.design("site.edition", "7-22", "site.coefficients", SET)
                        .holdDown()
                        .missing())
                .isEmpty();
    }

    /** Widths of zones are data: wider zones never hold a module in a milder one. */
    @Test
    void widthsOfZonesComeFromTheirTable() {
        CodeTables shipped = Jobs.SOLVER.tables();
        CodeTable table = shipped.zones().table();
        String wider = table.csv().replace("tilted_width_h,2", "tilted_width_h,2.5");
        Solver other = new Solver(shipped.with(
                CodeTable.read(table.id(), table.title(), "a later edition", "9", DataStatus.UNCONFIRMED, "", wider)));
        Design before = Jobs.design();
        Design after = other.solve(Jobs.job());
        assertThat(after.site().zones().rule()).contains("2.5 roof heights");
        int moved = 0;
        for (int i = 0; i < before.holdDown().demands().size(); i++) {
            String was = before.holdDown().demands().get(i).zone();
            String is = after.holdDown().demands().get(i).zone();
            assertThat(is.compareTo(was)).isNotNegative();
            moved += is.equals(was) ? 0 : 1;
        }
        assertThat(moved).isPositive();
        String number = after.holdDown().demands().get(0).module().number();
        assertThat(new Figures(after, other.tables())
                        .working("uplift/" + number)
                        .toString())
                .contains("2.5 times the roof height");
    }

    @Test
    void aSetOfTheOtherFamilyIsRefused() {
        var reading = JobReader.read(
                Jobs.with(JobWriter.write(Jobs.job()), "site.coefficients", "net_coefficients_fenmarsh"), false);
        assertThat(Jobs.SOLVER.problems(reading.job())).singleElement().satisfies(p -> {
            assertThat(p.path()).isEqualTo("$.site.coefficients");
            assertThat(p.message()).contains("other code family", SET);
        });
    }
}
