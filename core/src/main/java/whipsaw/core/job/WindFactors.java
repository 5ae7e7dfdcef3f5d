package whipsaw.core.job;

import whipsaw.core.schema.Input;

/**
 * What the basic wind velocity is multiplied by.
 *
 * @param direction c_dir
 * @param season c_season
 * @param orography c_o, on the mean velocity
 * @param returnYears return period the wind is wanted for; 50 is the velocity as given
 */
public record WindFactors(
        @Input(
                        label = "Direction factor c_dir",
                        key = "directionFactor",
                        least = 0.5,
                        most = 1,
                        orElse = "1",
                        clearedBy = "family")
                double direction,
        @Input(
                        label = "Season factor c_season",
                        key = "seasonFactor",
                        least = 0.5,
                        most = 1,
                        orElse = "1",
                        clearedBy = "family")
                double season,
        @Input(label = "Orography factor c_o", least = 1, most = 2, orElse = "1", clearedBy = "family")
                double orography,
        @Input(
                        label = "Return period",
                        least = 5,
                        most = 1000,
                        unit = "years",
                        orElse = "50",
                        clearedBy = "family",
                        help = "50 is the velocity as given")
                double returnYears) {}
