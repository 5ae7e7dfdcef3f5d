package whipsaw.core.holddown;

import java.util.Comparator;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.job.Job;
import whipsaw.core.job.Site;
import whipsaw.core.roof.RoofFace;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.site.LowSlopeZones;
import whipsaw.core.site.SiteActions;
import whipsaw.core.site.VelocityPressure;
import whipsaw.core.table.CodeTables;
import whipsaw.core.table.Curve;
import whipsaw.core.table.EditionTable;
import whipsaw.core.table.PanelTables;
import whipsaw.core.units.Limits;
import whipsaw.core.units.Show;
import whipsaw.core.units.Unit;
import whipsaw.core.working.DataStatus;

/**
 * What the wind does to the faces of a pitched roof and to modules parallel to them. Established for roofs up to 7 deg
 * and 60 ft by ASCE 7-16 29.4.4 and Chapter 30. On gables over 7 to 20 deg the coefficients as shipped are not sure
 * enough; once somebody has confirmed them, the worst of their zones is taken all over. Elsewhere an engineer's value
 * takes its place.
 *
 * @param missing why there is no method; empty where there is one
 * @param qhPa velocity pressure at mean roof height; NaN without a method
 * @param internal coefficient of the pressure inside; NaN without a method
 * @param zones of the roof; null without a method, and on steeper gables, of which the worst zone is taken
 * @param engineerPa net uplift by an engineer; NaN when none was given
 */
