package whipsaw.core.catalogue;

import java.time.LocalDate;
import whipsaw.core.working.DataSource;
import whipsaw.core.working.DataStatus;

/**
 * What every catalogue entry says of itself.
 *
 * @param code stable within its kind
 * @param edition of the entry; a change is a new edition
 * @param maker who makes it
 * @param name as on a datasheet
 * @param source of the figures
 * @param dated date of the source; null when it has none
 */
public record CatalogueInfo(
        String code, String edition, String maker, String name, String source, LocalDate dated, DataStatus status)
        implements DataSource {

    @Override
    public String words() {
        return maker + " " + name + ", edition " + edition + " (" + source + (dated == null ? "" : ", " + dated) + ")";
    }
}
