/** What the array adds to the roof, over its footprint and bay by bay, against the allowance. */
package whipsaw.core.structure;
