package whipsaw.core.calc;

import java.util.List;
import java.util.Map;
import java.util.function.BiConsumer;
import whipsaw.core.data.CodeWords;

/**
 * A calculation that needs no job.
 *
 * @param name key, for example {@code velocity_pressure}
 * @param title for a page
 * @param basis clause or method
 * @param fields what a form asks for; the one field {@link #WHOLE} where the inputs hold lists
 */
public record Topic(
        String name, String title, String basis, List<Field> fields, BiConsumer<CalcInputs, CalcOutputs> formula) {

    /**
     * One input of a form.
     *
     * @param key as in the inputs object
     * @param label with unit
     * @param example shown as the first value
     * @param choices allowed texts; empty for a number or free text
     */
    public record Field(String key, String label, String example, List<String> choices) {
        /** A choice as a reader sees it. */
        public String shown(String choice) {
            return CodeWords.of(choice);
        }
    }

    public Topic {
        fields = List.copyOf(fields);
    }

    /** Key of the one field of a calculation whose inputs hold lists: the whole inputs object. */
    public static final String WHOLE = "inputs";

    static List<Field> whole(String example) {
        return List.of(new Field(WHOLE, "Inputs object, JSON", example, List.of()));
    }

    static Field field(String key, String label, String example, String... choices) {
        return new Field(key, label, example, List.of(choices));
    }

    /**
     * Computes it.
     *
     * @throws CalcException when an input is missing or not allowed
     */
    public Map<String, Object> run(Map<String, ?> inputs) {
        return compute(inputs).values();
    }

    /**
     * The same with the lines of its working.
     *
     * @throws CalcException when an input is missing or not allowed
     */
    public CalcOutputs compute(Map<String, ?> inputs) {
        CalcOutputs out = new CalcOutputs();
        CalcInputs in = new CalcInputs(inputs == null ? Map.of() : inputs);
        try {
            formula.accept(in, out);
        } catch (CalcException e) {
            throw e;
        } catch (IllegalArgumentException | ArithmeticException | IndexOutOfBoundsException e) {
            // a formula that cannot take these values together: each of them was allowed
            throw new CalcException("inputs", "cannot be computed together: " + e.getMessage());
        }
        in.done();
        return out;
    }
}
