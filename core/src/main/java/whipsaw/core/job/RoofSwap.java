package whipsaw.core.job;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Quantity;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitText;

/**
 * Another roof of a job becomes the one that is worked on. What stands in the world, pins, viewers, the AC run, the picture
 * and the other roofs, keeps its place there and is counted from the new sheet; hand edits of the array go.
 */
public final class RoofSwap {
    private final double x;
    private final double y;
    private final double turnRad;

    /** From the sheet that was to the sheet that will be. */
    private RoofSwap(Job job, Survey.OtherRoof to) {
        this.x = to.x().si();
        this.y = to.y().si();
        // a sheet whose top looks further clockwise lies turned clockwise on ours
        this.turnRad = Math.toRadians(
                to.roof().upAzimuth().si() - job.roof().upAzimuth().si());
    }

    /** @throws IllegalArgumentException when the job has no such roof */
    public static Job to(Job job, String id, double facingDeg) {
        Survey s = job.survey();
        Survey.OtherRoof to = s.roofs().stream()
                .filter(r -> r.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("there is no roof '" + id + "' in this job any more"));
        RoofSwap swap = new RoofSwap(job, to);
        List<Survey.OtherRoof> roofs = new ArrayList<>();
        for (Survey.OtherRoof r : s.roofs()) {
            Measure[] at = r == to ? swap.at(0, 0) : swap.at(r.x(), r.y());
            roofs.add(
                    r == to
                            ? new Survey.OtherRoof(r.id(), s.roofName(), at[0], at[1], job.roof())
                            : new Survey.OtherRoof(r.id(), r.name(), at[0], at[1], r.roof()));
        }
        Survey survey = new Survey(
                s.answers(),
                s.pins().stream().map(swap::pin).toList(),
                s.routes().stream().map(swap::route).toList(),
                s.viewers().stream().map(swap::viewer).toList(),
                s.unseen(),
                s.occupants(),
                swap.underlay(s.underlay()),
                to.name(),
                roofs);
        ArrayChoice a = job.array();
        ArrayChoice.Facing facing = a.facing() instanceof ArrayChoice.ToEdge
                ? new ArrayChoice.ToAzimuth(UnitText.parse(Show.number(facingDeg, 2) + " deg", Quantity.ANGLE, null))
                : a.facing();
        ArrayChoice array = new ArrayChoice(
                a.tray(),
                a.module(),
                a.block(),
                a.tilt(),
                a.gap(),
                facing,
                a.setback(),
                a.walkway(),
                a.windowFrom(),
                a.windowTo(),
                a.shiftAlong(),
                a.shiftAcross(),
                List.of(),
                a.attachments());
        Electrical.AcRun run = job.electrical().run();
        Electrical e = job.electrical();
        Electrical electrical = new Electrical(
                e.inverter(),
                e.place(),
                e.dcAcMost(),
                e.systemLimit(),
                e.cellRiseC(),
                new Electrical.AcRun(
                        run.points().stream().map(swap::corner).toList(),
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
        return new Job(job.project(), to.roof(), survey, job.site(), array, electrical, job.codeTables());
    }

    private Measure[] at(Measure px, Measure py) {
        return at(px.si(), py.si());
    }

    private Measure[] at(double px, double py) {
        double dx = px - x;
        double dy = py - y;
        return new Measure[] {
            metres(dx * Math.cos(turnRad) - dy * Math.sin(turnRad)),
            metres(dx * Math.sin(turnRad) + dy * Math.cos(turnRad))
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
