package whipsaw.app.print;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.locationtech.jts.geom.Coordinate;
import whipsaw.core.array.ArrayLayout;
import whipsaw.core.design.Design;
import whipsaw.core.holddown.HoldDown;
import whipsaw.core.units.Show;
import whipsaw.core.units.Unit;

/** The ballast map as CSV: one line a position, units in the column names. */
public final class BallastCsv {
    private BallastCsv() {}

    public static String of(Design design) {
        StringWriter out = new StringWriter();
        try (CSVPrinter csv = new CSVPrinter(out, CSVFormat.RFC4180)) {
            csv.printRecord(
                    "position",
                    "row",
                    "zone",
                    "x_m",
                    "y_m",
                    "x_ft",
                    "y_ft",
                    "blocks_needed",
                    "blocks_placed",
                    "ballast_kg",
                    "ballast_lb");
            boolean known = design.holdDown().established();
            for (HoldDown.Position p : design.holdDown().positions()) {
                int module = p.shares().get(0).module();
                ArrayLayout.Module m = design.layout().modules().get(module);
                Coordinate at = design.layout().frame().plan(p.s(), p.t());
                csv.printRecord(
                        plain(p.number()),
                        m.row(),
                        design.holdDown().demands().get(module).zone(),
                        Show.number(at.x, 3),
                        Show.number(at.y, 3),
                        Show.number(Unit.FOOT.fromSi(at.x), 3),
                        Show.number(Unit.FOOT.fromSi(at.y), 3),
                        known ? p.ballast().blocksNeeded() : "not established",
                        known ? p.ballast().blocksPlaced() : "not established",
                        known ? Show.number(p.ballast().placedKg(), 2) : "",
                        known ? Show.number(Unit.POUND.fromSi(p.ballast().placedKg()), 1) : "");
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    /** A number such as 3-12, kept from being read as a date or a sum by a spreadsheet. */
    private static String plain(String number) {
        return "P " + number;
    }
}
