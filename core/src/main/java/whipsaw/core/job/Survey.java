package whipsaw.core.job;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import whipsaw.core.schema.Absent;
import whipsaw.core.schema.Choices;
import whipsaw.core.schema.Input;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Measure;

/**
 * What a visit found beside the shape of the roof.
 *
 * @param answers by the id of the question
 * @param pins marks on the plan
 * @param unseen whether the array must not be seen from any viewer
 * @param underlay a picture under the plan, or null
 */
public record Survey(
        @Input(label = "Answers", optional = true, as = SurveyAnswers.class) Map<String, Answer> answers,
        @Input(label = "Pins", by = "kind", many = 500) List<Pin> pins,
        @Input(label = "Cable routes", many = 500) List<Route> routes,
        @Input(label = "Viewers") List<Viewer> viewers,
        @Input(label = "Must not be seen", orElse = "false") boolean unseen,
        @Input(label = "Occupants") List<Occupant> occupants,
        @Input(label = "Picture under the plan", optional = true) Underlay underlay) {

    /** Nobody has been there. */
    @Absent
    public static final Survey NONE = new Survey(Map.of(), List.of(), List.of(), List.of(), false, List.of(), null);

    public Survey {
        answers = Map.copyOf(answers);
        pins = List.copyOf(pins);
        routes = List.copyOf(routes);
        viewers = List.copyOf(viewers);
        occupants = List.copyOf(occupants);
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

    /** Whether a question was answered with yes. */
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
            @Input(label = "Id", longest = 40) String id,
            @Input(label = "Kind", from = PinKinds.Names.class) String kind,
            @Input(label = "At x", dim = Dimension.ROOF_LENGTH, least = -2000, most = 2000) Measure x,
            @Input(label = "At y", dim = Dimension.ROOF_LENGTH, least = -2000, most = 2000) Measure y,
            @Input(label = "Note", longest = 300, optional = true) String note,
            @Input(
                            label = "Reach",
                            dim = Dimension.ROOF_LENGTH,
                            least = 0,
                            most = 200,
                            optional = true,
                            absent = "not known")
                    Measure reach,
            @Input(
                            label = "Capacity",
                            dim = Dimension.MASS,
                            least = 1,
                            most = 100_000,
                            optional = true,
                            absent = "not known")
                    Measure load,
            @Input(label = "Seen by", longest = 80, optional = true) String by,
            @Input(label = "Seen on", optional = true, help = "as 2026-05-31") LocalDate seen,
            @Input(label = "Photographs", many = 20, longest = 80, optional = true) List<String> photos) {
        public Pin {
            photos = List.copyOf(photos);
        }
    }

    /**
     * A way for cables that is there.
     *
     * @param keys who holds the keys to it, may be empty
     */
    public record Route(
            @Input(label = "Id", longest = 40) String id,
            @Input(label = "Name", longest = 80) String name,
            @Input(label = "Note", longest = 200, optional = true, help = "old holes, who to ask") String note,
            @Input(label = "Keys", longest = 200, optional = true, help = "who holds them, and when") String keys,
            @Input(label = "Legs", each = "Leg", by = "") List<RouteLeg> legs) {
        public Route {
            legs = List.copyOf(legs);
        }

        /** Length of all legs, m. */
        public double lengthM() {
            return legs.stream().mapToDouble(l -> l.length().si()).sum();
        }
    }

    /**
     * @param vertical a rise or drop
     * @param place on the plan, or null
     * @param photos ids of pictures
     */
    public record RouteLeg(
            @Input(label = "What it is", longest = 60) String name,
            @Input(label = "Rise or drop", orElse = "false") boolean vertical,
            @Input(label = "Length", dim = Dimension.ROOF_LENGTH, least = 0, most = 200) Measure length,
            @Input(label = "Place on the plan", optional = true) LegPlace place,
            @Input(label = "Photographs", many = 20, longest = 80, optional = true) List<String> photos) {
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
    public record LegPlace(
            @Input(label = "From x", dim = Dimension.ROOF_LENGTH, least = -20_000, most = 20_000) Measure x,
            @Input(label = "From y", dim = Dimension.ROOF_LENGTH, least = -20_000, most = 20_000) Measure y,
            @Input(
                            label = "To x",
                            dim = Dimension.ROOF_LENGTH,
                            least = -20_000,
                            most = 20_000,
                            optional = true,
                            with = "toY")
                    Measure toX,
            @Input(
                            label = "To y",
                            dim = Dimension.ROOF_LENGTH,
                            least = -20_000,
                            most = 20_000,
                            optional = true,
                            with = "toX")
                    Measure toY) {

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
    public record Viewer(
            @Input(label = "Id", longest = 40) String id,
            @Input(label = "Name", longest = 60) String name,
            @Input(label = "At x", dim = Dimension.ROOF_LENGTH, least = -20_000, most = 20_000) Measure x,
            @Input(label = "At y", dim = Dimension.ROOF_LENGTH, least = -20_000, most = 20_000) Measure y,
            @Input(label = "Eye height above their ground", dim = Dimension.ROOF_LENGTH, least = 0.5, most = 100)
                    Measure eye,
            @Input(label = "Their ground above the building's", dim = Dimension.ROOF_LENGTH, least = -200, most = 200)
                    Measure ground) {}

    /**
     * Use of electricity.
     *
     * @param kw mean power of each hour of the day, 24 of them
     * @param source where the figures come from
     * @param year of readings, or null
     */
    public record Occupant(
            @Input(label = "Id", longest = 40) String id,
            @Input(label = "Name", longest = 80) String name,
            @Input(label = "Meter", longest = 40, optional = true) String meter,
            @Input(label = "Power by the hour", unit = "kW", least = 0, most = 100_000, as = DayOfPower.class)
                    List<Double> kw,
            @Input(label = "Source", longest = 160, optional = true, help = "bill, meter, estimate") String source,
            @Input(label = "Year of readings", optional = true) Year year) {
        public Occupant {
            kw = List.copyOf(kw);
        }

        /** Largest demand of an hour, kW. */
        public double kwMost() {
            return kw.stream().mapToDouble(Double::doubleValue).max().orElse(0);
        }

        /** Energy of a day, kWh. */
        public double kwhPerDay() {
            return kw.stream().mapToDouble(Double::doubleValue).sum();
        }
    }

    /** Names of time zones. */
    static final class TimeZones implements Choices {
        @Override
        public List<String> names() {
            return ZoneId.getAvailableZoneIds().stream().sorted().toList();
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
    public record Year(
            @Input(label = "Time zone of the tariff", from = TimeZones.class, help = "as Europe/London") String zone,
            @Input(label = "First day") LocalDate from,
            @Input(label = "Summer tariff from month", least = 1, most = 12) int summerFrom,
            @Input(label = "Summer tariff to month", least = 1, most = 12) int summerTo,
            @Input(label = "Days of readings", key = "days", least = 0, most = 100_000, as = DaysOfPower.class)
                    List<Double> kw) {
        public Year {
            kw = List.copyOf(kw);
        }

        /** Energy of all hours, kWh. */
        public double kwh() {
            return kw.stream().mapToDouble(Double::doubleValue).sum();
        }

        /** Largest demand of an hour, kW. */
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
            @Input(label = "Picture", longest = 80) String picture,
            @Input(label = "Upper left corner at x", dim = Dimension.ROOF_LENGTH, least = -2000, most = 2000) Measure x,
            @Input(label = "Upper left corner at y", dim = Dimension.ROOF_LENGTH, least = -2000, most = 2000) Measure y,
            @Input(label = "Scale", least = 1e-5, most = 10, unit = "m per pixel") double metresPerPixel,
            @Input(label = "Turn", least = -360, most = 360, unit = "°") double turnDeg,
            @Input(label = "Opacity", least = 5, most = 100, unit = "%") double opacityPct) {}
}
