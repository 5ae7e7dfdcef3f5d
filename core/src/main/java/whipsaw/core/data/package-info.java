/** Data files that ship with the core: rows of comma-separated values by column name. */
package whipsaw.core.data;
