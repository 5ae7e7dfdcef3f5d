package whipsaw.app.export;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.app.store.Revision;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.build.Counts;
import whipsaw.core.check.Check;
import whipsaw.core.circuit.Circuits;
import whipsaw.core.design.Design;
import whipsaw.core.design.RoofDesign;
import whipsaw.core.figure.Figures;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.structure.RoofLoads;
import whipsaw.core.structure.RoofMembers;
import whipsaw.core.survey.Soiling;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Unit;

/** The schedules of a design. */
public final class Schedules {
    private static final String UNKNOWN = "not established";

    private Schedules() {}

    /**
     * All of them, in the order of a workbook; the first says what they are of.
     *
     * @param standing whether it is signed, in words
     */
    public static List<Schedule> all(Design design, Revision revision, CodeTables tables, String standing) {
        return List.of(
                about(design, revision, tables, standing),
                ballast(design),
                modules(design),
                strings(design),
                loads(design),
                members(design),
                checks(design),
                counts(design));
    }

    private static Schedule about(Design design, Revision revision, CodeTables tables, String standing) {
        Schedule.Builder t = new Schedule.Builder("Sheet", "what", "value");
        t.row("job", design.job().project().name());
        t.row("place", design.job().project().place());
        t.row("prepared by", design.job().project().preparedBy());
        t.row("revision", revision.number());
        t.row("stored at, UTC", revision.at());
        t.row("codes", design.job().site().code().codes());
        Figures figures = new Figures(design, tables);
        t.row("data", figures.status().words());
        figures.sources()
                .forEach(s -> t.row("source", s.words() + ": " + s.status().words()));
        t.row("caution", standing);
        return t.build();
    }

    /** One line a position. */
    public static Schedule ballast(Design design) {
        Schedule.Builder t = new Schedule.Builder(
                "Ballast",
                "array",
                "position",
                "row",
                "zone",
                "x_m",
                "y_m",
                "x_ft",
                "y_ft",
                "blocks_needed",
                "blocks_placed",
                "beside_them",
                "ballast_kg",
                "ballast_lb");
        each(design, array -> ballast(t, array));
        return t.build();
    }

    /** Every array of the job. */
    private static void each(Design design, Consumer<Design> rows) {
        design.whole().arrays().stream()
                .filter(a -> a.job().placed() != null)
                .forEach(a -> rows.accept(design.at(a.job().place())));
    }

    private static String array(Design design) {
        return design.job().placed().name();
    }

    private static void ballast(Schedule.Builder t, Design design) {
        boolean known = design.holdDown().established();
        for (HoldDown.Position p : design.holdDown().positions()) {
            HoldDown.Demand demand =
                    design.holdDown().demands().get(p.shares().get(0).module());
            Coordinate at = design.layout().frame().plan(p.s(), p.t());
            t.row(
                    array(design),
                    plain(p.number()),
                    p.row(),
                    demand.zone(),
                    number(at.x, 3),
                    number(at.y, 3),
                    number(Unit.FOOT.fromSi(at.x), 3),
                    number(Unit.FOOT.fromSi(at.y), 3),
                    known ? p.ballast().blocksNeeded() : UNKNOWN,
                    known ? p.ballast().blocksPlaced() : UNKNOWN,
                    !known || !p.ballast().full()
                            ? ""
                            : p.ballast().lacks()
                                    ? "short of blocks"
                                    : "attachments, places not designed: not for setting out",
                    known ? number(p.ballast().placedKg(), 2) : null,
                    known ? number(Unit.POUND.fromSi(p.ballast().placedKg()), 1) : null);
        }
    }

    /** One line a module. */
    static Schedule modules(Design design) {
        Schedule.Builder t = new Schedule.Builder(
                "Modules",
                "array",
                "module",
                "row",
                "place",
                "grid",
                "x_m",
                "y_m",
                "zone",
                "uplift_Pa",
                "uplift_psf",
                "string",
                "in_string",
                "shaded_in_window",
                "dirt_source",
                "dirt_distance_m",
                "dirt_bearing_deg",
                "in_drift");
        each(design, array -> modules(t, array));
        return t.build();
    }

    private static void modules(Schedule.Builder t, Design design) {
        Map<Integer, Circuits.PvString> strings = new HashMap<>();
        design.strings().strings().forEach(s -> s.modules().forEach(m -> strings.put(m, s)));
        int[] shaded = design.shade().instantsInWindow();
        Soiling soiling = Soiling.of(design.job(), design.layout());
        for (HoldDown.Demand d : design.holdDown().demands()) {
            ArrayLayout.Module m = d.module();
            Coordinate at = design.layout().corners(m)[0];
            Circuits.PvString s = strings.get(m.index());
            double uplift = d.pressure().upliftPa();
            Soiling.From dirt =
                    soiling.from(design.layout(), m).stream().findFirst().orElse(null);
            boolean known = design.holdDown().established();
            t.row(
                    array(design),
                    plain(m.number()),
                    m.crewRow(),
                    m.crewPlace(),
                    plain(m.id()),
                    number(at.x, 3),
                    number(at.y, 3),
                    d.zone(),
                    known ? number(uplift, 1) : UNKNOWN,
                    known ? number(Unit.POUND_PER_SQUARE_FOOT.fromSi(uplift), 2) : UNKNOWN,
                    s == null ? "none" : s.name(),
                    s == null ? null : s.modules().indexOf(m.index()) + 1,
                    shaded[m.index()],
                    dirt == null ? null : dirt.name(),
                    dirt == null ? null : number(dirt.distanceM(), 1),
                    dirt == null ? null : number(dirt.bearingDeg(), 0),
                    dirt == null ? null : dirt.inDrift() ? "yes" : "no");
        }
    }

