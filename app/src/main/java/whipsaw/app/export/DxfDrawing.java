package whipsaw.app.export;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Polygon;
import whipsaw.core.array.ArrayFrame;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.circuit.Circuits;
import whipsaw.core.design.ArrayDesign;
import whipsaw.core.design.Design;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.job.InverterGroup;
import whipsaw.core.job.Obstruction;
import whipsaw.core.job.ObstructionKinds;
import whipsaw.core.job.Survey;
import whipsaw.core.roof.FaceLine;
import whipsaw.core.roof.LinePieces;
import whipsaw.core.roof.RoofFace;
import whipsaw.core.roof.RoofPlan;
import whipsaw.core.roof.SheetLines;
import whipsaw.core.site.RoofZones;
import whipsaw.core.structure.LaidLoads;
import whipsaw.core.structure.RoofMembers;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/**
 * The plan as DXF, release 12, in metres: one layer a kind of thing, a module as a block that is
 * inserted where it lies.
 */
public final class DxfDrawing {
    private static final int METRES = 6;
    private static final int WHITE = 7;

    private final Design design;
    private final String standing;
    private final StringBuilder entities = new StringBuilder(1 << 16);
    private final Set<String> layers = new LinkedHashSet<>();
    private final double textM;

    private DxfDrawing(Design design, String standing) {
        this.standing = standing;
        this.design = design;
        this.textM = Math.max(0.3, design.plan().longSideM() / 90);
    }

    /**
     * The plan of the roof that is looked at.
     *
     * @param standing whether it is signed, in words
     */
    public static String of(Design design, String standing) {
        return new DxfDrawing(design, standing).draw();
    }

    private String draw() {
        roof();
        faces();
        zones();
        members();
        found();
        design.roof().arrays().forEach(this::array);
        design.roof().arrays().forEach(this::strings);
        run();
        notes();
        StringBuilder file = new StringBuilder(entities.length() + 4096);
        header(file);
        tables(file);
        blocks(file);
        Dxf.pair(file, 0, "SECTION");
        Dxf.pair(file, 2, "ENTITIES");
        file.append(entities);
        Dxf.pair(file, 0, "ENDSEC");
        Dxf.pair(file, 0, "EOF");
        return file.toString();
    }

    private void header(StringBuilder file) {
        Envelope box = design.plan().outline().getEnvelopeInternal();
        Dxf.pair(file, 0, "SECTION");
        Dxf.pair(file, 2, "HEADER");
        Dxf.pair(file, 9, "$ACADVER");
        Dxf.pair(file, 1, "AC1009");
        Dxf.pair(file, 9, "$INSUNITS");
        Dxf.pair(file, 70, String.valueOf(METRES));
        Dxf.pair(file, 9, "$MEASUREMENT");
        Dxf.pair(file, 70, "1");
        Dxf.pair(file, 9, "$EXTMIN");
        Dxf.at(file, 10, new Coordinate(box.getMinX(), box.getMinY()));
        Dxf.pair(file, 9, "$EXTMAX");
        Dxf.at(file, 10, new Coordinate(box.getMaxX(), box.getMaxY()));
        Dxf.pair(file, 0, "ENDSEC");
    }

    private void tables(StringBuilder file) {
        Dxf.pair(file, 0, "SECTION");
        Dxf.pair(file, 2, "TABLES");
        Dxf.pair(file, 0, "TABLE");
        Dxf.pair(file, 2, "LAYER");
        Dxf.pair(file, 70, String.valueOf(layers.size()));
        for (String layer : layers) {
            Dxf.pair(file, 0, "LAYER");
            Dxf.pair(file, 2, layer);
            Dxf.pair(file, 70, "0");
            Dxf.pair(file, 62, String.valueOf(WHITE));
            Dxf.pair(file, 6, "CONTINUOUS");
        }
        Dxf.pair(file, 0, "ENDTAB");
        Dxf.pair(file, 0, "ENDSEC");
    }

