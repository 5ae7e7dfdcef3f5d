package whipsaw.core.structure;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import whipsaw.core.holddown.Ballast;
import whipsaw.core.job.Job;
import whipsaw.core.job.Structure;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.structure.RoofMembers.Foot;
import whipsaw.core.structure.RoofMembers.Member;
import whipsaw.core.table.CodeTables;

/**
 * Pallets and stacks set down while building: their pressure against the construction load that is allowed, and the
 * members below with everything of the same stage on the roof, without snow, other live load or the array.
 */
public final class SetDowns {
    /** A stack is handed to the deck at the middles of so many strips each way. */
    private static final int STRIPS = 4;

    private static final int HIGHEST = 12;

    private SetDowns() {}

    /**
     * One thing set down.
     *
     * @param pressurePa on its footprint
     * @param allowedPa construction load; NaN when not known
     * @param worst member below it that is used most; null where none is known
     * @param inTheWay what it stands on or over: an edge, or a thing by name; empty for free roof
     * @param mostHigh how many may stand on each other here with the rest of the stage as it is; 0 for none, -1 when
     *     neither the load nor members are known
     */
    public record Stand(
            Structure.SetDown what, double pressurePa, double allowedPa, Member worst, String inTheWay, int mostHigh) {
        public boolean known() {
            return worst != null || !Double.isNaN(allowedPa);
        }

        public double utilisation() {
            double pressure = Double.isNaN(allowedPa) ? 0 : pressurePa / allowedPa;
            return worst == null ? pressure : Math.max(pressure, worst.after().utilisation());
        }
    }

    public static List<Stand> of(Job job, RoofPlan plan, CodeTables tables) {
        Structure structure = job.roof().fabric().structure();
        Map<String, List<Structure.SetDown>> stages = new LinkedHashMap<>();
        structure.setDowns().forEach(s -> stages.computeIfAbsent(s.stage(), k -> new ArrayList<>())
                .add(s));
        List<Stand> stands = new ArrayList<>();
        for (List<Structure.SetDown> stage : stages.values()) {
            for (Structure.SetDown s : stage) {
                stands.add(stand(job, plan, tables, stage, s));
            }
        }
        return stands;
    }

    private static Stand stand(
            Job job, RoofPlan plan, CodeTables tables, List<Structure.SetDown> stage, Structure.SetDown s) {
        Structure structure = job.roof().fabric().structure();
        double allowed = structure.construction() == null
                ? Double.NaN
                : structure.construction().si();
        Stand now = at(job, plan, tables, stage, s, s.high(), allowed, -1);
        if (!now.known()) {
            return now;
        }
        int high = 0;
        while (high < HIGHEST
                && at(job, plan, tables, stage, s, high + 1, allowed, 0).utilisation() <= 1) {
            high++;
        }
        return at(job, plan, tables, stage, s, s.high(), allowed, high);
    }

    private static Stand at(
            Job job,
            RoofPlan plan,
            CodeTables tables,
            List<Structure.SetDown> stage,
            Structure.SetDown s,
            int high,
            double allowedPa,
            int mostHigh) {
        double area = s.width().si() * s.depth().si();
        double pressure = s.mass().si() * high * Ballast.GRAVITY / area;
        return new Stand(
                s, pressure, allowedPa, worst(job, plan, tables, stage, s, high), inTheWay(job, plan, s), mostHigh);
    }

    private static Member worst(
            Job job, RoofPlan plan, CodeTables tables, List<Structure.SetDown> stage, Structure.SetDown s, int high) {
        Structure structure = job.roof().fabric().structure();
        if (structure.members().isEmpty()
                || structure.dead() == null
                || plan.bays().isEmpty()
                || !job.roof().fabric().flat()) {
            return null;
        }
        List<Foot> all = new ArrayList<>();
        stage.forEach(other -> all.addAll(feet(other, other == s ? high : other.high())));
        Envelope below = box(s);
        MemberLoads loads = MemberLoads.setDown(
                structure, all, tables.members(), job.site().code() instanceof Job.EnSite ? "en" : "asce");
        Member worst = null;
        for (MemberLines.Strip strip : MemberLines.of(plan, structure)) {
            for (Member m : loads.members(plan, structure, strip)) {
                Envelope carried = m.alongX()
                        ? new Envelope(
                                m.line().fromM(),
                                m.line().toM(),
                                m.line().lowM(),
                                m.line().highM())
                        : new Envelope(
                                m.line().lowM(),
                                m.line().highM(),
                                m.line().fromM(),
                                m.line().toM());
                boolean here = carried.intersects(below);
                if (here
                        && (worst == null
                                || m.after().utilisation() > worst.after().utilisation())) {
                    worst = m;
                }
            }
        }
        return worst;
    }

    private static Envelope box(Structure.SetDown s) {
        return new Envelope(
                s.x().si(),
                s.x().si() + s.width().si(),
                s.y().si(),
                s.y().si() + s.depth().si());
    }

    private static List<Foot> feet(Structure.SetDown s, int high) {
        List<Foot> feet = new ArrayList<>();
        double newton = s.mass().si() * high * Ballast.GRAVITY / (STRIPS * STRIPS);
        for (int i = 0; i < STRIPS; i++) {
            for (int k = 0; k < STRIPS; k++) {
                double x = s.x().si() + s.width().si() * (i + 0.5) / STRIPS;
                double y = s.y().si() + s.depth().si() * (k + 0.5) / STRIPS;
                feet.add(new Foot(x, y, newton, 0));
            }
        }
        return feet;
    }

    private static String inTheWay(Job job, RoofPlan plan, Structure.SetDown s) {
        Geometry place = plan.outline().getFactory().toGeometry(box(s));
        if (!plan.outline().covers(place)) {
            return "the edge of the roof";
        }
        for (Job.Obstruction o : job.roof().obstructions()) {
            if (RoofPlan.footprint(o).intersects(place)) {
                return o.name();
            }
        }
        return "";
    }
}
