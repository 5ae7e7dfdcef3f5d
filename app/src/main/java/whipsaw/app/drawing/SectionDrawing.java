package whipsaw.app.drawing;

import java.time.format.TextStyle;
import java.util.List;
import java.util.Locale;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.array.SolarTime;
import whipsaw.core.design.Design;
import whipsaw.core.section.CutLine;
import whipsaw.core.section.RoofSection;
import whipsaw.core.section.SunInSection;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/**
 * The section along a line over the roof, heights and lengths to one scale: the teeth of the saw,
 * parapets and plant, the sun of a day and hour and the shadows it throws. A flat roof is drawn level, without its fall.
 */
public final class SectionDrawing {
    private static final int MOST_RAYS = 14;
    private static final double SQUARE_DEG = 1;

    private final Design design;
    private final ArrayLayout layout;
    private final UnitSystem units;
    private final RoofSection section;
    private final SunInSection sun;
    private final double lengthM;
    private final double textM;
    private final Svg svg = new Svg();

    private SectionDrawing(Design design, CutLine cut, SolarTime sun) {
        this.design = design;
        this.layout = design.layout();
        this.units = design.job().project().units();
        this.section = RoofSection.of(design, cut);
        this.sun = SunInSection.of(section, sun, design.job().roof().upAzimuth().si());
        this.lengthM = cut.lengthM();
        this.textM = Math.max(0.09, lengthM / 44);
    }

    /** Through three rows or two pairs, with the sun that governs the gap. */
    public static String of(Design design) {
        return of(design, CutLines.standard(design), PlanDrawing.standardSun(design));
    }

    public static String of(Design design, CutLine cut, SolarTime sun) {
        return new SectionDrawing(design, cut, sun).draw();
    }

    /** What the section says of the sun, in a sentence. */
    public static String sunWords(Design design, CutLine cut, SolarTime sun) {
        return new SectionDrawing(design, cut, sun).sunWords();
    }

    /** A day of the year as people write it. */
    public static String day(SolarTime sun) {
        return sun.date().getDayOfMonth() + " " + sun.date().getMonth().getDisplayName(TextStyle.SHORT, Locale.ENGLISH);
    }

    /** An hour as people write it. */
    public static String hour(SolarTime sun) {
        long minutes = Math.round(sun.hour() * 60);
        return String.format("%d:%02d", minutes / 60, minutes % 60);
    }

    private boolean squareToRows() {
        CutLine cut = section.line();
        double ds = Math.abs(layout.frame().s(cut.b().x - cut.a().x, cut.b().y - cut.a().y));
        return Math.toDegrees(Math.asin(Math.min(1, ds / lengthM))) < SQUARE_DEG;
    }

    private String draw() {
        double high = section.highestM();
        double left = -textM * 1.6;
        double right = lengthM + textM * 1.6;
        double top = Math.max(high, textM) + textM * (layout.pairs() == null ? 2.6 : 3.6);
        double bottom = -textM * 3.4;
        svg.open(
                "svg",
                "class=\"section\" role=\"img\" aria-label=\""
                        + Svg.escape(words())
                        + "\" viewBox=\""
                        + Svg.u(left)
                        + " "
                        + Svg.u(-top)
                        + " "
                        + Svg.u(right - left)
                        + " "
                        + Svg.u(top - bottom)
                        + "\" xmlns=\"http://www.w3.org/2000/svg\"");
        roof();
        solids();
        panels();
        if (design.job().roof().fabric().flat()) {
            SightInSection.draw(design, section.line(), svg, textM, top - textM * 0.6);
            shadows();
            rays(top - textM * 1.5);
        }
        String text = size("middle");
        svg.text(text + " class=\"cutname\"", -textM * 0.9, -textM * 0.3, "A");
        svg.text(text + " class=\"cutname\"", lengthM + textM * 0.9, -textM * 0.3, "B");
        if (squareToRows() && !section.panels().isEmpty() && section.panels().size() <= MOST_RAYS) {
            rowDimensions();
        } else {
            dimension(0, lengthM, -textM * 1.9, Show.both(units, Dimension.ROOF_LENGTH, lengthM));
        }
        svg.text(size("start") + " class=\"dimtext\"", left + textM * 0.2, top - textM, caption());
        if (layout.pairs() != null && !layout.modules().isEmpty()) {
            String limit = Show.number(layout.pairs().shadeLimitDeg(layout.gapM()), 1);
            svg.text(
                    size("start") + " class=\"dimtext\"",
                    left + textM * 0.2,
                    top - textM * 2.2,
                    "a face is in shade while the sun is below " + limit + "° in section");
        }
        return svg.close("svg").toString();
    }

    private String size(String anchor) {
        return "text-anchor=\"" + anchor + "\" font-size=\"" + Svg.u(textM) + "\"";
    }

