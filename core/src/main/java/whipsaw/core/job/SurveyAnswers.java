package whipsaw.core.job;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import whipsaw.core.schema.Codec;
import whipsaw.core.schema.Doc;
import whipsaw.core.schema.JsonSchema;
import whipsaw.core.schema.Slot;
import whipsaw.core.units.Measure;

/** Answers by the id of their question; what a value may be is said by the question. */
final class SurveyAnswers implements Codec {
    private static final List<String> HOW = List.of("measured", "told", "assumed");
    private static final int LONGEST = 300;
    private static final int LONGEST_NAME = 80;

    @Override
    public Object read(Doc doc, Slot slot) {
        Map<String, Survey.Answer> answers = new LinkedHashMap<>();
        Doc given = doc.member(slot.key(), slot.label(), "");
        if (given == null) {
            return answers;
        }
        for (SurveyQuestion q : SurveyQuestion.all()) {
            if (q.kind() != SurveyQuestion.Kind.PATH && given.has(q.id())) {
                Doc answer = given.member(q.id(), q.label(), q.label());
                if (answer != null) {
                    answers.put(q.id(), answer(answer, q));
                    answer.done();
                }
            }
        }
        given.done();
        return answers;
    }

    private static Survey.Answer answer(Doc a, SurveyQuestion q) {
        String how = a.has("how") ? a.choice("how", "How it is known", HOW) : "told";
        Survey.How known = Survey.How.valueOf(how.toUpperCase(Locale.ROOT));
        double si = Double.NaN;
        String typed = "";
        switch (q.kind()) {
            case DIMENSION -> {
                Measure m = a.measure("value", q.field());
                typed = m.typed();
                si = m.si();
                known = m.assumed() ? Survey.How.ASSUMED : known;
            }
            case NUMBER -> {
                si = a.number("value", q.label(), q.least(), q.most());
                typed = si == Math.rint(si) ? String.valueOf((long) si) : String.valueOf(si);
            }
            case CHOICE, YES_NO -> typed = a.choice("value", q.label(), q.options());
            case DATE -> typed = String.valueOf(a.date("value", q.label()));
            default -> typed = a.text("value", q.label(), LONGEST);
        }
        return new Survey.Answer(
                typed,
                si,
                known,
                a.has("by") && !"".equals(a.raw("by")) ? a.text("by", "Told by", LONGEST_NAME) : "",
                a.has("on") ? a.date("on", "Found on") : null);
    }

    @Override
    public Object write(Object value, Slot slot) {
        Map<String, Object> answers = new LinkedHashMap<>();
        for (SurveyQuestion q : SurveyQuestion.all()) {
            Survey.Answer a = (Survey.Answer) ((Map<?, ?>) value).get(q.id());
            if (a != null) {
                answers.put(q.id(), written(a, q));
            }
        }
        return answers;
    }

    private static Map<String, Object> written(Survey.Answer a, SurveyQuestion q) {
        Map<String, Object> object = new LinkedHashMap<>();
        object.put("value", q.kind() == SurveyQuestion.Kind.NUMBER ? (Object) a.si() : a.typed());
        if (q.kind() == SurveyQuestion.Kind.DIMENSION) {
            Map<String, Object> measure = new LinkedHashMap<>();
            measure.put("typed", a.typed());
            measure.put(q.dimension().quantity().siKey(), a.si());
            object.put("value", measure);
        }
        object.put("how", a.how().key());
        if (!a.by().isEmpty()) {
            object.put("by", a.by());
        }
        if (a.on() != null) {
            object.put("on", a.on().toString());
        }
        return object;
    }

    @Override
    public Map<String, Object> schema(Slot slot, JsonSchema.Definitions definitions) {
        Map<String, Object> properties = new LinkedHashMap<>();
        for (SurveyQuestion q : SurveyQuestion.all()) {
            if (q.kind() != SurveyQuestion.Kind.PATH) {
                Map<String, Object> answer = new LinkedHashMap<>();
                answer.put("value", value(q, definitions));
                answer.put("how", JsonSchema.choice(HOW));
                answer.put("by", JsonSchema.text(LONGEST_NAME, null));
                answer.put("on", Map.of("type", "string", "pattern", "^\\d{4}-\\d{2}-\\d{2}$"));
                properties.put(q.id(), JsonSchema.object(answer, List.of("value")));
            }
        }
        return JsonSchema.object(properties, List.of());
    }

    private static Map<String, Object> value(SurveyQuestion q, JsonSchema.Definitions definitions) {
        Map<String, Object> value = new LinkedHashMap<>();
        value.put("title", q.label());
        switch (q.kind()) {
            case DIMENSION -> value.putAll(definitions.dimension(q.field()));
            case NUMBER -> value.putAll(JsonSchema.number("number", q.least(), q.most()));
            case CHOICE, YES_NO -> value.putAll(JsonSchema.choice(q.options()));
            default -> value.putAll(JsonSchema.text(LONGEST, "\\S"));
        }
        return value;
    }
}
