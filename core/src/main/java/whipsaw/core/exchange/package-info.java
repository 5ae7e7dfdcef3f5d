/** Drawings from other programs: what is in a file, in metres, and what could not be taken from it. */
package whipsaw.core.exchange;
