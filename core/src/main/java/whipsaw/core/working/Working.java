package whipsaw.core.working;

import java.util.ArrayList;
import java.util.List;

/**
 * How one figure was found, so that a person can check it by hand.
 *
 * @param figure key, for example {@code site.qh}
 * @param title of the figure
 * @param answer with unit
 * @param steps in order of computation
 * @param notes limits, conventions and cautions
 * @param plot the curve its coefficient was read from; null without one
 */
public record Working(String figure, String title, String answer, List<Step> steps, List<String> notes, Plot plot) {

    public Working {
        steps = List.copyOf(steps);
        notes = List.copyOf(notes);
    }

    /** Status of the least reliable value used directly in it. */
    public DataStatus status() {
        return steps.stream().map(Step::status).reduce(null, DataStatus::worse);
    }

    /** Begins a working of a figure with its title and its answer. */
    public static Builder of(String figure, String title, String answer) {
        return new Builder(figure, title, answer);
    }

    /** Collects the lines of a working. */
    public static final class Builder {
        private final String figure;
        private final String title;
        private final String answer;
        private final List<Step> steps = new ArrayList<>();
        private final List<String> notes = new ArrayList<>();
        private Plot plot;

        private Builder(String figure, String title, String answer) {
            this.figure = figure;
            this.title = title;
            this.answer = answer;
        }

        /** One more line, of terms one by one. */
        public Builder step(
                String symbol, String meaning, String formula, String result, String clause, Term... terms) {
            steps.add(Step.of(symbol, meaning, formula, result, clause, terms));
            return this;
        }

        /** More lines. */
        public Builder steps(List<Step> more) {
            steps.addAll(more);
            return this;
        }

        /** A note below the lines. */
        public Builder note(String note) {
            notes.add(note);
            return this;
        }

        /** A curve with the place it was read at. */
        public Builder plot(Plot drawn) {
            plot = drawn;
            return this;
        }

        /** The working as it stands. */
        public Working build() {
            return new Working(figure, title, answer, steps, notes, plot);
        }
    }
}
