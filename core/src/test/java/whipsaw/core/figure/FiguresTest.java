package whipsaw.core.figure;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import whipsaw.core.design.Design;
import whipsaw.core.design.Jobs;
import whipsaw.core.holddown.Ballast;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.working.DataStatus;
import whipsaw.core.working.Origin;
import whipsaw.core.working.Step;
import whipsaw.core.working.Term;
import whipsaw.core.working.Working;

/** Workings show the figures of the solve, where inputs come from, and how far data can be relied on. */
class FiguresTest {
    private static Working working(Design design, String figure) {
        return new Figures(design, Jobs.SOLVER.tables()).working(figure);
    }

    private static Term term(Working working, String symbol) {
        return working.steps().stream()
                .flatMap(s -> s.terms().stream())
                .filter(t -> t.symbol().equals(symbol))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void anAssumedInputIsShownAsAssumed() {
        Working known = working(Jobs.design("site.wind", "47 m/s"), "site.qh");
        Working guessed = working(Jobs.design("site.wind", "~47 m/s"), "site.qh");
        assertThat(term(known, "V").origin()).isEqualTo(Origin.GIVEN);
        assertThat(term(guessed, "V").origin()).isEqualTo(Origin.ASSUMED);
        assertThat(term(guessed, "V").source()).isEqualTo("typed ~47 m/s");
        assertThat(known.answer()).isEqualTo(guessed.answer());
    }

    @Test
    void theSetBackSaysWhetherARuleOrAPersonGaveIt() {
        assertThat(term(working(Jobs.design(), "array.setback"), "rule").origin())
                .isEqualTo(Origin.DEFAULTED);
        Working typed = working(Jobs.design("array.setback", "2.5 m"), "array.setback");
        assertThat(typed.answer()).isEqualTo("2.5 m [8' 2 7/16\"]");
        assertThat(term(typed, "d").source()).isEqualTo("typed 2.5 m");
    }

    @Test
    void theWorkingOfEveryPositionEndsInTheBlocksOnTheDrawing() {
        Design d = Jobs.design("array.tray.mostBlocks", 5);
        for (var p : d.holdDown().positions()) {
            Working w = working(d, "ballast/" + p.number());
            assertThat(w.answer()).startsWith(p.ballast().blocksNeeded() + " block");
            assertThat(w.answer().contains(" fit")).isEqualTo(p.ballast().full());
            assertThat(w.steps())
                    .filteredOn(s -> s.symbol().equals("n"))
                    .extracting(Step::substituted)
                    .singleElement()
                    .asString()
                    .startsWith(Show.both(
                            UnitSystem.METRIC, Dimension.PART_FORCE, p.ballast().requiredKg() * Ballast.GRAVITY));
        }
    }

    @Test
    void theLeastReliableDataGivesTheStatus() {
        Design d = Jobs.design();
        assertThat(new Figures(d, Jobs.SOLVER.tables()).status()).isEqualTo(DataStatus.INVENTED);
        assertThat(new Figures(d, Jobs.SOLVER.tables()).sources().get(0).status())
                .isEqualTo(DataStatus.INVENTED);
        assertThat(working(d, "site.qh").status()).isEqualTo(DataStatus.UNCONFIRMED);
        assertThat(DataStatus.worse(null, DataStatus.CONFIRMED)).isEqualTo(DataStatus.CONFIRMED);
        assertThat(DataStatus.worse(DataStatus.CONFIRMED, DataStatus.UNCONFIRMED))
                .isEqualTo(DataStatus.UNCONFIRMED);
    }

    @Test
    void aFigureThatIsNotThereHasNoWorking() {
        Design d = Jobs.design();
        assertThat(working(d, "ballast/99-99")).isNull();
        assertThat(working(d, "roof.bay/Z9")).isNull();
        assertThat(working(d, "survey.closure")).isNull();
        assertThat(working(d, "nonsense")).isNull();
    }

    @Test
    void loadsAreInBothSystemsAndInTheJobsOwnFirst() {
        assertThat(working(Jobs.design(), "roof.footprint").answer())
                .matches("[\\d.]+ kPa \\([\\d.]+ kg/m²\\) \\[[\\d.]+ psf]");
        assertThat(working(Jobs.design("project.units", "us"), "roof.footprint").answer())
                .matches("[\\d.]+ psf \\[[\\d.]+ kPa]");
    }
}
