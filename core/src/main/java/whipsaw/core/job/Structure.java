package whipsaw.core.job;

import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import whipsaw.core.catalogue.MemberType;
import whipsaw.core.schema.Absent;
import whipsaw.core.schema.Faults;
import whipsaw.core.schema.Inline;
import whipsaw.core.schema.Input;
import whipsaw.core.schema.Ruled;
import whipsaw.core.units.Dimension;
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
        @Input(
                        label = "Existing dead load",
                        dim = Dimension.LOAD,
                        least = 0,
                        most = 20_000,
                        optional = true,
                        absent = "not known")
                Measure dead,
        @Input(
                        label = "Roof live load",
                        dim = Dimension.LOAD,
                        least = 0,
                        most = 10_000,
                        optional = true,
                        absent = "none")
                Measure live,
        @Input(
                        label = "Roof live load under modules",
                        orElse = "true",
                        words = {"not under low modules", "acts there too"},
                        help = "no only where the adopted code and the engineer allow it")
                boolean liveUnderArray,
        @Input(
                        label = "Small increases",
                        orElse = "false",
                        words = {"not used", "allowed by the existing-building rule"},
                        help = "5 % more gravity load effect, where adopted; an engineer confirms")
                boolean smallIncrease,
        @Input(label = "Loads of pitched faces", section = true) OnFaces onFaces,
        @Input(label = "Deck between members", optional = true) Deck deck,
        @Input(label = "Members", many = 60) List<Members> members,
        @Input(label = "Strengthening", each = "Strengthening", by = "", many = 400) List<Work> works,
        @Input(
                        label = "Downward wind pressure, engineer's",
                        dim = Dimension.LOAD,
                        least = 0,
                        most = 20_000,
                        optional = true,
                        absent = "by the code's method")
                Measure windDown,
        @Input(
                        label = "Seismic weight of the building, engineer's",
                        dim = Dimension.MASS,
                        least = 1000,
                        most = 1e9,
                        optional = true,
                        absent = "the roof alone")
                Measure seismicWeight,
        @Input(
                        label = "Construction load allowed",
                        dim = Dimension.LOAD,
                        least = 100,
                        most = 50_000,
                        optional = true,
                        absent = "not known")
                Measure construction,
        @Input(label = "Set down on the roof", many = 200, quiet = true) List<SetDown> setDowns,
        @Input(label = "Tray and pipe on the roof", many = 100, quiet = true) List<Laid> laid)
        implements Ruled {
    /** Nothing is known of it. */
    @Absent
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

    @Override
    public void rules(Faults faults) {
        List<String> ids = members.stream().map(Members::id).toList();
        twice(faults, "members", ids);
        twice(faults, "works", works.stream().map(Work::id).toList());
        twice(faults, "setDowns", setDowns.stream().map(SetDown::id).toList());
        twice(faults, "laid", laid.stream().map(Laid::id).toList());
        for (int i = 0; i < works.size(); i++) {
            if (!ids.contains(works.get(i).members())) {
                faults.in("works", i)
                        .note(
                                "members",
                                works.get(i).members(),
                                "are not there: name one of " + String.join(", ", ids));
            }
        }
    }

    private static void twice(Faults faults, String key, List<String> ids) {
        Set<String> taken = new HashSet<>();
        for (int i = 0; i < ids.size(); i++) {
            if (!taken.add(ids.get(i))) {
                faults.in(key, i).note("id", ids.get(i), "is taken by another: give each its own");
            }
        }
    }

    /**
     * Loads of pitched faces, in plan area except the wind.
     *
     * @param array weight of modules parallel to the roof with what holds them; null when not known
     * @param snow uneven snow by an engineer; null when none is at hand
     * @param uplift net uplift of the wind on the roof by an engineer, internal pressure included, before factors;
     *     null when none is at hand
     * @param partlyEnclosed whether openings may put the building under pressure
     */
    public record OnFaces(
            @Input(
                            label = "Array parallel to the roof",
                            dim = Dimension.LOAD,
                            least = 10,
                            most = 2000,
                            optional = true,
                            absent = "not known")
                    Measure array,
            @Input(
                            label = "Uneven snow, engineer's",
                            dim = Dimension.LOAD,
                            least = 0,
                            most = 30_000,
                            optional = true,
                            absent = "none at hand")
                    Measure snow,
            @Input(
                            label = "Net uplift, engineer's",
                            dim = Dimension.LOAD,
                            least = 0,
                            most = 20_000,
                            optional = true,
                            absent = "none at hand")
                    Measure uplift,
            @Input(
                            label = "Enclosure",
                            orElse = "false",
                            quiet = true,
                            words = {"enclosed", "partially enclosed"},
                            help = "doors that stand open on one side make it partially enclosed")
                    boolean partlyEnclosed) {
        @Absent
        public static final OnFaces UNKNOWN = new OnFaces(null, null, null, false);
    }

    /**
     * What spans between the members, looked at in strips.
     *
     * @param type section of one strip
     * @param width of a strip: what the section is given for, and what one foot is shared over
     */
    public record Deck(
            @Input(label = "Section of a strip", catalogue = "member", absent = "none") MemberType type,
            @Input(
                            label = "Width of a strip",
                            dim = Dimension.PART_LENGTH,
                            least = 0.05,
                            most = 2,
                            help = "a foot is shared over it")
                    Measure width) {}

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
            @Input(label = "Id", longest = 40) String id,
            @Input(label = "Name", longest = 60) String name,
            @Input(
                            label = "Kind",
                            choices = {"joist", "purlin", "rafter", "beam"})
                    String kind,
            @Input(
                            label = "Spans along",
                            key = "along",
                            choices = {"y", "x"})
                    boolean alongX,
            @Input(label = "Bays", longest = 4000, optional = true, as = BayNames.class, help = "as B2, C2; empty: all")
                    List<String> bays,
            @Input(
                            label = "First from the grid line",
                            dim = Dimension.ROOF_LENGTH,
                            least = 0,
                            most = 30,
                            optional = true,
                            absent = "on it")
                    Measure first,
            @Input(
                            label = "Spacing",
                            dim = Dimension.ROOF_LENGTH,
                            least = 0.15,
                            most = 30,
                            when = {"surveyed", "false"},
                            passed = true)
                    Spacings spacing,
            @Input(label = "Uses the surveyed purlins", orElse = "false", quiet = true) boolean surveyed,
            @Input(label = "Section", catalogue = "member") MemberType type,
            @Input(
                            label = "Moment share with the lower flange free",
                            least = 0.05,
                            most = 1,
                            optional = true,
                            absent = "not known",
                            help = "of the moment, when lifted")
                    double freeFlange,
            @Input(
                            label = "Allowable end uplift",
                            dim = Dimension.FORCE,
                            least = 50,
                            most = 1e6,
                            optional = true,
                            absent = "not known")
                    Measure connection,
            @Input(
                            label = "Allowable end reaction",
                            dim = Dimension.FORCE,
                            least = 50,
                            most = 5e6,
                            optional = true,
                            absent = "not known")
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
            @Input(label = "Id", longest = 40) String id,
            @Input(label = "What", longest = 60) String name,
            @Input(label = "Stage", longest = 40) String stage,
            @Input(label = "x of its left end", dim = Dimension.ROOF_LENGTH, least = -2000, most = 2000) Measure x,
            @Input(label = "y of its lower end", dim = Dimension.ROOF_LENGTH, least = -2000, most = 2000) Measure y,
            @Input(label = "Width", dim = Dimension.ROOF_LENGTH, least = 0.2, most = 12) Measure width,
            @Input(label = "Depth", dim = Dimension.ROOF_LENGTH, least = 0.2, most = 12) Measure depth,
            @Input(label = "Mass of each", dim = Dimension.MASS, least = 5, most = 5000) Measure mass,
            @Input(label = "Stacked how many high", least = 1, most = 12) int high) {}

    /**
     * Tray or pipe with its cables on supports, as it comes.
     *
     * @param line where it lies; null where it follows the AC run
     * @param perMetre weight of tray or pipe with the cables in it
     * @param support mass of one support with its block; null where it has none of its own
     * @param spacing from one support to the next
     */
    public record Laid(
            @Input(label = "Id", longest = 40) String id,
            @Input(label = "What", longest = 60) String name,
            @Input(label = "Where it lies", optional = true, absent = "along the AC run") Line line,
            @Input(label = "Weight with cables", dim = Dimension.LINE_LOAD, least = 1, most = 5000) Measure perMetre,
            @Input(
                            label = "Weight of one support with its block",
                            dim = Dimension.MASS,
                            least = 0.05,
                            most = 500,
                            optional = true,
                            absent = "none")
                    Measure support,
            @Input(label = "Support spacing", dim = Dimension.ROOF_LENGTH, least = 0.2, most = 12) Measure spacing) {}

    /** A straight line on the plan. */
    public record Line(
            @Input(label = "From x", dim = Dimension.ROOF_LENGTH, least = -2000, most = 2000) Measure x,
            @Input(label = "From y", dim = Dimension.ROOF_LENGTH, least = -2000, most = 2000) Measure y,
            @Input(label = "To x", dim = Dimension.ROOF_LENGTH, least = -2000, most = 2000) Measure toX,
            @Input(label = "To y", dim = Dimension.ROOF_LENGTH, least = -2000, most = 2000) Measure toY) {}

    /**
     * What a signature was given on.
     *
     * @param what was done, where and with which section
     * @param utilisation of the most used of the members
     */
    public record SignedFor(
            @Input(label = "Work signed off", longest = 400) String what,
            @Input(label = "Utilisation signed off", least = 0, most = 1e6) double utilisation) {}

    /**
     * An engineer's signature on finished work.
     *
     * @param signedFor figures it was given on; null when they were not recorded
     */
    public record Seen(
            @Input(label = "Signed off by", help = "the engineer") String by,
            @Input(label = "Date signed off", help = "as 2026-05-31") LocalDate on,
            @Inline(optional = true) SignedFor signedFor) {}

    /**
     * Strengthening of members in some bays.
     *
     * @param kind {@code double}: another one beside each; {@code between}: another one between each two;
     *     {@code support}: a support at midspan
     * @param seen who has seen it done; null until then
     * @param photos ids of pictures of it, taken before it is closed
     */
    public record Work(
            @Input(label = "Id", longest = 40) String id,
            @Input(label = "Members", longest = 40) String members,
            @Input(
                            label = "What is done",
                            choices = {"double", "between", "support"})
                    String kind,
            @Input(label = "Bays", longest = 4000, optional = true, as = BayNames.class, help = "as B2, C2; empty: all")
                    List<String> bays,
            @Input(label = "Engineer's sign-off", optional = true) Seen seen,
            @Input(label = "Photographs", many = 20, longest = 80, optional = true) List<String> photos) {
        public Work {
            bays = List.copyOf(bays);
            photos = List.copyOf(photos);
        }

        /** Engineer who has seen it done; empty until then. */
        public String signedBy() {
            return seen == null ? "" : seen.by();
        }

        /** Day of the signature; null until then. */
        public LocalDate signedOn() {
            return seen == null ? null : seen.on();
        }

        /** Figures it was signed on; null when they were not recorded. */
        public SignedFor signedFor() {
            return seen == null ? null : seen.signedFor();
        }
    }
}
