package whipsaw.core.job;

import whipsaw.core.schema.Inline;
import whipsaw.core.schema.Input;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Measure;

/**
 * One of the roofs of a job, with its place on the sheet of the first one, which is the frame the site lies in: pins,
 * viewers, cable routes and the AC run are counted in it. How a roof is turned there follows from the azimuths of both
 * sheets.
 *
 * @param id short and lasting, as {@code r1}
 * @param x of the origin of its own sheet; 0 of the first roof
 * @param y of it
 */
public record JobRoof(
        @Input(label = "Id", longest = 40) String id,
        @Input(label = "Roof name", longest = 60) String name,
        @Input(
                        label = "Roof origin x",
                        dim = Dimension.ROOF_LENGTH,
                        least = -2000,
                        most = 2000,
                        orElse = "0 m",
                        quiet = true,
                        absent = "at that of the first roof")
                Measure x,
        @Input(
                        label = "Roof origin y",
                        dim = Dimension.ROOF_LENGTH,
                        least = -2000,
                        most = 2000,
                        orElse = "0 m",
                        quiet = true,
                        absent = "at that of the first roof")
                Measure y,
        @Inline Roof roof) {}
