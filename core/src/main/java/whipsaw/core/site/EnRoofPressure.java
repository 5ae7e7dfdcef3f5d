package whipsaw.core.site;

import whipsaw.core.table.EnTables;

/**
 * External pressure coefficient at a place on a flat roof, EN 1991-1-4 7.2.3: the pressure on the
 * covering, which is no coefficient of a tilted panel.
 *
 * @param cpe by the loaded area, linear in its logarithm between 1 and 10 m2
 */
public record EnRoofPressure(double cpe10, double cpe1, double cpe) {

    /**
     * @param parapetOverHeight parapet height over roof height; linear between the rows of the table
     * @param areaM2 loaded area
     */
    public static EnRoofPressure of(String zone, double parapetOverHeight, double areaM2, EnTables tables) {
        double cpe10 = tables.roofCoefficient(zone, parapetOverHeight, true);
        double cpe1 = tables.roofCoefficient(zone, parapetOverHeight, false);
        double part = Math.min(1, Math.max(0, Math.log10(areaM2)));
        return new EnRoofPressure(cpe10, cpe1, cpe1 - (cpe1 - cpe10) * part);
    }
}
