/**
 * The whole field of options of an array: every tray system, module, tilt, gap and direction there is, each placed on
 * the roof and solved as the job itself would be. Reads everything; nothing reads it.
 */
package whipsaw.core.explore;
