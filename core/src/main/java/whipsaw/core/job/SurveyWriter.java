package whipsaw.core.job;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import whipsaw.core.units.Quantity;

/** Writes what a visit found. */
final class SurveyWriter {
    private static final int HOURS = 24;

    private SurveyWriter() {}

    static Object survey(Survey survey) {
        Tree answers = new Tree();
        for (SurveyQuestion q : SurveyQuestion.all()) {
            Survey.Answer a = survey.answers().get(q.id());
            if (a != null) {
                answers.put(q.id(), answer(a, q));
            }
        }
        Tree doc = new Tree();
        doc.put("answers", answers.map);
        doc.put("pins", Tree.list(survey.pins(), SurveyWriter::pin));
        doc.put("routes", Tree.list(survey.routes(), SurveyWriter::route));
        doc.put("viewers", Tree.list(survey.viewers(), v -> new Tree()
                .put("id", v.id())
                .put("name", v.name())
                .length("x", v.x())
                .length("y", v.y())
                .length("eye", v.eye())
                .length("ground", v.ground())
                .map));
        doc.put("unseen", survey.unseen());
        doc.put("occupants", Tree.list(survey.occupants(), o -> new Tree()
                .put("id", o.id())
                .put("name", o.name())
                .text("meter", o.meter())
                .put("kw", o.kw())
                .text("source", o.source())
                .put("year", o.year() == null ? null : year(o.year()))
                .map));
        doc.put("roofName", survey.roofName());
        if (!survey.roofs().isEmpty()) {
            doc.put("roofs", Tree.list(survey.roofs(), r -> new Tree()
                    .put("id", r.id())
                    .put("name", r.name())
                    .length("x", r.x())
                    .length("y", r.y())
                    .put("roof", RoofWriter.roof(r.roof()))
                    .map));
        }
        Survey.Underlay u = survey.underlay();
        if (u != null) {
            doc.put(
                    "underlay",
                    new Tree()
                            .put("picture", u.picture())
                            .length("x", u.x())
                            .length("y", u.y())
                            .put("metresPerPixel", u.metresPerPixel())
                            .put("turnDeg", u.turnDeg())
                            .put("opacityPct", u.opacityPct())
                            .map);
        }
        return doc.map;
    }

    private static Object answer(Survey.Answer a, SurveyQuestion q) {
        Tree doc = new Tree();
        switch (q.kind()) {
            case DIMENSION -> doc.put(
                    "value",
                    new Tree()
                            .put("typed", a.typed())
                            .put(q.dimension().quantity().siKey(), a.si())
                            .map);
            case NUMBER -> doc.put("value", a.si());
            default -> doc.put("value", a.typed());
        }
        return doc.put("how", a.how().key())
                .text("by", a.by())
                .put("on", a.on() == null ? null : a.on().toString())
                .map;
    }

    private static Object pin(Survey.Pin p) {
        return new Tree()
                .put("id", p.id())
                .put("kind", p.kind())
                .length("x", p.x())
                .length("y", p.y())
                .text("note", p.note())
                .length("reach", p.reach())
                .measure("load", p.load(), Quantity.MASS)
                .text("by", p.by())
                .put("seen", p.seen() == null ? null : p.seen().toString())
                .put("photos", p.photos().isEmpty() ? null : p.photos())
                .map;
    }

    static Object year(Survey.Year y) {
        List<String> days = new ArrayList<>();
        for (int d = 0; d * HOURS < y.kw().size(); d++) {
            days.add(y.kw().subList(d * HOURS, (d + 1) * HOURS).stream()
                    .map(v -> v == Math.rint(v) ? String.valueOf(Math.round(v)) : String.valueOf(v))
                    .collect(Collectors.joining(" ")));
        }
        return new Tree()
                .put("zone", y.zone())
                .put("from", y.from().toString())
                .put("summerFrom", y.summerFrom())
                .put("summerTo", y.summerTo())
                .put("days", days)
                .map;
    }

    private static Object place(Survey.LegPlace p) {
        return new Tree()
                .length("x", p.x())
                .length("y", p.y())
                .length("toX", p.toX())
                .length("toY", p.toY())
                .map;
    }

    private static Object route(Survey.Route r) {
        return new Tree()
                .put("id", r.id())
                .put("name", r.name())
                .text("note", r.note())
                .text("keys", r.keys())
                .put("legs", Tree.list(r.legs(), leg -> new Tree()
                        .put("name", leg.name())
                        .put("vertical", leg.vertical())
                        .length("length", leg.length())
                        .put("place", leg.place() == null ? null : place(leg.place()))
                        .put("photos", leg.photos().isEmpty() ? null : leg.photos())
                        .map))
                .map;
    }
}
