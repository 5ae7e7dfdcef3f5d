/** Wind on every module by ASCE 7-16 29.4.3 and whole blocks at every position. */
package whipsaw.core.holddown;
