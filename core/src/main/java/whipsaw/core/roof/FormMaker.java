package whipsaw.core.roof;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.job.RoofForm;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Quantity;
import whipsaw.core.units.Show;
import whipsaw.core.units.Unit;
import whipsaw.core.units.UnitText;
import whipsaw.core.units.UnitTextException;

/** The usual forms of pitched roofs as level lines, from what is called out on site: which edge, how steep, how many. */
public final class FormMaker {
    private static final int MOST = 60;
    private static final Pattern PITCH = Pattern.compile("(\\d+(?:\\.\\d+)?)\\s*(?:in|:)\\s*(\\d+(?:\\.\\d+)?)");

    /** What is asked for. */
    public enum Kind {
        MONO,
        GABLE,
        SPANS,
        SAWTOOTH
    }

    private FormMaker() {}

    /**
     * A form over the whole roof.
     *
     * @param edge number of the edge it rises from
     * @param steepness slope as {@code 4 deg} or {@code 1 in 12}, or the height of a ridge over its eave as a length
     * @param count spans or teeth
     * @param shown unit lengths are written in
     * @throws IllegalArgumentException with the reason in words
     */
    public static RoofForm.Folded of(Kind kind, int edge, String steepness, int count, RoofPlan plan, Unit shown) {
        if (edge < 1 || edge > plan.edges().size()) {
            throw new IllegalArgumentException("there is no edge " + edge + ": the outline has edges 1 to "
                    + plan.edges().size());
        }
        if (count < 1 || count > MOST) {
            throw new IllegalArgumentException(count + " spans are not allowed: give 1 to " + MOST);
        }
        RoofPlan.Edge from = plan.edges().get(edge - 1);
        double width = 0;
        for (Coordinate c : plan.outline().getCoordinates()) {
            width = Math.max(width, from.insideOfLine(c.x, c.y));
        }
        int spans = kind == Kind.SPANS || kind == Kind.SAWTOOTH ? count : 1;
        double span = width / spans;
        double run = kind == Kind.GABLE || kind == Kind.SPANS ? span / 2 : span;
        double rise = rise(steepness, run, shown);
        List<RoofForm.Fold> folds = new ArrayList<>();
        for (int i = 0; i < spans; i++) {
            folds.add(fold(i * span, 0, shown));
            folds.add(fold(i * span + run, rise, shown));
        }
        if (kind == Kind.GABLE || kind == Kind.SPANS) {
            folds.add(fold(width, 0, shown));
        }
        return new RoofForm.Folded(edge, folds);
    }

    private static double rise(String text, double run, Unit bare) {
        String plain = text == null ? "" : text.strip();
        Matcher pitch = PITCH.matcher(plain);
        if (pitch.matches()) {
            double over = Double.parseDouble(pitch.group(2));
            if (!(over > 0)) {
                throw new IllegalArgumentException("'" + plain + "' divides by 0: write 1 in 12");
            }
            return run * Double.parseDouble(pitch.group(1)) / over;
        }
        try {
            return run
                    * Math.tan(Math.toRadians(
                            UnitText.parse(plain, Quantity.ANGLE, null).si()));
        } catch (UnitTextException notAnAngle) {
            try {
                return UnitText.parse(plain, Quantity.LENGTH, bare).si();
            } catch (UnitTextException e) {
                throw new IllegalArgumentException(
                        "'" + plain + "' is neither a slope nor a height: write 4 deg, 1 in 12 or 3' 6\"");
            }
        }
    }

    private static RoofForm.Fold fold(double across, double height, Unit shown) {
        return new RoofForm.Fold(length(across, shown), length(height, shown));
    }

    private static Measure length(double metres, Unit shown) {
        // to a thousandth of a millimetre, so that a slope that was called out comes back
        return UnitText.parse(Show.number(shown.fromSi(metres), 6) + " " + shown.symbol(), Quantity.LENGTH, null);
    }
}
