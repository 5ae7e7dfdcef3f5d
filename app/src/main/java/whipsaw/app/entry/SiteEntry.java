package whipsaw.app.entry;

import java.util.ArrayList;
import java.util.List;
import whipsaw.app.store.CatalogueStore;
import whipsaw.core.design.Design;
import whipsaw.core.job.Job;
import whipsaw.core.site.Topography;
import whipsaw.core.table.CodeTable;
import whipsaw.core.table.CodeTables;
import whipsaw.core.table.NetCoefficients;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;

/** Fields of the place: code family and edition, wind, snow, earthquake and temperatures. */
final class SiteEntry extends EntryFields {
    private static final String MISSING = "missing: what follows from it is not established";

    private final CodeTables tables;
    private final Job.Site site;

    SiteEntry(Design design, CatalogueStore catalogue, CodeTables tables) {
        super(design, catalogue);
        this.tables = tables;
        this.site = job.site();
    }

    List<EntryForm.Group> groups() {
        List<EntryForm.Group> groups = new ArrayList<>();
        List<EntryForm.Input> place = new ArrayList<>(List.of(select(
                "$.site.family",
                "Code family",
                site.code().family(),
                "a change clears wind and snow and asks for them again",
                List.of(new EntryForm.Option("asce", "ASCE 7"), new EntryForm.Option("en", "EN 1990, EN 1991")))));
        if (site.code() instanceof Job.AsceSite asce) {
            place.addAll(edition(asce.edition()));
        }
        place.add(measure("$.site.latitude", "Latitude, north +", Dimension.ANGLE, site.latitude()));
        place.add(measure("$.site.longitude", "Longitude, east +", Dimension.ANGLE, site.longitude()));
        place.add(measure("$.site.elevation", "Ground elevation", Dimension.ROOF_LENGTH, site.elevation()));
        groups.add(new EntryForm.Group("", "", "", place));
        if (site.code() instanceof Job.AsceSite asce) {
            asce(groups, asce);
        } else {
            en(groups, (Job.EnSite) site.code());
        }
        groups.add(floors());
        boolean en = site.code() instanceof Job.EnSite;
        groups.add(plain(
                "Snow and temperature",
                measure(
                        "$.site.snow",
                        en ? "Ground snow s_k" : "Ground snow load p_g",
                        Dimension.LOAD,
                        site.snow(),
                        MISSING),
                number("$.site.snowExposure", "Snow exposure C_e", site.code().snowExposure(), ""),
                number("$.site.snowThermal", "Snow thermal C_t", site.code().snowThermal(), ""),
                measure(
                        "$.site.roofSnow",
                        "Roof snow, engineer's",
                        Dimension.LOAD,
                        site.roofSnow(),
                        "none: by the code; one given includes drifts"),
                measure("$.site.recordLow", "Record low", Dimension.TEMPERATURE, site.recordLow()),
                measure("$.site.designHigh", "Design high", Dimension.TEMPERATURE, site.designHigh())));
        return groups;
    }

    private static EntryForm.Input select(
            String path, String label, String value, String hint, List<EntryForm.Option> options) {
        return new EntryForm.Input(path, label, value, "", hint, options, "choice", false);
    }

    private List<EntryForm.Input> edition(Job.AsceEdition edition) {
        List<EntryForm.Input> inputs = new ArrayList<>(List.of(select(
                "$.site.edition",
                "Edition",
                edition.name(),
                "a change asks for wind and snow again: maps differ",
                Job.AsceSite.EDITIONS.stream()
                        .map(e -> new EntryForm.Option(e, "ASCE " + e))
                        .toList())));
        inputs.add(select(
                "$.site.method",
                "Loads combined for",
                edition.strength() ? "strength" : "allowable",
                "a load table says nothing of strength",
                List.of(
                        new EntryForm.Option("allowable", "allowable stress (2.4)"),
                        new EntryForm.Option("strength", "strength (2.3)"))));
        if (!edition.name().equals("7-16")) {
            inputs.add(new EntryForm.Input(
                    "$.site.olderFigures",
                    "Figures not at hand",
                    String.valueOf(edition.olderFigures()),
                    "",
                    "of 29.4.3, 30.3 and 13.6.12",
                    List.of(
                            new EntryForm.Option("false", "not established"),
                            new EntryForm.Option("true", "those of 7-16, as an engineer accepts")),
                    "json",
                    false));
        }
        return inputs;
    }

