package whipsaw.core.section;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import whipsaw.core.array.SolarTime;

/**
 * The sun seen in a section and the shadows it throws there.
 *
 * @param sun place of the sun
 * @param fromA whether it shines from the side of A
 * @param profileDeg elevation in the plane of the section; 90 when it shines along the section's
 *     normal or from overhead
 * @param shadows stretches in shadow, heights of their ends included
 */
public record SunInSection(SolarTime sun, boolean fromA, double profileDeg, List<Shadow> shadows) {

    /**
     * A stretch of roof or of a module in shadow.
     *
     * @param panel index in the section's panels, or -1 for the roof
     */
    public record Shadow(int panel, double fromM, double fromHeightM, double toM, double toHeightM) {}

    public SunInSection {
        shadows = List.copyOf(shadows);
    }

    /** Whether the sun is above the horizon. */
    public boolean up() {
        return sun.elevationDeg() > 0;
    }

    /**
     * @param upAzimuthDeg true azimuth of the top of the sheet
     */
    public static SunInSection of(RoofSection section, SolarTime sun, double upAzimuthDeg) {
        double towards = section.line().planAzimuthDeg() + upAzimuthDeg;
        double along =
                Math.cos(Math.toRadians(sun.azimuthDeg() - towards)) * Math.cos(Math.toRadians(sun.elevationDeg()));
        double up = Math.sin(Math.toRadians(sun.elevationDeg()));
        boolean fromA = along < 0;
        double profile = Math.toDegrees(Math.atan2(up, Math.abs(along)));
        List<Shadow> shadows =
                up <= 0 ? List.of() : shadows(section, fromA, Math.tan(Math.toRadians(Math.min(profile, 89.999))));
        return new SunInSection(sun, fromA, profile, shadows);
    }

    /** A line of the section's surface from the sunny end to the other; x runs away from the sun. */
    private record Piece(int panel, double x1, double z1, double x2, double z2, boolean catches) {}

    /**
     * Sweeps away from the sun. The ray through a point at x and height z meets the vertical axis
     * at z + x tan(profile); a point lies in shadow when an earlier top has a higher one.
     */
    private static List<Shadow> shadows(RoofSection section, boolean fromA, double tan) {
        double length = section.line().lengthM();
        List<Piece> pieces = new ArrayList<>();
        for (int i = 0; i < section.panels().size(); i++) {
            RoofSection.Panel p = section.panels().get(i);
            pieces.add(
                    fromA
                            ? new Piece(i, p.fromM(), p.fromHeightM(), p.toM(), p.toHeightM(), true)
                            : new Piece(i, length - p.toM(), p.toHeightM(), length - p.fromM(), p.fromHeightM(), true));
        }
        for (RoofSection.Solid s : section.solids()) {
            double x = fromA ? s.fromM() : length - s.toM();
            pieces.add(new Piece(-1, x, s.heightM(), x + s.toM() - s.fromM(), s.heightM(), false));
        }
        pieces.sort(Comparator.comparingDouble(Piece::x1));
        List<Piece> all = withRoof(section, fromA, pieces);
        List<Shadow> shadows = new ArrayList<>();
        double highest = Double.NEGATIVE_INFINITY;
        for (Piece p : all) {
            double k1 = p.z1() + p.x1() * tan;
            double k2 = p.z2() + p.x2() * tan;
            if (p.catches()) {
                // the sunny end of a module throws a shadow on the module itself when the sun is behind it
                double over = p.panel() >= 0 ? Math.max(highest, k1) : highest;
                double[] part = below(k1, k2, over);
                if (part != null) {
                    shadows.add(shadow(p, part, fromA, length));
                }
            }
            if (p.panel() >= 0 || !p.catches()) {
                highest = Math.max(highest, Math.max(k1, k2));
            }
        }
        return shadows;
    }

    /** Roof between the other pieces, where there is roof. */
    private static List<Piece> withRoof(RoofSection section, boolean fromA, List<Piece> pieces) {
        double length = section.line().lengthM();
        List<Piece> all = new ArrayList<>(pieces);
        for (RoofSection.Stretch r : section.roof()) {
            double at = fromA ? r.fromM() : length - r.toM();
            double end = at + r.toM() - r.fromM();
            for (Piece p : pieces) {
                if (p.x1() > at + 1e-9 && p.x1() < end) {
                    all.add(new Piece(-1, at, 0, p.x1(), 0, true));
                }
                at = Math.max(at, p.x2());
            }
            if (at < end - 1e-9) {
                all.add(new Piece(-1, at, 0, end, 0, true));
            }
        }
        all.sort(Comparator.comparingDouble(Piece::x1));
        return all;
    }

    /** Part of a piece, 0 to 1, whose value lies below a limit; null when none does. */
    private static double[] below(double k1, double k2, double limit) {
        double slack = 1e-9;
        if (k1 >= limit - slack && k2 >= limit - slack) {
            return null;
        }
        if (k1 < limit && k2 < limit) {
            return new double[] {0, 1};
        }
        double cross = (limit - k1) / (k2 - k1);
        return k1 < limit ? new double[] {0, cross} : new double[] {cross, 1};
    }

    private static Shadow shadow(Piece p, double[] part, boolean fromA, double length) {
        double x1 = p.x1() + (p.x2() - p.x1()) * part[0];
        double z1 = p.z1() + (p.z2() - p.z1()) * part[0];
        double x2 = p.x1() + (p.x2() - p.x1()) * part[1];
        double z2 = p.z1() + (p.z2() - p.z1()) * part[1];
        return fromA ? new Shadow(p.panel(), x1, z1, x2, z2) : new Shadow(p.panel(), length - x2, z2, length - x1, z1);
    }

    /** Longest shadow on the face of one module, along the line, in metres. */
    public double onModulesM() {
        return shadows.stream()
                .filter(s -> s.panel() >= 0)
                .mapToDouble(s -> s.toM() - s.fromM())
                .max()
                .orElse(0);
    }
}
