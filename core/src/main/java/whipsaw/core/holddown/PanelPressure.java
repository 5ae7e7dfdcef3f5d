package whipsaw.core.holddown;

/** Net wind pressure on one tilted panel, by the method of a code family. */
public sealed interface PanelPressure
        permits TiltedArray.Pressure, NetPressure, PanelPressure.Unknown, PanelPressure.Raised {
    String zone();

    double tiltDeg();

    /** Area over which the load is taken as shared. */
    double effectiveAreaM2();

    /** Factor for a panel at the edge of the array; 1 where the method has none. */
    double edgeFactor();

    /** Normal to the panel, away from the roof; NaN when not established. */
    double upliftPa();

    /** Normal to the panel, towards the roof. */
    double downPa();

    /** Vertical part of the uplift. */
    default double upliftVerticalPa() {
        return upliftPa() * Math.cos(Math.toRadians(tiltDeg()));
    }

    /** Part of the uplift along the roof. */
    default double upliftAlongPa() {
        return upliftPa() * Math.sin(Math.toRadians(tiltDeg()));
    }

    /** The same as the method gives it, before anything raised it. */
    default PanelPressure byMethod() {
        return this;
    }

    /**
     * A pressure whose uplift a floor or a least design pressure has raised.
     *
     * @param by what raised it, in words
     */
    record Raised(PanelPressure byMethod, double upliftPa, String by) implements PanelPressure {
        @Override
        public String zone() {
            return byMethod.zone();
        }

        @Override
        public double tiltDeg() {
            return byMethod.tiltDeg();
        }

        @Override
        public double effectiveAreaM2() {
            return byMethod.effectiveAreaM2();
        }

        @Override
        public double edgeFactor() {
            return byMethod.edgeFactor();
        }

        @Override
        public double downPa() {
            return byMethod.downPa();
        }
    }

    /** A pressure nobody can state yet: a value is missing or the panel is outside the method. */
    record Unknown(String zone, double tiltDeg, double effectiveAreaM2) implements PanelPressure {
        @Override
        public double edgeFactor() {
            return 1;
        }

        @Override
        public double upliftPa() {
            return Double.NaN;
        }

        @Override
        public double downPa() {
            return Double.NaN;
        }
    }
}
