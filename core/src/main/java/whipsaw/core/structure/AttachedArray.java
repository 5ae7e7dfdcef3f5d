package whipsaw.core.structure;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.holddown.Ballast;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.job.Job;
import whipsaw.core.table.CodeTables;
import whipsaw.core.table.EditionTable;
import whipsaw.core.units.Limits;

/**
 * Attachments of an array that weight alone does not hold: what full positions leave over, pooled along each row, with
 * linear interaction of tension and shear; and in ASCE 7 the seismic force of the whole array, since one that is
 * attached anywhere is taken as attached. A first estimate: that the racking carries the load to them, and where they
 * stand, is not worked out.
 *
 * @param rows that need any
 * @param quake seismic force; null where it is not asked for or not known
 * @param missing why the seismic force is not known; empty when it is or is not asked for
 */
public record AttachedArray(Job.Attachments each, List<Row> rows, Quake quake, String missing) {
    public AttachedArray {
        rows = List.copyOf(rows);
    }

    /**
     * @param name of the row's first module
     * @param positions that lack weight
     */
    public record Row(String name, int positions, double tensionN, double shearN, int attachments) {}

    /**
     * Force along the roof, ASCE 7-16 13.3.1 at the height of the roof.
     *
     * @param weightN of the array with its blocks
     * @param forceN F_p at strength level
     * @param byRule which of the three rules gives it, in words
     * @param allowableN the force at the level of the job: allowable stress or strength
     */
    public record Quake(double weightN, double forceN, String byRule, double allowableN, int attachments) {}

    public int byWind() {
        return rows.stream().mapToInt(Row::attachments).sum();
    }

    /** Attachments of the whole array. */
    public int needed() {
        return Math.max(byWind(), quake == null ? 0 : quake.attachments());
    }

    /** Null where weight alone holds the array, or nothing was entered that holds it beside. */
    public static AttachedArray of(Job job, ArrayLayout layout, HoldDown holdDown, RoofLoads loads, CodeTables tables) {
        Job.Attachments each = job.array().attachments();
        if (each == null || !holdDown.established() || !job.roof().takesTrays()) {
            return null;
        }
        List<Row> rows = rows(each, layout, holdDown);
        if (rows.isEmpty()) {
            return null;
        }
        if (!(job.site().code() instanceof Job.AsceSite site)) {
            return new AttachedArray(each, rows, null, "");
        }
        String missing = "";
        if (!tables.editions().has(site.edition(), EditionTable.Part.SEISMIC)) {
            missing = EditionTable.Part.SEISMIC.missing(site.edition());
        } else if (Double.isNaN(site.sds())) {
            missing = "S_DS";
        }
        Quake quake = missing.isEmpty()
                ? quake(each, site.sds(), site.edition().strength(), loads.totalKg() * Ballast.GRAVITY, tables)
                : null;
        return new AttachedArray(each, rows, quake, missing);
    }

    private static List<Row> rows(Job.Attachments each, ArrayLayout layout, HoldDown holdDown) {
        List<Row> rows = new ArrayList<>();
        int next = 0;
        List<HoldDown.Position> positions = holdDown.positions();
        for (ArrayLayout.Run run : layout.runs()) {
            double tension = 0;
            double shear = 0;
            int full = 0;
            // positions stand in the order of their modules
            while (next < positions.size() && last(positions.get(next)) <= run.lastIndex()) {
                Ballast b = positions.get(next++).ballast();
                tension += b.tensionN();
                shear += b.shearN();
                full += b.full() ? 1 : 0;
            }
            if (full > 0) {
                int n = Math.max(
                        1,
                        Limits.ceil(tension / each.tension().si()
                                + shear / each.shear().si()));
                rows.add(new Row(layout.modules().get(run.firstIndex()).number(), full, tension, shear, n));
            }
        }
        return rows;
    }

    private static int last(HoldDown.Position p) {
        return p.shares().get(p.shares().size() - 1).module();
    }

    private static Quake quake(Job.Attachments each, double sds, boolean strength, double weightN, CodeTables tables) {
        double ap = tables.seismic().value("attached_ap");
        double rp = tables.seismic().value("attached_rp");
        double basic = 0.4 * ap * sds * weightN / rp * (1 + 2); // z = h, I_p = 1
        double least = tables.seismic().value("attached_least") * sds * weightN;
        double most = tables.seismic().value("attached_most") * sds * weightN;
        double force = Math.min(most, Math.max(least, basic));
        String rule = force == basic ? "13.3-1" : force == least ? "13.3-3, the least" : "13.3-2, the most";
        double allowable = strength ? force : tables.seismic().value("attached_asd") * force;
        return new Quake(
                weightN,
                force,
                "Eq. " + rule,
                allowable,
                Limits.ceil(allowable / each.shear().si()));
    }
}