    private void asce(List<EntryForm.Group> groups, Job.AsceSite asce) {
        Topography hill = design.site().topography();
        List<EntryForm.Option> sets = sets("asce", asce.coefficients());
        sets.add(0, new EntryForm.Option("", "29.4.3 of ASCE 7"));
        groups.add(plain(
                "Wind: 3-second gust, strength level",
                measure("$.site.wind", "Basic wind speed", Dimension.SPEED, site.wind(), MISSING),
                choice(
                        "$.site.riskCategory",
                        "for risk category",
                        asce.riskCategory(),
                        List.of("I", "II", "III", "IV")),
                choice("$.site.exposure", "Exposure", asce.ground().exposure(), List.of("B", "C", "D")),
                new EntryForm.Input(
                        "$.site.kzt",
                        "Topographic factor K_zt",
                        Show.number(asce.ground().kzt(), 4),
                        "",
                        hill == null ? "" : "by the hill: " + Show.number(hill.factor(), 3),
                        List.of(),
                        "text",
                        false),
                select("$.site.coefficients", "Net coefficients", asce.coefficients(), "", sets)));
        Job.Hill h = asce.ground().hill();
        groups.add(new EntryForm.Group(
                "Topography",
                "$.site.hill",
                "",
                List.of(
                        select(
                                "$.site.hill.shape",
                                "Shape",
                                h == null ? "" : h.shape(),
                                hill == null || hill.tooLow().isEmpty() ? "" : "does not count: " + hill.tooLow(),
                                List.of(
                                        new EntryForm.Option("", "none"),
                                        new EntryForm.Option("ridge", "ridge"),
                                        new EntryForm.Option("escarpment", "escarpment"),
                                        new EntryForm.Option("hill", "round hill"))),
                        measure(
                                "$.site.hill.height",
                                "Foot to crest",
                                Dimension.ROOF_LENGTH,
                                h == null ? null : h.height(),
                                ""),
                        measure(
                                "$.site.hill.halfLength",
                                "Crest to half height",
                                Dimension.ROOF_LENGTH,
                                h == null ? null : h.halfLength(),
                                "on plan, upwind"),
                        measure(
                                "$.site.hill.distance",
                                "Crest to building",
                                Dimension.ROOF_LENGTH,
                                h == null ? null : h.distance(),
                                "downwind +"))));
        groups.add(plain(
                "Earthquake",
                optionalText(
                        "$.site.sds",
                        "S_DS, in g",
                        Double.isNaN(asce.sds()) ? "" : Show.number(asce.sds(), 4),
                        "design spectral acceleration at short periods, with the site class"),
                optionalText(
                        "$.site.stories",
                        "Stories",
                        asce.stories() == 0 ? "" : String.valueOf(asce.stories()),
                        "of the building")));
    }

    private void en(List<EntryForm.Group> groups, Job.EnSite en) {
        List<EntryForm.Option> nationals = new ArrayList<>(List.of(new EntryForm.Option("", "recommended values")));
        for (CodeTable t : tables.nationals()) {
            nationals.add(
                    new EntryForm.Option(t.id(), t.title() + ", " + t.status().words()));
        }
        groups.add(plain(
                "Wind: 10-minute mean, 50 years",
                select(
                        "$.site.national",
                        "National parameters",
                        en.national(),
                        "the annex in force decides",
                        nationals),
                measure("$.site.wind", "Basic wind velocity v_b,0", Dimension.SPEED, site.wind(), MISSING),
                number(
                        "$.site.returnYears",
                        "wanted for a return period of",
                        en.factors().returnYears(),
                        "years"),
                choice("$.site.terrain", "Terrain category", en.terrain(), List.of("0", "I", "II", "III", "IV")),
                number(
                        "$.site.directionFactor",
                        "Direction factor c_dir",
                        en.factors().direction(),
                        ""),
                number(
                        "$.site.seasonFactor",
                        "Season factor c_season",
                        en.factors().season(),
                        ""),
                number("$.site.orography", "Orography factor c_o", en.factors().orography(), ""),
                select(
                        "$.site.coefficients",
                        "Net coefficients",
                        en.coefficients(),
                        "limits of validity: see the scope",
                        sets("en", en.coefficients()))));
    }

    /** Sets of a family, and the one chosen where it is not there any more. */
    private List<EntryForm.Option> sets(String family, String chosen) {
        List<EntryForm.Option> sets = new ArrayList<>();
        for (NetCoefficients set : tables.netCoefficients()) {
            if (set.family().equals(family)) {
                sets.add(new EntryForm.Option(
                        set.table().id(),
                        set.table().title() + ", " + set.table().status().words()));
            }
        }
        if (!chosen.isEmpty() && sets.stream().noneMatch(o -> o.value().equals(chosen))) {
            sets.add(0, new EntryForm.Option(chosen, chosen + ", not there any more"));
        }
        return sets;
    }

    private EntryForm.Group floors() {
        EntryForm.Input least = measure(
                "$.site.leastUplift", "Minimum design uplift", Dimension.LOAD, site.leastUplift(), "none: as computed");
        if (site.code().coefficients().isEmpty()) {
            return plain("Floor under uplift", least);
        }
        boolean en = site.code() instanceof Job.EnSite;
        EntryForm.Input floor = optionalNumber(
                "$.site.floorShare",
                "Floor on coefficients",
                site.floorShare(),
                en ? "share of the roof's own suction" : "share of what 29.4.3 gives");
        return plain("Floors under uplift", least, floor);
    }
}
