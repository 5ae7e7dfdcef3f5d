package whipsaw.core.array;

import java.time.LocalDate;
import java.time.ZoneOffset;

/**
 * The sun at a true solar time of a day: noon is when it stands highest, every hour is 15 degrees of
 * its path. No refraction.
 *
 * @param day of the year, 1 to 365
 * @param hour true solar time
 * @param azimuthDeg clockwise from true north
 * @param elevationDeg above the horizon; negative at night
 */
public record SolarTime(int day, double hour, double azimuthDeg, double elevationDeg) {
    /** Days are those of one year without a leap day; the declination differs by 0.1 deg from year to year. */
    private static final int YEAR = 2025;

    private static final int DAYS = 365;

    /** A solar hour as a clock shows it: {@code 9:30}. */
    public static String clock(double hour) {
        long minutes = Math.round(hour * 60);
        return String.format("%d:%02d", minutes / 60, minutes % 60);
    }

    /** Where the sun stands at a true solar hour of a day of the year. */
    public static SolarTime of(double latitudeDeg, double longitudeDeg, int day, double hour) {
        return under(declinationDeg(latitudeDeg, longitudeDeg, day), latitudeDeg, day, hour);
    }

    /** The same with the declination of the day at hand, which takes time to find. */
    static SolarTime under(double declinationDeg, double latitudeDeg, int day, double hour) {
        double[] sun = direction(latitudeDeg, declinationDeg, hour);
        double azimuth = Math.toDegrees(Math.atan2(sun[0], sun[1]));
        return new SolarTime(day, hour, (azimuth + 360) % 360, Math.toDegrees(Math.asin(sun[2])));
    }

    /** The day, in a year that is no leap year. */
    public LocalDate date() {
        return LocalDate.ofYearDay(YEAR, day);
    }

    /** The day of the winter solstice of a latitude. */
    public static int shortestDay(double latitudeDeg) {
        return LocalDate.of(YEAR, latitudeDeg >= 0 ? 12 : 6, 21).getDayOfYear();
    }

    /** Declination at mean noon of a day, by the solar position algorithm. */
    public static double declinationDeg(double latitudeDeg, double longitudeDeg, int day) {
        if (day < 1 || day > DAYS) {
            throw new IllegalArgumentException("day of the year " + day + " is outside 1 to " + DAYS);
        }
        var noon = LocalDate.ofYearDay(YEAR, day)
                .atTime(12, 0)
                .atOffset(ZoneOffset.UTC)
                .minusMinutes(Math.round(longitudeDeg * 4));
        return SunPosition.at(noon.toInstant(), latitudeDeg, longitudeDeg, 1013, 10)
                .declinationDeg();
    }

    /** Unit vector (east, north, up) to the sun at a true solar time. */
    static double[] direction(double latitudeDeg, double declinationDeg, double hour) {
        double phi = Math.toRadians(latitudeDeg);
        double delta = Math.toRadians(declinationDeg);
        double omega = Math.toRadians(15 * (hour - 12));
        return new double[] {
            -Math.cos(delta) * Math.sin(omega),
            Math.sin(delta) * Math.cos(phi) - Math.cos(delta) * Math.sin(phi) * Math.cos(omega),
            Math.sin(phi) * Math.sin(delta) + Math.cos(phi) * Math.cos(delta) * Math.cos(omega)
        };
    }
}
