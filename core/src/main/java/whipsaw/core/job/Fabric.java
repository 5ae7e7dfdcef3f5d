package whipsaw.core.job;

import java.util.List;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Spacings;

/**
 * What the roof is made of and how it rises.
 *
 * @param buildUps of single faces, and of all others under face 0
 * @param bayNotes what was found in single bays
 * @param structure what carries it
 */
public record Fabric(RoofForm form, List<BuildUp> buildUps, List<BayNote> bayNotes, Structure structure) {
    /** Of a flat roof of which nothing else is known. */
    public static final Fabric PLAIN = new Fabric(new RoofForm.Flat(), List.of(), List.of(), Structure.UNKNOWN);

    public Fabric {
        buildUps = List.copyOf(buildUps);
        bayNotes = List.copyOf(bayNotes);
    }

    public boolean flat() {
        return form instanceof RoofForm.Flat;
    }

    /** The build-up of a face: its own, or the one of all faces; null when neither was surveyed. */
    public BuildUp buildUp(int face) {
        BuildUp all = null;
        for (BuildUp b : buildUps) {
            if (b.face() == face) {
                return b;
            }
            all = b.face() == 0 ? b : all;
        }
        return all;
    }

    /**
     * Build-up of a face; what was not surveyed is null or empty.
     *
     * @param face number, 0 for all faces without an own one
     * @param purlins from the eave up the slope
     * @param joists from the left end, looking up from the eave
     */
    public record BuildUp(int face, Sheet sheet, Spacings purlins, String purlinSection, Spacings joists, Deck deck) {}

    /**
     * A profiled sheet.
     *
     * @param pitch from rib to rib, or seam to seam
     * @param ribTop width of the top of a rib
     * @param firstRib of the first rib from the left end, looking up from the eave
     * @param screws lines of screws that are there, from the eave up the slope
     */
    public record Sheet(
            Measure pitch,
            Measure ribTop,
            Measure ribHeight,
            Measure firstRib,
            Measure thickness,
            String material,
            String coating,
            Spacings screws) {}

    /**
     * What the covering lies on.
     *
     * @param strength compressive strength of the insulation
     */
    public record Deck(String deck, String insulation, Measure insulationThickness, Measure strength) {}

    /**
     * A bay as found.
     *
     * @param bay its name, for example B2
     * @param fallsTo azimuth its water runs to
     * @param undulation largest slope of unevenness against the fall
     */
    public record BayNote(String bay, Measure fall, Measure fallsTo, Measure undulation, boolean ponds, String note) {}
}
