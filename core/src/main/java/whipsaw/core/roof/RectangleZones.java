package whipsaw.core.roof;

import whipsaw.core.units.Limits;

/** Roof zones of ASCE 7-16 Fig. 29.4-7 from the distances to the nearest edges across and along. */
public final class RectangleZones {
    private RectangleZones() {}

    /**
     * Zone {@code 3} within the width of both edges, {@code 2} of one, else {@code 1}; a point on a
     * boundary is in the more severe zone.
     */
    public static String zone(double dxM, double dyM, double widthM) {
        boolean nearX = Limits.atMost(dxM, widthM);
        boolean nearY = Limits.atMost(dyM, widthM);
        if (nearX && nearY) {
            return "3";
        }
        return nearX || nearY ? "2" : "1";
    }
}
