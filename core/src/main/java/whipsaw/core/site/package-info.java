/** What the place does to the roof: velocity pressure and wind zones. */
package whipsaw.core.site;
