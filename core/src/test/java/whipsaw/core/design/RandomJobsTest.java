package whipsaw.core.design;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import whipsaw.core.Draws;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.check.Check;
import whipsaw.core.figure.Figures;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.job.JobReader;
import whipsaw.core.job.JobWriter;
import whipsaw.core.job.ObstructionKinds;
import whipsaw.core.roof.RoofPlan;

/** Jobs nobody planned: crooked roofs, odd azimuths, obstructions anywhere, both families. What must hold, holds. */
class RandomJobsTest {
    private static final GeometryFactory GEOMETRY = new GeometryFactory();

    private static Map<String, Object> corner(double x, double y) {
        return Map.of("x", x + " m", "y", y + " m");
    }

    private static double between(Random r, double least, double most) {
        return least + r.nextDouble() * (most - least);
    }

    /** A rectangle or an L, each corner up to a metre out of place. */
    private static Map<String, Object> outline(Random r) {
        double w = between(r, 22, 70);
        double h = between(r, 18, 50);
        List<double[]> corners = new ArrayList<>(List.of(new double[] {0, 0}, new double[] {w, 0}));
        if (r.nextBoolean()) {
            double cut = between(r, 0.4, 0.7);
            corners.addAll(
                    List.of(new double[] {w, h * cut}, new double[] {w * cut, h * cut}, new double[] {w * cut, h}));
        } else {
            corners.add(new double[] {w, h});
        }
        corners.add(new double[] {0, h});
        List<Object> list = new ArrayList<>();
        corners.forEach(c -> list.add(corner(c[0] + between(r, -1, 1), c[1] + between(r, -1, 1))));
        return Map.of("kind", "drawn", "corners", list);
    }

    private static List<Object> obstructions(Random r) {
        List<Object> list = new ArrayList<>();
        for (int i = r.nextInt(5); i > 0; i--) {
            Map<String, Object> o = new LinkedHashMap<>();
            o.put("id", "o" + i);
            o.put("name", "Thing " + i);
            o.put("x", between(r, 3, 9) + " m");
            o.put("y", between(r, 3, 9) + " m");
            o.put("width", between(r, 0.2, 3) + " m");
            o.put("depth", between(r, 0.2, 3) + " m");
            o.put("height", between(r, 0, 3) + " m");
            o.put("clear", between(r, 0, 1.5) + " m");
            list.add(o);
        }
        return list;
    }

    private static Design design(Random r, boolean paired) {
        Map<String, Object> document = Jobs.document(paired ? "paired-roof" : "plain-roof");
        Jobs.with(document, "roof.outline", outline(r));
        Jobs.with(document, "roof.obstructions", obstructions(r));
        Jobs.with(document, "roof.parapets", List.of());
        Jobs.with(document, "array.facing", Map.of("azimuth", between(r, 0, 359) + " deg"));
        Jobs.with(document, "roof.upAzimuth", between(r, 0, 359) + " deg");
        Jobs.with(document, "array.setback", between(r, 1.3, 3) + " m");
        Jobs.with(document, "array.tray.positions", r.nextBoolean() ? "joint" : "module");
        if (r.nextBoolean()) {
            Jobs.with(
                    document,
                    "array.walkway",
                    Map.of("every", 2 + r.nextInt(5), "first", 1 + r.nextInt(3), "width", "1 m"));
        }
        var reading = JobReader.read(document, false);
        assertThat(reading.problems()).isEmpty();
        // a job the rules refuse (an obstruction over the edge, say) is no job to solve
        return Jobs.SOLVER.problems(reading.job()).isEmpty() ? Jobs.SOLVER.solve(reading.job()) : null;
    }

    @Test
    void whatMustHoldHolds() {
        Draws.each(120, draw -> {
            int seed = draw.whole(0, 1_000_000);
            for (boolean paired : new boolean[] {false, true}) {
                Design d = design(new Random(seed), paired);
                if (d == null) {
                    continue;
                }
                modulesLieOnTheRoofAndApart(d);
                everyPositionServesModulesAndWeighsWhatItHolds(d);
                everyModuleIsWiredOnceOrLeftOut(d);
                loadsAddUp(d);
                checksAreRankedAndOpen(d);
                assertThat(JobReader.read(JobWriter.write(d.job()), false).job())
                        .isEqualTo(d.job());
            }
        });
    }

    private static void modulesLieOnTheRoofAndApart(Design d) {
        Set<String> numbers = new HashSet<>();
        for (ArrayLayout.Module m : d.layout().modules()) {
            Coordinate[] c = d.layout().corners(m);
            Polygon p = GEOMETRY.createPolygon(new Coordinate[] {c[0], c[1], c[2], c[3], c[0]});
            assertThat(d.plan().outline().buffer(1e-6).covers(p)).isTrue();
            for (var o : d.job().roof().obstructions()) {
                assertThat(p.distance(RoofPlan.footprint(o))).isGreaterThanOrEqualTo(ObstructionKinds.clearM(o) - 1e-6);
            }
            assertThat(numbers.add(m.number())).as("module numbers are unique").isTrue();
        }
        List<ArrayLayout.Run> runs = d.layout().runs();
        for (ArrayLayout.Run run : runs) {
            assertThat(run.lastIndex() - run.firstIndex() + 1)
                    .isGreaterThanOrEqualTo(d.job().array().tray().shortestRow());
        }
    }

    private static void everyPositionServesModulesAndWeighsWhatItHolds(Design d) {
        double[] served = new double[d.layout().modules().size()];
        for (HoldDown.Position p : d.holdDown().positions()) {
            p.shares().forEach(s -> served[s.module()] += s.part());
            assertThat(p.ballast().blocksPlaced())
                    .isBetween(0, d.job().array().tray().mostBlocks());
            if (d.holdDown().established()) {
                double hold = p.ballast().blocksNeeded()
                        * d.job().array().block().mass().si();
                assertThat(hold).isGreaterThanOrEqualTo(p.ballast().requiredKg() - 1e-6);
                assertThat(hold - d.job().array().block().mass().si())
                        .isLessThan(Math.max(1e-9, p.ballast().requiredKg()));
            }
        }
        for (double s : served) {
            assertThat(s).isCloseTo(1, within(1e-9));
        }
    }

    private static void everyModuleIsWiredOnceOrLeftOut(Design d) {
        List<Integer> all = new ArrayList<>(d.strings().leftOut());
        d.strings().strings().forEach(s -> {
            all.addAll(s.modules());
            assertThat(s.modules().stream()
                            .map(i -> d.layout()
                                    .looksBack(d.layout().modules().get(i).row()))
                            .distinct())
                    .hasSize(1);
        });
        assertThat(all).doesNotHaveDuplicates().hasSize(d.layout().modules().size());
    }

    private static void loadsAddUp(Design d) {
        double inBays =
                d.loads().bays().stream().mapToDouble(b -> b.load().massKg()).sum();
        assertThat(inBays)
                .isCloseTo(
                        d.loads().totalKg(), within(1e-6 * Math.max(1, d.loads().totalKg())));
        assertThat(d.layout().footprintM2()).isLessThanOrEqualTo(d.plan().areaM2() + 1e-6);
    }

    private static void checksAreRankedAndOpen(Design d) {
        Figures figures = new Figures(d, Jobs.SOLVER.tables());
        Check before = null;
        for (Check c : d.checks()) {
            assertThat(figures.working(c.figure())).as(c.id()).isNotNull();
            assertThat(before == null || before.verdict().compareTo(c.verdict()) <= 0)
                    .isTrue();
            before = c;
        }
    }
}
