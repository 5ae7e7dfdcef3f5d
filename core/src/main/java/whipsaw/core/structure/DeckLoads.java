package whipsaw.core.structure;

import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import whipsaw.core.job.Structure;
import whipsaw.core.structure.RoofMembers.Foot;

/** Looks for the strip of deck between two members that carries most for what it takes. */
final class DeckLoads {
    private final MemberLoads loads;
    private final Structure.Deck deck;
    private final List<Foot> feet;

    DeckLoads(MemberLoads loads, Structure.Deck deck, List<Foot> feet) {
        this.loads = loads;
        this.deck = deck;
        this.feet = feet;
    }

    /**
     * The deck between members, its worst strip; null where no two members lie side by side. In every gap the strip that
     * feet and drifted snow together load most is looked at, and the one under the deepest drift.
     */
    DeckSpan worst(List<MemberLines.Strip> strips) {
        return strips.parallelStream()
                .map(this::worst)
                .filter(Objects::nonNull)
                .reduce(DeckLoads::worse)
                .map(this::before)
                .orElse(null);
    }

    /** The worst of the gaps between members of a strip. */
    private Loaded worst(MemberLines.Strip strip) {
        Loaded worst = null;
        List<Foot> there = feet.stream()
                .filter(f -> along(strip, f) >= strip.fromM() && along(strip, f) <= strip.toM())
                .sorted(Comparator.comparingDouble(f -> across(strip, f)))
                .toList();
        int next = 0;
        for (int i = 1; i < strip.lines().size(); i++) {
            MemberLines.Line a = strip.lines().get(i - 1);
            MemberLines.Line b = strip.lines().get(i);
            while (next < there.size() && across(strip, there.get(next)) <= a.atM()) {
                next++;
            }
            int end = next;
            while (end < there.size() && across(strip, there.get(end)) < b.atM()) {
                end++;
            }
            if (b.lowM() <= a.highM() + 1e-6 && b.atM() - a.atM() > deck.width().si() / 4) {
                worst = worse(worst, gap(strip, a, b, there.subList(next, end)));
            }
            next = end;
        }
        return worst;
    }

    private static Loaded worse(Loaded a, Loaded b) {
        return a == null || b.after().utilisation() > a.after().utilisation() ? b : a;
    }

    /** @param feet between the two members */
    private Loaded gap(MemberLines.Strip strip, MemberLines.Line a, MemberLines.Line b, List<Foot> feet) {
        double width = deck.width().si();
        double span = b.atM() - a.atM();
        List<Foot> there = feet.stream()
                .sorted(Comparator.comparingDouble(f -> along(strip, f)))
                .toList();
        double heaviest = -1;
        double at = (strip.fromM() + strip.toM()) / 2;
        double[] drifts = new double[MemberLoads.PIECES];
        double piece = (strip.toM() - strip.fromM()) / MemberLoads.PIECES;
        double deepest = 0;
        for (int i = 0; i < MemberLoads.PIECES; i++) {
            double place = strip.fromM() + (i + 0.5) * piece;
            drifts[i] = loads.more(strip.alongX(), place, (a.atM() + b.atM()) / 2, true);
            if (drifts[i] > deepest) {
                deepest = drifts[i];
                at = place;
            }
        }
        Loaded worst = strip(strip, a, b, there, at);
        int last = 0;
        double weight = 0;
        double best = Double.NaN;
        for (int first = 0; first < there.size(); first++) {
            double from = along(strip, there.get(first));
            while (last < there.size() && along(strip, there.get(last)) <= from + width) {
                weight += lever(strip, there.get(last++), a, span);
            }
            int index = (int) Math.min(MemberLoads.PIECES - 1, Math.max(0, (from - strip.fromM()) / piece));
            double bound = weight + drifts[index] * width * span * span / 8;
            if (bound > heaviest) {
                heaviest = bound;
                best = from + width / 2;
            }
            weight -= lever(strip, there.get(first), a, span);
        }
        return Double.isNaN(best) ? worst : worse(worst, strip(strip, a, b, there, best));
    }

    /** Moment under a foot of a simple span. */
    private static double lever(MemberLines.Strip strip, Foot f, MemberLines.Line a, double span) {
        double from = across(strip, f) - a.atM();
        return f.newton() * from * (span - from) / span;
    }

    private static double along(MemberLines.Strip strip, Foot f) {
        return strip.alongX() ? f.x() : f.y();
    }

    private static double across(MemberLines.Strip strip, Foot f) {
        return strip.alongX() ? f.y() : f.x();
    }

    /** One strip of deck as a member across a gap, with the feet on it. */
    private Loaded strip(MemberLines.Strip strip, MemberLines.Line a, MemberLines.Line b, List<Foot> there, double at) {
        double half = deck.width().si() / 2;
        MemberLines.Line line =
                new MemberLines.Line(a.set(), a.number(), a.bay(), at, a.atM(), b.atM(), at - half, at + half, false);
        Standing standing = new Standing();
        for (Foot f : there) {
            if (Math.abs(along(strip, f) - at) <= half + 1e-9) {
                standing.add(across(strip, f) - a.atM(), f, 1);
            }
        }
        List<Beam.Load> drift = loads.drifted(line, !strip.alongX(), true);
        MemberState after = loads.state(deck.type(), null, loads.span(line, standing, drift, 0, line.spanM()), 1);
        return new Loaded(strip, b.number(), line, standing, after);
    }

    /** A strip with what it carries. */
    private record Loaded(
            MemberLines.Strip strip, String to, MemberLines.Line line, Standing standing, MemberState after) {}

    /** The same with what it carried before. */
    private DeckSpan before(Loaded worst) {
        MemberLines.Line line = worst.line();
        List<Beam.Load> bare = loads.drifted(line, !worst.strip().alongX(), false);
        MemberState before = loads.state(deck.type(), null, loads.span(line, new Standing(), bare, 0, line.spanM()), 1);
        List<Beam.Load> weights = worst.standing().weights();
        double newton = weights.stream().mapToDouble(Beam.Load::newton).sum();
        return new DeckSpan(
                line.number(),
                worst.to(),
                line.bay(),
                line.atM(),
                line.spanM(),
                weights.size(),
                newton,
                before,
                worst.after());
    }
}
