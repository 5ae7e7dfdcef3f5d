package whipsaw.core.site;

/** Snow on the roof as an engineer gives it, its least values and drifts included. */
public record GivenSnow(double roofPa) implements SnowLoad {}
