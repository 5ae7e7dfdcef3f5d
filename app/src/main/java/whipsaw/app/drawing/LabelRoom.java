package whipsaw.app.drawing;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import whipsaw.core.design.Design;
import whipsaw.core.job.Corner;
import whipsaw.core.job.Obstruction;
import whipsaw.core.job.Structure;
import whipsaw.core.roof.RoofPlan;

/**
 * Where labels stand on the drawing, in metres on the sheet. What is drawn first is kept free; a label that finds no free
 * place of those that suit it gives way.
 */
final class LabelRoom {
    /** Width of an ordinary letter over the height of the text, on the safe side for the narrow face the drawing uses. */
    private static final double LETTER = 0.46;

    private final List<Envelope> taken = new ArrayList<>();

    /** Room between the things on a roof and their names, the ends of the AC run and what is set down. */
    static LabelRoom of(Design design, double textM) {
        LabelRoom room = new LabelRoom();
        for (Obstruction o : design.job().roof().obstructions()) {
            room.take(RoofPlan.footprint(o).getEnvelopeInternal());
            double size = RoofLayer.nameSize(o, textM);
            room.take(text(
                    o.x().si() + RoofPlan.footprint(o).getEnvelopeInternal().getWidth() / 2,
                    o.y().si() - size * 0.95,
                    size,
                    o.name(),
                    0.5));
        }
        List<Corner> run = design.job().electrical().run().points();
        for (Corner end : List.of(run.get(0), run.get(run.size() - 1))) {
            Envelope box = new Envelope(new Coordinate(end.x().si(), end.y().si()));
            box.expandBy(textM * 0.6);
            room.take(box);
        }
        for (Structure.SetDown s : design.job().roof().fabric().structure().setDowns()) {
            room.take(new Envelope(
                    s.x().si(),
                    s.x().si() + s.width().si(),
                    s.y().si(),
                    s.y().si() + s.depth().si()));
        }
        return room;
    }

    /**
     * The box of a line of text.
     *
     * @param x where it is anchored
     * @param y of its base line
     * @param size height of the text
     * @param anchor part of it that lies to the left of {@code x}: 0 of a start, 0.5 of a middle, 1 of an end
     */
    static Envelope text(double x, double y, double size, String words, double anchor) {
        double width = words.length() * size * LETTER;
        return new Envelope(x - width * anchor, x + width * (1 - anchor), y - size * 0.2, y + size * 0.8);
    }

    /** The box of a rectangle about a point, turned clockwise by an angle in degrees. */
    static Envelope turned(Coordinate middle, double width, double height, double angleDeg) {
        double c = Math.abs(Math.cos(Math.toRadians(angleDeg)));
        double s = Math.abs(Math.sin(Math.toRadians(angleDeg)));
        Envelope box = new Envelope(middle);
        box.expandBy((width * c + height * s) / 2, (width * s + height * c) / 2);
        return box;
    }

    void take(Envelope box) {
        taken.add(box);
    }

    boolean free(Envelope box) {
        return taken.stream().noneMatch(t -> t.intersects(box));
    }

    /** Takes a place if it is free. */
    boolean takeIfFree(Envelope box) {
        boolean free = free(box);
        if (free) {
            take(box);
        }
        return free;
    }
}
