package whipsaw.core.job;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import whipsaw.core.catalogue.BlockType;
import whipsaw.core.catalogue.ConductorType;
import whipsaw.core.catalogue.InverterType;
import whipsaw.core.catalogue.ModuleType;
import whipsaw.core.catalogue.TraySystem;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Spacings;
import whipsaw.core.units.UnitSystem;

/** All inputs of a job. Immutable; a design follows from it and from the code tables alone. */
public record Job(
        Project project,
        Roof roof,
        Survey survey,
        Site site,
        ArrayChoice array,
        Electrical electrical,
        List<TableRef> codeTables) {

    public Job {
        codeTables = List.copyOf(codeTables);
    }

    /** A code table as it was when the job was last stored. */
    public record TableRef(String id, String edition, String hash) {}

    /** The same inputs resting on these tables. */
    public Job resting(List<TableRef> tables) {
        return new Job(project, roof, survey, site, array, electrical, tables);
    }

    /** Version of the document this class is written as. */
    public static final int SCHEMA = 4;

    /** Coverings a roof can have. */
    public static final List<String> COVERINGS = List.of("TPO", "PVC", "EPDM", "bitumen", "mastic asphalt");

    /** Coverings of profiled metal. */
    public static final List<String> METAL = List.of("standing seam", "trapezoidal sheet", "corrugated sheet");

    /**
     * Who and where.
     *
     * @param signatory engineer who signs; empty when not named
     */
    public record Project(String name, String place, String preparedBy, String signatory, UnitSystem units) {}

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
            Outline outline,
            SiteSizes sizes,
            Measure upAzimuth,
            Measure height,
            Measure slope,
            List<Parapet> parapets,
            String covering,
            Allowance allowance,
            Bays bays,
            List<Obstruction> obstructions,
            Fabric fabric) {
        public Roof {
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
    public sealed interface Outline permits Taped, Drawn {}

    /**
     * A tape survey in walking order.
     *
     * @param closing how the closing error is spread
     * @param diagonals tapes across the roof
     * @param offsets corners taped square off the line of two others
     */
    public record Taped(
            boolean insideFace,
            Closing closing,
            List<TapedLeg> legs,
            List<TapedDiagonal> diagonals,
            List<TapedOffset> offsets)
            implements Outline {
        public Taped {
            legs = List.copyOf(legs);
            diagonals = List.copyOf(diagonals);
            offsets = List.copyOf(offsets);
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
    public record TapedLeg(Measure length, double turnDeg, boolean measured) {}

    /**
     * A tape across the roof.
     *
     * @param from corner, from 1: where edge 1 begins
     * @param to corner
     */
    public record TapedDiagonal(int from, int to, Measure length) {
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
    public record TapedOffset(int corner, int from, int to, Measure length) {
        /** Whether it names three different ones of so many corners. */
        public boolean names(int corners) {
            boolean within =
                    Math.min(corner, Math.min(from, to)) >= 1 && Math.max(corner, Math.max(from, to)) <= corners;
            return within && from != to && corner != from && corner != to;
        }
    }

    /** Corners on the plan. */
    public record Drawn(List<Corner> corners) implements Outline {
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
    public record SiteSizes(boolean insideFace, List<TapedDiagonal> tapes) {
        public SiteSizes {
            tapes = List.copyOf(tapes);
        }
    }

    /** A point on the plan: x to the right, y to the top of the sheet. */
    public record Corner(Measure x, Measure y) {}

    /**
     * @param edge number of the edge, from 1 in the order of the outline
     * @param curb whether it was designed for an array that slides against it
     */
    public record Parapet(int edge, Measure height, Measure thickness, boolean curb) {}

    /**
     * What the roof may carry in addition, with who said so.
     *
     * @param letter it stands in; empty when not named
     * @param conditions it is given under, one text each
     */
    public record Allowance(Measure load, String givenBy, LocalDate date, String letter, List<String> conditions) {
        public Allowance {
            conditions = List.copyOf(conditions);
        }

        /** Conditions typed one after the other with a semicolon between. */
        static List<String> conditions(String typed) {
            return Arrays.stream(typed.split("[;\\n]"))
                    .map(String::strip)
                    .filter(t -> !t.isEmpty())
                    .toList();
        }

        /** Who gave it, when, where it stands and under how many conditions. */
        public String source() {
            String n = conditions.size() == 1 ? "1 condition" : conditions.size() + " conditions";
            return "allowance given by " + givenBy + " on " + date + (letter.isEmpty() ? "" : ", " + letter)
                    + (conditions.isEmpty() ? "" : ", " + n);
        }
    }

    /** Grid lines parallel to the sheet, starting at the least x and y of the outline; the last spacing repeats. */
    public record Bays(Spacings alongX, Spacings alongY) {}

    /**
     * A thing on the roof.
     *
     * @param kind one of the kinds of {@code obstruction_kinds}
     * @param clear distance to be kept to modules; null takes the rule of the kind
     */
    public record Obstruction(
            String id, String name, String kind, Footprint footprint, Measure height, Measure clear, Conduct conduct) {
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
    public record Conduct(Boolean shades, Boolean fragile, Measure exhaust) {
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
            Measure latitude,
            Measure longitude,
            Measure elevation,
            Measure recordLow,
            Measure designHigh,
            Measure leastUplift,
            double floorShare,
            Measure roofSnow,
            CodeSite code) {

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
    public sealed interface CodeSite permits AsceSite, EnSite {
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
    public record AsceSite(
            AsceEdition edition,
            String coefficients,
            Measure wind,
            String riskCategory,
            Ground ground,
            Measure snow,
            double snowExposure,
            double snowThermal,
            double sds,
            int stories)
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
    public record AsceEdition(String name, boolean olderFigures, boolean strength) {}

    /**
     * The ground around the building.
     *
     * @param exposure B, C or D
     * @param kzt topographic factor as typed; 1 where a hill is described
     * @param hill null for none
     */
    public record Ground(String exposure, double kzt, Hill hill) {}

    /**
     * A hill the building stands on.
     *
     * @param height from its foot to its crest
     * @param halfLength from the crest upwind to half the height
     * @param distance of the building from the crest, downwind positive
     */
    public record Hill(String shape, Measure height, Measure halfLength, Measure distance) {
        public static final List<String> SHAPES = List.of("ridge", "escarpment", "hill");
    }

    /**
     * EN 1991.
     *
     * @param wind 10-minute mean v_b,0 at 10 m in terrain II, 50 years
     * @param national id of the national parameters; empty for the recommended values
     * @param snow characteristic ground snow load s_k
     */
    public record EnSite(
            Measure wind,
            String terrain,
            WindFactors factors,
            String coefficients,
            String national,
            Measure snow,
            double snowExposure,
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
    public record WindFactors(double direction, double season, double orography, double returnYears) {}

    /**
     * @param gap null takes the smallest setting that is shade-free in the window
     * @param setback null takes the common rule
     * @param walkway null for none
     * @param windowFrom start of the shade-free window on the shortest day, true solar hour
     * @param removed places of modules taken out by hand
     * @param attachments null where nothing but weight holds the array
     */
    public record ArrayChoice(
            TraySystem tray,
            ModuleType module,
            BlockType block,
            Measure tilt,
            Measure gap,
            Facing facing,
            Measure setback,
            Walkway walkway,
            double windowFrom,
            double windowTo,
            Measure shiftAlong,
            Measure shiftAcross,
            List<Corner> removed,
            Attachments attachments) {
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
    public record Attachments(Measure tension, Measure shear, int mostBlocks, List<String> bays, String kind) {
        /** How attachments of trays can be fixed. */
        public static final List<String> KINDS = List.of("bonded", "screwed", "bolted");

        public Attachments {
            bays = List.copyOf(bays);
        }
    }

    /** Which way the low edges look. */
    public sealed interface Facing permits ToAzimuth, ToEdge {}

    /** Rows face an azimuth from true north. */
    public record ToAzimuth(Measure azimuth) implements Facing {}

    /**
     * @param edge number of the roof edge that the rows are parallel to and face
     */
    public record ToEdge(int edge) implements Facing {}

    /**
     * @param every rows between walkways
     * @param first rows in front of the first walkway
     */
    public record Walkway(int every, int first, Measure width) {}

    /**
     * @param place where the array is: one of {@link #PLACES}
     * @param dcAcMost limit of DC power over AC rating
     * @param cellRiseC cell above ambient
     * @param run AC run from the inverters to the point of connection
     */
    public record Electrical(
            InverterType inverter, String place, double dcAcMost, Measure systemLimit, double cellRiseC, AcRun run) {
        /** Where an array can be, for the DC voltage it may have. */
        public static final List<String> PLACES = List.of("building", "dwelling", "ground");
    }

    /**
     * @param points on the plan; the first is where the inverters stand
     * @param legs vertical legs
     * @param slackPct added to the length
     * @param conductor the kind of conductor pulled
     * @param feeders equal runs side by side, the inverters shared evenly over them
     */
    public record AcRun(
            List<Corner> points,
            List<VerticalLeg> legs,
            double slackPct,
            ConductorType conductor,
            String raceway,
            int terminalC,
            boolean inSun,
            Measure aboveRoof,
            double dropLimitPct,
            double powerFactor,
            int feeders) {
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
    public record VerticalLeg(String name, Measure length) {}
}
