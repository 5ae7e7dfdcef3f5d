package whipsaw.app.entry;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import whipsaw.app.store.CatalogueStore;
import whipsaw.app.store.Json;
import whipsaw.core.catalogue.CatalogueInfo;
import whipsaw.core.design.Design;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobPaths;
import whipsaw.core.schema.Located;
import whipsaw.core.schema.Path;
import whipsaw.core.schema.Shape;
import whipsaw.core.schema.Slot;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Show;
import whipsaw.core.units.Spacings;
import whipsaw.core.units.UnitSystem;

/**
 * How the fields of the entry form are made: what a field is called, its unit, its choices and what holds when it is
 * empty come from the declaration of the input, its value from the job.
 */
abstract class EntryFields {
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

    /** The field of an input. */
    final EntryForm.Input in(Path<?> path) {
        return in(path.toString(), false);
    }

    /** The field of an input of an object that is stored whole. */
    final EntryForm.Input of(Path<?> path) {
        return in(path.toString(), true);
    }

    /** The field of an input with the name of its thing, where several things stand in one group. */
    final EntryForm.Input named(Path<?> path) {
        return in(path).called(at(path.toString()).name());
    }

    private Located at(String path) {
        Located at = JobPaths.located(path, job);
        if (at == null) {
            throw new IllegalArgumentException("no input is declared at " + path);
        }
        return at;
    }

    private EntryForm.Input in(String path, boolean whole) {
        Located at = at(path);
        Slot slot = at.slot();
        Object value = slot.unlike(at.value()) ? at.value() : null;
        String kind = !slot.optional() ? "text" : whole ? "loose" : "optional";
        String absent = slot.input().absent().isEmpty()
                ? slot.input().help()
                : slot.input().absent();
        EntryForm.Input field =
                new EntryForm.Input(path, slot.label(), text(value), unit(slot), absent, List.of(), kind, false);
        if (!slot.input().catalogue().isEmpty()) {
            return part(field, slot.input().catalogue(), at.value(), whole);
        } else if (slot.type() == boolean.class && slot.input().choices().length == 0) {
            return flag(field, slot, at.value());
        } else if (!slot.choices().isEmpty()) {
            return choice(field, slot, at.value(), whole);
        } else if (value instanceof Measure m) {
            return field.assumed(m.assumed()).hinted(shown(slot, m.si()));
        } else if (value instanceof Spacings s) {
            int count = s.metres().size();
            return field.hinted(count == 1 ? "" : count + " of them, " + shown(slot, s.sumM()));
        }
        return value == null || slot.type() == LocalDate.class
                ? field
                : field.hinted(slot.input().help());
    }

    private String shown(Slot slot, double si) {
        Dimension dim = slot.input().dim();
        return dim.twoSystems() ? Show.both(units, dim, si) : Show.in(units, dim, si);
    }

    private String unit(Slot slot) {
        boolean dimension = slot.type() == Measure.class || slot.type() == Spacings.class;
        return dimension
                ? slot.input().dim().unit(units).symbol()
                : slot.input().unit();
    }

    private static String text(Object value) {
        if (value instanceof Measure m) {
            return m.typed();
        } else if (value instanceof Spacings s) {
            return s.typed();
        } else if (value instanceof Double d) {
            return Double.isNaN(d) ? "" : Show.number(d, 4);
        } else if (value instanceof List<?> list) {
            return String.join(", ", list.stream().map(String::valueOf).toList());
        }
        return value == null ? "" : String.valueOf(value);
    }

    private static EntryForm.Input flag(EntryForm.Input field, Slot slot, Object value) {
        List<EntryForm.Option> options = new ArrayList<>();
        for (String word : List.of("true", "false")) {
            String words = slot.words(word);
            options.add(new EntryForm.Option(word, words.equals(word) ? word.equals("true") ? "yes" : "no" : words));
        }
        return field.choosing(options, "json")
                .set(String.valueOf(Boolean.TRUE.equals(value)))
                .hinted(slot.input().help());
    }

    private static EntryForm.Input choice(EntryForm.Input field, Slot slot, Object value, boolean whole) {
        List<EntryForm.Option> options = new ArrayList<>();
        if (whole) {
            String none = slot.input().absent().isEmpty()
                    ? "not chosen"
                    : slot.input().absent();
            options.add(new EntryForm.Option("", none));
        }
        slot.choices().forEach(c -> options.add(new EntryForm.Option(c, slot.words(c))));
        String chosen = value == null || value.equals("") ? "" : String.valueOf(slot.written(value));
        return field.choosing(options, whole ? field.kind() : "choice")
                .set(chosen)
                .hinted(slot.input().help());
    }

    /** A thing that is said by the rule of its kind unless somebody says otherwise. */
    final EntryForm.Input byRule(Path<Boolean> path, boolean rule) {
        List<EntryForm.Option> options = List.of(
                new EntryForm.Option("null", "by its kind: " + (rule ? "yes" : "no")),
                new EntryForm.Option("true", "yes"),
                new EntryForm.Option("false", "no"));
        return in(path).choosing(options, "json")
                .set(String.valueOf(at(path.toString()).value()))
                .hinted("");
    }

    private EntryForm.Input part(EntryForm.Input field, String kind, Object part, boolean whole) {
        List<EntryForm.Option> options = new ArrayList<>();
        CatalogueInfo info = part instanceof Record record
                ? (CatalogueInfo) Shape.of(record.getClass()).component(record, "info")
                : null;
        String value = info == null ? "" : reference(kind, info.code());
        for (CatalogueStore.Entry e : catalogue.ofKind(kind)) {
            options.add(new EntryForm.Option(reference(kind, e.code()), e.name()));
        }
        if (info != null && options.stream().noneMatch(o -> o.value().equals(value))) {
            options.add(0, new EntryForm.Option(value, info.maker() + " " + info.name()));
        }
        if (whole) {
            options.add(0, new EntryForm.Option("", "none"));
        }
        String hint = info == null
                ? "from the catalogue"
                : "this job's copy, edition " + info.edition() + ", "
                        + info.status().words();
        return field.choosing(options, "json").set(value).hinted(hint);
    }

    static String reference(String kind, String code) {
        return Json.write(Map.of("catalogue", kind + "/" + code));
    }

    /** The choice between kinds of an object, as the code family. */
    final EntryForm.Input kinds(Path<?> path, Shape<?> shape, String hint) {
        List<EntryForm.Option> options = new ArrayList<>();
        shape.kinds().forEach(k -> options.add(new EntryForm.Option(k.kind(), k.kindWords())));
        Located at = at(path.kind());
        return new EntryForm.Input(
                path.kind(), at.label(), String.valueOf(at.value()), "", hint, options, "choice", false);
    }

    final EntryForm.Group plain(String title, EntryForm.Input... inputs) {
        return new EntryForm.Group(title, "", "", List.of(inputs));
    }

    /** Inputs of an object that is stored whole or not at all. */
    final EntryForm.Group whole(String title, Path<?> object, EntryForm.Input... inputs) {
        return new EntryForm.Group(title, object.toString(), "", List.of(inputs));
    }

    /** Inputs of a thing that can be removed. */
    final EntryForm.Group thing(String title, Path<?> thing, List<EntryForm.Input> inputs) {
        return new EntryForm.Group(title, "", thing.toString(), inputs);
    }
}
