package whipsaw.core.units;

import java.math.BigDecimal;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/**
 * A unit with its exact conversion to SI: {@code si = value * factor + offset}. The names are all
 * the spellings a person may type, in lower case.
 */
public enum Unit {
    METRE(Quantity.LENGTH, "m", "1", "m", "metre", "metres", "meter", "meters"),
    MILLIMETRE(Quantity.LENGTH, "mm", "0.001", "mm", "millimetre", "millimetres", "millimeters"),
    CENTIMETRE(Quantity.LENGTH, "cm", "0.01", "cm"),
    KILOMETRE(Quantity.LENGTH, "km", "1000", "km"),
    FOOT(Quantity.LENGTH, "ft", "0.3048", "ft", "'", "foot", "feet"),
    INCH(Quantity.LENGTH, "in", "0.0254", "in", "\"", "inch", "inches", "in."),
    YARD(Quantity.LENGTH, "yd", "0.9144", "yd", "yards"),
    MILE(Quantity.LENGTH, "mi", "1609.344", "mi", "mile", "miles"),

    SQUARE_METRE(Quantity.AREA, "m²", "1", "m2", "sqm", "sq m"),
    SQUARE_CENTIMETRE(Quantity.AREA, "cm²", "0.0001", "cm2", "sq cm"),
    SQUARE_INCH(Quantity.AREA, "in²", "0.00064516", "in2", "sqin", "sq in"),
    SQUARE_FOOT(Quantity.AREA, "ft²", "0.09290304", "ft2", "sqft", "sq ft", "sf"),

    PASCAL(Quantity.PRESSURE, "Pa", "1", "pa", "n/m2"),
    KILOPASCAL(Quantity.PRESSURE, "kPa", "1000", "kpa", "kn/m2"),
    POUND_PER_SQUARE_FOOT(Quantity.PRESSURE, "psf", "47.880258980335840277", "psf", "lb/ft2", "lbf/ft2", "lb/sqft"),
    KILOGRAM_PER_SQUARE_METRE(Quantity.PRESSURE, "kg/m²", "9.80665", "kg/m2", "kgf/m2"),

    MEGAPASCAL(Quantity.PRESSURE, "MPa", "1000000", "mpa", "n/mm2"),
    GIGAPASCAL(Quantity.PRESSURE, "GPa", "1000000000", "gpa", "kn/mm2"),
    POUND_PER_SQUARE_INCH(Quantity.PRESSURE, "psi", "6894.7572931683613368", "psi"),
    KIP_PER_SQUARE_INCH(Quantity.PRESSURE, "ksi", "6894757.2931683613368", "ksi"),

    NEWTON_PER_METRE(Quantity.LINE_LOAD, "N/m", "1", "n/m"),
    KILONEWTON_PER_METRE(Quantity.LINE_LOAD, "kN/m", "1000", "kn/m"),
    POUND_PER_FOOT(Quantity.LINE_LOAD, "plf", "14.593902937206364829", "plf", "lb/ft", "lbf/ft"),

    KILOGRAM_PER_METRE(Quantity.LINE_LOAD, "kg/m", "9.80665", "kg/m", "kgf/m"),

    CUBIC_CENTIMETRE(Quantity.SECTION_MODULUS, "cm³", "0.000001", "cm3", "cm³"),
    CUBIC_INCH(Quantity.SECTION_MODULUS, "in³", "0.000016387064", "in3", "in³"),

    CENTIMETRE_TO_THE_FOURTH(Quantity.SECOND_MOMENT, "cm⁴", "0.00000001", "cm4", "cm⁴"),
    INCH_TO_THE_FOURTH(Quantity.SECOND_MOMENT, "in⁴", "0.0000004162314256", "in4", "in⁴"),

    KILOGRAM(Quantity.MASS, "kg", "1", "kg", "kilogram", "kilograms"),
    POUND(Quantity.MASS, "lb", "0.45359237", "lb", "lbs", "pound", "pounds"),
    GRAM(Quantity.MASS, "g", "0.001", "g"),
    TONNE(Quantity.MASS, "t", "1000", "t", "tonne", "tonnes"),

    NEWTON(Quantity.FORCE, "N", "1", "n"),
    KILONEWTON(Quantity.FORCE, "kN", "1000", "kn"),
    POUND_FORCE(Quantity.FORCE, "lbf", "4.4482216152605", "lbf", "lb", "lbs"),

    KILONEWTON_METRE(Quantity.MOMENT, "kNm", "1000", "knm", "kn m", "kn·m"),
    POUND_FORCE_FOOT(Quantity.MOMENT, "lbf·ft", "1.3558179483314004", "lbf·ft", "lbf ft", "lb-ft", "ft-lb"),

