/**
 * Files of strangers: read in a process of its own with its own memory and time, so that none of them can stop or take
 * over the server. What comes back is a fresh picture or plain line work.
 */
package whipsaw.app.reading;
