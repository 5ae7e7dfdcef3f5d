package whipsaw.app.drawing;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import whipsaw.core.array.SolarTime;
import whipsaw.core.design.Design;
import whipsaw.core.design.RoofDesign;
import whipsaw.core.job.Corner;
import whipsaw.core.job.Survey;
import whipsaw.core.roof.RoofPlan;

/** The roof in plan, to scale, layer by layer: the same drawing on screen and on paper. */
public final class PlanDrawing {
    /** Whether the drawing brings line weights along for a reader that takes none from the page. */
    private enum Style {
        PAGE,
        OWN
    }

    /** Height of ordinary text on paper. */
    private static final double PAPER_TEXT_M = 0.0027;

    private static final double REACTION_TEXT_M = 0.0017;
    private static final double WAYS_WITHIN_M = 12;

    private final Design design;
    private final PaperSize sheet;
    private final boolean brief;
    private final Set<Integer> changed;
    private final Svg svg = new Svg();
    private final double textM;
    private Design before;

    private PlanDrawing(Design design, PaperSize sheet, boolean brief, List<Integer> changed) {
        this.design = design;
        this.before = design;
        this.sheet = sheet;
        this.brief = brief;
        this.changed = new HashSet<>(changed);
        this.textM = sheet == null
                ? textM(design)
                : paperTextM(design, PaperScale.of(design, sheet).oneTo());
    }

    /** Height of ordinary text on the drawing, in metres of the roof. */
    static double textM(Design design) {
        return Math.max(0.5, design.plan().longSideM() / 55);
    }

    /** The same on paper at a scale. */
    static double paperTextM(Design design, int oneTo) {
        return Math.min(textM(design), oneTo * PAPER_TEXT_M);
    }

    /**
     * For the page: layers that can be switched, things that can be dragged. Zones that would keep it waiting are
     * left empty; {@link #zones} draws them.
     */
    public static String forScreen(Design design, List<Integer> changed) {
        return new PlanDrawing(design, null, false, changed).draw(Style.PAGE, false);
    }

    /**
     * For the page while something is dragged: without the strings, which nobody reads meanwhile, and
     * on a large roof with the counts that change only.
     */
    public static String forPreview(Design design, List<Integer> changed) {
        return new PlanDrawing(design, null, true, changed).draw(Style.PAGE, false);
    }

    /**
     * For paper: the same without handles.
     *
     * @param ownStyle whether the drawing brings its line weights along, for a reader that takes
     *     none from the page
     */
    public static String forPaper(Design design, PaperSize sheet, boolean ownStyle) {
        return new PlanDrawing(design, sheet, false, List.of()).draw(ownStyle ? Style.OWN : Style.PAGE, false);
    }

    /**
     * The plan of the members with what the array sets down at their supports, on paper.
     *
     * @param told what the figures are
     */
    public record Reactions(String svg, String told) {}

    /** Null without members. */
    public static Reactions reactions(Design design, PaperSize sheet, boolean ownStyle) {
        return design.members().sets().isEmpty()
                ? null
                : new PlanDrawing(design, sheet, false, List.of()).drawReactions(ownStyle ? Style.OWN : Style.PAGE);
    }

    private Reactions drawReactions(Style style) {
        Envelope box = extent(design, textM);
        svg.open("svg", size() + "viewBox=\"" + viewBox(box) + "\" xmlns=\"http://www.w3.org/2000/svg\"");
        if (style == Style.OWN) {
            svg.raw("<style>" + PaperPens.at(PaperScale.of(design, sheet)) + "</style>");
        }
        RoofLayer roof = new RoofLayer(design, svg, textM, true);
        DimensionLayer dimensions = new DimensionLayer(design, svg, textM);
        SheetLayer frame = new SheetLayer(design, svg, textM, box);
        roof.roof();
        dimensions.bays();
        roof.obstructions();
        ReactionLayer reactions =
                new ReactionLayer(design, svg, PaperScale.of(design, sheet).oneTo() * REACTION_TEXT_M);
        reactions.draw();
        LabelRoom room = new LabelRoom();
        dimensions.edges(room);
        frame.scaleBar(room);
        frame.north();
        return new Reactions(svg.close("svg").toString(), reactions.told());
    }

    /** For other programs: as on the largest paper, strings included, each layer a named group. */
    public static String forExport(Design design) {
        return new PlanDrawing(design, PaperSize.TABLOID, false, List.of()).draw(Style.OWN, true);
    }