    /** One module of every array, with its front left corner at the origin, along the x axis. */
    private void blocks(StringBuilder file) {
        Dxf.pair(file, 0, "SECTION");
        Dxf.pair(file, 2, "BLOCKS");
        for (ArrayDesign a : design.roof().arrays()) {
            double along = a.layout().alongM();
            double depth = a.layout().depthM();
            Dxf.pair(file, 0, "BLOCK");
            Dxf.pair(file, 8, "MODULES");
            Dxf.pair(file, 2, block(a));
            Dxf.pair(file, 70, "0");
            Dxf.at(file, 10, new Coordinate(0, 0));
            StringBuilder body = new StringBuilder();
            Dxf.polyline(
                    body,
                    "MODULES",
                    List.of(
                            new Coordinate(0, 0),
                            new Coordinate(along, 0),
                            new Coordinate(along, depth),
                            new Coordinate(0, depth)),
                    true);
            file.append(body);
            Dxf.pair(file, 0, "ENDBLK");
            Dxf.pair(file, 8, "MODULES");
        }
        Dxf.pair(file, 0, "ENDSEC");
    }

    private String block(ArrayDesign array) {
        return design.roof().arrays().size() == 1
                ? "MODULE"
                : "MODULE-" + array.job().place();
    }

    private void roof() {
        RoofPlan plan = design.plan();
        polyline("ROOF", plan.edges().stream().map(RoofPlan.Edge::from).toList(), true);
        for (RoofPlan.Edge e : plan.edges()) {
            if (e.parapetThicknessM() > 0) {
                polyline("PARAPETS", List.of(e.parapet()), true);
            }
            Coordinate middle = new Coordinate(
                    (e.from().x + e.to().x) / 2 + e.normalX() * textM * 1.6,
                    (e.from().y + e.to().y) / 2 + e.normalY() * textM * 1.6);
            String length = Show.both(design.job().project().units(), Dimension.ROOF_LENGTH, e.lengthM());
            text("SIZES", middle, textM, "edge " + e.number() + " " + length);
        }
        Set<String> drawn = new LinkedHashSet<>();
        for (RoofPlan.Bay bay : plan.bays()) {
            Envelope c = bay.cell();
            if (bay.areaM2() > 0 && drawn.add(bay.name())) {
                polyline(
                        "BAYS",
                        List.of(
                                new Coordinate(c.getMinX(), c.getMinY()),
                                new Coordinate(c.getMaxX(), c.getMinY()),
                                new Coordinate(c.getMaxX(), c.getMaxY()),
                                new Coordinate(c.getMinX(), c.getMaxY())),
                        true);
                text("BAYS", new Coordinate(c.getMinX() + textM, c.getMinY() + textM), textM * 0.8, bay.name());
            }
        }
        for (Obstruction o : design.job().roof().obstructions()) {
            Coordinate[] ring = RoofPlan.footprint(o).getCoordinates();
            polyline("OBSTRUCTIONS", Arrays.asList(ring).subList(0, ring.length - 1), true);
            Geometry clear = RoofPlan.footprint(o).buffer(ObstructionKinds.clearM(o));
            outline("CLEAR-DISTANCES", clear);
            String height = Show.in(
                    design.job().project().units(),
                    Dimension.ROOF_LENGTH,
                    o.height().si());
            text(
                    "OBSTRUCTIONS",
                    new Coordinate(o.x().si(), o.y().si() - textM),
                    textM * 0.7,
                    o.name() + ", " + height + " high");
        }
    }

    /** Members with what is used of them, and what the array sets down at either support. */
    private void members() {
        UnitSystem units = design.job().project().units();
        for (RoofMembers.Checked set : design.members().sets()) {
            for (RoofMembers.Member m : set.members()) {
                Coordinate a = end(m, m.line().fromM());
                Coordinate b = end(m, m.line().toM());
                polyline("MEMBERS", List.of(a, b), false);
                Coordinate middle = new Coordinate((a.x + b.x) / 2, (a.y + b.y) / 2);
                text(
                        "MEMBERS",
                        middle,
                        textM * 0.5,
                        m.line().number() + " " + Show.number(m.after().utilisation(), 2));
                text(
                        "REACTIONS",
                        a,
                        textM * 0.4,
                        Show.in(units, Dimension.FORCE, m.reactions().arrayLeft()));
                text(
                        "REACTIONS",
                        b,
                        textM * 0.4,
                        Show.in(units, Dimension.FORCE, m.reactions().arrayRight()));
            }
        }
    }

