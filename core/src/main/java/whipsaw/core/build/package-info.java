/** What has to be delivered, counted from the design. */
package whipsaw.core.build;
