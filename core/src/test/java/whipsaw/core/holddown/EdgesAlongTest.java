package whipsaw.core.holddown;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import whipsaw.core.array.ArrayFrame;
import whipsaw.core.design.Jobs;
import whipsaw.core.roof.RoofPlan;

/** The way from a module to the edge of the roof, against an intersection made by the geometry library. */
class EdgesAlongTest {
    @ParameterizedTest
    @ValueSource(doubles = {180, 137.3, 90})
    void theFirstEdgeIsTheOneALineMeets(double facing) {
        RoofPlan plan = Jobs.design().plan();
        ArrayFrame frame = ArrayFrame.facing(facing);
        EdgesAlong along = new EdgesAlong(plan.edges(), frame, true);
        EdgesAlong across = new EdgesAlong(plan.edges(), frame, false);
        Random random = new Random(7);
        var box = plan.outline().getEnvelopeInternal();
        for (int i = 0; i < 300; i++) {
            double x = box.getMinX() + (random.nextDouble() * 1.2 - 0.1) * box.getWidth();
            double y = box.getMinY() + (random.nextDouble() * 1.2 - 0.1) * box.getHeight();
            int way = random.nextBoolean() ? 1 : -1;
            double s = frame.s(x, y);
            double t = frame.t(x, y);
            assertThat(along.first(s, t, way)).isCloseTo(met(plan, x, y, frame.plan(way * 1e4, 0)), within(1e-6));
            assertThat(across.first(t, s, way)).isCloseTo(met(plan, x, y, frame.plan(0, way * 1e4)), within(1e-6));
        }
    }

    private static double met(RoofPlan plan, double x, double y, Coordinate way) {
        var factory = plan.outline().getFactory();
        Coordinate from = new Coordinate(x, y);
        Geometry hits = plan.outline()
                .getBoundary()
                .intersection(factory.createLineString(new Coordinate[] {from, new Coordinate(x + way.x, y + way.y)}));
        return hits.isEmpty() ? Double.POSITIVE_INFINITY : hits.distance(factory.createPoint(from));
    }
}
