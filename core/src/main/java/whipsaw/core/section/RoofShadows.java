package whipsaw.core.section;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import whipsaw.core.array.SolarTime;
import whipsaw.core.design.Design;
import whipsaw.core.job.Obstruction;
import whipsaw.core.job.ObstructionKinds;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.roof.Together;

/**
 * Shadows of parapets and obstructions on a level roof. Modules are not raised in it: the shadow at
 * their height is a little shorter.
 */
public final class RoofShadows {
    private RoofShadows() {}

    /** The shadow on the plan, in metres; empty while the sun is down, and on pitched roofs. */
    public static Geometry of(Design design, SolarTime sun) {
        var factory = design.plan().outline().getFactory();
        if (sun.elevationDeg() <= 0 || !design.job().roof().fabric().flat()) {
            return factory.createPolygon();
        }
        double away = Math.toRadians(
                sun.azimuthDeg() - design.job().roof().upAzimuth().si() + 180);
        double reach = 1 / Math.tan(Math.toRadians(sun.elevationDeg()));
        List<Geometry> parts = new ArrayList<>();
        for (RoofPlan.Edge e : design.plan().edges()) {
            if (e.parapetHeightM() > 0) {
                parts.add(swept(design, e.parapet(), e.parapetHeightM() * reach, away));
            }
        }
        for (Obstruction o : design.job().roof().obstructions()) {
            if (!ObstructionKinds.shades(o)) {
                continue;
            }
            Coordinate[] ring = RoofPlan.footprint(o).getCoordinates();
            parts.add(swept(design, ring, o.height().si() * reach, away));
        }
        if (parts.isEmpty()) {
            return factory.createPolygon();
        }
        return OverlayNGRobust.overlay(Together.of(parts), design.plan().outline(), OverlayNG.INTERSECTION);
    }

    /** A convex footprint moved along the light, with everything between. */
    private static Geometry swept(Design design, Coordinate[] foot, double byM, double directionRad) {
        Coordinate[] both = new Coordinate[foot.length * 2];
        for (int i = 0; i < foot.length; i++) {
            both[i] = foot[i];
            both[foot.length + i] =
                    new Coordinate(foot[i].x + byM * Math.sin(directionRad), foot[i].y + byM * Math.cos(directionRad));
        }
        return design.plan()
                .outline()
                .getFactory()
                .createMultiPointFromCoords(both)
                .convexHull();
    }
}
