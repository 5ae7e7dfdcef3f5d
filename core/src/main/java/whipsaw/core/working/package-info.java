/**
 * Workings: every figure with its formula, the values put in with their units, the clause, where
 * each value comes from and how far its data can be relied on. A working is written from the result
 * record of the computation it explains; it never computes the figure a second time.
 */
package whipsaw.core.working;
