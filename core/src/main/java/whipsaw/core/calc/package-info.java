/**
 * Single calculations that need no job. Each topic takes named inputs with the unit in the key and
 * calls the same formula that the solve uses; {@link whipsaw.core.calc.CaseRunner} proves them
 * against reference cases.
 */
package whipsaw.core.calc;
