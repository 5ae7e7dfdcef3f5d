package whipsaw.core.units;

import java.math.BigDecimal;
import java.math.RoundingMode;

/**
 * Writes SI values as the trade reads them. Rounding is for reading only; nothing computes with it.
 */
public final class Show {
    private static final int SIXTEENTHS = 16;

    private Show() {}

    /** A value with its unit in one system, for example {@code 12' 6 1/2"} or {@code 0.44 kPa}. */
    public static String in(UnitSystem system, Dimension dimension, double si) {
        Unit unit = dimension.unit(system);
        if (unit == Unit.FOOT) {
            return feetAndInches(si);
        }
        if (unit == Unit.INCH) {
            return fraction(Math.round(unit.fromSi(si) * SIXTEENTHS)) + " in";
        }
        String number = number(unit.fromSi(si), dimension == Dimension.PART_FORCE ? 1 : decimals(unit));
        if (unit == Unit.KILOPASCAL) {
            return number + " kPa (" + number(si / 9.80665, 1) + " kg/m²)";
        }
        return unit.symbol().isEmpty() ? number : number + " " + unit.symbol();
    }

    /** A value in the job's system with the other system's in brackets. */
    public static String both(UnitSystem system, Dimension dimension, double si) {
        String own = in(system, dimension, si);
        return dimension.twoSystems() ? own + " [" + brief(system.other(), dimension, si) + "]" : own;
    }

    /** A value with one unit only: a load in kPa without its kg/m². */
    public static String brief(UnitSystem system, Dimension dimension, double si) {
        return in(system, dimension, si).replaceAll(" \\(.*\\)", "");
    }

    /** A text that reads back to exactly the value, for coordinates set by dragging. */
    public static String exact(UnitSystem system, Dimension dimension, double si) {
        Unit unit = dimension.unit(system);
        return number(unit.fromSi(si), 4) + " " + unit.symbol();
    }

    /** So many of a thing, in the singular for one: {@code 1 string}, {@code 2 strings}. */
    public static String count(long n, String thing) {
        return n + " " + thing + (n == 1 ? "" : "s");
    }

    /** A plain number with at most so many decimals, without trailing zeros; {@code none} when it is not finite. */
    public static String number(double value, int decimals) {
        if (!Double.isFinite(value)) {
            return "none";
        }
        BigDecimal rounded = new BigDecimal(value).setScale(decimals, RoundingMode.HALF_UP);
        String text = rounded.signum() == 0 ? "0" : rounded.toPlainString();
        return text.indexOf('.') < 0 ? text : text.replaceAll("0+$", "").replaceAll("\\.$", "");
    }

    /** A number to a count of significant figures, for coefficients and steps of a working. */
    public static String significant(double value, int figures) {
        if (value == 0 || !Double.isFinite(value)) {
            return number(value, 0);
        }
        int exponent = (int) Math.floor(Math.log10(Math.abs(value)));
        return number(value, Math.max(0, figures - 1 - exponent));
    }

    private static int decimals(Unit unit) {
        return switch (unit) {
            case MILLIMETRE, VOLT, WATT -> 0;
            case METRE, KILONEWTON, KILONEWTON_METRE, KILONEWTON_PER_METRE, PER_CENT -> 2;
            case PER_CENT_PER_CELSIUS, KILOPASCAL, ONE -> 3;
            case SQUARE_METRE -> 1;
            case SQUARE_FOOT, POUND, POUND_FORCE, POUND_FORCE_FOOT -> 0;
            default -> 1;
        };
    }

    private static String feetAndInches(double metres) {
        long total = Math.round(Math.abs(metres) / 0.0254 * SIXTEENTHS);
        long feet = total / (12 * SIXTEENTHS);
        String sign = metres < 0 && total > 0 ? "-" : "";
        return sign + feet + "' " + fraction(total % (12 * SIXTEENTHS)) + "\"";
    }

    /** Sixteenths as {@code 6}, {@code 1/2} or {@code 6 1/2}. */
    private static String fraction(long sixteenths) {
        String sign = sixteenths < 0 ? "-" : "";
        long size = Math.abs(sixteenths);
        long whole = size / SIXTEENTHS;
        long rest = size % SIXTEENTHS;
        if (rest == 0) {
            return sign + whole;
        }
        long below = SIXTEENTHS;
        while (rest % 2 == 0) {
            rest /= 2;
            below /= 2;
        }
        String part = rest + "/" + below;
        return sign + (whole == 0 ? part : whole + " " + part);
    }
}
