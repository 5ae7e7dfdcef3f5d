package whipsaw.core.structure;

import java.util.Map;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.data.CsvRows;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.holddown.LaidArray;
import whipsaw.core.job.Job;

/**
 * Lasting pressure of the heaviest module's feet on the covering itself, which may flow in summer heat. A plate under
 * each foot spreads it, if it is stiff enough.
 *
 * @param module number of the heaviest
 * @param massKg of it
 * @param areaM2 of a foot, or of the plate under it; NaN while the foot is not known
 * @param plate whether a plate spreads it
 * @param load from module, racking and blocks; NaN while the foot is not known
 * @param coolMostPa by the maker; NaN when not known
 * @param hotMostPa the same in summer heat; NaN when not known
 * @param softens whether the heat counts
 * @param reason why the covering is asked
 */
public record CoverPressure(
        String module,
        double massKg,
        double areaM2,
        boolean plate,
        FootLoad load,
        double coolMostPa,
        double hotMostPa,
        boolean softens,
        String reason) {
    /** Null where the covering is not asked, or nothing stands on it. */
    public static CoverPressure of(Job job, ArrayLayout layout, HoldDown holdDown) {
        if (layout.modules().isEmpty() || !holdDown.established()) {
            return null;
        }
        Map<String, String> rule = CsvRows.shipped("survey/covering-feet.csv").stream()
                .filter(row -> row.get("covering").equals(job.roof().covering()))
                .findFirst()
                .orElse(null);
        double cool = job.survey().number("coverBearing");
        double hot = job.survey().number("coverBearingHot");
        boolean found = job.survey().yes("softInHeat");
        boolean softens = found || (rule != null && rule.get("softens").equals("yes"));
        boolean asked = softens || (rule != null && rule.get("own_limit").equals("yes"));
        if (!asked && Double.isNaN(cool) && Double.isNaN(hot)) {
            return null;
        }
        double[] kg = new LaidArray(job, layout, holdDown).perModuleKg();
        int worst = 0;
        for (int i = 1; i < kg.length; i++) {
            worst = kg[i] > kg[worst] ? i : worst;
        }
        double side = job.survey().number("spreaderSide");
        double foot = job.array().tray().footLength() == null
                ? Double.NaN
                : job.array().tray().footLength().si()
                        * job.array().tray().footWidth().si();
        boolean plate = side * side > (Double.isNaN(foot) ? 0 : foot);
        double area = plate ? side * side : foot;
        return new CoverPressure(
                layout.modules().get(worst).number(),
                kg[worst],
                area,
                plate,
                FootLoad.of(kg[worst], area),
                cool,
                hot,
                softens || !Double.isNaN(hot),
                found ? "found to go soft in summer heat" : rule == null ? "entered" : rule.get("reason"));
    }

    /** What lasts under a foot. */
    public double lastingPa() {
        return load.pa();
    }

    /** What may act for good: the lower one where the covering softens; NaN when not known. */
    public double mostPa() {
        return softens ? Math.min(hotMostPa, Double.isNaN(coolMostPa) ? hotMostPa : coolMostPa) : coolMostPa;
    }

    /** NaN when something is not known. */
    public double utilisation() {
        return lastingPa() / mostPa();
    }
}
