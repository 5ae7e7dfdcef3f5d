/** From the key of a figure to its working, for pages, prints and files. */
package whipsaw.core.figure;
