package whipsaw.core.job;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Quantity;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitText;

/** From the site, which is the sheet of the first roof, to the sheet of another roof and back. */
public final class SheetMove {
    private final double x;
    private final double y;
    private final double turnRad;

    private SheetMove(double x, double y, double turnRad) {
        this.x = x;
        this.y = y;
        this.turnRad = turnRad;
    }

    /** Null where the roof is the first one. */
    static SheetMove between(JobRoof first, JobRoof roof) {
        return roof.id().equals(first.id()) ? null : of(first, roof);
    }

    /**
     * From the site to the sheet of a roof.
     *
     * @param first roof of the job
     * @param roof the first one or another
     */
    public static SheetMove of(JobRoof first, JobRoof roof) {
        // a sheet whose top looks further clockwise lies turned clockwise in the site
        double turnDeg = roof.roof().upAzimuth().si() - first.roof().upAzimuth().si();
        return new SheetMove(roof.x().si(), roof.y().si(), Math.toRadians(turnDeg));
    }

    /** How far the sheet is turned in the site, clockwise, degrees. */
    public double turnDeg() {
        return Math.toDegrees(turnRad);
    }

    Survey survey(Survey s) {
        return new Survey(
                s.answers(),
                s.pins().stream().map(this::pin).toList(),
                s.routes().stream().map(this::route).toList(),
                s.viewers().stream().map(this::viewer).toList(),
                s.unseen(),
                s.occupants(),
                underlay(s.underlay()));
    }

    Electrical electrical(Electrical e) {
        Electrical.AcRun run = e.run();
        return new Electrical(
                e.inverter(),
                e.place(),
                e.dcAcMost(),
                e.systemLimit(),
                e.cellRiseC(),
                new Electrical.AcRun(
                        run.points().stream().map(this::corner).toList(),
                        run.legs(),
                        run.slackPct(),
                        run.conductor(),
                        run.raceway(),
                        run.terminalC(),
                        run.inSun(),
                        run.aboveRoof(),
                        run.dropLimitPct(),
                        run.powerFactor(),
                        run.feeders()));
    }

    private Measure[] at(Measure px, Measure py) {
        return at(px.si(), py.si());
    }

    private Measure[] at(double px, double py) {
        double[] at = onSheet(px, py);
        return new Measure[] {metres(at[0]), metres(at[1])};
    }

    /** A place in the site as the sheet counts it, m. */
    public double[] onSheet(double siteX, double siteY) {
        double dx = siteX - x;
        double dy = siteY - y;
        return new double[] {
            dx * Math.cos(turnRad) - dy * Math.sin(turnRad), dx * Math.sin(turnRad) + dy * Math.cos(turnRad)
        };
    }

    /** A place on the sheet as the site counts it, m. */
    public double[] inSite(double sheetX, double sheetY) {
        return new double[] {
            x + sheetX * Math.cos(turnRad) + sheetY * Math.sin(turnRad),
            y - sheetX * Math.sin(turnRad) + sheetY * Math.cos(turnRad)
        };
    }

    private static Measure metres(double m) {
        return UnitText.parse(Show.number(m, 4) + " m", Quantity.LENGTH, null);
    }

    private Corner corner(Corner c) {
        Measure[] at = at(c.x(), c.y());
        return new Corner(at[0], at[1]);
    }

    private Survey.Pin pin(Survey.Pin p) {
        Measure[] at = at(p.x(), p.y());
        return new Survey.Pin(
                p.id(), p.kind(), at[0], at[1], p.note(), p.reach(), p.load(), p.by(), p.seen(), p.photos());
    }

    private Survey.Route route(Survey.Route r) {
        List<Survey.RouteLeg> legs = new ArrayList<>();
        for (Survey.RouteLeg l : r.legs()) {
            legs.add(new Survey.RouteLeg(l.name(), l.vertical(), l.length(), place(l.place()), l.photos()));
        }
        return new Survey.Route(r.id(), r.name(), r.note(), r.keys(), legs);
    }

    private Survey.LegPlace place(Survey.LegPlace p) {
        if (p == null) {
            return null;
        }
        Measure[] from = at(p.x(), p.y());
        Measure[] to = p.toX() == null ? new Measure[2] : at(p.toX(), p.toY());
        return new Survey.LegPlace(from[0], from[1], to[0], to[1]);
    }

    private Survey.Viewer viewer(Survey.Viewer v) {
        Measure[] at = at(v.x(), v.y());
        return new Survey.Viewer(v.id(), v.name(), at[0], at[1], v.eye(), v.ground());
    }

    private Survey.Underlay underlay(Survey.Underlay u) {
        if (u == null) {
            return null;
        }
        Measure[] at = at(u.x(), u.y());
        double turn = (u.turnDeg() + Math.toDegrees(turnRad) + 540) % 360 - 180;
        return new Survey.Underlay(u.picture(), at[0], at[1], u.metresPerPixel(), turn, u.opacityPct());
    }
}
