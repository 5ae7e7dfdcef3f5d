package whipsaw.core.explore;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.array.PairSpacing;
import whipsaw.core.array.RowSpacing;
import whipsaw.core.design.Design;
import whipsaw.core.energy.EnergyStage;
import whipsaw.core.energy.RowPlace;
import whipsaw.core.energy.Weather;
import whipsaw.core.units.Limits;

/**
 * What a gap between rows, or the valley between pairs, comes to: energy of the hourly year lost to the row in front, the
 * sun angle from which rows are free of shadow, the part of the shortest day they are, and coverage.
 */
public final class GapCurve {
    /** Wider than any system has it, m. */
    public static final double WIDEST_M = 5;

    private static final int STEPS = 24;
    private static final double FINEST_M = 0.0005;
    private static final double MINUTES = 5 / 60.0;
    private static final double FIRST_HOUR = 4;
    private static final double LAST_HOUR = 20;

    private final Design design;
    private final ArrayLayout layout;
    private final Weather weather;
    private final double slopeM;
    private final double tiltDeg;
    private final double[] openKwh;
    private final EnergyStage.Face[] faces;

    /**
     * A gap and what it comes to.
     *
     * @param gapM clear between rows, or between the low edges of pairs
     * @param loss share of a year's energy of a row behind another that is lost against a row in the open
     * @param shadeFreeDeg profile angle of the sun above which no row shades the next
     * @param coverage module length up the slope over the distance from row to row
     * @param fromHour first true solar hour of the shortest day from which rows are free of shadow; NaN for never
     * @param toHour until when
     */
    public record Point(
            double gapM, double loss, double shadeFreeDeg, double coverage, double fromHour, double toHour) {}

    /** @param design as the array sees it whose gap is asked for */
    public GapCurve(Design design) {
        this.design = design;
        this.layout = design.layout();
        this.weather = EnergyStage.weather(design.job().site());
        this.slopeM = design.job().array().module().width().si();
        this.tiltDeg = design.job().array().tilt().si();
        boolean pairs = layout.pairs() != null;
        faces = new EnergyStage.Face[pairs ? 2 : 1];
        openKwh = new double[faces.length];
        for (int i = 0; i < faces.length; i++) {
            faces[i] = EnergyStage.Face.of(layout, tiltDeg, i == 1);
            openKwh[i] =
                    EnergyStage.dcKwhPerKwp(design.job(), weather, faces[i], RowPlace.open(slopeM, faces[i].tiltDeg()));
        }
    }

    private RowPlace place(double gapM) {
        return layout.pairs() == null
                ? RowPlace.behind(slopeM, tiltDeg, gapM + layout.depthM())
                : RowPlace.acrossValley(slopeM, tiltDeg, gapM);
    }

    /** Share of the year's energy a row behind another loses; the mean of both faces of pairs. */
    public double loss(double gapM) {
        double loss = 0;
        for (int i = 0; i < faces.length; i++) {
            double kwh = EnergyStage.dcKwhPerKwp(design.job(), weather, faces[i], place(gapM));
            loss += openKwh[i] > 0 ? Math.max(0, 1 - kwh / openKwh[i]) / faces.length : 0;
        }
        return loss;
    }

    /** All of one gap. */
    public Point at(double gapM) {
        double[] free = freeHours(gapM);
        double pitch = gapM + layout.pitchM() - layout.gapM();
        return new Point(
                gapM, loss(gapM), place(gapM).shadeLimitDeg(), faces.length * slopeM / pitch, free[0], free[1]);
    }

    /** Points of a curve from no gap to one wider than the widest setting. */
    public List<Point> curve() {
        double widest = design.job().array().tray().gaps().stream()
                .mapToDouble(g -> g.si())
                .max()
                .orElse(1);
        double most = Math.min(WIDEST_M, Math.max(widest, layout.gapM()) * 1.25);
        List<Point> points = new ArrayList<>();
        for (int i = 0; i <= STEPS; i++) {
            points.add(at(most * i / STEPS));
        }
        return points;
    }

    /**
     * The least gap at which a row behind another loses no more than a share of its year.
     *
     * @param budget share, as 0.02
     * @return m, rounded up to half a millimetre; NaN where the widest gap loses more
     */
    public double leastFor(double budget) {
        if (Limits.above(loss(WIDEST_M), budget)) {
            return Double.NaN;
        }
        double low = 0;
        double high = WIDEST_M;
        if (!Limits.above(loss(0), budget)) {
            return 0;
        }
        while (high - low > FINEST_M) {
            double middle = (low + high) / 2;
            if (Limits.above(loss(middle), budget)) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return high;
    }

    /** The stretch of the shortest day around its highest sun in which rows are free of shadow. */
    private double[] freeHours(double gapM) {
        double from = Double.NaN;
        double to = Double.NaN;
        double noon = (FIRST_HOUR + LAST_HOUR) / 2;
        if (free(noon, gapM)) {
            from = noon;
            to = noon;
            while (from > FIRST_HOUR && free(from - MINUTES, gapM)) {
                from -= MINUTES;
            }
            while (to < LAST_HOUR && free(to + MINUTES, gapM)) {
                to += MINUTES;
            }
        }
        return new double[] {from, to};
    }

    private boolean free(double hour, double gapM) {
        RowSpacing.Input in = layout.spacing().input();
        if (layout.pairs() == null) {
            RowSpacing at = RowSpacing.of(new RowSpacing.Input(
                    in.latitudeDeg(),
                    in.tiltDeg(),
                    in.slopeLengthM(),
                    in.facingDeg(),
                    hour,
                    hour,
                    in.roofSlopeDeg(),
                    in.roofAzimuthDeg(),
                    in.declinationDeg()));
            return at.shadeFree() && !Limits.above(at.gapM(), gapM);
        }
        PairSpacing.Input p = layout.pairs().input();
        PairSpacing at = PairSpacing.of(new PairSpacing.Input(
                p.latitudeDeg(),
                p.tiltDeg(),
                p.slopeLengthM(),
                p.facingDeg(),
                p.ridgeGapM(),
                hour,
                hour,
                0,
                p.declinationDeg()));
        return at.shadeFree() && !Limits.above(at.valleyM(), gapM);
    }
}
