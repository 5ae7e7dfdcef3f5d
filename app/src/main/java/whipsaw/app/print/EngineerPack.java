package whipsaw.app.print;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import whipsaw.core.check.Check;
import whipsaw.core.check.Verdict;
import whipsaw.core.design.Design;
import whipsaw.core.job.Roof;
import whipsaw.core.job.Structure;
import whipsaw.core.structure.RoofMembers;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/**
 * What the checking engineer gets beside the sheet and the workings: members bay by bay, strengthening, and what is
 * not known as questions.
 *
 * @param conditions of the allowance
 */
public record EngineerPack(List<Member> members, List<Work> works, List<String> conditions, List<String> questions) {

    /** The member of a bay that is used most. */
    public record Member(
            String set,
            String bay,
            String number,
            String span,
            String carries,
            String before,
            String after,
            String governs) {}

    /** A line of the strengthening schedule. */
    public record Work(String members, String bays, String what, String quantity, int photos, String signed) {}

    public static EngineerPack of(Design design) {
        UnitSystem units = design.job().project().units();
        Roof.Allowance allowance = design.job().roof().allowance();
        return new EngineerPack(
                members(design, units),
                works(design, units),
                allowance == null ? List.of() : allowance.conditions(),
                questions(design));
    }

    private static List<Member> members(Design design, UnitSystem units) {
        List<Member> lines = new ArrayList<>();
        for (RoofMembers.Checked set : design.members().sets()) {
            Map<Integer, RoofMembers.Member> worst = new TreeMap<>();
            set.members()
                    .forEach(m -> worst.merge(
                            m.line().bay(),
                            m,
                            (a, b) -> b.after().utilisation() > a.after().utilisation() ? b : a));
            worst.forEach((bay, m) -> lines.add(new Member(
                    set.set().name() + ", " + set.set().type().info().name(),
                    design.plan().bays().get(bay).name(),
                    m.line().number(),
                    Show.both(units, Dimension.ROOF_LENGTH, m.spanM()),
                    Show.both(units, Dimension.ROOF_LENGTH, m.line().carriesM()),
                    Show.number(m.before().utilisation(), 2),
                    Show.number(m.after().utilisation(), 2)
                            + (m.ok() ? m.bySmallIncrease() ? ", by the rule of small increases" : "" : ", too much"),
                    m.after().governing()
                            + (m.strengthened().isEmpty() ? "" : "; " + String.join(", ", m.strengthened())))));
        }
        return lines;
    }

    private static List<Work> works(Design design, UnitSystem units) {
        List<Work> lines = new ArrayList<>();
        for (Structure.Work work : design.job().roof().fabric().structure().works()) {
            for (RoofMembers.Checked set : design.members().sets()) {
                if (!set.set().id().equals(work.members())) {
                    continue;
                }
                List<RoofMembers.Member> there = set.members().stream()
                        .filter(m -> work.bays().isEmpty()
                                || work.bays()
                                        .contains(design.plan()
                                                .bays()
                                                .get(m.line().bay())
                                                .name()))
                        .filter(m -> m.line().added() == work.kind().equals("between"))
                        .toList();
                double length =
                        there.stream().mapToDouble(m -> m.line().spanM()).sum();
                String what =
                        switch (work.kind()) {
                            case "double" -> "another beside each, bolted through its whole length";
                            case "between" -> "one more between each two";
                            default -> "a support at midspan, carried down to where it can stand";
                        };
                lines.add(new Work(
                        set.set().name(),
                        work.bays().isEmpty() ? "all" : String.join(", ", work.bays()),
                        what,
                        there.size()
                                + (work.kind().equals("support")
                                        ? " supports"
                                        : " members, " + Show.both(units, Dimension.ROOF_LENGTH, length)),
                        work.photos().size(),
                        work.signedBy().isEmpty() ? "" : work.signedBy() + ", " + work.signedOn()));
            }
        }
        return lines;
    }

    private static List<String> questions(Design design) {
        List<String> questions = new ArrayList<>();
        for (Check c : design.checks()) {
            if (c.verdict() == Verdict.NOT_ESTABLISHED || c.verdict() == Verdict.NEEDS_ENGINEER) {
                questions.add(c.heading() + ": " + c.demand() + (c.remark().isEmpty() ? "" : "; " + c.remark()) + ".");
            }
        }
        Structure s = design.job().roof().fabric().structure();
        if (s.members().isEmpty()) {
            questions.add(
                    "What carries the roof is not known: deck, joists, purlins and girders with spans, sections and spacings.");
        } else {
            questions.add("Are the members as entered: sections, spans, end conditions, condition and connections?");
            List<String> ends = s.members().stream()
                    .filter(m -> m.bearing() == null)
                    .map(Structure.Members::name)
                    .toList();
            if (!ends.isEmpty()) {
                questions.add("What is the allowable end reaction of: " + String.join(", ", ends) + "?");
            }
            if (s.deck() == null && design.faceWind() == null) {
                questions.add("Which deck spans between the members, and what may one foot put on it?");
            }
        }
        Roof.Allowance allowance = design.job().roof().allowance();
        if (allowance != null && !allowance.conditions().isEmpty()) {
            questions.add("Are the conditions of the allowance kept by this design, and do they hold for it?");
        }
        if (design.attached() != null) {
            questions.add(
                    "Where do the attachments stand, what do they pull on deck and members, and does the racking carry the load to them?");
        }
        if (!s.liveUnderArray()) {
            questions.add("No roof live load is taken where modules lie: does the adopted code allow it here?");
        }
        if (s.smallIncrease()) {
            questions.add(
                    "Members may rest on the rule of small increases: is it adopted here, and is this the first increase?");
        }
        questions.add(
                "Is the building held down and stiff enough for wind on the roof with this array; ponding; drifts off higher roofs?");
        return questions;
    }
}
