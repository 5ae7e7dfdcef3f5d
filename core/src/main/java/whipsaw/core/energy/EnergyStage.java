package whipsaw.core.energy;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.array.ModuleShade;
import whipsaw.core.circuit.Circuits;
import whipsaw.core.job.Climates;
import whipsaw.core.job.Job;
import whipsaw.core.job.Site;
import whipsaw.core.run.AcRun;
import whipsaw.core.units.Show;

/**
 * Energy of all arrays of a job in the synthetic year of its climate. Modules alike are computed once; what parapets and
 * things keep away is taken off evenly over the hours.
 */
public final class EnergyStage {
    private static final SkyModel MODEL = SkyModel.PEREZ;
    private static final double HALF_TURN = 180;

    /** Planes computed already: the open one is asked for by every row. */
    private final Map<Key, PlaneYear> planes = new HashMap<>();

    private record Key(Weather weather, PlaneYear.Plane plane, YieldSystem system) {}

    /** One array with its layout and what shades it. */
    public record Laid(Job job, ArrayLayout layout, ModuleShade shade) {}

    /**
     * Energy of one design.
     *
     * @param runs AC run of every inverter group, by its id
     */
    public static YearEnergy of(List<Laid> arrays, Circuits circuits, Map<String, AcRun> runs) {
        return new EnergyStage().year(arrays, circuits, runs);
    }

    /** The hourly year of a site: of its weather file, else the synthetic one of its climate; behind its skyline. */
    public static Weather weather(Site site) {
        return openWeather(site).behind(site.horizon());
    }

    private static Weather openWeather(Site site) {
        Climates.Kind kind = Climates.of(site);
        Climate climate = new Climate(
                site.latitude().si(),
                site.longitude().si(),
                utcOffsetH(site),
                kind.clearness(),
                kind.ambientC(),
                kind.halfRangeK(),
                kind.windMPerS(),
                kind.albedo());
        return site.weather() == null ? Weather.synthetic(climate) : Weather.measured(climate, site.weather());
    }

    /** Local standard time of the hourly year, ahead of UTC: of the weather file, else by the longitude. */
    public static double utcOffsetH(Site site) {
        return site.weather() == null
                ? Math.round(site.longitude().si() / 15)
                : site.weather().utcOffset();
    }

    /**
     * How the modules of a row lie in the world.
     *
     * @param tiltDeg to the horizon
     * @param azimuthDeg they face
     */
    public record Face(double tiltDeg, double azimuthDeg) {
        /**
         * Of a layout; of one-way rows the fall of the roof is in it.
         *
         * @param tiltDeg to the roof
         * @param looksBack whether it is the rear face of pairs
         */
        public static Face of(ArrayLayout layout, double tiltDeg, boolean looksBack) {
            double worldTilt = layout.pairs() == null ? layout.spacing().worldTiltDeg() : tiltDeg;
            double faces = layout.facingDeg() + (looksBack ? HALF_TURN : 0);
            return new Face(
                    worldTilt,
                    layout.pairs() == null && Double.isFinite(layout.spacing().worldAzimuthDeg())
                            ? layout.spacing().worldAzimuthDeg()
                            : faces % 360);
        }
    }

    /** A year of a plane between others by the models of this stage, kWh by kWp before the inverter. */
    public static double dcKwhPerKwp(Job job, Weather weather, Face face, RowPlace place) {
        PlaneYear.Plane plane = new PlaneYear.Plane(face.tiltDeg(), face.azimuthDeg(), place, ShadeRule.LANDSCAPE);
        return PlaneYear.of(weather, plane, MODEL, system(job)).dcKwhPerKwp();
    }

    /** What turns light into power: usual figures, and of the module the change of V_mp with temperature for that of power. */
    private static YieldSystem system(Job job) {
        return YieldSystem.usual(job.array().module().vmpCoefficient().si() / 100, 1);
    }

    /** What is left on the way from the light to the inverters, kWh. */
    private static final class Sums {
        double all;
        double skyline;
        double open;
        double rows;
        double electric;
        double things;
        double glass;
        double warm;
        double wired;
        double inverted;
        double ac;
        double sent;
    }

    /** An array on its way to the meter. */
    private record Made(OfArray of, double[] dc) {
        private record OfArray(String id, double kwp, double dcKwh, double shaded, List<YearEnergy.Part> parts) {}

