package whipsaw.core.roof;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import whipsaw.core.job.Outline;
import whipsaw.core.job.Roof;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Quantity;
import whipsaw.core.units.Unit;
import whipsaw.core.units.UnitText;
import whipsaw.core.units.UnitTextException;

/** Sizes taped on site as they are called out, one a line: {@code edge 3 12.4 m}, {@code 1-3 147' 6"}. */
public final class SizeText {
    private static final Pattern EDGE = Pattern.compile("edge\\s+(\\d{1,3})[\\s:=]+(.+)", Pattern.CASE_INSENSITIVE);
    private static final Pattern ACROSS = Pattern.compile(
            "(?:diag(?:onal)?\\.?\\s+)?(\\d{1,3})\\s*(?:-|to)\\s*(\\d{1,3})[\\s:=]+(.+)", Pattern.CASE_INSENSITIVE);

    private SizeText() {}

    /** Says which line cannot be read, and why. */
    public static final class Unread extends Exception {
        private static final long serialVersionUID = 1L;
        private final String line;

        Unread(String line, String message) {
            super(message);
            this.line = line;
        }

        /** The size as one line of text. */
        public String line() {
            return line;
        }
    }

    /**
     * @param corners of the outline
     * @param bare unit of a bare number
     */
    public static List<Outline.TapedDiagonal> read(String text, int corners, Unit bare) throws Unread {
        List<Outline.TapedDiagonal> tapes = new ArrayList<>();
        for (String raw : text.split("[\\n;]")) {
            String line = raw.strip();
            if (line.isEmpty()) {
                continue;
            }
            Matcher edge = EDGE.matcher(line);
            Matcher across = ACROSS.matcher(line);
            if (edge.matches()) {
                int from = Integer.parseInt(edge.group(1));
                tapes.add(tape(line, from, from % Math.max(1, corners) + 1, corners, edge.group(2), bare));
            } else if (across.matches()) {
                tapes.add(tape(
                        line,
                        Integer.parseInt(across.group(1)),
                        Integer.parseInt(across.group(2)),
                        corners,
                        across.group(3),
                        bare));
            } else {
                throw new Unread(line, "is no size: write edge 3 12.4 m, or 1-3 and the length between those corners");
            }
        }
        return tapes;
    }

    private static Outline.TapedDiagonal tape(String line, int from, int to, int corners, String length, Unit bare)
            throws Unread {
        if (from < 1 || to < 1 || from > corners || to > corners || from == to) {
            throw new Unread(line, "names no two corners of this roof: they are 1 to " + corners);
        }
        try {
            Measure m = UnitText.parse(length, Quantity.LENGTH, bare);
            if (!(m.si() > 0)) {
                throw new Unread(line, "has no length: for example 12.4 m");
            }
            return new Outline.TapedDiagonal(from, to, m);
        } catch (UnitTextException e) {
            throw new Unread(line, e.getMessage() + ", for example 12.4 m");
        }
    }

    /** As it would be typed. */
    public static String write(Roof.SiteSizes sizes) {
        return sizes == null
                ? ""
                : sizes.tapes().stream()
                        .map(t -> t.from() + "-" + t.to() + " " + t.length().typed())
                        .collect(Collectors.joining("\n"));
    }
}
