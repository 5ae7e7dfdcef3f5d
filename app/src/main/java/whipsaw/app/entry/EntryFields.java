package whipsaw.app.entry;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import whipsaw.app.store.CatalogueStore;
import whipsaw.app.store.Json;
import whipsaw.core.catalogue.CatalogueInfo;
import whipsaw.core.design.Design;
import whipsaw.core.job.Job;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Show;
import whipsaw.core.units.Spacings;
import whipsaw.core.units.UnitSystem;

/** How the fields of the entry form are made: text, number, dimension, choice and part of the catalogue. */
abstract class EntryFields {
    private static final List<String> YES_NO = List.of("true", "false");

    final Job job;
    final Design design;
    final UnitSystem units;
    private final CatalogueStore catalogue;

    EntryFields(Design design, CatalogueStore catalogue) {
        this.design = design;
        this.job = design.job();
        this.units = job.project().units();
        this.catalogue = catalogue;
    }

    final EntryForm.Input text(String path, String label, String value) {
        return new EntryForm.Input(path, label, value, "", "", List.of(), "text", false);
    }

    final EntryForm.Input optionalText(String path, String label, String value, String hint) {
        return new EntryForm.Input(path, label, value, "", hint, List.of(), "optional", false);
    }

    /** A text that may stay empty in a group that is stored whole. */
    final EntryForm.Input loose(String path, String label, String value, String hint) {
        return new EntryForm.Input(path, label, value, "", hint, List.of(), "loose", false);
    }

    /** A number that may be left out; NaN is none. */
    final EntryForm.Input optionalNumber(String path, String label, double value, String hint) {
        return optionalText(path, label, Double.isNaN(value) ? "" : Show.number(value, 4), hint);
    }

    /** Distances one after the other; {@code absent} says what holds without. */
    final EntryForm.Input spacings(String path, String label, Dimension dimension, Spacings s, String absent) {
        String hint = s == null
                ? absent
                : s.metres().size() == 1
                        ? ""
                        : s.metres().size() + " of them, " + Show.both(units, dimension, s.sumM());
        String unit = dimension.unit(units).symbol();
        return new EntryForm.Input(path, label, s == null ? "" : s.typed(), unit, hint, List.of(), "optional", false);
    }

    /** Yes, no, or what the rule says. */
    final EntryForm.Input byRule(String path, String label, Boolean value, boolean rule) {
        List<EntryForm.Option> options = List.of(
                new EntryForm.Option("null", "by its kind: " + (rule ? "yes" : "no")),
                new EntryForm.Option("true", "yes"),
                new EntryForm.Option("false", "no"));
        return new EntryForm.Input(path, label, String.valueOf(value), "", "", options, "json", false);
    }

    final EntryForm.Input number(String path, String label, double value, String unit) {
        return new EntryForm.Input(path, label, Show.number(value, 4), unit, "", List.of(), "text", false);
    }

    final EntryForm.Input measure(String path, String label, Dimension dimension, Measure m) {
        return measure(path, label, dimension, m, "", "text");
    }

    /** A dimension that may be left out; {@code absent} says what holds then. */
    final EntryForm.Input measure(String path, String label, Dimension dimension, Measure m, String absent) {
        return measure(path, label, dimension, m, absent, "optional");
    }

    private EntryForm.Input measure(
            String path, String label, Dimension dimension, Measure m, String absent, String kind) {
        String hint = absent;
        if (m != null) {
            hint = dimension.twoSystems() ? Show.both(units, dimension, m.si()) : Show.in(units, dimension, m.si());
        }
        return new EntryForm.Input(
                path,
                label,
                m == null ? "" : m.typed(),
                dimension.unit(units).symbol(),
                hint,
                List.of(),
                kind,
                m != null && m.assumed());
    }

    final EntryForm.Input choice(String path, String label, String value, List<String> options) {
        return new EntryForm.Input(
                path,
                label,
                value,
                "",
                "",
                options.stream().map(o -> new EntryForm.Option(o, o)).toList(),
                "choice",
                false);
    }

    final EntryForm.Input json(String path, String label, Object value, List<EntryForm.Option> options) {
        return new EntryForm.Input(path, label, Json.write(value), "", "", options, "json", false);
    }

    final EntryForm.Input yesNo(String path, String label, boolean value) {
        return json(
                path,
                label,
                value,
                YES_NO.stream()
                        .map(v -> new EntryForm.Option(v, v.equals("true") ? "yes" : "no"))
                        .toList());
    }

    final EntryForm.Input part(String path, String label, String kind, CatalogueInfo info) {
        List<EntryForm.Option> options = new ArrayList<>();
        String value = reference(kind, info.code());
        for (CatalogueStore.Entry e : catalogue.ofKind(kind)) {
            options.add(new EntryForm.Option(reference(kind, e.code()), e.name()));
        }
        if (options.stream().noneMatch(o -> o.value().equals(value))) {
            options.add(0, new EntryForm.Option(value, info.maker() + " " + info.name()));
        }
        String hint = "this job's copy, edition " + info.edition() + ", "
                + info.status().words();
        return new EntryForm.Input(path, label, value, "", hint, options, "json", false);
    }

    /** A part of the catalogue in a group that is stored whole; null is none. */
    final EntryForm.Input partOrNone(String path, String label, String kind, CatalogueInfo info) {
        List<EntryForm.Option> options = new ArrayList<>(List.of(new EntryForm.Option("", "none")));
        if (info != null) {
            EntryForm.Input chosen = part(path, label, kind, info);
            options.addAll(chosen.options());
            return new EntryForm.Input(path, label, chosen.value(), "", chosen.hint(), options, "json", false);
        }
        for (CatalogueStore.Entry e : catalogue.ofKind(kind)) {
            options.add(new EntryForm.Option(reference(kind, e.code()), e.name()));
        }
        return new EntryForm.Input(path, label, "", "", "from the catalogue", options, "json", false);
    }

    static String reference(String kind, String code) {
        return Json.write(Map.of("catalogue", kind + "/" + code));
    }

    final EntryForm.Group plain(String title, EntryForm.Input... inputs) {
        return new EntryForm.Group(title, "", "", List.of(inputs));
    }
}
