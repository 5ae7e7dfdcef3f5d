package whipsaw.core.design;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import whipsaw.core.check.Check;
import whipsaw.core.job.DocumentPatch.Change;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.Structure;
import whipsaw.core.structure.RoofMembers;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/** Strengthening that could help members that carry too much, in the bays where they do. */
final class StructureWays {
    private StructureWays() {}

    static List<SurveyWays.Idea> of(Design design, Check check, String kind) {
        List<SurveyWays.Idea> ideas = new ArrayList<>();
        for (RoofMembers.Checked checked : design.members().sets()) {
            if (check.id().equals("roof.members-" + checked.set().id())
                    && !checked.failing().isEmpty()) {
                ideas.add(work(design, checked, kind));
            }
        }
        return ideas;
    }

    private static SurveyWays.Idea work(Design design, RoofMembers.Checked checked, String kind) {
        Set<String> bays = new LinkedHashSet<>();
        checked.failing()
                .forEach(m -> bays.add(design.plan().bays().get(m.line().bay()).name()));
        List<RoofMembers.Member> there = checked.members().stream()
                .filter(m ->
                        bays.contains(design.plan().bays().get(m.line().bay()).name()))
                .toList();
        UnitSystem units = design.job().project().units();
        double length = there.stream().mapToDouble(m -> m.line().spanM()).sum();
        String where = String.join(", ", bays);
        String name = checked.set().name();
        String more = Show.in(units, Dimension.ROOF_LENGTH, length);
        String words =
                switch (kind) {
                    case "double" -> "Another beside each of the " + there.size() + " " + name + " in " + where + ": "
                            + more + " more of the same section, bolted through";
                    case "between" -> "One more between each two of the " + name + " in " + where + ": " + more
                            + " more";
                    default -> "A support at midspan of the " + there.size() + " " + name + " in " + where
                            + ": " + there.size() + " reactions of up to "
                            + Show.both(units, Dimension.FORCE, reaction(there)) + " to carry down";
                };
        Map<String, Object> work = new LinkedHashMap<>();
        work.put("id", freeId(design.job().roof().fabric().structure(), kind));
        work.put("members", checked.set().id());
        work.put("kind", kind);
        work.put("bays", where);
        return new SurveyWays.Idea(words, List.of(Change.append(JobPaths.STRUCTURE.to(Structure::works), work)));
    }

    private static String freeId(Structure structure, String kind) {
        int n = 1;
        while (taken(structure, kind + "-" + n)) {
            n++;
        }
        return kind + "-" + n;
    }

    private static boolean taken(Structure structure, String id) {
        return structure.works().stream().anyMatch(w -> w.id().equals(id));
    }

    /**
     * At a support in the middle: half of all the load of two simple halves. Were the member to run through, it would
     * take five eighths of a uniform load; the larger is said.
     */
    private static double reaction(List<RoofMembers.Member> members) {
        return members.stream()
                        .mapToDouble(m -> m.after().shear().effect() * 2)
                        .max()
                        .orElse(0)
                * 5
                / 8;
    }
}
