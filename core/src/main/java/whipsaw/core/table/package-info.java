/**
 * Code tables and coefficient sets as data with source, edition and status, read from {@code
 * whipsaw/tables}. No figure of a standard that differs by edition, region, zone or material is
 * typed into an algorithm.
 */
package whipsaw.core.table;
