package whipsaw.core.job;

/** 365 days of weather, see {@link WeatherYear}. */
final class DaysOfWeather extends DaysOfNumbers {
    DaysOfWeather() {
        super(72, "72 numbers: 24 global and 24 diffuse irradiances in W/m2 and 24 temperatures in °C,");
    }
}
