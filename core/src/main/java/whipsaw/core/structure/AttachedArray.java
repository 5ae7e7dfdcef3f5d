package whipsaw.core.structure;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.holddown.Ballast;
import whipsaw.core.holddown.DownWind;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.holddown.LaidArray;
import whipsaw.core.job.ArrayChoice;
import whipsaw.core.job.Job;
import whipsaw.core.job.Site;
import whipsaw.core.site.SiteActions;
import whipsaw.core.table.CodeTables;
import whipsaw.core.table.EditionTable;
import whipsaw.core.table.MemberTables;
import whipsaw.core.table.WindTables;
import whipsaw.core.units.Limits;

/**
 * Attachments of an array that weight alone does not hold: what full positions leave over, pooled over no more modules
 * than the tray system has been shown to share load over, with linear interaction of tension and shear; and in ASCE 7
 * the seismic force of the whole array, since one that is attached anywhere is taken as attached. A first estimate:
 * where they stand and what they do to deck and members is not worked out. What one may take is an allowable load in
 * ASCE 7, and the forces held against it are at that level also where the job combines loads for strength.
 *
 * @param groups of positions that share attachments
 * @param pressN what weight, snow and wind press on one position at the most
 * @param quake seismic force; null where it is not asked for or not known
 * @param missing why the seismic force is not known; empty when it is or is not asked for
 */
