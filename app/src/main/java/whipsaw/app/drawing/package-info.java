/** Drawings as SVG: the plan on screen and on paper, and the section through rows. */
package whipsaw.app.drawing;