    private void roof() {
        for (RoofSection.Stretch r : section.roof()) {
            Coordinate from = new Coordinate(r.fromM(), r.fromHeightM());
            Coordinate to = new Coordinate(r.toM(), r.toHeightM());
            double deep = textM * 0.35;
            svg.path(
                    "class=\"slab\"",
                    "M" + Svg.point(from) + "L" + Svg.point(to) + "L" + Svg.point(new Coordinate(to.x, to.y - deep))
                            + "L" + Svg.point(new Coordinate(from.x, from.y - deep)) + "Z");
            svg.line("class=\"roofline\"", from, to);
        }
        walls();
        if (!design.plan().faces().faces().isEmpty()) {
            heights();
        }
    }

    /** Down from the ends of the roof, and between faces of different height. */
    private void walls() {
        double end = textM * 1.1;
        List<RoofSection.Stretch> all = section.roof();
        for (int i = 0; i < all.size(); i++) {
            RoofSection.Stretch r = all.get(i);
            boolean first = i == 0 || r.fromM() - all.get(i - 1).toM() > 1e-3;
            boolean last = i == all.size() - 1 || all.get(i + 1).fromM() - r.toM() > 1e-3;
            if (first && r.fromM() > 1e-6) {
                svg.line(
                        "class=\"roofline\"",
                        new Coordinate(r.fromM(), r.fromHeightM()),
                        new Coordinate(r.fromM(), -end));
            }
            if (last && r.toM() < lengthM - 1e-6) {
                svg.line("class=\"roofline\"", new Coordinate(r.toM(), r.toHeightM()), new Coordinate(r.toM(), -end));
            }
            if (!last && Math.abs(all.get(i + 1).fromHeightM() - r.toHeightM()) > 1e-3) {
                svg.line(
                        "class=\"roofline\"",
                        new Coordinate(r.toM(), r.toHeightM()),
                        new Coordinate(r.toM(), all.get(i + 1).fromHeightM()));
            }
        }
    }

    /** A height above the lowest line, with its sign. */
    private String level(double metres) {
        double shown = Math.abs(metres) < 0.005 ? 0 : metres;
        return (shown < 0 ? "" : "+") + Show.in(units, Dimension.ROOF_LENGTH, shown);
    }

    /** Height above the lowest line where the roof changes its slope. */
    private void heights() {
        double free = Double.NEGATIVE_INFINITY;
        for (RoofSection.Stretch r : section.roof()) {
            for (double[] at : new double[][] {{r.fromM(), r.fromHeightM()}, {r.toM(), r.toHeightM()}}) {
                String words = level(at[1]);
                if (at[0] - words.length() * textM * 0.25 > free) {
                    svg.text(size("middle") + " class=\"dimtext\"", at[0], at[1] + textM * 0.4, words);
                    free = at[0] + words.length() * textM * 0.25;
                }
            }
        }
    }

    private void solids() {
        // on a pitched roof the heights of its folds stand between
        boolean raised = !design.plan().faces().faces().isEmpty();
        double free = Double.NEGATIVE_INFINITY;
        for (RoofSection.Solid s : section.solids()) {
            boolean parapet = s.kind() == RoofSection.Kind.PARAPET;
            PlanDrawing.rect(
                    svg,
                    parapet ? "solid parapetcut" : "solid",
                    s.fromM(),
                    s.baseM(),
                    s.toM() - s.fromM(),
                    s.heightM() - s.baseM(),
                    0);
            String words =
                    (parapet ? "" : s.name() + " ") + Show.in(units, Dimension.ROOF_LENGTH, s.heightM() - s.baseM());
            double middle = (s.fromM() + s.toM()) / 2;
            double half = words.length() * textM * 0.23;
            if (middle - half > free) {
                svg.text(
                        size("middle") + " class=\"dimtext\"",
                        middle,
                        s.heightM() + textM * (raised ? 1.5 : 0.3),
                        words);
                free = middle + half;
            }
        }
    }

    private void panels() {
        for (RoofSection.Panel p : section.panels()) {
            Coordinate from = new Coordinate(p.fromM(), p.fromHeightM());
            Coordinate to = new Coordinate(p.toM(), p.toHeightM());
            svg.line("class=\"leg\"", new Coordinate(p.fromM(), 0), from);
            svg.line("class=\"leg\"", new Coordinate(p.toM(), 0), to);
            svg.line("class=\"tooth\"", from, to);
        }
    }

    private void shadows() {
        for (SunInSection.Shadow s : sun.shadows()) {
            svg.line(
                    "class=\"shadow\"",
                    new Coordinate(s.fromM(), s.fromHeightM()),
                    new Coordinate(s.toM(), s.toHeightM()));
        }
    }

