package whipsaw.core.units;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Distances one after the other, as a crew calls them out: {@code 2' 6", 4 @ 5', 3'}. The first counts from where the
 * list begins.
 *
 * @param typed the list as typed, every distance with its unit
 * @param metres each distance
 */
public record Spacings(String typed, List<Double> metres) {
    private static final int MOST = 400;
    private static final int LONGEST = 400;
    private static final Pattern DECIMALS = Pattern.compile("\\d,\\d");
    private static final Pattern TIMES = Pattern.compile("(\\d{1,3})\\s*(?:@|x|×)\\s*(.+)");

    public Spacings {
        metres = List.copyOf(metres);
    }

    /**
     * Reads a list; distances are parted by a comma or a semicolon, {@code 4 @ 5'} stands for four of five feet.
     *
     * @param bare unit of a bare number; null refuses bare numbers, as files do
     * @throws UnitTextException when it cannot be read; the message says which distance and what is allowed
     */
    public static Spacings parse(String text, Unit bare) {
        if (text == null || text.isBlank()) {
            throw new UnitTextException("is empty");
        }
        if (text.length() > LONGEST) {
            throw new UnitTextException("is longer than " + LONGEST + " characters");
        }
        if (bare != null && !bare.us() && DECIMALS.matcher(text).find()) {
            throw new UnitTextException(
                    "has a comma between digits, which may part two distances or be one of decimals: write 1.4 m, or 1 m; 4 m");
        }
        List<Double> metres = new ArrayList<>();
        List<String> typed = new ArrayList<>();
        for (String part : text.split("[,;]")) {
            Matcher times = TIMES.matcher(part.strip());
            boolean many = times.matches();
            int count = many ? Integer.parseInt(times.group(1)) : 1;
            Measure one;
            try {
                one = UnitText.parse(many ? times.group(2) : part, Quantity.LENGTH, bare);
            } catch (UnitTextException e) {
                throw new UnitTextException("has '" + part.strip() + "', which " + e.getMessage());
            }
            if (!(one.si() > 0) || count < 1) {
                throw new UnitTextException("has '" + part.strip() + "': every distance has to be more than 0");
            }
            if (metres.size() + count > MOST) {
                throw new UnitTextException("has more than " + MOST + " distances");
            }
            for (int i = 0; i < count; i++) {
                metres.add(one.si());
            }
            typed.add(many ? count + " @ " + one.typed() : one.typed());
        }
        return new Spacings(String.join(", ", typed), metres);
    }

    /** One distance over and over. */
    public static Spacings of(Measure one) {
        return new Spacings(one.typed(), List.of(one.si()));
    }

    /** All distances together, m. */
    public double sumM() {
        return metres.stream().mapToDouble(Double::doubleValue).sum();
    }

    /** The largest distance, m; 0 for none. */
    public double largestM() {
        return metres.stream().mapToDouble(Double::doubleValue).max().orElse(0);
    }

    /** Where each distance ends, from the beginning of the list. */
    public List<Double> ends() {
        List<Double> ends = new ArrayList<>();
        double at = 0;
        for (double d : metres) {
            at += d;
            ends.add(at);
        }
        return ends;
    }

    /** Places from 0 on over an extent, the last distance repeated as long as there is room; 0 itself first. */
    public List<Double> over(double extentM) {
        List<Double> places = new ArrayList<>();
        double at = 0;
        for (int i = 0; at < extentM - 1e-6 * Math.max(1, extentM) && places.size() < MOST * 10; i++) {
            places.add(at);
            at += metres.get(Math.min(i, metres.size() - 1));
        }
        return places;
    }
}
