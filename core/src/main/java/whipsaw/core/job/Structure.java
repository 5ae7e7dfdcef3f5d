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
 * @param onFaces loads of pitched faces
 * @param deck that spans between the members; null when nothing is known of it
 * @param windDown wind pressing on the roof by an engineer, suction inside included, before factors; null when none is
 *     at hand
 * @param seismicWeight weight of the building that an earthquake moves, by an engineer; null counts the roof alone
 * @param construction load that may be set down for a while, as an engineer allows it; null when not known
 * @param setDowns what is set down on the roof while building
 * @param laid what lies on the roof for cables: tray, pipe and their supports
 */
public record Structure(
        Measure dead,
        Measure live,
        boolean liveUnderArray,
        boolean smallIncrease,
        OnFaces onFaces,
        Deck deck,
        List<Members> members,
        List<Work> works,
        Measure windDown,
        Measure seismicWeight,
        Measure construction,
        List<SetDown> setDowns,
        List<Laid> laid) {
    /** Nothing is known of it. */
    public static final Structure UNKNOWN = new Structure(
            null,
            null,
            true,
            false,
            OnFaces.UNKNOWN,
            null,
            List.of(),
            List.of(),
            null,
            null,
            null,
            List.of(),
            List.of());

    /** Name of the members a strengthening is for. */
    public String nameOf(Work work) {
        return members.stream()
                .filter(m -> m.id().equals(work.members()))
                .map(Members::name)
                .findFirst()
                .orElse(work.members());
    }

    public Structure {
        members = List.copyOf(members);
        works = List.copyOf(works);
        setDowns = List.copyOf(setDowns);
        laid = List.copyOf(laid);
    }

    /** The kinds of members. */
    public static final List<String> KINDS = List.of("joist", "purlin", "rafter", "beam");

    /** What can be done for members. */
    public static final List<String> WORKS = List.of("double", "between", "support");

    /**
     * Loads of pitched faces, in plan area except the wind.
     *
     * @param array weight of modules parallel to the roof with what holds them; null when not known
     * @param snow uneven snow by an engineer; null when none is at hand
     * @param uplift net uplift of the wind on the roof by an engineer, internal pressure included, before factors;
     *     null when none is at hand
     * @param partlyEnclosed whether openings may put the building under pressure
     */
    public record OnFaces(Measure array, Measure snow, Measure uplift, boolean partlyEnclosed) {
        public static final OnFaces UNKNOWN = new OnFaces(null, null, null, false);
    }

    /**
     * What spans between the members, looked at in strips.
     *
     * @param type section of one strip
     * @param width of a strip: what the section is given for, and what one foot is shared over
     */
    public record Deck(MemberType type, Measure width) {}

    /**
     * Members alike that span from grid line to grid line.
     *
     * @param alongX whether they span along x of the sheet, else along y
     * @param bays names of the bays they are in; empty for all
     * @param first distance of the first from the grid line at its left or below; null for on the line
     * @param spacing from one to the next, the last one repeats; null where they are surveyed
     * @param surveyed whether they are the purlins surveyed on the faces of a pitched roof
     * @param freeFlange share of the moment they take when the wind lifts and their lower flange is free; NaN when not
     *     known
     * @param connection uplift one end may hand to what holds it down: allowable in ASCE 7, design resistance in EN;
     *     null when not known
     * @param bearing what one end may set down on its support: allowable in ASCE 7, design resistance in EN; null when
     *     not known
     */
    public record Members(
            String id,
            String name,
            String kind,
            boolean alongX,
            List<String> bays,
            Measure first,
            Spacings spacing,
            boolean surveyed,
            MemberType type,
            double freeFlange,
            Measure connection,
            Measure bearing) {
        public Members {
            bays = List.copyOf(bays);
        }
    }

    /**
     * A pallet or a stack set down on the roof while building.
     *
     * @param stage those of one stage stand there at the same time
     * @param x its left end
     * @param y its lower end
     * @param mass of one layer or pallet
     * @param high how many stand on each other
     */
    public record SetDown(
            String id,
            String name,
            String stage,
            Measure x,
            Measure y,
            Measure width,
            Measure depth,
            Measure mass,
            int high) {}

    /**
     * Tray or pipe with its cables on supports, as it comes.
     *
     * @param line where it lies; null where it follows the AC run
     * @param perMetre weight of tray or pipe with the cables in it
     * @param support mass of one support with its block; null where it has none of its own
     * @param spacing from one support to the next
     */
    public record Laid(String id, String name, Line line, Measure perMetre, Measure support, Measure spacing) {}

    /** A straight line on the plan. */
    public record Line(Measure x, Measure y, Measure toX, Measure toY) {}

    /**
     * What a signature was given on.
     *
     * @param what was done, where and with which section
     * @param utilisation of the most used of the members
     */
    public record SignedFor(String what, double utilisation) {}

    /**
     * Strengthening of members in some bays.
     *
     * @param kind {@code double}: another one beside each; {@code between}: another one between each two;
     *     {@code support}: a support at midspan
     * @param signedBy engineer who has seen it done; empty until then
     * @param signedFor figures it was signed on; null when they were not recorded
     * @param photos ids of pictures of it, taken before it is closed
     */
    public record Work(
            String id,
            String members,
            String kind,
            List<String> bays,
            String signedBy,
            LocalDate signedOn,
            SignedFor signedFor,
            List<String> photos) {
        public Work {
            bays = List.copyOf(bays);
            photos = List.copyOf(photos);
        }
    }
}
