package whipsaw.core.figure;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import whipsaw.core.design.Design;
import whipsaw.core.job.Site;
import whipsaw.core.site.AsceDrift;
import whipsaw.core.site.AsceSnow;
import whipsaw.core.site.EnSnow;
import whipsaw.core.site.GivenSnow;
import whipsaw.core.site.SnowDrifts;
import whipsaw.core.structure.RowSnow;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;
import whipsaw.core.working.Origin;
import whipsaw.core.working.Term;
import whipsaw.core.working.Terms;
import whipsaw.core.working.Working;

/** Working of the uniform snow on the roof. */
final class SnowFigures {
    private SnowFigures() {}

    static Working snow(Design design, CodeTables tables) {
        if (design.site().snow() == null) {
            return Working.of("site.snow", "Snow on the roof", "not established")
                    .note(
                            design.job().site().snow() == null
                                    ? "No ground snow load has been given for the code family of the job."
                                    : "There are no figures of snow for the edition of the job: an engineer gives the snow"
                                            + " on the roof, its least value and drifts included.")
                    .build();
        }
        UnitSystem units = design.job().project().units();
        String answer = Show.both(units, Dimension.LOAD, design.site().snow().roofPa());
        if (design.site().snow() instanceof GivenSnow) {
            Measure given = design.job().site().roofSnow();
            return Working.of("site.snow", "Snow on the roof, by an engineer", answer)
                    .step(
                            "s",
                            given == null
                                    ? "no snow on the ground, none on the roof"
                                    : "entered in place of the code's",
                            "",
                            answer,
                            "",
                            Term.given(
                                    "s",
                                    "snow on the roof",
                                    answer,
                                    given == null ? design.job().site().snow() : given))
                    .note("Taken as even all over, its least value and drifts included; no drift is added.")
                    .build();
        }
        Working.Builder w = Working.of("site.snow", "Snow on the roof, uniform", answer);
        if (design.site().snow() instanceof AsceSnow) {
            w.note("Eave to ridge is taken as the long side of the building, whatever way it falls: on the safe side.");
        }
        return w.steps(
                        design.site().snow() instanceof EnSnow en
                                ? en.steps(flat(design, tables))
                                : ((AsceSnow) design.site().snow()).steps(flat(design, tables)))
                .note("Recorded for the engineer: drifts are beside it, and it is not added to the array's load.")
                .build();
    }

    /** Every drift with what makes it; null when none is made. */
    static Working drifts(Design design, CodeTables tables) {
        SnowDrifts drifts = design.site().drifts();
        RowSnow rows = design.rowSnow();
        if (drifts == null || (drifts.sources().isEmpty() && rows == null)) {
            return null;
        }
        UnitSystem units = design.job().project().units();
        List<SnowDrifts.Source> all = new ArrayList<>(drifts.sources());
        if (rows != null) {
            all.add(rows.profile());
            all.sort(Comparator.comparingDouble(SnowDrifts.Source::peakPa).reversed());
        }
        SnowDrifts.Source worst = all.get(0);
        Working.Builder w = Working.of(
                "site.drift",
                "Snow drifts",
                all.size() + ", the highest " + Show.both(units, Dimension.LOAD, worst.peakPa()) + " at "
                        + worst.name());
        for (SnowDrifts.Source s : all) {
            w.step(
                    "",
                    "at " + s.name() + ", " + Show.both(units, Dimension.ROOF_LENGTH, s.heightM()) + " high",
                    "",
                    Show.both(units, Dimension.LOAD, s.peakPa()) + ", gone after "
                            + Show.both(units, Dimension.ROOF_LENGTH, s.lengthM()),
                    s.drift() instanceof AsceDrift ? "ASCE 7-16 7.7.1, 7.8" : "EN 1991-1-3 6.2, recommended values");
        }
        w.note("The lines at the end are those of the highest one, at " + worst.name() + ".")
                .steps(worst.drift().steps(drifted(design, tables)));
        return w.note(
                        "The snow comes over the whole roof square to a parapet, and over the building's longer side to a thing: on the safe side. Things narrower than 15 ft make none by ASCE 7-16 7.8.")
                .note(
                        (rows == null
                                        ? "Rows of modules make no drift here: their high edge is not enough above the even snow, or no row is long enough. "
                                        : "Drifts against rows of modules lie on both sides of the high edge of "
                                                + rows.count()
                                                + " rows; they are under the array alone, and members are loaded with them. ")
                                + "Drifts from higher roofs, and snow that slides off modules or off steeper faces, are not established here: an engineer gives the snow on the roof where they matter. Conduits and boxes lie under this snow: say their height to the engineer.")
                .build();
    }

    /** Where the values come from that the formulas of a drift are given. */
    private static Terms drifted(Design design, CodeTables tables) {
        Site.CodeSite site = design.job().site().code();
        return flat(design, tables)
                .and(
                        Term.given("s_k", "", "", site.snow()),
                        Term.computed("p_g", "", "", "site.snow"),
                        Term.computed("p_f", "", "", "site.snow"),
                        Term.byRule("F", "", "", "0.75 of a parapet, of plant and of rows"));
    }

    /** The same of the even snow. */
    private static Terms flat(Design design, CodeTables tables) {
        Site.CodeSite site = design.job().site().code();
        Terms terms = Terms.of(
                Term.given("α", "", "", design.job().roof().slope()),
                Term.given("s_k", "", "", site.snow()),
                Term.given("p_g", "", "", site.snow()));
        return site instanceof Site.AsceSite
                ? terms.and(Term.data("I_s", "", "", Origin.TABLE, tables.snow().table()))
                : terms;
    }
}
