package whipsaw.core.roof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.locationtech.jts.geom.Coordinate;

/** Least squares over a tape survey: exact on exact figures, honest on blunders. */
class TapeFitTest {
    private static final double FOOT = 0.3048;
    private static final TapeFit.Accuracy USUAL = TapeFit.Accuracy.USUAL;

    /** An L of six edges. */
    private static final double[] LENGTHS = {40, 12, 15, 8, 25, 20};

    private static final double[] TURNS = {90, 90, -90, 90, 90, 90};

    private static List<TapeFit.Leg> legs(int wrong, double byM) {
        List<TapeFit.Leg> legs = new ArrayList<>();
        for (int i = 0; i < LENGTHS.length; i++) {
            legs.add(new TapeFit.Leg(LENGTHS[i] + (i == wrong ? byM : 0), TURNS[i], false));
        }
        return legs;
    }

    private static TapeFit.Diagonal diagonal(int from, int to) {
        List<Coordinate> c = TapeFit.of(legs(-1, 0), List.of(), USUAL).vertices();
        return new TapeFit.Diagonal(from, to, c.get(from).distance(c.get(to)));
    }

    @Test
    void exactFiguresAreLeftAsTheyAre() {
        TapeFit fit = TapeFit.of(legs(-1, 0), List.of(), USUAL);
        assertThat(fit.vertices().get(2).x).isCloseTo(40, within(1e-9));
        assertThat(fit.vertices().get(2).y).isCloseTo(12, within(1e-9));
        assertThat(fit.areaM2()).isCloseTo(40 * 12 + 25 * 8, within(1e-6));
        assertThat(fit.observations()).allSatisfy(o -> assertThat(o.residual()).isCloseTo(0, within(1e-9)));
        assertThat(fit.freedom()).isEqualTo(3);
        assertThat(fit.fits()).isTrue();
        double redundancy = fit.observations().stream()
                .mapToDouble(TapeFit.Observation::redundancy)
                .sum();
        // redundancies add up to the freedom
        assertThat(redundancy).isCloseTo(3, within(1e-6));
    }

    @Test
    void everySolutionIsAtALeastSum() {
        Random random = new Random(5);
        List<TapeFit.Leg> legs = new ArrayList<>();
        for (int i = 0; i < LENGTHS.length; i++) {
            legs.add(new TapeFit.Leg(
                    LENGTHS[i] + random.nextGaussian() * 0.01, TURNS[i] + random.nextGaussian() * 0.3, i % 2 == 0));
        }
        // of an inside corner, of one beyond both ends of its line, and of a line between no neighbours
        List<TapeFit.Check> diagonals = List.of(
                diagonal(0, 2),
                new TapeFit.Offset(3, 0, 1, 12.004),
                diagonal(1, 4),
                new TapeFit.Offset(4, 1, 2, 14.99),
                new TapeFit.Offset(2, 5, 3, 15.5));
        TapeFit fit = TapeFit.of(legs, diagonals, USUAL);
        double least = sum(fit.vertices(), legs, diagonals);
        assertThat(least).isCloseTo(fit.unitVariance() * fit.freedom(), within(1e-6));
        for (int i = 1; i < LENGTHS.length; i++) {
            for (double[] step : new double[][] {{0.002, 0}, {-0.002, 0}, {0, 0.002}, {0, -0.002}}) {
                List<Coordinate> moved = new ArrayList<>(fit.vertices());
                moved.set(i, new Coordinate(moved.get(i).x + step[0], moved.get(i).y + step[1]));
                assertThat(sum(moved, legs, diagonals)).isGreaterThan(least);
            }
        }
    }

    private static double sum(List<Coordinate> c, List<TapeFit.Leg> legs, List<TapeFit.Check> checks) {
        int n = legs.size();
        double sum = 0;
        for (int i = 0; i < n; i++) {
            Coordinate a = c.get(i);
            Coordinate b = c.get((i + 1) % n);
            Coordinate d = c.get((i + 2) % n);
            sum += Math.pow(
                    (a.distance(b) - legs.get(i).lengthM())
                            / USUAL.lengthM(legs.get(i).lengthM()),
                    2);
            double turn = Math.toDegrees(Math.atan2(d.y - b.y, d.x - b.x) - Math.atan2(b.y - a.y, b.x - a.x));
            double off = Math.IEEEremainder(turn - legs.get(i).turnDeg(), 360);
            sum += Math.pow(off / (legs.get(i).measured() ? USUAL.angleDeg() : USUAL.squareDeg()), 2);
        }
        for (TapeFit.Check d : checks) {
            double fitted = d instanceof TapeFit.Diagonal across
                    ? c.get(across.from()).distance(c.get(across.to()))
                    : off(c, (TapeFit.Offset) d);
            double off = fitted - d.lengthM();
            sum += Math.pow(off / USUAL.lengthM(d.lengthM()), 2);
        }
        return sum;
    }

    private static double off(List<Coordinate> c, TapeFit.Offset o) {
        return org.locationtech.jts.algorithm.Distance.pointToLinePerpendicular(
                c.get(o.corner()), c.get(o.from()), c.get(o.to()));
    }

