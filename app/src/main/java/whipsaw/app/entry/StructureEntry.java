package whipsaw.app.entry;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import whipsaw.app.store.CatalogueStore;
import whipsaw.app.store.Json;
import whipsaw.core.design.Design;
import whipsaw.core.job.Job;
import whipsaw.core.job.Structure;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.UnitSystem;

/** Fields of what carries the roof: loads that are there, members and their strengthening. */
public final class StructureEntry extends EntryFields {
    private static final String PATH = "$.roof.structure";

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
        List<New> all = new ArrayList<>(List.of(new New("Add members", PATH + ".members", Json.write(members))));
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
        all.add(new New("Set something down", PATH + ".setDowns", Json.write(pallet)));
        Map<String, Object> laid = new LinkedHashMap<>();
        laid.put("id", "@id");
        laid.put("name", "Cable tray");
        laid.put("perMetre", us ? "~6 lb/ft" : "~9 kg/m");
        laid.put("support", us ? "~11 lb" : "~5 kg");
        laid.put("spacing", us ? "~5 ft" : "~1.5 m");
        all.add(new New("Lay tray or pipe", PATH + ".laid", Json.write(laid)));
        for (Structure.Members m : job.roof().fabric().structure().members()) {
            Map<String, Object> work = new LinkedHashMap<>();
            work.put("id", "@id");
            work.put("members", m.id());
            work.put("kind", "double");
            all.add(new New("Strengthen " + m.name(), PATH + ".works", Json.write(work)));
        }
        return all;
    }

    List<EntryForm.Group> groups() {
        Structure s = job.roof().fabric().structure();
        List<EntryForm.Group> groups = new ArrayList<>();
        groups.add(plain(
                "Loads without the array",
                measure(PATH + ".dead", "Existing dead load", Dimension.LOAD, s.dead(), "not known"),
                measure(PATH + ".live", "Roof live load", Dimension.LOAD, s.live(), "none"),
                measure(
                        PATH + ".windDown",
                        "Downward wind pressure, engineer's",
                        Dimension.LOAD,
                        s.windDown(),
                        "by the code's method"),
                measure(
                        PATH + ".seismicWeight",
                        "Seismic weight of the building, engineer's",
                        Dimension.MASS,
                        s.seismicWeight(),
                        "the roof alone"),
                measure(
                        PATH + ".construction",
                        "Construction load allowed",
                        Dimension.LOAD,
                        s.construction(),
                        "not known"),
                yesNo(
                        PATH + ".liveUnderArray",
                        "Live load under modules",
                        s.liveUnderArray(),
                        "acts there too",
                        "not under low modules",
                        "no only where the adopted code and the engineer allow it"),
                yesNo(
                        PATH + ".smallIncrease",
                        "Small increases",
                        s.smallIncrease(),
                        "allowed by the existing-building rule",
                        "not used",
                        "5 % more gravity load effect, where adopted; an engineer confirms")));
        boolean pitched = !job.roof().fabric().flat();
        if (pitched) {
            groups.add(onFaces(s.onFaces()));
        }
        for (Structure.Members m : s.members()) {
            groups.add(members(m, pitched));
        }
        if (!pitched && !s.members().isEmpty()) {
            groups.add(deck(s.deck()));
        }
        for (Structure.Laid l : s.laid()) {
            laid(l, groups);
        }
        for (Structure.SetDown d : s.setDowns()) {
            groups.add(setDown(d));
        }
        for (Structure.Work w : s.works()) {
            String path = PATH + ".works[id=" + w.id() + "]";
            groups.add(new EntryForm.Group(
                    "Strengthening: " + s.nameOf(w)
                            + (w.photos().isEmpty()
                                    ? ", no photograph yet"
                                    : ", " + w.photos().size() + " photographs"),
                    "",
                    path,
                    List.of(
                            choice(path + ".kind", "What is done", w.kind(), Structure.WORKS),
                            optionalText(
                                    path + ".bays", "Bays", String.join(", ", w.bays()), "as B2, C2; empty: all"))));
            groups.add(new EntryForm.Group(
                    "Seen done",
                    path + ".seen",
                    "",
                    List.of(
                            optionalText(path + ".seen.by", "Signed off by", w.signedBy(), "the engineer"),
                            optionalText(
                                    path + ".seen.on",
                                    "on",
                                    w.signedOn() == null ? "" : w.signedOn().toString(),
                                    "as 2026-05-31"))));
        }
        return groups;
    }

    private EntryForm.Group deck(Structure.Deck deck) {
        String path = PATH + ".deck";
        return new EntryForm.Group(
                "Deck between members",
                path,
                "",
                List.of(
                        partOrNone(
                                path + ".type",
                                "Section of a strip",
                                "member",
                                deck == null ? null : deck.type().info()),
                        measure(
                                path + ".width",
                                "Width of a strip",
                                Dimension.PART_LENGTH,
                                deck == null ? null : deck.width(),
                                "a foot is shared over it")));
    }

    private void laid(Structure.Laid l, List<EntryForm.Group> groups) {
        String path = PATH + ".laid[id=" + l.id() + "]";
        groups.add(new EntryForm.Group(
                "On the roof: " + l.name(),
                "",
                path,
                List.of(
                        text(path + ".name", "What", l.name()),
                        measure(path + ".perMetre", "Weight with its cables", Dimension.LINE_LOAD, l.perMetre()),
                        measure(path + ".support", "One support with its block", Dimension.MASS, l.support(), "none"),
                        measure(path + ".spacing", "Supports every", Dimension.ROOF_LENGTH, l.spacing()))));
        Structure.Line at = l.line();
        String line = path + ".line";
        String along = "along the AC run";
        groups.add(new EntryForm.Group(
                "Where " + l.name() + " lies",
                line,
                "",
                List.of(
                        measure(line + ".x", "From x", Dimension.ROOF_LENGTH, at == null ? null : at.x(), along),
                        measure(line + ".y", "From y", Dimension.ROOF_LENGTH, at == null ? null : at.y(), along),
                        measure(line + ".toX", "To x", Dimension.ROOF_LENGTH, at == null ? null : at.toX(), along),
                        measure(line + ".toY", "To y", Dimension.ROOF_LENGTH, at == null ? null : at.toY(), along))));
    }

    private EntryForm.Group setDown(Structure.SetDown d) {
        String path = PATH + ".setDowns[id=" + d.id() + "]";
        return new EntryForm.Group(
                "Set down: " + d.name(),
                "",
                path,
                List.of(
                        text(path + ".name", "What", d.name()),
                        text(path + ".stage", "Stage", d.stage()),
                        measure(path + ".x", "x of its left end", Dimension.ROOF_LENGTH, d.x()),
                        measure(path + ".y", "y of its lower end", Dimension.ROOF_LENGTH, d.y()),
                        measure(path + ".width", "Width", Dimension.ROOF_LENGTH, d.width()),
                        measure(path + ".depth", "Depth", Dimension.ROOF_LENGTH, d.depth()),
                        measure(path + ".mass", "Mass of one", Dimension.MASS, d.mass()),
                        number(path + ".high", "On each other", d.high(), "")));
    }

    private EntryForm.Group onFaces(Structure.OnFaces faces) {
        String path = PATH + ".onFaces";
        return plain(
                "Loads of pitched faces",
                measure(path + ".array", "Array parallel to the roof", Dimension.LOAD, faces.array(), "not known"),
                measure(path + ".snow", "Uneven snow, engineer's", Dimension.LOAD, faces.snow(), "none at hand"),
                measure(path + ".uplift", "Net uplift, engineer's", Dimension.LOAD, faces.uplift(), "none at hand"),
                yesNo(
                        path + ".partlyEnclosed",
                        "Openings",
                        faces.partlyEnclosed(),
                        "may put it under pressure",
                        "enclosed",
                        "doors that stand open on one side make it partially enclosed"));
    }

    private EntryForm.Group members(Structure.Members m, boolean pitched) {
        String path = PATH + ".members[id=" + m.id() + "]";
        List<EntryForm.Input> inputs = new ArrayList<>(List.of(
                text(path + ".name", "Name", m.name()),
                choice(path + ".kind", "Kind", m.kind(), Structure.KINDS),
                part(path + ".type", "Section", "member", m.type().info()),
                choice(path + ".along", "Spans along", m.alongX() ? "x" : "y", List.of("x", "y"))));
        if (!m.surveyed()) {
            inputs.add(spacings(path + ".spacing", "Spacing", Dimension.ROOF_LENGTH, m.spacing(), ""));
            inputs.add(measure(path + ".first", "First from the grid line", Dimension.ROOF_LENGTH, m.first(), "on it"));
        }
        inputs.add(optionalText(path + ".bays", "Bays", String.join(", ", m.bays()), "as B2, C2; empty: all"));
        inputs.add(measure(path + ".bearing", "Allowable end reaction", Dimension.FORCE, m.bearing(), "not known"));
        if (pitched) {
            inputs.add(optionalNumber(
                    path + ".freeFlange", "Share with a free flange", m.freeFlange(), "of the moment, when lifted"));
            inputs.add(measure(
                    path + ".connection", "Allowable end uplift", Dimension.FORCE, m.connection(), "not known"));
        }
        return new EntryForm.Group(m.name(), "", path, inputs);
    }

    private static EntryForm.Input yesNo(String path, String label, boolean value, String yes, String no, String hint) {
        List<EntryForm.Option> options = List.of(new EntryForm.Option("true", yes), new EntryForm.Option("false", no));
        return new EntryForm.Input(path, label, String.valueOf(value), "", hint, options, "json", false);
    }
}
