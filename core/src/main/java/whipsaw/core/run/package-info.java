/** The AC run: length, current, conductor, device and voltage drop by the NEC. */
package whipsaw.core.run;
