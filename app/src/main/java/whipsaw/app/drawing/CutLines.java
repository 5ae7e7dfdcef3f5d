package whipsaw.app.drawing;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import whipsaw.core.array.ArrayFrame;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.design.Design;
import whipsaw.core.roof.RoofFace;
import whipsaw.core.section.CutLine;

/** Lines a section is laid along when nobody has drawn one. */
public final class CutLines {
    private CutLines() {}

    /** A cut square to the rows through three of them, or two pairs, near the middle of the array. */
    public static CutLine standard(Design design) {
        ArrayLayout layout = design.layout();
        List<ArrayLayout.Module> all = layout.modules();
        if (all.isEmpty()) {
            return acrossRoof(design);
        }
        Map<String, ArrayLayout.Module> byId = new HashMap<>();
        all.forEach(m -> byId.put(m.id(), m));
        int wanted = layout.pairs() == null ? 3 : 4;
        double middleS =
                all.stream().mapToDouble(ArrayLayout.Module::s).average().orElse(0);
        double middleT =
                all.stream().mapToDouble(ArrayLayout.Module::t).average().orElse(0);
        ArrayLayout.Module first = all.get(0);
        int most = 0;
        List<ArrayLayout.Module> fromTheMiddle = all.stream()
                .sorted(Comparator.comparingDouble(m -> Math.hypot(m.s() - middleS, m.t() - middleT)))
                .toList();
        for (ArrayLayout.Module m : fromTheMiddle) {
            if (layout.pairs() != null && layout.looksBack(m.row())) {
                continue;
            }
            int rows = rowsBehind(layout, byId, m, wanted);
            if (rows > most) {
                most = rows;
                first = m;
            }
            if (most == wanted) {
                break;
            }
        }
        most = Math.max(1, most);
        ArrayLayout.Module last = byId.get((first.row() + most - 1) + "-" + first.column());
        double s = first.s() + layout.alongM() / 2;
        ArrayFrame frame = layout.frame();
        double beyond = Math.min(0.8, Math.max(0.1, layout.gapM() * 0.8));
        double rear = (last == null ? first : last).t() + layout.depthM();
        return new CutLine(frame.plan(s, first.t() - beyond), frame.plan(s, rear + beyond));
    }

    private static int rowsBehind(
            ArrayLayout layout, Map<String, ArrayLayout.Module> byId, ArrayLayout.Module m, int wanted) {
        int rows = 1;
        while (rows < wanted
                && !layout.walkwaysAfter().contains(m.row() + rows - 1)
                && byId.containsKey((m.row() + rows) + "-" + m.column())) {
            rows++;
        }
        return rows;
    }

    /** Over the whole roof, square to the rows, through a place or the middle. */
    public static CutLine acrossRoof(Design design) {
        if (!design.plan().faces().faces().isEmpty()) {
            return acrossFolds(design);
        }
        Envelope box = PlanDrawing.extent(design);
        ArrayFrame frame = design.layout().frame();
        Coordinate middle = design.plan().outline().getInteriorPoint().getCoordinate();
        double s = frame.s(middle.x, middle.y);
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (Coordinate c : design.plan().outline().getCoordinates()) {
            least = Math.min(least, frame.t(c.x, c.y));
            most = Math.max(most, frame.t(c.x, c.y));
        }
        double beyond = Math.max(box.getWidth(), box.getHeight()) * 0.02;
        return new CutLine(frame.plan(s, least - beyond), frame.plan(s, most + beyond));
    }

    /** Over the whole roof, up the slope of its first face. */
    private static CutLine acrossFolds(Design design) {
        RoofFace face = design.plan().faces().faces().get(0);
        Coordinate middle = design.plan().outline().getInteriorPoint().getCoordinate();
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (Coordinate c : design.plan().outline().getCoordinates()) {
            double up = (c.x - middle.x) * face.upX() + (c.y - middle.y) * face.upY();
            least = Math.min(least, up);
            most = Math.max(most, up);
        }
        double beyond = (most - least) * 0.04;
        return new CutLine(
                new Coordinate(middle.x + face.upX() * (least - beyond), middle.y + face.upY() * (least - beyond)),
                new Coordinate(middle.x + face.upX() * (most + beyond), middle.y + face.upY() * (most + beyond)));
    }
}
