package whipsaw.app.job;

import java.util.List;
import java.util.Map;
import whipsaw.app.entry.InputNames;
import whipsaw.core.job.DocumentPatch;
import whipsaw.core.job.Job;
import whipsaw.core.job.JobPaths;
import whipsaw.core.job.Obstruction;
import whipsaw.core.job.Roof;

/** A change in words, for the history: what was changed, from what to what. */
final class RevisionWords {
    private static final int LONGEST = 160;

    private RevisionWords() {}

    static String of(Job before, Job after, List<DocumentPatch.Change> changes, InputNames names) {
        DocumentPatch.Change first = changes.get(0);
        String words = obstruction(before, after, first, names);
        if (words == null) {
            String name = names.name(first.path());
            words = switch (first.op()) {
                case "remove" -> name + " removed";
                case "append" -> name + ": one added";
                default -> name + " changed" + to(first, names);
            };
        }
        return words.length() > LONGEST ? words.substring(0, LONGEST - 1) + "…" : words;
    }

    private static String to(DocumentPatch.Change change, InputNames names) {
        Object value = change.value();
        String part = names.part(value);
        return value instanceof Map<?, ?> || value instanceof List<?> || value == null
                ? part.isEmpty() ? "" : " to " + part
                : value.equals("") ? " to none" : " to " + names.value(change.path(), value);
    }

    private static String obstruction(Job before, Job after, DocumentPatch.Change change, InputNames names) {
        if (!change.path().startsWith(JobPaths.ROOF.to(Roof::obstructions).toString())) {
            return null;
        }
        if (change.op().equals("append")) {
            var added = after.roof().obstructions();
            return added.get(added.size() - 1).name() + " added";
        }
        for (Obstruction o : before.roof().obstructions()) {
            if (!change.path().contains("[id=" + o.id() + "]")) {
                continue;
            }
            if (change.op().equals("remove")) {
                return o.name() + " removed";
            }
            boolean moved = change.path().endsWith(".x") || change.path().endsWith(".y");
            return moved ? o.name() + " moved" : names.name(change.path()) + " changed" + to(change, names);
        }
        return null;
    }
}
