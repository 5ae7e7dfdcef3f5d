package whipsaw.app.print;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import whipsaw.app.Product;
import whipsaw.app.drawing.PaperScale;
import whipsaw.app.drawing.PaperSize;
import whipsaw.app.drawing.PlanDrawing;
import whipsaw.app.store.Revision;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.build.Counts;
import whipsaw.core.check.Check;
import whipsaw.core.design.Design;
import whipsaw.core.figure.Figures;
import whipsaw.core.holddown.FaceWind;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.job.Job;
import whipsaw.core.job.Roof;
import whipsaw.core.job.Site;
import whipsaw.core.site.GivenSnow;
import whipsaw.core.site.Topography;
import whipsaw.core.structure.RoofLoads;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.working.DataSource;

/** What the printed job sheet says, ready to be laid out. */
public record JobSheet(
        Job job,
        Revision revision,
        String drawing,
        PaperScale scale,
        String zones,
        List<Row> rows,
        String totalBlocks,
        List<Fact> loads,
        List<Fact> circuits,
        List<Counts.Line> counts,
        List<Check> checks,
        List<String> assumptions,
        List<DataSource> sources,
        String status,
        String legend,
        String rowsFrom,
        String countsFrom,
        List<BayRow> bays) {

    /** One bay of the structural grid with anything of the array in it. */
    public record BayRow(String name, String load, String blocks, String reserve) {}

    /** Bays that carry something of the array, in the order of the grid; none while nothing is established. */
    public static List<BayRow> bays(Design design, UnitSystem units) {
        if (!design.roof().established()) {
            return List.of();
        }
        return design.loads().bays().stream()
                .filter(b -> b.load().massKg() > 0)
                .map(b -> new BayRow(
                        b.bay().name(),
                        Show.both(units, Dimension.LOAD, b.load().loadPa()),
                        String.valueOf(b.blocks()),
                        Double.isNaN(b.reservePa())
                                ? "allowance not known"
                                : b.reservePa() < 0
                                        ? Show.both(units, Dimension.LOAD, -b.reservePa()) + " too much"
                                        : Show.both(units, Dimension.LOAD, b.reservePa())))
                .toList();
    }

    /**
     * One row of the ballast map.
     *
     * @param counts blocks from the left, gaps between runs as a bar
     */
    public record Row(int number, String counts, int modules, String blocks, String mass) {}

    /** Counts stand in groups, so that a finger finds its place again. */
    /** A number that was kept for a position that is gone. */
    private static final char GONE = '–';

    private static final int GROUP = 5;

    private static final String WIDE = " \u2003";

    /** Product and version, for the foot of the sheet. */
    public String writtenBy() {
        return Product.words();
    }

    /** A named figure. */
    public record Fact(String name, String value) {}

    /**
     * @param ownStyle whether the drawing brings its line weights along, see {@link PlanDrawing}
     */
    public static JobSheet of(Design design, Revision revision, CodeTables tables, PaperSize paper, boolean ownStyle) {
        UnitSystem units = design.job().project().units();
        return new JobSheet(
                design.job(),
                revision,
                PlanDrawing.forPaper(design, paper, ownStyle),
                PaperScale.of(design, paper),
                zones(design),
                rows(design, units),
                design.holdDown().established()
                        ? String.valueOf(design.holdDown().blocks())
                        : "not established",
                loads(design, units),
                CircuitFacts.of(design, units),
                design.counts().lines(),
                design.checks(),
                assumptions(design, units),
                new Figures(design, tables).sources(),
                new Figures(design, tables).status().words(),
                legend(design, paper),
                design.layout().rowsFrom(),
                design.layout().countsFrom(),
                bays(design, units));
    }

    private static String legend(Design design, PaperSize paper) {
        String marks = "An exclamation mark means more are needed than it takes, a question mark that nothing is"
                + " established."
                + (design.attached() == null
                        ? ""
                        : " +A: attachments hold what the blocks do not, "
                                + design.attached().needed()
                                + " in all by a first estimate; their places are not designed: not for setting out.");
        return PaperScale.countsLegible(design, paper)
                ? "Numbers are blocks at each position. " + marks
                : "Numbers are blocks at each position of an area with a heavy border; every position is in the table of"
                        + " rows. "
                        + marks;
    }

    /** What the hatches mean, the mildest zone first. */
    private static String zones(Design design) {
        List<String> hatches = List.of("no hatch", "light hatch", "cross hatch", "dense cross hatch");
        return design.windZones() == null
                ? "no method at hand"
                : design.windZones().areas().stream()
                        .map(a -> hatches.get(a.rank()) + " zone " + FaceWind.shown(a.name()))
                        .collect(Collectors.joining(", "));
    }

    /** Rows of the ballast map from the front. */
    public static List<Row> rows(Design design, UnitSystem units) {
        Map<Integer, List<HoldDown.Position>> byRow = new TreeMap<>();
        for (HoldDown.Position p : design.holdDown().positions()) {
            int row = design.layout().modules().get(p.shares().get(0).module()).row();
            byRow.computeIfAbsent(row, k -> new ArrayList<>()).add(p);
        }
        List<Row> rows = new ArrayList<>();
        byRow.forEach((row, positions) -> rows.add(row(design, units, row, positions)));
        return rows;
    }

    /** What stands before a position of a row of the map: wider after every group of them. */
    private static String space(StringBuilder text, int counted) {
        boolean group = counted > 0 && counted % GROUP == 0;
        return text.length() == 0 ? "" : group ? WIDE : " ";
    }

    private static Row row(Design design, UnitSystem units, int row, List<HoldDown.Position> positions) {
        StringBuilder text = new StringBuilder();
        int blocks = 0;
        int counted = 0;
        int next = 1;
        HoldDown.Position before = null;
        boolean known = design.holdDown().established();
        Set<Integer> there = positions.stream().map(HoldDown.Position::place).collect(Collectors.toSet());
        for (HoldDown.Position p : positions) {
            if (before != null && !HoldDown.follows(design.layout(), before, p)) {
                text.append(" |");
            }
            // a number that was kept and has no position any more is counted past
            while (next < p.place() && !there.contains(next)) {
                text.append(space(text, counted++)).append(GONE);
                next++;
            }
            text.append(space(text, counted++))
                    .append(known ? String.valueOf(p.ballast().blocksPlaced()) : "?")
                    .append(p.ballast().mark());
            if (p.place() == next) {
                next++;
            } else {
                text.append('(').append(p.label()).append(')');
            }
            blocks += p.ballast().blocksPlaced();
            before = p;
        }
        int modules = (int) design.layout().modules().stream()
                .mapToInt(ArrayLayout.Module::row)
                .filter(r -> r == row)
                .count();
        double kg = blocks * design.holdDown().block().laidKg();
        return new Row(
                positions.get(0).row(),
                text.toString(),
                modules,
                known ? String.valueOf(blocks) : "?",
                known ? Show.in(units, Dimension.MASS, kg) : "?");
    }

    static List<Fact> loads(Design design, UnitSystem units) {
        RoofLoads loads = design.loads();
        List<Fact> facts = new ArrayList<>();
        if (design.faceWind() != null) {
            Measure array = design.job().roof().fabric().structure().onFaces().array();
            facts.add(new Fact(
                    "Array parallel to the roof, entered",
                    array == null ? "not established" : Show.both(units, Dimension.LOAD, array.si())));
            site(design, units, facts);
            return facts;
        }
        facts.add(new Fact("Modules", part(design, units, loads.moduleKg())));
        facts.add(new Fact("Racking", part(design, units, loads.rackingKg())));
        boolean known = design.roof().established();
        boolean several = design.roof().arrays().size() > 1;
        if (known) {
            facts.add(new Fact("Blocks", part(design, units, loads.ballastKg())));
            facts.add(new Fact(
                    several ? "All arrays on this roof" : "Whole array",
                    Show.both(units, Dimension.MASS, loads.arrayKg())));
            for (RoofLoads.LaidLine l : loads.laid()) {
                facts.add(new Fact(l.name(), part(design, units, l.kg())));
            }
            facts.add(new Fact(
                    several
                            ? "Average over the arrays, walkways not counted"
                            : "Average over the array, walkways not counted",
                    Show.both(units, Dimension.LOAD, loads.footprint().loadPa())));
            facts.add(new Fact("Average over the whole roof", Show.both(units, Dimension.LOAD, loads.wholeRoofPa())));
            if (loads.window() != null) {
                facts.add(new Fact(
                        "Heaviest part of the array",
                        Show.both(units, Dimension.LOAD, loads.window().load().loadPa())));
            }
        } else {
            facts.add(new Fact("Blocks and load", "not established"));
        }
        if (known && loads.worstBay() != null) {
            facts.add(new Fact(
                    "Heaviest bay, " + loads.worstBay().bay().name(),
                    Show.both(units, Dimension.LOAD, loads.worstBay().load().loadPa())));
        }
        site(design, units, facts);
        return facts;
    }

    /** A part of the array's mass, and its share where all of it is known. */
    private static String part(Design design, UnitSystem units, double kg) {
        double all = design.loads().totalKg();
        boolean known = design.roof().established() && all > 0;
        return Show.both(units, Dimension.MASS, kg) + (known ? ", " + Show.number(100 * kg / all, 0) + " %" : "");
    }

    private static void site(Design design, UnitSystem units, List<Fact> facts) {
        Roof.Allowance allowance = design.job().roof().allowance();
        facts.add(new Fact(
                "Allowance for added load",
                allowance == null
                        ? "not established"
                        : Show.both(units, Dimension.LOAD, allowance.load().si())
                                + ", "
                                + allowance.givenBy()
                                + ", "
                                + allowance.date()));
        boolean en = design.job().site().code() instanceof Site.EnSite;
        facts.add(new Fact(
                en ? "Peak velocity pressure q_p" : "Velocity pressure q_h",
                design.site().wind() == null
                        ? "not established"
                        : Show.both(units, Dimension.LOAD, design.site().wind().pressurePa())));
        facts.add(new Fact(
                design.site().snow() instanceof GivenSnow
                        ? "Snow on the roof, by an engineer"
                        : en ? "Snow on the roof, EN 1991-1-3" : "Snow on the roof, ASCE 7",
                design.site().snow() == null
                        ? "not established"
                        : Show.both(units, Dimension.LOAD, design.site().snow().roofPa())
                                + ", recorded for the engineer, not added"));
    }

    private static List<String> assumptions(Design design, UnitSystem units) {
        List<String> list = new ArrayList<>();
        Job job = design.job();
        list.addAll(Assumptions.of(job));
        if (job.site().code() instanceof Site.AsceSite asce) {
            list.add("Wind speed is a 3-second gust at strength level for risk category "
                    + asce.riskCategory()
                    + ", exposure "
                    + asce.ground().exposure()
                    + ".");
            if (!asce.coefficients().isEmpty()) {
                list.add("Net coefficients of the panels: set " + asce.coefficients() + ".");
            }
            if (asce.edition().olderFigures()) {
                list.add("Figures of ASCE 7-16 stand in for those of "
                        + asce.edition().name() + " that are not at hand, as chosen in the job.");
            }
            Topography hill = design.site().topography();
            if (hill != null) {
                list.add("The building stands on a " + asce.ground().hill().shape() + ": K_zt "
                        + Show.number(hill.factor(), 3) + " by 26.8.");
            }
        } else if (job.site().code() instanceof Site.EnSite site) {
            list.add("Wind speed is a 10-minute mean with a return period of 50 years, used for "
                    + Show.number(site.factors().returnYears(), 0) + " years, terrain " + site.terrain()
                    + (site.national().isEmpty()
                            ? "; recommended values of the Eurocodes, no national annex."
                            : "; national parameters " + site.national() + "."));
            list.add("Net coefficients of the panels: set " + site.coefficients() + ".");
            list.add("The AC run is sized by NEC tables for orientation only.");
        }
        if (design.layout().setbackRule() != null) {
            list.add("Set-back by the common rule: " + design.layout().setbackRule() + ".");
        }
        if (job.roof().takesTrays()) {
            trays(design, units, list);
        }
        list.add("Zones on other than rectangular roofs follow our own convention.");
        return list;
    }

    private static void trays(Design design, UnitSystem units, List<String> list) {
        Job job = design.job();
        if (job.array().tray().shared() == null) {
            list.add("No load sharing is shown: the effective wind area is one module.");
        } else {
            list.add("Load is shared over "
                    + Show.both(
                            units, Dimension.AREA, job.array().tray().shared().si())
                    + " by "
                    + job.array().tray().sharedReport()
                    + ".");
        }
        list.add("Friction on "
                + job.roof().covering()
                + " is "
                + design.holdDown().friction()
                + " (tray system's figure).");
        list.add("Rows stand on a level roof for their spacing; the fall counts against sliding.");
    }
}
