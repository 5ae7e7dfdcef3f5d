package whipsaw.core.table;

import java.util.Map;

/** Prices of what a way out adds or saves, work included. */
public final class PriceTable {
    private final CodeTable table;

    PriceTable(CodeTables tables) {
        table = tables.table("price_list");
    }

    /** Price of one, or of one metre. */
    public double price(String item) {
        return CodeTable.number(row(item), "price");
    }

    /** The same; 0 where the list does not name it. */
    public double priceOrNone(String item) {
        return table.rows().stream().anyMatch(r -> r.get("item").equals(item)) ? price(item) : 0;
    }

    /** The same; the price of another item where the list does not name it. */
    public double priceOr(String item, String other) {
        return table.rows().stream().anyMatch(r -> r.get("item").equals(item)) ? price(item) : priceOrNone(other);
    }

    /** What prices are in. */
    public String currency() {
        return row("module").get("currency");
    }

    private Map<String, String> row(String item) {
        return table.rows().stream()
                .filter(r -> r.get("item").equals(item))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("the price list has no " + item));
    }

    /** The table it was read from. */
    public CodeTable table() {
        return table;
    }
}
