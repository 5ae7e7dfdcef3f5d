package whipsaw.core.job;

import whipsaw.core.units.Dimension;

/** The dimension fields of a job and of catalogue entries with their allowed ranges, in SI. */
final class Fields {
    private Fields() {}

    static final Field EDGE = of("Edge length", Dimension.ROOF_LENGTH, 0.3, 1000);
    static final Field DIAGONAL = of("Diagonal", Dimension.ROOF_LENGTH, 0.3, 1500);
    static final Field OFFSET = of("Offset", Dimension.ROOF_LENGTH, 0.05, 1500);
    static final Field COORDINATE = of("Coordinate", Dimension.ROOF_LENGTH, -2000, 2000);
    static final Field UP_AZIMUTH = of("Azimuth of the top of the sheet", Dimension.ANGLE, 0, 360);
    static final Field ROOF_HEIGHT = of("Mean roof height", Dimension.ROOF_LENGTH, 2, 60);
    static final Field ROOF_SLOPE = of("Fall of the roof", Dimension.ANGLE, 0, 7);
    static final Field PARAPET_HEIGHT = of("Parapet height", Dimension.ROOF_LENGTH, 0, 4);
    static final Field PARAPET_THICKNESS = of("Parapet thickness", Dimension.PART_LENGTH, 0, 1.5);
    static final Field ALLOWANCE = of("Allowance for added load", Dimension.LOAD, 20, 10_000);
    static final Field BAY = of("Bay spacing", Dimension.ROOF_LENGTH, 1, 60);
    static final Field SIDE = of("Obstruction side", Dimension.ROOF_LENGTH, 0.02, 200);
    static final Field OBSTRUCTION_HEIGHT = of("Obstruction height", Dimension.ROOF_LENGTH, 0, 30);
    static final Field CLEAR = of("Clear distance", Dimension.ROOF_LENGTH, 0, 30);

    static final Field DRIFT = of("Azimuth the exhaust drifts to", Dimension.ANGLE, 0, 360);
    static final Field ACROSS = of("Distance from the edge", Dimension.ROOF_LENGTH, 0, 2000);
    static final Field RISE = of("Height above the lowest line", Dimension.ROOF_LENGTH, 0, 60);
    static final Field FACE_SLOPE = of("Slope of the face", Dimension.ANGLE, 0.1, 75);
    static final Field FALLS_TO = of("Azimuth the water runs to", Dimension.ANGLE, 0, 360);
    static final Field RIB_PITCH = of("Rib or seam pitch", Dimension.PART_LENGTH, 0.05, 1.5);
    static final Field RIB_SIZE = of("Rib size", Dimension.PART_LENGTH, 0.002, 0.3);
    static final Field FIRST_RIB = of("First rib from the left end", Dimension.PART_LENGTH, 0, 1.5);
    static final Field SHEET = of("Sheet thickness", Dimension.PART_LENGTH, 0.0003, 0.005);
    static final Field SCREWS = of("Screw lines", Dimension.PART_LENGTH, 0.02, 20);
    static final Field PURLIN = of("Purlin spacing", Dimension.ROOF_LENGTH, 0.15, 12);
    static final Field JOIST = of("Joist spacing", Dimension.ROOF_LENGTH, 0.15, 12);
    static final Field INSULATION = of("Insulation thickness", Dimension.PART_LENGTH, 0.005, 1);
    static final Field STRENGTH = of("Compressive strength", Dimension.LOAD, 1000, 2_000_000);
    static final Field BAY_FALL = of("Fall of the bay", Dimension.ANGLE, 0, 20);
    static final Field UNDULATION = of("Undulation", Dimension.ANGLE, 0, 20);
    static final Field REACH = of("Reach", Dimension.ROOF_LENGTH, 0, 200);
    static final Field LIFTS = of("Load", Dimension.MASS, 1, 100_000);
    static final Field EYE = of("Eye above the ground", Dimension.ROOF_LENGTH, 0.5, 100);
    static final Field GROUND = of("Ground above the building's", Dimension.ROOF_LENGTH, -200, 200);
    static final Field FAR_COORDINATE = of("Coordinate", Dimension.ROOF_LENGTH, -20_000, 20_000);

