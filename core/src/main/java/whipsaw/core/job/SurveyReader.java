package whipsaw.core.job;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import whipsaw.core.units.Measure;

/** Reads what a visit found. */
final class SurveyReader {
    private static final int MOST = 500;
    private static final int HOURS = 24;
    private static final int DAYS = 365;
    private static final double MOST_KW = 100_000;

    private SurveyReader() {}

    static Survey survey(Doc doc) {
        Map<String, Survey.Answer> answers = new LinkedHashMap<>();
        Doc given = doc.objectOrNull("answers", "Answers");
        if (given != null) {
            for (SurveyQuestion q : SurveyQuestion.all()) {
                if (q.kind() != SurveyQuestion.Kind.PATH && given.has(q.id())) {
                    Doc answer = given.object(q.id(), q.label());
                    if (answer != null) {
                        answers.put(q.id(), answer(answer, q));
                        answer.done();
                    }
                }
            }
            given.done();
        }
        List<Survey.Pin> pins = new ArrayList<>();
        for (Doc p : doc.objects("pins", "Pins", MOST)) {
            pins.add(pin(p));
            p.done();
        }
        List<Survey.Route> routes = new ArrayList<>();
        for (Doc r : doc.objects("routes", "Cable routes", MOST)) {
            routes.add(route(r));
            r.done();
        }
        List<Survey.Viewer> viewers = new ArrayList<>();
        for (Doc v : doc.objects("viewers", "Viewers", 50)) {
            viewers.add(new Survey.Viewer(
                    v.text("id", "Id", 40),
                    v.text("name", "Name of the viewer", 60),
                    v.measure("x", Fields.FAR_COORDINATE),
                    v.measure("y", Fields.FAR_COORDINATE),
                    v.measure("eye", Fields.EYE),
                    v.measure("ground", Fields.GROUND)));
            v.done();
        }
        List<Survey.Occupant> occupants = new ArrayList<>();
        for (Doc o : doc.objects("occupants", "Occupants", 50)) {
            occupants.add(new Survey.Occupant(
                    o.text("id", "Id", 40),
                    o.text("name", "Name of the occupant", 80),
                    o.textOrEmpty("meter", "Meter", 40),
                    o.numbers("kw", "Power by the hour, kW", HOURS, 0, 100_000),
                    o.textOrEmpty("source", "Source", 160),
                    year(o.objectOrNull("year", "Year of readings"))));
            o.done();
        }
        List<Survey.OtherRoof> roofs = new ArrayList<>();
        for (Doc r : doc.objects("roofs", "Other roofs", 20)) {
            Doc roof = r.object("roof", "Roof");
            roofs.add(new Survey.OtherRoof(
                    r.text("id", "Id", 40),
                    r.text("name", "Name of the roof", 60),
                    r.measure("x", Fields.COORDINATE),
                    r.measure("y", Fields.COORDINATE),
                    roof == null ? null : RoofReader.roof(roof)));
            if (roof != null) {
                roof.done();
            }
            r.done();
        }
        String name = doc.textOrEmpty("roofName", "Name of the roof", 60);
        return new Survey(
                answers,
                pins,
                routes,
                viewers,
                doc.flag("unseen", "Must not be seen", false),
                occupants,
                underlay(doc),
                name.isEmpty() ? Survey.NONE.roofName() : name,
                roofs);
    }

    /** Each day a text of 24 numbers. */
    private static Survey.Year year(Doc doc) {
        if (doc == null) {
            return null;
        }
        String zone = doc.text("zone", "Time zone of the tariff", 60);
        if (zone != null && !ZoneId.getAvailableZoneIds().contains(zone)) {
            doc.problem("zone", "Time zone of the tariff", zone, "is not known: for example Europe/London");
        }
        LocalDate from = doc.date("from", "First day");
        int summerFrom = doc.whole("summerFrom", "Summer from month", 1, 12);
        int summerTo = doc.whole("summerTo", "Summer to month", 1, 12);
        List<Double> kw = new ArrayList<>();
        List<String> days = doc.texts("days", "Days of readings", DAYS, 400);
        if (days.size() != DAYS) {
            doc.problem("days", "Days of readings", days.size() + " days", "are not 365");
        }
        for (int d = 0; d < days.size(); d++) {
            String[] hours = days.get(d).strip().split(" ");
            for (String hour : hours) {
                double value = kw(hour);
                if (hours.length != HOURS || !(value >= 0 && value <= MOST_KW)) {
                    doc.problem(
                            "days",
                            "Days of readings",
                            hours.length != HOURS ? hours.length + " numbers" : hour,
                            "on day " + (d + 1) + ": a day is 24 numbers of 0 to 100 000 kW with a space between");
                    d = days.size();
                    break;
                }
                kw.add(value);
            }
        }
        doc.done();
        return new Survey.Year(zone, from, summerFrom, summerTo, kw);
    }