        /** With its share of what its group delivers in every hour. */
        YearEnergy.OfArray delivered(double[] delivered, double[] dcOfGroup) {
            double[] own = new double[dc.length];
            for (int h = 0; h < own.length; h++) {
                own[h] = dcOfGroup[h] > 0 ? delivered[h] * dc[h] / dcOfGroup[h] : 0;
            }
            return new YearEnergy.OfArray(of.id(), of.kwp(), of.dcKwh(), Hours.of(own), of.shaded(), of.parts());
        }
    }

    private YearEnergy year(List<Laid> arrays, Circuits circuits, Map<String, AcRun> runs) {
        Site site = arrays.get(0).job().site();
        Weather weather = weather(site);
        List<YearEnergy.OfArray> each = new ArrayList<>();
        Sums all = new Sums();
        double[] meter = new double[Weather.HOURS];
        double inverter = YieldSystem.figure("inverter");
        double available = YieldSystem.figure("availability");
        for (Circuits.Group group : circuits.groups()) {
            double[] dc = new double[Weather.HOURS];
            double kwp = 0;
            List<Made> made = new ArrayList<>();
            for (Laid a : arrays) {
                if (a.job().placed() != null && a.job().group().id().equals(group.id())) {
                    Made one = array(a, circuits, weather, all);
                    made.add(one);
                    kwp += one.of().kwp();
                    for (int h = 0; h < dc.length; h++) {
                        dc[h] += one.dc()[h];
                    }
                }
            }
            // where no share of strings over inverters was found, as many as the limit of the group asks for
            double most = group.acVa() > 0 ? group.acVa() / 1000 : kwp / dcAcMost(arrays, group.id());
            double wiring = wiringLoss(runs.get(group.id()));
            double[] delivered = new double[Weather.HOURS];
            for (int h = 0; h < dc.length; h++) {
                double ac = Math.min(inverter * dc[h], most);
                all.inverted += inverter * dc[h];
                all.ac += ac;
                // the loss goes by the square of the current
                double sent = most > 0 ? ac * (1 - wiring * ac / most) : 0;
                all.sent += sent;
                delivered[h] = sent * available;
                meter[h] += delivered[h];
            }
            made.forEach(m -> each.add(m.delivered(delivered, dc)));
        }
        return new YearEnergy(
                site.weather() == null
                        ? Climates.of(site).name()
                        : site.weather().name(),
                site.weather() != null
                        ? YearEnergy.Source.FILE
                        : site.climate().isEmpty() ? YearEnergy.Source.BY_LATITUDE : YearEnergy.Source.CHOSEN,
                each,
                all.ac,
                Hours.of(meter),
                months(meter),
                steps(all, Arrays.stream(meter).sum()));
    }

    /** Share of the power that is lost in the AC run at the rating of its inverters; 0 where none is sized. */
    private static double wiringLoss(AcRun run) {
        double drop = run == null || run.sizing() == null || run.sizing().chosen() == null
                ? 0
                : run.sizing().chosen().drop().dropPct();
        return Double.isFinite(drop) ? drop / 100 : 0;
    }

    private static List<YearEnergy.Left> steps(Sums all, double meter) {
        YieldSystem usual = YieldSystem.usual(0, 1);
        List<YearEnergy.Left> steps = new ArrayList<>();
        steps.add(new YearEnergy.Left("Sunlight on the modules, unshaded, at their rated efficiency", all.all));
        if (all.skyline < all.all) {
            steps.add(new YearEnergy.Left("Sun behind the skyline", all.skyline));
        }
        steps.addAll(List.of(
                new YearEnergy.Left("Modules in no string", all.open),
                new YearEnergy.Left("Row shading and hidden sky", all.rows),
                new YearEnergy.Left("Substrings bypassed by row shading", all.electric),
                new YearEnergy.Left("Shading by parapets and obstructions", all.things),
                new YearEnergy.Left("Reflection off the glass", all.glass),
                new YearEnergy.Left("Cell temperature", all.warm),
                new YearEnergy.Left("Dirt, mismatch and DC wiring, " + percent(usual.dcLoss()), all.wired),
                new YearEnergy.Left("Inverters, " + percent(1 - usual.inverter()), all.inverted),
                new YearEnergy.Left("Clipping at the inverters", all.ac),
                new YearEnergy.Left("AC run", all.sent),
                new YearEnergy.Left("Outages, " + percent(1 - YieldSystem.figure("availability")), meter)));
        return steps;
    }

