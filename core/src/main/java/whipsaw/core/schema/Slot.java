package whipsaw.core.schema;

import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import whipsaw.core.units.Measure;

/** One component of a record that holds an input: what was declared of it, and how it is read and written. */
public final class Slot {
    private final Input input;
    private final String name;
    private final String key;
    private final RecordComponent component;
    private final List<String> choices;
    private final Codec codec;
    private final Object absent;

    Slot(RecordComponent component) {
        this.component = component;
        this.name = component.getName();
        this.input = component.getAnnotation(Input.class);
        if (input == null) {
            throw new IllegalStateException(component + " is declared as no input");
        }
        this.key = input.key().equals(Input.NONE) ? name : input.key();
        this.choices = choices(input);
        this.codec = Codecs.of(component, input);
        this.absent = input.orElse().equals(Input.NONE)
                ? Codecs.absent(component)
                : Codecs.parsed(this, codec, input.orElse());
        if (input.words().length > 0 && input.words().length != choices().size()) {
            throw new IllegalStateException(component + " has other words than choices");
        }
    }

    private static List<String> choices(Input input) {
        if (input.from() == Choices.class) {
            return List.of(input.choices());
        }
        return Codecs.made(input.from()).names();
    }

    /** What was declared. */
    public Input input() {
        return input;
    }

    /** Name of the component. */
    public String name() {
        return name;
    }

    /** Name in documents. */
    public String key() {
        return key;
    }

    /** What it is called. */
    public String label() {
        return input.label();
    }

    /** What a choice may be; empty when it is no choice. */
    public List<String> choices() {
        if (choices.isEmpty() && (type() == boolean.class || type() == Boolean.class)) {
            return List.of("false", "true");
        }
        if (!choices.isEmpty() || !type().isEnum()) {
            return choices;
        }
        return Arrays.stream(component.getType().getEnumConstants())
                .map(Codecs::word)
                .toList();
    }

    /** A choice in words. */
    public String words(String choice) {
        int at = choices().indexOf(choice);
        return at >= 0 && at < input.words().length ? input.words()[at] : choice;
    }

    /** Type of the component. */
    public Class<?> type() {
        return component.getType();
    }

    /** What a dimension measures and in which range. */
    public Field field() {
        return new Field(input.label(), input.dim(), input.least(), input.most());
    }

    /** Declarations of an object, or of the objects of a list; null of what is no object. */
    public Shape<?> element() {
        return codec instanceof Codecs.Nested nested ? nested.shape() : null;
    }

    /** Whether it holds a list of objects. */
    public boolean list() {
        return codec instanceof Codecs.ObjectList;
    }

    /** Whether it may be left out of a document. */
    public boolean optional() {
        return input.optional()
                || !input.orElse().equals(Input.NONE)
                || input.when().length > 0
                || codec instanceof Codecs.ObjectList && input.fewest() == 0
                || codec instanceof Codecs.OneObject && absent() != null;
    }

    /** One of a list of objects by its own name or its number. */
    String entryName(Object by, int index, int count) {
        if (input.sole() && count <= 1) {
            return "";
        }
        String each = input.each().isEmpty() ? input.label() : input.each();
        boolean told = by instanceof String text ? !text.isBlank() : by instanceof Number;
        String own =
                !told ? String.valueOf(index + 1) : by instanceof Number n ? String.valueOf(n.intValue()) : by + "";
        return told && input.each().isEmpty() ? own : each + " " + own;
    }

    /** The value that stands for an absent one. */
    Object absent() {
        return absent;
    }

    /** The value of a new document, as documents hold it; null when nothing was declared. */
    public Object start() {
        return input.start().equals(Input.NONE) ? null : codec.write(Codecs.parsed(this, codec, input.start()), this);
    }

    Object read(Doc doc) {
        return doc.has(key) || !optional() || codec instanceof Codecs.ObjectList ? codec.read(doc, this) : absent();
    }

    /** The value as documents hold it; null when it is left out. */
    Object write(Object value) {
        boolean none = value == null
                || value.equals("")
                || value instanceof Double d && d.isNaN()
                || (input.quiet() || codec instanceof Codecs.OneObject) && Objects.equals(value, absent());
        boolean written = value != null && value.equals("") && input.orElse().isEmpty();
        return none && !written ? null : codec.write(value, this);
    }

    /** Whether a value is there and not the one that holds when nothing is said. */
    public boolean unlike(Object value) {
        boolean declared = !input.orElse().equals(Input.NONE) && (type() == Measure.class || type() == String.class);
        return value != null
                && !(declared && value.equals(absent()))
                && !(type() == int.class && input.optional() && value.equals(0));
    }

    /** A value as documents hold it. */
    public Object written(Object value) {
        return codec.write(value, this);
    }

    Object schema(JsonSchema.Definitions definitions) {
        return codec.schema(this, definitions);
    }

    Codec codec() {
        return codec;
    }

    @Override
    public String toString() {
        return component.getDeclaringRecord().getSimpleName() + "." + name;
    }
}
