package whipsaw.app.entry;

import java.util.ArrayList;
import java.util.List;
import whipsaw.app.store.CatalogueStore;
import whipsaw.core.design.Design;
import whipsaw.core.job.Job;
import whipsaw.core.schema.Path;
import whipsaw.core.schema.Shape;
import whipsaw.core.site.Topography;
import whipsaw.core.table.CodeTable;
import whipsaw.core.table.CodeTables;
import whipsaw.core.table.NetCoefficients;
import whipsaw.core.units.Show;

/** Fields of the place: code family and edition, wind, snow, earthquake and temperatures. */
final class SiteEntry extends EntryFields {
    private static final Path<Job.Site> SITE = JOB.to(Job::site);
    private static final Path<Job.CodeSite> CODE = SITE.to(Job.Site::code);
    private static final Path<Job.AsceSite> ASCE = CODE.as(Job.AsceSite.class);
    private static final Path<Job.EnSite> EN = CODE.as(Job.EnSite.class);

    private final CodeTables tables;
    private final Job.Site site;

    SiteEntry(Design design, CatalogueStore catalogue, CodeTables tables) {
        super(design, catalogue);
        this.tables = tables;
        this.site = job.site();
    }

    List<EntryForm.Group> groups() {
        List<EntryForm.Group> groups = new ArrayList<>();
        List<EntryForm.Input> place = new ArrayList<>(List.of(
                kinds(CODE, Shape.of(Job.CodeSite.class), "a change clears wind and snow and asks for them again")));
        if (site.code() instanceof Job.AsceSite asce) {
            place.addAll(edition(asce.edition()));
        }
        place.add(in(SITE.to(Job.Site::latitude)));
        place.add(in(SITE.to(Job.Site::longitude)));
        place.add(in(SITE.to(Job.Site::elevation)));
        groups.add(new EntryForm.Group("", "", "", place));
        if (site.code() instanceof Job.AsceSite asce) {
            asce(groups, asce);
        } else {
            groups.add(en((Job.EnSite) site.code()));
        }
        groups.add(floors());
        groups.add(weather(site.code() instanceof Job.EnSite));
        return groups;
    }

    private EntryForm.Group weather(boolean en) {
        List<EntryForm.Input> inputs = new ArrayList<>(List.of(
                in(en ? EN.to(Job.EnSite::snow) : ASCE.to(Job.AsceSite::snow)),
                in(en ? EN.to(Job.EnSite::snowExposure) : ASCE.to(Job.AsceSite::snowExposure)),
                in(en ? EN.to(Job.EnSite::snowThermal) : ASCE.to(Job.AsceSite::snowThermal)),
                in(SITE.to(Job.Site::roofSnow)),
                in(SITE.to(Job.Site::recordLow)),
                in(SITE.to(Job.Site::designHigh))));
        if (!en) {
            inputs.add(3, in(ASCE.to(Job.AsceSite::snowFetch)));
        }
        return new EntryForm.Group("Snow and temperature", "", "", inputs);
    }

    private List<EntryForm.Input> edition(Job.AsceEdition edition) {
        Path<Job.AsceEdition> path = ASCE.to(Job.AsceSite::edition);
        List<EntryForm.Input> inputs =
                new ArrayList<>(List.of(in(path.to(Job.AsceEdition::name)), in(path.to(Job.AsceEdition::strength))));
        if (!edition.name().equals("7-16")) {
            inputs.add(in(path.to(Job.AsceEdition::olderFigures)));
        }
        return inputs;
    }

    private void asce(List<EntryForm.Group> groups, Job.AsceSite asce) {
        Topography hill = design.site().topography();
        Path<Job.Ground> ground = ASCE.to(Job.AsceSite::ground);
        Path<Job.Hill> at = ground.to(Job.Ground::hill);
        groups.add(plain(
                "Wind: 3-second gust, strength level",
                in(ASCE.to(Job.AsceSite::wind)),
                in(ASCE.to(Job.AsceSite::riskCategory)),
                in(ground.to(Job.Ground::exposure)),
                in(ground.to(Job.Ground::kzt))
                        .hinted(hill == null ? "" : "by the hill: " + Show.number(hill.factor(), 3)),
                set(ASCE.to(Job.AsceSite::coefficients), "asce", asce.coefficients())));
        EntryForm.Input shape = of(at.to(Job.Hill::shape));
        groups.add(whole(
                "Topography",
                at,
                hill == null || hill.tooLow().isEmpty() ? shape : shape.hinted("does not count: " + hill.tooLow()),
                of(at.to(Job.Hill::height)),
                of(at.to(Job.Hill::halfLength)),
                of(at.to(Job.Hill::distance))));
        groups.add(plain("Earthquake", in(ASCE.to(Job.AsceSite::sds)), in(ASCE.to(Job.AsceSite::stories))));
    }

    private EntryForm.Group en(Job.EnSite en) {
        List<EntryForm.Option> nationals = new ArrayList<>(List.of(new EntryForm.Option("", "recommended values")));
        for (CodeTable t : tables.nationals()) {
            nationals.add(
                    new EntryForm.Option(t.id(), t.title() + ", " + t.status().words()));
        }
        Path<Job.WindFactors> factors = EN.to(Job.EnSite::factors);
        return plain(
                "Wind: 10-minute mean, 50 years",
                in(EN.to(Job.EnSite::national)).choosing(nationals, "optional").hinted("the annex in force decides"),
                in(EN.to(Job.EnSite::wind)),
                in(factors.to(Job.WindFactors::returnYears)),
                in(EN.to(Job.EnSite::terrain)),
                in(factors.to(Job.WindFactors::direction)),
                in(factors.to(Job.WindFactors::season)),
                in(factors.to(Job.WindFactors::orography)),
                in(EN.to(Job.EnSite::displacement)),
                set(EN.to(Job.EnSite::coefficients), "en", en.coefficients()));
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
        EntryForm.Input least = in(SITE.to(Job.Site::leastUplift));
        if (site.code().coefficients().isEmpty()) {
            return plain("Floor under uplift", least);
        }
        boolean en = site.code() instanceof Job.EnSite;
        return plain(
                "Floors under uplift",
                least,
                in(SITE.to(Job.Site::floorShare))
                        .hinted(en ? "share of the roof's own suction" : "share of what 29.4.3 gives"));
    }
}
