package whipsaw.core.roof;

import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import whipsaw.core.job.Footprint;
import whipsaw.core.job.Obstruction;
import whipsaw.core.job.ObstructionKinds;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Quantity;
import whipsaw.core.units.Unit;
import whipsaw.core.units.UnitText;
import whipsaw.core.units.UnitTextException;

/**
 * A thing on the roof in one line, as a crew calls it out: its name, its size and the distances of its nearest sides
 * from two edges, {@code RTU 1, 10x6x5, 30' from edge 6, 25' from edge 1}. A single size means a circle, two leave the
 * height open.
 *
 * @param kind one of the kinds of obstructions, by a word of the name; plant where none fits
 * @param sizes width, depth and height; fewer where fewer were given
 * @param measured the distances as typed; empty where none were given
 */
public record ThingLine(String name, String kind, List<Measure> sizes, String measured) {
    private static final int LONGEST_NAME = 60;
    private static final Pattern FROM = Pattern.compile("\\sfrom\\s", Pattern.CASE_INSENSITIVE);
    private static final Pattern TIMES = Pattern.compile("\\s*[x×*]\\s*|\\s+by\\s+", Pattern.CASE_INSENSITIVE);

    public ThingLine {
        sizes = List.copyOf(sizes);
    }

    /** A line that cannot be read, in words. */
    public static class Unread extends IllegalArgumentException {
        private static final long serialVersionUID = 1L;

        Unread(String message) {
            super(message);
        }
    }

    /**
     * Reads a line.
     *
     * @param bare unit of a bare number
     * @throws Unread with what is wrong and an example
     */
    public static ThingLine read(String line, Unit bare) {
        String[] parts = line.strip().split("\\s*[,;]\\s+|\\s*;\\s*", 3);
        if (parts.length < 2 || parts[0].isBlank()) {
            throw new Unread(
                    "needs a name and a size with a comma between: RTU 1, 10x6x5, 30' from edge 6, 25' from edge 1");
        }
        if (parts[0].length() > LONGEST_NAME) {
            throw new Unread("has a name of more than " + LONGEST_NAME + " characters");
        }
        String measured = parts.length > 2 ? parts[2].strip() : "";
        if (!measured.isEmpty() && !FROM.matcher(measured).find()) {
            throw new Unread("ends in '" + measured + "', which names no edge: write 30' from edge 6, 25' from edge 1");
        }
        return new ThingLine(parts[0].strip(), kind(parts[0]), sizes(parts[1], bare), measured);
    }

    /** A thing as such a line without its place: its name and its sizes as typed; of a circle the diameter alone. */
    public static String of(Obstruction o) {
        List<Measure> sizes = o.footprint().shape() == Footprint.Shape.CIRCLE
                ? List.of(o.width())
                : List.of(o.width(), o.depth(), o.height());
        return o.name() + ", "
                + sizes.stream().map(m -> m.typed().replaceFirst("^~", "")).collect(Collectors.joining(" x "));
    }

    private static List<Measure> sizes(String text, Unit bare) {
        Matcher m = TIMES.matcher(text.strip());
        String[] sides = TIMES.split(text.strip());
        if (sides.length > 3) {
            throw new Unread("has '" + text + "' as its size: width x depth x height, for example 10x6x5");
        }
        // a unit after the last one is that of all: 10 x 6 x 5 ft
        String unit =
                sides[sides.length - 1].replaceFirst("^[~+-]?[\\d\\s./,]+", "").strip();
        boolean shared = m.find() && !unit.isEmpty() && sides[0].strip().matches("[\\d\\s./]+");
        return java.util.Arrays.stream(sides)
                .map(side -> {
                    String own = side.strip();
                    boolean plain = own.matches("[\\d\\s./]+");
                    try {
                        return UnitText.parse(shared && plain ? own + " " + unit : own, Quantity.LENGTH, bare);
                    } catch (UnitTextException e) {
                        throw new Unread("has the size '" + own + "', which " + e.getMessage());
                    }
                })
                .toList();
    }

    private static String kind(String name) {
        String low = name.toLowerCase(Locale.ROOT);
        return ObstructionKinds.names().stream()
                .filter(low::contains)
                .findFirst()
                .orElse(low.contains("rooflight") || low.contains("roof light") ? "skylight" : "plant");
    }
}
