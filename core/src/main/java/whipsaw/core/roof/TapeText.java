package whipsaw.core.roof;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import whipsaw.core.job.Outline;
import whipsaw.core.schema.Problem;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Quantity;
import whipsaw.core.units.Show;
import whipsaw.core.units.Unit;
import whipsaw.core.units.UnitText;
import whipsaw.core.units.UnitTextException;

/**
 * Reads a tape survey as it is called out: one edge a line, its length and the turn at its end,
 * {@code 42' 7 1/2", left} or {@code 13.1 m right 88.5}. A turn without an angle is taken as square, 90 deg;
 * one with an angle was measured. A tape across the roof is {@code diagonal 1-3 41' 9"}, corners counted from
 * where edge 1 begins. A corner square off the line through two others is {@code offset 5 from 1-2 12' 3"}.
 */
public final class TapeText {
    private static final Pattern LINE = Pattern.compile(
            "(.+?)[\\s,;]+(left|right|l|r)\\b[\\s,;]*([0-9.]+)?\\s*(?:deg|\u00b0)?", Pattern.CASE_INSENSITIVE);

    private static final Pattern ACROSS = Pattern.compile(
            "diag(?:onal)?\\.?\\s+(\\d{1,3})\\s*(?:-|to|,)\\s*(\\d{1,3})[\\s,:;=]+(.+)", Pattern.CASE_INSENSITIVE);

    private static final Pattern SQUARE_OFF = Pattern.compile(
            "off(?:set)?\\.?\\s+(\\d{1,3})\\s+(?:from|off)\\s+(\\d{1,3})\\s*(?:-|to|,)\\s*(\\d{1,3})[\\s,:;=]+(.+)",
            Pattern.CASE_INSENSITIVE);

    private TapeText() {}

    /**
     * What was read so far.
     *
     * @param taped as it would be closed by best fit, outer face
     * @param problems one per line that cannot be read, with the line number in the path
     */
    public record Reading(Outline.Taped taped, List<Problem> problems) {}

    /**
     * @param bare unit of a bare number
     */
    public static Reading read(String text, Unit bare) {
        List<Outline.TapedLeg> legs = new ArrayList<>();
        List<Outline.TapedDiagonal> diagonals = new ArrayList<>();
        List<Outline.TapedOffset> offsets = new ArrayList<>();
        List<Problem> problems = new ArrayList<>();
        String[] lines = text.split("\\R");
        for (int i = 0; i < lines.length; i++) {
            String line = lines[i].strip();
            if (line.isEmpty()) {
                continue;
            }
            Matcher across = ACROSS.matcher(line);
            if (across.matches()) {
                Measure length = across(across.group(3), i, line, bare, problems);
                if (length != null) {
                    diagonals.add(new Outline.TapedDiagonal(number(across, 1), number(across, 2), length));
                }
                continue;
            }
            Matcher off = SQUARE_OFF.matcher(line);
            if (off.matches()) {
                Measure length = across(off.group(4), i, line, bare, problems);
                if (length != null) {
                    offsets.add(new Outline.TapedOffset(number(off, 1), number(off, 2), number(off, 3), length));
                }
                continue;
            }
            Matcher m = LINE.matcher(line);
            if (!m.matches()) {
                problems.add(problem(
                        i,
                        line,
                        "has no turn: write the length, then left or right, as in 42' 7 1/2\", left; a tape across as in"
                                + " diagonal 1-3 41' 9\", a corner square off a line as in offset 5 from 1-2 12' 3\""));
                continue;
            }
            try {
                Measure length = UnitText.parse(m.group(1), Quantity.LENGTH, bare);
                double angle = m.group(3) == null ? 90 : Double.parseDouble(m.group(3));
                if (!(length.si() > 0) || length.si() > 1000) {
                    problems.add(problem(i, line, "has a length outside 0 to 1000 m (3280 ft)"));
                } else if (!(angle > 0 && angle < 180)) {
                    problems.add(problem(i, line, "has a turn outside 0 to 180 deg"));
                } else {
                    boolean left = Character.toLowerCase(m.group(2).charAt(0)) == 'l';
                    legs.add(new Outline.TapedLeg(length, left ? angle : -angle, m.group(3) != null));
                }
            } catch (UnitTextException e) {
                problems.add(problem(i, line, e.getMessage()));
            } catch (NumberFormatException e) {
                problems.add(problem(i, line, "has an angle that is no number"));
            }
        }
        return new Reading(new Outline.Taped(false, Outline.Closing.FIT, legs, diagonals, offsets), problems);
    }

    /** Length of a tape besides the walk; null when it cannot be read. */
    private static Measure across(String text, int i, String line, Unit bare, List<Problem> problems) {
        try {
            Measure length = UnitText.parse(text, Quantity.LENGTH, bare);
            if (length.si() > 0 && length.si() <= 1500) {
                return length;
            }
            problems.add(problem(i, line, "has a length outside 0 to 1500 m (4921 ft)"));
        } catch (UnitTextException e) {
            problems.add(problem(i, line, e.getMessage()));
        }
        return null;
    }

    private static int number(Matcher m, int group) {
        return Integer.parseInt(m.group(group));
    }

    private static Problem problem(int line, String value, String message) {
        return new Problem("line " + (line + 1), "Line " + (line + 1), value, message);
    }

    /** The survey as it would be called out, for editing it again. */
    public static String write(Outline.Taped taped) {
        StringBuilder text = new StringBuilder();
        for (Outline.TapedLeg leg : taped.legs()) {
            double angle = Math.abs(leg.turnDeg());
            text.append(leg.length().typed())
                    .append(", ")
                    .append(leg.turnDeg() > 0 ? "left" : "right")
                    .append(leg.measured() || angle != 90 ? " " + Show.number(angle, 4) : "")
                    .append('\n');
        }
        for (Outline.TapedDiagonal d : taped.diagonals()) {
            text.append("diagonal ")
                    .append(d.from())
                    .append('-')
                    .append(d.to())
                    .append(' ')
                    .append(d.length().typed())
                    .append('\n');
        }
        for (Outline.TapedOffset o : taped.offsets()) {
            text.append("offset ")
                    .append(o.corner())
                    .append(" from ")
                    .append(o.from())
                    .append('-')
                    .append(o.to())
                    .append(' ')
                    .append(o.length().typed())
                    .append('\n');
        }
        return text.toString();
    }
}
