package whipsaw.app.entry;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import whipsaw.app.store.CatalogueStore;
import whipsaw.app.store.Json;
import whipsaw.core.design.Design;
import whipsaw.core.job.Fabric;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.Roof;
import whipsaw.core.job.Structure;
import whipsaw.core.schema.Path;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/** Fields of what carries the roof: loads that are there, members and their strengthening. */
public final class StructureEntry extends EntryFields {
    private static final Path<Structure> STRUCTURE =
            JobPaths.ROOF.to(Roof::fabric).to(Fabric::structure);

    StructureEntry(Design design, CatalogueStore catalogue) {
        super(design, catalogue);
    }

    /** Something that can be added, as the document takes it. */
    public record New(String words, String path, String json) {}

    /** Members, and strengthening of those there are. */
    public static List<New> additions(Job job) {
        boolean us = job.project().units() == UnitSystem.US;
        Map<String, Object> members = new LinkedHashMap<>();
        members.put("id", "@id");
        members.put("name", "Joists");
        members.put("kind", "joist");
        members.put("along", "y");
        if (job.roof().fabric().flat()) {
            members.put("spacing", us ? "~6 ft" : "~1.8 m");
        } else {
            members.put("name", "Purlins");
            members.put("kind", "purlin");
            members.put("along", "x");
            members.put("surveyed", true);
        }
        members.put("type", Map.of("catalogue", us ? "member/i-12-26" : "member/i-200-100"));
        List<New> all = new ArrayList<>(
                List.of(new New("Add members", STRUCTURE.to(Structure::members).toString(), Json.write(members))));
        Map<String, Object> pallet = new LinkedHashMap<>();
        pallet.put("id", "@id");
        pallet.put("name", "Pallet of modules");
        pallet.put("stage", "loading");
        pallet.put("x", us ? "~20 ft" : "~6 m");
        pallet.put("y", us ? "~20 ft" : "~6 m");
        pallet.put("width", us ? "~7 ft 6 in" : "~2.3 m");
        pallet.put("depth", us ? "~4 ft" : "~1.2 m");
        pallet.put("mass", us ? "~2000 lb" : "~900 kg");
        pallet.put("high", 1);
        all.add(new New("Set something down", STRUCTURE.to(Structure::setDowns).toString(), Json.write(pallet)));
        Map<String, Object> laid = new LinkedHashMap<>();
        laid.put("id", "@id");
        laid.put("name", "Cable tray");
        laid.put("perMetre", us ? "~6 lb/ft" : "~9 kg/m");
        laid.put("support", us ? "~11 lb" : "~5 kg");
        laid.put("spacing", us ? "~5 ft" : "~1.5 m");
        all.add(new New("Lay tray or pipe", STRUCTURE.to(Structure::laid).toString(), Json.write(laid)));
        for (Structure.Members m : job.roof().fabric().structure().members()) {
            Map<String, Object> work = new LinkedHashMap<>();
            work.put("id", "@id");
            work.put("members", m.id());
            work.put("kind", "double");
            all.add(new New(
                    "Strengthen " + m.name(), STRUCTURE.to(Structure::works).toString(), Json.write(work)));
        }
        return all;
    }

    List<EntryForm.Group> groups() {
        Structure s = job.roof().fabric().structure();
        boolean pitched = !job.roof().fabric().flat();
        List<EntryForm.Group> groups = new ArrayList<>();
        groups.add(plain(
                "Loads without the array",
                in(STRUCTURE.to(Structure::dead)),
                in(STRUCTURE.to(Structure::live)),
                in(STRUCTURE.to(Structure::windDown)),
                in(STRUCTURE.to(Structure::seismicWeight)),
                in(STRUCTURE.to(Structure::construction)),
                in(STRUCTURE.to(Structure::liveUnderArray)),
                in(STRUCTURE.to(Structure::smallIncrease))));
        if (pitched) {
            groups.add(onFaces(STRUCTURE.to(Structure::onFaces)));
        }
        for (Structure.Members m : s.members()) {
            groups.add(members(m, pitched));
        }
        if (!pitched && !s.members().isEmpty()) {
            Path<Structure.Deck> deck = STRUCTURE.to(Structure::deck);
            groups.add(whole(
                    "Deck between members",
                    deck,
                    of(deck.to(Structure.Deck::type)),
                    of(deck.to(Structure.Deck::width))));
        }
        for (Structure.Laid l : s.laid()) {
            laid(l, groups);
        }
        for (Structure.SetDown d : s.setDowns()) {
            groups.add(setDown(d));
        }
        for (Structure.Work w : s.works()) {
            work(w, s.nameOf(w), groups);
        }
        return groups;
    }