    /** Rays over the upper edges of a few rows, or over parapets and plant of a long cut. */
    private void rays(double skyM) {
        if (!sun.up()) {
            return;
        }
        double tan = Math.tan(Math.toRadians(Math.min(89.9, sun.profileDeg())));
        double away = sun.fromA() ? 1 : -1;
        for (SunInSection.Shadow s : sun.shadows()) {
            if (s.panel() >= 0 || sun.shadows().size() > MOST_RAYS) {
                continue;
            }
            // the far end of a shadow on the roof is where the ray lands
            double x = sun.fromA() ? s.toM() : s.fromM();
            double z = sun.fromA() ? s.toHeightM() : s.fromHeightM();
            double back = Math.min((skyM - z) / tan, lengthM * 0.3);
            svg.line("class=\"ray\"", new Coordinate(x, z), new Coordinate(x - away * back, z + back * tan));
        }
    }

    private void rowDimensions() {
        List<RoofSection.Panel> panels = section.panels();
        boolean gapShown = false;
        for (int i = 0; i + 1 < panels.size(); i++) {
            double from = panels.get(i).toM();
            double gap = panels.get(i + 1).fromM() - from;
            if (!gapShown && Math.abs(gap - layout.gapM()) < 0.002) {
                String own = Show.in(units, Dimension.PART_LENGTH, layout.gapM());
                String other = Show.in(units.other(), Dimension.PART_LENGTH, layout.gapM());
                dimension(from, from + gap, -textM * 1.1, own + " [" + other + "]");
                gapShown = true;
            }
        }
        double pitch = layout.pitchM();
        double start = panels.get(0).fromM();
        boolean repeats = panels.stream().anyMatch(p -> Math.abs(p.fromM() - start - pitch) < 0.002);
        if (repeats) {
            dimension(
                    start,
                    start + pitch,
                    -textM * 2.5,
                    Show.in(units, Dimension.ROOF_LENGTH, pitch)
                            + (layout.pairs() == null ? " row to row" : " pair to pair"));
        }
    }

    private void dimension(double from, double to, double y, String words) {
        svg.line("class=\"dim\"", new Coordinate(from, y), new Coordinate(to, y));
        double tick = textM * 0.25;
        for (double x : new double[] {from, to}) {
            svg.line("class=\"dim tick\"", new Coordinate(x - tick, y - tick), new Coordinate(x + tick, y + tick));
        }
        boolean beside = to + textM * words.length() * 0.5 < lengthM;
        svg.text(
                size(beside ? "start" : "middle") + " class=\"dimtext\"",
                beside ? to + textM * 0.6 : (from + to) / 2,
                beside ? y - textM * 0.33 : y - textM * 1.1,
                words);
    }

    private String caption() {
        if (layout.modules().isEmpty()) {
            return design.job().roof().takesTrays()
                    ? "no modules on this roof"
                    : "heights above the lowest line of the roof; no shadows on pitched roofs yet";
        }
        double facing = layout.facingDeg();
        return "tilt "
                + Show.number(layout.spacing().input().tiltDeg(), 1)
                + "°, upper edge "
                + Show.both(units, Dimension.PART_LENGTH, layout.highEdgeM())
                + " above the roof, facing "
                + Show.number(facing, 0)
                + "°"
                + (layout.pairs() == null ? "" : " and " + Show.number((facing + 180) % 360, 0) + "°");
    }

    private String sunWords() {
        SolarTime at = sun.sun();
        String when = day(at) + ", " + hour(at) + " solar: ";
        if (!sun.up()) {
            return when + "the sun is down";
        }
        String place = "sun "
                + Show.number(at.elevationDeg(), 1)
                + "° high at "
                + Show.number(at.azimuthDeg(), 0)
                + "°, "
                + Show.number(sun.profileDeg(), 1)
                + "° in section from "
                + (sun.fromA() ? "A" : "B");
        double on = sun.onModulesM();
        int things = design.shade().at(at).modules().cardinality();
        String byThings = things == 0 ? "" : "; " + Show.count(things, "module") + " in shade";
        if (section.panels().isEmpty()) {
            return when + place + byThings;
        }
        return when
                + place
                + byThings
                + (on > 0.001
                        ? "; up to " + Show.in(units, Dimension.PART_LENGTH, on) + " of a module in shadow in section"
                        : "; no row shadow in section");
    }

    private String words() {
        boolean pairs = layout.pairs() != null;
        boolean free = pairs ? layout.pairs().shadeFree() : layout.spacing().shadeFree();
        double needed = pairs ? layout.pairs().valleyM() : layout.spacing().gapM();
        return "Section from A to B over "
                + Show.in(units, Dimension.ROOF_LENGTH, lengthM)
                + " through "
                + section.panels().size()
                + (section.panels().size() == 1 ? " module, " : " modules, ")
                + (pairs ? "valley " : "row gap ")
                + Show.both(units, Dimension.PART_LENGTH, layout.gapM())
                + ", needed for no shadow in the window "
                + (free ? Show.both(units, Dimension.PART_LENGTH, needed) : "more than any gap")
                + ". "
                + sunWords();
    }
}
