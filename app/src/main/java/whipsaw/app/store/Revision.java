package whipsaw.app.store;

import java.util.Map;

/**
 * One revision of a job.
 *
 * @param number from 1
 * @param shows the revision whose document this is: itself, or an earlier one after undo or redo
 * @param madeOn the revision that was shown when this was made
 * @param kind create, edit, undo, redo or return
 * @param at instant, UTC
 */
public record Revision(
        int number,
        int shows,
        int madeOn,
        String kind,
        String who,
        String at,
        String words,
        Map<String, Object> document) {}
