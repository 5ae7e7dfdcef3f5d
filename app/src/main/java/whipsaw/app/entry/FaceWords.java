package whipsaw.app.entry;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.design.Design;
import whipsaw.core.roof.FaceLine;
import whipsaw.core.roof.RoofFaces;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/** The faces of a roof in a sentence: how many, how steep, how long the ridges, valleys and eaves are. */
public final class FaceWords {
    private FaceWords() {}

    public static String of(Design design) {
        RoofFaces faces = design.plan().faces();
        if (faces.faces().isEmpty()) {
            return "";
        }
        UnitSystem units = design.job().project().units();
        List<String> parts = new ArrayList<>();
        double area = faces.faces().stream().mapToDouble(f -> f.areaM2()).sum();
        parts.add(faces.faces().size() + (faces.faces().size() == 1 ? " face, " : " faces, ")
                + Show.both(units, Dimension.AREA, area) + " on the slope, up to "
                + Show.number(faces.steepestDeg(), 1) + "° steep");
        for (FaceLine.Kind kind : FaceLine.Kind.values()) {
            double length = faces.lengthM(kind);
            if (length > 0) {
                parts.add(kind.words() + " " + Show.both(units, Dimension.ROOF_LENGTH, length));
            }
        }
        return String.join("; ", parts) + ".";
    }
}
