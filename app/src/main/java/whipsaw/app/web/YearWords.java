package whipsaw.app.web;

import whipsaw.core.design.Design;
import whipsaw.core.energy.YearEnergy;
import whipsaw.core.energy.YieldSystem;
import whipsaw.core.job.WeatherYear;
import whipsaw.core.units.Show;

/** Which hourly year the energy is of, for readers. */
final class YearWords {
    private YearWords() {}

    /** In one sentence, with what it is good for. */
    static String of(Design design) {
        YearEnergy year = design.whole().year();
        WeatherYear file = design.job().site().weather();
        return switch (year.source()) {
            case BY_LATITUDE -> "Energy is for the synthetic year of a " + year.climate()
                    + " climate, assumed from the latitude: good for comparing options, no forecast.";
            case CHOSEN -> "Energy is for the synthetic year of a " + year.climate()
                    + " climate: good for comparing options, no forecast.";
            case FILE -> "Energy is for the weather file " + year.climate() + far(design, file)
                    + ": one year's weather, no forecast.";
        };
    }

    private static String far(Design design, WeatherYear file) {
        double km = file.kmFrom(
                design.job().site().latitude().si(),
                design.job().site().longitude().si());
        return km < YieldSystem.figure("weather_far_km") ? "" : ", of a place " + Show.number(km, 0) + " km away";
    }
}
