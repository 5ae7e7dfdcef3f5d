package whipsaw.core.energy;

import java.time.Duration;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import net.e175.klaus.solarpositioning.SPA;
import whipsaw.core.array.SunPosition;
import whipsaw.core.job.Horizon;
import whipsaw.core.job.WeatherYear;

/**
 * An hourly year at a place. Only hours with the sun up are kept: at night there is nothing to compute. Immutable, and
 * shared by all that is computed with it.
 */
public final class Weather {
    /** Hours of the year. */
    public static final int HOURS = 8760;

    private static final int REMEMBERED = 8;

    /** Years of the climates last asked for: positions of the sun take time. */
    private static final Map<Climate, Weather> KNOWN = new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Climate, Weather> eldest) {
            return size() > REMEMBERED;
        }
    };

    /** Years of weather files likewise. */
    private static final Map<FromFile, Weather> FILES = new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<FromFile, Weather> eldest) {
            return size() > REMEMBERED;
        }
    };

    private static final int YEAR = 2025;

    /** Terrestrial time ahead of universal time, seconds. */
    private static final double DELTA_T_S = 69;

    /** Bright and dull days in turn, and mornings clearer than afternoons: the pattern of the synthetic year. */
    private static final double[] DAYS = {1.45, 0.60, 1.25, 0.40, 1.30};

    private static final double MORNING = 1.04;
    private static final double AFTERNOON = 0.96;

    /** First day of each month, from 0. */
    private static final int[] MONTH = {0, 31, 59, 90, 120, 151, 181, 212, 243, 273, 304, 334, 365};

    private final Climate climate;
    private final List<SkyHour> light;
    /** The file it is from; null for a synthetic year. */
    private final WeatherYear file;

    private Weather(Climate climate, List<SkyHour> light, WeatherYear file) {
        this.climate = climate;
        this.light = List.copyOf(light);
        this.file = file;
    }

    /**
     * The year of a weather file, at the place of the job: direct light is what is left of global light, over the sine
     * of the sun's elevation in the middle of the hour, no more than comes from outside the atmosphere.
     *
     * @param place latitude, longitude and the roof's albedo; its clearness and temperatures are not looked at
     */
    public static Weather measured(Climate place, WeatherYear file) {
        synchronized (FILES) {
            return FILES.computeIfAbsent(new FromFile(place, file), Weather::read);
        }
    }

    private record FromFile(Climate place, WeatherYear file) {}

    private static Weather read(FromFile from) {
        WeatherYear file = from.file();
        Climate at = new Climate(
                from.place().latitudeDeg(),
                from.place().longitudeDeg(),
                file.utcOffset(),
                from.place().clearness(),
                from.place().ambientC(),
                from.place().halfRangeK(),
                file.wind(),
                from.place().albedo());
        List<SkyHour> light = new ArrayList<>();
        for (int k = 0; k < HOURS; k++) {
            double[] sun = sun(at, k);
            double global = file.global(k);
            if (sun[2] > 0 && global > 0) {
                double outside = SkyHour.extraterrestrial(k / 24 + 1);
                double diffuse = Math.min(file.diffuse(k), global);
                double beam = (global - diffuse) / Math.max(sun[2], SkyHour.LEAST_UP);
                // what a low sun cannot bring comes from all of the sky
                double direct = Math.min(beam, outside);
                light.add(SkyHour.of(k, sun, outside, global, global - direct * sun[2], direct, file.ambientC(k)));
            }
        }
        return new Weather(at, light, file);
    }

    /**
     * The synthetic year of a climate: the same for everybody who has its monthly figures, for comparing options. It
     * forecasts no real place.
     */
    public static Weather synthetic(Climate climate) {
        synchronized (KNOWN) {
            return KNOWN.computeIfAbsent(climate, Weather::made);
        }
    }

    private static Weather made(Climate climate) {
        List<SkyHour> light = new ArrayList<>();
        for (int k = 0; k < HOURS; k++) {
            double[] sun = sun(climate, k);
            if (sun[2] > 0) {
                light.add(SkyHour.of(
                        k, sun, SkyHour.extraterrestrial(k / 24 + 1), clearness(climate, k), ambientC(climate, k)));
            }
        }
        return new Weather(climate, light, null);
    }

    /** Years behind a skyline likewise. */
    private static final Map<Behind, Weather> BEHIND = new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Behind, Weather> eldest) {
            return size() > REMEMBERED;
        }
    };

    private record Behind(Weather open, List<Horizon.Point> skyline) {}

    /**
     * The same year where a skyline hides the low sun. Light from the rest of the sky is not lessened.
     *
     * @param skyline points of it; none for a level one
     */
    public Weather behind(List<Horizon.Point> skyline) {
        if (skyline.isEmpty()) {
            return this;
        }
        synchronized (BEHIND) {
            return BEHIND.computeIfAbsent(
                    new Behind(this, skyline),
                    b -> new Weather(
                            climate,
                            light.stream()
                                    .map(h -> h.elevationDeg() < Horizon.elevationDeg(skyline, h.azimuthDeg())
                                            ? h.behindSkyline()
                                            : h)
                                    .toList(),
                            file));
        }
    }

    private static double clearness(Climate climate, int hour) {
        return Math.min(
                SkyHour.CLEAREST,
                climate.clearness().get(monthOf(hour))
                        * DAYS[hour / 24 % DAYS.length]
                        * (hour % 24 < 12 ? MORNING : AFTERNOON));
    }

    private static double ambientC(Climate climate, int hour) {
        return climate.ambientC().get(monthOf(hour))
                + climate.halfRangeK() * Math.cos(2 * Math.PI * (hour % 24 + 0.5 - 15) / 24);
    }

    /** The sun at the middle of an hour by the solar position algorithm, without refraction. */
    private static double[] sun(Climate climate, int hour) {
        ZonedDateTime when = ZonedDateTime.of(YEAR, 1, 1, 0, 0, 0, 0, ZoneOffset.UTC)
                .plus(Duration.ofSeconds(Math.round((hour + 0.5 - climate.utcOffsetH()) * 3600)));
        var p = SPA.calculateSolarPosition(when, climate.latitudeDeg(), climate.longitudeDeg(), 0, DELTA_T_S);
        return SunPosition.vector(p.azimuth(), 90 - p.zenithAngle());
    }

    /** Month of an hour of the year, from 0. */
    public static int monthOf(int hour) {
        int day = hour / 24;
        int month = 0;
        while (day >= MONTH[month + 1]) {
            month++;
        }
        return month;
    }

    /**
     * Share of the direct light of the year that things on a level roof keep from a plane at a point.
     *
     * @param point x, y, height above the roof
     */
    public double beamLost(List<Prism> things, double[] point, double tiltDeg, double azimuthDeg) {
        double all = 0;
        double lost = 0;
        double[] normal = SunPosition.vector(azimuthDeg, 90 - tiltDeg);
        for (SkyHour h : light) {
            double[] sun = {h.east(), h.north(), h.up()};
            double on = h.beam() * Math.max(0, sun[0] * normal[0] + sun[1] * normal[1] + sun[2] * normal[2]);
            all += on;
            if (on > 0 && things.stream().anyMatch(t -> t.shades(point, sun))) {
                lost += on;
            }
        }
        return all == 0 ? 0 : lost / all;
    }

    /**
     * What an hour was made of.
     *
     * @param clearness index
     */
    public record Hour(
            double sunAzimuthDeg,
            double sunElevationDeg,
            double clearness,
            double global,
            double diffuse,
            double beam,
            double ambientC) {}

    /** An hour of the year; at night with its sun and without light. */
    public Hour hour(int hour) {
        for (SkyHour h : light) {
            if (h.hour() == hour) {
                return new Hour(
                        h.azimuthDeg(),
                        h.elevationDeg(),
                        h.clearness(),
                        h.global(),
                        h.diffuse(),
                        h.beam(),
                        h.ambientC());
            }
        }
        double ambient = file == null ? ambientC(climate, hour) : file.ambientC(hour);
        SkyHour night = SkyHour.of(hour, sun(climate, hour), 1, 0, 0, 0, ambient);
        double clearness = file == null ? clearness(climate, hour) : 0;
        return new Hour(night.azimuthDeg(), night.elevationDeg(), clearness, 0, 0, 0, night.ambientC());
    }

    /** Hours with the sun up, in order. */
    List<SkyHour> light() {
        return light;
    }

    /** Wind at the modules, m/s. */
    double windMPerS() {
        return climate.windMPerS();
    }

    /** Albedo of the roof. */
    double albedo() {
        return climate.albedo();
    }

    /**
     * Sums of the year.
     *
     * @param globalKwhPerM2 on the level
     * @param diffuseKwhPerM2 of it from the sky
     * @param beamKwhPerM2 normal to the sun
     * @param monthlyGlobalKwhPerM2 of each month
     * @param monthlyDiffuseKwhPerM2 of each month
     */
    public record Sums(
            double globalKwhPerM2,
            double diffuseKwhPerM2,
            double beamKwhPerM2,
            List<Double> monthlyGlobalKwhPerM2,
            List<Double> monthlyDiffuseKwhPerM2) {}

    /** The year in sums. */
    public Sums sums() {
        Double[] global = new Double[12];
        Double[] diffuse = new Double[12];
        Arrays.fill(global, 0.0);
        Arrays.fill(diffuse, 0.0);
        double beam = 0;
        for (SkyHour h : light) {
            int m = monthOf(h.hour());
            global[m] += h.global() / 1000;
            diffuse[m] += h.diffuse() / 1000;
            beam += h.beam() / 1000;
        }
        return new Sums(sum(global), sum(diffuse), beam, List.of(global), List.of(diffuse));
    }

    private static double sum(Double[] all) {
        double s = 0;
        for (double a : all) {
            s += a;
        }
        return s;
    }
}
