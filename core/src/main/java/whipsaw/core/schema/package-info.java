/**
 * Inputs declared once. A record says of each of its components what it is called, what it measures, what range it
 * has and what holds when it is absent ({@link whipsaw.core.schema.Input}); {@link whipsaw.core.schema.Shape} reads
 * those declarations and is the one place that reads, writes, names and describes them.
 */
package whipsaw.core.schema;
