/** What a survey comes to: what is missing for which stage, tasks, stops, places not to step on, who sees the array. */
package whipsaw.core.survey;
