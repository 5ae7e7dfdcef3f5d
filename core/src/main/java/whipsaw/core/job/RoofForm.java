package whipsaw.core.job;

import java.util.List;
import whipsaw.core.units.Measure;

/** How a roof rises. */
public sealed interface RoofForm {

    /** Level, with falls for drainage only. */
    record Flat() implements RoofForm {}

    /**
     * Level lines parallel to one edge: mono-pitch, gable, several spans, saw-teeth.
     *
     * @param edge number of the edge the distances count from
     * @param folds in order; two at one distance make an upright face
     */
    record Folded(int edge, List<Fold> folds) implements RoofForm {
        public Folded {
            folds = List.copyOf(folds);
        }
    }

    /**
     * @param across distance from the edge, square to it
     * @param height above the lowest line of the roof
     */
    record Fold(Measure across, Measure height) {}

    /** A face of one slope rising from every edge; convex outlines only. */
    record Hipped(Measure slope) implements RoofForm {}

    /** Faces drawn one by one. */
    record Faces(List<DrawnFace> faces) implements RoofForm {
        public Faces {
            faces = List.copyOf(faces);
        }
    }

    /**
     * @param fallsTo azimuth from true north its water runs to
     * @param low height of its lowest corner above the lowest line of the roof
     */
    record DrawnFace(List<Job.Corner> corners, Measure slope, Measure fallsTo, Measure low) {
        public DrawnFace {
            corners = List.copyOf(corners);
        }
    }
}
