package whipsaw.app.export;

import java.util.List;
import whipsaw.app.job.Laying;
import whipsaw.app.store.LaidStore;
import whipsaw.app.store.PenetrationStore.Done;
import whipsaw.app.store.PenetrationStore.Penetration;
import whipsaw.core.build.BallastMap;
import whipsaw.core.build.MapChange;

/** What was done on the roof, as tables that leave the application. */
public final class SiteRecords {
    private SiteRecords() {}

    /** One line a position of the signed map. */
    public static Schedule laid(Laying.OnRoof roof) {
        Schedule.Builder t = new Schedule.Builder(
                "As laid",
                "array",
                "position",
                "row",
                "x_m",
                "y_m",
                "blocks_map",
                "blocks_laid",
                "state",
                "laid_by",
                "at_utc",
                "note",
                "photograph");
        for (BallastMap.MapArray a : roof.map().arrays()) {
            for (BallastMap.Place p : a.places()) {
                LaidStore.Laid tick = roof.tick(a.id(), p);
                t.row(
                        a.name(),
                        Schedules.plain(p.number()),
                        p.row(),
                        p.xM(),
                        p.yM(),
                        p.blocks(),
                        tick == null ? null : tick.blocks(),
                        roof.laid().state(a.id(), p).words(),
                        tick == null ? null : tick.by(),
                        tick == null ? null : tick.at(),
                        tick == null ? null : tick.note(),
                        tick == null ? null : tick.picture());
            }
        }
        return t.build();
    }

    /** One line a position that changes. */
    public static Schedule changes(MapChange change) {
        Schedule.Builder t = new Schedule.Builder(
                "Ballast changes", "array", "position", "row", "blocks_there", "blocks_wanted", "add", "remark");
        for (MapChange.Moved m : change.places()) {
            t.row(
                    m.array(),
                    Schedules.plain(m.number()),
                    m.row(),
                    m.before(),
                    m.after(),
                    m.add(),
                    m.gone() ? "position is gone" : m.isNew() ? "new position" : null);
        }
        return t.build();
    }

    /** One line a penetration. */
    public static Schedule penetrations(List<Penetration> log) {
        Schedule.Builder t = new Schedule.Builder(
                "Penetrations",
                "number",
                "place",
                "kind",
                "made_by",
                "made_on",
                "flashed_by",
                "flashed_on",
                "accepted_by",
                "accepted_on",
                "note",
                "photographs",
                "struck_out");
        for (Penetration p : log) {
            t.row(
                    p.number(),
                    p.place(),
                    p.kind(),
                    p.made().by(),
                    day(p.made()),
                    p.flashed().by(),
                    day(p.flashed()),
                    p.accepted().by(),
                    day(p.accepted()),
                    p.note(),
                    p.pictures().size(),
                    p.struckOut() ? "yes" : "no");
        }
        return t.build();
    }

    private static String day(Done done) {
        return done.on() == null ? null : done.on().toString();
    }
}