    /**
     * For comparing two revisions side by side: as on paper, with marks on what differs.
     *
     * @param before state the marks are counted from; the design itself has none
     */
    public static String forComparison(Design design, List<Integer> changed, Design before) {
        PlanDrawing drawing = new PlanDrawing(design, PaperSize.TABLOID, false, changed);
        drawing.before = before;
        return drawing.draw(Style.PAGE, false);
    }

    /** What the drawing shows with its margin, in metres. */
    public static Envelope extent(Design design) {
        return extent(design, textM(design));
    }

    static Envelope extent(Design design, double text) {
        Envelope box = new Envelope(design.plan().outline().getEnvelopeInternal());
        for (Corner c : design.job().document().groups().stream()
                .flatMap(g -> design.job().onSheet(g).run().points().stream())
                .toList()) {
            box.expandToInclude(c.x().si(), c.y().si());
        }
        design.job().survey().routes().forEach(r -> r.legs().forEach(l -> include(box, l.place())));
        for (RoofDesign r : design.whole().roofs()) {
            BesideLayer.onSheet(design.job(), r.roof(), r.plan()).forEach(box::expandToInclude);
        }
        double far = Math.max(1.5, text * (design.plan().bays().isEmpty() ? 3.2 : 4.0));
        double near = Math.max(1.5, text * 3.0);
        // grid bubbles stand at the left and at the top
        return new Envelope(box.getMinX() - far, box.getMaxX() + near, box.getMinY() - near, box.getMaxY() + far);
    }

    /** Cable routes come onto the sheet as far as they lie near the roof. */
    private static void include(Envelope box, Survey.LegPlace place) {
        if (place == null) {
            return;
        }
        Envelope near = new Envelope(box);
        near.expandBy(WAYS_WITHIN_M);
        Envelope leg = new Envelope(
                place.x().si(),
                place.toX() == null ? place.x().si() : place.toX().si(),
                place.y().si(),
                place.toY() == null ? place.y().si() : place.toY().si());
        if (near.contains(leg)) {
            box.expandToInclude(leg);
        }
    }

    private boolean paper() {
        return sheet != null;
    }

    /**
     * Draws one part. In a file of its own it is a group whose id other programs list as a layer; on the page it is a part
     * that is sent again only when it changed.
     */
    private void part(boolean named, String id, Runnable draw) {
        boolean page = !named && !paper() && !brief;
        if (!named && !page) {
            draw.run();
            return;
        }
        svg.raw(page ? "<!--p-->" : "");
        svg.open("g", "id=\"" + (page ? "l-" : "") + id + "\"");
        draw.run();
        svg.close("g");
        svg.raw(page ? "<!--/p-->" : "");
    }

    private String draw(Style style, boolean withStrings) {
        Envelope box = extent(design, textM);
        svg.open("svg", size() + "viewBox=\"" + viewBox(box) + "\" xmlns=\"http://www.w3.org/2000/svg\"");
        if (style == Style.OWN) {
            svg.raw("<style>" + PaperPens.at(PaperScale.of(design, sheet)) + "</style>");
        }
        LabelRoom room = LabelRoom.of(design, textM);
        ZoneLayer zones = new ZoneLayer(design, svg, textM, paper(), paper(), room);
        zones.patterns();
        RoofLayer roof = new RoofLayer(design, svg, textM, paper());
        DimensionLayer dimensions = new DimensionLayer(design, svg, textM);
        SheetLayer frame = new SheetLayer(design, svg, textM, box);
        SurveyLayer survey = new SurveyLayer(design, svg, textM, paper());
        FaceLayer faces = new FaceLayer(design, svg, textM);
        boolean named = style == Style.OWN;
        BesideLayer beside = new BesideLayer(design, svg, textM, paper());
        part(named, "other-roofs", beside::otherRoofs);
        part(named, "roof", roof::roof);
        part(named, "picture", survey::underlay);
        part(named, "faces", faces::draw);
        part(named, "wind-zones", zones::shapes);
        part(named, "bays", dimensions::bays);
        part(named, "setback", roof::setback);
        part(named, "areas", beside::areas);
        part(named, "other-arrays", beside::otherArrays);
        ArrayLayer array = new ArrayLayer(design, svg, sheet, brief, changed);
        part(named, "modules", array::modules);
        part(named, "walkways", array::walkways);
        if (!paper() && !brief) {
            part(named, "sun", () -> frame.sun(standardSun(design)));
        }
        part(named, "members", () -> new MemberLayer(design, svg, textM).draw());
        part(named, "no-walk-areas", survey::noWalk);
        part(named, "obstructions", roof::obstructions);
        CircuitLayer circuits = new CircuitLayer(design, svg, textM);
        if ((!paper() && !brief) || withStrings) {
            part(named, "strings", circuits::strings);
        }
        part(named, "ac-run", circuits::run);
        part(named, "set-down-places", () -> SetDownLayer.draw(design, svg));
        // what has to be read is named first, small labels take what is left
        part(named, "dimensions", () -> dimensions.edges(room));
        part(named, "setting-out", () -> dimensions.setOut(room));
        part(named, "zone-names", zones::names);
        part(named, "small-names", () -> {
            circuits.runNames(room);
            SetDownLayer.names(design, svg, textM, room);
        });
        part(named, "face-names", faces::names);
        part(named, "survey", () -> survey.seen(box));
        part(named, "cable-routes", survey::ways);
        part(named, "pins", survey::pins);
        if (!paper() || before != design) {
            part(named, "marks", this::marks);
        }
        part(named, "sheet", () -> {
            frame.scaleBar(room);
            frame.north();
        });
        if (!paper()) {
            svg.raw(
                    "<path class=\"edgelit\" id=\"edgelit\" d=\"\"/><path class=\"place\" id=\"place\" d=\"\"/><path class=\"chosen\" id=\"chosen\" d=\"\"/>"
                            + "<path class=\"cursor\" id=\"cursor\" d=\"\"/><g id=\"cut\"></g><g id=\"draft\"></g>");
        }
        return svg.close("svg").toString();
    }

