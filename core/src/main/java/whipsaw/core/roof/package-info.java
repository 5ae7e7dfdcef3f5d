/**
 * The roof in plan: outline from a tape survey or drawn corners, parapets, bays, and what an
 * outline has to satisfy.
 */
package whipsaw.core.roof;
