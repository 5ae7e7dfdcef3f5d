package whipsaw.core.array;

import java.time.Instant;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import net.e175.klaus.solarpositioning.DeltaT;
import net.e175.klaus.solarpositioning.SPA;

/**
 * Place of the sun at an instant by the solar position algorithm (Reda and Andreas 2004).
 *
 * @param azimuthDeg clockwise from true north
 * @param elevationTrueDeg without refraction
 * @param elevationApparentDeg with refraction
 * @param declinationDeg recovered from the true elevation and azimuth, to 0.003 deg
 */
public record SunPosition(
        double azimuthDeg, double elevationTrueDeg, double elevationApparentDeg, double declinationDeg) {

    /** Unit vector (east, north, up) to a direction. */
    public static double[] vector(double azimuthDeg, double elevationDeg) {
        double a = Math.toRadians(azimuthDeg);
        double e = Math.toRadians(elevationDeg);
        return new double[] {Math.cos(e) * Math.sin(a), Math.cos(e) * Math.cos(a), Math.sin(e)};
    }

    /**
     * @param latitudeDeg north positive
     * @param longitudeDeg east positive
     * @param pressureHpa for refraction
     * @param temperatureC for refraction
     */
    public static SunPosition at(
            Instant instant, double latitudeDeg, double longitudeDeg, double pressureHpa, double temperatureC) {
        ZonedDateTime when = instant.atZone(ZoneOffset.UTC);
        double deltaT = DeltaT.estimate(when.toLocalDate());
        var plain = SPA.calculateSolarPosition(when, latitudeDeg, longitudeDeg, 0, deltaT);
        var refracted =
                SPA.calculateSolarPosition(when, latitudeDeg, longitudeDeg, 0, deltaT, pressureHpa, temperatureC);
        double elevation = 90 - plain.zenithAngle();
        double e = Math.toRadians(elevation);
        double phi = Math.toRadians(latitudeDeg);
        double sinDeclination =
                Math.sin(phi) * Math.sin(e) + Math.cos(phi) * Math.cos(e) * Math.cos(Math.toRadians(plain.azimuth()));
        return new SunPosition(
                plain.azimuth(), elevation, 90 - refracted.zenithAngle(), Math.toDegrees(Math.asin(sinDeclination)));
    }
}
