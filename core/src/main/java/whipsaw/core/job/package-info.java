/**
 * The inputs of a job as immutable records, and their document: reading it finds every problem with
 * its JSON path in one pass, writing it keeps what was typed beside the exact SI value.
 */
package whipsaw.core.job;
