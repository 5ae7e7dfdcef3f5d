package whipsaw.app.job;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.Job;

/** A change in words, for the history: what was changed, from what to what. */
public final class RevisionWords {
    private static final Map<String, String> NAMES = Map.ofEntries(
            Map.entry("project.name", "Job name"),
            Map.entry("roof.outline", "Outline"),
            Map.entry("roof.height", "Mean roof height"),
            Map.entry("roof.slope", "Fall of the roof"),
            Map.entry("roof.covering", "Covering"),
            Map.entry("roof.allowance", "Allowance for added load"),
            Map.entry("roof.bays", "Bays"),
            Map.entry("site.family", "Code family"),
            Map.entry("site.snow", "Ground snow load"),
            Map.entry("site.wind", "Basic wind speed"),
            Map.entry("site.exposure", "Exposure"),
            Map.entry("array.tilt", "Tilt"),
            Map.entry("array.gap", "Row gap"),
            Map.entry("array.facing", "Facing"),
            Map.entry("array.setback", "Set-back"),
            Map.entry("array.walkway", "Walkway"),
            Map.entry("array.module", "Module"),
            Map.entry("array.block", "Block"),
            Map.entry("array.tray", "Tray system"),
            Map.entry("array.removed", "Modules taken out"),
            Map.entry("electrical.inverter", "Inverter"),
            Map.entry("electrical.run.points", "Route of the AC run"));
    private static final int LONGEST = 160;

    private RevisionWords() {}

    static String of(Job before, Job after, List<DocumentPatch.Change> changes) {
        DocumentPatch.Change first = changes.get(0);
        String words = obstruction(before, after, first);
        if (words == null) {
            String name = name(first.path());
            words = switch (first.op()) {
                case "remove" -> name + " removed";
                case "append" -> name + " added";
                default -> name + " changed" + to(first.value());
            };
        }
        return words.length() > LONGEST ? words.substring(0, LONGEST - 1) + "…" : words;
    }

    private static String to(Object value) {
        return value instanceof Map<?, ?> || value instanceof List<?> || value == null
                ? ""
                : value.equals("") ? " to none" : " to " + value;
    }

    private static String obstruction(Job before, Job after, DocumentPatch.Change change) {
        if (!change.path().startsWith("$.roof.obstructions")) {
            return null;
        }
        if (change.op().equals("append")) {
            var added = after.roof().obstructions();
            return added.get(added.size() - 1).name() + " added";
        }
        for (Job.Obstruction o : before.roof().obstructions()) {
            if (!change.path().contains("[id=" + o.id() + "]")) {
                continue;
            }
            if (change.op().equals("remove")) {
                return o.name() + " removed";
            }
            boolean moved = change.path().endsWith(".x") || change.path().endsWith(".y");
            return o.name() + (moved ? " moved" : ", " + last(change.path()) + to(change.value()));
        }
        return null;
    }

    /** A field of the document as a person calls it. */
    public static String name(String path) {
        String plain = path.substring(2).replaceAll("\\[[^]]*]", "");
        for (String key = plain; !key.isEmpty(); key = key.substring(0, Math.max(0, key.lastIndexOf('.')))) {
            if (NAMES.containsKey(key)) {
                return key.equals(plain) ? NAMES.get(key) : NAMES.get(key) + ", " + last(plain);
            }
        }
        return plain.substring(0, 1).toUpperCase(Locale.ROOT)
                + plain.substring(1).replace('.', ' ');
    }

    private static String last(String path) {
        return path.substring(path.lastIndexOf('.') + 1);
    }
}
