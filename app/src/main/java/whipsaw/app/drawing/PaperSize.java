package whipsaw.app.drawing;

import java.util.Locale;
import whipsaw.core.units.UnitSystem;

/** A size of paper, upright, in millimetres. */
public enum PaperSize {
    A4("A4", 210, 297),
    A3("A3", 297, 420),
    LETTER("Letter", 215.9, 279.4),
    TABLOID("Tabloid", 279.4, 431.8);

    private final String words;
    private final double shortMm;
    private final double longMm;

    PaperSize(String words, double shortMm, double longMm) {
        this.words = words;
        this.shortMm = shortMm;
        this.longMm = longMm;
    }

    public String words() {
        return words;
    }

    public String key() {
        return name().toLowerCase(Locale.ROOT);
    }

    public double shortMm() {
        return shortMm;
    }

    public double longMm() {
        return longMm;
    }

    /** The size people in a system of units have in the printer. */
    public static PaperSize usual(UnitSystem units) {
        return units == UnitSystem.US ? LETTER : A4;
    }

    /** A size by its key; null takes the usual one. */
    public static PaperSize of(String key, UnitSystem units) {
        if (key == null || key.isBlank()) {
            return usual(units);
        }
        for (PaperSize size : values()) {
            if (size.key().equals(key.toLowerCase(Locale.ROOT))) {
                return size;
            }
        }
        throw new IllegalArgumentException("paper '" + key + "' is none of a4, a3, letter, tabloid");
    }
}
