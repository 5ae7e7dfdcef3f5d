package whipsaw.core.structure;

import whipsaw.core.array.ArrayLayout;
import whipsaw.core.holddown.Ballast;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.job.Fabric;
import whipsaw.core.job.Job;
import whipsaw.core.site.SiteActions;
import whipsaw.core.table.CodeTables;

/**
 * Pressure under the feet of the heaviest module against the insulation below. A module stands on four feet alike; a
 * board over the insulation would spread it and is not counted.
 *
 * @param module number of the heaviest
 * @param lastingPa from module, racking and blocks
 * @param withSnowPa with the even snow on the module
 * @param strengthPa compressive strength of the insulation; NaN when not known
 * @param lastingMostPa what may last on it
 * @param withSnowMostPa what may act with snow
 */
public record FootPressure(
        String module,
        double massKg,
        double areaM2,
        double lastingPa,
        double withSnowPa,
        double strengthPa,
        double lastingMostPa,
        double withSnowMostPa) {
    private static final int FEET = 4;

    /** Null while the foot or the insulation is not known, or nothing stands on the roof. */
    public static FootPressure of(Job job, SiteActions site, ArrayLayout layout, HoldDown holdDown, CodeTables tables) {
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
        double[] kg = RoofLoads.perModule(job, layout, holdDown);
        int worst = 0;
        for (int i = 1; i < kg.length; i++) {
            worst = kg[i] > kg[worst] ? i : worst;
        }
        double area = job.array().tray().footLength().si()
                * job.array().tray().footWidth().si();
        double lasting = kg[worst] * Ballast.GRAVITY / FEET / area;
        double snow = site.snow() == null
                ? Double.NaN
                : site.snow().roofPa() * layout.alongM() * layout.depthM() / FEET / area;
        double strength = built.deck().strength() == null
                ? Double.NaN
                : built.deck().strength().si();
        return new FootPressure(
                layout.modules().get(worst).number(),
                kg[worst],
                area,
                lasting,
                lasting + snow,
                strength,
                strength * tables.feet().value("lasting_share_of_strength"),
                strength * tables.feet().value("with_snow_share_of_strength"));
    }

    /** The larger of both; NaN when something is not known. */
    public double utilisation() {
        return Math.max(lastingPa / lastingMostPa, withSnowPa / withSnowMostPa);
    }
}
