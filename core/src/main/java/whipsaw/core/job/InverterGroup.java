package whipsaw.core.job;

import whipsaw.core.schema.Inline;
import whipsaw.core.schema.Input;

/**
 * Inverters of one model that stand together and share the strings of the arrays that feed them, with the AC run they
 * send their power along.
 *
 * @param id short and lasting, as {@code I1}
 * @param electrical its run in the frame of the site
 */
public record InverterGroup(
        @Input(label = "Id", longest = 40) String id,
        @Input(label = "Inverter group name", longest = 60) String name,
        @Inline Electrical electrical) {}