    static final Field DEAD = of("Existing dead load", Dimension.LOAD, 0, 20_000);
    static final Field ARRAY_WEIGHT = of("Weight of the array on the faces", Dimension.LOAD, 10, 2_000);
    static final Field FACE_SNOW = of("Uneven snow on the faces", Dimension.LOAD, 0, 30_000);
    static final Field ROOF_SNOW = of("Snow on the roof, by an engineer", Dimension.LOAD, 0, 30_000);
    static final Field HILL_HEIGHT = of("Height of the hill", Dimension.ROOF_LENGTH, 1, 2000);
    static final Field HILL_HALF_LENGTH = of("From the crest to half its height", Dimension.ROOF_LENGTH, 1, 10_000);
    static final Field HILL_DISTANCE = of("From the crest to the building", Dimension.ROOF_LENGTH, -20_000, 20_000);
    static final Field LEAST_UPLIFT = of("Minimum design uplift", Dimension.LOAD, 10, 5_000);
    static final Field FACE_UPLIFT = of("Net uplift of the wind on the faces", Dimension.LOAD, 0, 20_000);
    static final Field WIND_DOWN = of("Downward wind pressure, by an engineer", Dimension.LOAD, 0, 20_000);
    static final Field SEISMIC_WEIGHT = of("Seismic weight of the building", Dimension.MASS, 1_000, 1_000_000_000);
    static final Field CONNECTION = of("Allowable end uplift", Dimension.FORCE, 50, 1_000_000);
    static final Field BEARING = of("Allowable end reaction", Dimension.FORCE, 50, 5_000_000);
    static final Field DECK_STRIP = of("Width of a strip of deck", Dimension.PART_LENGTH, 0.05, 2);
    static final Field ATTACHMENT = of("What one attachment may take", Dimension.FORCE, 50, 200_000);
    static final Field CONSTRUCTION = of("Construction load allowed", Dimension.LOAD, 100, 50_000);
    static final Field SET_DOWN_SIDE = of("Side of what is set down", Dimension.ROOF_LENGTH, 0.2, 12);
    static final Field SET_DOWN_MASS = of("Mass of one pallet", Dimension.MASS, 5, 5_000);
    static final Field LAID_LINE = of("Weight of tray or pipe by length", Dimension.LINE_LOAD, 1, 5_000);
    static final Field SUPPORT_MASS = of("Mass of one support", Dimension.MASS, 0.05, 500);
    static final Field SUPPORT_SPACING = of("Spacing of supports", Dimension.ROOF_LENGTH, 0.2, 12);
    static final Field LIVE = of("Roof live load", Dimension.LOAD, 0, 10_000);
    static final Field FIRST_MEMBER = of("First member from the grid line", Dimension.ROOF_LENGTH, 0, 30);
    static final Field MEMBER_SPACING = of("Spacing of members", Dimension.ROOF_LENGTH, 0.15, 30);
    static final Field SECTION_SIDE = of("Side of the section", Dimension.PART_LENGTH, 0.01, 3);
    static final Field SECTION_SHEET = of("Thickness", Dimension.PART_LENGTH, 0.0005, 0.2);
    static final Field INERTIA = of("Second moment of area", Dimension.SECOND_MOMENT, 1e-9, 1);
    static final Field MODULUS = of("Section modulus", Dimension.SECTION_MODULUS, 1e-8, 1);
    static final Field MEMBER_STRENGTH = of("Strength", Dimension.STRESS, 2e5, 1.5e9);
    static final Field ELASTICITY = of("Modulus of elasticity", Dimension.STRESS, 1e9, 4e11);
    static final Field TABLE_SPAN = of("Span of the load table", Dimension.ROOF_LENGTH, 0.5, 60);
    static final Field TABLE_LOAD = of("Load of the load table", Dimension.LINE_LOAD, 10, 2_000_000);

