package whipsaw.core.formula;

import static whipsaw.core.units.Show.significant;

import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.Unit;
import whipsaw.core.units.UnitSystem;

/**
 * How a quantity of a formula is measured: the unit it is put in with, the powers of length, mass and time it has, and
 * how it is shown.
 *
 * @param symbol of the unit as it is shown; empty of a plain number
 * @param unit it is put in with; null where that is the SI unit itself
 * @param length power of length
 * @param mass power of mass
 * @param time power of time
 * @param current power of electric current
 * @param digits significant digits shown
 * @param both shown in both systems as this dimension, the one of {@code system} first; null for the unit alone
 * @param system the group of formulas speaks
 */
public record Measured(
        String symbol,
        Unit unit,
        int length,
        int mass,
        int time,
        int current,
        int digits,
        Dimension both,
        UnitSystem system) {
    /** A factor without a unit. */
    public static final Measured NUMBER = new Measured("", null, 0, 0, 0, 0, 4, null, null);
    /** An angle in degrees, as the functions of angles take it. */
    public static final Measured DEGREES = new Measured("°", null, 0, 0, 0, 0, 4, null, null);

    public static final Measured METRE = new Measured(" m", null, 1, 0, 0, 0, 4, null, null);
    /** A length, shown in metres and in feet and inches. */
    public static final Measured ROOF_LENGTH =
            new Measured(" m", null, 1, 0, 0, 0, 4, Dimension.ROOF_LENGTH, UnitSystem.METRIC);

    /** A length of a part, shown in millimetres and inches. */
    public static final Measured PART_LENGTH =
            new Measured(" m", null, 1, 0, 0, 0, 4, Dimension.PART_LENGTH, UnitSystem.METRIC);

    public static final Measured FOOT = new Measured(" ft", Unit.FOOT, 1, 0, 0, 0, 5, null, null);
    public static final Measured SQUARE_FOOT = new Measured(" ft²", Unit.SQUARE_FOOT, 2, 0, 0, 0, 4, null, null);
    public static final Measured METRE_PER_SECOND = new Measured(" m/s", null, 1, 0, -1, 0, 5, null, null);
    public static final Measured MILE_PER_HOUR = new Measured(" mph", Unit.MILE_PER_HOUR, 1, 0, -1, 0, 5, null, null);
    /** A temperature in degrees Celsius; differences of it are plain numbers. */
    public static final Measured CELSIUS = new Measured(" °C", null, 0, 0, 0, 0, 4, null, null);

    /** A temperature coefficient in per cent of a value for a degree. */
    public static final Measured PER_CENT_PER_CELSIUS = new Measured(" %/°C", null, 0, 0, 0, 0, 4, null, null);

    public static final Measured VOLT = new Measured(" V", null, 2, 1, -3, -1, 5, null, null);
    public static final Measured AMPERE = new Measured(" A", null, 0, 0, 0, 1, 5, null, null);
    /** A resistance or reactance of a length, ohm per 1000 ft. */
    public static final Measured OHM_PER_KFT = new Measured(" Ω/kft", null, 1, 1, -3, -2, 4, null, null);

    public static final Measured VOLT_AMPERE = new Measured(" VA", null, 2, 1, -3, 0, 5, null, null);

    /** A density in pounds per cubic foot, for formulas of a code that gives it so. */
    public static final Measured PCF = new Measured(" pcf", null, -3, 1, 0, 0, 3, null, null);

    /** A force on a roof, shown in kilonewtons and pounds. */
    public static final Measured FORCE = new Measured(" N", null, 1, 1, -2, 0, 4, Dimension.FORCE, UnitSystem.METRIC);

    /** A mass, shown in kilograms and pounds. */
    public static final Measured MASS = new Measured(" kg", null, 0, 1, 0, 0, 4, Dimension.MASS, UnitSystem.METRIC);

    /** An area, shown in both systems. */
    public static final Measured SQUARE_METRE =
            new Measured(" m²", null, 2, 0, 0, 0, 4, Dimension.AREA, UnitSystem.METRIC);

    /** An area of a part, shown in both systems. */
    public static final Measured PART_AREA =
            new Measured(" m²", null, 2, 0, 0, 0, 4, Dimension.PART_AREA, UnitSystem.METRIC);

    /** A pressure under a foot, shown in both systems. */
    public static final Measured CONTACT =
            new Measured(" Pa", null, -1, 1, -2, 0, 4, Dimension.CONTACT, UnitSystem.METRIC);

    /** A force on a part, shown in newtons and pounds. */
    public static final Measured PART_FORCE =
            new Measured(" N", null, 1, 1, -2, 0, 4, Dimension.PART_FORCE, UnitSystem.METRIC);

    /** A stress. */
    public static final Measured STRESS =
            new Measured(" Pa", null, -1, 1, -2, 0, 4, Dimension.STRESS, UnitSystem.METRIC);

    /** A section modulus. */
    public static final Measured SECTION_MODULUS =
            new Measured(" m³", null, 3, 0, 0, 0, 4, Dimension.SECTION_MODULUS, UnitSystem.METRIC);

    /** A bending moment. */
    public static final Measured MOMENT =
            new Measured(" Nm", null, 2, 1, -2, 0, 4, Dimension.MOMENT, UnitSystem.METRIC);

    /** A weight by volume. */
    public static final Measured NEWTON_PER_CUBIC_METRE = new Measured(" N/m³", null, -2, 1, -2, 0, 4, null, null);

    public static final Measured KILOGRAM_PER_CUBIC_METRE = new Measured(" kg/m³", null, -3, 1, 0, 0, 4, null, null);
    /** A pressure in pascals, shown in kilopascals and pounds per square foot. */
    public static final Measured PASCAL = new Measured(" Pa", null, -1, 1, -2, 0, 4, Dimension.LOAD, UnitSystem.METRIC);
    /** A pressure in pounds per square foot, shown in both systems. */
    public static final Measured PSF =
            new Measured(" psf", Unit.POUND_PER_SQUARE_FOOT, -1, 1, -2, 0, 4, Dimension.LOAD, UnitSystem.US);

    /** The same with more or fewer digits shown. */
    public Measured digits(int n) {
        return new Measured(symbol, unit, length, mass, time, current, n, both, system);
    }

    /** The same shown in its own unit alone. */
    public Measured alone() {
        return new Measured(symbol, unit, length, mass, time, current, digits, null, null);
    }

    /** Whether two have the same powers, so that they may be added. */
    boolean goesWith(Measured other) {
        return length == other.length && mass == other.mass && time == other.time && current == other.current;
    }

    /**
     * A value in this unit, as a working shows it.
     *
     * @param first the system shown first where both are; null for the one the formulas speak
     */
    String shown(double value, UnitSystem first) {
        if (both != null) {
            return Show.both(first == null ? system : first, both, si(value));
        }
        return significant(value, digits) + symbol;
    }

    /** SI of a value in this unit. */
    double si(double value) {
        return unit == null ? value : unit.toSi(value);
    }

    /** A value in this unit of one in SI. */
    double fromSi(double value) {
        return unit == null ? value : unit.fromSi(value);
    }
}
