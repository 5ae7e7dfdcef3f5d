package whipsaw.app.web;

import java.util.ArrayList;
import java.util.List;
import whipsaw.core.explore.Tried;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/** The figures of a design as it is and with something else done, side by side. */
final class TriedRows {
    private static final String NOT_ESTABLISHED = "not established";

    private TriedRows() {}

    /** A figure of the design as it is and of the other. */
    public record Row(String name, String now, String then) {}

    /** Row by row, with the units and the currency of the job. */
    static List<Row> of(Tried now, Tried then, UnitSystem units, String currency) {
        List<Row> rows = new ArrayList<>();
        rows.add(new Row("Modules", String.valueOf(now.modules()), String.valueOf(then.modules())));
        rows.add(new Row("Ground coverage ratio", coverage(now), coverage(then)));
        rows.add(new Row("Shade-free sun angle", degrees(now), degrees(then)));
        rows.add(new Row("DC", Show.number(now.kwp(), 1) + " kWp", Show.number(then.kwp(), 1) + " kWp"));
        rows.add(new Row("Energy of a year", mwh(now), mwh(then)));
        if (now.usedKwh() > 0) {
            rows.add(new Row("used on site", used(now), used(then)));
        }
        if (now.givenUpKwh() + then.givenUpKwh() > 0) {
            rows.add(new Row("lost to the export limit", lost(now), lost(then)));
        }
        rows.add(new Row("per module", kwh(now), kwh(then)));
        rows.add(new Row("Blocks", blocks(now), blocks(then)));
        if (now.attachments() + then.attachments() > 0) {
            rows.add(new Row("Attachments, first estimate", count(now.attachments()), count(then.attachments())));
        }
        rows.add(new Row("Added load, heaviest", load(now, units), load(then, units)));
        rows.add(new Row("Cost by the price list", money(now, currency), money(then, currency)));
        rows.add(new Row("Simple payback", years(now), years(then)));
        return rows;
    }

    private static String count(int n) {
        return n == 0 ? "none" : String.valueOf(n);
    }

    private static String coverage(Tried t) {
        return Show.number(100 * t.coverage(), 0) + " %";
    }

    private static String degrees(Tried t) {
        return Show.number(t.shadeFreeDeg(), 1) + "°";
    }

    private static String mwh(Tried t) {
        return Show.number(t.kwh() / 1000, 1) + " MWh";
    }

    private static String used(Tried t) {
        return Show.number(t.usedKwh() / 1000, 1) + " MWh, " + Show.number(100 * t.usedShare(), 0) + " %";
    }

    private static String lost(Tried t) {
        return Show.number(t.givenUpKwh() / 1000, 1) + " MWh";
    }

    private static String kwh(Tried t) {
        return Show.number(t.kwhPerModule(), 0) + " kWh";
    }

    private static String blocks(Tried t) {
        return t.blocks() < 0 ? NOT_ESTABLISHED : String.valueOf(t.blocks());
    }

    private static String load(Tried t, UnitSystem units) {
        return Double.isNaN(t.loadPa()) ? NOT_ESTABLISHED : Show.brief(units, Dimension.LOAD, t.loadPa());
    }

    private static String money(Tried t, String currency) {
        return Double.isNaN(t.cost()) ? NOT_ESTABLISHED : Show.number(t.cost(), 0) + " " + currency;
    }

    private static String years(Tried t) {
        return Double.isFinite(t.paybackYears()) ? Show.number(t.paybackYears(), 1) + " years" : "none";
    }
}