    private static Coordinate end(RoofMembers.Member m, double along) {
        return m.alongX()
                ? new Coordinate(along, m.line().atM())
                : new Coordinate(m.line().atM(), along);
    }

    /** Faces of a pitched roof with ridges, hips, valleys and eaves, ribs or seams, purlins and lines of screws. */
    private void faces() {
        for (int i = 0; i < design.taken().sheets().size(); i++) {
            RoofFace face = design.plan().faces().faces().get(i);
            outline("FACES", face.plan());
            Coordinate at = face.plan().getInteriorPoint().getCoordinate();
            text("FACES", at, textM, "face " + face.number() + ", " + Show.number(face.slopeDeg(), 1) + " deg");
            polyline(
                    "FALL",
                    List.of(at, new Coordinate(at.x - face.upX() * textM * 3, at.y - face.upY() * textM * 3)),
                    false);
            SheetLines lines = design.taken().sheets().get(i);
            pieces("RIBS", lines.ribs());
            pieces("PURLINS", lines.purlins());
            pieces("SCREW-LINES", lines.screws());
        }
        for (FaceLine line : design.plan().faces().lines()) {
            String layer = "LINE-"
                    + line.kind().words().replaceAll("[^A-Za-z0-9]", "-").toUpperCase(Locale.ROOT);
            polyline(layer, List.of(line.from(), line.to()), false);
            Coordinate middle = new Coordinate((line.from().x + line.to().x) / 2, (line.from().y + line.to().y) / 2);
            String height =
                    Show.in(design.job().project().units(), Dimension.ROOF_LENGTH, Math.max(line.fromM(), line.toM()));
            text(layer, middle, textM * 0.7, line.kind().words() + " +" + height);
        }
    }

    private void pieces(String layer, List<LinePieces.Piece> pieces) {
        pieces.forEach(p -> polyline(layer, List.of(p.from(), p.to()), false));
    }

    /** What a visit found at a place, and what is laid on the roof for cables. */
    private void found() {
        for (Survey.Pin pin : design.job().survey().pins()) {
            Coordinate at = new Coordinate(pin.x().si(), pin.y().si());
            double r = textM * 0.4;
            polyline("PINS", List.of(new Coordinate(at.x - r, at.y), new Coordinate(at.x + r, at.y)), false);
            polyline("PINS", List.of(new Coordinate(at.x, at.y - r), new Coordinate(at.x, at.y + r)), false);
            text(
                    "PINS",
                    new Coordinate(at.x + r * 1.5, at.y),
                    textM * 0.7,
                    pin.kind() + (pin.note().isEmpty() ? "" : ": " + pin.note()));
        }
        for (Survey.Route route : design.job().survey().routes()) {
            for (Survey.RouteLeg leg : route.legs()) {
                Survey.LegPlace p = leg.place();
                if (p != null) {
                    Coordinate from = new Coordinate(p.x().si(), p.y().si());
                    if (p.toX() != null) {
                        Coordinate to = new Coordinate(p.toX().si(), p.toY().si());
                        polyline("CABLE-ROUTES", List.of(from, to), false);
                    }
                    text("CABLE-ROUTES", from, textM * 0.7, route.name() + ": " + leg.name());
                }
            }
        }
        double half = 0.15;
        for (LaidLoads.Support s : LaidLoads.of(design.job(), design.plan()).supports()) {
            polyline(
                    "SUPPORTS",
                    List.of(
                            new Coordinate(s.x() - half, s.y() - half),
                            new Coordinate(s.x() + half, s.y() - half),
                            new Coordinate(s.x() + half, s.y() + half),
                            new Coordinate(s.x() - half, s.y() + half)),
                    true);
        }
    }

