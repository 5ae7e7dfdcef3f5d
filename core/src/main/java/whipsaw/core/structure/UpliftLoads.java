package whipsaw.core.structure;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import whipsaw.core.holddown.FaceWind;
import whipsaw.core.job.Structure;
import whipsaw.core.table.MemberTables;

/** Loads of the wind on the members of a pitched roof, on the bare roof and with modules on it. */
final class UpliftLoads {
    private final FaceWind wind;
    private final double deadPa;
    private final double facesPa;
    private final MemberTables.Combination combination;
    private final Function<String, MemberTables.Resistance> resistance;

    UpliftLoads(
            FaceWind wind,
            double deadPa,
            double facesPa,
            MemberTables.Combination combination,
            Function<String, MemberTables.Resistance> resistance) {
        this.wind = wind;
        this.deadPa = deadPa;
        this.facesPa = facesPa;
        this.combination = combination;
        this.resistance = resistance;
    }

    /** What the wind does to a line, looked at in pieces along it. */
    MemberUplift of(MemberLines.Line line, boolean alongX, double spanM, int count) {
        double area = spanM * Math.max(line.carriesM(), spanM / 3);
        double across = (line.lowM() + line.highM()) / 2;
        double piece = line.spanM() / MemberLoads.PIECES;
        double perMetre = combination.dead() * deadPa * line.carriesM();
        List<Beam.Load> bare = new ArrayList<>();
        List<Beam.Load> with = new ArrayList<>();
        double peak = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < MemberLoads.PIECES; i++) {
            double along = line.fromM() + (i + 0.5) * piece;
            double x = alongX ? along : across;
            double y = alongX ? across : along;
            double roof = wind.roofPa(x, y, area);
            double modules = wind.withModulesPa(x, y, area);
            peak = Math.max(peak, Math.max(roof, modules));
            double factor = combination.wind() * line.carriesM();
            double array = combination.dead() * facesPa * line.carriesM();
            bare.add(new Beam.Load(i * piece, (i + 1) * piece, (roof * factor - perMetre) * piece));
            with.add(new Beam.Load(i * piece, (i + 1) * piece, (modules * factor - perMetre - array) * piece));
        }
        Structure.Members set = line.set();
        Section section = Section.of(set.type());
        double limit = section == null
                ? Double.NaN
                : set.type().strength().si()
                        * resistance.apply(set.type().material()).bending()
                        * section.modulusM3()
                        * count
                        * set.freeFlange();
        Beam.Effect b = worst(bare, line.spanM(), spanM);
        Beam.Effect w = worst(with, line.spanM(), spanM);
        return new MemberUplift(
                Math.max(0, b.momentNm()),
                Math.max(0, w.momentNm()),
                limit,
                Math.max(0, Math.max(b.leftN(), b.rightN())),
                Math.max(0, Math.max(w.leftN(), w.rightN())),
                set.connection() == null ? Double.NaN : set.connection().si(),
                peak,
                area);
    }

    /** The part of a line with the larger moment; a support at midspan makes two of it. */
    private static Beam.Effect worst(List<Beam.Load> loads, double lineM, double spanM) {
        Beam.Effect first = Beam.of(spanM, MemberLoads.cut(loads, 0, spanM));
        if (lineM - spanM < 1e-9) {
            return first;
        }
        Beam.Effect second = Beam.of(spanM, MemberLoads.cut(loads, spanM, spanM));
        return second.momentNm() > first.momentNm() ? second : first;
    }
}
