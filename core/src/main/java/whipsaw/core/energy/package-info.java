/**
 * From weather to kilowatt-hours: an hourly year ({@link whipsaw.core.energy.Weather}), what of it reaches a plane in
 * the open or behind another row ({@link whipsaw.core.energy.PlaneHour}), power by temperature and inverter, and what
 * of the year is used on site ({@link whipsaw.core.energy.SelfUse}). Vectors are east, north, up; hours are those of
 * local standard time from the first of January of a year without a leap day, each represented by its middle.
 */
package whipsaw.core.energy;
