package whipsaw.core.structure;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import whipsaw.core.holddown.Ballast;
import whipsaw.core.holddown.DownWind;
import whipsaw.core.job.Job;
import whipsaw.core.job.Obstruction;
import whipsaw.core.job.Structure;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.structure.RoofMembers.Foot;
import whipsaw.core.structure.RoofMembers.Member;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Limits;

/**
 * Pallets and stacks set down while building: their pressure against the construction load that is allowed, and the
 * members below with everything of the same stage on the roof, without snow, other live load or the array.
 */
public final class SetDowns {
    /** A stack is handed to the deck at the middles of so many strips each way. */
    private static final int STRIPS = 4;

    private static final int HIGHEST = 12;

    private final Job job;
    private final RoofPlan plan;
    private final CodeTables tables;
    private final Structure structure;
    private final double allowedPa;

    /** Members there are; none where they or their load are not known. */
    private final List<MemberLines.Strip> strips;

    private SetDowns(Job job, RoofPlan plan, CodeTables tables) {
        this.job = job;
        this.plan = plan;
        this.tables = tables;
        this.structure = job.roof().fabric().structure();
        this.allowedPa = structure.construction() == null
                ? Double.NaN
                : structure.construction().si();
        boolean known = structure.dead() != null
                && !plan.bays().isEmpty()
                && job.roof().fabric().flat();
        this.strips = known ? MemberLines.of(plan, structure) : List.of();
    }

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
        /** Whether anything can be said of it. */
        public boolean known() {
            return worst != null || !Double.isNaN(allowedPa);
        }

        /** The larger share of the construction load and of the members below. */
        public double utilisation() {
            double pressure = Double.isNaN(allowedPa) ? 0 : pressurePa / allowedPa;
            return worst == null ? pressure : Math.max(pressure, worst.after().utilisation());
        }
    }

    /** All stacks of a job, each with those of its stage on the roof. */
    public static List<Stand> of(Job job, RoofPlan plan, CodeTables tables) {
        Map<String, List<Structure.SetDown>> stages = new LinkedHashMap<>();
        job.roof().fabric().structure().setDowns().forEach(s -> stages.computeIfAbsent(
                        s.stage(), k -> new ArrayList<>())
                .add(s));
        List<Stand> stands = new ArrayList<>();
        if (!stages.isEmpty()) {
            SetDowns all = new SetDowns(job, plan, tables);
            stages.values().forEach(stage -> stage.forEach(s -> stands.add(all.stand(stage, s))));
        }
        return stands;
    }

    private Stand stand(List<Structure.SetDown> stage, Structure.SetDown s) {
        Stand now = at(stage, s, s.high(), -1);
        if (!now.known()) {
            return now;
        }
        // more on each other never uses less
        int fits = 0;
        int over = HIGHEST + 1;
        while (over - fits > 1) {
            int middle = (fits + over) / 2;
            if (Limits.atMost(at(stage, s, middle, 0).utilisation(), 1)) {
                fits = middle;
            } else {
                over = middle;
            }
        }
        return at(stage, s, s.high(), fits);
    }

    private Stand at(List<Structure.SetDown> stage, Structure.SetDown s, int high, int mostHigh) {
        double area = s.width().si() * s.depth().si();
        double pressure = s.mass().si() * high * Ballast.GRAVITY / area;
        return new Stand(s, pressure, allowedPa, worst(stage, s, high), inTheWay(s), mostHigh);
    }

    private Member worst(List<Structure.SetDown> stage, Structure.SetDown s, int high) {
        if (strips.isEmpty()) {
            return null;
        }
        List<Foot> all = new ArrayList<>();
        stage.forEach(other -> all.addAll(feet(other, other == s ? high : other.high())));
        Envelope below = box(s);
        MemberLoads loads = MemberLoads.setDown(
                structure, all, tables.members(), job.site().code().combinations());
        Member worst = null;
        for (MemberLines.Strip strip : strips) {
            for (Member m : loads.members(
                    plan, structure, strip, line -> carried(strip, line).intersects(below))) {
                boolean more =
                        worst == null || m.after().utilisation() > worst.after().utilisation();
                worst = more ? m : worst;
            }
        }
        return worst;
    }

    /** The roof a member carries. */
    private static Envelope carried(MemberLines.Strip strip, MemberLines.Line line) {
        return strip.alongX()
                ? new Envelope(line.fromM(), line.toM(), line.lowM(), line.highM())
                : new Envelope(line.lowM(), line.highM(), line.fromM(), line.toM());
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
                feet.add(new Foot(x, y, newton, 0, DownWind.NOT_A_MODULE));
            }
        }
        return feet;
    }

    private String inTheWay(Structure.SetDown s) {
        Geometry place = plan.outline().getFactory().toGeometry(box(s));
        if (!plan.outline().covers(place)) {
            return "the edge of the roof";
        }
        for (Obstruction o : job.roof().obstructions()) {
            if (RoofPlan.footprint(o).intersects(place)) {
                return o.name();
            }
        }
        return "";
    }
}
