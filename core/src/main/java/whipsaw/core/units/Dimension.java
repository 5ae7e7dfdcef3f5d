package whipsaw.core.units;

/**
 * A kind of field: what it measures and the unit a bare number means in a US and in a metric job.
 * Roofs are in feet or metres, parts and gaps in inches or millimetres; forces on one part are in pounds or newtons.
 */
public enum Dimension {
    ROOF_LENGTH(Quantity.LENGTH, Unit.FOOT, Unit.METRE),
    PART_LENGTH(Quantity.LENGTH, Unit.INCH, Unit.MILLIMETRE),
    AREA(Quantity.AREA, Unit.SQUARE_FOOT, Unit.SQUARE_METRE),
    PART_AREA(Quantity.AREA, Unit.SQUARE_INCH, Unit.SQUARE_CENTIMETRE),
    LOAD(Quantity.PRESSURE, Unit.POUND_PER_SQUARE_FOOT, Unit.KILOPASCAL),
    STRESS(Quantity.PRESSURE, Unit.KIP_PER_SQUARE_INCH, Unit.MEGAPASCAL),
    CONTACT(Quantity.PRESSURE, Unit.POUND_PER_SQUARE_INCH, Unit.KILOPASCAL),
    LINE_LOAD(Quantity.LINE_LOAD, Unit.POUND_PER_FOOT, Unit.KILONEWTON_PER_METRE),
    SECTION_MODULUS(Quantity.SECTION_MODULUS, Unit.CUBIC_INCH, Unit.CUBIC_CENTIMETRE),
    SECOND_MOMENT(Quantity.SECOND_MOMENT, Unit.INCH_TO_THE_FOURTH, Unit.CENTIMETRE_TO_THE_FOURTH),
    MASS(Quantity.MASS, Unit.POUND, Unit.KILOGRAM),
    FORCE(Quantity.FORCE, Unit.POUND_FORCE, Unit.KILONEWTON),
    PART_FORCE(Quantity.FORCE, Unit.POUND_FORCE, Unit.NEWTON),
    MOMENT(Quantity.MOMENT, Unit.POUND_FORCE_FOOT, Unit.KILONEWTON_METRE),
    SPEED(Quantity.SPEED, Unit.MILE_PER_HOUR, Unit.METRE_PER_SECOND),
    ANGLE(Quantity.ANGLE, Unit.DEGREE, Unit.DEGREE),
    TEMPERATURE(Quantity.TEMPERATURE, Unit.FAHRENHEIT, Unit.CELSIUS),
    POWER(Quantity.POWER, Unit.KILOWATT, Unit.KILOWATT),
    MODULE_POWER(Quantity.POWER, Unit.WATT, Unit.WATT),
    CURRENT(Quantity.CURRENT, Unit.AMPERE, Unit.AMPERE),
    VOLTAGE(Quantity.VOLTAGE, Unit.VOLT, Unit.VOLT),
    PER_CENT(Quantity.PER_CENT, Unit.PER_CENT, Unit.PER_CENT),
    PER_CENT_PER_DEGREE(Quantity.PER_CENT_PER_DEGREE, Unit.PER_CENT_PER_CELSIUS, Unit.PER_CENT_PER_CELSIUS),
    NUMBER(Quantity.NUMBER, Unit.ONE, Unit.ONE);

    private final Quantity quantity;
    private final Unit us;
    private final Unit metric;

    Dimension(Quantity quantity, Unit us, Unit metric) {
        this.quantity = quantity;
        this.us = us;
        this.metric = metric;
    }

    /** What it measures. */
    public Quantity quantity() {
        return quantity;
    }

    /** The unit a bare number means in a field of this kind. */
    public Unit unit(UnitSystem system) {
        return system == UnitSystem.US ? us : metric;
    }

    /** Whether the two systems show the dimension differently. */
    public boolean twoSystems() {
        return us != metric;
    }
}
