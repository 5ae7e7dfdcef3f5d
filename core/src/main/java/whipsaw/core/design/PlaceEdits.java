package whipsaw.core.design;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import whipsaw.core.array.ArrayAreas;
import whipsaw.core.job.ArrayChoice;
import whipsaw.core.job.Corner;
import whipsaw.core.job.DocumentPatch.Change;
import whipsaw.core.job.HandWork;
import whipsaw.core.job.InverterGroup;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobArray;
import whipsaw.core.job.JobDocument;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.JobRoof;
import whipsaw.core.job.JobWriter;
import whipsaw.core.job.Roof;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Quantity;
import whipsaw.core.units.Show;
import whipsaw.core.units.Unit;
import whipsaw.core.units.UnitText;

/**
 * Changes that add, split, copy, move or take away arrays and roofs of a job. Nothing is changed here; what makes no
 * sense is an {@link IllegalArgumentException} with the reason in words.
 */
public final class PlaceEdits {
    private static final GeometryFactory FACTORY = new GeometryFactory();
    /** Farther than any roof reaches, m. */
    private static final double FAR_M = 20_000;
    /** How far a new roof stands from those that are there, m. */
    private static final double BESIDE_M = 5;

    /** Points nearer than this are one, m. */
    private static final double SAME_M = 0.01;

    private final Design design;
    private final Job job;

    public PlaceEdits(Design design) {
        this.design = design;
        this.job = design.job();
    }

    /** A new array on the roof that is looked at, with the settings of the array that is looked at. */
    public List<Change> add(List<Coordinate> area) {
        if (area.size() < 3) {
            throw new IllegalArgumentException("an area needs 3 corners or more");
        }
        return List.of(append(fresh(job.on().id(), corners(area), job.array())));
    }

    /** The first array on a roof that has none: it takes all of it. */
    public List<Change> first() {
        if (job.placed() != null) {
            throw new IllegalArgumentException("array " + job.placed().name()
                    + " takes what the areas leave of this roof: draw an area for another one");
        }
        return List.of(append(fresh(job.on().id(), List.of(), job.array())));
    }

    /** A copy of the array that is looked at, its area moved: by its own width to the right where nothing is said. */
    public List<Change> copy() {
        JobArray own = placed();
        if (own.area().isEmpty()) {
            throw new IllegalArgumentException("array " + own.name()
                    + " takes all that is left of its roof: give it an area first, or split it along a line");
        }
        Polygon area = ArrayAreas.polygon(own);
        double dx = area.getEnvelopeInternal().getWidth() + BESIDE_M;
        List<Coordinate> ring = ring(area);
        ring.forEach(c -> c.x += dx);
        return List.of(append(fresh(own.on(), corners(ring), job.array())));
    }

    /** Cuts the array that is looked at along a line; the smaller part becomes a new array with the same settings. */
    public List<Change> split(Coordinate a, Coordinate b) {
        JobArray own = placed();
        if (a.distance(b) < SAME_M) {
            throw new IllegalArgumentException("the line starts and ends at the same point: give two different points");
        }
        Geometry whole = own.area().isEmpty() ? design.plan().outline() : ArrayAreas.polygon(own);
        double ux = (b.x - a.x) / a.distance(b);
        double uy = (b.y - a.y) / a.distance(b);
        Geometry one = whole.intersection(half(a, ux, uy, 1));
        Geometry other = whole.intersection(half(a, ux, uy, -1));
        if (one.isEmpty() || other.isEmpty()) {
            throw new IllegalArgumentException("the line does not cross the area of array " + own.name());
        }
        if (!(one instanceof Polygon first) || !(other instanceof Polygon second)) {
            throw new IllegalArgumentException(
                    "the line cuts the area into more than two parts: draw an area for each of them");
        }
        Polygon small = first.getArea() < second.getArea() ? first : second;
        Polygon large = small == first ? second : first;
        List<Corner> goes = new ArrayList<>();
        List<Corner> stays = new ArrayList<>();
        Predicate<Corner> in = c -> small.covers(FACTORY.createPoint(new Coordinate(c.x().si(), c.y().si())));
        job.array().removed().forEach(c -> (in.test(c) ? goes : stays).add(c));
        List<Change> changes = new ArrayList<>();
        if (!own.area().isEmpty()) {
            changes.add(set(own.id(), "area", written(corners(ring(large)))));
        }
        if (!goes.isEmpty()) {
            changes.add(set(own.id(), "removed", written(stays)));
        }
        HandWork hand = job.array().byHand();
        if (hand.at(in) != null) {
            changes.add(hand(own.id(), hand.at(in.negate())));
        }
        ArrayChoice stayed = job.array().attachedAt(in.negate());
        if (!stayed.equals(job.array())) {
            changes.add(
                    stayed.attachments() == null
                            ? new Change("remove", "$.arrays[id=" + own.id() + "].attachments", null)
                            : set(
                                    own.id(),
                                    "attachments.at",
                                    written(stayed.attachments().at())));
        }
        changes.add(append(fresh(own.on(), corners(ring(small)), job.array().attachedAt(in), goes, hand.at(in))));
        return changes;
    }

