package whipsaw.core.catalogue;

import whipsaw.core.schema.Inline;
import whipsaw.core.schema.Input;

/**
 * A kind of conductor for the AC run; its sizes come from the ampacity tables.
 *
 * @param material {@code cu} or {@code al}
 * @param insulation as the ampacity tables name it
 */
public record ConductorType(
        @Inline CatalogueInfo info,
        @Input(
                        label = "Material",
                        choices = {"cu", "al"},
                        words = {"copper", "aluminium"},
                        example = "cu")
                String material,
        @Input(
                        label = "Insulation",
                        choices = {"THWN-2", "XHHW-2"},
                        example = "XHHW-2")
                String insulation) {}