    /** One line a string. */
    public static Schedule strings(Design design) {
        Schedule.Builder t =
                new Schedule.Builder("Strings", "array", "string", "inverter", "tracker", "modules", "in_order");
        each(design, array -> strings(t, array));
        return t.build();
    }

    private static void strings(Schedule.Builder t, Design design) {
        for (Circuits.PvString s : design.strings().strings()) {
            String order = String.join(
                    " ",
                    s.modules().stream()
                            .map(i -> design.layout().modules().get(i).number())
                            .toList());
            t.row(
                    array(design),
                    s.name(),
                    s.inverter(),
                    s.tracker(),
                    s.modules().size(),
                    plain(order));
        }
    }

    /** One line a bay. */
    static Schedule loads(Design design) {
        Schedule.Builder t = new Schedule.Builder("Loads", "roof", "bay", "area_m2", "mass_kg", "load_Pa", "load_psf");
        for (RoofDesign roof : design.whole().roofs()) {
            loads(t, roof);
        }
        return t.build();
    }

    private static void loads(Schedule.Builder t, RoofDesign roof) {
        for (RoofLoads.BayLoad bay : roof.loads().bays()) {
            boolean known = roof.established();
            double load = bay.load().loadPa();
            t.row(
                    roof.roof().name(),
                    bay.bay().name(),
                    number(bay.load().areaM2(), 2),
                    known ? number(bay.load().massKg(), 1) : UNKNOWN,
                    known ? number(load, 1) : UNKNOWN,
                    known ? number(Unit.POUND_PER_SQUARE_FOOT.fromSi(load), 2) : UNKNOWN);
        }
    }

    /** Two lines a member, one for each support; loads as they are, without factors. */
    public static Schedule members(Design design) {
        Schedule.Builder t = new Schedule.Builder(
                "Reactions",
                "roof",
                "members",
                "member",
                "x_m",
                "y_m",
                "x_ft",
                "y_ft",
                "dead_N",
                "snow_N",
                "drift_N",
                "live_N",
                "array_N",
                "array_lbf",
                "use_before",
                "use_after",
                "governed_by");
        for (RoofDesign roof : design.whole().roofs()) {
            members(t, roof);
        }
        return t.build();
    }

    private static void members(Schedule.Builder t, RoofDesign roof) {
        for (RoofMembers.Checked set : roof.members().sets()) {
            List<RoofMembers.Member> members = set.members().stream()
                    .sorted(Comparator.comparingInt(
                                    (RoofMembers.Member m) -> m.line().bay())
                            .thenComparingDouble(m -> m.line().atM()))
                    .toList();
            for (RoofMembers.Member m : members) {
                support(t, roof, set, m, true);
                support(t, roof, set, m, false);
            }
        }
    }

    private static void support(
            Schedule.Builder t, RoofDesign roof, RoofMembers.Checked set, RoofMembers.Member m, boolean left) {
        double along = left ? m.line().fromM() : m.line().toM();
        double x = m.alongX() ? along : m.line().atM();
        double y = m.alongX() ? m.line().atM() : along;
        RoofMembers.Reactions r = m.reactions();
        double array = left ? r.arrayLeft() : r.arrayRight();
        t.row(
                roof.roof().name(),
                set.set().name(),
                plain(m.line().number()),
                number(x, 3),
                number(y, 3),
                number(Unit.FOOT.fromSi(x), 3),
                number(Unit.FOOT.fromSi(y), 3),
                number(r.dead(), 0),
                number(r.snow(), 0),
                number(left ? r.driftLeft() : r.driftRight(), 0),
                number(r.live(), 0),
                number(array, 0),
                number(Unit.POUND_FORCE.fromSi(array), 0),
                number(m.before().utilisation(), 3),
                number(m.after().utilisation(), 3),
                m.after().governing());
    }

    static Schedule checks(Design design) {
        Schedule.Builder t = new Schedule.Builder(
                "Checks", "verdict", "check", "place", "demand", "capacity", "use", "source", "remark");
        for (Check c : design.checks()) {
            t.row(
                    c.verdict().words(),
                    c.heading(),
                    c.place() == null ? null : c.place().words(),
                    c.demand(),
                    c.capacity(),
                    Double.isFinite(c.utilisation()) ? number(c.utilisation(), 3) : null,
                    c.source(),
                    c.remark());
        }
        return t.build();
    }

    public static Schedule counts(Design design) {
        Schedule.Builder t = new Schedule.Builder("Counts", "item", "quantity");
        for (Counts.Line line : design.counts().lines()) {
            t.row(line.item(), line.quantity());
        }
        return t.build();
    }

    private static BigDecimal number(double value, int decimals) {
        return new BigDecimal(value).setScale(decimals, RoundingMode.HALF_UP);
    }

    /** A number such as 3-12, kept from being read as a date or a sum by a spreadsheet. */
    static String plain(String number) {
        return "P " + number;
    }
}