    /** Moves the area of the array that is looked at, with the places left out by hand. */
    public List<Change> move(double dx, double dy) {
        JobArray own = placed();
        if (own.area().isEmpty()) {
            throw new IllegalArgumentException("array " + own.name()
                    + " has no area of its own to move: shift its rows, or give it an area first");
        }
        List<Change> changes = new ArrayList<>();
        changes.add(set(own.id(), "area", written(moved(own.area(), dx, dy))));
        if (!job.array().removed().isEmpty()) {
            changes.add(set(own.id(), "removed", written(moved(job.array().removed(), dx, dy))));
        }
        ArrayChoice.Attachments attachments = job.array().attachments();
        if (attachments != null && !attachments.at().isEmpty()) {
            changes.add(set(own.id(), "attachments.at", written(moved(attachments.at(), dx, dy))));
        }
        if (job.array().hand() != null) {
            changes.add(hand(own.id(), job.array().hand().moved(c -> moved(List.of(c), dx, dy)
                    .get(0))));
        }
        return changes;
    }

    /** Takes an array away. */
    public List<Change> removeArray(String id) {
        JobDocument document = job.document();
        if (document.arrays().size() == 1) {
            throw new IllegalArgumentException("a job keeps one array: change it, or archive the job");
        }
        if (document.arrays().stream().noneMatch(a -> a.id().equals(id))) {
            throw gone("array", id);
        }
        return List.of(new Change("remove", "$.arrays[id=" + id + "]", null));
    }

    /** Takes a roof away, with its arrays. */
    public List<Change> removeRoof(String id) {
        JobDocument document = job.document();
        if (document.roofs().stream().noneMatch(r -> r.id().equals(id))) {
            throw gone("roof", id);
        }
        if (document.roofs().get(0).id().equals(id)) {
            throw new IllegalArgumentException(
                    "pins, routes and the other roofs are placed from the first roof: it stays, change its outline instead");
        }
        List<JobArray> on =
                document.arrays().stream().filter(a -> a.on().equals(id)).toList();
        if (on.size() == document.arrays().size()) {
            throw new IllegalArgumentException("all arrays of the job are on this roof: put one on another roof first");
        }
        List<Change> changes = new ArrayList<>();
        on.forEach(a -> changes.add(new Change("remove", "$.arrays[id=" + a.id() + "]", null)));
        changes.add(new Change("remove", "$.roofs[id=" + id + "]", null));
        return changes;
    }

    /** A plain rectangle to the right of all roofs, to be given its own shape, with an array that takes all of it. */
    public List<Change> addRoof(String name) {
        if (name.isBlank()) {
            throw new IllegalArgumentException("give the roof a name: for example Annex");
        }
        double right = 0;
        for (RoofDesign r : design.whole().roofs()) {
            right = Math.max(
                    right,
                    r.roof().x().si() + r.plan().outline().getEnvelopeInternal().getMaxX());
        }
        List<Object> corners = new ArrayList<>();
        for (double[] c : new double[][] {{0, 0}, {20, 0}, {20, 10}, {0, 10}}) {
            corners.add(Map.of("x", typed(c[0]), "y", typed(c[1])));
        }
        Roof first = job.document().roofs().get(0).roof();
        Map<String, Object> roof = new LinkedHashMap<>();
        String id = freshId("r", 2);
        roof.put("id", id);
        roof.put("name", name.strip());
        roof.put("x", typed(right + BESIDE_M));
        roof.put("outline", Map.of("kind", "drawn", "corners", corners));
        roof.put("upAzimuth", first.upAzimuth().typed());
        roof.put("height", "~" + typed(first.height().si()));
        roof.put("slope", "~0 deg");
        roof.put("covering", first.covering());
        ArrayChoice a = job.array();
        ArrayChoice.Facing facing = a.facing() instanceof ArrayChoice.ToEdge
                ? new ArrayChoice.ToAzimuth(
                        UnitText.parse(Show.number(design.layout().facingDeg(), 1) + " deg", Quantity.ANGLE, null))
                : a.facing();
        return List.of(
                Change.append(JobPaths.DOCUMENT.to(JobDocument::roofs), roof),
                append(fresh(id, List.of(), a.facing(facing))));
    }

