package whipsaw.core.catalogue;

import java.time.LocalDate;
import whipsaw.core.schema.Input;
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
        @Input(label = "Code (your own short name)", longest = 60, example = "yarrowby-500") String code,
        @Input(label = "Edition", longest = 40, example = "1") String edition,
        @Input(label = "Maker", longest = 80, example = "Yarrowby") String maker,
        @Input(label = "Name as on the datasheet", example = "YB 500 half-cut") String name,
        @Input(label = "Source of the figures", longest = 300, example = "datasheet YB-500, revision C") String source,
        @Input(label = "Date of the source", optional = true, example = "2026-05-31") LocalDate dated,
        @Input(label = "Status", help = "type unconfirmed or invented", example = "unconfirmed") DataStatus status)
        implements DataSource {

    @Override
    public String words() {
        return maker + " " + name + ", edition " + edition + " (" + source + (dated == null ? "" : ", " + dated) + ")";
    }
}