    static final Field LATITUDE = of("Latitude", Dimension.ANGLE, -66, 66);
    static final Field LONGITUDE = of("Longitude", Dimension.ANGLE, -180, 180);
    static final Field WIND = of("Basic wind speed", Dimension.SPEED, 25, 120);
    static final Field WIND_MEAN = of("Fundamental basic wind velocity", Dimension.SPEED, 15, 60);
    static final Field ELEVATION = of("Ground elevation", Dimension.ROOF_LENGTH, -450, 5000);
    static final Field SNOW = of("Ground snow load", Dimension.LOAD, 0, 25_000);
    static final Field RECORD_LOW = of("Record low temperature", Dimension.TEMPERATURE, -60, 25);
    static final Field DESIGN_HIGH = of("Design high temperature", Dimension.TEMPERATURE, 10, 55);

    static final Field TILT = of("Tilt", Dimension.ANGLE, 0, 35);
    static final Field GAP = of("Row gap", Dimension.PART_LENGTH, 0, 5);
    static final Field FOOT = of("Side of a foot", Dimension.PART_LENGTH, 0.02, 3);
    static final Field RIDGE_GAP = of("Ridge gap", Dimension.PART_LENGTH, 0.005, 1);
    static final Field FACING = of("Azimuth the rows face", Dimension.ANGLE, 0, 360);
    static final Field SETBACK = of("Set-back", Dimension.ROOF_LENGTH, 0, 30);
    static final Field WALKWAY = of("Walkway width", Dimension.ROOF_LENGTH, 0.3, 10);
    static final Field SHIFT = of("Shift of the array", Dimension.ROOF_LENGTH, -20, 20);

    static final Field SYSTEM_LIMIT = of("DC system limit", Dimension.VOLTAGE, 100, 1500);
    static final Field LEG = of("Vertical leg", Dimension.ROOF_LENGTH, 0, 200);
    static final Field ABOVE_ROOF = of("Raceway above the roof", Dimension.PART_LENGTH, 0, 2);

    static final Field ALONG_FRAME = of("Place along the frame", Dimension.PART_LENGTH, 0, 1.5);
    static final Field MODULE_SIDE = of("Module side", Dimension.PART_LENGTH, 0.3, 3);
    static final Field MODULE_MASS = of("Module mass", Dimension.MASS, 3, 60);
    static final Field MODULE_POWER = of("Module power", Dimension.MODULE_POWER, 30, 1000);
    static final Field MODULE_VOLTAGE = of("Module voltage", Dimension.VOLTAGE, 5, 200);
    static final Field MODULE_CURRENT = of("Module current", Dimension.CURRENT, 0.5, 30);
    static final Field COEFFICIENT = of("Temperature coefficient", Dimension.PER_CENT_PER_DEGREE, -1, 0);
    static final Field BLOCK_MASS = of("Block mass", Dimension.MASS, 2, 60);
    static final Field BLOCK_SIDE = of("Block side", Dimension.PART_LENGTH, 0.03, 1.2);
    static final Field MODULE_GAP = of("Gap between modules", Dimension.PART_LENGTH, 0.006, 0.2);
    static final Field LOW_EDGE = of("Lower edge above the roof", Dimension.PART_LENGTH, 0.02, 1);
    static final Field RACKING_MASS = of("Racking mass per module", Dimension.MASS, 0.5, 60);
    static final Field SHARED_AREA = of("Shared area", Dimension.AREA, 0.5, 1000);
    static final Field INVERTER_POWER = of("Inverter power", Dimension.POWER, 500, 500_000);
    static final Field INVERTER_VOLTAGE = of("Inverter voltage", Dimension.VOLTAGE, 50, 1500);
    static final Field INVERTER_CURRENT = of("Inverter current", Dimension.CURRENT, 1, 500);

    private static Field of(String label, Dimension dimension, double least, double most) {
        return new Field(label, dimension, least, most);
    }
}