    METRE_PER_SECOND(Quantity.SPEED, "m/s", "1", "m/s", "mps"),
    MILE_PER_HOUR(Quantity.SPEED, "mph", "0.44704", "mph", "mi/h"),
    KILOMETRE_PER_HOUR(Quantity.SPEED, "km/h", "0.27777777777777777778", "km/h", "kph", "kmh"),

    DEGREE(Quantity.ANGLE, "deg", "1", "deg", "°", "degree", "degrees"),

    CELSIUS(Quantity.TEMPERATURE, "°C", "1", "0", "c", "°c", "degc", "deg c"),
    FAHRENHEIT(
            Quantity.TEMPERATURE, "°F", "0.55555555555555555556", "-17.777777777777777778", "f", "°f", "degf", "deg f"),

    WATT(Quantity.POWER, "W", "1", "w", "va"),
    KILOWATT(Quantity.POWER, "kW", "1000", "kw", "kva"),
    AMPERE(Quantity.CURRENT, "A", "1", "a", "amp", "amps"),
    VOLT(Quantity.VOLTAGE, "V", "1", "v", "volt", "volts"),
    PER_CENT(Quantity.PER_CENT, "%", "1", "%", "percent", "pct"),
    PER_CENT_PER_CELSIUS(Quantity.PER_CENT_PER_DEGREE, "%/°C", "1", "%/c", "%/°c", "%/k", "pct/c"),
    ONE(Quantity.NUMBER, "", "1", "", "no", "nr");

    private static final Map<Quantity, Map<String, Unit>> BY_NAME = new HashMap<>();

    static {
        for (Unit unit : values()) {
            Map<String, Unit> names = BY_NAME.computeIfAbsent(unit.quantity, q -> new HashMap<>());
            unit.names.forEach(name -> names.put(name, unit));
        }
    }

    private final Quantity quantity;
    private final String symbol;
    private final BigDecimal factor;
    private final BigDecimal offset;
    private final double times;
    private final double plus;
    private final List<String> names;

    Unit(Quantity quantity, String symbol, String factor, String... names) {
        boolean hasOffset = quantity == Quantity.TEMPERATURE;
        this.quantity = quantity;
        this.symbol = symbol;
        this.factor = new BigDecimal(factor);
        this.offset = hasOffset ? new BigDecimal(names[0]) : BigDecimal.ZERO;
        this.times = this.factor.doubleValue();
        this.plus = this.offset.doubleValue();
        this.names = hasOffset ? List.of(names).subList(1, names.length) : List.of(names);
    }

    private static final Set<Unit> US = EnumSet.of(
            FOOT,
            INCH,
            YARD,
            MILE,
            SQUARE_FOOT,
            SQUARE_INCH,
            POUND_PER_SQUARE_FOOT,
            POUND_PER_SQUARE_INCH,
            KIP_PER_SQUARE_INCH,
            POUND_PER_FOOT,
            CUBIC_INCH,
            INCH_TO_THE_FOURTH,
            POUND,
            POUND_FORCE,
            POUND_FORCE_FOOT,
            MILE_PER_HOUR,
            FAHRENHEIT);

    /** Whether it belongs to US customary units, where a comma stands between thousands. */
    boolean us() {
        return US.contains(this);
    }

    /** What it measures. */
    public Quantity quantity() {
        return quantity;
    }

    /** How it is shown; empty of a plain number. */
    public String symbol() {
        return symbol;
    }

    /** Everything a person may type for it, in lower case. */
    public List<String> spellings() {
        return names;
    }

    BigDecimal factor() {
        return factor;
    }

    BigDecimal offset() {
        return offset;
    }

    /** The value in SI of {@code value} of this unit. */
    public double toSi(double value) {
        return value * times + plus;
    }

    /** The value in this unit of an SI value. */
    public double fromSi(double si) {
        return (si - plus) / times;
    }

    /** The unit of a quantity that is written {@code name}, or null. */
    static Unit named(Quantity quantity, String name) {
        return BY_NAME.get(quantity).get(name.toLowerCase(Locale.ROOT));
    }

    /** Units of a quantity, for messages. */
    static String namesOf(Quantity quantity) {
        StringBuilder text = new StringBuilder();
        for (Unit unit : values()) {
            if (unit.quantity == quantity && !unit.symbol.isEmpty()) {
                text.append(text.length() == 0 ? "" : ", ").append(unit.symbol);
            }
        }
        return text.toString();
    }
}
