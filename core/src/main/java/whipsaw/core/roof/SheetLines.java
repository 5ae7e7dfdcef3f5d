package whipsaw.core.roof;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.job.Fabric;

/**
 * Where the ribs or seams, the purlins and the lines of screws of a face lie.
 *
 * @param buildUp what was surveyed of it; null when nothing was
 * @param restM from the last rib to the right end; NaN without ribs
 * @param purlinsEndM sum of the purlin spacings; NaN without purlins
 */
public record SheetLines(
        RoofFace face,
        Fabric.BuildUp buildUp,
        List<LinePieces.Piece> ribs,
        int ribCount,
        double restM,
        List<LinePieces.Piece> purlins,
        List<LinePieces.Piece> screws,
        double purlinsEndM) {
    /** More ribs than this are no roof. */
    private static final int MOST_RIBS = 20_000;

    private static final double ON_TOP_M = 0.02;

    public SheetLines {
        ribs = List.copyOf(ribs);
        purlins = List.copyOf(purlins);
        screws = List.copyOf(screws);
    }

    /** Lines of the sheet on a face, as far as its build-up is surveyed. */
    public static SheetLines of(RoofFace face, Fabric fabric) {
        Fabric.BuildUp b = fabric.buildUp(face.number());
        List<LinePieces.Piece> ribs = new ArrayList<>();
        int count = 0;
        double rest = Double.NaN;
        if (b != null && b.sheet().pitch() != null) {
            double pitch = b.sheet().pitch().si();
            double first =
                    b.sheet().firstRib() == null ? 0 : b.sheet().firstRib().si();
            double width = face.widthM();
            for (double at = first; at <= width + 1e-6 && count < MOST_RIBS; at = first + count * pitch) {
                ribs.addAll(face.upAt(Math.min(Math.max(at, 1e-4), width - 1e-4)));
                count++;
            }
            rest = width - first - (count - 1) * pitch;
        }
        boolean purlins = b != null && b.purlins() != null;
        return new SheetLines(
                face,
                b,
                ribs,
                count,
                rest,
                purlins ? levelLines(face, b.purlins().ends()) : List.of(),
                b != null && b.sheet().screws() != null
                        ? levelLines(face, b.sheet().screws().ends())
                        : List.of(),
                purlins ? b.purlins().sumM() : Double.NaN);
    }

    private static List<LinePieces.Piece> levelLines(RoofFace face, List<Double> up) {
        List<LinePieces.Piece> pieces = new ArrayList<>();
        for (double at : up) {
            // a line on the eave or the top lies a hair inside; one beyond the top is not on the face
            if (at <= face.slopeLengthM() + ON_TOP_M) {
                pieces.addAll(face.acrossAt(Math.min(Math.max(at, 1e-4), face.slopeLengthM() - 1e-4)));
            }
        }
        return pieces;
    }

    /** How far the purlin spacings end from the top of the face; NaN without purlins. */
    public double purlinGapM() {
        return face.slopeLengthM() - purlinsEndM;
    }
}
