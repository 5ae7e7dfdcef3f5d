package whipsaw.app.entry;

import java.util.ArrayList;
import java.util.List;
import whipsaw.app.store.CatalogueStore;
import whipsaw.core.design.Design;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.Site;
import whipsaw.core.job.WindFactors;
import whipsaw.core.schema.Path;
import whipsaw.core.schema.Shape;
import whipsaw.core.site.Topography;
import whipsaw.core.table.CodeTable;
import whipsaw.core.table.CodeTables;
import whipsaw.core.table.NetCoefficients;
import whipsaw.core.units.Show;

/** Fields of the place: code family and edition, wind, snow, earthquake and temperatures. */
final class SiteEntry extends EntryFields {
    private static final Path<Site> SITE = JobPaths.SITE;
    private static final Path<Site.CodeSite> CODE = SITE.to(Site::code);
    private static final Path<Site.AsceSite> ASCE = CODE.as(Site.AsceSite.class);
    private static final Path<Site.EnSite> EN = CODE.as(Site.EnSite.class);

    private final CodeTables tables;
    private final Site site;

    SiteEntry(Design design, CatalogueStore catalogue, CodeTables tables) {
        super(design, catalogue);
        this.tables = tables;
        this.site = job.site();
    }

    List<EntryForm.Group> groups() {
        List<EntryForm.Group> groups = new ArrayList<>();
        List<EntryForm.Input> place = new ArrayList<>(List.of(
                kinds(CODE, Shape.of(Site.CodeSite.class), "a change clears wind and snow and asks for them again")));
        if (site.code() instanceof Site.AsceSite asce) {
            place.addAll(edition(asce.edition()));
        }
        place.add(in(SITE.to(Site::latitude)));
        place.add(in(SITE.to(Site::longitude)));
        place.add(in(SITE.to(Site::elevation)));
        groups.add(new EntryForm.Group("", "", "", place));
        if (site.code() instanceof Site.AsceSite asce) {
            asce(groups, asce);
        } else {
            groups.add(en((Site.EnSite) site.code()));
        }
        groups.add(floors());
        groups.add(weather(site.code() instanceof Site.EnSite));
        return groups;
    }

    private EntryForm.Group weather(boolean en) {
        List<EntryForm.Input> inputs = new ArrayList<>(List.of(
                in(en ? EN.to(Site.EnSite::snow) : ASCE.to(Site.AsceSite::snow)),
                in(en ? EN.to(Site.EnSite::snowExposure) : ASCE.to(Site.AsceSite::snowExposure)),
                in(en ? EN.to(Site.EnSite::snowThermal) : ASCE.to(Site.AsceSite::snowThermal)),
                in(SITE.to(Site::roofSnow)),
                in(SITE.to(Site::recordLow)),
                in(SITE.to(Site::designHigh)),
                in(SITE.to(Site::climate)),
                in(SITE.to(Site::horizon))));
        if (!en) {
            inputs.add(3, in(ASCE.to(Site.AsceSite::snowFetch)));
        }
        return new EntryForm.Group("Snow, temperature, climate", "", "", inputs);
    }

    private List<EntryForm.Input> edition(Site.AsceEdition edition) {
        Path<Site.AsceEdition> path = ASCE.to(Site.AsceSite::edition);
        List<EntryForm.Input> inputs =
                new ArrayList<>(List.of(in(path.to(Site.AsceEdition::name)), in(path.to(Site.AsceEdition::strength))));
        if (!edition.name().equals("7-16")) {
            inputs.add(in(path.to(Site.AsceEdition::olderFigures)));
        }
        return inputs;
    }

    private void asce(List<EntryForm.Group> groups, Site.AsceSite asce) {
        Topography hill = design.site().topography();
        Path<Site.Ground> ground = ASCE.to(Site.AsceSite::ground);
        Path<Site.Hill> at = ground.to(Site.Ground::hill);
        groups.add(plain(
                "Wind: 3-second gust, strength level",
                in(ASCE.to(Site.AsceSite::wind)),
                in(ASCE.to(Site.AsceSite::riskCategory)),
                in(ground.to(Site.Ground::exposure)),
                in(ground.to(Site.Ground::kzt))
                        .hinted(hill == null ? "" : "by the hill: " + Show.number(hill.factor(), 3)),
                set(ASCE.to(Site.AsceSite::coefficients), "asce", asce.coefficients())));
        EntryForm.Input shape = of(at.to(Site.Hill::shape));
        groups.add(whole(
                "Topography",
                at,
                hill == null || hill.tooLow().isEmpty() ? shape : shape.hinted("does not count: " + hill.tooLow()),
                of(at.to(Site.Hill::height)),
                of(at.to(Site.Hill::halfLength)),
                of(at.to(Site.Hill::distance))));
        groups.add(plain("Earthquake", in(ASCE.to(Site.AsceSite::sds)), in(ASCE.to(Site.AsceSite::stories))));
    }

    private EntryForm.Group en(Site.EnSite en) {
        List<EntryForm.Option> nationals = new ArrayList<>(List.of(new EntryForm.Option("", "recommended values")));
        for (CodeTable t : tables.nationals()) {
            nationals.add(
                    new EntryForm.Option(t.id(), t.title() + ", " + t.status().words()));
        }
        Path<WindFactors> factors = EN.to(Site.EnSite::factors);
        return plain(
                "Wind: 10-minute mean, 50 years",
                in(EN.to(Site.EnSite::national)).choosing(nationals, "optional").hinted("the annex in force decides"),
                in(EN.to(Site.EnSite::wind)),
                in(factors.to(WindFactors::returnYears)),
                in(EN.to(Site.EnSite::terrain)),
                in(factors.to(WindFactors::direction)),
                in(factors.to(WindFactors::season)),
                in(factors.to(WindFactors::orography)),
                in(EN.to(Site.EnSite::displacement)),
                set(EN.to(Site.EnSite::coefficients), "en", en.coefficients()));
    }

    /** A net-coefficient set of a family; the one chosen where it is not there any more. */
    private EntryForm.Input set(Path<String> path, String family, String chosen) {
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
        EntryForm.Input field = in(path);
        if (field.kind().equals("optional")) {
            sets.add(0, new EntryForm.Option("", field.hint().isEmpty() ? "29.4.3 of ASCE 7" : field.hint()));
            return field.choosing(sets, "optional").hinted("");
        }
        return field.choosing(sets, "choice");
    }

    private EntryForm.Group floors() {
        EntryForm.Input least = in(SITE.to(Site::leastUplift));
        if (site.code().coefficients().isEmpty()) {
            return plain("Floor under uplift", least);
        }
        boolean en = site.code() instanceof Site.EnSite;
        return plain(
                "Floors under uplift",
                least,
                in(SITE.to(Site::floorShare))
                        .hinted(en ? "share of the roof's own suction" : "share of what 29.4.3 gives"));
    }
}
