package whipsaw.core.job;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import whipsaw.core.units.Measure;

/**
 * What a visit found beside the shape of the roof.
 *
 * @param answers by the id of the question
 * @param pins marks on the plan
 * @param unseen whether the array must not be seen from any viewer
 * @param underlay a picture under the plan, or null
 * @param roofName what the roof that is worked on is called
 * @param roofs the other roofs of the job
 */
public record Survey(
        Map<String, Answer> answers,
        List<Pin> pins,
        List<Route> routes,
        List<Viewer> viewers,
        boolean unseen,
        List<Occupant> occupants,
        Underlay underlay,
        String roofName,
        List<OtherRoof> roofs) {

    /** Nobody has been there. */
    public static final Survey NONE =
            new Survey(Map.of(), List.of(), List.of(), List.of(), false, List.of(), null, "Main roof", List.of());

    public Survey {
        answers = Map.copyOf(answers);
        pins = List.copyOf(pins);
        routes = List.copyOf(routes);
        viewers = List.copyOf(viewers);
        occupants = List.copyOf(occupants);
        roofs = List.copyOf(roofs);
    }

    /** The text of an answer, or empty. */
    public String text(String question) {
        Answer answer = answers.get(question);
        return answer == null ? "" : answer.typed();
    }

    /** The number of an answer in SI, or NaN. */
    public double number(String question) {
        Answer answer = answers.get(question);
        return answer == null ? Double.NaN : answer.si();
    }

    public boolean yes(String question) {
        return text(question).equals("yes");
    }

    /** How an answer is known. */
    public enum How {
        MEASURED,
        TOLD,
        ASSUMED;

        /** As documents write it. */
        public String key() {
            return name().toLowerCase(java.util.Locale.ROOT);
        }
    }

    /**
     * @param si value of a number or dimension, NaN of a text
     * @param by who found it, may be empty
     * @param on when, or null
     */
    public record Answer(String typed, double si, How how, String by, LocalDate on) {}

    /**
     * A mark on the plan: a hazard, old damage, a way up, a place for lifting, a point of the electrical service.
     *
     * @param reach of a machine or hoist, or null
     * @param load it lifts or bears, or null
     * @param photos ids of pictures
     */
    public record Pin(
            String id,
            String kind,
            Measure x,
            Measure y,
            String note,
            Measure reach,
            Measure load,
            String by,
            LocalDate seen,
            List<String> photos) {
        public Pin {
            photos = List.copyOf(photos);
        }
    }

    /**
     * A way for cables that is there.
     *
     * @param keys who holds the keys to it, may be empty
     */
    public record Route(String id, String name, String note, String keys, List<RouteLeg> legs) {
        public Route {
            legs = List.copyOf(legs);
        }

        public double lengthM() {
            return legs.stream().mapToDouble(l -> l.length().si()).sum();
        }
    }

    /**
     * @param vertical a rise or drop
     * @param place on the plan, or null
     * @param photos ids of pictures
     */
    public record RouteLeg(String name, boolean vertical, Measure length, LegPlace place, List<String> photos) {
        public RouteLeg {
            photos = List.copyOf(photos);
        }
    }

    /**
     * Where a leg lies on the plan.
     *
     * @param toX of its other end; null of a rise or drop
     * @param toY of it
     */
    public record LegPlace(Measure x, Measure y, Measure toX, Measure toY) {
        /** Straight from end to end; 0 of a rise or drop. */
        public double lengthM() {
            return toX == null ? 0 : Math.hypot(toX.si() - x.si(), toY.si() - y.si());
        }
    }

    /**
     * Somebody looking at the roof.
     *
     * @param eye above the ground where they stand
     * @param ground there above the building's ground
     */
    public record Viewer(String id, String name, Measure x, Measure y, Measure eye, Measure ground) {}

    /**
     * Use of electricity.
     *
     * @param kw mean power of each hour of the day, 24 of them
     * @param source where the figures come from
     * @param year of readings, or null
     */
    public record Occupant(String id, String name, String meter, List<Double> kw, String source, Year year) {
        public Occupant {
            kw = List.copyOf(kw);
        }

        public double kwMost() {
            return kw.stream().mapToDouble(Double::doubleValue).max().orElse(0);
        }

        public double kwhPerDay() {
            return kw.stream().mapToDouble(Double::doubleValue).sum();
        }
    }

    /**
     * Mean power of every hour of 365 days by the tariff's clock; 29 February is none of them.
     *
     * @param zone of the tariff, as {@code Europe/London}
     * @param from first day
     * @param summerFrom first month of the tariff's summer
     * @param summerTo last month of it
     * @param kw 8760 of them
     */
    public record Year(String zone, LocalDate from, int summerFrom, int summerTo, List<Double> kw) {
        public Year {
            kw = List.copyOf(kw);
        }

        public double kwh() {
            return kw.stream().mapToDouble(Double::doubleValue).sum();
        }

        public double kwMost() {
            return kw.stream().mapToDouble(Double::doubleValue).max().orElse(0);
        }
    }

    /**
     * A picture on the plan.
     *
     * @param x of its upper left corner
     * @param metresPerPixel scale
     * @param turnDeg anticlockwise about that corner
     * @param opacityPct how strongly it shows
     */
    public record Underlay(
            String picture, Measure x, Measure y, double metresPerPixel, double turnDeg, double opacityPct) {}

    /**
     * A roof of the job that is not worked on at the moment.
     *
     * @param x of its origin on the sheet of the roof that is
     * @param y of it
     */
    public record OtherRoof(String id, String name, Measure x, Measure y, Job.Roof roof) {}
}
