/**
 * Formulas that are computed as they are printed. A group of formulas is declared once with its symbols, their units and
 * its clauses, compiled when its class is loaded, and gives numbers on the hot path and the lines of a working when
 * somebody opens one. What is no formula, a search or a layout, stays plain code and enters as a value.
 */
package whipsaw.core.formula;
