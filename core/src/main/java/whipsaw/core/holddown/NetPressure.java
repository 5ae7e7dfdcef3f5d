package whipsaw.core.holddown;

import whipsaw.core.table.NetCoefficients;

/**
 * Net pressure by a net-coefficient set: {@code p = q_p c_net}. EN 1991-1-4 itself gives no
 * coefficients of tilted panels on flat roofs.
 *
 * @param peakPa peak velocity pressure
 * @param up coefficient away from the roof, positive
 * @param down coefficient towards the roof, positive
 */
public record NetPressure(
        NetCoefficients set, String zone, double tiltDeg, double effectiveAreaM2, double peakPa, double up, double down)
        implements PanelPressure {

    static NetPressure of(
            NetCoefficients set, String arrangement, String zone, double tiltDeg, double areaM2, double peakPa) {
        NetCoefficients.Pair c = set.at(arrangement, zone, tiltDeg, areaM2);
        return new NetPressure(set, zone, tiltDeg, areaM2, peakPa, c.up(), c.down());
    }

    @Override
    public double edgeFactor() {
        return 1;
    }

    @Override
    public double upliftPa() {
        return peakPa * up;
    }

    @Override
    public double downPa() {
        return peakPa * down;
    }
}
