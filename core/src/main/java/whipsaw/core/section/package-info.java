/**
 * Views derived from a design for its drawings: the section along any line with the sun in it, and
 * the shadows of parapets and plant on the roof. Lengths in metres; the roof is taken as level.
 */
package whipsaw.core.section;
