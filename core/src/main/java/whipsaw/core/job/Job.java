package whipsaw.core.job;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
import whipsaw.core.catalogue.BlockType;
import whipsaw.core.catalogue.ConductorType;
import whipsaw.core.catalogue.InverterType;
import whipsaw.core.catalogue.ModuleType;
import whipsaw.core.catalogue.TraySystem;
import whipsaw.core.schema.Choices;
import whipsaw.core.schema.Faults;
import whipsaw.core.schema.Inline;
import whipsaw.core.schema.Input;
import whipsaw.core.schema.Kind;
import whipsaw.core.schema.Kinds;
import whipsaw.core.schema.Ruled;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Spacings;
import whipsaw.core.units.UnitSystem;

/** All inputs of a job. Immutable; a design follows from it and from the code tables alone. */
public record Job(
        @Input(label = "Project", section = true) Project project,
        @Input(label = "Roof", section = true) Roof roof,
        @Input(label = "Survey", section = true) Survey survey,
        @Input(label = "Site", section = true) Site site,
        @Input(label = "Array", section = true) ArrayChoice array,
        @Input(label = "Electrical", section = true) Electrical electrical,
        @Input(label = "Code tables", each = "Code table", by = "id", many = 200) List<TableRef> codeTables) {

    public Job {
        codeTables = List.copyOf(codeTables);
    }

    /** A code table as it was when the job was last stored. */
    public record TableRef(
            @Input(label = "Table", longest = 80) String id,
            @Input(label = "Edition", longest = 80) String edition,
            @Input(label = "Hash", longest = 64) String hash) {}

    /** The same inputs resting on these tables. */
    public Job resting(List<TableRef> tables) {
        return new Job(project, roof, survey, site, array, electrical, tables);
    }

    /** Version of the document this class is written as. */
    public static final int SCHEMA = 4;

    /** Most corners of an outline, a face or a footprint. */
    public static final int MOST_CORNERS = 400;

    /** Coverings of profiled metal. */
    public static final List<String> METAL = List.of("standing seam", "trapezoidal sheet", "corrugated sheet");

    /** All coverings. */
    static final class Coverings implements Choices {
        @Override
        public List<String> names() {
            return Stream.concat(TraySystem.COVERINGS.stream(), METAL.stream()).toList();
        }
    }

    /**
     * Who and where.
     *
     * @param signatory engineer who signs; empty when not named
     */
    public record Project(
            @Input(label = "Job name") String name,
            @Input(label = "Place", longest = 200, orElse = "") String place,
            @Input(label = "Prepared by", orElse = "") String preparedBy,
            @Input(
                            label = "Engineer who signs",
                            longest = 160,
                            optional = true,
                            help = "name, title, licence; stands on every sheet")
                    String signatory,
            @Input(
                            label = "Shown in",
                            words = {"US units", "metric units"})
                    UnitSystem units) {}

    /**
     * The roof as surveyed.
     *
     * @param upAzimuth azimuth from true north of the top of the sheet
     * @param height mean roof height above ground
     * @param slope fall of the roof, in any direction
     * @param allowance what it may carry in addition; null when nobody has said
     * @param bays structural grid; null when not known
     * @param sizes taped on site beside a drawn outline; null for none
     */
    public record Roof(
            @Input(label = "Outline", section = true) Outline outline,
            @Input(label = "Sizes taped on site", optional = true) SiteSizes sizes,
            @Input(label = "Top of the sheet looks to", dim = Dimension.ANGLE, least = 0, most = 360) Measure upAzimuth,
            @Input(label = "Mean roof height", dim = Dimension.ROOF_LENGTH, least = 2, most = 60) Measure height,
            @Input(label = "Fall", dim = Dimension.ANGLE, least = 0, most = 7) Measure slope,
            @Input(label = "Parapets", each = "Edge", by = "edge", many = MOST_CORNERS) List<Parapet> parapets,
            @Input(label = "Covering", from = Coverings.class) String covering,
            @Input(label = "Allowance for added load", optional = true) Allowance allowance,
            @Input(label = "Bays", optional = true) Bays bays,
            @Input(label = "Obstructions", many = 2000) List<Obstruction> obstructions,
            @Inline Fabric fabric) {
        public Roof {
            sizes = sizes == null || sizes.tapes().isEmpty() ? null : sizes;
            parapets = List.copyOf(parapets);
            obstructions = List.copyOf(obstructions);
        }

        /** The parapet of an edge; null where it has none. */
        public Parapet parapet(int edge) {
            return parapets.stream().filter(p -> p.edge() == edge).findFirst().orElse(null);
        }

        /** Whether ballasted trays can stand on it: level and covered with a membrane. */
        public boolean takesTrays() {
            return fabric.flat() && !METAL.contains(covering);
        }
    }

    /** The building's outer edge, or the inner faces of its parapets when those were taped. */
    @Kinds(key = "kind", label = "Kind of outline")
    public sealed interface Outline permits Taped, Drawn {}

    /**
     * A tape survey in walking order.
     *
     * @param closing how the closing error is spread
     * @param diagonals tapes across the roof
     * @param offsets corners taped square off the line of two others
     */
    @Kind("taped")
    public record Taped(
            @Input(
                            label = "Face taped",
                            key = "face",
                            choices = {"outside", "inside"})
                    boolean insideFace,
            @Input(label = "How it is closed") Closing closing,
            @Input(label = "Edges", each = "Edge", by = "", fewest = 3, many = MOST_CORNERS) List<TapedLeg> legs,
            @Input(label = "Diagonals", each = "Diagonal", by = "", many = MOST_CORNERS) List<TapedDiagonal> diagonals,
            @Input(label = "Offsets", each = "Offset", by = "", many = MOST_CORNERS) List<TapedOffset> offsets)
            implements Outline, Ruled {
        public Taped {
            legs = List.copyOf(legs);
            diagonals = List.copyOf(diagonals);
            offsets = List.copyOf(offsets);
        }

        @Override
        public void rules(Faults faults) {
            for (int i = 0; i < diagonals.size(); i++) {
                TapedDiagonal d = diagonals.get(i);
                if (!d.crosses(legs.size())) {
                    faults.in("diagonals", i)
                            .note(
                                    "to",
                                    d.from() + "-" + d.to(),
                                    "joins no two of " + legs.size()
                                            + " corners with another between: for example 1-3; the edge itself is taped"
                                            + " as an edge");
                }
            }
            for (int i = 0; i < offsets.size(); i++) {
                TapedOffset o = offsets.get(i);
                if (!o.names(legs.size())) {
                    faults.in("offsets", i)
                            .note(
                                    "corner",
                                    o.corner() + " from " + o.from() + "-" + o.to(),
                                    "does not name three different ones of " + legs.size()
                                            + " corners: for example corner 5 from 1-2");
                }
            }
        }
    }

    /** How a tape survey is made to close. */
    public enum Closing {
        /** Least squares over every tape and corner. */
        FIT,
        /** In proportion to the length walked, corners alike; diagonals and offsets are left out. */
        COMPASS
    }

    /**
     * @param turnDeg change of heading at the end of the edge, left positive
     * @param measured whether the angle was measured; else the corner was taken as it stands
     */
    public record TapedLeg(
            @Input(label = "Length", dim = Dimension.ROOF_LENGTH, least = 0.3, most = 1000) Measure length,
            @Input(label = "Turn", least = -179, most = 179, unit = "°") double turnDeg,
            @Input(label = "Angle measured", orElse = "false") boolean measured) {}

    /**
     * A tape across the roof.
     *
     * @param from corner, from 1: where edge 1 begins
     * @param to corner
     */
    public record TapedDiagonal(
            @Input(label = "From corner", least = 1, most = MOST_CORNERS) int from,
            @Input(label = "To corner", least = 1, most = MOST_CORNERS) int to,
            @Input(label = "Length", dim = Dimension.ROOF_LENGTH, least = 0.3, most = 1500) Measure length) {
        /** Whether it joins two of so many corners with another between them on either side. */
        public boolean crosses(int corners) {
            int apart = Math.abs(from - to);
            return Math.min(from, to) >= 1 && Math.max(from, to) <= corners && apart > 1 && apart < corners - 1;
        }
    }

    /**
     * The distance of a corner square off the line through two others, to either side.
     *
     * @param corner from 1
     * @param from corner on the line
     * @param to another one on it
     */
    public record TapedOffset(
            @Input(label = "Corner", least = 1, most = MOST_CORNERS) int corner,
            @Input(label = "From corner", least = 1, most = MOST_CORNERS) int from,
            @Input(label = "To corner", least = 1, most = MOST_CORNERS) int to,
            @Input(label = "Distance", dim = Dimension.ROOF_LENGTH, least = 0.05, most = 1500) Measure length) {
        /** Whether it names three different ones of so many corners. */
        public boolean names(int corners) {
            boolean within =
                    Math.min(corner, Math.min(from, to)) >= 1 && Math.max(corner, Math.max(from, to)) <= corners;
            return within && from != to && corner != from && corner != to;
        }
    }

    /** Corners on the plan. */
    @Kind("drawn")
    public record Drawn(
            @Input(label = "Corners", each = "Corner", by = "", fewest = 3, many = MOST_CORNERS) List<Corner> corners)
            implements Outline {
        public Drawn {
            corners = List.copyOf(corners);
        }
    }

    /**
     * Sizes taped on site, kept beside a drawn outline.
     *
     * @param insideFace whether between the inner faces of the parapets
     * @param tapes between any two corners
     */
    public record SiteSizes(
            @Input(
                            label = "Face taped",
                            key = "face",
                            choices = {"outside", "inside"},
                            orElse = "outside",
                            quiet = true)
                    boolean insideFace,
            @Input(label = "Tapes", each = "Tape", by = "", many = MOST_CORNERS) List<TapedDiagonal> tapes)
            implements Ruled {
        public SiteSizes {
            tapes = List.copyOf(tapes);
        }

        @Override
        public void rules(Faults faults) {
            for (int i = 0; i < tapes.size(); i++) {
                if (tapes.get(i).from() == tapes.get(i).to()) {
                    faults.in("tapes", i).note("to", tapes.get(i).to(), "is the corner it begins at: for example 1-2");
                }
            }
        }
    }

    /** A point on the plan: x to the right, y to the top of the sheet. */
    public record Corner(
            @Input(label = "x", dim = Dimension.ROOF_LENGTH, least = -2000, most = 2000) Measure x,
            @Input(label = "y", dim = Dimension.ROOF_LENGTH, least = -2000, most = 2000) Measure y) {}

    /**
     * @param edge number of the edge, from 1 in the order of the outline
     * @param curb whether it was designed for an array that slides against it
     */
    public record Parapet(
            @Input(label = "Edge", least = 1, most = MOST_CORNERS) int edge,
            @Input(
                            label = "Parapet height",
                            dim = Dimension.ROOF_LENGTH,
                            least = 0,
                            most = 4,
                            orElse = "0 m",
                            absent = "none")
                    Measure height,
            @Input(
                            label = "Parapet thickness",
                            dim = Dimension.PART_LENGTH,
                            least = 0,
                            most = 1.5,
                            orElse = "0 m",
                            absent = "none")
                    Measure thickness,
            @Input(label = "Designed as a curb for the array", orElse = "false", quiet = true) boolean curb) {}

    /**
     * What the roof may carry in addition, with who said so.
     *
     * @param letter it stands in; empty when not named
     * @param conditions it is given under, one text each
     */
    public record Allowance(
            @Input(
                            label = "Load",
                            dim = Dimension.LOAD,
                            least = 20,
                            most = 10_000,
                            absent = "not known: nothing is established")
                    Measure load,
            @Input(label = "Given by") String givenBy,
            @Input(label = "Given on", help = "as 2026-05-31") LocalDate date,
            @Input(label = "Letter", longest = 160, optional = true, help = "where it stands") String letter,
            @Input(
                            label = "Conditions",
                            longest = 2000,
                            optional = true,
                            as = SemicolonTexts.class,
                            help = "with semicolons between")
                    List<String> conditions) {
        public Allowance {
            conditions = List.copyOf(conditions);
        }

        /** Who gave it, when, where it stands and under how many conditions. */
        public String source() {
            String n = conditions.size() == 1 ? "1 condition" : conditions.size() + " conditions";
            return "allowance given by " + givenBy + " on " + date + (letter.isEmpty() ? "" : ", " + letter)
                    + (conditions.isEmpty() ? "" : ", " + n);
        }
    }

    /** Grid lines parallel to the sheet, starting at the least x and y of the outline; the last spacing repeats. */
    public record Bays(
            @Input(
                            label = "Across the sheet",
                            dim = Dimension.ROOF_LENGTH,
                            least = 1,
                            most = 60,
                            absent = "not known; the last one repeats")
                    Spacings alongX,
            @Input(
                            label = "Up the sheet",
                            dim = Dimension.ROOF_LENGTH,
                            least = 1,
                            most = 60,
                            absent = "not known; the last one repeats")
                    Spacings alongY) {}

    /**
     * A thing on the roof.
     *
     * @param kind one of the kinds of {@code obstruction_kinds}
     * @param clear distance to be kept to modules; null takes the rule of the kind
     */
    public record Obstruction(
            @Input(label = "Id", longest = 40) String id,
            @Input(label = "Name", longest = 60) String name,
            @Input(label = "Kind", from = ObstructionKinds.Names.class, orElse = ObstructionKinds.USUAL) String kind,
            @Inline Footprint footprint,
            @Input(label = "Height above the roof", dim = Dimension.ROOF_LENGTH, least = 0, most = 30) Measure height,
            @Input(
                            label = "Clear distance",
                            dim = Dimension.ROOF_LENGTH,
                            least = 0,
                            most = 30,
                            optional = true,
                            absent = "by the rule of its kind")
                    Measure clear,
            @Inline Conduct conduct) {
        public Measure x() {
            return footprint.x();
        }

        public Measure y() {
            return footprint.y();
        }

        public Measure width() {
            return footprint.width();
        }

        public Measure depth() {
            return footprint.depth();
        }
    }

    /**
     * What a thing does to its surroundings; null takes the rule of its kind.
     *
     * @param shades whether it throws a shadow that counts
     * @param fragile whether nobody may step on it
     * @param exhaust azimuth its exhaust drifts to, or null
     */
    public record Conduct(
            @Input(label = "Throws a shadow", optional = true, absent = "by its kind") Boolean shades,
            @Input(label = "Fragile", optional = true, absent = "by its kind") Boolean fragile,
            @Input(
                            label = "Exhaust drifts to",
                            dim = Dimension.ANGLE,
                            least = 0,
                            most = 360,
                            optional = true,
                            absent = "not known")
                    Measure exhaust) {
        public static final Conduct BY_KIND = new Conduct(null, null, null);
    }

    /**
     * The place, and what the code family of the job wants to know of it.
     *
     * @param leastUplift net uplift no module is designed for less than; null for none
     * @param floorShare share of what the code itself gives that a net-coefficient set may not go below: of the roof's
     *     own suction in the EN family, of the coefficient of 29.4.3 in ASCE 7; NaN for none
     * @param roofSnow snow on the roof by an engineer, least values and drifts included; null for the code's own
     */
    public record Site(
            @Input(label = "Latitude, north +", dim = Dimension.ANGLE, least = -66, most = 66) Measure latitude,
            @Input(label = "Longitude, east +", dim = Dimension.ANGLE, least = -180, most = 180) Measure longitude,
            @Input(label = "Ground elevation", dim = Dimension.ROOF_LENGTH, least = -450, most = 5000)
                    Measure elevation,
            @Input(label = "Record low", dim = Dimension.TEMPERATURE, least = -60, most = 25) Measure recordLow,
            @Input(label = "Design high", dim = Dimension.TEMPERATURE, least = 10, most = 55) Measure designHigh,
            @Input(
                            label = "Minimum design uplift",
                            dim = Dimension.LOAD,
                            least = 10,
                            most = 5000,
                            optional = true,
                            absent = "none: as computed")
                    Measure leastUplift,
            @Input(
                            label = "Floor on coefficients",
                            least = 0.1,
                            most = 1.5,
                            optional = true,
                            clearedBy = "family",
                            absent = "none",
                            help = "share of what the code itself gives")
                    double floorShare,
            @Input(
                            label = "Roof snow, engineer's",
                            dim = Dimension.LOAD,
                            least = 0,
                            most = 30_000,
                            optional = true,
                            clearedBy = {"family", "edition"},
                            absent = "none: by the code; one given includes drifts")
                    Measure roofSnow,
            @Inline CodeSite code) {

        /** Basic wind speed as the family defines it; null when it has not been given. */
        public Measure wind() {
            return code.wind();
        }

        /** Ground snow load as the family defines it; null when it has not been given. */
        public Measure snow() {
            return code.snow();
        }
    }

    /** Site values of one code family. A wind speed or snow load of one family means nothing in another. */
    @Kinds(key = "family", label = "Code family")
    public sealed interface CodeSite permits AsceSite, EnSite {
        /** What is said where wind or snow have not been given. */
        String MISSING = "missing: what follows from it is not established";

        /** Key in documents: {@code asce} or {@code en}. */
        String family();

        /** Key of its load combinations. */
        String combinations();

        /** Id of the net-coefficient set of tilted panels; empty for the code's own coefficients. */
        String coefficients();

        /** Codes the job is designed by, for a title block. */
        String codes();

        Measure wind();

        Measure snow();

        /** Exposure coefficient of snow, C_e. */
        double snowExposure();

        /** Thermal coefficient of snow, C_t. */
        double snowThermal();
    }

    /**
     * ASCE 7.
     *
     * @param wind 3-second gust at strength level for the risk category
     * @param snow ground snow load p_g
     * @param sds design spectral acceleration at short periods, in g; NaN when not known
     * @param stories of the building; 0 when not known
     */
    @Kind(value = "asce", words = "ASCE 7")
    public record AsceSite(
            @Inline AsceEdition edition,
            @Input(label = "Net coefficients", longest = 80, optional = true, absent = "29.4.3 of ASCE 7")
                    String coefficients,
            @Input(
                            label = "Basic wind speed",
                            dim = Dimension.SPEED,
                            least = 25,
                            most = 120,
                            optional = true,
                            clearedBy = {"family", "edition"},
                            absent = CodeSite.MISSING)
                    Measure wind,
            @Input(
                            label = "Risk category",
                            choices = {"I", "II", "III", "IV"},
                            clearedBy = "family",
                            start = "II")
                    String riskCategory,
            @Inline Ground ground,
            @Input(
                            label = "Ground snow load",
                            dim = Dimension.LOAD,
                            least = 0,
                            most = 25_000,
                            optional = true,
                            clearedBy = {"family", "edition"},
                            absent = CodeSite.MISSING)
                    Measure snow,
            @Input(label = "Snow exposure C_e", least = 0.5, most = 2, orElse = "1", clearedBy = "family")
                    double snowExposure,
            @Input(label = "Snow thermal C_t", least = 0.5, most = 1.5, orElse = "1", clearedBy = "family")
                    double snowThermal,
            @Input(
                            label = "S_DS",
                            least = 0,
                            most = 5,
                            unit = "g",
                            optional = true,
                            clearedBy = {"family", "edition"},
                            absent = "not known")
                    double sds,
            @Input(
                            label = "Stories",
                            least = 1,
                            most = 200,
                            optional = true,
                            clearedBy = "family",
                            absent = "not known")
                    int stories,
            @Input(
                            label = "Snow fetch, engineer's",
                            dim = Dimension.ROOF_LENGTH,
                            least = 7,
                            most = 1000,
                            optional = true,
                            clearedBy = "family",
                            absent = "the building's longer side",
                            help = "roof upwind of plant and rows, l_u")
                    Measure snowFetch)
            implements CodeSite {
        /** The editions there are figures of. */
        public static final List<String> EDITIONS = List.of("7-16", "7-22");

        @Override
        public String family() {
            return "asce";
        }

        @Override
        public String combinations() {
            return "asce" + (edition.name().equals("7-16") ? "" : " " + edition.name())
                    + (edition.strength() ? " strength" : "");
        }

        @Override
        public String codes() {
            return "ASCE " + edition.name() + ", NEC 2023";
        }
    }

    /**
     * Edition of ASCE 7.
     *
     * @param olderFigures whether figures of 7-16 are taken where those of the edition are not at hand
     * @param strength whether loads are combined for strength; else for allowable stress
     */
    public record AsceEdition(
            @Input(
                            label = "Edition",
                            key = "edition",
                            from = Editions.class,
                            orElse = "7-16",
                            clearedBy = "family",
                            help = "a change asks for wind and snow again: maps differ")
                    String name,
            @Input(
                            label = "Figures not at hand",
                            orElse = "false",
                            quiet = true,
                            words = {"not established", "those of 7-16, as an engineer accepts"},
                            clearedBy = "family",
                            help = "of 29.4.3, 30.3 and 13.6.12")
                    boolean olderFigures,
            @Input(
                            label = "Loads combined for",
                            key = "method",
                            choices = {"allowable", "strength"},
                            words = {"allowable stress (2.4)", "strength (2.3)"},
                            orElse = "allowable",
                            quiet = true,
                            clearedBy = "family",
                            help = "a load table says nothing of strength")
                    boolean strength) {}

    /** Editions to choose from. */
    static final class Editions implements Choices {
        @Override
        public List<String> names() {
            return AsceSite.EDITIONS;
        }
    }

    /**
     * The ground around the building.
     *
     * @param exposure B, C or D
     * @param kzt topographic factor as typed; 1 where a hill is described
     * @param hill null for none
     */
    public record Ground(
            @Input(
                            label = "Exposure",
                            choices = {"B", "C", "D"},
                            clearedBy = "family",
                            start = "C")
                    String exposure,
            @Input(label = "Topographic factor K_zt", least = 1, most = 5, clearedBy = "family", start = "1")
                    double kzt,
            @Input(label = "Topography", optional = true, clearedBy = "family") Hill hill)
            implements Ruled {
        @Override
        public void rules(Faults faults) {
            if (hill != null && kzt > 1) {
                faults.note("kzt", kzt, "is typed beside a hill that gives it: leave it at 1");
            }
        }
    }

    /**
     * A hill the building stands on.
     *
     * @param height from its foot to its crest
     * @param halfLength from the crest upwind to half the height
     * @param distance of the building from the crest, downwind positive
     */
    public record Hill(
            @Input(
                            label = "Shape",
                            choices = {"ridge", "escarpment", "hill"},
                            words = {"ridge", "escarpment", "round hill"},
                            absent = "none")
                    String shape,
            @Input(label = "Foot to crest", dim = Dimension.ROOF_LENGTH, least = 1, most = 2000) Measure height,
            @Input(
                            label = "Crest to half height",
                            dim = Dimension.ROOF_LENGTH,
                            least = 1,
                            most = 10_000,
                            help = "on plan, upwind")
                    Measure halfLength,
            @Input(
                            label = "Crest to building",
                            dim = Dimension.ROOF_LENGTH,
                            least = -20_000,
                            most = 20_000,
                            help = "downwind +")
                    Measure distance) {}

    /**
     * EN 1991.
     *
     * @param wind 10-minute mean v_b,0 at 10 m in terrain II, 50 years
     * @param displacement height the wind profile is lifted by closely spaced buildings upwind, h_dis of EN 1991-1-4
     *     A.5 by an engineer; null for none
     * @param national id of the national parameters; empty for the recommended values
     * @param snow characteristic ground snow load s_k
     */
    @Kind(value = "en", words = "EN 1990, EN 1991")
    public record EnSite(
            @Input(
                            label = "Basic wind velocity v_b,0",
                            dim = Dimension.SPEED,
                            least = 15,
                            most = 60,
                            optional = true,
                            clearedBy = "family",
                            absent = CodeSite.MISSING)
                    Measure wind,
            @Input(
                            label = "Terrain category",
                            choices = {"0", "I", "II", "III", "IV"},
                            clearedBy = "family",
                            start = "II")
                    String terrain,
            @Inline WindFactors factors,
            @Input(
                            label = "Displacement height h_dis, engineer's",
                            dim = Dimension.ROOF_LENGTH,
                            least = 0.5,
                            most = 50,
                            optional = true,
                            clearedBy = "family",
                            absent = "none",
                            help = "closely spaced buildings upwind lift the profile, EN 1991-1-4 A.5")
                    Measure displacement,
            @Input(label = "Net coefficients", longest = 80, help = "limits of validity: see the scope")
                    String coefficients,
            @Input(
                            label = "National parameters",
                            longest = 80,
                            optional = true,
                            clearedBy = "family",
                            absent = "recommended values")
                    String national,
            @Input(
                            label = "Ground snow s_k",
                            dim = Dimension.LOAD,
                            least = 0,
                            most = 25_000,
                            optional = true,
                            clearedBy = "family",
                            absent = CodeSite.MISSING)
                    Measure snow,
            @Input(label = "Snow exposure C_e", least = 0.5, most = 2, orElse = "1", clearedBy = "family")
                    double snowExposure,
            @Input(label = "Snow thermal C_t", least = 0.5, most = 1.5, orElse = "1", clearedBy = "family")
                    double snowThermal)
            implements CodeSite {
        @Override
        public String family() {
            return "en";
        }

        @Override
        public String combinations() {
            return "en";
        }

        @Override
        public String codes() {
            return "EN 1990, EN 1991; AC run by NEC 2023";
        }
    }

    /**
     * What the basic wind velocity is multiplied by.
     *
     * @param direction c_dir
     * @param season c_season
     * @param orography c_o, on the mean velocity
     * @param returnYears return period the wind is wanted for; 50 is the velocity as given
     */
    public record WindFactors(
            @Input(
                            label = "Direction factor c_dir",
                            key = "directionFactor",
                            least = 0.5,
                            most = 1,
                            orElse = "1",
                            clearedBy = "family")
                    double direction,
            @Input(
                            label = "Season factor c_season",
                            key = "seasonFactor",
                            least = 0.5,
                            most = 1,
                            orElse = "1",
                            clearedBy = "family")
                    double season,
            @Input(label = "Orography factor c_o", least = 1, most = 2, orElse = "1", clearedBy = "family")
                    double orography,
            @Input(
                            label = "Return period",
                            least = 5,
                            most = 1000,
                            unit = "years",
                            orElse = "50",
                            clearedBy = "family",
                            help = "50 is the velocity as given")
                    double returnYears) {}

    /**
     * @param gap null takes the smallest setting that is shade-free in the window
     * @param setback null takes the common rule
     * @param walkway null for none
     * @param windowFrom start of the shade-free window on the shortest day, true solar hour
     * @param removed places of modules taken out by hand
     * @param attachments null where nothing but weight holds the array
     */
    public record ArrayChoice(
            @Input(label = "Tray system", catalogue = "tray-system") TraySystem tray,
            @Input(label = "Module", catalogue = "module") ModuleType module,
            @Input(label = "Block", catalogue = "block") BlockType block,
            @Input(label = "Tilt", dim = Dimension.ANGLE, least = 0, most = 35) Measure tilt,
            @Input(
                            label = "Row gap",
                            dim = Dimension.PART_LENGTH,
                            least = 0,
                            most = 5,
                            optional = true,
                            absent = "smallest without shadow",
                            help = "of pairs, the valley gap")
                    Measure gap,
            @Input(label = "Rows face", section = true) Facing facing,
            @Input(
                            label = "Set-back",
                            dim = Dimension.ROOF_LENGTH,
                            least = 0,
                            most = 30,
                            optional = true,
                            absent = "by rule")
                    Measure setback,
            @Input(label = "Walkway", optional = true) Walkway walkway,
            @Input(label = "Shade-free from, solar hour", least = 5, most = 12, unit = "h") double windowFrom,
            @Input(label = "Shade-free to, solar hour", least = 12, most = 19, unit = "h") double windowTo,
            @Input(
                            label = "Shift along the rows",
                            dim = Dimension.ROOF_LENGTH,
                            least = -20,
                            most = 20,
                            orElse = "0 m",
                            absent = "none")
                    Measure shiftAlong,
            @Input(
                            label = "Shift across the rows",
                            dim = Dimension.ROOF_LENGTH,
                            least = -20,
                            most = 20,
                            orElse = "0 m",
                            absent = "none")
                    Measure shiftAcross,
            @Input(label = "Modules taken out", each = "Module taken out", by = "", many = 20_000) List<Corner> removed,
            @Input(label = "Attachments beside weight", optional = true) Attachments attachments) {
        public ArrayChoice {
            removed = List.copyOf(removed);
        }
    }

    /**
     * What holds the array beside its weight.
     *
     * @param tension one attachment may take away from the roof: allowable in ASCE 7, design resistance in EN
     * @param shear the same along the roof
     * @param mostBlocks a position takes where there are attachments
     * @param bays names of the bays they are in; empty for all
     * @param kind how they are fixed: bonded, screwed or bolted; empty when not said
     */
    public record Attachments(
            @Input(
                            label = "Uplift one takes",
                            dim = Dimension.FORCE,
                            least = 50,
                            most = 200_000,
                            help = "allowable, or design resistance in EN")
                    Measure tension,
            @Input(
                            label = "Shear one takes",
                            dim = Dimension.FORCE,
                            least = 50,
                            most = 200_000,
                            help = "along the roof")
                    Measure shear,
            @Input(label = "Blocks on a position", least = 0, most = 60) int mostBlocks,
            @Input(label = "Bays", longest = 4000, optional = true, as = BayNames.class, help = "as B2, C2; empty: all")
                    List<String> bays,
            @Input(
                            label = "How they are fixed",
                            choices = {"bonded", "screwed", "bolted"},
                            optional = true,
                            absent = "not said")
                    String kind) {

        public Attachments {
            bays = List.copyOf(bays);
        }
    }

    /** Which way the low edges look. */
    @Kinds(key = "", label = "Rows face")
    public sealed interface Facing permits ToEdge, ToAzimuth {}

    /** Rows face an azimuth from true north. */
    public record ToAzimuth(@Input(label = "Azimuth", dim = Dimension.ANGLE, least = 0, most = 360) Measure azimuth)
            implements Facing {}

    /**
     * @param edge number of the roof edge that the rows are parallel to and face
     */
    public record ToEdge(@Input(label = "Edge faced", least = 1, most = MOST_CORNERS) int edge) implements Facing {}

    /**
     * @param every rows between walkways
     * @param first rows in front of the first walkway
     */
    public record Walkway(
            @Input(label = "Rows between walkways", least = 1, most = 100, help = "of pairs, pairs") int every,
            @Input(label = "Rows before the first walkway", least = 1, most = 100) int first,
            @Input(label = "Width", dim = Dimension.ROOF_LENGTH, least = 0.3, most = 10, absent = "none")
                    Measure width) {}

    /**
     * @param place where the array is: for the DC voltage it may have
     * @param dcAcMost limit of DC power over AC rating
     * @param cellRiseC cell above ambient
     * @param run AC run from the inverters to the point of connection
     */
    public record Electrical(
            @Input(label = "Inverter", catalogue = "inverter") InverterType inverter,
            @Input(
                            label = "The array is on",
                            choices = {"building", "dwelling", "ground"},
                            words = {"or in a building", "a one- or two-family dwelling", "the ground"},
                            orElse = "building",
                            quiet = true)
                    String place,
            @Input(label = "DC to AC at most", least = 0.5, most = 2.5) double dcAcMost,
            @Input(label = "DC system limit", dim = Dimension.VOLTAGE, least = 100, most = 1500) Measure systemLimit,
            @Input(label = "Cell above ambient", least = 0, most = 60, unit = "°C") double cellRiseC,
            @Input(label = "AC run", section = true) AcRun run) {}

    /**
     * @param points on the plan; the first is where the inverters stand
     * @param legs vertical legs
     * @param slackPct added to the length
     * @param conductor the kind of conductor pulled
     * @param feeders equal runs side by side, the inverters shared evenly over them
     */
    public record AcRun(
            @Input(label = "Route of the AC run", each = "Point", by = "", fewest = 2, many = 200) List<Corner> points,
            @Input(label = "Vertical legs", each = "Vertical leg", by = "") List<VerticalLeg> legs,
            @Input(label = "Slack", least = 0, most = 50, unit = "%") double slackPct,
            @Input(label = "Conductor", catalogue = "conductor") ConductorType conductor,
            @Input(
                            label = "Raceway",
                            choices = {"steel", "pvc"})
                    String raceway,
            @Input(
                            label = "Terminals",
                            key = "terminals",
                            choices = {"75 C", "60 C"},
                            as = TerminalRating.class)
                    int terminalC,
            @Input(label = "In the sun", orElse = "true") boolean inSun,
            @Input(label = "Above the roof", dim = Dimension.PART_LENGTH, least = 0, most = 2) Measure aboveRoof,
            @Input(label = "Voltage drop at most", least = 0.1, most = 10, unit = "%") double dropLimitPct,
            @Input(label = "Power factor", least = 0.8, most = 1) double powerFactor,
            @Input(label = "Feeders side by side", least = 1, most = 200, orElse = "1") int feeders) {
        public AcRun {
            points = List.copyOf(points);
            legs = List.copyOf(legs);
        }

        /** {@code cu} or {@code al}. */
        public String material() {
            return conductor.material();
        }
    }

    /** A rise or drop of the run. */
    public record VerticalLeg(
            @Input(label = "What it is", longest = 60) String name,
            @Input(label = "Length", dim = Dimension.ROOF_LENGTH, least = 0, most = 200) Measure length) {}
}
