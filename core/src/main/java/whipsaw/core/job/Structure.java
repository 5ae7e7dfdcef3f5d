package whipsaw.core.job;

import java.time.LocalDate;
import java.util.List;
import whipsaw.core.catalogue.MemberType;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Spacings;

/**
 * What carries the roof, as far as it is known.
 *
 * @param dead load that is there without snow, the members' own weight included; null when not known
 * @param live roof live load; null when none is asked for
 * @param liveUnderArray whether the live load acts where modules lie
 * @param smallIncrease whether members may rest on the rule of small increases of existing buildings
 */
public record Structure(
        Measure dead,
        Measure live,
        boolean liveUnderArray,
        boolean smallIncrease,
        List<Members> members,
        List<Work> works) {
    /** Nothing is known of it. */
    public static final Structure UNKNOWN = new Structure(null, null, true, false, List.of(), List.of());

    public Structure {
        members = List.copyOf(members);
        works = List.copyOf(works);
    }

    /** The kinds of members. */
    public static final List<String> KINDS = List.of("joist", "purlin", "rafter", "beam");

    /** What can be done for members. */
    public static final List<String> WORKS = List.of("double", "between", "support");

    /**
     * Members alike that span from grid line to grid line.
     *
     * @param alongX whether they span along x of the sheet, else along y
     * @param bays names of the bays they are in; empty for all
     * @param first distance of the first from the grid line at its left or below; null for on the line
     * @param spacing from one to the next, the last one repeats
     */
    public record Members(
            String id,
            String name,
            String kind,
            boolean alongX,
            List<String> bays,
            Measure first,
            Spacings spacing,
            MemberType type) {
        public Members {
            bays = List.copyOf(bays);
        }
    }

    /**
     * Strengthening of members in some bays.
     *
     * @param kind {@code double}: another one beside each; {@code between}: another one between each two;
     *     {@code support}: a support at midspan
     * @param signedBy engineer who has seen it done; empty until then
     */
    public record Work(String id, String members, String kind, List<String> bays, String signedBy, LocalDate signedOn) {
        public Work {
            bays = List.copyOf(bays);
        }
    }
}
