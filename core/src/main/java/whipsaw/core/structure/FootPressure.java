package whipsaw.core.structure;

import whipsaw.core.array.ArrayLayout;
import whipsaw.core.holddown.Ballast;
import whipsaw.core.holddown.DownWind;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.holddown.LaidArray;
import whipsaw.core.job.Fabric;
import whipsaw.core.job.Job;
import whipsaw.core.site.SiteActions;
import whipsaw.core.table.CodeTables;
import whipsaw.core.table.MemberTables;

/**
 * Pressure under the feet of the heaviest module, and of the one that the wind presses most, against the insulation below. A module stands on four feet alike; a
 * board over the insulation would spread it and is not counted.
 *
 * @param module number of the heaviest
 * @param load from module, racking and blocks
 * @param withSnowPa with the even snow on the module
 * @param withWindPa with wind pressing on the module, and snow with it where a combination has both; NaN when the
 *     pressure is not known
 * @param windCombination by name
 * @param strengthPa compressive strength of the insulation; NaN when not known
 * @param lastingMostPa what may last on it
 * @param withSnowMostPa what may act with snow or wind
 */
public record FootPressure(
        String module,
        double massKg,
        double areaM2,
        FootLoad load,
        double withSnowPa,
        double withWindPa,
        String windCombination,
        double strengthPa,
        double lastingMostPa,
        double withSnowMostPa) {
    static final int FEET = 4;

    /** Null while the foot or the insulation is not known, or nothing stands on the roof. */
    public static FootPressure of(
            Job job, SiteActions site, DownWind down, ArrayLayout layout, HoldDown holdDown, CodeTables tables) {
        Fabric.BuildUp built = job.roof().fabric().buildUp(0);
        boolean insulated = built != null
                && (built.deck().strength() != null
                        || !built.deck().insulation().isEmpty());
        if (job.array().tray().footLength() == null
                || !insulated
                || layout.modules().isEmpty()
                || !holdDown.established()) {
            return null;
        }
        double[] kg = new LaidArray(job, layout, holdDown).perModuleKg();
        int worst = 0;
        for (int i = 1; i < kg.length; i++) {
            worst = kg[i] > kg[worst] ? i : worst;
        }
        double area = job.array().tray().footLength().si()
                * job.array().tray().footWidth().si();
        FootLoad lasting = FootLoad.of(kg[worst], area);
        double snow = site.snow() == null
                ? Double.NaN
                : site.snow().roofPa() * layout.alongM() * layout.depthM() / FEET / area;
        Windy wind = windy(job, site, down, layout, kg, tables);
        double strength = built.deck().strength() == null
                ? Double.NaN
                : built.deck().strength().si();
        return new FootPressure(
                layout.modules().get(worst).number(),
                kg[worst],
                area,
                lasting,
                lasting.pa() + snow,
                wind.newton() / area,
                wind.combination(),
                strength,
                strength * tables.feet().value("lasting_share_of_strength"),
                strength * tables.feet().value("with_snow_share_of_strength"));
    }

    /** The foot of a module the wind and all that acts with it press most, and by which combination. */
    private record Windy(double newton, String combination) {}

    private static Windy windy(
            Job job, SiteActions site, DownWind down, ArrayLayout layout, double[] kg, CodeTables tables) {
        String family = MemberTables.allowable(job.site().code().combinations());
        double plan = layout.alongM() * layout.depthM();
        Windy worst = new Windy(down.known() && site.snow() != null ? 0 : Double.NaN, "");
        double snowPa = site.snow() == null ? Double.NaN : site.snow().roofPa();
        double module = job.array().module().areaM2();
        for (MemberTables.Combination c : tables.members().combinations(family, !family.equals("en"))) {
            for (int i = 0; i < kg.length && !c.gravity() && !Double.isNaN(worst.newton()); i++) {
                double pa = c.snow() * snowPa + c.wind() * down.modulePa(i, module);
                double newton = (c.dead() * kg[i] * Ballast.GRAVITY + pa * plan) / FEET;
                worst = newton > worst.newton() ? new Windy(newton, c.name()) : worst;
            }
        }
        return worst;
    }

    /** What lasts. */
    public double lastingPa() {
        return load.pa();
    }

    /** The larger of snow and wind with what lasts. */
    public double shortPa() {
        return Math.max(withSnowPa, withWindPa);
    }

    /** The largest share of what the insulation takes; NaN when something is not known. */
    public double utilisation() {
        return Math.max(lastingPa() / lastingMostPa, shortPa() / withSnowMostPa);
    }
}
