/**
 * What an array is made of. A job keeps its own copy of each entry it uses; editing the catalogue
 * changes no job.
 */
package whipsaw.core.catalogue;