public record FaceWind(
        String missing, double qhPa, double internal, LowSlopeZones zones, double engineerPa, PanelTables tables) {
    /** Null for flat roofs. */
    public static FaceWind of(Job job, RoofPlan plan, CodeTables tables) {
        if (job.roof().fabric().flat()) {
            return null;
        }
        var loads = job.roof().fabric().structure().onFaces();
        double engineer = loads.uplift() == null ? Double.NaN : loads.uplift().si();
        String missing = missing(job, plan, tables);
        if (!missing.isEmpty()) {
            return new FaceWind(missing, Double.NaN, Double.NaN, null, engineer, tables.panels());
        }
        return new FaceWind(
                "",
                chapter30(job, tables).pressurePa(),
                tables.panels().internal(loads.partlyEnclosed() ? "partially_enclosed" : "enclosed"),
                lowSlope(steepestDeg(plan), tables) ? LowSlopeZones.of(plan, tables.zones()) : null,
                engineer,
                tables.panels());
    }

    /** Velocity pressure for the coefficients of Chapter 30, at mean roof height; null without a wind speed. */
    static VelocityPressure chapter30(Job job, CodeTables tables) {
        // below it exposure B is taken as at this height: the safe one of two readings of Table 26.10-1
        double lowestB = Unit.FOOT.toSi(tables.zones().value("exposure_b_least_height_ft"));
        boolean sheltered =
                ((Site.AsceSite) job.site().code()).ground().exposure().equals("B");
        return SiteActions.velocity(job, sheltered ? lowestB : VelocityPressure.LOWEST_HEIGHT_M, tables);
    }

    private static String missing(Job job, RoofPlan plan, CodeTables tables) {
        if (!(job.site().code() instanceof Site.AsceSite site)) {
            return "coefficients of pitched roofs in the EN family";
        }
        if (site.wind() == null) {
            return "the wind speed";
        }
        if (!tables.editions().has(site.edition(), EditionTable.Part.ROOF_ZONES)) {
            return EditionTable.Part.ROOF_ZONES.missing(site.edition());
        }
        double steepest = steepestDeg(plan);
        if (!lowSlope(steepest, tables)) {
            String steep = steep(plan, steepest, tables);
            if (!steep.isEmpty()) {
                return steep;
            }
        }
        double most = tables.zones().value("low_slope_most_height_ft");
        return Limits.above(Unit.FOOT.fromSi(job.roof().height().si()), most)
                ? "coefficients of roofs over " + Show.number(most, 0) + " ft"
                : "";
    }

    /** A slope is known to no more than a thousandth of a degree. */
    private static double steepestDeg(RoofPlan plan) {
        double steepest = plan.faces().faces().stream()
                .mapToDouble(RoofFace::slopeDeg)
                .max()
                .orElse(0);
        return Math.round(steepest * 1000) / 1000.0;
    }

    private static boolean lowSlope(double steepestDeg, CodeTables tables) {
        return Limits.atMost(steepestDeg, tables.zones().value("low_slope_most_deg"));
    }

    /** Why a roof over 7 deg has no coefficients; empty for a plain gable when those of the table were confirmed. */
    private static String steep(RoofPlan plan, double steepestDeg, CodeTables tables) {
        double flatEnough = tables.zones().value("low_slope_most_deg");
        double most = tables.zones().value("gable_most_deg");
        String over = "coefficients of roofs over ";
        if (Limits.above(steepestDeg, most)) {
            return over + Show.number(most, 0) + " deg: none at hand";
        }
        List<RoofFace> faces = plan.faces().faces();
        boolean gable = faces.size() == 2
                && faces.get(0).upX() * faces.get(1).upX()
                                + faces.get(0).upY() * faces.get(1).upY()
                        < -1 + 1e-4
                && faces.stream().allMatch(f -> Limits.above(f.slopeDeg(), flatEnough));
        if (!gable) {
            return over + Show.number(flatEnough, 1) + " deg that are no plain gable: none at hand";
        }
        return tables.panels().gableTable().status() == DataStatus.CONFIRMED
                ? ""
                : over + Show.number(flatEnough, 1) + " to " + Show.number(most, 0)
                        + " deg: those at hand are not sure enough until somebody confirms them under Code tables";
    }

    /** Whether the worst zone of steeper gables is taken all over. */
    public boolean steep() {
        return established() && zones == null;
    }

    /** Suction of the outside in a zone at an area. */
    public Curve suction(String zone) {
        return steep() ? tables.gableSuction(zone) : tables.lowSlopeSuction(zone);
    }

    /** The zone of steeper gables that takes most suction at an area. */
    private String worstOfGable(double areaM2) {
        double ft2 = Unit.SQUARE_FOOT.fromSi(areaM2);
        return tables.gableZones().stream()
                .min(Comparator.comparingDouble(z -> tables.gableSuction(z).at(ft2)))
                .orElseThrow();
    }

    /** A zone as the standard writes it. */
    public static String shown(String zone) {
        return zone.equals("1p") ? "1'" : zone.replace("_", ", ");
    }

    /** Whether a method gives the pressures. */
    public boolean established() {
        return missing.isEmpty();
    }

    /** Whether there is an uplift to reckon with, by the method or by an engineer. */
    public boolean known() {
        return established() || !Double.isNaN(engineerPa);
    }

    /** @param areaM2 looked at, which decides between the zones of steeper gables */
    public String zone(double x, double y, double areaM2) {
        if (steep()) {
            return worstOfGable(areaM2);
        }
        Coordinate at = new Coordinate(x, y);
        return zones.zone(new Coordinate[] {at, at, at, at});
    }

    /** Net uplift on the bare roof at a place for a member that carries an area, the larger of the two when an engineer gave one. */
    public double roofPa(double x, double y, double areaM2) {
        if (!established()) {
            return engineerPa;
        }
        double suction = suction(zone(x, y, areaM2)).at(Unit.SQUARE_FOOT.fromSi(areaM2));
        double method = qhPa * (internal - suction);
        return Double.isNaN(engineerPa) ? method : Math.max(method, engineerPa);
    }

    /** The same where modules parallel to the roof lie, taken as at the edge of their array; what is inside pushes as before. */
    public double withModulesPa(double x, double y, double areaM2) {
        if (!established()) {
            return engineerPa;
        }
        FlushPanel.Pressure p = panel(zone(x, y, areaM2), areaM2);
        double method = p.upliftPa() + qhPa * internal;
        return Double.isNaN(engineerPa) ? method : Math.max(method, engineerPa);
    }

    /** Pressures on modules in a zone, uplift as at the edge of their array. */
    public FlushPanel.Pressure panel(String zone, double areaM2) {
        return FlushPanel.of(
                qhPa,
                areaM2,
                zone,
                true,
                new FlushPanel.Coefficients(
                        suction(zone),
                        steep() ? null : tables.lowSlopePressure(),
                        steep() ? tables.gableTable() : tables.lowSlopeTable()),
                tables);
    }
}
