package whipsaw.core.catalogue;

import whipsaw.core.schema.Inline;
import whipsaw.core.schema.Input;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Measure;

/**
 * What fixes an array to a flat roof beside its weight.
 *
 * @param fixing bonded to the covering, screwed into the deck, bolted into concrete
 * @param tension one takes away from the roof: allowable in ASCE 7, design resistance in EN
 * @param shear the same along the roof
 * @param basis the test its loads rest on; empty when none is stated
 * @param steepest slope of roof it is made for; null when nothing is stated
 * @param serves area of modules one may hold; null when nothing is stated
 */
public record AttachmentType(
        @Inline CatalogueInfo info,
        @Input(
                        label = "Fixing method",
                        choices = {"bonded", "screwed", "bolted"},
                        example = "bonded")
                String fixing,
        @Input(
                        label = "Allowable uplift, each",
                        dim = Dimension.FORCE,
                        least = 50,
                        most = 200_000,
                        help = "allowable, or design resistance in EN",
                        example = "500 lbf")
                Measure tension,
        @Input(label = "Allowable shear, each", dim = Dimension.FORCE, least = 50, most = 200_000, example = "400 lbf")
                Measure shear,
        @Input(
                        label = "Test the loads rest on",
                        longest = 200,
                        orElse = "",
                        absent = "not stated",
                        example = "pull test report 7, 12 samples")
                String basis,
        @Input(
                        label = "Steepest roof",
                        dim = Dimension.ANGLE,
                        least = 0.5,
                        most = 60,
                        optional = true,
                        absent = "not stated",
                        example = "5 deg")
                Measure steepest,
        @Input(
                        label = "Module area one may hold",
                        dim = Dimension.AREA,
                        least = 0.5,
                        most = 200,
                        optional = true,
                        absent = "not stated",
                        example = "60 ft2")
                Measure serves) {}
