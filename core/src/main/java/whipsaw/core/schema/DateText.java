package whipsaw.core.schema;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.time.format.ResolverStyle;
import java.util.List;
import whipsaw.core.units.UnitSystem;

/**
 * How a date may be written: in files in the one form that says which is the month, on the page as people write it too.
 *
 * @param examples for messages
 */
record DateText(List<DateTimeFormatter> forms, String examples) {
    private static final DateText FILE = new DateText(List.of(DateTimeFormatter.ISO_LOCAL_DATE), "2026-05-31");
    private static final DateText US =
            new DateText(List.of(DateTimeFormatter.ISO_LOCAL_DATE, strict("M/d/uuuu")), "2026-05-31 or 5/31/2026");
    private static final DateText METRIC = new DateText(
            List.of(DateTimeFormatter.ISO_LOCAL_DATE, strict("d/M/uuuu"), strict("d.M.uuuu")),
            "2026-05-31 or 31/5/2026");

    private static DateTimeFormatter strict(String pattern) {
        return DateTimeFormatter.ofPattern(pattern).withResolverStyle(ResolverStyle.STRICT);
    }

    /** @param page whether it was typed on a page */
    static DateText of(boolean page, UnitSystem units) {
        return !page ? FILE : units == UnitSystem.US ? US : METRIC;
    }

    /** The date; null when it is none. */
    LocalDate parse(String text) {
        for (DateTimeFormatter form : forms) {
            try {
                return LocalDate.parse(text, form);
            } catch (DateTimeParseException e) {
                // another form may fit
            }
        }
        return null;
    }
}
