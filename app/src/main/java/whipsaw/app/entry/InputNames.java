package whipsaw.app.entry;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import whipsaw.app.store.CatalogueStore;
import whipsaw.core.design.Design;
import whipsaw.core.table.CodeTables;

/** What an input of a job is called: in the history and in a comparison as in the form. */
public final class InputNames {
    /** What is changed on the drawing or in forms of its own. */
    private static final Map<String, String> ELSEWHERE = Map.of(
            "$.project.name", "Job name",
            "$.roof.outline", "Outline",
            "$.roof.bays", "Bays",
            "$.array.facing", "Facing",
            "$.array.walkway", "Walkway",
            "$.array.removed", "Modules taken out",
            "$.electrical.run.points", "Route of the AC run",
            "$.roof.allowance", "Allowance for added load");

    private final CatalogueStore catalogue;
    private final CodeTables tables;
    private final List<Design> designs;
    private final Map<Integer, List<EntryForm.Group>> forms = new HashMap<>();

    /**
     * Names of some designs.
     *
     * @param catalogue parts to choose from
     * @param tables in force
     * @param designs of which the first that has an input names it
     */
    public InputNames(CatalogueStore catalogue, CodeTables tables, Design... designs) {
        this.catalogue = catalogue;
        this.tables = tables;
        this.designs = List.of(designs);
    }

    /**
     * The name of an input.
     *
     * @param path in the document, for example {@code $.site.wind}
     * @return as the form has it, with the thing it belongs to; the path in words where no form has it
     */
    public String name(String path) {
        String rest = "";
        for (String at = path; at.length() > 1; at = parent(at)) {
            Optional<String> name = known(at).or(elsewhere(at));
            if (name.isPresent()) {
                return name.get() + rest;
            }
            rest = ", " + last(at) + rest;
        }
        return plain(path);
    }

    /**
     * A value in the words of the form.
     *
     * @param path of the input
     * @param value as it was sent
     * @return the words of a choice, else the value itself
     */
    public String value(String path, Object value) {
        String sent = String.valueOf(value);
        return find(path)
                .flatMap(i -> i.options().stream()
                        .filter(o -> o.value().equals(sent))
                        .findFirst()
                        .map(EntryForm.Option::words))
                .orElse(sent);
    }

    private static Supplier<Optional<String>> elsewhere(String path) {
        return () -> Optional.ofNullable(ELSEWHERE.get(path));
    }

    private Optional<EntryForm.Input> find(String path) {
        for (int i = 0; i < designs.size(); i++) {
            for (EntryForm.Group group : groups(i)) {
                Optional<EntryForm.Input> input = input(group, path);
                if (input.isPresent()) {
                    return input;
                }
            }
        }
        return Optional.empty();
    }

    /** Fields of things that are shut are made only when the path is theirs. */
    private static Optional<EntryForm.Input> input(EntryForm.Group group, String path) {
        return group.shut() && !path.startsWith(group.common())
                ? Optional.empty()
                : group.inputs().stream().filter(i -> i.path().equals(path)).findFirst();
    }

    private Optional<String> known(String path) {
        for (int i = 0; i < designs.size(); i++) {
            for (EntryForm.Group group : groups(i)) {
                if (!group.title().isEmpty()
                        && (path.equals(group.thing()) || path.equals(group.object()) || path.equals(group.common()))) {
                    return Optional.of(group.title());
                }
                Optional<EntryForm.Input> input = input(group, path);
                if (input.isPresent()) {
                    return Optional.of(named(group, input.get().label()));
                }
            }
        }
        return Optional.empty();
    }

    /** A label says enough by itself, except for one of many things. */
    private static String named(EntryForm.Group group, String label) {
        boolean one = group.thing().isEmpty() && group.object().isEmpty();
        return one || group.title().isEmpty() ? label : group.title() + ": " + label;
    }

    private List<EntryForm.Group> groups(int design) {
        return forms.computeIfAbsent(design, i -> EntryForm.of(designs.get(i), catalogue, tables).stream()
                .flatMap(s -> s.groups().stream())
                .toList());
    }

    private static String parent(String path) {
        int dot = path.lastIndexOf('.');
        int bracket = path.lastIndexOf('[');
        return path.substring(0, Math.max(0, Math.max(dot, bracket)));
    }

    private static String last(String path) {
        String piece = path.substring(Math.max(path.lastIndexOf('.'), path.lastIndexOf('[')) + 1);
        return piece.replaceAll("^\\w+=|]$", "")
                .replaceAll("([a-z])([A-Z])", "$1 $2")
                .toLowerCase(Locale.ROOT);
    }

    private static String plain(String path) {
        String words = path.substring(Math.min(2, path.length()))
                .replaceAll("\\[[^]]*]", "")
                .replace('.', ' ')
                .replaceAll("([a-z])([A-Z])", "$1 $2")
                .toLowerCase(Locale.ROOT);
        return words.isEmpty() ? "The job" : words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }
}
