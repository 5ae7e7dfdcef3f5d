package whipsaw.core.site;

/** Uniform snow on the roof, by the formula of a code family. It is recorded for the engineer, not added to the array. */
public sealed interface SnowLoad permits AsceSnow, EnSnow, GivenSnow {
    /** Uniform load on the roof. */
    double roofPa();
}
