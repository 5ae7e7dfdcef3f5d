package whipsaw.core.exchange;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;

/** Joins open lines of a layer that meet end to end and two at a point; chains that come back are closed. */
final class LineJoiner {
    /** Ends nearer than this part of the drawing's extent are the same. */
    private static final double SAME_PART = 1e-6;

    /** A finding begins so where a line stays open. */
    static final String OPEN = "open line of several points";

    private static final int MOST_OPEN = 400;

    private LineJoiner() {}

    /** Open lines whose nearest ends on the layer lie within a gap are joined there, nearest first; so are a line's own ends. */
    static List<ForeignDrawing.Shape> closing(List<ForeignDrawing.Shape> shapes, double gap, Findings findings) {
        List<ForeignDrawing.Shape> result = new ArrayList<>();
        Map<String, List<List<Coordinate>>> open = new TreeMap<>();
        for (ForeignDrawing.Shape s : shapes) {
            if (s.closed()) {
                result.add(s);
            } else {
                open.computeIfAbsent(s.layer(), k -> new ArrayList<>()).add(new ArrayList<>(s.points()));
            }
        }
        open.forEach((layer, lines) -> {
            if (lines.size() > MOST_OPEN) {
                findings.add(
                        "more than " + MOST_OPEN + " open lines on layer '" + layer + "': gaps are not looked for",
                        null);
            } else {
                bridge(layer, lines, gap, result, findings);
            }
            for (List<Coordinate> line : lines) {
                if (line.size() > 2) {
                    findings.add(OPEN + " on layer '" + layer + "'", line.get(0));
                }
                result.add(new ForeignDrawing.Shape(layer, "joined lines", line, false));
            }
        });
        return result;
    }

    private static void bridge(
            String layer,
            List<List<Coordinate>> lines,
            double gap,
            List<ForeignDrawing.Shape> result,
            Findings findings) {
        Ends nearest = nearest(lines, gap);
        while (nearest != null) {
            List<Coordinate> line = lines.get(nearest.line());
            findings.add("gap closed on layer '" + layer + "'", end(line, nearest.last()));
            if (nearest.line() == nearest.other()) {
                lines.remove(nearest.line());
                result.add(new ForeignDrawing.Shape(layer, "joined lines", line, true));
            } else {
                List<Coordinate> other = lines.remove(nearest.other());
                if (!nearest.last()) {
                    Collections.reverse(line);
                }
                if (nearest.otherLast()) {
                    Collections.reverse(other);
                }
                line.addAll(other);
            }
            nearest = nearest(lines, gap);
        }
    }

    /** Two ends of lines, or the two ends of one. */
    private record Ends(int line, boolean last, int other, boolean otherLast) {}

    /** The nearest two ends within a gap; null where there are none. */
    private static Ends nearest(List<List<Coordinate>> lines, double gap) {
        Ends best = null;
        double least = gap * (1 + 1e-9);
        for (int i = 0; i < lines.size(); i++) {
            List<Coordinate> line = lines.get(i);
            if (line.size() > 2 && end(line, true).distance(end(line, false)) <= least) {
                least = end(line, true).distance(end(line, false));
                best = new Ends(i, true, i, false);
            }
            for (int k = i + 1; k < lines.size(); k++) {
                for (int way = 0; way < 4; way++) {
                    boolean last = way < 2;
                    boolean otherLast = way % 2 == 1;
                    double apart = end(line, last).distance(end(lines.get(k), otherLast));
                    if (apart < least) {
                        least = apart;
                        best = new Ends(i, last, k, otherLast);
                    }
                }
            }
        }
        return best;
    }

    /** @param last its last point, else its first */
    private static Coordinate end(List<Coordinate> line, boolean last) {
        return line.get(last ? line.size() - 1 : 0);
    }

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
                findings.add(OPEN + " on layer '" + layer + "'", points.get(0));
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
                Collections.reverse(p);
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
