package whipsaw.core.job;

import java.util.List;
import whipsaw.core.schema.Absent;
import whipsaw.core.schema.Faults;
import whipsaw.core.schema.Input;
import whipsaw.core.schema.Kind;
import whipsaw.core.schema.Kinds;
import whipsaw.core.schema.Ruled;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Measure;

/** How a roof rises. */
@Kinds(key = "kind", label = "Form")
public sealed interface RoofForm permits RoofForm.Flat, RoofForm.Folded, RoofForm.Hipped, RoofForm.Faces {
    /** Most faces or level lines of a roof. */
    int MOST_FACES = 200;

    /** What holds where nothing is said of it. */
    @Absent
    RoofForm FLAT = new Flat();

    /** Level, with falls for drainage only. */
    @Kind("flat")
    record Flat() implements RoofForm {}

    /**
     * Level lines parallel to one edge: mono-pitch, gable, several spans, saw-teeth.
     *
     * @param edge number of the edge the distances count from
     * @param folds in order; two at one distance make an upright face
     */
    @Kind("folded")
    record Folded(
            @Input(label = "Edge the distances count from", least = 1, most = Outline.MOST_CORNERS) int edge,
            @Input(label = "Level lines", each = "Level line", by = "", fewest = 2, many = MOST_FACES) List<Fold> folds)
            implements RoofForm, Ruled {
        public Folded {
            folds = List.copyOf(folds);
        }

        @Override
        public void rules(Faults faults) {
            for (int i = 1; i < folds.size(); i++) {
                if (folds.get(i).across().si() < folds.get(i - 1).across().si()) {
                    faults.in("folds", i)
                            .note(
                                    "across",
                                    folds.get(i).across().typed(),
                                    "lies before the line above it: give them in order");
                }
            }
        }
    }

    /**
     * @param across distance from the edge, square to it
     * @param height above the lowest line of the roof
     */
    record Fold(
            @Input(label = "Distance from the edge", dim = Dimension.ROOF_LENGTH, least = 0, most = 2000)
                    Measure across,
            @Input(label = "Height above the lowest line", dim = Dimension.ROOF_LENGTH, least = 0, most = 60)
                    Measure height) {}

    /** A face of one slope rising from every edge; convex outlines only. */
    @Kind("hipped")
    record Hipped(@Input(label = "Slope of every face", dim = Dimension.ANGLE, least = 0.1, most = 75) Measure slope)
            implements RoofForm {}

    /** Faces drawn one by one. */
    @Kind("faces")
    record Faces(@Input(label = "Faces", each = "Face", by = "", fewest = 1, many = MOST_FACES) List<DrawnFace> faces)
            implements RoofForm {
        public Faces {
            faces = List.copyOf(faces);
        }
    }

    /**
     * @param fallsTo azimuth from true north its water runs to
     * @param low height of its lowest corner above the lowest line of the roof
     */
    record DrawnFace(
            @Input(label = "Corners", each = "Corner", by = "", fewest = 3, many = Outline.MOST_CORNERS)
                    List<Corner> corners,
            @Input(label = "Slope", dim = Dimension.ANGLE, least = 0.1, most = 75) Measure slope,
            @Input(label = "Water runs to", dim = Dimension.ANGLE, least = 0, most = 360) Measure fallsTo,
            @Input(label = "Height of the lowest corner", dim = Dimension.ROOF_LENGTH, least = 0, most = 60)
                    Measure low) {
        public DrawnFace {
            corners = List.copyOf(corners);
        }
    }
}
