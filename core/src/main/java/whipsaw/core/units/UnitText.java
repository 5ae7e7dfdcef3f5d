package whipsaw.core.units;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads what people type into a dimension or load field: {@code 12' 6 1/2"}, {@code 12-6 1/2},
 * {@code 150 in}, {@code 3.81 m}, {@code 5 psf}, {@code 24 kg/m2}, {@code 2 1/4 in}, or a bare
 * number in the field's own unit. A leading {@code ~} marks the value as assumed.
 */
public final class UnitText {
    private static final MathContext EXACT = new MathContext(40);
    private static final int LONGEST = 60;

    private static final String NUMBER = "(?:\\d+\\s+\\d+/\\d+|\\d+/\\d+|\\d*\\.\\d+|\\d+\\.?)";
    private static final Pattern SIMPLE =
            Pattern.compile("([+-]?)\\s*(" + NUMBER + ")(?:[eE]([+-]?\\d{1,2}))?\\s*([^\\d].*)?");
    private static final Pattern FEET_AND_INCHES = Pattern.compile(
            "([+-]?)\\s*(\\d+)\\s*(?:'|ft\\.?|feet|foot|-)\\s*-?\\s*(" + NUMBER + ")\\s*(?:\"|''|in\\.?|inch|inches)?",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern INCHES_AND_PART = Pattern.compile(
            "([+-]?)\\s*(?:(\\d+)\\s*(?:'|ft\\.?)\\s*)?(\\d+)\\s*(?:\"|''|in\\.?|inch|inches)\\s*(\\d+/\\d+)\\s*(?:\"|in\\.?)?",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern GAUGE = Pattern.compile("(\\d{1,2})\\s*(?:ga|gauge)\\.?", Pattern.CASE_INSENSITIVE);
    private static final Pattern COMMA = Pattern.compile(".*\\d,\\d.*");

    /** A decimal comma that cannot be one of thousands: not three digits after it, or a nought before it. */
    private static final Pattern DECIMAL_COMMA = Pattern.compile("([~+-]?\\s*)(0|\\d+),(\\d+)(\\s*[^\\d,].*)?");

    /** What was read lately: a job is read again at every change, and most of its texts are as before. */
    private static final int MOST_KEPT = 4096;

    private static final Map<Read, Measure> KEPT = new ConcurrentHashMap<>();

    private record Read(String text, Quantity quantity, Unit bare) {}

    private UnitText() {}

    /**
     * Reads a text.
     *
     * @param text what was typed
     * @param quantity what it has to measure
     * @param bare unit of a bare number; null refuses bare numbers, as files do
     * @return the value with the typed text, its unit added when it was bare
     * @throws UnitTextException when it cannot be read; the message says what is allowed
     */
    public static Measure parse(String text, Quantity quantity, Unit bare) {
        if (text == null || text.isBlank()) {
            throw new UnitTextException("is empty");
        }
        if (text.length() > LONGEST) {
            throw new UnitTextException("is longer than " + LONGEST + " characters");
        }
        Read read = new Read(text, quantity, bare);
        Measure known = KEPT.get(read);
        if (known == null) {
            known = work(text, quantity, bare);
            if (KEPT.size() >= MOST_KEPT) {
                KEPT.clear();
            }
            KEPT.put(read, known);
        }
        return known;
    }

    private static Measure work(String text, Quantity quantity, Unit bare) {
        String clean = pointed(plain(text), bare);
        boolean assumed = clean.startsWith("~");
        if (assumed) {
            clean = clean.substring(1).strip();
        }
        if (COMMA.matcher(clean).matches()) {
            throw new UnitTextException(
                    "has a comma that may mean thousands: write 3.81 or 3810, with a point and no separator of thousands");
        }
        Matcher feet = FEET_AND_INCHES.matcher(clean);
        if (quantity == Quantity.LENGTH && feet.matches()) {
            return new Measure(feetAndInches(feet), text.strip(), assumed);
        }
        Matcher inches = INCHES_AND_PART.matcher(clean);
        if (quantity == Quantity.LENGTH && inches.matches()) {
            return new Measure(inchesAndPart(inches), text.strip(), assumed);
        }
        Matcher gauge = GAUGE.matcher(clean);
        if (quantity == Quantity.LENGTH && gauge.matches()) {
            BigDecimal thick = SheetGauge.inches(Integer.parseInt(gauge.group(1)));
            if (thick == null) {
                throw new UnitTextException(
                        "is a gauge that is not known here: write the thickness, as 0.6 mm or 0.024 in");
            }
            return new Measure(thick.multiply(Unit.INCH.factor(), EXACT).doubleValue(), text.strip(), assumed);
        }
        Matcher simple = SIMPLE.matcher(clean);
        if (!simple.matches()) {
            throw new UnitTextException("is not a number with a unit");
        }
        BigDecimal number = signed(simple.group(1), number(simple.group(2)));
        if (simple.group(3) != null) {
            number = number.scaleByPowerOfTen(Integer.parseInt(simple.group(3)));
        }
        String unitName = simple.group(4) == null ? "" : simple.group(4).strip();
        Unit unit = unitName.isEmpty() ? bare : Unit.named(quantity, unitName);
        if (unit == null && unitName.isEmpty()) {
            throw new UnitTextException("has no unit: write one of " + Unit.namesOf(quantity));
        }
        if (unit == null) {
            throw new UnitTextException("has the unit '" + unitName + "': write one of " + Unit.namesOf(quantity));
        }
        double si =
                number.multiply(unit.factor(), EXACT).add(unit.offset(), EXACT).doubleValue();
        boolean addUnit = unitName.isEmpty() && !unit.symbol().isEmpty();
        // kept with a point, as files have it
        String typed = COMMA.matcher(text).matches() ? (assumed ? "~" : "") + clean : text.strip();
        return new Measure(si, addUnit ? typed + " " + unit.symbol() : typed, assumed);
    }

    /** A decimal comma made a point where the field is metric and nothing else can be meant; files have points. */
    private static String pointed(String text, Unit bare) {
        Matcher m = DECIMAL_COMMA.matcher(text);
        if (bare == null || bare.us() || !m.matches()) {
            return text;
        }
        boolean thousands = m.group(3).length() == 3 && !m.group(2).equals("0");
        return thousands ? text : m.group(1) + m.group(2) + "." + m.group(3) + (m.group(4) == null ? "" : m.group(4));
    }

    private static double inchesAndPart(Matcher m) {
        BigDecimal part = number(m.group(4));
        BigDecimal inches = new BigDecimal(m.group(3)).add(part);
        if (part.compareTo(BigDecimal.ONE) >= 0) {
            throw new UnitTextException("has a part of " + m.group(4) + " inches: it must be below 1");
        }
        if (m.group(2) != null) {
            if (inches.compareTo(BigDecimal.valueOf(12)) >= 0) {
                throw new UnitTextException("has " + m.group(3) + " inches after the feet: these must be below 12");
            }
            inches = inches.add(new BigDecimal(m.group(2)).multiply(BigDecimal.valueOf(12)));
        }
        return signed(m.group(1), inches).multiply(Unit.INCH.factor(), EXACT).doubleValue();
    }

    private static double feetAndInches(Matcher m) {
        BigDecimal inches = number(m.group(3));
        if (inches.compareTo(BigDecimal.valueOf(12)) >= 0) {
            throw new UnitTextException("has " + m.group(3).strip() + " inches after the feet: these must be below 12");
        }
        BigDecimal total =
                new BigDecimal(m.group(2)).multiply(BigDecimal.valueOf(12)).add(inches);
        return signed(m.group(1), total).multiply(Unit.INCH.factor(), EXACT).doubleValue();
    }

    private static BigDecimal signed(String sign, BigDecimal value) {
        return "-".equals(sign) ? value.negate() : value;
    }

    /** Reads {@code 6}, {@code 6.5}, {@code .5}, {@code 1/2} or {@code 6 1/2}. */
    private static BigDecimal number(String text) {
        String[] parts = text.strip().split("\\s+");
        BigDecimal sum = BigDecimal.ZERO;
        for (String part : parts) {
            int slash = part.indexOf('/');
            if (slash < 0) {
                sum = sum.add(new BigDecimal(part));
                continue;
            }
            BigDecimal below = new BigDecimal(part.substring(slash + 1));
            if (below.signum() == 0) {
                throw new UnitTextException("has a fraction with 0 below the line");
            }
            sum = sum.add(new BigDecimal(part.substring(0, slash)).divide(below, EXACT));
        }
        return sum;
    }

    /** Typographic signs as the plain ones. */
    private static String plain(String text) {
        return text.strip()
                .replace('\u2019', '\'')
                .replace('\u2032', '\'')
                .replace('\u201d', '"')
                .replace('\u2033', '"')
                .replace("''", "\"")
                .replace("\u00bd", " 1/2")
                .replace("\u00bc", " 1/4")
                .replace("\u00be", " 3/4")
                .replace("\u00b2", "2")
                .replace('\u2212', '-')
                .replace('\u2013', '-')
                .replace('\u00a0', ' ')
                .replaceAll("\\s+", " ")
                .strip();
    }
}