public record AttachedArray(
        ArrayChoice.Attachments each, List<Group> groups, double pressN, Quake quake, String missing) {
    public AttachedArray {
        groups = List.copyOf(groups);
    }

    /**
     * Positions of a row that share what holds them.
     *
     * @param positions those of them that lack weight
     * @param within modules they lie under, no more than share load
     * @param areaM2 of the modules they hold
     * @param attachments the more of what tension with shear ask for, and of what the area each may serve asks for
     */
    public record Group(
            List<HoldDown.Position> positions,
            int within,
            double tensionN,
            double shearN,
            double areaM2,
            int attachments) {
        public Group {
            positions = List.copyOf(positions);
        }

        /** Number of its first position. */
        public String name() {
            return positions.get(0).number();
        }
    }

    /**
     * What an earthquake asks for.
     *
     * @param attachments that hold the force at allowable level
     */
    public record Quake(ComponentForce force, int attachments) {}

    /** Attachments the wind asks for. */
    public int byWind() {
        return groups.stream().mapToInt(Group::attachments).sum();
    }

    /** Attachments of the whole array. */
    public int needed() {
        return Math.max(byWind(), quake == null ? 0 : quake.attachments());
    }

    /** Null where weight alone holds the array, or nothing was entered that holds it beside. */
    public static AttachedArray of(
            Job job, SiteActions actions, ArrayLayout layout, HoldDown holdDown, DownWind down, CodeTables tables) {
        ArrayChoice.Attachments each = job.array().attachments();
        if (each == null || !holdDown.established() || !job.roof().takesTrays()) {
            return null;
        }
        List<Group> groups = groups(job, layout, holdDown, factors(job, tables));
        if (groups.isEmpty()) {
            return null;
        }
        double press = press(job, actions, layout, groups, down, tables);
        if (!(job.site().code() instanceof Site.AsceSite site)) {
            return new AttachedArray(each, groups, press, null, "");
        }
        String missing = "";
        if (!tables.editions().has(site.edition(), EditionTable.Part.SEISMIC)) {
            missing = EditionTable.Part.SEISMIC.missing(site.edition());
        } else if (Double.isNaN(site.sds())) {
            missing = "S_DS";
        }
        Quake quake = null;
        if (missing.isEmpty()) {
            ComponentForce force = ComponentForce.of(
                    site.sds(),
                    site.riskCategory(),
                    new LaidArray(job, layout, holdDown).kg() * Ballast.GRAVITY,
                    tables.seismic());
            quake = new Quake(
                    force, Limits.ceil(force.allowableN() / each.shear().si()));
        }
        return new AttachedArray(each, groups, press, quake, missing);
    }

    /** Load factors attachments are held against; null for those of the method. */
    public static WindTables.LoadFactors factors(Job job, CodeTables tables) {
        return job.site().code() instanceof Site.EnSite ? null : tables.wind().loadFactors("ASD");
    }

    /** @param factors attachments are held against; null for those of the method */
    private static List<Group> groups(Job job, ArrayLayout layout, HoldDown holdDown, WindTables.LoadFactors factors) {
        List<Group> groups = new ArrayList<>();
        double module = job.array().module().areaM2();
        int next = 0;
        List<HoldDown.Position> positions = holdDown.positions();
        for (ArrayLayout.Run run : layout.runs()) {
            List<HoldDown.Position> group = new ArrayList<>();
            int within = 0;
            int first = 0;
            // positions stand in the order of their modules
            while (next < positions.size() && last(positions.get(next)) <= run.lastIndex()) {
                HoldDown.Position p = positions.get(next++);
                if (!group.isEmpty() && last(p) >= first + within) {
                    groups.add(group(job.array().attachments(), module, group, within, factors));
                    group.clear();
                }
                if (p.ballast().attached()) {
                    if (group.isEmpty()) {
                        first = p.shares().get(0).module();
                        within = holdDown.sharedModules(first, module);
                    }
                    group.add(p);
                }
            }
            if (!group.isEmpty()) {
                groups.add(group(job.array().attachments(), module, group, within, factors));
            }
        }
        return groups;
    }

    /**
     * Attachments that hold one position by itself; 1 where none is needed.
     *
     * @param moduleM2 area of a module
     * @param factors attachments are held against; null for those of the method
     */
    public static int atPosition(
            ArrayChoice.Attachments each, double moduleM2, HoldDown.Position p, WindTables.LoadFactors factors) {
        return group(each, moduleM2, List.of(p), 1, factors).attachments();
    }

    private static Group group(
            ArrayChoice.Attachments each,
            double moduleM2,
            List<HoldDown.Position> group,
            int within,
            WindTables.LoadFactors factors) {
        double tension = 0;
        double shear = 0;
        double area = 0;
        for (HoldDown.Position p : group) {
            Ballast b = p.ballast();
            Ballast.Left left = b.left(factors == null ? b.hold().factors() : factors);
            tension += left.tensionN();
            shear += left.shearN();
            area += p.shares().stream().mapToDouble(HoldDown.Share::part).sum() * moduleM2;
        }
        int n = Limits.ceil(tension / each.tension().si() + shear / each.shear().si());
        int byArea = each.part() == null || each.part().serves() == null
                ? 1
                : Limits.ceil(area / each.part().serves().si());
        return new Group(group, within, tension, shear, area, Math.max(Math.max(1, byArea), n));
    }

    /** The most that weight, snow and wind press on a position that lacks weight, at allowable level; NaN without wind. */
    private static double press(
            Job job, SiteActions site, ArrayLayout layout, List<Group> groups, DownWind down, CodeTables tables) {
        String family = MemberTables.allowable(job.site().code().combinations());
        double plan = layout.alongM() * layout.depthM();
        double most = down.known() && site.snow() != null ? 0 : Double.NaN;
        for (MemberTables.Combination c : tables.members().combinations(family, true)) {
            for (Group g : groups) {
                for (HoldDown.Position p : g.positions()) {
                    double newton = c.dead()
                            * (p.ballast().demand().ownMassKg() + p.ballast().placedKg())
                            * Ballast.GRAVITY;
                    for (HoldDown.Share share : p.shares()) {
                        double snow = site.snow() == null ? 0 : site.snow().roofPa();
                        newton += share.part() * plan * (c.wind() * down.modulePa(share.module(), 0) + c.snow() * snow);
                    }
                    most = Math.max(most, newton);
                }
            }
        }
        return most;
    }

    private static int last(HoldDown.Position p) {
        return p.shares().get(p.shares().size() - 1).module();
    }
}
