package whipsaw.core.units;

/**
 * A value somebody entered: the exact SI value with the text it came from, and whether it was
 * marked as an assumption (typed with a leading {@code ~}).
 *
 * @param si value in the SI unit of its quantity (degrees for angles, Celsius for temperatures)
 * @param typed the text as typed, always with its unit
 * @param assumed true when nobody has measured or stated it yet
 */
public record Measure(double si, String typed, boolean assumed) {}
