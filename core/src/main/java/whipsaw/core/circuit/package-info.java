/** String lengths, the string plan and its inverters. */
package whipsaw.core.circuit;
