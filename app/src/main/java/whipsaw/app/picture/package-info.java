/** Photographs and plan pictures: read within limits, made anew without what a camera hides in them, stored by hash. */
package whipsaw.app.picture;