    /** An edge of a rectangle a foot too long cannot be told from the one opposite; an offset of the other's corner tells. */
    @Test
    void anOffsetDecidesWhatTheWalkCannot() {
        List<TapeFit.Leg> legs = new ArrayList<>(List.of(
                new TapeFit.Leg(30, 90, true),
                new TapeFit.Leg(18 + FOOT, 90, true),
                new TapeFit.Leg(30, 90, true),
                new TapeFit.Leg(18, 90, true)));
        assertThat(TapeFit.suspects(legs, List.of(), USUAL).alike())
                .extracting(TapeFit.Observation::from)
                .contains(1, 3);
        var after = TapeFit.suspects(legs, List.of(new TapeFit.Offset(3, 0, 1, 18)), USUAL);
        assertThat(after.alike()).singleElement().satisfies(o -> {
            assertThat(o.kind()).isEqualTo(TapeFit.Kind.EDGE);
            assertThat(o.from()).isEqualTo(1);
            assertThat(o.error()).isCloseTo(FOOT, within(0.03));
        });
        // and a wrong offset among sound tapes is named itself
        legs.set(1, new TapeFit.Leg(18, 90, true));
        var wrong = TapeFit.suspects(legs, List.of(new TapeFit.Offset(2, 0, 1, 18 + FOOT)), USUAL);
        assertThat(wrong.ranked().get(0).kind()).isEqualTo(TapeFit.Kind.OFFSET);
        assertThat(wrong.ranked().get(0).corner()).isEqualTo(2);
    }

    /** A foot read wrong on any edge of the L, one diagonal taped: its edge is first, or told as one with the first. */
    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2, 3, 4, 5})
    void aFootTooMuchIsFound(int edge) {
        var suspects = TapeFit.suspects(legs(edge, FOOT), List.of(diagonal(0, 2)), USUAL);
        assertThat(suspects.alike()).anySatisfy(o -> assertThat(o.from() == edge && o.kind() == TapeFit.Kind.EDGE)
                .isTrue());
        if (suspects.alike().size() == 1) {
            assertThat(suspects.alike().get(0).error()).isCloseTo(FOOT, within(0.02));
        } else {
            assertThat(suspects.measure()).isNotNull();
        }
    }

    @Test
    void oppositeEdgesOfARectangleAreNamedTogetherUntilADiagonalDecides() {
        List<TapeFit.Leg> legs = List.of(
                new TapeFit.Leg(30 + FOOT, 90, true),
                new TapeFit.Leg(18, 90, true),
                new TapeFit.Leg(30, 90, true),
                new TapeFit.Leg(18, 90, true));
        var before = TapeFit.suspects(legs, List.of(), USUAL);
        assertThat(before.ranked().get(0).normalised()).isGreaterThan(TapeFit.SUSPECT);
        assertThat(before.alike())
                .filteredOn(o -> o.kind() == TapeFit.Kind.EDGE)
                .extracting(TapeFit.Observation::from)
                .contains(0, 2);
        TapeFit.Decision decide = before.measure();
        assertThat(decide).isNotNull();
        // the tape is taken: it reads as the true rectangle does
        var diagonal = new TapeFit.Diagonal(decide.from(), decide.to(), Math.hypot(30, 18));
        var after = TapeFit.suspects(legs, List.of(diagonal), USUAL);
        assertThat(after.ranked().get(0).kind()).isEqualTo(TapeFit.Kind.EDGE);
        assertThat(after.ranked().get(0).from()).isZero();
        assertThat(after.ranked().get(0).error()).isCloseTo(FOOT, within(0.03));
    }

    /** Whatever is typed, there is an outline of finite places or none. */
    @Test
    void nonsenseGivesNoOutlineRatherThanAWrongOne() {
        Random random = new Random(11);
        int none = 0;
        for (int k = 0; k < 400; k++) {
            int n = 3 + random.nextInt(6);
            List<TapeFit.Leg> legs = new ArrayList<>();
            for (int i = 0; i < n; i++) {
                double turn = (random.nextBoolean() ? 1 : -1) * (0.5 + random.nextDouble() * 178);
                legs.add(new TapeFit.Leg(0.5 + random.nextDouble() * 60, turn, random.nextBoolean()));
            }
            List<TapeFit.Check> across = n > 3
                    ? List.of(
                            new TapeFit.Diagonal(0, 2, 1 + random.nextDouble() * 80),
                            new TapeFit.Offset(1, 2, 3, random.nextDouble() * 40))
                    : List.of();
            TapeFit fit = TapeFit.of(legs, across, USUAL);
            if (fit == null) {
                none++;
                continue;
            }
            assertThat(fit.vertices())
                    .allSatisfy(c -> assertThat(Double.isFinite(c.x + c.y)).isTrue());
            assertThat(fit.observations())
                    .allSatisfy(o -> assertThat(Double.isFinite(o.normalised())).isTrue());
            TapeFit.suspects(legs, across, USUAL);
        }
        assertThat(none).isPositive();
    }

    /** Steps from one corner of a square to the other and back, as many as are taken. */
    @Test
    void theLongestWalkIsFittedAndNoLongerOne() {
        List<TapeFit.Leg> legs = stairs(TapeFit.MOST_LEGS);
        TapeFit fit = TapeFit.of(legs, List.of(new TapeFit.Diagonal(0, 2, Math.hypot(119, 1))), USUAL);
        assertThat(fit.observations()).allSatisfy(o -> assertThat(o.residual()).isCloseTo(0, within(1e-6)));
        assertThat(fit.areaM2()).isCloseTo(119 * 120 / 2.0, within(1e-6));
        assertThat(TapeFit.of(stairs(TapeFit.MOST_LEGS + 2), List.of(), USUAL)).isNull();
    }

    private static List<TapeFit.Leg> stairs(int edges) {
        int steps = (edges - 2) / 2;
        List<TapeFit.Leg> legs = new ArrayList<>();
        legs.add(new TapeFit.Leg(steps, 90, false));
        for (int i = 0; i < steps; i++) {
            legs.add(new TapeFit.Leg(1, 90, false));
            legs.add(new TapeFit.Leg(1, i < steps - 1 ? -90 : 90, false));
        }
        legs.add(new TapeFit.Leg(steps, 90, false));
        return legs;
    }
}
