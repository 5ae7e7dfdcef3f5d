package whipsaw.core.job;

import java.util.List;
import whipsaw.core.schema.Input;

/**
 * A year of hourly weather from a file, 29 February left out. Hours are local standard time; the first one of a day ends
 * at one o'clock.
 *
 * @param name where it was measured or made for, and the source
 * @param latitude of that place, degrees, north positive
 * @param longitude degrees, east positive
 * @param utcOffset local standard time ahead of UTC, h
 * @param wind mean of the file, m/s at 10 m
 * @param days 365 times 24 global horizontal and 24 diffuse horizontal irradiances, W/m2, and 24 air temperatures, °C
 */
public record WeatherYear(
        @Input(label = "Weather file", longest = 160) String name,
        @Input(label = "Latitude of the weather file", least = -66, most = 66, unit = "°") double latitude,
        @Input(label = "Longitude of the weather file", least = -180, most = 180, unit = "°") double longitude,
        @Input(label = "Hours ahead of UTC", least = -12, most = 14, unit = "h") double utcOffset,
        @Input(label = "Mean wind", least = 0, most = 30, unit = "m/s") double wind,
        @Input(label = "Days of weather", least = -70, most = 1500, as = DaysOfWeather.class) List<Double> days) {
    private static final int HOURS = 24;
    private static final int PER_DAY = 72;
    private static final double EARTH_KM = 6371;
    private static final int SAMPLE = 600;

    public WeatherYear {
        days = List.copyOf(days);
    }

    /** Global horizontal irradiance of an hour of the year, W/m2. */
    public double global(int hour) {
        return days.get(hour / HOURS * PER_DAY + hour % HOURS);
    }

    /** Diffuse horizontal irradiance, W/m2. */
    public double diffuse(int hour) {
        return days.get(hour / HOURS * PER_DAY + HOURS + hour % HOURS);
    }

    /** Air temperature, °C. */
    public double ambientC(int hour) {
        return days.get(hour / HOURS * PER_DAY + 2 * HOURS + hour % HOURS);
    }

    /** How far its place is from another, km. */
    public double kmFrom(double otherLatitude, double otherLongitude) {
        double a = Math.toRadians(latitude);
        double b = Math.toRadians(otherLatitude);
        double cos = Math.sin(a) * Math.sin(b)
                + Math.cos(a) * Math.cos(b) * Math.cos(Math.toRadians(longitude - otherLongitude));
        return EARTH_KM * Math.acos(Math.max(-1, Math.min(1, cos)));
    }

    /** Of a part of it: a year is looked up often and has 26,280 numbers. */
    @Override
    public int hashCode() {
        return 31 * name.hashCode()
                + days.subList(0, Math.min(SAMPLE, days.size())).hashCode();
    }

    @Override
    public boolean equals(Object other) {
        return this == other
                || other instanceof WeatherYear w
                        && w.name.equals(name)
                        && w.latitude == latitude
                        && w.longitude == longitude
                        && w.utcOffset == utcOffset
                        && w.wind == wind
                        && w.days.equals(days);
    }
}
