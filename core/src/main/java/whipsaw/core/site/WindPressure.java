package whipsaw.core.site;

/** The pressure of the wind at roof height, by the formula of a code family. */
public sealed interface WindPressure permits VelocityPressure, PeakPressure {
    double pressurePa();
}
