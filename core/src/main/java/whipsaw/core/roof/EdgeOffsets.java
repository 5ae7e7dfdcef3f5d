package whipsaw.core.roof;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.job.Footprint;
import whipsaw.core.job.Obstruction;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Quantity;
import whipsaw.core.units.Unit;
import whipsaw.core.units.UnitText;
import whipsaw.core.units.UnitTextException;

/**
 * The place of a thing as a crew measures it: distances from two edges to its nearest sides, for example {@code 3.2 m
 * from edge 3, 12' from the east parapet}. An edge is meant by its number or by the direction it looks to; where it has
 * a parapet the tape touches its inner face.
 */
public final class EdgeOffsets {
    private static final Pattern PART = Pattern.compile(
            "(.+?)\\s+from\\s+(?:the\\s+)?(?:edge\\s+)?(\\d{1,3}|north|south|east|west|north-?east|north-?west|south-?east"
                    + "|south-?west)(?:ern)?(?:\\s+(?:edge|wall|parapet|gable|eave))?",
            Pattern.CASE_INSENSITIVE);
    private static final Map<String, Integer> DIRECTIONS = Map.of(
            "north",
            0,
            "northeast",
            45,
            "east",
            90,
            "southeast",
            135,
            "south",
            180,
            "southwest",
            225,
            "west",
            270,
            "northwest",
            315);
    private static final double SAME_WAY_DEG = 40;
    private static final double PARALLEL = 0.17;

    /** Between two distances; a comma between digits is one of decimals unless an edge stands before it. */
    private static final Pattern BETWEEN = Pattern.compile(
            ";|\\band\\b|,(?=\\s)|(?<=from\\s{1,3}(?:the\\s{1,3})?(?:edge\\s{1,3})?\\w{1,12}),",
            Pattern.CASE_INSENSITIVE);

    private EdgeOffsets() {}

    /** A distance from one edge. */
    public record Offset(int edge, double distanceM) {}

    /** A text that names no place. */
    public static class NoPlace extends IllegalArgumentException {
        private static final long serialVersionUID = 1L;

        NoPlace(String message) {
            super(message);
        }
    }

    /**
     * Reads a text as two distances.
     *
     * @param bare unit of a bare number, null refuses it
     * @throws NoPlace when it cannot be read or an edge is not clear
     */
    public static List<Offset> read(String text, RoofPlan plan, Unit bare) {
        List<Offset> offsets = new ArrayList<>();
        for (String part : BETWEEN.split(text)) {
            Matcher m = PART.matcher(part.strip());
            if (!m.matches()) {
                throw new NoPlace("'" + part.strip()
                        + "' is no distance from an edge: write 3.2 m from edge 3, or 12' from the east parapet");
            }
            try {
                Measure distance = UnitText.parse(m.group(1), Quantity.LENGTH, bare);
                offsets.add(new Offset(edge(m.group(2), plan), distance.si()));
            } catch (UnitTextException e) {
                throw new NoPlace("'" + m.group(1) + "' " + e.getMessage());
            }
        }
        if (offsets.size() != 2) {
            throw new NoPlace(
                    "it has " + offsets.size() + " distances: a place needs two, from edges that meet at an angle");
        }
        return offsets;
    }

    private static int edge(String name, RoofPlan plan) {
        if (Character.isDigit(name.charAt(0))) {
            int number = Integer.parseInt(name);
            if (number < 1 || number > plan.edges().size()) {
                throw new NoPlace("there is no edge " + number + ": the outline has edges 1 to "
                        + plan.edges().size());
            }
            return number;
        }
        double wanted = DIRECTIONS.get(name.toLowerCase(Locale.ROOT).replace("-", ""));
        double up = plan.roof().upAzimuth().si();
        List<Integer> looking = new ArrayList<>();
        for (RoofPlan.Edge e : plan.edges()) {
            double off = Math.abs((e.azimuthDeg(up) - wanted + 540) % 360 - 180);
            if (off <= SAME_WAY_DEG) {
                looking.add(e.number());
            }
        }
        if (looking.size() != 1) {
            throw new NoPlace(
                    looking.isEmpty()
                            ? "no edge looks " + name + ": name the edge by its number"
                            : "edges "
                                    + looking.stream().map(String::valueOf).collect(Collectors.joining(" and "))
                                    + " look " + name + ": name the edge by its number");
        }
        return looking.get(0);
    }

    /**
     * The lower left of a thing's box when its nearest sides have these distances.
     *
     * @throws NoPlace when the edges are nearly parallel
     */
    public static Coordinate place(List<Offset> offsets, Obstruction thing, RoofPlan plan) {
        double[][] lines = new double[2][];
        for (int i = 0; i < 2; i++) {
            RoofPlan.Edge e = plan.edges().get(offsets.get(i).edge() - 1);
            double nx = -e.normalX();
            double ny = -e.normalY();
            double from = nx * e.from().x + ny * e.from().y + e.parapetThicknessM();
            lines[i] = new double[] {nx, ny, from + offsets.get(i).distanceM() - nearest(thing, nx, ny)};
        }
        double det = lines[0][0] * lines[1][1] - lines[0][1] * lines[1][0];
        if (Math.abs(det) < PARALLEL) {
            throw new NoPlace("edges " + offsets.get(0).edge() + " and "
                    + offsets.get(1).edge() + " run the same way: measure from two that meet at an angle");
        }
        return new Coordinate(
                (lines[0][2] * lines[1][1] - lines[1][2] * lines[0][1]) / det,
                (lines[0][0] * lines[1][2] - lines[1][0] * lines[0][2]) / det);
    }

    /** Least distance along a direction from the lower left of the box to the thing. */
    private static double nearest(Obstruction thing, double nx, double ny) {
        double w = thing.width().si();
        double d = thing.depth().si();
        if (thing.footprint().shape() == Footprint.Shape.CIRCLE) {
            return nx * w / 2 + ny * w / 2 - w / 2;
        }
        if (thing.footprint().shape() == Footprint.Shape.POLYGON) {
            return thing.footprint().corners().stream()
                    .mapToDouble(c -> nx * c.x().si() + ny * c.y().si())
                    .min()
                    .orElse(0);
        }
        return Math.min(0, nx * w) + Math.min(0, ny * d);
    }
}
