/** Checks and their verdicts: what was checked, demand, capacity, utilisation, place and source. */
package whipsaw.core.check;