    private static IllegalArgumentException gone(String what, String id) {
        return new IllegalArgumentException(what + " " + id + " is not in this job any more: load the page again");
    }

    private JobArray placed() {
        if (job.placed() == null) {
            throw new IllegalArgumentException(job.on().name() + " has no array");
        }
        return job.placed();
    }

    private JobArray fresh(String roof, List<Corner> area, ArrayChoice like) {
        return fresh(roof, area, like, List.of(), null);
    }

    private JobArray fresh(String roof, List<Corner> area, ArrayChoice like, List<Corner> removed, HandWork hand) {
        String id = freshArrayId();
        return new JobArray(id, id, roof, job.group().id(), area, null, null, like.byHand(removed, hand));
    }

    private static Change append(JobArray array) {
        return Change.append(JobPaths.DOCUMENT.to(JobDocument::arrays), JobWriter.part(array));
    }

    private static Change hand(String array, HandWork hand) {
        return hand == null
                ? new Change("remove", "$.arrays[id=" + array + "].hand", null)
                : set(array, "hand", JobWriter.part(hand));
    }

    private static Change set(String array, String key, Object value) {
        return new Change("set", "$.arrays[id=" + array + "]." + key, value);
    }

    private Set<String> ids() {
        Set<String> ids = new HashSet<>();
        job.document().roofs().stream().map(JobRoof::id).forEach(ids::add);
        job.document().arrays().stream().map(JobArray::id).forEach(ids::add);
        job.document().groups().stream().map(InverterGroup::id).forEach(ids::add);
        return ids;
    }

    /** The first letter that is free: A to Z, then A2 to Z2. */
    private String freshArrayId() {
        Set<String> ids = ids();
        for (int i = 0; ; i++) {
            String id = (char) ('A' + i % 26) + (i < 26 ? "" : String.valueOf(i / 26 + 1));
            if (!ids.contains(id)) {
                return id;
            }
        }
    }

    private String freshId(String prefix, int from) {
        Set<String> ids = ids();
        for (int i = from; ; i++) {
            if (!ids.contains(prefix + i)) {
                return prefix + i;
            }
        }
    }

    private static Polygon half(Coordinate a, double ux, double uy, int side) {
        double nx = -uy * side * FAR_M;
        double ny = ux * side * FAR_M;
        Coordinate from = new Coordinate(a.x - ux * FAR_M, a.y - uy * FAR_M);
        Coordinate to = new Coordinate(a.x + ux * FAR_M, a.y + uy * FAR_M);
        return FACTORY.createPolygon(new Coordinate[] {
            from, to, new Coordinate(to.x + nx, to.y + ny), new Coordinate(from.x + nx, from.y + ny), from.copy()
        });
    }

    private static List<Coordinate> ring(Polygon polygon) {
        Coordinate[] all = polygon.getExteriorRing().getCoordinates();
        List<Coordinate> ring = new ArrayList<>();
        for (int i = 0; i < all.length - 1; i++) {
            ring.add(all[i].copy());
        }
        return ring;
    }

    private List<Corner> moved(List<Corner> all, double dx, double dy) {
        return corners(all.stream()
                .map(c -> new Coordinate(c.x().si() + dx, c.y().si() + dy))
                .toList());
    }

    private List<Corner> corners(List<Coordinate> ring) {
        return ring.stream().map(c -> new Corner(measure(c.x), measure(c.y))).toList();
    }

    private static List<Map<String, Object>> written(List<Corner> corners) {
        return corners.stream().map(JobWriter::part).toList();
    }

    private Measure measure(double metres) {
        return UnitText.parse(typed(metres), Quantity.LENGTH, null);
    }

    private String typed(double metres) {
        Unit unit = Dimension.ROOF_LENGTH.unit(job.project().units());
        return Show.number(unit.fromSi(metres), 5) + " " + unit.symbol();
    }
}
