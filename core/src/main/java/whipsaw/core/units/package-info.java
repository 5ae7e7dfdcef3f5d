/**
 * Units at the edges of the core: what people type becomes an exact SI value with the text kept,
 * and SI values become text in US or metric units. Inside, everything is SI with the unit in the
 * name.
 */
package whipsaw.core.units;
