/** Row spacing from the sun, and the placing of modules around obstructions. */
package whipsaw.core.array;
