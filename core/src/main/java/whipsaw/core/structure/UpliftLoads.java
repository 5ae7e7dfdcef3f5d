package whipsaw.core.structure;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.catalogue.MemberType;
import whipsaw.core.holddown.FaceWind;
import whipsaw.core.job.Structure;
import whipsaw.core.table.MemberTables;

/** Loads of the wind on the members of a pitched roof, on the bare roof and with modules on it. */
final class UpliftLoads {
    private final FaceWind wind;
    private final double deadPa;
    private final double facesPa;
    private final MemberTables tables;
    private final String family;

    UpliftLoads(FaceWind wind, double deadPa, double facesPa, MemberTables tables, String family) {
        this.wind = wind;
        this.deadPa = deadPa;
        this.facesPa = facesPa;
        this.tables = tables;
        this.family = family;
    }

    /** Bare roof and roof with modules under one combination, and the largest pressure on them before factors. */
    private record Lifts(Beam.Effect bare, Beam.Effect with, double peakPa) {}

    /** What the wind does to a line, looked at in pieces along it. */
    MemberUplift of(MemberLines.Line line, boolean alongX, double spanM, int count) {
        double area = spanM * Math.max(line.carriesM(), spanM / 3);
        MemberTables.Combination combination = tables.uplift(family);
        Lifts lifts = lifts(line, alongX, spanM, area, combination);
        // allowable end uplift is an allowable load in ASCE 7, whatever the sections go by
        Lifts ends = lifts(line, alongX, spanM, area, tables.uplift(MemberTables.allowable(family)));
        Structure.Members set = line.set();
        double limit = set.type().shape() == MemberType.Shape.TABLE
                ? Double.NaN
                : MemberCapacity.of(set.type(), family, combination.duration(), count, tables)
                        .free(set.freeFlange())
                        .si("M_U");
        return new MemberUplift(
                Math.max(0, lifts.bare().momentNm()),
                Math.max(0, lifts.with().momentNm()),
                limit,
                Math.max(0, Math.max(ends.bare().leftN(), ends.bare().rightN())),
                Math.max(0, Math.max(ends.with().leftN(), ends.with().rightN())),
                set.connection() == null ? Double.NaN : set.connection().si(),
                lifts.peakPa(),
                area);
    }

    private Lifts lifts(
            MemberLines.Line line, boolean alongX, double spanM, double area, MemberTables.Combination combination) {
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
        return new Lifts(worst(bare, line.spanM(), spanM), worst(with, line.spanM(), spanM), peak);
    }

    /** The part of a line with the larger moment; a support at midspan makes two of it. */
    private static Beam.Effect worst(List<Beam.Load> loads, double lineM, double spanM) {
        Beam.Effect first = Beam.of(spanM, SpanLoads.cut(loads, 0, spanM));
        if (lineM - spanM < 1e-9) {
            return first;
        }
        Beam.Effect second = Beam.of(spanM, SpanLoads.cut(loads, spanM, spanM));
        return second.momentNm() > first.momentNm() ? second : first;
    }
}
