package whipsaw.core.roof;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import whipsaw.core.job.Outline;
import whipsaw.core.units.Dimension;
import whipsaw.core.units.Show;
import whipsaw.core.units.UnitSystem;

/**
 * A tape survey in words: how far every tape is off the outline that fits best, what is suspected
 * when it does not fit, and the one further tape that would decide.
 *
 * @param lines every observation, the farthest off first
 * @param verdict in a sentence
 * @param suspects in a sentence; empty when everything fits
 * @param decide in a sentence; empty when nothing has to be decided or no further tape would do it
 * @param doubt whether the tapes fit only with corners out of square while one wrong tape would explain them too
 */
public record SurveyReport(
        TapeFit fit, List<Line> lines, String verdict, String suspects, String decide, boolean doubt) {

    /**
     * One observation.
     *
     * @param name edge 2, corner 3, diagonal 1-3, offset 5 from 1-2
     * @param words observed, fitted and the difference
     * @param normalised residual over its standard deviation
     */
    public record Line(TapeFit.Kind kind, String name, String words, double normalised) {
        /** Whether the tape is among those suspected. */
        public boolean suspect() {
            return normalised > TapeFit.SUSPECT;
        }
    }

    /** Null when the survey has fewer than three edges, is too far from closing or cannot be fitted. */
    public static SurveyReport of(Outline.Taped taped, UnitSystem units) {
        if (taped.legs().size() < 3) {
            return null;
        }
        List<TapeFit.Leg> legs = OutlineShape.legs(taped);
        Traverse walk = Traverse.of(
                legs.stream()
                        .map(l -> new Traverse.Leg(l.lengthM(), l.turnDeg()))
                        .toList(),
                true);
        if (walk.closureM() * OutlineShape.WORST_CLOSURE > walk.perimeterM()) {
            return null;
        }
        List<TapeFit.Check> checks = OutlineShape.checks(taped);
        TapeFit fit = TapeFit.of(legs, checks, TapeFit.Accuracy.USUAL);
        if (fit == null) {
            return null;
        }
        List<Line> lines = new ArrayList<>();
        for (TapeFit.Observation o : fit.observations()) {
            lines.add(new Line(o.kind(), name(o), words(o, units), o.normalised()));
        }
        lines.sort(Comparator.comparingDouble(Line::normalised).reversed());
        if (fit.fits()) {
            TapeDoubt doubt = TapeDoubt.of(fit, legs, checks);
            return doubt == null ? sound(fit, lines, checks) : doubtful(fit, lines, walk, doubt, units);
        }
        TapeFit.Suspects suspects = TapeFit.suspects(legs, checks, TapeFit.Accuracy.USUAL);
        return new SurveyReport(
                fit,
                List.copyOf(lines),
                "The tapes do not fit each other.",
                suspected(suspects, units),
                decided(suspects, units),
                false);
    }

    private static SurveyReport sound(TapeFit fit, List<Line> lines, List<TapeFit.Check> checks) {
        Line worst = lines.get(0);
        return new SurveyReport(
                fit,
                List.copyOf(lines),
                "Every tape fits within its accuracy; the farthest off is " + worst.name() + ", " + worst.words() + ".",
                "",
                checks.isEmpty()
                        ? "No diagonal or offset is taped: a wrong tape can hide in corners that are not square."
                        : "",
                false);
    }

    private static SurveyReport doubtful(
            TapeFit fit, List<Line> lines, Traverse walk, TapeDoubt doubt, UnitSystem units) {
        TapeFit.Observation corner = fit.observations().stream()
                .filter(o -> o.kind() == TapeFit.Kind.CORNER)
                .max(Comparator.comparingDouble(o -> Math.abs(o.residual())))
                .orElseThrow();
        String gap = Show.in(units, Dimension.ROOF_LENGTH, walk.closureM());
        List<String> wrong = new ArrayList<>();
        for (TapeDoubt.Reading r : doubt.readings()) {
            if (r.wrong() != null) {
                wrong.add(name(r.wrong())
                        + (r.errorM() > 0 ? " too long by " : " too short by ")
                        + Show.in(units, Dimension.ROOF_LENGTH, Math.abs(r.errorM())));
            }
        }
        String suspects = "On a square roof, most likely wrong: " + wrong.get(0) + "."
                + (wrong.size() > 1
                        ? " These tapes cannot tell it from " + String.join(", or ", wrong.subList(1, wrong.size()))
                                + "."
                        : "");
        return new SurveyReport(
                fit,
                List.copyOf(lines),
                "The walk misses its start by " + gap
                        + " with corners as called. The tapes fit only with corners out of"
                        + " square, " + name(corner) + " by " + Show.number(Math.abs(corner.residual()), 2)
                        + "°; one wrong tape on a square roof would explain them too.",
                suspects,
                decided(doubt, units),
                true);
    }

    private static String decided(TapeDoubt doubt, UnitSystem units) {
        if (doubt.from() < 0) {
            return "No single diagonal tells these apart: measure a corner with an angle, or tape the edges named again.";
        }
        List<String> means = new ArrayList<>();
        for (TapeDoubt.Reading r : doubt.readings()) {
            means.add(Show.in(units, Dimension.ROOF_LENGTH, r.lengthM(doubt.from(), doubt.to())) + " means "
                    + (r.wrong() == null
                            ? "the corners are out of square and every tape is right"
                            : name(r.wrong()) + " is wrong"));
        }
        return "Tape corner " + (doubt.from() + 1) + " to corner " + (doubt.to() + 1) + ": " + String.join(", ", means)
                + ".";
    }

    static String name(TapeFit.Observation o) {
        return switch (o.kind()) {
            case EDGE -> "edge " + (o.from() + 1);
            case CORNER -> "corner " + (o.from() + 1);
            case DIAGONAL -> "diagonal " + (o.from() + 1) + "-" + (o.to() + 1);
            case OFFSET -> "offset " + (o.corner() + 1) + " from " + (o.from() + 1) + "-" + (o.to() + 1);
        };
    }

    private static String words(TapeFit.Observation o, UnitSystem units) {
        if (o.kind() == TapeFit.Kind.CORNER) {
            return "turn " + Show.number(o.observed(), 2) + "°, fits " + Show.number(o.fitted(), 2) + "°";
        }
        return "taped "
                + Show.in(units, Dimension.ROOF_LENGTH, o.observed())
                + ", fits "
                + Show.in(units, Dimension.ROOF_LENGTH, o.fitted())
                + " ("
                + signed(units, o.residual())
                + ")";
    }

    private static String signed(UnitSystem units, double metres) {
        return (metres < 0 ? "−" : "+") + Show.in(units, Dimension.PART_LENGTH, Math.abs(metres));
    }

    private static String suspected(TapeFit.Suspects s, UnitSystem units) {
        TapeFit.Observation first = s.alike().get(0);
        String by = first.kind() == TapeFit.Kind.CORNER
                ? Show.number(Math.abs(first.error()), 1) + "°"
                : Show.in(units, Dimension.ROOF_LENGTH, Math.abs(first.error()));
        String text = "Most likely wrong: " + name(first) + ", "
                + (first.error() > 0 ? "too long by " : "too short by ") + by + ".";
        if (first.kind() == TapeFit.Kind.CORNER) {
            text = "Most likely wrong: " + name(first) + ", by " + by + ".";
        }
        if (s.alike().size() > 1) {
            List<String> others =
                    s.alike().stream().skip(1).map(SurveyReport::name).toList();
            text += " These figures cannot tell it from " + String.join(" and ", others) + ".";
        } else if (s.ranked().get(1).normalised() > TapeFit.SUSPECT) {
            text += " Then " + name(s.ranked().get(1)) + ".";
        }
        return text;
    }

    private static String decided(TapeFit.Suspects s, UnitSystem units) {
        if (s.measure() == null || s.alike().size() < 2) {
            return "";
        }
        TapeFit.Decision d = s.measure();
        return "Tape corner "
                + (d.from() + 1)
                + " to corner "
                + (d.to() + 1)
                + ": "
                + Show.in(units, Dimension.ROOF_LENGTH, d.firstM())
                + " means "
                + name(s.alike().get(0))
                + " is wrong, "
                + Show.in(units, Dimension.ROOF_LENGTH, d.secondM())
                + " means "
                + name(s.alike().get(1))
                + ".";
    }
}
