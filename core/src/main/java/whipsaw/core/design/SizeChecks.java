package whipsaw.core.design;

import java.util.List;
import whipsaw.core.check.Check;
import whipsaw.core.check.Verdict;
import whipsaw.core.roof.SiteSizeReport;
import whipsaw.core.table.CodeTables;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/** Whether a drawn outline has the sizes that were taped on site. */
final class SizeChecks {
    private static final String ID = "survey.sizes";
    private static final String TITLE = "Drawn outline against sizes taped on site";

    private SizeChecks() {}

    static List<Check> of(Design design, CodeTables tables) {
        SiteSizeReport report = design.taken().sizes();
        if (report == null) {
            return List.of();
        }
        UnitSystem units = design.job().project().units();
        int corners = design.plan().edges().size();
        List<String> gone = report.lines().stream()
                .filter(l -> Double.isNaN(l.drawnM()))
                .map(l -> l.tape().from() + "-" + l.tape().to())
                .toList();
        if (!gone.isEmpty()) {
            return List.of(Check.stated(
                    ID,
                    TITLE,
                    String.join(", ", gone) + " not on the drawing",
                    "corners 1 to " + corners,
                    Verdict.NOT_ESTABLISHED,
                    "our rule for a drawn outline",
                    ID,
                    "the drawing has other corners than the tapes: enter the sizes again"));
        }
        SiteSizeReport.Line worst = report.lines().get(0);
        double most = 0;
        for (SiteSizeReport.Line l : report.lines()) {
            double use = Math.abs(l.moreM()) / allowedM(l, tables);
            if (use > most) {
                most = use;
                worst = l;
            }
        }
        return List.of(Check.compare(
                ID,
                TITLE,
                Show.both(units, Dimension.ROOF_LENGTH, Math.abs(worst.moreM())) + " at " + worst.name(corners),
                Show.both(units, Dimension.ROOF_LENGTH, allowedM(worst, tables)),
                most,
                null,
                "our rule for a drawn outline: 1 in " + Show.number(tables.houseRule("site_size_one_in"), 0),
                ID,
                "scale or draw it again, or work from the tapes"));
    }

    /** What a size may differ by. */
    static double allowedM(SiteSizeReport.Line l, CodeTables tables) {
        return Math.max(
                l.tape().length().si() / tables.houseRule("site_size_one_in"), tables.houseRule("site_size_least_m"));
    }
}