    private void work(Structure.Work w, String members, List<EntryForm.Group> groups) {
        Path<Structure.Work> path = STRUCTURE.id(Structure::works, w.id());
        String photos = w.photos().isEmpty()
                ? "no photograph yet"
                : Show.count(w.photos().size(), "photograph");
        groups.add(thing(
                "Strengthening: " + members + ", " + photos,
                path,
                List.of(in(path.to(Structure.Work::kind)), in(path.to(Structure.Work::bays)))));
        Path<Structure.Seen> seen = path.to(Structure.Work::seen);
        groups.add(
                whole("Engineer's sign-off", seen, of(seen.to(Structure.Seen::by)), of(seen.to(Structure.Seen::on))));
    }

    private void laid(Structure.Laid l, List<EntryForm.Group> groups) {
        Path<Structure.Laid> path = STRUCTURE.id(Structure::laid, l.id());
        groups.add(thing(
                "On the roof: " + l.name(),
                path,
                List.of(
                        in(path.to(Structure.Laid::name)),
                        in(path.to(Structure.Laid::perMetre)),
                        in(path.to(Structure.Laid::support)),
                        in(path.to(Structure.Laid::spacing)))));
        Path<Structure.Line> line = path.to(Structure.Laid::line);
        groups.add(whole(
                "Where " + l.name() + " lies; empty: along the AC run",
                line,
                of(line.to(Structure.Line::x)),
                of(line.to(Structure.Line::y)),
                of(line.to(Structure.Line::toX)),
                of(line.to(Structure.Line::toY))));
    }

    private EntryForm.Group setDown(Structure.SetDown d) {
        Path<Structure.SetDown> path = STRUCTURE.id(Structure::setDowns, d.id());
        return thing(
                "Set down: " + d.name(),
                path,
                List.of(
                        in(path.to(Structure.SetDown::name)),
                        in(path.to(Structure.SetDown::stage)),
                        in(path.to(Structure.SetDown::x)),
                        in(path.to(Structure.SetDown::y)),
                        in(path.to(Structure.SetDown::width)),
                        in(path.to(Structure.SetDown::depth)),
                        in(path.to(Structure.SetDown::mass)),
                        in(path.to(Structure.SetDown::high))));
    }

    private EntryForm.Group onFaces(Path<Structure.OnFaces> path) {
        return plain(
                "Loads of pitched faces",
                in(path.to(Structure.OnFaces::array)),
                in(path.to(Structure.OnFaces::snow)),
                in(path.to(Structure.OnFaces::uplift)),
                in(path.to(Structure.OnFaces::partlyEnclosed)));
    }

    private EntryForm.Group members(Structure.Members m, boolean pitched) {
        Path<Structure.Members> path = STRUCTURE.id(Structure::members, m.id());
        List<EntryForm.Input> inputs = new ArrayList<>(List.of(
                in(path.to(Structure.Members::name)),
                in(path.to(Structure.Members::kind)),
                in(path.to(Structure.Members::type)),
                in(path.to(Structure.Members::alongX))));
        if (!m.surveyed()) {
            inputs.add(in(path.to(Structure.Members::spacing)));
            inputs.add(in(path.to(Structure.Members::first)));
        }
        inputs.add(in(path.to(Structure.Members::bays)));
        inputs.add(in(path.to(Structure.Members::bearing)));
        if (pitched) {
            inputs.add(in(path.to(Structure.Members::freeFlange)));
            inputs.add(in(path.to(Structure.Members::connection)));
        }
        return thing(m.name(), path, inputs);
    }
}