    private void marks() {
        svg.open("g", "class=\"layer-marks\"");
        RevisionLayer marks = new RevisionLayer(design, svg);
        marks.triangles(changed.stream().sorted().toList());
        marks.clouds(before);
        svg.close("g");
    }

    private static String viewBox(Envelope box) {
        return Svg.u(box.getMinX()) + " " + Svg.u(-box.getMaxY()) + " " + Svg.u(box.getWidth()) + " "
                + Svg.u(box.getHeight());
    }

    private String size() {
        if (!paper()) {
            return "class=\"plan\" id=\"plan\" tabindex=\"0\" role=\"application\""
                    + " aria-label=\"Roof plan. Arrow keys walk over the modules, Enter opens the working, plus and minus"
                    + " zoom, 0 fits, question mark lists all keys.\" ";
        }
        PaperScale scale = PaperScale.of(design, sheet);
        return "class=\"plan\" width=\"" + scale.widthMm() + "mm\" height=\"" + scale.heightMm() + "mm\" ";
    }

    /** The sun a drawing begins with: the instant that governs the row gap on the shortest day. */
    public static SolarTime standardSun(Design design) {
        double latitude = design.job().site().latitude().si();
        double hour = design.layout().spacing().shadeFree()
                ? design.layout().spacing().hour()
                : 12;
        return SolarTime.of(latitude, design.job().site().longitude().si(), SolarTime.shortestDay(latitude), hour);
    }

    /** The zones alone, their shapes and their names, to be put where a drawing left them empty. */
    public static String zones(Design design) {
        Svg out = new Svg();
        out.open("svg", "xmlns=\"http://www.w3.org/2000/svg\"");
        ZoneLayer zones = new ZoneLayer(design, out, textM(design), false, true, LabelRoom.of(design, textM(design)));
        zones.shapes();
        zones.names();
        return out.close("svg").toString();
    }

    /** The sun and its shadows alone, to be put in place of those on the page. */
    public static String sun(Design design, SolarTime sun) {
        Svg out = new Svg();
        out.open("svg", "xmlns=\"http://www.w3.org/2000/svg\"");
        new SheetLayer(design, out, textM(design), extent(design)).sun(sun);
        return out.close("svg").toString();
    }

    static Coordinate inwards(Coordinate c, RoofPlan.Edge e, double by) {
        return new Coordinate(c.x - e.normalX() * by, c.y - e.normalY() * by);
    }

    /** An angle of text that reads from below or from the right. */
    static double readable(double angle) {
        if (angle > 89.99 || angle <= -90.01) {
            return angle + (angle > 0 ? -180 : 180);
        }
        return angle;
    }

    static void rect(Svg svg, String kind, double x, double y, double w, double h, double round) {
        svg.raw("<rect class=\""
                + kind
                + "\" x=\""
                + Svg.u(x)
                + "\" y=\""
                + Svg.u(-y - h)
                + "\" width=\""
                + Svg.u(w)
                + "\" height=\""
                + Svg.u(h)
                + (round > 0 ? "\" rx=\"" + Svg.u(round) : "")
                + "\"/>");
    }
}