    private static String percent(double share) {
        return Show.number(100 * share, 1) + " %";
    }

    private static double dcAcMost(List<Laid> arrays, String group) {
        return arrays.get(0).job().document().groups().stream()
                .filter(g -> g.id().equals(group))
                .findFirst()
                .orElseThrow()
                .electrical()
                .dcAcMost();
    }

    /** Share of the modules that are in a string; all of them while there are no strings at all. */
    private static double inStrings(Laid a, Circuits circuits) {
        int connected = circuits.of(a.job().place()).modules();
        return connected == 0 ? 1 : connected / (double) a.layout().modules().size();
    }

    private Made array(Laid a, Circuits circuits, Weather weather, Sums all) {
        double[] dcOfArray = new double[Weather.HOURS];
        Job job = a.job();
        ArrayLayout layout = a.layout();
        YieldSystem system = system(job);
        double kw = job.array().module().power().si() / 1000;
        double slope = job.array().module().width().si();
        double tilt = job.array().tilt().si();
        double shaded = Arrays.stream(a.shade().yearShare())
                .filter(Double::isFinite)
                .average()
                .orElse(0);
        double connected = inStrings(a, circuits);
        List<YearEnergy.Part> parts = new ArrayList<>();
        double dcKwh = 0;
        for (RowPlaces.Alike alike : RowPlaces.of(layout, slope, tilt)) {
            Face face = Face.of(layout, tilt, alike.looksBack());
            double worldTilt = face.tiltDeg();
            double azimuth = face.azimuthDeg();
            PlaneYear year = plane(weather, worldTilt, azimuth, alike.place(), system);
            PlaneYear open = plane(weather, worldTilt, azimuth, RowPlace.open(slope, worldTilt), system);
            PlaneYear.Light l = year.light();
            double left = 1 - shaded * (l.behindGlass() == 0 ? 0 : l.direct() / l.behindGlass());
            double power = kw * alike.modules() * connected;
            Weather level = openWeather(job.site());
            PlaneYear unhidden = plane(level, worldTilt, azimuth, RowPlace.open(slope, worldTilt), system);
            all.all += kw * alike.modules() * unhidden.light().planeOfArray();
            all.skyline += kw * alike.modules() * open.light().planeOfArray();
            all.open += power * open.light().planeOfArray();
            all.rows += power * l.planeOfArray();
            all.electric += power * l.electric();
            all.things += power * l.electric() * left;
            all.glass += power * l.behindGlass() * left;
            all.warm += power * l.warm() * left;
            double made = 0;
            for (int h = 0; h < Weather.HOURS; h++) {
                double dc = power * left * year.dc()[h];
                made += dc;
                dcOfArray[h] += dc;
            }
            all.wired += made;
            dcKwh += made;
            parts.add(new YearEnergy.Part(words(layout, alike), alike.modules(), made / power));
        }
        return new Made(new Made.OfArray(job.place(), kw * layout.modules().size(), dcKwh, shaded, parts), dcOfArray);
    }

    private PlaneYear plane(Weather weather, double tilt, double azimuth, RowPlace place, YieldSystem system) {
        Key key = new Key(weather, new PlaneYear.Plane(tilt, azimuth, place, ShadeRule.LANDSCAPE), system);
        return planes.computeIfAbsent(key, k -> PlaneYear.of(k.weather(), k.plane(), MODEL, k.system()));
    }

    private static String words(ArrayLayout layout, RowPlaces.Alike alike) {
        String face = layout.pairs() == null ? "" : alike.looksBack() ? "rear face, " : "front face, ";
        return face + (Double.isInfinite(alike.place().clearM()) ? "in the open" : "behind a row");
    }

    private static List<Double> months(double[] ac) {
        Double[] sums = new Double[12];
        Arrays.fill(sums, 0.0);
        for (int h = 0; h < ac.length; h++) {
            sums[Weather.monthOf(h)] += ac[h];
        }
        return List.of(sums);
    }
}
