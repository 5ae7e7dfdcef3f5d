package whipsaw.core.exchange;

import org.locationtech.jts.geom.Coordinate;

/**
 * The plane that touches the WGS 84 ellipsoid at a place, turned so that its y points to the top of the sheet. Longitude
 * and latitude are taken at height 0; over a kilometre the plane leaves the ground by 0.1 m and its lengths differ from
 * those on the ground by a few millionths of a millimetre in a metre.
 *
 * @param longitudeDeg of the point that becomes (0, 0)
 * @param latitudeDeg of it
 * @param upAzimuthDeg azimuth of the top of the sheet
 */
public record LocalPlane(double longitudeDeg, double latitudeDeg, double upAzimuthDeg) {
    private static final double A_M = 6_378_137;
    private static final double FLATTENING = 1 / 298.257223563;
    private static final double E2 = FLATTENING * (2 - FLATTENING);
    private static final int ROUNDS = 8;

    /** The place on the sheet of a longitude and latitude, in metres. */
    public Coordinate toSheet(double longitude, double latitude) {
        double[] en = eastNorth(longitude, latitude);
        double up = Math.toRadians(upAzimuthDeg);
        return new Coordinate(en[0] * Math.cos(up) - en[1] * Math.sin(up), en[0] * Math.sin(up) + en[1] * Math.cos(up));
    }

    /** Longitude and latitude, in x and y, of a place on the sheet. */
    public Coordinate toEarth(Coordinate sheet) {
        double up = Math.toRadians(upAzimuthDeg);
        double east = sheet.x * Math.cos(up) + sheet.y * Math.sin(up);
        double north = -sheet.x * Math.sin(up) + sheet.y * Math.cos(up);
        double sin = Math.sin(Math.toRadians(latitudeDeg));
        double w = Math.sqrt(1 - E2 * sin * sin);
        double meridian = A_M * (1 - E2) / (w * w * w);
        double prime = A_M / w * Math.cos(Math.toRadians(latitudeDeg));
        double longitude = longitudeDeg;
        double latitude = latitudeDeg;
        // the plane is so flat that a few corrections by the radii at its origin bring the point home
        for (int i = 0; i < ROUNDS; i++) {
            double[] en = eastNorth(longitude, latitude);
            longitude += Math.toDegrees((east - en[0]) / prime);
            latitude += Math.toDegrees((north - en[1]) / meridian);
        }
        return new Coordinate(longitude, latitude);
    }

    private double[] eastNorth(double longitude, double latitude) {
        double[] p = earthCentred(longitude, latitude);
        double[] o = earthCentred(longitudeDeg, latitudeDeg);
        double dx = p[0] - o[0];
        double dy = p[1] - o[1];
        double dz = p[2] - o[2];
        double lon = Math.toRadians(longitudeDeg);
        double lat = Math.toRadians(latitudeDeg);
        return new double[] {
            -Math.sin(lon) * dx + Math.cos(lon) * dy,
            -Math.sin(lat) * Math.cos(lon) * dx - Math.sin(lat) * Math.sin(lon) * dy + Math.cos(lat) * dz
        };
    }

    private static double[] earthCentred(double longitude, double latitude) {
        double lon = Math.toRadians(longitude);
        double lat = Math.toRadians(latitude);
        double n = A_M / Math.sqrt(1 - E2 * Math.sin(lat) * Math.sin(lat));
        return new double[] {
            n * Math.cos(lat) * Math.cos(lon), n * Math.cos(lat) * Math.sin(lon), n * (1 - E2) * Math.sin(lat)
        };
    }
}
