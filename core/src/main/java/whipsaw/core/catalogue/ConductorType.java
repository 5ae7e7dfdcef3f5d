package whipsaw.core.catalogue;

/**
 * A kind of conductor for the AC run; its sizes come from the ampacity tables.
 *
 * @param material {@code cu} or {@code al}
 * @param insulation as the ampacity tables name it
 */
public record ConductorType(CatalogueInfo info, String material, String insulation) {}