    private static double kw(String text) {
        try {
            return Double.parseDouble(text);
        } catch (NumberFormatException e) {
            return Double.NaN;
        }
    }

    private static Survey.Answer answer(Doc a, SurveyQuestion q) {
        String how = a.has("how") ? a.choice("how", q.label(), List.of("measured", "told", "assumed")) : "told";
        Survey.How known = Survey.How.valueOf(how.toUpperCase(java.util.Locale.ROOT));
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
            default -> typed = a.text("value", q.label(), 300);
        }
        return new Survey.Answer(typed, si, known, a.textOrEmpty("by", "Found by", 80), a.dateOrNull("on", "Found on"));
    }

    private static Survey.Pin pin(Doc p) {
        return new Survey.Pin(
                p.text("id", "Id", 40),
                p.choice("kind", "Kind of pin", PinKinds.names()),
                p.measure("x", Fields.COORDINATE),
                p.measure("y", Fields.COORDINATE),
                p.textOrEmpty("note", "Note", 300),
                p.measureOrNull("reach", Fields.REACH),
                p.measureOrNull("load", Fields.LIFTS),
                p.textOrEmpty("by", "Seen by", 80),
                p.dateOrNull("seen", "Seen on"),
                p.texts("photos", "Photographs", 20, 80));
    }

    private static Survey.Route route(Doc r) {
        List<Survey.RouteLeg> legs = new ArrayList<>();
        for (Doc leg : r.objects("legs", "Legs", 50)) {
            legs.add(new Survey.RouteLeg(
                    leg.text("name", "Name of the leg", 60),
                    leg.flag("vertical", "Rise or drop", false),
                    leg.measure("length", Fields.LEG),
                    place(leg.objectOrNull("place", "Place of the leg")),
                    leg.texts("photos", "Photographs", 20, 80)));
            leg.done();
        }
        return new Survey.Route(
                r.text("id", "Id", 40),
                r.text("name", "Name of the way", 80),
                r.textOrEmpty("note", "Note", 200),
                r.textOrEmpty("keys", "Keys", 200),
                legs);
    }

    private static Survey.LegPlace place(Doc doc) {
        if (doc == null) {
            return null;
        }
        Survey.LegPlace place = new Survey.LegPlace(
                doc.measure("x", Fields.FAR_COORDINATE),
                doc.measure("y", Fields.FAR_COORDINATE),
                doc.measureOrNull("toX", Fields.FAR_COORDINATE),
                doc.measureOrNull("toY", Fields.FAR_COORDINATE));
        if ((place.toX() == null) != (place.toY() == null)) {
            doc.problem(
                    place.toX() == null ? "toX" : "toY",
                    "Place of the leg",
                    "missing",
                    "give x and y of its other end");
        }
        doc.done();
        return place;
    }

    private static Survey.Underlay underlay(Doc doc) {
        Doc u = doc.objectOrNull("underlay", "Picture under the plan");
        if (u == null) {
            return null;
        }
        Survey.Underlay result = new Survey.Underlay(
                u.text("picture", "Picture", 80),
                u.measure("x", Fields.COORDINATE),
                u.measure("y", Fields.COORDINATE),
                u.number("metresPerPixel", "Scale", 1e-5, 10),
                u.number("turnDeg", "Turn", -360, 360),
                u.number("opacityPct", "Strength, %", 5, 100));
        u.done();
        return result;
    }
}
