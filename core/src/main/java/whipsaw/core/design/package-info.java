/**
 * The solve: one deterministic way from a job to its design and checks, and the difference between
 * two designs.
 */
package whipsaw.core.design;
