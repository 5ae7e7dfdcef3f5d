package whipsaw.core.exchange;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;

/** Joins open lines of a layer that meet end to end and two at a point; chains that come back are closed. */
final class LineJoiner {
    /** Ends nearer than this part of the drawing's extent are the same. */
    private static final double SAME_PART = 1e-6;

    private LineJoiner() {}

    static List<ForeignDrawing.Shape> joined(List<ForeignDrawing.Shape> shapes, Findings findings) {
        Envelope box = new Envelope();
        shapes.forEach(s -> s.points().forEach(box::expandToInclude));
        double cell = Math.max(1e-9, Math.max(box.getWidth(), box.getHeight()) * SAME_PART);
        List<ForeignDrawing.Shape> result = new ArrayList<>();
        Map<String, List<ForeignDrawing.Shape>> open = new HashMap<>();
        for (ForeignDrawing.Shape s : shapes) {
            if (s.closed()) {
                result.add(s);
            } else {
                open.computeIfAbsent(s.layer(), k -> new ArrayList<>()).add(s);
            }
        }
        open.forEach((layer, lines) -> chains(layer, lines, cell, result, findings));
        return result;
    }

    private static String key(Coordinate c, double cell) {
        return Math.round(c.x / cell) + "," + Math.round(c.y / cell);
    }

    private static void chains(
            String layer,
            List<ForeignDrawing.Shape> lines,
            double cell,
            List<ForeignDrawing.Shape> result,
            Findings findings) {
        Map<String, List<Integer>> ends = new HashMap<>();
        for (int i = 0; i < lines.size(); i++) {
            List<Coordinate> p = lines.get(i).points();
            ends.computeIfAbsent(key(p.get(0), cell), k -> new ArrayList<>()).add(i);
            ends.computeIfAbsent(key(p.get(p.size() - 1), cell), k -> new ArrayList<>())
                    .add(i);
        }
        boolean[] used = new boolean[lines.size()];
        for (int i = 0; i < lines.size(); i++) {
            if (used[i]) {
                continue;
            }
            used[i] = true;
            Deque<Coordinate> chain = new ArrayDeque<>(lines.get(i).points());
            boolean grew = grow(chain, true, lines, ends, used, cell) | grow(chain, false, lines, ends, used, cell);
            List<Coordinate> points = new ArrayList<>(chain);
            boolean closed =
                    points.size() > 3 && key(points.get(0), cell).equals(key(points.get(points.size() - 1), cell));
            if (closed) {
                points.remove(points.size() - 1);
            } else if (points.size() > 2) {
                findings.add("open line of several points on layer '" + layer + "'", points.get(0));
            }
            String kind = grew ? "joined lines" : lines.get(i).kind();
            result.add(new ForeignDrawing.Shape(layer, kind, points, closed));
        }
    }

    private static boolean grow(
            Deque<Coordinate> chain,
            boolean atEnd,
            List<ForeignDrawing.Shape> lines,
            Map<String, List<Integer>> ends,
            boolean[] used,
            double cell) {
        boolean grew = false;
        while (true) {
            Coordinate tip = atEnd ? chain.getLast() : chain.getFirst();
            List<Integer> here = ends.getOrDefault(key(tip, cell), List.of());
            int follow = here.size() == 2
                    ? here.stream().filter(i -> !used[i]).findFirst().orElse(-1)
                    : -1;
            if (follow < 0) {
                return grew;
            }
            used[follow] = true;
            grew = true;
            List<Coordinate> p = new ArrayList<>(lines.get(follow).points());
            if (!key(p.get(0), cell).equals(key(tip, cell))) {
                java.util.Collections.reverse(p);
            }
            for (Coordinate c : p.subList(1, p.size())) {
                if (atEnd) {
                    chain.addLast(c);
                } else {
                    chain.addFirst(c);
                }
            }
        }
    }
}