    private void zones() {
        for (RoofZones.Area area : design.windZones() == null
                ? List.<RoofZones.Area>of()
                : design.windZones().areas()) {
            String layer = "ZONE-" + area.name().replaceAll("[^A-Za-z0-9]", "-").toUpperCase(Locale.ROOT);
            outline(layer, area.shape());
        }
    }

    private void outline(String layer, Geometry shape) {
        for (int i = 0; i < shape.getNumGeometries(); i++) {
            if (shape.getGeometryN(i) instanceof Polygon p && !p.isEmpty()) {
                ring(layer, p.getExteriorRing().getCoordinates());
                for (int k = 0; k < p.getNumInteriorRing(); k++) {
                    ring(layer, p.getInteriorRingN(k).getCoordinates());
                }
            }
        }
    }

    private void ring(String layer, Coordinate[] closed) {
        polyline(layer, Arrays.asList(closed).subList(0, closed.length - 1), true);
    }

    private void array(ArrayDesign array) {
        ArrayLayout layout = array.layout();
        ArrayFrame frame = layout.frame();
        double angle = Math.toDegrees(Math.atan2(frame.alongY(), frame.alongX()));
        layers.add("MODULES");
        for (ArrayLayout.Module m : layout.modules()) {
            Dxf.pair(entities, 0, "INSERT");
            Dxf.pair(entities, 8, "MODULES");
            Dxf.pair(entities, 2, block(array));
            Dxf.at(entities, 10, frame.plan(m.s(), m.t()));
            Dxf.pair(entities, 50, Dxf.number(angle));
        }
        boolean known = array.holdDown().established();
        for (HoldDown.Position p : array.holdDown().positions()) {
            String count = known ? p.ballast().blocksPlaced() + p.ballast().mark() : "?";
            text("BLOCK-COUNTS", frame.plan(p.s(), p.t()), layout.depthM() * 0.5, count);
        }
        if (design.roof().arrays().size() > 1 && !layout.modules().isEmpty()) {
            ArrayLayout.Module first = layout.modules().get(0);
            text(
                    "ARRAYS",
                    frame.plan(first.s(), first.t() - textM * 1.5),
                    textM,
                    array.job().name());
        }
    }

    private void strings(ArrayDesign array) {
        ArrayLayout layout = array.layout();
        for (Circuits.PvString s : design.circuits().of(array.job().place()).strings()) {
            List<Coordinate> points = new ArrayList<>();
            for (int i : s.modules()) {
                ArrayLayout.Module m = layout.modules().get(i);
                points.add(layout.frame().plan(m.s() + layout.alongM() / 2, m.t() + layout.depthM() / 2));
            }
            polyline("STRINGS", points, false);
            text("STRINGS", points.get(0), layout.depthM() * 0.3, s.name());
        }
    }

    private void run() {
        for (InverterGroup g : design.job().document().groups()) {
            polyline(
                    "AC-RUN",
                    design.job().onSheet(g).run().points().stream()
                            .map(c -> new Coordinate(c.x().si(), c.y().si()))
                            .toList(),
                    false);
        }
    }

    private void notes() {
        Envelope box = design.plan().outline().getEnvelopeInternal();
        double y = box.getMinY() - textM * 5;
        for (String line : List.of(design.job().project().name() + ", one unit is one metre", standing)) {
            text("NOTES", new Coordinate(box.getMinX(), y), textM, line);
            y -= textM * 1.6;
        }
    }

    private void polyline(String layer, List<Coordinate> points, boolean closed) {
        layers.add(layer);
        Dxf.polyline(entities, layer, points, closed);
    }

    private void text(String layer, Coordinate where, double heightM, String words) {
        layers.add(layer);
        Dxf.pair(entities, 0, "TEXT");
        Dxf.pair(entities, 8, layer);
        Dxf.at(entities, 10, where);
        Dxf.pair(entities, 40, Dxf.number(heightM));
        Dxf.pair(entities, 1, Dxf.escaped(words));
    }
}
